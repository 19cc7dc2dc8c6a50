/** Bundles `src/server/worker.ts` into one file. */
export function bundleWorker(outfile: string): Promise<unknown>;
