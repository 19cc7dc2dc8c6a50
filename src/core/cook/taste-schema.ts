import { z } from 'zod';
import { RangeSchema as Range, RecipeAuditSchema } from '@/core/audit/schema';

const Food = z.object({ id: z.string(), name: z.string() });

/** Additions at the stove, version 1. Fields may be added; none is renamed or dropped. */
export const TastingSchema = z.object({
  schema: z.literal('dulvet.tasting/1'),
  protocol: z.string(),
  before: RecipeAuditSchema,
  additions: z.array(
    z.object({
      text: z.string(),
      /** The words that were read of it. */
      words: z.string(),
      /** Null where it is not understood; the dish is then unknown. */
      food: Food.nullable(),
      grams: Range.nullable(),
    }),
  ),
  after: RecipeAuditSchema,
  /** How much more of a thing the whole pot takes at the worst end; grams null where no limit is ever reached. */
  room: z.array(
    z.object({
      food: Food,
      grams: z.number().nullable(),
      words: z.string().nullable(),
      limit: z.string().nullable(),
    }),
  ),
  /** The recipe's text with the additions in it. */
  text: z.string(),
});
export type Tasting = z.infer<typeof TastingSchema>;
