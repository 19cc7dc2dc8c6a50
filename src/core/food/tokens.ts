import { escapePattern } from '@/core/escape';
import rawWords from '@content/compiled/words.json';
import { remember } from '@/core/memo';
import type { Words } from './schema';

// checked by Zod when content is compiled
const words = rawWords as unknown as Words;
const ALWAYS_PLURAL = new Set([
  'molasses',
  'hummus',
  'couscous',
  'asparagus',
  'watercress',
  'brussels',
  'citrus',
  'swiss',
  'cress',
  'hass',
  'cos',
  'ras',
  'herbes',
  'gas',
  'bus',
  'less',
  'glass',
  'lemongrass',
  'grass',
  'greens',
]);
const harmless = new Set(words.harmless.map(fold));
const spelling = new Map(Object.entries(words.spelling));
const phrasePattern = new RegExp(
  `(?<![a-z])(?:${Object.keys(words.phrases)
    .sort((a, b) => b.length - a.length)
    .map(escapePattern)
    .join('|')})(?![a-z])`,
  'g',
);

/** A noun's singular, as far as kitchens need: tomatoes, berries, leaves, radishes. */
export function fold(word: string): string {
  if (word.length < 4 || ALWAYS_PLURAL.has(word)) return word;
  if (word.endsWith('ies') && word.length > 4) return `${word.slice(0, -3)}y`;
  if (word.endsWith('oes')) return word.slice(0, -2);
  if (word.endsWith('leaves')) return `${word.slice(0, -6)}leaf`;
  if (word.endsWith('halves')) return 'half';
  if (word.endsWith('loaves')) return 'loaf';
  if (word.endsWith('es') && /(?:ch|sh|ss|x)es$/.test(word)) return word.slice(0, -2);
  if (word.endsWith('s') && !word.endsWith('ss') && !word.endsWith('us')) return word.slice(0, -1);
  return word;
}

/** One word in the table's spelling: no accents, no plural, one of several spellings. */
export function normalWord(word: string): string {
  const direct = spelling.get(word);
  if (direct !== undefined) return direct;
  const folded = fold(word);
  return spelling.get(folded) ?? folded;
}

const ACCENTS = /[\u0300-\u036f]/g;

const FREE_OF = /\b[a-z]+-free\b/g;

/** Words of a phrase in one spelling, several-word terms as one ("no salt added" → unsalted). */
export const tokens = remember((phrase: string): readonly string[] => {
  let text = phrase.toLowerCase();
  if (/[^\x20-\x7e]/.test(text)) text = text.normalize('NFD').replace(ACCENTS, '').replace(/[’‘]/g, "'");
  text = text.replace(phrasePattern, (m) => words.phrases[m] ?? m);
  // "anchovy-free": what is not in it says nothing of what it is
  if (text.includes('-free')) text = text.replace(FREE_OF, ' ');
  const out: string[] = [];
  for (const raw of text.match(/[a-z0-9%']+/g) ?? []) {
    const word = raw.includes("'") ? raw.replace(/^'+|'s?$|'+$/g, '') : raw;
    if (word.length > 1 || word === 't') out.push(normalWord(word));
  }
  return out;
}, 20_000);

const IN_PHRASES = new Set(
  Object.keys(words.phrases).flatMap((phrase) => phrase.split(/[^a-z0-9%']+/).map(normalWord)),
);

/** Words of a text in one spelling, each by itself: quick, and blind to terms of several words. */
export const plainWords = (text: string): string[] =>
  (
    text
      .toLowerCase()
      .normalize('NFD')
      .replace(ACCENTS, '')
      .match(/[a-z0-9%']+/g) ?? []
  ).map((w) => normalWord(w.replace(/^'+|'s?$|'+$/g, '')));

/** True for a word that may become another one beside its neighbours ("no salt added"). */
export const mayMerge = (word: string): boolean => IN_PHRASES.has(word);

const isDigit = (c: number): boolean => c >= 0x30 && c <= 0x39;

/** True for words that never change which food is meant: "large", "chopped", "organic". */
export const isHarmless = (token: string): boolean => harmless.has(token) || isDigit(token.charCodeAt(0));

/** A name's words in one order, every one of them once: "white beans" is not "beans". */
export const nameKey = (words: readonly string[]): string =>
  words.length === 1 ? (words[0] as string) : [...new Set(words)].sort().join(' ');
