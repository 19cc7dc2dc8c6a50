import { correctionKey } from '@/core/read/brought/scan';
import type { Correction, ReadLine } from '@/core/read/types';
import type { StoredRecipe } from '@/data/db';
import type { Change } from './use-document';

/** What the cook said of the chosen line: its food, its grams, what it is there for. */
export function useCorrections(doc: StoredRecipe | null, line: ReadLine | undefined, change: Change) {
  const key = line && correctionKey(line.origin, line.line.text);
  const correction =
    key !== undefined && doc && Object.hasOwn(doc.corrections, key) ? doc.corrections[key] : undefined;
  const put = ({ foodId, grams, role }: Correction): Promise<number | null> => {
    if (!doc || key === undefined) return Promise.resolve(null);
    const said = {
      ...(foodId === undefined ? {} : { foodId }),
      ...(grams === undefined ? {} : { grams }),
      ...(role === undefined ? {} : { role }),
    };
    return change({ corrections: { [key]: Object.keys(said).length > 0 ? said : null } });
  };
  const role = correction?.role === undefined ? {} : { role: correction.role };
  return {
    correction,
    /** Food and grams; null takes both back. */
    correct: (said: Pick<Correction, 'foodId' | 'grams'> | null) => put({ ...said, ...role }),
    /** What it is there for; null leaves that to Dulvet. */
    overrule: (said: string | null) => {
      const kept = Object.fromEntries(Object.entries(correction ?? {}).filter(([k]) => k !== 'role'));
      void put(said === null ? kept : { ...kept, role: said });
    },
  };
}
