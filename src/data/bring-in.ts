import type { Archive, TableName } from './archive';
import type { DulvetDatabase, StoredImport, StoredRecipe } from './db';
import { spliceOf } from './splice';

type Row = Readonly<Record<string, unknown>>;
const TABLES: readonly TableName[] = [
  'recipes',
  'diners',
  'packets',
  'protocols',
  'meanings',
  'kitchen',
  'swapUses',
  'cookings',
  'boxes',
  'hand',
  'suppers',
  'weeks',
];
const KEYS: Record<TableName, string> = {
  recipes: 'id',
  diners: 'id',
  packets: 'id',
  protocols: 'id',
  meanings: 'words',
  kitchen: 'foodId',
  swapUses: 'swapId',
  cookings: 'id',
  boxes: 'id',
  hand: 'unit',
  suppers: 'id',
  weeks: 'id',
};
const SETTINGS = ['measures', 'theme', 'currency', 'natural', 'goals', 'singleKeys'] as const;

/** When a row was last touched: thrown away counts too. */
const touched = (row: Row): number =>
  Math.max(Number(row.updatedAt ?? 0), Number((row as Partial<StoredRecipe>).deletedAt ?? 0));

/** A row as a file holds it: without what only this browser counts. */
function plain(row: Row): Row {
  const { rev: _, ...rest } = row as Row & { rev?: unknown };
  return rest;
}
/** What a row says, whenever it was said. */
function said(row: Row): Row {
  const { updatedAt: _, ...rest } = plain(row) as Row & { updatedAt?: unknown };
  return rest;
}
const sorted = (_: string, value: unknown) =>
  value !== null && typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;
const same = (a: Row, b: Row): boolean => JSON.stringify(said(a), sorted) === JSON.stringify(said(b), sorted);

/** What a file would do here, row by row. */
export interface ImportPlan {
  readonly added: number;
  /** Rows here that the file has in a later state. */
  readonly newer: number;
  /** Rows here that were touched after the file's. */
  readonly older: number;
  readonly same: number;
}

async function compare(db: DulvetDatabase, archive: Archive) {
  const out: { table: TableName; key: string; here: Row | undefined; row: Row; kind: keyof ImportPlan }[] =
    [];
  for (const table of TABLES) {
    const rows = archive[table] as readonly Row[];
    const here = (await db.table(table).bulkGet(rows.map((r) => r[KEYS[table]] as string))) as (
      Row | undefined
    )[];
    rows.forEach((row, i) => {
      const own = here[i];
      // what stands on the Stove here is being cooked, and this week is this week: a file does not take them away
      const cooking = (table === 'suppers' || table === 'weeks') && own !== undefined;
      const kind = !own
        ? 'added'
        : cooking || same(own, row)
          ? 'same'
          : touched(own) > touched(row)
            ? 'older'
            : 'newer';
      out.push({ table, key: row[KEYS[table]] as string, here: own, row, kind });
    });
  }
  return out;
}

/** Looks what bringing a file in would do; changes nothing. */
export async function planImport(db: DulvetDatabase, archive: Archive): Promise<ImportPlan> {
  const rows = await compare(db, archive);
  const count = (kind: keyof ImportPlan) => rows.filter((r) => r.kind === kind).length;
  return { added: count('added'), newer: count('newer'), older: count('older'), same: count('same') };
}

/** A recipe from elsewhere in the place of one here, as one more step of its undo. */
async function putRecipe(
  db: DulvetDatabase,
  here: StoredRecipe | undefined,
  row: Row,
  now: number,
): Promise<void> {
  const next = { ...row, rev: (here?.rev ?? 0) + 1 } as unknown as StoredRecipe;
  await db.recipes.put(next);
  if (!here) return;
  const lines = [...new Set([...Object.keys(here.corrections), ...Object.keys(next.corrections)])];
  const fields = (r: StoredRecipe) => ({
    role: r.role,
    servings: r.servings,
    potG: r.potG,
    plateG: r.plateG,
    corrections: Object.fromEntries(
      lines.map((l) => [l, Object.hasOwn(r.corrections, l) ? (r.corrections[l] ?? null) : null]),
    ),
  });
  await db.edits
    .where('recipeId')
    .equals(here.id)
    .filter((e) => e.undone)
    .delete();
  await db.edits.add({
    recipeId: here.id,
    text: here.text === next.text ? null : spliceOf(here.text, next.text),
    before: fields(here),
    after: fields(next),
    key: null,
    undone: false,
    swaps: [],
    counts: 1,
    at: now,
  });
}

const everything = (db: DulvetDatabase) => [
  ...TABLES.map((t) => db.table(t)),
  db.settings,
  db.edits,
  db.imports,
];

/** Settings that speak of what is in the kitchen: they go with it. */
const OF_THE_KITCHEN = ['openRecipe', 'diner', 'draft'] as const;

/**
 * Puts everything away: an empty kitchen. What was there is remembered like a file that was brought in, so that
 * `undoImport` takes it all back.
 */
export async function emptyKitchen(db: DulvetDatabase, now: number): Promise<void> {
  await db.transaction('rw', everything(db), async () => {
    const before: Record<string, unknown[]> = {};
    for (const table of TABLES) {
      before[table] = await db.table(table).toArray();
      await db.table(table).clear();
    }
    const kept = await db.settings.bulkGet([...OF_THE_KITCHEN]);
    before.settings = OF_THE_KITCHEN.map((key, i) => ({ key, value: kept[i]?.value }));
    await db.settings.bulkDelete([...OF_THE_KITCHEN]);
    await db.imports.put({ id: 'last', at: now, before, added: {} });
  });
}

/**
 * Puts an archive's rows beside what is here, all or nothing; what it replaced is remembered, so that `undoImport`
 * takes the whole of it back.
 *
 * @param older what becomes of rows that were touched here after the file was made
 */
export async function importArchive(
  db: DulvetDatabase,
  archive: Archive,
  older: 'keep' | 'replace',
  now: number,
): Promise<ImportPlan> {
  return db.transaction('rw', everything(db), async () => {
    const rows = await compare(db, archive);
    const before: Record<string, Row[]> = {};
    const added: Record<string, string[]> = {};
    for (const { table, key, here, row, kind } of rows) {
      if (kind === 'same' || (kind === 'older' && older === 'keep')) continue;
      if (here) (before[table] ??= []).push(here);
      else (added[table] ??= []).push(key);
      if (table === 'recipes') await putRecipe(db, here as unknown as StoredRecipe | undefined, row, now);
      else await db.table(table).put(row);
    }
    const kept = await db.settings.bulkGet([...SETTINGS]);
    before.settings = SETTINGS.map((key, i) => ({ key, value: kept[i]?.value }));
    const { settings } = archive;
    // a file of some recipes says nothing of the kitchen
    if (settings) await db.settings.bulkPut(SETTINGS.map((key) => ({ key, value: settings[key] })));
    await db.imports.put({ id: 'last', at: now, before, added });
    const count = (kind: keyof ImportPlan) => rows.filter((r) => r.kind === kind).length;
    return { added: count('added'), newer: count('newer'), older: count('older'), same: count('same') };
  });
}

/** The last file brought in, while it can be taken back. */
export const lastImport = (db: DulvetDatabase): Promise<StoredImport | undefined> => db.imports.get('last');

/**
 * Takes the last file that was brought in back, whole and in one transaction: what it added goes, what it replaced
 * returns. False where there is none.
 */
export async function undoImport(db: DulvetDatabase, now: number): Promise<boolean> {
  return db.transaction('rw', everything(db), async () => {
    const last = await lastImport(db);
    if (!last) return false;
    for (const table of TABLES) {
      await db.table(table).bulkDelete([...(last.added[table] ?? [])]);
      for (const row of (last.before[table] ?? []) as Row[]) {
        if (table !== 'recipes') await db.table(table).put(row);
        else await putRecipe(db, await db.recipes.get(row.id as string), plain(row), now);
      }
    }
    for (const { key, value } of (last.before.settings ?? []) as { key: string; value: unknown }[])
      if (value === undefined) await db.settings.delete(key);
      else await db.settings.put({ key, value });
    await db.imports.clear();
    return true;
  });
}
