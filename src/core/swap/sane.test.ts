import { foodById, FOODS, type Food } from '@/core/food/table';
import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { applySwap } from './apply';
import { SWAPS } from './roles';
import type { SwapRow } from './schema';

const settings = { measures: US_MEASURES, corrections: {} };
const read = (text: string) => readRecipe(parseRecipe(text), settings);
/** At most so many foods of a kind; every food that a swap names. */
const OF_A_KIND = 6;

const foodsOf = (swap: SwapRow): Food[] => [
  ...(swap.from.foods ?? []).flatMap((id) => foodById(id) ?? []),
  ...(swap.from.kinds ?? []).flatMap((kind) => FOODS.filter((f) => f.kind === kind).slice(0, OF_A_KIND)),
];

interface Written {
  readonly swap: SwapRow;
  readonly food: Food;
  readonly amount: string;
  readonly before: number;
  readonly after: number;
  readonly bringsGluten: boolean;
}

/** Every swap written for 100 g and for a cup of every food it names: grams before, and of all that comes. */
const written: Written[] = SWAPS.flatMap((swap) =>
  foodsOf(swap).flatMap((food) =>
    ['100 g', '1 cup'].flatMap((amount): Written[] => {
      const text = `Pot\nServes 4\n\nIngredients\n${amount} ${food.names[0] ?? food.name}\n\nMethod\nCook it.`;
      const recipe = read(text);
      const line = recipe.lines[0];
      if (line?.foods[0]?.food?.id !== food.id || !line.foods[0].grams) return [];
      const swapped = applySwap(recipe, 0, swap, settings);
      if (!swapped) return [];
      const lines = read(swapped.text).lines.filter((l) => l.origin === 'ingredients');
      return [
        {
          swap,
          food,
          amount,
          before: line.foods[0].grams.best,
          after: lines.flatMap((l) => l.foods).reduce((sum, f) => sum + (f.grams?.best ?? 0), 0),
          bringsGluten: lines.some((l) => l.foods.some((f) => f.food?.allergens.includes('gluten'))),
        },
      ];
    }),
  ),
);

/** What is strong, or what water goes into: much less or more of it by weight is right. */
const STRONG = new Set([
  'oil',
  'solid-fat',
  'animal-fat',
  'sugar',
  'syrup',
  'sweetener',
  'salt',
  'salty',
  'stock',
  'alcohol',
  'condiment',
  'spice-blend',
  'animal-sugar',
  'leavener',
  'chocolate',
  'flax-chia',
]);
const says = (w: Written) =>
  `${w.swap.id}: ${w.amount} ${w.food.name}, ${w.before.toFixed(0)} g to ${w.after.toFixed(0)} g`;

describe('swaps over every food they name', () => {
  test('were written', () => {
    expect(written.length).toBeGreaterThan(1200);
  });

  test('no ratio is absurd', () => {
    const absurd = written.filter(
      (w) =>
        w.swap.to.length > 0 &&
        !STRONG.has(w.food.kind) &&
        (w.after / w.before > 7.01 || w.after / w.before < 0.12),
    );
    expect(absurd.map(says)).toEqual([]);
  });

  test('nothing with gluten stands in for what is free of it by name', () => {
    const free = written.filter((w) => /gluten-free|\bGF\b/i.test(w.food.name) && w.bringsGluten);
    expect(free.map(says)).toEqual([]);
  });

  test('one swap says one thing of times and heat', () => {
    const contradictory = SWAPS.filter((s) => {
      const all = [s.technique, s.adds ?? '', ...(s.cautions ?? [])].join(' ');
      return /\blonger\b/i.test(all) && /\bearl(?:y|ier)\b/i.test(all);
    });
    expect(contradictory.map((s) => s.id)).toEqual([]);
  });
});
