import raw from '@content/compiled/shop.json';
import { readPacket } from '@/core/label/packet';
import { foodById } from '@/core/food/table';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { judgeWeek } from '@/core/week/week';
import { WeekPlanSchema } from '@/core/week/schema';
import { mostSodium } from './most-sodium';
import { packetOf, productsFor } from './market';
import { ShopFile } from './schema';

const products = ShopFile.parse(raw);

test.each(products.map((p) => [p.name, p] as const))('%s has a label that can be used', (_, product) => {
  const [food = ''] = product.foods;
  const reading = readPacket(packetOf(product, food));
  expect(reading.ok).toBe(true);
  if (!reading.ok) return;
  // its ingredients say what its figures say: no salt named, hardly any sodium
  const sodium = reading.food.sodiumMg ?? 0;
  expect(reading.food.adds.includes('salt')).toBe(
    /\bsalt\b/i.test(product.label.split('Ingredients:')[1] ?? ''),
  );
  if (!reading.food.adds.includes('salt') && reading.food.kind !== 'stock') expect(sodium).toBeLessThan(200);
  expect(foodById(food)?.kind).toBeDefined();
});

test('the shop has a choice where makes decide verdicts, the cheapest first', () => {
  for (const id of ['chickpeas-canned', 'stock-cube', 'oat-milk', 'soy-sauce', 'tomato-canned']) {
    const prices = productsFor(id).map((p) => p.price);
    expect(prices.length).toBeGreaterThanOrEqual(2);
    expect([...prices].sort((a, b) => a - b)).toEqual(prices);
  }
  expect(productsFor('banana')).toEqual([]);
});

describe('the most sodium a food may hold', () => {
  const stew = (beans: string) =>
    readRecipe(
      parseRecipe(
        `Pot\nServes 4\n\nIngredients\n400 g ${beans}\n1 tsp salt\n600 g potatoes\n\nMethod\nSimmer.`,
      ),
      { measures: US_MEASURES, corrections: {} },
    );
  const plan = WeekPlanSchema.parse({
    schema: 'dulvet.week/1',
    days: 2,
    diners: [
      { name: 'Maud', protocol: 'heart-strict' },
      { name: 'Ida', protocol: 'everyday', plate: 1.25 },
    ],
    cookings: [{ id: 'pot', day: 0, recipe: { text: 'x' } }],
    meals: ['Maud', 'Ida'].map((diner) => ({ day: 0, meal: 'supper', diner, of: 'pot', plates: 1 })),
  });
  const judge = (read: ReturnType<typeof stew>) =>
    judgeWeek(plan, {
      cookings: new Map([['pot', read]]),
      meals: new Map(),
      protocols: new Map(['heart-strict', 'everyday'].map((id) => [id, protocolById(id) as Protocol])),
    });
  test('is what the rest of the tightest day leaves, over the grams that are eaten', () => {
    const read = stew('cooked brown lentils, no salt added');
    const most = mostSodium(judge(read), plan, new Map([['pot', read]]), 'lentils-cooked');
    // Maud: 1500 mg less a quarter of 6.3 g salt at 387.58 mg a gram and of 600 g potatoes at about 4 mg, over 100 g
    expect(most).toBeGreaterThan(1500 - (6.3 * 387.58) / 4 - 15);
    expect(most).toBeLessThan(1500 - (6.3 * 387.58) / 4 + 1);
  });
  test('is not known where nobody eats of it or a line holds several foods', () => {
    const read = stew('cooked brown lentils, no salt added');
    expect(mostSodium(judge(read), plan, new Map([['pot', read]]), 'banana')).toBeNull();
    const two = stew('cooked brown lentils and tahini, mixed');
    expect(mostSodium(judge(two), plan, new Map([['pot', two]]), 'lentils-cooked')).toBeNull();
  });
});
