import { AT } from '@/core/food/nutrients';
import type { Part } from '@/core/range/bounds';
import type { Limit } from './schema';

/** What a ratio's number is multiplied by: %, for each kcal, for 1000 kcal, in 100 g; 1 for an amount on a plate. */
export function factorOf(per: Limit['per']): number {
  switch (per) {
    case 'energy':
    case '100g':
      return 100;
    case '1000kcal':
      return 1000;
    case 'kcal':
    case 'day':
    case 'serving':
      return 1;
  }
}

const parts = new WeakMap<Limit, Part>();

/** What a limit measures, as a part of a line's corner: one component, less what does not count of others. */
export function partOfLimit(limit: Limit): Part {
  const known = parts.get(limit);
  if (known !== undefined) return known;
  const minus = Object.entries(limit.minus ?? {}) as [keyof typeof AT, number][];
  const part: Part =
    minus.length === 0
      ? AT[limit.of]
      : [[AT[limit.of], 1] as const, ...minus.map(([name, share]) => [AT[name], -share] as const)];
  parts.set(limit, part);
  return part;
}
