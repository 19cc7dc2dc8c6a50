// The command line in one file, built again whenever its source or the compiled content is newer.
import { readdirSync, readFileSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

const root = path.resolve(path.dirname(fileURLToPath(import.meta.url)), '..');
/** What the bundle is made of. */
const SOURCES = ['cli', 'src/core', 'src/server', 'src/data', 'content/compiled', 'package.json'];
export const BUNDLE = path.join(root, 'dist/dulvet.cjs');

function newest(file) {
  const stat = statSync(file);
  if (!stat.isDirectory()) return stat.mtimeMs;
  let last = stat.mtimeMs;
  for (const entry of readdirSync(file, { withFileTypes: true })) {
    if (entry.isDirectory()) last = Math.max(last, newest(path.join(file, entry.name)));
    else if (/\.(?:ts|json|mjs)$/.test(entry.name) && !/\.(?:test|fixture)\.ts$/.test(entry.name))
      last = Math.max(last, statSync(path.join(file, entry.name)).mtimeMs);
  }
  return last;
}

const built = () => {
  try {
    return statSync(BUNDLE).mtimeMs;
  } catch {
    return 0;
  }
};

/** JSON is read by JSON.parse, which is several times faster than reading it as source. */
const knowledgeAsText = {
  name: 'knowledge-as-text',
  setup(builder) {
    builder.onLoad({ filter: /content\/compiled\/.*\.json$/ }, ({ path: file }) => ({
      contents: `module.exports = JSON.parse(${JSON.stringify(readFileSync(file, 'utf8'))})`,
      loader: 'js',
    }));
  },
};

/** Builds the bundle where it is missing or older than its source; several at once do not disturb each other. */
export async function upToDate() {
  const source = Math.max(...SOURCES.map((f) => newest(path.join(root, f))));
  if (built() > source) return;
  const { build } = await import('esbuild');
  const outfile = path.join(root, `dist/dulvet-${process.pid}.cjs`);
  await build({
    entryPoints: [path.join(root, 'cli/main.ts')],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'cjs',
    target: 'node20',
    // the solver finds its WASM beside itself, the threads theirs
    external: ['highs', 'piscina'],
    tsconfig: path.join(root, 'tsconfig.json'),
    minifySyntax: true,
    minifyWhitespace: true,
    plugins: [knowledgeAsText],
    logLevel: 'warning',
  });
  renameSync(outfile, BUNDLE);
  // code compiled of an older bundle is of no more use
  for (const name of readdirSync(path.dirname(BUNDLE)))
    if (name.endsWith('.cache')) rmSync(path.join(path.dirname(BUNDLE), name), { force: true });
}
