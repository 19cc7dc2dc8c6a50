import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { shareOf } from '@/core/protocol';
import { roleOf } from './role';

const roleIn = (title: string, lines = '1 kg potatoes\n2 cans chickpeas', servings = 'Serves 2') =>
  roleOf(
    readRecipe(parseRecipe(`${title}\n${servings}\n\nIngredients\n${lines}\n\nMethod\nMix.`), {
      measures: US_MEASURES,
      corrections: {},
    }),
  ).role;

test.each([
  ['Towpath chickpea curry', 'main'],
  ['Mashed potatoes', 'side'],
  ['Leek soup with barley', 'side'],
  ['Beetroot hummus', 'sauce'],
  ['Smoky aubergine dip', 'sauce'],
  ['Walnut dressing', 'sauce'],
  ['Bread with walnut dressing', 'side'],
  ['Date bars with oats', 'snack'],
  ['Oat bars', 'snack'],
  ['Mango smoothie', 'snack'],
  ['Mango smoothie bowl', 'breakfast'],
  ['Carrot cupcakes', 'snack'],
  ['Overnight oats', 'breakfast'],
  ['Peanut stew without the peanut butter', 'main'],
  ['Potato & leek soup - oil free', 'side'],
  ['Wednesday: lentil soup', 'side'],
  ['Sauce for pasta', 'sauce'],
  ['Pie for supper', 'main'],
  ['Potatoes and chickpeas', 'main'],
])('%s is read as %s', (title, role) => {
  expect(roleIn(title)).toBe(role);
});

test('a plate that is too little for a meal takes less of the day than a main', () => {
  expect(roleIn('Green things', '200 g spinach\n2 carrots')).toBe('side');
  expect(roleIn('Round things', '200 g dates\n100 g oats', 'Makes 24')).toBe('snack');
  expect(roleIn('Potatoes and chickpeas', undefined, 'Serves 4 as a side')).toBe('side');
});

test('no other role is allowed as much as a main', () => {
  for (const role of ['breakfast', 'side', 'sauce', 'snack'] as const)
    expect(shareOf(role)).toBeLessThan(shareOf('main'));
});
