import fc from 'fast-check';
import { AT, FIELDS, type Field } from '@/core/food/nutrients';
import { US_MEASURES } from '@/core/measure/units';
import { PROTOCOLS, settled, SWITCHES, type Limit, type Protocol } from '@/core/protocol';
import type { Corners } from '@/core/range/bounds';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { auditRecipe } from './audit';
import { limitFor } from './limits';

/**
 * No false "within": every limit of every protocol, its switches turned at random, and limits of every kind
 * made up at random, against enumeration of all readings of random dishes.
 */
const POOL = [
  '2 tbsp olive oil',
  '1 tbsp olive oil (optional)',
  '1-2 tsp salt',
  'salt to taste',
  '1 cup vegetable stock',
  '1 can chickpeas',
  '½ cup walnuts or raisins',
  '2 large potatoes',
  '500 g potatoes',
  '1 cup brown rice',
  '1 cup chickpeas',
  '3 carrots',
  '1 avocado',
  '2 tbsp maple syrup',
  'a drizzle of tahini',
  '1 tbsp soy sauce',
  '1 cup soy milk',
  '2 cups spinach',
  '1 jar passata',
  '2 tbsp ground flaxseed',
  '1 cup flour',
  '4-6 dates',
  '1 kg tomatoes',
  '200 g tofu',
  '1 cup red lentils',
];

const STEPS = [
  '',
  'Simmer everything for 20 minutes.',
  'Roast the vegetables in a hot oven.',
  'Boil until soft, then drain.',
  'Mix and serve.',
];

/** All choices of one corner a line. */
function* choices(lines: readonly Corners[]): Generator<Float64Array[]> {
  const [first, ...rest] = lines;
  if (!first) yield [];
  else for (const c of first) for (const r of choices(rest)) yield [c, ...r];
}

const KCAL_FIELDS = FIELDS.filter((f) => f.endsWith('Kcal') && f !== 'energyKcal');
const PLAIN: readonly Field[] = [
  'sodiumMg',
  'fatG',
  'fibreG',
  'addedSugarG',
  'nutG',
  'soyG',
  'nova4G',
  'flourG',
];

/** A limit of any kind, its number somewhere among what dishes reach. */
const anyLimit: fc.Arbitrary<Limit> = fc
  .record({
    per: fc.constantFrom<Limit['per']>('energy', 'kcal', '1000kcal', '100g', 'day', 'serving'),
    kcal: fc.constantFrom(...KCAL_FIELDS),
    plain: fc.constantFrom(...PLAIN),
    bound: fc.constantFrom<Limit['bound']>('most', 'least'),
    size: fc.double({ min: 0.01, max: 2, noNaN: true }),
    minus: fc.option(fc.constantFrom<Field>('fermentedSodiumMg', 'tableSodiumMg', 'avocadoG')),
  })
  .map(({ per, kcal, plain, bound, size, minus }) => {
    const scale = { energy: 30, kcal: 1, '1000kcal': 400, '100g': 100, day: 900, serving: 300 }[per];
    const of = per === 'energy' ? kcal : plain;
    return {
      id: 'any',
      label: 'any',
      of,
      per,
      bound,
      unit: 'x',
      limit: size * scale,
      source: 'made up',
      ...(minus && minus !== of ? { minus: { [minus]: 0.5 } } : {}),
    };
  });

const anyProtocol: fc.Arbitrary<Protocol> = fc
  .tuple(
    fc.constantFrom(...PROTOCOLS),
    fc.constantFrom(...Object.keys(SWITCHES)),
    fc.nat({ max: 9 }),
    fc.array(anyLimit, { minLength: 1, maxLength: 3 }),
  )
  .map(([protocol, id, at, limits]) => {
    const options = SWITCHES[id]?.options ?? [];
    const turned = settled({
      ...protocol.source,
      switches: { ...protocol.source.switches, [id]: options[at % options.length]?.id ?? '' },
    });
    if (!turned) throw new Error(`${protocol.id} with ${id} cannot be settled`);
    return { ...turned, limits: [...turned.limits, ...limits] };
  });

/** A limit's value for one choice of corners and yields, from its definition. */
function valueOf(
  limit: Limit,
  choice: readonly Float64Array[],
  eaten: number,
  servings: number,
): number | null {
  const sum = (f: Field) => choice.reduce((s, c) => s + (c[AT[f]] as number), 0);
  let part = sum(limit.of);
  for (const [f, share] of Object.entries(limit.minus ?? {})) part -= share * sum(f as Field);
  const energy = sum('energyKcal');
  switch (limit.per) {
    case 'energy':
      return energy > 0 ? (100 * part) / energy : null;
    case 'kcal':
      return energy > 0 ? part / energy : null;
    case '1000kcal':
      return energy > 0 ? (1000 * part) / energy : null;
    case '100g':
      return eaten > 0 ? (100 * part) / eaten : null;
    default:
      return part / servings;
  }
}

test('holds for every limit of every protocol', () => {
  fc.assert(
    fc.property(
      fc.uniqueArray(fc.constantFrom(...POOL), { minLength: 1, maxLength: 4 }),
      fc.integer({ min: 1, max: 8 }),
      fc.constantFrom(...STEPS),
      fc.option(fc.integer({ min: 200, max: 3000 })),
      anyProtocol,
      (lines, servings, step, potG, protocol) => {
        const read = readRecipe(
          parseRecipe(`Pot\nServes ${servings}\n\nIngredients\n${lines.join('\n')}\n\nMethod\n${step}`),
          { measures: US_MEASURES, corrections: {}, potG: potG ?? undefined },
        );
        const a = auditRecipe(read, protocol);
        const corners = read.lines.map((l) => l.corners as Corners);
        let count = 0;
        for (const choice of choices(corners)) {
          if ((count += 1) > 8000) break;
          for (const end of ['low', 'best', 'high'] as const) {
            const eaten =
              potG ??
              choice.reduce(
                (s, c, i) => s + (c[AT.weightG] as number) * (read.yields[i]?.factor[end] ?? 1),
                0,
              );
            protocol.limits.forEach((limit, i) => {
              const bound = limitFor(limit, a.role);
              const value = valueOf(limit, choice, eaten, servings);
              // a dish of nothing has no share of energy
              if (value === null || Number.isNaN(value)) return;
              const slack = Math.abs(bound) * 1e-6 + 1e-6;
              const broken = limit.bound === 'most' ? value > bound + slack : value < bound - slack;
              const verdict = a.limits[i]?.verdict;
              if (broken && (verdict === 'within' || verdict === 'near'))
                throw new Error(
                  `${limit.id} ${limit.of} per ${limit.per}: ${value} against ${bound} is "${verdict}"`,
                );
              const kept = limit.bound === 'most' ? value < bound - slack : value > bound + slack;
              if (kept && verdict === 'over')
                throw new Error(
                  `${limit.id} ${limit.of} per ${limit.per}: ${value} against ${bound} is "over"`,
                );
            });
          }
        }
      },
    ),
    { numRuns: 150 },
  );
});
