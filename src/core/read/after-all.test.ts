import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';

/** Everything that a recipe of carrots and water is read to hold besides them, where it is said in a place. */
const heldBesides = (list: string, method: string) =>
  readRecipe(
    parseRecipe(
      `Soup\n\nServes 4\n\n450 g carrots\n1 litre water\n${list}\n\nMethod\nSimmer for 20 minutes. ${method}\n`,
    ),
    { measures: US_MEASURES, corrections: {} },
  ).lines.flatMap((l) => (/carrots|litre water/.test(l.line.text) ? [] : l.foods));

const FOODS = [
  ['salt', 'salt'],
  ['oil', 'vegetable-oil'],
  ['sugar', 'sugar'],
] as const;
/** Ways to refuse a food, each ending where more may be said. */
const REFUSALS = [
  (f: string) => `No ${f} really`,
  (f: string) => `I don't use ${f}`,
  (f: string) => `We never add ${f}`,
  (f: string) => `No ${f} to speak of`,
  (f: string) => `Hardly any ${f}`,
];
/** Ways to take a little of it after all. */
const EXCEPTIONS = [
  ', just a teaspoon.',
  ', maybe a teaspoon in the whole pot.',
  ', a teaspoon at most.',
  ' except a teaspoon at the end.',
  ' - a teaspoon if anything.',
  ', well, a teaspoon.',
  '. Well, a teaspoon.',
];

describe('what is refused and taken after all is counted', () => {
  const told = FOODS.flatMap(([food, id]) =>
    REFUSALS.flatMap((refuse) => EXCEPTIONS.map((rest) => ({ says: refuse(food) + rest, id }))),
  );
  test.each(told)('$says', ({ says, id }) => {
    const spoon = heldBesides('', says).find((f) => f.food?.id === id)?.grams;
    expect(spoon?.high ?? 0).toBeGreaterThan(3);
  });

  test.each([
    'oil: none really, 1 tsp',
    'Oil: none, apart from 1 tsp on the tray',
    'no oil except 1 tsp for the tin',
    'oil - hardly any, 1 tsp',
  ])('on the list: %s', (row) => {
    const spoon = heldBesides(row, '').find((f) => f.food?.id === 'vegetable-oil')?.grams;
    expect(spoon?.best).toBeCloseTo(4.5, 1);
  });
});

describe('what is refused all the same brings nothing', () => {
  test.each([
    'No oil, not even a teaspoon.',
    "I don't use oil, the book has a tablespoon.",
    'No oil. It was a tablespoon.',
    'We skip the salt, it used to be a teaspoon.',
    'No salt. The original says a teaspoon.',
    'Without oil, which saves a tablespoon.',
    'No sugar, never a teaspoon.',
    'Enough for four, five at a pinch.',
  ])('%s', (says) => {
    expect(heldBesides('', says)).toEqual([]);
  });
});
