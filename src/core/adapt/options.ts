import { foodById, type Food } from '@/core/food/table';
import { weightEaten } from '@/core/prepare/yields';
import type { Corners } from '@/core/range/bounds';
import { exact, type Range } from '@/core/range/range';
import { parseRecipe } from '@/core/recipe/parse';
import { readLine } from '@/core/read/line';
import { readRecipe } from '@/core/read/read';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { applySwap } from '@/core/swap/apply';
import rawAdditions from '@content/compiled/additions.json';
import { roleOf, SWAPS, swapsFor, type DishRole } from '@/core/swap/roles';
import type { AdditionRow, SwapRow } from '@/core/swap/schema';

/** Something that may be done with one line; the first of a line is always to keep it. */
export interface Choice {
  /** null keeps the line. */
  readonly swap: SwapRow | null;
  /** The line's own words made plainer ("no salt added"), or a line and a sentence that are new. */
  readonly written?: { readonly line: string; readonly step: string | null } | undefined;
  /** Share of the line that is changed. */
  readonly share: number;
  /** What the line brings afterwards: the corners of each line that stands in its place. */
  readonly corners: readonly Corners[];
  /** How much of the new lines' weight is eaten. */
  readonly yieldOf: Range;
  readonly closeness: number;
  readonly allergens: readonly string[];
  /** Best grams of what stands there. */
  readonly grams: number;
}

/** All that may be done with one line; of what is added beside the dish `index` is the number of lines. */
export interface LineChoices {
  readonly index: number;
  readonly role: DishRole;
  readonly choices: readonly Choice[];
}

/** How much nearness a swap keeps that is made for another role. */
const OTHER_ROLE = 0.7;

/** Foods of which a little less keeps the dish what it is. */
const LESS_OF = new Set([
  'salt',
  'salty',
  'sugar',
  'syrup',
  'condiment',
  'nut',
  'seed',
  'nut-butter',
  'coconut',
  'avocado',
  'olive',
  'plant-dairy',
  'chocolate',
  'stock',
  'dried-fruit',
  'spice-blend',
  'meat-stand-in',
  'soy',
  'packet',
  'flax-chia',
  'alcohol',
]);
/** Foods of which more makes a lighter or starchier dish. */
const MORE_OF = new Set(['starch', 'whole-grain', 'bean', 'vegetable', 'leaf', 'mushroom']);

const amountSwap = (
  id: string,
  name: string,
  ratio: number,
  technique: string,
  closeness: number,
): SwapRow => ({
  id,
  name,
  from: { kinds: [] },
  roles: ['any'],
  to: [{ food: 'same', text: '', ratio, by: 'weight' }],
  technique,
  cautions: [],
  closeness,
  source: 'common practice',
});

const LESS: readonly SwapRow[] = [
  amountSwap(
    'less-quarter',
    'A quarter less',
    0.75,
    'Leave a quarter of it out and taste before serving.',
    0.93,
  ),
  amountSwap(
    'less-half',
    'Half as much',
    0.5,
    'Use half of it; put flavour back with acid, herbs, heat or browning.',
    0.85,
  ),
  amountSwap(
    'less-most',
    'A quarter of it',
    0.25,
    'Use a quarter of it, for the accent; put flavour back with acid, herbs, heat or browning.',
    0.7,
  ),
];
const MORE: readonly SwapRow[] = [
  amountSwap(
    'more-quarter',
    'A quarter more',
    1.25,
    'Add a quarter more of it, and a little more liquid if it thickens.',
    0.93,
  ),
  amountSwap(
    'more-half',
    'Half as much again',
    1.5,
    'Add half as much again, and a little more liquid if it thickens.',
    0.86,
  ),
];

/** A dough or batter holds together by its ratios: nothing in it is made less or more. */
const isBatter = (read: ReadRecipe): boolean =>
  read.lines.some((l) => l.foods.some((f) => f.food?.kind === 'leavener' || f.food?.kind === 'yeast')) &&
  read.lines.some((l) => l.foods.some((f) => f.food?.classes.includes('flour') && (f.food.waterG ?? 0) < 20));

const bestGrams = (line: ReadLine) => line.foods.reduce((g, f) => g + (f.grams?.best ?? 0), 0);
const allergensOf = (line: ReadLine) =>
  [...line.foods, ...line.alternatives].flatMap((f) => f.food?.allergens ?? []);

/** Foods that only the method names, and did not before a change. */
function surfacing(before: ReadRecipe, text: string, settings: ReadSettings): ReadLine[] {
  const known = new Set(
    before.lines.filter((l) => l.origin === 'method').map((l) => `${l.step} ${l.foods[0]?.food?.id}`),
  );
  return readRecipe(parseRecipe(text), settings).lines.filter(
    (l) => l.origin === 'method' && !known.has(`${l.step} ${l.foods[0]?.food?.id}`),
  );
}

function choiceOf(
  read: ReadRecipe,
  index: number,
  swap: SwapRow,
  share: number,
  settings: ReadSettings,
  ahead: boolean,
): Choice | null {
  const line = read.lines[index] as ReadLine;
  const swapped = applySwap(read, index, swap, settings);
  if (!swapped || swapped.text === read.recipe.source) return null;
  const news = swapped.lines.map((text) =>
    readLine({ ...line.line, text }, { ...settings, corrections: {} }, read.servings.range.best),
  );
  if (news.some((n) => !n.corners)) return null;
  // words that the old line had covered, or that the swap itself puts into the method, come to light
  const surfaced =
    ahead && (line.origin === 'method' || swapped.steps.length > 0)
      ? surfacing(read, swapped.text, settings)
      : [];
  if (surfaced.some((n) => !n.corners)) return null;
  // a line that stays what it was changes nothing
  if (news.length === 1 && news[0]?.line.text === line.line.text) return null;
  return {
    swap,
    share,
    corners: [...news, ...surfaced].map((n) => n.corners as Corners),
    yieldOf: swap.to.some((t) => t.food === 'same')
      ? (read.yields[index]?.factor ?? exact(1))
      : { low: 0.6, best: 0.9, high: 1.1 },
    closeness: swap.closeness,
    allergens: [...news, ...surfaced].flatMap(allergensOf),
    grams: news.reduce((g, n) => g + bestGrams(n), 0),
  };
}

/**
 * What may be done with each line: keep it, swap it by what it does in the dish, less of it, more of it.
 *
 * @param locked lines that are only kept ("not my walnuts")
 * @param ahead  true counts what a swap brings to light in the method as its own doing; false leaves it to a later round
 */
export function choicesOf(
  read: ReadRecipe,
  settings: ReadSettings,
  locked: ReadonlySet<number> = new Set(),
  ahead = true,
): LineChoices[] {
  const batter = isBatter(read);
  return read.lines.map((line, index) => {
    const role = roleOf(read, line);
    const keep: Choice = {
      swap: null,
      share: 0,
      corners: line.corners ? [line.corners] : [],
      yieldOf: read.yields[index]?.factor ?? exact(1),
      closeness: 1,
      allergens: allergensOf(line),
      grams: bestGrams(line),
    };
    const food = line.foods[0]?.food;
    if (locked.has(index) || !food) return { index, role, choices: [keep] };
    const swaps = new Set([
      ...swapsFor(line, role),
      // a swap for any role still fits where nothing nearer does
      ...(line.origin === 'ingredients'
        ? SWAPS.filter(
            (s) =>
              s.roles.includes('any') &&
              (s.from.foods?.includes(food.id) || s.from.kinds?.includes(food.kind)),
          )
        : []),
    ]);
    const choices: Choice[] = [
      keep,
      ...plainerChoices(read, index, settings),
      ...oneOfThem(read, index, settings),
    ];
    for (const swap of swaps) {
      const fits = swap.roles.includes(role.id);
      const choice = choiceOf(read, index, swap, 1, settings, ahead);
      // what is made for another role stays less near
      if (choice) choices.push(fits ? choice : { ...choice, closeness: choice.closeness * OTHER_ROLE });
    }
    const measured = (line.words?.foods[0]?.measures.length ?? 0) > 0;
    if (
      line.origin === 'ingredients' &&
      measured &&
      !batter &&
      line.foods.length === 1 &&
      line.alternatives.length === 0
    ) {
      const amounts = LESS_OF.has(food.kind) ? LESS : MORE_OF.has(food.kind) ? MORE : [];
      for (const swap of amounts) {
        const choice = choiceOf(read, index, swap, Math.abs(1 - (swap.to[0]?.ratio ?? 1)), settings, ahead);
        if (choice) choices.push(choice);
      }
    }
    return { index, role, choices };
  });
}

const PLAINER: readonly (readonly [suffix: string, name: string])[] = [
  [', no salt added', 'The one without salt'],
  [', unsweetened', 'The unsweetened one'],
  [', no oil or salt added', 'The one without oil and salt'],
  [', oil free', 'The one without oil'],
  [', whole grain', 'The whole-grain one'],
  [', cooked without salt', 'Cooked without salt'],
];

/** "1 tin tomatoes" may be salted or not: saying which one to buy is the gentlest change of all. */
function plainerChoices(read: ReadRecipe, index: number, settings: ReadSettings): Choice[] {
  const line = read.lines[index] as ReadLine;
  if (line.origin !== 'ingredients' || !line.foods.some((f) => f.might.length > 0) || line.foods.length > 1)
    return [];
  return PLAINER.flatMap(([suffix, name]) => {
    const text = `${line.line.text}${suffix}`;
    const next = readLine({ ...line.line, text }, { ...settings, corrections: {} }, read.servings.range.best);
    const plain =
      next.corners !== null && next.foods.length === 1 && next.foods.every((f) => f.might.length === 0);
    if (!plain) return [];
    return [
      {
        swap: amountSwap('plainer', name, 1, 'Read the label: it must say so.', 0.98),
        written: { line: text, step: null },
        share: 1,
        corners: [next.corners as Corners],
        yieldOf: read.yields[index]?.factor ?? exact(1),
        closeness: 0.98,
        allergens: allergensOf(next),
        grams: bestGrams(next),
      },
    ];
  });
}

const OR_MORE = /\s*(?:\/|,?\s+(?:or|and\/or))\s.*$/i;
const OR_IN_BRACKETS = /\s*\((?:or|and\/or)\b[^)]*\)/i;

/** "brown rice / vermicelli": taking one of them and not the other. */
function oneOfThem(read: ReadRecipe, index: number, settings: ReadSettings): Choice[] {
  const line = read.lines[index] as ReadLine;
  if (line.origin !== 'ingredients' || line.alternatives.length === 0) return [];
  const own = line.line.text;
  const texts = [
    own.replace(OR_IN_BRACKETS, ''),
    own.replace(OR_MORE, ''),
    ...line.alternatives.map((a) => a.text),
  ];
  return [...new Set(texts)].flatMap((text) => {
    if (text === own || text.length < 3) return [];
    const next = readLine({ ...line.line, text }, { ...settings, corrections: {} }, read.servings.range.best);
    if (!next.corners || next.alternatives.length > 0) return [];
    return [
      {
        swap: amountSwap(
          'one-of-them',
          `Take ${next.foods[0]?.food?.name.toLowerCase() ?? 'one'}`,
          1,
          'The recipe offers several; take this one.',
          0.99,
        ),
        written: { line: text, step: null },
        share: 1,
        corners: [next.corners],
        yieldOf: read.yields[index]?.factor ?? exact(1),
        closeness: 0.99,
        allergens: allergensOf(next),
        grams: bestGrams(next),
      },
    ];
  });
}

const ADDITIONS = rawAdditions as unknown as readonly AdditionRow[];
const BESIDE: DishRole = { id: 'beside', label: 'beside the dish', evidence: '' };

/** True where the dish has the food already, or a grain for a grain. */
function isAlike(addition: AdditionRow, food: Food | null): boolean {
  if (!food) return false;
  const grain = (kind: string | undefined) => kind === 'whole-grain' || kind === 'refined-grain';
  return food.id === addition.food || (grain(food.kind) && grain(foodById(addition.food)?.kind));
}

/** Bulk of starch, vegetables or fruit that may be eaten with the dish. */
export function additionsFor(read: ReadRecipe, role: string, settings: ReadSettings): LineChoices[] {
  if (isBatter(read)) return [];
  const plates = read.servings.range.best;
  return ADDITIONS.filter(
    (a) => a.roles.includes(role) && !read.lines.some((l) => l.foods.some((f) => isAlike(a, f.food))),
  ).map((a) => {
    const choices = a.each.flatMap((each): Choice[] => {
      const text = `${Math.round((each * plates) / 10) * 10} g ${a.text}`;
      const line = readLine({ text, start: 0, end: text.length, section: null }, settings, plates);
      if (!line.corners) return [];
      return [
        {
          swap: { ...amountSwap(`beside-${a.id}`, a.name, 1, a.step, a.closeness), to: [] },
          written: { line: text, step: a.step },
          share: 1,
          corners: [line.corners],
          yieldOf: { low: 0.85, best: 0.95, high: 1 },
          closeness: a.closeness,
          allergens: allergensOf(line),
          grams: bestGrams(line),
        },
      ];
    });
    const nothing: Choice = {
      swap: null,
      share: 0,
      corners: [],
      yieldOf: exact(1),
      closeness: 1,
      allergens: [],
      grams: 0,
    };
    return { index: read.lines.length, role: BESIDE, choices: [nothing, ...choices] };
  });
}

/** Best grams of the dish as it goes in, for keeping its size. */
export const gramsOf = (read: ReadRecipe): number =>
  weightEaten(
    read.lines.flatMap((l) => (l.corners ? [l.corners] : [])),
    [],
  ).best;
