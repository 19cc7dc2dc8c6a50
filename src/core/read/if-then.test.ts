import { highOf, isOpen, soupWith } from './told-soup';

const CONDITIONS = [
  'If they stick',
  'If it tastes flat',
  "If it's too dry",
  'If the pan is dry',
  'If it sticks',
  'If you need it',
  'If the apples are sour',
  'If it looks dull to you',
];
const AMOUNTS = [
  ['a teaspoon of oil', 'vegetable-oil', '1 tsp oil'],
  ['a tiny wipe of oil', 'vegetable-oil', '1 drop oil'],
  ['1 tbsp tahini', 'tahini', '1 tbsp tahini'],
  ['a pinch of salt', 'salt', '1 pinch of salt'],
  ['2 tbsp of maple syrup', 'maple-syrup', '2 tbsp maple syrup'],
] as const;
test.each(CONDITIONS)('"%s", without a comma, brings what is then added, perhaps', (condition) => {
  const wrong = AMOUNTS.flatMap(([amount, id, plain]) => {
    const said = `${condition} ${amount}.`;
    const dish = soupWith('', said);
    const least = highOf(soupWith(plain), id);
    const optional = dish.lines.some((l) => l.optional && l.foods.some((f) => f.food?.id === id));
    return (isOpen(dish) || highOf(dish, id) >= least * 0.6) && optional ? [] : [said];
  });
  expect(wrong).toEqual([]);
});
test.each(['If you add a tablespoon of oil it is richer.', 'If it has a layer of oil pour it off.'])(
  '"%s" puts none in',
  (said) => expect(highOf(soupWith('', said), 'vegetable-oil')).toBe(0),
);

const WHO = ['Anyone not counting', 'Anyone who wants it', 'Whoever is not on the list', 'Those who can'];
test.each(WHO)('"%s can have" it: it may be there', (who) => {
  const dish = soupWith('', `${who} can have a spoonful of pine nuts.`);
  expect(highOf(dish, 'pine-nut')).toBeGreaterThan(4);
  expect(dish.lines.some((l) => l.optional)).toBe(true);
});

const NONE = ['zero', 'none', 'nil', 'nada', 'zilch', 'nothing'];
test.each(NONE)('"Ghee - %s" is none', (none) => {
  for (const said of [`Ghee - ${none}. Instead 1 tsp sesame seeds.`, `Ghee, ${none}.`])
    expect(soupWith('', said).lines.flatMap((l) => l.foods.map((f) => f.food?.kind))).not.toContain('animal');
});
test.each(['Salt I leave out.', "Salt I leave out, the mustard's salty enough.", 'The salt we always skip.'])(
  '"%s"',
  (said) => expect(highOf(soupWith('', said), 'salt')).toBe(0),
);
test.each([
  'Salt I leave out of mine.',
  'Salt I leave to the end.',
  'Salt: none for Bea.',
  'Salt. None for Bea.',
])('"%s" is there all the same', (said) => expect(highOf(soupWith('', said), 'salt')).toBeGreaterThan(0));

/** Spoons, vessels and scales that are said in sentences, each with so many millilitres or grams (21 CFR 101.9(b)(5)(viii) for spoons and cups; gills, quarts and decilitres by their definition). */
const SCALES = [
  ['dessertspoon', 8, 12],
  ['dl', 100, 100],
  ['tablespoonful', 14.7, 15.1],
  ['gill', 118, 143],
  ['quart', 940, 1140],
  ['decilitre', 100, 100],
  ['katori', 120, 200],
] as const;
test.each(SCALES)('a %s is understood in a sentence, before its food and behind it', (scale, low, high) => {
  for (const said of [
    `Pour in a ${scale} of oat milk.`,
    `Oat milk, 1 ${scale}.`,
    `Add 1 ${scale} oat milk.`,
  ]) {
    const milk = soupWith('', said)
      .lines.flatMap((l) => l.foods)
      .filter((f) => f.food?.kind === 'plant-milk');
    for (const f of milk) {
      expect(f.grams?.low).toBeGreaterThanOrEqual(low * 0.95);
      expect(f.grams?.high).toBeLessThanOrEqual(high * 1.05);
    }
    expect([said, milk.length]).toEqual([said, 1]);
  }
});
test.each(['50 gms walnuts', '50 grammes of walnuts', '50 gm walnuts'])('%s', (amount) =>
  expect(highOf(soupWith('', `Add ${amount}.`), 'walnut')).toBe(50),
);

test.each([
  ['bread 4 slices, the seeded wholemeal one', 'bread-whole'],
  ['rice 200 g, the brown one', 'rice-brown'],
  ['rolls 2, the wholemeal ones', 'bun-whole'],
])('"%s" is that one', (row, id) => {
  const kinds = soupWith(row).lines.flatMap((l) => l.foods.map((f) => f.food?.kindClass));
  expect([id, kinds]).toEqual([id, expect.not.arrayContaining(['refined'])]);
});
test.each([
  'Somebody had brought crackers, so we had about five each with it.',
  'We had about five crackers each with it.',
  'We all had crackers with it.',
  'There were crackers on the table and everyone had some.',
])('"%s": they were eaten with it', (said) => {
  const dish = soupWith('', said);
  expect(dish.lines.flatMap((l) => l.foods.map((f) => f.food?.name ?? ''))).toContain(
    'Crackers or crispbread',
  );
});
test.each(['There were crackers but nobody had any.', 'As children we had crackers with it.'])(
  '"%s"',
  (said) =>
    expect(soupWith('', said).lines.flatMap((l) => l.foods.map((f) => f.food?.name))).not.toContain(
      'Crackers or crispbread',
    ),
);
test.each([
  ['toast – 1 slice each, rye', 'rye-bread', 100],
  ['bread, 2 slices each, seeded', 'bread-whole', 224],
  ['Bread, 4 slices. Rye.', 'rye-bread', 100],
  ['(sometimes avo, a quarter each)', 'avocado', 115],
  ['shallots 12 little ones peeled', 'shallot', 100],
])('"%s"', (row, id, least) => {
  const [found] = soupWith(row)
    .lines.flatMap((l) => l.foods)
    .filter((f) => f.food?.id === id);
  expect(found?.grams?.low).toBeGreaterThanOrEqual(least);
});
test.each(['sugar: omit, the fruit is sweet', 'sugar - skip it; they are sweet enough'])(
  '"%s" is none',
  (row) => expect(highOf(soupWith(row), 'sugar')).toBe(0),
);
test.each(['280 g firm tofu, pressed or not', '2 carrots, peeled or not'])(
  '"%s" may not be left out',
  (row) => expect(soupWith(row).lines.some((l) => l.optional)).toBe(false),
);
test.each([
  ['Eat with pitta (1 each, wholemeal).', 'white'],
  ['Serve with bread (2 slices each, wholemeal).', 'white'],
  ['Bread with it: wholemeal, one slice each.', 'white'],
])('"%s" is the wholemeal one', (said) => {
  const names = soupWith('', said).lines.flatMap((l) => l.foods.map((f) => f.food?.name.toLowerCase() ?? ''));
  expect(names.some((n) => n.includes('wholemeal'))).toBe(true);
  expect(names.some((n) => n.includes('white'))).toBe(false);
});
test.each(['It would be 100 g marg otherwise.', 'Otherwise it would be 100 g marg.'])(
  '"%s" is not so',
  (said) => expect(soupWith('', said).lines).toHaveLength(soupWith('', '').lines.length),
);
test.each([
  ['sourdough: 2 thick slices pp @ 55g', 440],
  ['4 wholemeal buns @ 60 g', 240],
  ['about half way: 300 g frozen peas', 300],
])('"%s" weighs %d g', (row, grams) => expect(soupWith(row).lines[1]?.foods[0]?.grams?.high).toBe(grams));
test.each([
  ['150 ml soya cream or the cashew one', 'cream', 'cashew'],
  ['150 ml soya cream – single – or 150 ml of the cashew one', 'cream', 'cashew'],
  ['2 tbsp peanut butter or the almond one', 'butter', 'almond'],
  ['200 g white rice or the brown kind', 'rice', 'brown'],
])('"%s" may be the other kind', (row, noun, kind) => {
  const names = soupWith(row).lines.flatMap((l) =>
    l.alternatives.map((f) => f.food?.name.toLowerCase() ?? ''),
  );
  expect(names.some((n) => n.includes(noun) && n.includes(kind))).toBe(true);
});
test.each([
  ['1/2 cebolla', 'onion'],
  ['3 dientes de ajo', 'garlic'],
  ['sal - 1 cdta al final', 'salt'],
  ['2 cdas aceite de oliva', 'olive-oil'],
  ['1 taza de agua', 'water'],
])('%s', (row, id) =>
  expect(soupWith(row).lines.flatMap((l) => l.foods.map((f) => f.food?.id))).toContain(id),
);
test.each(['mayo 2 tbsp (light) OR hummus', 'mayo - 2 tbsp, or hummus', '2 tbsp mayo OR hummus'])(
  '"%s" may be either',
  (row) => expect(highOf(soupWith(row), 'hummus')).toBeGreaterThan(25),
);
