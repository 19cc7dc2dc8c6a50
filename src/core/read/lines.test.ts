import { readFileSync } from 'node:fs';
import path from 'node:path';
import { US_MEASURES } from '@/core/measure/units';
import { readLine } from './line';

const settings = { measures: US_MEASURES, corrections: {} };
const read = (text: string, servings = 4) =>
  readLine({ text, start: 0, end: text.length, section: null }, settings, servings);

const fixture = readFileSync(path.join(__dirname, 'lines.fixture.txt'), 'utf8')
  .split('\n')
  .filter((l) => l && !l.startsWith('#'))
  .map((l): [string, string, string] => {
    const [text = '', food = '', grams = ''] = l.split('|').map((p) => p.trim());
    return [text, food, grams];
  });

describe('lines as cooks write them', () => {
  test.each(fixture)('%s', (text, food, grams) => {
    const line = read(text);
    if (!food) {
      expect(line.missing).toBe('food');
      expect(line.corners).toBeNull();
      return;
    }
    expect(line.foods[0]?.food?.id).toBe(food);
    if (!grams) return;
    const got = line.foods[0]?.grams;
    expect(Math.abs((got?.best ?? NaN) - Number(grams)) / Number(grams)).toBeLessThan(0.12);
    expect(got?.low).toBeLessThanOrEqual(got?.best ?? NaN);
    expect(got?.high).toBeGreaterThanOrEqual(got?.best ?? NaN);
  });
});

describe('what a line leaves open', () => {
  test('an alternative is a corner of its own', () => {
    const line = read('¼ cup tahini or sunflower seed butter');
    expect(line.foods[0]?.food?.id).toBe('tahini');
    expect(line.alternatives[0]?.food?.id).toBe('sunflower-butter');
    expect(line.corners?.length).toBeGreaterThan(2);
  });

  test('an optional line may bring nothing', () => {
    const line = read('1 tbsp olive oil (optional)');
    expect(line.optional).toBe(true);
    expect(line.corners?.some((c) => c.every((v) => v === 0))).toBe(true);
  });

  test('"salt and pepper" are two foods, "peeled and diced potatoes" one', () => {
    expect(read('salt and pepper').foods.map((f) => f.food?.id)).toEqual(['salt', 'black-pepper']);
    expect(read('500 g peeled and diced potatoes').foods.map((f) => f.food?.id)).toEqual(['potato']);
  });

  test('chickpeas by the cup may be cooked, tinned or dry', () => {
    const line = read('1 cup chickpeas');
    expect(line.foods[0]?.might.map((f) => f.id)).toEqual(['chickpeas-canned', 'chickpeas-dry']);
    expect(read('1 cup cooked chickpeas').foods[0]?.might).toEqual([]);
  });

  test('stock that is only called stock may be salted or not, with oil or without', () => {
    expect(read('1 litre vegetable stock').foods[0]?.might.map((f) => f.id)).toEqual([
      'stock-nsa',
      'stock-oil',
    ]);
    expect(read('1 litre vegetable stock, no salt added').foods[0]?.food?.id).toBe('stock-nsa');
  });

  test('an amount of nothing is no amount', () => {
    expect(read('0 cups sugar').missing).toBe('amount');
    expect(read('0 cups sugar').corners).toBeNull();
  });

  test('a stated mass overrules the count', () => {
    const onion = read('1 onion (about 150 g)').foods[0]?.grams;
    // weighed with its skin or without: a tenth of it is refuse
    expect(onion?.high).toBeCloseTo(150 * 1.15, 0);
    expect(onion?.best).toBeCloseTo(150 * 0.9, 0);
    expect(read('3 carrots (100 g each)').foods[0]?.grams?.high).toBeCloseTo(300, 0);
  });

  test('the metric cup is larger', () => {
    const metric = readLine(
      { text: '1 cup water', start: 0, end: 11, section: null },
      { ...settings, measures: { cup: 'metric', tablespoon: 'us' } },
      4,
    );
    expect(metric.foods[0]?.grams?.best).toBeCloseTo(250, 0);
  });

  test('a correction settles the food and the grams', () => {
    const text = '1 cup chickpeas';
    const line = readLine(
      { text, start: 0, end: text.length, section: null },
      { ...settings, corrections: { [text]: { foodId: 'chickpeas-cooked', grams: 170 } } },
      4,
    );
    expect(line.corners).toHaveLength(1);
    expect(line.foods[0]?.grams).toEqual({ low: 170, best: 170, high: 170 });
  });
});

describe('words that mean two things', () => {
  const first = (text: string) => read(text).foods[0];
  test('peppers by the piece are vegetables, pepper by the pinch is the spice', () => {
    expect(first('2 peppers (any colour)')?.food?.id).toBe('red-pepper');
    expect(first('¼ tsp pepper')?.food?.id).toBe('black-pepper');
  });
  test('cilantro is the leaf; coriander may be the seed', () => {
    expect(first('½ cup cilantro')?.might).toEqual([]);
    expect(first('1 tsp coriander')?.might.map((f) => f.id)).toEqual(['coriander-seed']);
  });
  test('a bracket that says what a thing is made of is no amount of it', () => {
    expect(
      first('2 flax eggs (2 tablespoons ground flaxseed + 5 tablespoons water)')?.grams?.best,
    ).toBeCloseTo(104, 0);
  });
  test('what an alternative is for is no part of its name', () => {
    const line = read('1 Tbsp. olive oil, or a splash of water for sautéeing');
    expect(line.alternatives[0]?.food?.id).toBe('water');
    expect(line.missing).toBeNull();
  });
  test('herbs by the sprig are fresh, by the spoon dried', () => {
    expect(first('3 sprigs thyme')?.food?.id).toBe('thyme-fresh');
    expect(first('1 tsp thyme')?.food?.id).toBe('thyme-dried');
  });
});

describe('other foods are not mixed up', () => {
  test.each<[string, string]>([
    ['1 cup coconut milk', 'coconut-milk-can'],
    ['1 tbsp coconut sugar', 'coconut-sugar'],
    ['1 cup almond milk, unsweetened', 'almond-milk'],
    ['1 tbsp almond butter', 'almond-butter'],
    ['1 cup almond flour', 'almond-flour'],
    ['1 tbsp peanut oil', 'peanut-oil'],
    ['2 tbsp rice vinegar', 'rice-vinegar'],
    ['1 cup rice flour', 'rice-flour'],
    ['1 tbsp maple syrup', 'maple-syrup'],
    ['1 cup tomato juice', 'tomato-juice'],
    ['1 cup tomato sauce', 'tomato-sauce'],
    ['2 tbsp tomato ketchup', 'ketchup'],
    ['1 tbsp mustard seeds', 'mustard-seed'],
    ['1 tbsp yellow mustard', 'mustard-yellow'],
    ['1 tsp celery salt', 'celery-salt'],
    ['1 tsp garlic powder', 'garlic-powder'],
    ['oil, olive, 1 tbsp', 'olive-oil'],
    ['1 butter lettuce', 'butterhead'],
    ['200 g butter beans, drained', 'butter-beans-canned'],
    ['1 butternut squash', 'butternut'],
  ])('%s is %s', (text, id) => {
    expect(read(text).foods[0]?.food?.id).toBe(id);
  });

  test.each([
    '1 cup carrot jam',
    '2 tbsp walnut liqueur',
    '1 cup lotus milk',
    '1 tin spam',
    '1 cup rainbow foam',
    '3 tbsp secret sauce',
  ])('%s is said not to be sure', (text) => {
    const line = read(text);
    const sure = (line.foods[0]?.confidence ?? 0) >= 0.85;
    expect(sure).toBe(false);
  });
});
