'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useState } from 'react';
import { database } from '@/data/db';
import { listRecipes } from '@/data/recipes';
import { library, plainRecipes } from '@/workers/library';
import { useLibraryContext } from '../shelf/use-context';

export interface Use {
  readonly id: string;
  readonly title: string;
  readonly line: string;
}

/** Recipes on the shelf that use a food, read in the worker; null until they are. */
export function useUses(foodId: string): readonly Use[] | null {
  const context = useLibraryContext();
  const recipes = useLiveQuery(() => listRecipes(database()), [], null);
  const [found, setFound] = useState<{ of: string; uses: readonly Use[] } | null>(null);
  useEffect(() => {
    if (!recipes) return;
    let current = true;
    void library()
      .uses(plainRecipes(recipes), foodId, context)
      .then((uses) => {
        if (current) setFound({ of: foodId, uses });
      });
    return () => {
      current = false;
    };
  }, [recipes, foodId, context]);
  return found?.of === foodId ? found.uses : null;
}
