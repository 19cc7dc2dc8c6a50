import fc from 'fast-check';
import { AT } from '@/core/food/nutrients';
import { US_MEASURES } from '@/core/measure/units';
import { auditRecipe } from '@/core/audit/audit';
import { larderOf } from '@/core/food/larder';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { readPacket } from './packet';
import type { Packet } from './schema';

const packet = (label: string, more: Partial<Packet> = {}): Packet => ({
  id: 'own-x',
  name: 'Lock cream',
  names: [],
  like: null,
  label,
  ...more,
});
const food = (label: string, more: Partial<Packet> = {}) => {
  const reading = readPacket(packet(label, more));
  if (!reading.ok) throw new Error(reading.why);
  return reading.food;
};
const PANEL =
  'Lock cream\nper 100 g\nEnergy 150 kcal\nFat 5 g\nCarbohydrate 20 g\nof which sugars 8 g\nProtein 4 g\nSalt 0.5 g';

describe('a packet as a food', () => {
  test('figures per gram, oil and sugar by its ingredients', () => {
    const f = food(`${PANEL}\n\nIngredients: Water, oats, sunflower oil, sugar, salt.`);
    expect(f.energyKcal).toBeCloseTo(150);
    expect(f.sodiumMg).toBeCloseTo(200);
    expect(f.adds).toEqual(['oil', 'salt', 'sugar']);
    expect(f.perGram[AT.oilG]).toBeCloseTo(0.05);
    expect(f.addedSugarG).toBeCloseTo(8);
  });
  test('no ingredient statement: oil, salt and sugar are not known', () => {
    const f = food(PANEL);
    expect(f.perGram[AT.oilG]).toBeNaN();
    expect(f.perGram[AT.addedSodiumMg]).toBeNaN();
    expect(f.addedSugarG).toBeNull();
  });
  test('sugars of its own are not added ones', () => {
    const f = food(`${PANEL}\n\nIngredients: Apples, water.`);
    expect(f.addedSugarG).toBe(0);
    expect(f.freeSugarG).toBe(0);
  });
  test('its serving and net weight are its portions', () => {
    const f = food(`${PANEL}\nServing size 2 tbsp (32 g)\nNet weight 320 g\n\nIngredients: Oats, water.`);
    expect(f.portions.tbsp).toEqual([16, 16, 16]);
    expect(f.portions.jar).toEqual([320, 320, 320]);
  });
  test.each([
    ['', /energy, fat, salt or sodium/],
    ['Nutrition Facts\nCalories 80\nTotal Fat 4g\nSodium 5mg', /what a serving weighs/],
    ['per 100 g\nEnergy 90 kcal\nFat 1 g', /salt or sodium/],
  ])('%j is no food yet, and says why', (label, why) => {
    const reading = readPacket(packet(label));
    expect(reading.ok).toBe(false);
    if (!reading.ok) expect(reading.why).toMatch(why);
  });
  test('no gram of a product holds more than a gram of fat, or more energy than fat', () => {
    // a quarter of a gram a serving: rounding alone would allow twice its weight of fat
    const f = food(
      'Spray\nServing size 1 spray (0.25 g)\nNutrition Facts\nCalories 0\nTotal Fat 0g\nSodium 0mg\n\nIngredients: Canola oil.',
    );
    expect(Math.max(...(f.spread ?? []).map((v) => v[AT.fatG] as number))).toBeLessThanOrEqual(1);
    expect(Math.max(...(f.spread ?? []).map((v) => v[AT.energyKcal] as number))).toBeLessThanOrEqual(9);
  });
});

describe('never a false "within" through a label', () => {
  const strict = protocolById('heart-strict') as Protocol;
  /** 21 CFR 101.9(c): the printed figure of a true one, per serving. */
  const usFat = (g: number) => (g < 0.5 ? 0 : g < 5 ? Math.round(g * 2) / 2 : Math.round(g));
  const usKcal = (k: number) => (k < 5 ? 0 : k <= 50 ? Math.round(k / 5) * 5 : Math.round(k / 10) * 10);
  const usSodium = (m: number) => (m < 5 ? 0 : m <= 140 ? Math.round(m / 5) * 5 : Math.round(m / 10) * 10);
  test('whatever true product the printed figures allow', () => {
    fc.assert(
      fc.property(
        fc.record({
          serving: fc.integer({ min: 5, max: 250 }),
          fat: fc.double({ min: 0, max: 0.3, noNaN: true }),
          carb: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
          sodium: fc.double({ min: 0, max: 12, noNaN: true }),
          grams: fc.integer({ min: 20, max: 600 }),
        }),
        ({ serving, fat, carb, sodium, grams }) => {
          const kcal = 9 * fat + 4 * carb;
          const label = `Nutrition Facts\nServing size ${serving} g\nCalories ${usKcal(kcal * serving)}\nTotal Fat ${usFat(fat * serving)}g\nSodium ${usSodium(sodium * serving)}mg\nTotal Carbohydrate ${Math.round(carb * serving)}g\nTotal Sugars 0g\nIncludes 0g Added Sugars\n\nIngredients: Oats, water.`;
          const reading = readPacket(packet(label));
          if (!reading.ok) return;
          const larder = larderOf([reading.food]);
          const read = readRecipe(parseRecipe(`Dish\nServes 2\n\n${grams} g lock cream`), {
            measures: US_MEASURES,
            corrections: {},
            larder,
          });
          const audit = auditRecipe(read, strict, { role: 'main' });
          const share = (100 * 9 * fat) / kcal;
          const plate = (sodium * grams) / 2;
          const shareLimit = audit.limits.find((l) => l.id === 'fat-share');
          const sodiumLimit = audit.limits.find((l) => l.id === 'sodium');
          const held = (v: string | undefined) => v === 'within' || v === 'near';
          if (share > 10 + 1e-6) expect(held(shareLimit?.verdict)).toBe(false);
          if (plate > 500 + 1e-6) expect(held(sodiumLimit?.verdict)).toBe(false);
          if (shareLimit?.verdict === 'over') expect(share).toBeGreaterThan(10 - 1e-6);
          if (sodiumLimit?.verdict === 'over') expect(plate).toBeGreaterThan(500 - 1e-6);
        },
      ),
      { numRuns: 300 },
    );
  });
});
