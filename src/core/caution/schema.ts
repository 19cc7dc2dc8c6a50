import { z } from 'zod';
import { FIELDS } from '@/core/food/nutrients';

const pattern = z.string().min(2);

/** A figure of a plate, or of some foods on it, and where it begins to matter. */
const Figure = z
  .object({
    of: z.enum(FIELDS),
    kinds: z.array(z.string()).optional(),
    foods: z.array(z.string()).optional(),
    above: z.number().optional(),
    below: z.number().optional(),
    role: z.string().optional(),
  })
  .strict();

export const CautionRow = z
  .object({
    id: z.string(),
    foods: z.array(z.string()).optional(),
    kinds: z.array(z.string()).optional(),
    steps: pattern.optional(),
    /** Another pattern that the whole text must hold as well. */
    also: pattern.optional(),
    title: pattern.optional(),
    not: pattern.optional(),
    figure: Figure.optional(),
    /** True where all conditions must hold, not any. */
    all: z.boolean().default(false),
    prominent: z.boolean().default(false),
    medical: z.boolean().default(false),
    says: z.string(),
    source: z.string(),
  })
  .strict();
export type CautionRow = z.infer<typeof CautionRow>;

export const CautionFile = z
  .object({
    cautions: z.array(CautionRow),
    preserving: z.array(
      z.object({ id: z.string(), says: z.string(), pattern, title: pattern.optional() }).strict(),
    ),
  })
  .strict();
export type CautionFile = z.infer<typeof CautionFile>;

export const BeliefFile = z
  .object({
    beliefs: z.array(
      z
        .object({
          foods: z.array(z.string()).optional(),
          kinds: z.array(z.string()).optional(),
          /** The name of its finding. */
          rule: z.string().default('belief'),
          /** Only where the line's words hold this pattern. */
          words: pattern.optional(),
          carries: z.enum(FIELDS),
          says: z.string(),
        })
        .strict(),
    ),
    techniques: z.array(z.object({ id: z.string(), pattern, says: z.string() }).strict()),
  })
  .strict();
export type BeliefFile = z.infer<typeof BeliefFile>;
