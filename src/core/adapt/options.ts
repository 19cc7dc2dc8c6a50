import { foodById } from '@/core/food/table';
import { weightEaten } from '@/core/prepare/yields';
import { tokens } from '@/core/food/tokens';
import type { Corners } from '@/core/range/bounds';
import { exact } from '@/core/range/range';
import { parseRecipe } from '@/core/recipe/parse';
import { remembered } from '@/core/read/remembered';
import { methodLines, readRecipe } from '@/core/read/read';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { applySwap, type Swapped } from '@/core/swap/apply';
import { roleOf, SWAPS, swapsFor } from '@/core/swap/roles';
import type { SwapRow } from '@/core/swap/schema';
import { leaning, NO_TASTES, type KitchenTastes } from '@/core/swap/tastes';
import { leaveOut, LESS, sideOfMethod, LESS_OF, MORE, MORE_OF } from './amounts';
import { allergensOf, bestGrams, isBatter, type Choice, type LineChoices } from './choice';
import { oneOfThem, plainerChoices } from './plainer';
import { isOutOfPlace, isSweetDish } from '@/core/swap/sweet';

/** Roles without which a dish does not hold together. */
const STRUCTURE = new Set([
  'crumb',
  'bake',
  'dough',
  'sugar-bake',
  'flour',
  'patty',
  'pesto',
  'pudding-body',
  'dessert-cream',
  'curry-body',
  'roux',
]);

/** How much nearness a swap keeps that brings what the dish has already: mushrooms beside mushrooms. */
const TWICE = 0.7;
const SEASONS = new Set(['water', 'acid', 'spice', 'herb', 'stock', 'salt', 'starch', 'seed']);

/** True where a swap's food stands on the list by itself. */
const isThereAlready = (read: ReadRecipe, line: ReadLine, swap: SwapRow): boolean =>
  swap.to.some(
    (t) =>
      t.food !== 'same' &&
      !SEASONS.has(foodById(t.food)?.kind ?? '') &&
      read.lines.some((l) => l !== line && l.origin === 'ingredients' && l.foods[0]?.food?.id === t.food),
  );

/** How much nearness a swap keeps that is made for another role. */
const OTHER_ROLE = 0.7;

/** Foods that only the method names, and did not before a change. */
function surfacing(
  before: ReadRecipe,
  index: number,
  news: readonly ReadLine[],
  { text, texts }: Swapped,
  settings: ReadSettings,
): ReadLine[] {
  const known = new Set(
    before.lines.filter((l) => l.origin === 'method').map((l) => `${l.step} ${l.foods[0]?.food?.id}`),
  );
  // where only a line and the steps' words changed, the rest need not be read again
  const lines = texts
    ? methodLines(
        {
          title: before.recipe.title,
          steps: texts.map((t) => ({ text: t, start: 0, end: t.length })),
        },
        before.lines.flatMap((l, i) => (l.origin === 'method' ? [] : i === index ? news : [l])),
        settings,
        before.servings,
      )
    : readRecipe(parseRecipe(text), settings).lines;
  return lines.filter((l) => l.origin === 'method' && !known.has(`${l.step} ${l.foods[0]?.food?.id}`));
}

const stemmed = (words: string) => tokens(words.replace(/[,(].*$/, ''));
const SAYS_LITTLE = new Set(
  tokens('green red white black brown yellow raw fresh hot sweet spicy creamy vegan easy big'),
);

/** True where a swap takes away the food that the dish is named after. */
function takesTheName(read: ReadRecipe, line: ReadLine, swap: SwapRow): boolean {
  if (line.origin === 'method') return false;
  const title = new Set(tokens(read.recipe.title));
  const named = stemmed(line.foods[0]?.text ?? '').filter((w) => title.has(w) && !SAYS_LITTLE.has(w));
  if (named.length === 0) return false;
  return !swap.to.some((t) => t.food === 'same' || named.some((w) => stemmed(t.text).includes(w)));
}

/** Grams below which nothing is made a cream of. */
const LEAST_CREAM = 12;
const ON_TOP = /\b(?:for the top|on top|to finish|to serve|to garnish|scatter|sprinkl)/i;

/** True where the dish is one that a swap fits, by its title and its method. */
function isAtHome(read: ReadRecipe, line: ReadLine, swap: SwapRow): boolean {
  const told = () => [read.recipe.title, ...read.steps.map((s) => s.text)];
  const all = () => [...told(), ...read.lines.map((l) => l.line.text)];
  if (swap.onlyIn !== undefined && !new RegExp(swap.onlyIn, 'i').test(all().join('\n'))) return false;
  if (swap.notIn !== undefined && new RegExp(swap.notIn, 'i').test(told().join('\n'))) return false;
  // "sesame seeds, a pinch for the top" are no cream
  const creams = swap.roles.includes('cream') && !swap.roles.includes('topping');
  const seed = ['seed', 'nut'].includes(line.foods[0]?.food?.kind ?? '');
  return !(
    creams &&
    seed &&
    (bestGrams(line) < LEAST_CREAM || ON_TOP.test(line.line.text) || /\btoasted\b/i.test(line.line.text))
  );
}

/** Cut so that it is coated, grilled or carved as a piece. */
const SHAPED = /\b(?:slabs?|steaks?|cutlets?|fillets?|planks?|skewers?|kebabs?|triangles|escalopes?)\b/i;
const COATED = /\b(?:dredge|coat|crumb|bread|skewer|thread)\w*\b/i;
const LOOSE_KINDS = new Set(['bean', 'canned-bean', 'whole-grain', 'refined-grain', 'seed']);

/** True where a food that is held as a piece would become a heap: slabs of tofu of beans. */
function losesShape(read: ReadRecipe, line: ReadLine, swap: SwapRow): boolean {
  const heap = swap.to.some((t) => t.food !== 'same' && LOOSE_KINDS.has(foodById(t.food)?.kind ?? ''));
  if (!heap || LOOSE_KINDS.has(line.foods[0]?.food?.kind ?? '')) return false;
  if (SHAPED.test(line.line.text)) return true;
  const noun = line.foods[0]?.text.split(' ').at(-1) ?? '';
  return (
    ['soy', 'meat-stand-in'].includes(line.foods[0]?.food?.kind ?? '') &&
    read.steps.some((s) =>
      s.text.split(/[.;!]/).some((c) => noun !== '' && c.toLowerCase().includes(noun) && COATED.test(c)),
    )
  );
}

/** Share of the dish's weight from which a line is its bulk. */
const BULK = 0.2;
/** Share from which more of a line is felt. */
const FELT = 0.1;

/** Nearness below which a dish is no longer what it is named after. */
const LEAST_LIKE_IT = 0.35;

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
    remembered({ ...line.line, text }, { ...settings, corrections: {} }, read.servings.range.best),
  );
  if (news.some((n) => !n.corners)) return null;
  // words that the old line had covered, or that the swap itself puts into the method, come to light
  const surfaced =
    ahead && (line.origin === 'method' || swapped.steps.length > 0)
      ? surfacing(read, index, news, swapped, settings)
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
    leans: [],
    allergens: [...news, ...surfaced].flatMap(allergensOf),
    grams: news.reduce((g, n) => g + bestGrams(n), 0),
  };
}

/**
 * What may be done with each line: keep it, swap it by what it does in the dish, less of it, more of it.
 *
 * `locked` lines are only kept ("not my walnuts"); `ahead` counts what a swap brings to light in the method as its own
 * doing, else that is left to a later round; `tastes` lean the choice.
 */
export function choicesOf(
  read: ReadRecipe,
  settings: ReadSettings,
  {
    locked = new Set(),
    ahead = true,
    tastes = NO_TASTES,
  }: {
    readonly locked?: ReadonlySet<number>;
    readonly ahead?: boolean;
    readonly tastes?: KitchenTastes;
  } = {},
): LineChoices[] {
  const batter = isBatter(read);
  const sweet = isSweetDish(read);
  const whole = gramsOf(read);
  return read.lines.map((line, index) => {
    const role = roleOf(read, line);
    const keep: Choice = {
      swap: null,
      share: 0,
      corners: line.corners ? [line.corners] : [],
      yieldOf: read.yields[index]?.factor ?? exact(1),
      closeness: 1,
      leans: [],
      allergens: allergensOf(line),
      grams: bestGrams(line),
    };
    const food = line.foods[0]?.food;
    if (locked.has(index) || !food) return { index, role, choices: [keep] };
    const forRole = swapsFor(line, role);
    // a cake is not held together by what would do in any dish
    const own = STRUCTURE.has(role.id) ? forRole.filter((s) => s.roles.includes(role.id)) : [];
    const swaps = new Set([
      ...(own.length > 0 ? own : forRole),
      // a swap for any role still fits where nothing nearer does
      ...(line.origin === 'ingredients' && own.length === 0
        ? SWAPS.filter(
            (s) =>
              s.roles.includes('any') &&
              (s.from.foods?.includes(food.id) || s.from.kinds?.includes(food.kind)),
          )
        : []),
    ]);
    const bulky = bestGrams(line) >= BULK * whole;
    const choices: Choice[] = [
      keep,
      ...plainerChoices(read, index, settings),
      ...oneOfThem(read, index, settings),
    ];
    for (const swap of swaps) {
      if (
        (sweet && isOutOfPlace(swap, food.id)) ||
        losesShape(read, line, swap) ||
        !isAtHome(read, line, swap)
      )
        continue;
      const fits = swap.roles.includes(role.id);
      const choice = choiceOf(read, index, swap, 1, settings, ahead);
      if (!choice) continue;
      const leans = leaning(swap, tastes);
      // what is made for another role stays less near
      const known = isThereAlready(read, line, swap) ? TWICE : 1;
      const closeness = choice.closeness * (fits ? 1 : OTHER_ROLE) * known + leans.by;
      const identity = takesTheName(read, line, swap);
      if (closeness < LEAST_LIKE_IT && (identity || bulky)) continue;
      choices.push({
        ...choice,
        closeness: Math.min(1, Math.max(0, closeness)),
        leans: leans.because,
        identity,
      });
    }
    const leave =
      STRUCTURE.has(role.id) && !line.optional ? null : (leaveOut(line) ?? sideOfMethod(read, line));
    if (leave && !takesTheName(read, line, leave)) {
      const choice = choiceOf(read, index, leave, 1, settings, ahead);
      if (choice) choices.push(choice);
    }
    const measured = (line.words?.foods[0]?.measures.length ?? 0) > 0;
    if (
      line.origin === 'ingredients' &&
      measured &&
      !batter &&
      line.foods.length === 1 &&
      line.alternatives.length === 0
    ) {
      const amounts = LESS_OF.has(food.kind)
        ? LESS
        : MORE_OF.has(food.kind) && bestGrams(line) >= FELT * whole
          ? MORE
          : [];
      for (const swap of amounts) {
        const choice = choiceOf(read, index, swap, Math.abs(1 - (swap.to[0]?.ratio ?? 1)), settings, ahead);
        if (choice) choices.push(choice);
      }
    }
    return { index, role, choices };
  });
}

/** Best grams of the dish as it goes in, for keeping its size. */
export const gramsOf = (read: ReadRecipe): number =>
  weightEaten(
    read.lines.flatMap((l) => (l.corners ? [l.corners] : [])),
    [],
  ).best;
