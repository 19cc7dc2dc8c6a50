import { US_MEASURES } from '@/core/measure/units';
import { readLine } from './line';

/**
 * Weights that are printed on tins and jars, with what is said of the liquid (common practice: the drained weight
 * stands beside the whole one on the label; Duyff, Mount & Jones 2011 for what draining takes).
 */
const gramsOf = (text: string) =>
  readLine({ text, start: 0, end: text.length, section: null }, { measures: US_MEASURES, corrections: {} }, 4)
    .foods[0]?.grams;

const TINS = ['tin', 'can'].flatMap((tin) =>
  ['chickpeas', 'black beans', 'kidney beans'].map((f) => [tin, f]),
);

describe.each(TINS)('a %s of %s', (tin, food) => {
  test.each([230, 235, 240, 250, 265])('%i g drained is all of it', (n) => {
    for (const said of [`(${n} g drained)`, `(drained weight ${n} g)`, `(${n}g drained weight)`]) {
      const one = gramsOf(`1 ${tin} ${food} ${said}`);
      expect([said, one?.low, one?.high]).toEqual([said, n, n]);
      const two = gramsOf(`2 ${tin}s ${food} ${said}`);
      expect([said, two?.low, two?.high]).toEqual([said, 2 * n, 2 * n]);
    }
  });
  test.each([400, 410, 425])('%i g is the whole tin, or may be', (n) => {
    const deed = gramsOf(`1 ${tin} ${food} (${n} g, drained)`);
    expect(deed?.high).toBeLessThan(n);
    // as a weight it is told of the tin as often as of what is left: both ends are kept
    const either = gramsOf(`1 ${tin} ${food} (${n} g drained)`);
    expect(either?.low).toBe(deed?.low);
    expect(either?.high).toBe(n);
  });
  test('of two weights the drained one counts', () => {
    const both = gramsOf(`1 ${tin} (400 g, 240 drained) ${food}`);
    expect([both?.low, both?.high]).toEqual([240, 240]);
  });
});

test('what a jar lies in is no part of its weight', () => {
  expect(gramsOf('1 jar roasted peppers (in brine, 340g drained)')).toMatchObject({ low: 340, high: 340 });
});
