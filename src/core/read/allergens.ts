import type { Food } from '@/core/food/table';
import type { ReadLine } from './types';

/** Why the allergens of a line cannot be known, or may be more than what it is made of. */
export interface AllergenDoubt {
  /** In a cook's words. */
  readonly because: string;
  /** The allergens that it may hold; null where it may be any of them. */
  readonly allergens: readonly string[] | null;
}

/** Allergens of a line by every way its words can be read. */
export interface LineAllergens {
  readonly allergens: readonly string[];
  readonly allergenDoubts: readonly AllergenDoubt[];
}

const doubtsOf = (food: Food): AllergenDoubt[] => [
  ...(food.allergensNotKnown
    ? [{ because: `${food.name}: ${food.allergensNotKnown}`, allergens: null }]
    : []),
  ...(food.traces && food.traces.length > 0
    ? [{ because: `${food.name} may contain ${food.traces.join(', ')}`, allergens: food.traces }]
    : []),
];

type AllergenLine = Pick<ReadLine, 'foods' | 'alternatives' | 'line' | 'missing'> &
  Partial<Pick<ReadLine, 'words'>>;

/** By what a line's words were read as: lines come anew with every text, their readings stay. */
const known = new WeakMap<
  ReadLine['foods'],
  { readonly alternatives: ReadLine['alternatives']; readonly own: LineAllergens }
>();

/**
 * What a line's foods bring, whichever of its readings and alternatives is the right one. A food that is not
 * understood, or whose packet does not say, leaves a doubt; it is never read as none.
 */
export function allergensOfLine(line: AllergenLine): LineAllergens {
  const before = known.get(line.foods);
  if (before?.alternatives === line.alternatives && !line.words?.none) return before.own;
  const own = allergensNow(line);
  // a line of which nothing was read is told by its words
  if (line.foods.length > 0 && !line.words?.none)
    known.set(line.foods, { alternatives: line.alternatives, own });
  return own;
}

function allergensNow(line: AllergenLine): LineAllergens {
  if (line.words?.none && line.missing === null) return { allergens: [], allergenDoubts: [] };
  const all = [...line.foods, ...line.alternatives];
  const foods = all.flatMap((f) => (f.food ? [f.food, ...f.might] : []));
  const unread = all.filter((f) => f.food === null);
  const words = unread.length > 0 ? unread.map((f) => f.text || line.line.text) : [];
  if (all.length === 0 && line.missing !== null) words.push(line.line.text);
  return {
    allergens: [...new Set(foods.flatMap((f) => f.allergens))],
    allergenDoubts: [
      ...foods.flatMap(doubtsOf),
      ...words.map((w) => ({ because: `“${w}” is not understood`, allergens: null })),
    ],
  };
}

/** Allergens of several lines together. */
export function allergensOfLines(lines: readonly Parameters<typeof allergensOfLine>[0][]): LineAllergens {
  const each = lines.map(allergensOfLine);
  const doubts = new Map(each.flatMap((l) => l.allergenDoubts.map((d) => [d.because, d] as const)));
  return {
    allergens: [...new Set(each.flatMap((l) => l.allergens))].sort(),
    allergenDoubts: [...doubts.values()],
  };
}

/** What speaks against somebody eating a dish: allergens of theirs that are in it, and doubts about them. */
export interface AllergenConflict {
  readonly has: readonly string[];
  readonly doubts: readonly string[];
}

/** Allergens and doubts of a dish that concern somebody. Nobody with an allergy is safe from a doubt. */
export function conflictsOf(dish: LineAllergens, mustNot: readonly string[]): AllergenConflict {
  return {
    has: mustNot.filter((a) => dish.allergens.includes(a)),
    doubts: dish.allergenDoubts
      .filter((d) => (d.allergens ? mustNot.some((a) => d.allergens?.includes(a)) : mustNot.length > 0))
      .map((d) => d.because),
  };
}

/** True where nothing speaks against it. */
export const isSafe = (conflict: AllergenConflict): boolean =>
  conflict.has.length === 0 && conflict.doubts.length === 0;
