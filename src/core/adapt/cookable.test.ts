import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import loadHighs from 'highs';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById } from '@/core/protocol';
import type { Protocol } from '@/core/protocol';
import { readRecipe } from '@/core/read/read';
import { parseRecipe } from '@/core/recipe/parse';
import { brokenIn } from '@/core/swap/broken';
import { applySwap } from '@/core/swap/apply';
import { SWAPS } from '@/core/swap/roles';
import { adapt, type Solve } from './adapt';
import {
  amountsLost,
  doubledLines,
  foodsLost,
  openLines,
  stillNamed,
  tornFoods,
  unusedLines,
  wrongIn,
} from './fence';
import { solverOf, type Highs } from './solver';

const settings = { measures: US_MEASURES, corrections: {} };
const read = (text: string) => readRecipe(parseRecipe(text), settings);
// read, and not changed here: one of their neighbours takes minutes to change
const READ_ALONE = new Set([
  'barley-broth.txt',
  'chickpea-sandwich.txt',
  'lighter-flapjack.txt',
  'peanut-noodles.txt',
  'wednesday-dal.txt',
]);
const recipes = [
  path.join(__dirname, '../read/talked'),
  path.join(__dirname, '../audit/unseen'),
  path.join(__dirname, 'unseen'),
].flatMap((dir) =>
  readdirSync(dir)
    .filter((f) => f.endsWith('.txt') && !READ_ALONE.has(f))
    // of the many that are talked every fourth: a plan takes its time
    .filter((_, i) => !dir.endsWith('talked') || i % 4 === 0)
    .map((f): [string, string] => [f.replace('.txt', ''), readFileSync(path.join(dir, f), 'utf8')]),
);
const strict = protocolById('heart-strict') as Protocol;

let solve: Solve;
beforeAll(async () => {
  solve = solverOf((await (loadHighs as unknown as () => Promise<Highs>)()) as Highs);
});

test('there are recipes enough to say so', () => expect(recipes.length).toBeGreaterThanOrEqual(60));

// the checks of grammar are this project's own; what they look for is plain English usage (common practice)
test.each(recipes)('%s, adapted, is a recipe that a cook could cook from', (_, text) => {
  const before = read(text);
  const { plans } = adapt(before, [{ protocol: strict }], settings, { alternatives: 1 }, solve);
  for (const plan of plans) expect(wrongIn(before, read(plan.text), plan.changes, settings)).toEqual([]);
});

test.each(recipes)('%s: no single swap leaves a broken sentence', (_, text) => {
  const before = read(text);
  before.lines.forEach((line, i) => {
    const food = line.foods[0]?.food;
    for (const swap of SWAPS.filter((s) => food && s.from.foods?.includes(food.id))) {
      const swapped = applySwap(before, i, swap, settings);
      const was = before.steps.map((s) => s.text).join('\n');
      if (swapped) expect(swapped.steps.flatMap((s) => brokenIn(was, s))).toEqual([]);
    }
  });
});

describe('the fence sees', () => {
  const was = read(
    'Pot\nServes 2\n\n50 g walnuts\n200 g rice\n2 tbsp olive oil\n\nFry the rice in the oil. Scatter over the walnuts.',
  );
  const change = (from: string, to: string) => ({ from, to }) as Parameters<typeof unusedLines>[2][number];
  test('a line that no step uses', () => {
    const now = read('Pot\nServes 2\n\n60 g chestnuts\n200 g rice\n\nSimmer the rice.');
    expect(unusedLines(was, now, [change('50 g walnuts', '60 g chestnuts')], settings)).toHaveLength(1);
  });
  test('a food that went and is still named', () => {
    const now = read(
      'Pot\nServes 2\n\n60 g chestnuts\n200 g rice\n\nSimmer the rice. Scatter over the walnuts and chestnuts.',
    );
    expect(stillNamed(was, now)).toHaveLength(1);
  });
  test('a line twice', () => {
    const now = read('Pot\nServes 2\n\n200 g rice\n200 g rice\n\nSimmer the rice.');
    expect(doubledLines(was, now)).toHaveLength(1);
  });
  test('an amount that went', () => {
    const now = read(
      'Pot\nServes 2\n\n200 g rice\nchestnuts\n\nSimmer the rice. Scatter over the chestnuts.',
    );
    expect(amountsLost(was, now, [change('50 g walnuts', 'chestnuts')])).toHaveLength(1);
  });
  test('a food that was lost beside what was swapped', () => {
    const now = read(
      'Pot\nServes 2\n\n60 g chestnuts\n2 tbsp stock\n\nWarm the stock. Scatter over the chestnuts.',
    );
    const changes = [change('50 g walnuts', '60 g chestnuts'), change('2 tbsp olive oil', '2 tbsp stock')];
    expect(foodsLost(was, now, changes)).toEqual(['lost: “200 g rice”']);
    expect(foodsLost(was, was, changes)).toEqual([]);
  });
  test('a bracket that a swap tore', () => {
    const now = read('Pot\nServes 2\n\n60 g chestnuts (chopped\n200 g rice\n\nSimmer the rice.');
    expect(openLines(now, [change('50 g walnuts (chopped)', '60 g chestnuts (chopped')])).toHaveLength(1);
  });
  test('a food that is one thing here and another there', () => {
    const told = read('Pot\nServes 2\n\nFry 200 g tofu. Boil 150 g rice. Later stir 100 g tofu through.');
    const places = told.lines.flatMap((l, i) => (l.foods[0]?.food?.kind === 'soy' ? [i] : []));
    const [a = 0, b = a] = places;
    const to = (line: number, swap: string) => ({ line, swap, share: 1, from: 'tofu', to: swap }) as never;
    if (places.length > 1) expect(tornFoods(told, [to(a, 'beans'), to(b, 'mushrooms')])).toHaveLength(1);
    expect(tornFoods(told, [to(a, 'beans'), to(a, 'beans')])).toEqual([]);
  });
  test.each<[string, string]>([
    ['Knead on an oiled board.', 'Knead on an the water board.'],
    ['Fry the onion in the same oil.', 'Fry the onion in the same no oil.'],
    ['Stir in the Italian dressing.', 'Stir in the Italian the lemon juice.'],
    ['Decorate with nuts.', 'Decorate with.'],
    ['Add the tahini and beans.', 'Add the bean mix and bean mix.'],
    ['Oil a tin.', 'The yoghurt a tin.'],
    ['Toast the walnuts.', 'Toast the bean purée.'],
    ['Add the butter and stir.', 'Add and stir.'],
  ])('%s → %s', (before, after) => {
    expect(brokenIn(before, after)).not.toEqual([]);
    expect(brokenIn(after, after)).toEqual([]);
  });
});
