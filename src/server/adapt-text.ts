import loadHighs from 'highs';
import { adapt, type AdaptOptions, type ForDiner } from '@/core/adapt/adapt';
import { solverOf } from '@/core/adapt/solver';
import type { Adaptation } from '@/core/adapt/schema';
import { recipeText } from '@/core/format/text';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadSettings } from '@/core/read/types';

export type TextAdaptation =
  | { readonly ok: true; readonly adaptation: Adaptation }
  | { readonly ok: false; readonly code: string; readonly message: string };

let highs: ReturnType<typeof loadHighs> | null = null;

/** Adapts a recipe's text on a server or in a terminal: the whole way, with HiGHS from its package. */
export async function adaptText(
  text: string,
  diners: readonly ForDiner[],
  settings: ReadSettings,
  options: AdaptOptions,
): Promise<TextAdaptation> {
  const plain = recipeText(text);
  if (!plain.ok) return plain;
  const source = plain.recipes[0];
  if (source === undefined) return { ok: false, code: 'empty', message: 'There is no recipe in it.' };
  highs ??= loadHighs();
  const read = readRecipe(parseRecipe(source), settings);
  return { ok: true, adaptation: adapt(read, diners, settings, options, solverOf(await highs)) };
}
