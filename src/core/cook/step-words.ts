import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { kitchenAmount } from '@/core/format/amount';
import { scaledLine } from './scale';
import type { Task } from './task';

/** A stretch of a task's words; `amount` is written before what it names, as it goes into this pot. */
export interface StepPiece {
  readonly text: string;
  readonly amount: string | null;
}

/** Words before a food that take some of it. */
const PART_OF_IT =
  /\b(?:splash|bit|little|drop|few|some|rest|remaining|remainder|half|spoon\w*|handful|pinch|dash|ladle\w*|cup|most)\s+(?:of\s+)?(?:the|your|this|that)?\s*$/i;

/** "3 tbsp" of "3 tbsp lemon juice", for so much of the recipe; null where a line says none. */
function amountOf(read: ReadRecipe, line: number, times: number, settings: ReadSettings): string | null {
  const own = read.lines[line];
  const name = own?.words?.foods[0]?.food;
  if (!own || !name) return null;
  const text = scaledLine(own, times, settings);
  const at = text.toLowerCase().indexOf(name.toLowerCase());
  const before =
    at > 0
      ? text
          .slice(0, at)
          .replace(/\s+of$/i, '')
          .trim()
      : '';
  return /[\d½⅓⅔¼¾⅛⅜⅝⅞]|\b(?:an?|half|one|two|three|four)\b/i.test(before) ? before : null;
}

/** Grams of a share of a line in kitchen measures: "half the sauce, 200 g". */
function shareOf(read: ReadRecipe, line: number, share: number, times: number): string | null {
  const food = read.lines[line]?.foods[0];
  if (!food?.food || !food.grams) return null;
  return kitchenAmount(
    food.grams.best * times * share,
    food.food,
    food.grams.best < 60 ? 'spoons' : 'metric',
    false,
  );
}

/**
 * A task's words with the amounts of this pot in them: "Brush the 3 large aubergine slices with the 4 tbsp oil". Where
 * only a part of a line goes in here, how much that is; where the words say an amount themselves, they stand.
 *
 * @param said lines whose amount earlier tasks told; those of this one are added
 */
export function stepWords(
  task: Task,
  { read, settings, times }: { read: ReadRecipe; settings: ReadSettings; times: number },
  said: Set<number>,
): StepPiece[] {
  const out: StepPiece[] = [];
  let at = 0;
  const seen = new Set<number>();
  for (const { from, to, line, share, stated } of [...task.mentions].sort((a, b) => a.from - b.from)) {
    if (from < at || to > task.text.length || seen.has(line)) continue;
    // what went in before is not measured again
    if (said.has(line) && share === null) continue;
    // "a splash of the stock": what is said is not all of it
    if (share === null && PART_OF_IT.test(task.text.slice(Math.max(0, from - 40), from))) continue;
    const amount =
      share !== null && share < 1
        ? shareOf(read, line, share, times)
        : stated
          ? null
          : amountOf(read, line, times, settings);
    if (!amount) continue;
    seen.add(line);
    if (share === null) said.add(line);
    if (from > at) out.push({ text: task.text.slice(at, from), amount: null });
    out.push({ text: task.text.slice(from, to), amount });
    at = to;
  }
  if (at < task.text.length) out.push({ text: task.text.slice(at), amount: null });
  return out;
}
