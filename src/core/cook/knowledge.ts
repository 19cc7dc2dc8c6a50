import raw from '@content/compiled/tasks.json';
import type { Food } from '@/core/food/table';
import { phraseOf, tokensOf } from '@/core/step/tokens';
import type { TaskFile } from './schema';

// checked by Zod when content is compiled
const file = raw as unknown as TaskFile;

export const TASKS = file;
export const JOINS: ReadonlySet<string> = new Set(file.joins);
export const MIXES: ReadonlySet<string> = new Set(file.mixes);
export const GATHERS: ReadonlySet<string> = new Set(file.gathers);
export const SILENT: ReadonlySet<string> = new Set(file.silent);
export const WORKS: ReadonlySet<string> = new Set(file.works);
/** Work of the hands that is not done over the fire. */
export const OFF_HEAT: ReadonlySet<string> = new Set(file.works.filter((w) => !JOINS.has(w)));
/** Deeds that leave food where it is. */
export const STAYS: ReadonlySet<string> = new Set(file.stays);
export const LEAVES_HEAT: ReadonlySet<string> = new Set(file.leaves);

/** Looks for words of a list in a text, word by word. */
function finder(phrases: readonly string[]): (text: string) => string | null {
  const wanted = phrases.map((p) => ({ phrase: p, words: phraseOf(p) }));
  return (text) => {
    const words = tokensOf(text.toLowerCase()).map((t) => t.word);
    for (const { phrase, words: own } of wanted)
      for (let i = 0; i + own.length <= words.length; i += 1)
        if (own.every((w, k) => words[i + k] === w)) return phrase;
    return null;
  };
}

export const saysBeside = finder(file.beside);
export const saysEverything = finder(file.everything);
export const saysCurrent = finder(file.current);
export const saysInPassing = finder(file['in-passing']);
export const saysKeeping = finder(file.keeping);
export const saysMade = finder(file.made);
export const saysBought = finder(file.bought);
export const saysBatter = finder(file.batter.names);

/** What lines ask for, each with a way to see whether a line's words do; longer words first. */
export const LINE_TASKS = file.lines.map((rule) => ({
  rule,
  in: finder([...rule.words].sort((a, b) => b.length - a.length)),
}));

type Waits = TaskFile['at-once'];
const named = ({ kinds, names }: Waits) => {
  const inName = finder(names.flatMap((n) => [n, `${n}s`]));
  return (food: Food): boolean => kinds.includes(food.kind) && inName(food.name) !== null;
};
/** Pasta and noodles: eaten when they are done. */
export const isAtOnce = named(file['at-once']);
export const isDarkLeaf = named(file['leaves-wait']);

/** What does not grow in proportion where a dish is made larger, by what it holds and what is done. */
export const unscaledIn = (foods: readonly Food[], actions: ReadonlySet<string>): readonly string[] =>
  file.unscaled.flatMap(({ when, kinds, names, says }) => {
    const inName = names ? finder(names) : null;
    const holds =
      when?.some((w) => actions.has(w)) ??
      foods.some((f) => (kinds?.includes(f.kind) ?? false) || (inName?.(f.name) ?? null) !== null);
    return holds ? [says] : [];
  });
