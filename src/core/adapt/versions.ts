import { auditRecipe } from '@/core/audit/audit';
import type { RecipeAudit } from '@/core/audit/schema';
import { protocolById, type Protocol } from '@/core/protocol';
import { roleOf } from '@/core/audit/role';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { flavourBack, type FlavourReport } from '@/core/swap/flavour';
import { adapt, type AdaptOptions, type Solve } from './adapt';
import type { Change } from './schema';
import { starterFor, type Starter } from './starter';

/** One of the named versions of a dish. */
export interface Version {
  readonly id: 'as-written' | 'moderate' | 'light';
  readonly name: string;
  /** The protocol it aims at; null for the dish as it is written. */
  readonly aims: string | null;
  readonly text: string;
  readonly changes: readonly Change[];
  /** Under the protocol that is looked at. */
  readonly audit: RecipeAudit;
  /** False where it only comes as near as swaps known here allow. */
  readonly reached: boolean;
  readonly flavour: FlavourReport | null;
  /** Grams of the dish as eaten that hold 500 kcal; null where it is not known. */
  /** What may be eaten before the light one; null for the others. */
  readonly starter: Starter | null;
  readonly gramsFor500: { readonly low: number; readonly best: number; readonly high: number } | null;
}

const AIMS = [
  ['moderate', 'Moderate', 'everyday'],
  ['light', 'Light', 'light-plate'],
] as const;

/** Grams that 500 kcal buy, from the energy density. */
export function gramsFor500(audit: RecipeAudit): Version['gramsFor500'] {
  const density = audit.total.energyDensityKcalPer100G;
  if (!density || density.low <= 0) return null;
  const grams = (d: number) => 50_000 / d;
  return { low: grams(density.high), best: grams(density.best), high: grams(density.low) };
}

/**
 * A dish as written, moderate and light, for a cook who wants a choice and not a verdict: the least changes after which
 * it holds the everyday and the light-plate limits, or comes nearest to them.
 *
 * @param protocol the one whose limits are shown of all three
 * @param avoid allergens of the table: none that the dish does not hold already is brought in
 */
export function versionsOf(
  read: ReadRecipe,
  protocol: Protocol,
  settings: ReadSettings,
  options: AdaptOptions,
  solve: Solve,
  avoid: readonly string[] = [],
): Version[] {
  const role = options.role ?? roleOf(read).role;
  const look = (text: string) => readRecipe(parseRecipe(text), settings);
  const judged = (r: ReadRecipe) => auditRecipe(r, protocol, { role });
  const own = judged(read);
  const asWritten: Version = {
    id: 'as-written',
    name: 'As written',
    aims: null,
    text: read.recipe.source,
    changes: [],
    audit: own,
    reached: true,
    flavour: null,
    starter: null,
    gramsFor500: gramsFor500(own),
  };
  const others = AIMS.flatMap(([id, name, aims]): Version[] => {
    const aimed = protocolById(aims);
    if (!aimed) return [];
    const { plans, infeasible } = adapt(
      read,
      [{ protocol: aimed, allergens: avoid.filter((a) => !own.allergens.includes(a)) }],
      settings,
      { ...options, alternatives: 0 },
      solve,
    );
    const plan = plans[0] ?? infeasible?.closest;
    if (!plan) return [];
    const after = look(plan.text);
    const audit = judged(after);
    return [
      {
        id,
        name,
        aims,
        text: plan.text,
        changes: plan.changes,
        audit,
        reached: plans.length > 0,
        flavour: plan.changes.length > 0 ? flavourBack(read, after, aimed, role) : null,
        starter: id === 'light' ? starterFor(after, protocol, role, settings) : null,
        gramsFor500: gramsFor500(audit),
      },
    ];
  });
  return [asWritten, ...others];
}

/** A version's text with its name in the title, and why each change was made, in a notes section. */
export function versionText(
  version: Pick<Version, 'name' | 'text' | 'changes'> & { readonly starter?: Starter | null },
): string {
  const [first = '', ...rest] = version.text.split('\n');
  const name = version.name.slice(0, 1).toLowerCase() + version.name.slice(1);
  const title = `${first.trimEnd()}, ${name}`;
  if (version.changes.length === 0) return [title, ...rest].join('\n');
  const why = version.changes.map((c) =>
    c.from
      ? `- ${c.from} became ${c.to || 'nothing'} (${c.name.toLowerCase()}): ${c.technique}`
      : `- ${c.to} came beside it: ${c.technique}`,
  );
  const before = version.starter
    ? [`- Not counted here: ${version.starter.name}, ${version.starter.says}`]
    : [];
  return `${[title, ...rest].join('\n').trimEnd()}\n\nNotes\n${[...why, ...before].join('\n')}\n`;
}
