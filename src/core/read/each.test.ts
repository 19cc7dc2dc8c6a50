import { parseRecipe } from '@/core/recipe/parse';
import { US_MEASURES } from '@/core/measure/units';
import { readLineWords } from '@/core/recipe/line';
import { readLine } from './line';
import { readRecipe } from './read';

const SERVINGS = 6;
const foodsOf = (told: string) =>
  readRecipe(
    parseRecipe(`Soup\n\nServes ${SERVINGS}\n\n450 g carrots\n1 litre water\n\nMethod\nSimmer. ${told}\n`),
    { measures: US_MEASURES, corrections: {} },
  ).lines.filter((l) => l.origin === 'method');

/** Grams of the one food that a sentence brings. */
const gramsOf = (told: string, id: string) =>
  foodsOf(told)
    .flatMap((l) => l.foods)
    .find((f) => f.food?.id === id)?.grams;

const AMOUNTS = ['1 tbsp', '2 tsp', 'a spoonful of', 'a dollop of'];
const FOODS: readonly (readonly [string, string])[] = [
  ['tahini', 'tahini'],
  ['peanut butter', 'peanut-butter'],
  ['coconut yoghurt', 'coconut-yoghurt'],
];
const EVERY = [
  (x: string) => `Top each bowl with ${x}.`,
  (x: string) => `Add ${x} to each bowl.`,
  (x: string) => `Stir ${x} into every plate.`,
  (x: string) => `Every bowl gets ${x}.`,
  (x: string) => `Ladle into bowls and top each with ${x}.`,
  (x: string) => `Serve with ${x} per person.`,
  (x: string) => `Top each potato with ${x}.`,
];

describe('what goes on every plate is counted for every plate', () => {
  const sentences = EVERY.flatMap((say) =>
    AMOUNTS.flatMap((amount) =>
      FOODS.map(([words, id]) => ({
        told: say(`${amount} ${words}`),
        once: `Stir in ${amount} ${words}.`,
        id,
      })),
    ),
  );
  test.each(sentences)('$told', ({ told, once, id }) => {
    const all = gramsOf(told, id)?.high ?? 0;
    const one = gramsOf(once, id)?.high ?? Infinity;
    expect(all).toBeGreaterThanOrEqual(one * SERVINGS * 0.95);
  });

  test.each(['Serve with a dollop of coconut yoghurt.', 'Eat with a spoonful of coconut yoghurt.'])(
    'by eye at the table: %s',
    (told) => {
      expect(gramsOf(told, 'coconut-yoghurt')?.high ?? 0).toBeGreaterThan(100);
    },
  );

  test.each([
    ['Brush each layer with 1 tbsp olive oil.', 'olive-oil', 13, 30],
    ['Fry in batches, 1 tbsp olive oil each time.', 'olive-oil', 13, 100],
    ['A teaspoon each of cumin and turmeric goes in.', 'turmeric', 1, 4],
  ])('no eaters: %s', (told, id, low, high) => {
    const grams = gramsOf(told, id);
    expect(grams?.low ?? 0).toBeGreaterThanOrEqual(low);
    expect(grams?.high ?? Infinity).toBeLessThanOrEqual(high);
  });

  test('a list that says one by eye "to serve" may mean one a plate', () => {
    const [line] = readRecipe(
      parseRecipe(
        'Soup\n\nServes 6\n\na dollop of coconut yoghurt, to serve\n450 g carrots\n\nMethod\nSimmer.',
      ),
      { measures: US_MEASURES, corrections: {} },
    ).lines;
    const grams = line?.foods[0]?.grams;
    expect(grams?.low ?? 0).toBeLessThan(30);
    expect(grams?.high ?? 0).toBeGreaterThan(150);
  });
});

describe('words beside the amount', () => {
  const words = (line: string) => readLineWords(line).foods.map((f) => f.food);
  test.each([
    ['2 onions, chopped as small as you can be bothered', 'onions'],
    ['mustard, 2 tsp wholegrain', 'wholegrain mustard'],
    ['potatoes, 900 g floury', 'floury potatoes'],
    ['swede, half a small one', 'swede'],
    ['crackers? no. 2 rice cakes', 'rice cakes'],
    ['1 savoy cabbage, big, 12 outer leaves', 'savoy cabbage leaves'],
  ])('%s', (line, food) => {
    expect(words(line)[0]).toBe(food);
  });
  test('a stock made of cubes is its cubes', () => {
    expect(words('2 litres veg stock (I use 3 cubes)')[0]).toBe('veg stock cubes');
    expect(words('1 cup vegetable stock (I use a cube)')[0]).toBe('vegetable stock');
  });
  test.each([
    ['1 litre water + 2 cubes', 'stock cubes'],
    ['1.5 ltr water – use 1 cube not the 3 it says on the box', 'stock cubes'],
    ['500 ml boiling water, 1 low salt cube', 'low salt stock cubes'],
    ['1 cup water + 4 ice cubes', 'water'],
  ])('cubes in water are stock, ice is not: %s', (line, food) => expect(words(line)[0]).toBe(food));
  test('another food behind an amount is no kind of the first', () => {
    expect(words('onion, 2 tbsp tahini')[0]).toBe('onion');
  });
});

describe('a line that is for each who eats', () => {
  const read = (text: string) =>
    readLine(
      { text, start: 0, end: text.length, section: null },
      { measures: US_MEASURES, corrections: {} },
      SERVINGS,
    ).foods[0]?.grams;
  const LINES = [
    '2 pittas',
    '1 wholemeal roll',
    '2 slices wholemeal bread',
    'a banana',
    '1 tbsp tahini',
    '2 rotis',
  ];
  const HOW = ['toasted', 'warmed through', 'no butter', 'dry', 'homemade, no oil', 'torn up'];
  test.each(LINES.flatMap((line) => HOW.map((how) => [line, how])))('%s each, %s', (line, how) => {
    const once = read(line);
    const each = read(`${line} each, ${how}`);
    // whatever is said of them, everybody has so many
    expect(each?.low).toBeGreaterThanOrEqual((once?.low ?? Infinity) * SERVINGS * 0.9);
  });
});

describe('what one of each eater’s weighs is counted for all of them', () => {
  const BREADS = ['pitta', 'wholemeal pitta', 'wholemeal bun', 'flatbread', 'rye roll'];
  const FORMS = [
    (f: string) => `${f}, one each (60 g)`,
    (f: string) => `${f}s - one each - 60g`,
    (f: string) => `one ${f} each (60g)`,
    (f: string) => `${f} each (60g)`,
    (f: string) => `1 ${f} (60 g) each`,
    (f: string) => `a ${f} for everyone (60 g)`,
    (f: string) => `1 ${f} pp (60 g)`,
    (f: string) => `${f}, 60 g each`,
    (f: string) => `one ${f} each (60 g, toasted)`,
  ];
  test.each(BREADS.flatMap((f) => FORMS.map((say) => say(f))))('%s', (row) => {
    const [line] = readRecipe(
      parseRecipe(`Soup\n\nServes ${SERVINGS}\n\n450 g carrots\n${row}\n1 litre water\n\nMethod\nSimmer.\n`),
      { measures: US_MEASURES, corrections: {} },
    ).lines.filter((l) => !/carrots|water/.test(l.line.text));
    expect(line?.foods[0]?.grams?.low ?? 0).toBeGreaterThanOrEqual(60 * SERVINGS * 0.99);
  });
});

describe('what is for each piece is counted by the pieces, of which somebody eats several', () => {
  const made = (row: string, method = '') =>
    readRecipe(
      parseRecipe(
        `Rounds\n\nMakes 8, 2 each\n\n450 g carrots\n200 g oats\n${row}\n\nMethod\nShape and bake. ${method}\n`,
      ),
      { measures: US_MEASURES, corrections: {} },
    )
      .lines.flatMap((l) => l.foods)
      .find((f) => f.food?.id === 'tahini')?.grams;
  const spoon = 4.67;
  test.each(['burger', 'pancake', 'patty', 'roll', 'muffin', 'slice'])('per %s', (piece) => {
    expect(made(`1 tsp tahini per ${piece}`)?.low ?? 0).toBeGreaterThan(spoon * 8 * 0.95);
    expect(made('', `Serve with 1 tsp tahini per ${piece}.`)?.low ?? 0).toBeGreaterThan(spoon * 8 * 0.95);
    expect(made('', `Top each ${piece} with 1 tsp tahini.`)?.high ?? 0).toBeGreaterThan(spoon * 8 * 0.95);
  });
  test('per person is by plates', () => {
    expect(made('1 tsp tahini per person')?.high ?? Infinity).toBeLessThan(spoon * 4 * 1.2);
  });
});
