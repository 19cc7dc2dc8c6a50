'use client';
import { useMemo } from 'react';
import { PROTOCOLS, type Protocol } from '@/core/protocol';
import { useDiners } from './use-table';
import { useProtocols } from './use-protocols';
import { useSettings } from './use-settings';

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
  const { byId } = useProtocols();
  return useMemo(() => {
    const diners = stored.map(({ id, name, protocol }) => ({
      id,
      name,
      protocol: byId(protocol) ?? (PROTOCOLS[0] as Protocol),
    }));
    const first = diners[0] ?? { id: 'none', name: '', protocol: PROTOCOLS[0] as Protocol };
    return { diners, current: diners.find((d) => d.id === settings.diner) ?? first };
  }, [stored, settings.diner, byId]);
}
