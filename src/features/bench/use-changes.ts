import { toast } from 'sonner';
import { versionText } from '@/core/adapt/versions';
import type { Change } from '@/core/adapt/schema';
import { SWAPS } from '@/core/swap/roles';
import type { SwapPreview } from '@/core/swap/rank';
import { database, type StoredRecipe } from '@/data/db';
import { countSwaps, uncountSwaps } from '@/data/kitchen';
import { newRecipe, rootOf, saveRecipe } from '@/data/recipes';

const KNOWN = new Set(SWAPS.map((s) => s.id));
const swapsOf = (changes: readonly Change[]) => changes.map((c) => c.swap).filter((id) => KNOWN.has(id));

/** Swaps and plans carried out, each counted among what was done here, with a way back. */
export function useChanges(
  doc: StoredRecipe | null,
  change: (patch: { text: string }) => void,
  undo: () => void,
) {
  const made = (text: string, swaps: readonly string[], says: string) => {
    change({ text });
    void countSwaps(database(), swaps, Date.now());
    const back = () => {
      undo();
      void uncountSwaps(database(), swaps, Date.now());
    };
    toast(says, { action: { label: 'Undo', onClick: back } });
  };
  return {
    swap: (p: SwapPreview) => made(p.swapped.text, [p.swap.id], `${p.swap.name}: swapped.`),
    carryOut: (text: string, changes: readonly Change[]) =>
      made(
        text,
        swapsOf(changes),
        `${changes.length === 1 ? 'One change' : `${changes.length} changes`} made.`,
      ),
    /** Keeps an adapted text beside the recipe, with the reason for each change; gives its id. */
    keep: async (version: Parameters<typeof versionText>[0]): Promise<string> => {
      const now = Date.now();
      const recipe = newRecipe(versionText(version), now, {
        role: doc?.role ?? null,
        servings: doc?.servings ?? null,
        versionOf: doc ? rootOf(doc) : null,
      });
      await saveRecipe(database(), recipe);
      await countSwaps(database(), swapsOf(version.changes), now);
      return recipe.id;
    },
  };
}
