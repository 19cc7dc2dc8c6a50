import path from 'node:path';
import { AdaptationSchema } from '../src/core/adapt/schema';
import { AuditSchema } from '../src/core/audit/schema';
import { LabelSchema } from '../src/core/label/schema';
import { StepsSchema } from '../src/core/steps/schema';
import { bench } from './run.fixture';

const { folder, file, dulvet } = bench();

const within = file('within.txt', 'Plain pot\nServes 4\n\n1 kg potatoes\n200 g carrots\n');
const over = file('over.md', '# Oily pot\n\nServes 4\n\n- 3 tbsp olive oil\n- 1 kg potatoes\n');
const odd = file('odd.txt', 'Odd pot\nServes 4\n\n1 kg potatoes\n2 cups gronk\n');
const binary = file('picture.bin', Buffer.from([0x89, 0x50, 0, 0, 1, 2, 3]));

describe('dulvet steps', () => {
  test('as JSON, by its schema, for several files', () => {
    const pot = file(
      'pot.txt',
      'Pot\nServes 2\n\n2 onions\n\nMethod\nBake the onions at 350°F for 1 hour.\n',
    );
    const { status, stdout } = dulvet(['steps', pot, within, '--json']);
    expect(status).toBe(0);
    const read = StepsSchema.parse(JSON.parse(stdout));
    expect(read.recipes.map((r) => r.source)).toEqual([pot, within]);
    const bake = read.recipes[0]?.steps[0]?.clauses[0];
    expect(bake).toMatchObject({ action: 'bake', polarity: 'do', minutes: { best: 60 } });
    expect(bake?.foods.map((f) => f.lines)).toEqual([[0]]);
  });
  test('what cannot be read is said, and the rest is read', () => {
    const { status, stdout, stderr } = dulvet(['steps', binary, within]);
    expect(status).toBe(2);
    expect(stderr).toContain('picture.bin, line 1');
    expect(stdout).toContain('Plain pot');
  });
});

describe('dulvet adapt', () => {
  test('0 with a plan whose text is within; --json is the contract’s adaptation', () => {
    const r = dulvet(['adapt', over, '--alternatives', '1', '--json']);
    expect(r.status).toBe(0);
    const adaptation = AdaptationSchema.parse(JSON.parse(r.stdout));
    expect(adaptation.schema).toBe('dulvet.adaptation/1');
    expect(adaptation.before.verdict).toBe('over');
    expect(adaptation.plans[0]?.changes).toHaveLength(1);
    const again = dulvet(['audit', file('adapted.md', adaptation.plans[0]?.text ?? '')]);
    expect(again.status).toBe(0);
  });
  test('a table a cook can read, and the text', () => {
    const r = dulvet(['adapt', over]);
    expect(r.stdout).toContain('the least change: 1 change');
    expect(r.stdout).toContain('on the tongue: It tastes');
    expect(r.stdout).toContain('3 tbsp olive oil  →');
  });
  test('nothing to change where it is within; a line that must stay stays', () => {
    expect(dulvet(['adapt', within]).stdout).toContain('nothing to change');
    const kept = dulvet(['adapt', over, '--keep', '3 tbsp olive oil']);
    expect(kept.status).toBe(1);
    expect(kept.stdout).toContain('no plan');
  });
  test('a line that must change changes, though the dish is within already', () => {
    const r = dulvet(['adapt', within, '--change', '200 g carrots', '--json', '--alternatives', '0']);
    const a = AdaptationSchema.parse(JSON.parse(r.stdout));
    expect(a.plans[0]?.changes.map((c) => c.from)).toContain('200 g carrots');
    const none = dulvet(['adapt', within, '--change', '3 leeks']);
    expect(none.status).toBe(2);
    expect(none.stderr).toContain('no line of');
  });
  test('others at the table: the plan serves them too', () => {
    const nutty = file(
      'nutty.md',
      '# Nutty pot\n\nServes 4\n\n- 60 g walnuts\n- 1 kg potatoes\n- ½ tsp salt\n',
    );
    const r = dulvet(['adapt', nutty, '--protocol', 'everyday', '--also', 'heart-strict', '--json']);
    const a = AdaptationSchema.parse(JSON.parse(r.stdout));
    expect(r.status).toBe(0);
    const again = dulvet(['audit', file('both.md', a.plans[0]?.text ?? ''), '--protocol', 'heart-strict']);
    expect(again.status).toBe(0);
    expect(dulvet(['adapt', nutty, '--also', 'nobody']).status).toBe(2);
  });
  test('2 where it cannot be read', () => {
    expect(dulvet(['adapt', binary]).status).toBe(2);
    expect(dulvet(['adapt', over, '--alternatives', 'many']).status).toBe(2);
    expect(dulvet(['adapt']).status).toBe(2);
  });
});

describe('recipes, rules and kitchens of the cook’s own', () => {
  const sauce = file('sauce.txt', 'Lock House tomato sauce\nServes 4\n\n800 g tomatoes\n1 tsp salt\n');
  const bake = file('bake.txt', 'Bake\nServes 4\n\n1 kg potatoes\n1 batch Lock House tomato sauce\n');
  test('files named together may be ingredients of each other', () => {
    const r = dulvet(['audit', bake, sauce, '--json']);
    const audit = AuditSchema.parse(JSON.parse(r.stdout));
    expect(audit.recipes[0]?.lines[1]?.food?.name).toBe('Lock House tomato sauce');
    expect(audit.recipes[0]?.total.sodiumMg?.best).toBeGreaterThan(2000);
    expect(audit.recipes[0]?.unresolved).toEqual([]);
  });
  test('a protocol from a file; one that cannot hold is refused with the reason', () => {
    const source = {
      id: 'own-salty',
      name: 'Salty',
      says: '',
      switches: {},
      limits: [
        {
          id: 'sodium',
          label: 'Sodium',
          of: 'sodiumMg',
          per: 'serving',
          unit: 'mg',
          limit: 5,
          source: 'made up',
        },
      ],
    };
    const good = file('salty.json', JSON.stringify({ schema: 'dulvet.protocol/1', protocol: source }));
    const r = dulvet(['audit', within, '--protocol', good]);
    expect(r.stdout).toContain('Salty');
    expect(r.status).toBe(1);
    const bad = file(
      'bad.json',
      JSON.stringify({
        schema: 'dulvet.protocol/1',
        protocol: { ...source, limits: [{ ...source.limits[0], aim: 9 }] },
      }),
    );
    const refused = dulvet(['audit', within, '--protocol', bad]);
    expect(refused.status).toBe(2);
    expect(refused.stderr).toMatch(/bad\.json: .*aim lies above/);
  });
  test('packets of a saved kitchen are used by name', () => {
    const kitchen = file(
      'kitchen.json',
      JSON.stringify({
        schema: 'dulvet.archive/1',
        recipes: [],
        diners: [],
        packets: [
          {
            id: 'own-dip',
            name: 'Quayside dip',
            names: [],
            like: null,
            updatedAt: 1,
            label:
              'per 100 g\nEnergy 200 kcal\nFat 10 g\nSalt 1 g\n\nIngredients: Chickpeas, olive oil, salt.',
          },
        ],
        settings: { measures: { cup: 'us', tablespoon: 'us' }, theme: 'day' },
      }),
    );
    const plate = file('plate.txt', 'Plate\nServes 2\n\n100 g quayside dip\n1 kg carrots\n');
    const r = dulvet(['audit', plate, '--larder', kitchen, '--json']);
    const audit = AuditSchema.parse(JSON.parse(r.stdout));
    expect(audit.recipes[0]?.lines[0]?.food?.id).toBe('own-dip');
    expect(audit.recipes[0]?.limits.find((l) => l.id === 'no-added-oil')?.verdict).toBe('over');
    expect(dulvet(['audit', plate, '--larder', plate]).status).toBe(2);
  });
  test('a weighed pot and plate', () => {
    const r = dulvet(['audit', within, '--pot', '1000', '--plate', '200', '--json']);
    expect(AuditSchema.parse(JSON.parse(r.stdout)).recipes[0]?.servings.best).toBe(5);
    expect(dulvet(['audit', within, '--pot', '0']).status).toBe(2);
  });
});

describe('dulvet audit', () => {
  test('0 where every recipe is within, with a table a cook can read', () => {
    const r = dulvet(['audit', within]);
    expect(r.status).toBe(0);
    expect(r.stdout).toContain('Plain pot');
    expect(r.stdout).toContain('1 kg potatoes');
    expect(r.stdout).toContain('within');
  });
  test('1 where one is over or not known', () => {
    expect(dulvet(['audit', within, over]).status).toBe(1);
    expect(dulvet(['audit', odd]).status).toBe(1);
  });
  test('2 where one cannot be read; the others are still printed, one line says which and why', () => {
    const r = dulvet(['audit', binary, over, path.join(folder, 'none.txt')]);
    expect(r.status).toBe(2);
    expect(r.stdout).toContain('Oily pot');
    expect(r.stderr).toMatch(/picture\.bin, line 1: This is not text/);
    expect(r.stderr).toMatch(/none\.txt: cannot be read \(ENOENT\)/);
  });
  test('--json is the contract’s audit', () => {
    const r = dulvet([
      'audit',
      over,
      '--protocol',
      'everyday',
      '--servings',
      '2',
      '--role',
      'side',
      '--json',
    ]);
    const audit = AuditSchema.parse(JSON.parse(r.stdout));
    expect(audit).toMatchObject({ schema: 'dulvet.audit/1', protocol: 'everyday' });
    expect(audit.recipes[0]).toMatchObject({
      source: over,
      title: 'Oily pot',
      role: 'side',
      servings: { low: 2, best: 2, high: 2 },
    });
  });
  test('reads standard input', () => {
    const r = dulvet(['audit', '-', '--json'], 'Pot\nServes 2\n\n500 g potatoes');
    expect(AuditSchema.parse(JSON.parse(r.stdout)).recipes[0]?.title).toBe('Pot');
  });
  test.each([
    [['audit']],
    [['audit', within, '--protocol', 'keto']],
    [['audit', within, '--servings', '0']],
    [['audit', within, '--role', 'feast']],
    [['audit', within, '--nonsense']],
    [['juggle']],
  ])('2 for %p', (args) => {
    const r = dulvet(args);
    expect(r.status).toBe(2);
    expect(r.stderr.length).toBeGreaterThan(5);
  });
});

test('label: what a packet says, by its exit code', () => {
  const can = file(
    'can.txt',
    'Beans\nper 100 g\nper serving (100 g)\nEnergy 420 kJ / 100 kcal\nFat 0.6 g\nof which sugars 0.4 g\nSalt 0.03 g\n\nIngredients: Chickpeas, water.',
  );
  const spray = file(
    'spray.txt',
    'Spray, oil free\nServing size 1 tsp (5g)\nCalories 5\nTotal Fat 0g\n\nIngredients: Water, rapeseed oil.',
  );
  expect(dulvet(['label', can, '--protocol', 'nothing-added']).status).toBe(0);
  const r = dulvet(['label', spray, '--json']);
  expect(r.status).toBe(1);
  expect(LabelSchema.parse(JSON.parse(r.stdout)).claims[0]?.holds).toBe('impossible');
  expect(dulvet(['label', binary]).status).toBe(2);
  expect(dulvet(['label']).status).toBe(2);
});

test('protocols, foods and schema', () => {
  expect(dulvet(['protocols']).stdout).toContain('heart-strict');
  expect(dulvet(['foods', 'courgette']).stdout).toContain('courgette');
  const schema = JSON.parse(dulvet(['schema']).stdout) as { properties: object };
  expect(Object.keys(schema.properties)).toEqual(['schema', 'protocol', 'recipes']);
});
