import { type ClauseSpan, type Sentence } from '@/core/step/clauses';
import { numberOf } from '@/core/measure/quantity';
import { isHarmless } from '@/core/food/tokens';
import {
  CONJUNCTIONS,
  DETERMINERS,
  ORDINARY,
  Phrases,
  PREPOSITIONS,
  PRONOUNS,
  SUBJECTS,
} from '@/core/step/lexicon';
import { type Token } from '@/core/step/tokens';
import { EACH, isForEach } from './for-each';
import { isMeasure, STATES } from './measured';

const APPROACH = new Set([
  ',',
  '-',
  '–',
  '—',
  '(',
  ':',
  'about',
  'roughly',
  'around',
  'say',
  'approx',
  'abt',
  'circa',
  'ca',
]);
const ASIDE = new Phrases(
  [
    'on the side',
    'at the side',
    'alongside',
    'with it',
    'to serve',
    'to go with it',
    'to go with',
    'as well',
    'too',
    'on the table',
    'at the table',
    'on top',
    'over the top',
    'at the end',
    'to finish',
  ].map((w) => [w, true] as const),
);
/** The place behind a sentence's last word. */
const endOf = (s: Sentence): number => {
  let k = s.to;
  while (k > s.from && s.tokens[k - 1]?.kind === 'mark') k -= 1;
  return k;
};
const IN_TURN = new Set(['next', 'now', 'then', 'first', 'last', 'after']);
const ALLOWS = new Set(
  'do use allow make give have cook weigh reckon measure take need count want put add'.split(' '),
);
/** Where a food goes, between its name and its amount: "tahini goes in, 2 tbsp", "there's salt in it, a teaspoon". */
const GOES_IN = new Set(
  'goes go went is are in on it this there here now next too as well also through over'.split(' '),
);

/** "three fist sized ones, maybe 600 g": how many there are, before what they weigh. */
function behindOnes(s: Sentence, from: number): number {
  for (let k = from; k < Math.min(s.to, from + 6); k += 1) {
    if (s.tokens[k]?.kind === 'mark') return from;
    if (!['one', 'ones'].includes(s.tokens[k]?.word ?? '') || k === from) continue;
    let to = k + 1;
    while (
      to < s.to &&
      (APPROACH.has(s.tokens[to]?.word ?? '') || ['maybe', 'perhaps'].includes(s.tokens[to]?.word ?? ''))
    )
      to += 1;
    return s.tokens[to]?.kind === 'number' ? to : from;
  }
  return from;
}

const BEING = new Set(['is', 'are', 'was', 'were']);
/** "the chickpeas I toss through at the end (240 g drained)": past what is told of the food, to its bracket. */
function inOwnBracket(s: Sentence, from: number): number {
  const is = BEING.has(s.tokens[from]?.word ?? '') && s.tokens[from + 1]?.word === 'what';
  if (!is && !SUBJECTS.has(s.tokens[from]?.word ?? '')) return from;
  for (let k = from + 1; k < Math.min(s.to, from + 10); k += 1) {
    const t = s.tokens[k] as Token;
    if (t.word === '(') return s.tokens[k + 1]?.kind === 'number' ? k + 1 : from;
    if (t.kind !== 'word' || s.named[k - s.from]?.kind === 'food') return from;
  }
  return from;
}

/** "two big ones", "2 corn ones": how many of what was just named, and which. */
export function onesBehind(s: Sentence, to: number): { from: number; to: number } | null {
  let k = to;
  while (k < s.to && APPROACH.has(s.tokens[k]?.word ?? '')) k += 1;
  if (k === to || numberOf(s.tokens[k]?.word) === null) return null;
  for (let n = 1; n <= 3; n += 1) {
    const t = s.tokens[k + n];
    if (t?.kind !== 'word') return null;
    if (n > 1 && ['one', 'ones'].includes(t.word)) return { from: k, to: k + n };
  }
  return null;
}

/** "onions 2, ginger", "aubergines - three, medium": how many, behind the name. */
export function countBehind(s: Sentence, to: number): { from: number; to: number } | null {
  let k = to;
  // "wholemeal baps (4)"
  const inside = ['(', ')'].every((mark, i) => s.tokens[to + 2 * i]?.word === mark);
  while (k < s.to && ['-', '–', '—', ',', inside ? '(' : ','].includes(s.tokens[k]?.word ?? '')) k += 1;
  // "savoy, a quarter"
  const part = s.tokens[k]?.word === 'a' ? k + 1 : k;
  if (
    k > to &&
    PARTS.has(s.tokens[part]?.word ?? '') &&
    (part + 1 >= s.to || s.tokens[part + 1]?.kind === 'mark')
  )
    return { from: k, to: part + 1 };
  const t = s.tokens[k];
  const next = s.tokens[k + 1];
  const ends = next === undefined || k + 1 >= s.to || (next.kind === 'mark' && next.word !== '/');
  const many = numberOf(t?.word);
  return many !== null && many >= 1 && t?.word !== 'a' && ends && many <= MOST_COUNTED
    ? { from: k, to: k + 1 }
    : null;
}
const MOST_COUNTED = 24;
const PARTS = new Set(['quarter', 'half', 'third']);

/** A word between a number and its measure that names nothing: "2 good handfuls", "a small bunch". */
const saysHowMuch = (t: Token): boolean =>
  ORDINARY.has(t.word) ||
  PREPOSITIONS.has(t.word) ||
  CONJUNCTIONS.has(t.word) ||
  numberOf(t.word) !== null ||
  isHarmless(t.word) ||
  STATES.has(t.word) ||
  PRONOUNS.has(t.word) ||
  DETERMINERS.has(t.word) ||
  t.word === 'so';

/** Tokens of a bracket that is looked through. */
const LONGEST_BRACKET = 24;
/** "a smear of oil (brushed on with a bit of paper, half a tsp)": the amount that ends a bracket which names no food. */
function lastInBracket(s: Sentence, to: number): number {
  if (s.tokens[to]?.word !== '(') return to;
  let last = to;
  for (let k = to + 1; k < Math.min(s.to, to + LONGEST_BRACKET); k += 1) {
    const word = s.tokens[k]?.word ?? '';
    if (word === ')') return last;
    if (s.named[k - s.from]?.kind === 'food') return to;
    const next = s.tokens[k + 1];
    const opens = next?.kind === 'number' || ['half', 'a', 'one', 'two'].includes(next?.word ?? '');
    if ([',', '-', '–', '—', ':'].includes(word) && opens) last = k + 1;
  }
  return to;
}

/** Tokens of a bracket that is passed. */
const LONGEST_ASIDE = 8;
/** "rice (brown for me), 1/2 cup cooked each": behind a bracket that tells no amount and stands before a mark. */
function pastBracket(s: Sentence, to: number): number {
  if (s.tokens[to]?.word !== '(') return to;
  for (let k = to + 1; k < Math.min(s.to, to + LONGEST_ASIDE); k += 1) {
    if (s.tokens[k]?.kind === 'number') return to;
    if (s.tokens[k]?.word === ')')
      return [',', '-', '–', ':'].includes(s.tokens[k + 1]?.word ?? '') ? k + 1 : to;
  }
  return to;
}

/** An amount told behind its food: "brown rice, about 2 cups cooked", "rice 60 g dry each"; null where none is. */
export function amountBehind(s: Sentence, to: number): { from: number; to: number; states: string[] } | null {
  let k = pastBracket(s, to);
  if (k === to) k = lastInBracket(s, to);
  const beside = ASIDE.at(s.tokens, k);
  if (beside) k = beside.end;
  // "garlic next, 5 cloves"
  if (IN_TURN.has(s.tokens[k]?.word ?? '') && s.tokens[k + 1]?.kind === 'mark') k += 1;
  let placed = k;
  while (placed < Math.min(s.to, k + 5) && GOES_IN.has(s.tokens[placed]?.word ?? '')) placed += 1;
  if (placed > k && APPROACH.has(s.tokens[placed]?.word ?? '')) k = placed;
  while (k < s.to && APPROACH.has(s.tokens[k]?.word ?? '')) k += 1;
  // "chutney from the jar, 1 spoon"
  if (s.tokens[k]?.word === 'from') while (k < Math.min(s.to, to + 5) && s.tokens[k]?.kind === 'word') k += 1;
  while (k < s.to && APPROACH.has(s.tokens[k]?.word ?? '')) k += 1;
  // "brown basmati, I do 75 g a head"
  if (
    ['i', 'we', 'you'].includes(s.tokens[k]?.word ?? '') &&
    ALLOWS.has(s.tokens[k + 1]?.word ?? '') &&
    k > to
  ) {
    k += 2;
    if (['us', 'myself', 'them', 'everyone'].includes(s.tokens[k]?.word ?? '')) k += 1;
    while (k < s.to && APPROACH.has(s.tokens[k]?.word ?? '')) k += 1;
  }
  // "mayo only for the teenager (1 tbsp)"
  const alone = ['only', 'just'].includes(s.tokens[k]?.word ?? '') ? k + 1 : k;
  if (s.tokens[alone]?.word === 'for' && s.tokens[alone + 3]?.word === '(') k = alone + 4;
  k = inOwnBracket(s, behindOnes(s, k));
  const from = k;
  const first = s.tokens[k];
  if (first?.kind !== 'number' && !['half', 'a', 'one', 'two', 'three', 'four'].includes(first?.word ?? ''))
    return null;
  // "wholemeal pittas, 1 each"
  let measured = first?.kind === 'number' && EACH.has(s.tokens[from + 1]?.word ?? '') ? from + 1 : -1;
  while (k < s.to && measured < 0 && k < from + 5) {
    const t = s.tokens[k] as Token;
    if (t.kind === 'mark' && !['/', '–', '-', '.'].includes(t.word)) return null;
    // "½ c. cooked", never "200 c"
    const cup = t.word === 'c' && /^(?:\d|\d?[\d/.½¼¾⅓⅔]+)$/.test(s.tokens[k - 1]?.word ?? '');
    // "thyme, 2 flurgle cubes": so many of another thing
    if (t.kind === 'word' && !isMeasure(t.word) && !cup && !saysHowMuch(t)) return null;
    // "half a 900 g bag"
    if (isMeasure(t.word) || cup) measured = isMeasure(s.tokens[k + 1]?.word ?? '') ? k + 2 : k + 1;
    k += 1;
  }
  if (measured < 0) return null;
  // "potatoes, a kilo and a half"
  const more = ['and', 'a'].every((w, n) => s.tokens[measured + n]?.word === w);
  if (more && ['half', 'quarter', 'bit', 'little'].includes(s.tokens[measured + 2]?.word ?? ''))
    measured += 3;
  const states: string[] = [];
  // "50 g (dry) pp"
  const inside = ['(', ')'].every((mark, i) => s.tokens[measured + 2 * i]?.word === mark);
  const state = s.tokens[measured + 1]?.word ?? '';
  const past = inside && STATES.has(state) ? measured + 3 : measured;
  if (past > measured) states.push(state);
  for (k = past; k < s.to && s.tokens[k]?.kind === 'word'; k += 1) {
    const word = s.tokens[k]?.word ?? '';
    // "a teaspoon or so each"
    if (word === 'or' && s.tokens[k + 1]?.word === 'so') {
      k += 1;
      continue;
    }
    // "rice, 2 cups of stock": the amount is the next food's
    if (isForEach(s, k)) {
      states.push('each');
      if (!EACH.has(word) || s.named[k + 1 - s.from]?.kind === 'tool') k += 1;
      continue;
    }
    if (word === 'of' || s.named[k - s.from]) return null;
    if (CONJUNCTIONS.has(word) || PREPOSITIONS.has(word)) break;
    if (STATES.has(word)) states.push(word);
  }
  // "about 60 g dry per person, brown"
  if (s.tokens[k]?.word === ',' && STATES.has(s.tokens[k + 1]?.word ?? '') && k + 2 === endOf(s))
    states.push(s.tokens[k + 1]?.word ?? '');
  return { from, to: measured, states };
}

/** "a slice of bread each (about 60 g a slice)": what one of them weighs. */
export const WEIGHS_EACH =
  /^(?:\s+(?:each|apiece))?\s*[(,]\s*((?:about |around |roughly |~ ?)?\d{1,3} ?(?:g|oz)\s+(?:each|apiece|(?:a|per) (?:slice|piece|roll|bun|cake|round|one)))\b/i;

/** "a slice of rye each (40 g)": what all of one plate's weighs, or one of them. */
export const EACH_WEIGHED =
  /^\s+(?:each|apiece)\s*(\(\s*(?:about |around |roughly |~ ?)?\d{1,3} ?(?:g|oz)\s*\))/i;

/** Words by which an amount is the least that goes in: "start with 1 tsp", "¼ tsp at a time". */
const STARTS_HERE = /\b(?:start(?:ing)?|begin(?:ning)?)\s+(?:low |off )?(?:with|at|from|by)\b/i;
const STARTED_BEHIND =
  /^[^.;!?]{0,24}\b(?:to (?:start|begin)\b|at first\b|for starters?\b|initially\b)|^[^.!?]{0,60}?\b(?:(?:add|with|then|and|use|a bit|a little|plus)\s+(?:a (?:bit|little) )?more\b(?!\s+(?:of\s+)?the\b)(?=\s*(?:$|[.!?;,)]|to taste\b|if\b|as\b|at the\b|until\b|till\b|when\b|later\b|gradually\b))|(?:then|and|or|add) (?:season |adjust )?to taste\b|(?:work|go|build) (?:it )?up\b|taste(?:,| and| then)* add(?:ing)?\b)/i;

/** Where so much of something is only where a cook starts: ", plus more to taste"; nothing where it is all. */
export function furtherWords(text: string, s: Sentence, c: ClauseSpan, to: number, counted: boolean): string {
  const from = s.tokens[c.from]?.start ?? 0;
  const end = s.tokens[to - 1]?.end ?? 0;
  const behind = text.slice(end, end + MOST_BEHIND);
  const atATime = A_TIME.test(behind);
  // "salt ¼ tsp at a time", but all of "2 tbsp cornflour, a spoon at a time"
  const starts =
    STARTS_HERE.test(text.slice(from, end)) || STARTED_BEHIND.test(behind) || (!counted && atATime);
  return starts ? `, plus more to taste${atATime ? ' at a time' : ''}` : '';
}
const A_TIME = /^[^.;!?]{0,16}\bat a time\b/i;
/** Characters behind a food in which it may be said that more goes in. */
export const MOST_BEHIND = 90;
