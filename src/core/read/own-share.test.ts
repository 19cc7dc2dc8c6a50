import { highOf, isOpen, soupWith } from './told-soup';

/** What others do, in the words of the cook who tells it; the food at its end, or in it. */
const THEIRS = [
  'Some people put FOOD on here',
  'The original had 6 tbsp FOOD in it',
  'My gran puts FOOD in',
  'Most recipes call for half a cup of FOOD',
  'Traditionally there’s FOOD in it',
  'Restaurants finish it with FOOD',
  'The book has 6 tbsp FOOD',
  'In the magazine version there was FOOD',
  'It used to be 6 tbsp FOOD',
  'People always add FOOD',
  'Normally you’d use 6 tbsp FOOD',
  'The classic is made with FOOD',
  'You’ll see recipes with 6 tbsp FOOD in',
  'I used to put 6 tbsp FOOD in',
];
const JOINTS = ['. ', '; ', ', ', ' but ', ' – '];
/** What the cook does, without the food's name. */
const OURS = [
  'I do AMOUNT',
  'I’ll do AMOUNT',
  'I’ve cut it to AMOUNT',
  'I’m down to AMOUNT',
  'mine gets AMOUNT',
  'ours is AMOUNT',
  'AMOUNT is plenty',
  'AMOUNT does it',
  'you only need AMOUNT',
  'I get away with AMOUNT',
  'here it’s AMOUNT',
  'I sometimes do AMOUNT',
  'I make do with AMOUNT',
  'AMOUNT, no more',
  'only AMOUNT for me',
  'I stop at AMOUNT',
  'if Bea isn’t here I’ll do AMOUNT',
];
/** Grams that an amount holds at least: 15 g tahini a spoon (FoodData Central); nuts by the hand are common practice. */
const FOODS = [
  ['tahini', '2 tbsp', 28, 'tahini'],
  ['olive oil', 'a tablespoon', 13, 'olive-oil'],
  ['walnuts', 'a small handful', 8, 'walnut'],
] as const;

const high = (told: string, id: string): number => {
  const recipe = soupWith('', told);
  return isOpen(recipe) ? Infinity : highOf(recipe, id);
};
const capital = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

test.each(THEIRS)('an amount of one’s own behind what others do is counted: %s', (theirs) => {
  const lost: string[] = [];
  for (const joint of JOINTS)
    for (const ours of OURS)
      for (const [food, amount, grams, id] of FOODS) {
        const own = ours.replace('AMOUNT', amount);
        const told = `${theirs.replace('FOOD', food)}${joint}${joint === '. ' ? capital(own) : own}.`;
        if (high(told, id) < grams) lost.push(told);
      }
  expect(lost).toEqual([]);
});

test.each([
  ['The original had 6 tbsp tahini. I do a quarter of that.', 20],
  ['Most recipes have 4 tbsp tahini in. I put in less.', 28],
  ['Some people stir in tahini, and so do I.', 15],
  ['Traditionally there’s 2 tbsp tahini in it. I still do.', 28],
])('a share that nobody measured is some of theirs: %s', (told, grams) => {
  expect(high(told, 'tahini')).toBeGreaterThanOrEqual(grams);
});

test.each([
  'The original had 6 tbsp tahini. That saves 60 g of fat.',
  'The original had 6 tbsp tahini in it, I use none.',
  'The original had 6 tbsp tahini in it. I use 100 ml water instead.',
  'Some people put tahini in. It takes them 20 minutes; mine takes 15.',
  'Some people put tahini in. Mine is ready in a quarter of an hour.',
  'My aunt used to swirl in tahini. I do it in a dry pan for 2 minutes.',
  'It used to be tahini. I use half a tin of beans now.',
  'The restaurant version has tahini; I use 2 tbsp of stock.',
  'Most recipes have tahini in. I make 2 jars of it without.',
])('what is of another thing brings none: %s', (told) => {
  expect(highOf(soupWith('', told), 'tahini')).toBe(0);
});
