import { highOf, isOpen, soupWith } from './told-soup';

/** What is said behind a food that goes in: that some go without it, or that it is left out at times; nothing takes it back. */
const FOR_SOME = [
  'leave it out for Bea',
  'skip it for Bea',
  'not for Bea',
  'none for Bea',
  'Bea has hers without',
  'except in Bea’s',
  'skip if you’re watching fat',
  'omit for low fat',
  'leave off for the kids',
  'though not on plan days',
  'unless Bea’s eating',
  'no tahini for Bea',
  'I leave it out of Bea’s',
  'I don’t put it in Bea’s',
  'we leave it out on Fridays',
  'sometimes I leave it out',
  'some leave it out',
  'Bea can’t have it',
  'never for Bea',
  'don’t if Bea’s here',
  'I skip it some weeks',
  'the baby has none',
  'leave out of one portion',
  'or for the low fat lot leave it out',
];
/** What is said behind it with a word of refusal that is of something else. */
const OF_ELSE = [
  'no need to measure it',
  'don’t skip it',
  'not more',
  'not the sweetened one',
  'don’t let it boil',
  'without stirring',
  'not that you’d notice',
  'not negotiable',
  'I wouldn’t leave it out',
];
const TOLD = [
  'Stir in 2 tbsp tahini',
  'Add the tahini, 2 tbsp',
  '2 tbsp tahini goes in',
  'There’s 2 tbsp tahini in it',
];
const ROWS = ['2 tbsp tahini', 'tahini, 2 tbsp', '- 2 tbsp of tahini'];
const JOINTS = [' (', ', ', ' – ', '. ', '; ', ', but '];

const joined = (told: string, joint: string, said: string): string =>
  `${told}${joint}${joint === '. ' ? said.charAt(0).toUpperCase() + said.slice(1) : said}${joint === ' (' ? ')' : ''}`;
const holds = (row: string, told: string): boolean => {
  const recipe = soupWith(row, told);
  return isOpen(recipe) || highOf(recipe, 'tahini') >= 28;
};

test.each([...FOR_SOME, ...OF_ELSE])('what goes in for some is counted: %s', (said) => {
  const lost = JOINTS.flatMap((joint) => [
    ...TOLD.map((told) => joined(told, joint, said)).filter((told) => !holds('', `${told}.`)),
    ...ROWS.map((row) => joined(row, joint, said)).filter((row) => !holds(row, '')),
  ]);
  expect(lost).toEqual([]);
});

test.each([
  'The book adds 2 tbsp tahini, I leave it out.',
  'The book adds 2 tbsp tahini, I leave it out for health.',
  'The book adds 2 tbsp tahini, we skip it.',
  'Normally 2 tbsp tahini, but I swap that for stock.',
  'Stir in 2 tbsp tahini: skip that.',
  '2 tbsp tahini is nice, but there’s no need to add it.',
])('what is taken back for all is not counted: %s', (told) => {
  expect(highOf(soupWith('', told), 'tahini')).toBe(0);
});
