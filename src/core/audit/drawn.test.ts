import fc from 'fast-check';
import { AT, FIELDS, scaled, summed, zeros, type Field } from '@/core/food/nutrients';
import { TABLE_LARDER } from '@/core/food/larder';
import { US_MEASURES } from '@/core/measure/units';
import { PROTOCOLS, type Limit, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe } from '@/core/read/types';
import { auditRecipe } from './audit';
import { limitFor } from './limits';
import { withRecipes } from './text';

/**
 * No false "within", held against readings that are drawn rather than enumerated: every food of a line takes grams of
 * its own from what its words allow, the plates are a number between the least and the most, a recipe in the recipe is
 * mixed from its own lines. Nothing of the corners or bounds is used for the truth.
 */
const POOL = [
  '1 cup each chickpeas, soy milk and spinach',
  '2 tbsp tahini and 1 tbsp maple syrup',
  '1 kg potatoes',
  '400 g firm tofu',
  'firm tofu',
  'soy sauce to taste',
  'salt to taste',
  '1 tbsp soy sauce per person',
  '2-3 tbsp miso',
  '1 cup brown rice',
  '½ tsp salt and ½ tsp sugar',
  '1 large avocado',
  '3 carrots and 2 onions',
  '150-250 g walnuts',
  '1 batch of herring weir dressing',
  '300 g herring weir dressing',
];
const INNER = `Herring weir dressing
Serves 4

Ingredients
1-3 tbsp tahini
1-4 tbsp soy sauce
1-3 tbsp miso
½ cup orange juice

Method
Whisk.`;

/** A place between the ends of a range, for a number drawn from 0 to 1. */
const between = ({ low, high }: { low: number; high: number }, at: number) => low + (high - low) * at;

const SODIUM: Limit = {
  id: 'drawn',
  label: 'drawn',
  of: 'sodiumMg',
  per: 'day',
  bound: 'most',
  unit: 'mg',
  limit: 2000,
  source: 'made up',
};

/** What a limit measures, from its definition. */
function measured(limit: Limit, dish: Float64Array, plates: number): number | null {
  let part = dish[AT[limit.of]] as number;
  for (const [f, share] of Object.entries(limit.minus ?? {}))
    part -= share * (dish[AT[f as Field]] as number);
  const energy = dish[AT.energyKcal] as number;
  if (limit.per === 'day' || limit.per === 'serving') return part / plates;
  // density hangs on the yields, which are tested by themselves
  if (limit.per === '100g' || energy <= 0) return null;
  return (part / energy) * { energy: 100, kcal: 1, '1000kcal': 1000 }[limit.per];
}

/** The whole dish with every food's grams drawn; null where a word may mean another food as well. */
function drawn(read: ReadRecipe, draws: readonly number[], inner: ReadRecipe): Float64Array | null {
  let k = 0;
  const next = () => draws[(k += 1) % draws.length] as number;
  const dish: Float64Array[] = [];
  for (const line of read.lines)
    for (const { food, grams } of line.foods) {
      if (!food || !grams) return null;
      const g = between(grams, next());
      if (!food.id.startsWith('recipe-')) {
        const own = scaled(food.perGram, g);
        // salt to taste is what each takes at the table
        if (line.toTaste && food.kindClass === 'salt') own[AT.tableSodiumMg] = own[AT.sodiumMg] as number;
        dish.push(own);
        continue;
      }
      const whole = summed(
        inner.lines.map((l) =>
          scaled(
            l.foods[0]?.food?.perGram ?? zeros(),
            between(l.foods[0]?.grams ?? { low: 0, high: 0 }, next()),
          ),
        ),
      );
      dish.push(scaled(whole, g / (whole[AT.weightG] as number)));
    }
  return summed(dish);
}

const limits: fc.Arbitrary<Limit[]> = fc.array(
  fc
    .record({
      of: fc.constantFrom<Field>('sodiumMg', 'addedSugarG', 'fibreG', 'nutG', 'potassiumMg'),
      per: fc.constantFrom<Limit['per']>('day', 'serving', '1000kcal'),
      bound: fc.constantFrom<Limit['bound']>('most', 'least'),
      limit: fc.double({ min: 0.5, max: 4000, noNaN: true }),
      minus: fc.constantFrom<Limit['minus']>(undefined, { fermentedSodiumMg: 0.5 }),
    })
    .map((l) => ({ ...SODIUM, ...l, minus: l.of === 'sodiumMg' ? l.minus : undefined })),
  { minLength: 1, maxLength: 4 },
);

test('no reading that is drawn from the words breaks a limit that is said to hold', () => {
  let checked = 0;
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...POOL), { minLength: 1, maxLength: 5 }),
      fc.tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 5 })),
      fc.constantFrom(...PROTOCOLS),
      limits,
      fc.array(fc.array(fc.constantFrom(0, 0, 0.37, 0.5, 1, 1), { minLength: 7, maxLength: 13 }), {
        minLength: 12,
        maxLength: 12,
      }),
      (lines, [few, more], protocol, extra, draws) => {
        const text = `Pot\nServes ${few}-${few + more}\n\nIngredients\n${lines.join('\n')}\n\nMethod\nMix and serve.`;
        const larder = withRecipes([text, INNER], TABLE_LARDER, US_MEASURES);
        const settings = { measures: US_MEASURES, corrections: {}, larder, id: '0' };
        const recipe = parseRecipe(text);
        const inner = readRecipe(parseRecipe(INNER), settings);
        const judged = { ...protocol, limits: [...protocol.limits, ...extra] };
        const audit = auditRecipe(readRecipe(recipe, settings), judged);
        draws.forEach((draw, d) => {
          const plates = few + (d % (more + 1));
          const dish = drawn(readRecipe(recipe, { ...settings, servings: plates }), draw, inner);
          if (!dish || dish.some((v, i) => Number.isNaN(v) && FIELDS[i] === 'energyKcal')) return;
          judged.limits.forEach((limit, i) => {
            const value = measured(limit, dish, plates);
            if (value === null || Number.isNaN(value)) return;
            checked += 1;
            const bound = limitFor(limit, audit.role);
            const slack = Math.abs(bound) * 1e-6 + 1e-6;
            const verdict = audit.limits[i]?.verdict;
            const broken = limit.bound === 'most' ? value > bound + slack : value < bound - slack;
            const kept = limit.bound === 'most' ? value < bound - slack : value > bound + slack;
            const says = `${limit.of} per ${limit.per}: ${value} against ${bound} is "${verdict}"`;
            if (broken && (verdict === 'within' || verdict === 'near')) throw new Error(says);
            if (kept && verdict === 'over') throw new Error(says);
          });
        });
      },
    ),
    { numRuns: 250 },
  );
  expect(checked).toBeGreaterThan(5000);
});

test.each([
  [
    'three foods of one line lie apart',
    '1500 g potatoes\n1 cup each chickpeas, soy milk and spinach',
    '1500 g potatoes\n1 cup chickpeas\n1 cup soy milk\n1 cup spinach',
  ],
])('%s as they do on lines of their own', (_, one, three) => {
  const value = (lines: string) =>
    auditRecipe(
      readRecipe(parseRecipe(`Pot\nServes 6\n\nIngredients\n${lines}\n\nMethod\nMix.`), {
        measures: US_MEASURES,
        corrections: {},
      }),
      PROTOCOLS[1] as Protocol,
    ).limits.find((l) => l.id === 'fat-share')?.value;
  expect(value(one)?.high).toBeCloseTo(value(three)?.high ?? 0, 6);
  expect(value(one)?.low).toBeCloseTo(value(three)?.low ?? 0, 6);
});
