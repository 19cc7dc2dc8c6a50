import { larderOf, type Larder, type Meanings } from '@/core/food/larder';
import { foodsOf } from '@/core/label/packet';
import type { Packet } from '@/core/label/schema';
import type { MeasureSettings } from '@/core/measure/units';

/** What all recipes are read with, as it is sent to a worker. */
export interface LibraryContext {
  readonly measures: MeasureSettings;
  readonly packets: readonly Packet[];
  readonly meanings: Meanings;
  readonly natural: boolean;
}

let known: { key: string; larder: Larder } | null = null;

/** The larder of a context; the same one while nothing in it has changed, so that readings are remembered. */
export function larderFor({ packets, meanings }: LibraryContext): Larder {
  const key = JSON.stringify([packets, meanings]);
  if (known?.key !== key) known = { key, larder: larderOf(foodsOf(packets), meanings) };
  return known.larder;
}
