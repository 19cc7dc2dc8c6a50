import { z } from 'zod';
import { readAllergens } from '@/core/allergen/allergen';
import { PacketSchema } from '@/core/label/schema';
import { ROLES, SWITCHES } from '@/core/protocol';
import { resolveProtocol } from '@/core/protocol/resolve';
import { ProtocolSource } from '@/core/protocol/schema';
import type { DulvetDatabase } from './db';
import { DEFAULT_SETTINGS } from './settings';

const time = z.number().int().nonnegative();
// files from before dishes were weighed have none
const grams = z.number().positive().max(100_000).nullable().default(null);
const correction = z
  .object({
    foodId: z.string().optional(),
    grams: z.number().positive().optional(),
    role: z.string().optional(),
  })
  .strict();
const recipe = z
  .object({
    id: z.string().min(1),
    text: z.string().max(1024 * 1024),
    role: z.enum(ROLES).nullable(),
    servings: z.number().positive().max(1000).nullable(),
    corrections: z.record(z.string(), correction),
    potG: grams,
    plateG: grams,
    versionOf: z.string().nullable().default(null),
    createdAt: time,
    updatedAt: time,
    deletedAt: time.nullable(),
  })
  .strict();
const diner = z
  .object({
    id: z.string().min(1),
    name: z.string().min(1).max(80),
    protocol: z.string(),
    allergens: z.array(z.string()).transform((words, context) => {
      const reading = readAllergens(words);
      if (reading.ok) return [...reading.ids];
      context.addIssue({ code: 'custom', message: reading.message, path: [reading.at] });
      return z.NEVER;
    }),
    dislikes: z.array(z.string()).default([]),
    appetite: z.number().min(0.25).max(3).default(1),
    medical: z.boolean().default(false),
    order: z.number(),
  })
  .strict();

const packet = PacketSchema.extend({ updatedAt: time }).strict();
const meaning = z
  .object({ words: z.string().min(1), said: z.string(), foodId: z.string().min(1), updatedAt: time })
  .strict();

const kitchenFood = z
  .object({
    foodId: z.string().min(1),
    has: z.boolean(),
    liking: z.union([z.literal(-1), z.literal(0), z.literal(1)]),
    price: z
      .object({ pays: z.number().nonnegative().max(1_000_000), amount: z.string().min(1).max(80) })
      .strict()
      .nullable(),
    updatedAt: time,
  })
  .strict();
const swapUse = z
  .object({
    swapId: z.string().min(1),
    times: z.number().int().positive(),
    worked: z.boolean().nullable(),
    updatedAt: time,
  })
  .strict();

const protocol = z.object({ id: z.string(), source: ProtocolSource, updatedAt: time }).strict();

/** Everything in one file. A change of shape is a new number, with a way to read the old one. */
export const ArchiveSchema = z
  .object({
    schema: z.literal('dulvet.archive/1'),
    recipes: z.array(recipe),
    diners: z.array(diner),
    // files from before packets were kept have none
    packets: z.array(packet).default([]),
    protocols: z.array(protocol).default([]),
    meanings: z.array(meaning).default([]),
    // files from before the kitchen was kept have none
    kitchen: z.array(kitchenFood).default([]),
    swapUses: z.array(swapUse).default([]),
    settings: z.object({
      measures: z
        .object({ cup: z.enum(['us', 'metric']), tablespoon: z.enum(['us', 'australian']) })
        .strict(),
      theme: z.enum(['system', 'day', 'night']),
      currency: z.string().max(4).default(DEFAULT_SETTINGS.currency),
    }),
  })
  .strict();
export type Archive = z.infer<typeof ArchiveSchema>;

export async function exportArchive(db: DulvetDatabase): Promise<Archive> {
  const settings = Object.fromEntries((await db.settings.toArray()).map((s) => [s.key, s.value]));
  return ArchiveSchema.parse({
    schema: 'dulvet.archive/1',
    recipes: await db.recipes.toArray(),
    diners: await db.diners.orderBy('order').toArray(),
    packets: await db.packets.toArray(),
    protocols: await db.protocols.toArray(),
    meanings: await db.meanings.toArray(),
    kitchen: await db.kitchen.toArray(),
    swapUses: await db.swapUses.toArray(),
    settings: {
      measures: settings.measures ?? DEFAULT_SETTINGS.measures,
      theme: settings.theme ?? DEFAULT_SETTINGS.theme,
      currency: settings.currency ?? DEFAULT_SETTINGS.currency,
    },
  });
}

export type ArchiveReading =
  { readonly ok: true; readonly archive: Archive } | { readonly ok: false; readonly message: string };

/** Line and column of a position, counted from 1. */
function placeOf(text: string, at: number): string {
  const before = text.slice(0, at);
  return `line ${before.split('\n').length}, column ${at - before.lastIndexOf('\n')}`;
}

/** Reads an exported file; says where and why it is refused. Changes nothing. */
export function readArchive(text: string): ArchiveReading {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    const at = /position (\d+)/.exec((error as Error).message)?.[1];
    return {
      ok: false,
      message: `This is not a JSON file${at ? ` (${placeOf(text, Number(at))})` : ''}. Nothing was changed.`,
    };
  }
  const parsed = ArchiveSchema.safeParse(value);
  if (parsed.success) {
    for (const table of ['recipes', 'diners', 'packets', 'protocols'] as const) {
      const ids = parsed.data[table].map((r) => r.id);
      const twice = ids.find((id, i) => ids.indexOf(id) !== i);
      if (twice)
        return { ok: false, message: `${table}: the id "${twice}" stands twice. Nothing was changed.` };
    }
    for (const [i, p] of parsed.data.protocols.entries()) {
      const resolved = resolveProtocol(p.source, SWITCHES);
      if (!resolved.ok)
        return {
          ok: false,
          message: `protocols [${i + 1}] ${resolved.path}: ${resolved.message}. Nothing was changed.`,
        };
    }
    return { ok: true, archive: parsed.data };
  }
  const schema = (value as { schema?: unknown } | null)?.schema;
  if (typeof schema === 'string' && schema.startsWith('dulvet.') && schema !== 'dulvet.archive/1')
    return {
      ok: false,
      message: `This file is "${schema}", not an archive of this version. Nothing was changed.`,
    };
  const [issue] = parsed.error.issues;
  const where = issue?.path.length
    ? issue.path.map((p) => (typeof p === 'number' ? `[${p + 1}]` : String(p))).join(' ')
    : 'the file';
  return {
    ok: false,
    message: `${where}: ${issue?.message ?? 'is not as it should be'}. Nothing was changed.`,
  };
}

/** Puts an archive's recipes, diners, packets and words beside what is there; the same id is replaced. All or nothing. */
export async function importArchive(db: DulvetDatabase, archive: Archive): Promise<void> {
  await db.transaction(
    'rw',
    [db.recipes, db.diners, db.settings, db.packets, db.meanings, db.protocols, db.kitchen, db.swapUses],
    async () => {
      await db.recipes.bulkPut(
        archive.recipes.map((r) => ({ ...r, corrections: cleanCorrections(r.corrections) })),
      );
      await db.diners.bulkPut(archive.diners);
      await db.packets.bulkPut(archive.packets);
      await db.protocols.bulkPut(archive.protocols);
      await db.meanings.bulkPut(archive.meanings);
      await db.kitchen.bulkPut(archive.kitchen);
      await db.swapUses.bulkPut(archive.swapUses);
      await db.settings.put({ key: 'measures', value: archive.settings.measures });
      await db.settings.put({ key: 'theme', value: archive.settings.theme });
      await db.settings.put({ key: 'currency', value: archive.settings.currency });
    },
  );
}

const cleanCorrections = (all: Archive['recipes'][number]['corrections']) =>
  Object.fromEntries(
    Object.entries(all).map(([line, c]) => [
      line,
      {
        ...(c.foodId === undefined ? {} : { foodId: c.foodId }),
        ...(c.grams === undefined ? {} : { grams: c.grams }),
        ...(c.role === undefined ? {} : { role: c.role }),
      },
    ]),
  );
