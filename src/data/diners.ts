import type { DulvetDatabase, StoredDiner } from './db';

/** A diner who is new: no allergies, a plate like everybody's. */
export const newDiner = (name: string, protocol: string, order: number): StoredDiner => ({
  id: crypto.randomUUID(),
  name,
  protocol,
  allergens: [],
  dislikes: [],
  appetite: 1,
  medical: false,
  order,
});

export const listDiners = (db: DulvetDatabase): Promise<StoredDiner[]> =>
  db.diners.orderBy('order').toArray();
export const saveDiner = (db: DulvetDatabase, diner: StoredDiner): Promise<string> => db.diners.put(diner);
export const removeDiner = (db: DulvetDatabase, id: string): Promise<void> => db.diners.delete(id);
