import { AT } from '@/core/food/nutrients';
import { shareOf, type Limit, type RoleId } from '@/core/protocol';
import { ratioBounds, sumBounds } from '@/core/range/bounds';
import { over, type Range } from '@/core/range/range';
import { isComplete, knownPart, type Dish } from './dish';
import type { AuditLimit, Verdict } from './schema';

/** Close to a limit without an aim of its own: the last seventh below it. */
const NEAR = 0.85;
const EPSILON = 1e-9;

/** The limit in the unit it is judged in: a day's amount becomes the dish's share of the day. */
export const limitFor = (limit: Limit, role: RoleId): number =>
  limit.per === 'day' ? limit.limit * shareOf(role) : limit.limit;

const aimFor = (limit: Limit, role: RoleId): number | null =>
  limit.aim === undefined ? null : limit.per === 'day' ? limit.aim * shareOf(role) : limit.aim;

/**
 * Where a range stands against a maximum. `within` and `near` only where no reading goes over; a range
 * that reaches both sides depends.
 */
export function judge(value: Range, limit: number, aim: number | null): Verdict {
  const slack = Math.max(limit, 1) * EPSILON;
  if (value.low > limit + slack) return 'over';
  if (value.high > limit + slack) return 'depends';
  if (limit === 0) return 'within';
  return value.high > (aim ?? limit * NEAR) ? 'near' : 'within';
}

/** A limit's value over the lines that are known, and whether all are. */
export function valueOf(limit: Limit, dish: Dish): { value: Range | null; atLeast: number | null } {
  if (limit.per === 'energy') {
    const value = isComplete(dish) ? ratioBounds(dish.lines, AT[limit.of], AT.energyKcal, 100) : null;
    return { value, atLeast: null };
  }
  const sum = over(sumBounds(knownPart(dish).lines, AT[limit.of]), dish.servings);
  if (Number.isNaN(sum.low)) return { value: null, atLeast: null };
  return isComplete(dish) ? { value: sum, atLeast: null } : { value: null, atLeast: sum.low };
}

/** Judges one limit of a protocol. What is surely over stays over, however much else is unknown. */
export function judgeLimit(limit: Limit, role: RoleId, dish: Dish): AuditLimit {
  const bound = limitFor(limit, role);
  const aim = aimFor(limit, role);
  const { value, atLeast } = valueOf(limit, dish);
  let verdict: Verdict = 'unknown';
  if (value) verdict = judge(value, bound, aim);
  else if (atLeast !== null && atLeast > bound + Math.max(bound, 1) * EPSILON) verdict = 'over';
  return {
    id: limit.id,
    label: limit.label,
    unit: limit.unit,
    limit: bound,
    aim,
    value,
    atLeast,
    verdict,
    source: limit.source,
  };
}

const WORST: readonly Verdict[] = ['over', 'unknown', 'depends', 'near', 'within'];

/** The verdict of a dish: the worst of its limits. */
export const worst = (verdicts: readonly Verdict[]): Verdict =>
  WORST.find((v) => verdicts.includes(v)) ?? 'unknown';
