import { z } from 'zod';

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

/** What gives flavour beside salt, fat and sugar, `content/flavour.yaml`. */
export const SENSE_IDS = ['acid', 'heat', 'aroma', 'umami'] as const;
export type Sense = (typeof SENSE_IDS)[number];
export const FlavourFile = z
  .object({
    senses: z.record(
      z.enum(SENSE_IDS),
      z
        .object({
          label: z.string(),
          kinds: z.record(z.string(), z.number().positive()),
          foods: z.record(z.string(), z.number().positive()),
        })
        .strict(),
    ),
    back: z.record(
      z.enum(SENSE_IDS),
      z.array(z.object({ food: z.string(), each: z.number().positive(), says: z.string() }).strict()),
    ),
    browning: z.string(),
  })
  .strict();
export type FlavourFile = z.infer<typeof FlavourFile>;

/** What may be eaten with a dish, `content/additions.yaml`. */
export const AdditionRow = z
  .object({
    id: z.string(),
    food: z.string(),
    text: z.string(),
    each: z.array(z.number().positive()).min(1),
    roles: z.array(z.string()).min(1),
    step: z.string(),
    name: z.string(),
    closeness: z.number().min(0).max(1),
  })
  .strict();
export type AdditionRow = z.infer<typeof AdditionRow>;

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
