import { readFileSync } from 'node:fs';
import { auditText } from '../src/core/audit/text';
import { protocolById } from '../src/core/protocol';
type Case = { name: string; kind: string; protocols: string[]; text: string };
const dir = process.env.CASES ?? '../shared/cases';
const cases = JSON.parse(readFileSync(`${dir}/method-cases.json`, 'utf8')) as Case[];
const verbose = process.argv.includes('-v');
const filter = process.argv[2] && !process.argv[2].startsWith('-') ? process.argv[2] : null;
const bad: Record<string, string[]> = {};
let n = 0;
for (const c of cases) {
  if (filter && !c.name.includes(filter)) continue;
  n += 1;
  const wrong: string[] = [];
  for (const id of c.protocols) {
    const r = auditText(c.text, protocolById(id)!);
    const v = r.ok ? r.audit.recipes.map((x) => x.verdict) : ['refused'];
    const within = v.every((x) => x === 'within' || x === 'near');
    if (c.kind === 'ok' ? !within : within) wrong.push(`${id}:${v.join('/')}`);
    if (filter && verbose && r.ok && id === c.protocols[0]) {
      console.log(c.text.slice(0, 600));
      console.log(
        r.audit.recipes.map((x) => [
          x.title,
          x.verdict,
          x.lines.map(
            (l) =>
              `${l.text} → ${l.food?.id ?? '?'} ${l.grams ? `${l.grams.low.toFixed(0)}-${l.grams.high.toFixed(0)}` : '?'} ${l.origin}`,
          ),
          x.unresolved,
        ]),
      );
    }
  }
  if (wrong.length > 0) (bad[c.kind] ??= []).push(`${c.name}  [${wrong.join(' ')}]`);
}
const total = Object.values(bad).reduce((s, l) => s + l.length, 0);
for (const [k, l] of Object.entries(bad)) {
  console.log(`== ${k} ${l.length}`);
  for (const x of l) console.log('  ', x.slice(0, 170));
}
console.log(
  `${n - total} of ${n} right; wrong: ${Object.entries(bad)
    .map(([k, l]) => `${k} ${l.length}`)
    .join(', ')}`,
);
