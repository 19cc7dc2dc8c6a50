import { TABLE_LARDER } from '@/core/food/larder';
import { US_MEASURES } from '@/core/measure/units';
import { keptText, libraryOf, madeOf, type KeptRecipe } from './library';

const kept = (id: string, text: string, said: Partial<KeptRecipe> = {}): KeptRecipe => ({
  ...keptText(id, text),
  ...said,
});
const GROUND = { measures: US_MEASURES, natural: false, larder: TABLE_LARDER };

const paste = kept('paste', 'Heron bank paste\nServes 4\n\n1 kg tomatoes\n2 tbsp miso\n\nMethod\nSimmer.', {
  potG: 500,
});
const sauce = kept(
  'sauce',
  'Heron bank sauce\nServes 4\n\n250 g Heron bank paste\n1 onion\n\nMethod\nSimmer.',
);
const bowl = kept('bowl', 'Lock bowl\nServes 2\n\n200 g Heron bank sauce\n400 g potatoes\n\nMethod\nServe.', {
  servings: 3,
  corrections: { '400 g potatoes': { grams: 450 } },
});
const other = kept('other', 'Plain rice\nServes 2\n\n1 cup brown rice\n\nMethod\nBoil.');
const ALL = [other, bowl, sauce, paste];

test('what the cook said of a recipe holds wherever it is read, as itself or as an ingredient', () => {
  const library = libraryOf(ALL, GROUND);
  const read = library.read(bowl);
  expect(read.servings.range.best).toBe(3);
  expect(read.lines[1]?.foods[0]?.grams?.best).toBe(450);
  // the paste weighs 500 g as weighed, so 250 g of it hold half of its salt
  const salt = library.read(paste).lines[1]?.corners?.[0]?.[9] as number;
  expect(library.read(sauce).lines[0]?.corners?.[0]?.[9]).toBeCloseTo(
    (salt + (library.read(paste).lines[0]?.corners?.[0]?.[9] as number)) / 2,
    6,
  );
});

test('a dish carries the recipes that it is made of, to any depth, and no others', () => {
  const library = libraryOf(ALL, GROUND);
  const needed = madeOf(bowl, ALL, library);
  expect(needed.map((r) => r.id)).toEqual(['bowl', 'sauce', 'paste']);
  const alone = libraryOf(needed, GROUND);
  expect(alone.read(bowl).lines.map((l) => l.corners)).toEqual(
    library.read(bowl).lines.map((l) => l.corners),
  );
});
