import { z } from 'zod';
import { LimitSchema, RangeSchema, VerdictSchema } from '@/core/audit/schema';

/** Hidden names by what they are, `content/label-names.yaml`. */
export const LabelNames = z.record(
  z.enum(['oil', 'salt', 'sugar', 'refined-starch', 'sweetener', 'neutral']),
  z.array(z.coerce.string().min(2)),
);
export type LabelNames = z.infer<typeof LabelNames>;
export type HiddenClass = keyof LabelNames;

export const NUTRIENTS = [
  'energyKcal',
  'fatG',
  'saturatedFatG',
  'carbohydrateG',
  'sugarG',
  'addedSugarG',
  'fibreG',
  'proteinG',
  'sodiumMg',
] as const;
export type LabelNutrient = (typeof NUTRIENTS)[number];

const range = RangeSchema.nullable();
const FiguresSchema = z.record(z.enum(NUTRIENTS), range);

/** What a packet says, read: the machine-readable label, version 1. */
export const LabelSchema = z.object({
  schema: z.literal('dulvet.label/1'),
  name: z.string(),
  layout: z.enum(['us', 'eu', 'unknown']),
  servingG: z.number().nullable(),
  /** What the printed figures can mean after the label's rounding; null where not printed. */
  perServing: FiguresSchema,
  per100g: FiguresSchema,
  fatSharePercent: range,
  /** Rule of thumb: sodium in mg no more than kcal (common practice). */
  sodiumMgPerKcal: range,
  ingredients: z.array(
    z.object({
      text: z.string(),
      depth: z.number().int(),
      /** Percent of the product: printed, or bounded by the order of the list. */
      share: RangeSchema.nullable(),
      hidden: z.array(z.object({ class: z.string(), name: z.string() })),
      /** A function with its thing in brackets, or a name of nothing that matters. */
      plain: z.boolean(),
    }),
  ),
  mayContain: z.array(z.string()),
  contains: z.array(z.string()),
  claims: z.array(
    z.object({
      claim: z.string(),
      holds: z.enum(['surely', 'possibly', 'impossible', 'unknown']),
      because: z.string(),
      source: z.string(),
    }),
  ),
  verdicts: z.array(
    z.object({
      protocol: z.string(),
      verdict: VerdictSchema,
      limits: z.array(LimitSchema),
      because: z.array(z.string()),
    }),
  ),
  problems: z.array(z.string()),
});
export type Label = z.infer<typeof LabelSchema>;

/** A packet of the cook's own: its words as she typed them. All else is computed. */
export const PacketSchema = z
  .object({
    id: z.string().regex(/^own-[a-z0-9-]+$/),
    name: z.string().trim().min(2).max(80),
    /** What else she calls it in recipes. */
    names: z.array(z.string().trim().min(2).max(80)).max(20),
    /** The label's words: figures in rows, "Ingredients: …". */
    label: z.string().max(20_000),
    /** The food of the table whose cups, spoons and pieces it shares. */
    like: z.string().nullable(),
  })
  .strict();
export type Packet = z.infer<typeof PacketSchema>;
