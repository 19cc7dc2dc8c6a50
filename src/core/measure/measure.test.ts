import { numericQuantity } from 'numeric-quantity';
import { readQuantity } from './quantity';
import { AUSTRALIAN_TABLESPOON_ML, METRIC_CUP_ML, millilitres, readUnit, UNITS, US_MEASURES } from './units';

const read = (text: string) => {
  const q = readQuantity(text, 0);
  return q ? [q.low, q.high] : null;
};

describe('units', () => {
  // NIST Handbook 44, Appendix C, general tables of units of measurement
  test.each([
    ['cup', 236.588],
    ['tbsp', 14.787],
    ['tsp', 4.929],
    ['fl oz', 29.574],
    ['quart', 946.353],
  ])('%s is %d mL (NIST Handbook 44)', (id, ml) => {
    expect(UNITS.get(id)?.size?.[1]).toBeCloseTo(ml, 2);
  });
  test.each([
    ['oz', 28.3495],
    ['lb', 453.592],
  ])('%s is %d g (NIST Handbook 44)', (id, g) => {
    expect(UNITS.get(id)?.size?.[1]).toBeCloseTo(g, 3);
  });
  test('16 tablespoons and 48 teaspoons are a cup', () => {
    const ml = (id: string) => UNITS.get(id)?.size?.[1] ?? NaN;
    expect(16 * ml('tbsp')).toBeCloseTo(ml('cup'), 2);
    expect(48 * ml('tsp')).toBeCloseTo(ml('cup'), 2);
  });
  test('a setting says which cup and tablespoon', () => {
    const cup = UNITS.get('cup');
    const tbsp = UNITS.get('tbsp');
    if (!cup || !tbsp) throw new Error('units');
    expect(millilitres(cup, { ...US_MEASURES, cup: 'metric' })?.[1]).toBe(METRIC_CUP_ML);
    expect(millilitres(tbsp, { ...US_MEASURES, tablespoon: 'australian' })?.[1]).toBe(
      AUSTRALIAN_TABLESPOON_ML,
    );
  });
  test.each([
    ['T', 'tbsp'],
    ['t', 'tsp'],
    ['t.', 'tsp'],
    ['c.', 'cup'],
    ['C', 'cup'],
    ['Tbsp.', 'tbsp'],
    ['tsps', 'tsp'],
    ['TBSP', 'tbsp'],
    ['lbs', 'lb'],
    ['millilitres', 'ml'],
    ['fl oz', 'fl oz'],
    ['tins', 'can'],
  ])('%s is %s', (word, id) => {
    expect(readUnit(word.toLowerCase(), word, 0)?.unit.id).toBe(id);
  });
  test('a unit needs its end: "cupboard" is no cup', () => {
    expect(readUnit('cupboard', 'cupboard', 0)).toBeNull();
    expect(readUnit('gherkins', 'gherkins', 0)).toBeNull();
  });
});

describe('quantities', () => {
  test.each<[string, number, number]>([
    ['2', 2, 2],
    ['1 1/2', 1.5, 1.5],
    ['1-1/2', 1.5, 1.5],
    ['1/2', 0.5, 0.5],
    ['2.5', 2.5, 2.5],
    ['2,5', 2.5, 2.5],
    ['1,000', 1000, 1000],
    ['half a', 0.5, 0.5],
    ['a half', 0.5, 0.5],
    ['a dozen', 12, 12],
    ['half a dozen', 6, 6],
    ['a couple of', 2, 3],
    ['a few', 2, 5],
    ['one and a half', 1.5, 1.5],
    ['2 and a half', 2.5, 2.5],
    ['two thirds of a', 2 / 3, 2 / 3],
    ['three quarters', 0.75, 0.75],
    ['2 to 2 1/2', 2, 2.5],
    ['4-6', 4, 6],
    ['2 or 3', 2, 3],
    ['1-1 1/2', 1, 1.5],
    ['1/2-1', 0.5, 1],
    ['two to three', 2, 3],
  ])('%s', (text, low, high) => {
    const got = read(text);
    expect(got?.[0]).toBeCloseTo(low, 9);
    expect(got?.[1]).toBeCloseTo(high, 9);
  });
  test.each(['carrots', '', 'to taste', '-', '/2'])('"%s" is none', (text) => {
    expect(read(text)).toBeNull();
  });
  test('agrees with numeric-quantity on plain numbers', () => {
    for (const text of ['7', '3/4', '2 1/3', '12.25', '1 7/8'])
      expect(read(text)?.[0]).toBeCloseTo(numericQuantity(text, { round: false }), 9);
  });
});
