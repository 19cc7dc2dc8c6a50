import { remember } from '@/core/memo';
import { markerLength } from './clean';
import type { UnsureRow } from './row-kind';
import type { ServingsWords } from './servings';

/**
 * A stretch of the recipe's own text. `start` and `end` are positions in it; where a row was broken to a width, `text` has
 * a blank for the break.
 */
export interface Stretch {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}
export interface SourceLine extends Stretch {
  /** Heading it stands under, null for the first or only list. */
  readonly section: string | null;
  /** Its number without a measure is grams, as in the rest of its list. */
  readonly bareGrams?: true;
}

/** A recipe taken apart; its text stays the only truth. */
export interface Recipe {
  readonly source: string;
  readonly title: string;
  readonly servings: ServingsWords | null;
  readonly lines: readonly SourceLine[];
  readonly steps: readonly Stretch[];
  readonly notes: readonly Stretch[];
  /** Rows that might be something else than what they were taken for. */
  readonly unsure: readonly UnsureRow[];
  /** What could not be read, in a cook's words. */
  readonly problems: readonly string[];
}

/** A row of the text as it stands. */
export interface Raw {
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

/** Rows of a text with their places. */
export function* linesOf(source: string): Generator<Raw> {
  let start = 0;
  while (start <= source.length) {
    let end = source.indexOf('\n', start);
    if (end < 0) end = source.length;
    const row = source.slice(start, end);
    const text = row.endsWith('\r') ? row.slice(0, -1) : row;
    if (text.length <= MOST_ROW) yield { start, end, text };
    else yield* cut(text, start);
    start = end + 1;
  }
}

/** Characters of a row that are read as one: a longer row is a paragraph, and is read piece by piece. */
export const MOST_ROW = 1500;

/** A long row in pieces, cut behind a sentence, else between words; so that reading it takes as long as it is. */
function* cut(text: string, start: number): Generator<Raw> {
  let from = 0;
  while (from < text.length) {
    let to = Math.min(text.length, from + MOST_ROW);
    if (to < text.length) {
      const piece = text.slice(from, to);
      const sentence = Math.max(piece.lastIndexOf('. '), piece.lastIndexOf('! '), piece.lastIndexOf('; '));
      const space = piece.lastIndexOf(' ');
      if (sentence > MOST_ROW / 3) to = from + sentence + 1;
      else if (space > MOST_ROW / 3) to = from + space;
    }
    yield { start: start + from, end: start + to, text: text.slice(from, to) };
    from = to;
    // blanks at a cut belong to neither
    let blank = from;
    while (text[blank] === ' ') blank += 1;
    from = blank;
  }
}

interface Marked {
  readonly text: string;
  readonly from: number;
  readonly marked: boolean;
  readonly numbered: boolean;
}

/** A row without its bullet or number. */
const withoutMarker = remember((row: string): Marked => {
  const marker = markerLength(row);
  const inner = row.slice(marker);
  const lead = /^\s*/.exec(inner)?.[0].length ?? 0;
  return {
    text: inner.trim(),
    from: marker + lead,
    marked: marker > 0,
    numbered: /\d/.test(row.slice(0, marker)),
  };
});

export type MarkedStretch = Stretch & { readonly marked: boolean; readonly numbered: boolean };

/** The words of a row, and how it was marked. */
export function stretchOf(raw: Raw): MarkedStretch {
  const { text, from, marked, numbered } = withoutMarker(raw.text);
  const start = raw.start + from;
  return { text, start, end: start + text.length, marked, numbered };
}

/** Parts of a text, in their order, each with its place; `start` is the text's own. */
export function placed(text: string, parts: readonly string[], start = 0): Stretch[] {
  let at = 0;
  return parts.map((part) => {
    const from = text.indexOf(part, at);
    at = from + part.length;
    return { text: part, start: start + from, end: start + at };
  });
}
