import { markerLength } from './clean';
import { opensWithDeed } from './score';

/** What a row of a recipe's text may be. */
export const ROW_KINDS = ['title', 'heading', 'food', 'step', 'note'] as const;
export type RowKind = (typeof ROW_KINDS)[number];

/** A row that was taken for one kind and might be another: the cook is asked. */
export interface UnsureRow {
  readonly text: string;
  /** Its place in the recipe's text. */
  readonly start: number;
  readonly end: number;
  readonly taken: RowKind;
}

/** "Title: …", "Step: …", "Note: …", "Food: …": a row that says itself what it is. */
export const SAYS_KIND = /^(\s*(title|step|note|food)\s*:\s+)(?=\S)/i;

/**
 * The recipe's text with one row written so that it says what it is: a heading gets its colon, a food its bullet, the
 * others their word. The text stays the only truth, so it is undone like any edit.
 *
 * @param at the row's place in the text
 */
export function asKind(text: string, at: { start: number; end: number }, kind: RowKind): string {
  const row = text.slice(at.start, at.end);
  const bare = row
    .slice(markerLength(row))
    .replace(SAYS_KIND, '')
    .replace(/^#{1,6}\s+/, '')
    .trim();
  const name = kind[0]?.toUpperCase() + kind.slice(1);
  const written =
    kind === 'heading'
      ? `${bare.replace(/[:.]$/, '')}:`
      : kind === 'food' && !opensWithDeed(bare)
        ? `- ${bare}`
        : `${name}: ${bare}`;
  return text.slice(0, at.start) + written + text.slice(at.end);
}
