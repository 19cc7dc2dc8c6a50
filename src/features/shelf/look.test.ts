import type { StoredDiner } from '@/data/db';
import type { LibraryRow } from '@/workers/library.worker';
import { EVERYTHING, lookedFor, nearlyFits } from './look';

const range = (best: number) => ({ low: best, best, high: best });
const row = (
  id: string,
  fat: number | null,
  verdict: LibraryRow['verdicts'][string],
  allergens: string[] = [],
): LibraryRow => ({
  id,
  title: id,
  lines: 1,
  unresolved: 0,
  fatShare: fat === null ? null : range(fat),
  sodium: range(fat ?? 0),
  energy: range(400),
  density: null,
  fibre: null,
  protein: null,
  freeSugar: null,
  minutes: fat ?? 60,
  allergens,
  allergenDoubts: [],
  verdicts: { strict: verdict },
  missedBy: {},
});
const recipes = [
  { id: 'b', text: 'Barley pot\n\n200 g barley\n1 tin chick peas' },
  { id: 'a', text: 'Aubergine bowl\n\n2 aubergines\n1 tbsp tahini' },
  { id: 'c', text: 'Carrot soup\n\n1 kg carrots\n2 chickpeas' },
];
const rows = new Map([
  ['a', row('a', 22, 'near', ['sesame'])],
  ['b', row('b', 5, 'within')],
  ['c', row('c', null, 'unknown')],
]);
const diner = (id: string, allergens: string[] = []) =>
  ({ id, name: id, protocol: 'strict', allergens }) as unknown as StoredDiner;
const ids = (look: Partial<typeof EVERYTHING>, diners = [diner('x')]) =>
  lookedFor(recipes, rows, diners, { ...EVERYTHING, ...look }).map((r) => r.id);

test('words are looked for in the whole text, in one spelling', () => {
  expect(ids({ words: 'TAHINI' })).toEqual(['a']);
  expect(ids({ words: 'chickpea' })).toEqual(['b', 'c']);
  expect(ids({ words: 'gronk' })).toEqual([]);
});
test('what fits somebody is sure: not known fits nobody, an allergen neither', () => {
  expect(ids({ fits: 'x' })).toEqual(['b', 'a']);
  expect(ids({ fits: 'all' }, [diner('x'), diner('y', ['sesame'])])).toEqual(['b']);
});
test('orders: by name, and by a figure with the unknown last', () => {
  expect(ids({ order: 'title' })).toEqual(['a', 'b', 'c']);
  expect(ids({ order: 'fat' })).toEqual(['b', 'a', 'c']);
  expect(ids({})).toEqual(['b', 'a', 'c']);
});

test('what takes no longer than there is time, and in its order', () => {
  expect(ids({ minutes: 10 })).toEqual(['b']);
  expect(ids({ minutes: 30 })).toEqual(['b', 'a']);
  expect(ids({ order: 'minutes' })).toEqual(['b', 'a', 'c']);
});

test('without: foods and words that it must not have', () => {
  expect(ids({ without: 'tahini' })).toEqual(['b', 'c']);
  expect(ids({ without: 'chickpeas, tahini' })).toEqual([]);
});
test('one limit over is over by one alone, all of it known, and safe to eat', () => {
  const over = (missed: string[], unresolved = 0, allergens: string[] = []): LibraryRow => ({
    ...row('x', 30, 'over', allergens),
    unresolved,
    missedBy: { strict: missed },
  });
  const eater = diner('x', ['sesame']);
  expect(nearlyFits(over(['Fat share']), eater)).toBe(true);
  expect(nearlyFits(over(['Fat share', 'Sodium']), eater)).toBe(false);
  expect(nearlyFits(over(['Fat share'], 1), eater)).toBe(false);
  expect(nearlyFits(over(['Fat share'], 0, ['sesame']), eater)).toBe(false);
  expect(nearlyFits(row('x', 30, 'within'), eater)).toBe(false);
});
test('stars, tags and a part of the map narrow it; the last cooked comes first', () => {
  const sorted = [
    { id: 'a', text: 'A\n\n1 onion', tags: ['weekday'], starred: true },
    { id: 'b', text: 'B\n\n1 onion', tags: [], starred: false },
    { id: 'c', text: 'C\n\n1 onion' },
  ];
  const find = (look: Partial<typeof EVERYTHING>) =>
    lookedFor(
      sorted,
      rows,
      [diner('x')],
      { ...EVERYTHING, ...look },
      new Map([
        ['b', 5],
        ['c', 9],
      ]),
    ).map((r) => r.id);
  expect(find({ starred: true })).toEqual(['a']);
  expect(find({ tag: 'weekday' })).toEqual(['a']);
  expect(find({ words: 'weekday' })).toEqual(['a']);
  expect(find({ order: 'cooked' })).toEqual(['c', 'b', 'a']);
  const known = new Map([
    ['a', { ...row('a', 22, 'over'), density: range(150) }],
    ['b', { ...row('b', 5, 'within'), density: range(60) }],
  ]);
  const part = (fat: [number, number], density: [number, number]) =>
    lookedFor(sorted, known, [], { ...EVERYTHING, brush: { fat, density } }).map((r) => r.id);
  expect(part([0, 10], [0, 100])).toEqual(['b']);
  expect(part([0, 30], [0, 200])).toEqual(['a', 'b']);
});
