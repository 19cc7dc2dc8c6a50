import type { TABLE_FIELDS } from '@/core/food/nutrients';
import { AT, type Field } from '@/core/food/nutrients';
import type { Food } from '@/core/food/table';
import { showNumber, showRange } from '@/core/format/figures';
import { SWAPS } from '@/core/swap/roles';
import type { SwapRow } from '@/core/swap/schema';
import { range, type Range } from '@/core/range/range';

/** A row of a food's figures per 100 g. */
export interface FigureRow {
  readonly field: (typeof TABLE_FIELDS)[number];
  readonly label: string;
  readonly unit: string;
  /** Part of the row above it. */
  readonly part?: boolean;
}

export const FIGURES: readonly FigureRow[] = [
  { field: 'energyKcal', label: 'Energy', unit: 'kcal' },
  { field: 'waterG', label: 'Water', unit: 'g' },
  { field: 'fatG', label: 'Fat', unit: 'g' },
  { field: 'saturatedFatG', label: 'saturated', unit: 'g', part: true },
  { field: 'carbohydrateG', label: 'Carbohydrate', unit: 'g' },
  { field: 'sugarG', label: 'sugars', unit: 'g', part: true },
  { field: 'addedSugarG', label: 'added sugars', unit: 'g', part: true },
  { field: 'freeSugarG', label: 'free sugars', unit: 'g', part: true },
  { field: 'fibreG', label: 'fibre', unit: 'g', part: true },
  { field: 'proteinG', label: 'Protein', unit: 'g' },
  { field: 'sodiumMg', label: 'Sodium', unit: 'mg' },
  { field: 'potassiumMg', label: 'Potassium', unit: 'mg' },
  { field: 'calciumMg', label: 'Calcium', unit: 'mg' },
  { field: 'ironMg', label: 'Iron', unit: 'mg' },
];

/** A food's figure in 100 g, with what a packet's rounding allows; null where it is not known. */
export function figureOf(food: Food, field: Field): Range | null {
  const best = (food.perGram[AT[field]] as number) * 100;
  if (Number.isNaN(best)) return null;
  const all = (food.spread ?? []).map((v) => (v[AT[field]] as number) * 100);
  return range(Math.min(best, ...all), best, Math.max(best, ...all));
}

/** One component for each kilocalorie; null where it is not known. */
function perKcal(food: Food, field: Field, factor: number): Range | null {
  const values = [food.perGram, ...(food.spread ?? [])].map((v) => {
    const energy = v[AT.energyKcal] as number;
    return energy > 0 ? (factor * (v[AT[field]] as number)) / energy : NaN;
  });
  const [best = NaN] = values;
  if (values.some(Number.isNaN)) return null;
  return range(Math.min(...values), best, Math.max(...values));
}

/** Fat's share of energy, %; sodium in mg for each kcal. */
export const fatShareOf = (food: Food): Range | null => perKcal(food, 'fatKcal', 100);
export const sodiumPerKcalOf = (food: Food): Range | null => perKcal(food, 'sodiumMg', 1);

export const shown = (value: Range | null, unit: string): string =>
  value ? `${showRange(value)} ${unit}` : 'not known';

const NOVA_WORDS = ['', 'unprocessed', 'a kitchen ingredient', 'processed', 'ultra-processed'];
export const novaWords = (nova: number): string => `NOVA ${nova}, ${NOVA_WORDS[nova] ?? ''}`;

const UNIT_WORDS: Record<string, string> = {
  piece: 'one',
  tsp: 'teaspoon',
  tbsp: 'tablespoon',
  'cup-cooked': 'cup, cooked',
};

const PACKAGES = new Set(['packet', 'can', 'jar', 'carton', 'tub', 'block', 'bottle', 'bag', 'pouch', 'box']);

/** A food's own portions, the small ones first; a packet's own weight once. */
export const portionsOf = (food: Food): { name: string; grams: string }[] =>
  Object.entries(food.portions)
    .filter(([name]) => !food.own || name === 'packet' || !PACKAGES.has(name))
    .sort((a, b) => a[1][1] - b[1][1])
    .map(([name, [low, best, high]]) => ({
      name: UNIT_WORDS[name] ?? name.replace(/[-_]/g, ' '),
      grams: low === high ? showNumber(best) : showRange({ low, best, high }),
    }));

/** Swaps that replace a food, by what it did. */
export const replacementsOf = (food: Food): readonly SwapRow[] =>
  SWAPS.filter((s) => s.from.foods?.includes(food.id) || s.from.kinds?.includes(food.kind));
