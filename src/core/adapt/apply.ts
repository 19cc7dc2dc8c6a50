import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { applySwap } from '@/core/swap/apply';
import type { Change } from './schema';
import type { Selection } from './model';
import type { LineChoices } from './options';

/** A recipe's text after a plan, and what was changed in it. */
export interface Applied {
  readonly text: string;
  readonly changes: readonly Change[];
}

const sameLine = (a: ReadLine, b: ReadLine) => a.origin === b.origin && a.line.text === b.line.text;

/** Where a line of the first reading stands in a later one; the n-th of several with the same words. */
function placeOf(line: ReadLine, first: ReadRecipe, now: ReadRecipe): number {
  const nth = first.lines.filter((l) => sameLine(l, line)).indexOf(line);
  const places = now.lines.flatMap((l, i) => (sameLine(l, line) ? [i] : []));
  return places[Math.min(nth, places.length - 1)] ?? -1;
}

/**
 * Writes a plan into the recipe's own text, change by change, each on a fresh reading: what is only named in the
 * method first, then ingredient lines from the last to the first.
 */
export function applyPlan(
  read: ReadRecipe,
  lines: readonly LineChoices[],
  selection: Selection,
  settings: ReadSettings,
): Applied {
  const chosen = lines.flatMap((l, i) => {
    const choice = l.choices[selection[i] ?? 0];
    return choice?.swap
      ? [{ line: read.lines[l.index] as ReadLine, index: l.index, role: l.role, choice, swap: choice.swap }]
      : [];
  });
  const ordered = [
    ...chosen.filter((c) => c.line.origin === 'method').sort((a, b) => b.line.line.start - a.line.line.start),
    ...chosen
      .filter((c) => c.line.origin === 'ingredients')
      .sort((a, b) => b.line.line.start - a.line.line.start),
  ];
  let now = read;
  const changes: Change[] = [];
  for (const { line, index, role, choice, swap } of ordered) {
    const at = placeOf(line, read, now);
    if (at < 0) continue;
    const swapped = applySwap(now, at, swap, settings);
    if (!swapped) continue;
    changes.push({
      line: index,
      from: line.line.text,
      to: swapped.lines.length > 0 ? swapped.lines.join('; ') : (swap.inMethod ?? ''),
      swap: swap.id,
      name: swap.name,
      role: role.label,
      share: choice.share,
      technique: swap.technique,
      cautions: [...swap.cautions],
      closeness: choice.closeness,
    });
    now = readRecipe(parseRecipe(swapped.text), settings);
  }
  return { text: now.recipe.source, changes: changes.sort((a, b) => a.line - b.line) };
}
