import { conflictsOf, isSafe } from '@/core/read/allergens';
import { tokens } from '@/core/food/tokens';
import type { Range } from '@/core/range/range';
import { titleOf } from '@/core/recipe/title';
import type { StoredDiner, StoredRecipe } from '@/data/db';
import type { LibraryRow } from '@/workers/library.worker';

/** Figures that the Shelf is sorted by, least or most first. */
const FIGURES = {
  fat: (row: LibraryRow) => row.fatShare,
  sodium: (row: LibraryRow) => row.sodium,
  energy: (row: LibraryRow) => row.energy,
  density: (row: LibraryRow) => row.density,
  sugar: (row: LibraryRow) => row.freeSugar,
  fibre: (row: LibraryRow) => row.fibre,
  protein: (row: LibraryRow) => row.protein,
} as const satisfies Record<string, (row: LibraryRow) => Range | null>;
type Figure = keyof typeof FIGURES;
const MOST_FIRST: ReadonlySet<Figure> = new Set(['fibre', 'protein']);

export type Order = 'touched' | 'title' | 'cooked' | 'minutes' | Figure;

/** A part of the map: fat share in % and energy density in kcal/100 g, from and to. */
export interface Brush {
  readonly fat: readonly [number, number];
  readonly density: readonly [number, number];
}

/** What is looked for on the Shelf. */
export interface Look {
  readonly words: string;
  /** Foods or words that it must not have, with commas between. */
  readonly without: string;
  /** A diner's id, "all" for everyone, "" for whoever it may be. */
  readonly fits: string;
  /** A diner's id: over for them by one limit alone. */
  readonly nearly: string;
  readonly starred: boolean;
  readonly tag: string;
  /** The most minutes of the cook's own hands; null where it may take as long as it likes. */
  readonly minutes: number | null;
  readonly brush: Brush | null;
  readonly order: Order;
}

export const EVERYTHING: Look = {
  words: '',
  without: '',
  fits: '',
  nearly: '',
  starred: false,
  tag: '',
  minutes: null,
  brush: null,
  order: 'touched',
};

/** Surely within or near for somebody, and nothing that she must not eat; a verdict that is not known fits nobody. */
export function fitsDiner(row: LibraryRow, diner: Pick<StoredDiner, 'protocol' | 'allergens'>): boolean {
  const verdict = row.verdicts[diner.protocol];
  return (verdict === 'within' || verdict === 'near') && isSafe(conflictsOf(row, diner.allergens));
}

/** Over by one limit alone, and nothing else against it: one change may be enough. */
export function nearlyFits(row: LibraryRow, diner: Pick<StoredDiner, 'protocol' | 'allergens'>): boolean {
  return (
    row.verdicts[diner.protocol] === 'over' &&
    row.missedBy[diner.protocol]?.length === 1 &&
    row.unresolved === 0 &&
    isSafe(conflictsOf(row, diner.allergens))
  );
}

type Sought = Pick<StoredRecipe, 'id' | 'text' | 'tags' | 'starred'>;
interface Searched {
  readonly text: string;
  /** The same without gaps: "chick peas" are chickpeas. */
  readonly dense: string;
}
const searched = new WeakMap<object, Searched>();
/** A recipe's words and tags for searching, worked out once. */
function wordsOf(recipe: Sought): Searched {
  const known = searched.get(recipe);
  if (known) return known;
  const text = `${recipe.text}\n${(recipe.tags ?? []).join('\n')}`.toLowerCase();
  const words = { text, dense: text.replace(/[\s-]+/g, '') };
  searched.set(recipe, words);
  return words;
}

/** True where a recipe has some words: as written, or each of them in the table's spelling ("chick peas"). */
function hasWords({ text, dense }: Searched, plain: string, spelled: readonly string[]): boolean {
  return text.includes(plain) || (spelled.length > 0 && spelled.every((w) => dense.includes(w)));
}

/** The recipes that are looked for, in the order asked; what is not known stands last. */
export function lookedFor<R extends Sought>(
  recipes: readonly R[],
  rows: ReadonlyMap<string, LibraryRow>,
  diners: readonly StoredDiner[],
  look: Look,
  cookedAt: ReadonlyMap<string, number> = new Map(),
): R[] {
  const plain = look.words.trim().toLowerCase();
  const words = plain ? tokens(plain) : [];
  const unwanted = look.without
    .toLowerCase()
    .split(',')
    .map((w) => w.trim())
    .filter(Boolean)
    .map((w) => [w, tokens(w)] as const);
  const eaters = look.fits === 'all' ? diners : diners.filter((d) => d.id === look.fits);
  const almost = diners.find((d) => d.id === look.nearly);
  const { brush } = look;
  const found = recipes.filter((r) => {
    if (look.starred && !r.starred) return false;
    if (look.tag && !r.tags?.includes(look.tag)) return false;
    const text = wordsOf(r);
    if (plain && !hasWords(text, plain, words)) return false;
    if (unwanted.some(([w, spelled]) => hasWords(text, w, spelled))) return false;
    if (look.fits === '' && !almost && !brush && look.minutes === null) return true;
    const row = rows.get(r.id);
    if (!row) return false;
    if (look.fits !== '' && !eaters.every((d) => fitsDiner(row, d))) return false;
    if (almost && !nearlyFits(row, almost)) return false;
    if (look.minutes !== null && row.minutes > look.minutes) return false;
    return !brush || (within(row.fatShare, brush.fat) && within(row.density, brush.density));
  });
  if (look.order === 'touched') return found;
  if (look.order === 'title')
    return found.sort((a, b) => titleOf(a.text).localeCompare(titleOf(b.text), undefined, { numeric: true }));
  if (look.order === 'cooked')
    return found.sort((a, b) => (cookedAt.get(b.id) ?? -Infinity) - (cookedAt.get(a.id) ?? -Infinity) || 0);
  const { order } = look;
  const sign = order !== 'minutes' && MOST_FIRST.has(order) ? -1 : 1;
  const of = (r: R): number => {
    const row = rows.get(r.id);
    const best = row && (order === 'minutes' ? row.minutes : FIGURES[order](row)?.best);
    return best === undefined ? Infinity : sign * best;
  };
  return found.sort((a, b) => (of(a) === of(b) ? 0 : of(a) - of(b)));
}

const within = (figure: Range | null, [from, to]: readonly [number, number]): boolean =>
  figure !== null && figure.best >= from && figure.best <= to;
