import Dexie, { type DexieOptions, type EntityTable } from 'dexie';
import type {
  StoredRecipe,
  StoredEdit,
  StoredImport,
  StoredDiner,
  StoredPacket,
  StoredMeaning,
  StoredProtocol,
  StoredKitchenFood,
  StoredSwapUse,
  StoredSupper,
  StoredCooking,
  StoredBox,
  StoredWeek,
  StoredJudged,
  StoredHand,
  StoredSetting,
} from './stored';

export type * from './stored';

/** The browser's database. A change of its shape is a new version with its migration, tested. */
export class DulvetDatabase extends Dexie {
  recipes!: EntityTable<StoredRecipe, 'id'>;
  diners!: EntityTable<StoredDiner, 'id'>;
  settings!: EntityTable<StoredSetting, 'key'>;
  packets!: EntityTable<StoredPacket, 'id'>;
  meanings!: EntityTable<StoredMeaning, 'words'>;
  protocols!: EntityTable<StoredProtocol, 'id'>;
  kitchen!: EntityTable<StoredKitchenFood, 'foodId'>;
  swapUses!: EntityTable<StoredSwapUse, 'swapId'>;
  edits!: EntityTable<StoredEdit, 'seq'>;
  imports!: EntityTable<StoredImport, 'id'>;
  suppers!: EntityTable<StoredSupper, 'id'>;
  cookings!: EntityTable<StoredCooking, 'id'>;
  boxes!: EntityTable<StoredBox, 'id'>;
  hand!: EntityTable<StoredHand, 'unit'>;
  weeks!: EntityTable<StoredWeek, 'id'>;
  judged!: EntityTable<StoredJudged, 'id'>;

  constructor(name = 'dulvet', options?: DexieOptions) {
    super(name, options);
    this.version(1).stores({ recipes: 'id, updatedAt', diners: 'id, order', settings: 'key' });
    // 2: recipes are thrown away before they are gone
    this.version(2)
      .stores({ recipes: 'id, updatedAt, deletedAt' })
      .upgrade((tx) =>
        tx
          .table<StoredRecipe>('recipes')
          .toCollection()
          .modify((recipe) => {
            Object.assign(recipe, { deletedAt: recipe.deletedAt ?? null });
          }),
      );
    // 3: packets and protocols of the cook's own, what she means by her words, dishes that were weighed,
    // diners with appetites and dislikes
    this.version(3)
      .stores({ packets: 'id, updatedAt', meanings: 'words, updatedAt', protocols: 'id, updatedAt' })
      .upgrade(async (tx) => {
        await tx
          .table<StoredRecipe>('recipes')
          .toCollection()
          .modify((recipe) => {
            Object.assign(recipe, { potG: null, plateG: null });
          });
        await tx
          .table<StoredDiner>('diners')
          .toCollection()
          .modify((diner) => {
            Object.assign(diner, { dislikes: [], appetite: 1, medical: false });
          });
      });
    // 4: what is in the kitchen, how it is liked and what it costs; swaps that were made; versions of a recipe
    this.version(4)
      .stores({ kitchen: 'foodId, updatedAt', swapUses: 'swapId, updatedAt' })
      .upgrade((tx) =>
        tx
          .table<StoredRecipe>('recipes')
          .toCollection()
          .modify((recipe) => {
            Object.assign(recipe, { versionOf: null });
          }),
      );
    // 5: undo that outlives the view, writes that are counted, a file brought in that can be taken back
    this.version(5)
      .stores({ edits: '++seq, recipeId', imports: 'id' })
      .upgrade(async (tx) => {
        await tx
          .table<StoredRecipe>('recipes')
          .toCollection()
          .modify((recipe) => {
            Object.assign(recipe, { rev: 0 });
          });
        await tx
          .table<StoredDiner>('diners')
          .toCollection()
          .modify((diner) => {
            Object.assign(diner, { updatedAt: 0 });
          });
      });
    // 6: the supper on the Stove, the Log of what was cooked, boxes of leftovers, the cook's own hand, the week
    this.version(6).stores({
      suppers: 'id',
      cookings: 'id, cookedAt, recipeId',
      boxes: 'id, madeAt',
      hand: 'unit',
      weeks: 'id',
    });
    // 7: what the Shelf worked out of each recipe, under the key of all it hangs on; nothing of the cook's is in it
    this.version(7).stores({ judged: 'id' });
  }
}

let open: DulvetDatabase | null = null;

/** The one database of this page. */
export function database(): DulvetDatabase {
  open ??= new DulvetDatabase();
  return open;
}

/**
 * A database in memory from now on, for a browser that keeps nothing: it lasts as long as the page. The public
 * implementation that tests use stands in for the browser's own.
 */
export async function keepInMemory(): Promise<DulvetDatabase> {
  const { indexedDB, IDBKeyRange } = await import('fake-indexeddb');
  // live queries look here whether there is a database at all
  Object.assign(Dexie.dependencies, { indexedDB, IDBKeyRange });
  open?.close();
  open = new DulvetDatabase('dulvet', { indexedDB, IDBKeyRange });
  return open;
}
