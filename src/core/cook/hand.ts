import { range, type Range } from '@/core/range/range';

/** How far one weighing of a loose measure may lie from the next one of the same hand, as a share (common practice). */
const ONE_WEIGHING = 0.3;

/**
 * What a cook's own drizzle, pinch or handful holds, in millilitres, from what she weighed: its least and most with room
 * for the next one, which gets less the oftener she weighs; null before the first.
 */
export function ownMeasure(weighed: readonly number[]): Range | null {
  if (weighed.length === 0) return null;
  const mean = weighed.reduce((s, v) => s + v, 0) / weighed.length;
  const room = mean * (ONE_WEIGHING / Math.sqrt(weighed.length));
  return range(Math.max(0, Math.min(...weighed) - room), mean, Math.max(...weighed) + room);
}
