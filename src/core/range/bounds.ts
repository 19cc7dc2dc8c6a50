import type { Range } from './range';

/**
 * Everything one line of a recipe can bring, as the corners of what its words allow: each corner is a
 * vector of amounts (see food/nutrients), the first is the best reading. What the line really brings
 * lies between its corners, and lines do not depend on each other, so sums and ratios over lines
 * reach their extremes at corners.
 */
export type Corners = readonly Float64Array[];

/** Exact bounds of the sum of one component over lines. */
export function sumBounds(lines: readonly Corners[], index: number): Range {
  let low = 0;
  let best = 0;
  let high = 0;
  for (const corners of lines) {
    let lo = Infinity;
    let hi = -Infinity;
    for (const corner of corners) {
      const value = corner[index] as number;
      if (value < lo) lo = value;
      if (value > hi) hi = value;
      if (value !== value) return { low: NaN, best: NaN, high: NaN };
    }
    if (corners.length === 0) continue;
    low += lo;
    high += hi;
    best += (corners[0] as Float64Array)[index] as number;
  }
  return { low, best, high };
}

/**
 * Exact bounds of Σ numerator ÷ Σ denominator over lines, both non-negative.
 *
 * A fractional programme over a product of corner sets: for a trial ratio λ each line alone chooses the
 * corner that is extreme in (numerator − λ·denominator), and the ratio of the chosen corners is the next
 * λ. The sequence is monotone and stops at the optimum (W. Dinkelbach, "On nonlinear fractional
 * programming", Management Science 13, 1967).
 *
 * @returns null where every reading has a denominator of zero, or a part of it is unknown (NaN).
 */
export function ratioBounds(
  lines: readonly Corners[],
  numerator: number,
  denominator: number,
  factor = 1,
): Range | null {
  const best = ratioAt(lines, numerator, denominator);
  const high = extreme(lines, numerator, denominator, 1);
  const low = extreme(lines, numerator, denominator, -1);
  if (best === null || high === null || low === null) return null;
  return { low: Math.min(low, best) * factor, best: best * factor, high: Math.max(high, best) * factor };
}

function ratioAt(lines: readonly Corners[], numerator: number, denominator: number): number | null {
  let n = 0;
  let d = 0;
  for (const corners of lines) {
    const corner = corners[0];
    if (!corner) continue;
    n += corner[numerator] as number;
    d += corner[denominator] as number;
  }
  if (n !== n || d !== d) return null;
  if (d <= 0) return n <= 0 ? highestDenominator(lines, denominator) : null;
  return n / d;
}

/** 0 where some reading has a denominator, null where none has. */
function highestDenominator(lines: readonly Corners[], denominator: number): number | null {
  return sumBounds(lines, denominator).high > 0 ? 0 : null;
}

function extreme(
  lines: readonly Corners[],
  numerator: number,
  denominator: number,
  sign: 1 | -1,
): number | null {
  let lambda: number | null = null;
  for (let round = 0; round < 60; round += 1) {
    let n = 0;
    let d = 0;
    for (const corners of lines) {
      let bestValue = -Infinity;
      let bestN = 0;
      let bestD = 0;
      for (const corner of corners) {
        const cn = corner[numerator] as number;
        const cd = corner[denominator] as number;
        if (cn !== cn || cd !== cd) return null;
        // first round: λ unknown, take the corner with most denominator so that the ratio exists
        const value = lambda === null ? cd : sign * (cn - lambda * cd);
        if (value > bestValue || (value === bestValue && cd > bestD)) {
          bestValue = value;
          bestN = cn;
          bestD = cd;
        }
      }
      n += bestN;
      d += bestD;
    }
    if (d <= 0) return lambda;
    const next = n / d;
    if (lambda !== null && sign * (next - lambda) <= Math.abs(lambda) * 1e-12) return lambda;
    lambda = next;
  }
  return lambda;
}

/** Bounds of what one line adds to a ratio: its numerator over everyone's denominator. */
export function shareBounds(
  line: Corners,
  denominatorOfAll: Range,
  numerator: number,
  denominator: number,
  factor = 1,
): Range | null {
  let ownLow = Infinity;
  let ownHigh = -Infinity;
  for (const corner of line) {
    const value = corner[denominator] as number;
    if (value < ownLow) ownLow = value;
    if (value > ownHigh) ownHigh = value;
  }
  const othersLow = denominatorOfAll.low - ownLow;
  const othersHigh = denominatorOfAll.high - ownHigh;
  let low = Infinity;
  let high = -Infinity;
  for (const corner of line) {
    const n = corner[numerator] as number;
    const d = corner[denominator] as number;
    const least = n <= 0 ? 0 : n / (d + othersHigh);
    const most = n <= 0 ? 0 : n / Math.max(d + othersLow, 1e-12);
    if (least < low) low = least;
    if (most > high) high = most;
  }
  const first = line[0];
  const best = first && denominatorOfAll.best > 0 ? (first[numerator] as number) / denominatorOfAll.best : 0;
  if (!(low <= high)) return null;
  return { low: low * factor, best: Math.min(Math.max(best, low), high) * factor, high: high * factor };
}
