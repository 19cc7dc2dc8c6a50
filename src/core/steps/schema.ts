import { z } from 'zod';
import { ATTENTIONS, HEATS } from '@/core/step/schema';

/** The machine-readable steps, version 1. Fields may be added; none is renamed or dropped. */
const Range = z.object({ low: z.number(), best: z.number(), high: z.number() });
const Span = z.tuple([z.number().int(), z.number().int()]);

export const StepFoodSchema = z.object({
  text: z.string(),
  /** In the step's text. */
  span: Span,
  /** Places in the audit's lines that it speaks of; none where the method brings it. */
  lines: z.array(z.number().int()),
  food: z.object({ id: z.string(), name: z.string() }).nullable(),
  amount: Range.extend({ unit: z.string().nullable() }).nullable(),
  grams: Range.nullable(),
  /** How much of its line goes in here, where that is said: "half the oil", "the rest of it". */
  share: Range.nullable(),
});
export type StepFood = z.infer<typeof StepFoodSchema>;

export const StepClauseSchema = z.object({
  span: Span,
  action: z.string().nullable(),
  polarity: z.enum(['do', 'not', 'optional', 'alternative', 'remark']),
  foods: z.array(StepFoodSchema),
  medium: z.string().nullable(),
  tools: z.array(z.string()),
  celsius: Range.nullable(),
  heat: z.enum(HEATS).nullable(),
  minutes: Range.nullable(),
  until: z.string().nullable(),
  attention: z.enum(ATTENTIONS),
});
export type StepClause = z.infer<typeof StepClauseSchema>;

export const StepsSchema = z.object({
  schema: z.literal('dulvet.steps/1'),
  recipes: z.array(
    z.object({
      source: z.string(),
      title: z.string(),
      steps: z.array(z.object({ text: z.string(), clauses: z.array(StepClauseSchema) })),
    }),
  ),
});
export type Steps = z.infer<typeof StepsSchema>;
