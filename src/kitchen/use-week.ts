'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { KeptRecipe } from '@/core/read/library';
import { PROTOCOLS, type Protocol } from '@/core/protocol';
import type { Week, WeekPlan } from '@/core/week/schema';
import { database, type StoredDiner, type StoredRecipe, type StoredWeek } from '@/data/db';
import { listRecipes } from '@/data/recipes';
import { keep } from '@/data/saving';
import { changeWeek, emptyWeek, openWeek, putWeek } from '@/data/week';
import { useBoxes } from '@/kitchen/use-boxes';
import { useLibraryContext } from '@/kitchen/use-library-context';
import { useProtocols } from '@/kitchen/use-protocols';
import { useDiners } from '@/kitchen/use-table';
import { plainRecipes, weekJudged } from '@/workers/library';

export const DAYS = 7;

/** Changes the week, kept at once; what was there can be put back by the notice. */
export async function change(what: (week: StoredWeek) => Partial<StoredWeek>, says?: string): Promise<void> {
  const before = await keep('the week', () => changeWeek(database(), what, Date.now()));
  if (before && says)
    toast(says, {
      action: { label: 'Undo', onClick: () => void keep('the week', () => putWeek(database(), before)) },
    });
}

/** A week as the core judges it: diners by their names, pots by their ids. */
export function planOf(week: StoredWeek, diners: readonly StoredDiner[]): WeekPlan {
  const names = new Map(diners.map((d) => [d.id, d.name]));
  return {
    schema: 'dulvet.week/1',
    days: DAYS,
    diners: diners.map((d) => ({
      name: d.name,
      protocol: d.protocol,
      allergens: [...d.allergens],
      plate: d.appetite,
    })),
    cookings: week.pots.map((p) => ({
      id: p.id,
      day: p.day,
      recipe: p.recipeId,
      times: p.times,
      place: p.place,
    })),
    meals: week.meals.flatMap((m) => {
      const diner = names.get(m.diner);
      if (diner === undefined) return [];
      const at = { day: m.day, meal: m.meal, diner };
      return [m.of === null ? { ...at, text: m.text } : { ...at, of: m.of, plates: m.plates }];
    }),
  };
}

/** The recipes of a week's pots, by the pot. */
export const potsOf = (
  week: StoredWeek,
  plain: readonly KeptRecipe[],
): Readonly<Record<string, KeptRecipe>> =>
  Object.fromEntries(
    week.pots.flatMap((p): [string, KeptRecipe][] => {
      const recipe = plain.find((r) => r.id === p.recipeId);
      return recipe ? [[p.id, recipe]] : [];
    }),
  );

/** Somebody's protocol by its id; the first school's while theirs is not kept any more. */
export const protocolOf = (id: string, byId: (id: string) => Protocol | undefined): Protocol => ({
  ...(byId(id) ?? (PROTOCOLS[0] as Protocol)),
  id,
});

/** The week with its judgement; null while either is not known yet. */
export function useWeek(): {
  readonly week: StoredWeek | null;
  readonly judged: Week | null;
  readonly why: string | null;
  readonly recipes: readonly StoredRecipe[];
  readonly diners: readonly StoredDiner[];
} {
  const stored = useLiveQuery(async () => (await openWeek(database())) ?? null, []);
  const recipes = useLiveQuery(() => listRecipes(database()), [], null);
  const diners = useDiners();
  const boxes = useBoxes();
  const { byId } = useProtocols();
  const context = useLibraryContext();
  const [now] = useState(() => Date.now());
  const week = useMemo(() => (stored === undefined ? null : (stored ?? emptyWeek(now))), [stored, now]);
  const [found, setFound] = useState<Week | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  // one array as long as nothing changes that the week is read with
  const shelf = useMemo(() => {
    const plain = plainRecipes(recipes ?? []);
    return { plain, known: [...plain, ...boxes], context };
  }, [recipes, boxes, context]);
  useEffect(() => {
    if (!week || !recipes) return;
    let current = true;
    const { plain, known, context } = shelf;
    const pots = potsOf(week, plain);
    const protocols = [...new Set(diners.map((d) => d.protocol))].map((id) => protocolOf(id, byId));
    void weekJudged(planOf(week, diners), pots, protocols, known, context).then(
      (judged) => {
        if (!current) return;
        setFound(judged);
        setWhy(null);
      },
      (error: Error) => current && setWhy(error.message),
    );
    return () => {
      current = false;
    };
  }, [week, recipes, shelf, diners, byId]);
  // what stands in it has no names before the recipes are there
  return { week: recipes ? week : null, judged: found, why, recipes: recipes ?? [], diners };
}
