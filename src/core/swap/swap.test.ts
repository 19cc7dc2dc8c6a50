import { auditRecipe } from '@/core/audit/audit';
import { FOODS, foodById } from '@/core/food/table';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { applySwap } from './apply';
import { rankSwaps } from './rank';
import { roleOf, SWAPS, swapsFor } from './roles';

const settings = { measures: US_MEASURES, corrections: {} };
const strict = protocolById('heart-strict') as Protocol;
const read = (text: string) => readRecipe(parseRecipe(text), settings);
const roleIn = (text: string, line = 0) => {
  const r = read(text);
  return roleOf(r, r.lines[line] as (typeof r.lines)[number]).id;
};
const swapById = (id: string) => SWAPS.find((s) => s.id === id) as (typeof SWAPS)[number];
const apply = (text: string, id: string, line = 0) => applySwap(read(text), line, swapById(id), settings);

const recipe = (lines: string, method: string, title = 'Pot') =>
  `${title}\nServes 4\n\nIngredients\n${lines}\n\nMethod\n${method}`;

describe('what the swaps cover', () => {
  test('at least 420, each with a technique', () => {
    expect(SWAPS.length).toBeGreaterThanOrEqual(420);
    expect(SWAPS.every((s) => s.technique.length > 3 && s.closeness >= 0 && s.closeness <= 1)).toBe(true);
  });
  test.each([
    'oil',
    'solid-fat',
    'nut',
    'nut-butter',
    'coconut',
    'salt',
    'salty',
    'stock',
    'sugar',
    'syrup',
    'refined-grain',
    'plant-dairy',
    'meat-stand-in',
    'chocolate',
  ])('every %s has one', (kind) => {
    const without = FOODS.filter(
      (f) => f.kind === kind && f.id !== 'stock-nsa' && f.kindClass !== 'animal',
    ).filter((f) => !SWAPS.some((s) => s.from.foods?.includes(f.id) || s.from.kinds?.includes(kind)));
    // what is itself a good choice, or has none to offer
    const fine = new Set([
      'stock-oil',
      'soy-yoghurt',
      'worcestershire',
      'hoisin',
      'pickle-brine',
      'yeast-extract',
      'coconut-flour',
      'coconut-water',
      'protein-powder',
      'cereal-sweet',
      'puffed-rice',
      'ice-cream-vegan',
      'condensed-coconut-milk',
      'peanut-powder',
      'rice-flour',
      'dashi-kombu',
      'oat-cream',
      'soy-skyr',
      'bread-white',
    ]);
    expect(without.map((f) => f.id).filter((id) => !fine.has(id))).toEqual([]);
  });
  test('no swap’s words for the method bring in a food of their own', () => {
    const strange = SWAPS.filter((s) => !s.to.some((t) => t.food === 'same')).flatMap((s) => {
      const put = s.inMethod ?? (s.to.length > 0 ? `the ${s.to[0]?.text.split(', ')[0] ?? ''}` : 'nothing');
      const r = read(
        recipe(
          `${s.to.map((t) => `100 g ${t.text}`).join('\n')}\n1 kg rice`,
          `Stir in ${put}. ${s.adds ?? ''}`,
        ),
      );
      return r.lines.filter((l) => l.origin === 'method').map((l) => `${s.id}: ${l.line.text}`);
    });
    expect(strange).toEqual([]);
  });
  test('no swap for oil, nuts or salt brings oil in', () => {
    for (const swap of SWAPS)
      for (const to of swap.to) {
        const food = foodById(to.food);
        if (food) expect(food.adds.includes('oil')).toBe(food.id === 'bread-whole');
      }
  });
});

describe('roles', () => {
  test.each<[string, string]>([
    [recipe('2 tbsp olive oil\n2 onions', 'Heat the oil and fry the onions.'), 'saute'],
    [
      recipe('2 tbsp olive oil\n2 aubergines', 'Toss the aubergine with the oil and roast at 200 °C.'),
      'roast',
    ],
    [recipe('½ cup sunflower oil\n1 cup flour\n2 tsp baking powder', 'Whisk in the oil.', 'Loaf'), 'bake'],
    [recipe('For the dressing:\n3 tbsp olive oil\n1 tbsp vinegar', 'Whisk.', 'Green salad'), 'dressing'],
    [recipe('oil for greasing\n1 cup flour', 'Grease the tin.'), 'grease'],
    [recipe('1 tbsp oil\n1 tsp mustard seeds', 'Heat the oil until the mustard seeds splutter.'), 'temper'],
    [recipe('1 cup cashews, soaked\n1 cup water', 'Blend until smooth.'), 'cream'],
    [recipe('2 tbsp walnuts, chopped\n1 lettuce', 'Scatter the walnuts over.'), 'topping'],
    [recipe('1 can coconut milk\n2 onions', 'Simmer.', 'Chickpea curry'), 'curry-body'],
    [recipe('1 tsp salt\n1 kg potatoes', 'Season with the salt.'), 'seasoning'],
    [recipe('2 tsp sugar\n1 can tomatoes', 'Add the sugar.'), 'balance'],
    [recipe('2 tsp sugar\n1 tsp baking powder\n1 cup flour', 'Add the sugar.', 'Scones'), 'sugar-bake'],
  ])('%s', (text, role) => {
    expect(roleIn(text)).toBe(role);
  });
});

describe('applying', () => {
  test('the line is rewritten in kitchen measures, its bullet stays, the method follows', () => {
    const swapped = apply(
      recipe('- 2 tbsp olive oil\n- 2 onions', 'Heat the olive oil in a pan and soften the onions.'),
      'saute-stock',
    );
    expect(swapped?.text).toContain('- 3 tbsp vegetable stock, no salt added\n- 2 onions');
    expect(swapped?.text).toContain('Heat a little of the stock in a pan');
    const after = read(swapped?.text ?? '');
    expect(after.lines.some((l) => l.foods.some((f) => f.food?.kind === 'oil'))).toBe(false);
  });
  test("the cook's own words around the food stay", () => {
    expect(apply(recipe('2 cups basmati rice, rinsed well', 'Cook.'), 'rice-brown')?.lines).toEqual([
      '2 cups brown rice, rinsed well',
    ]);
    expect(apply(recipe('1.5 litres hot vegetable stock', 'Simmer.'), 'stock-unsalted')?.lines).toEqual([
      '1.5 litres vegetable stock, no salt added',
    ]);
    expect(
      apply(recipe('2 x 400g tins chickpeas, drained and rinsed', 'Simmer.'), 'chickpeas-canned-nsa')?.lines,
    ).toEqual(['2 x 400g tins chickpeas, no salt added, drained and rinsed']);
  });
  test('metric recipes stay metric', () => {
    expect(
      apply(
        recipe('100 g vegan butter\n200 g oats', 'Rub the vegan butter into the oats.', 'Crumble'),
        'crumb-date',
      )?.lines[0],
    ).toMatch(/^60 g /);
  });
  test('one line may become two', () => {
    expect(apply(recipe('¼ cup tahini\n1 lemon', 'Whisk.'), 'tahini-half')?.lines).toHaveLength(2);
  });
  test('a technique takes the line away and its words out of the method', () => {
    const swapped = apply(
      recipe('2 tbsp olive oil\n1 kg potatoes', 'Toss the potatoes with the oil and roast.'),
      'roast-dry',
    );
    expect(swapped?.lines).toEqual([]);
    expect(swapped?.text).not.toMatch(/\boil\b/);
    expect(swapped?.text).toContain('Ingredients\n1 kg potatoes');
  });
  test('greasing becomes lining', () => {
    const swapped = apply(
      recipe('oil for greasing\n200 g wholemeal flour', 'Grease the tin. Bake.'),
      'grease-paper',
    );
    expect(swapped?.text).toContain('Line the tin with baking paper');
    expect(read(swapped?.text ?? '').lines.some((l) => l.foods.some((f) => f.food?.kind === 'oil'))).toBe(
      false,
    );
  });
  test('words of the method are changed in place', () => {
    const r = read(recipe('1 cup quinoa', 'Cook the quinoa in plenty of salted water.'));
    const index = r.lines.findIndex((l) => l.origin === 'method');
    const swapped = applySwap(r, index, swapById('water-unsalted'), settings);
    expect(swapped?.text).toContain('Cook the quinoa in plenty of plain water.');
  });
  test('"salt and pepper" keeps its pepper', () => {
    expect(apply(recipe('1 kg potatoes\nsalt and pepper', 'Boil.'), 'salt-acid', 1)?.lines).toEqual([
      'lemon juice, to taste',
      'pepper, to taste',
    ]);
  });
  test('another oil of the recipe keeps its words', () => {
    const swapped = apply(
      recipe(
        '2 tbsp olive oil\n1 tsp sesame oil\n2 onions',
        'Heat the olive oil. Finish with the sesame oil.',
      ),
      'saute-dry',
    );
    expect(swapped?.text).toContain('Finish with the sesame oil');
    expect(swapped?.text).not.toContain('olive oil');
  });
  test('every swap can be written for a line of its food, and reads back', () => {
    const failed = SWAPS.flatMap((swap) => {
      const food = swap.from.foods
        ? foodById(swap.from.foods[0] ?? '')
        : FOODS.find((f) => f.kind === swap.from.kinds?.[0]);
      const name = food?.names.find((n) => !/\b(?:or|and|us)\b/.test(n)) ?? food?.name ?? '';
      const swapped = apply(recipe(`100 g ${name}\n1 onion`, 'Cook it all.'), swap.id);
      if (!swapped) return [`${swap.id}: not written`];
      const after = read(swapped.text);
      return after.lines
        .filter((l) => l.missing !== null)
        .map((l) => `${swap.id}: “${l.line.text}” is not understood`);
    });
    expect(failed).toEqual([]);
  });
});

describe('ranking', () => {
  const text = recipe(
    '3 tbsp olive oil\n2 aubergines\n1 can butter beans, no salt added, drained',
    'Toss with the oil and roast.',
    'Tray',
  );
  const r = read(text);
  const before = auditRecipe(r, strict);

  test('the best swap for the oil brings the dish within', () => {
    const { previews, role } = rankSwaps(r, 0, strict, before, settings);
    expect(role.id).toBe('roast');
    expect(previews[0]?.gain).toBeGreaterThan(1);
    expect(previews[0]?.after.limits.find((l) => l.id === 'no-added-oil')?.verdict).toBe('within');
  });
  test('what brings an allergen of somebody at the table comes last, and says so', () => {
    const { previews } = rankSwaps(r, 0, strict, before, settings, { avoid: ['celery'] });
    expect(previews.at(-1)?.unsafe).toEqual(['celery']);
  });
  test('a swap of one fat for another moves nothing', () => {
    const cashew = read(recipe('1 cup cashews, soaked\n1 cup water', 'Blend until smooth.'));
    const { previews } = rankSwaps(cashew, 0, strict, auditRecipe(cashew, strict), settings);
    const sunflower = previews.find((p) => p.swap.id === 'cream-sunflower');
    expect(Math.abs(sunflower?.gain ?? 9)).toBeLessThan(0.3);
    expect(sunflower?.takes).toContain('nuts');
  });
  test('a line of no food has none', () => {
    const odd = read(recipe('1 cup gronk', 'Stir.'));
    expect(rankSwaps(odd, 0, strict, auditRecipe(odd, strict), settings).previews).toEqual([]);
    expect(
      swapsFor(odd.lines[0] as (typeof odd.lines)[number], { id: 'any', label: '', evidence: '' }),
    ).toEqual([]);
  });
});
