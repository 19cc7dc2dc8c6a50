import raw from '@content/compiled/cautions.json';
import { AT } from '@/core/food/nutrients';
import { sumBounds } from '@/core/range/bounds';
import { over, type Range } from '@/core/range/range';
import type { ReadLine, ReadRecipe } from '@/core/read/types';
import { doneText } from '@/core/step/done';
import type { CautionFile, CautionRow } from './schema';

// checked by Zod when content is compiled
const file = raw as unknown as CautionFile;

/** Something to say where a dish can hurt someone. */
export interface Caution {
  readonly id: string;
  readonly says: string;
  readonly source: string;
  /** Shown first where somebody at the table has the medical switch on. */
  readonly prominent: boolean;
  /** Said only to those with the medical switch on. */
  readonly medical: boolean;
}

const compiled = file.cautions.map((row) => ({
  row,
  steps: row.steps ? new RegExp(row.steps, 'i') : null,
  also: row.also ? new RegExp(row.also, 'i') : null,
  title: row.title ? new RegExp(row.title, 'i') : null,
  not: row.not ? new RegExp(row.not, 'i') : null,
}));
const preserving = file.preserving.map((row) => ({
  says: row.says,
  pattern: new RegExp(row.pattern, 'i'),
  title: row.title ? new RegExp(row.title, 'i') : null,
}));

const isOne = (line: ReadLine, kinds?: readonly string[], foods?: readonly string[]): boolean =>
  [...line.foods, ...line.alternatives].some(
    (f) => f.food && ((kinds?.includes(f.food.kind) ?? false) || (foods?.includes(f.food.id) ?? false)),
  );

/** A plate's figure over the lines that a caution looks at; null where one of them is not known. */
function figureOf(read: ReadRecipe, { of, kinds, foods }: NonNullable<CautionRow['figure']>): Range | null {
  const lines = kinds || foods ? read.lines.filter((l) => isOne(l, kinds, foods)) : read.lines;
  const corners = lines.flatMap((l) => (l.corners ? [l.corners] : []));
  if (corners.length < lines.length || corners.length === 0) return null;
  const sum = over(sumBounds(corners, AT[of]), read.servings.range);
  return Number.isNaN(sum.high) ? null : sum;
}

function figureHolds(read: ReadRecipe, figure: NonNullable<CautionRow['figure']>, role: string): boolean {
  if (figure.role !== undefined && figure.role !== role) return false;
  const value = figureOf(read, figure);
  if (!value) return false;
  // likely, not merely thinkable: a caution that is always said is never heard
  return (
    (figure.above !== undefined && value.best > figure.above) ||
    (figure.below !== undefined && value.best < figure.below)
  );
}

/** Cautions about a line's own food. */
export const cautionsOfLine = (line: ReadLine): CautionRow[] =>
  file.cautions.filter((row) => row.foods && !row.figure && !row.all && isOne(line, undefined, row.foods));

/** Cautions that apply to a dish. Those marked `medical` are for diners with the medical switch on. */
export function cautionsOf(read: ReadRecipe, role: string): Caution[] {
  const method = read.steps.map((s) => doneText(s.text)).join(' ');
  const whole = read.recipe.source;
  return compiled
    .filter(({ row, steps, also, title, not }) => {
      if (not?.test(whole) || (also && !also.test(whole))) return false;
      const conditions: boolean[] = [];
      // a figure over some foods already says which foods
      if ((row.foods || row.kinds) && !(row.figure?.foods ?? row.figure?.kinds))
        conditions.push(read.lines.some((l) => isOne(l, row.kinds, row.foods)));
      if (steps) conditions.push(steps.test(method));
      if (title) conditions.push(title.test(read.recipe.title));
      if (row.figure) conditions.push(figureHolds(read, row.figure, role));
      return row.all ? conditions.every(Boolean) : conditions.some(Boolean);
    })
    .map(({ row: { id, says, source, prominent, medical } }) => ({ id, says, source, prominent, medical }));
}

/**
 * Why a recipe is not adapted: its salt, acid or sugar keeps food safe (canning, pickling, fermenting); null for
 * every other recipe.
 */
export function whyNotAdapted(read: ReadRecipe): string | null {
  const method = read.steps.map((s) => doneText(s.text)).join(' ');
  const { title } = read.recipe;
  // a title alone may be a dish with pickles in it: the last words name what it is
  const head = title.split(/\b(?:with|and|in|on|over)\b|[,(:]/i)[0] ?? title;
  const uses = read.lines.some((l) => isOne(l, undefined, ['kimchi', 'sauerkraut', 'pickle', 'jam']));
  return (
    preserving.find((p) => p.pattern.test(`${title}. ${method}`) || (!uses && p.title?.test(head) === true))
      ?.says ?? null
  );
}
