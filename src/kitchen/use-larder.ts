'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { larderOf, type Larder, type Meanings } from '@/core/food/larder';
import { foodsOf } from '@/core/label/packet';
import { database, type StoredMeaning, type StoredPacket } from '@/data/db';
import { listMeanings, listPackets } from '@/data/larder';

const NO_PACKETS: StoredPacket[] = [];
const NO_MEANINGS: StoredMeaning[] = [];

/** The cook's packets and words, as kept, and the larder they make with the composition table. */
export function useLarder(): {
  readonly packets: readonly StoredPacket[];
  readonly meanings: readonly StoredMeaning[];
  readonly byWords: Meanings;
  readonly larder: Larder;
} {
  const packets = useLiveQuery(() => listPackets(database()), [], NO_PACKETS);
  const meanings = useLiveQuery(() => listMeanings(database()), [], NO_MEANINGS);
  const own = useMemo(() => foodsOf(packets), [packets]);
  const byWords = useMemo(() => Object.fromEntries(meanings.map((m) => [m.words, m.foodId])), [meanings]);
  const larder = useMemo(() => larderOf(own, byWords), [own, byWords]);
  return { packets, meanings, byWords, larder };
}
