import { expose } from 'comlink';
import loadHighs from 'highs';
import { adapt } from '@/core/adapt/adapt';
import type { Adaptation } from '@/core/adapt/schema';
import { solverOf } from '@/core/adapt/solver';
import { larderOf } from '@/core/food/larder';
import { foodsOf } from '@/core/label/packet';
import type { Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { LibraryContext, LibraryRecipe } from './library.worker';

/** Somebody a dish is adapted for. */
export interface AdaptFor {
  readonly protocol: Protocol;
  readonly allergens: readonly string[];
  readonly plate: number;
}

let highs: ReturnType<typeof loadHighs> | null = null;

const doorway = {
  /** The least change after which all of them may eat a dish. */
  async adapt(
    recipe: LibraryRecipe,
    diners: readonly AdaptFor[],
    context: LibraryContext,
    locked: readonly string[],
    alternatives: number,
  ): Promise<Adaptation> {
    highs ??= loadHighs({ locateFile: () => '/highs.wasm' });
    const settings = {
      measures: context.measures,
      natural: context.natural,
      corrections: recipe.corrections,
      larder: larderOf(foodsOf(context.packets), context.meanings),
      servings: recipe.servings ?? undefined,
    };
    const read = readRecipe(parseRecipe(recipe.text), settings);
    return adapt(
      read,
      diners,
      settings,
      { role: recipe.role ?? undefined, locked, alternatives },
      solverOf(await highs),
    );
  },
};

export type AdaptDoor = typeof doorway;
expose(doorway);
