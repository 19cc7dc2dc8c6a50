import { highOf, isOpen, soupWith } from './told-soup';

/** Foods that are known, as they stand on a row or in a sentence. */
const KNOWN = [
  '2 tbsp tahini',
  '1 tin chickpeas',
  '3 leeks, sliced',
  'tahini, 2 tbsp',
  'a handful of parsley',
  'salt',
];
const JOINTS = [
  ' + ',
  ' plus ',
  ' and ',
  ', ',
  ' & ',
  '; ',
  ', and ',
  ', plus ',
  ' with ',
  ' (',
  ' – ',
  ' / ',
];
/** So much of a thing that nobody knows; the word is invented. */
const UNKNOWN = [
  '2 flurgles',
  '1 tbsp flurgle',
  'a jar of flurgle',
  '30 g flurgle',
  'some flurgle',
  'flurgle 2 tbsp',
  'a spoonful of flurgle',
  '1 of flurgle',
  'a little flurgle',
  'half a flurgle',
  '1 flurgle cube',
  '2 tbsp of my flurgle',
  'two flurgles',
  'a good glug of flurgle',
];

test.each(UNKNOWN)('%s beside a food that is known is said not to be understood', (unknown) => {
  const lost: string[] = [];
  for (const known of KNOWN)
    for (const joint of JOINTS) {
      const said = `${known}${joint}${unknown}${joint === ' (' ? ')' : ''}`;
      if (!isOpen(soupWith(said))) lost.push(said);
      if (!isOpen(soupWith('', `Stir in ${said}.`))) lost.push(`Stir in ${said}.`);
    }
  expect(lost).toEqual([]);
});

test.each([
  'Stir in 2 tbsp tahini, 3 shakes of the jar.',
  'Add 300 g peas, 2 good stirs.',
  'Add 2 leeks, 3 if small.',
  'Tip in 1 kg potatoes, 5 or so.',
  'Add 200 g brown rice, 10 minutes, lid on.',
  'Serve with 200 g brown rice and a smile.',
  'Toss with 2 tbsp tahini, 2 forks.',
  'Two of these make a dinner. It keeps 3 days, a week in the freezer.',
  'Add 300 g peas (2 mugfuls), 2 at a time.',
  'It’s a doddle, with 200 g brown rice. A winner, and cheap.',
  'Plate up with 4 lemon wedges and a fork.',
])('what is no food is none: %s', (told) => {
  expect(isOpen(soupWith('', told))).toBe(false);
});

test('what is known beside it is read all the same', () => {
  expect(highOf(soupWith('2 tbsp tahini + 1 flurgle'), 'tahini')).toBeGreaterThan(28);
});
