import { AT } from '@/core/food/nutrients';
import type { Limit, RoleId } from '@/core/protocol';
import { factorOf, partOfLimit } from '@/core/protocol/part';
import { partOf, type Corners } from '@/core/range/bounds';
import { exact } from '@/core/range/range';
import type { CompleteDish } from './dish';
import { isAmount, judgeLimit } from './limits';

const MOST = 3;

/** How far apart a line's corners lie, as seen by one limit. */
function spread(line: Corners, limit: Limit, lambda: number): number {
  const part = partOfLimit(limit);
  let low = Infinity;
  let high = -Infinity;
  for (const corner of line) {
    const n = partOf(corner, part);
    const by = limit.per === '100g' ? AT.weightG : AT.energyKcal;
    const value = isAmount(limit) ? n : n - lambda * (corner[by] as number);
    low = Math.min(low, value);
    high = Math.max(high, value);
  }
  return high - low;
}

/**
 * The lines (by index) whose measuring would settle a limit that depends, the most telling first; -1
 * stands for the number of servings. Lines are settled one after the other at their best reading until
 * the limit no longer depends; the list may not settle it where the best readings lie on the limit.
 */
export function deciding(limit: Limit, role: RoleId, dish: CompleteDish): number[] {
  const out: number[] = [];
  const { lines, servings } = dish;
  let current = dish;
  const judged = (d: CompleteDish) => judgeLimit(limit, role, d);
  const lambda = judged(current).limit / factorOf(limit.per);
  const byServings = isAmount(limit) && servings.low !== servings.high;
  const order = lines
    .map((line, index) => ({ index, size: spread(line, limit, lambda) }))
    .filter((l) => l.size > 0)
    .sort((a, b) => b.size - a.size);
  if (byServings && judged({ ...dish, servings: exact(servings.best) }).verdict !== 'depends') return [-1];
  for (const { index } of order) {
    if (out.length >= MOST) break;
    const best = current.lines[index]?.[0];
    if (!best) continue;
    current = { ...current, lines: current.lines.map((l, i) => (i === index ? [best] : l)) };
    out.push(index);
    if (judged(current).verdict !== 'depends') return out;
  }
  if (byServings && out.length < MOST) out.push(-1);
  return out;
}
