import { US_MEASURES } from '@/core/measure/units';
import { readLine } from '@/core/read/line';
import { lineInUnits, type UnitSystem } from './units';

const settings = { measures: US_MEASURES, corrections: {} };
const line = (text: string) => readLine({ text, start: 0, end: text.length, section: null }, settings, 4);
const shown = (text: string, system: UnitSystem) => lineInUnits(line(text), system, US_MEASURES);

// a pound is 453.6 g, an ounce 28.35 g, a US cup 236.6 ml (NIST Handbook 44); grams in a cup by the table's portions
test.each([
  ['2 lb potatoes, peeled', 'metric', '905 g potatoes, peeled'],
  ['8 oz mushrooms, sliced', 'metric', '225 g mushrooms, sliced'],
  ['1 cup rolled oats', 'metric', '90 g rolled oats'],
  ['2 cups vegetable stock, no salt', 'metric', '470 ml vegetable stock, no salt'],
  ['6 cups water', 'metric', '1.42 litres water'],
  ['1 tsp cumin', 'metric', '1 tsp cumin'],
  ['3 carrots', 'metric', '3 carrots'],
  ['200 g rice', 'metric', '200 g rice'],
  ['500 g carrots, grated', 'us', '1 lb carrots, grated'],
  ['250 ml soya milk', 'us', '1 cup soya milk'],
  ['45 ml lemon juice', 'us', '3 tbsp lemon juice'],
  ['1 cup red lentils', 'us', '1 cup red lentils'],
  ['1–2 cups kale', 'metric', '1–2 cups kale'],
] as const)('%s in %s: %s', (text, system, expected) => {
  expect(shown(text, system)).toBe(expected);
});

test('whatever is written means the same food and amount, or the words stay', () => {
  const foods = [
    'rice',
    'red lentils',
    'soy milk',
    'tahini',
    'spinach',
    'walnuts',
    'flour',
    'passata',
    'tofu',
    'maple syrup',
  ];
  const amounts = [
    '100 g',
    '350 g',
    '1 kg',
    '1 lb',
    '6 oz',
    '1/2 cup',
    '3 cups',
    '3 tbsp',
    '500 ml',
    '1 litre',
  ];
  for (const food of foods)
    for (const amount of amounts)
      for (const system of ['metric', 'us'] as const) {
        const before = line(`${amount} ${food}`);
        const after = line(lineInUnits(before, system, US_MEASURES));
        expect(after.foods[0]?.food?.id).toBe(before.foods[0]?.food?.id);
        const ratio = (after.foods[0]?.grams?.best ?? NaN) / (before.foods[0]?.grams?.best ?? NaN);
        expect(Math.abs(ratio - 1)).toBeLessThanOrEqual(0.12);
      }
});
