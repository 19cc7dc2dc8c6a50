import type { DulvetDatabase } from './db';
import type { StoredJudged } from './stored';

/** All that was worked out of recipes before, by recipe. */
export const listJudged = (db: DulvetDatabase): Promise<StoredJudged[]> => db.judged.toArray();

export const keepJudged = (db: DulvetDatabase, rows: readonly StoredJudged[]): Promise<string> =>
  db.judged.bulkPut([...rows]);

/** Lets go of what belongs to no recipe any more. */
export async function forgetJudged(db: DulvetDatabase, alive: ReadonlySet<string>): Promise<void> {
  const ids = await db.judged.toCollection().primaryKeys();
  await db.judged.bulkDelete(ids.filter((id) => !alive.has(id)));
}
