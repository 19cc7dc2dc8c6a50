import { z } from 'zod';
import { readAllergens } from '@/core/allergen/allergen';
import { PacketSchema } from '@/core/label/schema';
import { MOST_GRAMS, MOST_SERVINGS, refuseText } from '@/core/recipe/limits';
import { ROLES } from '@/core/protocol';
import { ProtocolSource } from '@/core/protocol/schema';

/** Rows of the database as a file holds them: what is read is checked by the same schemas as what is written. */
/** No recipe's words are more. */
const MOST_TEXT = 1_048_576;
// a clock may stand before 1970
const time = z.number().int();
// files from before dishes were weighed have none
const grams = z.number().positive().max(MOST_GRAMS).nullable().default(null);
const correction = z
  .object({
    foodId: z.string().optional(),
    grams: z.number().positive().max(MOST_GRAMS).optional(),
    role: z.string().optional(),
  })
  .strict();
export const recipe = z
  .object({
    id: z.string().min(1),
    text: z.string().superRefine((text, context) => {
      const why = refuseText(text);
      if (why) context.addIssue({ code: 'custom', message: why });
    }),
    role: z.enum(ROLES).nullable(),
    servings: z.number().positive().max(MOST_SERVINGS).nullable(),
    corrections: z.record(z.string(), correction),
    potG: grams,
    plateG: grams,
    versionOf: z.string().nullable().default(null),
    createdAt: time,
    updatedAt: time,
    deletedAt: time.nullable(),
    original: z.string().max(MOST_TEXT).optional(),
    shared: z
      .object({ text: z.string().max(MOST_TEXT), at: time })
      .strict()
      .optional(),
    tags: z.array(z.string().min(1).max(40)).max(30).optional(),
    starred: z.boolean().optional(),
  })
  .strict();
export const diner = z
  .object({
    id: z.string().min(1),
    name: z.string().min(1).max(80),
    protocol: z.string(),
    allergens: z.array(z.string()).transform((words, context) => {
      const reading = readAllergens(words);
      if (reading.ok) return [...reading.ids];
      context.addIssue({ code: 'custom', message: reading.message, path: [reading.at] });
      return z.NEVER;
    }),
    dislikes: z.array(z.string()).default([]),
    appetite: z.number().min(0.25).max(3).default(1),
    needKcal: z.number().min(300).max(10_000).nullable().optional(),
    medical: z.boolean().default(false),
    order: z.number(),
    // files from before two tabs were told apart have none
    updatedAt: time.default(0),
  })
  .strict();

export const packet = PacketSchema.extend({ updatedAt: time }).strict();
export const meaning = z
  .object({ words: z.string().min(1), said: z.string(), foodId: z.string().min(1), updatedAt: time })
  .strict();

export const kitchenFood = z
  .object({
    foodId: z.string().min(1),
    has: z.boolean(),
    liking: z.union([z.literal(-1), z.literal(0), z.literal(1)]),
    price: z
      .object({ pays: z.number().nonnegative().max(1_000_000), amount: z.string().min(1).max(80) })
      .strict()
      .nullable(),
    updatedAt: time,
  })
  .strict();
export const swapUse = z
  .object({
    swapId: z.string().min(1),
    times: z.number().int().positive(),
    worked: z.boolean().nullable(),
    updatedAt: time,
  })
  .strict();

export const protocol = z.object({ id: z.string(), source: ProtocolSource, updatedAt: time }).strict();

const clock = z.string().regex(/^\d{1,2}:\d{2}$/, 'a time like 18:30');
const times = z.number().positive().max(100);
const moments = z.record(z.string(), z.number());
/** Letters of a picture: about six megabytes of it. */
const MOST_PHOTO = 8_000_000;
export const supper = z
  .object({
    id: z.literal('open'),
    dishes: z
      .array(
        z
          .object({
            recipe: recipe
              .pick({
                id: true,
                text: true,
                role: true,
                servings: true,
                corrections: true,
                potG: true,
                plateG: true,
              })
              .strip(),
            times,
          })
          .strict(),
      )
      .max(12),
    table: clock,
    cooks: z.array(z.string().min(1).max(80)).min(1).max(6),
    burners: z.number().int().min(0).max(12),
    ovens: z.number().int().min(0).max(4),
    startedAt: time.nullable(),
    done: moments,
    begun: moments,
    longer: moments,
    ticks: z.array(z.string()),
    at: z.string().nullable(),
    timers: z.array(
      z
        .object({
          id: z.string(),
          label: z.string(),
          task: z.string().nullable(),
          endsAt: time.nullable(),
          leftMs: z.number(),
          rang: z.boolean(),
        })
        .strict(),
    ),
    added: z.array(z.object({ dish: z.number().int(), text: z.string().max(300), at: time }).strict()),
    updatedAt: time,
  })
  .strict();
export const cooking = z
  .object({
    id: z.string().min(1),
    recipeId: z.string(),
    title: z.string(),
    text: z.string(),
    after: z.string(),
    times,
    cookedAt: time,
    tookMinutes: z.number().nonnegative().nullable(),
    minutes: z.record(z.string(), z.number().nonnegative()),
    added: z.array(z.string().max(300)),
    potG: grams,
    plates: z.number().positive().max(MOST_SERVINGS).nullable(),
    words: z.array(
      z
        .object({
          name: z.string(),
          liked: z.union([z.literal(-1), z.literal(0), z.literal(1)]),
          says: z.array(z.string()),
        })
        .strict(),
    ),
    note: z.string().max(20_000),
    photo: z.string().startsWith('data:image/').max(MOST_PHOTO).nullable(),
    updatedAt: time,
  })
  .strict();
export const box = z
  .object({
    id: z.string().min(1),
    name: z.string().min(1),
    cookingId: z.string().nullable(),
    grams: z.number().positive().max(MOST_GRAMS),
    place: z.enum(['fridge', 'freezer']),
    madeAt: time,
    eaten: z.boolean(),
    updatedAt: time,
  })
  .strict();
export const week = z
  .object({
    id: z.literal('open'),
    from: time,
    pots: z.array(
      z
        .object({
          id: z.string(),
          day: z.number().int().min(0).max(60),
          recipeId: z.string(),
          times,
          place: z.enum(['fridge', 'freezer']),
          cook: z.string().nullable().optional(),
        })
        .strict(),
    ),
    meals: z.array(
      z
        .object({
          id: z.string(),
          day: z.number().int().min(0).max(60),
          meal: z.string(),
          diner: z.string(),
          of: z.string().nullable(),
          plates: z.number().nonnegative().max(50),
          text: z.string().max(500),
        })
        .strict(),
    ),
    bought: z.array(z.string()),
    dry: z.array(z.string()).optional(),
    updatedAt: time,
  })
  .strict();
export const hand = z
  .object({ unit: z.string().min(1), ml: z.array(z.number().positive().max(5000)), updatedAt: time })
  .strict();
