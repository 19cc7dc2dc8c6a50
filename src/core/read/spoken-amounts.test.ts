import { auditRecipe } from '@/core/audit/audit';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readLine } from './line';
import { readRecipe } from './read';
import type { ReadSettings } from './types';

/**
 * Amounts as they are spoken, over all combinations of a few words: what is true of one is true of each. The truths are
 * arithmetic: so much for each of four is four times so much; a tin told in a sentence is the tin of a list.
 */
const settings: ReadSettings = { measures: US_MEASURES, corrections: {} };
const line = (text: string, servings = 4) =>
  readLine({ text, start: 0, end: text.length, section: null }, settings, servings);
const grams = (text: string, servings = 4) => line(text, servings).foods[0]?.grams ?? null;
const told = (sentence: string, servings = 2, list = '') =>
  readRecipe(parseRecipe(`Pot\nServes ${servings}\n\n${list}${sentence}\n`), settings).lines.filter(
    (l) => l.origin === 'method',
  );

describe('so much for each', () => {
  const AMOUNTS = ['a', 'one', '2', 'half a', '1½', 'a small', 'a large'];
  const FOODS = [
    'wholemeal pitta',
    'white roll',
    'baked potato',
    'corn tortilla',
    'apple',
    'slice of rye bread',
  ];
  test.each(AMOUNTS.flatMap((a) => FOODS.map((f) => [`${a} ${f}`] as const)))(
    '%s each is as much for everyone',
    (words) => {
      const one = grams(words);
      const all = grams(`${words} each`);
      expect(one).not.toBeNull();
      for (const end of ['low', 'best', 'high'] as const)
        expect(all?.[end]).toBeCloseTo((one?.[end] ?? NaN) * 4, 3);
    },
  );

  test.each([
    ['a wholemeal pitta between two', 'a wholemeal pitta', 2],
    ['2 corn tortillas between three', '2 corn tortillas', 4 / 3],
    ['one apple between 2 of us', 'one apple', 2],
  ])('%s', (shared, whole, times) => {
    expect(grams(shared)?.best).toBeCloseTo((grams(whole)?.best ?? NaN) * times, 3);
  });

  test.each(['Serve with', 'Eat with', 'Enough for 6 with', 'Feeds 6 with'])(
    '%s a hunk of bread each is six hunks',
    (verb) => {
      const [bread] = told(
        `Boil the potatoes. ${verb} a hunk of rye bread each.`,
        6,
        '1 kg potatoes\n2 litres water\n\n',
      );
      const one = grams('a hunk of rye bread');
      expect(bread?.foods[0]?.grams?.low).toBeCloseTo((one?.low ?? NaN) * 6, 3);
    },
  );

  test('what one weighs is said behind it', () => {
    expect(grams('6 slices rye bread (60 g a slice)')?.best).toBe(360);
    const [bread] = told(
      'Boil. Serve with a slice of rye bread each (about 60 g a slice).',
      5,
      '1 kg potatoes\n\n',
    );
    expect(bread?.foods[0]?.grams?.best).toBeCloseTo(300, 0);
  });
});

describe('a can is a tin', () => {
  const COUNTS = ['a', 'one', 'two', 'half a', 'a drained', 'a 400 g'];
  const FOODS = ['chickpeas', 'black beans', 'chopped tomatoes', 'coconut milk'];
  const VERBS = ['Add', 'Tip in', 'Open', 'Into it goes an onion and'];
  test.each(COUNTS.flatMap((n) => FOODS.map((f) => [n, f] as const)))('%s can of %s', (n, food) => {
    const [can, tin] = [n === 'two' ? 'cans' : 'can', n === 'two' ? 'tins' : 'tin'];
    const wanted = grams(`${n} ${tin} of ${food}`);
    expect(wanted).not.toBeNull();
    expect(grams(`${n} ${can} of ${food}`)).toEqual(wanted);
    for (const verb of VERBS) {
      const found = told(`${verb} ${n} ${can} of ${food} and simmer.`).flatMap((l) => l.foods);
      expect(found.map((f) => f.grams?.best)).toContain(wanted?.best);
    }
  });

  test('what one can do is no tin', () => {
    expect(
      told('Mash as much as you can. Boil 200 g peas, as fast as you can.').map((l) => l.foods[0]?.food?.id),
    ).toEqual(['peas']);
  });
});

describe('a number that is no amount', () => {
  test.each(['100% rye bread, 2 slices', '2 slices 100% rye bread', '2 slices rye bread'])('%s', (words) => {
    expect(grams(words)?.high).toBeLessThanOrEqual(100);
  });
  test.each(['100% rye', '0% fat soya yoghurt', '5% fat soya yoghurt'])('%s has no amount in it', (words) => {
    expect(line(words).words?.foods[0]?.measures).toEqual([]);
  });
  test.each([20, 40, 90])('%d minutes are no grams of the salt behind them', (n) => {
    const recipe = `Pot\nServes 4\n\n- 500 g potatoes\n- 1 onion\n- 2 carrots\n- ${n} min. Salt at the end if at all: I put 1/4 tsp.\n`;
    const salt = readRecipe(parseRecipe(recipe), settings).lines.flatMap((l) =>
      l.foods.filter((f) => f.food?.kind === 'salt'),
    );
    expect(salt.map((f) => Math.round(10 * (f.grams?.best ?? 0)))).toEqual([15]);
  });
});

describe('said again in spoons', () => {
  test.each([
    ['a few flaked almonds (5 g)', 5],
    ['few walnuts - 10 g', 10],
    ['a handful of cashews, 30 g', 30],
    ['a drizzle of tahini, 2 tsp', 10],
    ['a splash of soy sauce - 1 tsp', 5.3],
  ])('%s', (words, best) => {
    expect(grams(words)?.best).toBeCloseTo(best, 0);
  });

  test('two tablespoons of one thing, one of another', () => {
    const found = told('In a mug mix two tablespoons of soy sauce, one of rice vinegar and three of water.');
    expect(found.map((l) => Math.round(l.foods[0]?.grams?.best ?? 0))).toEqual([
      Math.round(grams('2 tablespoons soy sauce')?.best ?? 0),
      15,
      Math.round(grams('3 tablespoons water')?.best ?? 0),
    ]);
  });

  test('three quarters of a cup is no whole cup', () => {
    expect(told('Add three quarters of a cup of oats.')[0]?.foods[0]?.grams?.best).toBeCloseTo(67.5, 1);
  });
});

test('what else the tin held is not on the list', () => {
  const found = told(
    'Roast. The chickpeas I toss through at the end (240 g drained).',
    2,
    '3 carrots\naquafaba (from a tin of chickpeas), 3 tbsp\n100 g rice\n\n',
  );
  expect(found.map((l) => [l.foods[0]?.food?.id, l.foods[0]?.grams?.best])).toEqual([
    ['chickpeas-cooked', 240],
  ]);
});

test('one tin with its liquid and one without lie between both', () => {
  const both = line('2 x 400 g tins butter beans - 1 tin with liquid, 1 drained').foods[0];
  expect(both?.readings.join(' ')).toContain('both ends');
});

test('a roll each is never within by being counted once', () => {
  const read = readRecipe(
    parseRecipe('Soup\nServes 8\n\n1 kg potatoes\n2 litres water\n\nSimmer. Serve with a white roll each.'),
    settings,
  );
  const heart = protocolById('nothing-added');
  if (!heart) throw new Error('no such protocol');
  const sodium = auditRecipe(read, heart).limits.find((l) => l.id === 'sodium');
  expect(sodium?.verdict).not.toBe('within');
});

// what a tin of beans holds is common practice: about three fifths of 400 g
test.each(['flageolet beans', 'great northern beans', 'cowpeas', 'mung beans', 'urad dal', 'puy lentils'])(
  'a tin of %s weighs as a tin of beans does, with the salt of one unless it says otherwise',
  (pulse) => {
    const [food] = line(`1 tin ${pulse}, drained`).foods;
    expect(food?.food?.kind).toBe('canned-bean');
    expect(food?.grams?.best).toBeGreaterThan(200);
    expect(food?.grams?.best).toBeLessThan(300);
  },
);
