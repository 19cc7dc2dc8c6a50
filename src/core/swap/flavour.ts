import raw from '@content/compiled/flavour.json';
import { dishOf, isComplete } from '@/core/audit/dish';
import { inSpoons, roomFor } from '@/core/audit/headroom';
import { AT, type Field } from '@/core/food/nutrients';
import { foodById, type Food } from '@/core/food/table';
import type { Protocol, RoleId } from '@/core/protocol';
import type { ReadRecipe } from '@/core/read/types';
import type { FlavourFile, Sense } from './schema';
import { isSweetDish } from './sweet';

// checked by Zod when content is compiled
const file = raw as unknown as FlavourFile;
const BROWNING = new RegExp(file.browning, 'i');

/** How plainly each sense is tasted on a plate: 1 is plainly. */
export type Flavour = Readonly<Record<Sense, number>> & { readonly browned: boolean };

const strength = (food: Food, sense: Sense): number => {
  const { foods, kinds } = file.senses[sense];
  return foods[food.id] ?? kinds[food.kind] ?? 0;
};

/** What a dish tastes of beside salt, fat and sugar, by its best amounts on a plate. */
export function flavourOf(read: ReadRecipe): Flavour {
  const plates = Math.max(read.servings.range.best, 1e-9);
  const of = (sense: Sense) =>
    read.lines.reduce(
      (sum, l) =>
        sum +
        l.foods.reduce((s, f) => s + (f.food && f.grams ? strength(f.food, sense) * f.grams.best : 0), 0),
      0,
    ) / plates;
  return {
    acid: of('acid'),
    heat: of('heat'),
    aroma: of('aroma'),
    umami: of('umami'),
    browned: read.steps.some((s) => BROWNING.test(s.text)),
  };
}

/** Something that puts a sense back, within every limit. */
export interface PutBack {
  readonly sense: Sense;
  readonly food: Food;
  /** For the whole dish, in kitchen measures. */
  readonly measure: string;
  readonly says: string;
}

/** What a change took from a dish's taste, and what may give it back. */
export interface FlavourReport {
  readonly lost: readonly string[];
  readonly bland: boolean;
  readonly because: string;
  readonly back: readonly PutBack[];
  /** What it costs the dish, in one sentence: what is other on the tongue, and what to add at the end for it. */
  readonly costs: string;
}

const listed = (words: readonly string[]): string =>
  words.length > 1 ? `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}` : (words[0] ?? '');

/** "It tastes less salty and less rich; 2 tbsp lemon juice at the end gives some of it back." */
function costsOf(less: readonly string[], bland: boolean, back: readonly PutBack[]): string {
  if (less.length === 0) return 'It tastes much as it did.';
  const first = back.slice(0, 2).map((b) => `${b.measure} ${b.food.name.toLowerCase()}`);
  const gives = `${listed(first)} ${first.length > 1 ? 'give' : 'gives'} some of it back`;
  return `It tastes ${listed(less)}${bland ? ', and likely bland' : ''}${first.length > 0 ? `; ${gives}` : ''}.`;
}

const plateOf = (read: ReadRecipe, field: Field): number =>
  read.lines.reduce((s, l) => s + (l.corners?.[0]?.[AT[field]] ?? 0), 0) /
  Math.max(read.servings.range.best, 1e-9);

const ENOUGH = 1;
const LABELS: Record<Sense, string> = {
  acid: file.senses.acid.label,
  heat: file.senses.heat.label,
  aroma: file.senses.aroma.label,
  umami: file.senses.umami.label,
};
const SENSES: readonly Sense[] = ['acid', 'umami', 'aroma', 'heat'];
const MOST_BACK = 4;

/** What gives a dish the senses that it lacks, one thing each, as much as the limits leave room for. */
function thatHelps(read: ReadRecipe, weak: readonly Sense[], protocol: Protocol, role: RoleId): PutBack[] {
  const dish = dishOf(read);
  if (!isComplete(dish)) return [];
  const known = isSweetDish(read) ? file.sweetBack : file.back;
  return weak.flatMap((sense) => {
    for (const { food: id, each, says } of known[sense] ?? []) {
      const food = foodById(id);
      if (!food || read.lines.some((l) => l.foods.some((f) => f.food?.id === id))) continue;
      const wanted = each * read.servings.range.best;
      const room = roomFor(food, protocol, role, dish).grams;
      // less than a third of what is wanted would not be tasted
      const measure = room >= wanted / 3 ? inSpoons(food, Math.min(wanted, room)) : null;
      if (measure) return [{ sense, food, measure, says }];
    }
    return [];
  });
}

/** What would lift a dish that tastes flat, within the limits: acid, umami, aroma and heat that it lacks. */
export function whatLifts(read: ReadRecipe, protocol: Protocol, role: RoleId): PutBack[] {
  const now = flavourOf(read);
  return thatHelps(
    read,
    SENSES.filter((s) => now[s] < ENOUGH),
    protocol,
    role,
  );
}

/**
 * What salt, fat and sweetness did for a dish before a change, whether acid, heat, aroma, browning and umami make up
 * for it now, and what to add within the limits.
 */
export function flavourBack(
  before: ReadRecipe,
  after: ReadRecipe,
  protocol: Protocol,
  role: RoleId,
): FlavourReport {
  const salt = plateOf(before, 'sodiumMg') - plateOf(after, 'sodiumMg');
  const fat = plateOf(before, 'fatG') - plateOf(after, 'fatG');
  const sweet = plateOf(before, 'freeSugarG') - plateOf(after, 'freeSugarG');
  const lost = [
    ...(salt > 100
      ? [`${Math.round(salt / 10) * 10} mg of sodium a plate: salt lifts every other taste`]
      : []),
    ...(fat > 4
      ? [`${Math.round(fat)} g of fat a plate: fat carries aroma and rounds off acid and heat`]
      : []),
    ...(sweet > 3 ? [`${Math.round(sweet)} g of sugar a plate: sweetness balances acid and bitterness`] : []),
  ];
  const now = flavourOf(after);
  const weak = SENSES.filter((s) => now[s] < ENOUGH);
  const bland = lost.length > 0 && weak.length >= (now.browned ? 3 : 2);
  const back = lost.length > 0 ? thatHelps(after, weak, protocol, role) : [];
  const because = bland
    ? `little ${weak.map((s) => LABELS[s]).join(', ')}${now.browned ? '' : ' and nothing browned'} to make up for it`
    : lost.length > 0
      ? `${
          SENSES.filter((s) => now[s] >= ENOUGH)
            .map((s) => LABELS[s])
            .join(', ') || 'browning'
        } ${now.browned ? 'and browning ' : ''}make up for it`
      : 'nothing of its taste was taken';
  const less = [
    ...(salt > 100 ? ['less salty'] : []),
    ...(fat > 4 ? ['less rich'] : []),
    ...(sweet > 3 ? ['less sweet'] : []),
  ];
  return { lost, bland, because, back: back.slice(0, MOST_BACK), costs: costsOf(less, bland, back) };
}
