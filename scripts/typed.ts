import { readFileSync } from 'node:fs';
import { auditText } from '../src/core/audit/text';
import { protocolById } from '../src/core/protocol';
const dir = '../shared/cases/typed';
const expected = JSON.parse(readFileSync(`${dir}/expected.json`, 'utf8')) as any[];
const only = process.argv[2];
let good = 0,
  all = 0;
for (const e of expected) {
  if (only && !e.file.includes(only)) continue;
  const text = readFileSync(`${dir}/${e.file}`, 'utf8');
  const problems: string[] = [];
  const r = auditText(text, protocolById('heart-strict')!);
  if (!r.ok) {
    console.log(e.file, 'refused');
    continue;
  }
  const a = r.audit.recipes[0]!;
  const names = a.lines.flatMap((l) => [
    l.text,
    l.food?.name ?? '',
    ...l.also.map((x) => `${x.text} ${x.food?.name ?? ''}`),
    ...l.alternatives.map((x) => `${x.text} ${x.food?.name ?? ''}`),
  ]);
  const foods = a.lines
    .flatMap((l) => [
      l.food?.name ?? '',
      ...l.also.map((x) => x.food?.name ?? ''),
      ...l.alternatives.map((x) => x.food?.name ?? ''),
    ])
    .filter(Boolean);
  for (const m of e.mustFind) {
    all++;
    if (!names.some((n) => new RegExp(m, 'i').test(n))) problems.push(`missing ${m}`);
    else good++;
  }
  for (const m of e.mustNotFind) {
    all++;
    if (foods.some((n) => new RegExp(m, 'i').test(n)))
      problems.push(`found ${m}: ${foods.find((n) => new RegExp(m, 'i').test(n))}`);
    else good++;
  }
  const s = a.servings;
  all++;
  if (s.low < e.servings[0] - 0.01 || s.high > e.servings[1] + 0.01)
    problems.push(`servings ${s.low}-${s.high} want ${e.servings}`);
  else good++;
  const f = a.total.fatSharePercent;
  all++;
  if (!f || f.best < e.fatShareBest[0] || f.best > e.fatShareBest[1])
    problems.push(
      `fat ${f ? `${f.low.toFixed(1)}/${f.best.toFixed(1)}/${f.high.toFixed(1)}` : 'null'} want ${e.fatShareBest}`,
    );
  else good++;
  if (e.sodiumHighAtLeast !== null) {
    all++;
    const na = a.perServing.sodiumMg?.high ?? 0;
    if (na < e.sodiumHighAtLeast) problems.push(`sodium ${na} want ≥${e.sodiumHighAtLeast}`);
    else good++;
  }
  for (const [id, vs] of Object.entries(e.verdicts as Record<string, string[]>)) {
    all++;
    const v = auditText(text, protocolById(id)!);
    const got = v.ok ? v.audit.recipes[0]!.verdict : 'x';
    if (!vs.includes(got)) problems.push(`${id} ${got} want ${vs}`);
    else good++;
  }
  console.log(`\n${e.file} (${a.servingsText}) ${problems.length ? '✗' : '✓'} ${problems.join(' | ')}`);
  for (const l of a.lines)
    console.log(
      `   ${l.text.slice(0, 70)} → ${l.food?.id ?? '?'} ${l.grams ? `${l.grams.low.toFixed(1)}/${l.grams.best.toFixed(1)}/${l.grams.high.toFixed(1)}` : '?'}${l.optional ? ' opt' : ''}${l.assumed ? ' assumed' : ''}${l.share ? ` share ${l.share.low}-${l.share.high}` : ''} ${l.origin[0]} ${[...l.also, ...l.alternatives].map((x) => x.food?.id ?? '?').join('+')}`,
    );
  if (a.unresolved.length) console.log('   UNRESOLVED', a.unresolved);
}
console.log(`${good} of ${all}`);
