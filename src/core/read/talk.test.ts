import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';

const settings = { measures: US_MEASURES, corrections: {} };
const readOf = (step: string, list = '1 kg potatoes\n1 tsp cumin', head = 'Test dish\nServes 4') =>
  readRecipe(
    parseRecipe(`${head}\n\nIngredients\n${list}\n\nMethod\nBoil the potatoes in water. ${step}`),
    settings,
  );
const brought = (step: string) => readOf(step).lines.filter((l) => l.origin === 'method');

const FOODS = ['200 g vegan cheese', 'half a cup of olive oil', 'a teaspoon of salt', '3 tbsp brown sugar'];
const PEOPLE = ['My sister', 'My old neighbour', 'Grandma', 'The kids', 'Some people', 'Our lodger'];

describe('what other cooks do', () => {
  test('told of the past it is not done here', () => {
    const alarms = PEOPLE.flatMap((who) =>
      FOODS.flatMap((food) =>
        [`${who} had ${food} in it.`, `${who} used ${food}.`].filter((s) => brought(s).length > 0),
      ),
    );
    expect(alarms).toEqual([]);
  });
  test('told of now it may be done here too: with and without it both count', () => {
    const certain = PEOPLE.flatMap((who) =>
      FOODS.flatMap((food) => {
        const step = `${who} puts ${food} on top.`;
        const lines = brought(step);
        return lines.every((l) => l.optional) ? [] : [step];
      }),
    );
    expect(certain).toEqual([]);
  });
  test.each(["we don't", 'but we never do', "I don't", 'not us'])('“…; %s” takes it back', (denial) => {
    for (const food of FOODS) expect(brought(`My aunt puts ${food} on top; ${denial}.`)).toEqual([]);
  });
  test('what the cook does herself is certain', () => {
    for (const food of FOODS) {
      const lines = brought(`Then I put ${food} on top.`);
      expect([food, lines.length, lines.some((l) => l.optional)]).toEqual([food, 1, false]);
    }
  });
});

describe('an amount told behind its food', () => {
  test.each<[string, string, number]>([
    ['Serve over brown rice, about 2 cups cooked between us.', 'rice-brown-cooked', 390],
    ['Serve w/ rice 60g dry each.', 'rice-white', 240],
    ['Serve with brown rice (200 g cooked).', 'rice-brown-cooked', 200],
    ['Serve over noodles, 100 g.', 'udon', 100],
  ])('%s', (step, id, grams) => {
    const line = brought(step).find((l) => l.foods[0]?.food?.id === id);
    expect(line?.foods[0]?.grams?.best).toBeCloseTo(grams, -1);
  });
  test('the amount of the next food is not its own', () => {
    const lines = brought('Stir in the oil, 2 cups of passata and serve.');
    expect(lines.find((l) => l.foods[0]?.food?.kind === 'oil')?.foods[0]?.grams?.high ?? 0).toBeLessThan(100);
  });
  test('“carrot sticks and 2 pittas”: two of them', () => {
    const line = brought('Serve with carrot sticks and 2 wholemeal pittas.').at(-1);
    expect(line?.foods[0]?.grams?.high).toBeLessThan(200);
  });
});

describe('a general word spans its family', () => {
  const first = (text: string) => readOf('', text).lines[0];
  const ids = (text: string) => {
    const food = first(text)?.foods[0];
    return [food?.food?.id, ...(food?.might ?? []).map((f) => f.id)];
  };
  test.each<[string, string[]]>([
    ['1 cup plant milk', ['soy-milk', 'oat-milk', 'almond-milk', 'coconut-milk-drink']],
    ['1 cup non-dairy milk', ['soy-milk', 'oat-milk', 'almond-milk']],
    ['1 cup yogurt', ['yoghurt', 'soy-yoghurt', 'coconut-yoghurt']],
    ['1 litre stock', ['stock-salted', 'stock-nsa', 'stock-low', 'stock-oil']],
    ['1 can refried beans', ['refried-beans', 'refried-beans-fat']],
    ['1 cup nuts', ['mixed-nuts', 'peanut', 'walnut']],
    ['2 cups cooked grains', ['rice-brown-cooked', 'rice-white-cooked', 'quinoa-cooked']],
    ['4 slices bread', ['bread-white', 'bread-whole', 'rye-bread']],
  ])('%s', (text, members) => expect(ids(text)).toEqual(expect.arrayContaining(members)));
  test('what is said of it rules members out', () => {
    expect(ids('1 litre stock, no salt added')).not.toContain('stock-salted');
    expect(ids('1 cup unsweetened plant milk')).not.toContain('soy-milk-sweet');
  });
  test('its figures and allergens are those of all', () => {
    const nuts = first('1 cup nuts');
    const allergens = new Set(
      nuts?.foods.flatMap((f) => [f.food, ...f.might]).flatMap((f) => f?.allergens ?? []),
    );
    expect([...allergens]).toEqual(expect.arrayContaining(['nuts', 'peanuts']));
  });
});

describe('how many it feeds, as cooks say it', () => {
  const servings = (text: string) => readRecipe(parseRecipe(text), settings).servings;
  const body = '\n\n1 kg potatoes\n2 onions\n\nBoil both.';
  test.each<[string, number, number]>([
    [`Potatoes (6 portions, freezes)${body}`, 6, 6],
    [`Potato loaf${body} Cuts into 10 or 12.`, 10, 12],
    [`Potato dip - cuts about 8 ways as a starter${body}`, 8, 8],
    [`Potato soup${body} 6 bowls.`, 6, 6],
  ])('%s', (text, low, high) => {
    expect([servings(text).range.low, servings(text).range.high]).toEqual([low, high]);
  });
});

describe('what the cook says that she takes herself', () => {
  const line = (text: string) => readOf('', text).lines[0];
  test('none of it is nothing, and no slip of the pen', () => {
    const l = line('a knob of butter (I use none)');
    expect([l?.missing, l?.foods[0]?.grams?.high, l?.nothing]).toEqual([null, 0, false]);
  });
  test('“or leave it out”: with and without', () =>
    expect(line('½ tsp salt (or leave it out)')?.optional).toBe(true));
  test('another food may go in instead', () =>
    expect(line('2 tbsp oil (I use water)')?.alternatives[0]?.food?.kind).toBe('water'));
});

describe('lines and rows as they are jotted down', () => {
  const lines = (text: string) =>
    readRecipe(parseRecipe(text), settings).lines.map(
      (l) => [l.line.text, l.foods[0]?.food?.id ?? null, l.optional] as const,
    );
  const list = (row: string) => lines(`Pot\nServes 2\n\n1 kg potatoes\n${row}\n\nBoil all of it.`)[1];
  test.each<[string, string, boolean]>([
    ['½ cup walnuts – leave out for a low fat version', 'walnut', true],
    ['½ avocado??? (no!)', 'avocado', true],
    ['1 tsp coconut sugar — I use half a date', 'coconut-sugar', false],
    ['4 peppers any colour', 'red-pepper', false],
    ['tagliatelle, wholewheat 240g', 'pasta-whole', false],
    ['hot water to loosen', 'water', false],
    ['1 square dark choc', 'chocolate-dark', false],
  ])('%s', (row, id, optional) => {
    const [, food, loose] = list(row) ?? [];
    expect([food, loose]).toEqual([id, optional]);
  });
  test('two foods about a stroke are two', () => {
    const all = lines('Pot\nServes 2\n\n1 kg potatoes\n1 onion // 3 garlic\n\nBoil all of it.');
    expect(all.map(([, id]) => id)).toEqual(['potato', 'onion', 'garlic']);
  });
  test.each(['mix at night eat in morning', 'blend', 'Serve with rice, soya yog & coriander'])(
    '“%s” is a step',
    (row) => {
      const read = readRecipe(
        parseRecipe(`Pot\n\n80 g oats\n250 ml soya milk, unsweetened\n${row}`),
        settings,
      );
      expect(read.recipe.lines).toHaveLength(2);
      expect(read.recipe.steps.map((s) => s.text)).toEqual([row]);
    },
  );
  test('what stands under somebody’s name is hers', () => {
    const read = readRecipe(
      parseRecipe(
        "Soup\nServes 4\n\n(nonna's: pancetta, 4 tbsp oil, parmesan rind. mine: none of that)\n\n1 kg carrots\n1 litre water\n\nBoil.",
      ),
      settings,
    );
    expect(read.lines.every((l) => !['oil', 'animal'].includes(l.foods[0]?.food?.kind ?? ''))).toBe(true);
  });
  test('two seeds with an amount each are two', () => {
    const ids = brought('Toast 1 tsp mustard seeds and 1 tsp fennel seeds.').map((l) => l.foods[0]?.food?.id);
    expect(ids).toEqual(expect.arrayContaining(['mustard-seed', 'fennel-seed']));
  });
  test.each<[string, number, number]>([
    ['Loaf\n\n500 g oats\n\nBake. 8 slices, 2 each = 4 servings', 4, 4],
    ['Pots\n\n300 g tofu\n\nBlend. Into 4 little pots.', 4, 4],
    ['Soup\n\n1 kg carrots\n\nBoil and divide between four bowls.', 4, 4],
    ['Gratin\n\n1 kg potatoes\n\nBake. 6 portions as a side or 4 as a main.', 4, 6],
    ['Rice\n\n200 g rice\n\nBoil it. for 2', 2, 2],
    ['Beans for a crowd (12)\n\n2 kg beans\n\nBoil.', 12, 12],
    ['Salad\n\n200 g potatoes\n1 lettuce\n2 big plates.', 2, 2],
  ])('%s', (text, low, high) => {
    const { range } = readRecipe(parseRecipe(text), settings).servings;
    expect([range.low, range.high]).toEqual([low, high]);
  });
});

test('“plus more if needed” makes more of it, not less', () => {
  const line = readOf('', '2 tbsp tahini, plus more if needed').lines[0];
  expect([line?.optional, (line?.foods[0]?.grams?.low ?? 0) > 25]).toEqual([false, true]);
});

describe('what is bought elsewhere is here; what is done elsewhere is not', () => {
  const fat = (method: string) => {
    const read = readOf(method, '400 g brown rice');
    return read.lines.some((l) =>
      l.foods.some((f) => !f.food || /pesto|oil|garlic bread/i.test(f.food.name)),
    );
  };
  test.each([
    'Stir in 3 tbsp pesto from the deli.',
    'Simmer the rice. Serve with garlic bread from the bakery.',
    'Simmer the rice. Add the pesto they sell in the shop.',
    "Simmer the rice. The deli's pesto goes on top.",
    'Simmer the rice. The deli pesto goes on top.',
  ])('%s', (method) => expect(fat(method)).toBe(true));
  test.each([
    'Simmer the rice. It is fried in oil in the shops; ours is dry.',
    'Simmer the rice. The deli version has 3 tbsp pesto in it.',
    'Simmer the rice. A swirl of pesto is nice on top but I don’t since May.',
  ])('%s', (method) => expect(fat(method)).toBe(false));
});
