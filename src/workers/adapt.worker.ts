import { expose } from 'comlink';
import loadHighs from 'highs';
import { adapt, type AdaptOptions } from '@/core/adapt/adapt';
import { frontierOf, type Against, type FrontierPoint } from '@/core/adapt/frontier';
import type { Adaptation } from '@/core/adapt/schema';
import { solverOf } from '@/core/adapt/solver';
import { versionsOf, type Version } from '@/core/adapt/versions';
import { larderOf } from '@/core/food/larder';
import { foodsOf } from '@/core/label/packet';
import { roleFromTitle, type Protocol } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { flavourBack, type FlavourReport } from '@/core/swap/flavour';
import type { KitchenTastes } from '@/core/swap/tastes';
import type { LibraryContext, LibraryRecipe } from './library.worker';

/** Somebody a dish is adapted for. */
export interface AdaptFor {
  readonly protocol: Protocol;
  readonly allergens: readonly string[];
  readonly plate: number;
}

/** What is asked of a plan beside the limits. */
export type Wishes = Pick<AdaptOptions, 'locked' | 'forced' | 'alternatives' | 'tastes'>;

let highs: ReturnType<typeof loadHighs> | null = null;

function open(recipe: LibraryRecipe, context: LibraryContext) {
  const settings = {
    measures: context.measures,
    natural: context.natural,
    corrections: recipe.corrections,
    larder: larderOf(foodsOf(context.packets), context.meanings),
    servings: recipe.servings ?? undefined,
  };
  return { settings, read: readRecipe(parseRecipe(recipe.text), settings) };
}

async function solver() {
  highs ??= loadHighs({ locateFile: () => '/highs.wasm' });
  return solverOf(await highs);
}

const doorway = {
  /** The least change after which all of them may eat a dish. */
  async adapt(
    recipe: LibraryRecipe,
    diners: readonly AdaptFor[],
    context: LibraryContext,
    wishes: Wishes,
  ): Promise<{ adaptation: Adaptation; flavour: (FlavourReport | null)[] }> {
    const { settings, read } = open(recipe, context);
    const role = recipe.role ?? roleFromTitle(read.recipe.title);
    const adaptation = adapt(read, diners, settings, { role, ...wishes }, await solver());
    const protocol = diners[0]?.protocol;
    const flavour = adaptation.plans.map((p) =>
      p.changes.length > 0 && protocol
        ? flavourBack(read, readRecipe(parseRecipe(p.text), settings), protocol, role)
        : null,
    );
    return { adaptation, flavour };
  },

  /** A dish as written, moderate and light, and the frontiers of departure against fat share and sodium. */
  async compare(
    recipe: LibraryRecipe,
    protocol: Protocol,
    context: LibraryContext,
    tastes: KitchenTastes,
  ): Promise<{ versions: Version[]; frontiers: Record<Against, FrontierPoint[]> }> {
    const { settings, read } = open(recipe, context);
    const options = { role: recipe.role ?? undefined, tastes };
    const solve = await solver();
    return {
      versions: versionsOf(read, protocol, settings, options, solve),
      frontiers: {
        fat: frontierOf(read, protocol, settings, options, solve),
        sodium: frontierOf(read, protocol, settings, options, solve, 'sodium'),
      },
    };
  },
};

export type AdaptDoor = typeof doorway;
expose(doorway);
