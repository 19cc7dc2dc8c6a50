import { z } from 'zod';
import { FIELDS } from '@/core/food/nutrients';

/** One limit of a protocol. `of` is what is measured, `per` what it is measured against. */
export const Limit = z
  .object({
    id: z.string(),
    label: z.string(),
    of: z.enum(FIELDS),
    per: z.enum(['energy', 'day', 'serving']),
    unit: z.string(),
    limit: z.number().nonnegative(),
    aim: z.number().nonnegative().optional(),
    source: z.string().min(5),
  })
  .strict()
  .refine((l) => l.aim === undefined || l.aim <= l.limit, { message: 'an aim above its limit' });
export type Limit = z.infer<typeof Limit>;

export const Protocol = z
  .object({ id: z.string(), name: z.string(), says: z.string(), limits: z.array(Limit).min(1) })
  .strict();
export type Protocol = z.infer<typeof Protocol>;

export const ROLES = ['main', 'breakfast', 'side', 'sauce', 'snack'] as const;
export const RoleId = z.enum(ROLES);
export type RoleId = z.infer<typeof RoleId>;

export const ProtocolFile = z
  .object({
    roles: z.record(
      RoleId,
      z.object({ share: z.number().positive().max(1), label: z.string(), words: z.array(z.string()) }),
    ),
    protocols: z.array(Protocol).min(1),
  })
  .strict();
export type ProtocolFile = z.infer<typeof ProtocolFile>;
