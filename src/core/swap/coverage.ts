import { judgeFood } from '@/core/audit/food';
import { foodById, FOODS, kindLabel, type Food } from '@/core/food/table';
import type { Protocol } from '@/core/protocol';
import { rolesOf, SWAPS } from './roles';
import type { SwapRow } from './schema';

/** True where a protocol does not allow a food at all: a limit of nothing that the food breaks. */
export const isBanned = (food: Food, protocol: Protocol): boolean =>
  judgeFood(food, protocol, 'main').some(
    ({ limit, verdict }) => limit.limit === 0 && (verdict === 'over' || verdict === 'depends'),
  );

/** True where a protocol would refuse what a swap brings in; less of the same food is refused as the food is. */
export const isRefused = (swap: SwapRow, protocol: Protocol): boolean =>
  swap.to.some(({ food: id }) => {
    if (id === 'same') return true;
    const food = foodById(id);
    return food !== undefined && isBanned(food, protocol);
  });

/** A family of food in a role, under a protocol that does not allow it and without a swap that it would allow. */
export interface Gap {
  readonly kind: string;
  readonly kindLabel: string;
  readonly role: string;
  readonly protocol: string;
  readonly food: string;
}

/** How many swaps a family has, and how many of its foods some protocol bans. */
export interface Family {
  readonly kind: string;
  readonly kindLabel: string;
  readonly banned: number;
  readonly swaps: number;
  readonly roles: readonly string[];
}

const fits = (swap: SwapRow, food: Food): boolean =>
  swap.from.foods?.includes(food.id) === true || swap.from.kinds?.includes(food.kind) === true;

/**
 * Families of the composition table that a protocol bans, and in which roles no swap of the knowledge would do under
 * it. Animal foods are no family: they are outside of what is adapted.
 */
export function coverage(protocols: readonly Protocol[]): {
  readonly families: readonly Family[];
  readonly gaps: readonly Gap[];
} {
  const kinds = [...new Set(FOODS.filter((f) => f.kindClass !== 'animal').map((f) => f.kind))];
  const gaps: Gap[] = [];
  const families: Family[] = [];
  for (const kind of kinds) {
    const foods = FOODS.filter((f) => f.kind === kind);
    const swaps = SWAPS.filter((s) => foods.some((f) => fits(s, f)));
    const named = rolesOf(kind);
    const roles = named.length > 0 ? named : [{ id: 'any', label: 'in the dish' }];
    const banned = new Set<string>();
    for (const protocol of protocols) {
      const bad = foods.filter((f) => isBanned(f, protocol));
      bad.forEach((f) => banned.add(f.id));
      const allowed = swaps.filter((s) => !isRefused(s, protocol));
      for (const role of roles) {
        const without = bad.filter(
          (f) => !allowed.some((s) => fits(s, f) && (s.roles.includes(role.id) || s.roles.includes('any'))),
        );
        for (const food of without)
          gaps.push({
            kind,
            kindLabel: kindLabel(kind),
            role: role.label,
            protocol: protocol.id,
            food: food.id,
          });
      }
    }
    if (banned.size > 0 || swaps.length > 0)
      families.push({
        kind,
        kindLabel: kindLabel(kind),
        banned: banned.size,
        swaps: swaps.length,
        roles: roles.map((r) => r.label),
      });
  }
  return { families, gaps };
}
