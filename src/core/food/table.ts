import raw from '@content/compiled/foods.json';
import { AT, outerCorners, TABLE_FIELDS, zeros, type Field } from './nutrients';
import type { ClassId, FoodRow, KindRow } from './schema';

/** A food of the composition table, with its vector per gram. */
export interface Food extends FoodRow {
  /** Amounts per gram of edible food, in the order of FIELDS; NaN where the table does not know. */
  readonly perGram: Float64Array;
  /** What the figures may be as well, per gram: the rounding of a packet's label. */
  readonly spread?: readonly Float64Array[] | undefined;
  /** True for a packet of the cook's own. */
  readonly own?: boolean | undefined;
  /** Why its allergens are not known, where they are not: a packet whose statement cannot be read. */
  readonly allergensNotKnown?: string | undefined;
  /** Allergens that its packet says it may contain. */
  readonly traces?: readonly string[] | undefined;
  readonly kindLabel: string;
  readonly kindClass: KindRow['class'];
}

// checked by Zod when content is compiled
const file = raw as unknown as {
  kinds: Record<string, KindRow>;
  portionsByKind: Record<string, Record<string, [number, number, number]>>;
  columns: (keyof FoodRow)[];
  sources: string[];
  rows: unknown[][];
};

/**
 * The vector of a food per gram. Energy from fat is 9 kcal/g and from sugars 4 kcal/g (EU Regulation
 * 1169/2011 Annex XIV). A product with oil among its ingredients counts all its fat as oil unless it is
 * a nut or seed itself: the label does not say how much, and less would be a guess.
 */
function vectorOf(row: FoodRow, kind: KindRow): Float64Array {
  const v = zeros();
  for (const name of TABLE_FIELDS) v[AT[name]] = (row[name] ?? NaN) / 100;
  v[AT.weightG] = 1;
  v[AT.fatKcal] = 9 * (v[AT.fatG] as number);
  v[AT.freeSugarKcal] = 4 * (v[AT.freeSugarG] as number);
  const sodium = v[AT.sodiumMg] as number;
  const added = v[AT.addedSugarG] as number;
  if (row.adds.includes('oil')) v[AT.oilG] = kind.class === 'nut' ? 0.02 : (v[AT.fatG] as number);
  if (kind.class === 'oil') v[AT.oilG] = 1;
  if (kind.class === 'nut') v[AT.nutG] = 1;
  if (kind.class === 'flax') v[AT.flaxG] = 1;
  if (kind.class === 'refined') v[AT.refinedG] = 1;
  if (kind.class === 'animal') v[AT.animalG] = 1;
  if (kind.class === 'sweet') v[AT.sweetG] = 1;
  else if (row.adds.includes('sugar')) v[AT.sweetG] = Math.max(added, 0.001);
  if (row.adds.includes('salt')) v[AT.addedSodiumMg] = sodium;
  v[AT.carbohydrateKcal] = carbohydrateKcal(v);
  v[AT.proteinKcal] = 4 * (v[AT.proteinG] as number);
  for (const id of row.classes) {
    const field = CLASS_FIELD[id];
    v[AT[field]] = field === 'fermentedSodiumMg' ? sodium : 1;
  }
  if (row.nova === 4) {
    v[AT.nova4G] = 1;
    v[AT.nova4Kcal] = v[AT.energyKcal] as number;
  }
  return v;
}

/** The component that a class of foods is counted in: weight, or sodium where it is about salt. */
export const CLASS_FIELD: Readonly<Record<ClassId, Field>> = {
  avocado: 'avocadoG',
  olive: 'oliveG',
  coconut: 'coconutG',
  soy: 'soyG',
  flour: 'flourG',
  canned: 'cannedG',
  wine: 'wineG',
  unrefined: 'unrefinedSweetG',
  fermented: 'fermentedSodiumMg',
};

/**
 * Energy from carbohydrate: 4 kcal/g, of fibre 2 kcal/g (EU Regulation 1169/2011 Annex XIV); never more than
 * the food's own energy, which tables give by other factors.
 */
export function carbohydrateKcal(v: Float64Array): number {
  const all = v[AT.carbohydrateG] as number;
  const fibre = Math.min(v[AT.fibreG] as number, all);
  const sum = 4 * (all - fibre) + 2 * fibre;
  return Number.isNaN(sum) ? NaN : Math.min(sum, v[AT.energyKcal] as number);
}

/** What makes of a food differ by, as corners that every limit finds its extreme among; nothing where they do not. */
function spreadOf(row: FoodRow, kind: KindRow): Float64Array[] | undefined {
  const spans = Object.entries(row.spans);
  if (spans.length === 0 && row.perhaps.length === 0) return undefined;
  const adds = [
    row.adds.filter((a) => !row.perhaps.includes(a)),
    [...new Set([...row.adds, ...row.perhaps])],
  ];
  const end = (i: 0 | 1) =>
    vectorOf(
      { ...row, adds: adds[i] ?? [], ...Object.fromEntries(spans.map(([name, span]) => [name, span[i]])) },
      kind,
    );
  return outerCorners(end(0), end(1));
}

/** One row of the file as a food; a thousand of them are made at every start, so each is made once and not copied. */
function foodOf(values: readonly unknown[]): Food {
  const row: Record<string, unknown> = {};
  file.columns.forEach((column, i) => {
    row[column] = column === 'source' ? (file.sources[values[i] as number] ?? '') : values[i];
  });
  const food = row as unknown as FoodRow;
  const kind = file.kinds[food.kind] as KindRow;
  row.perGram = vectorOf(food, kind);
  row.spread = spreadOf(food, kind);
  row.kindLabel = kind.label;
  row.kindClass = kind.class;
  return row as unknown as Food;
}

/** The composition table, over 1200 foods, per 100 g edible. */
export const FOODS: readonly Food[] = file.rows.map(foodOf);

const byId = new Map(FOODS.map((food) => [food.id, food]));

/** The food of an id, if there is one. */
export const foodById = (id: string): Food | undefined => byId.get(id);

/** Grams of a measure for a kind of food where the food's own row does not say: [low, best, high]. */
export const portionOfKind = (kind: string, measure: string): readonly [number, number, number] | undefined =>
  file.portionsByKind[kind]?.[measure];

/** What a cook calls a kind: "nut or seed butter". */
export const kindLabel = (kind: string): string => file.kinds[kind]?.label ?? kind;
