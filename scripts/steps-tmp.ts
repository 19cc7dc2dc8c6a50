import { sentencesOf } from '@/core/step/clauses';
import { polarityOf } from '@/core/step/polarity';
import { tokensOf } from '@/core/step/tokens';
import { namerOf } from '@/core/read/brought';
import { TABLE_LARDER } from '@/core/food/larder';
for (const text of process.argv.slice(2)) {
  console.log('»', text);
  for (const s of sentencesOf(tokensOf(text), namerOf(TABLE_LARDER))) for (const c of s.clauses) {
    const w = s.tokens.slice(c.from, c.to).map((t) => t.word).join(' ');
    const foods = [...new Set(s.named.slice(c.from - s.from, c.to - s.from))].filter(Boolean).map((n) => `${n!.kind}:${n!.id}${n!.kind === 'food' ? ` ${polarityOf(s, c, n!.from, n!.to)}` : ''}`);
    console.log(`   [${w}] verb=${c.verb?.verb.id ?? '-'}/${c.verb?.form ?? ''} opener=${c.opener ?? ''} ${foods.join(', ')}`);
  }
}
