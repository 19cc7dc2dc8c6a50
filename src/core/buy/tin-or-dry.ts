import yields from '@content/compiled/yields.json';
import type { YieldFile } from '@/core/prepare/schema';
import { range, type Range } from '@/core/range/range';
import type { Shopping } from './schema';
import { dryOf, shop, type ShopDish, type ShopSettings } from './shop';

/** One way to have a pulse: what is bought for it, what that costs, and what it takes. */
export interface Way {
  readonly item: Shopping['items'][number];
  /** Minutes in water before it is cooked; null where it needs none. */
  readonly soak: Range | null;
  /** Minutes on the heat; null out of a tin. */
  readonly simmer: Range | null;
  /** Minutes of the cook's own hands. */
  readonly hands: number;
}

const OPENING_MINUTES = 1;

const homes = new Map(
  (yields as unknown as YieldFile).absorb.flatMap((rule) =>
    rule.home ? rule.foods.map((id) => [id, rule.home] as const) : [],
  ),
);

const whole = (minutes: readonly [number, number, number]): Range => range(...minutes);

/**
 * A pulse out of tins, or bought dry and cooked at home, for the same dishes: packages, cost by the cook's prices, and
 * minutes (common practice). Null where it is sold in one of the two ways only, or no dish wants it.
 *
 * @param tinned id of the tinned food
 */
export function tinOrDry(
  dishes: readonly ShopDish[],
  tinned: string,
  settings: ShopSettings,
): { readonly tin: Way; readonly dry: Way } | null {
  const bean = dryOf(tinned);
  const home = bean && homes.get(bean.id);
  if (!bean || !home) return null;
  const others = [...(settings.dry ?? [])].filter((id) => id !== tinned);
  const itemOf = (id: string, dry: readonly string[]) =>
    shop(dishes, { ...settings, dry: new Set(dry) }).items.find((i) => i.food.id === id);
  const inTins = itemOf(tinned, others);
  const fromDry = itemOf(bean.id, [...others, tinned]);
  if (!inTins || !fromDry) return null;
  return {
    tin: { item: inTins, soak: null, simmer: null, hands: OPENING_MINUTES },
    dry: {
      item: fromDry,
      soak: home.soak && whole(home.soak),
      simmer: whole(home.simmer),
      hands: home.hands,
    },
  };
}
