'use client';
import { useMemo } from 'react';
import { tinOrDry, type Way } from '@/core/buy/tin-or-dry';
import type { ShopDish, ShopSettings } from '@/core/buy/shop';
import { showMoney } from '@/core/cost/cost';
import { showRange } from '@/core/format/figures';
import { scale, type Range } from '@/core/range/range';
import { Toggle } from '@/ui/toggle';

const time = (minutes: Range): string =>
  minutes.best >= 180 ? `${showRange(scale(minutes, 1 / 60))} h` : `${showRange(minutes)} min`;

function said({ item, soak, simmer, hands }: Way): string {
  const [pack] = item.packages;
  return [
    pack ? `${pack.count} × ${pack.size}` : `${showRange(item.gramsBought)} g`,
    item.cost ? showMoney(item.cost, '') : null,
    soak ? `soaks ${time(soak)}` : null,
    simmer ? `simmers ${time(simmer)}` : null,
    `${hands} min of your hands`,
  ]
    .filter((x) => x !== null)
    .join(', ');
}

/** A pulse in tins or dry: what each costs and takes, and which it is to be. */
export function TinOrDry({
  tinned,
  dishes,
  settings,
  onDry,
}: {
  tinned: string;
  dishes: readonly ShopDish[];
  settings: ShopSettings;
  onDry: (dry: boolean) => void;
}) {
  const ways = useMemo(() => tinOrDry(dishes, tinned, settings), [dishes, tinned, settings]);
  if (!ways) return null;
  const isDry = settings.dry?.has(tinned) === true;
  return (
    <span role="group" aria-label="In tins or dry" className="no-print grid gap-1 text-[13px]">
      {(
        [
          [false, 'In tins', ways.tin],
          [true, 'Dry', ways.dry],
        ] as const
      ).map(([dry, name, way]) => (
        <span key={name} className="flex flex-wrap items-baseline gap-x-2">
          <Toggle pressed={isDry === dry} onPress={() => onDry(dry)} className="min-w-16 px-2">
            {name}
          </Toggle>
          <span className="text-mute">{said(way)}</span>
        </span>
      ))}
    </span>
  );
}
