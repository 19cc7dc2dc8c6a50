import { highOf, isOpen, soupWith as read } from './told-soup';

const FOODS = [
  ['tahini', 'tahini'],
  ['salt', 'salt'],
  ['olive oil', 'olive-oil'],
  ['maple syrup', 'maple-syrup'],
] as const;
const AMOUNTS = ['2 tbsp', '1 tsp', '30 g', 'a tablespoon'];
/** Words before an amount and behind it that leave it about what it is. */
const AROUND: readonly ((line: string) => string)[] = [
  (x) => `Also ${x}`,
  (x) => `Plus ${x}`,
  (x) => `and ${x}`,
  (x) => `Oh and ${x}`,
  (x) => `Don't forget ${x}`,
  (x) => `about ${x}`,
  (x) => `roughly ${x}`,
  (x) => `up to ${x}`,
  (x) => `at most ${x}`,
  (x) => `no more than ${x}`,
  (x) => `not more than ${x}`,
  (x) => `never more than ${x}`,
  (x) => `max ${x}`,
  (x) => `just under ${x}`,
  (x) => `~${x}`,
  (x) => `approx. ${x}`,
  (x) => `maybe ${x}`,
  (x) => `say ${x}`,
  (x) => `only ${x}`,
  (x) => `not quite ${x}`,
  (x) => `I use ${x}`,
  (x) => `you need ${x}`,
  (x) => `for the sauce: ${x}`,
  (x) => `(${x})`,
  (x) => `${x}!!`,
  (x) => `${x}*`,
  (x) => `${x}, max`,
  (x) => `${x} at most`,
  (x) => `${x}, no more`,
  (x) => `${x} or so`,
  (x) => `${x} or thereabouts`,
  (x) => `${x} if that`,
  (x) => `${x} – yes, all of it`,
  (x) => `${x}, divided`,
  (x) => `${x} (see note)`,
];
const rows = AROUND.flatMap((around, i) =>
  [0, 1].map((k) => {
    const [food, id] = FOODS[(i + k) % FOODS.length] as readonly [string, string];
    const once = `${AMOUNTS[(i + 2 * k) % AMOUNTS.length] ?? ''} ${food}`;
    return { row: around(once), once, id };
  }),
);

describe('words around an amount take nothing away from it', () => {
  test.each(rows)('on the list: $row', ({ row, once, id }) => {
    const recipe = read(row);
    if (!isOpen(recipe)) expect(highOf(recipe, id)).toBeGreaterThanOrEqual(highOf(read(once), id) * 0.9);
  });
  test.each(rows)('in the method: Stir in $row', ({ row, once, id }) => {
    const recipe = read('', `Stir it. ${row.charAt(0).toUpperCase()}${row.slice(1)}.`);
    if (!isOpen(recipe)) expect(highOf(recipe, id)).toBeGreaterThanOrEqual(highOf(read(once), id) * 0.9);
  });
  test('and most of them are understood', () => {
    expect(rows.filter(({ row }) => isOpen(read(row))).length / rows.length).toBeLessThan(0.1);
  });
});
