import type { Food } from '@/core/food/table';
import type { Limit, Protocol, RoleId } from '@/core/protocol';
import { partOfLimit } from '@/core/protocol/part';
import { partOf } from '@/core/range/bounds';
import { exact, range, type Range } from '@/core/range/range';
import { cornersOfLine } from '@/core/read/corners';
import type { Dish } from './dish';
import { isAmount, judgeLimit, limitFor } from './limits';
import type { Verdict } from './schema';

/** What one limit says of a food by itself. */
export interface FoodLimit {
  readonly limit: Limit;
  /** For shares and bans: the value in the food alone, and its verdict. */
  readonly value: Range | null;
  readonly verdict: Verdict | null;
  /** For amounts: grams of the food that fill a plate's limit; null where it brings none of it, or not known. */
  readonly gramsToLimit: Range | null;
}

/** A plate that holds nothing but some grams of a food. */
const plateOf = (food: Food, grams: number): Dish => ({
  lines: [cornersOfLine([{ food, grams: exact(grams), sodium: [1, 1, 1] }], false)],
  yields: [exact(1)],
  servings: exact(1),
  potG: null,
  ends: [],
});

/** Grams of a food until its amount of one component reaches a bound. */
function gramsUntil(food: Food, limit: Limit, bound: number): Range | null {
  const part = partOfLimit(limit);
  const figures = [food.perGram, ...(food.spread ?? [])].map((v) => partOf(v, part));
  const [best = 0] = figures;
  const most = Math.max(...figures);
  if (!(most > 1e-9)) return null;
  const grams = (perGram: number) => (perGram > 1e-9 ? bound / perGram : Infinity);
  return range(grams(most), grams(best), grams(Math.min(...figures)));
}

/**
 * A food or packet by itself under a protocol: shares and bans as they are, amounts as the grams of it that
 * fill a plate of the role.
 */
export function judgeFood(food: Food, protocol: Protocol, role: RoleId): FoodLimit[] {
  const dish = plateOf(food, 100);
  return protocol.limits.map((limit) => {
    const bound = limitFor(limit, role);
    if (isAmount(limit) && bound > 0)
      return { limit, value: null, verdict: null, gramsToLimit: gramsUntil(food, limit, bound) };
    const judged = judgeLimit(limit, role, dish);
    return { limit, value: judged.value, verdict: judged.verdict, gramsToLimit: null };
  });
}
