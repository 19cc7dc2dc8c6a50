import { z } from 'zod';

const grams = z.number().positive();

/** `content/groups.yaml`. */
export const GroupFile = z
  .object({
    groups: z.array(
      z
        .object({
          id: z.string(),
          name: z.string(),
          kinds: z.array(z.string()).default([]),
          foods: z.array(z.string()).default([]),
          unit: z.enum(['cup', 'oz']),
          /** Grams of one unit: as eaten, dry, of a raw leaf. */
          grams: z.object({ eaten: grams, dry: grams.optional(), raw: grams.optional() }).strict(),
          /** Units a day; null where nobody says. */
          goal: z.number().positive().nullable(),
        })
        .strict(),
    ),
  })
  .strict();
export type GroupFile = z.infer<typeof GroupFile>;
