import { US_MEASURES } from '@/core/measure/units';
import { readLineWords } from '@/core/recipe/line';
import { foodOfName } from './find';
import { foodById, type Food } from './table';
import { tokens } from './tokens';
import { densityOf, unsaid, weigh } from './weigh';

const food = (id: string) => foodById(id) as Food;
const grams = (line: string, id: string) => {
  const words = readLineWords(line).foods[0];
  return words ? (weigh(words, food(id), US_MEASURES)?.grams ?? null) : null;
};

describe('grams of an amount', () => {
  // densities: US FoodData Central portions, recalled; volumes: NIST Handbook 44
  test.each<[string, string, number]>([
    ['1 cup olive oil', 'olive-oil', 216],
    ['1 tbsp olive oil', 'olive-oil', 13.5],
    ['1 tsp salt', 'salt', 6],
    ['1 cup white flour', 'white-flour', 125],
    ['1 cup walnuts', 'walnut', 110],
    ['1 cup maple syrup', 'maple-syrup', 315],
    ['100 ml water', 'water', 100.2],
    ['1 fl oz water', 'water', 29.6],
    ['1 lb tofu', 'tofu-firm', 453.6],
    ['2 oz pasta', 'pasta-white', 56.7],
    ['1 pint water', 'water', 474],
    ['1 dl oats', 'oats', 38],
  ])('%s is about %p, %d g', (line, id, expected) => {
    expect(grams(line, id)?.best).toBeCloseTo(expected, -Math.floor(Math.log10(expected / 50)));
  });
  test('a British pint is larger: both stay possible', () => {
    expect(grams('1 pint water', 'water')?.high).toBeGreaterThan(560);
  });
  test('sizes narrow a piece', () => {
    const small = grams('1 small onion', 'onion');
    const large = grams('1 large onion', 'onion');
    expect(small?.high).toBeLessThan(large?.low ?? 0);
  });
  test('a heaped spoon holds more, a scant one less', () => {
    const level = grams('1 level tbsp sugar', 'sugar')?.best ?? NaN;
    expect(grams('1 heaped tbsp sugar', 'sugar')?.best).toBeGreaterThan(level * 1.3);
    expect(grams('1 scant tbsp sugar', 'sugar')?.best).toBeLessThan(level);
  });
  test('refuse may or may not be weighed with it', () => {
    const squash = grams('1 kg butternut squash', 'butternut');
    expect(squash).toMatchObject({ low: 840, high: 1000 });
    expect(grams('1 kg potatoes', 'tofu-firm')).toMatchObject({ low: 1000, high: 1000 });
  });
  test('printed weights of tins count their beans, not their liquid', () => {
    expect(grams('1 (15-oz) can chickpeas, drained', 'chickpeas-canned')?.best).toBeCloseTo(425 * 0.6, 0);
    expect(grams('1 (400 g) can coconut milk', 'coconut-milk-can')?.best).toBe(400);
    expect(grams('2 x 400g tins chickpeas', 'chickpeas-canned')?.best).toBeCloseTo(480, 0);
  });
  test('sums add, and a second statement overrules a looser one', () => {
    expect(grams('2 tbsp + 1 tsp olive oil', 'olive-oil')?.best).toBeCloseTo(31.5, 1);
    expect(grams('1 cup (200 g) sugar', 'sugar')?.best).toBe(200);
    expect(grams('200 g / 7 oz oats', 'oats')?.best).toBe(200);
  });
  test('what cannot be weighed is null, never a guess', () => {
    expect(grams('2 bottles carrots', 'kale')).toBeNull();
    expect(grams('3 squares kale', 'salt')).toBeNull();
  });
});

describe('amounts that are not written', () => {
  test('by kind and plate', () => {
    const salt = unsaid(food('salt'), null, 4);
    expect(salt?.grams).toEqual({ low: 0, best: 2, high: 6 });
    expect(unsaid(food('salt'), null, 2)?.grams.high).toBe(3);
  });
  test('by purpose', () => {
    expect(unsaid(food('olive-oil'), 'for greasing', 4)?.grams.high).toBeLessThan(
      unsaid(food('olive-oil'), 'for frying', 4)?.grams.high ?? 0,
    );
    expect(unsaid(food('salt'), 'for the pasta water', 4)?.grams.low).toBe(0);
  });
  test('a dry grain without an amount is no side dish, a cooked one is', () => {
    expect(unsaid(food('rice-brown'), null, 4)).toBeNull();
    expect(unsaid(food('rice-brown-cooked'), null, 4)?.grams.best).toBe(600);
  });
  test('each says why', () => {
    expect(unsaid(food('parsley'), null, 4)?.readings[0]).toMatch(/no amount/);
  });
});

test('the density nearest to the spoon is used', () => {
  const perMl = (id: string, unit: string) => densityOf(food(id), unit)?.[1] ?? NaN;
  expect(perMl('coriander-leaf', 'tbsp') * 14.78676).toBeCloseTo(2.5, 1);
  expect(perMl('salt-kosher', 'tsp')).toBeLessThan(perMl('salt', 'tsp'));
});

describe('a weight behind so many pieces', () => {
  const gramsOf = (line: string) => {
    const [words] = readLineWords(line).foods;
    const food = words && foodOfName(tokens(words.food));
    return words && food ? weigh(words, food, US_MEASURES)?.grams.best : undefined;
  };
  // usual weights of a corn tortilla (25 g), a pitta (60 g), a slice (40 g), a carrot (80 g): common practice
  test.each([
    ['8 corn tortillas (25 g)', 200],
    ['8 corn tortillas (200 g)', 200],
    ['8 corn tortillas (the small ones, 25 g)', 200],
    ['4 pittas (60 g)', 240],
    ['4 pittas (240 g)', 240],
    ['6 slices bread (40 g)', 240],
    ['4 nests wholewheat noodles (62 g a nest)', 248],
    ['noodles, 4 nests wholewheat (they’re 62 g a nest)', 248],
    ['10 walnuts (25 g)', 25],
  ])('%s', (line, grams) => expect(gramsOf(line)).toBeCloseTo(grams, 0));
});

// a weight behind several packs is of all of them where one could not weigh so much; sizes are common practice
test.each([
  ['2 blocks tofu (800 g)', 'tofu-firm', 800, 800],
  ['2 blocks tofu (400 g)', 'tofu-firm', 800, 800],
  ['3 tins tomatoes (1.2 kg)', 'tomato-canned', 1200, 1200],
  ['2 tins tomatoes (400 g)', 'tomato-canned', 800, 800],
  ['2 jars passata (690 g)', 'passata', 1380, 1380],
  ['2 jars passata (1.4 kg)', 'passata', 1400, 1400],
] as const)('%s', (line, id, low, high) => {
  const found = grams(line, id);
  expect(found && [Math.round(found.low), Math.round(found.high)]).toEqual([low, high]);
});
test('where it may be either, it is both', () => {
  const found = grams('2 jars peppers (460 g)', 'roasted-pepper-jar');
  if (found) expect(found.high).toBeGreaterThan(found.low * 1.5);
});
