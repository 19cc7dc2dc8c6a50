import { US_MEASURES } from '@/core/measure/units';
import { auditRecipe } from '@/core/audit/audit';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { rankSwaps } from './rank';
import { rolesOf, roleOf } from './roles';
import { leaning, NO_TASTES, tastesOf } from './tastes';

const settings = { measures: US_MEASURES, corrections: {} };
const strict = protocolById('heart-strict') as Protocol;
const TEXT =
  'Lock pot\nServes 4\n\n2 tbsp olive oil\n2 onions\n1 kg potatoes\n30 g sunflower seeds\n\nMethod\nFry the onions in the oil. Add the potatoes and simmer. Scatter with the seeds.';
const read = readRecipe(parseRecipe(TEXT), settings);
const before = auditRecipe(read, strict, {});
const names = (tastes = NO_TASTES, line = 0) =>
  rankSwaps(read, line, strict, before, settings, { tastes }).previews.map((p) => p.swap.id);

describe('what a kitchen has, likes and has done', () => {
  const wine = { id: 'saute-wine', to: [{ food: 'vinegar' }] };
  test('leans, with its reasons', () => {
    const t = tastesOf(
      [{ foodId: 'vinegar', has: true, liking: 1 }],
      [{ swapId: 'saute-wine', times: 2, worked: true }],
    );
    const lean = leaning(wine, t);
    expect(lean.by).toBeGreaterThan(0);
    expect(lean.because).toEqual(['you have it', 'you like it', 'it worked before']);
  });
  test('what failed and what somebody does not like lean the other way', () => {
    const t = tastesOf([], [{ swapId: 'saute-wine', times: 1, worked: false }], ['vinegar']);
    expect(leaning(wine, t).by).toBeLessThan(0);
    expect(leaning(wine, NO_TASTES)).toEqual({ by: 0, because: [] });
  });
  test('what worked comes first among those that do the same, what failed comes later', () => {
    const plain = names();
    const second = plain[1] as string;
    const worked = names(tastesOf([], [{ swapId: second, times: 3, worked: true }]));
    expect(worked.indexOf(second)).toBe(0);
    const failed = names(tastesOf([], [{ swapId: plain[0] as string, times: 3, worked: false }]));
    expect(failed.indexOf(plain[0] as string)).toBeGreaterThan(0);
  });
  test('never a limit: the same swaps are offered', () => {
    const t = tastesOf([{ foodId: 'stock-nsa', has: false, liking: -1 }], []);
    expect(names(t).sort()).toEqual(names().sort());
  });
});

describe('a swap that moves nothing says so', () => {
  test('one seed for another changes no limit, the oil does', () => {
    const seeds = rankSwaps(read, 3, strict, before, settings).previews;
    const oil = rankSwaps(read, 0, strict, before, settings).previews;
    expect(oil.some((p) => p.moves)).toBe(true);
    const still = seeds.filter((p) => !p.moves);
    for (const p of still) expect(Math.abs(p.gain)).toBeLessThan(0.05);
  });
});

describe('the cook’s own word on a role', () => {
  const overruled = (role: string) =>
    readRecipe(parseRecipe(TEXT), { ...settings, corrections: { '2 tbsp olive oil': { role } } });
  test('goes before what Dulvet reads, and brings other swaps', () => {
    const own = overruled('dressing');
    const line = own.lines[0] as (typeof own.lines)[number];
    expect(roleOf(read, read.lines[0] as (typeof own.lines)[number]).id).toBe('saute');
    expect(roleOf(own, line)).toEqual({ id: 'dressing', label: 'dressing', evidence: 'you said so' });
    const ids = rankSwaps(own, 0, strict, before, settings).previews.map((p) => p.swap.id);
    expect(ids[0]).not.toBe(names()[0]);
    expect(line.corrected).toBe(false);
  });
  test('a role that is not known is passed over', () => {
    const own = overruled('nonsense');
    expect(roleOf(own, own.lines[0] as (typeof own.lines)[number]).id).toBe('saute');
  });
  test('every kind that has swaps by role names its roles once', () => {
    for (const kind of ['oil', 'salt', 'sugar', 'nut']) {
      const ids = rolesOf(kind).map((r) => r.id);
      expect(ids.length).toBeGreaterThan(2);
      expect(new Set(ids).size).toBe(ids.length);
    }
  });
});

describe('roles by what the method says', () => {
  const role = (line: string, method: string, title = 'Pot', more = '1 kg potatoes') => {
    const r = readRecipe(
      parseRecipe(`${title}\nServes 4\n\n${line}\n${more}\n\nMethod\n${method}`),
      settings,
    );
    return roleOf(r, r.lines[0] as (typeof r.lines)[number]).id;
  };
  test.each<[string, string, string, string, string]>([
    [
      '3 tbsp olive oil',
      'Toss the potatoes in the oil. Roast for 40 minutes.',
      'Pot',
      '1 kg potatoes',
      'roast',
    ],
    ['3 tbsp olive oil', 'Fry the onions in the oil.', 'Pot', '2 onions', 'saute'],
    [
      '1 tbsp oil',
      'Heat the oil in a frying pan and cook the batter.',
      'Griddle cakes',
      '1 tsp baking powder',
      'crisp',
    ],
    ['100 ml oil', 'Whisk in the oil and bake.', 'Loaf', '1 tsp baking powder', 'bake'],
    ['30 g vegan butter', 'Stir the butter into the rice at the end.', 'Pot', '300 g rice', 'enrich'],
    ['150 g plain flour', 'Mix to a thick batter.', 'Pot', '1 tsp baking powder', 'flour'],
    ['2 tbsp plain flour', 'Stir in the flour and thicken.', 'Pot', '1 l stock', 'roux'],
    ['3 tbsp peanut butter', 'Stir it in.', 'Overnight oats', '100 g oats', 'sweet-richness'],
    ['2 tbsp maple syrup', 'Stir it in.', 'Overnight oats', '100 g oats', 'sweet-bowl'],
  ])('%s: %s', (line, method, title, more, expected) =>
    expect(role(line, method, title, more)).toBe(expected),
  );
  test.each([
    ['1 tbsp maple syrup each', 'sweet-bowl'],
    ['1 tbsp almond butter to share', 'sweet-richness'],
    ['20 g walnuts', 'sweet-topping'],
  ])('%s on top of pancakes sweetens a plate and no batter', (topping, expected) => {
    const r = readRecipe(
      parseRecipe(
        `Pancakes\nServes 2\n\n150 g flour\n2 tsp baking powder\n\nCook. Top with berries and ${topping}.`,
      ),
      settings,
    );
    const line = r.lines.find(
      (l) => l.origin === 'method' && topping.includes(l.foods[0]?.text.split(' ').at(-1) ?? '-'),
    );
    expect(line && roleOf(r, line).id).toBe(expected);
  });
});
