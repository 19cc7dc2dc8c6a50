// npm run -s dulvet -- …: the command line from its bundle, its compiled code kept beside it from run to run.
import { readFileSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import vm from 'node:vm';
import { BUNDLE, upToDate } from './cli-bundle.mjs';

await upToDate();
const require = createRequire(BUNDLE);
// by the very bundle it was compiled of: one built while another still runs has a cache of its own
const CACHE = `${BUNDLE}.${process.version}.${statSync(BUNDLE).mtimeMs}.cache`;

/** The code that V8 compiled the last time. */
function compiledBefore() {
  try {
    return readFileSync(CACHE);
  } catch {
    return undefined;
  }
}

const cachedData = compiledBefore();
const source = `(function (exports, require, module, __filename, __dirname) {${readFileSync(BUNDLE, 'utf8')}\n})`;
const script = new vm.Script(source, { filename: BUNDLE, cachedData });
const bundle = { exports: {} };
script.runInThisContext()(bundle.exports, require, bundle, BUNDLE, path.dirname(BUNDLE));
if (!cachedData || script.cachedDataRejected)
  process.once('exit', () => {
    try {
      const fresh = `${CACHE}-${process.pid}`;
      writeFileSync(fresh, script.createCachedData());
      renameSync(fresh, CACHE);
    } catch {
      // a folder that cannot be written costs speed alone
    }
  });
