import type { Food } from '@/core/food/table';
import type { StepClause } from '@/core/steps/schema';
import { isAtOnce, JOINS, saysBatter, saysInPassing, saysKeeping, SILENT, TASKS, WORKS } from './knowledge';
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
export const IN_PASSING = /^[\s,]*(?:and |then |while |whilst |, )?(?!bring\b)[a-z]+ing\b/i;
/** Where a deed is told. */
export interface Place {
  readonly step: number;
  readonly text: string;
  /** The part of the dish that its step speaks of, by a label before it. */
  readonly part: string | null;
  /** The words of the sentence it stands in, up to it. */
  readonly sentence: string;
  readonly opens: boolean;
  /** Where its words begin in the step, and where the next deed's do. */
  readonly start: number;
  readonly until: number;
  /** Its words up to the next deed. */
  readonly whole: string;
}

const LAYS = new Set(
  'spread arrange lay place put line divide tip pour spoon scrape press turn transfer'.split(' '),
);
const ON_A_PAN =
  /\b(?:on|onto|over|out on) (?:an?|the|your) (?:\w+ )?pan\b|\b(?:into|in) (?:an?|the|your) (?:[\w-]+ )*?(?:loaf|cake|bread|lined|parchment-lined|greased|baking|muffin|sheet|square|round|\d+-inch)\s+(?:[\w-]+ ){0,2}?pan\b/i;
/** "Put the rice on, 30 minutes simmering". */
const BUBBLES =
  /\b(?:simmering|boiling|bubbling|put (?:the )?[\w ]{2,24} on (?:first|to)|on the (?:hob|stove|heat))\b/i;
/** Food comes off the fire. */
export const OFF =
  /\boff the (?:heat|hob|stove)\b|\b(?:turn|switch) (?:it |the heat |the hob )?off\b|\bremove (?:\w+ ){0,3}from (?:the )?heat\b/i;

/** Where a clause puts its food: an appliance, a burner, or neither. */
export function placeOf(c: StepClause, text = ''): string {
  const tool = APPLIANCES.find((a) => c.tools.includes(a));
  if (tool) return tool;
  // "spread on the pan": a tray's
  if (c.tools.includes('pan') && LAYS.has(c.action ?? '') && ON_A_PAN.test(text)) return 'bowl';
  if (c.minutes !== null && BUBBLES.test(text)) return 'burner';
  if (c.tools.some((t) => ON_BURNER.has(t)) || (c.heat !== null && c.action !== null)) return 'burner';
  return c.tools.includes('board') ? 'board' : 'bowl';
}

/** Whether a deed wants hands, an eye or nobody. */
export function attentionOf(c: StepClause, minutes: number, said: boolean, place: string): Task['attention'] {
  // "knead for 10 minutes": hands all that while
  if (c.action !== null && WORKS.has(c.action) && place !== 'oven' && place !== 'blender') return 'hands';
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
    .replace(
      /^(?:and then|and|then|now|next(?! (?:day|morning))|meanwhile|in the meantime|at the same time)\b[\s,]+/i,
      '',
    )
    .replace(/[\s,;.(]+$/, '')
    .replace(/(?<!\bnow and|\bnow)[\s,;]+(?:and then|and|then)$/i, '')
    .replace(/\s+/g, ' ');
  return own.charAt(0).toUpperCase() + own.slice(1);
}

const FOR_THE_LAST = /\b(?:for|in|during) the (?:last|final)\b/i;
/** "…depending how small you cut them", "you will see": told of, not asked for. */
const TOLD_OF = /^[\s,]*(?:that |how |which )?(?:you|they|it|he|she)(?:['’]\w+)?\s+(?!all\b)\w+/i;

/** True where a clause is something to do, with a time of its own. */
export function isDeed(c: StepClause, text: string, opens: boolean): boolean {
  if (c.polarity === 'not' || c.polarity === 'remark' || c.polarity === 'alternative') return false;
  if (STARTS_LIKE_A_WHILE.test(text)) return false;
  // "remove the lid for the final 30 minutes": within what is under way
  if (c.foods.length === 0 && FOR_THE_LAST.test(text)) return false;
  if (!opens && c.minutes === null && TOLD_OF.test(text)) return false;
  if (saysKeeping(text) !== null && (c.minutes === null || c.minutes.best >= TASKS.ahead.minutes))
    return false;
  if (c.minutes !== null) return true;
  if (c.action === null) return c.foods.some((f) => f.lines.length > 0);
  // "turning once", "stir now and then": done in passing
  if (!opens && IN_PASSING.test(text)) return false;
  return !SILENT.has(c.action) && !(c.foods.length === 0 && saysInPassing(text) !== null);
}
