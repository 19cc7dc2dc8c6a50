import { numberOf, readQuantity } from '@/core/measure/quantity';
import { exact, range, type Range } from '@/core/range/range';
import type { ClauseSpan, Sentence } from './clauses';
import type { ATTENTIONS, HEATS } from './schema';

export type Heat = (typeof HEATS)[number];
export type Attention = (typeof ATTENTIONS)[number];

/** What a clause says of heat and time. */
export interface Facts {
  readonly tools: string[];
  readonly celsius: Range | null;
  readonly heat: Heat | null;
  readonly minutes: Range | null;
  readonly attention: Attention;
}

const NUMBER = '(\\d+(?:[.,]\\d+)?)';
const DEGREES = new RegExp(
  `${NUMBER}\\s*(?:(?:-|–|to)\\s*${NUMBER}\\s*)?(?:°|º|degrees?\\b|deg\\b)?\\s*(c|f|celsius|fahrenheit|centigrade)\\b|${NUMBER}\\s*(?:(?:-|–|to)\\s*${NUMBER}\\s*)?(?:°|º|degrees?\\b|deg\\b)`,
  'i',
);
const GAS = /\bgas(?:\s+mark)?\s*(\d{1,2})\b/i;
/** Celsius of the marks of a gas oven; the usual conversion table of British cookery books (common practice). */
const GAS_MARKS = [0, 140, 150, 170, 180, 190, 200, 220, 230, 240] as const;
/** No home oven goes above this in Celsius, and none below it in Fahrenheit is of use: "350 degrees" is Fahrenheit. */
const HOTTEST_CELSIUS = 270;

const toCelsius = (n: number, fahrenheit: boolean) => (fahrenheit ? ((n - 32) * 5) / 9 : n);

/** The temperature said in a text, in Celsius: "180C", "350°F", "gas mark 4", "200-220 degrees". */
export function celsiusIn(text: string): Range | null {
  const m = DEGREES.exec(text);
  if (m) {
    const low = Number((m[1] ?? m[4] ?? '').replace(',', '.'));
    const high = Number((m[2] ?? m[5] ?? m[1] ?? m[4] ?? '').replace(',', '.'));
    const unit = m[3]?.toLowerCase();
    const fahrenheit = unit === undefined ? low > HOTTEST_CELSIUS : unit.startsWith('f');
    const [a, b] = [toCelsius(low, fahrenheit), toCelsius(high, fahrenheit)];
    if (Number.isFinite(a) && b >= a) return range(a, (a + b) / 2, b);
  }
  const mark = GAS_MARKS[Number(GAS.exec(text)?.[1] ?? NaN)];
  return mark === undefined || mark === 0 ? null : exact(mark);
}

const OVEN_AT = /\b(?:oven|to|at|around|about)\s+(\d{3})(?!\s*(?:g|kg|ml|grams?)\b)\b|\b(\d{3})\s+fan\b/i;
/** "Turn the oven down to 180": of an oven a plain number is its heat. */
function ovenIn(text: string): Range | null {
  const m = OVEN_AT.exec(text);
  const n = Number(m?.[1] ?? m?.[2] ?? NaN);
  return Number.isNaN(n) ? null : exact(toCelsius(n, n > HOTTEST_CELSIUS));
}

const UNIT_MINUTES: readonly (readonly [RegExp, number])[] = [
  [/^(?:minutes?|mins?|m)\b/, 1],
  [/^(?:hours?|hrs?|h)\b/, 60],
  [/^(?:seconds?|secs?|s)\b/, 1 / 60],
  [/^days?\b/, 24 * 60],
];
/** A night in the fridge or a soak; common practice. */
const OVERNIGHT = range(8 * 60, 10 * 60, 14 * 60);
const MOST_READ = 600;

interface Said {
  readonly from: number;
  readonly to: number;
  readonly minutes: Range;
}

/** "45 mins to an hour": one time in two units. */
function joinedRanges(said: readonly Said[], text: string): Said[] {
  const out: Said[] = [];
  for (const s of said) {
    const before = out.at(-1);
    const between = before ? text.slice(before.to, s.from) : '';
    if (before && /^\s*(?:to|or|-)\s*$/.test(between) && s.minutes.low > before.minutes.high)
      out[out.length - 1] = {
        from: before.from,
        to: s.to,
        minutes: range(before.minutes.low, (before.minutes.best + s.minutes.best) / 2, s.minutes.high),
      };
    else out.push(s);
  }
  return out;
}

/** "2 hours ahead", "10 minutes later": when, not how long. */
const AS_WHEN = /^\s*(?:ahead|earlier|beforehand|in advance|later)\b/;

/** The time said in a text, in minutes: "20-25 min", "1 hour 20 minutes", "half an hour", "overnight"; times add up. */
export function minutesIn(written: string): Range | null {
  const text = written
    .slice(0, MOST_READ)
    .toLowerCase()
    .replace(/[–—]/g, '-')
    .replace(/½/g, ' 1/2')
    .replace(/¼/g, ' 1/4')
    .replace(/¾/g, ' 3/4')
    .replace(/\s+/g, ' ');
  const said: Said[] = [];
  for (let at = 0; at < text.length; at += 1) {
    if (at > 0 && /[a-z0-9.,/]/.test(text[at - 1] ?? '')) continue;
    // "stirring every 10 minutes" is how often
    if (/\bevery $/.test(text.slice(Math.max(0, at - 6), at))) {
      at += /^(?:[\d./-]|\s(?=\d))*/.exec(text.slice(at))?.[0].length ?? 0;
      continue;
    }
    const q = readQuantity(text, at);
    if (!q) continue;
    const gap =
      /^[ -]*(?:of an |an |a )?(?:more |further |extra |good |full |whole )?/.exec(text.slice(q.end))?.[0]
        .length ?? 0;
    const behind = text.slice(q.end + gap, q.end + gap + 12);
    const unit = UNIT_MINUTES.find(([pattern]) => pattern.test(behind));
    if (!unit) continue;
    // "half an hour or so", "an hour and a half"
    const word = unit[0].exec(behind)?.[0] ?? '';
    const end = q.end + gap + word.length;
    const half = /^ and (?:a )?(half|quarter)\b/.exec(text.slice(end));
    const extra = half ? (half[1] === 'half' ? 0.5 : 0.25) : 0;
    if (AS_WHEN.test(text.slice(end + (half?.[0].length ?? 0)))) {
      at = end;
      continue;
    }
    said.push({
      from: at,
      to: end + (half?.[0].length ?? 0),
      minutes: range((q.low + extra) * unit[1], (q.best + extra) * unit[1], (q.high + extra) * unit[1]),
    });
    at = end;
  }
  const [first, ...others] = joinedRanges(said, text);
  if (!first) return /\bovernight\b/.test(text) ? OVERNIGHT : null;
  // "1 hour 20 minutes" is one time; "10 minutes, stirring every 2 minutes" is the first
  let total = first.minutes;
  let end = first.to;
  for (const s of others) {
    if (!/^(?:,? (?:and )?|\s*)$/.test(text.slice(end, s.from))) break;
    if (s.minutes.high >= first.minutes.low) break;
    total = range(total.low + s.minutes.low, total.best + s.minutes.best, total.high + s.minutes.high);
    end = s.to;
  }
  return total;
}

/** "leave it alone for ten", "give them another 5", "rest 5": a number that ends what is done, of things that take time. */
const BARE =
  /(?:\b(?:for|another|about|a (?:further|good))\s+|^(?:and |then )*(?:rest|stand|simmer|bake|roast|steam|wait|leave|prove)\s+)(?:a |another )?(\d{1,2}|[a-z]+)(?:\s*(?:-|–|to)\s*(\d{1,2}|[a-z]+))?(?:\s+more|\s+or so)?[\s,;.]*$/i;
/** Deeds whose bare number is minutes. */
const LASTS = new Set(
  'leave rest stand sit let give wait prove rise chill cool simmer boil bake roast steam grill toast'.split(
    ' ',
  ),
);
const FEWEST_BARE = 2;
const MOST_BARE = 60;

/** Minutes of a deed that takes time, said as a number alone. */
export function bareMinutesIn(text: string, verb: string): Range | null {
  if (!LASTS.has(verb)) return null;
  const m = BARE.exec(text);
  if (!m) return null;
  const [low, high] = [numberOf(m[1]) ?? NaN, numberOf(m[2] ?? m[1]) ?? NaN];
  return low >= FEWEST_BARE && high <= MOST_BARE && high >= low ? range(low, (low + high) / 2, high) : null;
}

const HIGH = /\b(?:high|hot|fierce|hard|rapid(?:ly)?|brisk(?:ly)?|vigorous(?:ly)?|rolling|full)\b/;
const LOW = /\b(?:low|gentle|gently|slow(?:ly)?|barely|lowest)\b/;
const MEDIUM = /\b(?:medium|moderate(?:ly)?)\b/;
const OF_HEAT =
  /\b(?:heat|flame|fire|hob|burner|simmer|boil|oven|pan|skillet|wok|griddle|setting|on|turn|over)\b/;

/** How hot it is said to be: "over a medium-high heat" is high, "medium-low" is low. */
export function heatIn(written: string): Heat | null {
  const text = written.toLowerCase();
  if (!OF_HEAT.test(text)) return null;
  if (/\b(?:turn|reduce|lower|bring)\b[^.;]{0,24}\bdown\b|\b(?:reduce|lower) the heat\b/.test(text))
    return 'low';
  if (LOW.test(text)) return 'low';
  if (HIGH.test(text)) return 'high';
  return MEDIUM.test(text) ? 'medium' : null;
}

/** What a clause tells of tools, heat, time and how much it must be watched; its verb's where it does not say. */
export function factsOf(s: Sentence, c: ClauseSpan, text: string): Facts {
  const verb = c.verb?.verb;
  const named = s.named
    .slice(c.from - s.from, c.to - s.from)
    .flatMap((n) => (n?.kind === 'tool' && n.from >= c.from ? [n.id] : []));
  const inOven = [...named, ...(verb?.tools ?? [])].some((t) => t === 'oven' || t === 'air fryer');
  return {
    tools: [...new Set([...named, ...(verb?.tools ?? [])])],
    celsius: celsiusIn(text) ?? (inOven ? ovenIn(text) : null),
    heat: heatIn(text) ?? verb?.heat ?? null,
    minutes: minutesIn(text) ?? (verb ? bareMinutesIn(text, verb.id) : null),
    attention: verb?.attention ?? 'hands',
  };
}
