import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { celsiusIn, heatIn, minutesIn } from '@/core/step/facts';
import { StepsSchema, type StepClause } from './schema';
import { textSteps } from './steps';

const LIST =
  'Ingredients\n2 tbsp olive oil\n2 onions, chopped\n400 g brown lentils\n1 litre water\n1 kg potatoes';
const clauses = (method: string): StepClause[] => {
  const read = textSteps(`Barge supper\nServes 4\n\n${LIST}\n\nMethod\n${method}`, 'x');
  if (!read.ok) throw new Error(read.message);
  return read.recipes.flatMap((r) => r.steps.flatMap((s) => s.clauses));
};
const of = (method: string, action: string) => clauses(method).find((c) => c.action === action);

describe('times', () => {
  test.each<[string, number, number]>([
    ['for 10 minutes', 10, 10],
    ['20-25 min', 20, 25],
    ['20 to 25 mins', 20, 25],
    ['1 hour 20 minutes', 80, 80],
    ['1 hr and 20 min', 80, 80],
    ['half an hour', 30, 30],
    ['an hour and a half', 90, 90],
    ['1½ hours', 90, 90],
    ['a few minutes', 2, 5],
    ['90 seconds', 1.5, 1.5],
    ['10 minutes, stirring every 2 minutes', 10, 10],
    ['another 5 minutes', 5, 5],
    ['overnight', 480, 840],
  ])('%s', (text, low, high) => {
    expect(minutesIn(text)).toMatchObject({ low, high });
  });
  test('no time is none', () => {
    for (const text of ['until soft', '2 onions', 'serves 4', '5 mushrooms', 'stirring every 10 minutes'])
      expect(minutesIn(text)).toBeNull();
  });
});

describe('temperatures', () => {
  // NIST SP 811, appendix B: °C = (°F − 32) / 1.8
  test.each<[string, number]>([
    ['at 350°F', 318 / 1.8],
    ['at 425 F', 393 / 1.8],
    ['at 350 degrees', 318 / 1.8],
    ['to 200C', 200],
    ['to 180 °C', 180],
    ['at 180 degrees', 180],
    // the usual table of British cookery books (common practice)
    ['gas mark 4', 180],
    ['gas 6', 200],
  ])('%s', (text, celsius) => expect(celsiusIn(text)?.best).toBeCloseTo(celsius, 6));
  test('a range keeps its ends', () => expect(celsiusIn('200-220°C')).toMatchObject({ low: 200, high: 220 }));
  test('none said is none', () => expect(celsiusIn('bake for 40 minutes')).toBeNull());
  test('heat', () => {
    expect(heatIn('over a medium-high heat')).toBe('high');
    expect(heatIn('on low heat')).toBe('low');
    expect(heatIn('over medium heat')).toBe('medium');
    expect(heatIn('turn the heat down')).toBe('low');
    expect(heatIn('add the hot sauce')).toBeNull();
  });
});

describe('clauses', () => {
  test('what is waited for belongs to the deed that waits', () => {
    const roast = of(
      'Toss the potatoes and roast for 35–40 minutes, shaking once, until golden and crisp.',
      'roast',
    );
    expect(roast).toMatchObject({ until: 'golden and crisp', attention: 'none', tools: ['oven'] });
    expect(roast?.minutes).toMatchObject({ low: 35, high: 40 });
  });
  test('foods point at their lines, and brought ones at none', () => {
    const all = clauses('Fry the onions in the oil. Add the lentils and 1 tbsp tahini.');
    const foods = all.flatMap((c) => c.foods.map((f) => [f.text, f.lines] as const));
    expect(foods).toEqual([
      ['onions', [1]],
      ['oil', [0]],
      ['lentils', [2]],
      ['1 tbsp tahini', []],
    ]);
    expect(all[0]).toMatchObject({ action: 'fry', medium: 'oil' });
    expect(all[0]?.foods[1]?.food?.id).toBe('olive-oil');
  });
  test('shares add up: half, then the rest', () => {
    const foods = clauses('Fry the onions in half the oil. Brush the potatoes with the remaining oil.')
      .flatMap((c) => c.foods)
      .filter((f) => f.lines.includes(0));
    expect(foods.map((f) => f.share?.best)).toEqual([0.5, 0.5]);
    // 2 tbsp of oil are 27 g (FDC: 13.5 g a tablespoon)
    expect(foods.reduce((g, f) => g + (f.grams?.best ?? 0), 0)).toBeCloseTo(27, 0);
  });
  test('polarity', () => {
    expect(of('Do not add salt.', 'add')?.polarity).toBe('not');
    expect(of('Optionally, add almonds.', 'add')?.polarity).toBe('optional');
    const soft = clauses('Soften the onions in water without oil.');
    expect(soft.map((c) => [c.polarity, c.foods.map((f) => f.text)])).toEqual([
      ['do', ['onions', 'water']],
      ['not', ['oil']],
    ]);
    expect(soft[0]?.medium).toBe('water');
  });
  test('spans are places in the step', () => {
    const read = textSteps(`Pot\nServes 4\n\n${LIST}\n\nMethod\nFry the onions, then add the lentils.`, 'x');
    if (!read.ok) throw new Error(read.message);
    for (const { text, clauses: some } of read.recipes[0]?.steps ?? [])
      for (const c of some) {
        expect(c.span[1]).toBeLessThanOrEqual(text.length);
        for (const f of c.foods) expect(text.slice(...f.span)).toBe(f.text);
      }
  });
});

describe('recipes nobody wrote this for', () => {
  const folder = path.join(__dirname, '..', 'adapt', 'unseen');
  test.each(readdirSync(folder))('%s fits the schema, and points at lines that are there', (name) => {
    const read = textSteps(readFileSync(path.join(folder, name), 'utf8'), name);
    if (!read.ok) throw new Error(read.message);
    const all = StepsSchema.parse({ schema: 'dulvet.steps/1', recipes: read.recipes });
    const some = all.recipes.flatMap((r) => r.steps.flatMap((s) => s.clauses));
    expect(some.length).toBeGreaterThan(0);
    expect(some.filter((c) => c.action !== null).length).toBeGreaterThan(some.length / 2);
    for (const c of some) {
      expect(c.span[0]).toBeLessThanOrEqual(c.span[1]);
      if (c.minutes) expect(c.minutes.low).toBeLessThanOrEqual(c.minutes.high);
    }
  });
});
