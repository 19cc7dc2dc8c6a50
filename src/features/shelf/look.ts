import { conflictsOf, isSafe } from '@/core/read/allergens';
import { tokens } from '@/core/food/tokens';
import { titleOf } from '@/core/recipe/title';
import type { StoredDiner, StoredRecipe } from '@/data/db';
import type { LibraryRow } from '@/workers/library.worker';

export type Order = 'touched' | 'title' | 'fat' | 'sodium' | 'energy';

/** What is looked for on the Shelf. */
export interface Look {
  readonly words: string;
  /** A diner's id, "all" for everyone, "" for whoever it may be. */
  readonly fits: string;
  readonly order: Order;
}

export const EVERYTHING: Look = { words: '', fits: '', order: 'touched' };

/** Surely within or near for somebody, and nothing that she must not eat; a verdict that is not known fits nobody. */
export function fitsDiner(row: LibraryRow, diner: Pick<StoredDiner, 'protocol' | 'allergens'>): boolean {
  const verdict = row.verdicts[diner.protocol];
  return (verdict === 'within' || verdict === 'near') && isSafe(conflictsOf(row, diner.allergens));
}

const FIGURE = {
  fat: (row: LibraryRow) => row.fatShare?.best,
  sodium: (row: LibraryRow) => row.sodium?.best,
  energy: (row: LibraryRow) => row.energy?.best,
} as const;

/** The recipes that are looked for, in the order asked; what is not known stands last. */
export function lookedFor<R extends Pick<StoredRecipe, 'id' | 'text'>>(
  recipes: readonly R[],
  rows: ReadonlyMap<string, LibraryRow>,
  diners: readonly StoredDiner[],
  look: Look,
): R[] {
  const plain = look.words.trim().toLowerCase();
  const words = tokens(look.words);
  const eaters = look.fits === 'all' ? diners : diners.filter((d) => d.id === look.fits);
  const found = recipes.filter((r) => {
    if (plain) {
      const text = r.text.toLowerCase();
      const has = text.includes(plain) || (words.length > 0 && words.every((w) => tokens(text).includes(w)));
      if (!has) return false;
    }
    if (look.fits === '') return true;
    const row = rows.get(r.id);
    return row !== undefined && eaters.every((d) => fitsDiner(row, d));
  });
  if (look.order === 'touched') return found;
  if (look.order === 'title')
    return found.sort((a, b) => titleOf(a.text).localeCompare(titleOf(b.text), undefined, { numeric: true }));
  const figure = FIGURE[look.order];
  const of = (r: R): number => {
    const row = rows.get(r.id);
    return (row && figure(row)) ?? Infinity;
  };
  return found.sort((a, b) => (of(a) === of(b) ? 0 : of(a) - of(b)));
}
