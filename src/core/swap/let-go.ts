import { foodById } from '@/core/food/table';
import { isMeasure } from '@/core/read/brought/measured';
import type { ClauseSpan, Sentence } from '@/core/step/clauses';
import { AUXILIARIES, CONJUNCTIONS, DETERMINERS, NEGATORS, PREPOSITIONS, verbOf } from '@/core/step/lexicon';
import { wordAt } from '@/core/step/tokens';
import { EXCEPT } from './mentions';
import { clauseAt, cut, ledFrom, NEEDS_FOOD, WARMS, withoutClause } from './clause';

/** What joins the foods of a row. */
const JOINS = new Set([',', 'and', '&', 'or', '+', '/', 'plus']);
const GOES_IN = new Set([
  'rub',
  'beat',
  'tip',
  'throw',
  'chuck',
  'blend',
  'squeeze',
  'scrape',
  'knead',
  'work',
]);
const PARTICLES = new Set(['in', 'over', 'up', 'through', 'on', 'out', 'into', 'together', 'thru']);
/** Words before a food that say how much of it, or how it looks. */
const OF_ITS_OWN =
  /^(?:of|little|good|generous|extra|more|remaining|reserved|rest|few|bit|bits|touch|lots?|plenty|swirl|trickle|scattering|sprinkling|layer|thread|hint|pile|some|big|small|large|whole|half|most|last|fresh|hot|cold|warm|dry|nice|proper|usual|all|both|same|another|further|spare|tiny)$/;
/** Deeds to one food with another, where the other is done to alone: "toss the oil with the kale". */
const ONE_WITH_ANOTHER = new Set([
  'mix',
  'toss',
  'whisk',
  'blend',
  'combine',
  'stir',
  'mash',
  'beat',
  'cook',
  'fry',
]);

interface Spot {
  readonly text: string;
  readonly s: Sentence;
  readonly c: ClauseSpan;
  /** The food with its article and amount: first token, and behind the last. */
  readonly a: number;
  readonly b: number;
}

const foodAt = (s: Sentence, k: number): boolean => s.named[k - s.from]?.kind === 'food';
const isVerbOf = (s: Sentence, k: number): boolean => s.clauses.some((x) => x.verbAt === k);

/** First token of a food's words with its article, its amount and what is said of it before. */
function leadFrom(s: Sentence, c: ClauseSpan, name: number): number {
  let a = name;
  while (a > c.from) {
    const t = s.tokens[a - 1];
    if (!t || (isVerbOf(s, a - 1) && t.word !== 'of')) break;
    const own =
      t.kind === 'number' ||
      DETERMINERS.has(t.word) ||
      isMeasure(t.word) ||
      verbOf(t.word)?.form === 'ed' ||
      (OF_ITS_OWN.test(t.word) && (t.word !== 'of' || a - 1 > c.from));
    if (!own || (foodAt(s, a - 1) && !isMeasure(t.word) && t.kind === 'word' && !OF_ITS_OWN.test(t.word)))
      break;
    // "a squeeze of lime": "of" only behind what measures
    if (t.word === 'of') {
      const measure = wordAt(s.tokens, a - 2);
      // "Swirl of cream": a name here, whatever else it does
      if (a - 2 === c.from && verbOf(measure)?.verb.noun) return c.from;
      if (!isMeasure(measure) && !OF_ITS_OWN.test(measure) && !DETERMINERS.has(measure)) break;
    }
    a -= 1;
  }
  return a;
}

const DASHES = new Set(['—', '–', '-']);
/** Behind a food: what is done to it alone, what stands in brackets or between dashes of it, and "to taste". */
function behindOf(s: Sentence, c: ClauseSpan, end: number, counted = false): number {
  let b = end;
  // "1 tbsp maple syrup each": for whom goes with it
  if (counted && ['each', 'apiece', 'pp'].includes(wordAt(s.tokens, b))) b += 1;
  else if (
    counted &&
    ['per', 'a'].includes(wordAt(s.tokens, b)) &&
    ['person', 'head', 'plate', 'bowl', 'serving'].includes(wordAt(s.tokens, b + 1))
  )
    b += 2;
  // "40 g cashews soaked - or …"
  const done = verbOf(wordAt(s.tokens, b))?.form === 'ed' && s.tokens[b + 1]?.kind === 'mark';
  if (done && b + 1 < s.to) b += 1;
  if (DASHES.has(wordAt(s.tokens, b))) {
    let k = b + 1;
    while (k < s.to && !DASHES.has(wordAt(s.tokens, k)) && !foodAt(s, k) && !isVerbOf(s, k)) k += 1;
    if (DASHES.has(wordAt(s.tokens, k))) b = k + 1;
  }
  if (wordAt(s.tokens, b) === '(') {
    let k = b + 1;
    while (k < s.to && wordAt(s.tokens, k) !== ')' && !foodAt(s, k)) k += 1;
    if (wordAt(s.tokens, k) === ')') b = k + 1;
  }
  if (wordAt(s.tokens, b) === 'to' && wordAt(s.tokens, b + 1) === 'taste' && b + 2 <= c.to) b += 2;
  return b;
}

/** Whether a food's words follow what joins a row, before any deed or other phrase begins. */
function itemBehind(s: Sentence, joint: number): boolean {
  // "more salt and a spoon"
  const first = joint + 1;
  const thing = DETERMINERS.has(wordAt(s.tokens, first)) && s.tokens[first + 1]?.kind === 'word';
  if (thing && s.clauses.some((x) => x.from < joint && joint < x.to) && !isVerbOf(s, first + 1)) return true;
  for (let k = joint + 1; k < Math.min(s.to, joint + 8); k += 1) {
    const t = s.tokens[k];
    if (!t || (t.kind === 'mark' && !JOINS.has(t.word)) || isVerbOf(s, k)) return false;
    if (foodAt(s, k)) return true;
    if (PREPOSITIONS.has(t.word) && t.word !== 'of') return false;
    if (AUXILIARIES.has(t.word) || NEGATORS.has(t.word)) return false;
  }
  return false;
}

/** Whether a food of the same row stands right before what joins it. */
function itemBefore(s: Sentence, c: ClauseSpan, joint: number): boolean {
  for (let k = joint - 1; k >= Math.max(c.from, joint - 4); k -= 1) {
    if (foodAt(s, k)) return k !== c.verbAt;
    const t = s.tokens[k];
    if (!t || (t.kind === 'mark' && t.word !== ')') || isVerbOf(s, k)) return false;
    if (PREPOSITIONS.has(t.word) && t.word !== 'to') return false;
  }
  return false;
}

/** "X, Y and Z" without Z is "X and Y": the last comma of the row becomes the joint. */
function outOfRow({ text, s, c, a, b }: Spot): string | null {
  const joint = a - 1;
  const before = wordAt(s.tokens, joint);
  const behind = wordAt(s.tokens, b);
  if (JOINS.has(before)) {
    const from = before !== ',' && wordAt(s.tokens, joint - 1) === ',' ? joint - 1 : joint;
    if (itemBefore(s, c, from)) {
      const last = !(JOINS.has(behind) && itemBehind(s, b));
      if (last && before !== ',') {
        for (let k = from - 1; k > c.from; k -= 1) {
          if (wordAt(s.tokens, k) !== ',' || !itemBefore(s, c, k) || !itemBehind(s, k)) continue;
          const at = s.tokens[k];
          const rest = cut(text, s, from, b);
          return at ? `${rest.slice(0, at.start)} ${before}${rest.slice(at.end)}` : rest;
        }
      }
      return cut(text, s, from, b);
    }
  }
  if (JOINS.has(behind) && itemBehind(s, b)) {
    const and = behind === ',' && JOINS.has(wordAt(s.tokens, b + 1)) ? 2 : 1;
    return cut(text, s, a, b + and);
  }
  return null;
}

/** The stretch of a clause without a deed that speaks of this food alone: "salt in now, then the lemon". */
function withoutPiece({ text, s, c, a, b }: Spot): string | null {
  const ends = (k: number) => [',', ';', '+', '(', ')', '–', '—', '-'].includes(wordAt(s.tokens, k));
  let from = a;
  while (from > c.from && !ends(from - 1)) from -= 1;
  let to = b;
  while (to < c.to && !ends(to)) to += 1;
  for (let k = from; k < to; k += 1) if (foodAt(s, k) && (k < a || k >= b)) return null;
  // "2 each, no ghee" behind it says how much of it, and what is not on it
  const rest = s.tokens.slice(to, s.to);
  const aboutIt =
    from <= s.from &&
    s.clauses.every((x) => x.verb === null) &&
    rest.some((t) => t.kind === 'number' || ['each', 'no'].includes(t.word)) &&
    rest.every((_, k) => !foodAt(s, to + k) || rest.slice(0, k).some((w) => NEGATORS.has(w.word)));
  // "Custard, 100 ml of the tinned sort for whoever wants it.": all of it about nothing else
  const onlyIt =
    from <= s.from &&
    s.clauses.every((x) => x.verb?.form !== 'base') &&
    rest.some((t) => t.kind === 'number') &&
    rest.every((_, k) => !foodAt(s, to + k));
  const whole = from <= s.from && (to >= s.to || aboutIt || onlyIt);
  if (whole) return cut(text, s, s.from, ['.', '!'].includes(wordAt(s.tokens, s.to)) ? s.to + 1 : s.to);
  const led = from <= c.from ? ledFrom(s, c) : from;
  if (led < from) return cut(text, s, led > s.from ? led - 1 : led, to);
  if (from > s.from && wordAt(s.tokens, from - 1) !== '(') return cut(text, s, from - 1, to);
  return cut(text, s, from, ends(to) && wordAt(s.tokens, to) !== ')' ? to + 1 : to);
}

/** With its preposition; with the deed, where nothing else is done; with the participle that it hangs on. */
function outOfPhrase(spot: Spot): string | null {
  const { text, s, c, a, b } = spot;
  const at = a - 1;
  const before = wordAt(s.tokens, at);
  const { verbAt, verb } = c;
  // "serve scattered with walnuts", "and sprinkled over with seeds"
  const held = PARTICLES.has(wordAt(s.tokens, at - 1)) ? at - 2 : at - 1;
  const done = verbOf(wordAt(s.tokens, held));
  if (done?.form === 'ed' && NEEDS_FOOD.has(done.verb.id) && held > c.from && held !== verbAt) {
    let from = held;
    while (
      from > c.from &&
      (CONJUNCTIONS.has(wordAt(s.tokens, from - 1)) || wordAt(s.tokens, from - 1) === ',')
    )
      from -= 1;
    return cut(text, s, from, b);
  }
  const object = s.tokens
    .slice(verbAt + 1, at)
    .some(
      (t, k) =>
        foodAt(s, verbAt + 1 + k) ||
        (t.kind === 'word' && ['it', 'them', 'each', 'everything'].includes(t.word)),
    );
  if (verb && NEEDS_FOOD.has(verb.verb.id) && verbAt < a && !object && before !== 'from')
    return withoutClause(text, s, c, true);
  // "in with the cashews", without a deed
  if (verb === null && PARTICLES.has(wordAt(s.tokens, at - 1))) return withoutPiece(spot);
  // "with crusty bread for mopping"
  const purpose = wordAt(s.tokens, b) === 'for' && /ing$/.test(wordAt(s.tokens, b + 1)) ? 2 : 0;
  return cut(text, s, at, b + purpose);
}

/** Kinds that are nothing to mix or mash by themselves. */
const LIGHT = new Set(['water', 'acid', 'salt', 'spice', 'herb', 'stock']);
const stands = (s: Sentence, c: ClauseSpan, from: number): boolean =>
  s.named
    .slice(from - s.from, c.to - s.from)
    .some((n) => n?.kind === 'food' && !LIGHT.has(foodById(n.id)?.kind ?? ''));

/** Where it is what is acted on. */
function withoutObject(spot: Spot): string | null {
  const { text, s, c, a, b } = spot;
  const { verb } = c;
  if (!verb) return null;
  const behind = wordAt(s.tokens, b);
  // "Heat the oil in a wok": the wok is heated
  if (WARMS.has(verb.verb.id) && ['in', 'on', 'over'].includes(behind)) return cut(text, s, a, b + 1);
  if (behind === 'with' && ONE_WITH_ANOTHER.has(verb.verb.id) && itemBehind(s, b) && stands(s, c, b))
    return cut(text, s, a, b + 1);
  // "use the remaining oil to fry the patties"
  if (
    behind === 'to' &&
    ['use', 'take'].includes(verb.verb.id) &&
    verbOf(wordAt(s.tokens, b + 1))?.form === 'base'
  )
    return cut(text, s, c.verbAt, b + 1);
  return withoutClause(text, s, c, true);
}

/**
 * A text in which a food is let go by the shape of its clause: out of a row of foods, with its preposition, or with the
 * deed that is nothing without it. Null where the shape is none of these.
 *
 * @param start first character of the food's name
 * @param end behind its last
 */
export function letGo(text: string, start: number, end: number): string | null {
  const found = clauseAt(text, Math.max(start, end - 1));
  if (!found) return null;
  const { s, c } = found;
  let name = c.from;
  while (name < c.to && (s.tokens[name]?.end ?? 0) <= start) name += 1;
  let to = name;
  while (to < s.to && (s.tokens[to]?.start ?? Infinity) < end) to += 1;
  const lead = leadFrom(s, c, name);
  const counted = s.tokens
    .slice(lead, name)
    .some((t) => t.kind === 'number' || ['a', 'an', 'one', 'two', 'half'].includes(t.word));
  const spot: Spot = { text, s, c, a: lead, b: behindOf(s, c, to, counted) };
  const { a, b } = spot;
  const before = wordAt(s.tokens, a - 1);
  if (EXCEPT.has(before) && a - 1 > c.from) return cut(text, s, a - 1, b);
  if (before === 'for' && EXCEPT.has(wordAt(s.tokens, a - 2))) return cut(text, s, a - 2, b);
  const row = outOfRow(spot);
  if (row !== null) return row;
  // a sentence about nothing else, and nothing done in it
  const others = s.named.some((n, k) => n?.kind === 'food' && (k + s.from < a || k + s.from >= b));
  const elsewhere = s.named.some((n) => n?.kind === 'tool') && wordAt(s.tokens, b) === ',';
  if (!others && !elsewhere && s.clauses.every((x) => x.verb === null || x.verbAt === a))
    return cut(text, s, s.from, ['.', '!'].includes(wordAt(s.tokens, s.to)) ? s.to + 1 : s.to);
  const { verbAt, verb } = c;
  const adverb = (k: number) =>
    /ly$/.test(wordAt(s.tokens, k)) || ['then', 'just', 'also'].includes(wordAt(s.tokens, k));
  let led = a - 1;
  const phrasal = verb !== null && (NEEDS_FOOD.has(verb.verb.id) || GOES_IN.has(verb.verb.id));
  if (PARTICLES.has(wordAt(s.tokens, led)) && phrasal) led -= 1;
  while (led > verbAt && adverb(led)) led -= 1;
  if (verb && led === verbAt) return withoutObject(spot);
  if (PREPOSITIONS.has(before)) return outOfPhrase(spot);
  // what is spoken of: "the oil goes in last", "until the oil turns red"
  const opens = s.tokens
    .slice(c.from, a)
    .every((t) => t.kind === 'mark' || CONJUNCTIONS.has(t.word) || t.word === c.opener || adverb(c.from));
  if (opens && (verb === null || verbAt >= b || c.opener !== null)) {
    if (verb === null && c.opener === null) {
      // "butter in a hot pan till it foams"
      const next = s.clauses[s.clauses.indexOf(c) + 1];
      const alone = !s.named
        .slice(c.from - s.from, c.to - s.from)
        .some((n, k) => n?.kind === 'food' && (k + c.from < a || k + c.from >= b));
      if (alone && ['till', 'until'].includes(next?.opener ?? '')) return withoutClause(text, s, c, true);
      return withoutPiece(spot);
    }
    // "coconut milk in, heat through": what is done stays
    for (let k = b; k < Math.min(verbAt, b + 4); k += 1)
      if (wordAt(s.tokens, k) === ',' && c.opener === null) return cut(text, s, a, k + 1);
    return withoutClause(text, s, c, true);
  }
  return verb === null ? withoutPiece(spot) : null;
}
