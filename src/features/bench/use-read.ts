'use client';
import { useCallback, useMemo } from 'react';
import type { Larder } from '@/core/food/larder';
import { parseRecipe } from '@/core/recipe/parse';
import { keptText, madeOf, type KeptRecipe, type Library } from '@/core/read/library';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import type { StoredRecipe } from '@/data/db';
import { plainRecipes } from '@/workers/library';
import { useLarder } from '@/kitchen/use-larder';
import { useLibrary } from '@/kitchen/use-library';

const NOTHING_OPEN = keptText('', '');
/** The open recipe read: with the cook's packets, words, corrections, and her other recipes. */
export function useRead(doc: StoredRecipe | null): {
  readonly read: ReadRecipe | null;
  readonly settings: ReadSettings;
  readonly larder: Larder;
  readonly library: Library;
  /** A recipe as it stands and those that it is made of: what a worker must know to read it. */
  readonly needed: (recipe: KeptRecipe) => readonly KeptRecipe[];
} {
  const { larder: table } = useLarder();
  const { library, recipes: others } = useLibrary(doc?.id ?? null);
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
