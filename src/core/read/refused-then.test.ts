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
