import { highOf, isOpen, soupWith } from './told-soup';

const REFUSED = [
  'no oil',
  'no sesame oil',
  'no butter or oil',
  'without oil',
  'zero oil',
  'skip the oil',
  'no salt, no oil',
  'No cream',
];
const JOINTS = [
  ', ',
  ' - ',
  ' – ',
  '; ',
  '. ',
  ' but ',
  ' (',
  ' + ',
  ', just ',
  ', only ',
  ', I use ',
  ' so ',
  ': ',
];
const FOODS: readonly (readonly [string, string, number])[] = [
  ['2 tbsp tahini', 'tahini', 28],
  ['30 g walnuts', 'walnut', 30],
  ['half a cup of cashews', 'cashew', 50],
  ['a spoon of almond butter', 'almond-butter', 4],
  ['100 g peanuts instead', 'peanut', 95],
  ['tahini 3 tbsp', 'tahini', 40],
];

test.each(REFUSED)('%s refuses nothing of what is named behind it on the row', (refused) => {
  const lost: string[] = [];
  for (const joint of JOINTS)
    for (const [food, id, least] of FOODS) {
      const row = `${refused}${joint}${food}${joint === ' (' ? ')' : ''}`;
      const recipe = soupWith(row);
      if (!isOpen(recipe) && !(highOf(recipe, id) >= least)) lost.push(row);
      for (const oil of ['vegetable-oil', 'sesame-oil', 'butter'])
        if (highOf(recipe, oil) > 0) lost.push(`${row}: ${oil}`);
    }
  expect(lost).toEqual([]);
});

const TOLD = ['no spread', 'no oil', 'without oil', 'no butter or oil'];
const THEN = [', and ', ' and ', ', plus ', ', with ', ', but ', ', '];
const COUNTED: readonly (readonly [string, string, number])[] = [
  ['half an avocado', 'avocado', 50],
  ['a spoon of tahini', 'tahini', 14],
  ['two bananas', 'banana', 150],
  ['30 g walnuts', 'walnut', 30],
  ['a handful of peanuts', 'peanut', 20],
];
test.each(TOLD)('%s in a sentence refuses nothing that is counted behind it', (refused) => {
  const lost = THEN.flatMap((then) =>
    COUNTED.flatMap(([food, id, least]) =>
      [
        `Eat it with rice, ${refused}${then}${food}.`,
        `Serve with peas, ${refused}${then}${food} on top.`,
      ].filter((said) => {
        const recipe = soupWith('1 onion', said);
        return !isOpen(recipe) && !(highOf(recipe, id) >= least);
      }),
    ),
  );
  expect(lost).toEqual([]);
});

test('and what it refuses with another stays refused', () => {
  for (const said of [
    'Add no salt, oil or sugar.',
    'Serve without the oil and the 30 g butter.',
    'No oil, no butter.',
  ])
    for (const id of ['vegetable-oil', 'salt', 'butter'])
      expect(highOf(soupWith('1 onion', said), id)).toBe(0);
});
