import { US_MEASURES } from '@/core/measure/units';
import { readLine } from './line';

const settings = { measures: US_MEASURES, corrections: {} };
const read = (text: string) => readLine({ text, start: 0, end: text.length, section: null }, settings, 4);
const foods = (text: string) => read(text).foods.map((f) => f.food?.id ?? '?');

describe('foods hidden in what is done to a line’s own food are counted', () => {
  test.each<[string, string[]]>([
    ['200 g mushrooms, fried in 2 tbsp butter', ['mushroom', 'butter']],
    ['1 cucumber, salted and drained', ['cucumber', 'salt']],
    ['1 aubergine, salted, rinsed and dried', ['aubergine', 'salt']],
    ['200 g pasta, cooked in salted water', ['pasta-white', 'salt']],
    ['3 slices toast, buttered', ['bread-white', 'butter']],
    ['2 cloves garlic crushed with salt', ['garlic', 'salt']],
    ['1 can white beans, drained, plus 1 tbsp soy sauce', ['white-beans-canned', 'soy-sauce']],
    ['2 potatoes, cubed, roasted with 1 tbsp olive oil and salt', ['potato', 'olive-oil', 'salt']],
    ['2 aubergines, brushed with olive oil and grilled', ['aubergine', 'olive-oil']],
    ['400 g tofu, pressed and rolled in cornflour', ['tofu-firm', 'cornflour']],
    ['250 g noodles, cooked and tossed with a little sesame oil', ['noodles-cooked', 'sesame-oil']],
    ['1 cup quinoa, cooked in vegetable stock', ['quinoa', 'stock-salted']],
  ])('%s', (text, expected) => expect(foods(text)).toEqual(expected));

  test.each<[string, string[]]>([
    ['1 head broccoli, tossed in the dressing', ['broccoli']],
    ['100 g cashews, soaked in water overnight', ['cashew']],
    ['100 g salted peanuts', ['peanut-salted']],
    ['25 g salted butter', ['butter']],
    ['a handful of salted almonds, chopped', ['almond-salted']],
    ['2 onions, sliced, fried without oil', ['onion']],
    ['1 lettuce, washed and dried', ['lettuce']],
  ])('nothing is added to “%s”', (text, expected) => expect(foods(text)).toEqual(expected));

  test('an amount said in the tail is that food’s, and one not said stays a range', () => {
    const [, butter] = read('200 g mushrooms, fried in 2 tbsp butter').foods;
    expect(butter?.grams?.best).toBeCloseTo(28.4, 1);
    const [, salt] = read('200 g pasta, cooked in salted water').foods;
    expect(salt?.grams?.low).toBe(0);
    expect(salt?.grams?.high).toBeGreaterThan(2);
  });

  test.each<[string, string[]]>([
    ['2 tbsp vegan mayo, 3 tbsp bbq sauce', ['mayo-vegan', 'bbq-sauce']],
    ['1 onion, 3 tbsp glorp', ['onion', '?']],
    ['1 block tofu (400 g), 2 tbsp cornflour to coat', ['tofu-firm', 'cornflour']],
    ['150 g flour, plus 2 tbsp for dusting', ['white-flour', 'white-flour']],
  ])('an amount behind a comma counts: “%s”', (text, expected) => expect(foods(text)).toEqual(expected));

  test.each([
    '1 bag (200 g) spinach, 50 g of it chopped',
    '1 can beans, 240 g drained',
    '1 cauliflower, 800 g, cut into florets',
    '1 pepper, 1 cm dice',
    '1 cup milk, 2 tbsp reserved',
  ])('an amount of its own food is not another food: “%s”', (text) =>
    expect(read(text).foods).toHaveLength(1),
  );

  test('“2 carrots, 100 g each” is 200 g', () =>
    expect(read('2 carrots, 100 g each').foods[0]?.grams?.best).toBe(200));
});

describe('a second amount in a line is its own food, or the line is not understood', () => {
  const UNKNOWN = ['xyzzy', 'frobnicate', 'red ones', 'the wobbly kind'];
  const PREPS = ['', ' drained', ', drained', ', rinsed well', ' diced'];
  const JOINS = [' + ', ' plus ', ', plus '];
  const UNITS = ['1 tin', '2 tbsp', 'a handful of', '50 g', '½ cup'];
  test.each(UNKNOWN)('%s', (food) => {
    for (const prep of PREPS)
      for (const join of JOINS)
        for (const unit of UNITS) {
          const text = `2 tins pinto beans${prep}${join}${unit} ${food}`;
          expect([text, read(text).missing]).toEqual([text, 'food']);
        }
  });
  test.each<[string, string]>([
    ['walnuts', 'walnut'],
    ['olive oil', 'olive-oil'],
    ['tahini', 'tahini'],
  ])('%s', (food, id) => {
    for (const prep of PREPS)
      for (const join of JOINS)
        for (const unit of ['2 tbsp', '50 g', '½ cup']) {
          const text = `2 tins pinto beans${prep}${join}${unit} ${food}`;
          expect([text, foods(text).includes(id)]).toEqual([text, true]);
        }
  });
  test('the noun is the line’s: 2 tins pinto beans + 1 tin kidney', () => {
    expect(foods('2 tins pinto beans drained + 1 tin kidney ditto')).toEqual([
      'pinto-canned',
      'kidney-beans-canned',
    ]);
  });
});

/** Printed drained weights are what is eaten of a tin or jar (EU Regulation 1169/2011, Annex IX, 5). */
test.each([
  ['2 jars (700g each, 425 drained) white beans', 850],
  ['1 jar (700 g, 425 g drained) white beans', 425],
  ['1 tin (400 g / 240 g drained) white beans', 240],
  ['2 x 400 g tins white beans (240 g drained each)', 480],
])('%s', (text, grams) => expect(read(text).foods[0]?.grams?.best).toBeCloseTo(grams, 0));
