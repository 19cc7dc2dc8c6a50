import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';

const foodsOf = (lines: string) =>
  readRecipe(parseRecipe(`Loaf\nServes 4\n\nIngredients\n${lines}\n\nMethod\nBake.`), {
    measures: US_MEASURES,
    corrections: {},
  }).lines.map((l) => [l.foods[0]?.food?.id ?? '?', l.foods[0]?.grams?.best]);

test.each([
  ['400 g wholemeal bread flour\n100 g white', ['strong-wholemeal', 'white-flour']],
  ['100 g white flour\n400 g wholemeal', ['white-flour', 'wholemeal-flour']],
  ['150 g red lentils\n100 g green', ['red-lentils', 'lentils-dry']],
])('a kind alone is of the line before it: %s', (lines, ids) => {
  expect(foodsOf(lines).map(([id]) => id)).toEqual(ids);
});

test('a kind behind nothing that it may be is not understood', () => {
  expect(foodsOf('100 g white\n2 onions')[0]?.[0]).toBe('?');
});
