'use client';
import { shownTitle } from '@/core/recipe/title';
import { database, type StoredRecipe } from '@/data/db';
import { emptyBin, restoreRecipe } from '@/data/recipes';
import { keep } from '@/data/saving';
import { Button } from '@/ui/button';

/** So many are named; all of them can be forgotten or put back from a file. */
const NAMED = 100;

/** Recipes that were taken off the shelf and are not gone yet. */
export function Bin({ binned }: { binned: readonly StoredRecipe[] }) {
  if (binned.length === 0) return null;
  return (
    <details className="no-print mt-4">
      <summary className="font-semibold text-rim">
        {binned.length === 1 ? 'One recipe' : `${binned.length} recipes`} taken off the shelf
      </summary>
      <ul className="mt-2 space-y-1">
        {binned.slice(0, NAMED).map((recipe) => (
          <li key={recipe.id} className="flex items-center gap-3">
            <span>{shownTitle(recipe.text)}</span>
            <Button
              look="plain"
              onClick={() => void keep('the shelf', () => restoreRecipe(database(), recipe.id))}
            >
              Put back
            </Button>
          </li>
        ))}
      </ul>
      {binned.length > NAMED && <p className="text-mute">and {binned.length - NAMED} more</p>}
      <Button
        look="plain"
        className="mt-2"
        onClick={() => void keep('the shelf', () => emptyBin(database()))}
      >
        Forget them for good
      </Button>
    </details>
  );
}
