import { z } from 'zod';
import { RangeSchema as Range } from '@/core/audit/schema';
import { RoleId } from '@/core/protocol/schema';
import { ATTENTIONS } from '@/core/step/schema';

const three = z.tuple([z.number().nonnegative(), z.number().nonnegative(), z.number().nonnegative()]);
const names = z.array(z.string().min(2));
const waits = z
  .object({ kinds: z.array(z.string()).default([]), names, minutes: z.number().positive() })
  .strict();

/** `content/tasks.yaml`. */
export const TaskFile = z
  .object({
    lines: z.array(
      z
        .object({
          id: z.string(),
          say: z.string(),
          /** Words behind the food: "leave the kale to stand". */
          then: z.string().optional(),
          /** Only where the line says for how long; it comes after the knife. */
          'only-said': z.boolean().optional(),
          words: names.min(1),
          kinds: z.array(z.string()).optional(),
          minutes: three.optional(),
          per100g: three.optional(),
          least: three.optional(),
          attention: z.enum(ATTENTIONS),
          uses: z.array(z.string()),
        })
        .strict()
        .refine((l) => l.minutes ?? l.per100g, 'minutes, or minutes for 100 g'),
    ),
    bought: names,
    joins: names,
    mixes: names,
    gathers: names,
    'in-passing': names,
    keeping: names,
    silent: names,
    works: names,
    stays: names,
    leaves: names,
    holds: z.record(z.string(), z.number().positive()),
    'at-once': waits,
    'leaves-wait': waits,
    batter: waits,
    beside: names,
    everything: names,
    current: names,
    made: names,
    ahead: z.object({ minutes: z.number().positive(), start: z.string().regex(/^\d\d:\d\d$/) }).strict(),
    pressure: z.object({ up: three }).strict(),
    preheat: three,
    water: three,
    unscaled: z.array(
      z
        .object({
          id: z.string(),
          when: names.optional(),
          kinds: z.array(z.string()).optional(),
          names: names.optional(),
          says: z.string().min(10),
        })
        .strict(),
    ),
  })
  .strict();
export type TaskFile = z.infer<typeof TaskFile>;

/** One row of `content/ledger.yaml`. */
export const LedgerKey = z
  .object({ food: z.string(), name: z.string(), adds: z.string(), for: z.array(RoleId).optional() })
  .strict();
export type LedgerKey = z.infer<typeof LedgerKey>;

const clock = z.string().regex(/^\d\d:\d\d$/);

export const CookTaskSchema = z.object({
  /** Dish, step and clause, or the dish's line. */
  id: z.string(),
  dish: z.number().int(),
  step: z.number().int().nullable(),
  line: z.number().int().nullable(),
  text: z.string(),
  action: z.string(),
  minutes: Range,
  /** True where the recipe says the minutes; false where they are what such a thing usually takes. */
  said: z.boolean(),
  /** True where the minutes are what it took here before. */
  own: z.boolean(),
  attention: z.enum(ATTENTIONS),
  uses: z.array(z.string()),
  /** Its words with the amounts of this pot written into them. */
  words: z.array(z.object({ text: z.string(), amount: z.string().nullable() })),
  celsius: z.number().nullable(),
  after: z.array(z.string()),
  /** Most minutes between the end of the last of `after` and its own start; null where they keep. */
  waitAtMost: z.number().nullable(),
  /** Most minutes between its end and the table; null where it keeps, or something else follows it. */
  holdAtMost: z.number().nullable(),
  optional: z.boolean(),
  start: clock,
  end: clock,
  /** 0 the day of the table, −1 the one before. */
  day: z.number().int(),
  endDay: z.number().int(),
  /** Whose hands, from 0; null where it wants none. */
  cook: z.number().int().nullable(),
});
export type CookTask = z.infer<typeof CookTaskSchema>;

/** A plan of a supper, version 1. Fields may be added; none is renamed or dropped. */
export const CookSchema = z.object({
  schema: z.literal('dulvet.cook/1'),
  table: clock,
  startAt: clock,
  minutes: z.number(),
  handsOnMinutes: z.number(),
  optimal: z.boolean(),
  lowerBoundMinutes: z.number(),
  dishes: z.array(
    z.object({
      source: z.string(),
      title: z.string(),
      plates: Range,
      times: z.number(),
      /** What does not grow with the amounts, in words. */
      scaling: z.array(z.string()),
    }),
  ),
  tasks: z.array(CookTaskSchema),
  setOut: z.array(
    z.object({ text: z.string(), dish: z.number().int(), line: z.number().int(), when: z.string() }),
  ),
  conflicts: z.array(z.string()),
  cautions: z.array(z.object({ id: z.string(), text: z.string() })),
});
export type Cook = z.infer<typeof CookSchema>;
