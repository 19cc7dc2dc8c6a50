import { z } from 'zod';
import { RecipeAuditSchema } from '@/core/audit/schema';

/** The machine-readable adaptation, version 1. Fields may be added; none is renamed or dropped. */

export const ChangeSchema = z.object({
  /** Index among the lines of `before`; of a phrase that only surfaced later, the line it belongs to. */
  line: z.number().int(),
  from: z.string(),
  to: z.string(),
  swap: z.string(),
  /** The swap's name, as a cook reads it. */
  name: z.string(),
  /** What the food does in the dish. */
  role: z.string(),
  /** How much of the line is changed, 0–1. */
  share: z.number().min(0).max(1),
  technique: z.string(),
  cautions: z.array(z.string()),
  /** How near taste, texture and look stay, 0–1; less where it is made for another role. */
  closeness: z.number().min(0).max(1),
  /** The three apart; null where only the amount changes. */
  keeps: z
    .object({
      taste: z.number().min(0).max(1),
      texture: z.number().min(0).max(1),
      look: z.number().min(0).max(1),
    })
    .nullable(),
  /** Why it stays as near as that, and what else speaks for it in this kitchen. */
  because: z.string(),
  /** Its own part of the plan's departure. */
  departure: z.number(),
});
export type Change = z.infer<typeof ChangeSchema>;

export const PlanSchema = z.object({
  changes: z.array(ChangeSchema),
  /** Least-change objective: the sum of its changes' departures. */
  departure: z.number(),
  /** The adapted recipe's own text. */
  text: z.string(),
  /** Audited again from that text. */
  after: RecipeAuditSchema,
  optimal: z.boolean(),
});
export type Plan = z.infer<typeof PlanSchema>;

export const AdaptationSchema = z.object({
  schema: z.literal('dulvet.adaptation/1'),
  protocol: z.string(),
  before: RecipeAuditSchema,
  plans: z.array(PlanSchema),
  infeasible: z
    .object({
      /** Limits that collide: they cannot all be met. */
      limits: z.array(z.string()),
      closest: PlanSchema.nullable(),
      because: z.string(),
      /** What giving one colliding limit up would buy: the changes that the rest would then need. */
      without: z.array(z.object({ limit: z.string(), changes: z.number().int().nullable() })),
      /** What letting one kept line change would buy: the changes that would then do. */
      unlocked: z.array(z.object({ line: z.string(), changes: z.number().int().nullable() })).default([]),
    })
    .nullable(),
});
export type Adaptation = z.infer<typeof AdaptationSchema>;
