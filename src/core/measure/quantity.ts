import { numericQuantity } from 'numeric-quantity';

/** A number as a cook writes it, read from a position of a line. */
export interface Quantity {
  readonly low: number;
  readonly best: number;
  readonly high: number;
  /** Position after it. */
  readonly end: number;
  /** True for "a", "an": the article may as well belong to the food. */
  readonly article: boolean;
}

/** The number that a word is and nothing else: "four", "12"; null where it is none. */
export function numberOf(word: string | undefined): number | null {
  const q = word === undefined ? null : readQuantity(word.toLowerCase(), 0);
  return q && q.end === word?.length ? q.best : null;
}

const UNITS = 'one two three four five six seven eight nine'.split(' ');
const TEENS = 'ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(' ');
const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');
const WORDS: Record<string, number> = {
  a: 1,
  an: 1,
  both: 2,
  ...Object.fromEntries(UNITS.map((w, i) => [w, i + 1])),
  ...Object.fromEntries(TEENS.map((w, i) => [w, i + 10])),
  ...Object.fromEntries(TENS.map((w, i) => [w, (i + 2) * 10])),
};
const wordList = Object.keys(WORDS).join('|');
const BELOW_HUNDRED = `(?:(?:${TENS.join('|')})(?:[ -](?:${UNITS.join('|')})\\b)?|${[...TEENS, ...UNITS].join('|')})`;
/** Behind hundreds said without the word: "two fifty g". */
const WEIGHT = '(?= ?(?:g|grams?|ml|mils?|millilitres?|milliliters?)\\b)';
/** "three hundred and fifty", "a hundred", "twenty-five", "two fifty grams". */
const SPELLED = new RegExp(
  `(?:(?:an? |(${BELOW_HUNDRED}) )?(hundred)\\b(?: (?:and )?(${BELOW_HUNDRED})\\b)?|(${UNITS.join('|')}) ((?:${TENS.join('|')})(?:[ -](?:${UNITS.join('|')}))?)${WEIGHT}|((?:${TENS.join('|')})[ -](?:${UNITS.join('|')})\\b))`,
  'y',
);
const belowHundred = (words: string): number =>
  words.split(/[ -]/).reduce((sum, w) => sum + (WORDS[w] ?? 0), 0);

/**
 * A number above ten that is spelled out at a place of a text in lower case: "three hundred and fifty", "a hundred",
 * "fifteen", "two fifty g"; null where none stands there. A share ("seventy percent") is none.
 */
export function spelledNumber(text: string, at: number): { value: number; end: number } | null {
  SPELLED.lastIndex = at;
  const m = SPELLED.exec(text);
  let found: { value: number; end: number } | null = null;
  if (m) {
    const [whole, hundreds, hundred, rest, short, behind, tens] = m;
    const value = hundred
      ? (hundreds ? belowHundred(hundreds) : 1) * 100 + (rest ? belowHundred(rest) : 0)
      : short
        ? (WORDS[short] ?? 0) * 100 + belowHundred(behind ?? '')
        : belowHundred(tens ?? '');
    found = { value, end: at + whole.length };
  } else {
    ABOVE_TEN.lastIndex = at;
    const word = ABOVE_TEN.exec(text);
    if (word) found = { value: WORDS[word[0]] ?? NaN, end: ABOVE_TEN.lastIndex };
  }
  return found && !PERCENT.test(text.slice(found.end, found.end + 10)) ? found : null;
}
const ABOVE_TEN = new RegExp(`(?:${[...TEENS.slice(1), ...TENS].join('|')})\\b`, 'y');

const FRACTIONS: Record<string, number> = {
  half: 1 / 2,
  third: 1 / 3,
  quarter: 1 / 4,
  fourth: 1 / 4,
  sixth: 1 / 6,
  eighth: 1 / 8,
  fifth: 1 / 5,
  tenth: 1 / 10,
  thirds: 1 / 3,
  quarters: 1 / 4,
  fourths: 1 / 4,
  eighths: 1 / 8,
  fifths: 1 / 5,
};

const NUMBER =
  /(\d+)[ ]*-[ ]*(\d+\/\d+)(?![\d/])|(\d+)[ ]+(?:(?:and|&)[ ]+)?(\d+\/\d+)(?![\d/])|(\d+\/\d+)(?![\d/])|(\d{1,3}(?:,\d{3})+(?!\d)|\d+[.,]\d+|\d+|\.\d+)/y;
/** What opens a number that is said in words; nothing else is looked at where none of it stands. */
const OPENS_VAGUE =
  /(?:an? )?(?:couple|few|half dozen|dozen)|several|half a|half dozen|one dozen|1 dozen|two dozen|2 dozen/y;
const VAGUE_COUNTS: readonly (readonly [RegExp, number, number, number])[] = [
  [/(?:a )?couple(?: of)?\b/y, 2, 2, 3],
  [/a few\b|few\b/y, 2, 3, 5],
  [/several\b/y, 3, 4, 7],
  [/(?:half a|a half|half) dozen\b/y, 6, 6, 6],
  [/(?:a |one |1 )?dozen\b/y, 12, 12, 12],
  [/two dozen\b|2 dozen\b/y, 24, 24, 24],
];
const HALF_FIRST =
  /(?:about )?(?:(?:an?|one) )?(half|third|quarter|fourth|fifth|sixth|eighth|tenth)(?: of)?(?:[ -](?:a|an|the)\b)?(?![ ]*[-]?inch)(?= |-|$)/y;
const MANY_PARTS =
  /(two|three|five|seven|2|3|5|7)[ -](thirds|quarters|fourths|eighths|fifths)(?: of)?(?: (?:a|an|the)\b)?/y;
const WORD = new RegExp(`(${wordList})\\b(?:[ -]and[ -]a[ -](half|quarter|third)\\b)?`, 'y');
const DIGITS_AND_A_HALF = /(?: and)? (?:a )(half|quarter|third)\b/y;

const OPENS_NUMBER = new Set('0123456789.');

function single(
  text: string,
  at: number,
): { value: readonly [number, number, number]; end: number; article: boolean } | null {
  const c = text.charCodeAt(at) | 0x20;
  const letter = c >= 0x61 && c <= 0x7a;
  if (!letter && !OPENS_NUMBER.has(text[at] ?? '')) return null;
  OPENS_VAGUE.lastIndex = at;
  if (OPENS_VAGUE.test(text))
    for (const [pattern, low, best, high] of VAGUE_COUNTS) {
      pattern.lastIndex = at;
      if (pattern.test(text)) return { value: [low, best, high], end: pattern.lastIndex, article: false };
    }
  MANY_PARTS.lastIndex = at;
  const parts = MANY_PARTS.exec(text);
  if (parts) {
    const value = (WORDS[parts[1] ?? ''] ?? Number(parts[1])) * (FRACTIONS[parts[2] ?? ''] ?? NaN);
    return { value: [value, value, value], end: MANY_PARTS.lastIndex, article: false };
  }
  HALF_FIRST.lastIndex = at;
  const half = HALF_FIRST.exec(text);
  if (half) {
    const value = FRACTIONS[half[1] ?? ''] ?? NaN;
    return { value: [value, value, value], end: HALF_FIRST.lastIndex, article: false };
  }
  NUMBER.lastIndex = at;
  const number = NUMBER.exec(text);
  if (number) {
    let end = NUMBER.lastIndex;
    const fraction = number[2] ?? number[4] ?? number[5];
    const whole = number[1] ?? number[3];
    let value: number;
    if (fraction !== undefined) {
      const part = numericQuantity(fraction, { round: false });
      // "1-1/2" is one and a half, but "1-3/2" or "2-5/4" would be no cook's number
      value = whole === undefined ? part : Number(whole) + part;
      if (whole !== undefined && part >= 1) return null;
    } else {
      const digits = number[6] ?? '';
      // nobody writes thousandths of a gram: "1.500 ml" is a litre and a half
      const thousands =
        /^\d{1,3}(,\d{3})+$/.test(digits) ||
        (/^\d{1,2}\.\d{3}$/.test(digits) &&
          /^\s{0,2}(?:ml|g|gr|grams?|millilitres?|milliliters?)\b/.test(text.slice(end, end + 14)));
      value = thousands ? Number(digits.replace(/[.,]/g, '')) : Number(digits.replace(',', '.'));
      DIGITS_AND_A_HALF.lastIndex = end;
      const more = DIGITS_AND_A_HALF.exec(text);
      if (more) {
        value += FRACTIONS[more[1] ?? ''] ?? 0;
        end = DIGITS_AND_A_HALF.lastIndex;
      }
    }
    return Number.isFinite(value) ? { value: [value, value, value], end, article: false } : null;
  }
  if (!letter) return null;
  const spelled = spelledNumber(text, at);
  if (spelled)
    return { value: [spelled.value, spelled.value, spelled.value], end: spelled.end, article: false };
  WORD.lastIndex = at;
  const word = WORD.exec(text);
  if (word) {
    const value = (WORDS[word[1] ?? ''] ?? NaN) + (word[2] ? (FRACTIONS[word[2]] ?? 0) : 0);
    const article = (word[1] === 'a' || word[1] === 'an') && !word[2];
    return { value: [value, value, value], end: WORD.lastIndex, article };
  }
  return null;
}

const PERCENT = /^(?: ?%|[ -]per ?cent\b)/;
/** Behind a number: "40 min.", "2 hours" say how long, and no amount. */
export const A_TIME = /^\s*-?(?:mins?|minutes?|hours?|hrs?|secs?|seconds?)\b/i;
const JOIN = /[ ]*(?:-|to\b|or\b|up to\b)[ ]*/y;

/**
 * Reads a quantity: "2", "1 1/2", "1-1/2", "2,5", "1,000", "half a", "a dozen", "a couple of",
 * "2 to 2 1/2", "4-6", "2 or 3", "one and a half", "three hundred and fifty". Expects text in lower case with vulgar fractions
 * written out (see recipe/clean).
 *
 * @returns null where no quantity stands at the position; a share of a hundred ("100% rye") is none.
 */
export function readQuantity(text: string, at: number): Quantity | null {
  const first = single(text, at);
  if (!first || PERCENT.test(text.slice(first.end, first.end + 10))) return null;
  JOIN.lastIndex = first.end;
  if (!first.article && JOIN.test(text)) {
    const second = single(text, JOIN.lastIndex);
    const low = first.value[0];
    if (second && !second.article && second.value[2] > low && /[ a-z(]|$/.test(text[second.end] ?? ' ')) {
      const high = second.value[2];
      return { low, best: (low + high) / 2, high, end: second.end, article: false };
    }
  }
  const [low, best, high] = first.value;
  return { low, best, high, end: first.end, article: first.article };
}
