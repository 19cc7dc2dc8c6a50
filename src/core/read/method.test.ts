import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';

const settings = { measures: US_MEASURES, corrections: {} };

/** Foods that only the method brings, for a list of lines and one step. */
function brought(step: string, ingredients = '2 onions\n3 carrots\n1 cup red lentils'): string[] {
  const read = readRecipe(
    parseRecipe(`Test dish\nServes 4\n\nIngredients\n${ingredients}\n\nMethod\n${step}`),
    settings,
  );
  return read.lines.filter((l) => l.origin === 'method').map((l) => l.foods[0]?.food?.kind ?? '?');
}

describe('a dairy word behind a food of the list is that food', () => {
  test.each<[string, string[]]>([
    ['Spoon over the bean cream.', []],
    ['Stir in the cashew butter.', []],
    ['Stir in the cream.', ['animal']],
    ['Stir in the tofu cream.', ['animal']],
  ])('%s', (step, expected) => expect(brought(step, '1 can white beans\n50 g cashews')).toEqual(expected));
});

describe('what only the method names is found', () => {
  test.each<[string, string]>([
    ['Heat 2 tbsp olive oil in a pan and fry the onions.', 'oil'],
    ['Fry the onions in a little oil.', 'oil'],
    ['Grease a 20 cm tin.', 'oil'],
    ['Lightly oil a baking tray.', 'oil'],
    ['Line and oil the loaf tin.', 'oil'],
    ['Brush the top with oil before baking.', 'oil'],
    ['Drizzle with extra virgin olive oil to serve.', 'oil'],
    ['Spray the pan with cooking spray.', 'oil'],
    ['Mist the wedges and roast for 30 minutes.', 'oil'],
    ['Cook the lentils in plenty of salted water.', 'salt'],
    ['Bring a large pot of salted water to the boil.', 'salt'],
    ['Salt the water generously.', 'salt'],
    ['Boil in well-salted water until tender.', 'salt'],
    ['Season to taste and serve.', 'salt'],
    ['Season with salt and pepper.', 'salt'],
    ['Add a pinch of salt.', 'salt'],
    ['Check the seasoning.', 'salt'],
    ['Stir in a splash of soy sauce.', 'salty'],
    ['Finish with 1 tbsp tamari.', 'salty'],
    ['Sweeten with a drizzle of maple syrup.', 'syrup'],
    ['Add a teaspoon of sugar to balance the acid.', 'sugar'],
    ['Scatter with toasted walnuts.', 'nut'],
    ['Top with a dollop of tahini.', 'nut-butter'],
    ['Swirl in some coconut milk.', 'coconut'],
    ['Add a glass of white wine and let it bubble away.', 'alcohol'],
    ['Fold in a knob of vegan butter.', 'solid-fat'],
    ['Pour over 500 ml vegetable stock.', 'stock'],
    ['Do not let it burn; add more oil if it sticks.', 'oil'],
    ["Don't be shy with the olive oil.", 'oil'],
  ])('%s', (step, kind) => {
    expect(brought(step)).toContain(kind);
  });
});

describe('negations and comparisons are no offence', () => {
  test.each([
    'Soften the onions in a splash of water, no oil needed.',
    'Cook without oil or salt until soft.',
    'There is no need to add salt.',
    "Don't add any salt at this stage.",
    'Use water instead of oil.',
    'Roast on parchment rather than in oil.',
    'This is an oil-free dish, and salt-free too.',
    'Fry in a dry pan with no fat or oil.',
    'Blend until it looks like melted butter.',
    'Simmer to the consistency of double cream.',
    'Stir until as thick as peanut butter.',
    'Bring to the boil and simmer.',
    'Boil the lentils in unsalted water.',
    'Season with lemon juice and black pepper.',
    'Skip the salt: the lemon does the work.',
    'Never add oil to this one.',
    'Heat a dry pan and toast the onions.',
    'Line a tin with baking paper.',
    'Mist with water if it looks dry.',
    'Leave out the sugar.',
    'Chop everything into chunks about the size of a walnut.',
  ])('%s', (step) => {
    expect(brought(step)).toEqual([]);
  });
});

describe('what the list already holds is not counted twice', () => {
  test.each<[string, string]>([
    ['Heat the oil and fry the onions.', '3 tbsp olive oil\n2 onions'],
    ['Add the soy sauce.', '2 tbsp soy sauce or tamari\n2 onions'],
    ['Stir in the tamari.', '2 tbsp soy sauce (or tamari)\n2 onions'],
    ['Season with salt and pepper.', 'salt and pepper\n2 onions'],
    ['Melt the coconut oil in a wide pan.', '2 tbsp coconut oil\n2 onions'],
    ['Toast the seeds until they jump.', '1 tsp cumin seeds\n2 onions'],
    ['Stir in the cashew cream.', 'For the cashew cream:\n1 cup cashews\n½ cup water'],
    ['Add the stock and simmer.', '1 litre vegetable stock\n2 onions'],
    ['Whisk in the sugar.', '½ cup brown sugar\n1 cup flour'],
    ['Pour in the milk.', '1 cup soy milk\n2 onions'],
    ['Cream butter and sugars until pale.', '100 g vegan butter\n100 g sugar'],
    ['Rub the vegan butter into the flour.', '100 g vegan butter\n200 g flour'],
  ])('%s', (step, ingredients) => {
    expect(brought(step, ingredients)).toEqual([]);
  });

  test('more than the list says is read as perhaps more', () => {
    const read = readRecipe(
      parseRecipe(
        'Soup\nServes 4\n\nIngredients\n½ tsp salt\n2 onions\n\nMethod\nTaste and add more salt if needed.',
      ),
      settings,
    );
    const extra = read.lines.find((l) => l.origin === 'method');
    expect(extra?.foods[0]?.grams?.low).toBe(0);
    expect(extra?.foods[0]?.grams?.high).toBeGreaterThan(0);
  });

  test('an amount in the method is read', () => {
    const read = readRecipe(
      parseRecipe('Soup\nServes 4\n\nIngredients\n2 onions\n\nMethod\nFry the onions in 2 tbsp olive oil.'),
      settings,
    );
    expect(read.lines.find((l) => l.origin === 'method')?.foods[0]?.grams?.best).toBeCloseTo(27, 0);
  });

  test('words are marked where they stand', () => {
    const text = 'Soup\n\nIngredients\n2 onions\n\nMethod\nFry them in a little oil.';
    const line = readRecipe(parseRecipe(text), settings).lines.find((l) => l.origin === 'method');
    expect(text.slice(line?.line.start, line?.line.end)).toBe('oil');
  });
});
