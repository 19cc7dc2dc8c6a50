import { correctionKey } from '@/core/read/read';
import type { Correction, ReadLine } from '@/core/read/types';
import type { StoredRecipe } from '@/data/db';

/** What the cook said of the chosen line: its food, its grams, what it is there for. */
export function useCorrections(
  doc: StoredRecipe | null,
  line: ReadLine | undefined,
  change: (patch: Pick<StoredRecipe, 'corrections'>) => void,
) {
  const key = line && correctionKey(line.origin, line.line.text);
  const correction = key === undefined ? undefined : doc?.corrections[key];
  const put = ({ foodId, grams, role }: Correction) => {
    if (!doc || key === undefined) return;
    const others = Object.fromEntries(Object.entries(doc.corrections).filter(([k]) => k !== key));
    const said = {
      ...(foodId === undefined ? {} : { foodId }),
      ...(grams === undefined ? {} : { grams }),
      ...(role === undefined ? {} : { role }),
    };
    change({ corrections: Object.keys(said).length > 0 ? { ...others, [key]: said } : others });
  };
  const role = correction?.role === undefined ? {} : { role: correction.role };
  return {
    correction,
    /** Food and grams; null takes both back. */
    correct: (said: Pick<Correction, 'foodId' | 'grams'> | null) => put({ ...said, ...role }),
    /** What it is there for; null leaves that to Dulvet. */
    overrule: (said: string | null) => {
      const kept = Object.fromEntries(Object.entries(correction ?? {}).filter(([k]) => k !== 'role'));
      put(said === null ? kept : { ...kept, role: said });
    },
  };
}
