import loadHighs from 'highs';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { tastesOf } from '@/core/swap/tastes';
import { adapt, type AdaptOptions } from './adapt';
import { leaveOut } from './amounts';
import { portionsOf } from './portions';
import { joinAgain, separate } from './separate';
import type { Solve } from './search';
import { solverOf } from './solver';
import { starterFor } from './starter';

const settings = { measures: US_MEASURES, corrections: {} };
const read = (text: string) => readRecipe(parseRecipe(text), settings);
const of = (id: string) => protocolById(id) as Protocol;
const line = (text: string) => {
  const r = read(`Pot\nServes 4\n\nIngredients\n${text}\n1 kg potatoes`);
  return r.lines[0] as (typeof r.lines)[number];
};
let solve: Solve;
beforeAll(async () => {
  solve = solverOf(await loadHighs());
});
const run = (text: string, protocol: string, options: AdaptOptions = {}) =>
  adapt(read(text), [{ protocol: of(protocol) }], settings, options, solve);

describe('lines written as several', () => {
  test.each<[string, readonly string[]]>([
    ['1 tsp fine salt and 1 tbsp of the sugar', ['1 tsp fine salt', '1 tbsp of the sugar']],
    ['1 tbsp each soy sauce and rice vinegar', ['1 tbsp soy sauce', '1 tbsp rice vinegar']],
    ['200 g mushrooms, fried in 2 tbsp oil', ['200 g mushrooms', '2 tbsp oil']],
  ])('%s', (text, parts) => {
    const whole = read(`Pot\nServes 4\n\nIngredients\n- ${text}\n- 1 kg potatoes\n\nMethod\nCook it.`);
    const apart = separate(whole, settings);
    expect(apart.separated).toEqual([{ whole: text, parts, inRow: false }]);
    expect(apart.read.lines).toHaveLength(whole.lines.length + 1);
    // put back together they read as they were written
    expect(joinAgain(apart.read.recipe.source, apart.separated)).toBe(whole.recipe.source);
  });
  test('what would read otherwise apart stays together', () => {
    const whole = read('Pot\nServes 4\n\nIngredients\n1 tin chickpeas in salted water\n1 kg potatoes');
    expect(separate(whole, settings).separated).toEqual([]);
  });
});

describe('how many it feeds', () => {
  test('a range is settled, and smaller plates are a choice that costs more', () => {
    const made = portionsOf(read('Pot\nServes 4-6\n\n1 kg potatoes'), settings);
    expect(made.map((p) => p.to)).toEqual(['serves 5', 'serves 6', 'serves 9']);
    expect(made[0]?.departure).toBeLessThan(made[2]?.departure ?? 0);
    for (const p of made) expect(p.read.servings.said).toBe(true);
  });
  test('of what nobody said only the likeliest is said', () => {
    const made = portionsOf(read('Pot\n\n1 kg potatoes\n2 onions'), settings);
    expect(made).toHaveLength(1);
    expect(made[0]?.name).toBe('Say how many it feeds');
  });
  test('what the cook said herself stands', () => {
    expect(portionsOf(read('Pot\nServes 4-6\n\n1 kg potatoes'), { ...settings, servings: 4 })).toEqual([]);
  });
});

describe('leaving out', () => {
  test.each<[string, number | null]>([
    ['2 tbsp capers, optional', 0.93],
    ['grated vegan cheese, to serve', 0.73],
    ['naan', 0.73],
    ['1 tbsp soy sauce', 0.55],
    ['300 g rice', null],
    ['2 onions', null],
  ])('%s', (text, closeness) => expect(leaveOut(line(text))?.closeness ?? null).toBe(closeness));
});

describe('what the cook asks for', () => {
  const oily =
    'Pot\nServes 4\n\n2 tbsp olive oil\n2 onions\n1 kg potatoes\n\nMethod\nFry the onions in the oil.';
  test('a line that must change changes, and no plan leaves it', () => {
    const { plans } = run(oily, 'everyday', { forced: ['1 kg potatoes'], alternatives: 2 });
    expect(plans.length).toBeGreaterThan(0);
    for (const p of plans) expect(p.changes.map((c) => c.from)).toContain('1 kg potatoes');
  });
  test('the dish is looked at even where it was within', () => {
    const { plans } = run('Pot\nServes 4\n\n1 kg potatoes\n200 g carrots', 'everyday', {
      forced: ['200 g carrots'],
    });
    expect(plans[0]?.changes.map((c) => c.from)).toEqual(['200 g carrots']);
    expect(['within', 'near']).toContain(plans[0]?.after.verdict);
  });
  test('of two plans alike the kitchen’s own leaning decides, and says so', () => {
    const plain = run(oily, 'heart-strict').plans[0]?.changes[0];
    const tastes = tastesOf([], [{ swapId: plain?.swap ?? '', times: 2, worked: false }]);
    const other = run(oily, 'heart-strict', { tastes }).plans[0]?.changes[0];
    expect(other?.swap).not.toBe(plain?.swap);
    const liked = tastesOf([], [{ swapId: other?.swap ?? '', times: 2, worked: true }]);
    expect(run(oily, 'heart-strict', { tastes: liked }).plans[0]?.changes[0]?.because).toContain(
      'it worked before',
    );
  });
});

describe('what is eaten first', () => {
  test('makes the meal less dense than the dish, and is neither like it nor an allergen', () => {
    const dish = read('Bake\nServes 4\n\n300 g wholewheat pasta\n400 g passata\n200 g lentils');
    const starter = starterFor(dish, of('light-plate'), 'main', settings, ['celery']);
    expect(starter).not.toBeNull();
    expect(starter?.lines.length).toBeGreaterThan(1);
    // 300 g pasta at 352 kcal and the rest: well over 100 kcal in 100 g by itself, and below with a starter
    const own = run(
      'Bake\nServes 4\n\n300 g wholewheat pasta\n400 g passata\n200 g lentils',
      'light-plate',
    ).before;
    expect(starter?.mealDensity.best).toBeLessThan(own.total.energyDensityKcalPer100G?.best ?? 0);
    expect(starter?.name).not.toMatch(/soup/);
  });
  test('soup gets no soup first', () => {
    const soup = read('Split pea soup\nServes 4\n\n300 g split peas\n1 l water\n2 onions');
    expect(starterFor(soup, of('light-plate'), 'main', settings)?.name ?? '').not.toMatch(/soup/);
  });
});
