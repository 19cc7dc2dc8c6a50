import { linearOf } from '@/core/audit/linear';
import { isComplete, type CompleteDish } from '@/core/audit/dish';
import { roleOf } from '@/core/audit/role';
import type { Limit, Protocol, RoleId } from '@/core/protocol';
import { exact } from '@/core/range/range';
import { allergensOfLines, conflictsOf } from '@/core/read/allergens';
import { dislikesIn } from '@/core/read/dislikes';
import type { ReadLine, ReadRecipe } from '@/core/read/types';
import { dishOfEaten, ofDay, partOf, shareOf } from '@/core/week/eaten';
import { GROUPS, groupsOf } from '@/core/week/groups';

/** Somebody who is planned for. */
export interface Eater {
  readonly id: string;
  readonly name: string;
  readonly protocol: Protocol;
  readonly allergens: readonly string[];
  readonly dislikes: readonly string[];
  /** Size of their plate against the recipe's own. */
  readonly plate: number;
}

/** A dish that may be cooked, or something cooked that is left. */
export interface Offer {
  readonly id: string;
  readonly read: ReadRecipe;
  readonly role: RoleId | null;
  /** Minutes that it keeps somebody at the stove. */
  readonly minutes: number;
  /** Money of the whole dish; null where it is not known. */
  readonly cost: number | null;
  /** Plates that are there already; null for what is cooked anew. */
  readonly left: { readonly plates: number; readonly from: number; readonly until: number } | null;
}

/** Meals that stay as they are: what somebody eats of them on a day. */
export interface Kept {
  readonly day: number;
  readonly meal: string;
  /** Place of the eater. */
  readonly eater: number;
  /** What is eaten, with how much of it; null where it is not understood. */
  readonly read: ReadRecipe | null;
  readonly plates?: number | undefined;
  readonly grams?: number | undefined;
}

/** The meals that a dish of a role is eaten at; none for a sauce or a side, which are eaten with something. */
const MEALS_OF: Readonly<Record<RoleId, readonly string[]>> = {
  main: ['lunch', 'supper'],
  breakfast: ['breakfast'],
  snack: ['snack'],
  side: [],
  sauce: [],
};
export const mealsOf = (role: RoleId): readonly string[] => MEALS_OF[role];

/** A limit of somebody's day as a sum that must stay below a constant. */
export interface DayRow {
  readonly limit: Limit;
  readonly most: number;
}

/** What a plate of a dish adds to each of somebody's rows and food groups. */
export interface Plate {
  readonly adds: readonly number[];
  /** Units of each food group, at least. */
  readonly groups: readonly number[];
}

/** Why a dish is not offered to somebody. */
export type Refusal = 'not understood' | 'allergen' | 'disliked' | 'banned';

/** The limits of somebody's day as rows; the constant is what the whole day may hold. */
export function rowsOf(protocol: Protocol, meals: number): readonly DayRow[] {
  const nothing = dishOfEaten({ corners: [], yields: [] }) as CompleteDish;
  return protocol.limits.map((own) => {
    const limit = ofDay(own, meals);
    return { limit, most: linearOf(limit, 'main', nothing).constant };
  });
}

/** What some of a dish adds to rows at its worst; null where a line is not understood. */
export function addsTo(
  rows: readonly DayRow[],
  read: ReadRecipe,
  amount: { readonly plates?: number | undefined; readonly grams?: number | undefined },
  plate: number,
): number[] | null {
  const share = shareOf(amount, plate, read);
  const dish = share && dishOfEaten(partOf(read, share));
  if (!dish || !isComplete(dish)) return null;
  return rows.map((row) => linearOf(row.limit, 'main', dish).lines.reduce((sum, v) => sum + v, 0));
}

/** Units of each food group in a plate, at least. */
const groupsIn = (lines: readonly ReadLine[], plate: number, read: ReadRecipe): number[] => {
  const share = shareOf({ plates: 1 }, plate, read) ?? exact(0);
  const found = groupsOf([{ lines, share }]);
  return GROUPS.map((g) => found.find((x) => x.id === g.id)?.amount.low ?? 0);
};

/** What a plate of a dish is to somebody, or why it is not for them. */
export function plateFor(offer: Offer, eater: Eater, rows: readonly DayRow[]): Plate | Refusal {
  const { read } = offer;
  const conflict = conflictsOf(allergensOfLines(read.lines), eater.allergens);
  if (conflict.has.length > 0 || conflict.doubts.length > 0) return 'allergen';
  if (dislikesIn(read, eater.dislikes).length > 0) return 'disliked';
  const adds = addsTo(rows, read, { plates: 1 }, eater.plate);
  if (!adds) return 'not understood';
  // a row that no other food makes up for: what is banned, or alone more than a whole day may hold
  const banned = rows.some(
    (row, r) =>
      row.limit.bound === 'most' &&
      (row.limit.per === 'serving' || row.limit.per === 'day') &&
      (adds[r] as number) > row.most + 1e-9,
  );
  return banned ? 'banned' : { adds, groups: groupsIn(read.lines, eater.plate, read) };
}

/** The role a dish is planned by: the cook's own word, or what it reads like. */
export const roleOfOffer = (offer: Offer): RoleId => offer.role ?? roleOf(offer.read).role;
