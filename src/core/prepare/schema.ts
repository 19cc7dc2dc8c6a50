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
