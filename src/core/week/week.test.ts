import { auditRecipe } from '@/core/audit/audit';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { mealText } from './meal';
import { figuresOf, roomFor } from './figures';
import { WeekPlanSchema, WeekSchema, type WeekPlan } from './schema';
import { judgeWeek } from './week';

const settings = { measures: US_MEASURES, corrections: {} };
const read = (text: string) => readRecipe(parseRecipe(text), settings);
const STEW =
  'Sluice stew\nServes 4\n\nIngredients\n1 kg potatoes\n400 g cooked brown lentils, no salt added\n1 tsp salt\n\nMethod\nSimmer.';

function judged(plan: Partial<WeekPlan>, texts: Readonly<Record<string, string>> = { stew: STEW }) {
  const whole = WeekPlanSchema.parse({
    schema: 'dulvet.week/1',
    days: 7,
    diners: [{ name: 'Maud', protocol: 'heart-strict' }],
    cookings: Object.keys(texts).map((id) => ({ id, day: 1, recipe: { text: texts[id] } })),
    meals: [],
    ...plan,
  });
  return WeekSchema.parse(
    judgeWeek(whole, {
      cookings: new Map(Object.entries(texts).map(([id, text]) => [id, read(text)])),
      meals: new Map(
        whole.meals.flatMap((m, i) => ('text' in m ? [[i, read(mealText(m.text))] as const] : [])),
      ),
      protocols: new Map(
        ['heart-strict', 'everyday', 'nothing-added'].map((id) => [id, protocolById(id) as Protocol]),
      ),
    }),
  );
}

test('a plate of a pot is a share of it, judged against the whole day', () => {
  const week = judged({ meals: [{ day: 1, meal: 'supper', diner: 'Maud', of: 'stew', plates: 1 }] });
  const audit = auditRecipe(read(STEW), protocolById('heart-strict') as Protocol, { role: 'main' });
  const [day] = week.judged;
  const sodium = day?.limits.find((l) => l.id === 'sodium');
  // a third of the day's sodium is too little for this plate, the whole day's is not
  expect(audit.limits.find((l) => l.id === 'sodium')?.verdict).toBe('over');
  expect(sodium?.limit).toBe(1500);
  expect(sodium?.verdict).toBe('within');
  expect(sodium?.value?.best).toBeCloseTo(audit.perServing.sodiumMg?.best ?? NaN, 6);
});

test('what is eaten adds up: plates, grams and words', () => {
  const week = judged({
    meals: [
      { day: 2, meal: 'lunch', diner: 'Maud', of: 'stew', grams: 300 },
      { day: 2, meal: 'supper', diner: 'Maud', of: 'stew', plates: 2 },
      { day: 2, meal: 'breakfast', diner: 'Maud', text: '60 g oats and an apple' },
    ],
  });
  const [day] = week.judged;
  const pot = auditRecipe(read(STEW), protocolById('heart-strict') as Protocol, { role: 'main' });
  const oats = auditRecipe(read(mealText('60 g oats, an apple')), protocolById('heart-strict') as Protocol, {
    role: 'main',
  });
  const kcal =
    (pot.perServing.energyKcal?.best ?? 0) * 2 +
    3 * (pot.per100g.energyKcal?.best ?? 0) +
    (oats.total.energyKcal?.best ?? 0);
  expect(day?.totals.energyKcal?.best).toBeCloseTo(kcal, 0);
  const made = week.cookings[0];
  expect((made?.leftG?.best ?? 0) + (made?.eatenG?.best ?? 0)).toBeCloseTo(made?.madeG?.best ?? NaN, 6);
});

test('a meal that is not understood leaves the day depending, and is named', () => {
  const [day] = judged({
    meals: [{ day: 1, meal: 'lunch', diner: 'Maud', text: 'a plate of brimble' }],
  }).judged;
  expect(day?.verdict).toBe('depends');
  expect(day?.unresolved).toEqual(['a plate of brimble']);
  expect(day?.deciding).toContain('a plate of brimble');
});

test('the example of the contract is understood', () => {
  const [day] = judged({
    meals: [{ day: 1, meal: 'lunch', diner: 'Maud', text: '2 slices rye, hummus' }],
  }).judged;
  expect(day?.unresolved).toEqual([]);
  expect(day?.totals.energyKcal?.best).toBeGreaterThan(100);
});

test('an allergen is never missed, whether in a pot or in words', () => {
  const week = judged(
    {
      diners: [{ name: 'Tobin', protocol: 'everyday', allergens: ['nuts'], plate: 1 }],
      meals: [
        { day: 1, meal: 'supper', diner: 'Tobin', of: 'loaf', plates: 1 },
        { day: 2, meal: 'lunch', diner: 'Tobin', text: '30 g walnuts' },
        { day: 3, meal: 'lunch', diner: 'Tobin', text: 'an apple' },
      ],
    },
    { loaf: 'Loaf\nServes 8\n\nIngredients\n200 g flour\n50 g walnuts\n\nMethod\nBake.' },
  );
  expect(week.judged.map((j) => [j.day, j.unsafe, j.verdict === 'over'])).toEqual([
    [1, ['nuts'], true],
    [2, ['nuts'], true],
    [3, [], false],
  ]);
});

test.each([
  [[{ day: 6, plates: 1 }], /eaten on day 6, keeps until day 5/],
  [[{ day: 0, plates: 1 }], /eaten on day 0, cooked on day 1/],
  [
    [
      { day: 1, plates: 3 },
      { day: 2, plates: 2 },
    ],
    /more plates eaten than made/,
  ],
])('a pot says what does not go: %j', (eaten, says) => {
  const week = judged({
    meals: eaten.map((e) => ({ meal: 'supper', diner: 'Maud', of: 'stew', ...e })),
  });
  expect(week.cookings[0]?.problems.join('; ')).toMatch(says);
});

test('a frozen pot keeps longer, and a bigger plate takes more of it', () => {
  const week = judged({
    diners: [{ name: 'Ida', protocol: 'everyday', allergens: [], plate: 1.5 }],
    cookings: [{ id: 'stew', day: 1, recipe: { text: STEW }, times: 1, place: 'freezer' }],
    meals: [{ day: 20, meal: 'supper', diner: 'Ida', of: 'stew', plates: 2 }],
  });
  expect(week.cookings[0]?.problems).toEqual([]);
  expect(week.cookings[0]?.leftPlates?.best).toBe(1);
});

test.each([
  ['2 slices rye, hummus, an apple', 3],
  ['a bowl of oats with 200 ml soy milk and a banana', 3],
  ['salt and pepper', 1],
])('“%s” is %d things', (words, things) => {
  expect(
    mealText(words)
      .split('\n')
      .filter((r) => r.startsWith('- ')),
  ).toHaveLength(things);
});

test('a day by hand, as docs/week.md works it', () => {
  const pot = 'Pot\nServes 4\n\nIngredients\n300 g red lentils\n½ tsp salt\n\nMethod\nSimmer.';
  const week = judged(
    {
      meals: [
        { day: 1, meal: 'breakfast', diner: 'Maud', text: '60 g oats, an apple' },
        { day: 1, meal: 'supper', diner: 'Maud', of: 'pot', plates: 1 },
      ],
    },
    { pot },
  );
  const [day] = week.judged;
  const sodium = day?.limits.find((l) => l.id === 'sodium')?.value;
  expect(sodium?.low).toBeCloseTo(287, 0);
  expect(sodium?.high).toBeCloseTo(317.2, 0);
  expect(day?.parts.map((p) => [p.meal, p.what])).toEqual([
    ['breakfast', '60 g oats, an apple'],
    ['supper', 'Pot'],
  ]);
  // what each meal brings is what the day holds
  const parts = day?.parts.map((p) => p.by.sodium?.high ?? NaN) ?? [];
  expect(parts.reduce((a, b) => a + b, 0)).toBeCloseTo(sodium?.high ?? NaN, 6);
  if (!day) throw new Error('no day');
  expect(roomFor(day, 'sodium', 1, true)).toBeCloseTo(1500 - (parts[0] ?? NaN), 6);
  expect(roomFor(day, 'sodium', 2, true)).toBeCloseTo(1182.8, 0);
  expect(roomFor(day, 'fat-share', 1, false)).toBeNull();
});

test('the days in figures leave out what is not understood, and set energy beside the diner’s own need', () => {
  const week = judged({
    meals: [
      { day: 1, meal: 'supper', diner: 'Maud', of: 'stew', plates: 1 },
      { day: 2, meal: 'supper', diner: 'Maud', text: 'a plate of whatever there is' },
      { day: 3, meal: 'supper', diner: 'Maud', of: 'stew', plates: 2 },
    ],
  });
  const figures = figuresOf(week.judged, 2000);
  const energy = figures.find((f) => f.id === 'energyKcal');
  const days = [0, 2].map((i) => week.judged[i]?.totals.energyKcal?.best ?? NaN);
  expect(energy?.perDay?.best).toBeCloseTo(((days[0] ?? 0) + (days[1] ?? 0)) / 2, 6);
  expect(energy?.beside).toBe(2000);
  const share = figures.find((f) => f.id === 'fatSharePercent')?.perDay;
  expect(share?.low).toBeLessThanOrEqual(share?.best ?? -1);
  expect(share?.high).toBeGreaterThanOrEqual(share?.best ?? 101);
  const sodium = figures.find((f) => f.id === 'sodiumMg');
  const salt = [0, 2].map((i) => week.judged[i]?.totals.sodiumMg?.high ?? NaN);
  expect(sodium?.perDay?.high).toBeCloseTo(((salt[0] ?? 0) + (salt[1] ?? 0)) / 2, 6);
  // 21 CFR 101.9(c)(9): the Daily Value of sodium is 2300 mg
  expect(sodium?.beside).toBe(2300);
  const density = figures.find((f) => f.id === 'energyDensityKcalPer100G')?.perDay;
  expect(density?.low).toBeLessThanOrEqual(density?.best ?? -1);
  expect(figuresOf([], null).every((f) => f.perDay === null)).toBe(true);
});

test('days that stand are not judged anew, and the week is what it would be from nothing', () => {
  const diners = ['Maud', 'Tobin', 'Ida'].map((name, i) => ({
    name,
    protocol: ['heart-strict', 'everyday', 'nothing-added'][i] ?? '',
  }));
  const meals: WeekPlan['meals'] = diners.flatMap((d) =>
    [1, 2, 3].flatMap((day) => [
      { day, meal: 'breakfast', diner: d.name, text: '60 g oats, a banana' },
      { day, meal: 'supper', diner: d.name, of: 'stew', plates: 1 },
    ]),
  );
  const cookings = new Map([['stew', read(STEW)]]);
  const reading = (fresh: boolean, of: WeekPlan['meals']) => ({
    cookings: fresh ? new Map([['stew', read(STEW)]]) : cookings,
    meals: new Map(of.flatMap((m, i) => ('text' in m ? [[i, read(mealText(m.text))] as const] : []))),
    protocols: new Map(diners.map((d) => [d.protocol, protocolById(d.protocol) as Protocol])),
  });
  const plan = (of: WeekPlan['meals']) =>
    WeekPlanSchema.parse({
      schema: 'dulvet.week/1',
      days: 7,
      diners,
      cookings: [{ id: 'stew', day: 1, recipe: 'stew', times: 3 }],
      meals: of,
    });
  judgeWeek(plan(meals), reading(false, meals));
  meals.forEach((_, i) => {
    // one meal on another day, eaten twice, or gone
    const moved = meals.flatMap((m, k) =>
      k !== i ? [m] : i % 3 === 0 ? [] : i % 3 === 1 ? [{ ...m, day: m.day + 1 }] : [m, m],
    );
    expect(judgeWeek(plan(moved), reading(false, moved))).toEqual(
      judgeWeek(plan(moved), reading(true, moved)),
    );
  });
});
