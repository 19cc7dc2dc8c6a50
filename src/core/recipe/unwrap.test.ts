import { linesOf } from './source';
import { unwrapped } from './unwrap';

/** Broken to a width, as mail programs do (common practice: 72 columns). */
function wrap(text: string, width: number): string {
  return text
    .split('\n')
    .map((row) =>
      row.split(' ').reduce((out, word) => {
        const last = out.slice(out.lastIndexOf('\n') + 1);
        return out === ''
          ? word
          : last.length + 1 + word.length > width
            ? `${out}\n${word}`
            : `${out} ${word}`;
      }, ''),
    )
    .join('\n');
}
const rows = (text: string) => unwrapped([...linesOf(text)]).map((r) => r.text);

const LETTER = [
  'Soup for the lock keepers',
  '',
  'Soften two leeks in a splash of water, then add a litre of stock and 450 g carrots and cook for twenty minutes with the lid on.',
  'Blend it. Stir in two tablespoons of tahini and a good squeeze of lemon, and do not let it boil again or it splits and looks curdled.',
  '',
  'Feeds four of us with bread.',
].join('\n');

test.each([40, 60, 64, 72, 76, 80])('a letter broken to %d columns is as it was', (width) => {
  const told = rows(wrap(LETTER, width)).join(' ').replace(/\s+/g, ' ');
  expect(told).toBe(LETTER.replace(/\s+/g, ' '));
  const foods = rows(wrap(LETTER, width));
  expect(foods.some((row) => row.includes('two tablespoons of tahini'))).toBe(true);
  expect(foods.some((row) => row.includes('450 g carrots'))).toBe(true);
});

test('places stay', () => {
  const text = wrap(LETTER, 60);
  for (const row of unwrapped([...linesOf(text)]))
    expect(text.slice(row.start, row.end).replace(/\n/g, ' ')).toBe(row.text);
});

test.each([
  ['450 g carrots, 5 tbsp\nolive oil, 2 leeks', 1],
  ['450 g carrots, 100\ng walnuts, 2 leeks', 1],
  ['stir in the leeks with\n2 leeks', 2],
  ['stir in the leeks and\ntahini', 1],
  ['2\nleeks', 1],
])('%j is %d rows', (text, many) => {
  expect(rows(text)).toHaveLength(many);
});

test.each([
  ['tahini, 150 g', 'carrots, 450 g', 'leeks, 2'],
  ['1 large onion, peeled and finely chopped', 'olive oil', 'salt and pepper'],
  ['450 g carrots,', '2 leeks,', 'tahini'],
  ['red onion half', 'chickpeas tin', 'lemon 1'],
  ['salt — the pasta water only, a teaspoon in 3 litres', 'handful of breadcrumbs'],
  ['- 450 g carrots and', '- 2 leeks'],
  ['Serves 4', 'carrots'],
])('rows of a list stay rows: %s', (...list) => {
  expect(rows(list.join('\n'))).toEqual(list);
});
