import { mkdirSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { availableParallelism } from 'node:os';
import path from 'node:path';
import { Piscina } from 'piscina';

/** Threads that share the machine's cores, each with the core as it stands in the source. */
export interface Threads {
  readonly threads: number;
  readonly run: (task: unknown) => Promise<unknown>;
  readonly close: () => Promise<void>;
}

const ROOT = path.resolve(__dirname, '..');

/** Bundles the worker of the server into a folder of its own and starts threads with it. */
export async function startThreads(): Promise<Threads> {
  // beside the packages that the bundle leaves out
  const folder = path.join(ROOT, 'node_modules', '.cache', `dulvet-${process.pid}`);
  mkdirSync(folder, { recursive: true });
  const file = path.join(folder, 'worker.mjs');
  // only where there are many recipes: the bundler takes as long to load as a few audits
  const { bundleWorker } = createRequire(path.join(ROOT, 'package.json'))(
    './scripts/worker-bundle.cjs',
  ) as typeof import('../scripts/worker-bundle.cjs');
  await bundleWorker(file);
  const threads = Math.max(1, availableParallelism());
  const pool = new Piscina({ filename: file, minThreads: threads, maxThreads: threads });
  return {
    threads,
    run: (task) => pool.run(task) as Promise<unknown>,
    close: async () => {
      await pool.destroy();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
