import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { US_MEASURES } from '@/core/measure/units';
import { ovensFor } from '@/core/schedule/problem';
import { cook, dishesOf, holds, type Dish, type Supper } from './cook';
import { minutesOfDay } from './clock';
import { CookSchema, type Cook, type CookTask } from './schema';
import { tasksOf } from './tasks';

const settings = { measures: US_MEASURES, corrections: {} };
const dishOf = (text: string, times = 1): Dish => {
  const read = dishesOf(text, 'test', settings, times);
  if (!read.ok || !read.dishes[0]) throw new Error('not read');
  return read.dishes[0];
};
const SUPPER: Supper = { kitchen: { cooks: 1, burners: 4, ovens: 1 }, table: '18:30' };
const recipe = (lines: string, method: string) =>
  `Weir supper\nServes 4\n\nIngredients\n${lines}\n\nMethod\n${method}`;

const folder = (name: string) => {
  const dir = path.resolve(__dirname, name);
  return readdirSync(dir)
    .filter((f) => /\.(?:txt|md)$/.test(f))
    .map((f) => [f, readFileSync(path.join(dir, f), 'utf8')] as const);
};
const UNSEEN = [
  ...folder('../adapt/unseen'),
  ...folder('../audit/unseen'),
  ...folder('../../../content/demo'),
];

const at = (t: CookTask, end: 'start' | 'end') =>
  (minutesOfDay(t[end]) ?? NaN) + 24 * 60 * (end === 'start' ? t.day : t.endDay);

/** What a plan breaks, by its own words alone: written apart from the search and from the planner. */
function wrongIn(c: Cook, { kitchen }: Supper): string[] {
  const out: string[] = [];
  const byId = new Map(c.tasks.map((t) => [t.id, t]));
  const table = minutesOfDay(c.table) ?? NaN;
  for (const t of c.tasks) {
    if (at(t, 'end') > table) out.push(`${t.id} ends after the table`);
    if (at(t, 'end') - at(t, 'start') !== Math.max(1, Math.round(t.minutes.best)))
      out.push(`${t.id} is not as long as it is`);
    const before = t.after.map((id) => byId.get(id));
    if (before.some((b) => b === undefined)) out.push(`${t.id} follows nothing`);
    const last = Math.max(...before.map((b) => (b ? at(b, 'end') : NaN)));
    if (t.after.length > 0 && !(at(t, 'start') >= last)) out.push(`${t.id} begins too early`);
    if (t.after.length > 0 && t.waitAtMost !== null && at(t, 'start') - last > t.waitAtMost)
      out.push(`${t.id} waits`);
    const running = c.tasks.filter((o) => at(o, 'start') <= at(t, 'start') && at(o, 'end') > at(t, 'start'));
    const hands = running.filter((o) => o.attention === 'hands');
    if (hands.length > kitchen.cooks) out.push(`too few hands at ${t.start}`);
    if (new Set(hands.map((o) => o.cook)).size !== hands.length)
      out.push(`one cook at two things at ${t.start}`);
    for (const tool of new Set(running.flatMap((o) => o.uses))) {
      const using = running.filter((o) => o.uses.includes(tool));
      const most = tool === 'burner' ? kitchen.burners : tool === 'oven' ? kitchen.ovens : 1;
      const needed = tool === 'oven' ? ovensFor(using.map((o) => o.celsius)) : using.length;
      if (needed > most) out.push(`too few of ${tool} at ${t.start}`);
    }
  }
  if (c.tasks.length > 0 && Math.max(...c.tasks.map((t) => at(t, 'end'))) !== table)
    out.push('nothing ends at the table');
  const today = c.tasks.filter((t) => t.day === 0);
  if (today.length > 0 && Math.min(...today.map((t) => at(t, 'start'))) !== table - c.minutes)
    out.push('it is longer than it says');
  return out;
}

test.each(UNSEEN)('%s: a plan that holds, with the steps of each line in their order', (_, text) => {
  const dish = dishOf(text);
  const c = CookSchema.parse(cook([dish], SUPPER));
  expect(wrongIn(c, SUPPER)).toEqual([]);
  expect(c.optimal).toBe(true);
  // what is done to a line later in the method is not done before what was done to it earlier
  const tasks = tasksOf(dish.read, dish.settings);
  const start = new Map(c.tasks.map((t) => [t.id, at(t, 'start')]));
  for (const a of tasks)
    for (const b of tasks)
      if (a.step !== null && b.step !== null && a.step < b.step && a.lines.some((l) => b.lines.includes(l)))
        expect(start.get(`d0.${b.id}`)).toBeGreaterThanOrEqual(start.get(`d0.${a.id}`) ?? NaN);
  // the knife comes before the pot
  for (const a of tasks)
    for (const b of tasks)
      if (a.line !== null && b.step !== null && b.lines.includes(a.line))
        expect(start.get(`d0.${b.id}`)).toBeGreaterThanOrEqual(start.get(`d0.${a.id}`) ?? NaN);
  // times that the method says are in the plan
  for (const t of c.tasks) if (t.said) expect(t.minutes.best).toBeGreaterThan(0);
});

test('suppers of two and three dishes hold in kitchens large and small', () => {
  const dishes = UNSEEN.slice(0, 12).map(([, text]) => dishOf(text));
  for (let i = 0; i + 2 < dishes.length; i += 3)
    for (const kitchen of [
      { cooks: 1, burners: 2, ovens: 1 },
      { cooks: 2, burners: 4, ovens: 1 },
      { cooks: 3, burners: 4, ovens: 2 },
    ]) {
      const supper = { ...SUPPER, kitchen };
      const c = cook(dishes.slice(i, i + 3), supper);
      expect(c.tasks.length).toBeGreaterThan(0);
      expect(wrongIn(c, supper)).toEqual([]);
      expect(c.minutes).toBeGreaterThanOrEqual(c.lowerBoundMinutes);
    }
});

const planOf = (lines: string, method: string, supper = SUPPER) =>
  cook([dishOf(recipe(lines, method))], supper);
const find = (c: Cook, words: RegExp) => {
  const t = c.tasks.find((o) => words.test(o.text));
  if (!t) throw new Error(`${String(words)} is not among ${c.tasks.map((o) => o.text).join(' | ')}`);
  return t;
};

describe('what a method means in time', () => {
  test('while something roasts the rest is made', () => {
    const c = planOf(
      '800 g potatoes, cubed\n\nFor the sauce\n400 g chopped tomatoes, canned\n1 onion, chopped',
      'Roast the potatoes at 200 °C for 40 minutes.\nSoften the onion in a pan for 6 minutes, add the tomatoes and simmer 15 minutes.\nServe the potatoes with the sauce.',
    );
    const [roast, simmer] = [find(c, /^Roast/), find(c, /simmer 15/i)];
    expect(at(simmer, 'start')).toBeLessThan(at(roast, 'end'));
    expect(at(roast, 'start')).toBeLessThan(at(simmer, 'end'));
    expect(roast).toMatchObject({ uses: ['oven'], celsius: 200, attention: 'none', said: true });
    // chopped, heated up (15), roasted 40, served: no longer than one after the other of those
    expect(c.minutes).toBeLessThanOrEqual(60);
  });
  test('pasta is not boiled long before it is eaten', () => {
    const c = planOf(
      '400 g wholewheat pasta\n500 g tomatoes, chopped\n2 cloves garlic, crushed',
      'Boil the pasta for 10 minutes, then drain.\nMeanwhile simmer the tomatoes and garlic for 20 minutes.\nStir the sauce into the pasta and serve.',
    );
    const [drain, end] = [find(c, /drain/i), minutesOfDay(c.table) ?? 0];
    expect(end - at(drain, 'end')).toBeLessThanOrEqual(8);
    expect(c.minutes).toBeLessThanOrEqual(30);
  });
  test('beans are soaked the evening before', () => {
    const c = planOf(
      '300 g dried black beans, soaked overnight\n1 onion, chopped',
      'Drain the beans and simmer with the onion for 90 minutes.',
    );
    const soak = find(c, /^Soak/);
    expect([soak.day, soak.start, soak.attention]).toEqual([-1, '21:00', 'none']);
    expect(c.setOut.find((s) => /black beans/.test(s.text))?.when).toMatch(/evening before/);
    // the night is no part of the time before the table
    expect(c.minutes).toBeLessThan(120);
  });
  test('two temperatures take turns in one oven and say so; near ones meet in the middle', () => {
    const [low, high, near] = ['160', '220', '170'].map((celsius) =>
      dishOf(
        `Dish at ${celsius}\nServes 2\n\n600 g potatoes\n\nMethod\nBake the potatoes at ${celsius} °C for 40 minutes.`,
      ),
    ) as [Dish, Dish, Dish];
    const far = cook([low, high], SUPPER);
    expect(far.conflicts.join(' ')).toMatch(/take turns/);
    expect(wrongIn(far, SUPPER)).toEqual([]);
    const close = cook([low, near], SUPPER);
    expect(close.conflicts.join(' ')).toMatch(/share the oven at 165 °C/);
    expect(close.minutes).toBeLessThan(far.minutes);
    expect(cook([low, high], { ...SUPPER, kitchen: { ...SUPPER.kitchen, ovens: 2 } }).conflicts).toEqual([]);
  });
  test('a pressure cooker comes up and comes down beside its programme', () => {
    const c = planOf(
      '300 g chickpeas',
      'Pressure cook the chickpeas for 35 minutes. Let the pressure release for 10 minutes.',
    );
    expect(find(c, /Pressure cook/i).minutes.best).toBe(45);
    expect(find(c, /Pressure cook/i).uses).toContain('pressure cooker');
  });
  test('without an oven, or from too late an hour, it is not on the table', () => {
    const text = recipe('600 g potatoes', 'Bake the potatoes at 200 °C for 60 minutes.');
    const none = cook([dishOf(text)], { ...SUPPER, kitchen: { ...SUPPER.kitchen, ovens: 0 } });
    expect(none.tasks).toEqual([]);
    expect(none.conflicts[0]).toMatch(/without an oven/);
    const late = { ...SUPPER, from: '18:00' };
    expect(holds(cook([dishOf(text)], late), late)).toBe(false);
    expect(cook([dishOf(text)], late).conflicts.join(' ')).toMatch(/19:15 is the soonest/);
  });
  test('made twice: amounts grow in the cook’s measures, and what does not grow says so', () => {
    const text = recipe(
      '1½ tbsp reduced-sodium tamari\n500 g carrots, chopped\n1 tsp baking soda',
      'Simmer the carrots with the tamari for 20 minutes.',
    );
    const c = cook([dishOf(text, 2)], SUPPER);
    expect(c.setOut.map((s) => s.text)).toEqual([
      '3 tbsp reduced-sodium tamari',
      '1000 g carrots, chopped',
      '2 tsp baking soda',
    ]);
    expect(c.dishes[0]?.plates.best).toBe(8);
    expect(c.dishes[0]?.scaling.join(' ')).toMatch(
      /Times stay about the same.*Liquid that boils off.*Baking soda/,
    );
    // twice the carrots are twice the work of the knife, not twice the time on the burner
    const once = cook([dishOf(text)], SUPPER);
    expect(find(c, /^Chop/).minutes.best).toBeCloseTo(2 * find(once, /^Chop/).minutes.best, 6);
    expect(find(c, /^Simmer/).minutes.best).toBe(find(once, /^Simmer/).minutes.best);
  });
});

test('usual minutes agree with what the trade says (common practice, no source)', () => {
  const minutes = (lines: string, method: string, words: RegExp) =>
    find(planOf(lines, method), words).minutes;
  // aromatics softened in water or stock 4–6 min; potatoes roasted 25–30; mixed roots 30–40
  const soften = minutes('2 onions', 'Soften the onions in a splash of water.', /Soften/);
  expect(soften.best).toBeGreaterThanOrEqual(4);
  expect(soften.best).toBeLessThanOrEqual(6);
  const roast = minutes('1 kg potatoes', 'Roast the potatoes.', /Roast/);
  expect(roast.low).toBeLessThanOrEqual(25);
  expect(roast.high).toBeGreaterThanOrEqual(30);
});
