import { expose } from 'comlink';
import type { Supper } from '@/core/cook/cook';
import { replan, type Live, type TimedDish } from '@/core/cook/live';
import type { OwnTimes } from '@/core/cook/own-times';
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
    dishes: readonly {
      readonly recipes: readonly KeptRecipe[];
      readonly times: number;
      readonly own: OwnTimes;
    }[],
    supper: Supper,
    progress: SentProgress,
    now: number | null,
    context: LibraryContext,
  ): Live {
    const ground = { measures: context.measures, natural: context.natural, larder: larderFor(context) };
    const read = dishes.flatMap(({ recipes, times, own }): TimedDish[] => {
      const [recipe] = recipes;
      if (!recipe) return [];
      const library = libraryOf(recipes, ground);
      return [
        { source: recipe.id, read: library.read(recipe), settings: library.settingsOf(recipe), times, own },
      ];
    });
    return replan(read, supper, { ...progress, done: new Set(progress.done) }, now);
  },
};

export type CookDoor = typeof doorway;
expose(doorway);
