import Dexie, { type DexieOptions, type EntityTable } from 'dexie';
import type { ProtocolSource, RoleId } from '@/core/protocol';
import type { Price } from '@/core/cost/cost';
import type { Packet } from '@/core/label/schema';
import type { Correction, Corrections } from '@/core/read/types';
import type { Splice } from './splice';

/** A recipe as it is kept: the cook's text and what she said about it. All else is computed. */
export interface StoredRecipe {
  readonly id: string;
  readonly text: string;
  readonly role: RoleId | null;
  readonly servings: number | null;
  readonly corrections: Corrections;
  /** Grams of the whole dish and of one plate, as weighed; null where nobody did. */
  readonly potG: number | null;
  readonly plateG: number | null;
  /** The recipe that this one is a version of; null where it stands for itself. */
  readonly versionOf: string | null;
  /** Milliseconds since 1970. */
  readonly createdAt: number;
  readonly updatedAt: number;
  /** When it was thrown away; null while it is on the shelf. */
  readonly deletedAt: number | null;
  /** Counts its writes in this browser, so that a view knows which of two it saw is the later. */
  readonly rev: number;
}

/** What an edit changes of a recipe: only these fields are written, and of the corrections only these lines. */
export interface RecipePatch {
  readonly text?: string;
  readonly role?: RoleId | null;
  readonly servings?: number | null;
  readonly potG?: number | null;
  readonly plateG?: number | null;
  /** By the words of their line; null takes a correction away. */
  readonly corrections?: Readonly<Record<string, Correction | null>>;
}

/** An edit as it is kept for undo: what it changed, from what to what. */
export interface StoredEdit {
  readonly seq?: number;
  readonly recipeId: string;
  readonly text: Splice | null;
  readonly before: Omit<RecipePatch, 'text'>;
  readonly after: Omit<RecipePatch, 'text'>;
  /** Edits in a row with the same key are one step: a line being typed. */
  readonly key: string | null;
  readonly undone: boolean;
  /** Swaps that were counted with it; uncounted with it where `counts` is negative. */
  readonly swaps: readonly string[];
  readonly counts: 1 | -1;
  readonly at: number;
}

/** The last file that was brought in: what it replaced and added, so that it can be taken back whole. */
export interface StoredImport {
  readonly id: 'last';
  readonly at: number;
  readonly before: Readonly<Record<string, readonly unknown[]>>;
  readonly added: Readonly<Record<string, readonly string[]>>;
}

export interface StoredDiner {
  readonly id: string;
  readonly name: string;
  readonly protocol: string;
  readonly allergens: readonly string[];
  /** Foods they would rather not eat, in words. */
  readonly dislikes: readonly string[];
  /** Size of their plate against the recipe's own: 1 is the same. */
  readonly appetite: number;
  /** True where medical cautions concern them. */
  readonly medical: boolean;
  readonly order: number;
  readonly updatedAt: number;
}

/** A packet of the cook's own, as she typed it. */
export interface StoredPacket extends Packet {
  readonly updatedAt: number;
}

/** What the cook means by her words: "when I write stock I mean this one". */
export interface StoredMeaning {
  /** The words in one spelling (`wordsKey`). */
  readonly words: string;
  /** The words as she wrote them. */
  readonly said: string;
  readonly foodId: string;
  readonly updatedAt: number;
}

/** A protocol of the cook's own. */
export interface StoredProtocol {
  readonly id: string;
  readonly source: ProtocolSource;
  readonly updatedAt: number;
}

/** What the cook says of a food: that it is in the kitchen, how she likes it, what she pays for it. */
export interface StoredKitchenFood {
  readonly foodId: string;
  readonly has: boolean;
  /** 1 glad of it, -1 rather not, 0 not said. */
  readonly liking: -1 | 0 | 1;
  readonly price: Price | null;
  readonly updatedAt: number;
}

/** How often a swap was made here, and whether it worked; null while nobody has said. */
export interface StoredSwapUse {
  readonly swapId: string;
  readonly times: number;
  readonly worked: boolean | null;
  readonly updatedAt: number;
}

export interface StoredSetting {
  readonly key: string;
  readonly value: unknown;
}

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
