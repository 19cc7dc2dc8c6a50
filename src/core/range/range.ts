/**
 * What a loose figure can be. `low` and `high` are what the words allow, `best` is the likeliest;
 * low ≤ best ≤ high. Not a statistical spread.
 */
export interface Range {
  readonly low: number;
  readonly best: number;
  readonly high: number;
}

/** A range from its three figures, put in order. */
export function range(low: number, best: number, high: number): Range {
  const lo = Math.min(low, high);
  const hi = Math.max(low, high);
  return { low: lo, best: Math.min(Math.max(best, lo), hi), high: hi };
}

/** A figure that is known exactly. */
export const exact = (value: number): Range => ({ low: value, best: value, high: value });

/** Sum of two ranges: their ends add. */
export const add = (a: Range, b: Range): Range => ({
  low: a.low + b.low,
  best: a.best + b.best,
  high: a.high + b.high,
});

/** Product of two ranges of non-negative figures. */
export const times = (a: Range, b: Range): Range => ({
  low: a.low * b.low,
  best: a.best * b.best,
  high: a.high * b.high,
});

/** A range times a non-negative factor. */
export const scale = (a: Range, factor: number): Range => ({
  low: a.low * factor,
  best: a.best * factor,
  high: a.high * factor,
});

/** A non-negative range over a positive one: the least over the most, the most over the least. */
export const over = (a: Range, b: Range): Range => ({
  low: a.low / b.high,
  best: a.best / b.best,
  high: a.high / b.low,
});

/** The smallest range that holds both; the first one's best stays. */
export const hull = (a: Range, b: Range): Range => ({
  low: Math.min(a.low, b.low),
  best: a.best,
  high: Math.max(a.high, b.high),
});
