import { auditText } from '@/core/audit/text';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { fromCooklang, isCooklang } from './cooklang';
import { recipeText } from './text';

const lines = (source: string) => parseRecipe(fromCooklang(source)).lines.map((l) => l.text);
const steps = (source: string) => parseRecipe(fromCooklang(source)).steps.map((s) => s.text);

/* The sentences of the published Cooklang specification, from memory. */
describe('the syntax as it is published', () => {
  test.each<[string, string[]]>([
    ['Then add @salt and @ground black pepper{} to taste.', ['salt', 'ground black pepper']],
    ['Poke holes in @potato{2}.', ['2 potato']],
    [
      'Place @bacon strips{1%kg} on a baking sheet and glaze with @syrup{1/2%tbsp}.',
      ['1 kg bacon strips', '1/2 tbsp syrup'],
    ],
    [
      'Mix @onion{1}(peeled and finely chopped) and @garlic{2%cloves}(peeled and minced) into paste.',
      ['1 onion, peeled and finely chopped', '2 cloves garlic, peeled and minced'],
    ],
    ['Mash @potato{2%kg} until smooth -- alternatively, boil them first, then mash them.', ['2 kg potato']],
    ['Slowly add @milk{4%cup} [- TODO change units to litres -], keep mixing', ['4 cup milk']],
    ['Add @?thyme{2%sprigs} and @&(~1)salt{}.', ['2 sprigs thyme (optional)']],
    ['Stir in @white wine|wine{=100%ml}.', ['100 ml white wine']],
    ['Pour over @./sauces/Lock sauce{150%g}.', ['150 g Lock sauce']],
  ])('%s', (source, expected) => expect(lines(source)).toEqual(expected));

  test('steps are plain words: names, cookware and times without their signs', () => {
    expect(
      steps(
        'Lay the @potatoes{4} on a #baking sheet{} and place into the #oven. Bake for ~{25%minutes}. Rest ~dough{1%hour}.',
      ),
    ).toEqual([
      'Lay the potatoes on a baking sheet and place into the oven. Bake for 25 minutes. Rest 1 hour.',
    ]);
  });
  test('an alias is what the step calls it', () =>
    expect(steps('Stir in @white wine|wine{100%ml}.')).toEqual(['Stir in wine.']));
  test('rows of one paragraph are one step, a blank row ends it', () =>
    expect(steps('Boil @water{1%l}\nwith @salt{}.\n\nAdd @rice{200%g}.')).toEqual([
      'Boil water with salt.',
      'Add rice.',
    ]));
});

describe('a whole recipe', () => {
  const SOURCE = `---
title: Quay lentils
servings: 4
---
-- for a cold night
= Lentils

Heat @olive oil{2%tbsp} in a #large pan{} and fry @onions{2}(chopped) for ~{8%minutes}.

Add @red lentils{300%g} and @water{1%l}, simmer ~{20%minutes}. Season with @salt{1/2%tsp}.

== To finish ==
Scatter with @parsley{}(chopped).

> Keeps three days.
`;
  test('is known, and plain text is not taken for it', () => {
    expect(isCooklang(SOURCE)).toBe(true);
    expect(isCooklang('Pot\n2 onions\nmail the cook @ the boathouse')).toBe(false);
    expect(isCooklang('{"@type": "Recipe"}')).toBe(false);
  });
  test('has its title, servings, sections and notes', () => {
    const recipe = parseRecipe(fromCooklang(SOURCE));
    expect(recipe.title).toBe('Quay lentils');
    expect(recipe.servings?.range).toEqual({ low: 4, best: 4, high: 4 });
    expect(recipe.lines.map((l) => l.section)).toEqual([...Array<string>(5).fill('Lentils'), 'To finish']);
    expect(recipe.steps).toHaveLength(3);
    expect(fromCooklang(SOURCE)).toContain('- Keeps three days.');
  });
  test('audits as the same recipe written out does', () => {
    const strict = protocolById('heart-strict') as Protocol;
    const plain = `Quay lentils\nServes 4\n\nIngredients\n2 tbsp olive oil\n2 onions, chopped\n300 g red lentils\n1 l water\n1/2 tsp salt\nparsley, chopped\n\nMethod\nHeat the oil and fry the onions. Add the lentils and water, simmer. Season with the salt. Scatter with parsley.`;
    const [a, b] = [SOURCE, plain].map((t) => auditText(t, strict));
    if (!a?.ok || !b?.ok) throw new Error('not read');
    expect(a.audit.recipes[0]?.total.fatSharePercent).toEqual(b.audit.recipes[0]?.total.fatSharePercent);
    expect(a.audit.recipes[0]?.perServing.sodiumMg).toEqual(b.audit.recipes[0]?.perServing.sodiumMg);
    expect(a.audit.recipes[0]?.unresolved).toEqual([]);
  });
  test('older facts, and no title', () => {
    const text = recipeText('>> servings: 2\n\nToss @rocket{80%g} with @lemon juice{1%tbsp}.');
    if (!text.ok) throw new Error(text.message);
    expect(text.recipes[0]).toContain('Serves 2');
    expect(text.recipes[0]).toContain('- 80 g rocket');
  });
  test('what is named twice without an amount is one line', () =>
    expect(lines('Add @salt. Fry @onion{1}. Add @salt{}.')).toEqual(['salt', '1 onion']));
});
