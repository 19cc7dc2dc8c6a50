import type { DulvetDatabase, StoredDiner } from './db';

export const listDiners = (db: DulvetDatabase): Promise<StoredDiner[]> =>
  db.diners.orderBy('order').toArray();
export const saveDiner = (db: DulvetDatabase, diner: StoredDiner): Promise<string> => db.diners.put(diner);
export const removeDiner = (db: DulvetDatabase, id: string): Promise<void> => db.diners.delete(id);
