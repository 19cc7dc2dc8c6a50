import type { Stretch } from './source';

const LONE_BREAKS = /\s*\n\s*/g;

/** The recipe's text with other words for a step; a step stays one row. */
export const withStep = (text: string, step: Stretch, words: string): string =>
  text.slice(0, step.start) + words.trim().replace(LONE_BREAKS, ' ') + text.slice(step.end);

/** The recipe's text with two steps in each other's place; numbers and bullets before them stay where they are. */
export function withStepsSwapped(text: string, a: Stretch, b: Stretch): string {
  if (a.start === b.start) return text;
  const [first, second] = a.start < b.start ? [a, b] : [b, a];
  const words = (s: Stretch) => text.slice(s.start, s.end);
  return (
    text.slice(0, first.start) +
    words(second) +
    text.slice(first.end, second.start) +
    words(first) +
    text.slice(second.end)
  );
}

/** What is known of tasks by their ids ("d0.s2.1"), after two steps of a dish changed places. */
export function idsSwapped<T>(
  known: Readonly<Record<string, T>>,
  dish: number,
  a: number,
  b: number,
): Record<string, T> {
  const place = (id: string): string => {
    for (const [from, to] of [
      [a, b],
      [b, a],
    ]) {
      const start = `d${dish}.s${from}.`;
      if (id.startsWith(start)) return `d${dish}.s${to}.${id.slice(start.length)}`;
    }
    return id;
  };
  return Object.fromEntries(Object.entries(known).map(([id, value]) => [place(id), value]));
}
