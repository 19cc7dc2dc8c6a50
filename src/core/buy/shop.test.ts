import { US_MEASURES } from '@/core/measure/units';
import { foodById, type Food } from '@/core/food/table';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { exact } from '@/core/range/range';
import { ShoppingSchema } from './schema';
import { tinOrDry } from './tin-or-dry';
import { boughtFor, dryOf, listCost, listRows, listText, shop } from './shop';

const settings = { measures: US_MEASURES, corrections: {} };
const dish = (source: string, lines: string, times = 1) => ({
  source,
  read: readRecipe(parseRecipe(`Pot\nServes 4\n\nIngredients\n${lines}\n\nMethod\nSimmer.`), settings),
  times,
});
const list = (...dishes: ReturnType<typeof dish>[]) =>
  ShoppingSchema.parse(shop(dishes, { measures: US_MEASURES }));
const item = (l: ReturnType<typeof list>, id: string) => l.items.find((i) => i.food.id === id);

test('a food is bought once, for every line and dish that wants it', () => {
  const l = list(dish('a', '300 g red lentils\n1 onion'), dish('b', '250 g red lentils', 2));
  const lentils = item(l, 'red-lentils');
  expect(lentils?.gramsEdible).toEqual({ low: 800, best: 800, high: 800 });
  expect(lentils?.for).toEqual([
    { source: 'a', line: 0 },
    { source: 'b', line: 0 },
  ]);
  expect(lentils?.packages).toEqual([
    { size: '1 kg bag', count: 1, leftG: { low: 200, best: 200, high: 200 } },
  ]);
  expect(lentils?.aisle).toBe('Grains and pulses');
});

test('peel and stalk are bought too', () => {
  const banana = foodById('banana') as Food;
  expect(banana.refuse).toBeGreaterThan(20);
  expect(boughtFor(banana, exact(100)).best).toBeCloseTo(100 / (1 - banana.refuse / 100), 9);
});

test('packages surely are enough: never fewer grams than the most that is wanted', () => {
  const l = list(
    dish('a', '2-3 cans chickpeas\n2 cups quinoa\n400 ml soy milk\n3 tbsp tahini\n500 g mushrooms'),
  );
  for (const i of l.items)
    for (const p of i.packages) {
      expect(p.leftG.low).toBeGreaterThanOrEqual(-1e-9);
      expect(p.count).toBeGreaterThan(0);
    }
  expect(item(l, 'chickpeas-canned')?.words[0]).toBe('no salt added');
});

test('grain and beans that are cooked at home are bought dry', () => {
  const l = list(dish('a', '500 g cooked quinoa'));
  expect(item(l, 'quinoa-cooked')).toBeUndefined();
  const quinoa = item(l, 'quinoa');
  // two and a half to four times its weight once cooked
  expect(quinoa?.gramsBought.best).toBeGreaterThan(110);
  expect(quinoa?.gramsBought.best).toBeLessThan(210);
});

test('what may be left out may need nothing, and what is not understood is named', () => {
  const l = list(dish('a', '50 g walnuts (optional)\n1 tin of brimble\n1 litre water'));
  expect(item(l, 'walnut')?.gramsBought.low).toBe(0);
  expect(l.unresolved).toEqual(['1 tin of brimble']);
  expect(l.items.some((i) => i.food.id === 'water')).toBe(false);
});

test('a price that is known is a cost, one that is not is none', () => {
  const dishes = [dish('a', '500 g carrots\n1 onion')];
  const l = shop(dishes, { measures: US_MEASURES, prices: { carrot: { pays: 2, amount: '1 kg' } } });
  const carrots = l.items.find((i) => i.food.id === 'carrot');
  // half of what a kilogram costs, give or take the peel that is paid for
  expect(carrots?.cost?.low).toBeLessThanOrEqual(1);
  expect(carrots?.cost?.high).toBeGreaterThanOrEqual(1);
  expect(carrots?.cost?.high).toBeLessThan(1.5);
  expect(l.items.find((i) => i.food.id === 'onion')?.cost).toBeNull();
});

test('tins may be bought dry: 500 g of drained beans are a third to a half of that', () => {
  const dishes = [dish('a', '2 cans chickpeas, drained')];
  const tins = shop(dishes, { measures: US_MEASURES });
  const [tin] = tins.items;
  const dry = shop(dishes, { measures: US_MEASURES, dry: new Set([tin?.food.id ?? '']) });
  const [bag] = dry.items;
  expect(bag?.food.id).toBe('chickpeas-dry');
  expect(bag?.gramsBought.best).toBeGreaterThan((tin?.gramsBought.best ?? 0) / 3.2);
  expect(bag?.gramsBought.best).toBeLessThan((tin?.gramsBought.best ?? 0) / 1.8);
  expect(dryOf('banana')).toBeUndefined();
});

test('two tins are two tins, whatever one holds; said in grams they are as many as surely are enough', () => {
  const l = list(dish('a', '2 cans chickpeas, drained'), dish('b', '1 can chickpeas'));
  expect(item(l, 'chickpeas-canned')?.packages).toMatchObject([{ count: 3 }]);
  const grams = list(dish('a', '2 cans chickpeas, drained'), dish('b', '500 g tinned chickpeas, drained'));
  expect(item(grams, 'chickpeas-canned')?.packages[0]?.count).toBeGreaterThan(3);
});

test('tin or dry: the same beans both ways, with what each costs and takes', () => {
  const dishes = [dish('a', '2 cans chickpeas, drained')];
  const prices = {
    'chickpeas-canned': { pays: 1.2, amount: '1 can' },
    'chickpeas-dry': { pays: 2, amount: '500 g' },
  };
  const ways = tinOrDry(dishes, 'chickpeas-canned', { measures: US_MEASURES, prices });
  expect(ways?.tin.item.packages[0]?.count).toBe(2);
  expect(ways?.tin.item.cost?.best).toBeCloseTo(2.4, 1);
  expect(ways?.tin.simmer).toBeNull();
  expect(ways?.dry.item.food.id).toBe('chickpeas-dry');
  // beans soak overnight and simmer an hour or so (common practice)
  expect(ways?.dry.soak?.low).toBeGreaterThanOrEqual(6 * 60);
  expect(ways?.dry.simmer?.best).toBeGreaterThanOrEqual(45);
  expect(ways?.dry.item.cost?.high).toBeLessThan(ways?.tin.item.cost?.low ?? 0);
  // whichever way is chosen now, both are told
  const chosen = new Set(['chickpeas-canned']);
  expect(tinOrDry(dishes, 'chickpeas-canned', { measures: US_MEASURES, prices, dry: chosen })).toEqual(ways);
  expect(tinOrDry(dishes, 'tomato-canned', { measures: US_MEASURES })).toBeNull();
  expect(tinOrDry([], 'chickpeas-canned', { measures: US_MEASURES })).toBeNull();
});

test('lentils need no soaking', () => {
  const ways = tinOrDry([dish('a', '1 tin lentils, drained')], 'lentils-canned', { measures: US_MEASURES });
  expect(ways?.dry.soak).toBeNull();
  expect(ways?.dry.simmer?.high).toBeLessThan(60);
});

test('a list goes out as words and as rows, ticked or not, and says what it does not know', () => {
  const l = list(dish('a', '300 g red lentils\n2 onions\n1 tin of brimble'));
  const words = listText(l, new Set(['onion']));
  expect(words).toContain('[ ] Red lentils, dry');
  expect(words).toContain('[x] Onion');
  expect(words).toContain('Not understood, look yourself: 1 tin of brimble');
  expect(listRows(l).find((r) => r.food === 'Red lentils, dry')).toMatchObject({
    'grams, most': 300,
    cost: '',
  });
  expect(listCost(l)).toEqual({ cost: { low: 0, best: 0, high: 0 }, more: true });
});
