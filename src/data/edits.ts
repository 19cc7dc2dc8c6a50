import { isGrams, isServings, MOST_GRAMS, MOST_SERVINGS, refuseText } from '@/core/recipe/limits';
import type { Correction } from '@/core/read/types';
import type { DulvetDatabase, RecipePatch, StoredEdit, StoredRecipe } from './db';
import { countSwaps, uncountSwaps } from './kitchen';
import { inverse, over, spliced, spliceOf, type Splice } from './splice';

/** Steps of undo kept for a recipe. */
const MOST_STEPS = 300;

/** What became of an edit. */
export type EditResult =
  | { readonly ok: true; readonly recipe: StoredRecipe; readonly seq: number | null }
  | {
      readonly ok: false;
      readonly code: 'gone' | 'refused' | 'changed-since' | 'nothing';
      readonly message: string;
    };

const GONE: EditResult = {
  ok: false,
  code: 'gone',
  message: 'This recipe is not kept any more: it was forgotten for good elsewhere.',
};
const NOTHING: EditResult = { ok: false, code: 'nothing', message: 'There is nothing to take back.' };

/** Why a change cannot be kept, by the limits that hold for files and requests too; null where it can. */
export function refusal({ text, servings, potG, plateG, corrections }: RecipePatch): string | null {
  if (text !== undefined && refuseText(text)) return refuseText(text);
  if (typeof servings === 'number' && !isServings(servings))
    return `A number of servings is above 0 and at most ${MOST_SERVINGS}.`;
  const grams = [potG, plateG, ...Object.values(corrections ?? {}).map((c) => c?.grams)];
  return grams.some((g) => typeof g === 'number' && !isGrams(g))
    ? `A weight is above 0 and at most ${MOST_GRAMS / 1000} kg.`
    : null;
}

type Fields = Omit<RecipePatch, 'text'>;
const SCALARS = ['role', 'servings', 'potG', 'plateG'] as const;

/** The fields as they are now, of those that a patch names. */
function fieldsOf(recipe: StoredRecipe, patch: RecipePatch): Fields {
  const out: Record<string, unknown> = {};
  for (const name of SCALARS) if (patch[name] !== undefined) out[name] = recipe[name];
  if (patch.corrections)
    out.corrections = Object.fromEntries(
      Object.keys(patch.corrections).map((line) => [
        line,
        Object.hasOwn(recipe.corrections, line) ? (recipe.corrections[line] ?? null) : null,
      ]),
    );
  return out;
}

/** A recipe with fields written; of the corrections only the lines that are named. */
function withFields(recipe: StoredRecipe, fields: Fields, text: string, now: number): StoredRecipe {
  const { corrections: lines, ...scalars } = fields;
  const corrections = new Map<string, Correction>(Object.entries(recipe.corrections));
  for (const [line, said] of Object.entries(lines ?? {}))
    if (said === null) corrections.delete(line);
    else corrections.set(line, said);
  // what was first brought in outlives every undo
  const original = recipe.original ?? (text === recipe.text ? undefined : recipe.text);
  return {
    ...recipe,
    ...scalars,
    ...(original === undefined ? {} : { original }),
    corrections: Object.fromEntries(corrections),
    text,
    updatedAt: now,
    rev: recipe.rev + 1,
  };
}

const inOne = <T>(db: DulvetDatabase, work: () => Promise<T>): Promise<T> =>
  db.transaction('rw', [db.recipes, db.edits, db.swapUses], work);

/** A recipe's edits, the first made first. */
export const editsOf = (db: DulvetDatabase, id: string): Promise<StoredEdit[]> =>
  db.edits.where('recipeId').equals(id).sortBy('seq');

/** A recipe's edit that was made last, taken back or not. */
const lastEdit = (db: DulvetDatabase, id: string): PromiseLike<StoredEdit | undefined> =>
  db.edits.where('recipeId').equals(id).last();

/** Edits of recipes since a time. */
export const changesSinceCopy = (db: DulvetDatabase, since: number): Promise<number> =>
  db.edits.filter((e) => e.at > since).count();

/** What an edit says of itself beside what it changes. */
export interface EditNote {
  readonly now: number;
  readonly key?: string | null;
  readonly swaps?: readonly string[];
  readonly counts?: 1 | -1;
  /** The text that the change was made from; what came in between from elsewhere is kept. */
  readonly from?: string;
}

/** The text after a change that was made from an older one: both changes where they touch different words. */
function meeting(current: string, from: string, text: string): string {
  if (current === from) return text;
  const own = over(spliceOf(from, text), spliceOf(from, current));
  return (own && spliced(current, own)) ?? text;
}

/**
 * Writes a change and remembers how to take it back; within a transaction.
 *
 * @param last the recipe's last edit, where the change may be one step with it
 */
async function record(
  db: DulvetDatabase,
  recipe: StoredRecipe,
  last: StoredEdit | undefined,
  patch: RecipePatch,
  { now, key = null, swaps = [], counts = 1, from }: EditNote,
): Promise<EditResult> {
  const text = patch.text === undefined ? recipe.text : meeting(recipe.text, from ?? recipe.text, patch.text);
  const { text: _, ...after } = patch;
  const next = withFields(recipe, after, text, now);
  const moved = text === recipe.text ? null : spliceOf(recipe.text, text);
  const before = fieldsOf(recipe, patch);
  // what was taken back stands last: where the last is not, none is
  if (last?.seq !== undefined && key !== null && last.key === key && !last.undone) {
    // one step with the edit before it, written in one go: a key that is typed waits for nothing
    const original = last.text ? (spliced(recipe.text, inverse(last.text)) ?? recipe.text) : recipe.text;
    await Promise.all([
      db.recipes.put(next),
      db.edits.put({
        ...last,
        text: original === text ? null : spliceOf(original, text),
        before: { ...before, ...last.before },
        after: { ...last.after, ...after },
        at: now,
      }),
    ]);
    return { ok: true, recipe: next, seq: last.seq };
  }
  const edits = await editsOf(db, recipe.id);
  const undone = edits.filter((e) => e.undone);
  await db.edits.bulkDelete(undone.flatMap((e) => e.seq ?? []));
  await db.recipes.put(next);
  const edit: StoredEdit = {
    recipeId: recipe.id,
    text: moved,
    before,
    after,
    key,
    undone: false,
    swaps: [...swaps],
    counts,
    at: now,
  };
  const seq = await db.edits.add(edit);
  const kept = edits.length - undone.length + 1;
  if (kept > MOST_STEPS)
    await db.edits.bulkDelete(edits.slice(0, kept - MOST_STEPS).flatMap((e) => e.seq ?? []));
  if (swaps.length > 0) await (counts > 0 ? countSwaps : uncountSwaps)(db, swaps, now);
  return { ok: true, recipe: next, seq: seq ?? null };
}

/**
 * Changes some fields of a recipe in one transaction with what undo needs. What another tab has written is read first
 * and stays, but for the words that both changed: then the later one stands, and undo brings the other back.
 */
export async function changeRecipe(
  db: DulvetDatabase,
  id: string,
  patch: RecipePatch,
  note: EditNote,
): Promise<EditResult> {
  const why = refusal(patch);
  if (why) return { ok: false, code: 'refused', message: why };
  return inOne(db, async () => {
    const [recipe, last] = await Promise.all([db.recipes.get(id), lastEdit(db, id)]);
    return recipe ? record(db, recipe, last, patch, note) : GONE;
  });
}

/** Carries an edit out backwards or forwards, its count with it; within a transaction. */
async function turn(
  db: DulvetDatabase,
  recipe: StoredRecipe,
  edit: StoredEdit,
  undone: boolean,
  now: number,
): Promise<EditResult> {
  const splice = edit.text && (undone ? inverse(edit.text) : edit.text);
  const text = splice ? spliced(recipe.text, splice) : recipe.text;
  if (text === null)
    return {
      ok: false,
      code: 'changed-since',
      message: 'The words have changed since, so it stays as it is.',
    };
  const next = withFields(recipe, undone ? edit.before : edit.after, text, now);
  await db.recipes.put(next);
  await db.edits.put({ ...edit, undone });
  const counted = edit.counts > 0 !== undone;
  if (edit.swaps.length > 0) await (counted ? countSwaps : uncountSwaps)(db, edit.swaps, now);
  return { ok: true, recipe: next, seq: edit.seq ?? null };
}

/** Takes the last edit back that was not taken back yet. */
export const undoLast = (db: DulvetDatabase, id: string, now: number): Promise<EditResult> =>
  inOne(db, async () => {
    const recipe = await db.recipes.get(id);
    if (!recipe) return GONE;
    const last = (await editsOf(db, id)).filter((e) => !e.undone).at(-1);
    return last ? turn(db, recipe, last, true, now) : NOTHING;
  });

/** Makes the edit again that was taken back last. */
export const redoNext = (db: DulvetDatabase, id: string, now: number): Promise<EditResult> =>
  inOne(db, async () => {
    const recipe = await db.recipes.get(id);
    if (!recipe) return GONE;
    const next = (await editsOf(db, id)).find((e) => e.undone);
    return next ? turn(db, recipe, next, false, now) : NOTHING;
  });

const sameFields = (a: Fields, b: Fields) => JSON.stringify(a) === JSON.stringify(b);

/** An edit's own words moved over those that came after it; null where they were changed again. */
const movedOver = (splice: Splice, later: readonly StoredEdit[]): Splice | null =>
  later.reduce<Splice | null>((own, e) => (own && e.text ? over(own, e.text) : own), splice);

/**
 * Takes one edit back, and its count with it, whatever came after it; that is an edit of its own. Where its words or
 * fields were changed again it stays, and says so.
 */
export const takeBack = (db: DulvetDatabase, seq: number, now: number): Promise<EditResult> =>
  inOne(db, async () => {
    const edit = await db.edits.get(seq);
    if (!edit || edit.undone) return NOTHING;
    const recipe = await db.recipes.get(edit.recipeId);
    if (!recipe) return GONE;
    const later = (await editsOf(db, edit.recipeId)).filter((e) => !e.undone && (e.seq ?? 0) > seq);
    if (later.length === 0) return turn(db, recipe, edit, true, now);
    const back = edit.text && movedOver(inverse(edit.text), later);
    const text = edit.text ? back && spliced(recipe.text, back) : recipe.text;
    if (text === null || !sameFields(fieldsOf(recipe, edit.after), edit.after))
      return {
        ok: false,
        code: 'changed-since',
        message: 'It was changed again since: Undo takes the later changes back first.',
      };
    return record(
      db,
      recipe,
      undefined,
      { ...edit.before, text },
      { now, swaps: edit.swaps, counts: edit.counts > 0 ? -1 : 1 },
    );
  });

/** Whether something can be taken back, and made again. */
export async function undoState(
  db: DulvetDatabase,
  id: string,
): Promise<{ canUndo: boolean; canRedo: boolean }> {
  const [first, last] = await Promise.all([db.edits.where('recipeId').equals(id).first(), lastEdit(db, id)]);
  return { canUndo: first?.undone === false, canRedo: last?.undone === true };
}
