import { z } from 'zod';
import { FIELDS, PARTS, type Field } from '@/core/food/nutrients';

/** What a limit is measured against. */
export const PER = ['energy', 'kcal', '1000kcal', '100g', 'day', 'serving'] as const;
const field = z.enum(FIELDS);

const limitShape = {
  id: z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'small letters, digits and hyphens'),
  label: z.string().trim().min(2).max(60),
  /** The name where there is little room. */
  short: z.string().min(2).max(24).optional(),
  /** The component that is limited. */
  of: field,
  /** Parts of it that do not count, by the share left out: half of the sodium in fermented soy. */
  minus: z.partialRecord(field, z.number().positive().max(1)).optional(),
  /**
   * energy: share of the dish's energy, % (of is in kcal) · kcal: for each kilocalorie · 1000kcal · 100g: in 100 g as
   * eaten · day: a day's amount, of which a dish has its role's share · serving: on one plate
   */
  per: z.enum(PER),
  /** Whether the limit is the most or the least of it. */
  bound: z.enum(['most', 'least']).default('most'),
  unit: z.string().min(1),
  limit: z.number().nonnegative().max(100_000),
  /** Where it would better be: below a most, above a least. */
  aim: z.number().nonnegative().optional(),
  /** Where the number comes from. */
  source: z.string().min(5),
  /** Why the school has it, in a sentence. */
  because: z.string().optional(),
};

export const Limit = z
  .object(limitShape)
  .strict()
  .superRefine((l, ctx) => {
    const refuse = (message: string) => ctx.addIssue({ code: 'custom', message: `${l.label}: ${message}` });
    if (l.aim !== undefined && (l.bound === 'most' ? l.aim > l.limit : l.aim < l.limit))
      refuse(l.bound === 'most' ? 'the aim lies above its limit' : 'the aim lies below its limit');
    if (l.per === 'energy' && l.limit > 100) refuse('no share of energy is above 100 %');
    if (l.per === 'energy' && !l.of.endsWith('Kcal'))
      refuse('a share of energy needs something measured in kcal');
    if (l.bound === 'least' && l.limit === 0) refuse('a least of nothing asks for nothing');
    if (l.minus && l.of in l.minus) refuse('it takes itself away');
    for (const name of Object.keys(l.minus ?? {}) as Field[])
      if (!PARTS.has(name) || PARTS.has(l.of)) refuse(`${name} cannot be left out of ${l.of}`);
  });
export type Limit = z.infer<typeof Limit>;

/** What an option of a switch changes: a limit's fields, a limit taken away (null) or a whole new one. */
const Patch = z.record(z.string(), z.object(limitShape).partial().strict().nullable());
export type Patch = z.infer<typeof Patch>;

/** A question on which the schools differ, with both arguments. */
export const Switch = z
  .object({
    label: z.string(),
    /** The argument for the laxer answer, and for the stricter one, in a sentence each. */
    lax: z.string(),
    strict: z.string(),
    options: z.array(z.object({ id: z.string(), label: z.string(), patch: Patch }).strict()).min(2),
  })
  .strict();
export type Switch = z.infer<typeof Switch>;

/** A protocol as it is written and edited: limits before its switches, and the switches' positions. */
export const ProtocolSource = z
  .object({
    id: z.string().regex(/^[a-z0-9]+(-[a-z0-9]+)*$/),
    name: z.string().trim().min(2).max(60),
    says: z.string().max(300),
    /** The protocol it was copied from. */
    based: z.string().optional(),
    limits: z.array(Limit).min(1, 'a protocol without a limit says nothing').max(40),
    /** Positions of switches, by their id. */
    switches: z.record(z.string(), z.string()),
  })
  .strict();
export type ProtocolSource = z.infer<typeof ProtocolSource>;

/** A protocol as it judges: its switches are settled into limits. */
export interface Protocol {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly limits: readonly Limit[];
  readonly source: ProtocolSource;
}

export const ROLES = ['main', 'breakfast', 'side', 'sauce', 'snack'] as const;
export const RoleId = z.enum(ROLES);
export type RoleId = z.infer<typeof RoleId>;

export const ProtocolFile = z
  .object({
    roles: z.record(
      RoleId,
      z.object({ share: z.number().positive().max(1), label: z.string(), words: z.array(z.string()) }),
    ),
    switches: z.record(z.string(), Switch),
    protocols: z.array(ProtocolSource).min(1),
  })
  .strict();
export type ProtocolFile = z.infer<typeof ProtocolFile>;

/** One protocol in a file of its own. */
export const PROTOCOL_SCHEMA = 'dulvet.protocol/1';
export const ProtocolExport = z
  .object({ schema: z.literal(PROTOCOL_SCHEMA), protocol: ProtocolSource })
  .strict();

/** True for the components that a limit's number can be a share of energy of. */
export const isEnergyField = (name: Field): boolean => name.endsWith('Kcal');
