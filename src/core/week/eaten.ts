import { dishOf, eatenG, isComplete, type Dish } from '@/core/audit/dish';
import { scaled } from '@/core/food/nutrients';
import type { Limit } from '@/core/protocol';
import type { Corners } from '@/core/range/bounds';
import { exact, over, scale, type Range } from '@/core/range/range';
import type { ReadLine, ReadRecipe } from '@/core/read/types';

/** A part of what was eaten in a day: lines and how much of each. */
export interface Eaten {
  readonly lines: readonly ReadLine[];
  readonly corners: readonly (Corners | null)[];
  readonly yields: readonly Range[];
}

/** What was eaten as limits see it: a dish for one. */
export const dishOfEaten = ({ corners, yields }: Pick<Eaten, 'corners' | 'yields'>): Dish => ({
  lines: corners,
  yields,
  servings: exact(1),
  potG: null,
  ends: [],
});

/** Lines times a share that is a range: each corner at each of its ends. */
export function partOf(read: ReadRecipe, share: Range): Eaten {
  const dish = dishOf(read);
  const ends = share.low === share.high ? [share.best] : [share.best, share.low, share.high];
  return {
    lines: read.lines,
    corners: dish.lines.map((line) => line && ends.flatMap((s) => line.map((c) => scaled(c, s)))),
    yields: dish.yields,
  };
}

/** Grams of a whole cooking as eaten; null where a line is not understood. */
export function madeOf(read: ReadRecipe, times: number): Range | null {
  const dish = dishOf(read);
  return isComplete(dish) ? scale(eatenG(dish), times) : null;
}

/** A limit as a day has it: a day's amount whole, a ban on a plate a ban all day, a share over all that was eaten. */
export const ofDay = (limit: Limit, meals: number): Limit =>
  limit.per === 'day'
    ? { ...limit, per: 'serving' }
    : limit.per === 'serving'
      ? {
          ...limit,
          limit: limit.limit * Math.max(1, meals),
          ...(limit.aim === undefined ? {} : { aim: limit.aim * Math.max(1, meals) }),
        }
      : limit;

/** Share of a recipe that somebody eats of a pot: so many plates of theirs, or so many grams. */
export function shareOf(
  meal: { readonly plates?: number | undefined; readonly grams?: number | undefined },
  plate: number,
  read: ReadRecipe,
): Range | null {
  if (meal.grams !== undefined) {
    const made = madeOf(read, 1);
    return made && made.low > 0 ? over(exact(meal.grams), made) : null;
  }
  return over(exact((meal.plates ?? 1) * plate), read.servings.range);
}
