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
  'This time I’ve made it with 2 tbsp tahini.',
  'The recipe I use has 2 tbsp tahini, and so has this.',
  'I make it with 2 tbsp tahini.',
  'Put the lid back then stir in 2 tbsp tahini.',
  'Put the lid back, then stir in 2 tbsp tahini.',
  'In those days it was butter, now it is 2 tbsp tahini.',
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
  'v2 had 2 tbsp tahini, too rich.',
  'Once upon a time I put 2 tbsp tahini in.',
  'I put 2 tbsp tahini in back then.',
  'Mark 1 had 2 tbsp tahini in it.',
  'The last batch had 2 tbsp tahini.',
  'The first version used 2 tbsp tahini.',
  'I’ve done it with 2 tbsp tahini.',
  'I’ve made it with 2 tbsp tahini instead.',
  'The recipe I learnt from starts with 2 tbsp tahini.',
  'The recipe online uses 2 tbsp tahini. I don’t miss it.',
])('another’s or refused, though a deed follows: %s', (told) => {
  expect(
    soupWith('', told).lines.some((l) => !l.optional && l.foods.some((f) => f.food?.id === 'tahini')),
  ).toBe(false);
});

/** What is told behind a food that goes in: none of it takes the food back. */
const TOLD_BEHIND = [
  ', which my gran never did.',
  ', not that you’d know.',
  ', though the book says none.',
  ', no more.',
  ', don’t skip it.',
  ', never more.',
  ', not butter.',
  ', or the kids complain.',
  ', because there’s no cream.',
  ', as we have no butter.',
  ', unlike the original.',
  ' and no oil.',
  ', but no butter.',
  ', not a drop more.',
  ', nobody minds.',
  ', I wouldn’t leave it out.',
  ', it isn’t much.',
  ', you can’t taste it.',
  ', don’t be shy.',
  ', which isn’t traditional.',
  ', since we don’t do dairy.',
  ', the way mum did.',
  ', like my gran did.',
  ', as it was in the book.',
  ', just as she used to.',
  ', same as ever.',
  ' instead of butter.',
  ' where butter was.',
  ' in place of the cream it had.',
  ', though I used to use more.',
  ' (used to be double).',
  ' (it was 4 in the book).',
  ', down from 4.',
  ' (it was butter).',
  ' (never butter).',
  ' - no butter.',
  '. No butter.',
  '. None of that butter business.',
  '. Don’t ask.',
  '. Not traditional.',
  '. She’d hate that.',
  '. We never had that at home.',
  '. It was butter.',
  ', I skip the butter.',
  '. Skip the butter.',
  '; forget the oil.',
  ', which you can’t see.',
  ' that nobody notices.',
  ' and you’d never know.',
  ', and it’s not too much.',
  ', no need for more.',
  ', no need for oil.',
  '; no salt.',
  ', never mind what the book says.',
  ', my aunt says no but I do.',
  ', instead of what mum used.',
  ' because the book’s 100 g butter is too much.',
  ', he doesn’t know.',
  '. He doesn’t know.',
  '. I don’t tell them.',
  ' once it isn’t boiling.',
  ' when it’s no longer hot.',
  ' if it isn’t too thick already.',
  ' before it sets.',
  ' so it doesn’t stick.',
  ' so that it won’t split.',
  ' to stop it sticking.',
  ' to avoid lumps.',
  ' without stirring.',
  ' without boiling it.',
  ' but don’t boil it.',
  ' and don’t boil it.',
  ', not boiling.',
  ' and never boil it again.',
  ' rather than at the start.',
  ', not at the start.',
  ', not before.',
  ', never at the start.',
  ' (not the light kind).',
  ' (the runny kind, not the set one).',
  ' – the dark sort, not the pale.',
  ', which is what the original lacked.',
  ' like the old days.',
  ' as in the old days.',
  ', the same as the restaurant.',
  ' as they do in the café.',
  ' as the book says.',
  ' as the packet tells you.',
  ', says my aunt.',
  ', as my aunt says.',
  ', mum’s trick.',
  ' - mum’s trick.',
  ' (my gran’s idea).',
  ' (as in the original).',
  ', an idea from a magazine.',
  ', I’m told.',
  ', they say.',
  ', I hear.',
  ' for those who like it.',
  ' for the ones that don’t like it plain.',
  ' for everyone but Theo.',
  ', Theo has none.',
  '. Theo has none.',
  ', all but the kids.',
  ', kids or no kids.',
  ', oil or no oil.',
  ', like it or not.',
  ', believe it or not.',
  ', whether you like it or not.',
  ', why not.',
  '? Why not.',
  ', not one more.',
  ', if not more.',
  ', if not two.',
  ', not less.',
];
const DEEDS = ['Stir in X', 'I stir in X', 'X goes in', 'In goes X', 'Then X', 'There’s X in it'];

test.each(DEEDS)('what is told behind takes nothing back: %s', (deed) => {
  const lost = TOLD_BEHIND.filter((x) => !(high(deed.replace('X', '2 tbsp tahini') + x) > 25));
  expect(lost).toEqual([]);
});

const USUAL = ['2 tbsp tahini', '100 g tahini'];
test.each(USUAL)('the usual one is what goes in: %s', (food) => {
  const lost = [
    `Add ${food}, the usual one.`,
    `Stir in the usual ${food}.`,
    `The usual ${food} goes in.`,
    `In goes the usual ${food}.`,
    `${food} is the usual here.`,
    `Finish with ${food}, the usual sort.`,
    `Then the usual ${food}.`,
    `Tahini - ${food.replace(' tahini', '')}, the usual one.`,
  ].filter((said) => !(highOf(soupWith('1 tin chickpeas', said), 'tahini') >= 28));
  expect(lost).toEqual([]);
  const wrong = [
    `The usual way is with ${food}.`,
    `The usual recipe has ${food}.`,
    `We do without the usual ${food}.`,
    `The usual ${food} is too much.`,
    `Use 2 tbsp stock instead of the usual ${food}.`,
  ].filter((said) => highOf(soupWith('1 tin chickpeas', said), 'tahini') > 0);
  expect(wrong).toEqual([]);
});

/** Where somebody else's way stands before one's own: theirs is told, ours goes in. */
const THEIRS_FIRST = [
  'the restaurants',
  'my mum',
  'most people',
  'others',
  'the book',
  'a café',
  'most recipes',
];
const THEY = ['put in', 'use', 'would use', 'add', 'have'];
test.each(['Where', 'Whereas', 'While'])('%s others …, we …', (where) => {
  const wrong = THEIRS_FIRST.flatMap((who) =>
    THEY.flatMap((does) =>
      [
        `${where} ${who} ${does} 100 g butter, I put in 2 tbsp tahini.`,
        `${where} ${who} ${does} half a block of butter and a carton of cream, we use 2 tbsp tahini.`,
      ].filter((said) => {
        const recipe = soupWith('', said);
        return (
          highOf(recipe, 'tahini') < 25 || highOf(recipe, 'butter') > 0 || highOf(recipe, 'cream-dairy') > 0
        );
      }),
    ),
  );
  expect(wrong).toEqual([]);
});

/** What it was, and what it is now. */
const WAS = [
  'It used to be bread and butter',
  'Butter was how we had it',
  'Once it was cream',
  'It was butter',
  'My gran had it with lard',
  'Then it was lard',
];
const NOW = [
  ', now it’s ',
  ', now ',
  ' and now ',
  ', nowadays it’s ',
  ', nowadays ',
  ', these days ',
  '; today it’s ',
  '. Now it’s ',
  ', but now ',
];
const GOES_IN: readonly (readonly [string, string, number])[] = [
  ['2 tbsp tahini', 'tahini', 25],
  ['a spoon of tahini', 'tahini', 4],
  ['oatcakes, 2 each', 'oatcakes', 60],
  ['half an avocado', 'avocado', 50],
];
test.each(GOES_IN)('%s that it is now is counted', (food, id, least) => {
  const lost = WAS.flatMap((was) =>
    NOW.map((now) => `${was}${now}${food}.`).filter((said) => {
      const recipe = soupWith('', said);
      return !isOpen(recipe) && highOf(recipe, id) < least;
    }),
  );
  expect(lost).toEqual([]);
});
