import fc from 'fast-check';
import { ratioBounds, shareBounds, sumBounds, type Corners } from './bounds';

/** Every choice of one corner a line: brute force, for a few lines with a few corners. */
function* choices(lines: readonly Corners[]): Generator<Float64Array[]> {
  const [first, ...others] = lines;
  if (!first) {
    yield [];
    return;
  }
  for (const corner of first) for (const rest of choices(others)) yield [corner, ...rest];
}
const sum = (vectors: Float64Array[], i: number) => vectors.reduce((s, v) => s + (v[i] as number), 0);

const amount = fc.double({ min: 0, max: 500, noNaN: true });
// component 0 is what is limited, component 1 the energy; some corners have no energy at all
const corner = fc
  .tuple(amount, fc.oneof(amount, fc.constant(0.5)))
  .map(([n, d]) => Float64Array.of(n, d + 0.5));
const line = fc.array(corner, { minLength: 1, maxLength: 4 });
const recipe = fc.array(line, { minLength: 1, maxLength: 5 });

describe('bounds over all readings', () => {
  test('sums equal enumeration', () => {
    fc.assert(
      fc.property(recipe, (lines) => {
        const all = [...choices(lines)].map((c) => sum(c, 0));
        const bounds = sumBounds(lines, 0);
        expect(bounds.low).toBeCloseTo(Math.min(...all), 6);
        expect(bounds.high).toBeCloseTo(Math.max(...all), 6);
      }),
    );
  });

  test('ratios equal enumeration: the extreme stands at corners (Dinkelbach 1967)', () => {
    fc.assert(
      fc.property(recipe, (lines) => {
        const all = [...choices(lines)].map((c) => sum(c, 0) / sum(c, 1));
        const bounds = ratioBounds(lines, 0, 1);
        expect(bounds?.low).toBeCloseTo(Math.min(...all), 6);
        expect(bounds?.high).toBeCloseTo(Math.max(...all), 6);
      }),
    );
  });

  test('no point between the corners of a line goes outside the ratio bounds', () => {
    fc.assert(
      fc.property(
        recipe,
        fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 25, maxLength: 25 }),
        (lines, weights) => {
          let w = 0;
          const mixed = lines.map((corners) => {
            const shares = corners.map(() => (weights[(w += 1) % 25] as number) + 1e-6);
            const whole = shares.reduce((a, b) => a + b, 0);
            return [0, 1].map((i) =>
              corners.reduce((s, c, k) => s + (c[i] as number) * ((shares[k] as number) / whole), 0),
            );
          });
          const ratio =
            mixed.reduce((s, m) => s + (m[0] as number), 0) / mixed.reduce((s, m) => s + (m[1] as number), 0);
          const bounds = ratioBounds(lines, 0, 1);
          expect(ratio).toBeGreaterThanOrEqual((bounds?.low ?? NaN) - 1e-9);
          expect(ratio).toBeLessThanOrEqual((bounds?.high ?? NaN) + 1e-9);
        },
      ),
    );
  });

  test('ratio bounds are tighter than dividing the ends', () => {
    // one line of 100–200 of the same food: its ratio does not move at all
    const lines = [[Float64Array.of(10, 100), Float64Array.of(20, 200)]];
    expect(ratioBounds(lines, 0, 1)).toEqual({ low: 0.1, best: 0.1, high: 0.1 });
  });

  test('what is not known stays unknown', () => {
    expect(ratioBounds([[Float64Array.of(NaN, 1)]], 0, 1)).toBeNull();
    expect(sumBounds([[Float64Array.of(NaN)]], 0).high).toBeNaN();
    expect(ratioBounds([[Float64Array.of(0, 0)]], 0, 1)).toBeNull();
    // salt alone: sodium without energy has no ratio
    expect(ratioBounds([[Float64Array.of(5, 0)]], 0, 1)).toBeNull();
  });

  test('shares of a line add up to the whole at the best reading', () => {
    fc.assert(
      fc.property(recipe, (lines) => {
        const energy = sumBounds(lines, 1);
        const shares = lines.map((l) => shareBounds(l, energy, 0, 1)?.best ?? 0);
        expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(ratioBounds(lines, 0, 1)?.best ?? NaN, 6);
      }),
    );
  });

  test('bounds of a share hold every choice', () => {
    fc.assert(
      fc.property(recipe, (lines) => {
        const bounds = shareBounds(lines[0] as Corners, sumBounds(lines, 1), 0, 1);
        for (const c of choices(lines)) {
          const share = ((c[0] as Float64Array)[0] as number) / sum(c, 1);
          expect(share).toBeGreaterThanOrEqual((bounds?.low ?? NaN) - 1e-9);
          expect(share).toBeLessThanOrEqual((bounds?.high ?? NaN) + 1e-9);
        }
      }),
    );
  });
});
