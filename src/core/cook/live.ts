import { cook, type Dish, type Supper } from './cook';
import { clockAt, minutesOfDay } from './clock';
import { withOwnTimes, type OwnTimes } from './own-times';
import type { Cook } from './schema';
import type { Task } from './task';
import { tasksOf } from './tasks';
import { exact } from '@/core/range/range';

/** How a supper stands: what is done, what is under way since when, and what took longer than was planned. */
export interface Progress {
  /** Ids of tasks that are done. */
  readonly done: ReadonlySet<string>;
  /** Minutes of the day at which tasks were begun that are not done. */
  readonly begun: Readonly<Record<string, number>>;
  /** Minutes more than planned, by task. */
  readonly longer: Readonly<Record<string, number>>;
}

export const NOTHING_DONE: Progress = { done: new Set(), begun: {}, longer: {} };

/** A dish with what its deeds took here before. */
export interface TimedDish extends Dish {
  readonly own?: OwnTimes;
}

/** A supper planned anew from what is really done. */
export interface Live {
  readonly cook: Cook;
  /** Minutes by which it will be later than was wanted; 0 while it holds. */
  readonly late: number;
}

/** Minutes by which the table is put off where nothing holds, and how often that is tried. */
const STEP = 5;
const MOST_TRIES = 60;

/**
 * Plans what is left of a supper from now on: what is done is gone, what is under way has the rest of its time, what took
 * longer takes it. Where the table cannot be held, the soonest that can.
 *
 * @param now minutes of the day; null before anything is begun, where the plan is as it was made
 */
export function replan(
  dishes: readonly TimedDish[],
  supper: Supper,
  progress: Progress,
  now: number | null,
): Live {
  const table = minutesOfDay(supper.table) ?? 0;
  const tasks = dishes.map((d, dish) =>
    withOwnTimes(tasksOf(d.read, d.settings, d.times), d.own ?? {}).flatMap((task): Task[] => {
      const id = `d${dish}.${task.id}`;
      if (progress.done.has(id)) return [];
      const more = progress.longer[id] ?? 0;
      const begun = progress.begun[id];
      const best = Math.round(task.minutes.best) + more;
      const running = begun !== undefined && now !== null;
      const left = running ? Math.max(1, best - (now - begun)) : best;
      const minutes = left === Math.round(task.minutes.best) ? task.minutes : exact(left);
      return [
        {
          ...task,
          minutes,
          after: running ? [] : task.after.filter((a) => !progress.done.has(`d${dish}.${a.id}`)),
          // its burner and its hands are taken from now on, whatever else is planned
          runsFrom: running ? now : undefined,
        },
      ];
    }),
  );
  if (now === null) return { cook: cook(dishes, supper, tasks), late: 0 };
  let late = 0;
  for (let tries = 0; ; tries += 1) {
    const planned = cook(dishes, { ...supper, table: clockAt(table + late).clock }, tasks);
    const lacks =
      planned.tasks.length === 0
        ? tasks.flat().length === 0
          ? 0
          : STEP
        : now - (table + late - planned.minutes);
    if (lacks <= 0 || tries >= MOST_TRIES) return { cook: planned, late };
    late += lacks;
  }
}
