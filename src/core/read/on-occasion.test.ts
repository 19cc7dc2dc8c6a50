import { highOf, isOpen, soupWith } from './told-soup';

/** When something goes in, told without a comma before what it is. */
const WHEN = [
  'If the apple’s a sour one',
  'If it’s too sharp',
  'If the leeks are big',
  'If it is a cold day',
  'When it’s cold',
  'If there’s company',
  'Next time I’d put in',
  'If you are hungry',
];
const FOODS: readonly (readonly [string, string, number])[] = [
  ['a teaspoon of maple', 'maple-syrup', 6],
  ['2 tbsp tahini', 'tahini', 25],
  ['a spoon of peanut butter', 'peanut-butter', 4],
  ['30 g walnuts', 'walnut', 30],
];
test.each(FOODS)('%s that goes in at times is judged with and without', (food, id, least) => {
  const lost = WHEN.map((when) => `${when} ${food}.`).filter((said) => {
    const recipe = soupWith('1 onion', said);
    return !isOpen(recipe) && highOf(recipe, id) < least;
  });
  expect(lost).toEqual([]);
});

/** Which ones, by what they are without, before what goes in beside them. */
const WITHOUT = ['the no salt ones', 'the no added salt kind', 'a no oil one', 'the no sugar sort'];
test.each(FOODS)('%s behind what is called by what it lacks is counted', (food, id, least) => {
  const lost = WITHOUT.flatMap((ones) =>
    [`Add a tin of beans, ${ones}, and ${food}.`, `Stir in beans, ${ones}, with ${food} on top.`].filter(
      (said) => {
        const recipe = soupWith('1 onion', said);
        return !isOpen(recipe) && highOf(recipe, id) < least;
      },
    ),
  );
  expect(lost).toEqual([]);
});

test.each([
  ['Potatoes, a kilo and a half, boil and mash.', 'potato', 1300],
  ['Then walnuts, a cup and a half.', 'walnut', 140],
  ['Add tahini, a tablespoon and a half, and stir.', 'tahini', 21],
  ['Quarter teaspoon of salt, it needs it.', 'salt', 1.4],
  ['She told us to stir in 2 tbsp tahini.', 'tahini', 25],
  ['The teacher said to stir in 2 tbsp tahini.', 'tahini', 25],
])('%s', (said, id, least) => {
  const high = highOf(soupWith('1 onion', said), id);
  expect(high).toBeGreaterThanOrEqual(least);
  expect(high).toBeLessThan(2 * least);
});
