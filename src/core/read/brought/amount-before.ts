import { numberOf } from '@/core/measure/quantity';
import { type ClauseSpan, type Sentence } from '@/core/step/clauses';
import {
  AUXILIARIES,
  CONJUNCTIONS,
  DEFINITE,
  NEGATORS,
  PREPOSITIONS,
  SUBJECTS,
  verbOf,
} from '@/core/step/lexicon';
import { DOES } from '@/core/step/people';
import { type Token } from '@/core/step/tokens';
import { isMeasure, SPOONS, STATES } from './measured';
import { textOf, type Source } from './scan';

/** Words that an amount is made of, walked back from a food's name. */
export function amountStart(s: Sentence, c: ClauseSpan, from: number): number {
  let k = from;
  for (let n = 0; n < 9 && k > s.from; n += 1) {
    const t = s.tokens[k - 1] as Token;
    const named = s.named[k - 1 - s.from];
    if (named && named.kind === 'food') break;
    // "150 g (dry weight) of brown rice": what the bracket says belongs to the amount
    if (t.word === ')') {
      const open = bracketBefore(s, k - 1);
      const state =
        open >= 0 && s.tokens.slice(open + 1, k - 1).every((x) => STATES.has(x.word) || x.word === 'weight');
      if (open < 0 || (s.tokens[k]?.word !== 'of' && !state)) break;
      k = open;
      continue;
    }
    if (t.kind === 'number' || t.word === '/' || t.word === '–') {
      k -= 1;
      continue;
    }
    if (t.kind === 'mark') break;
    // "cube 2 slices of", "stick four rolls": no measure stands before its number
    if (isMeasure(t.word) && isCount(s.tokens[k]) && numberOf(s.tokens[k - 2]?.word) === null) break;
    // "a handful or two of", "a tablespoon or so of"
    const orTwo =
      t.word === 'or' && OR_SO.has(s.tokens[k]?.word ?? '') && isMeasure(s.tokens[k - 2]?.word ?? '');
    if (orTwo) {
      k -= 1;
      continue;
    }
    // "three or so tablespoons of"
    if (t.word === 'so' && s.tokens[k - 2]?.word === 'or' && isMeasure(s.tokens[k]?.word ?? '')) {
      k -= 2;
      continue;
    }
    // "two of those vac packs of", "one of the 400 g tins of"
    const ofThose =
      DEFINITE.has(t.word) &&
      s.tokens[k - 2]?.word === 'of' &&
      (s.tokens[k - 3]?.kind === 'number' || COUNTED_ONES.has(s.tokens[k - 3]?.word ?? ''));
    if (ofThose) {
      k -= 3;
      continue;
    }
    // "2 teaspoons of the low salt bouillon" is so much of it
    if (DEFINITE.has(t.word) && s.tokens[k - 2]?.word === 'of' && SPOONS.test(s.tokens[k - 3]?.word ?? '')) {
      k -= 1;
      continue;
    }
    // "a drained can of": how it is, and no deed
    const state = c.verb?.form === 'ed' && isMeasure(s.tokens[k]?.word ?? '');
    if (k - 1 === c.verbAt && !state) break;
    if (t.word === 'and') {
      // "a tablespoon and a half of", "1 and 1/2"
      const next = s.tokens[k]?.word;
      const half =
        next === 'a' && ['half', 'quarter', 'third', 'bit', 'little'].includes(s.tokens[k + 1]?.word ?? '');
      const before = s.tokens[k - 2];
      const counted = before?.kind === 'number' || before?.word === 'a' || before?.word === 'one';
      if (half || (s.tokens[k]?.kind === 'number' && counted)) {
        k -= 1;
        continue;
      }
      break;
    }
    // "each one gets 20 g walnuts": the amount begins behind what somebody does
    if (DOES.has(t.word) && s.tokens[k]?.kind === 'number') break;
    // "a can of", "one can chickpeas": the tin, and not what one is able to do
    const tin =
      t.word === 'can' && (s.tokens[k]?.word === 'of' || COUNTS_TIN.has(s.tokens[k - 2]?.word ?? ''));
    if (
      t.word !== 'of' &&
      !tin &&
      (PREPOSITIONS.has(t.word) ||
        CONJUNCTIONS.has(t.word) ||
        AUXILIARIES.has(t.word) ||
        NEGATORS.has(t.word) ||
        SUBJECTS.has(t.word) ||
        US.has(t.word) ||
        DEFINITE.has(t.word))
    )
      break;
    k -= 1;
  }
  k = behindTalk(s, k, from);
  while (
    k < from &&
    ['of', 'and', 'more', 'extra', 'another', 'some', 'further', 'additional'].includes(
      s.tokens[k]?.word ?? '',
    )
  )
    k += 1;
  return k;
}

/** A number that counts what stands behind it. */
const isCount = (t: Token | undefined): boolean =>
  t?.kind === 'number' ? /^\d/.test(t.word) : COUNTED_ONES.has(t?.word ?? '') && t?.word !== 'one';
const COUNTED_ONES = new Set(['one', 'two', 'three', 'four', 'five', 'six']);
/** Who eats: "for the two of us 150 g penne". */
const US = new Set('us me them everyone everybody'.split(' '));
const OR_SO = new Set(['two', 'three', 'so', 'more', '2', '3']);
const COUNTS_TIN = new Set(
  'a one half 1 drained undrained rinsed whole full small large big g ml oz'.split(' '),
);

/** The bracket that a closing one at a place belongs to, where it is short; -1 where it is not. */
function bracketBefore(s: Sentence, close: number): number {
  for (let k = close - 1; k > Math.max(s.from, close - 6); k -= 1) if (s.tokens[k]?.word === '(') return k;
  return -1;
}

export const OPENS_AMOUNT = new Set(
  'a an half quarter third one two three four five six seven eight nine ten twelve dozen about around roughly approximately another some couple few scant heaped heaping level rounded generous good big small large little tiny'.split(
    ' ',
  ),
);

/** "three quarters of a cup": of what follows. */
const FRACTIONS = new Set('half quarter quarters third thirds'.split(' '));

/** "a couple of tablespoons": how many of what follows. */
const COUNTING = new Set('couple few pair dozen lot lots load loads bit plenty'.split(' '));

/** "mix two tablespoons": a deed, and neither a measure nor "a quarter". */
const isDeed = (t: Token): boolean =>
  t.kind === 'word' && !isMeasure(t.word) && !FRACTIONS.has(t.word) && verbOf(t.word)?.form === 'base';

/** "Next a heaped teaspoon", "slake 2 tbsp": words in front of an amount that are no part of it. */
function behindTalk(s: Sentence, start: number, from: number): number {
  const opens = (k: number) => {
    const t = s.tokens[k] as Token;
    return t.kind === 'number' || OPENS_AMOUNT.has(t.word) || isMeasure(t.word);
  };
  // "a slaw of half a cabbage": what it is made of has the amount
  for (let k = from - 1; k > start + 1; k -= 1) {
    const { word } = s.tokens[k] as Token;
    if (word !== 'of' || !opens(k + 1)) continue;
    const made = s.tokens
      .slice(start, k)
      .every(
        (t) => t.kind === 'word' && !isMeasure(t.word) && !FRACTIONS.has(t.word) && !COUNTING.has(t.word),
      );
    if (made) return k + 1;
  }
  // "in a mug mix two tablespoons of": what is told to be done has its own amount behind it
  for (let k = from - 2; k > start; k -= 1) {
    const t = s.tokens[k] as Token;
    if (isDeed(t) && opens(k + 1)) return k + 1;
  }
  for (let k = start; k < from; k += 1)
    if (opens(k)) {
      const counted = s.tokens.slice(k, from).some((t) => t.kind === 'number' || isMeasure(t.word));
      // "each pot gets a few raspberries"
      const gets = k > start && DOES.has(s.tokens[k - 1]?.word ?? '');
      return counted || gets ? k : start;
    }
  return start;
}

/** Words of a citrus' juice or rind before its name: "juice of half a lemon"; `from` where there are none. */
export function pressedFrom(s: Sentence, c: ClauseSpan, from: number): number {
  for (let k = from - 1; k > Math.max(c.from, from - 6); k -= 1) {
    if (s.tokens[k]?.kind === 'mark') return from;
    if (s.tokens[k]?.word === 'of' && PRESSED.has(s.tokens[k - 1]?.word ?? '')) {
      const also =
        ['and', '&'].includes(s.tokens[k - 2]?.word ?? '') && PRESSED.has(s.tokens[k - 3]?.word ?? '');
      return also ? k - 3 : k - 1;
    }
  }
  return from;
}
/** What a fruit gives: "juice of half a lemon". */
export const PRESSED = new Set(['juice', 'zest', 'rind', 'peel']);

/** "a teaspoon each of cumin and coriander": the words of the amount that a later food of the row has too. */
export function sharedAmount(source: Source, s: Sentence, c: ClauseSpan, from: number): string | null {
  if (!['and', '&', ','].includes(s.tokens[from - 1]?.word ?? '')) return null;
  for (let e = from - 2; e > c.from; e -= 1) {
    const t = s.tokens[e] as Token;
    if (t.kind === 'number') return null;
    if (t.word !== 'each') continue;
    const next = s.tokens[e + 1]?.word;
    if (next !== 'of' && !s.named[e + 1 - s.from]) return null;
    const start = amountStart(s, c, e);
    return start < e ? textOf(source, s, start, e) : null;
  }
  return null;
}

/** "two tablespoons of soy sauce, one of vinegar": so many of the measure before; null where it says one itself. */
export function sameMeasure(s: Sentence, start: number, from: number): string | null {
  const first = s.tokens[start];
  const counted = first?.kind === 'number' || (first && numberOf(first.word) !== null && first.word !== 'a');
  if (!counted || s.tokens[start + 1]?.word !== 'of' || start + 2 !== from) return null;
  for (let k = start - 1; k >= s.from; k -= 1) {
    const word = s.tokens[k]?.word ?? '';
    if (SPOONS.test(word)) return `${first.word} ${word} of `;
  }
  return null;
}

/** "replace 3 tbsp of the water with juice": as much of the one as of the other; null where none is said. */
export function swappedAmount(source: Source, s: Sentence, c: ClauseSpan, from: number): string | null {
  if (!c.verb?.verb.swaps) return null;
  let of = -1;
  for (let k = c.verbAt + 1; k < from; k += 1) {
    const { word } = s.tokens[k] as Token;
    if (word === 'of' && of < 0) of = k;
    if (['with', 'for', 'by'].includes(word) && k === from - 1 && of > c.verbAt + 1) {
      const first = s.tokens[c.verbAt + 1] as Token;
      const counted = first.kind === 'number' || OPENS_AMOUNT.has(first.word);
      return counted ? textOf(source, s, c.verbAt + 1, of) : null;
    }
  }
  return null;
}
