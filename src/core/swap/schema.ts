import { z } from 'zod';

/** The three in one number: taste weighs most, then texture. */
export const closenessOf = (keeps: { taste: number; texture: number; look: number }): number =>
  Math.round((0.45 * keeps.taste + 0.35 * keeps.texture + 0.2 * keeps.look) * 100) / 100;

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
    /** True where the method names what stands in once, at the end: lemon for salt. */
    late: z.boolean().optional(),
    /** True where the method no longer names the old food, though something stands in for it. */
    unsaid: z.boolean().optional(),
    /** A sentence that the method gains, where the old food was used. */
    adds: z.string().optional(),
    /** Grams from which on the sentence is worth a word. */
    addsFrom: z.number().positive().optional(),
    /** Words of the title, the list or the method without which it is not offered, as a pattern: "bread|cake". */
    onlyIn: z.string().optional(),
    /** Words of the title or the method with which it is not offered: a lid of potato cannot be rolled. */
    notIn: z.string().optional(),
    /** How near each of the three stays, 0–1. */
    keeps: z
      .object({
        taste: z.number().min(0).max(1),
        texture: z.number().min(0).max(1),
        look: z.number().min(0).max(1),
      })
      .strict(),
    /** Why: what is lost, and what stays. */
    because: z.string(),
    /** Minutes of the cook's own work more than as written. */
    minutes: z.number().min(0),
    source: z.string().default('common practice'),
  })
  .strict()
  .transform((row) => ({ ...row, closeness: closenessOf(row.keeps) }));
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
    /** The same for a sweet dish; a sense that does not belong in one has nothing. */
    sweetBack: z.partialRecord(
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

/** What may be eaten before a dish to make the meal less dense, `content/starters.yaml`. */
export const StarterRow = z
  .object({
    id: z.string(),
    name: z.string(),
    /** Words in a dish's title that it is too like. */
    not: z.string(),
    roles: z.array(z.string()).min(1),
    /** Grams on one plate. */
    lines: z.array(z.object({ grams: z.number().positive(), text: z.string() }).strict()).min(1),
    says: z.string(),
  })
  .strict();
export type StarterRow = z.infer<typeof StarterRow>;

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
    /** True where every clause of the method that touches the food must say so. */
    every: z.boolean().optional(),
    /** True where all that the role asks for must be so at once; it then goes before all other evidence. */
    both: z.boolean().optional(),
    /** True where the title tells it of what goes on top as well, and not only of what is mixed in. */
    apart: z.boolean().optional(),
  })
  .strict();
export type RoleRow = z.infer<typeof RoleRow>;

export const SwapFile = z.object({ roles: z.array(RoleRow), swaps: z.array(SwapRow) }).strict();
export type SwapFile = z.infer<typeof SwapFile>;
