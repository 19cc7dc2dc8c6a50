import { z } from 'zod';

const three = z.tuple([z.number(), z.number(), z.number()]);

/** What a preparation does to a food: factors on its components, per gram that goes in. */
export const PreparationFile = z
  .object({
    rules: z.array(
      z
        .object({
          id: z.string(),
          kinds: z.array(z.string()).optional(),
          foods: z.array(z.string()).optional(),
          when: z.array(z.string()),
          says: z.string(),
          source: z.string(),
          /** Factor on sodium: low, best, high. */
          sodium: three.optional(),
          /** Factor on weight of what the package holds: low, best, high. */
          package: three.optional(),
        })
        .strict(),
    ),
  })
  .strict();
/** How much of what goes in is on the plates, `content/yields.yaml`. */
const said = z.object({ factor: three, says: z.string() }).strict();
export const TECHNIQUES = [
  'roast',
  'bake',
  'fry',
  'steam',
  'boil',
  'simmer',
  'reduce',
  'halve',
  'drain',
  'press',
] as const;
export type Technique = (typeof TECHNIQUES)[number];
const technique = z.enum(TECHNIQUES);
export const YieldFile = z
  .object({
    techniques: z.record(technique, z.string()),
    absorb: z.array(
      z
        .object({
          id: z.string(),
          foods: z.array(z.string()).min(1),
          factor: three,
          /** The cooked row whose water checks the best value. */
          cooked: z.string().optional(),
          /** Minutes where it is cooked from dry at home. */
          home: z
            .object({ soak: three.nullable(), simmer: three, hands: z.number().positive() })
            .strict()
            .optional(),
          says: z.string(),
        })
        .strict(),
    ),
    liquids: z
      .object({
        foods: z.array(z.string()),
        kinds: z.array(z.string()),
        simmered: said,
        absorbed: said,
        baked: said,
        reduced: said,
        halved: said,
        drained: said,
        drainedMaybe: said,
      })
      .strict(),
    cooked: z.array(
      z
        .object({
          id: z.string(),
          kinds: z.array(z.string()),
          factors: z.partialRecord(technique, three),
          says: z.string(),
        })
        .strict(),
    ),
    leached: z.object({ kinds: z.array(z.string()), potassium: three, says: z.string() }).strict(),
    'baked-dough': said.extend({ flour: z.array(z.string()) }),
    unsaid: said.extend({ kinds: z.array(z.string()) }),
  })
  .strict();
export type YieldFile = z.infer<typeof YieldFile>;

export type PreparationFile = z.infer<typeof PreparationFile>;
