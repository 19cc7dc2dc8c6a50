import loadHighs from 'highs';
import { NO_CHANGE } from './choice';
import { costOf, holds, type Model, type Selection } from './model';
import { leastOf, reduced } from './reduce';
import type { Solve } from './search';
import { solverOf } from './solver';

let solve: Solve;
beforeAll(async () => {
  solve = solverOf(await loadHighs());
});

/** Numbers from a seed (the minimal standard generator of Park and Miller 1988), so that a failure can be seen again. */
function numbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 48271) % 2147483647;
    return state / 2147483647;
  };
}

/** A programme drawn at random: some lines, some choices, two limits, the size of the dish from both sides. */
function drawn(seed: number): Model {
  const next = numbers(seed);
  const lines = 2 + Math.floor(next() * 4);
  const counts = Array.from({ length: lines }, () => 2 + Math.floor(next() * 4));
  const table = (of: (k: number) => number) =>
    counts.map((n) => Array.from({ length: n }, (_, k) => Math.round(of(k) * 100) / 100));
  const fat = table((k) => (k === 0 ? next() * 10 : next() * 8 - 3));
  const salt = table((k) => (k === 0 ? next() * 6 : next() * 5 - 1));
  const grams = table(() => 20 + next() * 100);
  const whole = grams.reduce((s, g) => s + (g[0] ?? 0), 0);
  const row = (name: string, coefficients: number[][], most: number, hard = false) => ({
    name,
    coefficients,
    most,
    scale: Math.max(1, Math.abs(most)),
    hard,
  });
  const barred = new Set<string>();
  counts.forEach((n, i) => {
    if (next() < 0.2) barred.add(`${i} ${Math.floor(next() * (n - 1)) + 1}`);
  });
  return {
    lines: counts.map((n, index) => ({
      index,
      role: { id: 'any', label: '', evidence: '' },
      choices: Array<typeof NO_CHANGE>(n).fill(NO_CHANGE),
    })),
    costs: counts.map((n) =>
      Array.from({ length: n }, (_, k) => (k === 0 ? 0 : 1 + Math.round(next() * 20) / 100)),
    ),
    rows: [
      row('Fat share', fat, next() * 8 - 2),
      row('Sodium', salt, next() * 8),
      row('size', grams, whole * 1.4, true),
      row(
        'size',
        grams.map((g) => g.map((v) => -v)),
        -whole * 0.75,
        true,
      ),
    ],
    barred,
  };
}

function* selections(model: Model, at = 0): Generator<Selection> {
  if (at === model.lines.length) yield [];
  else
    for (let k = 0; k < (model.lines[at]?.choices.length ?? 0); k += 1)
      for (const rest of selections(model, at + 1)) yield [k, ...rest];
}

const exhaustive = (model: Model): number | null =>
  [...selections(model)].reduce<number | null>((best, s) => {
    const cost = costOf(model, s);
    return (best === null || cost < best) && holds(model, s) ? cost : best;
  }, null);

describe('the smaller programme', () => {
  const seeds = Array.from({ length: 120 }, (_, i) => i + 1);
  test.each(seeds)('has the least of the whole one (%i)', (seed) => {
    const model = drawn(seed);
    const least = exhaustive(model);
    const found = leastOf(model, [], solve);
    if (least === null) expect(found).toBeNull();
    else {
      expect(found).not.toBeNull();
      expect(holds(model, found as Selection)).toBe(true);
      expect(costOf(model, found as Selection)).toBeCloseTo(least, 6);
    }
  });
  test('both kinds are drawn: with and without a plan', () => {
    const none = seeds.filter((s) => exhaustive(drawn(s)) === null).length;
    expect(none).toBeGreaterThan(3);
    expect(none).toBeLessThan(100);
  });
  test('keeps the choices it is told to spare', () => {
    const open = (m: Model) =>
      m.lines.reduce((s, l, i) => s + l.choices.filter((_, k) => !m.barred.has(`${i} ${k}`)).length, 0);
    const model = drawn(7);
    expect(open(reduced(model, 0))).toBeLessThanOrEqual(open(reduced(model, 3)));
    expect(open(reduced(model, 99))).toBe(open(model));
  });
  test('a cut takes its selection away, and the next costs no less', () => {
    for (const seed of seeds.slice(0, 40)) {
      const model = drawn(seed);
      const first = leastOf(model, [], solve);
      if (!first || first.every((k) => k === 0)) continue;
      const second = leastOf(model, [{ selection: first, differ: 1 }], solve);
      if (!second) continue;
      expect(second).not.toEqual(first);
      expect(costOf(model, second)).toBeGreaterThanOrEqual(costOf(model, first) - 1e-6);
    }
  });
});
