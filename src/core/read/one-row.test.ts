import { highOf, isOpen, soupWith as read } from './told-soup';

const FOODS = [
  ['salt', 'salt'],
  ['tahini', 'tahini'],
  ['sugar', 'sugar'],
  ['tamari', 'tamari'],
] as const;
const AMOUNTS = ['1 tsp', '2 tbsp', '1 T', '½ t', '30 g'];
const FORMS: readonly ((food: string, amount: string) => string)[] = [
  (f, a) => `${f} ${a}`,
  (f, a) => `${f}: ${a}`,
  (f, a) => `${f} - ${a}`,
  (f, a) => `${f} (${a})`,
  (f, a) => `${a} ${f}`,
  (f, a) => `${f}, ${a}`,
];
const BETWEEN = [', ', '; ', '. ', ' + ', ' / ', ' & ', ' and ', ' · ', ' '];

describe('no food of a list in one row is lost, or less than on a row of its own', () => {
  const rows = FORMS.flatMap((form, i) =>
    BETWEEN.flatMap((between, j) =>
      [0, 1].map((k) => {
        // every pair of amounts and of foods comes up with every form and sign
        const own = [0, 1, 2].map((n) => {
          const [food, id] = FOODS[(n + i + j + k) % FOODS.length] as readonly [string, string];
          return { id, row: form(food, AMOUNTS[(n * 2 + i + j + 3 * k) % AMOUNTS.length] ?? '') };
        });
        return { row: own.map((x) => x.row).join(between), own };
      }),
    ),
  );
  test.each(rows)('$row', ({ row, own }) => {
    const all = read(row);
    if (isOpen(all)) return;
    for (const { id, row: alone } of own)
      expect(highOf(all, id)).toBeGreaterThanOrEqual(highOf(read(alone), id) * 0.95);
  });

  test('and most of them are understood', () => {
    const open = rows.filter(({ row }) => isOpen(read(row)));
    expect(open.length / rows.length).toBeLessThan(0.2);
  });
});
