import { AT } from '@/core/food/nutrients';
import { shareOf, type Limit, type RoleId } from '@/core/protocol';
import { factorOf, partOfLimit } from '@/core/protocol/part';
import { ratioBounds, sumBounds } from '@/core/range/bounds';
import { over, type Range } from '@/core/range/range';
import { in100g, isComplete, knownPart, overEnds, type CompleteDish, type Dish } from './dish';
import type { AuditLimit, Verdict } from './schema';

/** Close to a limit without an aim of its own: the last seventh on its good side. */
const NEAR = 0.85;
const EPSILON = 1e-9;

/** The limit in the unit it is judged in: a day's amount becomes the dish's share of the day. */
export const limitFor = (limit: Limit, role: RoleId): number =>
  limit.per === 'day' ? limit.limit * shareOf(role) : limit.limit;

const aimFor = (limit: Limit, role: RoleId): number | null =>
  limit.aim === undefined ? null : limit.per === 'day' ? limit.aim * shareOf(role) : limit.aim;

/** True for limits of an amount on a plate, which more servings divide; the others are ratios. */
export const isAmount = (limit: Limit): boolean => limit.per === 'day' || limit.per === 'serving';

/**
 * Where a range stands against a limit. `within` and `near` only where no reading breaks it; a range that
 * reaches both sides depends. For a least, "over" means surely short of it.
 */
export function judge(
  value: Range,
  limit: number,
  aim: number | null,
  bound: Limit['bound'] = 'most',
): Verdict {
  const slack = Math.max(limit, 1) * EPSILON;
  if (bound === 'least') {
    if (value.high < limit - slack) return 'over';
    if (value.low < limit - slack) return 'depends';
    return value.low < (aim ?? limit / NEAR) ? 'near' : 'within';
  }
  if (value.low > limit + slack) return 'over';
  if (value.high > limit + slack) return 'depends';
  if (limit === 0) return 'within';
  return value.high > (aim ?? limit * NEAR) ? 'near' : 'within';
}

/** A ratio's value over a dish whose lines are all understood. */
function ratioOf(limit: Limit, dish: CompleteDish): Range | null {
  if (limit.per === '100g') return in100g(dish, limit.of, partOfLimit(limit));
  return ratioBounds(dish.lines, partOfLimit(limit), AT.energyKcal, factorOf(limit.per));
}

/** A limit's value over the lines that are known, and whether all are. */
export function valueOf(limit: Limit, dish: Dish): { value: Range | null; atLeast: number | null } {
  if (!isAmount(limit)) {
    const ratio = isComplete(dish) ? overEnds(dish, (d) => ratioOf(limit, d)) : null;
    return { value: ratio, atLeast: null };
  }
  const sum = overEnds(knownPart(dish), (d) => over(sumBounds(d.lines, partOfLimit(limit)), d.servings));
  if (!sum || Number.isNaN(sum.low)) return { value: null, atLeast: null };
  return isComplete(dish) ? { value: sum, atLeast: null } : { value: null, atLeast: sum.low };
}

/** Judges one limit of a protocol. What is surely over stays over, however much else is unknown. */
export function judgeLimit(limit: Limit, role: RoleId, dish: Dish): AuditLimit {
  const bound = limitFor(limit, role);
  const aim = aimFor(limit, role);
  const { value, atLeast } = valueOf(limit, dish);
  let verdict: Verdict = 'unknown';
  if (value) verdict = judge(value, bound, aim, limit.bound);
  else if (atLeast !== null && limit.bound === 'most' && atLeast > bound + Math.max(bound, 1) * EPSILON)
    verdict = 'over';
  return {
    id: limit.id,
    label: limit.label,
    unit: limit.unit,
    bound: limit.bound,
    limit: bound,
    aim,
    value,
    atLeast,
    verdict,
    source: limit.source,
    because: limit.because ?? null,
  };
}

const WORST: readonly Verdict[] = ['over', 'unknown', 'depends', 'near', 'within'];

/** The verdict of a dish: the worst of its limits. */
export const worst = (verdicts: readonly Verdict[]): Verdict =>
  WORST.find((v) => verdicts.includes(v)) ?? 'unknown';
