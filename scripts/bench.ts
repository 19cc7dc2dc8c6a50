/**
 * Speed of what a cook waits for, beside a public library where one does the same. Prints figures and
 * ratios; tests nothing. Run with `npm run bench`.
 */
import { judgeWeek } from '@/core/week/week';
import { mealText } from '@/core/week/meal';
import type { WeekPlan } from '@/core/week/schema';
import { readFileSync, readdirSync } from 'node:fs';
import path from 'node:path';
import loadHighs from 'highs';
import { parseIngredient } from 'parse-ingredient';
import { Bench } from 'tinybench';
import { auditRecipe } from '../src/core/audit/audit';
import { auditText } from '../src/core/audit/text';
import { cook, dishesOf } from '../src/core/cook/cook';
import { stepsOf } from '../src/core/steps/steps';
import { foodSearch } from '../src/core/food/search';
import { FOODS, type Food } from '../src/core/food/table';
import { findFood } from '../src/core/food/find';
import { US_MEASURES } from '../src/core/measure/units';
import { adapt } from '../src/core/adapt/adapt';
import { solverOf } from '../src/core/adapt/solver';
import { PROTOCOLS, protocolById, type Protocol } from '../src/core/protocol';
import { readLineWords } from '../src/core/recipe/line';
import { parseRecipe } from '../src/core/recipe/parse';
import { readRecipe } from '../src/core/read/read';

const demo = path.resolve(__dirname, '../content/demo');
const texts = readdirSync(demo)
  .filter((f) => f.endsWith('.md'))
  .map((f) => readFileSync(path.join(demo, f), 'utf8'));
const lines = texts.flatMap((t) => parseRecipe(t).lines.map((l) => l.text));
const protocol = protocolById('heart-strict') as Protocol;
const settings = { measures: US_MEASURES, corrections: {} };

/** 25 lines with amounts that change every time, so that no reading is remembered. */
let salt = 0;
function freshRecipe(): string {
  salt += 1;
  const own = lines
    .slice(0, 25)
    .map((l) =>
      /^\d/.test(l) ? l.replace(/^\d+/, String(1 + (salt % 97))) : `${salt} g ${l.replace(/^\D*\d*\s*/, '')}`,
    );
  return `# Bench ${salt}\nServes 4\n\n${own.join('\n')}\n\nHeat the oil and fry the onions. Season with salt and serve.`;
}
function changedLine(): string {
  salt += 1;
  return `# Bench\nServes 4\n\n${[...lines.slice(0, 24), `${salt} g carrots, diced`].join('\n')}\n\nHeat the oil and fry the onions. Season with salt and serve.`;
}

/** The same with a method of fifteen sentences, each said anew. */
const SENTENCES = texts
  .flatMap((t) => parseRecipe(t).steps.map((s) => s.text))
  .join(' ')
  .split(/(?<=\.)\s+/)
  .slice(0, 15);
function freshMethod(): string {
  salt += 1;
  const method = SENTENCES.map((s) => `${s.replace(/\.$/, '')}, ${1 + (salt % 59)} minutes.`).join(' ');
  return freshRecipe().replace(
    'Heat the oil and fry the onions. Season with salt and serve.',
    `Method\n${method}`,
  );
}

/** The table copied until it holds 5000 foods, for the Larder's search. */
const search = foodSearch(
  Array.from({ length: 5000 }, (_, i) => {
    const food = FOODS[i % FOODS.length] as Food;
    return { ...food, id: `${food.id}-${i}`, name: `${food.name} ${i}` };
  }),
);
const SEARCHES = ['chick', 'soy milk uns', 'tomatoe', 'red pepper', 'a'];

const sixty = `Pot\nServes 12\n\n${Array.from({ length: 12 }, (_, i) => `${i + 1} tbsp olive oil\n${i + 2} onions, chopped\n${200 + i} g potatoes\n${i + 1} tsp salt\n${100 + i} g spinach`).join('\n')}\n\nMethod\nFry the onions in the oil. Simmer with the salt.`;

/** A week of twelve diners, two pots a day and a breakfast in words; each call moves one meal and judges it all anew. */
function weekOfTwelve(): () => unknown {
  const diners = Array.from({ length: 12 }, (_, i) => ({
    name: `Diner ${i + 1}`,
    protocol: PROTOCOLS[i % PROTOCOLS.length]?.id ?? '',
    allergens: [],
    plate: 1,
  }));
  const cookings = Array.from({ length: 14 }, (_, i) => ({
    id: `pot ${i}`,
    day: Math.floor(i / 2),
    recipe: `recipe ${i}`,
    times: 3,
    place: 'fridge' as const,
  }));
  const meals: WeekPlan['meals'] = diners.flatMap((d) =>
    Array.from({ length: 7 }, (_, day) => [
      { day, meal: 'breakfast', diner: d.name, text: '60 g oats, 200 ml soy milk, a banana' },
      { day, meal: 'lunch', diner: d.name, of: `pot ${2 * day}`, plates: 1 },
      { day, meal: 'supper', diner: d.name, of: `pot ${2 * day + 1}`, plates: 1 },
    ]).flat(),
  );
  const reading = {
    cookings: new Map(
      cookings.map((c, i) => [c.id, readRecipe(parseRecipe(texts[i % texts.length] ?? ''), settings)]),
    ),
    meals: new Map(
      meals.flatMap((m, i) =>
        'text' in m ? [[i, readRecipe(parseRecipe(mealText(m.text)), settings)] as const] : [],
      ),
    ),
    protocols: new Map(PROTOCOLS.map((p) => [p.id, p])),
  };
  let turn = 0;
  return () => {
    turn += 1;
    const moved = meals.map((m, i) => (i === turn % meals.length ? { ...m, day: (m.day + 1) % 7 } : m));
    return judgeWeek({ schema: 'dulvet.week/1', days: 7, diners, cookings, meals: moved }, reading);
  };
}

async function main() {
  const judgeAgain = weekOfTwelve();
  const solve = solverOf(await loadHighs());
  const plan = (text: string, diners: readonly Protocol[]) =>
    adapt(
      readRecipe(parseRecipe(text), settings),
      diners.map((p) => ({ protocol: p })),
      settings,
      { alternatives: 0 },
      solve,
    );
  const supper = texts.slice(0, 3).flatMap((t) => {
    const read = dishesOf(t, 'bench', settings, 1);
    return read.ok ? read.dishes : [];
  });
  const kitchen = { cooks: 2, burners: 4, ovens: 2 };
  const bench = new Bench({ time: 600, warmupTime: 300 });
  let at = 0;
  const next = () => lines[(at = (at + 1) % lines.length)] as string;
  bench
    .add('read a line (amounts, food words)', () => readLineWords(next()))
    .add('parse-ingredient: the same lines', () => parseIngredient(next()))
    .add('find a food, remembered', () => findFood('large ripe tomatoes'))
    .add('search 5000 foods in the Larder', () =>
      search.find(SEARCHES[(at = (at + 1) % SEARCHES.length)] as string),
    )
    .add('audit 25 lines from text, none remembered', () => auditText(freshRecipe(), protocol))
    .add('least change, 20 lines, one diner', () => plan(texts[0] ?? '', [protocol]))
    .add('least change, 60 lines, four diners', () => plan(sixty, PROTOCOLS.slice(0, 4)))
    .add('parse a method of 15 sentences, none remembered', () => {
      const recipe = parseRecipe(freshMethod());
      return stepsOf(readRecipe(recipe, settings), settings);
    })
    .add('plan a supper of three dishes', () => cook(supper, { kitchen, table: '18:30' }))
    .add('audit 25 lines and 15 sentences, none remembered', () => auditText(freshMethod(), protocol))
    .add('judge a week anew, twelve diners, one meal moved', judgeAgain)
    .add('re-audit 25 lines, one changed', () =>
      auditRecipe(readRecipe(parseRecipe(changedLine()), settings), protocol, { per100g: false }),
    );
  await bench.run();
  const row = (name: string) => bench.tasks.find((t) => t.name.startsWith(name));
  for (const task of bench.tasks) {
    const result = task.result as {
      latency?: { mean: number; p50: number; p99: number };
      throughput?: { mean: number };
    };
    console.log(
      `${task.name.padEnd(46)} ${(result.latency?.mean ?? NaN).toFixed(4).padStart(9)} ms mean ${(result.latency?.p50 ?? NaN).toFixed(4).padStart(9)} ms median ${(result.latency?.p99 ?? NaN).toFixed(4).padStart(9)} ms p99 ${Math.round(
        result.throughput?.mean ?? NaN,
      )
        .toLocaleString('en')
        .padStart(12)} /s`,
    );
  }
  const mean = (name: string) =>
    (row(name)?.result as { latency?: { mean: number } } | undefined)?.latency?.mean ?? NaN;
  console.log(
    `\nratio, a method’s clauses to the audit of the same recipe: ${(mean('parse a method') / mean('audit 25 lines and 15')).toFixed(2)} of its time`,
  );
  console.log(
    `ratio, our line reader to parse-ingredient: ${(mean('read a line') / mean('parse-ingredient')).toFixed(2)} of its time`,
  );
}

void main();
