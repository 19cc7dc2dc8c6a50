import type { Larder } from '@/core/food/larder';
import type { MeasureSettings } from '@/core/measure/units';
import type { RoleId } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { titleOf } from '@/core/recipe/title';
import { readRecipe } from './read';
import { recipeShelf } from './recipes';
import type { Corrections, ReadRecipe, ReadSettings } from './types';

/** A recipe as it is kept: the cook's text and what she said about it. */
export interface KeptRecipe {
  readonly id: string;
  readonly text: string;
  readonly role: RoleId | null;
  readonly servings: number | null;
  /** Grams of the whole dish and of one plate, as weighed; null where nobody did. */
  readonly potG: number | null;
  readonly plateG: number | null;
  readonly corrections: Corrections;
  /** A box of it in the fridge or freezer, under its own name: meant only where words say leftover or box. */
  readonly box?: { readonly name: string; readonly grams: number } | undefined;
}

/** A text of which nothing is said beside it. */
export const keptText = (id: string, text: string): KeptRecipe => ({
  id,
  text,
  role: null,
  servings: null,
  potG: null,
  plateG: null,
  corrections: {},
});

/** What all recipes of a kitchen are read with. */
export interface Ground {
  readonly measures: MeasureSettings;
  /** True where figures also vary as nature does. */
  readonly natural: boolean;
  /** The composition table with the cook's packets and words. */
  readonly larder: Larder;
}

/** Kept recipes of a kitchen, which may be ingredients of each other. */
export interface Library {
  /** The larder in which its recipes are foods. */
  readonly larder: Larder;
  readonly settingsOf: (recipe: KeptRecipe) => ReadSettings;
  readonly read: (recipe: KeptRecipe) => ReadRecipe;
}

/**
 * The one way from a kept recipe to a dish: every view, worker and plan reads through it, so that a dish has one
 * verdict everywhere. A recipe is read when it is first asked for.
 */
export function libraryOf(recipes: readonly KeptRecipe[], ground: Ground): Library {
  const larder: Larder = {
    ...ground.larder,
    recipes: recipeShelf(
      recipes.map((r) => ({
        id: r.id,
        title: r.box?.name ?? titleOf(r.text),
        boxG: r.box?.grams,
        read: () => read(r),
      })),
    ),
  };
  const settingsOf = (recipe: KeptRecipe): ReadSettings => ({
    measures: ground.measures,
    natural: ground.natural,
    corrections: recipe.corrections,
    larder,
    // recipes as ingredients are never remembered, so the readings of one larder serve all shelves
    readingsOf: ground.larder,
    id: recipe.id,
    servings: recipe.servings ?? undefined,
    potG: recipe.potG ?? undefined,
    plateG: recipe.plateG ?? undefined,
  });
  const read = (recipe: KeptRecipe): ReadRecipe => readRecipe(parseRecipe(recipe.text), settingsOf(recipe));
  return { larder, settingsOf, read };
}

/** The recipes that a dish is made of, to any depth, and itself first: all that must be known to read it elsewhere. */
export function madeOf(recipe: KeptRecipe, recipes: readonly KeptRecipe[], library: Library): KeptRecipe[] {
  const byFood = new Map(recipes.map((r) => [`recipe-${r.id}`, r]));
  const out = new Set<KeptRecipe>([recipe]);
  // a set hands on what joins it while it is walked
  for (const r of out)
    for (const line of library.read(r).lines)
      for (const f of [...line.foods, ...line.alternatives]) {
        const other = byFood.get(f.food?.id ?? '');
        if (other && other.id !== recipe.id) out.add(other);
      }
  return [...out];
}
