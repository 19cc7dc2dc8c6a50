import rawStarters from '@content/compiled/starters.json';
import { auditRecipe } from '@/core/audit/audit';
import type { Protocol, RoleId } from '@/core/protocol';
import type { Range } from '@/core/range/range';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import type { StarterRow } from '@/core/swap/schema';
import { withAddition } from './apply';

/** Rows of `content/starters.yaml`, checked when content is compiled. */
export const STARTERS = rawStarters as unknown as readonly StarterRow[];

/** What is eaten before or beside a dish, and what the meal then is. */
export interface Starter {
  readonly name: string;
  /** Ingredient lines, for all plates. */
  readonly lines: readonly string[];
  readonly says: string;
  /** kcal in 100 g of starter and dish together. */
  readonly mealDensity: Range;
  /** kcal of starter and dish on one plate. */
  readonly mealKcal: Range;
}

/**
 * The starter or side that makes the meal least dense, and is neither like the dish nor against its limits; null where
 * none makes it less dense.
 *
 * @param avoid allergens that it must not bring
 */
export function starterFor(
  read: ReadRecipe,
  protocol: Protocol,
  role: RoleId,
  settings: ReadSettings,
  avoid: readonly string[] = [],
): Starter | null {
  const own = auditRecipe(read, protocol, { role });
  const density = own.total.energyDensityKcalPer100G;
  if (!density) return null;
  const plates = read.servings.range.best;
  let best: Starter | null = null;
  for (const row of STARTERS) {
    if (!row.roles.includes(role) || new RegExp(`\\b(?:${row.not})`, 'i').test(read.recipe.title)) continue;
    const lines = row.lines.map((l) => `${Math.round((l.grams * plates) / 5) * 5} g ${l.text}`);
    let meal = read;
    for (const line of lines) meal = readRecipe(parseRecipe(withAddition(meal, line, null)), settings);
    const audit = auditRecipe(meal, protocol, { role });
    const together = audit.total.energyDensityKcalPer100G;
    const kcal = audit.perServing.energyKcal;
    const brings = avoid.some((a) => audit.allergens.includes(a) && !own.allergens.includes(a));
    if (!together || !kcal || brings || together.best >= density.best) continue;
    if (!best || together.best < best.mealDensity.best)
      best = { name: row.name, lines, says: row.says, mealDensity: together, mealKcal: kcal };
  }
  return best;
}
