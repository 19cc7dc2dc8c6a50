import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { ownTimesOf, withOwnTimes } from './own-times';
import { FULL, potMl, timesFor } from './size';
import { tasksOf } from './tasks';
import { simulatedScale } from '@/kitchen/scale';

const settings = { measures: US_MEASURES, corrections: {} };
const TEXT =
  'Sluice soup\nServes 4\n\nIngredients\n600 g butternut squash, peeled and cubed\n1 litre water\n200 g red lentils\n\nMethod\nSoften the squash. Add the rest and simmer for 20 minutes.';
const soup = readRecipe(parseRecipe(TEXT), settings);

test('for so many plates, for the pot there is, by what there is of a food', () => {
  expect(timesFor(soup, { by: 'plates', plates: 6 })).toBe(1.5);
  const ml = potMl(soup) ?? NaN;
  expect(ml).toBeGreaterThan(1600);
  expect(timesFor(soup, { by: 'pot', litres: 5 })).toBeCloseTo((5000 * FULL) / ml, 9);
  // "I have 900 g squash", where the recipe wants 600
  expect(timesFor(soup, { by: 'food', line: 0, grams: 900 })).toBeCloseTo(1.5, 1);
  expect(timesFor(soup, { by: 'food', line: 7, grams: 900 })).toBeNull();
});

test('what the cook timed herself is planned with; what the recipe says stands', () => {
  const tasks = tasksOf(soup, settings);
  const soften = tasks.find((t) => /Soften/.test(t.text));
  const simmer = tasks.find((t) => /simmer/i.test(t.text) && t.said);
  const own = ownTimesOf(
    [
      { text: TEXT, minutes: { [soften?.id ?? '']: 9, [simmer?.id ?? '']: 45 } },
      { text: TEXT, minutes: { [soften?.id ?? '']: 7 } },
      { text: 'another text', minutes: { [soften?.id ?? '']: 99 } },
    ],
    TEXT,
  );
  const timed = withOwnTimes(tasks, own);
  expect(timed.find((t) => t.id === soften?.id)?.minutes).toEqual({ low: 7, best: 7, high: 9 });
  expect(timed.find((t) => t.id === simmer?.id)?.minutes.best).toBe(20);
});

test('the simulated scale: tare, a bottle before and after, nobody is told when nothing listens', () => {
  const scale = simulatedScale();
  let told = 0;
  const stop = scale.subscribe(() => {
    told += 1;
  });
  scale.put(412.4);
  expect(scale.grams()).toBe(412);
  const before = scale.grams();
  scale.put(403);
  expect(before - scale.grams()).toBe(9);
  scale.tare();
  expect(scale.grams()).toBe(0);
  scale.put(653);
  expect(scale.grams()).toBe(250);
  stop();
  scale.put(0);
  expect(told).toBe(4);
  scale.put(1e9);
  expect(scale.grams()).toBeLessThanOrEqual(10_000);
});
