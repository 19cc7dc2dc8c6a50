import { AT } from '@/core/food/nutrients';
import { partOf } from '@/core/range/bounds';
import { over, exact } from '@/core/range/range';
import type { ReadRecipe } from '@/core/read/types';
import type { Week, WeekPlan } from '@/core/week/schema';

/**
 * The most sodium in mg that 100 g of a food may hold so that every day of a week still keeps its sodium: of all days
 * and diners who eat of it, what the rest of the day leaves, over the grams of it that they eat at most. Null where nobody
 * eats of it, where a day is not known, or where a line holds more than the one food.
 *
 * @param reads the recipes of the week's pots, by the pot's id
 */
export function mostSodium(
  week: Week,
  plan: WeekPlan,
  reads: ReadonlyMap<string, ReadRecipe>,
  foodId: string,
): number | null {
  let most: number | null = null;
  for (const day of week.judged) {
    const limit = day.limits.find((l) => l.id === 'sodium');
    const plate = plan.diners.find((d) => d.name === day.diner)?.plate ?? 1;
    let grams = 0;
    let own = 0;
    for (const meal of plan.meals) {
      if (meal.day !== day.day || meal.diner !== day.diner || !('of' in meal)) continue;
      const read = reads.get(meal.of);
      if (!read || meal.grams !== undefined) continue;
      const share = over(exact((meal.plates ?? 1) * plate), read.servings.range).high;
      for (const line of read.lines) {
        if (!line.foods.some((f) => f.food?.id === foodId)) continue;
        const [food] = line.foods;
        if (line.foods.length > 1 || line.alternatives.length > 0 || !food?.grams || !line.corners)
          return null;
        grams += food.grams.high * share;
        own += Math.max(...line.corners.map((c) => partOf(c, AT.sodiumMg))) * share;
      }
    }
    if (grams <= 0) continue;
    if (!limit?.value || limit.bound !== 'most') return null;
    const room = limit.limit - (limit.value.high - own);
    const here = Math.max(0, (room / grams) * 100);
    most = most === null ? here : Math.min(most, here);
  }
  return most;
}
