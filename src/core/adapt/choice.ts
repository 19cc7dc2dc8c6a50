import type { Corners } from '@/core/range/bounds';
import { exact, type Range } from '@/core/range/range';
import { allergensOfLine } from '@/core/read/allergens';
import type { ReadLine, ReadRecipe } from '@/core/read/types';
import type { DishRole } from '@/core/swap/roles';
import type { SwapRow } from '@/core/swap/schema';

/** Stands for any allergen at all: what a food holds is not known. */
export const ANY_ALLERGEN = 'any';

/** Something that may be done with one line; the first of a line is always to keep it. */
export interface Choice {
  /** null keeps the line. */
  readonly swap: SwapRow | null;
  /** The line's own words made plainer ("no salt added"), or a line and a sentence that are new. */
  readonly written?: { readonly line: string; readonly step: string | null } | undefined;
  /** Share of the line that is changed. */
  readonly share: number;
  /** What the line brings afterwards: the corners of each line that stands in its place. */
  readonly corners: readonly Corners[];
  /** How much of the new lines' weight is eaten. */
  readonly yieldOf: Range;
  readonly closeness: number;
  /** True where the dish is named after what goes. */
  readonly identity?: boolean | undefined;
  /** What speaks for or against it in this kitchen. */
  readonly leans: readonly string[];
  readonly allergens: readonly string[];
  /** Best grams of what stands there. */
  readonly grams: number;
}

/** Nothing there and nothing done: what is kept where there is no line. */
export const NO_CHANGE: Choice = {
  swap: null,
  share: 0,
  corners: [],
  yieldOf: exact(1),
  closeness: 1,
  leans: [],
  allergens: [],
  grams: 0,
};

/** All that may be done with one line; of what is added beside the dish `index` is the number of lines. */
export interface LineChoices {
  readonly index: number;
  readonly role: DishRole;
  readonly choices: readonly Choice[];
}

/** A dough or batter holds together by its ratios: nothing in it is made less or more. */
export const isBatter = (read: ReadRecipe): boolean =>
  read.lines.some((l) => l.foods.some((f) => f.food?.kind === 'leavener' || f.food?.kind === 'yeast')) &&
  read.lines.some((l) => l.foods.some((f) => f.food?.classes.includes('flour') && (f.food.waterG ?? 0) < 20));

export const bestGrams = (line: ReadLine) => line.foods.reduce((g, f) => g + (f.grams?.best ?? 0), 0);
export function allergensOf(line: ReadLine): string[] {
  const { allergens, allergenDoubts } = allergensOfLine(line);
  return [...allergens, ...allergenDoubts.flatMap((d) => d.allergens ?? [ANY_ALLERGEN])];
}
