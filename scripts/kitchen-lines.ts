/**
 * Measures how ingredient lines are read: right, unsure (said to be not understood), or wrong, and why.
 *
 *     npm run lines -- FILE …
 *
 * One line a row: `words | food id + food id | low–high + low–high`, the grams of each food as a careful cook would
 * weigh it. Where the ids are left out, what was read is printed and nothing is judged. `src/core/read/kitchens` holds
 * lines by kitchen; their grams are common practice and recalled portions.
 */
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { TABLE_LARDER } from '../src/core/food/larder';
import { US_MEASURES } from '../src/core/measure/units';
import { readLine } from '../src/core/read/line';
import type { ReadFood } from '../src/core/read/types';

const KITCHENS = path.resolve(__dirname, '../src/core/read/kitchens');
/** Grams may differ by so much from what was expected: rounding of measures. */
const TOLERANCE = 0.05;

export interface JudgedLine {
  readonly text: string;
  readonly verdict: 'right' | 'unsure' | 'wrong' | 'not judged';
  /** What was read, and where it is not right, what was expected. */
  readonly why: string;
}

const shown = (f: ReadFood): string =>
  `${f.food?.id ?? '?'} ${f.grams ? `${f.grams.low.toPrecision(3)}–${f.grams.best.toPrecision(3)}–${f.grams.high.toPrecision(3)} g` : 'no amount'}`;

/** Reads one row of a file of lines and holds it against what it expects. */
export function judged(row: string): JudgedLine {
  const [text = '', ids = '', grams = ''] = row.split('|').map((p) => p.trim());
  const read = readLine(
    { text, start: 0, end: text.length, section: null },
    { measures: US_MEASURES, corrections: {} },
    4,
  );
  const got = read.foods.map(shown).join(' + ');
  if (!ids) return { text, verdict: 'not judged', why: got };
  const foods = ids.split('+').map((id) => id.trim());
  for (const id of foods) if (!TABLE_LARDER.foodById(id)) throw new Error(`"${id}" is no food: ${row}`);
  if (read.missing) return { text, verdict: 'unsure', why: `${read.missing} not understood: ${got}` };
  const spans = grams.split('+').map((span) => span.split('–').map(Number));
  const fits = (f: ReadFood, i: number): boolean => {
    const [low = NaN, high = NaN] = spans[i] ?? [];
    const best = f.grams?.best ?? NaN;
    return best >= low * (1 - TOLERANCE) && best <= high * (1 + TOLERANCE);
  };
  const right =
    read.foods.length === foods.length && read.foods.every((f, i) => f.food?.id === foods[i] && fits(f, i));
  return {
    text,
    verdict: right ? 'right' : 'wrong',
    why: right ? got : `${got}; expected ${ids}, ${grams} g`,
  };
}

const rowsOf = (file: string): string[] =>
  readFileSync(file, 'utf8')
    .split('\n')
    .filter((l) => l.trim() && !l.startsWith('#'));

/** Every kitchen's lines, judged. */
export function kitchens(): { readonly kitchen: string; readonly lines: readonly JudgedLine[] }[] {
  return readdirSync(KITCHENS)
    .filter((f) => f.endsWith('.txt'))
    .sort()
    .map((f) => ({
      kitchen: f.replace('.txt', '').replace(/-/g, ' '),
      lines: rowsOf(path.join(KITCHENS, f)).map(judged),
    }));
}

export const share = (lines: readonly JudgedLine[], verdict: JudgedLine['verdict']): number =>
  lines.filter((l) => l.verdict === verdict).length / Math.max(1, lines.length);

if (process.argv[1]?.endsWith('kitchen-lines.ts'))
  for (const file of process.argv.slice(2)) {
    const lines = rowsOf(file).map(judged);
    for (const l of lines) if (l.verdict !== 'right') console.log(`${l.verdict}: ${l.text}\n    ${l.why}`);
    const percent = (v: JudgedLine['verdict']) => `${(share(lines, v) * 100).toFixed(1)} % ${v}`;
    console.log(
      `${file}: ${lines.length} lines, ${percent('right')}, ${percent('unsure')}, ${percent('wrong')}`,
    );
  }
