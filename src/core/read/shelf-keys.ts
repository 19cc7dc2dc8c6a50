import { mayMerge, plainWords } from '@/core/food/tokens';
import { titleOf } from '@/core/recipe/title';
import { isFiller } from './recipes';
import type { KeptRecipe } from './library';

/**
 * A text as a short key. cyrb53, a 53-bit non-cryptographic hash (public domain): two of ten thousand recipes share a
 * key about once in 10^8 shelves.
 */
export function keyOf(text: string): string {
  let a = 0xdeadbeef;
  let b = 0x41c6ce57;
  for (let i = 0; i < text.length; i += 1) {
    const c = text.charCodeAt(i);
    a = Math.imul(a ^ c, 2654435761);
    b = Math.imul(b ^ c, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return (4294967296 * (2097151 & b) + (a >>> 0)).toString(36);
}

/** Words that must stand in a text before a title can be meant in it: asking so finds more than the reader would. */
const mustStand = (title: string): string[] => [
  ...new Set(plainWords(title).filter((w) => w.length > 1 && !isFiller(w) && !mayMerge(w))),
];

const own = ({ text, role, servings, potG, plateG, corrections, box }: KeptRecipe): string =>
  JSON.stringify([text, role, servings, potG, plateG, corrections, box ?? null]);

/**
 * What each recipe's verdicts hang on, as a key: its own words, what all are read with, and every other recipe of the
 * shelf whose title stands in it, word by word, since that one may be an ingredient. A verdict kept under the same key
 * is never worked out again; where a key is the same, so are the verdicts.
 *
 * @param ground whatever else decides a verdict: the build, the protocols, the larder, the measures
 */
export function shelfKeys(recipes: readonly KeptRecipe[], ground: string): string[] {
  const titles = recipes.map((r) => mustStand(r.box?.name ?? titleOf(r.text)));
  const contents = recipes.map((r) => keyOf(own(r)));
  // a title is looked for by its rarest word
  const often = new Map<string, number>();
  for (const title of titles) for (const w of title) often.set(w, (often.get(w) ?? 0) + 1);
  const byWord = new Map<string, number[]>();
  titles.forEach((title, i) => {
    const rarest = [...title].sort((a, b) => (often.get(a) ?? 0) - (often.get(b) ?? 0))[0];
    if (rarest !== undefined) byWord.set(rarest, [...(byWord.get(rarest) ?? []), i]);
  });
  /** Titles of which no word must stand anywhere may be meant everywhere. */
  const anywhere = titles.flatMap((title, i) => (title.length === 0 ? [i] : []));
  /** Recipes that each names, by place. */
  const named = recipes.map((recipe, i) => {
    const words = new Set(plainWords(recipe.text));
    const found = anywhere.filter((at) => at !== i);
    for (const word of words)
      for (const at of byWord.get(word) ?? [])
        if (at !== i && (titles[at] ?? []).every((w) => words.has(w))) found.push(at);
    return found.sort((a, b) => a - b);
  });
  return recipes.map((_, i) => {
    // what an ingredient is made of counts too
    const reached = new Set<number>();
    const open = [...(named[i] ?? [])];
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      if (at === i || reached.has(at)) continue;
      reached.add(at);
      open.push(...(named[at] ?? []));
    }
    const others = [...reached].map((at) => contents[at] ?? '').sort();
    return keyOf([ground, contents[i], ...others].join('|'));
  });
}
