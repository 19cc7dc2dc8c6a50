import { OF_SEVERAL, ofSeveral } from './of-several';
import { ownWay, RUNGS } from './own-way';

describe('a line as it is done here', () => {
  test.each(RUNGS.map(({ says, reads }) => [says, reads]))('%s is %s', (says, reads) =>
    expect(ownWay(says)).toBe(reads),
  );
  test.each(OF_SEVERAL.map(({ says, reads }) => [says, reads]))('%s is %s', (says, reads) =>
    expect(ofSeveral(says)).toBe(reads),
  );
  const AMOUNTS = [
    ['a level tsp', '0.5 level tsp'],
    ['1 tbsp', '0.5 tbsp'],
    ['½ cup', '0.25 cup'],
    ['200 g', '100 g'],
    ['2-3 tbsp', '1-1.5 tbsp'],
  ] as const;
  const WORDS = [
    ' - I halve that',
    ', I halve it',
    ' (we use half)',
    ' – I only use half of that',
    ', we do half',
  ];
  test.each(AMOUNTS.flatMap(([said, half]) => WORDS.map((w) => [`${said} salt${w}`, `${half} salt`])))(
    '%s is %s',
    (line, taken) => expect(ownWay(line)).toBe(taken),
  );
  test('more than is written is more', () => {
    expect(ownWay('1 tsp salt - I double it')).toBe('2 tsp salt');
    expect(ownWay('300 g spinach, we use twice as much')).toBe('600 g spinach');
  });
  test('half of another thing, or of a food alone, is left as it stands', () => {
    for (const line of ['2 onions, I halve the smaller', '1 tsp salt, half for the water', 'half an onion'])
      expect(ownWay(line)).toBe(line);
  });
  test('what is said to be left out gives way to what goes in instead', () => {
    expect(ownWay('ghee at the end, 1 tbsp --> leave out, squeeze of lemon instead')).toBe(
      'squeeze of lemon',
    );
    expect(ownWay('2 tbsp oil - skip, 2 tbsp stock instead.')).toBe('2 tbsp stock');
  });
  test('an amount that came down is what it is now', () => {
    expect(ownWay("1/2 cup walnuts -> I've gone down to 2 tbsp")).toBe('1/2 cup walnuts -> 2 tbsp');
    expect(ownWay('3 tbsp tahini - now I am down to 1 tbsp')).toBe('3 tbsp tahini -> 1 tbsp');
    expect(ownWay('2 onions - I go down to the cellar for them')).toBe(
      '2 onions - I go down to the cellar for them',
    );
  });
  test('what is asked for and refused is none of it', () => {
    for (const no of [' - no', ': none', ' – nope!', ' (never)'])
      expect(ownWay(`pinch of salt${no}`)).toBe('no pinch of salt');
  });
  test('one alone that weighs so much each is one for everybody; a tin is not', () => {
    expect(ownWay('a slice of rye (40 g each)')).toBe('a slice of rye (40 g) each');
    expect(ownWay('a tin of beans (400 g each)')).toBe('a tin of beans (400 g each)');
    expect(ownWay('2 rolls (60 g each)')).toBe('2 rolls (60 g each)');
  });
  test.each([
    ['1 tbsp soy sauce, then I added another spoon', '1 tbsp + 1 tbsp soy sauce'],
    ['1 tbsp soy sauce, plus a splash at the end', '1 tbsp + a splash soy sauce'],
    ['2 tbsp tahini and another spoon to finish', '2 tbsp + 1 tbsp tahini'],
    ['1 tbsp oil + another for the tin', '1 tbsp + 1 tbsp oil'],
    ['1 tbsp peanut oil, then another half when it stuck', '1 tbsp + 0.5 tbsp peanut oil'],
    ['1 tsp salt (and a pinch more later)', '1 tsp + a pinch salt'],
  ])('%s: both go in', (line, both) => expect(ownWay(line)).toBe(both));
  test('what goes in beside it is another food', () => {
    for (const line of [
      '1 tbsp soy sauce, plus a splash of oil',
      '200 g rice and another grain',
      '2 cups stock and a bay leaf',
    ])
      expect(ownWay(line)).toBe(line);
  });
  test('the weight of a part of a pack', () => {
    expect(ownWay('half a block tofu, pressed, about 150 g')).toBe('150 g tofu, pressed');
    // of the half, or of the whole
    expect(ownWay('half a block of tofu (300 g)')).toBe('150-300 g tofu');
  });
  test('a condition that does not hold here, and one that may', () => {
    expect(ownWay("2 tbsp oil if your blender is weak (mine isn't)")).toBe('no 2 tbsp oil');
    expect(ownWay('2 tbsp oil if your pan is old')).toBe('2 tbsp oil, optional');
    expect(ownWay('pinch of salt, leave out if yours is a strict table')).toBe(
      'pinch of salt, leave out if yours is a strict table',
    );
  });
  test('so much of each', () => {
    expect(ofSeveral('cumin, coriander, garam masala 1 tsp each')).toBe(
      '1 tsp cumin and 1 tsp coriander and 1 tsp garam masala',
    );
    expect(ownWay('ginger garlic, a heaped tbsp of each')).toBe(
      'a heaped tbsp ginger + a heaped tbsp garlic',
    );
    expect(ownWay('sesame seeds - 1 tsp each')).toBe('sesame seeds - 1 tsp each');
  });
  test('one of two is taken', () => {
    expect(ownWay('30 g pine nuts or walnuts, I use walnuts')).toBe('30 g walnuts');
    expect(ownWay('300 g brown rice, or the white which is quicker')).toBe('300 g brown rice or white rice');
  });
  test('a cube of no other thing is one of stock', () => {
    expect(ownWay('1 low salt cube')).toBe('1 low salt stock cube');
    expect(ownWay('2 veg cubes, crumbled')).toBe('2 veg stock cubes, crumbled');
    expect(ownWay('4 ice cubes')).toBe('4 ice cubes');
  });
  test('which kind it is here, and at other times', () => {
    expect(ownWay('1/2 c basmati - brown here')).toBe('1/2 c brown basmati');
    expect(ownWay('200 g pasta (wholewheat for us)')).toBe('200 g wholewheat pasta');
    expect(ownWay('1/2 c basmati - brown here, white when someone is ill')).toBe(
      '1/2 c brown basmati or white basmati',
    );
  });
});
