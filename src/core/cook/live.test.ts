import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readLine } from '@/core/read/line';
import { readRecipe } from '@/core/read/read';
import demo from '@content/compiled/demo.json';
import { cook, type Dish } from './cook';
import { ownMeasure } from './hand';
import { NOTHING_DONE, replan } from './live';

const settings = { measures: US_MEASURES, corrections: {} };
const dishOf = (text: string): Dish => ({
  source: 'test',
  read: readRecipe(parseRecipe(text), settings),
  settings,
  times: 1,
});
const stew = dishOf(
  'Weir stew\nServes 4\n\nIngredients\n1 onion, chopped\n500 g potatoes\n\nMethod\nSoften the onion for 5 minutes. Add the potatoes and simmer for 30 minutes.',
);
const SUPPER = { kitchen: { cooks: 1, burners: 4, ovens: 1 }, table: '18:30' };
const idOf = (words: RegExp) => cook([stew], SUPPER).tasks.find((t) => words.test(t.text))?.id ?? '';
const AT = (clock: string) => Number(clock.slice(0, 2)) * 60 + Number(clock.slice(3));

test('what is done is gone, and the table holds', () => {
  const { cook: left, late } = replan(
    [stew],
    SUPPER,
    { ...NOTHING_DONE, done: new Set([idOf(/Chop/), idOf(/Soften/)]) },
    AT('17:50'),
  );
  expect(late).toBe(0);
  expect(left.table).toBe('18:30');
  expect(left.tasks.map((t) => t.text)).toEqual([
    expect.stringMatching(/Add the/),
    expect.stringMatching(/imme?r/),
  ]);
});

test('what took longer moves the table to the soonest that can be', () => {
  const progress = { done: new Set<string>(), begun: {}, longer: { [idOf(/simmer/i)]: 10 } };
  const before = replan([stew], SUPPER, NOTHING_DONE, AT('17:52'));
  const after = replan([stew], SUPPER, progress, AT('17:52'));
  expect(before.late).toBe(0);
  expect(after.late).toBeGreaterThan(0);
  expect(AT(after.cook.table)).toBe(AT('18:30') + after.late);
  expect(after.cook.minutes).toBe(before.cook.minutes + 10);
});

test('what is under way has the rest of its time', () => {
  const id = idOf(/simmer/i);
  const done = new Set(
    cook([stew], SUPPER)
      .tasks.map((t) => t.id)
      .filter((t) => t !== id),
  );
  const { cook: left } = replan(
    [stew],
    SUPPER,
    { done, begun: { [id]: AT('18:00') }, longer: {} },
    AT('18:12'),
  );
  expect(left.tasks).toHaveLength(1);
  expect(left.minutes).toBe(18);
});

test('what the demo’s half-done supper says is done and under way are tasks of its dishes', () => {
  const { supper, recipes } = demo as unknown as {
    supper: { recipes: number[]; done: string[]; underWay: { id: string }[] };
    recipes: { text: string }[];
  };
  const planned = cook(
    supper.recipes.map((at) => dishOf(recipes[at]?.text ?? '')),
    { ...SUPPER, kitchen: { ...SUPPER.kitchen, cooks: 2 } },
  );
  const ids = new Set(planned.tasks.map((t) => t.id));
  for (const id of [...supper.done, ...supper.underWay.map((u) => u.id)])
    expect([id, ids.has(id)]).toEqual([id, true]);
});

test('a loose measure of one’s own is narrower the oftener it is weighed, and every line is read with it', () => {
  const width = (weighed: readonly number[]) => {
    const own = ownMeasure(weighed);
    return own ? own.high - own.low : NaN;
  };
  expect(ownMeasure([])).toBeNull();
  expect(width([6, 6, 6, 6])).toBeLessThan(width([6]));
  const grams = (hand?: Readonly<Record<string, readonly [number, number, number]>>) =>
    readLine(
      { text: 'a drizzle of tahini', start: 0, end: 19, section: null },
      { measures: { ...US_MEASURES, hand }, corrections: {} },
      4,
    ).foods[0]?.grams;
  const usual = grams();
  const own = grams({ drizzle: [6, 7, 8] });
  expect((own?.high ?? 0) - (own?.low ?? 0)).toBeLessThan((usual?.high ?? 0) - (usual?.low ?? 0));
  // 7 ml at about a gram a millilitre
  expect(own?.best).toBeGreaterThan(5);
  expect(own?.best).toBeLessThan(9);
});

describe('what is under way keeps its place', () => {
  const soup = dishOf(
    'Weir soup\nServes 4\n\nIngredients\n500 g carrots\n1 litre water\n\nMethod\nSimmer the carrots in the water for 25 minutes.',
  );
  const porridge = dishOf(
    'Weir mash\nServes 4\n\nIngredients\n500 g swede\n1 litre water\n\nMethod\nBoil the swede in the water for 20 minutes.',
  );
  const both = [soup, porridge];
  const clash = (burners: number, begun: string, now: string) => {
    const supper = { kitchen: { cooks: 1, burners, ovens: 1 }, table: '18:30' };
    const all = cook(both, supper);
    const id = all.tasks.find((t) => t.action === 'simmer')?.id ?? '';
    const done = new Set(all.tasks.filter((t) => t.dish === 0 && t.id !== id).map((t) => t.id));
    const live = replan(both, supper, { done, begun: { [id]: AT(begun) }, longer: {} }, AT(now));
    const running = live.cook.tasks.find((t) => t.id === id);
    const boil = live.cook.tasks.find((t) => t.action === 'boil');
    return { live, running, boil };
  };
  test('it runs from now for the rest of its time, and nothing else takes its burner', () => {
    for (const now of ['17:30', '17:35', '17:40']) {
      const { running, boil, live } = clash(1, '17:25', now);
      expect([now, running?.start]).toEqual([now, now]);
      expect(AT(boil?.start ?? '00:00')).toBeGreaterThanOrEqual(AT(running?.end ?? '23:59'));
      expect(live.late).toBe(0);
    }
  });
  test('with a second burner the other need not wait for it', () => {
    const { running, boil } = clash(2, '17:55', '18:00');
    expect(running?.end).toBe('18:20');
    expect(AT(boil?.end ?? '00:00')).toBe(AT('18:30'));
  });
  test('where it runs past the table, the table is put off by what is missing', () => {
    const { running, live } = clash(2, '18:20', '18:25');
    expect(running?.start).toBe('18:25');
    expect(live.late).toBeGreaterThanOrEqual(15);
    expect(live.late).toBeLessThan(40);
  });
});
