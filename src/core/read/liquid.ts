import { tokens } from '@/core/food/tokens';
import type { Recipe, SourceLine } from '@/core/recipe/source';
import type { ReadLine } from './types';

/** "beans with their liquid", "tins, juice and all", "don't drain them": the tin's liquid goes in. */
const KEPT =
  /\b(?:with|and|including|in|plus) (?:all )?(?:of )?(?:their|its|the) (?:own |can |tin |canning )?(?:liquid|liquor|brine|canning water|bean water)\b|\bundrained\b|\b(?:liquid|liquor|brine|juice) and all\b|\b(?:do not|don'?t|no need to|never|without) drain(?:ing)?\b/i;
const ANY_TIN = /\b(?:tins?|cans?|everything|pulses)\b/i;
/** What a line says of its liquid itself decides. */
const SAID = /\b(?:drain(?:ed|ing)?|rinsed|undrained|liquid|liquor|brine|juice)\b/i;

/** Sentences of a method that say that the liquid of a tin goes in. */
export const sentencesOfLiquid = ({ steps, notes }: Pick<Recipe, 'steps' | 'notes'>): readonly string[] =>
  [...steps, ...notes].flatMap(({ text }) =>
    KEPT.test(text) ? text.split(/(?<=[.!?;])\s+/).filter((sentence) => KEPT.test(sentence)) : [],
  );

/** A tinned line whose liquid the method puts in, worded so; null where the method says nothing of it. */
export function withItsLiquid(
  line: SourceLine,
  read: ReadLine,
  sentences: readonly string[],
): SourceLine | null {
  if (sentences.length === 0 || SAID.test(line.text)) return null;
  const foods = read.foods.flatMap((f) => (f.food?.kind === 'canned-bean' ? [f] : []));
  const names = new Set(
    foods.flatMap((f) => [...tokens(f.text), ...tokens(f.food?.name.split(',')[0] ?? '')]),
  );
  const spoken = sentences.some(
    (sentence) => ANY_TIN.test(sentence) || tokens(sentence).some((t) => t !== 'water' && names.has(t)),
  );
  return foods.length > 0 && spoken ? { ...line, text: `${line.text}, undrained` } : null;
}
