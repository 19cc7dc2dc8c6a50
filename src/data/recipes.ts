import type { DulvetDatabase, StoredRecipe } from './db';
import { newId } from './ids';
import { countSwaps } from './kitchen';

/** A recipe that is new now. */
export function newRecipe(text: string, now: number, extra: Partial<StoredRecipe> = {}): StoredRecipe {
  return {
    id: newId(),
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
    rev: 0,
    ...extra,
  };
}

/** The recipe that all its versions go back to. */
export const rootOf = ({ id, versionOf }: Pick<StoredRecipe, 'id' | 'versionOf'>): string => versionOf ?? id;

/** Recipes on the shelf, the last touched first. */
export const listRecipes = async (db: DulvetDatabase): Promise<StoredRecipe[]> =>
  (await db.recipes.orderBy('updatedAt').reverse().toArray()).filter((r) => r.deletedAt === null);

/** The recipes touched last, some of them. */
export const listLastTouched = (db: DulvetDatabase, most: number): Promise<StoredRecipe[]> =>
  db.recipes
    .orderBy('updatedAt')
    .reverse()
    .filter((r) => r.deletedAt === null)
    .limit(most)
    .toArray();

/** Changes whenever another recipe than one does: how many there are, and which was touched last. */
export async function markOfOthers(db: DulvetDatabase, id: string | null): Promise<string> {
  const last = await db.recipes.orderBy('updatedAt').reverse().limit(2).toArray();
  const other = last.find((r) => r.id !== id);
  return `${await db.recipes.count()} ${other?.id ?? ''} ${other?.rev ?? 0}`;
}

/** Recipes thrown away and not yet gone. */
export const listThrownAway = async (db: DulvetDatabase): Promise<StoredRecipe[]> =>
  (await db.recipes.orderBy('updatedAt').reverse().toArray()).filter((r) => r.deletedAt !== null);

export const getRecipe = (db: DulvetDatabase, id: string): Promise<StoredRecipe | undefined> =>
  db.recipes.get(id);

export const saveRecipe = (db: DulvetDatabase, recipe: StoredRecipe): Promise<string> =>
  db.recipes.put(recipe);

/** Keeps a version of a recipe and counts the swaps in it, both or neither. */
export const keepVersion = (
  db: DulvetDatabase,
  recipe: StoredRecipe,
  swaps: readonly string[],
  now: number,
): Promise<string> =>
  db.transaction('rw', [db.recipes, db.swapUses], async () => {
    const id = await db.recipes.add(recipe);
    await countSwaps(db, swaps, now);
    return id;
  });

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

const setDeleted = (db: DulvetDatabase, ids: readonly string[], deletedAt: number | null): Promise<number> =>
  db.recipes
    .where('id')
    .anyOf(ids)
    .modify((recipe) => {
      Object.assign(recipe, { deletedAt, rev: recipe.rev + 1 });
    });

/** Throws a recipe away; `restoreRecipe` takes it back. */
export const throwAway = (db: DulvetDatabase, id: string, now: number): Promise<number> =>
  setDeleted(db, [id], now);

/** Throws several away at once. */
export const throwAwayAll = (db: DulvetDatabase, ids: readonly string[], now: number): Promise<number> =>
  setDeleted(db, ids, now);

/** Puts several back at once. */
export const restoreAll = (db: DulvetDatabase, ids: readonly string[]): Promise<number> =>
  setDeleted(db, ids, null);

export const restoreRecipe = (db: DulvetDatabase, id: string): Promise<number> => setDeleted(db, [id], null);

/** Sets what several recipes are sorted by; their words stay as they are. */
export const sortUnder = (
  db: DulvetDatabase,
  ids: readonly string[],
  how: { readonly add?: string; readonly drop?: string; readonly starred?: boolean },
  now: number,
): Promise<number> =>
  db.recipes
    .where('id')
    .anyOf(ids)
    .modify((recipe) => {
      const tags = new Set(recipe.tags ?? []);
      if (how.add) tags.add(how.add);
      if (how.drop) tags.delete(how.drop);
      Object.assign(recipe, {
        tags: [...tags].sort((a, b) => a.localeCompare(b)),
        ...(how.starred === undefined ? {} : { starred: how.starred }),
        // a file brought in later must not undo it, nor it what was written since
        updatedAt: Math.max(recipe.updatedAt, how.add || how.drop ? now : recipe.updatedAt),
        rev: recipe.rev + 1,
      });
    });

/** Takes recipes that were thrown away out for good. */
export const emptyBin = (db: DulvetDatabase): Promise<void> =>
  db.transaction('rw', [db.recipes, db.edits], async () => {
    const ids = (await listThrownAway(db)).map((r) => r.id);
    await db.edits.where('recipeId').anyOf(ids).delete();
    await db.recipes.bulkDelete(ids);
  });
