import { readFileSync, readdirSync } from 'node:fs';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { US_MEASURES } from '@/core/measure/units';
for (const dir of ['src/core/audit/unseen', 'src/core/adapt/unseen', 'content/demo'])
  for (const f of readdirSync(dir).filter((x) => /\.(txt|md)$/.test(x))) {
    const r = readRecipe(parseRecipe(readFileSync(`${dir}/${f}`, 'utf8')), { measures: US_MEASURES, corrections: {} });
    const m = r.lines.filter((l) => l.origin === 'method');
    console.log(f, '|', m.map((l) => `${l.line.text} → ${l.foods[0]?.food?.id ?? '?'}${l.missing ? '!' : ''}${l.optional ? ' opt' : ''} (${l.foods[0]?.readings[0]?.slice(0, 40) ?? ''})`).join(' ; '));
  }
