import { exact, range } from '@/core/range/range';
import type { Task } from './task';

/** Minutes that deeds of a recipe took here before, by their task, one number each time it was cooked. */
export type OwnTimes = Readonly<Record<string, readonly number[]>>;

/** What each deed took in cookings of the same words. */
export function ownTimesOf(
  cookings: readonly { readonly text: string; readonly minutes: Readonly<Record<string, number>> }[],
  text: string,
): OwnTimes {
  const out: Record<string, number[]> = {};
  for (const c of cookings)
    if (c.text === text)
      for (const [task, minutes] of Object.entries(c.minutes))
        if (minutes > 0) (out[task] ??= []).push(minutes);
  return out;
}

/** Tasks with the cook's own minutes where she has timed them; what a recipe says outright stands. */
export const withOwnTimes = (tasks: readonly Task[], own: OwnTimes): Task[] =>
  tasks.map((task) => {
    const took = own[task.id];
    if (!took || took.length === 0 || task.said) return task;
    const sorted = [...took].sort((a, b) => a - b);
    const middle = sorted[Math.floor((sorted.length - 1) / 2)] as number;
    const minutes =
      sorted.length === 1 ? exact(middle) : range(sorted[0] as number, middle, sorted.at(-1) as number);
    return { ...task, minutes, own: true };
  });
