import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { newLines } from './lines';
import { renamed, without } from './method-words';
import { SWAPS } from './roles';

const names = (word: string) => ({ words: [word], notAfter: [] });

/** Expected sentences are plain English usage of recipes (common practice). */
describe('a sentence lets a food go by its shape', () => {
  test.each<[string, string, string]>([
    // out of a row
    ['Combine oats, seeds, dates, and salt in a bowl.', 'salt', 'Combine oats, seeds and dates in a bowl.'],
    ['Combine oats, seeds, dates, and salt in a bowl.', 'dates', 'Combine oats, seeds, and salt in a bowl.'],
    ['Fold in the olives, capers and basil.', 'olives', 'Fold in capers and basil.'],
    [
      'Add the tamari and maple syrup and cook 2 minutes.',
      'maple syrup',
      'Add the tamari and cook 2 minutes.',
    ],
    ['Serve with rice, yoghurt and a bit of pickle.', 'pickle', 'Serve with rice and yoghurt.'],
    ['Top with berries, 1 tbsp maple syrup each, and mint.', 'maple syrup', 'Top with berries, and mint.'],
    ['Serve with rice and 2 tbsp yoghurt per person.', 'yoghurt', 'Serve with rice.'],
    ['Tahini, lemon, garlic: whisk.', 'tahini', 'Lemon, garlic: whisk.'],
    [
      'Finish with a squeeze of lime and the peanuts on top.',
      'peanuts',
      'Finish with a squeeze of lime on top.',
    ],
    // with its preposition
    [
      'Fry the onion in the oil with a pinch of salt until golden.',
      'salt',
      'Fry the onion in the oil until golden.',
    ],
    ['Fry the onion in the oil until golden.', 'oil', 'Fry the onion until golden.'],
    ['Onions in the oil for 10 min.', 'oil', 'Onions for 10 min.'],
    ['Serve with the rice, topped with the cashews.', 'cashews', 'Serve with the rice.'],
    ['Serve topped with avocado and coriander.', 'avocado', 'Serve topped with coriander.'],
    ['Serve in bowls with crusty bread for mopping.', 'crusty bread', 'Serve in bowls.'],
    [
      'Cook the garlic gently in the remaining oil for a minute.',
      'oil',
      'Cook the garlic gently for a minute.',
    ],
    // with the deed that is nothing without it
    ['Scatter the walnuts and serve.', 'walnuts', 'Serve.'],
    ['Brush the tops with the oil and sprinkle over the seeds.', 'oil', 'Sprinkle over the seeds.'],
    ['Brush the tops with the oil and sprinkle over the seeds.', 'seeds', 'Brush the tops with the oil.'],
    ['Drizzle with the oil, then roast for 40 minutes.', 'oil', 'Roast for 40 minutes.'],
    [
      'Blend smooth. Stir through the cream, do not let it boil.',
      'cream',
      'Blend smooth. Do not let it boil.',
    ],
    ['Bake. Dust with icing sugar before serving.', 'icing sugar', 'Bake.'],
    ['Warm the oil, add the spices and let them sizzle.', 'oil', 'Add the spices and let them sizzle.'],
    ['Use the remaining oil to fry the patties.', 'oil', 'Fry the patties.'],
    ['Once the butter has melted, add the leeks.', 'butter', 'Add the leeks.'],
    ['Bake it. Toast the nuts in a dry pan for 5 minutes and set aside.', 'nuts', 'Bake it.'],
    ['Mix the flour with the salt, then rub in the margarine.', 'margarine', 'Mix the flour with the salt.'],
    ['Taste and add more salt if needed.', 'salt', 'Taste.'],
    // what is said without a deed
    ['Coconut milk in, heat through but do not boil.', 'coconut milk', 'Heat through but do not boil.'],
    ['In with the cashews, lid on.', 'cashews', 'Lid on.'],
    ['Butter in a hot pan till it foams, mushrooms in.', 'butter', 'Mushrooms in.'],
    ['Swirl of extra cream + a few seeds on each bowl.', 'cream', 'A few seeds on each bowl.'],
    ['Simmer. Rotis on the side, 2 each, no ghee.', 'rotis', 'Simmer.'],
    // what is excepted
    ['Everything else except cream in. Boil.', 'cream', 'Everything else in. Boil.'],
    ['Everything except the cashews goes in the pot.', 'cashews', 'Everything goes in the pot.'],
    ['All in the blender bar the oil. Blitz.', 'oil', 'All in the blender. Blitz.'],
  ])('%s (%s)', (step, word, expected) => expect(without(step, names(word))).toBe(expected));

  test('what nothing fits is named as missing, for a fence to see', () => {
    expect(without('Taste the lentils - mine take another half teaspoon of salt now.', names('salt'))).toBe(
      'Taste the lentils - mine take no salt now.',
    );
  });
  test('a sentence of nothing else goes as a whole, with what is told between dashes', () => {
    expect(without('Stir. Taste it - mine takes another half teaspoon of salt now.', names('salt'))).toBe(
      'Stir.',
    );
    expect(
      without('Stir. To finish, 3 walnuts — about 30 g — over everything but Mo’s.', names('walnuts')),
    ).toBe('Stir.');
    expect(without('Whizz with mint, 40 g walnuts soaked - and a ladle of water.', names('walnuts'))).toBe(
      'Whizz with mint - and a ladle of water.',
    );
  });
});

describe('another name in a sentence', () => {
  test.each<[string, string, string, string]>([
    [
      'The avocado’s for whoever wants it.',
      'avocado',
      'the mashed peas',
      'The mashed peas are for whoever wants it.',
    ],
    ['Stock in, bring up.', 'stock', 'the stock', 'Stock in, bring up.'],
    ['Rub in 100g sugar.', 'sugar', 'the date paste', 'Rub in the date paste.'],
  ])('%s', (step, word, put, expected) => expect(renamed(step, names(word), put)).toBe(expected));

  test('what is spoken of elsewhere keeps its words', () => {
    const step = 'Fry in the oil. Mum took olive oil.';
    const aside: [number, number] = [step.indexOf('olive oil'), step.length - 1];
    expect(renamed(step, names('oil'), 'the stock', [], [aside])).toBe(
      'Fry in the stock. Mum took olive oil.',
    );
  });
});

test('what is counted stands in only for what weighs about as much a piece: an avocado is no pea', () => {
  const settings = { measures: US_MEASURES, corrections: {} };
  const read = readRecipe(
    parseRecipe('Bowl\nServes 2\n\n1 avocado, sliced\n200 g rice\n\nSlice the avocado.'),
    settings,
  );
  const [line] = read.lines;
  for (const swap of SWAPS.filter((s) => s.from.kinds?.includes('avocado')))
    for (const words of (line && newLines(line, swap, settings, read)) ?? [])
      expect(words).not.toMatch(/^1 peas/);
});
