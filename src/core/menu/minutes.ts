import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { stepsOf } from '@/core/steps/steps';

/** Minutes of a deed that only wants an eye now and then. */
const GLANCE = 2;
/** Minutes of a recipe whose method says nothing. */
const UNSAID = 20;

/** Minutes that a recipe keeps somebody at the stove: what wants hands, and a glance at what stands. */
export function handsMinutes(read: ReadRecipe, settings: ReadSettings): number {
  const clauses = stepsOf(read, settings)
    .flatMap((s) => s.clauses)
    .filter((c) => c.polarity === 'do' && c.action !== null);
  if (clauses.length === 0) return UNSAID;
  return Math.round(
    clauses.reduce((sum, c) => {
      if (c.attention !== 'hands') return sum + (c.minutes ? GLANCE : 0);
      return sum + (c.minutes?.best ?? GLANCE);
    }, 0),
  );
}
