import type { KeptRecipe } from '@/core/read/library';
import type { DulvetDatabase, StoredSupper, StoredTimer } from './db';
import { newId } from './ids';

/** The supper on the Stove; undefined while there is none. */
export const openSupper = (db: DulvetDatabase): Promise<StoredSupper | undefined> => db.suppers.get('open');

/** What a kitchen has where nobody said otherwise. */
export const USUAL = { table: '18:30', burners: 4, ovens: 1 } as const;

/** Puts dishes on the Stove, in the place of what stood there. */
export const beginSupper = (
  db: DulvetDatabase,
  dishes: readonly { readonly recipe: KeptRecipe; readonly times: number }[],
  kitchen: Pick<StoredSupper, 'table' | 'cooks' | 'burners' | 'ovens'>,
  now: number,
): Promise<string> =>
  db.suppers.put({
    id: 'open',
    dishes: dishes.map(({ recipe: { id, text, role, servings, potG, plateG, corrections }, times }) => ({
      recipe: { id, text, role, servings, potG, plateG, corrections },
      times,
    })),
    ...kitchen,
    startedAt: null,
    done: {},
    begun: {},
    longer: {},
    ticks: [],
    at: null,
    timers: [],
    added: [],
    updatedAt: now,
  });

/** Changes the supper as it stands; false where there is none. Each change is written as it is made. */
export const changeSupper = (
  db: DulvetDatabase,
  change: (supper: StoredSupper) => Partial<StoredSupper>,
  now: number,
): Promise<boolean> =>
  db.transaction('rw', db.suppers, async () => {
    const supper = await openSupper(db);
    if (!supper) return false;
    await db.suppers.put({ ...supper, ...change(supper), updatedAt: now });
    return true;
  });

/** Takes the supper off the Stove; gives it, so that it can be put back. */
export const clearStove = (db: DulvetDatabase): Promise<StoredSupper | undefined> =>
  db.transaction('rw', db.suppers, async () => {
    const supper = await openSupper(db);
    await db.suppers.delete('open');
    return supper;
  });

export const putBack = (db: DulvetDatabase, supper: StoredSupper): Promise<string> => db.suppers.put(supper);

/** A timer that begins now. */
export const newTimer = (label: string, minutes: number, task: string | null, now: number): StoredTimer => ({
  id: newId(),
  label,
  task,
  endsAt: now + minutes * 60_000,
  leftMs: minutes * 60_000,
  rang: false,
});

/** Milliseconds that a timer has left; below zero once its time is over. */
export const leftOf = (timer: StoredTimer, now: number): number =>
  timer.endsAt === null ? timer.leftMs : timer.endsAt - now;

/** A timer stopped or set going again. */
export const toggled = (timer: StoredTimer, now: number): StoredTimer =>
  timer.endsAt === null
    ? { ...timer, endsAt: now + timer.leftMs }
    : { ...timer, endsAt: null, leftMs: Math.max(0, timer.endsAt - now) };
