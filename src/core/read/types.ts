import type { MeasureSettings } from '@/core/measure/units';
import type { Candidate } from '@/core/food/find';
import type { Larder } from '@/core/food/larder';
import type { Food } from '@/core/food/table';
import type { Range } from '@/core/range/range';
import type { Corners } from '@/core/range/bounds';
import type { PartShare } from './parts';
import type { Yield } from '@/core/prepare/yields';
import type { Recipe, SourceLine } from '@/core/recipe/source';
import type { LineWords } from '@/core/recipe/line';

/** What a cook has corrected on a line; it belongs to the line's words and goes when they change. */
export interface Correction {
  readonly foodId?: string;
  readonly grams?: number;
  /** What the food does in the dish, by the id of its role. */
  readonly role?: string;
}

/** Corrections by the exact words of their line. */
export type Corrections = Readonly<Record<string, Correction>>;

export interface ReadSettings {
  readonly measures: MeasureSettings;
  readonly corrections: Corrections;
  /** The recipe's own id among the larder's recipes, so that it cannot be an ingredient of itself. */
  readonly id?: string | undefined;
  /** True where figures also vary as nature does, by the standard deviations measured. */
  readonly natural?: boolean | undefined;
  /** What lines may mean; the composition table alone where nothing is given. */
  readonly larder?: Larder | undefined;
  /** The larder whose remembered readings serve; this one's own where nothing is said. */
  readonly readingsOf?: Larder | undefined;
  /** False leaves unread what the title and headings promise: while a plan is sought, which makes names true at its end. */
  readonly names?: boolean | undefined;
  /** Overrules what the recipe says. */
  readonly servings?: number | undefined;
  /** Grams of the whole dish as it was weighed; overrules every estimate of yield. */
  readonly potG?: number | undefined;
  /** Grams of one plate as it was weighed; with the dish's weight it says how many plates there are. */
  readonly plateG?: number | undefined;
}

/** What the cook corrected of some words; a line may read like a name that every object has ("constructor"). */
export const correctionOf = (
  { corrections }: Pick<ReadSettings, 'corrections'>,
  words: string,
): Correction | undefined => (Object.hasOwn(corrections, words) ? corrections[words] : undefined);

/** One food that a line brings, or may bring. */
export interface ReadFood {
  readonly text: string;
  /** The words that a food was looked for by: with "canned" where the line says can. */
  readonly phrase: string;
  readonly food: Food | null;
  readonly confidence: number;
  readonly candidates: readonly Candidate[];
  /** Edible grams as they go into the dish; null where they cannot be known. */
  readonly grams: Range | null;
  /** Why these grams, why this food: one reading a string. */
  readonly readings: readonly string[];
  /** What else the same words may mean, by the food's row. */
  readonly might: readonly Food[];
  /** The recipes of a ring, where the words name one that is made of itself. */
  readonly cycle?: readonly string[] | undefined;
}

export type Origin = 'ingredients' | 'method';

/** A line read: its foods, grams and all that its words allow. */
export interface ReadLine {
  readonly line: SourceLine;
  readonly words: LineWords | null;
  readonly origin: Origin;
  /** Index of the step whose words bring it, for lines of the method. */
  readonly step: number | null;
  /** The words inside that step, for lines of the method. */
  readonly span: readonly [number, number] | null;
  /** All of them go in ("salt and pepper"). */
  readonly foods: readonly ReadFood[];
  /** One of them may go in instead of the first. */
  readonly alternatives: readonly ReadFood[];
  readonly optional: boolean;
  /** Eaten with the dish rather than in it ("cooked rice, to serve"): with and without it both count. */
  readonly assumed: boolean;
  readonly toTaste: boolean;
  readonly corrected: boolean;
  /** What the cook said the food does in the dish; null where nobody did. */
  readonly role: string | null;
  /** How much of its part is eaten with the dish; null for all of it. */
  readonly share: PartShare | null;
  /** All that the line's words allow; null where a food or an amount is missing. */
  readonly corners: Corners | null;
  /** True where how much goes in hangs on how many it feeds. */
  readonly byPlate: boolean;
  /** True where the line says an amount of zero. */
  readonly nothing: boolean;
  /** Why it could not be read. */
  readonly missing: 'food' | 'amount' | null;
}

export interface ReadServings {
  readonly range: Range;
  /** How many pieces are made, where a plate is several of them. */
  readonly pieces?: number;
  readonly said: boolean;
  readonly text: string;
}

/** A step with what it names against the ingredient list. */
export interface ReadStep {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

/** The recipe with every line read. */
export interface ReadRecipe {
  readonly recipe: Recipe;
  readonly servings: ReadServings;
  readonly lines: readonly ReadLine[];
  /** How much of each line's weight is on the plates. */
  readonly yields: readonly Yield[];
  readonly potG: number | null;
  readonly steps: readonly ReadStep[];
  /**
   * The same recipe read for as few and as many plates as its words allow, where amounts that are not said go by the
   * plate; empty where none does, or the number is known.
   */
  readonly ends: readonly ReadRecipe[];
}
