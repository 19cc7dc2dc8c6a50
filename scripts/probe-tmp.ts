import { readFileSync } from 'node:fs';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { US_MEASURES } from '@/core/measure/units';
const text = readFileSync('/tmp/lines.txt','utf8');
const r = readRecipe(parseRecipe('Dish\n\nServes 4\n\nIngredients\n'+text), { measures: US_MEASURES, corrections: {} });
for (const l of r.lines) console.log(l.line.text, '→', l.foods.map(f=>`${f.food?.id ?? '??'} [${f.grams ? [f.grams.low,f.grams.best,f.grams.high].map(x=>Math.round(x*10)/10).join('/') : '-'}]`).join(' + '), l.alternatives?.length? 'ALT '+l.alternatives.map((a:any)=>a.food?.id??a.foods?.[0]?.food?.id).join(','):'', l.missing ? 'MISSING '+JSON.stringify(l.missing):'');
