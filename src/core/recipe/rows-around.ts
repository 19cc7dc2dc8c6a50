import { headingOf } from './heading';
import { startsWithAmount, startsWithMeasure } from './score';
import { stretchOf, type MarkedStretch, type Raw } from './source';

/** The place of the next row with words; how many rows there are where none follows. */
export function nextFilledAt(raws: readonly Raw[], from: number): number {
  let at = from + 1;
  while (at < raws.length && !raws[at]?.text.trim()) at += 1;
  return at;
}

export function nextFilled(raws: readonly Raw[], from: number): Raw | null {
  return raws[nextFilledAt(raws, from)] ?? null;
}

/** A row whose next is set in: it heads what hangs under it. */
export function indentsNext(raws: readonly Raw[], index: number): boolean {
  const own = raws[index]?.text ?? '';
  const next = raws[index + 1]?.text ?? '';
  const gap = (text: string) => /^[ \t]*/.exec(text)?.[0].length ?? 0;
  return next.trim() !== '' && gap(next) > gap(own);
}

/** "Sauce" above "- 2 tbsp soy sauce", where the rows before it have no bullets. */
export function headsBullets(raws: readonly Raw[], stretch: MarkedStretch, index: number): boolean {
  const [before, next] = [raws[index - 1], raws[index + 1]];
  if (!before?.text.trim() || !next?.text.trim()) return false;
  const below = stretchOf(next);
  // "+ 1 tbsp flax" below "cinnamon" is one more
  const bulleted =
    below.marked && !below.numbered && startsWithMeasure(below.text) && !/^\s*\+/.test(next.text);
  return !stretch.marked && !stretchOf(before).marked && bulleted;
}

/** True where the row behind opens with an amount, or heads one that does. */
export function listGoesOn(raws: readonly Raw[], index: number): boolean {
  const at = nextFilledAt(raws, index);
  const next = raws[at] ?? null;
  const behind = next && headingOf(next.text) ? nextFilled(raws, at) : next;
  return behind !== null && (startsWithAmount(behind.text) || startsWithMeasure(behind.text));
}
