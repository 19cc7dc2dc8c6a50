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

test.each([
  ['Salt: quarter tsp for Bea if she is off it, otherwise half a tsp in the pot.', 'salt', 2.8],
  ['Tahini: a spoon for the kids, otherwise 3 tbsp.', 'tahini', 40],
  ['On toast, two slices of rye each, there were four of us.', 'rye-bread', 200],
  ['We had it with 20 g walnuts each.', 'walnut', 80],
  ['Four bowls with a spoon of tahini and 10 g walnuts.', 'walnut', 40],
  ['You need two of those packs of chestnuts, 180 g each.', 'chestnut', 350],
])('%s is counted in full', (said, id, least) => {
  const recipe = soupWith('1 onion', said);
  expect(isOpen(recipe) || highOf(recipe, id) >= least).toBe(true);
});
