import type { DulvetDatabase, StoredBox, StoredCooking, StoredHand, StoredSupper } from './db';
import { keptText, type KeptRecipe } from '@/core/read/library';
import { newId } from './ids';

/** Cookings, the last first. */
export const listCookings = (db: DulvetDatabase): Promise<StoredCooking[]> =>
  db.cookings.orderBy('cookedAt').reverse().toArray();

export const saveCooking = (db: DulvetDatabase, cooking: StoredCooking): Promise<string> =>
  db.cookings.put(cooking);

/** Changes some fields of a cooking. */
export const changeCooking = (
  db: DulvetDatabase,
  id: string,
  patch: Partial<Omit<StoredCooking, 'id'>>,
  now: number,
): Promise<number> => db.cookings.update(id, { ...patch, updatedAt: now });

/** Takes a cooking out of the Log; gives it, so that it can be put back. */
export const removeCooking = (db: DulvetDatabase, id: string): Promise<StoredCooking | undefined> =>
  db.transaction('rw', db.cookings, async () => {
    const cooking = await db.cookings.get(id);
    await db.cookings.delete(id);
    return cooking;
  });

/** A dish of a supper as the Log keeps it. */
export interface Finished {
  readonly title: string;
  /** The text with what was added. */
  readonly after: string;
  /** Minutes that deeds really took, by the verb. */
  readonly minutes: Readonly<Record<string, number>>;
}

/** Puts a supper into the Log, a cooking a dish, and clears the Stove: both or neither. Gives the cookings' ids. */
export const finishSupper = (
  db: DulvetDatabase,
  supper: StoredSupper,
  dishes: readonly Finished[],
  now: number,
): Promise<string[]> =>
  db.transaction('rw', [db.suppers, db.cookings], async () => {
    const made = supper.dishes.map(({ recipe, times }, i): StoredCooking => ({
      id: newId(),
      recipeId: recipe.id,
      title: dishes[i]?.title ?? 'Untitled recipe',
      text: recipe.text,
      after: dishes[i]?.after ?? recipe.text,
      times,
      cookedAt: supper.startedAt ?? now,
      tookMinutes: supper.startedAt === null ? null : Math.round((now - supper.startedAt) / 60_000),
      minutes: dishes[i]?.minutes ?? {},
      added: supper.added.filter((a) => a.dish === i).map((a) => a.text),
      potG: null,
      plates: null,
      words: [],
      note: '',
      photo: null,
      updatedAt: now,
    }));
    await db.cookings.bulkAdd(made);
    await db.suppers.delete('open');
    return made.map((c) => c.id);
  });

/** Boxes that are not eaten, the oldest first. */
export const listBoxes = async (db: DulvetDatabase): Promise<StoredBox[]> =>
  (await db.boxes.orderBy('madeAt').toArray()).filter((b) => !b.eaten);

/** Boxes as what other dishes may be made of: each what it was cooked to, with all that was added. */
export const boxesAsKept = (boxes: readonly StoredBox[], cookings: readonly StoredCooking[]): KeptRecipe[] =>
  boxes.flatMap((box): KeptRecipe[] => {
    const cooking = cookings.find((c) => c.id === box.cookingId);
    return cooking
      ? [
          {
            ...keptText(`box-${box.id}`, cooking.after),
            servings:
              cooking.plates === null ? null : Math.max(1, Math.round(cooking.plates / cooking.times)),
            potG: cooking.potG === null ? null : cooking.potG / cooking.times,
            box: { name: box.name, grams: box.grams },
          },
        ]
      : [];
  });

export const saveBox = (db: DulvetDatabase, box: StoredBox): Promise<string> => db.boxes.put(box);

export const setEaten = (db: DulvetDatabase, id: string, eaten: boolean, now: number): Promise<number> =>
  db.boxes.update(id, { eaten, updatedAt: now });

export const newBox = (
  name: string,
  grams: number,
  place: StoredBox['place'],
  cookingId: string | null,
  now: number,
): StoredBox => ({ id: newId(), name, cookingId, grams, place, madeAt: now, eaten: false, updatedAt: now });

export const listHand = (db: DulvetDatabase): Promise<StoredHand[]> => db.hand.toArray();

/** Learns what a loose measure of the cook's own holds, one weighing more. */
export const learnHand = (db: DulvetDatabase, unit: string, ml: number, now: number): Promise<string> =>
  db.transaction('rw', db.hand, async () => {
    const before = await db.hand.get(unit);
    return db.hand.put({ unit, ml: [...(before?.ml ?? []), ml], updatedAt: now });
  });

/** Forgets the last weighing of a measure; the measure itself where it was the only one. */
export const unlearnHand = (db: DulvetDatabase, unit: string, now: number): Promise<void> =>
  db.transaction('rw', db.hand, async () => {
    const before = await db.hand.get(unit);
    const ml = before?.ml.slice(0, -1) ?? [];
    if (ml.length > 0) await db.hand.put({ unit, ml, updatedAt: now });
    else await db.hand.delete(unit);
  });
