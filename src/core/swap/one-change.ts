import { auditRecipe } from '@/core/audit/audit';
import type { Protocol, RoleId } from '@/core/protocol';
import { allergensOfLines, conflictsOf, isSafe } from '@/core/read/allergens';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { rankSwaps } from './rank';

/** The one swap that lets somebody eat a dish. */
export interface OneChange {
  readonly line: number;
  readonly text: string;
  readonly swap: string;
}

const MOST_LINES = 6;

/**
 * Looks for one swap of one line after which a dish is within a protocol and holds none of the allergens; the
 * nearest one where there are several. Null where no single swap does it.
 */
export function oneChange(
  read: ReadRecipe,
  protocol: Protocol,
  settings: ReadSettings,
  diner: {
    readonly role?: RoleId | undefined;
    readonly allergens: readonly string[];
    readonly plate: number;
  },
): OneChange | null {
  const options = { role: diner.role, per100g: false, plate: diner.plate };
  const before = auditRecipe(read, protocol, options);
  if (before.notAdapted) return null;
  const weight = (i: number) => {
    const line = before.lines[i];
    if (!line) return 0;
    const worst = line.findings.some((f) => f.level === 'banned' || f.level === 'over') ? 2 : 0;
    const own = read.lines[i];
    const allergen = own !== undefined && !isSafe(conflictsOf(allergensOfLines([own]), diner.allergens));
    const sodium = (line.contribution.sodiumMg?.best ?? 0) / 500;
    return worst + (allergen ? 2 : 0) + (line.contribution.fatSharePoints?.best ?? 0) / 10 + sodium;
  };
  const banned = before.lines.flatMap((l, i) => (l.findings.some((f) => f.level === 'banned') ? [i] : []));
  // two lines that are not allowed are two changes
  if (banned.length > 1) return null;
  const lines = before.lines
    .map((_, i) => i)
    .filter((i) => weight(i) > 0.05 && (banned.length === 0 || banned.includes(i)))
    .sort((a, b) => weight(b) - weight(a))
    .slice(0, MOST_LINES);
  let best: (OneChange & { readonly closeness: number }) | null = null;
  for (const line of lines) {
    const { previews } = rankSwaps(read, line, protocol, before, settings, {
      role: diner.role,
      avoid: diner.allergens,
      plate: diner.plate,
    });
    for (const { after, swap } of previews) {
      const fits = after.verdict === 'within' || after.verdict === 'near';
      if (!fits || !isSafe(conflictsOf(after, diner.allergens))) continue;
      if (!best || swap.closeness > best.closeness)
        best = { line, text: before.lines[line]?.text ?? '', swap: swap.name, closeness: swap.closeness };
    }
  }
  return best && { line: best.line, text: best.text, swap: best.swap };
}
