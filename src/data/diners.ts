import type { DulvetDatabase, StoredDiner } from './db';
import { newId } from './ids';

/** A diner who is new: no allergies, a plate like everybody's. */
export const newDiner = (name: string, protocol: string, order: number): StoredDiner => ({
  id: newId(),
  name,
  protocol,
  allergens: [],
  dislikes: [],
  appetite: 1,
  medical: false,
  order,
  updatedAt: 0,
});

export const listDiners = (db: DulvetDatabase): Promise<StoredDiner[]> =>
  db.diners.orderBy('order').toArray();
export const saveDiner = (db: DulvetDatabase, diner: StoredDiner): Promise<string> => db.diners.put(diner);

/** Changes some of what is kept of a diner, and nothing else: another tab may have changed the rest. */
export const changeDiner = (
  db: DulvetDatabase,
  id: string,
  patch: Partial<Omit<StoredDiner, 'id' | 'updatedAt'>>,
  now: number,
): Promise<number> => db.diners.update(id, { ...patch, updatedAt: now });

/** Adds or takes away one allergen, whatever else another tab has made of them. */
export const sayAllergen = (
  db: DulvetDatabase,
  id: string,
  allergen: string,
  mustNot: boolean,
  now: number,
): Promise<number> =>
  db.diners
    .where('id')
    .equals(id)
    .modify((diner) => {
      const others = diner.allergens.filter((a) => a !== allergen);
      Object.assign(diner, { allergens: mustNot ? [...others, allergen] : others, updatedAt: now });
    });

export const removeDiner = (db: DulvetDatabase, id: string): Promise<void> => db.diners.delete(id);
