import path from 'node:path';
import { AuditSchema } from '../src/core/audit/schema';
import { ShoppingSchema } from '../src/core/buy/schema';
import { CookSchema } from '../src/core/cook/schema';
import { TastingSchema } from '../src/core/cook/taste-schema';
import { WeekSchema } from '../src/core/week/schema';
import { bench } from './run.fixture';

const { folder, file, dulvet } = bench();

const stew = file(
  'stew.txt',
  'Sluice stew\nServes 4\n\nIngredients\n1 kg potatoes, cubed\n400 g cooked brown lentils, no salt added\n\nMethod\nSimmer the potatoes for 20 minutes, then stir in the lentils.\n',
);
const roast = file(
  'roast.txt',
  'Roast roots\nServes 4\n\nIngredients\n1 kg carrots\n\nMethod\nRoast the carrots at 200 °C for 40 minutes.\n',
);

describe('dulvet cook', () => {
  test('a supper of two files ends at the table, by its schema', () => {
    const { status, stdout } = dulvet(['cook', stew, roast, '--at', '19:00', '--cooks', '2', '--json']);
    expect(status).toBe(0);
    const c = CookSchema.parse(JSON.parse(stdout));
    expect(c.table).toBe('19:00');
    expect(c.dishes.map((d) => d.source)).toEqual([stew, roast]);
    expect(c.tasks.at(-1)?.end ?? '').toBe('19:00');
  });
  test('1 without an oven, 2 for a bad time or a file that is not there', () => {
    const none = dulvet(['cook', roast, '--ovens', '0']);
    expect([none.status, none.stdout]).toEqual([1, expect.stringMatching(/without an oven/)]);
    expect(dulvet(['cook', roast, '--at', 'seven']).status).toBe(2);
    expect(dulvet(['cook', path.join(folder, 'nowhere.txt')]).status).toBe(2);
  });
});

test('taste: what was added, judged, with the room that is left', () => {
  const { status, stdout } = dulvet(['taste', stew, '--add', '½ tsp reduced-sodium tamari', '--json']);
  expect(status).toBe(0);
  const t = TastingSchema.parse(JSON.parse(stdout));
  expect(t.additions[0]?.grams?.best).toBeGreaterThan(1);
  expect(t.room.length).toBeGreaterThan(5);
  expect(dulvet(['taste', stew, '--add', '3 tbsp salt']).status).toBe(1);
  expect(dulvet(['taste', stew]).status).toBe(2);
});

describe('dulvet week and shop', () => {
  const week = file(
    'week.json',
    JSON.stringify({
      schema: 'dulvet.week/1',
      days: 7,
      diners: [{ name: 'Maud', protocol: 'heart-strict' }],
      cookings: [{ id: 'stew', day: 1, recipe: 'stew.txt' }],
      meals: [{ day: 1, meal: 'supper', diner: 'Maud', of: 'stew', plates: 2 }],
    }),
  );
  test('a recipe is looked for beside its week', () => {
    const { status, stdout } = dulvet(['week', week, '--json']);
    expect(status).toBe(0);
    const w = WeekSchema.parse(JSON.parse(stdout));
    expect(w.judged).toHaveLength(1);
    expect(w.cookings[0]).toMatchObject({ leftPlates: { best: 2 }, keepsUntilDay: 5, problems: [] });
  });
  test('a week of another shape is refused with the place; so is a recipe that is not there', () => {
    const bad = file('bad.json', '{"schema":"dulvet.week/1","days":0,"diners":[],"cookings":[],"meals":[]}');
    const refused = dulvet(['week', bad]);
    expect([refused.status, refused.stderr]).toEqual([2, expect.stringMatching(/days/)]);
    const lost = file(
      'lost.json',
      JSON.stringify({
        schema: 'dulvet.week/1',
        days: 1,
        diners: [{ name: 'M', protocol: 'everyday' }],
        cookings: [{ id: 'x', day: 1, recipe: 'no.txt' }],
        meals: [],
      }),
    );
    expect(dulvet(['week', lost])).toMatchObject({
      status: 2,
      stderr: expect.stringMatching(/no\.txt cannot be read/),
    });
  });
  test('shopping for plates, and for a week', () => {
    const { stdout } = dulvet(['shop', stew, '--plates', '8', '--json']);
    const list = ShoppingSchema.parse(JSON.parse(stdout));
    expect(list.items.find((i) => i.food.id === 'potato')?.gramsEdible.high).toBeCloseTo(2000, 6);
    const forWeek = ShoppingSchema.parse(JSON.parse(dulvet(['shop', week, '--json']).stdout));
    expect(forWeek.items.map((i) => i.food.id)).toEqual(expect.arrayContaining(['potato']));
  });
});

describe('dulvet convert and audit --jsonl', () => {
  test.each(['text', 'markdown', 'cooklang', 'jsonld', 'csv'])(
    '%s is read again as the same dish',
    (form) => {
      const { status, stdout } = dulvet(['convert', stew, '--to', form]);
      expect(status).toBe(0);
      const audit = (text: string) =>
        AuditSchema.parse(JSON.parse(dulvet(['audit', '-', '--json'], text).stdout)).recipes[0];
      const [before, after] = [audit(dulvet(['convert', stew, '--to', 'text']).stdout), audit(stdout)];
      expect(after?.limits).toEqual(before?.limits);
    },
  );
  test('one recipe a line, one audit a line, in order; a bad line is said and the rest goes on', () => {
    const line = (n: number) =>
      JSON.stringify({ text: `Pot ${n}\nServes 2\n\n${n}00 g potatoes`, protocol: 'everyday' });
    const lines = [...Array.from({ length: 60 }, (_, i) => line(i + 1)), '{"text": 5}', line(61)];
    const { status, stdout } = dulvet(['audit', '--jsonl'], lines.join('\n'));
    expect(status).toBe(2);
    const out = stdout
      .trim()
      .split('\n')
      .map((l) => JSON.parse(l) as { error?: { path: string }; recipes?: { title: string }[] });
    expect(out).toHaveLength(62);
    expect(out.map((o) => o.recipes?.[0]?.title ?? o.error?.path)).toEqual([
      ...Array.from({ length: 60 }, (_, i) => `Pot ${i + 1}`),
      'line 61',
      'Pot 61',
    ]);
  });
  test('a form that there is not is refused', () => {
    expect(dulvet(['convert', stew, '--to', 'stone']).status).toBe(2);
  });
});
