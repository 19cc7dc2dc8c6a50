// How many bytes of scripts each view loads before it can be used, and whether that is within its budget (bytes, not
// times: the same on every machine). What is fetched later (workers, dialogs, charts, the solver) is not counted.
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { gzipSync } from 'node:zlib';
import { freePort, root, startApp, views } from './lib.mjs';

/** Kilobytes (gzip) that a view may load; every view, so that a new one has its budget from its first day. */
const MOST = 200;
const { child, address } = await startApp(await freePort(3700));
let over = 0;
try {
  for (const view of views()) {
    const html = await (await fetch(`${address}${view}`)).text();
    // what only browsers without modules load is not loaded by any that Dulvet runs in
    const old = new Set(
      [...html.matchAll(/<script[^>]*>/g)]
        .filter(([tag]) => /nomodule/i.test(tag))
        .flatMap(([tag]) => /src="([^"?]+)/.exec(tag)?.[1] ?? []),
    );
    const scripts = new Set(
      [...html.matchAll(/["'(](\/_next\/static\/[^"'()\\]+\.js)/g)]
        .map((m) => m[1])
        .filter((s) => !old.has(s)),
    );
    let bytes = 0;
    for (const src of scripts)
      bytes += gzipSync(
        readFileSync(path.join(root, '.next', src.replace(/^\/_next\//, '').split('?')[0])),
      ).length;
    const kB = bytes / 1000;
    const fits = kB <= MOST;
    if (!fits) over += 1;
    console.log(
      `${view.padEnd(8)} ${kB.toFixed(0).padStart(4)} kB gzip in ${scripts.size} scripts, at most ${MOST}${fits ? '' : '  OVER'}`,
    );
  }
} finally {
  child.kill();
}
process.exit(over === 0 ? 0 : 1);
