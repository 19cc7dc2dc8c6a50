import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { exportArchive, readArchive } from './archive';
import { importArchive } from './bring-in';
import { DulvetDatabase } from './db';
import { seedDemo } from './demo';
import { countSwaps, listKitchen, listSwapUses, sayOfFood, sayOfSwap, uncountSwaps } from './kitchen';
import { listPackets, newPacket } from './larder';
import { listRecipes, newRecipe } from './recipes';
import { readSettings, setSetting } from './settings';

let name = 0;
const fresh = () => new DulvetDatabase(`kitchen-${(name += 1)}`);

describe('version 3', () => {
  test('becomes version 4: recipes stand for themselves, the kitchen is empty', async () => {
    const old = new Dexie('migrating-3');
    old.version(3).stores({
      recipes: 'id, updatedAt, deletedAt',
      diners: 'id, order',
      settings: 'key',
      packets: 'id, updatedAt',
      meanings: 'words, updatedAt',
      protocols: 'id, updatedAt',
    });
    await old.open();
    const kept: Record<string, unknown> = { ...newRecipe('Pot\n1 onion', 7) };
    delete kept.versionOf;
    await old.table('recipes').add(kept);
    await old.table('packets').add({ ...newPacket('Stock'), updatedAt: 1 });
    old.close();
    const db = new DulvetDatabase('migrating-3');
    expect(await listRecipes(db)).toEqual([{ ...kept, versionOf: null }]);
    expect(await listPackets(db)).toHaveLength(1);
    expect(await listKitchen(db)).toEqual([]);
    expect(await listSwapUses(db)).toEqual([]);
  });
});

describe('the kitchen', () => {
  test('what is said of a food adds up, and goes when nothing is said any more', async () => {
    const db = fresh();
    await sayOfFood(db, 'onion', { has: true }, 1);
    await sayOfFood(db, 'onion', { price: { pays: 1.2, amount: '1 kg' } }, 2);
    expect(await listKitchen(db)).toEqual([
      { foodId: 'onion', has: true, liking: 0, price: { pays: 1.2, amount: '1 kg' }, updatedAt: 2 },
    ]);
    await sayOfFood(db, 'onion', { has: false }, 3);
    expect(await listKitchen(db)).toHaveLength(1);
    await sayOfFood(db, 'onion', { price: null }, 4);
    expect(await listKitchen(db)).toEqual([]);
  });
  test('swaps are counted, judged and taken back', async () => {
    const db = fresh();
    await countSwaps(db, ['saute-stock', 'salt-lemon', 'saute-stock'], 1);
    await countSwaps(db, ['saute-stock'], 2);
    await sayOfSwap(db, 'saute-stock', true, 3);
    expect(await listSwapUses(db)).toEqual([
      { swapId: 'salt-lemon', times: 1, worked: null, updatedAt: 1 },
      { swapId: 'saute-stock', times: 2, worked: true, updatedAt: 3 },
    ]);
    await uncountSwaps(db, ['saute-stock', 'salt-lemon'], 4);
    expect(await listSwapUses(db)).toEqual([{ swapId: 'saute-stock', times: 1, worked: true, updatedAt: 4 }]);
  });
  test('goes out to a file and comes back the same', async () => {
    const db = fresh();
    await seedDemo(db, 5_000_000);
    await setSetting(db, 'currency', 'kr');
    const reading = readArchive(JSON.stringify((await exportArchive(db)).archive));
    if (!reading.ok) throw new Error(reading.message);
    const other = fresh();
    await importArchive(other, reading.archive, 'keep', 6_000_000);
    expect(await listKitchen(other)).toEqual(await listKitchen(db));
    expect((await listKitchen(other)).length).toBeGreaterThan(60);
    expect(await listSwapUses(other)).toEqual(await listSwapUses(db));
    expect((await readSettings(other)).currency).toBe('kr');
  });
});
