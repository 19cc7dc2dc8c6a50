import { z } from 'zod';

const three = z.tuple([z.number(), z.number(), z.number()]);

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
