import { AT, outerCorners, scaled, summed, zeros } from '@/core/food/nutrients';
import { naturalSpread } from '@/core/food/natural';
import type { Food } from '@/core/food/table';
import { add, type Range } from '@/core/range/range';
import type { Corners } from '@/core/range/bounds';

/** One way to read a line: this food, these grams, with this factor on its sodium. */
export interface Option {
  readonly food: Food;
  readonly grams: Range;
  readonly sodium: readonly [number, number, number];
  /** Figures vary as nature does. */
  readonly natural?: boolean | undefined;
}

function corner(perGram: Float64Array, grams: number, sodium: number): Float64Array {
  const v = scaled(perGram, grams);
  if (sodium !== 1) {
    v[AT.sodiumMg] = (v[AT.sodiumMg] as number) * sodium;
    v[AT.addedSodiumMg] = (v[AT.addedSodiumMg] as number) * sodium;
  }
  return v;
}

function cornersOf({ food, grams, sodium, natural }: Option): Float64Array[] {
  const spread = food.spread ?? (natural ? naturalSpread(food) : undefined);
  const out = [corner(food.perGram, grams.best, sodium[1])];
  const amounts = grams.low === grams.high ? [grams.best] : [grams.low, grams.high];
  const factors = sodium[0] === sodium[2] ? [sodium[1]] : [sodium[0], sodium[2]];
  // a packet's label leaves its figures open: each of its ends is a corner at each amount
  for (const figures of spread ?? [food.perGram])
    for (const g of amounts)
      for (const s of factors)
        if (spread || g !== grams.best || s !== sodium[1]) out.push(corner(figures, g, s));
  return out;
}

/**
 * The corners of a line that is read in one of several ways, the first way's best first. Where it is
 * optional, nothing at all is a corner too.
 */
export function cornersOfLine(options: readonly Option[], optional: boolean): Corners {
  const out = options.flatMap(cornersOf);
  if (optional) out.push(zeros());
  return out;
}

/** Pairs beyond which only the ends of what several foods of one line bring are kept. */
const MOST_PAIRS = 512;

/** Corners of two foods of one line that both go in: every pair of theirs, for each is what it is by itself. */
export function together(a: Corners, b: Corners): Corners {
  if (a.length * b.length > MOST_PAIRS) return boxed(a, b);
  return a.flatMap((x) => b.map((y) => summed([x, y])));
}

/** Too many pairs: a box around both. Wider than the truth, so nothing is called within that is not. */
function boxed(a: Corners, b: Corners): Corners {
  const best = summed([a[0] as Float64Array, b[0] as Float64Array]);
  const ends = (pick: (...values: number[]) => number) =>
    best.map((_, i) => pick(...a.map((v) => v[i] as number)) + pick(...b.map((v) => v[i] as number)));
  return [best, ...outerCorners(ends(Math.min), ends(Math.max))];
}

/** Grams of several foods of one line together. */
export const gramsTogether = (parts: readonly (Range | null)[]): Range | null =>
  parts.reduce<Range | null>((sum, part) => (sum && part ? add(sum, part) : null), {
    low: 0,
    best: 0,
    high: 0,
  });
