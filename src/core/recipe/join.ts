import { tokens } from '@/core/food/tokens';
import { parseRecipe } from './parse';
import type { Recipe, Stretch } from './source';

const sameWords = (text: string): string => tokens(text).join(' ');

/** Rows of one that the other has not, in their own words. */
function missing(of: readonly Stretch[], have: readonly Stretch[]): string[] {
  const known = new Set(have.map((h) => sameWords(h.text)));
  return of.filter((s) => !known.has(sameWords(s.text))).map((s) => s.text);
}

const lastEnd = (all: readonly Stretch[]): number => Math.max(-1, ...all.map((s) => s.end));

/** Where a row ends: what is put in there stands on rows of its own. */
const rowEnd = (text: string, at: number): number => {
  const end = text.indexOf('\n', at);
  return end < 0 ? text.length : end;
};

/** The number of plates as a row, where only the other says it. */
const servingsRowOf = (own: Recipe, other: Recipe): string[] =>
  own.servings === null && other.servings !== null ? [`Serves ${other.servings.range.best}`] : [];

/**
 * Two scraps of notes as one recipe: the first as it stands, with the lines, steps and notes of the second that it has
 * not, each behind its own kind. Nothing of either is lost; what both say is said once.
 */
export function joined(first: string, second: string): string {
  const [own, other] = [parseRecipe(first), parseRecipe(second)];
  const lines = missing(other.lines, own.lines);
  const steps = missing(other.steps, own.steps);
  const notes = missing(other.notes, own.notes).filter((n) => parseRecipe(`Dish\n${n}`).servings === null);
  const served = servingsRowOf(own, other);
  const put: { readonly at: number; readonly rows: readonly string[] }[] = [];
  const title = own.title === 'Untitled recipe' ? -1 : rowEnd(first, Math.max(0, first.indexOf(own.title)));
  if (served.length > 0 && title >= 0) put.push({ at: title, rows: served });
  const afterLines = own.lines.length > 0 ? rowEnd(first, lastEnd(own.lines)) : title;
  if (lines.length > 0)
    put.push({ at: Math.max(0, afterLines), rows: own.lines.length > 0 ? lines : ['', ...lines] });
  const end = first.trimEnd().length;
  const afterSteps = own.steps.length > 0 ? rowEnd(first, lastEnd(own.steps)) : end;
  if (steps.length > 0)
    put.push({ at: afterSteps, rows: own.steps.length > 0 ? steps : ['', 'Method', ...steps] });
  if (notes.length > 0) put.push({ at: end, rows: ['', 'Notes', ...notes] });
  // the last place first; of what goes to one place the last kind first, so that each stands behind the one before
  put.reverse().sort((a, b) => b.at - a.at);
  return put.reduce(
    (text, { at, rows }) => `${text.slice(0, at)}\n${rows.join('\n')}${text.slice(at)}`,
    first,
  );
}
