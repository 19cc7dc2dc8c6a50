import { auditRecipe } from '@/core/audit/audit';
import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { exact } from '@/core/range/range';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { partsOfDish, plateOf } from './plate';

const heart = protocolById('heart-strict') as Protocol;
const read = readRecipe(
  parseRecipe(
    'Lock peppers\nServes 4\n\nFor the peppers:\n8 red peppers\n2 cups cooked brown rice\n\nFor the sauce:\n200 g cashews\n2 tbsp miso\n\nMethod\nFill and bake.',
  ),
  { measures: US_MEASURES, corrections: {} },
);
const parts = partsOfDish(read);

test('equal shares of every part are a serving', () => {
  const plate = plateOf(read, new Map(parts.map((p) => [p, exact(1 / 4)])), heart, 'main');
  const audit = auditRecipe(read, heart, { role: 'main' });
  expect(plate.limits.map((l) => l.value)).toEqual(audit.limits.map((l) => l.value));
  expect(plate.verdict).toBe(audit.verdict);
});

test('an eighth of the sauce is half as rich as a quarter of it; none of it has no nuts', () => {
  const [peppers, sauce] = parts as [string, string];
  const nuts = (share: number) =>
    plateOf(
      read,
      new Map([
        [peppers, exact(1 / 4)],
        [sauce, exact(share)],
      ]),
      heart,
      'main',
    ).limits.find((l) => l.id === 'nuts')?.value?.best ?? NaN;
  expect(nuts(1 / 8)).toBeCloseTo(nuts(1 / 4) / 2, 9);
  expect(nuts(0)).toBe(0);
});

test('a share that is loose widens the plate', () => {
  const [peppers, sauce] = parts as [string, string];
  const plate = plateOf(
    read,
    new Map([
      [peppers, exact(1 / 4)],
      [sauce, { low: 1 / 16, best: 1 / 8, high: 1 / 4 }],
    ]),
    heart,
    'main',
  );
  const fat = plate.limits.find((l) => l.id === 'fat-share')?.value;
  expect((fat?.high ?? 0) - (fat?.low ?? 0)).toBeGreaterThan(5);
});
