'use client';
import { useEffect, useState } from 'react';
import type { KeptRecipe } from '@/core/read/library';
import type { OneChange } from '@/core/swap/one-change';
import type { StoredRecipe } from '@/data/db';
import { askLibrary } from '@/workers/library';
import { useLibraryContext } from '@/kitchen/use-library-context';
import type { TableDiner } from '@/kitchen/use-table';

const WAIT_MS = 500;

/** True where somebody may eat the dish as it is. */
export const mayEat = (d: TableDiner): boolean =>
  d.unsafe.length === 0 &&
  d.doubts.length === 0 &&
  (d.audit.verdict === 'within' || d.audit.verdict === 'near');

/**
 * For everyone who may not eat the dish as it is: the one swap that lets them, looked for in the worker once the
 * typing rests; null where none does, undefined while it is looked for.
 */
export function useOneChange(
  doc: StoredRecipe | null,
  table: readonly TableDiner[],
  needed: (recipe: StoredRecipe) => readonly KeptRecipe[],
): Readonly<Record<string, OneChange | null>> {
  const context = useLibraryContext();
  const [found, setFound] = useState<{ of: StoredRecipe; changes: Record<string, OneChange | null> } | null>(
    null,
  );
  useEffect(() => {
    if (!doc) return;
    let current = true;
    const look = async () => {
      const changes: Record<string, OneChange | null> = {};
      const recipes = needed(doc);
      for (const d of table) {
        if (mayEat(d) || d.audit.notAdapted) continue;
        changes[d.id] = await askLibrary((door) =>
          door.oneChange(
            recipes,
            doc.id,
            { protocol: d.protocol, allergens: d.allergens, plate: d.appetite },
            context,
          ),
        );
        if (!current) return;
      }
      setFound({ of: doc, changes });
    };
    const timer = setTimeout(
      // a worker that cannot start is said where it is asked for; here nothing is offered
      () => void look().catch(() => current && setFound({ of: doc, changes: {} })),
      WAIT_MS,
    );
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [doc, table, needed, context]);
  return found && found.of === doc ? found.changes : {};
}
