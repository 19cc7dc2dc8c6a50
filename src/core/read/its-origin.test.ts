import { highOf, soupWith } from './told-soup';

const FOODS = [
  ['2 tbsp oil', 'vegetable-oil'],
  ['100 g cashews', 'cashew'],
  ['half a cup of tahini', 'tahini'],
] as const;
const COMES = [
  'Adapted from',
  'This came from',
  'It comes from',
  'Based on',
  'I got this from',
  'It started as',
  'Inspired by',
  'Pinched from',
];
const SOURCES = ['a magazine', 'a book', 'an old recipe', 'a blog', 'a card', 'one'];
const HAS = ['that uses', 'which wanted', 'that had', 'with', 'that finishes with', 'where it has'];
const PUTS = [
  ', and I stir in FOOD.',
  ', with FOOD added.',
  ', with FOOD instead of the butter.',
  '; FOOD goes in at the end.',
  '. I add FOOD.',
  ', but with my FOOD.',
  ', which I finish with FOOD.',
  ' with FOOD swapped in.',
  ' that I finish with FOOD.',
];

test.each(FOODS)('%s of the recipe that this one comes from is not in it', (food, id) => {
  const wrong = COMES.flatMap((comes) =>
    SOURCES.flatMap((source) =>
      HAS.map((has) => `${comes} ${source} ${has} ${food}.`).filter(
        (said) => highOf(soupWith('1 tin chickpeas', said), id) > 0,
      ),
    ),
  );
  expect(wrong).toEqual([]);
});

test.each(FOODS)('%s that goes in is counted, wherever the recipe comes from', (food, id) => {
  const lost = COMES.flatMap((comes) =>
    SOURCES.flatMap((source) =>
      PUTS.map((puts) => `${comes} ${source}${puts.replace('FOOD', food)}`).filter(
        (said) => !(highOf(soupWith('1 tin chickpeas', said), id) > 10),
      ),
    ),
  );
  expect(lost).toEqual([]);
});
