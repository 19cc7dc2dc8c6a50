import type { Range } from './range';

/**
 * Everything one line of a recipe can bring, as the corners of what its words allow: each corner is a
 * vector of amounts (see food/nutrients), the first is the best reading. What the line really brings
 * lies between its corners, and lines do not depend on each other, so sums and ratios over lines
 * reach their extremes at corners.
 */
export type Corners = readonly Float64Array[];

/** A component by its position, or a weighted sum of several. */
export type Part = number | readonly (readonly [index: number, weight: number])[];

/** The value of a part in one corner. */
export function partOf(corner: Float64Array, part: Part): number {
  if (typeof part === 'number') return corner[part] as number;
  let sum = 0;
  for (const [index, weight] of part) sum += weight * (corner[index] as number);
  return sum;
}

interface Ends {
  readonly low: Float64Array;
  readonly high: Float64Array;
}
const ends = new WeakMap<Corners, Ends>();

/** Least and most of every component over a line's corners; NaN where a corner does not know it. */
function endsOf(corners: Corners): Ends {
  const known = ends.get(corners);
  if (known) return known;
  const first = corners[0] as Float64Array;
  const low = Float64Array.from(first);
  const high = Float64Array.from(first);
  for (const corner of corners)
    for (let i = 0; i < first.length; i += 1) {
      const value = corner[i] as number;
      // Math.min and Math.max keep NaN
      low[i] = Math.min(low[i] as number, value);
      high[i] = Math.max(high[i] as number, value);
    }
  const found = { low, high };
  ends.set(corners, found);
  return found;
}

/** Exact bounds of the sum of one component over lines; NaN where one of them does not know it. */
export function sumBounds(lines: readonly Corners[], part: Part): Range {
  if (typeof part !== 'number') return sumOfParts(lines, part);
  const index = part;
  let low = 0;
  let best = 0;
  let high = 0;
  for (const corners of lines) {
    const own = endsOf(corners);
    low += own.low[index] as number;
    high += own.high[index] as number;
    best += (corners[0] as Float64Array)[index] as number;
  }
  return Number.isNaN(low + high) ? { low: NaN, best: NaN, high: NaN } : { low, best, high };
}

function sumOfParts(lines: readonly Corners[], part: Part): Range {
  let [low, best, high] = [0, 0, 0];
  for (const corners of lines) {
    const values = corners.map((c) => partOf(c, part));
    low += Math.min(...values);
    high += Math.max(...values);
    best += values[0] as number;
  }
  return Number.isNaN(low + high) ? { low: NaN, best: NaN, high: NaN } : { low, best, high };
}

/**
 * Exact bounds of Σ numerator ÷ Σ denominator over lines, both non-negative.
 *
 * A fractional programme over a product of corner sets: for a trial ratio λ each line alone chooses the
 * corner that is extreme in (numerator − λ·denominator), and the ratio of the chosen corners is the next
 * λ. The sequence is monotone and stops at the optimum (W. Dinkelbach, "On nonlinear fractional
 * programming", Management Science 13, 1967).
 *
 * @param scales what each line's denominator is multiplied by (a yield), itself a range: independent of the
 *   corner, so the numerator's greatest goes with its lowest
 * @returns null where a reading has no denominator, or a part of it is unknown (NaN).
 */
export function ratioBounds(
  lines: readonly Corners[],
  numerator: Part,
  denominator: number,
  factor = 1,
  scales?: readonly Range[],
): Range | null {
  const best = ratioAt(lines, numerator, denominator, scales);
  const most = flatten(lines, numerator, denominator, scales, 'low');
  const least = scales ? flatten(lines, numerator, denominator, scales, 'high') : most;
  if (best === null || most === null || least === null) return null;
  const high = extreme(most, best, 1);
  const low = extreme(least, best, -1);
  if (!Number.isFinite(high)) return null;
  return { low: Math.min(low, best) * factor, best: best * factor, high: Math.max(high, best) * factor };
}

function ratioAt(
  lines: readonly Corners[],
  numerator: Part,
  denominator: number,
  scales?: readonly Range[],
): number | null {
  let n = 0;
  let d = 0;
  lines.forEach((corners, i) => {
    const corner = corners[0];
    if (!corner) return;
    n += partOf(corner, numerator);
    d += (corner[denominator] as number) * (scales?.[i]?.best ?? 1);
  });
  if (n !== n || d !== d) return null;
  if (d <= 0) return n <= 0 ? highestDenominator(lines, denominator) : null;
  return n / d;
}

/** 0 where some reading has a denominator, null where none has. */
function highestDenominator(lines: readonly Corners[], denominator: number): number | null {
  return sumBounds(lines, denominator).high > 0 ? 0 : null;
}

/** Numerators and denominators of all corners in one run of memory; `stops` closes each line's stretch. */
interface Flat {
  readonly n: Float64Array;
  readonly d: Float64Array;
  readonly stops: readonly number[];
  readonly fixedN: number;
  readonly fixedD: number;
}

function flatten(
  lines: readonly Corners[],
  numerator: Part,
  denominator: number,
  scales: readonly Range[] | undefined,
  end: 'low' | 'high',
): Flat | null {
  let count = 0;
  for (const corners of lines) if (corners.length > 1) count += corners.length;
  const n = new Float64Array(count);
  const d = new Float64Array(count);
  const stops: number[] = [];
  let fixedN = 0;
  let fixedD = 0;
  let at = 0;
  for (let line = 0; line < lines.length; line += 1) {
    const corners = lines[line] as Corners;
    const by = scales?.[line]?.[end] ?? 1;
    for (const corner of corners) {
      const cn = partOf(corner, numerator);
      const cd = (corner[denominator] as number) * by;
      if (cn !== cn || cd !== cd) return null;
      // a line with one corner has no choice
      if (corners.length === 1) {
        fixedN += cn;
        fixedD += cd;
      } else {
        n[at] = cn;
        d[at] = cd;
        at += 1;
      }
    }
    if (corners.length > 1) stops.push(at);
  }
  return { n, d, stops, fixedN, fixedD };
}

function extreme({ n, d, stops, fixedN, fixedD }: Flat, start: number, sign: 1 | -1): number {
  let lambda = start;
  for (let round = 0; round < 60; round += 1) {
    let sumN = fixedN;
    let sumD = fixedD;
    let from = 0;
    for (const end of stops) {
      let most = -Infinity;
      let chosen = from;
      for (let i = from; i < end; i += 1) {
        const value = sign * ((n[i] as number) - lambda * (d[i] as number));
        if (value > most || (value === most && (d[i] as number) > (d[chosen] as number))) {
          most = value;
          chosen = i;
        }
      }
      sumN += n[chosen] as number;
      sumD += d[chosen] as number;
      from = end;
    }
    if (sumD <= 0) return sumN > 0 ? Infinity : lambda;
    const next = sumN / sumD;
    if (sign * (next - lambda) <= Math.abs(lambda) * 1e-12) return lambda;
    lambda = next;
  }
  return lambda;
}

/** Bounds of what one line adds to a ratio: its numerator over everyone's denominator. */
export function shareBounds(
  line: Corners,
  denominatorOfAll: Range,
  numerator: Part,
  denominator: number,
  factor = 1,
): Range | null {
  const own = endsOf(line);
  const othersLow = denominatorOfAll.low - (own.low[denominator] as number);
  const othersHigh = denominatorOfAll.high - (own.high[denominator] as number);
  let low = Infinity;
  let high = -Infinity;
  for (const corner of line) {
    const n = partOf(corner, numerator);
    const d = corner[denominator] as number;
    const least = n <= 0 ? 0 : n / (d + othersHigh);
    const most = n <= 0 ? 0 : n / Math.max(d + othersLow, 1e-12);
    if (least < low) low = least;
    if (most > high) high = most;
  }
  const first = line[0];
  const best = first && denominatorOfAll.best > 0 ? partOf(first, numerator) / denominatorOfAll.best : 0;
  if (!(low <= high)) return null;
  return { low: low * factor, best: Math.min(Math.max(best, low), high) * factor, high: high * factor };
}
