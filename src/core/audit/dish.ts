import { AT, type Field } from '@/core/food/nutrients';
import { weightEaten } from '@/core/prepare/yields';
import { ratioBounds, sumBounds, type Corners, type Part } from '@/core/range/bounds';
import { exact, over, scale, type Range } from '@/core/range/range';
import type { ReadRecipe } from '@/core/read/types';

const ALL = exact(1);

/** A dish as its limits see it: what each line can bring, how much of it is eaten, on how many plates. */
export interface Dish {
  readonly lines: readonly (Corners | null)[];
  /** Weight as eaten ÷ weight that goes in, for each line. */
  readonly yields: readonly Range[];
  /** Share of each line's potassium that stays. */
  readonly potassium: readonly Range[];
  readonly servings: Range;
  /** Grams of the whole dish as it was weighed; null where nobody did. */
  readonly potG: number | null;
}

/** A dish without a line that is not understood. */
export interface CompleteDish extends Dish {
  readonly lines: readonly Corners[];
}

/**
 * What a read recipe is to its limits.
 *
 * @param plate size of the plate against the recipe's own: 1.5 eats a half more of the pot
 */
export const dishOf = (read: ReadRecipe, plate = 1): Dish => ({
  lines: read.lines.map((l) => l.corners),
  yields: read.yields.map((y) => y.factor),
  potassium: read.yields.map((y) => y.potassium ?? ALL),
  servings: plate === 1 ? read.servings.range : over(read.servings.range, exact(plate)),
  potG: read.potG,
});

export const isComplete = (dish: Dish): dish is CompleteDish =>
  dish.lines.length > 0 && dish.lines.every((l) => l !== null);

/** The lines that are understood, with their yields. */
export function knownPart(dish: Dish): CompleteDish {
  if (isComplete(dish)) return dish;
  const kept = dish.lines.flatMap((line, i) => (line ? [{ line, i }] : []));
  return {
    ...dish,
    lines: kept.map((k) => k.line),
    yields: kept.map((k) => dish.yields[k.i] ?? ALL),
    potassium: kept.map((k) => dish.potassium[k.i] ?? ALL),
  };
}

/** Grams of the whole dish as eaten: weighed, or what goes in times what the method leaves of it. */
export const eatenG = (dish: CompleteDish): Range =>
  dish.potG === null ? weightEaten(dish.lines, dish.yields) : exact(dish.potG);

/** Potassium of the whole dish, mg, after what leaves with the water. */
export function potassiumMg(dish: CompleteDish): Range {
  let [low, best, high] = [0, 0, 0];
  dish.lines.forEach((line, i) => {
    const own = sumBounds([line], AT.potassiumMg);
    const kept = dish.potassium[i] ?? ALL;
    low += own.low * kept.low;
    best += own.best * kept.best;
    high += own.high * kept.high;
  });
  return { low, best, high };
}

/** A component in 100 g as eaten, bounded exactly; null where it is not known or nothing is eaten. */
export function in100g(dish: CompleteDish, field: Field, part: Part = AT[field]): Range | null {
  if (field === 'potassiumMg' && dish.potassium.some((p) => p.low < 1)) {
    const eaten = eatenG(dish);
    const sum = potassiumMg(dish);
    return eaten.low > 0 && !Number.isNaN(sum.high) ? scale(over(sum, eaten), 100) : null;
  }
  if (dish.potG === null) return ratioBounds(dish.lines, part, AT.weightG, 100, dish.yields);
  const sum = sumBounds(dish.lines, part);
  return Number.isNaN(sum.high) ? null : scale(over(sum, exact(dish.potG)), 100);
}
