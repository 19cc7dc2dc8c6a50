import { auditRecipe } from '@/core/audit/audit';
import type { AuditLimit, RecipeAudit } from '@/core/audit/schema';
import { foodById } from '@/core/food/table';
import type { Protocol, RoleId } from '@/core/protocol';
import { conflictsOf } from '@/core/read/allergens';
import { readRecipe } from '@/core/read/read';
import { parseRecipe } from '@/core/recipe/parse';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { applySwap, type Swapped } from './apply';
import { roleOf, swapsFor, type DishRole } from './roles';
import type { SwapRow } from './schema';
import { leaning, NO_TASTES, type KitchenTastes } from './tastes';

/** What a swap would do to the dish. */
export interface SwapPreview {
  readonly swap: SwapRow;
  readonly swapped: Swapped;
  readonly after: RecipeAudit;
  /** The recipe after it, read. */
  readonly read: ReadRecipe;
  /** How much nearer the dish comes to its limits; 0 moves nothing. */
  readonly gain: number;
  /** True where a limit of this dish changes by more than a hair. */
  readonly moves: boolean;
  /** How it leans in this kitchen, as closeness gained or lost, and what speaks for or against it. */
  readonly lean: number;
  readonly leans: readonly string[];
  /** Allergens it brings in and takes out. */
  readonly brings: readonly string[];
  readonly takes: readonly string[];
  /** Allergens it brings that somebody at the table must not eat. */
  readonly unsafe: readonly string[];
}

const WEIGHT = { over: 2, unknown: 1.2, depends: 1, near: 0.3, within: 0 } as const;

/** How far from its limits a dish is: a step for each verdict, and how far over. */
export function distance(limits: readonly AuditLimit[]): number {
  let sum = 0;
  for (const l of limits) {
    sum += WEIGHT[l.verdict];
    const value = l.value ?? (l.atLeast !== null ? { best: l.atLeast, high: l.atLeast } : null);
    if (!value) continue;
    const middle = (value.best + value.high) / 2;
    // each doubling counts the same, so that the second of two offenders still counts
    const reached =
      l.bound === 'least' ? l.limit / Math.max(middle, 1e-6) : l.limit > 0 ? middle / l.limit : middle / 5;
    sum += Math.log2(1 + reached) * 0.8;
  }
  return sum;
}

/** Share of its limit by which a figure must change to be moved. */
const MOVED = 0.01;

/** True where a figure that a limit looks at changes by more than a hair, or a verdict does. */
const moved = (before: RecipeAudit, after: RecipeAudit): boolean =>
  before.limits.some((b, i) => {
    const a = after.limits[i];
    if (!a || a.verdict !== b.verdict || !a.value !== !b.value) return true;
    return Math.abs((a.value?.best ?? 0) - (b.value?.best ?? 0)) > MOVED * (b.limit || 10);
  });

/**
 * Swaps for one line of a recipe under a protocol, the most helpful first: by what they do to the limits
 * of this dish, then by how near they stay; those that bring an allergen of somebody at the table last.
 */
export function rankSwaps(
  read: ReadRecipe,
  index: number,
  protocol: Protocol,
  before: RecipeAudit,
  settings: ReadSettings,
  options: {
    readonly role?: RoleId | undefined;
    readonly avoid?: readonly string[];
    readonly plate?: number | undefined;
    readonly tastes?: KitchenTastes | undefined;
  } = {},
): { readonly role: DishRole; readonly previews: readonly SwapPreview[] } {
  const line = read.lines[index];
  if (!line) return { role: { id: 'any', label: 'in the dish', evidence: '' }, previews: [] };
  const role = roleOf(read, line);
  const start = distance(before.limits);
  const known = new Set(before.allergenDoubts.map((d) => d.because));
  const previews: SwapPreview[] = [];
  for (const swap of swapsFor(line, role)) {
    // a swap for a food by itself changes nothing
    if (swap.to.length === 1 && swap.to[0]?.ratio === 1 && swap.to[0]?.food === line.foods[0]?.food?.id)
      continue;
    const swapped = applySwap(read, index, swap, settings);
    if (!swapped || swapped.text === read.recipe.source) continue;
    const afterRead = readRecipe(parseRecipe(swapped.text), settings);
    const after = auditRecipe(afterRead, protocol, {
      source: before.source,
      role: options.role ?? before.role,
      plate: options.plate,
      per100g: false,
    });
    const brings = after.allergens.filter((a) => !before.allergens.includes(a));
    const takes = before.allergens.filter((a) => !after.allergens.includes(a));
    const own = swap.to.flatMap((t) => foodById(t.food)?.allergens ?? []);
    const avoid = options.avoid ?? [];
    const doubted = conflictsOf(after, avoid).doubts.some((d) => !known.has(d));
    const unsafe = [
      ...avoid.filter((a) => own.includes(a) || brings.includes(a)),
      ...(doubted ? ['what is not known'] : []),
    ];
    const lean = leaning(swap, options.tastes ?? NO_TASTES);
    previews.push({
      swap,
      swapped,
      after,
      read: afterRead,
      gain: start - distance(after.limits),
      moves: moved(before, after),
      lean: lean.by,
      leans: lean.because,
      brings,
      takes,
      unsafe,
    });
  }
  const fitsRole = (p: SwapPreview) => (p.swap.roles.includes(role.id) ? 0.4 : 0);
  const score = (p: SwapPreview) =>
    p.gain + p.swap.closeness * 0.8 + p.lean + fitsRole(p) - p.unsafe.length * 5;
  return { role, previews: previews.sort((a, b) => score(b) - score(a)) };
}
