import { highOf, isOpen, soupWith } from './told-soup';

const FOODS: readonly (readonly [string, string, number])[] = [
  ['2 tbsp tahini', 'tahini', 28],
  ['20 g walnuts', 'walnut', 20],
  ['1 tbsp sesame oil', 'sesame-oil', 13],
  ['a spoon of peanut butter', 'peanut-butter', 4],
];
/** Four eat: what lies on one plate alone is judged as if it lay on every one. */
const ON_ONE = [
  'I have FOOD on mine.',
  'FOOD on mine.',
  'On mine goes FOOD.',
  'Pip has FOOD on hers, I don’t.',
  'Bea puts FOOD on hers.',
  'FOOD over my bowl.',
  'I put FOOD on my plate.',
  'My own has FOOD on top.',
  'He has his with FOOD.',
  'I add FOOD to mine.',
  'Mine gets FOOD.',
  'She likes FOOD over hers.',
];
const IN_ALL = [
  'Stir FOOD into the pot.',
  'Mix FOOD in my bowl.',
  'Add FOOD in my big pan.',
  'I add FOOD.',
  'FOOD goes on top of it all.',
];

test.each(FOODS)('%s on one plate is so much for that plate', (food, id, least) => {
  const lost = ON_ONE.map((said) => said.replace('FOOD', food).replace(/^\w/, (c) => c.toUpperCase())).filter(
    (said) => {
      const recipe = soupWith('1 tin chickpeas', said);
      return !isOpen(recipe) && highOf(recipe, id) < 4 * least;
    },
  );
  expect(lost).toEqual([]);
});

test.each(FOODS)('%s in the pot is once so much', (food, id, least) => {
  const wrong = IN_ALL.map((said) => said.replace('FOOD', food)).filter((said) => {
    const high = highOf(soupWith('1 tin chickpeas', said), id);
    return !(high >= least && high < 4 * least + 3 * least * Number(food.startsWith('a ')) * 4);
  });
  expect(wrong).toEqual([]);
});
