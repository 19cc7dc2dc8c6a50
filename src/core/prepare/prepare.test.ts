import { foodById, type Food } from '@/core/food/table';
import { claimEffect, packageShare, preparationEffect } from './rules';

const chickpeas = foodById('chickpeas-canned') as Food;

describe('what draining and rinsing do', () => {
  // Duyff, Mount & Jones 2011, J. Culinary Sci. Technol. 9
  test('rinsing takes 5 points more than draining: 59 of 64', () => {
    expect(preparationEffect(chickpeas, 'chickpeas, drained and rinsed', true)?.sodium[1]).toBeCloseTo(
      59 / 64,
      3,
    );
  });
  test('a can with its liquid holds what draining would take: 1 of 0.64', () => {
    expect(preparationEffect(chickpeas, 'chickpeas and their liquid', true)?.sodium[1]).toBeCloseTo(
      1 / 0.64,
      4,
    );
  });
  test('"undrained" is not drained', () => {
    expect(preparationEffect(chickpeas, 'chickpeas, undrained', true)?.sodium[1]).toBeCloseTo(1 / 0.64, 4);
    expect(preparationEffect(chickpeas, 'chickpeas, not drained', true)?.sodium[1]).toBeCloseTo(1 / 0.64, 4);
  });
  test('where nothing is said both ends stay open', () => {
    const effect = preparationEffect(chickpeas, 'chickpeas', true);
    expect(effect?.sodium[0]).toBeLessThan(1);
    expect(effect?.sodium[2]).toBeGreaterThan(1.5);
  });
  test('every effect names its source', () => {
    expect(preparationEffect(chickpeas, 'rinsed', true)?.source).toContain('Duyff');
  });
  test('three fifths of a can are beans (common practice)', () => {
    expect(packageShare(chickpeas)?.factor[1]).toBe(0.6);
    expect(packageShare(foodById('coconut-milk-can') as Food)).toBeNull();
  });
});

// 21 CFR 101.61(b)(4): "low sodium" is 140 mg or less in a reference amount (beans and vegetables in tins 130 g, 21 CFR
// 101.12); (b)(6): "reduced sodium" is at least 25 per cent less than the food it is compared with
describe('claims of less salt', () => {
  const of = (id: string, said: string) => claimEffect(foodById(id) as Food, foodById(id)?.name ?? '', said);
  test('“reduced sodium” leaves three quarters of the salted food’s at most, and is not called unsalted', () => {
    const salted = foodById('kidney-beans-canned')?.sodiumMg ?? NaN;
    const effect = of('kidney-beans-canned', 'reduced-sodium kidney beans');
    expect(effect?.sodium[2]).toBe(0.75);
    expect(salted * (effect?.sodium[1] ?? NaN)).toBeGreaterThan(100);
  });
  test.each(['kidney-beans-canned', 'black-beans-canned', 'tomato-canned'])(
    '“low sodium” %s: 140 mg in 125 g at most',
    (id) => {
      const food = foodById(id) as Food;
      const most = (of(id, 'low sodium, drained')?.sodium[2] ?? NaN) * (food.sodiumMg ?? NaN);
      expect(most * 1.25).toBeLessThanOrEqual(140.01);
    },
  );
  test('“low sodium” of a sauce is read as one with less: the law’s word is seldom met by the spoon', () => {
    expect(of('soy-sauce', 'low sodium soy')?.sodium[2]).toBe(0.75);
  });
  test('a food of its own that has the claim in its name is not lessened again', () => {
    expect(
      claimEffect(
        foodById('soy-sauce-reduced') as Food,
        'reduced sodium soy sauce',
        'reduced sodium soy sauce',
      ),
    ).toBeNull();
  });
});
