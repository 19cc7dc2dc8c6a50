import type { DulvetDatabase, StoredRecipe } from './db';

/** A recipe that is new now. */
export function newRecipe(text: string, now: number, extra: Partial<StoredRecipe> = {}): StoredRecipe {
  return {
    id: crypto.randomUUID(),
    text,
    role: null,
    servings: null,
    corrections: {},
    potG: null,
    plateG: null,
    versionOf: null,
    createdAt: now,
    updatedAt: now,
    deletedAt: null,
    ...extra,
  };
}

/** The recipe that all its versions go back to. */
export const rootOf = ({ id, versionOf }: Pick<StoredRecipe, 'id' | 'versionOf'>): string => versionOf ?? id;

/** Recipes on the shelf, the last touched first. */
export const listRecipes = async (db: DulvetDatabase): Promise<StoredRecipe[]> =>
  (await db.recipes.orderBy('updatedAt').reverse().toArray()).filter((r) => r.deletedAt === null);

/** Recipes thrown away and not yet gone. */
export const listThrownAway = async (db: DulvetDatabase): Promise<StoredRecipe[]> =>
  (await db.recipes.orderBy('updatedAt').reverse().toArray()).filter((r) => r.deletedAt !== null);

export const getRecipe = (db: DulvetDatabase, id: string): Promise<StoredRecipe | undefined> =>
  db.recipes.get(id);

export const saveRecipe = (db: DulvetDatabase, recipe: StoredRecipe): Promise<string> =>
  db.recipes.put(recipe);

/** Puts new texts on the shelf, the first of them on top. */
export async function takeIn(
  db: DulvetDatabase,
  texts: readonly string[],
  now: number,
): Promise<StoredRecipe[]> {
  const made = texts.map((text, i) => newRecipe(text, now - i));
  await db.recipes.bulkPut(made);
  return made;
}

/** Throws a recipe away; `restoreRecipe` takes it back. */
export const throwAway = (db: DulvetDatabase, id: string, now: number): Promise<number> =>
  db.recipes.update(id, { deletedAt: now });

export const restoreRecipe = (db: DulvetDatabase, id: string): Promise<number> =>
  db.recipes.update(id, { deletedAt: null });

/** Takes recipes that were thrown away out for good. */
export const emptyBin = async (db: DulvetDatabase): Promise<void> =>
  db.recipes.bulkDelete((await listThrownAway(db)).map((r) => r.id));
