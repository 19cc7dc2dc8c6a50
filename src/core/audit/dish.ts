import { AT, type Field } from '@/core/food/nutrients';
import { weightEaten } from '@/core/prepare/yields';
import { ratioBounds, sumBounds, type Corners, type Part } from '@/core/range/bounds';
import { exact, hull, over, scale, type Range } from '@/core/range/range';
import type { ReadRecipe } from '@/core/read/types';

/** A dish as its limits see it: what each line can bring, how much of it is eaten, on how many plates. */
export interface Dish {
  readonly lines: readonly (Corners | null)[];
  /** Weight as eaten ÷ weight that goes in, for each line. */
  readonly yields: readonly Range[];
  readonly servings: Range;
  /** Grams of the whole dish as it was weighed; null where nobody did. */
  readonly potG: number | null;
  /** The same dish on as few and as many plates as its words allow, where what goes in hangs on that. */
  readonly ends: readonly Dish[];
}

/** A dish without a line that is not understood. */
export interface CompleteDish extends Dish {
  readonly lines: readonly Corners[];
  readonly ends: readonly CompleteDish[];
}

const leached = new WeakMap<Corners, { readonly kept: Range; readonly corners: Corners }>();

/** Corners of what is eaten: potassium that leaves with the cooking water is not. */
function eaten(corners: Corners | null, kept: Range | undefined): Corners | null {
  if (!corners || !kept || kept.low === 1) return corners;
  const before = leached.get(corners);
  if (before?.kept.low === kept.low && before.kept.high === kept.high) return before.corners;
  const at = (share: number) => corners.map((c) => c.map((v, i) => (i === AT.potassiumMg ? v * share : v)));
  const out = [...at(kept.best), ...at(kept.low), ...at(kept.high)];
  leached.set(corners, { kept, corners: out });
  return out;
}

/**
 * What a read recipe is to its limits.
 *
 * @param plate size of the plate against the recipe's own: 1.5 eats a half more of the pot
 */
export const dishOf = (read: ReadRecipe, plate = 1): Dish => ({
  lines: read.lines.map((l, i) => eaten(l.corners, read.yields[i]?.potassium)),
  yields: read.yields.map((y) => y.factor),
  servings: plate === 1 ? read.servings.range : over(read.servings.range, exact(plate)),
  potG: read.potG,
  ends: read.ends.map((end) => dishOf(end, plate)),
});

export const isComplete = (dish: Dish): dish is CompleteDish =>
  dish.lines.length > 0 && dish.lines.every((l) => l !== null) && dish.ends.every(isComplete);

/** The smallest range that holds a figure of a dish whatever number of plates it is for. */
export function overEnds<D extends Dish>(dish: D, figure: (dish: D) => Range | null): Range | null {
  if (dish.ends.length === 0) return figure(dish);
  const likely = { ...dish, servings: exact(dish.servings.best), ends: [] };
  return [likely, ...(dish.ends as readonly D[])].map(figure).reduce((a, b) => (a && b ? hull(a, b) : null));
}

/** The lines that are understood, with their yields. */
export function knownPart(dish: Dish): CompleteDish {
  if (isComplete(dish)) return dish;
  const kept = dish.lines.flatMap((line, i) => (line ? [{ line, i }] : []));
  return {
    ...dish,
    lines: kept.map((k) => k.line),
    yields: kept.map((k) => dish.yields[k.i] ?? exact(1)),
    ends: dish.ends.map(knownPart),
  };
}

/** Grams of the whole dish as eaten: weighed, or what goes in times what the method leaves of it. */
export const eatenG = (dish: CompleteDish): Range =>
  dish.potG === null ? weightEaten(dish.lines, dish.yields) : exact(dish.potG);

/** A component in 100 g as eaten, bounded exactly; null where it is not known or nothing is eaten. */
export function in100g(dish: CompleteDish, field: Field, part: Part = AT[field]): Range | null {
  if (dish.potG === null) return ratioBounds(dish.lines, part, AT.weightG, 100, dish.yields);
  const sum = sumBounds(dish.lines, part);
  return Number.isNaN(sum.high) ? null : scale(over(sum, exact(dish.potG)), 100);
}
