import type { Food } from '@/core/food/table';
import { unsaid } from '@/core/food/weigh';
import { type Range, range } from '@/core/range/range';
import { readMeasures } from '@/core/recipe/measures';
import { Reader } from '@/core/recipe/reader';
import { type ClauseSpan, type Named, type Sentence } from '@/core/step/clauses';
import { NEGATORS } from '@/core/step/lexicon';
import { isBygone } from '@/core/step/bygone';
import { othersWay } from '@/core/step/others';
import { isRemark } from '@/core/step/remark';
import { isReplaced } from '@/core/step/taken-back';
import { polarityOf } from '@/core/step/polarity';
import { refersTo } from '../refer';
import { amountStart } from './amount-before';
import { FATS } from './kinds';
import { hasOwn, isTaken } from './orphans';
import { foodsOf, lineOf, readPhrase, textOf, usual, type Scan, type Source } from './scan';
import { methodLine } from './take';

/** Who takes so much of it here, and where and when that is. */
const OURS = new Set(
  "i i'll i'd i've i'm we we'll we'd we've we're mine ours here now nowadays today these you you'll just only".split(
    ' ',
  ),
);
/** Behind an amount: so much will do. */
const WILL_DO = new Set(
  'plenty enough fine ok okay ample loads lots all right does do good nice perfect max maximum tops'.split(
    ' ',
  ),
);
/** Between the subject and an amount: it is no part of the dish, or of another one. */
const NOT_HERE = new Set(
  'than was were used would save saves saved saving without never no not none nor neither instead into from was for per'.split(
    ' ',
  ),
);
/** It may be so or not. */
const MAYBE = new Set('if or sometimes occasionally might may could unless maybe perhaps'.split(' '));
/** Amounts that are only said to be less, or some. */
const LOOSE = new Set(
  'little less some bit touch tad half third quarter fraction few smidge hint'.split(' '),
);
/** "so do I", "I still do", "me too". */
const ALSO =
  /\b(?:so (?:do|will|would|did) (?:i|we)|as (?:do|will) (?:i|we)|(?:i|we) (?:still |always |also )?(?:do|will)(?: too| as well| so| still)?(?=\s*$|\s*[.,;!])|(?:me|us) too|(?:i|we) (?:do )?(?:the same|likewise))\b/i;

interface Told {
  readonly source: Source;
  readonly s: Sentence;
  readonly c: ClauseSpan;
  readonly named: Named;
}

/** How many sentences behind what others do one's own amount may stand. */
const MOST_BACK = 2;

/** Foods of a sentence that are told of others, or of then, and go in nowhere. */
const toldOf = (source: Source, s: Sentence): Told[] =>
  s.clauses.flatMap((c) =>
    foodsOf(s, c).flatMap((named) => {
      const { from, to } = named;
      const theirs =
        polarityOf(s, c, from, to) === 'remark' &&
        !isReplaced(s, c, to) &&
        (isRemark(s, c) || isBygone(s, from) || othersWay(s, c, from) === 'remark');
      return theirs ? [{ source, s, c, named }] : [];
    }),
  );

interface Amount {
  readonly from: number;
  readonly to: number;
  readonly words: string;
  /** Only a number: of what theirs is measured in. */
  readonly bare: boolean;
}

/** The amount that is written from a token on; null where none is. */
function amountAt(source: Source, s: Sentence, from: number): Amount | null {
  const start = s.tokens[from]?.start ?? 0;
  const end = s.tokens[s.to - 1]?.end ?? 0;
  const text = source.text.slice(start, Math.min(end, start + 60)).toLowerCase();
  const r = new Reader(text, text);
  const [first] = readMeasures(r).measures;
  if (!first) return null;
  const bare = first.unit === null && first.each === null;
  if (bare && (!first.stated || first.size)) return null;
  if (first.unit?.kind === 'count') return null;
  const words = text
    .slice(0, r.at)
    .replace(/\s+of(?: (?:the|an?))?\s*$/, '')
    .trimEnd();
  let to = from + 1;
  while (to < s.to && (s.tokens[to]?.start ?? 0) < start + words.length) to += 1;
  return { from, to, words, bare };
}

/** Whether an amount is told to be taken here, with nothing between that says otherwise. */
function isOurs(s: Sentence, after: number, { from, to }: { from: number; to: number }): boolean {
  const lead = s.tokens.slice(after, from).map((t) => t.word);
  const own = lead.findLastIndex((w) => OURS.has(w));
  const between = lead.slice(own + 1);
  if (between.some((w) => NOT_HERE.has(w) || NEGATORS.has(w))) return false;
  if (own >= 0) return true;
  const next = s.tokens.slice(to, to + 4);
  const ends = next.findIndex((t) => t.kind === 'mark' && t.word !== ',');
  // what is said behind a comma is of the next amount, but "2 tbsp, no more"
  const behind = next.slice(0, ends < 0 ? 4 : ends).map((t) => t.word);
  if (behind[0] === ',' && behind[1] !== 'no') return false;
  const enough = behind.some((w) => WILL_DO.has(w)) && !behind.some((w) => NEGATORS.has(w) || w === 'too');
  const noMore = behind.includes('no') && behind.some((w) => w === 'more' || w === 'longer');
  const forUs =
    ['for', 'is'].includes(behind[0] ?? '') && ['me', 'us', 'mine', 'ours'].includes(behind[1] ?? '');
  return enough || noMore || forUs;
}

/** What others take of it, as their words say; null where they say no amount. */
function theirs(scan: Scan, told: Told): { words: string; grams: Range } | null {
  const { source, s, c, named } = told;
  const words = textOf(source, s, amountStart(s, c, named.from), named.to);
  const read = readPhrase(scan, words);
  const grams = read.foods[0]?.grams;
  return read.missing === null && grams ? { words, grams } : null;
}

const isMaybe = (s: Sentence, from: number): boolean =>
  s.tokens.slice(s.from, Math.min(s.to, from + 12)).some((t) => MAYBE.has(t.word));

/**
 * What is told of others and then taken here, as much as is said of it: "Some people put pistachios on, and I'll do a
 * small handful", "The original had 6 tbsp oil in it. I do 1." The amount stands with no food, behind the food that
 * the others take.
 *
 * @param earlier the sentences before it, the nearest first
 * @param back clauses that a later one takes back: "Palm sugar: the packet says a tbsp, a tsp does"
 */
export function ownShare(
  scan: Scan,
  source: Source,
  s: Sentence,
  earlier: readonly { source: Source; sentence: Sentence }[],
  back: ReadonlySet<unknown>,
): void {
  if (source.names || source.tail) return;
  const before = earlier
    .slice(0, MOST_BACK)
    .find(({ sentence }) => sentence.clauses.some((c) => foodsOf(sentence, c).length > 0));
  let told = before ? lastTold(before.source, before.sentence, back) : null;
  const named = s.clauses.flatMap((c) => foodsOf(s, c).map((n) => ({ c, n })));
  const own = toldOf(source, s);
  if (!told && own.length === 0) return;
  let after = s.from;
  let given = false;
  // what others measure it in: "the book says 4 tbsp, 2 does it"
  let measure: string | null = null;
  for (let k = s.from; k < s.to; k += 1) {
    const passed = named.find(({ n }) => n.to === k);
    if (passed) {
      told = own.find((x) => x.named === passed.n) ?? null;
      after = k;
    }
    if (!told || named.some(({ n }) => n.from <= k && k < n.to)) continue;
    const done =
      isLoose(s, k) || (ARTICLES.has(s.tokens[k]?.word ?? '') && isLoose(s, k + 1))
        ? null
        : amountAt(source, s, k);
    if (done) {
      if (!hasOwn(s, done.to - 1) && isOurs(s, after, done) && counts(s, done)) {
        give(scan, source, s, told, done, measure);
        given = true;
      } else if (!done.bare) measure = done.words;
      k = done.to - 1;
      continue;
    }
    const loose = isLoose(s, k) && !hasOwn(s, k);
    if (loose && isOurs(s, after, { from: k, to: k + 1 })) {
      giveSome(scan, source, s, told, [k, k + 1]);
      return;
    }
  }
  const rest = source.text.slice(s.tokens[after]?.start ?? 0, s.tokens[s.to - 1]?.end ?? 0);
  if (told && !given && ALSO.test(rest)) giveSome(scan, source, s, told, [after, s.to]);
}

/** "a little", "half that", "a third of it", "less": and no "quarter of an hour". */
function isLoose(s: Sentence, k: number): boolean {
  if (!LOOSE.has(s.tokens[k]?.word ?? '')) return false;
  const [next = '', after = ''] = [s.tokens[k + 1]?.word, s.tokens[k + 2]?.word];
  return next === 'of'
    ? IT.has(after)
    : s.tokens[k + 1]?.kind !== 'word' || k + 1 >= s.to || AS_MUCH.has(next);
}
const ARTICLES = new Set(['a', 'one']);
const IT = new Set(['it', 'that', 'them', 'this', 'those']);
const AS_MUCH = new Set('that as at on in over too now here and but so myself'.split(' '));

/** The last food of a sentence, where that is told of others. */
function lastTold(source: Source, s: Sentence, back: ReadonlySet<unknown>): Told | null {
  const all = s.clauses.flatMap((c) => foodsOf(s, c).map((named) => ({ source, s, c, named })));
  const last = all.at(-1)?.named;
  // a label that is taken back
  const label = all.length === 1 && all[0] && back.has(all[0].c) && s.clauses.every((c) => c.verb === null);
  if (label) return all[0] ?? null;
  return toldOf(source, s).find((x) => x.named === last) ?? null;
}

/** "I do 1": what ends with its measure, and is of no other thing; a number alone is no time, and counts nothing. */
function counts(s: Sentence, { to, bare }: Amount): boolean {
  const next = s.tokens[to];
  if (next?.word === 'of' && !IT.has(s.tokens[to + 1]?.word ?? '')) return false;
  return (
    !bare || to >= s.to || next?.kind === 'mark' || ['is', 'does', 'at', 'or'].includes(next?.word ?? '')
  );
}

/** Brings so much of it. */
function give(
  scan: Scan,
  source: Source,
  s: Sentence,
  told: Told,
  { from, to, words, bare }: Amount,
  measure: string | null,
): void {
  const start = source.start + (s.tokens[from]?.start ?? 0);
  const end = source.start + (s.tokens[to - 1]?.end ?? 0);
  if (isTaken(scan, source, start, end)) return;
  const name = textOf(told.source, told.s, told.named.from, told.named.to);
  const of = measure === null ? theirs(scan, told)?.words : `${measure} ${name}`;
  const measured = bare ? of?.replace(/^[\d.,/½¼¾⅓⅔⅛ ]+(?:a |an )?/, '') : name;
  if (!measured) return;
  const phrase = `${words} ${measured}`;
  const read = readPhrase(scan, phrase);
  const food = read.foods[0]?.food;
  const grams = read.foods[0]?.grams;
  if (read.missing !== null || !food || !grams)
    return bare ? undefined : giveSome(scan, source, s, told, [from, to]);
  // what was said not to be understood is understood now
  const stray = scan.out.findIndex(
    (l) => l.foods[0]?.food === null && l.line.start <= start && end <= l.line.end,
  );
  if (stray >= 0) scan.out.splice(stray, 1);
  const span: [number, number] = [start - source.start, end - source.start];
  const listed = listedAt(scan, told, food);
  if (listed === undefined)
    scan.out.push(methodLine(source, span, phrase, read, isMaybe(s, from) ? 'optional' : 'do'));
  else scan.said.set(listed, [...(scan.said.get(listed) ?? []), { grams, words: phrase, source, span }]);
}

/** Brings what nobody measured: up to what others take, or as much as is usual. */
function giveSome(scan: Scan, source: Source, s: Sentence, told: Told, [from, to]: [number, number]): void {
  const food = scan.larder.foodById(told.named.id);
  if (!food || listedAt(scan, told, food) !== undefined) return;
  const of = theirs(scan, told);
  const guess = FATS.has(food.kind)
    ? usual('drizzle', scan.servings)
    : unsaid(food, 'to serve', scan.servings);
  const grams = of ? range(0, of.grams.best / 2, of.grams.high) : (guess?.grams ?? null);
  const why = of
    ? `no more than others take of it: ${of.words}`
    : 'others take it, and so does this cook: no amount is said';
  const span: [number, number] = [s.tokens[from]?.start ?? 0, s.tokens[to - 1]?.end ?? 0];
  const words = textOf(told.source, told.s, told.named.from, told.named.to);
  scan.out.push(lineOf(scan, source, span, words, food, grams, why, isMaybe(s, from) ? 'optional' : 'do'));
}

const listedAt = (scan: Scan, { s, named }: Told, food: Food): number | undefined =>
  refersTo(
    food,
    s.tokens.slice(named.from, named.to).map((t) => t.normal),
    true,
    scan.cover,
    true,
  )[0];
