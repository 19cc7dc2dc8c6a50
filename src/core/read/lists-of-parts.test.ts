import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';
import { highOf, isOpen, soupWith } from './told-soup';

const settings = { measures: US_MEASURES, corrections: {} };
const read = (text: string) => readRecipe(parseRecipe(text), settings);

describe('a thing and the list of what it is made of', () => {
  const PARTS = '500 ml soy milk, 2 tbsp custard powder, 1 tbsp sugar';
  test.each(['Custard (PARTS).', 'Serve with custard (PARTS).', 'Pour over the custard (PARTS).'])(
    '%s: its parts are counted beside the list, and it is not',
    (frame) => {
      const recipe = soupWith('2 tbsp sugar', frame.replace('PARTS', PARTS));
      expect(isOpen(recipe)).toBe(false);
      expect(highOf(recipe, 'vegan-custard')).toBe(0);
      expect(highOf(recipe, 'sugar')).toBeCloseTo(highOf(soupWith('3 tbsp sugar'), 'sugar'), 1);
    },
  );
  test('a dressing all of whose parts are on the list is the list’s', () => {
    const recipe = read(
      'Leek salad\nServes 4\n\n500 g leeks\n2 tbsp olive oil\n1 tbsp vinegar\n\nWhisk the dressing (2 tbsp olive oil, 1 tbsp vinegar). Toss with the leeks.',
    );
    expect(highOf(recipe, 'olive-oil')).toBeLessThan(28);
  });
  test.each([
    'Dressing: just balsamic.',
    'Salad on the side - dressing is just balsamic.',
    'The dressing is only lemon.',
  ])('%s: nothing bottled', (told) => expect(highOf(soupWith('', told), 'salad-dressing')).toBe(0));
});

describe('a part that is made for more plates than the list', () => {
  const bowl = (heading: string) =>
    read(
      `Rice bowls\n\nper bowl:\n75 g brown rice\n80 g edamame\n\n${heading}\n2 tbsp soy sauce\n1 tsp sesame oil\n\nBoil the rice. Pile up.`,
    );
  test.each(['dressing (does 4 bowls)', 'sauce - enough for 4 people', 'dressing, for 4 bowls:'])(
    '%s',
    (heading) => {
      expect(highOf(bowl(heading), 'sesame-oil')).toBeCloseTo(4.5 / 4, 1);
    },
  );
  test('one that says nothing of it is for the one bowl', () =>
    expect(highOf(bowl('dressing:'), 'sesame-oil')).toBeGreaterThan(4));
  test('what goes on top of jars that are told for one goes on each', () => {
    const jars = (heading: string) =>
      read(
        `Oats x 5 jars\n\neach jar:\n45 g oats\n150 ml soy milk\n\n${heading}\n10 g pumpkin seeds\n\nStir. Chill.`,
      );
    for (const heading of ['on top when eating:', 'to serve:', 'On the day:'])
      expect(highOf(jars(heading), 'pumpkin-seed')).toBeGreaterThan(49);
  });
});

describe('a first sentence below a list', () => {
  const LISTED = 'Pot\nServes 4\n\n500 g parsnips\n400 g wholewheat noodles\n300 g leeks\n';
  test.each([
    'Noodles by the packet, rinse.',
    'Noodles as the packet says, rinse cold.',
    'Noodles in.',
    'Parsnips boiled till soft.',
    'Leeks in a dry pan, 10 minutes.',
  ])('"%s" is no second line of it', (row) => {
    for (const gap of ['', '\n']) {
      const recipe = read(`${LISTED}${gap}${row}\nChop everything else. Simmer it for 20 minutes.`);
      expect(recipe.lines.filter((l) => l.origin === 'ingredients')).toHaveLength(3);
      expect(isOpen(recipe)).toBe(false);
    }
  });
  test('a row with an amount of its own is one', () =>
    expect(
      read(`${LISTED}a splash of oil.\nChop it. Simmer it.`).lines.filter((l) => /oil/.test(l.line.text)),
    ).toHaveLength(1));
});
