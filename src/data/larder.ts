import { wordsKey } from '@/core/food/larder';
import type { Packet } from '@/core/label/schema';
import type { DulvetDatabase, StoredMeaning, StoredPacket } from './db';
import { newId } from './ids';

/** Packets of the cook's own, by name. */
export const listPackets = async (db: DulvetDatabase): Promise<StoredPacket[]> =>
  (await db.packets.toArray()).sort((a, b) => a.name.localeCompare(b.name));

export const savePacket = (db: DulvetDatabase, packet: Packet, now: number): Promise<string> =>
  db.packets.put({ ...packet, updatedAt: now });

/** Changes some of a packet's fields; one that is not kept yet is kept whole. */
export const changePacket = (
  db: DulvetDatabase,
  packet: Packet,
  patch: Partial<Omit<Packet, 'id'>>,
  now: number,
): Promise<string> =>
  db.transaction('rw', db.packets, async () => {
    const kept = await db.packets.get(packet.id);
    return db.packets.put({ ...(kept ?? packet), ...patch, updatedAt: now });
  });

export const removePacket = (db: DulvetDatabase, id: string): Promise<void> => db.packets.delete(id);

/** A packet that is new now. */
export const newPacket = (name = ''): Packet => ({
  id: `own-${newId()}`,
  name,
  names: [],
  label: '',
  like: null,
});

/** What the cook means by her words, the last said first. */
export const listMeanings = (db: DulvetDatabase): Promise<StoredMeaning[]> =>
  db.meanings.orderBy('updatedAt').reverse().toArray();

/** Remembers what the cook means by words; gives what she meant before, for taking it back. */
export async function remember(
  db: DulvetDatabase,
  said: string,
  foodId: string,
  now: number,
): Promise<StoredMeaning | undefined> {
  const words = wordsKey(said);
  if (!words) return undefined;
  const before = await db.meanings.get(words);
  await db.meanings.put({ words, said, foodId, updatedAt: now });
  return before;
}

export const forget = (db: DulvetDatabase, words: string): Promise<void> => db.meanings.delete(words);

/** Puts a meaning back as it was. */
export const restoreMeaning = (db: DulvetDatabase, meaning: StoredMeaning): Promise<string> =>
  db.meanings.put(meaning);
