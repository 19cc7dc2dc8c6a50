import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe } from '@/core/read/types';
import { auditRecipe } from '@/core/audit/audit';
import { additionWords, roomAfter, tasted, tasting } from './taste';
import { TastingSchema } from './taste-schema';

const settings = { measures: US_MEASURES, corrections: {} };
const heart = protocolById('heart-strict') as Protocol;
const pot = readRecipe(
  parseRecipe(
    'Lock pot stew\nServes 4\n\nIngredients\n800 g potatoes\n400 g cooked brown lentils, no salt added\n500 g tomatoes\nsoy sauce, to taste\n\nMethod\nSimmer everything for 30 minutes.',
  ),
  settings,
);

test.each([
  ['2 tsp tamari', '2 tsp tamari'],
  ['2 more tsp tamari', '2 tsp tamari'],
  ['needed two more teaspoons tamari', 'two teaspoons tamari'],
  ['another tsp of tamari', 'one tsp of tamari'],
  ['thinned with ½ cup water', '½ cup water'],
  ['a bit more salt', 'a bit of salt'],
  ['stirred in 1 tbsp maple syrup against the sourness', '1 tbsp maple syrup'],
  ['½ cup stock to thin it', '½ cup stock'],
  ['a squeeze of lemon.', 'a squeeze of lemon'],
])('“%s” is read as “%s”', (said, words) => {
  expect(additionWords(said)).toBe(words);
});

test('what was added is in the dish, in the amount that was said', () => {
  const t = TastingSchema.parse(tasting(pot, heart, settings, ['2 tsp tamari', '1 tbsp maple syrup']));
  expect(t.additions.map((a) => a.food?.id)).toEqual(['tamari', 'maple-syrup']);
  const sodium = (a: typeof t.before) => a.total.sodiumMg;
  const [before, after] = [sodium(t.before), sodium(t.after)];
  const [tamari, syrup] = ['tamari', 'maple-syrup'].map(
    (id) => t.after.lines.find((l) => l.food?.id === id)?.contribution.sodiumMg,
  );
  expect((after?.high ?? 0) - (before?.high ?? 0)).toBeCloseTo(
    (tamari?.high ?? NaN) + (syrup?.high ?? NaN),
    6,
  );
  expect(t.text).toMatch(/2 tsp tamari\n1 tbsp maple syrup/);
});

test('an amount that was left to the tongue becomes what was put in', () => {
  const open = auditRecipe(pot, heart, { role: 'main' }).total.sodiumMg;
  expect((open?.high ?? 0) - (open?.low ?? 0)).toBeGreaterThan(300);
  const { read, text } = tasted(pot, settings, ['1 tsp soy sauce', 'another tsp soy sauce']);
  expect(text).toContain('1 tsp soy sauce + one tsp soy sauce');
  expect(text).not.toContain('to taste');
  const shut = auditRecipe(read, heart, { role: 'main' }).total.sodiumMg;
  expect((shut?.high ?? 0) - (shut?.low ?? 0)).toBeLessThan((open?.high ?? 0) - (open?.low ?? 0));
});

test('what is not understood makes the dish unknown, never within', () => {
  const t = tasting(pot, heart, settings, ['a scoop of brimble']);
  expect(t.additions[0]?.food).toBeNull();
  expect(['within', 'near']).not.toContain(t.after.verdict);
  expect(t.room).toEqual([]);
});

test('all the room there is said to be goes in, and a third more does not', () => {
  const plain = readRecipe(
    parseRecipe(
      'Lock pot stew\nServes 4\n\nIngredients\n800 g potatoes\n400 g cooked brown lentils, no salt added\n\nMethod\nSimmer.',
    ),
    settings,
  );
  const room = roomAfter(tasted(plain, settings, []), heart, 'main');
  const checked = room.filter((r) => r.grams !== null && r.grams > 5 && r.words !== null);
  expect(checked.length).toBeGreaterThan(2);
  for (const { food, grams } of checked) {
    const after = (g: number) =>
      auditRecipe(tasted(plain, settings, [`${g.toFixed(2)} g ${food.name.toLowerCase()}`]).read, heart, {
        role: 'main',
      });
    const full = after((grams ?? 0) * 0.995);
    if (full.lines.at(-1)?.food?.id !== food.id) continue;
    expect([food.id, full.verdict]).toEqual([food.id, expect.stringMatching(/within|near/)]);
    expect([food.id, after((grams ?? 0) * 1.33).verdict]).toEqual([
      food.id,
      expect.stringMatching(/over|depends/),
    ]);
  }
});

test('a line that says where to start holds that and what was added, and is open no more', () => {
  const text =
    'Weir broth\nServes 4\n\n1 litre water\n400 g white beans, canned, no salt added, drained\n1 tsp tamari to start, then to taste\n\nSimmer for 10 minutes.';
  const read = readRecipe(parseRecipe(text), settings);
  const grams = (r: ReadRecipe) => {
    const foods = r.lines.flatMap((l) => l.foods).filter((f) => f.food?.name === 'Tamari');
    return [
      foods.reduce((s, f) => s + (f.grams?.low ?? NaN), 0),
      foods.reduce((s, f) => s + (f.grams?.high ?? NaN), 0),
    ];
  };
  const [low, high] = grams(read);
  expect(high).toBeGreaterThan((low ?? 0) * 1.5);
  const after = tasted(read, settings, ['1 tsp tamari']);
  expect(after.text).toContain('1 tsp tamari + 1 tsp tamari');
  // two teaspoons of 4.93 ml (NIST), tamari at 1.08–1.22 g/ml
  const [now, most] = grams(after.read);
  expect(now).toBeGreaterThan(10);
  expect(most).toBeLessThan(12.1);
});
