import { AT } from '@/core/food/nutrients';
import { roleFromTitle, type RoleId } from '@/core/protocol';
import { sumBounds } from '@/core/range/bounds';
import type { KeptRecipe } from '@/core/read/library';
import type { ReadRecipe } from '@/core/read/types';
import { dishOf, isComplete } from './dish';

/** The part that a dish plays in a day, with what says so. */
export interface RoleReading {
  readonly role: RoleId;
  readonly because: string;
}

/** Energy on a plate below which nobody calls it a meal (common practice: a tenth of a day of 2000 kcal). */
export const MEAL_KCAL = 200;

const AS_SIDE = /\bas (?:a |an )?(?:sides?|starters?|appeti[sz]ers?|accompaniments?)\b/i;
const BY_PIECE = /\b(?:makes|yields?|pieces?|per person)\b/i;

/** The most energy that a plate may hold, by the lines that are understood; null where one is not. */
function mostKcal(read: ReadRecipe): number | null {
  const dish = dishOf(read);
  if (!isComplete(dish)) return null;
  const most = sumBounds(dish.lines, AT.energyKcal).high / dish.servings.low;
  return Number.isNaN(most) ? null : most;
}

/** The part that a kept recipe plays: as the cook said, else as it reads. */
export const roleOfKept = (recipe: Pick<KeptRecipe, 'role'>, read: ReadRecipe): RoleId =>
  recipe.role ?? roleOf(read).role;

/**
 * What a dish is in a day: as its title or its servings say. Where neither does it is a main, unless a plate of it is
 * too little for one: every other role has a smaller share of the day.
 */
export function roleOf(read: ReadRecipe): RoleReading {
  const titled = roleFromTitle(read.recipe.title);
  const said = read.servings.text.trim();
  if (titled && titled !== 'main') return { role: titled, because: 'its title says so' };
  if (AS_SIDE.test(said)) return { role: 'side', because: `it says “${said}”` };
  if (titled) return { role: titled, because: 'its title says so' };
  const most = mostKcal(read);
  if (most === null || most >= MEAL_KCAL) return { role: 'main', because: 'nothing says that it is less' };
  return BY_PIECE.test(said)
    ? { role: 'snack', because: `it says “${said}”, and each holds less than ${MEAL_KCAL} kcal` }
    : { role: 'side', because: `a plate holds less than ${MEAL_KCAL} kcal` };
}
