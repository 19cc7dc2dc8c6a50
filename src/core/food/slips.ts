import { distance } from 'fastest-levenshtein';

/** Letters of the shortest word in which a slip is mended. */
export const SHORTEST_SLIP = 5;
const SHORTEST_NAME = 4;
const LONG = 8;

/** One slip in short words, two in long ones. */
export const slipsAllowed = (word: string): number => (word.length >= LONG ? 2 : 1);

/** Slips between two words: letters wrong, missing or too many, and two that changed places as one. */
export function slips(word: string, token: string): number {
  const d = distance(word, token);
  if (d !== 2 || word.length !== token.length) return d;
  const at = [...word].findIndex((c, i) => c !== token[i]);
  const swapped = word[at] === token[at + 1] && word[at + 1] === token[at];
  return swapped && word.slice(at + 2) === token.slice(at + 2) ? 1 : d;
}

/**
 * True where a food's word is worth a look for a misspelt one. The first letter is seldom wrong, and asking for it keeps
 * "corn" from "horn".
 */
export const isLike = (word: string, token: string, allowed: number): boolean =>
  Math.abs(word.length - token.length) <= allowed && word.length >= SHORTEST_NAME && word[0] === token[0];

/** True where one word would be taken for a slip of the other. */
export const isNear = (token: string, word: string): boolean =>
  token.length >= SHORTEST_SLIP &&
  isLike(word, token, slipsAllowed(token)) &&
  slips(word, token) <= slipsAllowed(token);
