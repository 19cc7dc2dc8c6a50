import { clean, markerLength, stripMarkdown } from './clean';
import { readLineWords } from './line';

describe('one spelling for what cooks type in many ways', () => {
  test.each<[string, string]>([
    ['1½ cups', '1 1/2 cups'],
    ['½ tsp', '1/2 tsp'],
    ['1 ⅓ cup', '1 1/3 cup'],
    ['2–3 carrots', '2-3 carrots'],
    ['2 — 3 carrots', '2 - 3 carrots'],
    ['2 × 400g', '2 x 400g'],
    ['1\u00a0cup\u2009flour', '1 cup flour'],
    ['“good” oil', '"good" oil'],
    ['shepherd’s purse', "shepherd's purse"],
    ['**2 cups** _flour_', '2 cups flour'],
    ['[tahini](http://x.example)', 'tahini'],
    ['¹⁄₂ cup', '1/2 cup'],
    ['1 / 2 cup', '1/2 cup'],
    ['1/2cup', '1/2 cup'],
    ['\u200bsalt', 'salt'],
  ])('%j', (from, to) => expect(clean(from)).toBe(to));

  test.each<[string, string]>([
    ['- 2 onions', '2 onions'],
    ['• 2 onions', '2 onions'],
    ['* [ ] 2 onions', '2 onions'],
    ['☐ 2 onions', '2 onions'],
    ['1. Chop', 'Chop'],
    ['Step 2: Chop', 'Chop'],
    ['🥕 2 carrots', '2 carrots'],
    ['-2 onions', '2 onions'],
    ['2 onions', '2 onions'],
    ['1.5 l stock', '1.5 l stock'],
    ['2) 3 eggs', '3 eggs'],
  ])('marker of %j', (row, rest) => expect(row.slice(markerLength(row)).trim()).toBe(rest));

  test('a star that is no emphasis stays', () => {
    expect(stripMarkdown('2 * 3 cups')).toBe('2 * 3 cups');
    expect(stripMarkdown('snake_case_name')).toBe('snake_case_name');
  });
});

describe('the words of a line', () => {
  const foods = (line: string) => readLineWords(line).foods.map((f) => f.food);

  test.each<[string, string[]]>([
    ['2 large carrots, peeled and diced', ['carrots']],
    ['1 cup peeled, diced sweet potato', ['peeled diced sweet potato']],
    ['salt and pepper', ['salt', 'pepper']],
    ['juice of 1 lemon', ['lemon juice']],
    ['zest and juice of 2 limes', ['limes juice', 'limes zest']],
    ['25g butter -> use marge', ['marge']],
    ['flour 200 g', ['flour']],
    ['carrots x 2', ['carrots']],
    ['a good handful of parsley', ['parsley']],
    ['optional: 2 tbsp pine nuts', ['pine nuts']],
    ['s & p', ['salt', 'pepper']],
  ])('%s', (line, expected) => expect(foods(line)).toEqual(expected));

  test('what is done to it', () => {
    expect(readLineWords('1 can chickpeas, drained and rinsed').preparation).toEqual(['drained', 'rinsed']);
    expect(readLineWords('2 cups cooked rice').preparation).toEqual(['cooked']);
  });
  test('optional, to taste, plus more, what for', () => {
    expect(readLineWords('1 tbsp oil (optional)').optional).toBe(true);
    expect(readLineWords('salt, to taste').toTaste).toBe(true);
    expect(readLineWords('½ tsp salt, or to taste').toTaste).toBe(true);
    expect(readLineWords('350 g flour, plus extra for dusting').plusMore).toContain('dusting');
    expect(readLineWords('olive oil, for drizzling').purpose).toBe('for drizzling');
    expect(readLineWords('oil for frying').purpose).toBe('for frying');
    expect(readLineWords('2 carrots')).toMatchObject({
      optional: false,
      toTaste: false,
      plusMore: null,
      purpose: null,
    });
  });
  test('alternatives with amounts of their own, or the first one’s', () => {
    const [other] = readLineWords('1 tbsp fresh thyme or 1 tsp dried').alternatives;
    expect(other?.measures[0]?.unit?.id).toBe('tsp');
    const [same] = readLineWords('2 tbsp tahini or sunflower butter').alternatives;
    expect(same?.measures[0]?.quantity[1]).toBe(2);
    expect(readLineWords('salt or more to taste').alternatives).toEqual([]);
  });
  test('measures: packages, sums, sizes, equivalents', () => {
    const first = (line: string) => readLineWords(line).foods[0];
    expect(first('2 (14.5-oz) cans tomatoes')?.measures[0]).toMatchObject({
      quantity: [2, 2, 2],
      unit: { id: 'can' },
      each: { quantity: [14.5, 14.5, 14.5] },
    });
    expect(first('400g tin chickpeas')?.measures[0]).toMatchObject({
      quantity: [1, 1, 1],
      unit: { id: 'can' },
      each: { quantity: [400, 400, 400] },
    });
    expect(first('2 cans (15 oz each) beans')?.measures[0]?.each?.quantity).toEqual([15, 15, 15]);
    expect(first('2 tbsp + 1 tsp tamari')?.measures).toHaveLength(2);
    expect(first('3 large onions')?.measures[0]?.size).toBe('large');
    expect(first('200 g / 7 oz oats')?.equivalent?.unit?.id).toBe('oz');
    expect(first('1 cup (240 ml) milk')?.equivalent?.unit?.id).toBe('ml');
    expect(first('1 inch piece ginger')?.measures[0]?.unit?.id).toBe('inch');
    expect(first('heaped teaspoon cumin')?.measures[0]?.factor[1]).toBe(1.5);
  });
  test('T is a tablespoon, t a teaspoon', () => {
    expect(readLineWords('1 T oil').foods[0]?.measures[0]?.unit?.id).toBe('tbsp');
    expect(readLineWords('1 t salt').foods[0]?.measures[0]?.unit?.id).toBe('tsp');
  });
});
