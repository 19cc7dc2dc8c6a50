import { marksOf, type MarkedRow } from './marks';

const side = (rows: readonly MarkedRow[], not: 'came' | 'went') =>
  rows
    .filter((r) => r.mark !== not)
    .map((r) =>
      r.stretches
        .filter((s) => s.mark !== not)
        .map((s) => s.text)
        .join(''),
    )
    .join('\n');

const BEFORE = `Pot

- 2 tbsp olive oil
- 1 onion
- 1 tsp salt

Method
Heat the oil and fry the onion until soft. Salt it.
Serve.`;
const AFTER = `Pot

- 3 tbsp vegetable stock, no salt added
- 1 onion

Method
Heat a dry pan and fry the onion until soft.
Serve with lemon.`;

describe('marks of what changed', () => {
  const rows = marksOf(BEFORE, AFTER);
  test('leaving out what went gives the new text, leaving out what came the old one', () => {
    expect(side(rows, 'went')).toBe(AFTER);
    expect(side(rows, 'came')).toBe(BEFORE);
  });
  test('a sentence that changed is one row with its words marked', () => {
    const fry = rows.find((r) => r.mark === 'changed' && r.stretches.some((s) => s.text.includes('fry')));
    expect(fry?.stretches.filter((s) => s.mark === 'went').map((s) => s.text.trim())).toContain('oil');
    expect(fry?.stretches.some((s) => s.mark === 'came')).toBe(true);
  });
  test('a row that only goes is marked whole', () => {
    const salt = rows.find((r) => r.stretches[0]?.text === '- 1 tsp salt');
    expect(salt?.mark).toBe('went');
  });
  test('a text is the same as itself', () => {
    expect(marksOf(BEFORE, BEFORE).every((r) => r.mark === 'same')).toBe(true);
  });
  test('both sides come back from texts in any order', () => {
    // a small generator: rows drawn from a list, by a fixed rule
    const list = BEFORE.split('\n');
    for (let seed = 1; seed < 60; seed += 1) {
      const pick = (n: number) => list.filter((_, i) => (i * 7 + n * 13 + n * n) % 5 > 1);
      const a = pick(seed).join('\n').trimEnd();
      const b = [...pick(seed + 3)].reverse().join('\n').trimEnd();
      const both = marksOf(a, b);
      expect(side(both, 'went')).toBe(b);
      expect(side(both, 'came')).toBe(a);
    }
  });
});
