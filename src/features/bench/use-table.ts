'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { auditRecipe } from '@/core/audit/audit';
import type { RecipeAudit } from '@/core/audit/schema';
import { PROTOCOLS, protocolById, type Protocol, type RoleId } from '@/core/protocol';
import type { ReadRecipe } from '@/core/read/types';
import { database, type StoredDiner } from '@/data/db';
import { listDiners } from '@/data/diners';

/** Somebody at the table, with the dish judged for them. */
export interface TableDiner {
  readonly id: string;
  readonly name: string;
  readonly protocol: Protocol;
  readonly allergens: readonly string[];
  readonly audit: RecipeAudit;
  /** Allergens of theirs that are in the dish. */
  readonly unsafe: readonly string[];
}

/** The diners kept, or each protocol as a diner of its own while there are none. */
export function useDiners(): readonly StoredDiner[] {
  const stored = useLiveQuery(() => listDiners(database()), [], null);
  return useMemo(() => {
    if (stored && stored.length > 0) return stored;
    return PROTOCOLS.map((p, order) => ({ id: p.id, name: p.name, protocol: p.id, allergens: [], order }));
  }, [stored]);
}

/** The dish judged for everyone at the table; one audit for each protocol. */
export function judgeTable(
  diners: readonly StoredDiner[],
  read: ReadRecipe,
  role: RoleId | null,
): TableDiner[] {
  const audits = new Map<string, RecipeAudit>();
  return diners.flatMap((diner) => {
    const protocol = protocolById(diner.protocol);
    if (!protocol) return [];
    const audit =
      audits.get(protocol.id) ?? auditRecipe(read, protocol, { role: role ?? undefined, per100g: false });
    audits.set(protocol.id, audit);
    return [
      {
        id: diner.id,
        name: diner.name,
        protocol,
        allergens: diner.allergens,
        audit,
        unsafe: diner.allergens.filter((a) => audit.allergens.includes(a)),
      },
    ];
  });
}
