import { findFood, finderOver, statesAgainst, TABLE_FINDER, type Finder } from './find';
import { foodById, FOODS, type Food } from './table';
import { isHarmless, tokens } from './tokens';

/** All that lines may mean: the composition table, the cook's own packets, and what she means by her words. */
export interface Larder {
  readonly finder: Finder;
  readonly foodById: (id: string) => Food | undefined;
  /** The food that the cook said she means by these words; `notes` may speak against it. */
  readonly meant: (phrase: string, notes: string) => Food | undefined;
  /** The cook's recipes, which may be ingredients too. */
  readonly recipes?: RecipeShelf | undefined;
}

/** What a line's words mean among the cook's recipes: one of them, one that is made of itself, or none. */
export type RecipeHit =
  | { readonly kind: 'food'; readonly food: Food }
  | { readonly kind: 'cycle'; readonly titles: readonly string[] };

/** The cook's recipes as ingredients, by title. */
export interface RecipeShelf {
  readonly find: (phrase: string, notes: string) => RecipeHit | null;
  /** True where a recipe has this name: what was read of it before may no longer hold. */
  readonly has: (phrase: string) => boolean;
  /** Reads something while a recipe counts as being read, so that it cannot be an ingredient of itself. */
  readonly within: <T>(id: string, read: () => T) => T;
}

/** Words of a cook and the id of the food she means by them, by `wordsKey`. */
export type Meanings = Readonly<Record<string, string>>;

/** Words in one spelling and order, without those that change no food: "large Onions" is "onion". */
export const wordsKey = (phrase: string): string =>
  [...new Set(tokens(phrase).filter((t) => !isHarmless(t)))].sort().join(' ');

/** The composition table alone. */
export const TABLE_LARDER: Larder = { finder: TABLE_FINDER, foodById, meant: () => undefined };

/** The table with the cook's own foods before it, and her words. */
export function larderOf(own: readonly Food[], meanings: Meanings = {}): Larder {
  const ownById = new Map(own.map((f) => [f.id, f]));
  const byId = (id: string) => ownById.get(id) ?? foodById(id);
  const meant = new Map(
    Object.entries(meanings).flatMap(([words, id]) => {
      const food = byId(id);
      return food ? [[words, food] as const] : [];
    }),
  );
  if (own.length === 0 && meant.size === 0) return TABLE_LARDER;
  return {
    finder:
      own.length === 0 ? { find: findFood, ofName: TABLE_FINDER.ofName } : finderOver([...own, ...FOODS]),
    foodById: byId,
    meant(phrase, notes) {
      const food = meant.size > 0 ? meant.get(wordsKey(phrase)) : undefined;
      // "stock, no salt added" is not the salted one she usually means
      return food && !statesAgainst(food, notes) ? food : undefined;
    },
  };
}
