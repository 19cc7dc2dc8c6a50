import { z } from 'zod';

/** The machine-readable audit, version 1. Fields may be added; none is renamed or dropped. */

export const RangeSchema = z.object({ low: z.number(), best: z.number(), high: z.number() });
const range = RangeSchema.nullable();

export const VERDICTS = ['within', 'near', 'over', 'depends', 'unknown'] as const;
export const VerdictSchema = z.enum(VERDICTS);
export type Verdict = z.infer<typeof VerdictSchema>;

export const FindingSchema = z.object({
  rule: z.string(),
  level: z.enum(['banned', 'over', 'near', 'watch', 'note']),
  message: z.string(),
  span: z.tuple([z.number().int(), z.number().int()]).nullable(),
});
export type Finding = z.infer<typeof FindingSchema>;

export const NutrientsSchema = z.object({
  energyKcal: range,
  proteinG: range,
  fatG: range,
  saturatedFatG: range,
  carbohydrateG: range,
  fibreG: range,
  sugarG: range,
  addedSugarG: range,
  freeSugarG: range,
  sodiumMg: range,
  potassiumMg: range,
  calciumMg: range,
  ironMg: range,
  /** Grams as eaten: what goes in, after what boils off, is taken up or poured away; or weighed. */
  weightG: range,
  /** Grams that go in. */
  weightInG: range,
  fatSharePercent: range,
  sodiumMgPerKcal: range,
  energyDensityKcalPer100G: range,
});
export type Nutrients = z.infer<typeof NutrientsSchema>;

const FoodRef = z
  .object({ id: z.string(), name: z.string(), confidence: z.number().min(0).max(1) })
  .nullable();

export const ContributionSchema = z.object({
  energyKcal: range,
  proteinG: range,
  fatG: range,
  fatSharePoints: range,
  carbohydrateG: range,
  fibreG: range,
  sugarG: range,
  addedSugarG: range,
  freeSugarG: range,
  sodiumMg: range,
});
export type Contribution = z.infer<typeof ContributionSchema>;

export const LineSchema = z.object({
  text: z.string(),
  section: z.string().nullable(),
  amount: RangeSchema.extend({ unit: z.string().nullable() }).nullable(),
  grams: range,
  food: FoodRef,
  also: z.array(z.object({ text: z.string(), food: FoodRef, grams: range })),
  alternatives: z.array(z.object({ text: z.string(), food: FoodRef, grams: range })),
  preparation: z.array(z.string()),
  optional: z.boolean(),
  /** Eaten with the dish rather than in it ("to serve"). */
  assumed: z.boolean(),
  /** How much of its part is eaten with the dish ("use half of the sauce"); null for all of it. */
  share: range,
  toTaste: z.boolean(),
  /** Where the line is from: the list, or words of the method that no line accounts for. */
  origin: z.enum(['ingredients', 'method']),
  step: z.number().int().nullable(),
  /** Why the grams and the food are read so. */
  readings: z.array(z.string()),
  foodSource: z.string().nullable(),
  contribution: ContributionSchema,
  findings: z.array(FindingSchema),
});
export type AuditLine = z.infer<typeof LineSchema>;

export const LimitSchema = z.object({
  /** Whether the limit is the most or the least of it; short of a least is "over". */
  bound: z.enum(['most', 'least']),
  /** Why the school has it. */
  because: z.string().nullable(),
  id: z.string(),
  label: z.string(),
  unit: z.string(),
  limit: z.number(),
  aim: z.number().nullable(),
  value: range,
  /** Where the value is unknown: what the lines that are known bring for sure. */
  atLeast: z.number().nullable(),
  verdict: VerdictSchema,
  source: z.string(),
});
export type AuditLimit = z.infer<typeof LimitSchema>;

export const RecipeAuditSchema = z.object({
  source: z.string(),
  title: z.string(),
  role: z.enum(['main', 'breakfast', 'side', 'sauce', 'snack']),
  /** What says that it is a main, a side …; null where the cook did. */
  roleBecause: z.string().nullable(),
  servings: RangeSchema,
  servingsText: z.string(),
  lines: z.array(LineSchema),
  steps: z.array(z.object({ text: z.string(), findings: z.array(FindingSchema) })),
  total: NutrientsSchema,
  perServing: NutrientsSchema,
  per100g: NutrientsSchema,
  limits: z.array(LimitSchema),
  /** Allergens of all foods that its words may mean. */
  allergens: z.array(z.string()),
  /** Why further ones cannot be ruled out; `allergens` null where it may be any. To somebody allergic a doubt is a no. */
  allergenDoubts: z.array(z.object({ because: z.string(), allergens: z.array(z.string()).nullable() })),
  /** With everything that is optional or served beside, and without; empty where there is nothing of the kind. */
  variants: z.array(
    z.object({
      id: z.enum(['with', 'without']),
      lines: z.array(z.string()),
      verdict: VerdictSchema,
      limits: z.array(z.object({ id: z.string(), value: range, verdict: VerdictSchema })),
    }),
  ),
  cautions: z.array(
    z.object({
      id: z.string(),
      says: z.string(),
      source: z.string(),
      prominent: z.boolean(),
      medical: z.boolean(),
    }),
  ),
  /** Why its salt, acid or sugar must be left alone (canning, pickling, fermenting); null for other recipes. */
  notAdapted: z.string().nullable(),
  /** How much more of a thing the whole dish takes until the first limit; null where it was not asked for. */
  headroom: z
    .array(
      z.object({
        food: z.object({ id: z.string(), name: z.string() }),
        /** null: no limit is ever reached. */
        grams: z.number().nullable(),
        measure: z.string().nullable(),
        limit: z.string().nullable(),
      }),
    )
    .nullable(),
  /** Lines of which less, by itself, brings the dish within. */
  less: z
    .array(z.object({ line: z.number().int(), text: z.string(), keep: z.number().min(0).max(1) }))
    .nullable(),
  verdict: VerdictSchema,
  deciding: z.array(z.string()),
  unresolved: z.array(z.string()),
  problems: z.array(z.string()),
});
export type RecipeAudit = z.infer<typeof RecipeAuditSchema>;

export const AuditSchema = z.object({
  schema: z.literal('dulvet.audit/1'),
  protocol: z.string(),
  recipes: z.array(RecipeAuditSchema),
});
export type Audit = z.infer<typeof AuditSchema>;
