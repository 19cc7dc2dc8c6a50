import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';

/*
 * Lines and sentences made by crossing how cooks say amounts, foods, orders and negations. Nothing here is a figure of
 * its own: the many ways to say a thing must read as the plainest one does.
 */
const read = (line: string) =>
  readRecipe(parseRecipe(`Dish\n\nServes 4\n\nIngredients\n${line}\n1 kg potatoes\n\nMethod\nServe.`), {
    measures: US_MEASURES,
    corrections: {},
  }).lines[0];

const said = (line: string) => {
  const own = read(line);
  const first = own?.foods[0];
  return { food: first?.food?.id ?? null, grams: first?.grams?.best ?? null };
};
/** The same food, and grams within a hundredth. */
const differs = (a: ReturnType<typeof said>, b: ReturnType<typeof said>) =>
  a.food !== b.food || a.food === null || Math.abs((a.grams ?? 0) - (b.grams ?? 0)) > 0.01 * (b.grams ?? 0);

const MEASURED = ['cashews', 'olive oil', 'rolled oats', 'tahini', 'soy sauce', 'maple syrup', 'red lentils'];
const MEASURES = ['2 cups', '½ cup', '3 tbsp', '1 1/2 tsp', '250 g', '8 oz'];
const ORDERS: readonly ((m: string, f: string) => string)[] = [
  (m, f) => `${m} of ${f}`,
  (m, f) => `${f}, ${m}`,
  (m, f) => `${f} - ${m}`,
  (m, f) => `- ${m} ${f}`,
  (m, f) => `• ${m} ${f}`,
  (m, f) => `[ ] ${m} ${f}`,
  (m, f) => `${m.toUpperCase().replace('TBSP', 'Tbsp').replace('TSP', 'tsp')} ${f}`,
  (m, f) => `${m} ${f.toUpperCase()}`,
  (m, f) => `${m}  ${f} `,
  (m, f) => `**${m}** ${f}`,
  (m, f) => `${m} ${f}.`,
];
const NUMBERS: readonly (readonly [string, string])[] = [
  ['half a cup', '½ cup'],
  ['a half cup', '½ cup'],
  ['1/2 cup', '½ cup'],
  ['0.5 cup', '½ cup'],
  ['one cup', '1 cup'],
  ['a cup', '1 cup'],
  ['a whole cup', '1 cup'],
  ['one and a half cups', '1½ cups'],
  ['1 and 1/2 cups', '1½ cups'],
  ['a cup and a half', '1½ cups'],
  ['1-1/2 cups', '1½ cups'],
  ['three-fourths cup', '¾ cup'],
  ['three quarters of a cup', '¾ cup'],
  ['an eighth of a teaspoon', '⅛ tsp'],
  ['a quarter teaspoon', '¼ tsp'],
  ['two thirds of a cup', '⅔ cup'],
  ['twenty grams', '20 g'],
];

const PIECES = ['onions', 'carrots', 'sweet potatoes', 'tomatoes', 'courgettes', 'apples'];
const SIZES: readonly (readonly [string, string])[] = [
  ['large', 'big'],
  ['large', 'great big'],
  ['large', 'fairly large'],
  ['large', 'really large'],
  ['small', 'smallish'],
  ['small', 'very small'],
  ['medium', 'medium-sized'],
  ['medium', 'average'],
];

describe('one line in many manners', () => {
  test('orders and marks', () => {
    const wrong = MEASURED.flatMap((f) =>
      MEASURES.flatMap((m) =>
        ORDERS.map((of) => of(m, f)).filter((line) => differs(said(line), said(`${m} ${f}`))),
      ),
    );
    expect(wrong).toEqual([]);
  });
  test('numbers in words', () => {
    const wrong = MEASURED.flatMap((f) =>
      NUMBERS.filter(([words, plain]) => differs(said(`${words} of ${f}`), said(`${plain} ${f}`))).map(
        ([words]) => `${words} of ${f}`,
      ),
    );
    expect(wrong).toEqual([]);
  });
  test('sizes', () => {
    const wrong = PIECES.flatMap((f) =>
      SIZES.flatMap(([plain, words]) =>
        [`2 ${words} ${f}`, `2 ${words} ${f}, chopped`].filter((line) =>
          differs(said(line), said(`2 ${plain} ${f}`)),
        ),
      ),
    );
    expect(wrong).toEqual([]);
  });
  test('a loose amount is no plain one: its range holds more than one reading', () => {
    for (const f of MEASURED)
      for (const m of ['some', 'a little', 'a bit of', 'a splash of', 'about 2 tbsp', '1-2 tbsp']) {
        const grams = read(`${m} ${f}`)?.foods[0]?.grams;
        if (grams) expect(`${m} ${f}: ${grams.high > grams.low}`).toBe(`${m} ${f}: true`);
      }
  });
});

/** Foods that only the method brings. */
const brought = (step: string) =>
  readRecipe(parseRecipe(`Dish\n\nServes 4\n\nIngredients\n1 kg potatoes\n2 onions\n\nMethod\n${step}`), {
    measures: US_MEASURES,
    corrections: {},
  })
    .lines.filter((l) => l.origin === 'method')
    .flatMap((l) => l.foods.map((f) => f.food?.kind ?? '?'));

const OFFENDERS: readonly (readonly [food: string, kind: string])[] = [
  ['olive oil', 'oil'],
  ['vegan butter', 'solid-fat'],
  ['tahini', 'nut-butter'],
  ['soy sauce', 'salty'],
  ['brown sugar', 'sugar'],
  ['walnuts', 'nut'],
];
const BRINGS = [
  'Add 2 tbsp ${f}.',
  'Stir in the potatoes and 2 tbsp of ${f}.',
  'Toss the onions with 2 tbsp ${f}, then serve.',
  'Not too hot: add 2 tbsp ${f} at the end.',
  'Do not stir; add 2 tbsp ${f} and wait.',
  'No need to peel the potatoes, just mash them with 2 tbsp ${f}.',
  'Without lifting the lid, shake, then pour in 2 tbsp ${f}.',
  'I never skip the last step: 2 tbsp ${f} over the top.',
  'When soft, in go 2 tbsp ${f}.',
  'Once the onions are done, finish with 2 tbsp ${f}.',
];
const LEAVES_OUT = [
  'Cook without ${f}.',
  'Do not add ${f}.',
  'Do not add any ${f} at this stage.',
  'Skip the ${f}.',
  'There is no need for ${f}.',
  'No ${f} is needed here.',
  'Serve plain, with no ${f}.',
  'Never use ${f} for this.',
  'Leave out the ${f}.',
  'Use lemon juice instead of ${f}.',
  'Use lemon juice rather than ${f}.',
  'You will not miss the ${f}.',
  'Omit the ${f} altogether.',
];
const fill = (sentence: string, food: string) => sentence.replace('${f}', food);

describe('one sentence in many manners', () => {
  test('what goes in is counted', () => {
    const missed = OFFENDERS.flatMap(([f, kind]) =>
      BRINGS.map((s) => fill(s, f)).filter((s) => !brought(s).includes(kind)),
    );
    expect(missed).toEqual([]);
  });
  test('what is left out is not', () => {
    const alarms = OFFENDERS.flatMap(([f]) =>
      LEAVES_OUT.map((s) => fill(s, f)).filter((s) => brought(s).length > 0),
    );
    expect(alarms).toEqual([]);
  });
});
