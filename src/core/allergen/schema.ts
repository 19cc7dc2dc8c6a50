import { z } from 'zod';

/** `content/allergens.yaml`: the allergens known, what people call them, and their names on labels. */
export const AllergenFile = z
  .object({
    allergens: z.array(
      z
        .object({
          id: z.string().regex(/^[a-z]+$/),
          label: z.string(),
          words: z.array(z.string()).min(1),
          in: z.array(z.string()),
        })
        .strict(),
    ),
    groups: z.record(z.string(), z.array(z.string())),
  })
  .strict();
export type AllergenFile = z.infer<typeof AllergenFile>;
