import { findFood, SURE } from '@/core/food/find';
import type { ClassId } from '@/core/food/schema';
import type { HiddenClass } from './schema';

/** What limits look for in an ingredient statement. */
export type IngredientClass = HiddenClass | ClassId | 'nut' | 'flax' | 'animal';

const BY_FOOD = new Set(['nut', 'flax', 'animal', 'refined', 'oil']);

/** What an ingredient is, by its hidden names and by the food it is; `known` where at least one of them says. */
export function classesOf(ingredient: {
  readonly text: string;
  readonly hidden: readonly { readonly class: string }[];
  readonly plain: boolean;
}): { classes: ReadonlySet<string>; known: boolean } {
  const food = findFood(ingredient.text.toLowerCase(), '', 1)[0];
  const sure = food !== undefined && food.confidence >= SURE;
  const classes = new Set<string>(ingredient.hidden.map((h) => h.class));
  // salt, sugar and oil added to a bought food stand in its own brackets, not in its name
  if (sure && food.food.kindClass && BY_FOOD.has(food.food.kindClass))
    classes.add(food.food.kindClass === 'refined' ? 'refined-starch' : food.food.kindClass);
  if (sure) for (const id of food.food.classes) classes.add(id);
  return { classes, known: sure || ingredient.plain || ingredient.hidden.length > 0 };
}
