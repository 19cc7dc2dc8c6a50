import { z } from 'zod';

/** A figure that the table may not know: empty is unknown, never zero. */
const figure = z.number().nonnegative().nullable();

/** Classes of foods that limits look at, `content/classes.yaml`. */
export const CLASSES = [
  'avocado',
  'olive',
  'coconut',
  'soy',
  'flour',
  'fermented',
  'unrefined',
  'canned',
  'wine',
] as const;
export type ClassId = (typeof CLASSES)[number];
export const ClassFile = z.record(
  z.enum(CLASSES),
  z
    .object({
      kinds: z.array(z.string()).optional(),
      foods: z.array(z.string()).optional(),
      match: z.string().optional(),
    })
    .strict(),
);
export type ClassFile = z.infer<typeof ClassFile>;

/** One row of `content/foods/*.csv` after compiling: figures per 100 g edible. */
export const FoodRow = z
  .object({
    id: z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/),
    name: z.string().min(2),
    names: z.array(z.string().min(2)),
    kind: z.string(),
    nova: z.number().int().min(1).max(4),
    energyKcal: z.number().min(0).max(902),
    waterG: figure,
    proteinG: figure,
    fatG: figure,
    saturatedFatG: figure,
    carbohydrateG: figure,
    fibreG: figure,
    sugarG: figure,
    addedSugarG: figure,
    freeSugarG: figure,
    sodiumMg: figure,
    potassiumMg: figure,
    calciumMg: figure,
    ironMg: figure,
    alcoholG: figure,
    refuse: z.number().min(0).max(90),
    allergens: z.array(z.string()),
    adds: z.array(z.enum(['oil', 'salt', 'sugar'])),
    /** What some makes add and some do not. */
    perhaps: z.array(z.enum(['oil', 'salt', 'sugar'])),
    might: z.array(z.string()),
    /** The food that all content which names it holds for this one too: rye bread in other flour, another miso. */
    variant: z.string().nullable(),
    source: z.string(),
    /** Standard deviations of measured figures over the regions sampled, per 100 g, where there were several. */
    classes: z.array(z.enum(CLASSES)),
    sd: z.record(z.string(), z.number().positive()),
    /** Lowest and highest of figures that makes differ in, per 100 g. */
    spans: z.record(z.string(), z.tuple([z.number().nonnegative(), z.number().nonnegative()])),
    portions: z.record(z.string(), z.tuple([z.number(), z.number(), z.number()])),
  })
  .strict();
export type FoodRow = z.infer<typeof FoodRow>;

export const KindRow = z
  .object({
    label: z.string(),
    sugars: z.enum(['intrinsic', 'free', 'added', 'stated']),
    class: z.enum(['nut', 'flax', 'oil', 'salt', 'sweet', 'refined', 'animal']).optional(),
  })
  .strict();
export type KindRow = z.infer<typeof KindRow>;

const three = z.tuple([z.number(), z.number(), z.number()]);

export const Units = z
  .object({
    volume: z.record(
      z.string(),
      z.object({
        ml: z.union([z.number(), three]),
        names: z.array(z.string()),
        exact: z.array(z.string()).optional(),
      }),
    ),
    mass: z.record(z.string(), z.object({ g: z.number(), names: z.array(z.string()) })),
    count: z.record(z.string(), z.object({ names: z.array(z.string()), package: z.boolean().optional() })),
    vague: z.record(z.string(), z.object({ names: z.array(z.string()) })),
  })
  .strict();
export type Units = z.infer<typeof Units>;

/** Words to look for on a packet, `content/buying.yaml`. */
export const BuyingFile = z
  .object({
    rules: z.array(
      z
        .object({
          id: z.string(),
          kinds: z.array(z.string()).optional(),
          foods: z.array(z.string()).optional(),
          words: z.array(z.string()).min(1),
          because: z.string(),
        })
        .strict()
        .refine((r) => r.kinds || r.foods, { message: 'needs kinds or foods' }),
    ),
  })
  .strict();
export type BuyingFile = z.infer<typeof BuyingFile>;

const reading = z.object({ why: z.string() });
export const Vague = z
  .object({
    measures: z.record(z.string(), reading.extend({ ml: three })),
    modifiers: z.record(z.string(), reading.extend({ names: z.array(z.string()), factor: three })),
    sizes: z.record(z.string(), z.object({ names: z.array(z.string()), factor: three })),
    unsaid: z.record(z.string(), reading.extend({ perServing: three, cookedOnly: z.boolean().optional() })),
    purposes: z.record(
      z.string(),
      reading.extend({ names: z.array(z.string()), grams: three, kinds: z.array(z.string()) }),
    ),
    servings: reading.extend({ unsaid: three }),
  })
  .strict();
export type Vague = z.infer<typeof Vague>;

export const Words = z
  .object({
    harmless: z.array(z.string()),
    spelling: z.record(z.string(), z.string()),
    phrases: z.record(z.string(), z.string()),
    preparation: z.array(z.string()),
  })
  .strict();
export type Words = z.infer<typeof Words>;
