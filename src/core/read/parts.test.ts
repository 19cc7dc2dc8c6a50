import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { auditRecipe } from '@/core/audit/audit';
import { protocolById, type Protocol } from '@/core/protocol';
import { larderOf, TABLE_LARDER, type Larder } from '@/core/food/larder';
import { readRecipe } from './read';
import { recipeShelf } from './recipes';

const strict = protocolById('heart-strict') as Protocol;
const settings = { measures: US_MEASURES, corrections: {} };
const withSauce = (method: string, heading = 'For the cashew sauce') =>
  readRecipe(
    parseRecipe(
      `Bake\nServes 4\n\nFor the bake\n1 kg potatoes\n\n${heading}\n100 g cashews\n1 tsp salt\n\nMethod\n${method}`,
    ),
    settings,
  );
const share = (method: string, heading?: string) => withSauce(method, heading).lines[1]?.share?.share ?? null;

describe('parts of which only some is eaten', () => {
  test.each<[string, [number, number, number] | null]>([
    ['Blend the sauce. Use half of the sauce and freeze the rest.', [0.5, 0.5, 0.5]],
    [
      'Spread a third of the cashew sauce over the bake; the rest keeps for another day.',
      [1 / 3, 1 / 3, 1 / 3],
    ],
    ['Pour over half the sauce, bake, then add the rest.', null],
    ['Pour half of the sauce over it and bake.', [0.5, 0.5, 1]],
    ['Freeze half of the sauce for another day. Pour the rest over.', [0.5, 0.5, 0.5]],
    ['Put an eighth of the cashew sauce on each plate.', [0.5, 0.5, 0.5]],
    ['Pour the sauce over the bake.', null],
    ['Cut the potatoes in half. Pour the sauce over them.', null],
  ])('%s', (method, expected) => {
    const got = share(method);
    if (!expected) expect(got).toBeNull();
    else {
      expect(got?.low).toBeCloseTo(expected[0], 6);
      expect(got?.best).toBeCloseTo(expected[1], 6);
      expect(got?.high).toBeCloseTo(expected[2], 6);
    }
  });
  test('the heading may say it', () => {
    expect(share('Bake.', 'For the cashew sauce (use half)')?.best).toBe(0.5);
  });
  test('what the part brings is halved with it, and the line says why', () => {
    const whole = auditRecipe(withSauce('Bake.'), strict);
    const half = auditRecipe(withSauce('Use half of the sauce and freeze the rest.'), strict);
    const salt = (a: typeof whole) => a.lines.find((l) => l.text === '1 tsp salt');
    expect(salt(half)?.contribution.sodiumMg?.best).toBeCloseTo(
      (salt(whole)?.contribution.sodiumMg?.best ?? 0) / 2,
      6,
    );
    expect(salt(half)?.grams?.best).toBeCloseTo((salt(whole)?.grams?.best ?? 0) / 2, 6);
    expect(salt(half)?.readings.join(' ')).toContain('half of the sauce');
    // potatoes are no part of it
    expect(half.lines[0]?.share).toBeNull();
  });
});

describe('a recipe as an ingredient of another', () => {
  const texts: Record<string, string> = {
    sauce: 'Lock House tomato sauce\nServes 4\n\n800 g tomatoes\n1 tsp salt',
    lentils: 'Mooring lentil layer\nServes 4\n\n400 g cooked lentils\n1 batch Lock House tomato sauce',
    bake: 'Towpath bake\nServes 4\n\n1 kg potatoes\n1 batch Mooring lentil layer',
    ring: 'Ring stew\nServes 4\n\n1 kg potatoes\n1 batch Round stew',
    round: 'Round stew\nServes 4\n\n1 kg carrots\n1 batch Ring stew',
    hummus: 'Hummus\nServes 4\n\n1 can chickpeas, no salt added, drained\n1 tbsp lemon juice',
  };
  function open(id: string, text = texts[id] as string) {
    let larder: Larder = larderOf([]);
    const shelf = Object.entries(texts).map(([key, t]) => ({
      id: key,
      title: t.split('\n')[0] as string,
      read: () => readRecipe(parseRecipe(t), { ...settings, larder, id: key }),
    }));
    larder = { ...larder, recipes: recipeShelf(shelf) };
    return auditRecipe(readRecipe(parseRecipe(text), { ...settings, larder, id }), strict);
  }
  test('its figures are carried in, to any depth', () => {
    const sauce = open('sauce');
    const bake = open('bake');
    const line = bake.lines[1];
    expect(line?.food?.id).toBe('recipe-lentils');
    // the salt of the sauce inside the lentils inside the bake
    expect(line?.contribution.sodiumMg?.best).toBeCloseTo(
      (sauce.total.sodiumMg?.best ?? 0) + 400 * 0.02,
      -1.7,
    );
    expect(line?.contribution.sodiumMg?.high).toBeGreaterThanOrEqual(
      (sauce.total.sodiumMg?.best ?? 0) * 0.99,
    );
  });
  test('a portion is a plate of it', () => {
    const a = open('x', 'Supper\nServes 1\n\n1 portion Lock House tomato sauce\n1 kg potatoes');
    const whole = open('sauce');
    expect(a.lines[0]?.contribution.sodiumMg?.best).toBeCloseTo((whole.total.sodiumMg?.best ?? 0) / 4, 0);
  });
  test('one that is made of itself is refused, and never counted as nothing', () => {
    const ring = open('ring');
    expect(ring.verdict).toBe('unknown');
    const own = open('round', 'Round stew\nServes 4\n\n1 kg carrots\n1 batch Round stew');
    expect(own.verdict).toBe('unknown');
    expect(own.lines[1]?.findings.map((f) => f.message).join(' ')).toContain('made of itself');
  });
  test('a plain name is the bought food unless the recipe is said to be meant', () => {
    expect(open('x', 'Plate\nServes 1\n\n50 g hummus').lines[0]?.food?.id).toBe('hummus');
    expect(open('x', 'Plate\nServes 1\n\n50 g homemade hummus').lines[0]?.food?.id).toBe('recipe-hummus');
  });
  test('without recipes the table reads the words', () => {
    expect(TABLE_LARDER.recipes).toBeUndefined();
  });
});

describe('assumed and optional lines, with and without', () => {
  const read = readRecipe(
    parseRecipe(
      'Curry\nServes 2\n\n400 g spinach\n1 tbsp tahini (optional)\n2 cups cooked brown rice, to serve',
    ),
    settings,
  );
  const audit = auditRecipe(read, strict);
  test('both ways are judged', () => {
    expect(audit.variants.map((v) => v.id)).toEqual(['with', 'without']);
    const [withAll, without] = audit.variants;
    const share = (v: typeof withAll) => v?.limits.find((l) => l.id === 'fat-share')?.value;
    expect(share(withAll)?.best).not.toBeCloseTo(share(without)?.best ?? 0, 1);
    expect(without?.limits.find((l) => l.id === 'nuts')?.verdict).toBe('within');
    expect(withAll?.limits.find((l) => l.id === 'nuts')?.verdict).toBe('over');
  });
  test('the dish itself allows for both', () => {
    expect(audit.limits.find((l) => l.id === 'nuts')?.verdict).toBe('depends');
    expect(audit.lines[2]?.assumed).toBe(true);
  });
  test('oil to serve is eaten', () => {
    const oil = auditRecipe(
      readRecipe(parseRecipe('Soup\nServes 2\n\n1 kg potatoes\n1 tbsp olive oil, to serve'), settings),
      strict,
    );
    expect(oil.limits.find((l) => l.id === 'no-added-oil')?.verdict).toBe('over');
  });
});

describe('natural variation, a second band', () => {
  const text = 'Carrots\nServes 2\n\n500 g carrots\n200 g aubergine';
  test('widens figures and never narrows them', () => {
    const plain = auditRecipe(readRecipe(parseRecipe(text), settings), strict);
    const wide = auditRecipe(readRecipe(parseRecipe(text), { ...settings, natural: true }), strict);
    for (const name of ['energyKcal', 'fatG', 'sodiumMg', 'fatSharePercent'] as const) {
      expect(wide.total[name]?.low).toBeLessThan(plain.total[name]?.low ?? 0);
      expect(wide.total[name]?.high).toBeGreaterThan(plain.total[name]?.high ?? 0);
      expect(wide.total[name]?.best).toBeCloseTo(plain.total[name]?.best ?? 0, 9);
    }
  });
});
