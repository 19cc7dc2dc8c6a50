/** Something that a job occupies while it runs: a burner, the oven at a temperature, the blender. */
export interface Use {
  readonly tool: string;
  /** The temperature an oven must hold for it; null for other tools, and where the recipe says none. */
  readonly celsius: number | null;
}

/** One thing to do in a kitchen, in whole minutes. */
export interface Job {
  readonly minutes: number;
  /** True where it wants a cook's hands from its start to its end. */
  readonly hands: boolean;
  readonly uses: readonly Use[];
  /** Most minutes between its end and the table; null where it keeps. */
  readonly holds: number | null;
  /** Minutes before the table at which it starts, where that is no longer to choose: it is under way. */
  readonly pinned?: number | undefined;
}

/** A job that follows another one. */
export interface Follows {
  readonly from: number;
  readonly to: number;
  /** Least and most minutes between the end of the one and the start of the other; null where it keeps. */
  readonly least: number;
  readonly most: number | null;
}

/** What there is to cook with; of a tool that is not named there is one. */
export interface KitchenTools {
  readonly cooks: number;
  readonly burners: number;
  readonly ovens: number;
}

/** What is to be on the table at one time. */
export interface Problem {
  readonly jobs: readonly Job[];
  readonly follows: readonly Follows[];
  readonly kitchen: KitchenTools;
}

/** When everything starts, in minutes before the table (positive), with how good that is. */
export interface Schedule {
  /** Minutes from each job's start to the table. */
  readonly before: readonly number[];
  /** Minutes from the first start to the table. */
  readonly minutes: number;
  /** No schedule is shorter than this. */
  readonly lowerBound: number;
  readonly optimal: boolean;
  /** Minutes that food waits which does not keep, summed. */
  readonly idle: number;
}

/** Degrees within which dishes share an oven: it holds the middle of them (common practice). */
export const SHARED_CELSIUS = 15;
/** Tins that one oven holds at once. */
export const SHELVES = 2;

/** How many of a tool there are. */
export const countOf = (tool: string, { burners, ovens }: KitchenTools): number =>
  tool === 'burner' ? burners : tool === 'oven' ? ovens : 1;

/** Ovens that tins at these temperatures need at once; an unsaid temperature goes with any. */
export function ovensFor(temperatures: readonly (number | null)[]): number {
  const known = temperatures.filter((t) => t !== null).sort((a, b) => a - b);
  let ovens = 0;
  let shelves = 0;
  let lowest = -Infinity;
  for (const t of known) {
    if (ovens === 0 || t - lowest > SHARED_CELSIUS || shelves === SHELVES) {
      ovens += 1;
      shelves = 0;
      lowest = t;
    }
    shelves += 1;
  }
  const places = ovens * SHELVES - known.length;
  const loose = Math.max(0, temperatures.length - known.length - places);
  return ovens + Math.ceil(loose / SHELVES);
}

/** What a schedule breaks, in words; empty where it holds. Written apart from the search, so that one checks the other. */
export function broken({ jobs, follows, kitchen }: Problem, before: readonly number[]): string[] {
  const out: string[] = [];
  const start = (i: number) => -(before[i] ?? NaN);
  const end = (i: number) => start(i) + (jobs[i]?.minutes ?? NaN);
  jobs.forEach((job, i) => {
    if (!(end(i) <= 0)) out.push(`${i} ends after the table`);
    if (job.pinned !== undefined && before[i] !== job.pinned) out.push(`${i} is under way at another time`);
    if (job.holds !== null && !(end(i) >= -job.holds)) out.push(`${i} waits too long for the table`);
  });
  for (const { from, to, least, most } of follows) {
    const wait = start(to) - end(from);
    if (!(wait >= least)) out.push(`${to} begins before ${from} is done`);
    if (most !== null && !(wait <= most)) out.push(`${to} comes too long after ${from}`);
  }
  // what is occupied only rises where something starts
  jobs.forEach((_, i) => {
    const running = jobs.flatMap((job, k) => (start(k) <= start(i) && end(k) > start(i) ? [job] : []));
    if (running.filter((j) => j.hands).length > kitchen.cooks) out.push(`too few hands at ${start(i)}`);
    const tools = new Set(running.flatMap((j) => j.uses.map((u) => u.tool)));
    for (const tool of tools) {
      const uses = running.flatMap((j) => j.uses.filter((u) => u.tool === tool));
      const needed = tool === 'oven' ? ovensFor(uses.map((u) => u.celsius)) : uses.length;
      if (needed > countOf(tool, kitchen)) out.push(`too few of ${tool} at ${start(i)}`);
    }
  });
  return out;
}
