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
export type PreparationFile = z.infer<typeof PreparationFile>;

/** What a method's words can add that no ingredient line names. */
export const MethodFile = z
  .object({
    negations: z.array(z.string()),
    more: z.array(z.string()),
    traps: z.array(
      z
        .object({
          id: z.string(),
          pattern: z.string(),
          food: z.string(),
          grams: three,
          perServing: z.boolean().optional(),
          even: z.boolean().optional(),
          why: z.string(),
        })
        .strict(),
    ),
    amounts: z.record(z.string(), z.object({ grams: three, why: z.string() })),
    kinds: z.array(z.string()),
  })
  .strict();
export type MethodFile = z.infer<typeof MethodFile>;

export const SwapRow = z
  .object({
    id: z.string(),
    name: z.string(),
    from: z
      .object({ kinds: z.array(z.string()).optional(), foods: z.array(z.string()).optional() })
      .strict()
      .refine((f) => f.kinds || f.foods, { message: 'needs kinds or foods' }),
    roles: z.array(z.string()).min(1),
    /** What stands in; empty where only a technique does. */
    to: z.array(
      z
        .object({
          food: z.string(),
          text: z.string(),
          ratio: z.number().positive(),
          by: z.enum(['volume', 'weight', 'piece']),
        })
        .strict(),
    ),
    technique: z.string(),
    cautions: z.array(z.string()).default([]),
    /** What the method's words for the old food become. */
    inMethod: z.string().optional(),
    /** How near taste, texture and look stay, 0–1. */
    closeness: z.number().min(0).max(1),
    source: z.string().default('common practice'),
  })
  .strict();
export type SwapRow = z.infer<typeof SwapRow>;

export const RoleRow = z
  .object({
    id: z.string(),
    label: z.string(),
    kinds: z.array(z.string()),
    /** Words in the line, its section or title, or the steps that touch the food. */
    line: z.string().optional(),
    steps: z.string().optional(),
    title: z.string().optional(),
    beside: z.array(z.string()).optional(),
  })
  .strict();
export type RoleRow = z.infer<typeof RoleRow>;

export const SwapFile = z.object({ roles: z.array(RoleRow), swaps: z.array(SwapRow) }).strict();
export type SwapFile = z.infer<typeof SwapFile>;
