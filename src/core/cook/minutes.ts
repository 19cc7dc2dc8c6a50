import { numberOf } from '@/core/measure/quantity';
import { exact, range, scale, type Range } from '@/core/range/range';
import { verbById } from '@/core/step/lexicon';
import type { StepClause } from '@/core/steps/schema';
import { SILENT, TASKS } from './knowledge';

/** Longer than two days is keeping, not cooking. */
const MOST_MINUTES = 2 * 24 * 60;

/** "3 minutes a side" is twice that. */
const A_SIDE = /\b(?:a|per|each|on each|either|on both|both|on either)\s+sides?\b/i;
const sidesIn = (text: string): number => (A_SIDE.test(text) ? 2 : 1);
/** "2 minutes on the first side and 1 on the other": the other one's. */
const OTHER_SIDE =
  /\bfirst side\b[^.;]{0,20}?\b(\d+|an?|one|two|three|four|five)\b[^.;]{0,20}\b(?:other|second)\b/i;

const UNDER_PRESSURE = new Set(['pressurecook', 'cook', 'boil', 'steam', 'simmer', 'braise']);
const AT_PRESSURE = /\b(?:high|low|full) pressure\b/i;
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
/** How often a deed is done over: "two at a time" of so many pieces, "in 3 batches". */
function batchesIn(text: string, pieces: number | null): number {
  const m = AT_A_TIME.exec(text);
  const each = ONE_BY_ONE.test(text) ? 1 : numberOf(m?.[1] ?? m?.[2]);
  if (each !== null && each >= 1)
    return pieces === null ? SOME_BATCHES : Math.min(MOST_BATCHES, Math.max(1, Math.ceil(pieces / each)));
  const said = BATCHES.exec(text);
  return said ? Math.min(MOST_BATCHES, numberOf(said[1]) ?? SOME_BATCHES) : 1;
}

const INTO_PIECES =
  /\b(?:divide|shape|form|roll|cut|split|portion|make|makes|makes about)\b[^.;]{0,60}?\b(\d+|two|three|four|five|six|seven|eight|nine|ten|twelve|sixteen|twenty)\b(?!\s*(?:g|kg|ml|cm|mm|min|mins|minutes?|hours?|tbsp|tsp|cups?|people|plates|portions|servings)\b)/i;

/** Pieces that a dish is made into: "divide into 8 balls", "makes 12 cakes". */
export const piecesIn = (text: string): number | null => numberOf(INTO_PIECES.exec(text)?.[1]);

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
    const underPressure =
      c.tools.includes('pressure cooker') && (UNDER_PRESSURE.has(action) || AT_PRESSURE.test(text));
    const release = underPressure ? (RELEASES.exec(text)?.slice(1).find(Boolean) ?? '0') : '0';
    const [low, best, high] = (underPressure ? TASKS.pressure.up : [0, 0, 0]).map(
      (n) => n + Number(release),
    ) as [number, number, number];
    const other = numberOf(OTHER_SIDE.exec(text)?.[1]) ?? 0;
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
