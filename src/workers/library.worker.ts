import { expose } from 'comlink';
import { auditRecipe } from '@/core/audit/audit';
import { dishOf } from '@/core/audit/dish';
import { judgeLimit, worst } from '@/core/audit/limits';
import type { Verdict } from '@/core/audit/schema';
import { larderOf, type Larder, type Meanings } from '@/core/food/larder';
import { foodsOf } from '@/core/label/packet';
import type { Packet } from '@/core/label/schema';
import type { MeasureSettings } from '@/core/measure/units';
import { roleFromTitle, type Protocol, type RoleId } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { AllergenDoubt } from '@/core/read/allergens';
import { recipeShelf } from '@/core/read/recipes';
import type { Corrections, ReadRecipe } from '@/core/read/types';
import type { Range } from '@/core/range/range';
import { oneChange, type OneChange } from '@/core/swap/one-change';
import { titleOf } from '@/core/recipe/title';

export interface LibraryRecipe {
  readonly id: string;
  readonly text: string;
  readonly role: RoleId | null;
  readonly servings: number | null;
  readonly potG: number | null;
  readonly plateG: number | null;
  readonly corrections: Corrections;
}

/** What all recipes are read with. */
export interface LibraryContext {
  readonly measures: MeasureSettings;
  readonly packets: readonly Packet[];
  readonly meanings: Meanings;
  readonly natural: boolean;
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
  readonly density: Range | null;
  readonly allergens: readonly string[];
  readonly allergenDoubts: readonly AllergenDoubt[];
  readonly verdicts: Readonly<Record<string, Verdict>>;
}

/** A dish's verdict under each protocol, without its figures. */
export interface LibraryVerdicts {
  readonly id: string;
  readonly title: string;
  readonly verdicts: Readonly<Record<string, Verdict>>;
}

let known: { key: string; larder: Larder } | null = null;

/** The larder of a context; the same one while nothing in it has changed, so that readings are remembered. */
function larderFor({ packets, meanings }: LibraryContext): Larder {
  const key = JSON.stringify([packets, meanings]);
  if (known?.key !== key) known = { key, larder: larderOf(foodsOf(packets), meanings) };
  return known.larder;
}

/** A way to read recipes that may be ingredients of each other. */
function reader(
  recipes: readonly LibraryRecipe[],
  context: LibraryContext,
): (recipe: LibraryRecipe) => ReadRecipe {
  const larder: Larder = {
    ...larderFor(context),
    recipes: recipeShelf(recipes.map((r) => ({ id: r.id, title: titleOf(r.text), read: () => read(r) }))),
  };
  // recipes as ingredients are never remembered, so the readings of one larder serve all shelves
  const read = (recipe: LibraryRecipe): ReadRecipe =>
    readRecipe(parseRecipe(recipe.text), {
      measures: context.measures,
      natural: context.natural,
      corrections: recipe.corrections,
      larder,
      readingsOf: known?.larder,
      id: recipe.id,
      servings: recipe.servings ?? undefined,
      potG: recipe.potG ?? undefined,
      plateG: recipe.plateG ?? undefined,
    });
  return read;
}

const doorway = {
  /** Lines of recipes that use a food. */
  uses(
    recipes: readonly LibraryRecipe[],
    foodId: string,
    context: LibraryContext,
  ): { id: string; title: string; line: string }[] {
    const read = reader(recipes, context);
    return recipes.flatMap((recipe) => {
      const r = read(recipe);
      const line = r.lines.find((l) => [...l.foods, ...l.alternatives].some((f) => f.food?.id === foodId));
      return line ? [{ id: recipe.id, title: r.recipe.title, line: line.line.text }] : [];
    });
  },

  /** Audits recipes under each protocol; rows come in the recipes' order. */
  audit(
    recipes: readonly LibraryRecipe[],
    protocols: readonly Protocol[],
    context: LibraryContext,
  ): LibraryRow[] {
    const read = reader(recipes, context);
    return recipes.map((recipe) => {
      const r = read(recipe);
      const audits = protocols.map(
        (p) => [p.id, auditRecipe(r, p, { role: recipe.role ?? undefined, per100g: false })] as const,
      );
      const first = audits[0]?.[1];
      return {
        id: recipe.id,
        title: r.recipe.title,
        lines: r.lines.length,
        unresolved: first?.unresolved.length ?? 0,
        fatShare: first?.total.fatSharePercent ?? null,
        sodium: first?.perServing.sodiumMg ?? null,
        energy: first?.perServing.energyKcal ?? null,
        density: first?.total.energyDensityKcalPer100G ?? null,
        allergens: first?.allergens ?? [],
        allergenDoubts: first?.allergenDoubts ?? [],
        verdicts: Object.fromEntries(audits.map(([id, audit]) => [id, audit.verdict])),
      };
    });
  },

  /** Verdicts alone, of some of the recipes, for thousands of them. */
  judge(
    recipes: readonly LibraryRecipe[],
    protocols: readonly Protocol[],
    context: LibraryContext,
  ): LibraryVerdicts[] {
    const read = reader(recipes, context);
    return recipes.map((recipe) => {
      const r = read(recipe);
      const dish = dishOf(r);
      const role = recipe.role ?? roleFromTitle(r.recipe.title);
      const unknown = dish.lines.length === 0 || dish.lines.some((l) => l === null);
      return {
        id: recipe.id,
        title: r.recipe.title,
        verdicts: Object.fromEntries(
          protocols.map((p) => {
            const each = p.limits.map((l) => judgeLimit(l, role, dish).verdict);
            return [p.id, worst(unknown ? [...each, 'unknown'] : each)];
          }),
        ),
      };
    });
  },

  /** The one swap that lets somebody eat a dish, if there is one. */
  oneChange(
    recipes: readonly LibraryRecipe[],
    id: string,
    diner: { protocol: Protocol; allergens: readonly string[]; plate: number },
    context: LibraryContext,
  ): OneChange | null {
    const recipe = recipes.find((r) => r.id === id);
    if (!recipe) return null;
    const larder = larderFor(context);
    return oneChange(
      reader(recipes, context)(recipe),
      diner.protocol,
      {
        measures: context.measures,
        natural: context.natural,
        corrections: recipe.corrections,
        larder,
        servings: recipe.servings ?? undefined,
      },
      { role: recipe.role ?? undefined, allergens: diner.allergens, plate: diner.plate },
    );
  },
};

export type LibraryDoor = typeof doorway;
expose(doorway);
