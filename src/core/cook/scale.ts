import { formatQuantity } from 'format-quantity';
import { inOwnAmount } from '@/core/swap/lines';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { unscaledIn } from './knowledge';

/**
 * A line of a recipe for so much more or less of it, in the cook's own measures: "2 tbsp tamari" times 1½ is "3 tbsp
 * tamari"; what has no amount stays as it is, and what cannot be written with another number is told how often it goes in.
 */
export function scaledLine(line: ReadLine, times: number, settings: ReadSettings): string {
  const { text } = line.line;
  if (times === 1 || line.origin !== 'ingredients') return text;
  const said = line.words?.foods.some((f) => f.measures.length > 0) ?? false;
  if (!said || line.words?.perHead) return text;
  const own = inOwnAmount(line, times, settings);
  if (own) return own;
  return `${String(formatQuantity(Math.round(times * 100) / 100, { vulgarFractions: true }) ?? times)} × ${text}`;
}

/** What does not grow in proportion where a dish is made larger or smaller, in words. */
export const scalingWords = (
  read: ReadRecipe,
  actions: ReadonlySet<string>,
  times: number,
): readonly string[] =>
  Math.abs(times - 1) < 0.05
    ? []
    : unscaledIn(
        read.lines.flatMap((l) => l.foods.flatMap((f) => f.food ?? [])),
        actions,
      );
