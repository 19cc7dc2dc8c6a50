import type { Packet } from '@/core/label/schema';
import type { Protocol } from '@/core/protocol';
import type { KeptRecipe } from '@/core/read/library';
import { doorTo, type Door } from './door';
import type { LibraryContext } from './larder';
import type { LibraryDoor, LibraryRow, LibraryVerdicts } from './library.worker';

const MOST_WORKERS = 4;
const CHUNK = 200;

const doors: Door<LibraryDoor>[] = [];
const door = (index: number): Door<LibraryDoor> =>
  (doors[index] ??= doorTo<LibraryDoor>(
    () => new Worker(new URL('./library.worker.ts', import.meta.url), { type: 'module' }),
  ));

/** Asks the library's worker, started when first asked. */
export const askLibrary: Door<LibraryDoor>['ask'] = (question) => door(0).ask(question);

/**
 * Verdicts of all recipes under some protocols, by several workers at once.
 *
 * @param onProgress told how many are done
 * @param signal     stops it: what is done by then is returned
 */
export async function judgeAll(
  recipes: readonly KeptRecipe[],
  protocols: readonly Protocol[],
  context: LibraryContext,
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<LibraryVerdicts[]> {
  const chunks = Math.ceil(recipes.length / CHUNK);
  const cores = typeof navigator === 'undefined' ? 2 : (navigator.hardwareConcurrency ?? 2);
  const workers = Math.max(1, Math.min(MOST_WORKERS, cores - 1, chunks));
  const out: LibraryVerdicts[][] = [];
  let next = 0;
  let done = 0;
  const run = async (worker: number) => {
    await door(worker).ask((d) => d.open(recipes, context));
    while (next < chunks && !signal.aborted) {
      const at = next;
      next += 1;
      const judged = await door(worker).ask((d) => d.judge(at * CHUNK, (at + 1) * CHUNK, protocols));
      out[at] = judged;
      done += judged.length;
      if (!signal.aborted) onProgress(done);
    }
  };
  await Promise.all(Array.from({ length: workers }, (_, i) => run(i)));
  return out.flat();
}

/** A row of the shelf under the key of all that it hangs on. */
export interface KeyedRow {
  readonly key: string;
  readonly row: LibraryRow;
}

/** Rows that are asked for together: a screenful first, so that what is looked at is there at once. */
const ROWS = 40;

/**
 * The shelf's rows: those that are kept under the same key as they stand, the others worked out by several workers, the
 * first of the list first.
 *
 * @param kept       rows kept from before, by recipe
 * @param onRows     told of rows as they come, the kept ones at once; `of` is how many there will be
 * @param signal     stops it
 */
export async function shelfRows(
  recipes: readonly KeptRecipe[],
  protocols: readonly Protocol[],
  context: LibraryContext,
  kept: ReadonlyMap<string, KeyedRow>,
  onRows: (rows: readonly KeyedRow[], fresh: boolean, of: number) => void,
  signal: AbortSignal,
): Promise<void> {
  const keys = await door(0).ask((d) => d.open(recipes, context, protocols));
  if (signal.aborted) return;
  const same: KeyedRow[] = [];
  const places: number[] = [];
  recipes.forEach((recipe, i) => {
    const before = kept.get(recipe.id);
    if (before && before.key === keys[i]) same.push(before);
    else places.push(i);
  });
  onRows(same, false, recipes.length);
  const chunks = Math.ceil(places.length / ROWS);
  const cores = typeof navigator === 'undefined' ? 2 : (navigator.hardwareConcurrency ?? 2);
  // another worker takes the whole library in: not for a few rows
  const workers = Math.max(1, Math.min(MOST_WORKERS, cores - 1, Math.floor(chunks / 4)));
  let next = 0;
  const run = async (worker: number) => {
    if (chunks === 0) return;
    if (worker > 0) await door(worker).ask((d) => d.open(recipes, context, protocols));
    while (next < chunks && !signal.aborted) {
      const part = places.slice(next * ROWS, (next + 1) * ROWS);
      next += 1;
      const rows = await door(worker).ask((d) => d.rows(part, protocols));
      if (signal.aborted) return;
      onRows(
        rows.map((row, i) => ({ key: keys[part[i] as number] as string, row })),
        true,
        recipes.length,
      );
    }
  };
  await Promise.all(Array.from({ length: workers }, (_, i) => run(i)));
}

/** What the worker needs of kept recipes, and no more: less to copy over. */
export const plainRecipes = (recipes: readonly KeptRecipe[]): KeptRecipe[] =>
  recipes.map(({ id, text, role, servings, potG, plateG, corrections }) => ({
    id,
    text,
    role,
    servings,
    potG,
    plateG,
    corrections,
  }));

/** The same of packets. */
export const plainPackets = (packets: readonly Packet[]): Packet[] =>
  packets.map(({ id, name, names, label, like }) => ({ id, name, names, label, like }));
