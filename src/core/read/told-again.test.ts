import { foodById } from '@/core/food/table';
import { isOpen, soupWith } from './told-soup';
import type { ReadRecipe } from './types';

/** Grams of one food in a reading, as its range. */
const held = (recipe: ReadRecipe, id: string): [number, number] =>
  recipe.lines
    .flatMap((l) => [...l.foods, ...l.alternatives])
    .filter((f) => f.food?.id === id)
    .reduce<[number, number]>(
      ([low, high], f) => [low + (f.grams?.low ?? 0), high + (f.grams?.high ?? 0)],
      [0, 0],
    );

const SAID_ELSEWHERE = [
  'NAME: the book says THEIRS, I use OURS',
  'NAME - my gran puts THEIRS, I put OURS',
  'NAME: recipe says THEIRS, we do OURS',
  'NAME, originally THEIRS, I use OURS',
  'THEIRS NAME in the book, I use OURS',
  'THEIRS NAME, but I only use OURS',
  'NAME: THEIRS in the original, OURS here',
  'NAME - they say THEIRS. OURS does it',
  'THEIRS NAME? No, OURS.',
  'THEIRS NAME? OURS is enough',
  'NAME: it says THEIRS but OURS is plenty',
  'NAME: she does THEIRS, we do OURS',
  'THEIRS NAME in hers, OURS in mine',
  'NAME, THEIRS in the book, OURS in mine',
];
const AMOUNTS = [
  ['3 tbsp', '1 tbsp', '1 tbsp'],
  ['3 tbsp', '1', '1 tbsp'],
  ['½ cup', '2 tbsp', '2 tbsp'],
  ['100 g', '30 g', '30 g'],
  ['four tbsp', 'two', '2 tbsp'],
] as const;
const FOODS = [
  ['olive oil', 'olive-oil'],
  ['tahini', 'tahini'],
  ['walnuts', 'walnut'],
  ['white miso', 'miso-white'],
  ['sugar', 'sugar'],
] as const;

describe.each(FOODS)('%s', (name, id) => {
  test('is counted as it is put in here, whatever the book says', () => {
    expect(foodById(id)).toBeDefined();
    const wrong = SAID_ELSEWHERE.flatMap((form) =>
      AMOUNTS.map(([theirs, ours, amount]) => {
        const said = form.replace('NAME', name).replace('THEIRS', theirs).replace('OURS', ours);
        const [, high] = held(soupWith(`${amount} ${name}`, ''), id);
        const reading = soupWith(said, '');
        const [low, most] = held(reading, id);
        return isOpen(reading) || (most >= high * 0.99 && low <= high * 1.01) ? null : said;
      }),
    );
    expect(wrong.filter(Boolean)).toEqual([]);
  });
});

const PACKS = [
  ['a bag of frozen peas', '900 g', 'peas-frozen'],
  ['a jar of tahini', '300 g', 'tahini'],
  ['1 block tofu', '280 g', 'tofu-firm'],
  ['a whole bag of walnuts', '200 g', 'walnut'],
] as const;
const SIZES = [
  'FOOD, the SIZE one',
  'FOOD (the SIZE size)',
  'FOOD - the big SIZE kind',
  'FOOD, SIZE in all',
  'FOOD (SIZE altogether)',
];

test.each(PACKS)('%s is as large as is told behind it, on a row and in a sentence', (food, size, id) => {
  const grams = Number.parseInt(size, 10);
  const wrong = SIZES.flatMap((form) => {
    const said = form.replace('FOOD', food).replace('SIZE', size);
    return [soupWith(said, ''), soupWith('1 onion', `Tip in ${said}.`)].map((reading) =>
      isOpen(reading) || held(reading, id)[1] >= grams * 0.99 ? null : said,
    );
  });
  expect(wrong.filter(Boolean)).toEqual([]);
});

const KINDS = [
  ['a tin of coconut milk', 'light', 'coconut-milk-light'],
  ['3 slices of bread', 'rye', 'rye-bread'],
  ['2 tbsp soy sauce', 'reduced salt', 'soy-sauce-reduced'],
  ['a litre of stock', 'low salt', 'stock-low'],
  ['1 block of tofu', 'silken', 'tofu-silken'],
] as const;
const WHICH = [
  'FOOD, the KIND one',
  'FOOD (the KIND kind)',
  'FOOD - the KIND sort',
  'FOOD, KIND, half of it',
];

test.each(KINDS)('which kind of %s is told behind it, on a row and in a sentence', (food, kind, id) => {
  expect(foodById(id)).toBeDefined();
  const wrong = WHICH.flatMap((form) => {
    const said = form.replace('FOOD', food).replace('KIND', kind);
    return [soupWith(said, ''), soupWith('1 onion', `Add ${said}.`)].map((reading) =>
      held(reading, id)[1] > 0 ? null : said,
    );
  });
  expect(wrong.filter(Boolean)).toEqual([]);
});
