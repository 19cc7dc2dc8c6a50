import type { DulvetDatabase, StoredMeal, StoredPot, StoredWeek } from './db';
import { newId } from './ids';

/** The week that is planned; undefined before the first. */
export const openWeek = (db: DulvetDatabase): Promise<StoredWeek | undefined> => db.weeks.get('open');

const DAY = 24 * 60 * 60_000;

/** The Monday of a moment's week, at noon, so that no change of the clocks moves it. */
export function mondayOf(ms: number): number {
  const at = new Date(ms);
  at.setHours(12, 0, 0, 0);
  return at.getTime() - ((at.getDay() + 6) % 7) * DAY;
}

export const emptyWeek = (now: number): StoredWeek => ({
  id: 'open',
  from: mondayOf(now),
  pots: [],
  meals: [],
  bought: [],
  updatedAt: now,
});

/** Changes the week as it stands, kept at once; gives it as it was, so that the change can be taken back. */
export const changeWeek = (
  db: DulvetDatabase,
  change: (week: StoredWeek) => Partial<StoredWeek>,
  now: number,
): Promise<StoredWeek> =>
  db.transaction('rw', db.weeks, async () => {
    const before = (await openWeek(db)) ?? emptyWeek(now);
    await db.weeks.put({ ...before, ...change(before), updatedAt: now });
    return before;
  });

export const putWeek = (db: DulvetDatabase, week: StoredWeek): Promise<string> => db.weeks.put(week);

export const newPot = (recipeId: string, day: number, times: number): StoredPot => ({
  id: newId(),
  day,
  recipeId,
  times,
  place: 'fridge',
});

export const newMeal = (meal: Omit<StoredMeal, 'id'>): StoredMeal => ({ ...meal, id: newId() });

/** A day's meals once more on another day, in the place of what stood there. */
export const copyDay = (week: StoredWeek, from: number, to: number): Pick<StoredWeek, 'meals'> => ({
  meals: [
    ...week.meals.filter((m) => m.day !== to),
    ...week.meals.filter((m) => m.day === from).map((m) => newMeal({ ...m, day: to })),
  ],
});
