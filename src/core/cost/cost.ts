import type { Food } from '@/core/food/table';
import { tokens } from '@/core/food/tokens';
import { weigh } from '@/core/food/weigh';
import type { MeasureSettings } from '@/core/measure/units';
import { add, exact, hull, over, scale, times, type Range } from '@/core/range/range';
import { readLineWords } from '@/core/recipe/line';
import type { ReadFood, ReadLine, ReadRecipe } from '@/core/read/types';

/** What the cook pays: so much money for an amount as a shop sells it ("500 g", "1 lettuce", "1 can"). */
export interface Price {
  readonly pays: number;
  readonly amount: string;
}

/** The cook's prices by the id of their food. */
export type Prices = Readonly<Record<string, Price>>;

/** What a dish costs; a food without a price is said to have none, and is never counted as nothing. */
export interface Cost {
  /** Money of all that has a price. */
  readonly known: Range;
  /** Money of the whole dish; null while something in it has no price. */
  readonly whole: Range | null;
  /** Money of each line; null where a food or its amount is not known, or has no price. */
  readonly lines: readonly (Range | null)[];
  /** Foods without a price, each once. */
  readonly unpriced: readonly Food[];
}

/**
 * Money for a gram of the food as it is eaten: peel and stalk are paid for too.
 *
 * @returns null where the amount cannot be weighed for this food
 */
export function pricePerGram(price: Price, food: Food, measures: MeasureSettings): Range | null {
  const words = readLineWords(`${price.amount} ${food.name}`);
  const [first] = words.foods;
  // "a heap" is no amount that a shop sells
  const own = new Set([food.name, ...food.names].flatMap(tokens));
  if (!first || !tokens(first.food).every((t) => own.has(t))) return null;
  const weighed = weigh(first, food, measures);
  if (!weighed || weighed.grams.low <= 0) return null;
  const massed = first.measures.some((m) => m.unit?.kind === 'mass');
  const eaten = massed ? scale(weighed.grams, 1 - food.refuse / 100) : weighed.grams;
  return over(exact(price.pays), eaten);
}

/** Whether a price can be used for a food: an amount above nothing that can be weighed. */
export const isPrice = (price: Price, food: Food, measures: MeasureSettings): boolean =>
  price.pays >= 0 && pricePerGram(price, food, measures) !== null;

const FREE = new Set(['water']);

/**
 * What a recipe costs by the cook's own prices, as a range: amounts are ranges, and what may be left out may cost
 * nothing.
 */
export function costOf(read: ReadRecipe, prices: Prices, measures: MeasureSettings): Cost {
  const perGram = new Map<string, Range | null>();
  const unpriced = new Map<string, Food>();
  const ofFood = ({ food, grams }: ReadFood): Range | null => {
    if (!food || !grams) return null;
    if (FREE.has(food.kind)) return exact(0);
    let one = perGram.get(food.id);
    if (one === undefined) {
      const price = prices[food.id];
      one = price ? pricePerGram(price, food, measures) : null;
      perGram.set(food.id, one);
    }
    if (one) return times(grams, one);
    unpriced.set(food.id, food);
    return null;
  };
  const ofLine = (line: ReadLine): Range | null => {
    if (line.nothing) return exact(0);
    const foods = line.foods.map(ofFood);
    const others = line.alternatives.map(ofFood);
    if (foods.length === 0 || [...foods, ...others].some((c) => c === null)) return null;
    const together = (foods as Range[]).reduce(add, exact(0));
    const either = (others as Range[]).reduce(hull, together);
    const eaten = line.share ? times(either, line.share.share) : either;
    return line.optional || line.assumed ? { ...eaten, low: 0 } : eaten;
  };
  const lines = read.lines.map(ofLine);
  const known = lines.reduce<Range>((sum, c) => (c ? add(sum, c) : sum), exact(0));
  return {
    known,
    whole: lines.every((c) => c !== null) ? known : null,
    lines,
    unpriced: [...unpriced.values()],
  };
}

/** Money as a cook reads it, with her own sign before it. */
export const showMoney = (cost: Range, sign: string): string => {
  const shown = (n: number) => n.toFixed(2);
  const [low, high] = [shown(cost.low), shown(cost.high)];
  return low === high ? `${sign}${low}` : `${sign}${low}–${high}`;
};
