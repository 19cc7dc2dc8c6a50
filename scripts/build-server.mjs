// Bundles the worker threads of the server: one file each under dist/server, found by `src/server/pool.ts`.
import path from 'node:path';
import { build } from 'esbuild';
import { root } from './lib.mjs';

await build({
  entryPoints: [path.join(root, 'src/server/worker.ts')],
  outfile: path.join(root, 'dist/server/worker.mjs'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  // the solver finds its WASM beside itself
  external: ['highs'],
  banner: {
    js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);",
  },
  tsconfig: path.join(root, 'tsconfig.json'),
  logLevel: 'warning',
});
