'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import { costOf, showMoney, type Prices } from '@/core/cost/cost';
import { FOODS } from '@/core/food/table';
import { tokens } from '@/core/food/tokens';
import type { MeasureSettings } from '@/core/measure/units';
import { over } from '@/core/range/range';
import type { ReadRecipe } from '@/core/read/types';
import { tastesOf, type KitchenTastes } from '@/core/swap/tastes';
import { database, type StoredDiner, type StoredKitchenFood, type StoredSwapUse } from '@/data/db';
import { listKitchen, listSwapUses } from '@/data/kitchen';
import { useDiners } from './use-table';
import { useSettings } from './use-settings';

/** What a plate costs, in words; null while no price is kept at all. */
export type PlateCost = (read: ReadRecipe) => string | null;

export interface Kitchen {
  /** False until it is read. */
  readonly ready: boolean;
  readonly byFood: ReadonlyMap<string, StoredKitchenFood>;
  readonly uses: ReadonlyMap<string, StoredSwapUse>;
  readonly tastes: KitchenTastes;
  readonly prices: Prices;
}

const NO_FOODS: StoredKitchenFood[] = [];
const NO_USES: StoredSwapUse[] = [];

/** Foods that somebody at the table would rather not eat, by their words for them. */
function dislikedBy(diners: readonly StoredDiner[]): string[] {
  const wanted = diners.flatMap((d) => d.dislikes.map(tokens)).filter((w) => w.length > 0);
  if (wanted.length === 0) return [];
  return FOODS.filter((f) => {
    const own = new Set(tokens(f.name));
    return wanted.some((w) => w.every((t) => own.has(t)));
  }).map((f) => f.id);
}

/** What the kitchen has, likes, pays and has done before, as kept. */
export function useKitchen(): Kitchen {
  const stored = useLiveQuery(() => listKitchen(database()), [], null);
  const swapUses = useLiveQuery(() => listSwapUses(database()), [], NO_USES);
  const diners = useDiners();
  return useMemo(() => {
    const foods = stored ?? NO_FOODS;
    return {
      ready: stored !== null,
      byFood: new Map(foods.map((f) => [f.foodId, f])),
      uses: new Map(swapUses.map((u) => [u.swapId, u])),
      tastes: tastesOf(foods, swapUses, dislikedBy(diners)),
      prices: Object.fromEntries(foods.flatMap((f) => (f.price ? [[f.foodId, f.price]] : []))),
    };
  }, [stored, swapUses, diners]);
}

function plateCostOf(prices: Prices, sign: string, measures: MeasureSettings): PlateCost {
  if (Object.keys(prices).length === 0) return () => null;
  return (read) => {
    const { known, whole } = costOf(read, prices, measures);
    const plate = showMoney(over(known, read.servings.range), sign);
    return whole ? plate : `${plate} and more`;
  };
}

/** Says what a plate of a dish costs by the cook's prices. */
export function usePlateCost({ prices }: Kitchen): PlateCost {
  const { currency, measures } = useSettings();
  return useMemo(() => plateCostOf(prices, currency, measures), [prices, currency, measures]);
}
