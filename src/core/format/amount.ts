import { formatQuantity } from 'format-quantity';
import type { Food } from '@/core/food/table';
import { densityOf } from '@/core/food/weigh';

const TSP = 4.92892;
const TBSP = 14.78676;
const CUP = 236.588;

/** The parts that a set of cups, spoons, or a scale in ounces has. */
const PARTS = {
  cup: [0, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4, 1],
  tbsp: [0, 1 / 2, 1],
  tsp: [0, 1 / 8, 1 / 4, 1 / 2, 3 / 4, 1],
  oz: [0, 1 / 4, 1 / 2, 3 / 4, 1],
} as const;

/** The nearest number of a measure that a kitchen can measure; halves only from two up. */
export function spoonable(n: number, measure: keyof typeof PARTS): number {
  if (n >= 10) return Math.round(n);
  const parts: readonly number[] = n >= 2 && measure !== 'oz' ? [0, 1 / 2, 1] : PARTS[measure];
  const whole = Math.floor(n);
  const part = n - whole;
  const near = parts.reduce((a, b) => (Math.abs(b - part) < Math.abs(a - part) ? b : a), 0);
  return Math.max(whole + near, PARTS[measure][1]);
}

const shown = (n: number): string => String(formatQuantity(n, { vulgarFractions: true }) ?? n);

/** Millilitres in kitchen measures: "¼ cup", "2 tbsp", "½ tsp". */
export function kitchenVolume(ml: number): string {
  if (ml >= CUP * 0.24) {
    const cups = spoonable(ml / CUP, 'cup');
    return `${shown(cups)} ${cups > 1 ? 'cups' : 'cup'}`;
  }
  if (ml >= TBSP * 0.95) return `${shown(spoonable(ml / TBSP, 'tbsp'))} tbsp`;
  return `${shown(spoonable(ml / TSP, 'tsp'))} tsp`;
}

/** A number of grams or millilitres as a cook weighs it. */
export function roundGrams(n: number): number {
  const step = n >= 1000 ? 10 : n >= 20 ? 5 : n >= 5 ? 1 : 0.5;
  return Math.max(step, Math.round(n / step) * step);
}

/** Grams as a scale shows them; ounces and pounds where the recipe speaks those. */
export function kitchenWeight(grams: number, imperial: boolean): string {
  if (imperial) {
    const oz = grams / 28.3495;
    return oz >= 16 ? `${shown(spoonable(oz / 16, 'oz'))} lb` : `${shown(spoonable(oz, 'oz'))} oz`;
  }
  const g = roundGrams(grams);
  return g >= 1000 && g % 50 === 0 ? `${g / 1000} kg` : `${g} g`;
}

/** Kinds of what is poured: millilitres say it, grams do not. */
export const POURED = ['stock', 'water', 'acid', 'plant-milk', 'juice', 'alcohol', 'salty'] as const;

/** How a recipe states its amounts. */
export type Manner = 'spoons' | 'metric' | 'imperial';

/** Foods of grain that are eaten by the piece. */
const COUNTED = /^(?:rice-cakes|oatcakes|crackers)/;

/** An amount of a food in the recipe's own manner, or null where the food cannot be spooned. */
export function kitchenAmount(grams: number, food: Food, manner: Manner, liquid: boolean): string {
  const density = densityOf(food, grams < 20 ? 'tsp' : 'cup');
  const slice = food.portions.slice?.[1];
  // bread goes by the slice, not by the cup
  if (manner === 'spoons' && slice && /bread/.test(food.id)) {
    const slices = Math.max(1, Math.round(grams / slice));
    return `${slices} ${slices > 1 ? 'slices' : 'slice'}`;
  }
  // rice cakes are counted
  const piece = food.portions.piece?.[1];
  if (piece && COUNTED.test(food.id) && grams > piece / 2) return String(Math.round(grams / piece));
  if (manner === 'spoons' && density) return kitchenVolume(grams / density[1]);
  if (manner === 'metric' && liquid && density) {
    const ml = grams / density[1];
    const step = ml >= 100 ? 10 : 5;
    return ml >= 60 ? `${Math.round(ml / step) * step} ml` : kitchenVolume(ml);
  }
  if (grams < 20 && density) return kitchenVolume(grams / density[1]);
  return kitchenWeight(grams, manner === 'imperial');
}
