import { diffArrays, diffWordsWithSpace } from 'diff';

/** A stretch of text, and whether it stayed, came or went. */
export interface Stretch {
  readonly text: string;
  readonly mark: 'same' | 'came' | 'went';
}

/** A row of an adapted recipe with its changes marked. */
export interface MarkedRow {
  readonly mark: 'same' | 'changed' | 'came' | 'went';
  readonly stretches: readonly Stretch[];
}

const rowsOf = (text: string) => text.replace(/\s+$/, '').split('\n');

/** Share of words two rows must have in common to be one row that changed. */
const ALIKE = 0.34;

function within(before: string, after: string): Stretch[] {
  return diffWordsWithSpace(before, after).map((c) => ({
    text: c.value,
    mark: c.added ? 'came' : c.removed ? 'went' : 'same',
  }));
}

function alike(stretches: readonly Stretch[]): boolean {
  const size = (mark: Stretch['mark']) =>
    stretches.filter((s) => s.mark === mark).reduce((n, s) => n + s.text.trim().length, 0);
  const same = size('same');
  return same / Math.max(1, same + Math.max(size('came'), size('went'))) >= ALIKE;
}

/** Rows that went and came in one place, those that are alike told as one that changed. */
function block(went: readonly string[], came: readonly string[]): MarkedRow[] {
  const rows: MarkedRow[] = [];
  let next = 0;
  for (const before of went) {
    const found = came.findIndex((after, i) => i >= next && alike(within(before, after)));
    if (found < 0) {
      rows.push({ mark: 'went', stretches: [{ text: before, mark: 'went' }] });
      continue;
    }
    for (const text of came.slice(next, found))
      rows.push({ mark: 'came', stretches: [{ text, mark: 'came' }] });
    rows.push({ mark: 'changed', stretches: within(before, came[found] ?? '') });
    next = found + 1;
  }
  for (const text of came.slice(next)) rows.push({ mark: 'came', stretches: [{ text, mark: 'came' }] });
  return rows;
}

/**
 * Two texts of a recipe as one, row by row, with what came and what went marked inside the rows. Leaving out what went
 * gives `after` and leaving out what came gives `before`, but for blanks at the ends.
 */
export function marksOf(before: string, after: string): MarkedRow[] {
  const out: MarkedRow[] = [];
  let went: readonly string[] = [];
  const flush = (came: readonly string[]) => {
    out.push(...block(went, came));
    went = [];
  };
  for (const change of diffArrays(rowsOf(before), rowsOf(after))) {
    if (change.removed) went = change.value;
    else if (change.added) flush(change.value);
    else {
      flush([]);
      for (const text of change.value) out.push({ mark: 'same', stretches: [{ text, mark: 'same' }] });
    }
  }
  flush([]);
  return out;
}
