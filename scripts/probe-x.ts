import { readLine } from '../src/core/read/line';
import { readLineWords } from '../src/core/recipe/line';
import { US_MEASURES } from '../src/core/measure/units';
for (const t of process.argv.slice(2)) {
 const w = readLineWords(t);
 console.log(JSON.stringify(w.foods), JSON.stringify(w.alternatives));
 const r = readLine({text:t,start:0,end:t.length,section:null},{measures:US_MEASURES,corrections:{}},4);
 console.log(r.foods.map(f=>[f.food?.name,f.grams,f.readings]), r.missing);
}
