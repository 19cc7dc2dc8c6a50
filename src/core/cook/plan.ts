import {
  SHARED_CELSIUS,
  type Follows,
  type Job,
  type KitchenTools,
  type Problem,
  type Schedule,
} from '@/core/schedule/problem';
import { solve } from '@/core/schedule/solve';
import { minutesOfDay } from './clock';
import { TASKS } from './knowledge';
import type { Task } from './task';

/** A task of one of several dishes. */
export interface DishTask {
  readonly id: string;
  readonly dish: number;
  readonly task: Task;
}

/** A task with its place in the day: minutes since midnight of the day of the table, negative on the day before. */
export interface Timed extends DishTask {
  readonly start: number;
  readonly end: number;
  /** What the oven is set to: between the dishes that share it. */
  readonly celsius: number | null;
  readonly cook: number | null;
}

export interface Planned {
  readonly timed: readonly Timed[];
  /** Minutes since midnight at which the first task of the day starts. */
  readonly start: number;
  readonly schedule: Pick<Schedule, 'minutes' | 'lowerBound' | 'optimal' | 'idle'>;
  readonly conflicts: readonly string[];
}

/** Whole minutes that a task is planned with. */
export const planned = (task: Task): number => Math.max(1, Math.round(task.minutes.best));

/** All tasks of some dishes, each known by its dish and its own name. */
export const dishTasks = (dishes: readonly (readonly Task[])[]): DishTask[] =>
  dishes.flatMap((tasks, dish) => tasks.map((task) => ({ id: `d${dish}.${task.id}`, dish, task })));

const idIn = (dish: number, id: string): string => `d${dish}.${id}`;

/** "Cook on low overnight": at night even where something is on. */
const AT_NIGHT = /\b(?:overnight|over night|night before|evening before)\b/i;

/**
 * What is begun the evening before: long waits that want nobody and no fire, and that something follows, and what must
 * be done before them. A dish that ends in a long wait ("chill overnight") is made in the morning.
 */
function aheadOf(all: readonly DishTask[]): ReadonlySet<string> {
  const byId = new Map(all.map((t) => [t.id, t]));
  const followed = new Set(all.flatMap((t) => t.task.after.map((a) => idIn(t.dish, a.id))));
  const out = new Set(
    all.flatMap(({ id, task }) =>
      task.attention === 'none' &&
      task.runsFrom === undefined &&
      planned(task) >= TASKS.ahead.minutes &&
      (task.uses.length === 0 || AT_NIGHT.test(task.text)) &&
      followed.has(id)
        ? [id]
        : [],
    ),
  );
  // a set hands on what joins it while it is walked
  for (const id of out) {
    const t = byId.get(id);
    for (const a of t?.task.after ?? []) out.add(idIn(t?.dish ?? 0, a.id));
  }
  return out;
}

/** How much longer food may wait each time that nothing holds. */
const STRETCH = [1, 2, 4, null] as const;

function problemOf(
  all: readonly DishTask[],
  kitchen: KitchenTools,
  stretch: number | null,
  table: number,
): Problem {
  const place = new Map(all.map((t, i) => [t.id, i]));
  const followed = new Set(all.flatMap((t) => t.task.after.map((a) => idIn(t.dish, a.id))));
  const longer = (minutes: number | null) =>
    minutes === null || stretch === null ? null : minutes * stretch + (stretch > 1 ? 5 : 0);
  const jobs = all.map(({ id, task }): Job => ({
    minutes: planned(task),
    hands: task.attention === 'hands',
    uses: task.uses.map((tool) => ({ tool, celsius: tool === 'oven' ? task.celsius : null })),
    holds: followed.has(id) ? null : longer(task.holds),
    pinned: task.runsFrom === undefined ? undefined : table - task.runsFrom,
  }));
  const follows = all.flatMap((t, to): Follows[] =>
    t.task.after.flatMap((a) => {
      const from = place.get(idIn(t.dish, a.id));
      return from === undefined ? [] : [{ from, to, least: a.least, most: longer(a.most) }];
    }),
  );
  return { jobs, follows, kitchen };
}

/** Hands that are free are given what they know: the dish they were at, so that nobody runs to and fro. */
function handsOf(
  all: readonly { readonly t: DishTask; readonly start: number; readonly end: number }[],
  cooks: number,
): Map<string, number> {
  const free = Array.from({ length: cooks }, () => -Infinity);
  const at = Array.from({ length: cooks }, () => -1);
  const out = new Map<string, number>();
  for (const { t, start, end } of [...all].sort((a, b) => a.start - b.start)) {
    if (t.task.attention !== 'hands') continue;
    const able = free.flatMap((until, c) => (until <= start ? [c] : []));
    const cook = able.find((c) => at[c] === t.dish) ?? able[0] ?? 0;
    free[cook] = end;
    at[cook] = t.dish;
    out.set(t.id, cook);
  }
  return out;
}

/** Dishes that are in the oven at once meet between their temperatures; says so. */
function shared(
  timed: readonly Timed[],
  titles: readonly string[],
): { readonly timed: Timed[]; readonly says: string[] } {
  const ovens = timed.filter((t) => t.celsius !== null);
  const says: string[] = [];
  const set = new Map<string, number>();
  for (const a of ovens)
    for (const b of ovens) {
      if (a.id >= b.id || a.celsius === null || b.celsius === null || a.celsius === b.celsius) continue;
      const together =
        a.start < b.end && b.start < a.end && Math.abs(a.celsius - b.celsius) <= SHARED_CELSIUS;
      if (!together) continue;
      const between = Math.round((a.celsius + b.celsius) / 2);
      set.set(a.id, between);
      set.set(b.id, between);
      if (a.task.action !== 'preheat' && b.task.action !== 'preheat')
        says.push(
          `“${titles[a.dish] ?? ''}” wants ${Math.round(a.celsius)} °C and “${titles[b.dish] ?? ''}” ${Math.round(b.celsius)} °C: they share the oven at ${between} °C, look at both a few minutes early.`,
        );
    }
  return { timed: timed.map((t) => ({ ...t, celsius: set.get(t.id) ?? t.celsius })), says };
}

/** Far temperatures that take turns in too few ovens. */
function turns(timed: readonly Timed[], titles: readonly string[], ovens: number): string[] {
  const hot = timed.filter(
    (t) => t.task.uses.includes('oven') && t.celsius !== null && t.task.action !== 'preheat',
  );
  const far = hot.flatMap((a) =>
    hot.flatMap((b) =>
      a.dish < b.dish && Math.abs((a.celsius ?? 0) - (b.celsius ?? 0)) > SHARED_CELSIUS
        ? [[a, b] as const]
        : [],
    ),
  );
  const [pair] = far;
  if (!pair || ovens > 1) return [];
  const [a, b] = pair;
  return [
    `“${titles[a.dish] ?? ''}” wants ${Math.round(a.celsius ?? 0)} °C and “${titles[b.dish] ?? ''}” ${Math.round(b.celsius ?? 0)} °C: they take turns in the one oven.`,
  ];
}

const MISSING: Readonly<Record<string, string>> = { oven: 'an oven', burner: 'a burner' };

/**
 * Everything on the table at one time, planned backwards from it.
 *
 * What takes all night stands on the evening before. Where food would have to wait longer than it keeps, it does, and
 * that is said; where nothing holds at all, `timed` is null and the conflicts say why.
 *
 * @param table minutes since midnight
 */
export function plan(
  dishes: readonly (readonly Task[])[],
  titles: readonly string[],
  kitchen: KitchenTools,
  table: number,
): Planned | { readonly timed: null; readonly conflicts: readonly string[] } {
  const all = dishTasks(dishes);
  const early = aheadOf(all);
  const today = all.filter((t) => !early.has(t.id));
  const missing = [...new Set(all.flatMap((t) => t.task.uses))].filter(
    (tool) => (tool === 'oven' && kitchen.ovens < 1) || (tool === 'burner' && kitchen.burners < 1),
  );
  if (missing.length > 0 || kitchen.cooks < 1)
    return {
      timed: null,
      conflicts: [
        ...missing.map((tool) => `It cannot be cooked without ${MISSING[tool] ?? tool}.`),
        ...(kitchen.cooks < 1 ? ['Nobody is there to cook.'] : []),
      ],
    };
  const conflicts: string[] = [];
  const solved = attempt(today, kitchen, table);
  if (!solved)
    return { timed: null, conflicts: ['No order of things holds: something must wait for itself.'] };
  if (solved.stretch !== 1) conflicts.push(...waitsOf(today, solved.schedule, kitchen, titles, table));
  const first = table - solved.schedule.minutes;
  const evening = (minutesOfDay(TASKS.ahead.start) ?? 0) - 24 * 60;
  const before = all.filter((t) => early.has(t.id));
  // long waits end before the day's own tasks begin, and start in the evening, or earlier where they need to; a wait
  // that another one follows ("soak 6 hours, grind, ferment overnight") is over by then
  const leads = new Set(before.flatMap((t) => t.task.after.map((a) => idIn(t.dish, a.id))));
  const isLast = (t: DishTask) => planned(t.task) >= TASKS.ahead.minutes && !leads.has(t.id);
  const longest = Math.max(0, ...before.filter(isLast).map((t) => planned(t.task)));
  const until = Math.min(evening, first - longest);
  const earlier = before.filter((t) => !isLast(t));
  const ahead = earlier.length > 0 ? attempt(earlier, kitchen, table) : null;
  const at = new Map<string, readonly [number, number]>();
  today.forEach((t, i) => {
    const start = table - (solved.schedule.before[i] ?? 0);
    at.set(t.id, [start, start + planned(t.task)]);
  });
  earlier.forEach((t, i) => {
    const start = until - (ahead?.schedule.before[i] ?? 0);
    at.set(t.id, [start, start + planned(t.task)]);
  });
  for (const t of before.filter(isLast)) at.set(t.id, [until, until + planned(t.task)]);
  const placed = all.map((t) => {
    const [start, end] = at.get(t.id) ?? [first, first];
    return { t, start, end };
  });
  const hands = handsOf(placed, kitchen.cooks);
  const { timed, says } = shared(
    placed.map(({ t, start, end }) => ({
      ...t,
      start,
      end,
      celsius: t.task.celsius,
      cook: hands.get(t.id) ?? null,
    })),
    titles,
  );
  conflicts.push(...says, ...turns(timed, titles, kitchen.ovens));
  return {
    timed: [...timed].sort((a, b) => a.start - b.start || a.end - b.end),
    start: first,
    schedule: solved.schedule,
    conflicts: [...new Set(conflicts)],
  };
}

/** What waits longer than it keeps, in words. */
function waitsOf(
  all: readonly DishTask[],
  { before }: Schedule,
  kitchen: KitchenTools,
  titles: readonly string[],
  table: number,
): string[] {
  const { jobs, follows } = problemOf(all, kitchen, 1, table);
  const end = (i: number) => (before[i] ?? 0) - (jobs[i]?.minutes ?? 0);
  const says = (i: number, minutes: number, keeps: number) =>
    `“${all[i]?.task.text ?? ''}” (${titles[all[i]?.dish ?? 0] ?? ''}) waits ${minutes} min, longer than the ${keeps} it keeps: cover it and warm it again, or ask for more hands or another oven.`;
  return [
    ...follows.flatMap(({ from, to, most }) => {
      const wait = end(from) - (before[to] ?? 0);
      return most !== null && wait > most ? [says(from, wait, most)] : [];
    }),
    ...jobs.flatMap((job, i) =>
      job.holds !== null && end(i) > job.holds ? [says(i, end(i), job.holds)] : [],
    ),
  ];
}

function attempt(
  all: readonly DishTask[],
  kitchen: KitchenTools,
  table: number,
): { readonly schedule: Schedule; readonly stretch: number | null } | null {
  for (const stretch of STRETCH) {
    const schedule = solve(problemOf(all, kitchen, stretch, table));
    if (schedule) return { schedule, stretch };
  }
  return null;
}
