import { foodById, type Food } from '@/core/food/table';
import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { costOf, isPrice, pricePerGram, showMoney, type Prices } from './cost';

const settings = { measures: US_MEASURES, corrections: {} };
const read = (lines: string) =>
  readRecipe(parseRecipe(`Pot\nServes 2\n\nIngredients\n${lines}\n\nMethod\nCook it.`), settings);
const cost = (lines: string, prices: Prices) => costOf(read(lines), prices, US_MEASURES);
const food = (id: string) => foodById(id) as Food;

describe('what a dish costs', () => {
  test('grams times the price of a gram', () => {
    const { whole } = cost('200 g red lentils', { 'red-lentils': { pays: 2.5, amount: '500 g' } });
    expect(whole?.best).toBeCloseTo(1);
    expect(whole?.high).toBeCloseTo(1);
  });
  test('peel and stalk are paid for: 500 g of a food that is a tenth refuse is 450 g to eat', () => {
    const onion = food('onion');
    const one = pricePerGram({ pays: 1, amount: '500 g' }, onion, US_MEASURES);
    expect(one?.best).toBeCloseTo(1 / (500 * (1 - onion.refuse / 100)));
  });
  test('amounts as a shop sells them', () => {
    expect(isPrice({ pays: 1, amount: '1 can' }, food('chickpeas-canned'), US_MEASURES)).toBe(true);
    expect(isPrice({ pays: 1, amount: '1 bunch' }, food('parsley'), US_MEASURES)).toBe(true);
    expect(isPrice({ pays: 1, amount: '1 l' }, food('soy-milk'), US_MEASURES)).toBe(true);
    expect(isPrice({ pays: 1, amount: 'a heap' }, food('onion'), US_MEASURES)).toBe(false);
    expect(isPrice({ pays: 1, amount: '1 onion' }, food('onion'), US_MEASURES)).toBe(true);
    expect(isPrice({ pays: 1, amount: 'some' }, food('onion'), US_MEASURES)).toBe(false);
    expect(isPrice({ pays: 1, amount: '0 g' }, food('onion'), US_MEASURES)).toBe(false);
  });
  test('a food without a price is said, and not counted as nothing', () => {
    const c = cost('200 g red lentils\n1 onion', { 'red-lentils': { pays: 2.5, amount: '500 g' } });
    expect(c.whole).toBeNull();
    expect(c.known.best).toBeCloseTo(1);
    expect(c.unpriced.map((f) => f.id)).toEqual(['onion']);
    expect(c.lines[1]).toBeNull();
  });
  test('a line that is not understood leaves the whole unknown', () => {
    const c = cost('200 g red lentils\n1 glorbel', { 'red-lentils': { pays: 2.5, amount: '500 g' } });
    expect(c.whole).toBeNull();
    expect(c.unpriced).toEqual([]);
  });
  test('water costs nothing; what is optional may cost nothing', () => {
    const prices = { walnut: { pays: 10, amount: '1 kg' } };
    expect(cost('500 ml water', {}).whole?.best).toBe(0);
    const { whole } = cost('50 g walnuts, optional', prices);
    expect(whole?.low).toBe(0);
    expect(whole?.best).toBeCloseTo(0.5);
  });
  test('money in words', () => {
    expect(showMoney({ low: 1, best: 1, high: 1 }, '€')).toBe('€1.00');
    expect(showMoney({ low: 1, best: 1.2, high: 1.555 }, '€')).toBe('€1.00–1.55');
  });
});
