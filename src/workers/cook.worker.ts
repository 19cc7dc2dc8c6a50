import { expose } from 'comlink';
import type { Dish, Supper } from '@/core/cook/cook';
import { replan, type Live } from '@/core/cook/live';
import { libraryOf, type KeptRecipe } from '@/core/read/library';
import { larderFor, type LibraryContext } from './larder';

/** How a supper stands, as it is sent. */
export interface SentProgress {
  readonly done: readonly string[];
  readonly begun: Readonly<Record<string, number>>;
  readonly longer: Readonly<Record<string, number>>;
}

const doorway = {
  /**
   * Plans a supper, or what is left of it.
   *
   * @param dishes each dish's recipe first, then those that it is made of
   * @param now    minutes of the day; null before anything is begun
   */
  plan(
    dishes: readonly { readonly recipes: readonly KeptRecipe[]; readonly times: number }[],
    supper: Supper,
    progress: SentProgress,
    now: number | null,
    context: LibraryContext,
  ): Live {
    const ground = { measures: context.measures, natural: context.natural, larder: larderFor(context) };
    const read = dishes.flatMap(({ recipes, times }): Dish[] => {
      const [recipe] = recipes;
      if (!recipe) return [];
      const library = libraryOf(recipes, ground);
      return [{ source: recipe.id, read: library.read(recipe), settings: library.settingsOf(recipe), times }];
    });
    return replan(read, supper, { ...progress, done: new Set(progress.done) }, now);
  },
};

export type CookDoor = typeof doorway;
expose(doorway);
