'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import type { Live } from '@/core/cook/live';
import { minutesOfDay } from '@/core/cook/clock';
import { ownTimesOf } from '@/core/cook/own-times';
import { madeOf, type Library } from '@/core/read/library';
import type { ReadRecipe } from '@/core/read/types';
import { database, type StoredSupper } from '@/data/db';
import { listCookings } from '@/data/log';
import { keep } from '@/data/saving';
import { changeSupper, openSupper } from '@/data/stove';
import { useLibrary } from '@/kitchen/use-library';
import { useLibraryContext } from '@/kitchen/use-library-context';
import { askCook } from '@/workers/cook';
import { plainRecipes } from '@/workers/library';
import { minuteOfDay } from './use-clock';

const HALF_DAY = 12 * 60;
const DAY = 24 * 60;

/** Minutes of the table's own day: what is past midnight before an early table belongs to the day before. */
export function minutesBy(table: string, ms: number): number {
  const at = minuteOfDay(ms);
  const wanted = minutesOfDay(table) ?? 0;
  return wanted - at < -HALF_DAY ? at - DAY : at;
}

/** Changes the supper, kept at once. */
export const change = (what: (supper: StoredSupper) => Partial<StoredSupper>): Promise<boolean | undefined> =>
  keep('the supper', () => changeSupper(database(), what, Date.now()));

export interface DishOnStove {
  readonly read: ReadRecipe;
  readonly times: number;
  readonly library: Library;
  readonly supper: StoredSupper['dishes'][number];
}

/** The supper on the Stove with its dishes read; undefined until it is known, null where there is none. */
export function useSupper(): {
  readonly supper: StoredSupper | null | undefined;
  readonly dishes: readonly DishOnStove[];
  readonly plan: Live | null;
  readonly why: string | null;
} {
  const supper = useLiveQuery(async () => (await openSupper(database())) ?? null, []);
  const cookings = useLiveQuery(() => listCookings(database()), [], null);
  const context = useLibraryContext();
  const { library, recipes } = useLibrary(null);
  const [plan, setPlan] = useState<{ of: string; live: Live } | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  // the words of the dishes stay while the supper is cooked: only what is done changes
  const dishKey = supper ? JSON.stringify(supper.dishes) : '';
  const dishes = useMemo(
    () =>
      supper
        ? supper.dishes.map((d) => ({ read: library.read(d.recipe), times: d.times, library, supper: d }))
        : [],
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [dishKey, library],
  );
  const key = supper
    ? JSON.stringify([
        supper.dishes,
        supper.table,
        supper.cooks.length,
        supper.burners,
        supper.ovens,
        supper.startedAt,
        supper.done,
        supper.begun,
        supper.longer,
      ])
    : '';
  useEffect(() => {
    if (!supper || !cookings) return;
    let current = true;
    const minutes = (ms: number) => minutesBy(supper.table, ms);
    const ask = supper.dishes.map((d) => ({
      recipes: plainRecipes(madeOf(d.recipe, recipes, library)),
      times: d.times,
      own: ownTimesOf(cookings, d.recipe.text),
    }));
    const now = supper.startedAt === null ? null : minutes(Date.now());
    void askCook((door) =>
      door.plan(
        ask,
        {
          kitchen: { cooks: supper.cooks.length, burners: supper.burners, ovens: supper.ovens },
          table: supper.table,
        },
        {
          done: Object.keys(supper.done),
          begun: Object.fromEntries(Object.entries(supper.begun).map(([id, ms]) => [id, minutes(ms)])),
          longer: supper.longer,
        },
        now,
        context,
      ),
    ).then(
      (live) => {
        if (!current) return;
        setPlan({ of: key, live });
        setWhy(null);
      },
      (error: Error) => current && setWhy(error.message),
    );
    return () => {
      current = false;
    };
    // the key holds all that the plan hangs on
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key, context, library, recipes, cookings]);
  return { supper, dishes, plan: plan?.live ?? null, why };
}
