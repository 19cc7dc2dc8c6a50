import { eachLast } from './each-last';

describe('words by which a line is for each who eats', () => {
  const EVERYBODY = [
    'per person',
    'per bowl',
    'for each person',
    'in every bowl',
    'for everyone',
    'each of us',
    '/person',
    'pp',
  ];
  const ROUND: readonly ((each: string) => readonly [string, string])[] = [
    (e) => [`2 tsp tahini ${e}, thinned`, '2 tsp tahini per person, thinned'],
    (e) => [`2 tsp tahini (${e})`, '2 tsp tahini per person'],
    (e) => [`tahini, 2 tsp ${e} at the end`, 'tahini, 2 tsp at the end per person'],
    (e) => [`2 tsp ${e} tahini`, '2 tsp tahini per person'],
    (e) => [`${e}: 2 tsp tahini`, '2 tsp tahini per person'],
  ];
  test.each(EVERYBODY.flatMap((e) => ROUND.map((say) => say(e))))('%s', (line, last) =>
    expect(eachLast(line)).toBe(last),
  );
  test.each([
    ['2 pittas each on top', '2 pittas per person on top'],
    ['rice, 60 g apiece, rinsed', 'rice, 60 g per person, rinsed'],
    ['bread to mop up, 1 thick slice each (60 g)', '60 g bread to mop up per person'],
    ['pittas, two small ones each (40 g)', '40-80 g pittas per person'],
    ['75 g a head rice', '75 g rice per person'],
    ['12 rolls (50 g each), one per person', '12 rolls (50 g each)'],
  ])('%s', (line, last) => expect(eachLast(line)).toBe(last));
  test.each([
    // what one weighs
    '2 rolls, 60 g each, toasted',
    '2 tins chickpeas (400 g each), drained',
    // of several foods
    '1 tsp each: thyme, sage',
    '1 tsp each cumin and coriander',
    // no eaters
    '1 head of garlic',
    'half a head of lettuce, shredded',
    '2 tbsp tahini (3 g fat per serving)',
    '1 sachet per litre of water',
    // told in a sentence of its own
    '2 tbsp roasted dal, water. A tablespoon each is plenty',
  ])('%s is left as it stands', (line) => expect(eachLast(line)).toBe(line));
});
