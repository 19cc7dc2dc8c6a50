import { US_MEASURES } from '@/core/measure/units';
import { readLine } from './line';

const TEASPOON_G = { low: 5.7, high: 6.3 };
const salt = (row: string) =>
  readLine(
    { text: row, start: 0, end: row.length, section: null },
    { measures: US_MEASURES, corrections: {} },
    4,
  ).foods[0]?.grams;

test.each([
  ['1 tsp salt or more', 2],
  ['1 tsp+ salt', 2],
  ['1+ tsp salt', 1.5],
  ['1 or more tsp salt', 1.5],
  ['1 tsp salt, could be more', 2],
  ['1 tsp salt, sometimes 2', 2],
  ['1 tsp salt (2 on Sundays)', 2],
  ['1 tsp salt, 2 for guests', 2],
  ['1 tsp salt, or two', 2],
  ['1 tsp (or 2) salt', 2],
  ['1 tsp salt, up to 2 tsp', 2],
  ['1 tsp salt (heaped)', 2],
  ['tsp of salt, heaped', 2],
  ['a bit more than 1 tsp salt', 1.6],
  ['just over 1 tsp salt', 1.5],
  ['well over 1 tsp salt', 1.6],
  ['between 1 and 2 tsp salt', 2],
  ['1 tsp to 1 tbsp salt', 3],
  ['another 2 tsp salt', 2],
  ['a good 2 tsp salt', 3],
  ['the usual 2 tsp salt', 2],
  ['only 2 tsp salt', 2],
  ['salt, just 2 tsp', 2],
  ['salt (only 2 tsp this time)', 2],
])('%s: as much as %s teaspoons', (row, times) => {
  expect(salt(row)?.high).toBeCloseTo(TEASPOON_G.high * times, 1);
  expect(salt(row)?.low).toBeGreaterThan(TEASPOON_G.low * 0.8);
});

test.each(['1 tsp salt, 2 cm deep', '1 tsp salt', '1 tsp salt, for 4', '1 tsp salt, 2 years old'])(
  '%s is one',
  (row) => {
    expect(salt(row)?.high).toBeCloseTo(TEASPOON_G.high, 1);
  },
);
