import { foodById, type Food } from '@/core/food/table';
import { packageShare, preparationEffect } from './rules';

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
