import { AT, FIELDS, outerCorners, zeros } from '@/core/food/nutrients';
import type { RecipeShelf } from '@/core/food/larder';
import { tokens } from '@/core/food/tokens';
import { kindLabel, type Food } from '@/core/food/table';
import { weightEaten } from '@/core/prepare/yields';
import { ratioBounds, sumBounds, type Corners } from '@/core/range/bounds';
import { allergensOfLines } from './allergens';
import type { ReadRecipe } from './types';

/** A recipe that may stand in another one as an ingredient. */
export interface ShelfRecipe {
  readonly id: string;
  readonly title: string;
  readonly read: () => ReadRecipe;
  /** Grams of a box of it; undefined for a recipe. */
  readonly boxG?: number | undefined;
}

const FILLERS = new Set([
  'recipe',
  'homemade',
  'own',
  'my',
  'our',
  'batch',
  'portion',
  'see',
  'above',
  'below',
  'prepared',
  'leftover',
  'box',
  'boxed',
  'fridge',
  'freezer',
]);
/** True for words beside a recipe's name that are no part of it. */
export const isFiller = (word: string): boolean => FILLERS.has(word);
const keyOf = (words: string): string =>
  [...new Set(tokens(words).filter((t) => !FILLERS.has(t)))].sort().join(' ');
/** Words that say that what was cooked before is meant. */
const SAYS_BOX =
  /\b(?:left-?\s?overs?|box(?:es|ed)?|from the (?:fridge|freezer)|yesterday's|frozen portions?)\b/i;
/** Words that say that a recipe is meant, where its title is a food's plain name as well. */
const SAYS_RECIPE = /\b(?:recipe|homemade|home-made|my|our|see)\b/i;

/** Least, best and most of every component in a gram of a dish as eaten, whatever number of plates it was read for. */
function boundsOf(
  read: ReadRecipe,
): { low: Float64Array; best: Float64Array; high: Float64Array; grams: number } | null {
  const corners = read.lines.map((l) => l.corners);
  if (corners.length === 0 || corners.some((c) => c === null)) return null;
  const lines = corners as Corners[];
  const factors = read.yields.map((y) => y.factor);
  const eaten = read.potG ?? weightEaten(lines, factors).best;
  if (!(eaten > 0)) return null;
  const bounds = FIELDS.map((_, i) => {
    if (read.potG !== null) {
      const sum = sumBounds(lines, i);
      return { low: sum.low / eaten, best: sum.best / eaten, high: sum.high / eaten };
    }
    return ratioBounds(lines, i, AT.weightG, 1, factors) ?? { low: NaN, best: NaN, high: NaN };
  });
  const at = (end: 'low' | 'best' | 'high') =>
    Float64Array.from(bounds, (b, i) => (i === AT.weightG ? 1 : b[end]));
  return { low: at('low'), best: at('best'), high: at('high'), grams: eaten };
}

/** A recipe's vectors as a food's: its parts move apart as their own lines let them. */
function vectorsOf(read: ReadRecipe): { best: Float64Array; spread: Float64Array[]; grams: number } | null {
  const own = boundsOf(read);
  if (!own) return null;
  const all = [own, ...read.ends.map(boundsOf)];
  const { best, grams } = own;
  if (all.some((b) => b === null)) return null;
  const end = (name: 'low' | 'high', pick: (...values: number[]) => number) =>
    best.map((_, i) => pick(...all.map((b) => b?.[name][i] as number)));
  return { best, spread: outerCorners(end('low', Math.min), end('high', Math.max)), grams };
}

/** The food that a recipe is; unknown in all figures where a line of it is not understood. */
export function foodOfRecipe(id: string, read: ReadRecipe, box?: { name: string; grams: number }): Food {
  const vectors = vectorsOf(read);
  const best = vectors?.best ?? zeros().fill(NaN);
  best[AT.weightG] = 1;
  const grams = vectors?.grams ?? 0;
  const { best: plates } = read.servings.range;
  const foods = read.lines.flatMap((l) => [...l.foods, ...l.alternatives].flatMap((f) => f.food ?? []));
  const allergens = allergensOfLines(read.lines);
  const hundred = (name: keyof typeof AT) =>
    Number.isNaN(best[AT[name]]) ? null : (best[AT[name]] as number) * 100;
  return {
    id: `recipe-${id}`,
    name: box ? `Leftover ${box.name}` : read.recipe.title,
    names: [],
    kind: 'packet',
    kindLabel: kindLabel('packet'),
    kindClass: undefined,
    nova: Math.max(1, ...foods.map((f) => f.nova)),
    energyKcal: hundred('energyKcal') ?? 0,
    waterG: hundred('waterG'),
    proteinG: hundred('proteinG'),
    fatG: hundred('fatG'),
    saturatedFatG: hundred('saturatedFatG'),
    carbohydrateG: hundred('carbohydrateG'),
    fibreG: hundred('fibreG'),
    sugarG: hundred('sugarG'),
    addedSugarG: hundred('addedSugarG'),
    freeSugarG: hundred('freeSugarG'),
    sodiumMg: hundred('sodiumMg'),
    potassiumMg: hundred('potassiumMg'),
    calciumMg: hundred('calciumMg'),
    ironMg: hundred('ironMg'),
    alcoholG: hundred('alcoholG'),
    refuse: 0,
    allergens: [...allergens.allergens],
    allergensNotKnown: allergens.allergenDoubts.map((d) => d.because).join('; ') || undefined,
    adds: [...new Set(foods.flatMap((f) => f.adds))],
    might: [],
    classes: [],
    sd: {},
    spans: {},
    perhaps: [],
    variant: null,
    source: box ? `A box of “${box.name}”, as it was cooked` : `Your recipe “${read.recipe.title}”`,
    portions: {
      ...(box ? { box: [box.grams, box.grams, box.grams] } : {}),
      ...(grams > 0
        ? {
            batch: [grams, grams, grams],
            portion: [grams / plates, grams / plates, grams / plates],
          }
        : {}),
      // dishes weigh about what water does, a salad less
      cup: [150, 230, 270],
      tbsp: [11, 15, 18],
      tsp: [3.5, 5, 6],
    },
    perGram: best,
    spread: vectors?.spread,
    own: true,
  };
}

/**
 * The cook's recipes as ingredients of each other, to any depth. Each is read when first asked for; one
 * that is asked for while it is being read is made of itself, and is refused.
 */
export function recipeShelf(recipes: readonly ShelfRecipe[]): RecipeShelf {
  const byKey = new Map<string, ShelfRecipe>();
  const boxes = new Map<string, ShelfRecipe>();
  for (const r of recipes) {
    const key = keyOf(r.title);
    const into = r.boxG === undefined ? byKey : boxes;
    if (key && !into.has(key)) into.set(key, r);
  }
  const foods = new Map<string, Food>();
  const open: ShelfRecipe[] = [];
  const byId = new Map(recipes.map((r) => [r.id, r]));
  return {
    has: (phrase) => byKey.has(keyOf(phrase)) || boxes.has(keyOf(phrase)),
    within(id, read) {
      const recipe = byId.get(id);
      if (!recipe || open.includes(recipe)) return read();
      open.push(recipe);
      try {
        return read();
      } finally {
        open.pop();
      }
    },
    find(phrase, notes) {
      const said = `${phrase} ${notes}`;
      const box = SAYS_BOX.test(said) ? boxes.get(keyOf(phrase)) : undefined;
      const recipe = box ?? byKey.get(keyOf(phrase));
      if (!recipe) return null;
      // "hummus" is the bought one unless the line says that the recipe is meant
      if (!box && keyOf(recipe.title).split(' ').length < 2 && !SAYS_RECIPE.test(said)) return null;
      const at = open.indexOf(recipe);
      if (at >= 0) return { kind: 'cycle', titles: [...open.slice(at), recipe].map((r) => r.title) };
      let food = foods.get(recipe.id);
      if (!food) {
        open.push(recipe);
        try {
          food = foodOfRecipe(
            recipe.id,
            recipe.read(),
            recipe.boxG === undefined ? undefined : { name: recipe.title, grams: recipe.boxG },
          );
        } finally {
          open.pop();
        }
        // a reading that met a cycle above itself is not the recipe's own: it is read again next time
        if (open.length <= 1) foods.set(recipe.id, food);
      }
      return { kind: 'food', food };
    },
  };
}
