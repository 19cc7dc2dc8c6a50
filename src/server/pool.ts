import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { Piscina } from 'piscina';
import { refuse } from './body';
import { work, type Answer, type Task } from './work';

/** The worker, bundled by the build; in tests and under `next dev` there is none, and work is done in place. */
const FILE = path.join(process.cwd(), 'dist', 'server', 'worker.mjs');
/** Longest that one request may take, in milliseconds; all its parts together. */
const MOST_MS = Number(process.env.DULVET_REQUEST_MS ?? 20_000);
const MOST_WAITING = 64;

let pool: Piscina | null = null;

/** Threads that share the machine's cores; a request that is given up takes its thread with it. */
function threads(): Piscina | null {
  if (!existsSync(FILE)) return null;
  pool ??= new Piscina({
    filename: FILE,
    minThreads: 0,
    maxThreads: Math.max(1, availableParallelism()),
    idleTimeout: 60_000,
    maxQueue: MOST_WAITING,
  });
  return pool;
}

/** Does what a request asks in place, where it takes no time. */
export const workHere = async <T extends Task>(task: T): Promise<Answer<T['kind']>> =>
  (await work(task)) as Answer<T['kind']>;

/**
 * Does what a request asks in a thread of its own, within one time for the whole of it; stopped when the client goes.
 * Gives the answer, or the response that says why there is none: 503 where it took too long or too many wait.
 */
export async function inThread<T extends Task>(
  task: T,
  gone: AbortSignal,
): Promise<Answer<T['kind']> | Response> {
  const workers = threads();
  if (!workers) return workHere(task);
  const late = AbortSignal.timeout(MOST_MS);
  try {
    return (await workers.run(task, { signal: AbortSignal.any([gone, late]) })) as Answer<T['kind']>;
  } catch (error) {
    if (late.aborted)
      return refuse(503, 'too-long', `It took longer than ${Math.round(MOST_MS / 1000)} s and was stopped.`);
    if (gone.aborted) return refuse(499, 'gone', 'The client went away.');
    if (error instanceof Error && /queue/i.test(error.message))
      return refuse(503, 'busy', 'Too many requests are waiting: try again in a moment.');
    throw error;
  }
}
