import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

const root = path.resolve(__dirname, '..');

/** A folder of its own for a test's files, and the command line run from the project's root. */
export function bench() {
  const folder = mkdtempSync(path.join(tmpdir(), 'dulvet-'));
  return {
    folder,
    file(name: string, text: string | Buffer): string {
      const at = path.join(folder, name);
      writeFileSync(at, text);
      return at;
    },
    dulvet(args: string[], input?: string) {
      const { status, stdout, stderr } = spawnSync(
        process.execPath,
        [path.join(root, 'scripts/dulvet.mjs'), ...args],
        { cwd: root, encoding: 'utf8', input },
      );
      return { status, stdout, stderr };
    },
  };
}
