'use client';
import { useDeferredValue, useMemo } from 'react';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { rankSwaps } from '@/core/swap/rank';
import type { KitchenTastes } from '@/core/swap/tastes';
import type { TableDiner } from '@/kitchen/use-table';

/** What swaps are ranked for: a line of the dish, for one diner, with everybody's allergens in mind. */
export interface SwapQuestion {
  readonly read: ReadRecipe;
  readonly diner: TableDiner;
  readonly line: number;
  readonly settings: ReadSettings;
  readonly avoid: readonly string[];
  readonly tastes: KitchenTastes;
}

const answer = ({ read, diner, line, settings, avoid, tastes }: SwapQuestion) =>
  read.lines[line]
    ? rankSwaps(read, line, diner.protocol, diner.audit, settings, { avoid, plate: diner.appetite, tastes })
    : null;

/** Ranked swaps; they may come a moment after the keystroke, the audit may not. */
export function useSwaps(question: SwapQuestion | null) {
  const later = useDeferredValue(question);
  return useMemo(() => (later ? answer(later) : null), [later]);
}
