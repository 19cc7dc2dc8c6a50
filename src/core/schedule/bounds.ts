/** A job as a bound sees it: minutes before it can start, its own, and those that must follow it. */
export interface Headed {
  readonly head: number;
  readonly minutes: number;
  readonly tail: number;
}

/**
 * Least time in which one pair of hands does jobs that may be interrupted: no schedule without interruption is shorter
 * (J. R. Jackson's preemptive schedule; J. Carlier, "The one-machine sequencing problem", EJOR 11, 1982).
 */
export function oneMachine(jobs: readonly Headed[]): number {
  const waiting = [...jobs].sort((a, b) => a.head - b.head);
  const open: { left: number; tail: number }[] = [];
  let now = 0;
  let at = 0;
  let end = 0;
  while (at < waiting.length || open.length > 0) {
    if (open.length === 0) now = Math.max(now, waiting[at]?.head ?? now);
    while (at < waiting.length && (waiting[at] as Headed).head <= now) {
      const { minutes, tail } = waiting[at] as Headed;
      open.push({ left: minutes, tail });
      at += 1;
    }
    // what has most behind it goes first
    let next = 0;
    for (let k = 1; k < open.length; k += 1)
      if ((open[k] as { tail: number }).tail > (open[next] as { tail: number }).tail) next = k;
    const job = open[next] as { left: number; tail: number };
    const until = at < waiting.length ? (waiting[at] as Headed).head : Infinity;
    const run = Math.min(job.left, until - now);
    now += run;
    job.left -= run;
    if (job.left <= 0) {
      end = Math.max(end, now + job.tail);
      open.splice(next, 1);
    }
  }
  return end;
}

/** The same for several alike: all their work, the earliest heads before it and the shortest tails behind it. */
export function manyMachines(jobs: readonly Headed[], count: number): number {
  if (jobs.length < count) return 0;
  const least = (values: number[]) =>
    values
      .sort((a, b) => a - b)
      .slice(0, count)
      .reduce((s, v) => s + v, 0);
  const work = jobs.reduce((s, j) => s + j.minutes, 0);
  return Math.ceil((least(jobs.map((j) => j.head)) + work + least(jobs.map((j) => j.tail))) / count - 1e-9);
}

/**
 * True where jobs cannot all be done by so many hands within a time: in some stretch of it more of them must run than
 * there are hands for (J. Erschler and P. Lopez, "Energy-based approach for task scheduling under time and resources
 * constraints", 1990).
 */
export function tooMuch(jobs: readonly Headed[], count: number, within: number): boolean {
  const ends = jobs.map((j) => within - j.tail);
  for (const from of jobs) {
    for (const to of ends) {
      const length = to - from.head;
      if (length <= 0) continue;
      let work = 0;
      for (let k = 0; k < jobs.length; k += 1) {
        const { head, minutes } = jobs[k] as Headed;
        // what of it falls into the stretch, however early or late it runs
        const early = head + minutes - from.head;
        const late = to - ((ends[k] as number) - minutes);
        const least = Math.min(minutes, early, late, length);
        if (least > 0) work += least;
      }
      if (work > count * length) return true;
    }
  }
  return false;
}
