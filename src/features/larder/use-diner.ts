'use client';
import { useMemo } from 'react';
import { protocolById, PROTOCOLS, type Protocol } from '@/core/protocol';
import { useDiners } from '../bench/use-table';
import { useSettings } from '../settings/use-settings';

/** Somebody at the table and their protocol. */
export interface TableDiner {
  readonly id: string;
  readonly name: string;
  readonly protocol: Protocol;
}

/** Everyone at the table, and the one whose limits are looked at. */
export function useDiner(): { readonly diners: readonly TableDiner[]; readonly current: TableDiner } {
  const stored = useDiners();
  const settings = useSettings();
  return useMemo(() => {
    const diners = stored.flatMap(({ id, name, protocol }) => {
      const found = protocolById(protocol);
      return found ? [{ id, name, protocol: found }] : [];
    });
    const first = diners[0] ?? { id: 'none', name: '', protocol: PROTOCOLS[0] as Protocol };
    return { diners, current: diners.find((d) => d.id === settings.diner) ?? first };
  }, [stored, settings.diner]);
}
