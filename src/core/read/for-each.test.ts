import { highOf, isOpen, soupWith } from './told-soup';

/** Words by which an amount is for each of the four who eat. */
const EACH = [
  'each',
  'a head',
  'per person',
  'pp',
  'apiece',
  'a plate',
  'each person',
  'for each',
  'per bowl',
  'to each bowl',
  'on each',
  'per serving',
  'each plate',
  'for each of us',
  'each of us',
  'for everyone',
];
/** What may be said behind them. */
const BEHIND = [
  '',
  ', toasted',
  ' (toasted)',
  ' – toasted',
  ' on top',
  ' to finish',
  ', to serve',
  ' if hungry',
  ', if you like',
  ', roughly',
  ', no more',
  ' at most',
  ', plus lemon',
  ' for the top',
  ', optional',
  ', at the end',
];
/** Grams of an amount at least: a teaspoon of sesame seeds is 2.5 g by the tablespoon of FoodData Central. */
const FOODS = [
  ['1 tsp sesame seeds', 'sesame-seed', 2.4],
  ['30 g walnuts', 'walnut', 29],
  ['walnuts, 30 g', 'walnut', 29],
  ['walnuts 30 g', 'walnut', 29],
] as const;

const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

test.each(EACH)('an amount %s is four times as much, on a list and in a sentence', (each) => {
  const lost: string[] = [];
  for (const behind of BEHIND)
    for (const [amount, id, grams] of FOODS) {
      const said = `${amount} ${each}${behind}`;
      const recipes = { [said]: soupWith(said), [`${capital(said)}.`]: soupWith('', `${capital(said)}.`) };
      recipes[`Scatter ${said}.`] = soupWith('', `Scatter ${said}.`);
      for (const [words, recipe] of Object.entries(recipes))
        if (!isOpen(recipe) && highOf(recipe, id) < 4 * grams) lost.push(words);
    }
  expect(lost).toEqual([]);
});

test.each([
  ['8 wholemeal pittas, two each', 'pitta-whole', 1000],
  ['3 leeks, 100 g each, trimmed', 'leek', 400],
])('%s are so many in all', (row, id, most) => {
  expect(highOf(soupWith(row), id)).toBeLessThan(most);
});
