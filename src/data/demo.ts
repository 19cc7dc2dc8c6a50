import raw from '@content/compiled/demo.json';
import type { Packet } from '@/core/label/schema';
import type { RoleId } from '@/core/protocol';
import type { DulvetDatabase, StoredDiner, StoredKitchenFood, StoredSwapUse } from './db';
import { newId } from './ids';
import { newRecipe } from './recipes';

interface Demo {
  readonly diners: readonly Omit<StoredDiner, 'id' | 'order' | 'updatedAt'>[];
  readonly packets: readonly Packet[];
  readonly kitchen: readonly Omit<StoredKitchenFood, 'updatedAt'>[];
  readonly swapUses: readonly Omit<StoredSwapUse, 'updatedAt'>[];
  readonly recipes: readonly { text: string; role: RoleId | null }[];
}
// checked by Zod when content is compiled
const demo = raw as unknown as Demo;

/** Fills an empty database with the demo kitchen, once; gives the recipe to open. */
export async function seedDemo(db: DulvetDatabase, now: number): Promise<string | null> {
  const tables = [db.recipes, db.diners, db.settings, db.packets, db.kitchen, db.swapUses];
  return db.transaction('rw', tables, async () => {
    const seeded = await db.settings.get('seeded');
    if (seeded?.value === true || (await db.recipes.count()) > 0) return null;
    const recipes = demo.recipes.map((r, i) => newRecipe(r.text, now - i * 60_000, { role: r.role }));
    await db.recipes.bulkAdd(recipes);
    await db.diners.bulkAdd(demo.diners.map((d, order) => ({ ...d, id: newId(), order, updatedAt: now })));
    await db.packets.bulkPut(demo.packets.map((p) => ({ ...p, updatedAt: now })));
    await db.kitchen.bulkPut(demo.kitchen.map((k) => ({ ...k, updatedAt: now })));
    await db.swapUses.bulkPut(demo.swapUses.map((u) => ({ ...u, updatedAt: now })));
    await db.settings.put({ key: 'seeded', value: true });
    const first = recipes[0]?.id ?? null;
    await db.settings.put({ key: 'openRecipe', value: first });
    return first;
  });
}

/** One recipe of the demo, for an empty bench that wants to be tried. */
export const sampleText = (): string => demo.recipes[0]?.text ?? '';
