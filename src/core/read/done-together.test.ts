import { isOpen, soupWith } from './told-soup';

/** Several foods of one row, each with its amount, and what must be counted of them: least and most grams. */
const FOODS: readonly (readonly [string, string, string, number, number])[] = [
  ['1 lemon', '2 tbsp tahini', 'tahini', 28, 32],
  ['3 tbsp water', '2 tbsp almond butter', 'almond-butter', 28, 34],
  ['2 tbsp vinegar', '1 tbsp sugar', 'sugar', 12, 13.5],
  ['1 tbsp lime juice', '1 tsp salt', 'salt', 5.7, 6.3],
  ['100 g silken tofu', '1 tbsp olive oil', 'olive-oil', 13, 14],
];
const JOINTS = [' + ', ' and ', ' plus ', ', ', ' & '];
const DEEDS =
  'shaken whisked stirred mixed blended blitzed whizzed beaten combined warmed pounded thinned tossed'.split(
    ' ',
  );
const TAILS = [
  '',
  ' together',
  ' up',
  ' in a jar',
  ' in the blender',
  ' till smooth',
  ' until it thickens',
  ' well',
  ' smooth',
  ' with a fork',
  ' for 2 minutes',
  ' in my jar.',
  ', then left',
  ' overnight',
];

test.each(DEEDS)('what is %s on its row is counted all the same', (deed) => {
  const lost: string[] = [];
  const open: string[] = [];
  for (const [one, other, id, least, most] of FOODS)
    for (const joint of JOINTS)
      for (const [first, second] of [
        [one, other],
        [other, one],
      ] as const)
        for (const tail of TAILS) {
          const row = `${first}${joint}${second} ${deed}${tail}`;
          const recipe = soupWith(row);
          if (isOpen(recipe)) {
            open.push(row);
            continue;
          }
          const grams = recipe.lines.flatMap((l) => l.foods).filter(({ food }) => food?.id === id);
          const sum = (end: 'low' | 'high') => grams.reduce((s, g) => s + (g.grams?.[end] ?? NaN), 0);
          if (!(sum('low') >= least - 0.6 && sum('high') <= most + 0.6))
            lost.push(`${row}: ${sum('low')}-${sum('high')}`);
        }
  expect(lost).toEqual([]);
  expect(open).toEqual([]);
});
