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

/** Words before an amount by which each has so much. */
const EVERYONE_HAS = [
  'We each have AMOUNT',
  'Everyone has AMOUNT on theirs',
  'Everybody gets AMOUNT',
  'Each of us has AMOUNT',
  'All of us have AMOUNT',
  'They all get AMOUNT',
  'Each bowl gets AMOUNT',
  'Every bowl has AMOUNT',
  'I put AMOUNT on every plate',
  'I give everyone AMOUNT',
  'Each plate: AMOUNT',
  'Per bowl it’s AMOUNT',
  'Allow everyone AMOUNT',
  'Give each person AMOUNT',
  'Top every bowl with AMOUNT',
  'Finish all the bowls with AMOUNT',
  'On each one goes AMOUNT',
  'Each one gets AMOUNT',
  'A bowl has AMOUNT',
  'Plates get AMOUNT',
  'Serve everyone AMOUNT',
];
test.each(EVERYONE_HAS)('%s is four times as much', (said) => {
  for (const [amount, id, grams] of [
    ['1 tbsp tahini', 'tahini', 14],
    ['20 g walnuts', 'walnut', 20],
    ['a spoonful of tahini', 'tahini', 10],
  ] as const) {
    const recipe = soupWith('', `${said.replace('AMOUNT', amount)}.`);
    expect(isOpen(recipe) ? Infinity : highOf(recipe, id)).toBeGreaterThanOrEqual(4 * grams * 0.99);
  }
});
