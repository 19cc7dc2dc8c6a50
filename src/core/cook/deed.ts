import type { Food } from '@/core/food/table';
import { exact, range, type Range } from '@/core/range/range';
import { verbById } from '@/core/step/lexicon';
import type { StepClause } from '@/core/steps/schema';
import { isAtOnce, JOINS, saysBatter, saysInPassing, saysKeeping, SILENT, TASKS } from './knowledge';
import type { Pot } from './pots';
import type { Task } from './task';

/** Tools that stand on a burner. */
export const ON_BURNER = new Set(['pan', 'wok', 'steamer']);
/** What is occupied as itself. */
export const APPLIANCES = [
  'oven',
  'grill',
  'air fryer',
  'microwave',
  'pressure cooker',
  'slow cooker',
  'blender',
] as const;
const STARTS_LIKE_A_WHILE = /^[\s,]*(?:and |then )?(?:while|as|once|when|after|before|by the time|whilst)\b/i;
/** "turning once": what is done while something else goes on. */
export const IN_PASSING = /^[\s,]*(?:and |then |while |whilst |, )?[a-z]+ing\b/i;
/** Longer than two days is keeping, not cooking. */
const MOST_MINUTES = 2 * 24 * 60;
/** Where a deed is told. */
export interface Place {
  readonly step: number;
  readonly text: string;
  /** The words of the sentence it stands in, up to it. */
  readonly sentence: string;
  readonly opens: boolean;
  /** Where its words begin in the step, and where the next deed's do. */
  readonly start: number;
  readonly until: number;
  /** Its words up to the next deed. */
  readonly whole: string;
}

/** Where a clause puts its food: an appliance, a burner, or neither. */
export function placeOf(c: StepClause): string {
  const tool = APPLIANCES.find((a) => c.tools.includes(a));
  if (tool) return tool;
  if (c.tools.some((t) => ON_BURNER.has(t)) || (c.heat !== null && c.action !== null)) return 'burner';
  return c.tools.includes('board') ? 'board' : 'bowl';
}

/** Minutes of a clause: as said, else what such a deed usually takes. */
export function minutesOf(c: StepClause): { readonly minutes: Range; readonly said: boolean } | null {
  const action = c.action ?? 'add';
  if (c.minutes && c.minutes.best > 0) {
    if (c.minutes.low > MOST_MINUTES) return null;
    const [low, best, high] = action === 'pressurecook' ? TASKS.pressure.up : [0, 0, 0];
    const { minutes: m } = c;
    return { minutes: range(m.low + low, m.best + best, m.high + high), said: true };
  }
  if (SILENT.has(action)) return null;
  const usual = verbById(action)?.minutes;
  return { minutes: usual ? range(...usual) : exact(1), said: false };
}

/** Whether a deed wants hands, an eye or nobody. */
export function attentionOf(c: StepClause, minutes: number, said: boolean, place: string): Task['attention'] {
  const stands = said && minutes >= 4;
  // what takes minutes in the oven, or in a bowl, wants nobody, whatever its verb
  const standing = c.action === null || JOINS.has(c.action) || SILENT.has(c.action) || c.action === 'spread';
  if (stands && place === 'oven') return 'none';
  if (stands && standing) return place === 'burner' || c.action === 'stir' ? 'eye' : 'none';
  if (c.action === null) return 'hands';
  if (c.attention === 'hands' && place === 'burner' && (stands || minutes >= 6)) return 'eye';
  return c.attention;
}

/** How long what a deed makes may wait; null where it keeps, or waits no longer than what it went into. */
export function holdsAfter(
  action: string,
  text: string,
  foods: readonly Food[],
  pots: readonly Pot[],
): number | null {
  if (saysBatter(text) !== null && !/\b(?:cook|fry|bake)\b/i.test(text)) return TASKS.batter.minutes;
  const usual = TASKS.holds[action] ?? null;
  const boiled = ['boil', 'cook', 'drain', 'simmer', 'steam'].includes(action);
  if (boiled && foods.some(isAtOnce)) return TASKS['at-once'].minutes;
  if (usual !== null) return usual;
  // what is put into a hot pot waits no longer than it did
  return JOINS.has(action) && pots.length === 1 && pots[0]?.hot ? pots[0].holds : null;
}

/** A deed's words as a task of their own: no "and then" before them, a capital first. */
export function tidy(text: string): string {
  const own = text
    .replace(/^[\s,;.)]+/, '')
    .replace(/^(?:and then|and|then|now|next)\s+/i, '')
    .replace(/[\s,;.(]+$/, '')
    .replace(/[\s,;]+(?:and then|and|then)$/i, '')
    .replace(/\s+/g, ' ');
  return own.charAt(0).toUpperCase() + own.slice(1);
}

/** True where a clause is something to do, with a time of its own. */
export function isDeed(c: StepClause, text: string, opens: boolean): boolean {
  if (c.polarity === 'not' || c.polarity === 'remark' || c.polarity === 'alternative') return false;
  if (STARTS_LIKE_A_WHILE.test(text)) return false;
  if (saysKeeping(text) !== null && (c.minutes === null || c.minutes.best >= TASKS.ahead.minutes))
    return false;
  if (c.minutes !== null) return true;
  if (c.action === null) return c.foods.some((f) => f.lines.length > 0);
  // "turning once", "stir now and then": done in passing
  if (!opens && IN_PASSING.test(text)) return false;
  return !SILENT.has(c.action) && !(c.foods.length === 0 && saysInPassing(text) !== null);
}
