import { US_MEASURES } from '@/core/measure/units';
import { protocolById, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { auditText } from '@/core/audit/text';
import { flavourBack, flavourOf } from './flavour';

const read = (lines: string, method = 'Simmer.') =>
  readRecipe(parseRecipe(`Pot\nServes 4\n\n${lines}\n\nMethod\n${method}`), {
    measures: US_MEASURES,
    corrections: {},
  });
const strict = protocolById('heart-strict') as Protocol;

test('acid, heat, aroma, umami and browning are told from amounts', () => {
  const plain = flavourOf(read('1 kg potatoes'));
  expect(plain).toMatchObject({ acid: 0, heat: 0, umami: 0, browned: false });
  const rich = flavourOf(
    read(
      '1 kg potatoes\n3 tbsp lemon juice\n1 tsp cayenne\n6 cloves garlic\n20 g dried mushrooms',
      'Roast until brown.',
    ),
  );
  expect(rich.acid).toBeGreaterThan(1);
  expect(rich.heat).toBeGreaterThan(1);
  expect(rich.aroma).toBeGreaterThan(1);
  expect(rich.umami).toBeGreaterThan(1);
  expect(rich.browned).toBe(true);
});

test('a dish that lost its salt and fat and has nothing else is likely bland, and why is said', () => {
  const report = flavourBack(
    read('1 kg potatoes\n2 tsp salt\n4 tbsp olive oil'),
    read('1 kg potatoes'),
    strict,
    'main',
  );
  expect(report.lost.join(' ')).toMatch(/sodium.*fat/);
  expect(report.bland).toBe(true);
  expect(report.because).toContain('acid');
});

test('what is put back keeps the dish within its limits', () => {
  const after = '1 kg potatoes\n200 g carrots';
  const { back } = flavourBack(read(`${after}\n2 tsp salt`), read(after), strict, 'main');
  expect(back.length).toBeGreaterThan(1);
  for (const b of back) {
    const fresh = auditText(`Pot\nServes 4\n\n${after}\n${b.measure} ${b.food.name}`, strict);
    if (!fresh.ok) throw new Error(fresh.message);
    expect([b.measure, b.food.id, fresh.audit.recipes[0]?.verdict]).toEqual([
      b.measure,
      b.food.id,
      expect.stringMatching(/within|near/),
    ]);
  }
});

test('nothing was taken: nothing is said', () => {
  const same = read('1 kg potatoes\n1 tbsp lemon juice');
  expect(flavourBack(same, same, strict, 'main')).toMatchObject({ lost: [], bland: false, back: [] });
});

test('what it costs is said in one sentence, with what to add at the end', () => {
  const { costs } = flavourBack(
    read('1 kg potatoes\n2 tsp salt\n4 tbsp olive oil'),
    read('1 kg potatoes'),
    strict,
    'main',
  );
  expect(costs).toMatch(
    /^It tastes less salty and less rich, and likely bland; .*lemon juice.* give.* back\.$/,
  );
  const same = read('1 kg potatoes');
  expect(flavourBack(same, same, strict, 'main').costs).toBe('It tastes much as it did.');
});

test('a sweet dish is given nothing savoury or hot back', () => {
  const bake = '300 g oats\n4 bananas\n200 g dates';
  const { back } = flavourBack(
    read(`${bake}\n100 g sugar\n100 ml sunflower oil`),
    read(bake),
    strict,
    'snack',
  );
  expect(back.every((b) => b.sense === 'acid' || b.sense === 'aroma')).toBe(true);
  expect(back.map((b) => b.food.id)).not.toContain('garlic');
});
