import rawYields from '@content/compiled/yields.json';
import { foodById } from '@/core/food/table';
import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { auditText } from '@/core/audit/text';
import { protocolById, type Protocol } from '@/core/protocol';
import type { YieldFile } from './schema';

const file = rawYields as unknown as YieldFile;
const strict = protocolById('heart-strict') as Protocol;

const read = (text: string, more = {}) =>
  readRecipe(parseRecipe(text), { measures: US_MEASURES, corrections: {}, ...more });
const factors = (text: string) => read(text).yields.map((y) => y.factor);

describe('water arithmetic', () => {
  // dry matter stays: weight grows by what the cooked food holds more of water
  const pairs = file.absorb.flatMap((rule) =>
    rule.cooked ? [[rule.id, rule.foods[0] as string, rule.cooked, rule.factor] as const] : [],
  );
  test.each(pairs)('%s: %s to %s', (_, dry, cooked, [low, best, high]) => {
    const water = (id: string) => foodById(id)?.waterG ?? NaN;
    const factor = (100 - water(dry)) / (100 - water(cooked));
    expect(factor).toBeGreaterThanOrEqual(low);
    expect(factor).toBeLessThanOrEqual(high);
    expect(Math.abs(factor - best) / best).toBeLessThan(0.15);
  });
  test('energy of the cooked row is that of the dry one, thinned by its water', () => {
    for (const [, dry, cooked] of pairs) {
      const factor = (100 - (foodById(dry)?.waterG ?? 0)) / (100 - (foodById(cooked)?.waterG ?? 0));
      const thinned = (foodById(dry)?.energyKcal ?? 0) / factor;
      expect(Math.abs(thinned - (foodById(cooked)?.energyKcal ?? 0)) / thinned).toBeLessThan(0.2);
    }
  });
});

describe('what the method does to the weight', () => {
  test('pasta boiled and drained takes up water, its sauce does not', () => {
    const [pasta, tomato] = factors(
      'Supper\nServes 2\n\n200 g spaghetti\n2 tomatoes, chopped\n\nBoil the spaghetti and drain it. Stir in the raw tomatoes.',
    );
    expect(pasta).toEqual({ low: 2, best: 2.35, high: 2.7 });
    expect(tomato?.high).toBeGreaterThanOrEqual(1);
  });
  test('lentils in listed water gain nothing: the water is counted already', () => {
    const [lentils, water] = factors(
      'Soup\nServes 4\n\n200 g red lentils\n1 litre water\n\nSimmer the lentils in the water for 20 minutes.',
    );
    expect(lentils).toEqual({ low: 1, best: 1, high: 1 });
    expect(water?.low).toBeLessThan(0.8);
    expect(water?.high).toBe(1);
  });
  test('water that is poured off may be gone', () => {
    const lines = factors(
      'Potatoes\nServes 4\n\n1 kg potatoes\n2 litres water\n\nBoil the potatoes in the water until soft, then drain them.',
    );
    expect(lines[1]?.low).toBe(0);
  });
  test('a drained tin pours off no pot', () => {
    const lines = factors(
      'Stew\nServes 4\n\n1 can chickpeas, no salt added, drained\n500 ml water\n\nDrain the chickpeas. Simmer with the water.',
    );
    expect(lines[1]?.low).toBeGreaterThan(0.5);
  });
  test('mushrooms in a pan lose much, in a salad nothing', () => {
    const fried = factors('Pan\nServes 2\n\n300 g mushrooms\n\nFry the mushrooms in a dry pan.');
    const raw = factors('Salad\nServes 2\n\n300 g mushrooms\n\nSlice the mushrooms and dress them.');
    expect(fried[0]?.high).toBeLessThan(0.9);
    expect(raw[0]).toEqual({ low: 1, best: 1, high: 1 });
  });
  test('"reduced by half" is half', () => {
    const [stock] = factors(
      'Glaze\nServes 4\n\n500 ml no-salt vegetable stock\n\nSimmer the stock until reduced by half.',
    );
    expect(stock).toEqual({ low: 0.4, best: 0.5, high: 0.65 });
  });
  test('a loaf bakes off a tenth to a fifth', () => {
    const [flour, oats] = factors(
      'Loaf\nServes 8\n\n300 g wholemeal flour\n50 g oats\n200 ml water\n\nMix and bake for 40 minutes.',
    );
    expect(flour?.low).toBe(0.8);
    expect(oats?.high).toBeLessThanOrEqual(1);
  });
  test('without a method both raw and cooked stay open', () => {
    const [carrot] = factors('Carrots\nServes 2\n\n500 g carrots');
    expect(carrot?.low).toBeLessThan(0.8);
    expect(carrot?.high).toBe(1);
  });
  test('boiled and drained, part of the potassium leaves', () => {
    const recipe = (last: string) => `Potatoes\nServes 1\n\n500 g potatoes\n\n${last}`;
    const kept = auditText(recipe('Steam the potatoes.'), strict);
    const left = auditText(recipe('Boil the potatoes, then drain.'), strict);
    if (!kept.ok || !left.ok) throw new Error('not read');
    expect(left.audit.recipes[0]?.total.potassiumMg?.low).toBeLessThan(
      kept.audit.recipes[0]?.total.potassiumMg?.low ?? 0,
    );
    expect(left.audit.recipes[0]?.total.potassiumMg?.high).toBe(
      kept.audit.recipes[0]?.total.potassiumMg?.high,
    );
  });
  test('salt for the water is mostly poured away, and never none of it', () => {
    const sodium = (line: string) => {
      const r = auditText(`Pasta\nServes 4\n\n400 g spaghetti\n${line}\n\nBoil and drain.`, strict);
      if (!r.ok) throw new Error('not read');
      return r.audit.recipes[0]?.total.sodiumMg;
    };
    const water = sodium('20 g salt, for the pasta water');
    const dish = sodium('20 g salt');
    expect(water?.low).toBeGreaterThan(100);
    expect(water?.high).toBeLessThan((dish?.low ?? 0) * 0.45);
  });
});

describe('the scale overrules', () => {
  const text = 'Soup\nServes 4\n\n300 g red lentils\n1 litre water\n\nSimmer until soft.';
  const audited = (more: { potG?: number; plateG?: number; servings?: number }) => {
    const r = auditText(text, strict, more);
    if (!r.ok) throw new Error('not read');
    return r.audit.recipes[0];
  };
  test('a weighed pot settles weight and density', () => {
    const r = audited({ potG: 1200 });
    expect(r?.total.weightG).toEqual({ low: 1200, best: 1200, high: 1200 });
    expect(r?.total.energyDensityKcalPer100G?.best).toBeCloseTo((r?.total.energyKcal?.best ?? 0) / 12, 6);
  });
  test('a weighed plate says how many there are', () => {
    expect(audited({ potG: 1200, plateG: 400 })?.servings).toEqual({ low: 3, best: 3, high: 3 });
    const estimated = audited({ plateG: 400 });
    expect(estimated?.servings.low).toBeLessThan(estimated?.servings.high ?? 0);
    expect(audited({ potG: 1200, plateG: 400, servings: 5 })?.servings.best).toBe(5);
  });
});
