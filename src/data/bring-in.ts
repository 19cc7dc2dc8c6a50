import type { Archive, TableName } from './archive';
import type { DulvetDatabase, StoredImport, StoredRecipe } from './db';
import { titleOf } from '@/core/recipe/title';
import { mergeTexts } from './merge';
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
  const { updatedAt: _, shared: __, ...rest } = plain(row) as Row & { updatedAt?: unknown; shared?: unknown };
  return rest;
}
const sorted = (_: string, value: unknown) =>
  value !== null && typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;
const same = (a: Row, b: Row): boolean => JSON.stringify(said(a), sorted) === JSON.stringify(said(b), sorted);

/** A recipe whose same lines were changed on both sides. */
export interface Clash {
  readonly title: string;
  /** The words that gave way to the later ones. */
  readonly lines: readonly string[];
}

/** What a file would do here, row by row. */
export interface ImportPlan {
  readonly added: number;
  /** Recipes that were changed here and in the file, put together line by line. */
  readonly both: number;
  readonly clashes: readonly Clash[];
  /** Rows here that the file has in a later state. */
  readonly newer: number;
  /** Rows here that were touched after the file's. */
  readonly older: number;
  readonly same: number;
}

type Kind = Exclude<keyof ImportPlan, 'clashes'>;
interface Compared {
  readonly table: TableName;
  readonly key: string;
  readonly here: Row | undefined;
  readonly row: Row;
  readonly kind: Kind;
  readonly clash: Clash | null;
}

/** What both kitchens had of a recipe last; undefined where nothing says so. */
function commonOf(here: StoredRecipe, there: StoredRecipe): string | undefined {
  const known = [here.shared, there.shared].flatMap((s) => s ?? []);
  return known.sort((a, b) => b.at - a.at)[0]?.text;
}

/** A recipe that both kitchens changed since they had it in common, put together; null where that is not known. */
function putTogether(
  here: StoredRecipe,
  there: StoredRecipe,
  now: number,
): { readonly row: StoredRecipe; readonly clash: Clash | null } | null {
  const base = commonOf(here, there);
  if (base === undefined || here.text === there.text) return null;
  const later = touched(here as unknown as Row) > touched(there as unknown as Row) ? 'here' : 'there';
  const { text, clashes } = mergeTexts(base, here.text, there.text, later);
  const [first, last] = later === 'here' ? [there, here] : [here, there];
  const tags = [...new Set([...(here.tags ?? []), ...(there.tags ?? [])])];
  return {
    row: {
      ...first,
      ...last,
      text,
      corrections: { ...first.corrections, ...last.corrections },
      ...(tags.length > 0 ? { tags } : {}),
      updatedAt: now,
    },
    clash: clashes.length > 0 ? { title: titleOf(text), lines: clashes } : null,
  };
}

async function compare(db: DulvetDatabase, archive: Archive, now: number): Promise<Compared[]> {
  const out: Compared[] = [];
  for (const table of TABLES) {
    const rows = archive[table] as readonly Row[];
    const here = (await db.table(table).bulkGet(rows.map((r) => r[KEYS[table]] as string))) as (
      Row | undefined
    )[];
    rows.forEach((row, i) => {
      const own = here[i];
      // what stands on the Stove here is being cooked, and this week is this week: a file does not take them away
      const cooking = (table === 'suppers' || table === 'weeks') && own !== undefined;
      const unchanged = own !== undefined && same(own, row);
      const met =
        table === 'recipes' && own && !unchanged
          ? putTogether(own as unknown as StoredRecipe, row as unknown as StoredRecipe, now)
          : null;
      const kind: Kind = met
        ? 'both'
        : !own
          ? 'added'
          : cooking || unchanged
            ? 'same'
            : touched(own) > touched(row)
              ? 'older'
              : 'newer';
      const next = table === 'recipes' ? withShared((met?.row ?? row) as unknown as StoredRecipe, row) : row;
      out.push({
        table,
        key: row[KEYS[table]] as string,
        here: own,
        row: next,
        kind,
        clash: met?.clash ?? null,
      });
    });
  }
  return out;
}

/** A recipe that remembers the words of the file that it came from. */
const withShared = (recipe: StoredRecipe, row: Row): Row => ({
  ...(recipe as unknown as Row),
  shared: { text: row.text, at: touched(row) },
});

function planOf(rows: readonly Compared[]): ImportPlan {
  const count = (kind: Kind) => rows.filter((r) => r.kind === kind).length;
  return {
    added: count('added'),
    both: count('both'),
    newer: count('newer'),
    older: count('older'),
    same: count('same'),
    clashes: rows.flatMap((r) => r.clash ?? []),
  };
}

/** Looks what bringing a file in would do; changes nothing. */
export const planImport = async (db: DulvetDatabase, archive: Archive, now = 0): Promise<ImportPlan> =>
  planOf(await compare(db, archive, now));

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
    const rows = await compare(db, archive, now);
    const before: Record<string, Row[]> = {};
    const added: Record<string, string[]> = {};
    for (const { table, key, here, row, kind } of rows) {
      if (kind === 'same' && table === 'recipes' && here)
        await db.recipes.update(key, { shared: row.shared } as Partial<StoredRecipe>);
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
    return planOf(rows);
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
