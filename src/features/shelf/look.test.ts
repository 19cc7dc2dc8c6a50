import type { StoredDiner } from '@/data/db';
import type { LibraryRow } from '@/workers/library.worker';
import { EVERYTHING, lookedFor } from './look';

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
  allergens,
  allergenDoubts: [],
  verdicts: { strict: verdict },
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
