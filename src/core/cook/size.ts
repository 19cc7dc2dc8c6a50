import { dishOf, eatenG, isComplete } from '@/core/audit/dish';
import { sumBounds } from '@/core/range/bounds';
import { AT } from '@/core/food/nutrients';
import type { ReadRecipe } from '@/core/read/types';

/** How much of a dish is made: times the recipe, for so many plates, for the pot there is, or by what there is of a food. */
export type Size =
  | { readonly by: 'times'; readonly times: number }
  | { readonly by: 'plates'; readonly plates: number }
  | { readonly by: 'pot'; readonly litres: number }
  | { readonly by: 'food'; readonly line: number; readonly grams: number };

/** A pot is filled so far: it boils over beyond (two thirds, as for pressure cookers; common practice). */
export const FULL = 2 / 3;
/** Grams in a litre of what simmers: soups and stews weigh about what water does. */
const GRAMS_IN_LITRE = 1000;

/** Millilitres that a dish takes in the pot: what goes in, by weight; null where a line is not understood. */
export function potMl(read: ReadRecipe): number | null {
  const dish = dishOf(read);
  if (!isComplete(dish)) return null;
  const goesIn = sumBounds(dish.lines, AT.weightG).best;
  return (Math.max(goesIn, eatenG(dish).best) / GRAMS_IN_LITRE) * 1000;
}

/** How often the recipe is made for a size; null where that cannot be known. */
export function timesFor(read: ReadRecipe, size: Size): number | null {
  switch (size.by) {
    case 'times':
      return size.times > 0 ? size.times : null;
    case 'plates': {
      const plates = read.servings.range.best;
      return plates > 0 && size.plates > 0 ? size.plates / plates : null;
    }
    case 'pot': {
      const ml = potMl(read);
      return ml && ml > 0 && size.litres > 0 ? (size.litres * 1000 * FULL) / ml : null;
    }
    case 'food': {
      const food = read.lines[size.line]?.foods[0];
      const own = food?.grams?.best ?? 0;
      if (!food?.food || own <= 0 || size.grams <= 0) return null;
      // what is weighed at home is as bought: its peel is not in the dish
      return (size.grams * (1 - food.food.refuse / 100)) / own;
    }
  }
}
