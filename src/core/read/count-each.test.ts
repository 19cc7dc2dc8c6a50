import { highOf, isOpen, soupWith } from './told-soup';

/** Things eaten by the piece, and the least grams of one. */
const PIECES: readonly (readonly [string, string, string, number])[] = [
  ['a wholemeal roll', 'wholemeal rolls', 'bun-whole', 40],
  ['an avocado', 'avocados', 'avocado', 100],
  ['an oatcake', 'oatcakes', 'oatcakes', 8],
];
const FRAMES = [
  'ONE with it, COUNT each.',
  'ONE with it: COUNT each.',
  'Serve with MANY, COUNT each.',
  'MANY on the side, COUNT each.',
  'MANY alongside (COUNT each).',
  'We have ONE with it, COUNT each.',
  'MANY to go with it - COUNT each.',
  'MANY, COUNT each.',
  'Serve with MANY: COUNT per person.',
];
const COUNTS: readonly (readonly [string, number])[] = [
  ['one', 1],
  ['two', 2],
  ['half', 0.5],
  ['3', 3],
];

test.each(PIECES)('%s: so many for each of four', (one, many, id, least) => {
  const lost: string[] = [];
  for (const frame of FRAMES)
    for (const [count, n] of COUNTS) {
      const said = frame
        .replace('ONE', one)
        .replace('MANY', many)
        .replace('COUNT', count)
        .replace(/^\w/, (c) => c.toUpperCase());
      const recipe = soupWith('1 tin chickpeas', said);
      if (!isOpen(recipe) && highOf(recipe, id) < 4 * n * least) lost.push(`${said} ${highOf(recipe, id)}`);
    }
  expect(lost).toEqual([]);
});
