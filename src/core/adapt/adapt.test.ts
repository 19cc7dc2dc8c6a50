import loadHighs from 'highs';
import jsLp from 'javascript-lp-solver';
import { auditText } from '@/core/audit/text';
import { dishOf, isComplete } from '@/core/audit/dish';
import { US_MEASURES } from '@/core/measure/units';
import { PROTOCOLS, protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { adapt, type ForDiner, type Solve } from './adapt';
import { costOf, holds, lpOf, modelOf, selectionOf, type Model, type Selection } from './model';
import { choicesOf, gramsOf } from './options';
import { AdaptationSchema } from './schema';
import { solverOf } from './solver';

const settings = { measures: US_MEASURES, corrections: {} };
const of = (id: string) => protocolById(id) as Protocol;
let solve: Solve;
beforeAll(async () => {
  solve = solverOf(await loadHighs());
});
const recipe = (lines: string, method = 'Simmer everything.', title = 'Pot', servings = 4) =>
  `${title}\nServes ${servings}\n\n${lines}\n\nMethod\n${method}`;
const run = (text: string, diners: readonly ForDiner[], options = {}) =>
  adapt(readRecipe(parseRecipe(text), settings), diners, settings, options, solve);

function modelFor(text: string, protocols: readonly Protocol[]): Model {
  const read = readRecipe(parseRecipe(text), settings);
  const dish = dishOf(read);
  if (!isComplete(dish)) throw new Error('not read');
  return modelOf(
    choicesOf(read, settings),
    protocols.map((protocol) => ({ protocol, allergens: [], dish, role: 'main' as const })),
    gramsOf(read),
  );
}

/** Every selection there is. */
function* selections(model: Model, at = 0): Generator<Selection> {
  if (at === model.lines.length) yield [];
  else
    for (let k = 0; k < (model.lines[at]?.choices.length ?? 0); k += 1)
      for (const rest of selections(model, at + 1)) yield [k, ...rest];
}

/** Least departure by looking at all of them. */
function exhaustive(model: Model): number | null {
  let best: number | null = null;
  for (const s of selections(model)) {
    const cost = costOf(model, s);
    if ((best === null || cost < best) && holds(model, s)) best = cost;
  }
  return best;
}

const SMALL = [
  recipe('1 tbsp olive oil\n1 kg potatoes\n½ tsp salt'),
  recipe('2 tbsp soy sauce\n200 g brown rice\n1 tbsp tahini'),
  recipe('2 tbsp maple syrup\n500 g carrots\n30 g walnuts'),
  recipe('1 can chickpeas\n400 g spinach\n1 tsp salt'),
  recipe('1 avocado\n1 can black beans, drained\n1 tsp salt'),
];

describe('the least of all plans', () => {
  const cases = SMALL.flatMap((text) =>
    ['heart-strict', 'nothing-added', 'everyday'].map((id) => [id, text] as const),
  );
  test.each(cases)('%s: HiGHS finds what looking at every selection finds', (id, text) => {
    const model = modelFor(text, [of(id)]);
    const found = solve(lpOf(model));
    const least = exhaustive(model);
    if (!found) {
      expect(least).toBeNull();
      return;
    }
    const selection = selectionOf(model, found);
    expect(holds(model, selection)).toBe(true);
    expect(costOf(model, selection)).toBeCloseTo(least ?? NaN, 6);
  });

  test.each(cases)('%s: a second public solver agrees', (id, text) => {
    const model = modelFor(text, [of(id)]);
    const found = solve(lpOf(model));
    const variables: Record<string, Record<string, number>> = {};
    const ints: Record<string, 1> = {};
    const constraints: Record<string, { max?: number; equal?: number }> = {};
    model.rows.forEach((row, r) => {
      constraints[`r${r}`] = { max: row.most / row.scale };
    });
    model.lines.forEach((l, i) => {
      constraints[`o${i}`] = { equal: 1 };
      l.choices.forEach((_, k) => {
        if (model.barred.has(`${i} ${k}`)) return;
        const v: Record<string, number> = { cost: model.costs[i]?.[k] ?? 0, [`o${i}`]: 1 };
        model.rows.forEach((row, r) => {
          v[`r${r}`] = (row.coefficients[i]?.[k] ?? 0) / row.scale;
        });
        variables[`x${i}_${k}`] = v;
        ints[`x${i}_${k}`] = 1;
      });
    });
    const other = jsLp.Solve({ optimize: 'cost', opType: 'min', constraints, variables, ints }) as {
      feasible: boolean;
      result: number;
    };
    expect(other.feasible).toBe(found !== null);
    if (found) expect(other.result).toBeCloseTo(costOf(model, selectionOf(model, found)), 5);
  });
});

describe('plans', () => {
  const oily = recipe(
    '3 tbsp olive oil\n2 onions, chopped\n1 kg potatoes\n1 tsp salt',
    'Fry the onions in the oil. Add the potatoes and salt and simmer.',
  );
  test('every plan is within by a fresh audit of its own text, for every protocol', () => {
    for (const protocol of PROTOCOLS) {
      const { plans } = run(oily, [{ protocol }], { alternatives: 3 });
      expect(plans.length).toBeGreaterThan(0);
      for (const plan of plans) {
        const fresh = auditText(plan.text, protocol);
        if (!fresh.ok) throw new Error(fresh.message);
        expect(['within', 'near']).toContain(fresh.audit.recipes[0]?.verdict);
      }
    }
  });
  test('they come the least first, and differ', () => {
    const { plans } = run(oily, [{ protocol: of('heart-strict') }], { alternatives: 3 });
    const departures = plans.map((p) => p.departure);
    expect([...departures].sort((a, b) => a - b)).toEqual(departures);
    expect(new Set(plans.map((p) => p.text)).size).toBe(plans.length);
    expect(plans[0]?.optimal).toBe(true);
  });
  test('what is within already needs nothing', () => {
    const { plans } = run(recipe('1 kg potatoes\n200 g carrots'), [{ protocol: of('heart-strict') }]);
    expect(plans[0]).toMatchObject({ changes: [], departure: 0, optimal: true });
  });
  test('a locked line stays', () => {
    const text = recipe('30 g walnuts\n1 kg potatoes\n1 tsp salt');
    const { plans } = run(text, [{ protocol: of('nothing-added') }], { locked: ['30 g walnuts'] });
    expect(plans[0]?.changes.some((c) => c.from.includes('walnuts'))).toBe(false);
    expect(plans[0]?.text).toContain('30 g walnuts');
  });
  test('an allergen of somebody at the table goes, and none comes in', () => {
    const { plans } = run(recipe('50 g walnuts\n1 kg potatoes'), [
      { protocol: of('everyday'), allergens: ['nuts', 'soy'] },
    ]);
    expect(plans.length).toBeGreaterThan(0);
    for (const p of plans) expect(p.after.allergens.filter((a) => a === 'nuts' || a === 'soy')).toEqual([]);
  });
  test('everyone at the table at once', () => {
    const diners = ['heart-strict', 'nothing-added', 'light-plate'].map((id) => ({ protocol: of(id) }));
    const { plans } = run(oily, diners);
    for (const { protocol } of diners) {
      const fresh = auditText(plans[0]?.text ?? '', protocol);
      if (!fresh.ok) throw new Error(fresh.message);
      expect(['within', 'near']).toContain(fresh.audit.recipes[0]?.verdict);
    }
  });
  test('where nothing fits, it says which limits collide and how near one gets', () => {
    const { plans, infeasible } = run(
      recipe('200 g walnuts', 'Roast them.', 'Roast nuts', 2),
      [{ protocol: of('heart-strict') }],
      { locked: ['200 g walnuts'] },
    );
    expect(plans).toEqual([]);
    expect(infeasible?.limits.length).toBeGreaterThan(0);
    expect(infeasible?.closest).not.toBeNull();
    expect(infeasible?.without.map((w) => w.limit)).toEqual(infeasible?.limits);
    expect(infeasible?.unlocked.map((u) => u.line)).toEqual(['200 g walnuts']);
  });
  test('what letting a kept line change would buy is as many changes as there are then', () => {
    const text = recipe('2 tbsp olive oil\n1 kg potatoes\n1 tsp salt');
    const diners = [{ protocol: of('heart-strict') }];
    const kept = run(text, diners, { locked: ['2 tbsp olive oil'] });
    const free = run(text, diners);
    expect(kept.plans).toEqual([]);
    expect(kept.infeasible?.unlocked).toEqual([
      { line: '2 tbsp olive oil', changes: free.plans[0]?.changes.length },
    ]);
  });
  test('a pickle is left alone', () => {
    const { plans, infeasible } = run(
      'Pickled beans\n\n1 kg green beans\n500 ml vinegar\n2 tbsp salt\n\nPour the hot brine over and seal the jars.',
      [{ protocol: of('heart-strict') }],
    );
    expect(plans).toEqual([]);
    expect(infeasible?.because).toContain('pickle');
  });
  test('a batter keeps its wet to its flour, a quarter less to a third more', () => {
    const muffins = recipe(
      '250 g plain flour\n100 g caster sugar\n2 tsp baking powder\n240 ml soya milk\n80 ml sunflower oil\n150 g blueberries',
      'Whisk the milk and oil. Mix the dry. Combine and bake.',
      'Muffins',
      12,
    );
    // water and fat of all but the flour, against the flour, from the text alone
    const ratio = (text: string) => {
      const lines = readRecipe(parseRecipe(text), settings).lines.filter((l) => l.origin === 'ingredients');
      const sum = (of: (food: NonNullable<(typeof lines)[number]['foods'][number]['food']>) => number) =>
        lines.reduce(
          (s, l) => s + l.foods.reduce((t, f) => t + (f.food && f.grams ? of(f.food) * f.grams.best : 0), 0),
          0,
        );
      const wet = sum((f) => ((f.waterG ?? 0) + (f.kindClass === 'oil' ? 100 : 0)) / 100);
      return wet / sum((f) => (f.classes.includes('flour') ? 1 : 0));
    };
    for (const id of ['heart-strict', 'nothing-added', 'everyday'])
      for (const plan of run(muffins, [{ protocol: of(id) }], { alternatives: 2 }).plans) {
        const change = ratio(plan.text) / ratio(muffins);
        expect(change).toBeGreaterThan(0.7);
        expect(change).toBeLessThan(1.4);
      }
  });
  test('a line that is not understood promises nothing', () => {
    const { plans, infeasible } = run(recipe('2 tbsp olive oil\n2 cups gronk'), [
      { protocol: of('everyday') },
    ]);
    expect(plans).toEqual([]);
    expect(infeasible?.because).toContain('gronk');
  });
  test('a name that promised what went out says so, and its audit believes it', () => {
    const { plans } = run(
      'Lock noodles with walnut sauce\nServes 4\n\n1 kg potatoes\n100 g walnuts\n200 g spinach\n\nMethod\nBoil the potatoes. Scatter the walnuts and spinach over.',
      [{ protocol: of('heart-strict') }],
    );
    const [plan] = plans;
    expect(plan?.text.split('\n')[0]).toBe('Lock noodles with chestnut sauce');
    expect(plan?.changes.at(-1)).toMatchObject({ swap: 'name', departure: 0 });
    expect(['within', 'near']).toContain(plan?.after.verdict);
  });
  test('it fits its schema', () => {
    const a = run(oily, [{ protocol: of('heart-strict') }]);
    expect(AdaptationSchema.parse(JSON.parse(JSON.stringify(a)))).toEqual(JSON.parse(JSON.stringify(a)));
  });
});
