import { z } from 'zod';
import { LimitSchema, NutrientsSchema, RangeSchema as Range, VerdictSchema } from '@/core/audit/schema';

const day = z.number().int().min(0).max(60);
const plates = z.number().nonnegative().max(50);

/** A week as it is planned, version 1. */
export const WeekPlanSchema = z.object({
  schema: z.literal('dulvet.week/1'),
  days: z.number().int().min(1).max(60),
  diners: z
    .array(
      z.object({
        name: z.string().min(1),
        protocol: z.string().min(1),
        allergens: z.array(z.string()).default([]),
        /** Size of their plate against the recipe's own. */
        plate: z.number().positive().max(5).default(1),
      }),
    )
    .min(1),
  cookings: z.array(
    z.object({
      id: z.string().min(1),
      day,
      recipe: z.union([z.string().min(1), z.object({ text: z.string().min(1) })]),
      times: z.number().positive().max(100).default(1),
      /** Where it is kept after it was cooked. */
      place: z.enum(['fridge', 'freezer']).default('fridge'),
    }),
  ),
  meals: z.array(
    z.union([
      z.object({
        day,
        meal: z.string(),
        diner: z.string(),
        of: z.string(),
        plates: plates.optional(),
        grams: z.number().nonnegative().max(20_000).optional(),
      }),
      z.object({ day, meal: z.string(), diner: z.string(), text: z.string().min(1) }),
    ]),
  ),
});
export type WeekPlan = z.infer<typeof WeekPlanSchema>;

/** A week judged: what each diner eats each day against the day's limits, and what is left of each pot. */
export const WeekSchema = z.object({
  schema: z.literal('dulvet.week/1'),
  days: z.number().int(),
  judged: z.array(
    z.object({
      day: z.number().int(),
      diner: z.string(),
      protocol: z.string(),
      limits: z.array(LimitSchema),
      totals: NutrientsSchema,
      /** What each meal brings to each limit, by the limit's id: an amount, or its own ratio; null where not known. */
      parts: z.array(
        z.object({
          meal: z.string(),
          what: z.string(),
          of: z.string().nullable(),
          by: z.record(z.string(), Range.nullable()),
        }),
      ),
      /** What is eaten of each food group, in its unit; at least that where a line is not understood. */
      groups: z.array(
        z.object({
          id: z.string(),
          name: z.string(),
          unit: z.string(),
          amount: Range,
          goal: z.number().nullable(),
        }),
      ),
      allergens: z.array(z.string()),
      /** Allergens of theirs that are eaten, and why it is not known whether more are. */
      unsafe: z.array(z.string()),
      doubts: z.array(z.string()),
      verdict: VerdictSchema,
      deciding: z.array(z.string()),
      unresolved: z.array(z.string()),
    }),
  ),
  cookings: z.array(
    z.object({
      id: z.string(),
      title: z.string(),
      day: z.number().int(),
      madeG: Range.nullable(),
      eatenG: Range.nullable(),
      leftG: Range.nullable(),
      leftPlates: Range.nullable(),
      keepsUntilDay: z.number().int(),
      problems: z.array(z.string()),
    }),
  ),
});
export type Week = z.infer<typeof WeekSchema>;
