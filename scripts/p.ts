import { readFileSync, readdirSync } from 'node:fs';
import { auditRecipe } from '../src/core/audit/audit';
import { US_MEASURES } from '../src/core/measure/units';
import { protocolById } from '../src/core/protocol';
import { parseRecipe } from '../src/core/recipe/parse';
import { readRecipe } from '../src/core/read/read';
import { readMethod } from '../src/core/read/method';
const texts = readdirSync('content/demo').filter((f) => f.endsWith('.md')).map((f) => readFileSync('content/demo/'+f, 'utf8'));
const lines = texts.flatMap((t) => parseRecipe(t).lines.map((l) => l.text));
const p = protocolById('heart-strict')!;
const s = { measures: US_MEASURES, corrections: {} };
const text = (n:number)=>`# Bench\nServes 4\n\n${[...lines.slice(0, 24), `${n} g carrots, diced`].join('\n')}\n\nHeat the oil and fry the onions. Season with salt and serve.`;
let tp=0,tr=0,ta=0,tm=0;
for(let i=1;i<3000;i++){ const t=text(i); const a=performance.now(); const r=parseRecipe(t); const b=performance.now(); const rr=readRecipe(r,s); const c=performance.now(); auditRecipe(rr,p); const d=performance.now(); readMethod(r.steps, rr.lines, r.title, 4); const e=performance.now();
 if(i>500){tp+=b-a;tr+=c-b;ta+=d-c;tm+=e-d;} }
console.log(tp/2500,tr/2500,ta/2500,tm/2500);
