import fc from 'fast-check';
import { foodById, type Food } from '@/core/food/table';
import { US_MEASURES } from '@/core/measure/units';
import { PROTOCOLS, type Protocol } from '@/core/protocol';
import { exact } from '@/core/range/range';
import { cornersOfLine } from '@/core/read/corners';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { scaled } from '@/core/food/nutrients';
import { dishOf, isComplete, type CompleteDish } from './dish';
import { inSpoons, lessOf, roomFor } from './headroom';
import { judgeLimit } from './limits';

const LINES = [
  '2 cups cooked brown rice',
  '1 can chickpeas, no salt added, drained',
  '400 g spinach',
  '1 tsp salt',
  '½ tsp salt',
  '2 tbsp soy sauce',
  '2 tbsp tahini',
  '1 avocado',
  '3 carrots',
  '2 tbsp maple syrup',
];
const THINGS = ['salt', 'soy-sauce', 'maple-syrup', 'walnut', 'tahini', 'avocado', 'potato'].map(
  (id) => foodById(id) as Food,
);

function dish(lines: readonly string[], servings: number): CompleteDish {
  const d = dishOf(
    readRecipe(parseRecipe(`Pot\nServes ${servings}\n\n800 g potatoes\n${lines.join('\n')}\n\nSimmer all.`), {
      measures: US_MEASURES,
      corrections: {},
    }),
  );
  if (!isComplete(d)) throw new Error('not read');
  return d;
}
const withMore = (d: CompleteDish, food: Food, grams: number): CompleteDish => ({
  ...d,
  lines: [...d.lines, cornersOfLine([{ food, grams: exact(grams), sodium: [1, 1, 1] }], false)],
  yields: [...d.yields, exact(1)],
});
const fits = (d: CompleteDish, protocol: Protocol) =>
  protocol.limits.every((l) => ['within', 'near'].includes(judgeLimit(l, 'main', d).verdict));

const anyDish = fc.tuple(
  fc.uniqueArray(fc.constantFrom(...LINES), { minLength: 2, maxLength: 5 }),
  fc.integer({ min: 1, max: 8 }),
  fc.constantFrom(...PROTOCOLS),
);

test('the room is what it says: that much still fits, a twentieth more does not', () => {
  fc.assert(
    fc.property(anyDish, fc.constantFrom(...THINGS), ([lines, servings, protocol], food) => {
      const d = dish(lines, servings);
      const room = roomFor(food, protocol, 'main', d);
      if (!fits(d, protocol)) return;
      if (room.grams === Infinity) {
        expect(fits(withMore(d, food, 100_000), protocol)).toBe(true);
        return;
      }
      if (room.grams > 0.001) expect(fits(withMore(d, food, room.grams * 0.9999), protocol)).toBe(true);
      expect(fits(withMore(d, food, room.grams * 1.05 + 0.01), protocol)).toBe(false);
    }),
    { numRuns: 300 },
  );
});

test('less is enough: keeping that share of the line brings every limit within, keeping more does not', () => {
  let found = 0;
  fc.assert(
    fc.property(anyDish, ([lines, servings, protocol]) => {
      const d = dish(lines, servings);
      for (const { line, keep } of lessOf(protocol, 'main', d)) {
        found += 1;
        const kept = (share: number): CompleteDish => ({
          ...d,
          lines: d.lines.map((c, i) => (i === line ? c.map((v) => scaled(v, share)) : c)),
        });
        expect(fits(kept(keep * 0.9999), protocol)).toBe(true);
        expect(fits(kept(Math.min(1, keep * 1.05 + 0.01)), protocol)).toBe(false);
      }
    }),
    { numRuns: 300 },
  );
  expect(found).toBeGreaterThan(20);
});

describe('grams in spoons, never more than they are', () => {
  const salt = foodById('salt') as Food;
  test.each([
    [6.4, '1 tsp'],
    [2, '¼ tsp'],
    [0.1, 'a pinch'],
    [0.01, null],
  ])('%d g of salt: %s', (grams, words) => {
    expect(inSpoons(salt, grams)).toBe(words);
  });
});
