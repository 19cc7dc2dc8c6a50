import raw from '@content/compiled/groups.json';
import type { Food } from '@/core/food/table';
import { add, exact, range, scale, type Range } from '@/core/range/range';
import type { ReadLine } from '@/core/read/types';
import type { GroupFile } from './groups-schema';

// checked by Zod when content is compiled
const { groups } = raw as unknown as GroupFile;
/** Food groups of a day, with their units and goals. */
export const GROUPS = groups;

/** Lines that somebody eats a share of. */
export interface Share {
  readonly lines: readonly ReadLine[];
  readonly share: Range;
}

/** What somebody eats of a group in a day. */
export interface GroupAmount {
  readonly id: string;
  readonly amount: Range;
}

const groupOf = (food: Food): GroupFile['groups'][number] | undefined =>
  groups.find((g) => g.foods.includes(food.id)) ?? groups.find((g) => g.kinds.includes(food.kind));

const DRY_WATER = 20;
const LEAF_RAW = 80;

/** Units of its group in a gram of a food as it goes into the dish. */
function unitsIn({ grams }: GroupFile['groups'][number], food: Food): number {
  const water = food.waterG ?? 100;
  if (grams.dry !== undefined && water < (food.kind === 'dried-fruit' ? 40 : DRY_WATER)) return 1 / grams.dry;
  // a leaf that is cooked already has its own row; one that is bought is raw
  if (grams.raw !== undefined && food.kind === 'leaf' && water > LEAF_RAW && !/cooked|canned/.test(food.id))
    return 1 / grams.raw;
  return 1 / grams.eaten;
}

const times = (a: Range, b: Range): Range => range(a.low * b.low, a.best * b.best, a.high * b.high);

/**
 * What somebody eats of each group, in the group's units: by the food that a line most likely means, with all that its
 * grams and the share of it allow. A line that is not understood is in no group: amounts are then "at least".
 */
export function groupsOf(shares: readonly Share[]): GroupAmount[] {
  const sums = new Map(groups.map((g) => [g.id, exact(0) as Range]));
  for (const { lines, share } of shares)
    for (const line of lines)
      for (const { food, grams } of line.foods) {
        if (!food || !grams || line.nothing) continue;
        const group = groupOf(food);
        if (!group) continue;
        const eaten = line.share ? times(grams, line.share.share) : grams;
        const sure = line.optional || line.assumed ? range(0, eaten.best, eaten.high) : eaten;
        const amount = scale(times(sure, share), unitsIn(group, food));
        sums.set(group.id, add(sums.get(group.id) ?? exact(0), amount));
      }
  return groups.map((g) => ({ id: g.id, amount: sums.get(g.id) ?? exact(0) }));
}
