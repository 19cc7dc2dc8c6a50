import { weightEaten } from '@/core/prepare/yields';
import type { Corners } from '@/core/range/bounds';
import { exact, type Range } from '@/core/range/range';
import { readLine } from '@/core/read/line';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { applySwap } from '@/core/swap/apply';
import { roleOf, SWAPS, swapsFor, type DishRole } from '@/core/swap/roles';
import type { SwapRow } from '@/core/swap/schema';

/** Something that may be done with one line; the first of a line is always to keep it. */
export interface Choice {
  /** null keeps the line. */
  readonly swap: SwapRow | null;
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

/** All that may be done with one line. */
export interface LineChoices {
  readonly index: number;
  readonly role: DishRole;
  readonly choices: readonly Choice[];
}

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

function choiceOf(
  read: ReadRecipe,
  index: number,
  swap: SwapRow,
  share: number,
  settings: ReadSettings,
): Choice | null {
  const line = read.lines[index] as ReadLine;
  const swapped = applySwap(read, index, swap, settings);
  if (!swapped || swapped.text === read.recipe.source) return null;
  const news = swapped.lines.map((text) =>
    readLine({ ...line.line, text }, { ...settings, corrections: {} }, read.servings.range.best),
  );
  if (news.some((n) => !n.corners)) return null;
  // a line that stays what it was changes nothing
  if (news.length === 1 && news[0]?.line.text === line.line.text) return null;
  return {
    swap,
    share,
    corners: news.map((n) => n.corners as Corners),
    yieldOf: swap.to.some((t) => t.food === 'same')
      ? (read.yields[index]?.factor ?? exact(1))
      : { low: 0.6, best: 0.9, high: 1.1 },
    closeness: swap.closeness,
    allergens: news.flatMap(allergensOf),
    grams: news.reduce((g, n) => g + bestGrams(n), 0),
  };
}

/**
 * What may be done with each line: keep it, swap it by what it does in the dish, less of it, more of it.
 *
 * @param locked lines that are only kept ("not my walnuts")
 */
export function choicesOf(
  read: ReadRecipe,
  settings: ReadSettings,
  locked: ReadonlySet<number> = new Set(),
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
    const choices: Choice[] = [keep];
    for (const swap of swaps) {
      const fits = swap.roles.includes(role.id);
      const choice = choiceOf(read, index, swap, 1, settings);
      // what is made for another role stays less near
      if (choice) choices.push(fits ? choice : { ...choice, closeness: choice.closeness * 0.9 });
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
        const choice = choiceOf(read, index, swap, Math.abs(1 - (swap.to[0]?.ratio ?? 1)), settings);
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
