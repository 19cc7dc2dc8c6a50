import { tokens } from '@/core/food/tokens';
import type { ReadRecipe } from './types';

/** Which of somebody's dislikes are in a dish, by the words of its lines and the names of its foods. */
export function dislikesIn(read: ReadRecipe, dislikes: readonly string[]): string[] {
  if (dislikes.length === 0) return [];
  const words = read.lines.map(
    (l) => new Set(tokens(`${l.line.text} ${l.foods.map((f) => f.food?.name ?? '').join(' ')}`)),
  );
  return dislikes.filter((d) => {
    const wanted = tokens(d);
    return wanted.length > 0 && words.some((w) => wanted.every((t) => w.has(t)));
  });
}
