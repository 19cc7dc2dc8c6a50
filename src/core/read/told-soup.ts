import { US_MEASURES } from '@/core/measure/units';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from './read';
import type { ReadRecipe } from './types';

/** For tests: a soup of carrots and water for four with a row on its list and a sentence behind its method, read. */
export const soupWith = (row: string, told = ''): ReadRecipe =>
  readRecipe(
    parseRecipe(
      `Soup\n\nServes 4\n\n450 g carrots\n${row}\n1 litre water\n\nMethod\nSimmer for 20 minutes. ${told}\n`,
    ),
    { measures: US_MEASURES, corrections: {} },
  );

/** The most grams of a food that a recipe is read to hold; without end where an amount is not known. */
export const highOf = (recipe: ReadRecipe, id: string): number =>
  recipe.lines
    .flatMap((l) => [...l.foods, ...l.alternatives])
    .reduce((sum, f) => sum + (f.food?.id === id ? (f.grams?.high ?? Infinity) : 0), 0);

/** A line that is said not to be understood keeps the dish from being judged within. */
export const isOpen = (recipe: ReadRecipe): boolean => recipe.lines.some((l) => l.missing !== null);
