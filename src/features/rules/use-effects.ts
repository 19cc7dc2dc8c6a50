'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import { auditRecipe } from '@/core/audit/audit';
import type { RecipeAudit, Verdict } from '@/core/audit/schema';
import type { Protocol } from '@/core/protocol';
import { libraryOf } from '@/core/read/library';
import { database } from '@/data/db';
import { getRecipe, listRecipes } from '@/data/recipes';
import { judgeAll, plainRecipes } from '@/workers/library';
import { useLarder } from '@/kitchen/use-larder';
import { useSettings } from '@/kitchen/use-settings';
import { useLibraryContext } from '@/kitchen/use-library-context';

/** The open recipe under a protocol before and after a change. */
export function useOpenEffect(
  before: Protocol | null,
  after: Protocol | null,
): { readonly title: string; readonly before: RecipeAudit; readonly after: RecipeAudit } | null {
  const settings = useSettings();
  const { larder } = useLarder();
  const recipe = useLiveQuery(
    async () => (settings.openRecipe ? ((await getRecipe(database(), settings.openRecipe)) ?? null) : null),
    [settings.openRecipe],
    null,
  );
  const others = useLiveQuery(() => listRecipes(database()), [], null);
  const { measures, natural } = settings;
  const library = useMemo(
    () => libraryOf(others ?? [], { measures, natural, larder }),
    [others, measures, natural, larder],
  );
  return useMemo(() => {
    if (!recipe || !before || !after) return null;
    const read = library.read(recipe);
    const options = { role: recipe.role ?? undefined, per100g: false };
    return {
      title: read.recipe.title,
      before: auditRecipe(read, before, options),
      after: auditRecipe(read, after, options),
    };
  }, [recipe, before, after, library]);
}

/** A dish whose verdict a change of rules changes. */
export interface Changed {
  readonly id: string;
  readonly title: string;
  readonly from: Verdict;
  readonly to: Verdict;
}

export interface LibraryEffect {
  readonly done: number;
  readonly all: number;
  readonly running: boolean;
  readonly fits: readonly [before: number, after: number];
  readonly changed: readonly Changed[];
}

const fit = (v: Verdict | undefined) => v === 'within' || v === 'near';
const WAIT_MS = 350;

/**
 * What a change of rules does to all recipes on the shelf, judged in workers while the page stays free; begun
 * again with every change, and stopped by `stop`.
 */
export function useLibraryEffect(
  before: Protocol | null,
  after: Protocol | null,
): { readonly effect: LibraryEffect | null; readonly why: string | null; readonly stop: () => void } {
  const context = useLibraryContext();
  const recipes = useLiveQuery(() => listRecipes(database()), [], null);
  const [effect, setEffect] = useState<LibraryEffect | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const [control, setControl] = useState<AbortController | null>(null);
  useEffect(() => {
    if (!recipes || !before || !after) return;
    const controller = new AbortController();
    const run = async () => {
      setControl(controller);
      const old = { ...before, id: 'before' };
      const changedTo = { ...after, id: 'after' };
      const all = recipes.length;
      const found = await judgeAll(
        plainRecipes(recipes),
        [old, changedTo],
        context,
        (done) =>
          setEffect((e) => ({
            fits: e?.fits ?? [0, 0],
            changed: e?.changed ?? [],
            done,
            all,
            running: done < all,
          })),
        controller.signal,
      );
      if (controller.signal.aborted) return;
      setWhy(null);
      setEffect({
        done: found.length,
        all,
        running: false,
        fits: [
          found.filter((r) => fit(r.verdicts.before)).length,
          found.filter((r) => fit(r.verdicts.after)).length,
        ],
        changed: found.flatMap((r) => {
          const { before: from, after: to } = r.verdicts;
          return from && to && from !== to ? [{ id: r.id, title: r.title, from, to }] : [];
        }),
      });
    };
    // let the typing settle
    const timer = setTimeout(
      () =>
        void run().catch((error: Error) => {
          if (!controller.signal.aborted) setWhy(error.message);
        }),
      WAIT_MS,
    );
    return () => {
      clearTimeout(timer);
      controller.abort();
    };
  }, [recipes, before, after, context]);
  return {
    effect,
    why,
    stop: () => {
      control?.abort();
      setEffect((e) => (e ? { ...e, running: false } : null));
    },
  };
}
