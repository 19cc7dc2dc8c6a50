import { spoonable, kitchenAmount, kitchenVolume } from '@/core/format/amount';
import { foodById, type Food } from '@/core/food/table';
import { renamed, replaceSpan, without, withSentence } from './method-words';

const names = (...words: string[]) => ({ words, notAfter: [] });

describe('a step in which a food goes by another’s words', () => {
  test.each<[string, string, string, string]>([
    [
      'Heat 2 tbsp of the olive oil in a pan.',
      'oil',
      'a little of the stock',
      'Heat a little of the stock in a pan.',
    ],
    ['Melt the butter in a pan.', 'butter', 'a spoonful of water', 'Heat a spoonful of water in a pan.'],
    ['Serve with warm naan.', 'naan', 'the wholemeal pitta', 'Serve with warm wholemeal pitta.'],
    ['Blend the soaked cashews.', 'cashews', 'the white beans', 'Blend the white beans.'],
    ['Simmer. Salt to taste.', 'salt', 'the lemon juice', 'Simmer. Add the lemon juice to taste.'],
    [
      'Top with a spoonful more peanut butter.',
      'peanut butter',
      'the mashed banana',
      'Top with the mashed banana.',
    ],
    ['Use the sesame oil.', 'oil', 'the stock', 'Use the sesame the stock.'],
  ])('%s', (step, word, put, expected) => {
    if (word === 'oil' && step.includes('sesame')) {
      // a name of another line's food is not taken
      expect(renamed(step, { words: ['oil'], notAfter: ['sesame'] }, put)).toBe(step);
      return;
    }
    const words = step.includes('olive oil') ? names('olive oil', 'oil') : names(word);
    expect(renamed(step, words, put)).toBe(expected);
  });
  test('“butter the tin” and “spread over” are done, not foods', () => {
    expect(renamed('Spread over the base.', names('spread'), 'the stock')).toBe('Spread over the base.');
    expect(renamed('Butter the tin.', names('butter'), 'the stock')).toBe('Butter the tin.');
  });
  test('a sentence begins with a capital', () => {
    expect(replaceSpan('Oil goes in.', 0, 3, 'the stock')).toBe('The stock goes in.');
  });
});

describe('a step without a food', () => {
  test.each<[string, string, string]>([
    ['Heat the oil and fry the onion.', 'oil', 'Fry the onion.'],
    ['Heat the oil in a wok.', 'oil', 'Heat a wok.'],
    ['Whisk the flour, baking powder, salt and stock.', 'salt', 'Whisk the flour, baking powder and stock.'],
    [
      'Stir through the lemon, spinach and cheese until wilted.',
      'cheese',
      'Stir through the lemon and spinach until wilted.',
    ],
    ['Serve with extra cheese and a drizzle of oil.', 'cheese', 'Serve with a drizzle of oil.'],
    ['Add the peas and salt. Serve.', 'salt', 'Add the peas. Serve.'],
    ['Simmer ten minutes. Salt. Serve.', 'salt', 'Simmer ten minutes. Serve.'],
    ['Garnish with dill and serve with warm naan.', 'naan', 'Garnish with dill and serve.'],
  ])('%s', (step, word, expected) => expect(without(step, names(word))).toBe(expected));
  test('each mention goes by what stands around it', () => {
    expect(without('Stir in the salt and lemon. Serve with more salt and a spoon.', names('salt'))).toBe(
      'Stir in lemon. Serve with a spoon.',
    );
  });
});

describe('a sentence more', () => {
  test('stands behind what changed, and only once', () => {
    const was = 'Whisk in the oil. Bake 20 minutes.';
    const now = 'Whisk in the yoghurt. Bake 20 minutes.';
    const more = withSentence(now, was, 'Test it early.');
    expect(more).toBe('Whisk in the yoghurt. Test it early. Bake 20 minutes.');
    expect(withSentence(more, was, 'Test it early.')).toBe(more);
  });
});

describe('amounts that a kitchen can measure', () => {
  // a set of spoons and cups: 1, ½, ¼, ⅛ tsp; 1, ½ tbsp; 1, ½, ⅓, ¼ cup (common practice)
  test.each<[number, 'cup' | 'tbsp' | 'tsp' | 'oz', number]>([
    [0.38, 'tsp', 0.5],
    [0.36, 'tbsp', 0.5],
    [0.29, 'cup', 0.25],
    [0.31, 'cup', 1 / 3],
    [2.2, 'cup', 2],
    [0.01, 'tsp', 1 / 8],
    [12.4, 'tbsp', 12],
  ])('%d %s', (n, measure, expected) => expect(spoonable(n, measure)).toBeCloseTo(expected, 9));
  test('a little liquid goes by the spoon in a metric recipe too', () => {
    const stock = foodById('stock-nsa') as Food;
    expect(kitchenAmount(30, stock, 'metric', true)).toBe('2 tbsp');
    expect(kitchenAmount(250, stock, 'metric', true)).toBe('250 ml');
    expect(kitchenVolume(236.6)).toBe('1 cup');
  });
});
