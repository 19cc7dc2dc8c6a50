import { highOf, isOpen, soupWith } from './told-soup';

const LEADS = ['Serve with', 'Top with', 'Finish with', 'Add', 'Have it with'];
/** What nobody says what it is, and whether it is the eater's choice. */
const THINGS: readonly (readonly [string, boolean])[] = [
  ['the usual', false],
  ['the usual trimmings', false],
  ['all the trimmings', false],
  ['the works', false],
  ['something creamy', false],
  ['something crunchy', false],
  ['a bit of something sweet', false],
  ['your favourite toppings', true],
  ['toppings of your choice', true],
  ['extras you like', true],
  ['anything else you like', true],
];
test.each(LEADS)('"%s the usual trimmings" and its like keep the dish open', (lead) => {
  const wrong = THINGS.filter(([thing]) => !isOpen(soupWith('', `${lead} ${thing}.`)));
  expect(wrong).toEqual([]);
  const chosen = THINGS.filter(([, choice]) => choice).filter(
    ([thing]) => !soupWith('', `${lead} ${thing}.`).lines.every((l) => l.missing === null || l.optional),
  );
  expect(chosen).toEqual([]);
});

test.each([
  'Season as usual.',
  'Cook it the usual way.',
  'Serve with something green.',
  'It becomes something creamy.',
  'Blend until something creamy comes of it.',
  'No extras needed.',
  'Nothing else goes in.',
  'Not the usual oil, just water.',
  'Skip the usual trimmings.',
  'Serve with your favourite vegetables.',
])('"%s" brings nothing unknown', (told) => expect(isOpen(soupWith('', told))).toBe(false));

test('trimmings that the list holds are those', () =>
  expect(isOpen(soupWith('\nTrimmings:\n2 spring onions', 'Serve with the trimmings.'))).toBe(false));

test.each(['Dress the salad.', 'Dress it.', 'Serve with a dressed salad.', 'Serve with dressed leaves.'])(
  '"%s": with something',
  (told) => {
    expect(highOf(soupWith('', told), 'salad-dressing')).toBe(80);
    // what the list has is what it is dressed with
    expect(highOf(soupWith('2 tbsp wine vinegar', told), 'salad-dressing')).toBe(0);
  },
);
test.each(['Dress it with lemon juice.', 'Serve undressed.', 'Do not dress the salad.'])(
  '"%s": with nothing more',
  (told) => expect(highOf(soupWith('', told), 'salad-dressing')).toBe(0),
);
