import { AT } from '@/core/food/nutrients';
import type { Food } from '@/core/food/table';
import type { Limit, RoleId } from '@/core/protocol';
import { factorOf, partOfLimit } from '@/core/protocol/part';
import { partOf, type Corners } from '@/core/range/bounds';
import { exact, type Range } from '@/core/range/range';
import type { CompleteDish } from './dish';
import { isAmount, limitFor } from './limits';

/**
 * A limit as one linear sum over lines that must not be above a constant: Σ (part − λ·denominator) at each
 * line's worst corner and yield; for an amount λ is 0 and the constant is what all plates may hold.
 */
export interface Linear {
  /** What one line adds to the sum at its worst, given how much of its weight is eaten. */
  readonly worst: (line: Corners, yieldOf: Range) => number;
  /** Worst value of each line of the dish. */
  readonly lines: readonly number[];
  readonly constant: number;
  /** What one gram more of a food adds. */
  readonly perGram: (food: Food) => number;
}

/**
 * Worst value of each line whatever number of plates the dish is for. Of an amount on a plate the few are the worst
 * (of a least the many); a share is bounded line by line, which is no less than the truth.
 */
function worstOfEnds(
  dish: CompleteDish,
  linesOf: (dish: CompleteDish) => readonly number[],
  end: 'few' | 'many' | 'either',
): readonly number[] {
  const own = linesOf(dish);
  const [few, many] = dish.ends.map(linesOf);
  if (!few || !many || few.length !== own.length || many.length !== own.length) return own;
  if (end !== 'either') return end === 'few' ? few : many;
  return own.map((v, i) => Math.max(v, few[i] as number, many[i] as number));
}

/** The linear form of a limit in a dish; exact, for every line's worst corner is its own. */
export function linearOf(limit: Limit, role: RoleId, dish: CompleteDish): Linear {
  const part = partOfLimit(limit);
  const sign = limit.bound === 'most' ? 1 : -1;
  const bound = limitFor(limit, role);
  const amount = isAmount(limit);
  const lambda = amount ? 0 : bound / factorOf(limit.per);
  const byWeight = limit.per === '100g';
  const by = byWeight ? AT.weightG : AT.energyKcal;
  // a weighed pot is one constant, whatever its lines weigh
  const weighed = byWeight && dish.potG !== null;
  const value = (v: Float64Array, scale: number) =>
    sign * (partOf(v, part) - lambda * (v[by] as number) * scale);
  const worst = (line: Corners, { low, high }: Range) => {
    if (!byWeight) return Math.max(...line.map((c) => value(c, 1)));
    if (weighed) return Math.max(...line.map((c) => value(c, 0)));
    return Math.max(...line.flatMap((c) => [value(c, low), value(c, high)]));
  };
  const linesOf = (d: CompleteDish) => d.lines.map((line, i) => worst(line, d.yields[i] ?? exact(1)));
  return {
    worst,
    lines: worstOfEnds(dish, linesOf, amount ? (sign > 0 ? 'few' : 'many') : 'either'),
    // the fewest plates make the most of it on each, the most plates the least
    constant: amount
      ? sign * bound * (sign > 0 ? dish.servings.low : dish.servings.high)
      : weighed
        ? sign * lambda * (dish.potG ?? 0)
        : 0,
    perGram: (food) => Math.max(...[food.perGram, ...(food.spread ?? [])].map((v) => value(v, 1))),
  };
}
