import { foodById, type Food } from '@/core/food/table';
import { kitchenAmount, kitchenVolume, kitchenWeight } from './amount';
import { showNumber, showRange } from './figures';
import { readHtml } from './html';
import { isBinary, recipeText } from './text';

describe('what can be read as a recipe', () => {
  test.each([
    ['', 'empty'],
    ['   \n\t ', 'empty'],
    ['a\u0000b', 'binary'],
    [`\u0001\u0002\u0003\u0004\u0005\u0006`.repeat(30), 'binary'],
    ['x'.repeat(1024 * 1024 + 1), 'too-large'],
    ['é'.repeat(600_000), 'too-large'],
    ['<script>alert(1)</script>', 'no-recipe'],
  ])('refused with a word: %#', (text, code) => {
    const r = recipeText(text);
    expect(r.ok ? null : r.code).toBe(code);
    expect(r.ok ? '' : r.message.length).toBeGreaterThan(10);
  });
  test('a text of just under 1 MiB is read', () => {
    expect(recipeText('x'.repeat(1024 * 1024)).ok).toBe(true);
  });
  test('HTML becomes lines; scripts, styles and comments are gone', () => {
    const { words: text } = readHtml(
      '<html><head><title>x</title></head><body><h1>Pot</h1><!-- no --><script>steal()</script><style>p{}</style><ul><li>1 cup rice</li><li>&frac12; tsp salt &amp; pepper</li></ul><p onclick="evil()">Cook.<br>Eat.</p></body></html>',
    );
    expect(text).toContain('# Pot');
    expect(text).toContain('- 1 cup rice');
    expect(text).toContain('- ½ tsp salt & pepper');
    expect(text).toContain('Cook.\nEat.');
    expect(text).not.toMatch(/steal|evil|p\{|<|no -->/);
  });
  test('an unclosed script swallows only itself', () => {
    expect(readHtml('<p>1 cup rice</p><script>while(1){').words).toBe('1 cup rice');
  });
  test('a less-than sign in a recipe is no page', () => {
    expect(recipeText('Pot\n\nsalt (< 1 tsp)')).toEqual({ ok: true, recipes: ['Pot\n\nsalt (< 1 tsp)'] });
  });
  test('schema.org JSON-LD, bare and inside a page, in a graph', () => {
    const recipe = {
      '@type': 'Recipe',
      name: 'Pot',
      recipeYield: ['4', '4 servings'],
      recipeIngredient: ['1 cup rice', '1 tsp salt'],
      recipeInstructions: [
        { '@type': 'HowToSection', itemListElement: [{ '@type': 'HowToStep', text: 'Cook <b>it</b>.' }] },
      ],
    };
    const bare = recipeText(JSON.stringify(recipe));
    const page = recipeText(
      `<html><script type="application/ld+json">${JSON.stringify({ '@graph': [{ '@type': 'WebPage' }, recipe] })}</script><p>noise</p></html>`,
    );
    expect(bare).toEqual(page);
    expect(bare.ok && bare.recipes[0]).toContain(
      '# Pot\n\n4 servings\n\n## Ingredients\n- 1 cup rice\n- 1 tsp salt\n\n## Method\n1. Cook it.',
    );
  });
  test('plain text passes as it is, line ends in one form', () => {
    expect(recipeText('Pot\r\n1 cup rice')).toEqual({ ok: true, recipes: ['Pot\n1 cup rice'] });
    expect(isBinary('½ cup – “good” 💚')).toBe(false);
  });
});

describe('figures', () => {
  test.each<[number, string]>([
    [0, '0'],
    [0.03, '0.03'],
    [0.44, '0.4'],
    [2.44, '2.4'],
    [17.6, '18'],
    [350.2, '350'],
  ])('%d reads %s', (n, text) => expect(showNumber(n)).toBe(text));
  test.each<[number, number, string]>([
    [18, 18, '18'],
    [12, 18, '12–18'],
    [636, 1072, '640–1070'],
    [0, 0.04, '<0.1'],
    [0, 436, '0–440'],
  ])('%d to %d reads %s', (low, high, text) =>
    expect(showRange({ low, best: (low + high) / 2, high })).toBe(text),
  );
});

describe('kitchen amounts', () => {
  test.each<[number, string]>([
    [236.588, '1 cup'],
    [59.1, '¼ cup'],
    [78.9, '⅓ cup'],
    [473.2, '2 cups'],
    [29.6, '2 tbsp'],
    [14.8, '1 tbsp'],
    [22.2, '1½ tbsp'],
    [4.93, '1 tsp'],
    [2.46, '½ tsp'],
    [0.6, '⅛ tsp'],
  ])('%d ml is %s (NIST Handbook 44)', (ml, text) => expect(kitchenVolume(ml)).toBe(text));
  test('weights as a scale shows them', () => {
    expect(kitchenWeight(253, false)).toBe('255 g');
    expect(kitchenWeight(28.3495 * 8, true)).toBe('8 oz');
    expect(kitchenWeight(453.592, true)).toBe('1 lb');
  });
  test('in the manner of the recipe', () => {
    const stock = foodById('stock-nsa') as Food;
    expect(kitchenAmount(240, stock, 'spoons', true)).toBe('1 cup');
    expect(kitchenAmount(240, stock, 'metric', true)).toBe('240 ml');
    expect(kitchenAmount(240, foodById('oats') as Food, 'metric', false)).toBe('240 g');
  });
});
