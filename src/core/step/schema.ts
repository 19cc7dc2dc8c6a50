import { z } from 'zod';

const three = z.tuple([z.number(), z.number(), z.number()]);
export const ATTENTIONS = ['hands', 'eye', 'none'] as const;
export const HEATS = ['low', 'medium', 'high'] as const;

/** `content/verbs.yaml`. */
export const VerbFile = z
  .object({
    verbs: z.record(
      z.string().regex(/^[a-z]+$/),
      z
        .object({
          also: z.array(z.string()).default([]),
          noun: z.boolean().default(false),
          fat: z.enum(['pan', 'pool', 'deep']).nullable().default(null),
          food: z.string().nullable().default(null),
          as: z.enum(['season', 'salting', 'film', 'spray']).nullable().default(null),
          brings: z.boolean().default(false),
          omits: z.boolean().default(false),
          always: z.boolean().default(false),
          swaps: z.boolean().default(false),
          medium: z.enum(['water', 'dry', 'air']).nullable().default(null),
          tools: z.array(z.string()).default([]),
          heat: z.enum(HEATS).nullable().default(null),
          attention: z.enum(ATTENTIONS).default('hands'),
          minutes: three.nullable().default(null),
        })
        .strict(),
    ),
  })
  .strict();
export type VerbFile = z.infer<typeof VerbFile>;
export type Verb = VerbFile['verbs'][string] & { readonly id: string };

/** `content/step-words.yaml`. */
export const StepWordsFile = z
  .object({
    tools: z.record(z.string(), z.array(z.string())),
    fryers: z.array(z.string()),
    ordinary: z.array(z.string()),
    remarks: z.array(z.string()),
    optional: z.array(z.string()),
    people: z.array(z.string()),
    comparisons: z.array(z.string()),
    instead: z.array(z.string()),
    as_done: z.record(z.string(), z.object({ verb: z.string(), of: z.array(z.string()) }).strict()),
    aliases: z.record(z.string(), z.string()),
    not_food: z.array(z.string()),
    made: z.array(z.string()),
    /** What a dish is called by its last word: "the squash soup" is no squash of its own. */
    dishes: z.array(z.string()),
    called: z.record(z.string(), z.array(z.string())),
    families: z.record(z.string(), z.array(z.string())),
    families_the: z.record(z.string(), z.array(z.string())),
    amounts: z.record(
      z.string(),
      z.object({ grams: three, plate: z.boolean().default(false), why: z.string() }).strict(),
    ),
  })
  .strict();
export type StepWordsFile = z.infer<typeof StepWordsFile>;
