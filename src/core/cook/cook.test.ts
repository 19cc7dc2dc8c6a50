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

describe('methods as cooks tell them', () => {
  const order = (c: Cook, a: RegExp, b: RegExp) =>
    expect(at(find(c, a), 'end')).toBeLessThanOrEqual(at(find(c, b), 'start'));
  test('what is begun beside the rest goes on with what follows it', () => {
    const c = planOf(
      '200 g red lentils\n300 g brown rice\n1 onion, chopped\n1 tbsp cumin seeds',
      'Simmer the rice for 25 minutes.\nMeanwhile toast the cumin seeds in a dry pan for a minute, add the onion and soften for 8 minutes.\nAdd the lentils and 600 ml water, bring to the boil and simmer 20 minutes.\nServe over the rice.',
    );
    order(c, /^Toast/, /^Add the onion/);
    order(c, /^Add the lentils/, /^Bring/);
    expect(at(find(c, /^Simmer the rice/), 'start')).toBeLessThan(at(find(c, /simmer 20/i), 'end'));
    // water and lentils do not boil in a minute
    expect(find(c, /^Bring/).minutes.best).toBeGreaterThanOrEqual(3);
  });
  test.each([
    ['Let it wilt for 2 minutes.', 'wilt', 2],
    ['Take it off the heat and leave it alone for ten.', 'leave', 10],
    ['First rise: 1 hour somewhere warm.', 'rise', 60],
    ['Let them cool enough to handle, about 20 min, and rub the skins off.', 'cool', 20],
    ['Stir in the kale; 3 minutes is plenty.', 'stir', 3],
    ['Boil the kale for 45 mins to an hour.', 'boil', 52.5],
    ['Boil the kale 5 minutes a side.', 'boil', 10],
    ['Fry the kale 2 minutes on the first side and 1 on the other.', 'fry', 3],
    ['Divide into 8 patties. Bake the patties for 6 minutes, two at a time.', 'bake', 24],
    ['Shape into 12 patties. Cook them in a dry pan in batches of four, 5 minutes a side.', 'cook', 30],
    ['Fry in 3 batches, 4 minutes each.', 'fry', 12],
    ['Fry 2 minutes; makes 9, three fit in the pan at a time.', 'fry', 6],
  ])('%s', (method, action, minutes) => {
    const c = planOf('200 g kale', method);
    const t = c.tasks.find((o) => o.action === action);
    expect([t?.minutes.best, t?.said]).toEqual([minutes, true]);
  });
  test.each(['Knead for 10 minutes', 'Massage the kale for 5 minutes', 'Whisk for 8 minutes'])(
    '%s: hands all that while',
    (method) => {
      const c = planOf('500 g wholemeal flour\n200 g kale', `Mix the flour with 300 ml water. ${method}.`);
      expect(c.tasks.at(-1)?.attention).toBe('hands');
      expect(c.handsOnMinutes).toBeGreaterThanOrEqual(5);
    },
  );
  test('half an hour before eating is when, not how long', () => {
    const c = planOf('250 g quinoa', 'Half an hour before eating cook the quinoa: simmer 15 min, rest 5.');
    expect(c.tasks.map((t) => t.minutes.best)).toEqual([15, 5]);
  });
  test('the water boils before the pasta goes in', () => {
    const c = planOf(
      '180 g wholewheat penne\n400 g passata',
      'Put a big pan of water on to boil.\nWarm the passata for 10 minutes.\nBoil the penne for 11 minutes, drain and toss with the sauce.',
    );
    order(c, /pan of water/, /^Boil the penne/);
    expect(find(c, /pan of water/)).toMatchObject({ attention: 'none', uses: ['burner'] });
  });
  test('what is slaked on its own goes into the pot it is stirred into', () => {
    const c = planOf(
      '600 ml water\n300 g mushrooms, sliced\n2 tbsp cornflour',
      'Brown the mushrooms in a dry pan for 8 minutes, pour in the water, simmer 10. Slake the cornflour with 3 tbsp water, stir in and bubble for 2 minutes.',
    );
    order(c, /^Slake/, /^Stir in/);
    order(c, /^Simmer/, /^Stir in/);
  });
  test('six hours in the slow cooker are of the day, unless it says overnight', () => {
    const slow = (how: string) =>
      planOf('1 squash, cubed', `Put the squash in the slow cooker, ${how}.\nServe.`).tasks.find((t) =>
        t.uses.includes('slow cooker'),
      );
    expect(slow('6 hours on low')).toMatchObject({ day: 0, minutes: { best: 360 } });
    expect(slow('8 hours on low overnight')?.day).toBe(-1);
  });
  test('minutes that a line says are its own; what depends is not done; leaves rest after the knife', () => {
    const c = planOf(
      '50 g cashews, soaked 2 hours\n400 g firm tofu, pressed for 30 minutes\n150 g sweetcorn, thawed if frozen\n200 g kale, shredded, left to stand 40 minutes',
      'Blend the cashews.\nAdd the tofu, the sweetcorn and the kale and simmer 5 minutes.',
    );
    expect(find(c, /^Soak/)).toMatchObject({ minutes: { best: 120 }, said: true });
    expect(find(c, /^Press/)).toMatchObject({ minutes: { best: 30 }, said: true });
    expect(c.tasks.filter((t) => /^Thaw/.test(t.text))).toEqual([]);
    order(c, /chop the kale/i, /^Leave the kale to stand/);
    expect(find(c, /kale to stand/).minutes.best).toBe(40);
    order(c, /kale to stand/, /Simmer 5/);
  });
  test('another pot: a slow cooker, an air fryer and a pan do not wait for each other', () => {
    const c = planOf(
      '400 g firm tofu\n1 squash, cubed\n250 g quinoa',
      'Marinate the tofu for 30 minutes.\nSquash into the slow cooker for 2 hours.\nSimmer the quinoa for 15 minutes.\nAir fry the tofu at 190°C for 14 minutes.\nServe.',
    );
    expect(c.minutes).toBeLessThanOrEqual(135);
  });
  test('the oven is turned down, and what cools stands outside it', () => {
    const c = planOf(
      '500 g wholemeal flour',
      'Preheat oven to 220 C.\nBake 18 mins, then turn the oven down to 180 and give them another 5.\nCool on a rack for 20 minutes.',
    );
    expect(find(c, /^Give/)).toMatchObject({ uses: ['oven'], celsius: 180 });
    expect(find(c, /^Cool/).uses).toEqual([]);
  });
});

describe('pots told apart', () => {
  test('parts by their labels, each with its own onion; what nobody names is ready when its part begins', () => {
    const c = cook(
      [
        dishOf(
          'Two-pot platter\nServes 4\n\nMisir\n250 g red lentils\n2 red onions, very finely chopped\n2 tbsp tomato paste\n700 ml water\n\nGomen\n400 g collard greens, shredded\n1 onion, sliced\n\nMethod\nMisir: cook the onions dry in a heavy pot 10 mins. Add paste, 2 mins. Lentils and water, bring to the boil, then turn down and leave to blip for 25 mins.\nGomen: shred the collards and let them rest for 40 minutes. Soften the onion in 100 ml water 5 mins, add greens, lid on, 20 mins.\nSpoon everything onto plates.',
        ),
      ],
      SUPPER,
    );
    const first = find(c, /^Cook the onions/);
    expect(at(find(c, /chop the red onions/i), 'end')).toBeLessThanOrEqual(at(first, 'start'));
    // shredded once, though line and method both say so
    expect(c.tasks.filter((t) => /collard/i.test(t.text))).toHaveLength(1);
    expect(find(c, /blip/)).toMatchObject({ uses: ['burner'], minutes: { best: 25 } });
    expect(find(c, /^Add greens/)).toMatchObject({ uses: ['burner'], attention: 'eye' });
    expect(c.minutes).toBeLessThanOrEqual(80);
  });
  test('rice that boils is not what the onions are sweated in; a small pan is another pan', () => {
    const c = planOf(
      '225 g brown rice\n1 onion\n40 g pumpkin seeds',
      'Put the rice on first, 30 mins simmering.\nSweat the onion for 10 minutes.\nIn a small skillet toast the seeds for 4 minutes.\nServe.',
    );
    expect(c.minutes).toBeLessThanOrEqual(33);
  });
  test('a paste that is a food is not the paste that was made', () => {
    const c = planOf(
      '225 g brown rice\n2 tbsp tomato paste\n1 onion',
      'Simmer the rice for 30 minutes.\nMeanwhile soften the onion for 10 minutes and add the tomato paste.\nServe.',
    );
    expect(c.minutes).toBeLessThanOrEqual(33);
  });
  test('one wait after another: soaked, ground, fermented, each over before the next', () => {
    const c = planOf(
      '200 g urad dal\n400 g brown rice',
      'Soak the dal and the rice for 6 hours.\nGrind them with 500 ml water.\nCover and ferment overnight.\nCook in a hot dry pan 3 minutes.',
    );
    expect(wrongIn(c, SUPPER)).toEqual([]);
    const [soak, grind, ferment] = [find(c, /^Soak/), find(c, /^Grind/), find(c, /ferment/)];
    expect(at(soak, 'end')).toBeLessThanOrEqual(at(grind, 'start'));
    expect(at(grind, 'end')).toBeLessThanOrEqual(at(ferment, 'start'));
  });
  test('two dishes in one text: neither waits for the other', () => {
    const c = cook(
      [
        dishOf(
          'Stew and bread\n\nStew (6 bowls)\n400 g split peas\n1 onion, diced\n1.4 litres water\n\nCornbread (9 squares)\n150 g cornmeal\n150 g wholemeal flour\n300 ml soya milk\n\nMethod\nStew: Sauté the onion with a little water, 5 minutes. Add everything else. Lock the lid of the pressure cooker, high pressure 12 minutes, natural release 15 minutes.\nCornbread: Preheat the oven to 200°C. Whisk the dry ingredients; stir in the milk, let sit 5 minutes. Pour into a lined 20 cm tin. Bake 24 minutes. Cool 10 minutes before cutting.',
        ),
      ],
      SUPPER,
    );
    // the longer of the two, and not their sum
    expect(c.minutes).toBeLessThanOrEqual(55);
    expect(find(c, /^Lock/).minutes.best).toBe(37);
    expect(find(c, /^Whisk/).uses).toEqual([]);
  });
  test('what is done for the last minutes is done within them; the next day goes on', () => {
    const c = planOf(
      '500 g haricot beans\n1 red cabbage, shredded',
      'Bake the beans at 150 °C for 3 hours. Remove the lid for the final 30 minutes.\nNext day put the cabbage in a heavy pan and cook for 1½ hours.\nRest it 5 minutes.',
    );
    expect(c.tasks.map((t) => t.minutes.best).filter((m) => m === 30)).toEqual([]);
    expect(at(find(c, /^Next day put/), 'start')).toBeGreaterThanOrEqual(
      at(find(c, /chop the red cabbage/i), 'end'),
    );
  });
  test('under pressure: up, the programme, and what it takes to come down; another way is not done too', () => {
    const c = planOf(
      '200 g dried chickpeas',
      'Cook the chickpeas in the pressure cooker, 35 min, natural release 15 min. (Or simmer 2 hours in an ordinary pan.)',
    );
    expect(c.tasks.map((t) => t.minutes.best)).toEqual([60]);
  });
});

test.each([
  ['One-pot barley', 'One-pot barley'],
  ['Three bean stew', 'Three bean stew'],
  ['20-minute noodles, serves 2', '20-minute noodles'],
  ['2-inch piece ginger', 'Untitled recipe'],
  ['One pot soya yoghurt', 'Untitled recipe'],
  ['4-oz block tempeh', 'Untitled recipe'],
])('a title that begins with a number: %s', (row, title) => {
  expect(
    dishOf(`${row}\n150 g brown rice\n1 leek, sliced\n\nSweat the leek for ten minutes, then add the rice.`)
      .read.recipe.title,
  ).toBe(title);
});
