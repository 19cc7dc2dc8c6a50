import raw from '@content/compiled/shop.json';
import { readPacket } from '@/core/label/packet';
import { foodById } from '@/core/food/table';
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
