import { US_MEASURES } from '@/core/measure/units';
import { FOODS } from '@/core/food/table';
import { exact } from '@/core/range/range';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { GROUPS, groupsOf } from './groups';
import { mealText } from './meal';

const settings = { measures: US_MEASURES, corrections: {} };
const of = (words: string) => {
  const { lines } = readRecipe(parseRecipe(mealText(words)), settings);
  return Object.fromEntries(groupsOf([{ lines, share: exact(1) }]).map((g) => [g.id, g.amount]));
};

// Dietary Guidelines for Americans 2020–2025, table of cup and ounce equivalents (recalled): a cup of cooked beans, half a
// cup of dried fruit, two cups of raw leaves, an ounce of nuts, half a cup of cooked grain (an ounce) are one of their units
describe('cup and ounce equivalents', () => {
  test.each<[string, string, number]>([
    ['1 cup cooked black beans', 'beans', 1],
    ['2 cups spinach', 'leaves', 1],
    ['1/2 cup raisins', 'fruit', 1],
    ['1 cup cooked brown rice', 'grains', 1],
    ['28 g walnuts', 'nuts', 1],
    ['1 cup blueberries', 'berries', 1],
    ['1 cup sliced carrots', 'orange-red', 1],
  ])('%s', (words, group, units) => {
    expect(Math.abs((of(words)[group]?.best ?? 0) - units)).toBeLessThan(0.35);
  });
  test('dry grain counts as what it becomes: 65 g of dry beans are about a cup cooked', () => {
    expect(of('65 g dried chickpeas').beans?.best).toBeCloseTo(1, 1);
  });
});

test('a share of a pot is that share of each group, end by end', () => {
  const { lines } = readRecipe(
    parseRecipe('Pot\nServes 4\n\n700 g cooked chickpeas\n200 g kale, optional'),
    settings,
  );
  const groups = groupsOf([{ lines, share: { low: 0.2, best: 0.25, high: 0.5 } }]);
  const amount = (id: string) => groups.find((g) => g.id === id)?.amount;
  expect(amount('beans')?.best).toBeCloseTo(1, 5);
  expect(amount('beans')?.high).toBeCloseTo(2, 5);
  expect(amount('leaves')?.low).toBe(0);
});

test('every food is in one group at most, and each group holds some', () => {
  for (const g of GROUPS) {
    expect(FOODS.some((f) => g.foods.includes(f.id) || g.kinds.includes(f.kind))).toBe(true);
  }
  const ids = GROUPS.flatMap((g) => g.foods);
  expect(new Set(ids).size).toBe(ids.length);
});
