/** What ships with Dulvet and under which licence, from the lock file; `npm run report` writes `docs/licences.md`. */
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

const root = path.resolve(__dirname, '..');

interface Locked {
  readonly version?: string;
  readonly license?: string;
  readonly dev?: boolean;
  readonly optional?: boolean;
  readonly devOptional?: boolean;
}

export interface Shipped {
  readonly name: string;
  readonly version: string;
  readonly licence: string;
}

/** Packages that ship: those that no development alone asks for. */
export function shipped(): Shipped[] {
  const lock = JSON.parse(readFileSync(path.join(root, 'package-lock.json'), 'utf8')) as {
    packages: Record<string, Locked>;
  };
  const rows = Object.entries(lock.packages).flatMap(([at, p]): Shipped[] =>
    at === '' || p.dev || p.devOptional || p.optional
      ? []
      : [
          {
            name: at.slice(at.lastIndexOf('node_modules/') + 'node_modules/'.length),
            version: p.version ?? '',
            licence: p.license ?? 'not said',
          },
        ],
  );
  const key = (r: Shipped) => `${r.name} ${r.version}`;
  return [...new Map(rows.map((r) => [key(r), r])).values()].sort((a, b) => (key(a) < key(b) ? -1 : 1));
}

/** The page of `docs/`. */
export function licences(): string {
  const rows = shipped();
  const counts = new Map<string, number>();
  for (const r of rows) counts.set(r.licence, (counts.get(r.licence) ?? 0) + 1);
  const most = [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
  return `# Licences of what ships

Written by \`npm run report\` from the lock file; a test holds it to that. Dulvet itself is under the MIT licence
([LICENSE](../LICENSE)); its fonts are under the SIL Open Font License. The common words that are never taken for a slip of a
food's (\`ordinary\` in \`content/compiled/names.json\`) are from SCOWL, copyright 2000-2016 by Kevin Atkinson, who permits their
use, copy, change and sale where that notice stands.

| Licence | Packages |
| --- | --- |
${most.map(([licence, n]) => `| ${licence} | ${n} |`).join('\n')}

| Package | Version | Licence |
| --- | --- | --- |
${rows.map((r) => `| ${r.name} | ${r.version} | ${r.licence} |`).join('\n')}
`;
}

if (require.main === module) writeFileSync(path.join(root, 'docs/licences.md'), licences());
