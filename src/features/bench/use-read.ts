'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import type { Larder } from '@/core/food/larder';
import { parseRecipe } from '@/core/recipe/parse';
import { titleOf } from '@/core/recipe/title';
import { readRecipe } from '@/core/read/read';
import { recipeShelf } from '@/core/read/recipes';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { database, type StoredRecipe } from '@/data/db';
import { listRecipes, markOfOthers } from '@/data/recipes';
import { useLarder } from '../larder/use-larder';
import { useSettings } from '../settings/use-settings';

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

/** The open recipe read: with the cook's packets, words, corrections, and her other recipes. */
export function useRead(doc: StoredRecipe | null): {
  readonly read: ReadRecipe | null;
  readonly settings: ReadSettings;
  readonly larder: Larder;
} {
  const { measures, natural } = useSettings();
  const { larder: table } = useLarder();
  const others = useOthers(doc?.id ?? null);
  const larder = useMemo<Larder>(() => {
    let own: Larder = table;
    const shelf = others.map((r) => ({
      id: r.id,
      title: titleOf(r.text),
      read: () =>
        readRecipe(parseRecipe(r.text), {
          measures,
          natural,
          corrections: r.corrections,
          larder: own,
          id: r.id,
        }),
    }));
    own = { ...table, recipes: recipeShelf(shelf) };
    return own;
  }, [table, others, measures, natural]);
  const settings = useMemo<ReadSettings>(
    () => ({
      measures,
      natural,
      corrections: doc?.corrections ?? {},
      larder,
      readingsOf: table,
      id: doc?.id,
      servings: doc?.servings ?? undefined,
      potG: doc?.potG ?? undefined,
      plateG: doc?.plateG ?? undefined,
    }),
    [measures, natural, doc?.corrections, doc?.id, doc?.servings, doc?.potG, doc?.plateG, larder, table],
  );
  const text = doc?.text;
  const read = useMemo(
    () => (text === undefined ? null : readRecipe(parseRecipe(text), settings)),
    [text, settings],
  );
  return { read, settings, larder };
}
