import { readLine } from '@/core/read/line';
import { US_MEASURES } from '@/core/measure/units';
import { readFileSync } from 'fs';
let bad=0,n=0;
for (const row of readFileSync('/tmp/lines.txt','utf8').split('\n').filter(Boolean)) {
  const [text,id,g]=row.split(' | ').map(s=>s?.trim()) as [string,string,string];
  const r = readLine({text,start:0,end:0,section:null},{measures:US_MEASURES,corrections:{}},4);
  const f=r.foods[0]; n++;
  const okFood=(f?.food?.id??'')===(id??''); const best=f?.grams?.best??NaN; const want=Number(g||NaN);
  const okG= !g || Math.abs(best-want)<=0.12*want;
  if(!okFood||!okG){bad++; console.log(`${text} => ${r.foods.map(x=>x.food?.id+' '+x.confidence+' '+JSON.stringify(x.grams))} alt ${r.alternatives.map(x=>x.food?.id)} [want ${id} ${g}] cand ${f?.candidates.slice(0,3).map(c=>c.food.id+c.confidence)} "${f?.text}" ${r.missing}`);}
}
console.log(n-bad,'/',n);
