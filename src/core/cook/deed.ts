import type { Food } from '@/core/food/table';
import { readQuantity } from '@/core/measure/quantity';
import { exact, range, scale, type Range } from '@/core/range/range';
import { verbById } from '@/core/step/lexicon';
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
/** Longer than two days is keeping, not cooking. */
const MOST_MINUTES = 2 * 24 * 60;
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

const LAYS = new Set(['spread', 'arrange', 'lay', 'place', 'put', 'line', 'divide', 'tip']);
const ON_A_PAN = /\b(?:on|onto|over|out on) (?:an?|the|your) (?:\w+ )?pan\b/i;
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

/** "3 minutes a side" is twice that. */
const A_SIDE = /\b(?:a|per|each|on each|either|on both|both|on either)\s+sides?\b/i;
const sidesIn = (text: string): number => (A_SIDE.test(text) ? 2 : 1);
/** "2 minutes on the first side and 1 on the other": the other one's. */
const OTHER_SIDE =
  /\bfirst side\b[^.;]{0,20}?\b(\d+|an?|one|two|three|four|five)\b[^.;]{0,20}\b(?:other|second)\b/i;

const UNDER_PRESSURE = new Set(['pressurecook', 'cook', 'boil', 'steam', 'simmer', 'braise']);
/** "35 minutes, natural release 15 minutes". */
const RELEASES =
  /\bnatural(?:ly)?(?: pressure)? release[^.;]{0,16}?(\d{1,2})\s*min|(\d{1,2})[ -]*min\w*[^.;,\d]{0,16}\bnatural/i;
const ONE_BY_ONE = /\bone (?:after (?:another|the other)|by one)\b/i;
const AT_A_TIME =
  /\b(?:batches of|(?:in )?lots of)\s+(?:about )?([a-z]+|\d+)\b|\b([a-z]+|\d+)\s+(?:(?:will |should |can |of them )*(?:fit|go|fits|goes)\b[^.;,]{0,20}\s)?at (?:a time|once)\b/i;
const BATCHES = /\bin\s+(?:about )?(?:([a-z]+|\d+)\s+)?batches\b/i;
/** "In batches" without a number: two at least (common practice). */
const SOME_BATCHES = 2;
const MOST_BATCHES = 12;
const numberIn = (word: string | undefined): number | null => {
  const q = word === undefined ? null : readQuantity(word.toLowerCase(), 0);
  return q && q.end === word?.length ? q.best : null;
};

/** How often a deed is done over: "two at a time" of so many pieces, "in 3 batches". */
function batchesIn(text: string, pieces: number | null): number {
  const m = AT_A_TIME.exec(text);
  const each = ONE_BY_ONE.test(text) ? 1 : numberIn(m?.[1] ?? m?.[2]);
  if (each !== null && each >= 1)
    return pieces === null ? SOME_BATCHES : Math.min(MOST_BATCHES, Math.max(1, Math.ceil(pieces / each)));
  const said = BATCHES.exec(text);
  return said ? Math.min(MOST_BATCHES, numberIn(said[1]) ?? SOME_BATCHES) : 1;
}

const INTO_PIECES =
  /\b(?:divide|shape|form|roll|cut|split|portion|make|makes|makes about)\b[^.;]{0,60}?\b(\d+|two|three|four|five|six|seven|eight|nine|ten|twelve|sixteen|twenty)\b(?!\s*(?:g|kg|ml|cm|mm|min|mins|minutes?|hours?|tbsp|tsp|cups?|people|plates|portions|servings)\b)/i;

/** Pieces that a dish is made into: "divide into 8 balls", "makes 12 cakes". */
export const piecesIn = (text: string): number | null => numberIn(INTO_PIECES.exec(text)?.[1]);

/**
 * Minutes of a clause: as said, else what such a deed usually takes.
 *
 * @param text   its words, up to the next deed's
 * @param pieces how many pieces the dish is made into by then
 */
export function minutesOf(
  c: StepClause,
  text: string,
  pieces: number | null,
): { readonly minutes: Range; readonly said: boolean } | null {
  const action = c.action ?? 'add';
  if (c.minutes && c.minutes.best > 0) {
    if (c.minutes.low > MOST_MINUTES) return null;
    const underPressure = c.tools.includes('pressure cooker') && UNDER_PRESSURE.has(action);
    const release = underPressure ? (RELEASES.exec(text)?.slice(1).find(Boolean) ?? '0') : '0';
    const [low, best, high] = (underPressure ? TASKS.pressure.up : [0, 0, 0]).map(
      (n) => n + Number(release),
    ) as [number, number, number];
    const other = numberIn(OTHER_SIDE.exec(text)?.[1]) ?? 0;
    const both = range(c.minutes.low + other, c.minutes.best + other, c.minutes.high + other);
    const m = scale(both, sidesIn(text) * batchesIn(text, pieces));
    return { minutes: range(m.low + low, m.best + best, m.high + high), said: true };
  }
  if (SILENT.has(action)) return null;
  const usual = verbById(action)?.minutes;
  return {
    minutes: scale(usual ? range(...usual) : exact(1), batchesIn(text, pieces)),
    said: false,
  };
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
    .replace(/^(?:and then|and|then|now|next|meanwhile|in the meantime|at the same time)\b[\s,]+/i, '')
    .replace(/[\s,;.(]+$/, '')
    .replace(/(?<!\bnow and|\bnow)[\s,;]+(?:and then|and|then)$/i, '')
    .replace(/\s+/g, ' ');
  return own.charAt(0).toUpperCase() + own.slice(1);
}

/** "…depending how small you cut them", "you will see": told of, not asked for. */
const TOLD_OF = /^[\s,]*(?:that |how |which )?(?:you|they|it|he|she)(?:['’]\w+)?\s+(?!all\b)\w+/i;

/** True where a clause is something to do, with a time of its own. */
export function isDeed(c: StepClause, text: string, opens: boolean): boolean {
  if (c.polarity === 'not' || c.polarity === 'remark' || c.polarity === 'alternative') return false;
  if (STARTS_LIKE_A_WHILE.test(text)) return false;
  if (!opens && c.minutes === null && TOLD_OF.test(text)) return false;
  if (saysKeeping(text) !== null && (c.minutes === null || c.minutes.best >= TASKS.ahead.minutes))
    return false;
  if (c.minutes !== null) return true;
  if (c.action === null) return c.foods.some((f) => f.lines.length > 0);
  // "turning once", "stir now and then": done in passing
  if (!opens && IN_PASSING.test(text)) return false;
  return !SILENT.has(c.action) && !(c.foods.length === 0 && saysInPassing(text) !== null);
}
