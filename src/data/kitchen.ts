import type { DulvetDatabase, StoredKitchenFood, StoredSwapUse } from './db';

/** What the cook has said of foods. */
export const listKitchen = (db: DulvetDatabase): Promise<StoredKitchenFood[]> => db.kitchen.toArray();

/** Swaps that were made here. */
export const listSwapUses = (db: DulvetDatabase): Promise<StoredSwapUse[]> => db.swapUses.toArray();

/** Says something of a food; what else was said of it stays. A food of which nothing is said any more is not kept. */
export const sayOfFood = (
  db: DulvetDatabase,
  foodId: string,
  said: Partial<Pick<StoredKitchenFood, 'has' | 'liking' | 'price'>>,
  now: number,
): Promise<void> =>
  db.transaction('rw', db.kitchen, async () => {
    const before = await db.kitchen.get(foodId);
    const next: StoredKitchenFood = {
      foodId,
      has: before?.has ?? false,
      liking: before?.liking ?? 0,
      price: before?.price ?? null,
      ...said,
      updatedAt: now,
    };
    if (!next.has && next.liking === 0 && next.price === null) await db.kitchen.delete(foodId);
    else await db.kitchen.put(next);
  });

/** Notes that swaps were made once more. */
export const countSwaps = (db: DulvetDatabase, swapIds: readonly string[], now: number): Promise<void> =>
  db.transaction('rw', db.swapUses, async () => {
    for (const swapId of new Set(swapIds)) {
      const before = await db.swapUses.get(swapId);
      await db.swapUses.put({
        swapId,
        times: (before?.times ?? 0) + 1,
        worked: before?.worked ?? null,
        updatedAt: now,
      });
    }
  });

/** Takes back that swaps were made; one that was never made any more is not kept. */
export const uncountSwaps = (db: DulvetDatabase, swapIds: readonly string[], now: number): Promise<void> =>
  db.transaction('rw', db.swapUses, async () => {
    for (const swapId of new Set(swapIds)) {
      const before = await db.swapUses.get(swapId);
      if (!before) continue;
      if (before.times <= 1) await db.swapUses.delete(swapId);
      else await db.swapUses.put({ ...before, times: before.times - 1, updatedAt: now });
    }
  });

/** Says whether a swap that was made worked. */
export const sayOfSwap = (
  db: DulvetDatabase,
  swapId: string,
  worked: boolean | null,
  now: number,
): Promise<number> => db.swapUses.update(swapId, { worked, updatedAt: now });
