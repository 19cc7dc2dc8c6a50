import { readFileSync } from 'node:fs';
import path from 'node:path';
import YAML from 'yaml';
import { US_MEASURES } from '@/core/measure/units';
import { foodsOf } from '@/core/label/packet';
import { PacketSchema, type Packet } from '@/core/label/schema';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { larderOf, TABLE_LARDER, wordsKey } from './larder';

const packets: Packet[] = (
  YAML.parse(readFileSync(path.resolve('content/demo/packets.yaml'), 'utf8')) as unknown[]
).map((p) => PacketSchema.parse(p));
const own = foodsOf(packets);
const firstFood = (line: string, larder = larderOf(own)) =>
  readRecipe(parseRecipe(`Dish\nServes 4\n\n${line}\n1 onion`), {
    measures: US_MEASURES,
    corrections: {},
    larder,
  }).lines[0]?.foods[0];

test('a dozen demo packets are all foods', () => {
  expect(packets.length).toBeGreaterThanOrEqual(12);
  expect(own).toHaveLength(packets.length);
});

test('a packet is used in a recipe by its name', () => {
  expect(firstFood('1 cup oat drink, blue carton')?.food?.id).toBe('own-canal-oat-drink');
  expect(firstFood('250 ml blue carton oat milk')?.food?.id).toBe('own-canal-oat-drink');
  expect(firstFood('2 yellow stock cubes')?.grams?.best).toBeCloseTo(20, 5);
  expect(firstFood('1 cup oat milk')?.food?.own).toBeUndefined();
});

test('every demo packet is found by each of its names', () => {
  const larder = larderOf(own);
  for (const packet of packets)
    for (const name of [packet.name, ...packet.names])
      expect([name, larder.finder.find(name)[0]?.food.id]).toEqual([name, packet.id]);
});

test('the table stays as it is with packets beside it', () => {
  for (const line of ['1 onion', '400 g tin chickpeas, drained', '2 tbsp tahini', '1 cup passata'])
    expect(firstFood(line)?.food?.id).toBe(firstFood(line, TABLE_LARDER)?.food?.id);
});

describe('what the cook means by her words', () => {
  const larder = larderOf(own, {
    [wordsKey('stock')]: 'own-plain-stock',
    [wordsKey('canned chickpeas')]: 'chickpeas-canned-nsa',
  });
  test('the words alone mean it, whatever stood there before', () => {
    const food = firstFood('2 cups stock', larder);
    expect(food?.food?.id).toBe('own-plain-stock');
    expect(food?.might).toEqual([]);
    expect(food?.readings[0]).toContain('you mean');
  });
  test('adjectives that change nothing do not hide them', () => {
    expect(firstFood('2 cups hot stock', larder)?.food?.id).toBe('own-plain-stock');
  });
  test('other words are not taken for them', () => {
    expect(firstFood('2 cups mushroom stock', larder)?.food?.id).not.toBe('own-plain-stock');
    expect(firstFood('1 can chickpeas, salted', larder)?.food?.id).not.toBe('chickpeas-canned-nsa');
    expect(firstFood('1 can chickpeas', larder)?.food?.id).toBe('chickpeas-canned-nsa');
    expect(firstFood('200 g dried chickpeas', larder)?.food?.id).toBe('chickpeas-dry');
  });
  test('a meaning whose packet is gone means nothing', () => {
    expect(larderOf([], { stock: 'own-gone' })).toBe(TABLE_LARDER);
  });
});
