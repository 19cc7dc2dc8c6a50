'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { database } from '@/data/db';
import { listRecipes } from '@/data/recipes';
import { askLibrary, plainRecipes } from '@/workers/library';
import { useLibraryContext } from '@/kitchen/use-library-context';

export interface Use {
  readonly id: string;
  readonly title: string;
  readonly line: string;
}

/** Recipes on the shelf that use a food, read in the worker; null until they are. */
export function useUses(foodId: string): { readonly uses: readonly Use[]; readonly why?: string } | null {
  const context = useLibraryContext();
  const recipes = useLiveQuery(() => listRecipes(database()), [], null);
  const [found, setFound] = useState<{ of: string; uses: readonly Use[]; why?: string } | null>(null);
  useEffect(() => {
    if (!recipes) return;
    let current = true;
    void askLibrary((d) => d.uses(plainRecipes(recipes), foodId, context)).then(
      (uses) => {
        if (current) setFound({ of: foodId, uses });
      },
      (error: Error) => {
        if (current) setFound({ of: foodId, uses: [], why: error.message });
      },
    );
    return () => {
      current = false;
    };
  }, [recipes, foodId, context]);
  return found?.of === foodId ? found : null;
}
