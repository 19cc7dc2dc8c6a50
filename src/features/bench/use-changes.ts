import { toast } from 'sonner';
import { versionText } from '@/core/adapt/versions';
import type { Change as Made } from '@/core/adapt/schema';
import { SWAPS } from '@/core/swap/roles';
import type { SwapPreview } from '@/core/swap/rank';
import { database, type StoredRecipe } from '@/data/db';
import type { EditResult } from '@/data/edits';
import { keepVersion, newRecipe, rootOf } from '@/data/recipes';
import { keep } from '@/data/saving';
import type { Change } from './use-document';

const KNOWN = new Set(SWAPS.map((s) => s.id));
const swapsOf = (changes: readonly Made[]) => changes.map((c) => c.swap).filter((id) => KNOWN.has(id));

/** Swaps and plans carried out, each counted with its edit, with a way back that takes back that edit and no other. */
export function useChanges(
  doc: StoredRecipe | null,
  change: Change,
  back: (seq: number) => Promise<EditResult>,
) {
  const made = (text: string, swaps: readonly string[], says: string) => {
    void change({ text }, null, swaps).then((seq) => {
      if (seq === null) return;
      const onClick = () =>
        void back(seq).then((result) => {
          if (!result.ok) toast(result.message);
        });
      toast(says, { action: { label: 'Undo', onClick } });
    });
  };
  return {
    swap: (p: SwapPreview) => made(p.swapped.text, [p.swap.id], `${p.swap.name}: swapped.`),
    carryOut: (text: string, changes: readonly Made[]) =>
      made(
        text,
        swapsOf(changes),
        `${changes.length === 1 ? 'One change' : `${changes.length} changes`} made.`,
      ),
    /** Keeps an adapted text beside the recipe, with the reason for each change; gives its id, if it was kept. */
    keep: (version: Parameters<typeof versionText>[0]): Promise<string | undefined> => {
      const now = Date.now();
      const recipe = newRecipe(versionText(version), now, {
        role: doc?.role ?? null,
        servings: doc?.servings ?? null,
        versionOf: doc ? rootOf(doc) : null,
      });
      return keep('the version', () => keepVersion(database(), recipe, swapsOf(version.changes), now));
    },
  };
}
