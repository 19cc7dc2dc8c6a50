import loadHighs from 'highs';
import { adapt } from '@/core/adapt/adapt';
import { solverOf } from '@/core/adapt/solver';
import { auditRecipe } from '@/core/audit/audit';
import { larderOf } from '@/core/food/larder';
import { FOODS } from '@/core/food/table';
import { foodsOf } from '@/core/label/packet';
import { US_MEASURES } from '@/core/measure/units';
import { PROTOCOLS, settled, type Protocol } from '@/core/protocol';
import { conflictsOf, isSafe } from '@/core/read/allergens';
import { readRecipe } from '@/core/read/read';
import { recipeShelf } from '@/core/read/recipes';
import { parseRecipe } from '@/core/recipe/parse';
import { ALLERGENS, allergensNamed, readAllergens } from './allergen';

const protocol = PROTOCOLS[0] as Protocol;
const packet = (name: string, label: string) => ({ id: 'own-x', name, names: [], label, like: null });
const FIGURES = 'Per 100 g\nEnergy 2580 kJ / 622 kcal\nFat 51 g\nSalt 0.1 g\n';

function judged(text: string, packets: Parameters<typeof foodsOf>[0] = []) {
  const larder = larderOf(foodsOf(packets));
  return auditRecipe(
    readRecipe(parseRecipe(text), { measures: US_MEASURES, corrections: {}, larder }),
    protocol,
  );
}

describe('words for allergens', () => {
  // what people say, and the substances of EU Regulation 1169/2011, Annex II
  test.each([
    [['soya'], ['soy']],
    [['Gluten'], ['gluten']],
    [['peanut'], ['peanuts']],
    [['tree nuts'], ['nuts']],
    [['Dairy'], ['milk']],
    [
      ['wheat', 'Sesame seeds'],
      ['gluten', 'sesame'],
    ],
    [['sulphur dioxide'], ['sulphites']],
    [['eggs'], ['egg']],
    [['shellfish'], ['crustaceans', 'molluscs']],
    [['nut allergy'], ['nuts']],
    [['soy nuts'], ['soy', 'nuts']],
    [[], []],
  ])('%j', (words, ids) => {
    expect(readAllergens(words)).toEqual({ ok: true, ids });
  });
  test.each([[['strawberry']], [['nuts', 'gronk']], [['']], [['constructor']], [['__proto__']]])(
    '%j is refused with the list',
    (words) => {
      const reading = readAllergens(words);
      expect(reading.ok).toBe(false);
      if (!reading.ok) for (const { id } of ALLERGENS) expect(reading.message).toContain(id);
    },
  );
  test('every allergen of the table has a name here', () => {
    const known = new Set(ALLERGENS.map((a) => a.id));
    expect([...new Set(FOODS.flatMap((f) => f.allergens))].filter((a) => !known.has(a))).toEqual([]);
  });
  test.each([
    ['whey powder', ['milk']],
    ['almonds (12 %)', ['nuts']],
    ['coconut', []],
    ['nutmeg', []],
    ['butternut squash', []],
    ['buckwheat', []],
    ['rye flakes', ['gluten']],
    ['E223', ['sulphites']],
  ])('a label’s “%s” names %j', (words, ids) => expect(allergensNamed(words)).toEqual(ids));
});

describe('every way into a dish', () => {
  const NUTTY = 'Pot\nserves 2\n\n500 g potatoes\n';
  const WAYS: readonly (readonly [string, string])[] = [
    ['a line', `${NUTTY}50 g cashews`],
    ['the second food of a line', `${NUTTY}1 tbsp raisins and 50 g cashews`],
    ['an alternative', `${NUTTY}50 g sunflower seeds or cashews`],
    ['a tail', `${NUTTY}300 g spinach, tossed with 2 tbsp cashews`],
    ['something optional', `${NUTTY}50 g cashews (optional)`],
    ['the method', `${NUTTY}\nMethod\nBoil the potatoes. Scatter with 50 g cashews.`],
  ];
  test.each(WAYS)('%s', (_, text) => {
    const conflict = conflictsOf(judged(text), ['nuts']);
    expect(isSafe(conflict)).toBe(false);
  });
  test('a word that may mean several foods holds what any of them holds', () => {
    const { allergens } = judged(`${NUTTY}200 g yogurt`);
    expect(allergens).toEqual(expect.arrayContaining(['milk', 'soy']));
  });
  test('a recipe in a recipe, and what is not understood in it', () => {
    const inner = parseRecipe('Cashew cream topping\nserves 4\n\n200 g cashews\n100 ml water\n50 g gronk');
    const settings = { measures: US_MEASURES, corrections: {} };
    const larder = {
      ...larderOf([]),
      recipes: recipeShelf([
        { id: 'c', title: 'Cashew cream topping', read: () => readRecipe(inner, settings) },
      ]),
    };
    const read = readRecipe(parseRecipe(`${NUTTY}1 portion cashew cream topping`), { ...settings, larder });
    const audit = auditRecipe(read, protocol);
    expect(audit.allergens).toContain('nuts');
    expect(conflictsOf(audit, ['lupin']).doubts.join()).toContain('gronk');
  });
});

describe('what is not known is never none', () => {
  test('a line that is not understood', () => {
    const audit = judged('Pot\nserves 2\n\n500 g potatoes\n2 cups gronk');
    expect(conflictsOf(audit, ['sesame']).doubts).toEqual(['“gronk” is not understood']);
    expect(isSafe(conflictsOf(audit, []))).toBe(true);
  });
  test('a packet without a statement: its kin’s allergens count, and further ones are not known', () => {
    const audit = judged('Pot\nserves 2\n\n2 tbsp golden valley peanut butter', [
      packet('golden valley peanut butter', FIGURES),
    ]);
    expect(audit.allergens).toEqual(['peanuts']);
    expect(conflictsOf(audit, ['sesame']).doubts.join()).toContain('no ingredient statement');
  });
  test.each([
    [
      'a heading of its own, the statement in the next row',
      `${FIGURES}\nIngredients\nRoasted peanuts, sea salt`,
    ],
    ['a heading, a blank row, the statement', `${FIGURES}\nINGREDIENTS:\n\nRoasted peanuts, sea salt`],
    [
      'a label in one row',
      'Nutrition per 100g: Energy 2580kJ / 622kcal, Fat 51g, of which saturates 7g, Salt 0.10g. Ingredients: roasted peanuts, sea salt.',
    ],
    [
      'figures behind the statement in one row',
      'Ingredients: roasted peanuts, sea salt. Nutrition per 100g: Energy 2580kJ / 622kcal, Fat 51g, Salt 0.10g',
    ],
  ])('a statement under %s is read', (_, label) => {
    const [food] = foodsOf([packet('golden spread', label)]);
    expect(food).toMatchObject({ allergens: ['peanuts'], allergensNotKnown: undefined, fatG: 51 });
  });
  test('its own statement speaks for itself, traces apart', () => {
    const [food] = foodsOf([
      packet(
        'seed and peanut style butter',
        `${FIGURES}\nIngredients: sunflower seeds. May contain almonds.`,
      ),
    ]);
    expect(food).toMatchObject({ allergens: [], traces: ['nuts'] });
    const audit = judged('Pot\nserves 2\n\n2 tbsp seed and peanut style butter', [
      packet(
        'seed and peanut style butter',
        `${FIGURES}\nIngredients: sunflower seeds. May contain almonds.`,
      ),
    ]);
    expect(conflictsOf(audit, ['nuts']).doubts).toHaveLength(1);
    expect(isSafe(conflictsOf(audit, ['soy']))).toBe(true);
  });
});

test('a plan for somebody allergic does not keep what may hold anything', async () => {
  const solve = solverOf(await loadHighs());
  const larder = larderOf(foodsOf([packet('golden valley cashew butter', FIGURES)]));
  const settings = { measures: US_MEASURES, corrections: {}, larder };
  const read = readRecipe(
    parseRecipe('Pot\nserves 4\n\n1 kg potatoes\n5 g golden valley cashew butter'),
    settings,
  );
  const everyday = PROTOCOLS.find((p) => p.id === 'everyday') as Protocol;
  // without a statement the packet's oil is not known either: fat share alone is what this one looks at
  const loose = settled({
    ...everyday.source,
    id: 'own-loose',
    limits: everyday.source.limits.filter((l) => l.of === 'fatKcal'),
    switches: {},
  }) as Protocol;
  const plain = adapt(read, [{ protocol: loose }], settings, {}, solve);
  expect(plain.plans[0]?.changes).toEqual([]);
  const wary = adapt(read, [{ protocol: loose, allergens: ['lupin'] }], settings, {}, solve);
  expect(wary.plans.length).toBeGreaterThan(0);
  for (const plan of wary.plans) {
    expect(plan.text).not.toContain('golden valley cashew butter');
    expect(isSafe(conflictsOf(plan.after, ['lupin']))).toBe(true);
  }
});
