import { holds, lpOf, selectionOf, type Cut, type Model, type Selection } from './model';
import type { Solve } from './search';

/** How many of the gentlest choices of a line stay though another one is better, for plans that differ. */
const SPARE = 3;
const HAIR = 1e-12;

/**
 * A smaller programme with the same least: without the rows of the dish's size, and without choices that another one of
 * their line beats, no dearer and no worse in any row.
 *
 * @param spare how many of each line's gentlest choices stay all the same
 */
export function reduced(model: Model, spare: number): Model {
  const rows = model.rows.filter((r) => r.name !== 'size');
  const barred = new Set(model.barred);
  model.lines.forEach((l, i) => {
    const costs = model.costs[i] ?? [];
    const open = l.choices
      .map((_, k) => k)
      .filter((k) => !model.barred.has(`${i} ${k}`))
      .sort((a, b) => (costs[a] ?? 0) - (costs[b] ?? 0));
    const beats = (a: number, b: number) =>
      rows.every((r) => {
        const own = r.coefficients[i] ?? [];
        return (own[a] ?? 0) <= (own[b] ?? 0) + HAIR * r.scale;
      });
    const kept: number[] = [];
    open.forEach((k, at) => {
      // those before it are no dearer
      if (!kept.some((j) => beats(j, k))) kept.push(k);
      else if (at >= spare) barred.add(`${i} ${k}`);
    });
  });
  return { ...model, rows, barred };
}

/**
 * The least selection that holds every row, and differs from those that are not wanted; null where there is none.
 *
 * @param gap how far above the least it may lie
 * @param floor departure below which there is none, where that is known
 *
 * The smaller programme is solved first: its least is the least of all where it also keeps the dish's size.
 */
export function leastOf(
  model: Model,
  cuts: readonly Cut[],
  solve: Solve,
  { gap = 0, floor = 0 }: { readonly gap?: number; readonly floor?: number } = {},
): Selection | null {
  const light = solve(lpOf(reduced(model, cuts.length > 0 ? SPARE : 0), cuts, false, floor), gap);
  // what the smaller one cannot hold, the whole one cannot either, unless a cut stands in the way
  if (!light && cuts.length === 0) return null;
  const selection = light && selectionOf(model, light);
  if (selection && holds(model, selection)) return selection;
  const whole = solve(lpOf(model, cuts, false, floor), gap);
  return whole && selectionOf(model, whole);
}
