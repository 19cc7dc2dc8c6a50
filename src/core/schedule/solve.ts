import { manyMachines, oneMachine, tooMuch, type Headed } from './bounds';
import { Network, NONE } from './network';
import { countOf, ovensFor, type Problem, type Schedule } from './problem';

/** Something that there is so much of, and the jobs that want it. */
interface Resource {
  readonly jobs: readonly number[];
  readonly count: number;
  /** Temperatures of the jobs, for an oven; null for all else. */
  readonly celsius: ReadonlyMap<number, number | null> | null;
}

function resourcesOf({ jobs, kitchen }: Problem): Resource[] {
  const out: Resource[] = [
    { jobs: jobs.flatMap((j, i) => (j.hands ? [i] : [])), count: kitchen.cooks, celsius: null },
  ];
  for (const tool of new Set(jobs.flatMap((j) => j.uses.map((u) => u.tool)))) {
    const using = jobs.flatMap((j, i) => (j.uses.some((u) => u.tool === tool) ? [i] : []));
    const celsius =
      tool === 'oven'
        ? new Map(using.map((i) => [i, jobs[i]?.uses.find((u) => u.tool === tool)?.celsius ?? null]))
        : null;
    out.push({ jobs: using, count: countOf(tool, kitchen), celsius });
  }
  return out;
}

/** True where these cannot all run at once. */
const tooMany = ({ count, celsius }: Resource, jobs: readonly number[]): boolean =>
  celsius ? ovensFor(jobs.map((i) => celsius.get(i) ?? null)) > count : jobs.length > count;

/** Jobs of one resource no two of which can run at once, however they are ordered: as many of the longest as there are. */
function inTurn(resource: Resource, minutes: (i: number) => number, network: Network): number[] {
  if (!resource.celsius) return resource.count === 1 ? [...resource.jobs] : [];
  const out: number[] = [];
  for (const i of [...resource.jobs].sort((a, b) => minutes(b) - minutes(a)))
    if (
      out.every(
        (k) => network.at(i, k) >= minutes(i) || network.at(k, i) >= minutes(k) || tooMany(resource, [i, k]),
      )
    )
      out.push(i);
  return out;
}

/** A set that is too much for a resource, no part of which is. */
function forbidden(resource: Resource, running: readonly number[]): number[] {
  let set = [...running];
  for (const job of running) {
    const without = set.filter((i) => i !== job);
    if (tooMany(resource, without)) set = without;
  }
  return set;
}

/** Minutes that food waits which does not keep, by when each job ends before the table. */
const idleAt = ({ jobs, follows }: Problem, at: readonly number[]): number =>
  follows.reduce(
    (sum, { from, to, most }) =>
      most === null ? sum : sum + (at[from] as number) - (at[to] as number) - (jobs[to]?.minutes ?? 0),
    0,
  ) + jobs.reduce((sum, job, i) => (job.holds === null ? sum : sum + (at[i] as number)), 0);

/**
 * Everything on the table at one time, begun as late as may be.
 *
 * Time runs backwards from the table, so that what is earliest there is latest here. A network holds what must follow
 * what and how long it may wait; where it lets too much run at once, one of those must come before another: each such
 * order is a branch (B. De Reyck and W. Herroelen, "A branch-and-bound procedure for the resource-constrained project
 * scheduling problem with generalized precedence relations", EJOR 111, 1998). Branches whose bound is no better than
 * what is known are left. The same search then goes on among the shortest for the one in which food waits least.
 */
class Search {
  private readonly jobs: Problem['jobs'];
  private readonly resources: readonly Resource[];
  private readonly table: number;
  private readonly start: number;
  private steps = 0;
  best: { readonly at: number[]; readonly minutes: number; readonly idle: number } | null = null;

  constructor(
    private readonly problem: Problem,
    private readonly most: number,
    /** No schedule is shorter: what reaches it need not be looked behind. */
    private readonly floor: number,
    private readonly phase: 'shortest' | 'freshest',
  ) {
    this.jobs = problem.jobs;
    this.resources = resourcesOf(problem).filter((r) => r.jobs.length > 1 || r.count === 0);
    this.table = problem.jobs.length;
    this.start = problem.jobs.length + 1;
  }

  private minutesOf(i: number): number {
    return this.jobs[i]?.minutes ?? 0;
  }

  get exhausted(): boolean {
    return this.steps >= this.most;
  }

  /** What must follow what, before anything else is decided; null where that contradicts itself. */
  static rootOf({ jobs, follows }: Problem): Network | null {
    const table = jobs.length;
    const start = jobs.length + 1;
    const network = new Network(jobs.length + 2);
    const minutes = (i: number) => jobs[i]?.minutes ?? 0;
    const ok = [
      ...jobs.map((job, i) => network.add(table, i, 0) && network.add(i, start, job.minutes)),
      ...follows.map(({ from, to, least }) => network.add(to, from, minutes(to) + least)),
      ...follows.map(({ from, to, most }) => most === null || network.add(from, to, -(minutes(to) + most))),
      ...jobs.map((job, i) => job.holds === null || network.add(i, table, -job.holds)),
      ...jobs.map(
        (job, i) =>
          job.pinned === undefined ||
          (network.add(table, i, job.pinned - job.minutes) &&
            network.add(i, table, job.minutes - job.pinned)),
      ),
    ];
    return ok.every(Boolean) ? network : null;
  }

  private headed(network: Network, i: number): Headed {
    const minutes = this.minutesOf(i);
    return {
      head: network.at(this.table, i),
      minutes,
      tail: network.at(i, this.start) - minutes,
    };
  }

  bound(network: Network): number {
    let bound = network.at(this.table, this.start);
    for (const resource of this.resources) {
      const turns = inTurn(resource, (i) => this.minutesOf(i), network);
      const own = (turns.length > 0 ? turns : resource.jobs).map((i) => this.headed(network, i));
      if (turns.length > 0) bound = Math.max(bound, oneMachine(own));
      else if (!resource.celsius) bound = Math.max(bound, manyMachines(own, resource.count));
    }
    return bound;
  }

  /** Least that food waits which does not keep, whatever is decided yet. */
  private idleOf(network: Network): number {
    let idle = 0;
    for (const { from, to, most } of this.problem.follows)
      if (most !== null) idle += Math.max(0, network.at(to, from) - this.minutesOf(to));
    this.jobs.forEach((job, i) => {
      if (job.holds !== null) idle += network.at(this.table, i);
    });
    return idle;
  }

  /** True where a branch may hold something better than what is known. */
  private promises(network: Network): boolean {
    if (!this.best) return true;
    const length = network.at(this.table, this.start);
    if (this.phase === 'shortest')
      return length < this.best.minutes && this.bound(network) < this.best.minutes && this.fits(network);
    return length <= this.best.minutes && this.idleOf(network) < this.best.idle;
  }

  /** True where what there are several of may hold all that wants it, in less than the best known time. */
  private fits(network: Network): boolean {
    const within = (this.best?.minutes ?? Infinity) - 1;
    return this.resources.every(
      ({ jobs, count, celsius }) =>
        celsius !== null ||
        count === 1 ||
        jobs.length <= count ||
        !tooMuch(
          jobs.map((i) => this.headed(network, i)),
          count,
          within,
        ),
    );
  }

  /** Orders that the network leaves no choice of: one after the other where there is one only. False where none is left. */
  private settle(network: Network): boolean {
    const latest = this.best ? this.best.minutes - (this.phase === 'shortest' ? 1 : 0) : Infinity;
    for (let changed = true; changed;) {
      changed = false;
      for (const resource of this.resources) {
        if (resource.count !== 1) continue;
        for (const i of resource.jobs)
          for (const j of resource.jobs) {
            if (i >= j || (resource.celsius && !tooMany(resource, [i, j]))) continue;
            const [pi, pj] = [this.minutesOf(i), this.minutesOf(j)];
            if (network.at(i, j) >= pi || network.at(j, i) >= pj) continue;
            const may = (a: number, b: number, pa: number) =>
              network.at(b, a) + pa <= 0 &&
              network.at(this.table, a) + pa + network.at(b, this.start) <= latest;
            const first = may(i, j, pi);
            const second = may(j, i, pj);
            if (first && second) continue;
            if (!first && !second) return false;
            if (!(first ? network.add(i, j, pi) : network.add(j, i, pj))) return false;
            changed = true;
          }
      }
    }
    return true;
  }

  /** The first moment at which too much runs at once. */
  private conflict(network: Network): number[] | null {
    let first = Infinity;
    let found: number[] | null = null;
    for (const resource of this.resources) {
      for (const i of resource.jobs) {
        const at = network.at(this.table, i);
        if (at >= first) continue;
        const running = resource.jobs.filter((k) => {
          const own = network.at(this.table, k);
          return own <= at && own + this.minutesOf(k) > at;
        });
        if (!tooMany(resource, running)) continue;
        first = at;
        found = forbidden(resource, running);
      }
    }
    return found;
  }

  private keep(network: Network): void {
    const at = this.jobs.map((_, i) => network.at(this.table, i));
    const minutes = network.at(this.table, this.start);
    const idle = idleAt(this.problem, at);
    const better =
      !this.best || minutes < this.best.minutes || (minutes === this.best.minutes && idle < this.best.idle);
    if (better) this.best = { at, minutes, idle };
  }

  private get done(): boolean {
    if (this.exhausted) return true;
    if (!this.best) return false;
    return this.phase === 'shortest' ? this.best.minutes <= this.floor : this.best.idle <= 0;
  }

  run(network: Network): void {
    this.steps += 1;
    if (this.done || !this.settle(network) || !this.promises(network)) return;
    const set = this.conflict(network);
    if (!set) {
      this.keep(network);
      return;
    }
    const branches: { readonly first: number; readonly second: number; readonly rank: number }[] = [];
    for (const first of set)
      for (const second of set) {
        if (first === second) continue;
        const next = network.copy();
        if (next.add(first, second, this.minutesOf(first)))
          branches.push({ first, second, rank: this.bound(next) * 1e4 + this.idleOf(next) });
      }
    branches.sort((x, y) => x.rank - y.rank);
    const left = network.copy();
    for (const { first, second } of branches) {
      if (this.done) return;
      const next = left.copy();
      if (next.add(first, second, this.minutesOf(first))) this.run(next);
      // what was looked at is not looked at again: in all other branches that order does not hold
      if (!left.add(second, first, 1 - this.minutesOf(first))) return;
    }
  }

  known(best: Search['best']): this {
    this.best = best;
    return this;
  }
}

/** Looks at so many places before it says how far from the best it may be. */
export const EFFORT = 12_000;

/**
 * The latest start from which everything is on the table at one time; null where nothing holds at all.
 *
 * @param effort places looked at, so that the same kitchen always gives the same plan
 */
export function solve(problem: Problem, effort = EFFORT): Schedule | null {
  const { jobs, kitchen } = problem;
  if (jobs.length === 0) return { before: [], minutes: 0, lowerBound: 0, optimal: true, idle: 0 };
  if (jobs.some((j) => (j.hands && kitchen.cooks < 1) || j.uses.some((u) => countOf(u.tool, kitchen) < 1)))
    return null;
  const root = Search.rootOf(problem);
  if (!root) return null;
  const first = new Search(problem, effort, NONE, 'shortest');
  const floor = first.bound(root);
  const shortest = new Search(problem, effort, floor, 'shortest');
  shortest.run(root.copy());
  if (!shortest.best) return null;
  const optimal = !shortest.exhausted || shortest.best.minutes <= floor;
  const freshest = new Search(problem, Math.ceil(effort / 2), floor, 'freshest').known(shortest.best);
  freshest.run(root.copy());
  const { at, minutes, idle } = freshest.best ?? shortest.best;
  return {
    before: at.map((t, i) => t + (jobs[i]?.minutes ?? 0)),
    minutes,
    lowerBound: optimal ? minutes : floor,
    optimal,
    idle,
  };
}
