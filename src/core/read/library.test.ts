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

describe('a box of leftovers', () => {
  const pot = kept('pot', 'Barley pot\nServes 4\n\n300 g pearl barley\n1 litre water\n\nMethod\nSimmer.');
  const box = kept(
    'box-1',
    'Barley pot\nServes 4\n\n300 g pearl barley\n1 litre water\n2 tsp salt\n\nMethod\nSimmer.',
    {
      potG: 1200,
      box: { name: 'barley pot', grams: 600 },
    },
  );
  const soup = (words: string) =>
    kept('soup', `Lock soup\nServes 2\n\n${words}\n200 g carrots\n\nMethod\nWarm it.`);
  const sodium = (words: string) => {
    const library = libraryOf([soup(words), pot, box], GROUND);
    const food = library.read(soup(words)).lines[0]?.foods[0];
    return { name: food?.food?.name, grams: food?.grams?.best, na: food?.food?.sodiumMg };
  };
  test.each(['600 g leftover barley pot', 'leftover barley pot 600 g', '1 box of leftover barley pot'])(
    '%s',
    (words) => {
      const read = sodium(words);
      expect(read).toMatchObject({ name: 'Leftover barley pot', grams: 600 });
      // 2 tsp of salt, 12 g, in 1200 g: 1 % of it, of which 38.8 % is sodium (atomic weights, table salt 98.5 %)
      expect(read.na).toBeCloseTo(388, -1);
    },
  );
  test('the dish itself is meant where nothing says leftover', () => {
    const read = sodium('600 g barley pot');
    expect(read.name).toBe('Barley pot');
    expect(read.na).toBeLessThan(10);
  });
  test('a dish made of a box carries it', () => {
    const dish = soup('1 box of leftover barley pot');
    const all = [dish, pot, box];
    expect(madeOf(dish, all, libraryOf(all, GROUND)).map((r) => r.id)).toEqual(['soup', 'box-1']);
  });
});
