import { remember } from '@/core/memo';
import { markerLength } from './clean';
import type { ServingsWords } from './servings';

/** A stretch of the recipe's own text. `start` and `end` are positions in it. */
export interface Stretch {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}
export interface SourceLine extends Stretch {
  /** Heading it stands under, null for the first or only list. */
  readonly section: string | null;
}

/** A recipe taken apart; its text stays the only truth. */
export interface Recipe {
  readonly source: string;
  readonly title: string;
  readonly servings: ServingsWords | null;
  readonly lines: readonly SourceLine[];
  readonly steps: readonly Stretch[];
  readonly notes: readonly Stretch[];
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
    yield { start, end, text: source.slice(start, end).replace(/\r$/, '') };
    start = end + 1;
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
