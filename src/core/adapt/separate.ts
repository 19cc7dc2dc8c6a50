import { escapePattern } from '@/core/escape';
import { markerLength } from '@/core/recipe/clean';
import { parseRecipe } from '@/core/recipe/parse';
import { remembered } from '@/core/read/remembered';
import { readRecipe } from '@/core/read/read';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';

/** A line that was written as several, so that each of its foods can be changed alone. */
export interface Separated {
  readonly whole: string;
  readonly parts: readonly string[];
  /** True where it stands among others in one row. */
  readonly inRow: boolean;
}

const BETWEEN =
  /,?\s+(?:and|&|\+|plus|(?:and\s+)?(?:dissolved|mixed|stirred|whisked|blended|blitzed|whizzed|mashed|thinned|loosened|slaked|let down) (?:in|into|with)|(?:pan-)?fried (?:in|with)|tossed (?:in|with)|roasted (?:in|with)|brushed with|crushed with|served with|topped with|cooked in|in(?=\s+(?:\d|[½¼¾⅓⅔])[^,]*(?:tbsp|tsp|cup|ml)))\s+/gi;
const TAIL =
  /(,\s*(?:to (?:taste|serve|finish|garnish)|for (?:serving|garnish)|optional)|\s+(?:to (?:taste|serve|finish|garnish)|for (?:serving|garnish)))\s*$/i;
const EACH = /^(.*?\b)each(?:\s+of)?\s*:?\s+/i;

const close = (a: number, b: number) => Math.abs(a - b) <= 1e-6 * Math.max(1, Math.abs(a));

/** Words of the parts, where each alone reads as the same food and grams as it did in the whole line. */
function partsOf(line: ReadLine, settings: ReadSettings, servings: number): readonly string[] | null {
  if (line.origin !== 'ingredients' || line.foods.length < 2 || line.alternatives.length > 0) return null;
  if (line.foods.some((f) => !f.food || !f.grams) || line.corrected) return null;
  const own = line.line.text;
  const tail = TAIL.exec(own)?.[0] ?? '';
  const body = own.slice(0, own.length - tail.length);
  const each = EACH.exec(body);
  const lead = each?.[1]?.trimEnd() ?? '';
  const pieces = body
    .slice(each?.[0].length ?? 0)
    .split(BETWEEN)
    .flatMap((p) => p.split(/\s*,\s+(?:\+\s*)?(?=\w+$|[\d½¼¾⅓⅔])/));
  if (pieces.length < line.foods.length) return null;
  const texts = pieces.map((p) => `${lead} ${p}${tail}`.trim());
  // "1 tin chickpeas (no oil, ½ tsp paprika)" is torn nowhere
  if (texts.some((t) => t.split('(').length !== t.split(')').length)) return null;
  const plain = { ...settings, corrections: {} };
  const alones = texts.map((text) => remembered({ ...line.line, text }, plain, servings));
  // water that the whole line did not count is one more
  const counted = alones.filter(
    (l) => pieces.length === line.foods.length || l.foods[0]?.food?.kind !== 'water',
  );
  if (counted.length !== line.foods.length) return null;
  const same = counted.every((alone, i) => {
    const [food] = alone.foods;
    const was = line.foods[i];
    return (
      alone.corners !== null &&
      alone.foods.length === 1 &&
      alone.optional === line.optional &&
      food?.food?.id === was?.food?.id &&
      food?.grams &&
      was?.grams &&
      close(food.grams.low, was.grams.low) &&
      close(food.grams.high, was.grams.high)
    );
  });
  return same ? texts : null;
}

/**
 * Writes "soy sauce and sugar" as two lines where each half reads as it did in the whole, so that a plan can change
 * one food and keep the other.
 *
 * @returns the recipe read again, and what to put back together where nothing was changed
 */
export function separate(
  read: ReadRecipe,
  settings: ReadSettings,
): { readonly read: ReadRecipe; readonly separated: readonly Separated[] } {
  const separated: Separated[] = [];
  let text = read.recipe.source;
  // from the end to the start, so that positions stay true
  for (const line of [...read.lines].reverse()) {
    const parts = partsOf(line, settings, read.servings.range.best);
    if (!parts) continue;
    const rowStart = text.lastIndexOf('\n', line.line.start - 1) + 1;
    const rowEnd = text.indexOf('\n', line.line.end);
    const row = text.slice(rowStart, rowEnd < 0 ? undefined : rowEnd);
    const prefix = row.slice(0, markerLength(row));
    // a line among others in one row stays in it
    const inRow = row.slice(prefix.length).trim() !== line.line.text.trim();
    if (inRow && parts.some((p) => p.includes(','))) continue;
    text = `${text.slice(0, line.line.start)}${parts.join(inRow ? ', ' : `\n${prefix}`)}${text.slice(line.line.end)}`;
    separated.push({ whole: line.line.text, parts, inRow });
  }
  if (separated.length === 0) return { read, separated };
  const again = readRecipe(parseRecipe(text), settings);
  // what is not read as the same recipe is left as it was written
  const plain = again.recipe.steps.length === read.recipe.steps.length && again.lines.every((l) => l.corners);
  return plain ? { read: again, separated } : { read, separated: [] };
}

/** Puts lines back together of which no part was changed. */
export function joinAgain(text: string, separated: readonly Separated[]): string {
  return separated.reduce((t, { whole, parts, inRow }) => {
    if (inRow) return t.replace(parts.join(', '), () => whole);
    const pattern = new RegExp(
      `^([^\\w\\n]*)${parts.map(escapePattern).join('\\s*\\n[^\\w\\n]*')}[^\\S\\n]*$`,
      'm',
    );
    return t.replace(pattern, (_, marker: string) => `${marker}${whole}`);
  }, text);
}
