import { pattern } from '@/core/pattern/pattern';
import { headingOf } from './heading';
import { nextFilled } from './rows-around';
import { startsAsStep, startsWithAmount, startsWithMeasure } from './score';
import { servingsRow } from './servings-told';
import { stretchOf, type MarkedStretch, type Raw, type SourceLine } from './source';

/** Lines that make a list. */
const FEWEST_LISTED = 3;
/** "Rinse them. Shred the rest.": sentences one behind the other. */
const SENTENCES = pattern(/[a-z)][.!]\s+[A-Z].*[.!]$/);
const ENDS_SENTENCE = pattern(/[a-z)][.!]\s*$/i);
/** "Kettle on.", "Oven to 200": what is made ready. */
const TOOL_ON = pattern(/^\s*(?:kettle|oven|grill|hob|air[- ]?fryer|steamer) (?:on|to \d|at \d|\d{3})/i);
const FIRST_WORD = pattern(/^[a-z]+/i);
/** "lid on, 10 min", "190 25min", "till soft". */
const TELLS_TIME = pattern(
  /\b\d+(?:\s*[-–]\s*\d+)?\s*(?:mins?|minutes|hours?|hrs?|secs?|seconds)\b|\b(?:until|till|til)\s[a-z]|\boven\b|\bgas \d\b/i,
);
/** "orzo in, stock in", "toms on top", "eat w/ rice": where it goes. */
const TELLS_ORDER = pattern(
  /^[^,;]{2,30}\s(?:(?:in|on|over|on top|off|up)(?:\s*$|\s*[,;.])|(?:last|first)(?:\s*$|\s*[,;.]|\s\d))/i,
);

/**
 * True where a list ends and a block of rows begins that tells what to do, in few words and without a heading: "orzo in,
 * lid on, 10 min". None of its rows has an amount in front, and most of them tell a time, a heat or a deed.
 */
export function opensMethod(raws: readonly Raw[], index: number, list: readonly SourceLine[]): boolean {
  if (list.length < FEWEST_LISTED) return false;
  if (TOOL_ON.test(raws[index]?.text ?? '') || namesAgain(raws, index, list)) return true;
  if (index === 0 || raws[index - 1]?.text.trim()) return false;
  const rows: string[] = [];
  for (let j = index; raws[j]?.text.trim(); j += 1) rows.push(raws[j]?.text.trim() ?? '');
  if (rows.length < 2 || rows.some((text) => headingOf(text) !== null)) return false;
  const counts = (text: string) => startsWithAmount(text) || startsWithMeasure(text);
  // "pasta apart: 100 g a head" among them is of the list
  const labelled = rows.some((text) => counts(text.replace(/^[^:.]{2,40}:\s+/, '')));
  const told = rows.filter(
    (text) =>
      TELLS_TIME.test(text) ||
      startsAsStep(text) ||
      TELLS_ORDER.test(text) ||
      (!labelled && SENTENCES.test(text)),
  );
  const listed = rows.filter((text) => counts(text) && !servingsRow(text));
  return listed.length === 0 && told.length * 2 >= rows.length;
}

/**
 * "Noodles by the packet, rinse." right below a list without full stops: a sentence about a food that the list names
 * with its amount, and sentences behind it.
 */
function namesAgain(raws: readonly Raw[], index: number, list: readonly SourceLine[]): boolean {
  const row = raws[index]?.text.trim() ?? '';
  if (!ENDS_SENTENCE.test(row) || startsWithAmount(row) || startsWithMeasure(row)) return false;
  if (headingOf(row) || list.some((line) => ENDS_SENTENCE.test(line.text))) return false;
  const next = nextFilled(raws, index)?.text.trim() ?? '';
  if (!ENDS_SENTENCE.test(next) || startsWithAmount(next) || headingOf(next)) return false;
  const word = FIRST_WORD.exec(row)?.[0].toLowerCase() ?? '';
  const listed = new RegExp(`\\b${word.replace(/(?:e?s)$/, '')}(?:e?s)?\\b`, 'i');
  return word.length > 2 && list.some((line) => startsWithAmount(line.text) && listed.test(line.text));
}

/** "1. mash beans" behind a list without numbers: rows that are counted from one and have no measure are its method. */
export function countsSteps(
  raws: readonly Raw[],
  stretch: MarkedStretch,
  index: number,
  list: readonly SourceLine[],
  numbered: boolean,
): boolean {
  if (list.length < FEWEST_LISTED || !stretch.numbered) return false;
  if (!/^\s*1[.)]/.test(raws[index]?.text ?? '') || numbered) return false;
  for (let j = index; j < raws.length; j += 1) {
    const raw = raws[j];
    if (!raw?.text.trim()) continue;
    const row = stretchOf(raw);
    if (!row.numbered) return j > index + 1;
    if (startsWithMeasure(row.text)) return false;
  }
  return true;
}

/** "cold mash, about a pint" right above "1 leek": a row with its amount behind it at the head of a list. */
export function leadsList(raws: readonly Raw[], text: string, index: number): boolean {
  if (/[.!]\s|[.!]$|^\(/.test(text) || startsAsStep(text)) return false;
  if (text.includes(':')) return false;
  const pieces = text.split(/,\s+|\s[-–—]\s/).slice(1);
  if (!pieces.some((piece) => startsWithMeasure(piece.replace(/^about |^same /, '')))) return false;
  for (let j = index + 1; raws[j]?.text.trim(); j += 1)
    if (startsWithAmount(raws[j]?.text.trim() ?? '')) return true;
  return false;
}
