import { highOf, isOpen, soupWith as read } from './told-soup';

const FOODS = [
  ['tahini', 'tahini'],
  ['salt', 'salt'],
  ['olive oil', 'olive-oil'],
  ['maple syrup', 'maple-syrup'],
] as const;
const AMOUNTS = ['2 tbsp', '1 tsp', '30 g', 'a tablespoon'];
/** Lines that hold an amount twice. */
const TWICE: readonly ((a: string, f: string) => string)[] = [
  (a, f) => `${a} ${f} plus another ${a} to serve`,
  (a, f) => `${a} ${f} plus ${a} to serve`,
  (a, f) => `${a} ${f} + ${a} to finish`,
  (a, f) => `${a} ${f}, plus ${a} more for the top`,
  (a, f) => `${a} ${f} and the same again to serve`,
  (a, f) => `${a} ${f}, and ${a} more at the end`,
  (a, f) => `${a} ${f}, then ${a} more`,
  (a, f) => `${a} ${f} for the pan and ${a} for the top`,
  (a, f) => `${a} ${f} for the base, ${a} for the top`,
  (a, f) => `${a} ${f} (plus ${a} for the dressing)`,
  (a, f) => `${a} + ${a} ${f}`,
  (a, f) => `${a} plus ${a} ${f}`,
  (a, f) => `${a} ${f} in the sauce, ${a} on top`,
  (a, f) => `${a} ${f}, ${a} more on top`,
  (a, f) => `${f}, ${a} for the pan and ${a} to finish`,
  (a, f) => `${f}: ${a} + ${a}`,
  (a, f) => `${f} ${a}, plus ${a} to serve`,
  (a, f) => `${a} ${f}; another ${a} at the table`,
];
const rows = TWICE.flatMap((twice, i) =>
  [0, 1, 2].map((k) => {
    const [food, id] = FOODS[(i + k) % FOODS.length] as readonly [string, string];
    const amount = AMOUNTS[(i + 2 * k) % AMOUNTS.length] ?? '';
    return { row: twice(amount, food), once: `${amount} ${food}`, id };
  }),
);

describe('what a line holds twice is counted twice', () => {
  test.each(rows)('$row', ({ row, once, id }) => {
    const recipe = read(row);
    if (!isOpen(recipe)) expect(highOf(recipe, id)).toBeGreaterThanOrEqual(2 * highOf(read(once), id) * 0.95);
  });

  test('and most of them are understood', () => {
    expect(rows.filter(({ row }) => isOpen(read(row))).length / rows.length).toBeLessThan(0.2);
  });
});
