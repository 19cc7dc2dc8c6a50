import { protocolById, type Protocol } from '@/core/protocol';
import { readLabel } from './read';
import { euRange, usRange } from './rounding';
import { LabelSchema } from './schema';
import { hiddenIn, readStatement } from './statement';

const printed = (value: number, lessThan = false) => ({ value, lessThan });

describe('what a printed figure can mean', () => {
  // US 21 CFR 101.9(c): calories (1), fat (2), sodium (4), carbohydrate (6)
  test.each<[Parameters<typeof usRange>[0], number, number, number]>([
    ['fatG', 0, 0, 0.5],
    ['fatG', 0.5, 0.5, 0.75],
    ['fatG', 2.5, 2.25, 2.75],
    ['fatG', 5, 4.75, 5.5],
    ['fatG', 12, 11.5, 12.5],
    ['sodiumMg', 0, 0, 5],
    ['sodiumMg', 35, 32.5, 37.5],
    ['sodiumMg', 140, 137.5, 145],
    ['sodiumMg', 480, 475, 485],
    ['energyKcal', 0, 0, 5],
    ['energyKcal', 45, 42.5, 47.5],
    ['energyKcal', 50, 47.5, 55],
    ['energyKcal', 120, 115, 125],
    ['sugarG', 0, 0, 0.5],
    ['sugarG', 1, 0.5, 1.5],
    ['proteinG', 7, 6.5, 7.5],
  ])('US %s printed %d is %d–%d', (nutrient, value, low, high) => {
    expect(usRange(nutrient, printed(value))).toMatchObject({ low, high });
  });
  test('every true value lies in the range of what it prints as', () => {
    const print = (fat: number) => (fat < 0.5 ? 0 : fat < 5 ? Math.round(fat * 2) / 2 : Math.round(fat));
    for (let fat = 0; fat < 20; fat += 0.01) {
      const r = usRange('fatG', printed(print(fat)));
      expect(fat).toBeGreaterThanOrEqual(r.low - 1e-9);
      expect(fat).toBeLessThanOrEqual(r.high + 1e-9);
    }
    const sodium = (mg: number) =>
      mg < 5 ? 0 : mg <= 140 ? Math.round(mg / 5) * 5 : Math.round(mg / 10) * 10;
    for (let mg = 0; mg < 700; mg += 0.5) {
      const r = usRange('sodiumMg', printed(sodium(mg)));
      expect(mg).toBeGreaterThanOrEqual(r.low);
      expect(mg).toBeLessThanOrEqual(r.high);
    }
  });
  test('EU figures per 100 g (guidance of December 2012, recalled)', () => {
    expect(euRange('fatG', printed(0))).toMatchObject({ low: 0, high: 0.5 });
    expect(euRange('fatG', printed(3.2)).high).toBeCloseTo(3.25);
    expect(euRange('fatG', printed(24))).toMatchObject({ low: 23.5, high: 24.5 });
    expect(euRange('sodiumMg', printed(400 * 1.2)).high).toBeCloseTo(400 * 1.25);
    expect(euRange('fatG', printed(0.5, true))).toMatchObject({ low: 0, high: 0.5 });
  });
});

const SPRAY = `Salad spray
Fat free! Low sodium. Oil free.
Nutrition Facts
Serving size 1 tsp (5g)
Calories 5
Total Fat 0g
Sodium 35mg
Total Carbohydrate <1g
Sugars 0g
Protein 0g

Ingredients: Water, rapeseed oil, vinegar (12%), sugar, contains 2% or less of: salt, xanthan gum, yeast extract (barley), natural flavour. Contains: barley. May contain traces of mustard and celery.`;

describe('ingredient statements', () => {
  test('brackets nest, percentages belong to their words, the order bounds the rest', () => {
    const { ingredients, mayContain, contains } = readStatement(SPRAY.split('\n').at(-1) ?? '');
    expect(ingredients.map((i) => [i.depth, i.text])).toEqual([
      [0, 'Water'],
      [0, 'rapeseed oil'],
      [0, 'vinegar'],
      [0, 'sugar'],
      [0, 'salt'],
      [0, 'xanthan gum'],
      [0, 'yeast extract'],
      [1, 'barley'],
      [0, 'natural flavour'],
    ]);
    expect(ingredients[2]?.printed).toBe(12);
    // before 12 % of vinegar there is at least as much, and with water no more than half
    expect(ingredients[1]?.share).toMatchObject({ low: 12, high: 50 });
    expect(ingredients[3]?.share?.high).toBeLessThanOrEqual(12);
    expect(ingredients[4]?.share?.high).toBe(2);
    expect(mayContain).toEqual(['mustard', 'celery']);
    expect(contains).toEqual(['barley']);
  });
  test('bounds hold for every list that keeps its order', () => {
    // shares of four things, largest first, the third printed
    for (const list of [
      [40, 30, 20, 10],
      [70, 20, 8, 2],
      [25, 25, 25, 25],
      [97, 1, 1, 1],
    ]) {
      const { ingredients } = readStatement(`Ingredients: Aaa, bbb, ccc (${list[2]}%), ddd`);
      ingredients.forEach((i, k) => {
        expect(list[k]).toBeGreaterThanOrEqual((i.share?.low ?? NaN) - 1e-9);
        expect(list[k]).toBeLessThanOrEqual((i.share?.high ?? NaN) + 1e-9);
      });
    }
  });
  test.each<[string, string[]]>([
    ['palm olein', ['oil']],
    ['emulsifier: mono- and diglycerides of fatty acids', ['oil']],
    ['E471', ['oil']],
    ['hydrolysed vegetable protein', ['salt']],
    ['E621', ['salt']],
    ['evaporated cane juice', ['sugar']],
    ['concentrated apple juice', ['sugar']],
    ['barley malt extract', ['sugar']],
    ['maltodextrin', ['sugar']],
    ['fortified wheat flour', ['refined-starch']],
    ['modified maize starch', ['refined-starch']],
    ['sucralose', ['sweetener']],
    ['wholemeal wheat flour', []],
    ['brown rice', []],
    ['rice vinegar', []],
    ['peanut butter', []],
    ['butter beans', []],
    ['cream of tartar', []],
    ['no added salt', []],
    ['chickpeas', []],
  ])('%s', (words, classes) => {
    expect([...new Set(hiddenIn(words).map((h) => h.class))]).toEqual(classes);
  });
});

describe('a packet as a whole', () => {
  const spray = readLabel(SPRAY);
  test('fits its schema', () => {
    expect(LabelSchema.parse(JSON.parse(JSON.stringify(spray)))).toEqual(spray);
  });
  test('"0 g fat" of a 5 g serving may be almost all fat by energy', () => {
    expect(spray.layout).toBe('us');
    expect(spray.per100g.fatG).toMatchObject({ low: 0, high: 10 });
    expect(spray.fatSharePercent?.low).toBe(0);
    expect(spray.fatSharePercent?.high).toBeGreaterThan(50);
    expect(spray.verdicts.find((v) => v.protocol === 'heart-strict')?.verdict).toBe('over');
  });
  test('claims against figures and ingredients', () => {
    const holds = Object.fromEntries(spray.claims.map((c) => [c.claim, c.holds]));
    expect(holds).toEqual({ 'fat free': 'surely', 'low sodium': 'surely', 'oil free': 'impossible' });
    const salty = readLabel(
      'Crackers, low sodium\nServing size 30 g\nCalories 120\nSodium 200mg\n\nIngredients: Wheat flour, salt.',
    );
    expect(salty.claims[0]).toMatchObject({ claim: 'low sodium', holds: 'impossible' });
    const near = readLabel(
      'Crackers, low sodium\nServing size 30 g\nCalories 120\nSodium 140mg\n\nIngredients: Wheat flour.',
    );
    expect(near.claims[0]?.holds).toBe('possibly');
  });
  test('two columns, kJ with kcal, salt for sodium', () => {
    const l = readLabel(
      'Spread\nEnergy 2600 kJ / 625 kcal per 100 g\nper 100 g | per 15 g serving\nFat 50 g | 7.5 g\nof which saturates 6.5 g | 1.0 g\nSalt 0.5 g | 0.08 g\n\nIngredients: Peanuts (99.5%), stabiliser (palm oil).',
    );
    expect(l.layout).toBe('eu');
    expect(l.servingG).toBe(15);
    expect(l.per100g.energyKcal?.best).toBeCloseTo(625, 0);
    expect(l.per100g.sodiumMg?.best).toBeCloseTo(200, -1);
    expect(l.perServing.fatG?.best).toBeCloseTo(7.5, 1);
    expect(l.verdicts.find((v) => v.protocol === 'everyday')?.because.join(' ')).toContain('palm oil');
  });
  test('kJ alone is turned to kcal (÷ 4.184)', () => {
    expect(readLabel('Beans\nper 100 g\nEnergy 418 kJ\nFat 0.5 g').per100g.energyKcal?.best).toBeCloseTo(
      99.9,
      0,
    );
  });
  test('a plain can is within; one unknown word leaves it open', () => {
    const can = (extra: string) =>
      readLabel(
        `Beans\nper 100 g\nper serving (100 g)\nEnergy 420 kJ / 100 kcal\nFat 0.6 g\nCarbohydrate 16 g\nof which sugars 0.4 g\nSalt 0.03 g\n\nIngredients: Chickpeas, water${extra}.`,
        [protocolById('nothing-added') as Protocol],
      ).verdicts[0];
    expect(can('')?.verdict).toBe('within');
    expect(can(', firming blend Z')?.verdict).toBe('depends');
    expect(can(', firming agent (calcium chloride)')?.verdict).toBe('within');
    expect(can(', salt')?.verdict).toBe('over');
  });
  test('nothing to read is said, and never within', () => {
    const l = readLabel('Mystery bar');
    expect(l.problems.length).toBeGreaterThan(1);
    expect(l.verdicts.every((v) => v.verdict === 'unknown')).toBe(true);
  });
});
