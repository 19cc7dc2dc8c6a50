import { highOf, isOpen, soupWith } from '@/core/read/told-soup';
import { amongPlaces } from './among-places';

const FOODS = [
  ['walnuts', 'walnut'],
  ['tahini', 'tahini'],
  ['olive oil', 'olive-oil'],
  ['sugar', 'sugar'],
  ['salt', 'salt'],
] as const;
const PLACES = [
  ['in the batter', 'on top'],
  ['for the base', 'for the topping'],
  ['in', 'on top'],
  ['to start', 'to finish'],
  ['for frying', 'for the tin'],
  ['at the start', 'at the end'],
  ['into the bowl', 'to serve'],
] as const;
/** Amounts of the two, and all of it. */
const AMOUNTS = [
  ['40 g', '20 g', '60 g'],
  ['2 tbsp', '1 tbsp', '3 tbsp'],
  ['1 tbsp', '1 tsp', '4 tsp'],
  ['½ tsp', '½ tsp', '1 tsp'],
  ['2 tbsp', '2', '4 tbsp'],
  ['1 tbsp', 'another', '2 tbsp'],
] as const;
const FORMS = [
  'NAME: ONE HERE, TWO THERE',
  'NAME - ONE HERE, TWO THERE',
  'NAME, ONE HERE and TWO THERE',
  'NAME ONE HERE, then TWO THERE',
  'NAME (ONE HERE, TWO THERE)',
  'ONE NAME HERE, TWO THERE',
  'ONE NAME HERE and TWO THERE',
  'ONE of NAME HERE, plus TWO THERE',
];

describe.each(FOODS)('%s that goes in at two places', (name, id) => {
  test('is all of it, in rows and in sentences', () => {
    const wrong: string[] = [];
    const wholes: Record<string, number> = {};
    for (const [f, form] of FORMS.entries())
      for (const [a, [one, two, all]] of AMOUNTS.entries())
        // each form with each amount, at two of the places in turn
        for (const [here, there] of [0, 3].map(
          (n) => PLACES[(f + a + n) % PLACES.length] as (typeof PLACES)[number],
        )) {
          const row = form
            .replace('NAME', name)
            .replace('ONE', one)
            .replace('TWO', two)
            .replace('HERE', here)
            .replace('THERE', there);
          const whole = (wholes[all] ??= highOf(soupWith(`${all} ${name}`), id));
          const told = `${row[0]?.toUpperCase()}${row.slice(1)}.`;
          for (const dish of [soupWith(row), soupWith('', told)])
            if (!isOpen(dish) && highOf(dish, id) < whole * 0.98) wrong.push(row);
        }
    expect(wrong.slice(0, 12)).toEqual([]);
  });
});

test.each([
  ['walnuts: 40 g in the batter, 20 g on top', '60 g walnuts'],
  ['1 tbsp oil for frying, 1 tsp for the tin', '4 tsp oil'],
  ['tahini, 3 tbsp: 2 in the sauce, 1 on top', '3 tbsp tahini'],
  ['nooch: 2 tbsp in the sauce, 1 tbsp on top, 1 tbsp at the table', '4 tbsp nooch'],
  ['Whisk 2 tbsp oil in the jug, 1 tsp for the tin.', 'Whisk 7 tsp oil.'],
])('"%s"', (said, put) => {
  expect(amongPlaces(said)).toBe(put);
  expect(amongPlaces(said, true)).toHaveLength(said.length);
});

test.each([
  'oil: 4 tbsp in the book, 1 tbsp in mine',
  'oil, 4 tbsp in the original, 1 tsp in ours',
  'Put 100 g oats in a bowl and stir.',
  'Add 1 tbsp tahini in the dip and 1 lemon in the bowl.',
  'Fold in 2 tbsp of it.',
])('"%s" stays', (said) => expect(amongPlaces(said)).toBe(said));
