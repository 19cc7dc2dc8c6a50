import rawMethod from '@content/compiled/method.json';
import type { MethodFile } from './schema';

// checked by Zod when content is compiled
const { negations, more } = rawMethod as unknown as MethodFile;

const NEGATION = new RegExp(
  `(?:^|[^a-z])(?:${[...negations]
    .sort((a, b) => b.length - a.length)
    .map((n) => n.replace(/'/g, "['’]"))
    .join('|')})(?![a-z])`,
  'i',
);
/** Words that say it comes on top of what the list holds. */
export const MORE = new RegExp(`\\b(?:${more.join('|')})\\b`, 'i');
const FREE_AFTER = /^[- ]?free\b/i;

/** Where the clause that holds a place begins. */
export function clauseStart(text: string, at: number): number {
  for (let i = at - 1; i >= 0; i -= 1) {
    const c = text[i] as string;
    if (c === '.' && /\d/.test(text[i + 1] ?? '')) continue;
    if ('.;:!?,'.includes(c) || (c === '-' && text[i - 1] === ' ')) return i + 1;
    if (text.slice(i, at).startsWith(' but ') || text.slice(i, at).startsWith(' then ')) return i + 1;
  }
  return 0;
}

/** True where the clause says that the thing is left out, or only compares with it. */
export function negated(text: string, start: number, end: number): boolean {
  if (FREE_AFTER.test(text.slice(end))) return true;
  const clause = text.slice(clauseStart(text, start), start);
  const m = NEGATION.exec(clause);
  if (!m) {
    // "instead of the butter, oil or cream": a list after the negation, cut by its commas
    const listed = /(?:instead of|rather than|without|no)\s+(?:[\w' -]+,\s*)+(?:and |or )?[\w' -]*$/i.exec(
      text.slice(0, start),
    );
    return (
      listed !== null &&
      !/[.;!?]/.test(listed[0]) &&
      !/,\s*(?:add|use|stir|heat|pour|toss|drizzle|season|sprinkle|then|fry|mix|whisk|put|cook)\b/i.test(
        listed[0],
      )
    );
  }
  const between = clause.slice(m.index + m[0].length);
  if (
    /^\s*(?:longer|need|more than|time|problem|matter|worr|too|until|one|only|just|forget|be shy|skimp|hesitate|stint|be afraid)/i.test(
      between,
    ) &&
    !/^\s*need (?:for|to add)/i.test(between)
  )
    return false;
  return between.split(/\s+/).length <= 8;
}

/** "Oil the tin", "salt the water", "butter two slices": the word is what is done, not the food. */
export function isVerb(text: string, start: number, end: number, word: string): boolean {
  // "Sprinkle with seeds" is what is done; the sweet is said in the plural
  if (word === 'sprinkle') return !/s$/i.test(text.slice(start, end));
  if (!['oil', 'salt', 'butter', 'sugar', 'stock', 'cream', 'nut', 'seed', 'honey', 'ice'].includes(word))
    return false;
  const after = text.slice(end, end + 24);
  const before = text.slice(Math.max(0, start - 14), start);
  // "Cream butter and sugar"
  if (
    word === 'cream' &&
    /^\s+(?:the |vegan |together )*(?:butter|margarine|sugars?|fat|spread|together)\b/i.test(after)
  )
    return true;
  if (/\b(?:the|some|a|little|of|with|in|more|olive|remaining|extra|no|without|hot|and)\s*$/i.test(before))
    return false;
  return (
    /^\s+(?:the|a|an|your|it|them|two|each|generously|lightly|well)\b/i.test(after) &&
    (start === 0 || /(?:[.;,:]|\band|\bthen|\blightly|\bgenerously|\bwell|\bto)\s*$/i.test(before))
  );
}
