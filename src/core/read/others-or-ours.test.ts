import { highOf, isOpen, soupWith } from './told-soup';

const high = (told: string): number => {
  const recipe = soupWith('', told);
  return isOpen(recipe) ? Infinity : highOf(recipe, 'tahini');
};

/** Sentences in which somebody else, another time or another food is named, and two tablespoons go in here. */
const OURS = [
  'My aunt showed me: 2 tbsp tahini goes in.',
  'As in the book, stir in 2 tbsp tahini.',
  'As my gran did, I stir in 2 tbsp tahini.',
  'Like my gran I stir in 2 tbsp tahini.',
  'The recipe is my aunt’s. Stir in 2 tbsp tahini.',
  'The book says to stir in 2 tbsp tahini and so do I.',
  'The book is right: 2 tbsp tahini.',
  'She taught me to stir in 2 tbsp tahini.',
  'I was taught to stir in 2 tbsp tahini.',
  'I never used to, but now I stir in 2 tbsp tahini.',
  'It used to be butter. Now 2 tbsp tahini goes in.',
  'It was butter once; these days it is 2 tbsp tahini.',
  'Instead of butter I stir in 2 tbsp tahini.',
  'Where others put butter, I put 2 tbsp tahini.',
  'Most people use butter, we use 2 tbsp tahini.',
  'Not butter but 2 tbsp tahini goes in.',
  'No butter: 2 tbsp tahini goes in.',
  'Nobody minds that it is 2 tbsp tahini and not butter.',
  'Forget the butter and stir in 2 tbsp tahini.',
  'Skip the butter, stir in 2 tbsp tahini.',
  'Leave the butter out and stir in 2 tbsp tahini.',
  'Swap the butter for 2 tbsp tahini.',
  'Last time I forgot the lemon. Stir in 2 tbsp tahini.',
  'When I was small it was butter, now I stir in 2 tbsp tahini.',
  'The kids don’t know there’s 2 tbsp tahini in it.',
  'You won’t taste it but 2 tbsp tahini goes in.',
  'It isn’t right without the 2 tbsp tahini.',
  'It’s nothing without its 2 tbsp tahini.',
  'Never serve it before 2 tbsp tahini has gone in.',
  'Don’t boil it once the 2 tbsp tahini is in.',
  'Do not forget to stir in 2 tbsp tahini.',
  'Without stirring, add 2 tbsp tahini.',
  'I can’t eat it without stirring in 2 tbsp tahini.',
  'There is no recipe, just 2 tbsp tahini at the end.',
  'I didn’t have lemon so it was 2 tbsp tahini.',
  'If there’s no lemon, 2 tbsp tahini goes in all the same.',
  'I got this from my aunt, and I add 2 tbsp tahini.',
  'Don’t be tempted by butter, stir in 2 tbsp tahini.',
  'You can’t make it without 2 tbsp tahini.',
  'We had no lemon, so 2 tbsp tahini went in.',
];

test.each(OURS)('what goes in here is counted: %s', (told) => {
  expect(high(told)).toBeGreaterThan(25);
});

/** What is told before a deed of one's own, with a refusal, a time, a book or somebody else in it. */
const TOLD_BEFORE = [
  'I got this from my aunt',
  'We had no lemon',
  'Don’t be tempted by butter',
  'It was butter once',
  'My gran never did this',
  'There’s no cream in it',
  'I don’t like it plain',
  'It used to be dull',
  'You won’t find this in books',
  'Nobody here eats butter',
  'It isn’t rich',
  'I never measure',
  'This isn’t the classic',
  'She always said it was too thin',
  'We can’t have dairy',
  'Although the original had cream',
  'Last time it was bland',
  'The shop ones are greasy',
  'Never mind the recipe',
  'Mum would have used cream',
  'I’ve stopped using butter',
  'The original calls for butter',
];
const BEGINS_ANEW = [
  ', so I add X.',
  ', and I stir in X.',
  ' so X goes in.',
  ' so X went in.',
  '; stir in X.',
  ' - add X.',
  '. Add X.',
  ', but X makes it rich.',
  ', so in goes X.',
  ', hence X.',
  ', I put in X.',
  ' so there’s X in it.',
  ', which is why X goes in.',
  ' but I add X.',
  ', we have X.',
  ' (I add X).',
  ', just X.',
];

test.each(TOLD_BEFORE)('what is told before turns nothing that begins anew: %s', (told) => {
  const lost = BEGINS_ANEW.filter((x) => !(high(told + x.replace('X', '2 tbsp tahini')) > 25));
  expect(lost).toEqual([]);
});

test.each([
  'It was 2 tbsp tahini once, now I use lemon.',
  'Most people add 2 tbsp tahini, I don’t.',
  'My gran would stir in 2 tbsp tahini, I use lemon.',
  'It used to be 2 tbsp tahini, so I was told.',
  'Mum stirred in 2 tbsp tahini, so I hear.',
  'My gran fries it and stirs in 2 tbsp tahini.',
  'I never add 2 tbsp tahini.',
  'I used to stir in 2 tbsp tahini, but no more.',
  'We don’t bother with 2 tbsp tahini, but you can.',
  'The original has 2 tbsp tahini, I have none.',
])('another’s or refused, though a deed follows: %s', (told) => {
  expect(
    soupWith('', told).lines.some((l) => !l.optional && l.foods.some((f) => f.food?.id === 'tahini')),
  ).toBe(false);
});
