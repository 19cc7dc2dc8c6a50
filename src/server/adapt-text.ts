import loadHighs from 'highs';
import { adapt, type AdaptOptions, type ForDiner } from '@/core/adapt/adapt';
import { solverOf } from '@/core/adapt/solver';
import type { Adaptation } from '@/core/adapt/schema';
import { roleOf } from '@/core/audit/role';
import { recipeText } from '@/core/format/text';
import { parseRecipe } from '@/core/recipe/parse';
import type { Protocol, RoleId } from '@/core/protocol';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { flavourBack } from '@/core/swap/flavour';

export type TextAdaptation =
  | { readonly ok: true; readonly adaptation: Adaptation }
  | {
      readonly ok: false;
      readonly code: string;
      readonly message: string;
      /** Which part of what was asked is at fault; the text where nothing is said. */
      readonly path?: string;
    };

/** Words of a wish that are no line's: it would be passed over in silence. */
function unknownLine(
  read: ReadRecipe,
  wishes: Pick<AdaptOptions, 'locked' | 'forced'>,
): { path: string; message: string } | null {
  const lines = new Set(read.lines.map((l) => l.line.text));
  for (const [name, words] of [
    ['keep', wishes.locked ?? []],
    ['change', wishes.forced ?? []],
  ] as const) {
    const at = words.findIndex((w) => !lines.has(w));
    if (at >= 0)
      return {
        path: `${name}.${at}`,
        message: `There is no line of these words: “${(words[at] ?? '').slice(0, 80)}”; the lines are: ${[...lines].slice(0, 60).join(' | ')}`,
      };
  }
  return null;
}

/** What each plan costs the dish on the tongue, a sentence each. */
export function tastesOf(
  text: string,
  plans: Adaptation['plans'],
  protocol: Protocol,
  settings: ReadSettings,
  role?: RoleId,
): string[] {
  const plain = recipeText(text);
  const before = readRecipe(parseRecipe((plain.ok && plain.recipes[0]) || text), settings);
  const part = role ?? roleOf(before).role;
  return plans.map(
    (plan) => flavourBack(before, readRecipe(parseRecipe(plan.text), settings), protocol, part).costs,
  );
}

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
  const unknown = unknownLine(read, options);
  if (unknown) return { ok: false, code: 'unknown-line', ...unknown };
  return { ok: true, adaptation: adapt(read, diners, settings, options, solverOf(await highs)) };
}
