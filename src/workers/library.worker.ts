import { expose } from 'comlink';
import { auditRecipe } from '@/core/audit/audit';
import type { Verdict } from '@/core/audit/schema';
import { larderOf, type Larder, type Meanings } from '@/core/food/larder';
import { foodsOf } from '@/core/label/packet';
import type { Packet } from '@/core/label/schema';
import type { MeasureSettings } from '@/core/measure/units';
import { protocolById, type RoleId } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { Corrections } from '@/core/read/types';
import type { Range } from '@/core/range/range';

export interface LibraryRecipe {
  readonly id: string;
  readonly text: string;
  readonly role: RoleId | null;
  readonly servings: number | null;
  readonly potG: number | null;
  readonly plateG: number | null;
  readonly corrections: Corrections;
}

/** One row of the shelf: a recipe under several protocols. */
export interface LibraryRow {
  readonly id: string;
  readonly title: string;
  readonly lines: number;
  readonly unresolved: number;
  readonly fatShare: Range | null;
  readonly sodium: Range | null;
  readonly energy: Range | null;
  readonly allergens: readonly string[];
  readonly verdicts: Readonly<Record<string, Verdict>>;
}

function readOf(recipe: LibraryRecipe, measures: MeasureSettings, larder: Larder) {
  return readRecipe(parseRecipe(recipe.text), {
    measures,
    corrections: recipe.corrections,
    larder,
    servings: recipe.servings ?? undefined,
    potG: recipe.potG ?? undefined,
    plateG: recipe.plateG ?? undefined,
  });
}

const doorway = {
  /** Lines of recipes that use a food. */
  uses(
    recipes: readonly LibraryRecipe[],
    foodId: string,
    measures: MeasureSettings,
    packets: readonly Packet[],
    meanings: Meanings,
  ): { id: string; title: string; line: string }[] {
    const larder = larderOf(foodsOf(packets), meanings);
    return recipes.flatMap((recipe) => {
      const read = readOf(recipe, measures, larder);
      const line = read.lines.find((l) => [...l.foods, ...l.alternatives].some((f) => f.food?.id === foodId));
      return line ? [{ id: recipe.id, title: read.recipe.title, line: line.line.text }] : [];
    });
  },
  /** Audits recipes under each protocol; rows come in the recipes' order. */
  audit(
    recipes: readonly LibraryRecipe[],
    protocols: readonly string[],
    measures: MeasureSettings,
    packets: readonly Packet[] = [],
    meanings: Meanings = {},
  ): LibraryRow[] {
    const larder = larderOf(foodsOf(packets), meanings);
    return recipes.map((recipe) => {
      const read = readOf(recipe, measures, larder);
      const audits = protocols.flatMap((id) => {
        const protocol = protocolById(id);
        return protocol
          ? [[id, auditRecipe(read, protocol, { role: recipe.role ?? undefined, per100g: false })] as const]
          : [];
      });
      const first = audits[0]?.[1];
      return {
        id: recipe.id,
        title: read.recipe.title,
        lines: read.lines.length,
        unresolved: first?.unresolved.length ?? 0,
        fatShare: first?.total.fatSharePercent ?? null,
        sodium: first?.perServing.sodiumMg ?? null,
        energy: first?.perServing.energyKcal ?? null,
        allergens: first?.allergens ?? [],
        verdicts: Object.fromEntries(audits.map(([id, audit]) => [id, audit.verdict])),
      };
    });
  },
};
export type LibraryDoor = typeof doorway;

expose(doorway);
