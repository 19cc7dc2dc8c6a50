import { markerLength } from '@/core/recipe/clean';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { applySwap } from '@/core/swap/apply';
import type { Change } from './schema';
import { departureOf, type Selection } from './model';
import type { Choice, LineChoices } from './choice';

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

/** The heading of what is eaten with a dish and is no part of it. */
const BESIDE = 'Beside it';

/** A step about what is left, or another day. */
const AFTERWARDS =
  /^\s*(?:leftovers?|freez|keeps?\b|stor(?:e|age|ing)\b|notes?\b|tips?\b|next day|make ahead)/i;

/**
 * A line and a sentence that are new: behind the list and at the end of the method.
 *
 * @param heading what the line stands under, where it is no part of the dish
 */
export function withAddition(
  read: ReadRecipe,
  line: string,
  step: string | null,
  heading: string | null = null,
): string {
  const { source } = read.recipe;
  const last = read.lines.filter((l) => l.origin === 'ingredients').at(-1);
  // a recipe told in prose says there how much of it
  const said = last || step === null ? step : `Serve with ${line}.`;
  const cooked = read.recipe.steps.findLast((s) => !AFTERWARDS.test(s.text)) ?? read.recipe.steps.at(-1);
  const end = cooked?.end;
  let text = source;
  // from the end to the start, so that positions stay true
  if (said !== null && end !== undefined && end > (last?.line.end ?? 0)) {
    const stop = /[.!?]\s*$/.test(text.slice(0, end)) ? ' ' : '. ';
    text = `${text.slice(0, end)}${stop}${said}${text.slice(end)}`;
  }
  if (!last) return text;
  const rowStart = text.lastIndexOf('\n', last.line.start - 1) + 1;
  const rowEnd = text.indexOf('\n', last.line.end);
  const at = rowEnd < 0 ? text.length : rowEnd;
  const row = text.slice(rowStart, at);
  const place = heading === null || last.line.section === heading ? '\n' : `\n\n${heading}:\n`;
  const behind = text.slice(at);
  // what follows is no part of what stands beside it
  const gap = heading !== null && /^\n[^\n]/.test(behind) ? '\n' : '';
  return `${text.slice(0, at)}${place}${row.slice(0, markerLength(row))}${line}${gap}${behind}`;
}

/** One change written into the text; null where it cannot be. */
function write(
  now: ReadRecipe,
  line: ReadLine | null,
  first: ReadRecipe,
  choice: Choice,
  settings: ReadSettings,
): { text: string; to: string } | null {
  const { written, swap } = choice;
  if (!swap) return null;
  if (!line) {
    if (!written) return null;
    return { text: withAddition(now, written.line, written.step, BESIDE), to: written.line };
  }
  const at = placeOf(line, first, now);
  const place = now.lines[at];
  if (!place) return null;
  if (written) {
    const { source } = now.recipe;
    return {
      text: source.slice(0, place.line.start) + written.line + source.slice(place.line.end),
      to: written.line,
    };
  }
  const swapped = applySwap(now, at, swap, settings);
  return (
    swapped && {
      text: swapped.text,
      to: swapped.lines.length > 0 ? swapped.lines.join('; ') : (swapped.put ?? swap.inMethod ?? ''),
    }
  );
}

/**
 * Writes a plan into the recipe's own text, change by change, each on a fresh reading: what is only named in the
 * method first, then ingredient lines from the last to the first, then what is eaten beside it.
 */
export function applyPlan(
  read: ReadRecipe,
  lines: readonly LineChoices[],
  selection: Selection,
  settings: ReadSettings,
): Applied {
  const chosen = lines.flatMap((l, i) => {
    const choice = l.choices[selection[i] ?? 0];
    return choice?.swap ? [{ line: read.lines[l.index] ?? null, of: l, choice, swap: choice.swap }] : [];
  });
  const order = (line: ReadLine | null) => (line === null ? 2 : line.origin === 'method' ? 0 : 1);
  const ordered = [...chosen].sort(
    (a, b) => order(a.line) - order(b.line) || (b.line?.line.start ?? 0) - (a.line?.line.start ?? 0),
  );
  let now = read;
  const changes: Change[] = [];
  for (const { line, of, choice, swap } of ordered) {
    const result = write(now, line, read, choice, settings);
    if (!result) continue;
    changes.push({
      line: of.index,
      from: line?.line.text ?? '',
      to: result.to,
      swap: swap.id,
      name: swap.name,
      role: of.role.label,
      share: choice.share,
      technique: swap.technique,
      cautions: [...swap.cautions],
      closeness: choice.closeness,
      keeps: swap.keeps ?? null,
      because: [swap.because, ...choice.leans].filter(Boolean).join('; '),
      departure: departureOf(choice.closeness, choice.identity),
    });
    now = readRecipe(parseRecipe(result.text), settings);
  }
  return { text: now.recipe.source, changes: changes.sort((a, b) => a.line - b.line) };
}
