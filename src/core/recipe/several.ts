import { headingOf } from './heading';
import { parseRecipe } from './parse';
import { readServings } from './servings';
import { linesOf, type Raw } from './source';

const SERVES = /^(?:serves|makes|feeds|yields?)\b/i;
const isServings = (row: Raw): boolean => SERVES.test(row.text.trim()) && readServings(row.text) !== null;
/** A row that could be a dish's name: short, alone, no bullet, no number, no full stop. */
const couldBeTitle = (row: Raw): boolean =>
  /^\s*(?:#{1,2}\s+)?\p{L}[^.:;]{2,70}$/u.test(row.text) && !headingOf(row.text.replace(/^\s*#+\s+/, ''));

/**
 * The recipes of a text that holds several under each other, one text each; the text alone where it is one. A further
 * one begins at a name between blank rows that a number of plates or a list of ingredients of its own follows, once
 * the one before has lines and steps.
 */
export function severalRecipes(text: string): readonly string[] {
  const rows = [...linesOf(text)];
  const starts = rows.flatMap((row, i) => {
    if (i < 4 || !couldBeTitle(row) || rows[i - 1]?.text.trim()) return [];
    const next = rows.slice(i + 1, i + 5).filter((r) => r.text.trim());
    const opens = next.slice(0, 2).some((r) => isServings(r) || headingOf(r.text)?.kind === 'ingredients');
    return opens ? [row.start] : [];
  });
  const cuts = [0, ...starts, text.length];
  const parts = cuts.slice(0, -1).map((from, i) => text.slice(from, cuts[i + 1]).trim());
  const whole = parts.map((p) => parseRecipe(p));
  const complete = whole.every((r) => r.lines.length >= 2 && r.steps.length > 0);
  return parts.length > 1 && complete ? parts.map((p) => `${p}\n`) : [text];
}
