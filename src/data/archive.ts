import { z } from 'zod';
import { PROTOCOLS, SWITCHES } from '@/core/protocol';
import { resolveProtocol } from '@/core/protocol/resolve';
import { titleOf } from '@/core/recipe/title';
import type { DulvetDatabase } from './db';
import { DEFAULT_SETTINGS, readSettings } from './settings';

import {
  recipe,
  diner,
  packet,
  meaning,
  kitchenFood,
  swapUse,
  protocol,
  supper,
  cooking,
  box,
  week,
  hand,
} from './rows';

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
    // files from before the Stove have none
    cookings: z.array(cooking).default([]),
    boxes: z.array(box).default([]),
    hand: z.array(hand).default([]),
    suppers: z.array(supper).max(1).default([]),
    weeks: z.array(week).max(1).default([]),
    // a file of some recipes has none
    settings: z
      .object({
        measures: z
          .object({ cup: z.enum(['us', 'metric']), tablespoon: z.enum(['us', 'australian']) })
          .strict(),
        theme: z.enum(['system', 'day', 'night']),
        currency: z.string().max(4).default(DEFAULT_SETTINGS.currency),
        natural: z.boolean().default(DEFAULT_SETTINGS.natural),
        goals: z.record(z.string(), z.number().positive().max(20)).default({}),
        singleKeys: z.boolean().default(DEFAULT_SETTINGS.singleKeys),
      })
      .optional(),
  })
  .strict();
export type Archive = z.infer<typeof ArchiveSchema>;

/** A row that could not be written into the file, and why; the rest is in it. */
export interface LeftOut {
  readonly what: string;
  readonly why: string;
}

const ROWS = {
  recipes: recipe,
  diners: diner,
  packets: packet,
  protocols: protocol,
  meanings: meaning,
  kitchen: kitchenFood,
  swapUses: swapUse,
  cookings: cooking,
  boxes: box,
  hand,
  suppers: supper,
  weeks: week,
} as const;
export type TableName = keyof typeof ROWS;
const TABLES = Object.keys(ROWS) as TableName[];

/** What a cook calls a row. */
function nameOf(table: TableName, row: unknown): string {
  const r = row as { text?: string; name?: string; said?: string; source?: { name?: string }; id?: string };
  const name = r.text !== undefined ? titleOf(r.text) : (r.name ?? r.said ?? r.source?.name ?? r.id ?? '');
  return `${table}: ${(name || 'untitled').slice(0, 80)}`;
}

/** Rows as a file holds them; those that the file's own checks would refuse are named in `left`. */
function writable(table: TableName, rows: readonly unknown[], left: LeftOut[]): unknown[] {
  return rows.flatMap((row) => {
    // how often it was written here is no part of it
    const { rev: _, ...plain } = row as { rev?: number };
    const parsed = ROWS[table].safeParse(table === 'recipes' ? plain : row);
    if (parsed.success) return [parsed.data];
    const [issue] = parsed.error.issues;
    left.push({
      what: nameOf(table, row),
      why: `${issue?.path.map(String).join(' ') ?? ''}: ${issue?.message ?? 'is not as it should be'}`,
    });
    return [];
  });
}

/**
 * Everything that is kept, for a file. A row that cannot be written (by the same checks that reading it again makes) is
 * left out and named: one bad recipe does not keep the others from being saved.
 */
export async function exportArchive(
  db: DulvetDatabase,
): Promise<{ readonly archive: Archive; readonly left: readonly LeftOut[] }> {
  const left: LeftOut[] = [];
  const rowsOf = async (table: TableName): Promise<unknown[]> =>
    writable(
      table,
      table === 'diners' ? await db.diners.orderBy('order').toArray() : await db.table(table).toArray(),
      left,
    );
  const { measures, ...others } = await readSettings(db);
  // the cook's hand has rows of its own
  const { hand: _, ...cups } = measures;
  const settings = { ...others, measures: cups };
  const own = ArchiveSchema.shape.settings.safeParse(settings);
  if (!own.success) left.push({ what: 'settings', why: z.prettifyError(own.error) });
  const tables = Object.fromEntries(
    await Promise.all(TABLES.map(async (t) => [t, await rowsOf(t)] as const)),
  );
  return {
    archive: {
      schema: 'dulvet.archive/1',
      ...tables,
      settings: own.success ? own.data : ArchiveSchema.shape.settings.parse(DEFAULT_SETTINGS),
    } as Archive,
    left,
  };
}

/** Some recipes as a file that any kitchen can bring in; one that cannot be written is left out and named. */
export async function exportRecipes(
  db: DulvetDatabase,
  ids: readonly string[],
): Promise<{ readonly archive: Archive; readonly left: readonly LeftOut[] }> {
  const left: LeftOut[] = [];
  const kept = (await db.recipes.bulkGet([...ids])).filter((r) => r !== undefined);
  const recipes = writable('recipes', kept, left);
  return { archive: ArchiveSchema.parse({ schema: 'dulvet.archive/1', recipes, diners: [] }), left };
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
    for (const table of ['recipes', 'diners', 'packets', 'protocols', 'cookings', 'boxes'] as const) {
      const seen = new Set<string>();
      const twice = parsed.data[table].map((r) => r.id).find((id) => seen.size === seen.add(id).size);
      if (twice)
        return { ok: false, message: `${table}: the id "${twice}" stands twice. Nothing was changed.` };
    }
    for (const [i, p] of parsed.data.protocols.entries()) {
      if (PROTOCOLS.some((shipped) => shipped.id === p.id || shipped.id === p.source.id))
        return {
          ok: false,
          message: `protocols [${i + 1}] id: “${p.id}” is a protocol that Dulvet ships; it cannot be replaced. Nothing was changed.`,
        };
      if (p.id !== p.source.id)
        return {
          ok: false,
          message: `protocols [${i + 1}] source id: “${p.source.id}” is not the row’s own, “${p.id}”. Nothing was changed.`,
        };
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
