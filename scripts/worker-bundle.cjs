// Bundles the worker threads' file: the core as it stands in the source, for the server's pool and the command line's.
const path = require('node:path');
const { build } = require('esbuild');

const root = path.resolve(__dirname, '..');

exports.bundleWorker = (outfile) =>
  build({
    entryPoints: [path.join(root, 'src/server/worker.ts')],
    outfile,
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
