import type { Packet } from '@/core/label/schema';
import type { Protocol } from '@/core/protocol';
import { doorTo, type Door } from './door';
import type { LibraryContext, LibraryDoor, LibraryRecipe, LibraryVerdicts } from './library.worker';

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
  recipes: readonly LibraryRecipe[],
  protocols: readonly Protocol[],
  context: LibraryContext,
  onProgress: (done: number) => void,
  signal: AbortSignal,
): Promise<LibraryVerdicts[]> {
  const chunks: LibraryRecipe[][] = [];
  for (let i = 0; i < recipes.length; i += CHUNK) chunks.push(recipes.slice(i, i + CHUNK));
  const cores = typeof navigator === 'undefined' ? 2 : (navigator.hardwareConcurrency ?? 2);
  const workers = Math.max(1, Math.min(MOST_WORKERS, cores - 1, chunks.length));
  const out: LibraryVerdicts[][] = [];
  let next = 0;
  let done = 0;
  const run = async (worker: number) => {
    while (next < chunks.length && !signal.aborted) {
      const at = next;
      next += 1;
      const chunk = chunks[at] ?? [];
      out[at] = await door(worker).ask((d) => d.judge(chunk, protocols, context));
      done += chunk.length;
      if (!signal.aborted) onProgress(done);
    }
  };
  await Promise.all(Array.from({ length: workers }, (_, i) => run(i)));
  return out.flat();
}

/** What the worker needs of kept recipes, and no more: less to copy over. */
export const plainRecipes = (recipes: readonly LibraryRecipe[]): LibraryRecipe[] =>
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
