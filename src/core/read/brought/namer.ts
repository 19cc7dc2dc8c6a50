import { tokens as tableTokens } from '@/core/food/tokens';
import { type Larder } from '@/core/food/larder';
import { type Namer } from '@/core/step/clauses';
import {
  ALIASES,
  CONJUNCTIONS,
  DETERMINERS,
  NOT_FOOD,
  PREPOSITIONS,
  SUBJECTS,
  verbOf,
} from '@/core/step/lexicon';
import { PEOPLE } from '@/core/step/people';
import { type Token } from '@/core/step/tokens';
import { MEASURED_BY, PLURAL_FOODS } from './kinds';
import { isMeasure, isSaidByEye } from './measured';

const namers = new WeakMap<Larder, Namer>();

const MOST_WORDS = 5;
/** Deeds whose plain word describes no food. */
const DEEDS_ONLY = new Set(
  'mix simmer boil bake blend whisk heat warm cook toss drain chop slice dice soak'.split(' '),
);
const CLAIMED = new Set(['sugar', 'salt', 'fat', 'sodium', 'oil']);
const LITTLE = new Set(['low', 'lower', 'reduced', 'less']);

/** Words beside the one that says which: "(the soya one)". */
const BESIDE_KIND = new Set('the our my a an one ones kind sort type again obviously'.split(' '));
const MOST_KIND = 8;

/** "(soya)", "(the oat one, unsweetened)" behind a food's name: which one, and the place behind it. */
function whichOf(tokens: readonly Token[], at: number): { words: string; end: number } | null {
  // "yog on the side (soya, plain, 100 g each)"
  const aside = ['on', 'to', 'for'].includes(tokens[at]?.word ?? '')
    ? tokens.slice(at, at + 4).findIndex((t) => t.word === '(')
    : 0;
  if (aside < 0) return null;
  at += aside;
  if (tokens[at]?.word !== '(') return null;
  const inside: string[] = [];
  let named = true;
  for (let k = at + 1; k <= at + 1 + MOST_KIND; k += 1) {
    const t = tokens[k];
    if (t?.word === ')') return inside.length > 0 ? { words: inside.join(' '), end: k + 1 } : null;
    if (t?.word === ',') named = false;
    else if (!named && inside.length > 0 && t?.kind === 'number') continue;
    else if (t?.kind !== 'word' || CONJUNCTIONS.has(t.word)) return null;
    else if (named && !BESIDE_KIND.has(t.word)) inside.push(t.word);
  }
  return null;
}

/** Finds the names of foods among a sentence's tokens, the longest first. */
export function namerOf(larder: Larder): Namer {
  const known = namers.get(larder);
  if (known) return known;
  const memo = new Map<string, string | null>();
  const named = (words: string): string | null => {
    const before = memo.get(words);
    if (before !== undefined) return before;
    const parts = tableTokens(words);
    const id = parts.length > 0 ? (larder.finder.ofName(parts)?.id ?? null) : null;
    if (memo.size > 20_000) memo.clear();
    memo.set(words, id);
    return id;
  };
  const namer: Namer = (tokens, at, to) => {
    const first = tokens[at];
    if (
      !first ||
      first.kind !== 'word' ||
      DETERMINERS.has(first.word) ||
      SUBJECTS.has(first.word) ||
      CONJUNCTIONS.has(first.word) ||
      PREPOSITIONS.has(first.word)
    )
      return null;
    // "three fat cloves of garlic": how big they are
    // "a wine glass of water"
    if (first.word === 'wine' && /^glass/.test(tokens[at + 1]?.word ?? '') && tokens[at + 2]?.word === 'of')
      return null;
    // "3.5 g sugar": the measure is no part of a name
    if (first.word.length <= 2 && isMeasure(first.word) && tokens[at - 1]?.kind === 'number') return null;
    // "Mix beans, corn and onion": a deed where it opens, and no "mix beans"
    const before = tokens[at - 1];
    if (
      DEEDS_ONLY.has(first.word) &&
      (!before || before.kind === 'mark' || CONJUNCTIONS.has(before.word) || SUBJECTS.has(before.word))
    )
      return null;
    if (first.word === 'fat') {
      const behind = tokens[at + 1];
      if (MEASURED_BY.has(behind?.normal ?? '')) return null;
      // "two fat leeks"
      if (behind?.kind === 'word' && !behind.glued && named(behind.word)) return null;
    }
    // "low sugar baked beans": a claim of the food behind it
    const next = tokens[at + 1];
    if (
      CLAIMED.has(first.normal) &&
      LITTLE.has(tokens[at - 1]?.word ?? '') &&
      (tokens[at - 1]?.word !== 'less' ||
        (next?.kind === 'word' && !PREPOSITIONS.has(next.word) && !CONJUNCTIONS.has(next.word)))
    )
      return null;
    let phrase = '';
    const phrases: string[] = [];
    for (let n = 0; n < MOST_WORDS && at + n < to; n += 1) {
      const t = tokens[at + n];
      if (!t || t.kind !== 'word' || (n > 0 && PREPOSITIONS.has(t.word) && t.word !== 'of')) break;
      phrase = n === 0 ? t.word : `${phrase} ${t.word}`;
      phrases.push(phrase);
    }
    const alias = ALIASES.at(tokens, at);
    for (let n = phrases.length; n >= 1; n -= 1) {
      if (alias && alias.end - at >= n) return { id: alias.value, end: alias.end };
      const words = phrases[n - 1] as string;
      const last = tokens[at + n - 1] as Token;
      if (
        n === 1 &&
        (NOT_FOOD.has(first.word) ||
          (NOT_FOOD.has(first.normal) && !PLURAL_FOODS.has(first.normal)) ||
          // "the pb", never "an"
          (first.word.length < 3 && named(first.word) === null))
      )
        return null;
      // "salt and pepper" are two
      if (n > 1 && (CONJUNCTIONS.has(last.word) || last.word === 'of')) continue;
      if (n > 1 && words.includes(' and ')) continue;
      // "the chickpea water a bit at a time"
      if (n > 1 && (DETERMINERS.has(last.word) || last.word.length < 2)) continue;
      // "cloves of garlic", "a stick of celery": how it comes
      if (n === 1 && tokens[at + 1]?.word === 'of' && MEASURED_BY.has(first.normal)) return null;
      // "I toast the seeds", "mum fries the onion": what somebody does
      const who = tokens[at - 1]?.word ?? '';
      const form = n === 1 ? verbOf(first.word)?.form : undefined;
      if ((form === 'base' && SUBJECTS.has(who)) || (form === 's' && (PEOPLE.has(who) || SUBJECTS.has(who))))
        return null;
      // "noodles cooked separately": how they are done
      if (n > 1 && verbOf(last.word)?.form === 'ed' && !tokens[at + n]?.glued) continue;
      // "let it toast": what it does
      if (
        n === 1 &&
        verbOf(first.word)?.form === 'base' &&
        ['it', 'them', 'to'].includes(tokens[at - 1]?.word ?? '') &&
        (tokens[at - 1]?.word === 'to' || ['let', 'make'].includes(tokens[at - 2]?.word ?? ''))
      )
        return null;
      // "just a sprinkle": of what was named before
      if (n === 1 && tokens[at - 1]?.word === 'a' && isSaidByEye(first.word)) return null;
      // "a sprinkle of breadcrumbs": so much of it
      if (n === 1 && tokens[at + 1]?.word === 'of' && verbOf(first.word)?.form === 'base') return null;
      // "fry" is no fries
      if (n === 1 && verbOf(first.word)?.form === 'base' && verbOf(first.word)?.verb.noun === false)
        return null;
      const id = named(words);
      if (!id) continue;
      const which = whichOf(tokens, at + n);
      const kind = which ? named(`${which.words} ${words}`) : null;
      return kind && which ? { id: kind, end: which.end } : { id, end: at + n };
    }
    return null;
  };
  namers.set(larder, namer);
  return namer;
}
