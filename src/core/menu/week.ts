import type { WeekPlan } from '@/core/week/schema';
import type { MenuPlan } from './plan';

/** What a planned meal comes from, as the week knows it. */
export interface Source {
  /** The id of a pot of the week; null where words say it. */
  readonly pot: string | null;
  readonly text: string;
}

/** The id of the pot that a plan cooks of an offer on a day. */
export const potId = (offer: string, day: number): string => `plan:${offer}:${day}`;

/**
 * A week with a plan's pots and meals in it, to be judged like any other.
 *
 * @param sourceOf where a meal comes from that is not cooked anew
 */
export function weekWith(
  week: WeekPlan,
  plan: MenuPlan,
  sourceOf: (offer: string) => Source | null,
  recipeOf: (offer: string) => string,
): WeekPlan {
  return {
    ...week,
    cookings: [
      ...week.cookings,
      ...plan.pots.map((p) => ({
        id: potId(p.offer, p.day),
        day: p.day,
        recipe: recipeOf(p.offer),
        times: p.times,
        place: 'fridge' as const,
      })),
    ],
    meals: [
      ...week.meals,
      ...plan.meals.flatMap((m): WeekPlan['meals'] => {
        const diner = week.diners[m.eater]?.name;
        if (diner === undefined) return [];
        const at = { day: m.day, meal: m.meal, diner };
        const from = sourceOf(m.offer);
        if (from?.pot) return [{ ...at, of: from.pot, plates: 1 }];
        if (from) return [{ ...at, text: from.text }];
        return m.pot === null ? [] : [{ ...at, of: potId(m.offer, m.pot), plates: 1 }];
      }),
    ],
  };
}
