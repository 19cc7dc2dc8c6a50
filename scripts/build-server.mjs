// The server's threads: one file under dist/server, found by `src/server/pool.ts`.
import path from 'node:path';
import { root } from './lib.mjs';
import { bundleWorker } from './worker-bundle.cjs';

await bundleWorker(path.join(root, 'dist/server/worker.mjs'));
