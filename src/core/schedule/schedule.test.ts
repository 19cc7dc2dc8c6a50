import fc from 'fast-check';
import loadHighs from 'highs';
import { manyMachines, oneMachine } from './bounds';
import { broken, ovensFor, type Job, type Problem } from './problem';
import { solve } from './solve';

const job = (minutes: number, hands = true, more: Partial<Job> = {}): Job => ({
  minutes,
  hands,
  uses: [],
  holds: null,
  ...more,
});
const oven = (celsius: number | null) => [{ tool: 'oven', celsius }];
const one = (tool: string) => [{ tool, celsius: null }];
const KITCHEN = { cooks: 1, burners: 4, ovens: 1 };

describe('a kitchen that can be done in the head', () => {
  test('one pair of hands does one thing after another, two do both', () => {
    const jobs = [job(10), job(15)];
    expect(solve({ jobs, follows: [], kitchen: KITCHEN })?.minutes).toBe(25);
    expect(solve({ jobs, follows: [], kitchen: { ...KITCHEN, cooks: 2 } })?.minutes).toBe(15);
  });
  test('what stands alone runs beside the hands, and starts first', () => {
    // a roast of an hour, and half an hour of chopping that fills it
    const plan = solve({
      jobs: [job(60, false, { uses: oven(200) }), job(30)],
      follows: [],
      kitchen: KITCHEN,
    });
    expect(plan).toMatchObject({ minutes: 60, optimal: true });
    expect(plan?.before).toEqual([60, 30]);
  });
  test('two temperatures in one oven take turns, two near ones share it, two ovens hold both', () => {
    const at = (a: number, b: number, ovens: number) =>
      solve({
        jobs: [job(30, false, { uses: oven(a) }), job(30, false, { uses: oven(b) })],
        follows: [],
        kitchen: { ...KITCHEN, ovens },
      })?.minutes;
    expect(at(220, 160, 1)).toBe(60);
    expect(at(220, 210, 1)).toBe(30);
    expect(at(220, 160, 2)).toBe(30);
  });
  test('what may not wait is done next, not last', () => {
    // pasta is drained and dressed at once: the salad is made before it
    const plan = solve({
      jobs: [job(10, false, { uses: one('burner') }), job(2, true, { holds: 0 }), job(8)],
      follows: [{ from: 0, to: 1, least: 0, most: 0 }],
      kitchen: KITCHEN,
    });
    expect(plan?.before).toEqual([12, 2, 10]);
  });
  test('what cannot be cooked at all has no schedule', () => {
    expect(
      solve({ jobs: [job(5, false, { uses: oven(200) })], follows: [], kitchen: { ...KITCHEN, ovens: 0 } }),
    ).toBeNull();
    // both want the hands in the last minute
    expect(
      solve({
        jobs: [job(5, true, { holds: 0 }), job(5, true, { holds: 0 })],
        follows: [],
        kitchen: KITCHEN,
      }),
    ).toBeNull();
  });
  test.each([
    [[200, 205, 210], 2],
    [[200, 205], 1],
    [[200, null], 1],
    [[null, null, null], 2],
    [[160, 180, 220], 3],
    [[], 0],
  ])('tins at %j need %d ovens', (temperatures, ovens) => {
    expect(ovensFor(temperatures)).toBe(ovens);
  });
});

const anyJob: fc.Arbitrary<Job> = fc.record({
  minutes: fc.integer({ min: 1, max: 4 }),
  hands: fc.boolean(),
  uses: fc.constantFrom<Job['uses']>([], [], one('burner'), one('blender'), oven(200), oven(160), oven(190)),
  holds: fc.constantFrom<Job['holds']>(null, null, 2, 6),
});

/** Kitchens of so many jobs; what follows comes later in the list, so that nothing follows itself. */
const kitchens = (min: number, max: number): fc.Arbitrary<Problem> =>
  fc.array(anyJob, { minLength: min, maxLength: max }).chain((jobs) =>
    fc.record({
      jobs: fc.constant(jobs),
      follows: fc
        .array(
          fc.record({
            from: fc.nat({ max: jobs.length - 1 }),
            to: fc.nat({ max: jobs.length - 1 }),
            least: fc.constantFrom(0, 0, 1),
            most: fc.constantFrom<number | null>(null, null, 2, 5),
          }),
          { maxLength: jobs.length },
        )
        .map((all) =>
          all.filter((f) => f.from < f.to).map((f) => ({ ...f, least: Math.min(f.least, f.most ?? 1) })),
        ),
      kitchen: fc.record({
        cooks: fc.constantFrom(1, 1, 2),
        burners: fc.constantFrom(1, 2),
        ovens: fc.constantFrom(1, 1, 2),
      }),
    }),
  );

/** The shortest schedule by trying every start of every job; null where none fits the horizon. */
function enumerated(problem: Problem, horizon: number): number | null {
  const { jobs } = problem;
  let best: number | null = null;
  const before = jobs.map(() => 0);
  const place = (i: number, longest: number) => {
    if (best !== null && longest >= best) return;
    if (i === jobs.length) {
      if (broken(problem, before).length === 0) best = longest;
      return;
    }
    for (let b = jobs[i]?.minutes ?? 0; b <= horizon; b += 1) {
      before[i] = b;
      place(i + 1, Math.max(longest, b));
    }
  };
  place(0, 0);
  return best;
}

test('small kitchens: as short as the shortest of all schedules there are', () => {
  fc.assert(
    fc.property(kitchens(1, 4), (problem) => {
      const horizon = problem.jobs.reduce((s, j) => s + j.minutes, 0) + 2 * problem.follows.length;
      const truth = enumerated(problem, Math.min(horizon, 14));
      const plan = solve(problem);
      if (plan) {
        expect(broken(problem, plan.before)).toEqual([]);
        expect(plan.optimal).toBe(true);
        expect(plan.minutes).toBe(Math.max(...plan.before));
      }
      if (horizon <= 14) expect(plan?.minutes ?? null).toBe(truth);
      else if (truth !== null) expect(plan?.minutes).toBeLessThanOrEqual(truth);
    }),
    { numRuns: 250 },
  );
});

test('hundreds of kitchens: no order, capacity or wait is broken', () => {
  let found = 0;
  fc.assert(
    fc.property(kitchens(5, 24), (problem) => {
      const plan = solve(problem, 1500);
      if (!plan) return;
      found += 1;
      expect(broken(problem, plan.before)).toEqual([]);
      expect(plan.minutes).toBeGreaterThanOrEqual(plan.lowerBound);
    }),
    { numRuns: 400 },
  );
  expect(found).toBeGreaterThan(100);
});

/** The same kitchen as an integer programme over every minute, for HiGHS: written apart from the search. */
function timeIndexed({ jobs, follows, kitchen }: Problem, horizon: number): string {
  const x = (i: number, t: number) => `x${i}_${t}`;
  const starts = (i: number) =>
    Array.from({ length: horizon + 1 }, (_, t) => t).filter((t) => t >= (jobs[i]?.minutes ?? 0));
  const rows: string[] = [];
  const when = (i: number, sign: string) =>
    starts(i)
      .map((t) => `${sign} ${t} ${x(i, t)}`)
      .join(' ');
  jobs.forEach((j, i) => {
    rows.push(
      `${starts(i)
        .map((t) => `+ 1 ${x(i, t)}`)
        .join(' ')} = 1`,
    );
    rows.push(`+ 1 M ${when(i, '-')} >= 0`);
    if (j.holds !== null) rows.push(`${when(i, '+')} <= ${j.holds + j.minutes}`);
  });
  for (const { from, to, least, most } of follows) {
    const minutes = jobs[from]?.minutes ?? 0;
    rows.push(`${when(from, '+')} ${when(to, '-')} >= ${minutes + least}`);
    if (most !== null) rows.push(`${when(from, '+')} ${when(to, '-')} <= ${minutes + most}`);
  }
  const capacity = (using: number[], count: number) => {
    for (let t = 1; t <= horizon; t += 1) {
      // runs in the minute that begins t before the table
      const running = using.flatMap((i) =>
        starts(i)
          .filter((s) => s >= t && s - (jobs[i]?.minutes ?? 0) < t)
          .map((s) => `+ 1 ${x(i, s)}`),
      );
      if (running.length > count) rows.push(`${running.join(' ')} <= ${count}`);
    }
  };
  const using = (tool: string) => jobs.flatMap((j, i) => (j.uses.some((u) => u.tool === tool) ? [i] : []));
  capacity(
    jobs.flatMap((j, i) => (j.hands ? [i] : [])),
    kitchen.cooks,
  );
  capacity(using('burner'), kitchen.burners);
  capacity(using('blender'), 1);
  // one temperature in all its tins: two far ones never at once
  capacity(using('oven'), 1);
  return [
    'Minimize',
    ' obj: M',
    'Subject To',
    ...rows.map((r, k) => ` r${k}: ${r}`),
    'General',
    ' M',
    'Binary',
    ` ${jobs.flatMap((_, i) => starts(i).map((t) => x(i, t))).join(' ')}`,
    'End',
  ].join('\n');
}

test('middling kitchens: as short as HiGHS proves', async () => {
  const highs = await loadHighs();
  const sampled = fc.sample(
    fc
      .tuple(fc.array(anyJob, { minLength: 7, maxLength: 9 }), fc.infiniteStream(fc.nat({ max: 5 })))
      .map(([jobs, next]): Problem => {
        const draw = (n: number) => (next.next().value as number) % n;
        return {
          // far temperatures only, so that one tin at a time is the whole truth of the oven
          jobs: jobs.map((j, i) => ({
            ...j,
            uses: j.uses.map((u) => (u.tool === 'oven' ? { ...u, celsius: 100 + 30 * i } : u)),
          })),
          follows: jobs.flatMap((_, to) =>
            to > 1 && draw(3) > 0
              ? [{ from: draw(to), to, least: 0, most: [null, 3, 6][draw(3)] ?? null }]
              : [],
          ),
          kitchen: { cooks: 1 + draw(2), burners: 1 + draw(2), ovens: 1 },
        };
      }),
    { numRuns: 14, seed: 20261126 },
  );
  let compared = 0;
  for (const problem of sampled) {
    const plan = solve(problem);
    const horizon = problem.jobs.reduce((s, j) => s + j.minutes, 0) + 6;
    const answer = highs.solve(timeIndexed(problem, horizon), { time_limit: 20 });
    if (answer.Status === 'Time limit reached') continue;
    compared += 1;
    if (answer.Status === 'Infeasible') expect(plan === null || plan.minutes > horizon).toBe(true);
    else expect(plan?.minutes).toBe(Math.round(answer.ObjectiveValue));
  }
  expect(compared).toBeGreaterThan(8);
});

test('bounds hold: a worked example of one machine, and no schedule is shorter', () => {
  // Carlier 1982, the seven jobs of his example (recalled): heads, minutes, tails; Jackson's preemptive bound is 52,
  // the best schedule 53
  const carlier = [
    [10, 5, 7],
    [13, 6, 26],
    [11, 7, 24],
    [20, 4, 21],
    [30, 3, 8],
    [0, 6, 17],
    [30, 2, 0],
  ].map(([head = 0, minutes = 0, tail = 0]) => ({ head, minutes, tail }));
  expect(oneMachine(carlier)).toBeLessThanOrEqual(53);
  expect(oneMachine(carlier)).toBeGreaterThanOrEqual(49);
  expect(manyMachines(carlier, 2)).toBeLessThanOrEqual(oneMachine(carlier));
});

test('a supper of thirty things is proven the shortest', () => {
  // three dishes of ten things each: chopped, cooked, finished
  const jobs: Job[] = [];
  const follows: Problem['follows'][number][] = [];
  for (let d = 0; d < 3; d += 1) {
    const base = jobs.length;
    jobs.push(
      job(4 + d),
      job(3),
      job(5),
      job(8, false, { uses: one('burner') }),
      job(2, true, { uses: one('burner') }),
      job(20 + 5 * d, false, { uses: d === 1 ? oven(200) : one('burner') }),
      job(3, true, { uses: one('blender') }),
      job(6),
      job(12, false, { uses: one('burner') }),
      job(3, true, { holds: 10 }),
    );
    const chain = [0, 3, 4, 5, 6, 9].map((k) => base + k);
    chain
      .slice(1)
      .forEach((to, k) => follows.push({ from: chain[k] as number, to, least: 0, most: k > 0 ? 10 : null }));
    follows.push({ from: base + 1, to: base + 4, least: 0, most: null });
    follows.push({ from: base + 2, to: base + 8, least: 0, most: null });
    follows.push({ from: base + 7, to: base + 9, least: 0, most: null });
    follows.push({ from: base + 8, to: base + 9, least: 0, most: 15 });
  }
  for (const cooks of [1, 2, 3]) {
    const problem = { jobs, follows, kitchen: { cooks, burners: 4, ovens: 1 } };
    const plan = solve(problem);
    expect(plan && broken(problem, plan.before)).toEqual([]);
    expect(plan?.optimal).toBe(true);
  }
});
