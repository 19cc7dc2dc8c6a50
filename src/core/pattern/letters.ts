import { remember } from '@/core/memo';
import { needsOf } from './needs';

/**
 * Which letters stand beside each other in a text, up to three of them: one bit for each, in 64 words of 32. Two may
 * share a bit, so it may say that something is there that is not, and never that something is missing that is there.
 */
export type Letters = Uint32Array;

const WORDS = 64;
/** Bits of a place in {@link Letters}: 2048 of them. */
const SHIFT = 32 - 11;
const place = (a: number, b: number, c: number): number =>
  Math.imul(Math.imul(Math.imul(a, 0x9e3779b1) + b, 0x85ebca6b) + c, 0xc2b2ae35) >>> SHIFT;
/** A digit is as good as any other. */
const coded = (c: number): number => (c >= 0x30 && c <= 0x39 ? 0x30 : c);

/** The letters of a text, whatever their case. */
export const lettersOf = remember((text: string): Letters => {
  const lower = text.toLowerCase();
  const out = new Uint32Array(WORDS);
  const put = (bit: number) => {
    out[bit >>> 5] = (out[bit >>> 5] ?? 0) | (1 << (bit & 31));
  };
  let before = 0;
  let last = 0;
  for (let i = 0; i < lower.length; i += 1) {
    const c = coded(lower.charCodeAt(i));
    put(place(0, 0, c));
    if (last) put(place(0, last, c));
    if (before) put(place(before, last, c));
    before = last;
    last = c;
  }
  return out;
}, 1000);

/** Bits of a word: all of them are set in every text that holds it. */
function bitsOf(word: string): readonly number[] {
  const c = [...word].length === word.length ? [...word].map((w) => coded(w.charCodeAt(0))) : [];
  if (c.length === 0) return [];
  if (c.length < 3) return [place(0, c.length === 2 ? (c[0] ?? 0) : 0, c[c.length - 1] ?? 0)];
  return c.slice(2).map((last, i) => place(c[i] ?? 0, c[i + 1] ?? 0, last));
}

/** Clauses asked of a text; more tell little more. */
const MOST_CLAUSES = 3;

/**
 * Whether a text may hold a pattern, told from its letters alone: several times quicker than to look for it. What the
 * pattern asks for is read when it is first asked.
 */
export function gate(pattern: RegExp): (letters: Letters) => boolean {
  let clauses: readonly (readonly (readonly number[])[])[] | undefined;
  return (letters) => {
    clauses ??= needsOf(pattern)
      .map((clause) => clause.map(bitsOf))
      .filter((clause) => clause.every((bits) => bits.length > 0))
      .sort((a, b) => telling(b) - telling(a))
      .slice(0, MOST_CLAUSES);
    for (const clause of clauses) {
      let found = false;
      for (let w = 0; w < clause.length && !found; w += 1) found = holds(letters, clause[w] ?? []);
      if (!found) return false;
    }
    return true;
  };
}

function holds(letters: Letters, bits: readonly number[]): boolean {
  for (let i = 0; i < bits.length; i += 1) {
    const bit = bits[i] ?? 0;
    if (((letters[bit >>> 5] ?? 0) & (1 << (bit & 31))) === 0) return false;
  }
  return true;
}

/** Few words, and long ones, are rarely there by chance. */
const telling = (clause: readonly (readonly number[])[]): number =>
  Math.min(4, ...clause.map((bits) => bits.length)) * 100 - clause.length;
