import { escapePattern } from '@/core/escape';
import { isHarmless, normalWord, tokens } from '@/core/food/tokens';
import { remembered } from '@/core/read/remembered';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import type { Change } from './schema';

/** Nouns of what stands in that name no dish: a cake is not called after its flour. */
const NAMES_NO_DISH = new Set(
  'flour puree stock broth paste water mix powder milk aquafaba starch juice spread yoghurt none salt sugar date yeast vinegar extract cube cocoa oat'.split(
    ' ',
  ),
);
/** What comes in pieces, and is spoken of as many. */
const COUNTED = /(?:beans|lentils|chickpeas|peas|mushrooms|chestnuts|potatoes|nuts|seeds|oats)$/;
const SMALL = new Set('and or with in on of the a an for to from by my our your style in'.split(' '));

const foodWords = (line: string, settings: ReadSettings): { own: readonly string[]; name: string } => {
  const read = remembered({ text: line, start: 0, end: line.length, section: null }, settings, 4);
  const food = read.foods[0];
  return { own: tokens(food?.text ?? ''), name: food?.food?.name.replace(/[,(].*$/, '').toLowerCase() ?? '' };
};

/** What a title may call the dish by where a food went: the noun of what stands in; null where that names none. */
function standIn(to: string, settings: ReadSettings): string | null {
  const [first = ''] = to.split('; ');
  if (!first) return null;
  const noun = foodWords(first, settings).name.split(' ').at(-1) ?? '';
  return noun && !NAMES_NO_DISH.has(normalWord(noun)) ? noun : null;
}

/** A name without one of its words, and without what joined it to the others. */
function dropWord(name: string, word: string): string {
  const w = escapePattern(word);
  const tries: readonly (readonly [RegExp, string])[] = [
    [new RegExp(`\\b${w}\\s*(?:&|and|,|\\+)\\s+`, 'i'), ''],
    [new RegExp(`\\s*(?:,|&|and|\\+)\\s+${w}\\b`, 'i'), ''],
    [new RegExp(`\\s+(?:with|w\\/?|in|on)\\s+${w}\\s*$`, 'i'), ''],
    [new RegExp(`\\b${w}\\s+`, 'i'), ''],
    [new RegExp(`\\s+${w}\\b`, 'i'), ''],
  ];
  for (const [pattern, put] of tries)
    if (pattern.test(name)) {
      const rest = name
        .replace(pattern, put)
        .replace(/\s{2,}/g, ' ')
        .trim();
      return /^[A-Z]/.test(name) ? rest.charAt(0).toUpperCase() + rest.slice(1) : rest;
    }
  return name;
}

/** "low sugar one", "no-oil", "salt-free": what the name says of it is no food of it. */
const isClaimed = (name: string, word: string): boolean => {
  const w = escapePattern(word);
  return new RegExp(
    `\\b(?:low|lower|no|less|reduced|free of|without)[- ]${w}\\b|\\b${w}[- ]free\\b`,
    'i',
  ).test(name);
};

/** True where so little of a name is left that it says nothing. */
const saysNothing = (name: string): boolean =>
  name.split(/[^\p{L}]+/u).filter((w) => w.length > 2 && !SMALL.has(w.toLowerCase())).length < 2;

/**
 * A dish's or part's name after a plan: a food that went is called by what stands in, or its word goes; a name that
 * would say nothing then stays and is said otherwise by the caller.
 */
export function retitled(
  name: string,
  after: ReadRecipe,
  changes: readonly Change[],
  settings: ReadSettings,
): string {
  // "4 bramleys" are apples still
  const there = new Set(
    after.lines.flatMap((l) =>
      l.origin === 'ingredients' || l.step !== null
        ? tokens(`${l.line.text} ${l.foods.map((f) => f.food?.name ?? '').join(' ')}`)
        : [],
    ),
  );
  // what each part of the name is: a risotto stays one, whatever its rice
  const heads = new Set(
    name.split(/\s+(?:with|w\/?|in|on|and|of)\s+|\s*[&,(–-]\s+/).flatMap((part) => {
      const words = part.match(/[\p{L}'’-]+/gu) ?? [];
      return words.length > 1 ? [words.at(-1)] : [];
    }),
  );
  let now = name;
  for (const change of changes) {
    if (change.from === '') continue;
    const { own } = foodWords(change.from, settings);
    for (const word of now.match(/[\p{L}'’-]+/gu) ?? []) {
      const normal = normalWord(word.toLowerCase());
      if (
        !own.includes(normal) ||
        there.has(normal) ||
        isHarmless(normal) ||
        SMALL.has(word.toLowerCase()) ||
        heads.has(word) ||
        isClaimed(now, word)
      )
        continue;
      const put = standIn(change.to, settings);
      // "with bean" is with beans; "bean drizzle" stays
      const alone = !/^\s+\p{L}/u.test(now.slice(now.indexOf(word) + word.length));
      const singular =
        /s$/.test(word) || (alone && COUNTED.test(put ?? ''))
          ? put
          : (put?.replace(/(?<=[a-z]{3})s$/, '') ?? null);
      const cased =
        singular && /^[A-Z]/.test(word) ? singular.charAt(0).toUpperCase() + singular.slice(1) : singular;
      const next =
        cased && !now.toLowerCase().includes(cased.toLowerCase())
          ? now.replace(word, cased)
          : dropWord(now, word);
      if (!saysNothing(next)) now = next;
    }
  }
  return now;
}
