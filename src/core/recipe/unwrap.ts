import { foodOfName } from '@/core/food/find';
import { tokens } from '@/core/food/tokens';
import { markerLength } from './clean';
import { startsWithAmount, startsWithMeasure } from './score';
import { MOST_ROW, type Raw } from './source';

const AMOUNT = String.raw`(?:about |around )?(?:\d[\d./]*|[½⅓⅔¼¾⅛]|half an?|an?|one|two|three|four)\s?(?:g|kg|ml|l|oz|lbs?|tbsps?|tsps?|tablespoons?|teaspoons?|cups?|mugs?|litres?|tins?|cans?)(?: of)?`;
/** A row that ends in an amount without its food: "450 g carrots, 5 tbsp", "stir in 5 tbsp". */
const ENDS_IN_AMOUNT = new RegExp(
  String.raw`^(?:(.*)[,;]\s*|.*\b(?:add|with|and|plus|use|take|put|another)\s+|.*\(\s*)?${AMOUNT}$`,
  'i',
);
/** A row that ends in the middle of what it says: "and", "of". */
const BREAKS_OFF = /[a-z\d,)]\s(?:of|and|with|plus|or|an?|the|into|from|no|without)$/i;
const OPENS_UNIT =
  /^\s*(?:g|kg|ml|l|oz|lbs?|tbsps?|tsps?|tablespoons?|teaspoons?|cups?|litres?|tins?|cans?)\s+[a-z]/;
const NUMBER_ALONE = /^\d[\d./]*$/;
const OPENS_LOWER = /^\s*[a-zà-ÿ(]/;
const ENDS = /[.!?:)]["”’']?\s*$/;
/** The width that mail and terminals break rows to lies between these (common practice: 72 to 80). */
const NARROWEST = 36;
const WIDEST = 100;
const USUAL_WIDTH = 60;
const FEWEST_BREAKS = 2;
const LEAST_WORDS = 5;

const isBare = (row: string): boolean => markerLength(row) === 0;

const MOST_WORDS = 6;
const opens = (row: string): boolean => startsWithMeasure(row) || startsWithAmount(row);
const opensWithAmount = (piece: string): boolean => piece.split(/\s+/).length <= MOST_WORDS && opens(piece);

/** True where a row goes on in the next: it breaks off in what it says. */
function goesOn(row: string, next: string): boolean {
  if (!OPENS_LOWER.test(next) || !isBare(next)) return false;
  const trimmed = row.trim();
  // a title or a heading that is a number alone is none: "2" above "leeks" is one line of a pasted table
  if (NUMBER_ALONE.test(trimmed)) return /^\s*[a-z]+(?: [a-z]+){0,2}\s*$/.test(next);
  if (BREAKS_OFF.test(trimmed)) return true;
  // "…, 100" above "g walnuts"
  if (/[,;]\s*\d[\d./]*$/.test(trimmed) && OPENS_UNIT.test(next)) return true;
  const open = ENDS_IN_AMOUNT.exec(trimmed);
  // "2 sweet potatoes, about 700 g" above "tin of tomatoes": what they weigh, and a row of its own
  const counted = open?.[1]?.split(/[,;]\s*/).at(-1) ?? '';
  if (WEIGHT_LAST.test(trimmed) && (ABOUT_LAST.test(trimmed) || (counted && !startsWithMeasure(counted))))
    return false;
  if (OPENS_PACK.test(next)) return false;
  // "tahini, 150 g" has its food before it
  return open !== null && (open[1] === undefined || open[1].split(/[,;]\s*/).every(opensWithAmount));
}

const WEIGHT_LAST = /\d ?(?:g|kg|oz|lbs?)$/i;
const ABOUT_LAST = /\b(?:about|around) [\d./]+ ?\w+$/i;
const OPENS_PACK =
  /^\s*(?:tins?|cans?|jars?|packs?|packets?|bags?|bunch|punnet|block|carton|tub|head|bulb|handful|pinch|splash|squeeze|juice|zest|thumb)\b(?: of)? [a-z]/;
const firstWord = (row: string): string => /^\S+/.exec(row.trim())?.[0] ?? '';
/** True where the first word of a row would not have stood in the one before, had that been broken to a width. */
const isFull = (row: string, next: string, width: number): boolean =>
  row.trimEnd().length + 1 + firstWord(next).length > width && row.trim().split(/\s+/).length >= LEAST_WORDS;
/** The middle of a sentence lies between the two. */
const breaksSentence = (row: string, next: string): boolean =>
  !ENDS.test(row) && (OPENS_LOWER.test(next) || (/^\s*\d/.test(next) && SENTENCE_INSIDE.test(row)));
const SENTENCE_INSIDE = /[.!?]\s/;
const TOLD_WORDS = 9;

/** The width that a text's rows were broken to; null where they were not. */
function widthOf(rows: readonly string[]): number | null {
  const width = Math.max(...rows.map((row) => row.trimEnd().length));
  if (width < NARROWEST || width > WIDEST) return null;
  const broken = blocksOf(rows).reduce(
    (sum, block) =>
      // a row that ends early and goes on in small letters was never broken to a width
      block.some((row, i) => i < block.length - 1 && endsEarly(row, block[i + 1] ?? '', width))
        ? sum
        : sum + block.reduce((n, row, i) => n + weightOf(row, block[i + 1] ?? '', width), 0),
    0,
  );
  return broken >= FEWEST_BREAKS ? width : null;
}
/** Rows between empty ones. */
function blocksOf(rows: readonly string[]): string[][] {
  const blocks: string[][] = [[]];
  for (const row of rows)
    if (row.trim()) blocks.at(-1)?.push(row);
    else blocks.push([]);
  return blocks;
}
/** True where what is told on a row ends before the width, without a stop, and the next begins in small letters. */
const endsEarly = (row: string, next: string, width: number): boolean =>
  isBare(row) &&
  isBare(next) &&
  OPENS_LOWER.test(next) &&
  !ENDS.test(row) &&
  !isFull(row, next, width) &&
  !opens(row) &&
  !opens(next) &&
  !isFood(row) &&
  !isFood(next) &&
  !goesOn(row, next);
/** How much a break says that the text was broken to a width: one in the middle of what is told is enough. */
function weightOf(row: string, next: string, width: number): number {
  if (!next.trim() || !isBare(next) || !isFull(row, next, width) || !breaksSentence(row, next)) return 0;
  const told = SENTENCE_INSIDE.test(row);
  if (isFood(next) || (!told && (opens(row) || opens(next)))) return 0;
  return told && width >= USUAL_WIDTH && OPENS_LOWER.test(next) && !opens(next) ? FEWEST_BREAKS : 1;
}

/** Two rows of a list: what follows an amount of something is an amount, or a food by itself. */
function listsNext(row: string, next: string): boolean {
  const short = row.trim().split(/\s+/).length < TOLD_WORDS;
  if (SENTENCE_INSIDE.test(row) && !short) return false;
  return opens(row) ? opens(next) || (short && isFood(next)) : short && opens(next);
}
/** True where a row's first words are a food by themselves. */
const isFood = (row: string): boolean =>
  foodOfName(
    tokens(
      row
        .trim()
        .toLowerCase()
        .split(/[,;(:]| [-–—] /)[0] ?? '',
    ),
  ) !== undefined;
const join = (a: Raw, b: Raw): Raw => ({
  start: a.start,
  end: b.end,
  // as long as it stands in the source: places stay
  text: a.text.padEnd(b.start - a.start) + b.text,
});

/** A line break, of one character or two. */
const MOST_BETWEEN = 2;

/** Rows of a text, those that were broken to a width put together again; each keeps its place. */
export function unwrapped(raws: readonly Raw[]): Raw[] {
  const rows = raws.map((r) => r.text);
  const width = widthOf(rows);
  const out: Raw[] = [];
  raws.forEach((raw, i) => {
    const last = out.at(-1);
    const before = rows[i - 1];
    const together =
      last !== undefined &&
      before?.trim() &&
      raw.start - last.end <= MOST_BETWEEN &&
      raw.end - last.start <= MOST_ROW &&
      raw.text.trim() &&
      isBare(raw.text) &&
      (goesOn(last.text, raw.text) ||
        (width !== null &&
          isFull(before, raw.text, width) &&
          !/:\s*$/.test(before) &&
          !listsNext(before, raw.text)));
    if (together) out[out.length - 1] = join(last, raw);
    else out.push(raw);
  });
  return out;
}
