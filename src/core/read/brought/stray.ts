import { isHarmless } from '@/core/food/tokens';
import { type ClauseSpan, type Sentence } from '@/core/step/clauses';
import {
  AUXILIARIES,
  CONJUNCTIONS,
  DEFINITE,
  NEGATORS,
  ORDINARY,
  PREPOSITIONS,
  PRONOUNS,
  SUBJECTS,
  TOOLS,
  verbOf,
} from '@/core/step/lexicon';
import { isRemark } from '@/core/step/remark';
import { polarityOf, verbNegated } from '@/core/step/polarity';
import { type Token } from '@/core/step/tokens';
import { type ReadLine } from '../types';
import { foodsOf, isFigure, lineOf, readPhrase, SURE_OF_KIND, textOf, type Scan, type Source } from './scan';
import { methodLine } from './take';

/** Measures of what goes into a pot; of none of them a length, a time or a tool is told. */
export const POURED =
  /^(?:tbsps?|tsps?|t|tablespoons?|teaspoons?|cups?|mugs?|ml|g|kg|oz|lbs?|ounces?|grams?|pints?|slices?|handfuls?|spoonfuls?)$/;
const COUNTS = new Set([
  'half',
  'a',
  'an',
  'quarter',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'couple',
]);
/** Deeds whose amount says how heavy or how much it is, and brings nothing. */
const SIZES = new Set(
  'weigh divide portion shape form make yield measure reserve drain get need reduce reach fill hold serve roll press'.split(
    ' ',
  ),
);
/** Words behind an amount that say of the food before it how it was weighed. */
const SAYS_HOW = new Set(
  'each apiece pp head person all told in more dry dried cooked raw uncooked total altogether extra worth or drained'.split(
    ' ',
  ),
);
/** A food named so many words before its amount: "rice on the side, about 60 g each". */
const BEHIND = 10;

/** Where the words of an amount that ends at a measure begin; -1 where no number stands before it. */
function opensAt(s: Sentence, c: ClauseSpan, measure: number): number {
  let k = measure;
  while (k > c.from) {
    const t = s.tokens[k - 1] as Token;
    if (
      t.kind !== 'number' &&
      !COUNTS.has(t.word) &&
      !['of', 'heaped', 'level', 'good', 'scant', '/', '–', '-'].includes(t.word)
    )
      break;
    k -= 1;
  }
  while (k < measure && ['of', '–', '-', '/'].includes(s.tokens[k]?.word ?? '')) k += 1;
  return k < measure ? k : -1;
}

/** True where a food that the clause names has the amount: before it with nothing between, or right behind. */
const isTaken = (s: Sentence, c: ClauseSpan, from: number, measure: number, ofItsOwn: boolean): boolean =>
  foodsOf(s, c).some(
    (f) =>
      (f.from <= measure && measure < f.to) ||
      (!ofItsOwn && f.to <= from && from - f.to <= BEHIND) ||
      (f.from > measure &&
        s.tokens
          .slice(measure + 1, f.from)
          .every(
            (t) => t.kind !== 'mark' && (t.word === 'of' || !PREPOSITIONS.has(t.word)) && t.word !== 'and',
          )),
  );

/** True for a clause that opens a bracket right behind a food. */
const saidInBracket = (s: Sentence, c: ClauseSpan): boolean =>
  s.tokens[c.from - 1]?.word === '(' &&
  s.clauses.some((x) => x.to === c.from && foodsOf(s, x).some((f) => f.to === c.from - 1));

/** "add it by the tablespoon", "half of it, 2 tbsp": what the amount is of was named before. */
const refersBack = (s: Sentence, c: ClauseSpan, to: number): boolean =>
  s.tokens
    .slice(c.from, to)
    .some(
      (t) =>
        (PRONOUNS.has(t.word) && !SUBJECTS.has(t.word)) ||
        DEFINITE.has(t.word) ||
        ['it', 'them'].includes(t.word),
    );

const DOES_IT = new Set('does do is will that should would'.split(' '));
const IS_ENOUGH = new Set('lot enough plenty fine it ample right job trick'.split(' '));

/** "salt it but go easy, half a teaspoon does the lot": which line is the salting whose amount is said; -1 where none is. */
function saltedBefore(
  scan: Scan,
  source: Source,
  s: Sentence,
  c: ClauseSpan,
  measure: number,
  before: Sentence | undefined,
): number {
  const behind = s.tokens.slice(measure + 1, Math.min(c.to, measure + 5)).map((t) => t.word);
  if (!DOES_IT.has(behind[0] ?? '') || !behind.some((w) => IS_ENOUGH.has(w))) return -1;
  const from = source.start + (s.tokens[s.from]?.start ?? 0);
  const own = scan.out.findIndex(
    (l) => l.step === source.step && l.line.start >= from && l.foods[0]?.food?.kind === 'salt' && l.byPlate,
  );
  // "Tamari next. Two teaspoons does it."
  const opens = source.start + (before?.tokens[before.from]?.start ?? Infinity);
  return own >= 0
    ? own
    : scan.out.findLastIndex(
        (l) => isUnmeasured(l, source) && l.byPlate && l.line.start >= opens && l.line.start < from,
      );
}

/** A line of this step of one food that no number stands with. */
const isUnmeasured = (l: ReadLine, source: Source): boolean =>
  l.step === source.step && l.foods.length === 1 && !/\d/.test(l.line.text);

/** "Salt at the end if at all: I put ¼ tsp": which line its label brought without an amount; -1 where none did. */
function labelledSo(scan: Scan, source: Source, s: Sentence, c: ClauseSpan): number {
  const from = s.tokens[c.from]?.start ?? 0;
  return scan.out.findLastIndex(
    (l) =>
      isUnmeasured(l, source) &&
      /^[^.:;!?\d]{0,40}[:,]\s*$/.test(source.text.slice(Math.max(0, l.line.end - source.start), from)),
  );
}

/** "If there's sesame I put a teaspoon on each": which line the condition brought without an amount; -1 where none did. */
function ifThereIs(scan: Scan, source: Source, s: Sentence, c: ClauseSpan): number {
  const before = s.clauses[s.clauses.indexOf(c) - 1];
  if (before?.opener !== 'if' && before?.opener !== 'when') return -1;
  const [from, to] = [before.from, c.from].map((k) => source.start + (s.tokens[k]?.start ?? 0));
  return scan.out.findLastIndex(
    (l) => isUnmeasured(l, source) && l.line.start >= (from ?? 0) && l.line.end <= (to ?? 0),
  );
}
/** The word before an amount: past "an eighth of" of "an eighth of a teaspoon". */
function amountOpens(s: Sentence, c: ClauseSpan, from: number): string {
  let k = from - 1;
  while (
    k > c.from &&
    ['of', 'an', 'a', 'eighth', 'sixteenth', 'fifth', 'half'].includes(s.tokens[k]?.word ?? '')
  )
    k -= 1;
  return s.tokens[k]?.word ?? '';
}
/** True where nothing follows in the sentence. */
const endsHere = (s: Sentence, at: number): boolean =>
  at >= s.to || s.tokens.slice(at, s.to).every((t) => t.kind === 'mark');
const ON_EACH = /^\s*(?:(?:on|over|for|in|to) )?(?:each|apiece|every (?:one|bowl|plate))\b/i;

/** Words behind a measure that say how a mixture is set out: "quarter cup scoops". */
export const SET_OUT = new Set(
  'scoop scoops scoopful scoopfuls mound mounds blob blobs ladle ladles ladleful ladlefuls dollop dollops heap heaps portion portions ball balls patty patties round rounds puddle puddles spoonfuls'.split(
    ' ',
  ),
);

/** "2 tbsp of the dressing": of what was named before, or is nothing to eat. */
const isKnown = (scan: Scan, s: Sentence, at: number): boolean =>
  [at, at + 1].some((k) => {
    const t = s.tokens[k];
    return (
      t !== undefined &&
      (ORDINARY.has(t.word) ||
        s.named[k - s.from] !== null ||
        scan.cover.parts.some((p) => p.has(t.normal)) ||
        scan.out.some((l) => l.foods.some((f) => f.text.includes(t.word))))
    );
  });

/** The words behind an amount that name what it is of. */
export function nounBehind(s: Sentence, c: ClauseSpan, from: number): number {
  let k = from;
  while (k < c.to && k < from + 5) {
    const t = s.tokens[k] as Token;
    if (
      t.kind !== 'word' ||
      PREPOSITIONS.has(t.word) ||
      CONJUNCTIONS.has(t.word) ||
      PRONOUNS.has(t.word) ||
      AUXILIARIES.has(t.word) ||
      NEGATORS.has(t.word)
    )
      break;
    k += 1;
  }
  return k;
}

/** "If you must then a pinch.": of salt, which a sentence that names no food need not say. */
function barePinch(scan: Scan, source: Source, s: Sentence, c: ClauseSpan): void {
  const at = s.tokens.slice(c.from, c.to).findIndex((t) => t.word === 'pinch') + c.from;
  if (at <= c.from - 1 || !['a', 'one', '1'].includes(s.tokens[at - 1]?.word ?? '')) return;
  if (
    s.tokens[at + 1]?.kind === 'word' &&
    !['if', 'at', 'then', 'maybe', 'each', 'more'].includes(s.tokens[at + 1]?.word ?? '')
  )
    return;
  // "4 at a pinch"
  if (['at', 'in'].includes(s.tokens[at - 2]?.word ?? '')) return;
  if (s.tokens.slice(c.from, at).some((t) => NEGATORS.has(t.word))) return;
  if (s.clauses.some((x) => foodsOf(s, x).length > 0) || isRemark(s, c)) return;
  const phrase = `a pinch of salt${s.tokens[at + 1]?.word === 'each' ? ' each' : ''}`;
  const span: [number, number] = [s.tokens[at - 1]?.start ?? 0, s.tokens[at]?.end ?? 0];
  const read = readPhrase(scan, phrase);
  scan.out.push(methodLine(source, span, phrase, read, 'optional'));
}

/**
 * Amounts in a sentence that belong to no food it names: read with the words behind them as a line of ingredients, or
 * said not to be understood. Nothing that was measured is passed over.
 */
export function strayAmounts(
  scan: Scan,
  source: Source,
  s: Sentence,
  c: ClauseSpan,
  previous: Sentence | undefined,
): void {
  if (source.names || source.tail) return;
  barePinch(scan, source, s, c);
  if (isRemark(s, c) || verbNegated(s, c) || ['until', 'till', 'if', 'unless'].includes(c.opener ?? ''))
    return;
  if (c.verb && SIZES.has(c.verb.verb.id)) return;
  for (let i = c.from; i < c.to; i += 1) {
    if (!POURED.test(s.tokens[i]?.word ?? '')) continue;
    const counted = opensAt(s, c, i);
    // "Cup of masoor, washed": one of them
    const one = counted < 0 && i === s.from && s.tokens[i + 1]?.word === 'of';
    const from = one ? i : counted;
    if (from < 0) continue;
    const before = s.tokens[from - 1]?.word ?? '';
    if (
      ['in', 'into', 'to', 'from', 'by', 'than', 'per', 'the', 'about'].includes(before) &&
      from - 1 > c.from
    )
      continue;
    const of = s.tokens[i + 1]?.word === 'of' ? i + 2 : i + 1;
    if (isFigure(s, of)) continue;
    if (PRONOUNS.has(s.tokens[of]?.word ?? '')) continue;
    if (DEFINITE.has(s.tokens[of]?.word ?? '') && (!scan.prose || isKnown(scan, s, of + 1))) continue;
    if ([of, of + 1, of + 2].some((k) => TOOLS.at(s.tokens, k))) continue;
    const to = nounBehind(s, c, of);
    const words = s.tokens
      .slice(of, to)
      .map((t) => t.word)
      .filter((w) => w.length > 1 && !/ly$/.test(w));
    // "pumpkin seeds, a tablespoon scattered over": what is done with it
    const said = words.join(' ');
    if (SET_OUT.has(words[0] ?? '') && s.tokens[of + 1]?.word !== 'of') continue;
    // "1 tsp soy": the sauce; "2 tbsp puree": of tomatoes
    const sauce =
      ['soy', 'puree', 'purée'].includes(words.at(-1) ?? '') && /^t/.test(s.tokens[i]?.word ?? '');
    const kindOfIt =
      !sauce &&
      words.length > 0 &&
      foodsOf(s, c).some(
        (f) =>
          f.to <= from &&
          from - f.to <= BEHIND &&
          (scan.larder.finder.find(`${said} ${textOf(source, s, f.from, f.to)}`, '', 1)[0]?.confidence ??
            0) >= SURE_OF_KIND,
      );
    // "breadcrumbs, 30 g wholemeal": which of its kind
    if (kindOfIt) continue;
    const idle =
      !sauce &&
      words.every((w) => ORDINARY.has(w) || isHarmless(w) || SAYS_HOW.has(w) || verbOf(w)?.form === 'ed');
    // "a squeeze of lemon and an eighth of a teaspoon": of what, is not said
    const bare =
      words.length === 0 && ['and', 'plus', '+'].includes(amountOpens(s, c, from)) && endsHere(s, of);
    if (!bare && isTaken(s, c, from, i, !idle)) continue;
    // "add tamari (I use 2 tbsp)": of the food before the bracket
    if (words.length === 0 && saidInBracket(s, c)) continue;
    const polarity = polarityOf(s, c, from, i + 1);
    if (polarity === 'not' || polarity === 'remark') continue;
    // "I add a quarter teaspoon at the table": of what, is not said
    const elliptic =
      words.length === 0 &&
      c.verb?.verb.brings === true &&
      foodsOf(s, c).length === 0 &&
      !refersBack(s, c, i);
    const salted = elliptic || idle ? saltedBefore(scan, source, s, c, i, previous) : -1;
    if (!elliptic && !bare && idle && salted < 0) continue;
    const there = salted < 0 && words.length === 0 ? ifThereIs(scan, source, s, c) : -1;
    const named =
      salted < 0 && there < 0 && elliptic ? labelledSo(scan, source, s, c) : Math.max(salted, there);
    const own = scan.out[named]?.foods[0];
    const what = own?.food?.kind === 'salt' ? 'salt' : (own?.text ?? '');
    const each = there >= 0 && ON_EACH.test(source.text.slice(s.tokens[to - 1]?.end ?? 0)) ? ' each' : '';
    const phrase = `${textOf(source, s, from, to)} ${what}`.trimEnd() + each;
    // "you salt it, half a teaspoon does the lot": so much is all of it
    if (named >= 0) scan.out.splice(named, 1);
    const at: [number, number] = [s.tokens[from]?.start ?? 0, s.tokens[to - 1]?.end ?? 0];
    const read = readPhrase(scan, phrase);
    scan.out.push(
      read.missing === null
        ? methodLine(source, at, phrase, read, polarity)
        : lineOf(scan, source, at, phrase, null, null, 'not understood', 'do'),
    );
  }
}
