import type { RowKind, UnsureRow } from '@/core/recipe/row-kind';
import type { ReadRecipe } from './types';

/** A row that the cook is asked about, and what it may be, the taken kind first. */
export interface RowQuestion {
  readonly row: UnsureRow;
  readonly may: readonly RowKind[];
}

const OTHERS: Readonly<Record<RowKind, readonly RowKind[]>> = {
  title: ['title', 'food'],
  heading: ['heading', 'food'],
  food: ['food', 'heading', 'step', 'note'],
  step: ['step', 'food', 'note'],
  note: ['note', 'food', 'step'],
};

/** Rows that might be something else: of those taken for a food only the ones that no food was found for. */
export function rowQuestions(read: ReadRecipe): RowQuestion[] {
  const unknown = new Set(
    read.lines.filter((l) => l.origin === 'ingredients' && l.missing === 'food').map((l) => l.line.start),
  );
  return read.recipe.unsure
    .filter((row) => row.taken !== 'food' || unknown.has(row.start))
    .map((row) => ({ row, may: OTHERS[row.taken] }));
}
