import { auditRecipe } from '@/core/audit/audit';
import type { Change } from '@/core/adapt/schema';
import type { Starter } from '@/core/adapt/starter';
import { gramsFor500, type Version } from '@/core/adapt/versions';
import type { RecipeAudit } from '@/core/audit/schema';
import type { Protocol } from '@/core/protocol';
import type { Range } from '@/core/range/range';
import { titleOf } from '@/core/recipe/title';
import { parseRecipe } from '@/core/recipe/parse';
import type { Library } from '@/core/read/library';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import type { StoredDiner, StoredRecipe } from '@/data/db';
import { judgeTable } from '@/kitchen/use-table';
import type { PlateCost } from '@/kitchen/use-kitchen';

/** Whether somebody at the table may eat a version. */
export interface Eats {
  readonly name: string;
  readonly mark: RecipeAudit['verdict'];
  /** Allergens of theirs in it. */
  readonly unsafe: readonly string[];
  /** Why it is not known whether it is safe for them. */
  readonly doubts: readonly string[];
}

/** One version of a dish, with all that is compared. */
export interface Column {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly text: string;
  readonly audit: RecipeAudit;
  readonly changes: readonly Change[];
  readonly bland: string | null;
  readonly starter: Starter | null;
  readonly gramsFor500: Range | null;
  readonly cost: string | null;
  readonly eats: readonly Eats[];
}

/** What columns are made with. */
export interface Ground {
  readonly settings: ReadSettings;
  readonly library: Library;
  readonly protocol: Protocol;
  readonly diners: readonly StoredDiner[];
  readonly byId: (id: string) => Protocol | undefined;
  readonly role: RecipeAudit['role'] | null;
  readonly plateCost: PlateCost;
}

const eatsOf = (read: ReadRecipe, { diners, role, byId }: Ground): Eats[] =>
  judgeTable(diners, read, role, byId).map((d) => ({
    name: d.name,
    mark: d.audit.verdict,
    unsafe: d.unsafe,
    doubts: d.doubts,
  }));

const saysOf = (v: Version): string => {
  const changed =
    v.changes.length === 0
      ? 'nothing changed'
      : v.changes.length === 1
        ? 'one change'
        : `${v.changes.length} changes`;
  return v.reached ? changed : `${changed}, as near as swaps get`;
};

/** The column of a version that was made. */
export function columnOf(v: Version, ground: Ground): Column {
  const read = readRecipe(parseRecipe(v.text), ground.settings);
  return {
    id: v.id,
    name: v.name,
    says: saysOf(v),
    text: v.text,
    audit: v.audit,
    changes: v.changes,
    bland: v.flavour?.bland ? v.flavour.because : null,
    starter: v.starter,
    gramsFor500: v.gramsFor500,
    cost: ground.plateCost(read),
    eats: eatsOf(read, ground),
  };
}

/** The column of a recipe that is kept. */
export function keptColumn(recipe: StoredRecipe, ground: Ground): Column {
  const read = ground.library.read(recipe);
  const role = recipe.role ?? ground.role;
  const audit = auditRecipe(read, ground.protocol, { role: role ?? undefined });
  return {
    id: recipe.id,
    name: titleOf(recipe.text),
    says: 'on the shelf',
    text: recipe.text,
    audit,
    changes: [],
    bland: null,
    starter: null,
    gramsFor500: gramsFor500(audit),
    cost: ground.plateCost(read),
    eats: eatsOf(read, { ...ground, role }),
  };
}
