'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import { libraryOf, type KeptRecipe, type Library } from '@/core/read/library';
import { database, type StoredRecipe } from '@/data/db';
import { listRecipes, markOfOthers } from '@/data/recipes';
import { useBoxes } from './use-boxes';
import { useLarder } from './use-larder';
import { useSettings } from './use-settings';

const NO_RECIPES: StoredRecipe[] = [];

/** The other recipes, which may be ingredients of the open one. */
function useOthers(id: string | null): readonly StoredRecipe[] {
  // a change of another recipe, or one more, is a reason to look again; typing in the open one is not
  const mark = useLiveQuery(() => markOfOthers(database(), id), [id], '');
  const [others, setOthers] = useState<readonly StoredRecipe[]>(NO_RECIPES);
  useEffect(() => {
    let current = true;
    void listRecipes(database()).then((all) => {
      if (current) setOthers(all);
    });
    return () => {
      current = false;
    };
  }, [id, mark]);
  return others;
}

/** The shelf as a library: the one way from a kept recipe to a dish. */
export function useLibrary(openId: string | null): {
  readonly library: Library;
  readonly recipes: readonly KeptRecipe[];
} {
  const { measures, natural } = useSettings();
  const { larder } = useLarder();
  const others = useOthers(openId);
  const boxed = useBoxes();
  const recipes = useMemo(() => [...others, ...boxed], [others, boxed]);
  const library = useMemo(
    () => libraryOf(recipes, { measures, natural, larder }),
    [recipes, measures, natural, larder],
  );
  return { library, recipes };
}
