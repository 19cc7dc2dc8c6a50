import { dishOf, type Dish } from '@/core/audit/dish';
import { totals } from '@/core/audit/figures';
import { judgeLimit, worst } from '@/core/audit/limits';
import type { AuditLimit, Nutrients, Verdict } from '@/core/audit/schema';
import { scaled } from '@/core/food/nutrients';
import type { Protocol, RoleId } from '@/core/protocol';
import { exact, type Range } from '@/core/range/range';
import type { ReadRecipe } from '@/core/read/types';

/** How much of each part of a dish is on a plate, 0–1 of the whole part; a part that is not named by its share of the plates. */
export type Shares = ReadonlyMap<string | null, Range>;

/** A plate with its own share of each part, judged by itself. */
export interface Plate {
  readonly figures: Nutrients;
  readonly limits: readonly AuditLimit[];
  readonly verdict: Verdict;
}

/** The parts of a dish, in the order of its list: the list itself is null. */
export const partsOfDish = (read: ReadRecipe): readonly (string | null)[] => [
  ...new Set(read.lines.filter((l) => l.origin === 'ingredients').map((l) => l.line.section)),
];

/**
 * What is on one plate, part by part: "an eighth of the sauce", "one pepper", unequal eaters, a filling left over. What the
 * method brings goes with the first part.
 */
export function plateOf(read: ReadRecipe, shares: Shares, protocol: Protocol, role: RoleId): Plate {
  const [first] = partsOfDish(read);
  const whole = dishOf(read);
  const shareOf = (line: ReadRecipe['lines'][number]): Range =>
    shares.get(line.origin === 'method' ? (first ?? null) : line.line.section) ?? exact(0);
  const dish: Dish = {
    ...whole,
    lines: whole.lines.map((corners, i) => {
      const line = read.lines[i];
      if (!corners || !line) return corners;
      const { low, best, high } = shareOf(line);
      const ends = low === high ? [best] : [best, low, high];
      return ends.flatMap((s) => corners.map((c) => scaled(c, s)));
    }),
    servings: exact(1),
    // the pot's weight is the whole pot's
    potG: null,
    ends: [],
  };
  const limits = protocol.limits.map((l) => judgeLimit(l, role, dish));
  const unknown = dish.lines.some((l) => l === null);
  return {
    figures: totals(dish),
    limits,
    verdict: worst([...limits.map((l) => l.verdict), ...(unknown ? (['unknown'] as const) : [])]),
  };
}
