import { AT } from '@/core/food/nutrients';
import type { Part } from '@/core/range/bounds';
import type { Limit } from './schema';

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
