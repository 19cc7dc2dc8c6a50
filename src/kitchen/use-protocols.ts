'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { PROTOCOLS, settled, type Protocol } from '@/core/protocol';
import { database, type StoredProtocol } from '@/data/db';
import { listProtocols } from '@/data/protocols';

const NONE: StoredProtocol[] = [];

/** All protocols: the shipped ones, then the cook's own as kept. */
export function useProtocols(): {
  readonly own: readonly StoredProtocol[];
  readonly all: readonly Protocol[];
  readonly byId: (id: string) => Protocol | undefined;
} {
  const own = useLiveQuery(() => listProtocols(database()), [], NONE);
  return useMemo(() => {
    const all = [...PROTOCOLS, ...own.flatMap((p) => settled(p.source) ?? [])];
    const index = new Map(all.map((p) => [p.id, p]));
    return { own, all, byId: (id: string) => index.get(id) };
  }, [own]);
}
