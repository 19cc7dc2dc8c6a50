import { foodById } from '@/core/food/table';
import type { ReadRecipe } from '@/core/read/types';
import type { SwapRow } from './schema';

/** Kinds that sweeten, by how much of them counts. */
const SWEETENS: Readonly<Record<string, number>> = {
  sugar: 4,
  syrup: 4,
  chocolate: 2,
  'dried-fruit': 1.5,
  fruit: 0.6,
};
/** Foods that make a dish a savoury one, whatever sweetens it. */
const SAVOURY = /^(?:onion|garlic|shallot|leek|spring-onion|stock|soy-sauce|tamari|miso|tomato|cumin|curry)/;
/** Share of a dish's weight from which it is a sweet one. */
const SWEET = 0.16;

/** True of a cake, a bar, a pudding, a fruit porridge: nobody eats potatoes with it or cumin in it. */
export function isSweetDish(read: Pick<ReadRecipe, 'lines'>): boolean {
  const gramsOf = (l: ReadRecipe['lines'][number]) => l.foods.reduce((g, f) => g + (f.grams?.best ?? 0), 0);
  const foods = read.lines.flatMap((l) => (l.foods[0]?.food ? [{ l, food: l.foods[0].food }] : []));
  if (foods.some(({ food }) => SAVOURY.test(food.id) || food.kind === 'stock')) return false;
  const all = foods.reduce((g, { l }) => g + gramsOf(l), 0);
  const sweet = foods.reduce((g, { l, food }) => g + gramsOf(l) * (SWEETENS[food.kind] ?? 0), 0);
  return all > 0 && sweet >= SWEET * all;
}

/** Kinds that belong in no sweet dish. */
const KINDS_OF_SAVOURY = new Set([
  'stock',
  'salty',
  'condiment',
  'mushroom',
  'seaweed',
  'leaf',
  'acid-savoury',
]);
const SAVOURY_FOODS =
  /^(?:cumin|mustard|onion|garlic|paprika|chilli|curry|turmeric|coriander|nutritional-yeast|black-pepper|celery|tomato|caraway|fennel-seed|dried-mushroom|soy-sauce|tamari)/;

/** True where a swap would bring the savoury into a sweet dish, for a food that is none itself. */
export const isOutOfPlace = (swap: SwapRow, from: string): boolean =>
  !SAVOURY_FOODS.test(from) &&
  swap.to.some((t) => {
    const food = foodById(t.food);
    return food !== undefined && (SAVOURY_FOODS.test(food.id) || KINDS_OF_SAVOURY.has(food.kind));
  });
