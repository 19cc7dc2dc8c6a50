import { findFood, foodOfName, SURE } from './find';
import { foodRows } from './list';
import { FOODS } from './table';
import { tokens } from './tokens';

const best = (words: string, notes = '') => findFood(words, notes)[0];

describe('finding a food by its words', () => {
  test('every name of every food finds it, or a food that claims the name first', () => {
    const lost = FOODS.flatMap((f) =>
      [f.name, ...f.names].flatMap((name) => {
        const hit = best(name);
        if (!hit || hit.confidence < SURE)
          return [`${f.id}: “${name}” finds ${hit ? `${hit.food.id} ${hit.confidence}` : 'nothing'}`];
        return [];
      }),
    );
    expect(lost).toEqual([]);
  });
  test('words may come in any order, in the plural, with adjectives', () => {
    for (const words of ['large ripe tomatoes', 'Tomato', 'tomatoes, ripe', 'vine-ripened organic tomatoes'])
      expect(best(words)?.food.id).toBe('tomato');
  });
  test('US and UK words', () => {
    for (const [us, uk] of [
      ['eggplant', 'aubergine'],
      ['zucchini', 'courgette'],
      ['cilantro', 'coriander leaves'],
      ['scallions', 'spring onions'],
      ['rutabaga', 'swede'],
      ['arugula', 'rocket'],
      ['garbanzo beans', 'chickpeas'],
      ['cornstarch', 'cornflour'],
      ['confectioners sugar', 'icing sugar'],
      ['baking soda', 'bicarbonate of soda'],
    ])
      expect(best(us as string)?.food.id).toBe(best(uk as string)?.food.id);
  });
  test('a slip of the pen costs confidence, not the food', () => {
    const hit = best('brocolli');
    expect(hit?.food.id).toBe('broccoli');
    expect(hit?.confidence).toBeLessThan(1);
  });
  test('states decide where they make another food', () => {
    expect(best('dried chickpeas')?.food.id).toBe('chickpeas-dry');
    expect(best('cooked chickpeas')?.food.id).toBe('chickpeas-cooked');
    expect(best('canned chickpeas')?.food.id).toBe('chickpeas-canned');
    expect(best('canned chickpeas', 'no salt added')?.food.id).toBe('chickpeas-canned-nsa');
    expect(best('cooked brown rice')?.food.id).toBe('rice-brown-cooked');
  });
  test('a vegan butter is no butter', () => {
    expect(best('vegan butter')?.food.kindClass).toBe('oil');
    expect(best('vegan prawns')?.food.kindClass).not.toBe('animal');
  });
  test('what is not known is not sure', () => {
    for (const words of ['unicorn horn', 'tomato jam', 'carrot liqueur', 'gronk'])
      expect(best(words)?.confidence ?? 0).toBeLessThan(SURE);
  });
  test('an exact name in any order', () => {
    expect(foodOfName(tokens('milk coconut'))?.id).toBe('coconut-milk-can');
  });
  test('rows for looking up carry figures and source', () => {
    expect(foodRows('walnut')[0]).toMatchObject({ id: 'walnut', confidence: 1 });
  });
});
