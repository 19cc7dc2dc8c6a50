import { highOf, soupWith } from './told-soup';

/** What is named and made here, how it is told, what is bought under that name, and what goes in. */
const MADE: readonly (readonly [string, string, string])[] = [
  ['Croutons on top - cube 2 slices of wholemeal bread and bake.', 'croutons', 'bread-whole'],
  ['Croutons - cube 2 slices of wholemeal bread and bake.', 'croutons', 'bread-whole'],
  ['Pesto - blitz 30 g walnuts with basil.', 'pesto', 'walnut'],
  ['Cream on top - whisk 40 g cashews and 50 ml water.', 'cream', 'cashew'],
  ['Soured cream from cashews - 50 g cashews, 1 tbsp lemon juice.', 'cream', 'cashew'],
];
test.each(MADE)('"%s" brings what it is made of, and none that is bought', (told, bought, made) => {
  const dish = soupWith('', told);
  const names = dish.lines.flatMap((l) => l.foods.map((f) => f.food?.name.toLowerCase() ?? ''));
  expect(names.filter((n) => n.startsWith(bought))).toEqual([]);
  expect(highOf(dish, made)).toBeGreaterThan(0);
});

test.each([
  ['Pesto - stir in 2 tbsp.', 'pesto'],
  ['Hummus - mix with 2 tbsp water.', 'hummus'],
  ['Pesto - thin 2 tbsp with water.', 'pesto'],
  ['Croutons on top - shop ones, 20 g.', 'croutons'],
])('"%s" is bought', (told, bought) => {
  const names = soupWith('', told).lines.flatMap((l) => l.foods.map((f) => f.food?.name.toLowerCase() ?? ''));
  expect(names.some((n) => n.startsWith(bought))).toBe(true);
});

/** An amount told behind a food, in words that lead to it. */
const LEADS = ['which is', "that's", '-', ',', 'which is about'];
const MUCH: readonly (readonly [string, string])[] = [
  ['a cup and a half', '1 1/2 cups'],
  ['a tablespoon and a half', '1 1/2 tbsp'],
  ['a cup and a half of it', '1 1/2 cups'],
  ['a mug and a half', '1 1/2 mugs'],
];
test.each(LEADS)('"tahini %s a cup and a half" is a cup and a half', (lead) => {
  const wrong = MUCH.flatMap(([said, plain]) => {
    const sentence = `Stir in tahini${lead === ',' ? '' : ' '}${lead} ${said}.`;
    const least = highOf(soupWith('', `Stir in ${plain} tahini.`), 'tahini');
    return highOf(soupWith('', sentence), 'tahini') < least * 0.99 ? [sentence] : [];
  });
  expect(wrong).toEqual([]);
});

test('a bit more is more than the amount', () => {
  const cup = highOf(soupWith('1 cup walnuts'), 'walnut');
  for (const row of ['a cup and a bit of walnuts', 'walnuts - a cup and a bit'])
    expect(highOf(soupWith(row), 'walnut')).toBeGreaterThan(cup);
  expect(highOf(soupWith('', 'Add a cup and a bit of walnuts.'), 'walnut')).toBeGreaterThan(cup);
});

test.each([
  ['1/2 a bag frozen peas (bag is 600)', 'peas-frozen', 300],
  ['half a packet of firm tofu (packet is 280 g)', 'tofu-firm', 140],
  ['1/2 a jar passata (the jar is 700 g)', 'passata', 350],
  ['half a tub hummus (200 g tub)', 'hummus', 100],
])('"%s" is half of what it holds', (row, id, grams) =>
  expect(
    soupWith(row)
      .lines.flatMap((l) => l.foods)
      .map((f) => [f.food?.id, Math.round(f.grams?.high ?? 0)]),
  ).toContainEqual([id, grams]),
);

test.each(['Stir in the tahini, which is runny.', 'Add the carrots, which are sweet by now.'])(
  '"%s" names nothing unknown',
  (told) => expect(soupWith('2 tbsp tahini', told).lines.every((l) => l.missing === null)).toBe(true),
);
