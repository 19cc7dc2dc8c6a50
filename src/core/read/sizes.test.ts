import { highOf, isOpen, soupWith } from './told-soup';

const high = (row: string, told: string, id: string): number => {
  const recipe = soupWith(row, told);
  return isOpen(recipe) ? Infinity : highOf(recipe, id);
};

/** Grams that each of these weighs at least, in water's or the food's own density; common practice. */
const SPOONS: readonly (readonly [string, number])[] = [
  ['a dessertspoon of', 8],
  ['two dessertspoons of', 16],
  ['1 dsp', 8],
  ['a soup spoon of', 8],
  ['a heaped tablespoon of', 13],
  ['2 heaped tbsp', 26],
  ['a scant tablespoon of', 8],
  ['a big spoon of', 8],
  ['a few spoonfuls of', 15],
  ['a couple of tablespoons of', 26],
  ['half a mug of', 90],
  ['a small cup of', 90],
  ['quarter of a cup of', 50],
  ['¼ cup', 50],
  ['a shot glass of', 20],
  ['an eggcup of', 20],
  ['half a jar of', 40],
  ['the rest of a jar of', 15],
  ['a ladle of', 40],
  ['a good slug of', 8],
  ['a generous glug of', 8],
  ['lots of', 10],
  ['plenty of', 10],
  ['a tablespoon or two of', 26],
  ['a spoon or two of', 15],
  ['three or so tablespoons of', 39],
  ['as much as two tablespoons of', 26],
  ['two or three tablespoons of', 39],
  ['one or two tbsp of', 26],
  ['a good couple of tablespoons of', 26],
  ['another couple of tablespoons of', 26],
  ['half a dozen tablespoons of', 78],
  ['three quarters of a cup of', 150],
  ['a cup and a half of', 300],
  ['two and a half tablespoons of', 33],
  ['a hundred grams of', 100],
  ['fifty grams of', 50],
  ['a couple of hundred grams of', 200],
];
const FOODS = [
  ['tahini', 'tahini'],
  ['olive oil', 'olive-oil'],
  ['maple syrup', 'maple-syrup'],
] as const;

describe('no measure of the hand is read for less than it holds', () => {
  const all = SPOONS.flatMap(([amount, grams]) =>
    FOODS.map(([food, id]) => ({ row: `${amount} ${food}`, grams, id })),
  );
  test.each(all)('$row', ({ row, grams, id }) => {
    expect(high(row, '', id)).toBeGreaterThanOrEqual(grams);
    expect(high('', `Stir in ${row}.`, id)).toBeGreaterThanOrEqual(grams);
  });
});
