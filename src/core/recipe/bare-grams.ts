import { remember } from '@/core/memo';
import { foodOfName } from '@/core/food/find';
import { portionOfKind } from '@/core/food/table';
import { tokens } from '@/core/food/tokens';
import { clean, markerLength } from './clean';
import { readMeasures } from './measures';
import { Reader } from './reader';
import type { SourceLine } from './source';

/** Numbers from here on count no pieces of what else is on such a list. */
export const FEWEST_BARE_GRAMS = 20;
/** Numbers from here on are grams on any list. */
const FEWEST_SURE = 100;
/** How many rows must be written so before all are taken for it. */
const FEWEST_ROWS = 3;
const SPOONED =
  /\b(?:tsps?|tbsps?|teaspoons?|tablespoons?|pinch|handfuls?|splash|dash|ml|litres?|cups?)\b|\d ?[tTlc]\b/;
/** A weight with its unit: the list does not leave them out. */
const GRAMS_SAID = /\d ?(?:g|kg|grams?|kilos?|oz|lbs?)\b/i;
/** "Day: 400 wholemeal": what the row is for. */
const FOR_WHAT = /^\s*[a-z][a-z' -]{1,24}[:–-]\s+(?=\d)/i;

/** The number that opens a row without any measure; null where it has one. */
const bareNumber = remember((text: string): number | null => {
  const row = clean(text.slice(markerLength(text)))
    .replace(FOR_WHAT, '')
    .toLowerCase();
  if (!/^\d{1,4} [a-z]{2}/.test(row)) return null;
  const r = new Reader(row, row);
  const { measures, equivalent } = readMeasures(r);
  const [one] = measures;
  const bare = measures.length === 1 && one && one.unit === null && !one.each && !one.size && !equivalent;
  return bare && one ? one.quantity[1] : null;
});

/** True where a row's food is told in pieces by its number: "20 cherry tomatoes". */
function comesByPiece(text: string): boolean {
  const row = clean(text.slice(markerLength(text)))
    .replace(FOR_WHAT, '')
    .toLowerCase();
  const food = foodOfName(tokens(row.replace(/^\d+ /, '').replace(/[,(].*$/, '')));
  return food !== undefined && (food.portions.piece ?? portionOfKind(food.kind, 'piece')) !== undefined;
}

/**
 * A list that leaves its grams out, as bakers write: "100 rye", "330 water", "8 salt". It is one where three rows or more
 * open with a large number and no measure, no row says a weight with its unit, and most of them are of what nobody counts. The
 * lines say so, since one row alone does not tell.
 */
export function withBareGrams(lines: readonly SourceLine[]): readonly SourceLine[] {
  const numbers = lines.map((l) => bareNumber(l.text));
  const large = lines.filter((_, i) => (numbers[i] ?? 0) >= FEWEST_BARE_GRAMS);
  const bare = numbers.filter((n) => n !== null).length;
  // spoons and handfuls are no weights
  const weighed = lines.filter((l) => !SPOONED.test(l.text)).length;
  const enough = large.length >= FEWEST_ROWS && large.length * 3 >= weighed && bare * 2 >= weighed;
  const all =
    enough &&
    !lines.some((l) => GRAMS_SAID.test(l.text)) &&
    large.filter((l) => !comesByPiece(l.text)).length * 2 >= large.length;
  // nobody counts 500 peas
  return lines.map((l, i) =>
    (all && numbers[i] != null) || (numbers[i] ?? 0) >= FEWEST_SURE ? { ...l, bareGrams: true as const } : l,
  );
}
