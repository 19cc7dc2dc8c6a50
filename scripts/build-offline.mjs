// The service worker: public/sw.js, with the list of all files and views of the build that stands in .next.
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { getManifest } from '@serwist/build';
import { build } from 'esbuild';
import { root, views } from './lib.mjs';

/** No file of the build is larger. */
const LARGEST = 12_000_000;

const revision = readFileSync(path.join(root, '.next/BUILD_ID'), 'utf8').trim();
const { manifestEntries, warnings } = await getManifest({
  globDirectory: path.join(root, '.next/static'),
  globPatterns: ['**/*.{js,css,woff2,json,wasm}'],
  globIgnores: ['**/_buildManifest.js', '**/_ssgManifest.js', '**/_clientMiddlewareManifest.*'],
  modifyURLPrefix: { '': '/_next/static/' },
  // their names hold their content
  dontCacheBustURLsMatching: /^\/_next\/static\//,
  maximumFileSizeToCacheInBytes: LARGEST,
});
for (const warning of warnings ?? []) console.warn(warning);
const entries = [
  ...(manifestEntries ?? []),
  ...['/highs.wasm', '/icon.svg', '/manifest.webmanifest', ...views()].map((url) => ({ url, revision })),
];
await build({
  entryPoints: [path.join(root, 'src/workers/service-worker.ts')],
  outfile: path.join(root, 'public/sw.js'),
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  define: { 'self.__SW_MANIFEST': JSON.stringify(entries), 'process.env.NODE_ENV': '"production"' },
  tsconfig: path.join(root, 'tsconfig.json'),
  logLevel: 'warning',
});
console.log(`offline: ${entries.length} files`);
