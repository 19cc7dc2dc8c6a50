import { foodById } from '@/core/food/table';
import { highOf, isOpen, soupWith } from '@/core/read/told-soup';
import { amountNamedFirst, amountsNamedFirst } from './named-first';

const FOODS = [
  ['olive oil', 'olive-oil'],
  ['tahini', 'tahini'],
  ['salt', 'salt'],
  ['sugar', 'sugar'],
  ['walnuts', 'walnut'],
] as const;
const REFUSED = [
  'NAME - the recipe has 100 g, nope',
  'NAME: loads of it in the book. No',
  'NAME? No',
  'NAME (200 g, they say) - no way',
  'NAME - not for me',
  'NAME, too much',
  'NAME… none',
];
const THEN = [
  '. I use AMOUNT',
  '. Well, AMOUNT',
  '. AMOUNT is plenty',
  ', just AMOUNT',
  '. We put in AMOUNT now',
];
const AMOUNTS = ['2 tbsp', 'a teaspoon', '½ tsp', '30 g'];

describe.each(FOODS)('%s that is refused, and then told of', (name, id) => {
  test('is there in the amount that is told, in rows and in sentences', () => {
    expect(foodById(id)).toBeDefined();
    const wrong: string[] = [];
    for (const [r, refused] of REFUSED.entries())
      for (const [t, then] of THEN.entries()) {
        const amount = AMOUNTS[(r + t) % AMOUNTS.length] as string;
        const said = `${refused}${then}.`.replace('NAME', name).replace('AMOUNT', amount);
        const plain = highOf(soupWith(`${amount} ${name}`), id);
        const told = said[0]?.toUpperCase() + said.slice(1);
        for (const dish of [soupWith(said), soupWith('', told)])
          if (!isOpen(dish) && highOf(dish, id) < plain * 0.99) wrong.push(said);
      }
    expect(wrong).toEqual([]);
  });
});

test('for each who eats it is that many times', () =>
  expect(
    highOf(soupWith('olive oil - the book has 100 ml, nope. I do a tsp per bowl'), 'olive-oil'),
  ).toBeCloseTo(4 * 4.5, 1));

test.each([
  ['oil? no. Well, a teaspoon.', 'a teaspoon oil'],
  ['salt - not for me. Half a tsp for the rest', 'Half a tsp salt'],
  ['sugar - hers has a cup. No. I put in 2 tbsp each.', '2 tbsp sugar each'],
])('%s', (row, put) => {
  expect(amountNamedFirst(row)).toBe(put);
  expect(amountsNamedFirst(row)).toHaveLength(row.length);
});

test.each([
  'butter: none. I use 2 tbsp of tahini.',
  'oil? no. 2 tbsp stock instead.',
  'sugar? No. A pinch of salt.',
  'stock - no salt, 500 ml',
  'never mind, no. 2 tbsp.',
  'no oil, 2 tbsp tahini',
])('"%s" is something else', (row) => expect(amountNamedFirst(row)).toBeNull());
