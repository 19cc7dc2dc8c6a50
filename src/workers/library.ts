import type { Packet } from '@/core/label/schema';
import type { Protocol } from '@/core/protocol';
import type { KeptRecipe } from '@/core/read/library';
import { doorTo, type Door } from './door';
import type { Week, WeekPlan } from '@/core/week/schema';
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
 * Does the parts of some work with a library, the first ones first, by several workers at once.
 *
 * @param most   no more workers than this, however many cores there are
 * @param signal stops it: the parts that are begun are finished
 */
async function inParts(
  recipes: readonly KeptRecipe[],
  context: LibraryContext,
  parts: number,
  most: number,
  signal: AbortSignal,
  work: (at: number, ask: Door<LibraryDoor>['ask']) => Promise<void>,
): Promise<void> {
  const cores = typeof navigator === 'undefined' ? 2 : (navigator.hardwareConcurrency ?? 2);
  const workers = Math.max(1, Math.min(MOST_WORKERS, cores - 1, most));
  let next = 0;
  const run = async (worker: number) => {
    if (parts === 0) return;
    const { ask } = door(worker);
    await ask((d) => d.open(recipes, context));
    while (next < parts && !signal.aborted) {
      const at = next;
      next += 1;
      await work(at, ask);
    }
  };
  await Promise.all(Array.from({ length: workers }, (_, i) => run(i)));
}

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
  const out: LibraryVerdicts[][] = [];
  let done = 0;
  await inParts(recipes, context, chunks, chunks, signal, async (at, ask) => {
    const judged = await ask((d) => d.judge(at * CHUNK, (at + 1) * CHUNK, protocols));
    out[at] = judged;
    done += judged.length;
    if (!signal.aborted) onProgress(done);
  });
  return out.flat();
}

/** A row of the shelf under the key of all that it hangs on. */
export interface KeyedRow {
  readonly key: string;
  readonly row: LibraryRow;
}

/** Rows that are asked for together: a screenful first, so that what is looked at is there at once. */
const ROWS = 40;
/** Another worker takes the whole library in: not for fewer parts than these. */
const FEW = 4;

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
  const keys = await askLibrary((d) => d.keys(recipes, context, protocols));
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
  await inParts(recipes, context, chunks, Math.floor(chunks / FEW), signal, async (at, ask) => {
    const part = places.slice(at * ROWS, (at + 1) * ROWS);
    const rows = await ask((d) => d.rows(part, protocols));
    if (signal.aborted) return;
    onRows(
      rows.map((row, i) => ({ key: keys[part[i] as number] as string, row })),
      true,
      recipes.length,
    );
  });
}

/**
 * Some recipes of a shelf under a protocol that nobody at the table follows.
 *
 * @param recipes the whole shelf: any of them may be an ingredient of the chosen ones
 */
export async function rowsUnder(
  recipes: readonly KeptRecipe[],
  ids: ReadonlySet<string>,
  protocol: Protocol,
  context: LibraryContext,
): Promise<LibraryRow[]> {
  const places = recipes.flatMap((r, i) => (ids.has(r.id) ? [i] : []));
  await askLibrary((d) => d.open(recipes, context));
  return askLibrary((d) => d.rows(places, [protocol]));
}

const shelves = new WeakMap<object, string>();
let shelfCount = 0;

/**
 * A week judged in the background. The shelf goes over once, and again only where it changed: a meal that is moved costs
 * the week alone.
 *
 * @param recipes the same array for the same shelf and context
 */
export async function weekJudged(
  plan: WeekPlan,
  pots: Readonly<Record<string, KeptRecipe>>,
  protocols: readonly Protocol[],
  recipes: readonly KeptRecipe[],
  context: LibraryContext,
): Promise<Week> {
  let token = shelves.get(recipes);
  if (token === undefined) {
    shelfCount += 1;
    shelves.set(recipes, (token = `shelf ${shelfCount}`));
  }
  const name = token;
  const known = await askLibrary((d) => d.week(plan, pots, protocols, name, null));
  const judged =
    known ?? (await askLibrary((d) => d.week(plan, pots, protocols, name, { recipes, context })));
  if (!judged) throw new Error('the week could not be read');
  return judged;
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
