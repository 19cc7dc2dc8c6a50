import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';

/**
 * "Start with ½ tsp, add to taste" is a lower end and no amount: what a cook starts with is never all that may go in.
 * Ways of saying it are common practice of recipe writing.
 */
const gramsOf = (list: string, method: string, name: RegExp) => {
  const text = `Weir broth\nServes 4\n\nIngredients\n1 litre water\n${list}\n\nMethod\n${method}`;
  const read = readRecipe(parseRecipe(text), { measures: US_MEASURES, corrections: {} });
  const lines = read.lines.filter((l) => l.foods.some((f) => name.test(f.food?.name ?? '')));
  const sum = (end: 'low' | 'high') =>
    lines.flatMap((l) => l.foods).reduce((s, f) => s + (f.grams?.[end] ?? NaN), 0);
  return { low: sum('low'), high: sum('high'), lines: lines.length };
};
const AMOUNTS = [
  ['1 tsp', 1],
  ['½ tsp', 0.5],
  ['half a teaspoon', 0.5],
  ['2 tsp', 2],
] as const;
const FOODS = [
  ['salt', /^Salt$/],
  ['tamari', /^Tamari$/],
  ['maple syrup', /^Maple syrup$/],
] as const;
const LINES = [
  (a: string, f: string) => `${a} ${f} to start`,
  (a: string, f: string) => `${a} ${f}, to start with`,
  (a: string, f: string) => `${a} ${f} to begin with, more if it needs it`,
  (a: string, f: string) => `${a} ${f}, then more to taste`,
  (a: string, f: string) => `${a} ${f} (to start)`,
  (a: string, f: string) => `start with ${a} ${f}, add to taste`,
  (a: string, f: string) => `${f} - start with ${a}`,
  (a: string, f: string) => `${f}, ${a} at first`,
];
const DEEDS = [
  (a: string, f: string) => `Start with ${a} ${f}, add to taste.`,
  (a: string, f: string) => `Begin with ${a} of ${f} and go up from there.`,
  (a: string, f: string) => `Stir in ${a} ${f} to start with; taste and add more.`,
  (a: string, f: string) => `Add ${a} ${f}, then more to taste.`,
  (a: string, f: string) => `Add ${a} ${f}, taste, and add more if you like.`,
];

describe.each(FOODS)('%s', (food, name) => {
  test.each(AMOUNTS)('%s is where it starts', (amount) => {
    const exact = gramsOf(`${amount} ${food}`, 'Simmer 10 minutes.', name);
    for (const line of LINES) {
      const got = gramsOf(line(amount, food), 'Simmer 10 minutes.', name);
      expect([line(amount, food), got.lines]).toEqual([line(amount, food), 1]);
      expect([line(amount, food), got.high > exact.high * 1.2]).toEqual([line(amount, food), true]);
      expect(got.low).toBeLessThanOrEqual(exact.low * 1.05);
    }
    for (const deed of DEEDS) {
      const got = gramsOf('300 g carrots', deed(amount, food), name);
      expect([deed(amount, food), got.high > exact.high * 1.2]).toEqual([deed(amount, food), true]);
    }
    // what is merely added is what it says
    const plain = gramsOf('300 g carrots', `Add ${amount} ${food}. Add more water if it is dry.`, name);
    expect(plain.high).toBeCloseTo(exact.high, 6);
  });
});

test('so much at a time: as often as it takes', () => {
  const once = gramsOf('¼ tsp salt', 'Simmer.', /^Salt$/);
  for (const [list, method] of [
    ['salt, ¼ tsp at a time', 'Simmer.'],
    ['300 g carrots', 'Add salt ¼ tsp at a time until it tastes right.'],
  ] as const)
    expect(gramsOf(list, method, /^Salt$/).high).toBeGreaterThanOrEqual(once.high * 3);
  // all of it, a spoon at a time
  const all = gramsOf('2 tbsp cornflour', 'Simmer.', /./);
  expect(gramsOf('2 tbsp cornflour, a spoon at a time', 'Simmer.', /./).high).toBeCloseTo(all.high, 6);
});

/** Volumes of a US measure set, 1 tsp = 4.929 ml (NIST Handbook 44): halves and quarters are halves and quarters. */
test.each([
  ['half a teaspoon', '½ tsp'],
  ['a quarter of a teaspoon', '¼ tsp'],
  ['quarter of a teaspoon', '¼ tsp'],
  ['three quarters of a teaspoon', '¾ tsp'],
  ['half a tablespoon', '½ tbsp'],
  ['two thirds of a cup', '⅔ cup'],
  ['an eighth of a teaspoon', '⅛ tsp'],
  ['two tablespoons', '2 tbsp'],
])('an amount in words behind its food: %s', (words, digits) => {
  for (const [food, name] of FOODS) {
    const known = gramsOf(`${digits} ${food}`, 'Simmer.', name);
    for (const line of [`${food}, ${words}`, `${food} - ${words}`, `${food}: ${words}`, `${words} ${food}`]) {
      const got = gramsOf(line, 'Simmer.', name);
      expect([line, got.lines]).toEqual([line, 1]);
      expect(got.low).toBeCloseTo(known.low, 1);
      expect(got.high).toBeCloseTo(known.high, 1);
    }
  }
});
