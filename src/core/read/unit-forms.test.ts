import { highOf, isOpen, soupWith } from './told-soup';

/**
 * Measures in the ways that cooks write them, and how many grams of oil one of each holds at least: oil is 0.91 g a ml (USDA
 * FoodData Central, olive oil: 216 g a cup of 236.6 ml); cups, spoons and pints of NIST Handbook 44, the smaller of both markets.
 */
const UNITS: readonly (readonly [string, number])[] = [
  ...[
    'tbsp',
    'tbs',
    'tbl',
    'Tblsp',
    'tbspn',
    'T',
    'TBSP',
    'tbsps.',
    'tablespoons',
    'table spoons',
    'tablespoonfuls',
    'soup spoons',
  ].map((u) => [u, 13] as const),
  ...['tsp', 'tspn', 't', 'tsps.', 'teaspoons', 'tea spoons', 'teaspoonfuls'].map((u) => [u, 4.4] as const),
  ...['dsp', 'dessertspoons', 'dessert spoons'].map((u) => [u, 9] as const),
  ...['mls', 'mL', 'millilitres', 'cc'].map((u) => [u, 0.9] as const),
  ...['cl', 'dl', 'decilitres'].map((u) => [u, u === 'cl' ? 9 : 90] as const),
  ...['gm', 'grms', 'grammes', 'G'].map((u) => [u, 1] as const),
  ...['oz', 'ozs', 'ounces', 'fl oz', 'fl. oz', 'fluid ounces'].map((u) => [u, 26] as const),
  ...['c', 'cups', 'cupfuls', 'mugfuls', 'teacups'].map((u) => [u, 120] as const),
  ...['lb', 'lbs.', 'pounds', 'kgs', 'kilos'].map((u) => [u, 450] as const),
  ...['litres', 'ltr', 'pints', 'pts'].map((u) => [u, 420] as const),
];
const NUMBERS: readonly (readonly [string, number])[] = [
  ...[
    '2',
    'two',
    '1-2',
    '1 to 2',
    '1 or 2',
    '1–2',
    'one or two',
    'one to two',
    'a couple of',
    'a few',
    'x2',
    '2 x',
    '(2)',
  ].map((n) => [n, 2] as const),
  ...['2 heaped', '2 good', '2 level', '~2', 'about 2', '2 (two)', 'two (2)'].map((n) => [n, 2] as const),
  ...['2½', '2 1/2', '2-1/2', '2.5', '2,5', '2 and a half', 'two and a half', '2 & 1/2'].map(
    (n) => [n, 2.5] as const,
  ),
  ...['1/2', '½', 'half a', 'a half', '.5', '0.5'].map((n) => [n, 0.5] as const),
  ...['3/4', 'three quarters of a'].map((n) => [n, 0.75] as const),
  ...['10', 'ten', 'a dozen'].map((n) => [n, 10] as const),
];
const FORMS = ['Q U F', 'Q U of F', 'F Q U', 'F, Q U', 'F (Q U)', 'F: Q U'];

test.each(UNITS)('%s: no way of writing it holds less', (unit, grams) => {
  const rows = NUMBERS.flatMap(([number, many]) =>
    FORMS.map((form) => ({
      row: form.replace('Q', number).replace('U', unit).replace('F', 'olive oil'),
      least: many * grams * 0.95,
    })),
  );
  const less = rows.filter(({ row, least }) => {
    const recipe = soupWith(row);
    return !isOpen(recipe) && !(highOf(recipe, 'olive-oil') >= least);
  });
  expect(less.map((x) => x.row)).toEqual([]);
});
