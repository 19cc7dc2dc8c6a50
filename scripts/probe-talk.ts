import { readFileSync } from 'node:fs';
import { parseRecipe } from '../src/core/recipe/parse';
import { readRecipe } from '../src/core/read/read';
import { US_MEASURES } from '../src/core/measure/units';
import { auditText } from '../src/core/audit/text';
import { protocolById } from '../src/core/protocol';
const r1 = (n: number) => Math.round(n * 10) / 10;
for (const f of process.argv.slice(2)) {
  const text = readFileSync(f, 'utf8');
  console.log('=====', f);
  const p = parseRecipe(text);
  const read = readRecipe(p, { measures: US_MEASURES, corrections: {} });
  for (const x of read.lines) {
    const ff = (y: (typeof x.foods)[number]) =>
      `${y.food?.name ?? `??${y.text}`}${y.grams ? ` ${r1(y.grams.low)}/${r1(y.grams.best)}/${r1(y.grams.high)}` : ' –'}${y.might.length ? ` {${y.might.map((m) => m.name).slice(0,4).join('; ')}${y.might.length>4?'…':''}}` : ''}`;
    console.log(`  ${x.origin === 'method' ? 'M ' : '- '}[${x.line.text.slice(0,60)}] ${x.foods.map(ff).join(' + ')}${x.alternatives.length ? ' OR ' + x.alternatives.map(ff).join(' OR ') : ''}${x.optional ? ' (opt)' : ''}${x.missing ? ` !!${x.missing}` : ''}${x.nothing ? ' nothing' : ''}`);
  }
  const r = auditText(text, protocolById('heart-strict')!);
  if (!r.ok) { console.log('refused'); continue; }
  const a = r.audit.recipes[0]! as any;
  console.log('  title', a.title, 'servings', JSON.stringify(a.servings), 'verdict', a.verdict);
  for (const l of a.limits) console.log('    ', l.id ?? l.label, l.verdict, JSON.stringify(l.value ?? l.range ?? ''));
  for (const q of a.problems ?? []) console.log('   !', JSON.stringify(q).slice(0, 200));
}
