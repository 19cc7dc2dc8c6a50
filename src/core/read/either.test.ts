import { highOf, isOpen, soupWith as read } from './told-soup';

/** What a limit looks at, and what it does not. */
const PAIRS = [
  ['olive oil', 'vinegar', 'olive-oil'],
  ['tahini', 'soy yoghurt', 'tahini'],
  ['maple syrup', 'apple sauce', 'maple-syrup'],
  ['tamari', 'lemon juice', 'tamari'],
] as const;
const AMOUNTS = ['2 tbsp', '1 tsp', '30 g'];
/** Ways to leave it open which of two goes in; `r` is the one that counts. */
const EITHER: readonly ((a: string, r: string, s: string) => string)[] = [
  (a, r, s) => `${a} ${r} or ${s}`,
  (a, r, s) => `${a} ${s} or ${r}`,
  (a, r, s) => `${a} ${s} or ${a} ${r}`,
  (a, r, s) => `${a} ${s} (or ${r})`,
  (a, r, s) => `${a} ${s}, or ${r}`,
  (a, r, s) => `${a} ${s} / ${r}`,
  (a, r, s) => `${a} either ${s} or ${r}`,
  (a, r, s) => `either ${a} ${s} or ${a} ${r}`,
  (a, r, s) => `${s} or ${r}, ${a}`,
  (a, r, s) => `${a} ${s} – or ${r}, whichever is there`,
  (a, r, s) => `${a} ${s} or the same of ${r}`,
  (a, r, s) => `${a} ${s}, ${r} or whatever is open`,
  (a, r, s) => `${a} of ${s} or ${r}`,
  (a, r, s) => `${s} (${a}) or ${r}`,
];
const rows = EITHER.flatMap((say, i) =>
  [0, 1].map((k) => {
    const [risky, safe, id] = PAIRS[(i + k) % PAIRS.length] as readonly [string, string, string];
    const amount = AMOUNTS[(i + k) % AMOUNTS.length] ?? '';
    return { row: say(amount, risky, safe), once: `${amount} ${risky}`, id };
  }),
);

describe('where it is open which of two goes in, neither is lost', () => {
  test.each(rows)('on the list: $row', ({ row, once, id }) => {
    const recipe = read(row);
    if (!isOpen(recipe)) expect(highOf(recipe, id)).toBeGreaterThanOrEqual(highOf(read(once), id) * 0.9);
  });
  test.each(rows)('in the method: stir in $row', ({ row, once, id }) => {
    const recipe = read('', `Stir in ${row}.`);
    if (!isOpen(recipe)) expect(highOf(recipe, id)).toBeGreaterThanOrEqual(highOf(read(once), id) * 0.9);
  });
  test('and most of them are understood', () => {
    const all = rows.flatMap(({ row }) => [read(row), read('', `Stir in ${row}.`)]);
    expect(all.filter(isOpen).length / all.length).toBeLessThan(0.2);
  });
});
