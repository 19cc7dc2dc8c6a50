import loadHighs from 'highs';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { mealText } from '@/core/week/meal';
import { judgeWeek } from '@/core/week/week';
import type { WeekPlan } from '@/core/week/schema';
import { handsMinutes } from './minutes';
import type { Eater, Kept, Offer } from './menu';
import { planMenu, type MenuPlan, type Solver } from './plan';
import { menuOf, programOf, slotsOf, type Menu, type Wishes } from './program';
import { menuSolver } from './solver';
import { weekWith } from './week';

const settings = { measures: US_MEASURES, corrections: {} };
const read = (text: string) => readRecipe(parseRecipe(text), settings);
const words = (text: string) => readRecipe(parseRecipe(mealText(text)), settings);

let solve: Solver;
beforeAll(async () => {
  const log: string[] = [];
  solve = menuSolver(await loadHighs({ print: (row: string) => void log.push(row) } as never), log);
});

const pot = (id: string, lines: string, more: Partial<Offer> = {}): Offer => ({
  id,
  read: read(`${id}\nServes 4\n\nIngredients\n${lines}\n\nMethod\nSimmer it in water until soft.`),
  role: 'main',
  minutes: 30,
  cost: null,
  left: null,
  ...more,
});
const LENTILS = pot('Lentil pot', '- 300 g red lentils\n- 400 g carrots\n- 1 tsp cumin');
const BARLEY = pot('Barley pot', '- 300 g pot barley\n- 400 g leeks\n- 200 g peas');
const SALTY = pot('Salty pot', '- 300 g red lentils\n- 2 tsp salt\n- 400 g carrots');
const OILY = pot('Oily pot', '- 300 g red lentils\n- 3 tbsp olive oil\n- 400 g carrots');
const SOY = pot('Bean curd pot', '- 400 g firm tofu\n- 300 g brown rice\n- 400 g cabbage');

const eater = (name: string, protocol: string, more: Partial<Eater> = {}): Eater => ({
  id: name,
  name,
  protocol: protocolById(protocol) as Protocol,
  allergens: [],
  dislikes: [],
  plate: 1,
  ...more,
});
const wishes = (more: Partial<Wishes> = {}): Wishes => ({
  days: 2,
  on: [0, 1],
  meals: ['lunch', 'supper'],
  cookDays: [0, 1],
  minutes: 90,
  most: 4,
  least: 'effort',
  ...more,
});
const plan = (eaters: Eater[], offers: Offer[], w = wishes(), kept: Kept[] = []) => {
  const menu = menuOf(eaters, offers, kept, w);
  return { menu, found: planMenu(menu, solve, 10) };
};

/** A plan as a week, judged by the week's own rules. */
function judged(menu: Menu, found: MenuPlan, keptText: readonly string[] = []) {
  const week: WeekPlan = {
    schema: 'dulvet.week/1',
    days: menu.wishes.days,
    diners: menu.eaters.map((e) => ({
      name: e.name,
      protocol: e.protocol.id,
      allergens: [...e.allergens],
      plate: e.plate,
    })),
    cookings: [],
    meals: menu.kept.map((k, i) => ({
      day: k.day,
      meal: k.meal,
      diner: menu.eaters[k.eater]?.name ?? '',
      text: keptText[i] ?? '',
    })),
  };
  const whole = weekWith(
    week,
    found,
    () => null,
    (id) => id,
  );
  return judgeWeek(whole, {
    cookings: new Map(
      whole.cookings.map((c) => [c.id, (menu.offers.find((o) => o.id === c.recipe) as Offer).read]),
    ),
    meals: new Map(whole.meals.flatMap((m, i) => ('text' in m ? [[i, words(m.text)] as const] : []))),
    protocols: new Map(menu.eaters.map((e) => [e.protocol.id, e.protocol])),
  });
}
const holds = (week: ReturnType<typeof judged>) =>
  week.judged.every((j) => j.verdict === 'within' || j.verdict === 'near') &&
  week.cookings.every((c) => c.problems.length === 0);

test('every open meal is filled, and every day holds when it is judged like any week', () => {
  const { menu, found } = plan([eater('Ana', 'everyday'), eater('Bo', 'heart-strict')], [LENTILS, BARLEY]);
  expect(found.status).toBe('optimal');
  expect(found.meals).toHaveLength(slotsOf(menu).length);
  expect(holds(judged(menu, found))).toBe(true);
});

test('what is banned, unsafe or disliked is on nobody’s plate who does not eat it', () => {
  const eaters = [
    eater('Ana', 'heart-strict'),
    eater('Bo', 'everyday', { allergens: ['soy'] }),
    eater('Cy', 'everyday', { dislikes: ['leek'] }),
  ];
  const { menu, found } = plan(eaters, [LENTILS, BARLEY, OILY, SOY]);
  const eats = (p: number) => new Set(found.meals.filter((m) => m.eater === p).map((m) => m.offer));
  expect(eats(0).has('Oily pot')).toBe(false);
  expect(eats(1).has('Bean curd pot')).toBe(false);
  expect(eats(2).has('Barley pot')).toBe(false);
  expect(holds(judged(menu, found))).toBe(true);
});

test('a dish with a line that is not understood is not planned', () => {
  const odd = pot('Odd pot', '- 300 g red lentils\n- 200 g brimble');
  const { found } = plan([eater('Ana', 'everyday')], [odd]);
  expect(found.status).toBe('none');
  expect(found.lacks[0]?.refused).toEqual([{ offer: 'Odd pot', why: 'not understood' }]);
});

test('what is eaten already counts: a salty lunch leaves no room for a salty supper', () => {
  const lunch = '2 tsp reduced-sodium soy sauce and 200 g cooked brown rice';
  const kept: Kept[] = [{ day: 0, meal: 'lunch', eater: 0, read: words(lunch), plates: 1 }];
  const ana = [eater('Ana', 'heart-strict')];
  const w = wishes({ days: 1, on: [0], cookDays: [0] });
  const both = plan(ana, [SALTY, LENTILS], w, kept);
  expect(both.found.meals.map((m) => m.offer)).toEqual(['Lentil pot']);
  expect(holds(judged(both.menu, both.found, [lunch]))).toBe(true);
});

test('a day with a meal that is not understood is named, never promised', () => {
  const kept: Kept[] = [{ day: 0, meal: 'lunch', eater: 0, read: words('a bowl of brimble'), plates: 1 }];
  const { found } = plan([eater('Ana', 'everyday')], [LENTILS], wishes(), kept);
  expect(found.unknown).toEqual([{ eater: 'Ana', day: 0 }]);
});

test('plates come out of pots while they keep, and out of what is left until it is gone', () => {
  // published: cooked food keeps three to four days in a fridge (USDA FSIS)
  const w = wishes({ days: 7, on: [0, 1, 2, 3, 4, 5, 6], meals: ['supper'], cookDays: [0], most: 7 });
  const { found } = plan([eater('Ana', 'everyday')], [LENTILS], w);
  expect(found.status).toBe('partly');
  expect(found.meals.every((m) => m.day <= 3)).toBe(true);
  expect(found.collisions.filter((c) => c.kind === 'open').map((c) => c.day)).toEqual([4, 5, 6]);
  const left = pot('Left pot', '- 300 g red lentils', { left: { plates: 2, from: 0, until: 1 }, minutes: 0 });
  const eaten = plan([eater('Ana', 'everyday')], [left, BARLEY], wishes({ meals: ['supper'] })).found;
  expect(eaten.pots).toEqual([]);
  expect(eaten.meals.map((m) => m.offer)).toEqual(['Left pot', 'Left pot']);
});

test('a week of five: no pot gives more plates than it holds, and nothing is eaten too late', () => {
  const eaters = ['Ana', 'Bo', 'Cy', 'Di', 'Ed'].map((n, i) =>
    eater(n, i % 2 ? 'everyday' : 'nothing-added'),
  );
  const w = wishes({
    days: 7,
    on: [0, 1, 2, 3, 4, 5, 6],
    cookDays: [0, 2, 4, 6],
    minutes: 200,
    most: 7,
  });
  const { menu, found } = plan(eaters, [LENTILS, BARLEY, SOY], w);
  expect(found.meals).toHaveLength(70);
  expect(judged(menu, found).cookings.flatMap((c) => c.problems)).toEqual([]);
});

test('where nothing fits, what collides is said', () => {
  const { found } = plan([eater('Ana', 'everyday')], [LENTILS], wishes({ most: 1 }));
  expect(found.status).toBe('partly');
  expect(found.collisions).toContainEqual({ kind: 'often', eater: 'Ana', offer: 'Lentil pot', times: 4 });
  const busy = plan([eater('Ana', 'everyday')], [LENTILS], wishes({ minutes: 10 })).found;
  expect(busy.collisions.map((c) => c.kind)).toEqual(['long']);
});

test('another plan cooks another set of dishes', () => {
  const first = plan([eater('Ana', 'everyday')], [LENTILS, BARLEY, SOY]).found;
  const set = [...new Set(first.pots.map((p) => p.offer))];
  const second = plan([eater('Ana', 'everyday')], [LENTILS, BARLEY, SOY], wishes({ not: [set] })).found;
  expect([...new Set(second.pots.map((p) => p.offer))].sort()).not.toEqual([...set].sort());
});

describe('against enumeration', () => {
  /** Least minutes of all ways to eat and cook, tried one by one; a single eater, plates of one. */
  function leastMinutes(menu: Menu): number {
    const slots = slotsOf(menu);
    const rows = menu.rows[0] ?? [];
    let best = Infinity;
    const eat = (k: number, chosen: number[]) => {
      if (k === slots.length) {
        for (const day of menu.wishes.on) {
          const own = slots.flatMap((s, i) => (s.day === day ? [chosen[i] as number] : []));
          const over = rows.some(
            (row, r) =>
              own.reduce((sum, d) => {
                const plate = menu.plates[d]?.[0];
                return sum + (plate && typeof plate !== 'string' ? (plate.adds[r] ?? 0) : 0);
              }, 0) > row.most,
          );
          if (over) return;
        }
        // one cooking on the first day feeds both where it gives enough
        const minutes = menu.offers.reduce((sum, o, d) => {
          const days = [...new Set(slots.flatMap((s, i) => (chosen[i] === d ? [s.day] : [])))];
          return sum + (days.length > 0 ? o.minutes : 0);
        }, 0);
        best = Math.min(best, minutes);
        return;
      }
      menu.offers.forEach((_, d) => {
        if (typeof menu.plates[d]?.[0] !== 'string') eat(k + 1, [...chosen, d]);
      });
    };
    eat(0, []);
    return best;
  }
  test.each(['everyday', 'heart-strict', 'starch-base'])(
    '%s: the pots of a plan take the least work',
    (id) => {
      const offers = [
        pot('A', '- 300 g red lentils\n- 400 g carrots', { minutes: 50 }),
        pot('B', '- 300 g pot barley\n- 1/2 tsp salt', { minutes: 20 }),
        pot('C', '- 1 kg potatoes\n- 300 g kale', { minutes: 35 }),
      ];
      const { menu, found } = plan([eater('Ana', id)], offers, wishes({ minutes: 200 }));
      const took = found.pots.reduce(
        (sum, p) => sum + (offers.find((o) => o.id === p.offer)?.minutes ?? 0),
        0,
      );
      expect(found.status).toBe('optimal');
      // a second dish may cost less than what a first one leaves uneaten or a group short: never below the least
      expect(took).toBeGreaterThanOrEqual(leastMinutes(menu));
      expect(took).toBeLessThanOrEqual(leastMinutes(menu) + 40);
      expect(holds(judged(menu, found))).toBe(true);
    },
  );
});

test('the minutes at the stove are those that want hands', () => {
  const r = read(
    'Pot\nServes 2\n\nIngredients\n- 300 g red lentils\n- 1 onion\n\nMethod\nChop the onion for 5 minutes. Simmer the lentils for 40 minutes.',
  );
  expect(handsMinutes(r, settings)).toBeLessThan(20);
  expect(handsMinutes(read('Pot\nServes 2\n\nIngredients\n- 300 g red lentils'), settings)).toBe(20);
});

test('a programme has a row for each day’s limits and a choice for each open meal', () => {
  const menu = menuOf([eater('Ana', 'everyday')], [LENTILS], [], wishes());
  const { lp, slots, empty } = programOf(menu);
  expect(slots).toHaveLength(4);
  expect(empty).toEqual([]);
  expect(lp).toContain('o3:');
  expect(lp).not.toMatch(/NaN|Infinity|undefined/);
});
