import { expose } from 'comlink';
import loadHighs from 'highs';
import { adapt, type AdaptOptions } from '@/core/adapt/adapt';
import { frontierOf, type Against, type FrontierPoint } from '@/core/adapt/frontier';
import type { Adaptation } from '@/core/adapt/schema';
import { solverOf } from '@/core/adapt/solver';
import { versionsOf, type Version } from '@/core/adapt/versions';
import type { Protocol } from '@/core/protocol';
import { roleOfKept } from '@/core/audit/role';
import { libraryOf, type KeptRecipe } from '@/core/read/library';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import { flavourBack, type FlavourReport } from '@/core/swap/flavour';
import type { KitchenTastes } from '@/core/swap/tastes';
import { larderFor, type LibraryContext } from './larder';

/** Somebody a dish is adapted for. */
export interface AdaptFor {
  readonly protocol: Protocol;
  readonly allergens: readonly string[];
  readonly plate: number;
}

/** What is asked of a plan beside the limits. */
export type Wishes = Pick<AdaptOptions, 'locked' | 'forced' | 'alternatives' | 'tastes'>;

let highs: ReturnType<typeof loadHighs> | null = null;

/** The first of the recipes, with those that it is made of. */
function open(recipes: readonly KeptRecipe[], context: LibraryContext) {
  const recipe = recipes[0] as KeptRecipe;
  const library = libraryOf(recipes, {
    measures: context.measures,
    natural: context.natural,
    larder: larderFor(context),
  });
  const read = library.read(recipe);
  return { settings: library.settingsOf(recipe), read, role: roleOfKept(recipe, read), said: recipe.role };
}

async function solver() {
  highs ??= loadHighs({ locateFile: () => '/highs.wasm' });
  return solverOf(await highs);
}

const doorway = {
  /** The least change after which all of them may eat a dish. */
  async adapt(
    recipes: readonly KeptRecipe[],
    diners: readonly AdaptFor[],
    context: LibraryContext,
    wishes: Wishes,
  ): Promise<{ adaptation: Adaptation; flavour: (FlavourReport | null)[] }> {
    const { settings, read, role } = open(recipes, context);
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
    recipes: readonly KeptRecipe[],
    protocol: Protocol,
    context: LibraryContext,
    tastes: KitchenTastes,
    avoid: readonly string[],
  ): Promise<{ versions: Version[]; frontiers: Record<Against, FrontierPoint[]> }> {
    const { settings, read, said } = open(recipes, context);
    const options = { role: said ?? undefined, tastes };
    const solve = await solver();
    return {
      versions: versionsOf(read, protocol, settings, options, solve, avoid),
      frontiers: {
        fat: frontierOf(read, protocol, settings, options, solve),
        sodium: frontierOf(read, protocol, settings, options, solve, 'sodium'),
      },
    };
  },
};

export type AdaptDoor = typeof doorway;
expose(doorway);
