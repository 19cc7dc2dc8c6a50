'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { auditRecipe } from '@/core/audit/audit';
import type { RecipeAudit, Verdict } from '@/core/audit/schema';
import { PROTOCOLS, type Protocol, type RoleId } from '@/core/protocol';
import { conflictsOf } from '@/core/read/allergens';
import { dislikesIn } from '@/core/read/dislikes';
import type { ReadRecipe } from '@/core/read/types';
import { database, type StoredDiner } from '@/data/db';
import { listDiners, newDiner } from '@/data/diners';

/** Somebody at the table, with the dish judged for them. */
export interface TableDiner {
  readonly id: string;
  readonly name: string;
  readonly protocol: Protocol;
  readonly allergens: readonly string[];
  readonly audit: RecipeAudit;
  /** Allergens of theirs that are in the dish. */
  readonly unsafe: readonly string[];
  /** Why it is not known whether it is safe for them; a doubt counts as a no. */
  readonly doubts: readonly string[];
  /** Foods in the dish that they would rather not eat. */
  readonly disliked: readonly string[];
  readonly appetite: number;
  readonly medical: boolean;
  /** Their own protocol is not kept any more: the dish is judged by another. */
  readonly protocolGone: boolean;
}

/** What stands before somebody's name: an allergen of theirs outranks every limit, a doubt all but "over". */
export const markFor = (d: Pick<TableDiner, 'unsafe' | 'doubts' | 'audit'>): Verdict =>
  d.unsafe.length > 0
    ? 'over'
    : d.doubts.length > 0 && d.audit.verdict !== 'over'
      ? 'unknown'
      : d.audit.verdict;

/** The diners kept, or each protocol as a diner of its own while there are none. */
export function useDiners(): readonly StoredDiner[] {
  const stored = useLiveQuery(() => listDiners(database()), [], null);
  return useMemo(() => {
    if (stored && stored.length > 0) return stored;
    return PROTOCOLS.map((p, order) => ({ ...newDiner(p.name, p.id, order), id: p.id }));
  }, [stored]);
}

/** The dish judged for everyone at the table; one audit for each protocol. */
export function judgeTable(
  diners: readonly StoredDiner[],
  read: ReadRecipe,
  role: RoleId | null,
  byId: (id: string) => Protocol | undefined,
): TableDiner[] {
  const audits = new Map<string, RecipeAudit>();
  return diners.map((diner) => {
    // somebody whose protocol is gone is not forgotten: the first school's rules hold until another is chosen
    const protocol = byId(diner.protocol) ?? (PROTOCOLS[0] as Protocol);
    const key = `${protocol.id} ${diner.appetite}`;
    const audit =
      audits.get(key) ??
      auditRecipe(read, protocol, { role: role ?? undefined, per100g: false, plate: diner.appetite });
    audits.set(key, audit);
    const conflict = conflictsOf(audit, diner.allergens);
    return {
      id: diner.id,
      name: diner.name,
      protocol,
      allergens: diner.allergens,
      audit,
      unsafe: conflict.has,
      doubts: conflict.doubts,
      disliked: dislikesIn(read, diner.dislikes),
      appetite: diner.appetite,
      medical: diner.medical,
      protocolGone: protocol.id !== diner.protocol,
    };
  });
}
