import { readRecipe } from '@/core/read/read';
import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from './parse';
import { eatersInPictures, crossedOut, pictureOf, withoutPictures } from './pictures';
import { isTableHead, tableRow } from './table';

const FOODS = [
  ['900', 'g', 'butternut squash', 'peeled'],
  ['200', 'ml', 'light coconut milk', ''],
  ['1', 'tbsp', 'olive oil', 'for the pan'],
  ['2', 'cups', 'red lentils', 'rinsed'],
  ['½', 'tsp', 'salt', ''],
] as const;
type Row = (typeof FOODS)[number];
const LAYOUTS: Readonly<Record<string, (row: Row) => string>> = {
  'amount, food': ([n, unit, food]) => `${n} ${unit} | ${food}`,
  'food, amount': ([n, unit, food]) => `${food} | ${n} ${unit}`,
  'amount, unit, food': ([n, unit, food]) => `${n} | ${unit} | ${food}`,
  'food, amount, unit, note': ([n, unit, food, note]) => `${food} | ${n} | ${unit} | ${note}`,
  'food, amount, note in bars': ([n, unit, food, note]) => `| ${food} | ${n} ${unit} | ${note} |`,
  'food, amount, energy': ([n, unit, food]) => `${food} | ${n} ${unit} | 120 kcal`,
  'in tabs': ([n, unit, food, note]) => `${food}\t${n}\t${unit}\t${note}`,
};
const read = (text: string) => readRecipe(parseRecipe(text), { measures: US_MEASURES, corrections: {} });
const grams = (text: string) =>
  read(text).lines.map((l) => [l.foods[0]?.food?.id, Math.round(l.foods[0]?.grams?.high ?? -1)]);

test.each(Object.entries(LAYOUTS))('a table of %s is read as its list', (_, layout) => {
  const list = FOODS.map(([n, unit, food, note]) => `${n} ${unit} ${food}${note ? `, ${note}` : ''}`);
  for (const head of ['', 'Ingredient | Amount\n', '| Ingredient | Amount | Notes |\n|---|---|---|\n'])
    expect(grams(`Squash pot\nServes 4\n\n${head}${FOODS.map(layout).join('\n')}\n\n1. Simmer.`)).toEqual(
      grams(`Squash pot\nServes 4\n\n${list.join('\n')}\n\n1. Simmer.`),
    );
});

test('so much for each who eats is for as many as the table says', () => {
  const recipe = read(
    'Ingredient | Amount | Notes\nOnion | 2 |\nBrown rice | 60 g each | 4 people\n\n1. Cook.',
  );
  expect(recipe.servings.range.high).toBe(4);
  expect(recipe.lines[1]?.foods[0]?.grams?.high).toBe(240);
});

test.each(['Ingredient | Amount | Notes', '| Qty | Unit | Item |', 'Amount\tIngredient'])(
  '"%s" heads one',
  (row) => expect(isTableHead(row)).toBe(true),
);
test.each(['Serves | 4', '2 people | 30 min', 'onion | leek', 'Prep | 20 min', 'a plain row'])(
  '"%s" is no food',
  (row) => expect(tableRow(row)).toBeNull(),
);

describe('pictures', () => {
  const CARD = `🍅 Lentil pasta 🍝\n\n👥 4\n⏱ 35m\n\n✅ 300 g wholewheat fusilli\n✅ 150 g red lentils\n❌ oil (use water!)\n\n👉 water-sauté the veg 8m\n👉 mix!`;
  test('a card of them has its name, its eaters, its list and its steps', () => {
    const recipe = parseRecipe(CARD);
    expect(recipe.title).toBe('Lentil pasta');
    expect(recipe.servings?.range.high).toBe(4);
    expect(recipe.lines).toHaveLength(3);
    expect(recipe.steps).toHaveLength(2);
    expect(read(CARD).lines.find((l) => l.line.text.includes('oil'))?.foods[0]?.grams?.high).toBe(0);
  });
  test('what is crossed out is none', () => {
    for (const mark of ['❌', '🚫', '✗', '✖️', '⛔'])
      expect(
        read(`Pot\nServes 2\n\n2 onions\n${mark} 2 tbsp butter\n\nSimmer.`).lines[1]?.corners?.[0]?.[0],
      ).toBe(0);
  });
  test('what each says', () => {
    expect(eatersInPictures('⏱ 20 min 👥 2')).toBe('2');
    expect(eatersInPictures('🍽 200 g peas')).toBeNull();
    expect(crossedOut('❌ oil')).toBe('no oil');
    expect(withoutPictures('🥑 Green bowl 🥑')).toBe('Green bowl');
    expect(['👉 stir', '👥 2', '⏱ 5m', '🥕 3 carrots', '✅ 1 onion', '1 onion'].map(pictureOf)).toEqual([
      'step',
      'eaters',
      'time',
      'plain',
      null,
      null,
    ]);
  });
  test('a list of pictures has no name among them', () =>
    expect(parseRecipe('🥕 3 carrots\n🧅 1 onion\n\nSimmer.').lines).toHaveLength(2));
});

describe('what stood before an arrow', () => {
  const CAKE = (told: string) =>
    read(
      `Cake\nServes 10\n\n8 oz wholemeal flour\n4 oz marg --> 4 oz apple puree\n4 oz sugar -> 2 oz (dates, soaked)\n\n${told}`,
    );
  test('is what the method means by it', () =>
    expect(CAKE('Rub the marg in the flour. Add the sugar.').lines.map((l) => l.foods[0]?.food?.id)).toEqual(
      CAKE('Mix.').lines.map((l) => l.foods[0]?.food?.id),
    ));
  test('more of it is not excused', () =>
    expect(CAKE('Grease the tin with butter.').lines.length).toBeGreaterThan(CAKE('Mix.').lines.length));
});
