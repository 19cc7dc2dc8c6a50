'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Larder } from '@/core/food/larder';
import { parseRecipe } from '@/core/recipe/parse';
import { keptText, libraryOf, madeOf, type KeptRecipe, type Library } from '@/core/read/library';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { database, type StoredRecipe } from '@/data/db';
import { listRecipes, markOfOthers } from '@/data/recipes';
import { plainRecipes } from '@/workers/library';
import { useLarder } from '@/kitchen/use-larder';
import { useSettings } from '@/kitchen/use-settings';

const NOTHING_OPEN = keptText('', '');
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
  readonly library: Library;
  /** A recipe as it stands and those that it is made of: what a worker must know to read it. */
  readonly needed: (recipe: KeptRecipe) => readonly KeptRecipe[];
} {
  const { measures, natural } = useSettings();
  const { larder: table } = useLarder();
  const others = useOthers(doc?.id ?? null);
  const library = useMemo(
    () => libraryOf(others, { measures, natural, larder: table }),
    [others, measures, natural, table],
  );
  const settings = useMemo(
    () => library.settingsOf(doc ?? NOTHING_OPEN),
    // typing changes the text alone
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [library, doc?.id, doc?.corrections, doc?.servings, doc?.potG, doc?.plateG],
  );
  const text = doc?.text;
  const read = useMemo(
    () => (text === undefined ? null : readRecipe(parseRecipe(text), settings)),
    [text, settings],
  );
  const needed = useCallback(
    (recipe: KeptRecipe) => plainRecipes(madeOf(recipe, others, library)),
    [others, library],
  );
  return { read, settings, larder: settings.larder ?? table, library, needed };
}
