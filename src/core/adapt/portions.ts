import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';

/** The same recipe, said to feed another number. */
export interface Portioned {
  readonly read: ReadRecipe;
  readonly from: string;
  readonly to: string;
  readonly name: string;
  readonly technique: string;
  readonly closeness: number;
  readonly departure: number;
}

/** Saying plainly how many it feeds is the gentlest of changes. */
const SETTLE = 0.97;
/** A smaller plate is less to eat: it counts as two changes and a half. */
const SMALLER = 2.5;
const LARGEST = 1.5;

const NUMBER =
  /\b(?:\d+(?:[.,]\d+)?|one|two|three|four|five|six|eight|ten|twelve)(?:\s*(?:-|–|—|to|or)\s*(?:perhaps |maybe )?(?:\d+|two|three|four|five|six|eight|ten|twelve))?\b/i;

/** The recipe's text saying that it feeds so many; null where its words do not let it. */
function feeding(read: ReadRecipe, plates: number, settings: ReadSettings): ReadRecipe | null {
  const { source, servings } = read.recipe;
  const rows = source.split('\n');
  const said = servings?.text.toLowerCase().slice(0, 12) ?? null;
  const edits: string[] = [];
  if (said) {
    const at = rows.findIndex((row) =>
      row.toLowerCase().replace(/[–—]/g, '-').includes(said.replace(/[–—]/g, '-')),
    );
    const row = rows[at];
    if (row === undefined) return null;
    edits.push(rows.with(at, row.replace(NUMBER, String(plates))).join('\n'));
    edits.push(rows.with(at, `Serves ${plates}`).join('\n'));
  } else {
    const title = rows.findIndex((row) => row.trim() !== '');
    edits.push([...rows.slice(0, title + 1), `Serves ${plates}`, ...rows.slice(title + 1)].join('\n'));
  }
  for (const text of edits) {
    const again = readRecipe(parseRecipe(text), settings);
    const { low, high } = again.servings.range;
    const same = again.lines.length === read.lines.length && again.recipe.title === read.recipe.title;
    if (same && low === plates && high === plates) return again;
  }
  return null;
}

/**
 * Other numbers that a recipe may be said to feed: where its words leave that open, the best and the most of them; and
 * half as many plates again, each smaller.
 */
export function portionsOf(read: ReadRecipe, settings: ReadSettings): Portioned[] {
  // the cook's own word, and a plate on the scales, stand
  if (settings.servings !== undefined || settings.plateG !== undefined) return [];
  const { low, best, high } = read.servings.range;
  const settled = low < high ? [...new Set([Math.round(best), Math.floor(high)])].filter((n) => n > low) : [];
  const most = Math.max(Math.round(high * LARGEST), Math.ceil(high) + 1);
  const from = read.servings.said ? read.servings.text : 'not said how many it feeds';
  return [...settled.map((n) => [n, false] as const), [most, true] as const].flatMap(([plates, smaller]) => {
    // of what nobody said, the most is no promise either
    if (!read.servings.said && (smaller || plates !== Math.round(best))) return [];
    const again = feeding(read, plates, settings);
    if (!again) return [];
    return [
      {
        read: again,
        from,
        to: `serves ${plates}`,
        name: smaller ? 'Smaller plates' : 'Say how many it feeds',
        technique: smaller
          ? `Divide it into ${plates} plates and serve more beside it: there is less of it for each.`
          : `Divide it into ${plates} plates.`,
        closeness: smaller ? 0.6 : SETTLE,
        departure: smaller ? SMALLER : 1 + 0.2 * (1 - SETTLE),
      },
    ];
  });
}
