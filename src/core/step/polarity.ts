import { rememberPart } from '@/core/memo';
import type { ClauseSpan, Sentence } from './clauses';
import { isBygone, isSharedOut } from './bygone';
import { othersWay } from './others';
import { isRemark } from './remark';
import { isLeftBySome, isReplaced } from './taken-back';
import {
  AUXILIARIES,
  COMPARISONS,
  CONJUNCTIONS,
  DEFINITE,
  DETERMINERS,
  INSTEAD,
  NEGATORS,
  OPTIONAL,
  Phrases,
  PREPOSITIONS,
  SUBJECTS,
  verbOf,
} from './lexicon';
import { wordAt, type Token } from './tokens';

/** Whether what a clause says is done. */
export type Polarity = 'do' | 'not' | 'optional' | 'alternative' | 'remark';

/** "not only", "not too much", "no less than": no negation of what follows. */
const NOT_NEGATING = new Set([
  'only',
  'just',
  'merely',
  'too',
  'quite',
  'so',
  'less',
  'more',
  'fewer',
  'enough',
  'much',
  'exactly',
  'longer',
  'worry',
]);
const ENCOURAGES = new Set([
  'shy',
  'afraid',
  'hesitate',
  'skimp',
  'stint',
  'hold',
  'panic',
  'rush',
  'stingy',
  'mean',
]);
const NOT_NO = new Set([
  'less',
  'more',
  'fewer',
  'longer',
  'time',
  'problem',
  'matter',
  'doubt',
  'really',
  'wonder',
]);
const ENDS_NEGATION = new Set([
  'only',
  'but',
  'except',
  'besides',
  'thanks',
  'needed',
  'necessary',
  'required',
  'whatsoever',
]);
const NEEDED = new Set([
  'needed',
  'necessary',
  'required',
  'used',
  'essential',
  'missed',
  'allowed',
  'wanted',
  'welcome',
  'added',
  'called',
]);
const AFTER_NOUN = new Set([
  'sized',
  'size',
  'style',
  'shaped',
  'shape',
  'shapes',
  'flavour',
  'flavor',
  'flavoured',
  'flavored',
  'scented',
  'coloured',
  'colored',
  'like',
]);
/** "…, & if it's a birthday 1 tbsp maple": a condition that ends the sentence, and what is then done. */
function isOnOccasion(s: Sentence, c: ClauseSpan, from: number): boolean {
  if (s.clauses.at(-1) !== c) return false;
  const before = s.tokens.slice(c.from, from);
  if (before.some((t) => t.word === '(')) return false;
  // "if the apple's a sour one a teaspoon of maple each"
  const counted = before.findLastIndex((_, i) => isCounted(s, c.from + i));
  const number = before.findIndex((t) => t.kind === 'number');
  const being = ["it's", 'its', 'is', 'are', "there's", "we're", "they're", "i'm"];
  if (before.some((t) => being.includes(t.word) || /^[a-z]+['’]s$/.test(t.word)))
    return counted >= 0 || number >= 0;
  // "if they stick a tiny wipe of oil", and not "if you add a spoon of oil"
  const opens = counted >= 0 ? counted : number;
  const deed = before[opens - 1]?.word ?? '';
  return opens > 2 && !TAKES.has(deed) && !verbOf(deed)?.verb.brings;
}
/** Deeds that an amount behind them is the object of. */
const TAKES = new Set(
  'use uses using used have has had having want wants like likes see sees find finds get gets got need needs eat eats taste tastes add adds put puts in with only just even than of for'.split(
    ' ',
  ),
);
/** Words behind a food by which it is what brings about a wish. */
const DOES_IT = new Phrases(
  ['does it', 'will do it', 'does the trick', 'will do', 'helps', 'works', 'goes in'].map(
    (w) => [w, true] as const,
  ),
);
const WISHES = new Set(['would', "you'd", "i'd", "we'd", 'you', 'i', 'we', 'they', 'if']);

const RELATIVES = new Set(['who', 'that', 'which', 'whoever']);
/** Behind a negator: what somebody does not know, and is so. */
const KNOWS_OF = new Set('know notice realise realize believe guess suspect tell'.split(' '));
const NOTHING_WITHOUT = new Set([
  'nothing',
  'impossible',
  'dull',
  'pointless',
  'flat',
  'boring',
  'bland',
  'sad',
]);
/** A negator that turns the whole clause: "do not add", "cannot be made", "never cook". */
export const verbNegated = rememberPart(({ tokens }: Sentence, c: ClauseSpan): boolean => {
  const end = c.verbAt >= 0 ? c.verbAt : c.to;
  for (let i = c.from; i < end; i += 1) {
    const w = wordAt(tokens, i);
    if (!NEGATORS.has(w) || w === 'no') continue;
    const next = wordAt(tokens, i + 1);
    if (NOT_NEGATING.has(next)) continue;
    // "the kids don't know there's tahini in it"
    if (KNOWS_OF.has(next)) continue;
    // "for those that aren't watching it": who they are
    if (i > c.from + 1 && RELATIVES.has(wordAt(tokens, i - 1))) continue;
    // "don't be shy with the oil"
    if (ENCOURAGES.has(next) || (next === 'be' && ENCOURAGES.has(wordAt(tokens, i + 2)))) continue;
    // "not any oil", "not butter" turns a noun alone
    if (w === 'not' && c.verbAt < 0 && (next === 'without' || tokens[i + 1] === undefined)) return true;
    if (w === 'not' && c.verbAt < 0 && !AUXILIARIES.has(wordAt(tokens, i - 1))) continue;
    return true;
  }
  return false;
});

/** The piece between commas around a place of a clause. */
function pieceAt({ tokens }: Sentence, c: ClauseSpan, k: number): { from: number; to: number } {
  let [from, to] = [k, k];
  while (from > c.from && wordAt(tokens, from - 1) !== ',') from -= 1;
  while (to < c.to && wordAt(tokens, to) !== ',') to += 1;
  return { from, to };
}

/** "oregano, a glass of wine optional, bay": a word behind one food of several speaks of that one. */
function ofOneItem(s: Sentence, c: ClauseSpan, k: number): { from: number; to: number } | null {
  const piece = pieceAt(s, c, k);
  const whole = piece.from <= c.from && piece.to >= c.to;
  const behindFood = s.named.slice(piece.from - s.from, k - s.from).some((n) => n?.kind === 'food');
  return !whole && behindFood ? piece : null;
}

/** "Real peanut version: …": another way to make it, beside this one. */
const isOtherVersion = (s: Sentence): boolean =>
  s.label.length > 1 &&
  ['version', 'way', 'option'].includes(s.label.at(-1)?.word ?? '') &&
  !['my', 'our', 'this'].includes(s.label[0]?.word ?? '');

const CONDITION = new Set(["it's", 'is', 'you', 'we', "we're", "you're", 'they', 'there', "there's", 'i']);
/** "If it's breakfast": a label that holds at times. */
const isCondition = ({ label }: Sentence): boolean =>
  label[0]?.word !== 'for' && label.slice(1, 4).some((t) => CONDITION.has(t.word));

const HAVING = new Set(['have', 'got', "you've", 'you’ve', "there's", "we've", "i've"]);
/** "if you have avocado, a quarter each on top": what somebody may have goes in where they have it. */
function hasIt({ tokens, clauses }: Sentence, c: ClauseSpan, from: number): boolean {
  const had = tokens.slice(c.from, from).some((t) => HAVING.has(t.word));
  const next = clauses[clauses.indexOf(c) + 1];
  return (
    had &&
    next !== undefined &&
    tokens
      .slice(next.from, next.to)
      .some((t) => t.word === 'each' || t.word === 'it' || t.word === 'some' || t.word === 'top')
  );
}

/** The place of a clause's first word that says that it may be left undone; -1 where none does. */
const optionalAt = rememberPart(({ tokens }: Sentence, c: ClauseSpan) => OPTIONAL.has(tokens, c.from, c.to));

/**
 * True where it may be left undone.
 *
 * @param food place of the food that is asked about; the whole clause where none is given
 */
export function isOptional(s: Sentence, c: ClauseSpan, food?: number): boolean {
  if (s.label.some((t, i) => OPTIONAL.at(s.label, i) !== null && t.kind === 'word')) return true;
  if (isOtherVersion(s)) return true;
  // "next time I'd put some in": not in this one
  if (wordAt(s.tokens, s.from) === 'next' && wordAt(s.tokens, s.from + 1) === 'time') return true;
  // "If it's breakfast: 40 g oats in as well"
  const opens = s.label[0]?.word ?? '';
  if (['if', 'unless'].includes(opens) && s.label.length > 1) return true;
  if (['when', 'for'].includes(opens) && isCondition(s)) return true;
  const said = optionalAt(s, c);
  if (said >= 0) {
    const piece = food === undefined ? null : ofOneItem(s, c, said);
    if (!piece || (food !== undefined && piece.from <= food && food < piece.to)) return true;
  }
  if (isLeftBySome(s, c)) return true;
  const at = s.clauses.indexOf(c);
  // "tofu, cornflour, ¼ tsp salt if using": of the last of a list
  const next = s.clauses[at + 1];
  const ofLast = next !== undefined && next.opener === 'if' && next.from === c.to && c.verb === null;
  if (ofLast && food !== undefined && food < pieceAt(s, c, c.to - 1).from) return false;
  // "if it sticks, add oil"; "add oil if it sticks"
  return [s.clauses[at - 1], s.clauses[at + 1]].some(
    (n) =>
      n !== undefined &&
      (n.opener === 'if' || n.opener === 'unless') &&
      !(n === s.clauses[at + 1] && n.from !== c.to),
  );
}

/** Where a swap stands among what it swaps: "replace A with B", "swap A for B", "substitute B for A". */
function swapped(s: Sentence, c: ClauseSpan, i: number): Polarity | null {
  const { verb, verbAt } = c;
  if (!verb?.verb.swaps) return null;
  const { tokens } = s;
  let joint = -1;
  for (let k = verbAt + 1; k < c.to; k += 1)
    if (['for', 'with', 'by'].includes(wordAt(tokens, k))) {
      joint = k;
      break;
    }
  const may =
    verb.form === 'ed' ||
    ['can', 'could', 'may'].some((w) => tokens.slice(c.from, verbAt).some((t) => t.word === w));
  // "this replaces all of the oil"
  const gone = verb.form === 's' && ['replace', 'substitute'].includes(verb.verb.id);
  if (joint < 0) return i > verbAt ? (gone ? 'not' : 'alternative') : null;
  const behind = i > joint;
  if (may) return behind ? 'alternative' : i < verbAt ? 'do' : null;
  const turned = verb.verb.id === 'substitute' && wordAt(tokens, joint) === 'for';
  return behind === turned ? 'not' : 'do';
}

const STOPPED = new Set(['stopped', 'quit', 'ditched', 'dropped']);
/** What is left out: "skip the oil", "leave the oil out", "the salt is left out". */
function omitted(s: Sentence, c: ClauseSpan, i: number, end: number): Polarity | null {
  const { tokens } = s;
  const { verb, verbAt } = c;
  const leaves = (k: number) => ['leave', 'leaves', 'left', 'leaving'].includes(wordAt(tokens, k));
  // passive, behind the food
  for (let k = end; k < Math.min(c.to, end + 7); k += 1) {
    if (tokens[k]?.kind === 'mark' && wordAt(tokens, k) !== ',') break;
    const hit = verbOf(wordAt(tokens, k));
    if (hit?.form === 'ed' && hit.verb.omits && AUXILIARIES.has(wordAt(tokens, k - 1))) return 'not';
    if (leaves(k) && wordAt(tokens, k) === 'left' && ['out', 'off'].includes(wordAt(tokens, k + 1)))
      return 'not';
  }
  // "I've stopped buttering it", "gave up adding salt"
  for (let k = c.from; k < i; k += 1)
    if (
      STOPPED.has(wordAt(tokens, k)) ||
      (['gave', 'given'].includes(wordAt(tokens, k)) && wordAt(tokens, k + 1) === 'up')
    )
      return 'not';
  if (!verb || i < verbAt) return null;
  const out = (k: number) => k < c.to && ['out', 'off'].includes(wordAt(tokens, k));
  const outs =
    verb.verb.omits ||
    (leaves(verbAt) && (out(verbAt + 1) || out(end) || out(end + 1))) ||
    (['cut', 'hold'].includes(wordAt(tokens, verbAt)) && out(verbAt + 1)) ||
    (verb.verb.id === 'save' && verb.form === 's');
  if (!outs) return null;
  // "skip the oil in the pan": what stands behind a place is not what is skipped; an infinitive still is
  for (let k = verbAt + 1; k < i; k += 1) {
    const w = wordAt(tokens, k);
    if (PREPOSITIONS.has(w) && !['out', 'of', 'off', 'to', 'on'].includes(w)) return null;
  }
  return verbNegated(s, c) && !verb.verb.always ? 'do' : 'not';
}

const HAS = new Set(['has', 'have', "they've", "it's", "they're", 'got', 'with']);
/** "(they've oil in, 3 g fat each)": what something bought is made with. */
function isInIt({ tokens, to: end }: Sentence, from: number, to: number): boolean {
  if (!HAS.has(wordAt(tokens, from - 1)) || wordAt(tokens, to) !== 'in') return false;
  const whose = wordAt(tokens, from - 2);
  const told =
    wordAt(tokens, from - 1).includes("'") ||
    ['they', 'it', 'ours', 'those', 'these', 'which', 'that'].includes(whose);
  const ends = to + 1 >= end || tokens[to + 1]?.kind === 'mark';
  return told && ends;
}

/** True where nothing but a mark stands before a place. */
const opensAt = (tokens: readonly Token[], at: number): boolean =>
  tokens[at - 1] === undefined || tokens[at - 1]?.kind === 'mark';

const NICE = new Set(['nice', 'lovely', 'good', 'great', 'delicious', 'tasty', 'wonderful']);
const THEIR_VERSION = new Set(
  'version recipe original book magazine card packet box label one cafe café restaurant'.split(' '),
);
/** "in the magazine version", "on the packet": where another way of it stands. */
const isInTheirs = ({ tokens, to }: Sentence, at: number): boolean =>
  ['in', 'on'].includes(wordAt(tokens, at)) &&
  ['the', 'her', 'his', 'their', 'my', 'most'].includes(wordAt(tokens, at + 1)) &&
  [2, 3, 4].some((n) => at + n < to && THEIR_VERSION.has(wordAt(tokens, at + n)));

const MAKINGS = new Set(['bits', 'ingredients', 'stuff', 'things', 'makings', 'components']);
const STRUCK = new Set(['crossed', 'struck', 'scratched', 'scored']);

/** The place behind a food and all that is joined to it: "bread and marg". */
function lastJoined({ tokens, named, from }: Sentence, end: number): number {
  let k = end;
  for (;;) {
    const next = ['and', ',', 'or', '&', '+'].includes(wordAt(tokens, k)) ? named[k + 1 - from] : null;
    if (next?.kind !== 'food') return k;
    k = next.to;
  }
}

/** What is said of a food behind it: "oil is not needed", "oil-free", "walnut-sized". */
function saidBehind(s: Sentence, c: ClauseSpan, from: number, end: number): Polarity | null {
  const { tokens } = s;
  const next = tokens[end];
  if (next && end < c.to) {
    // "the fat ones": how they look
    if (end === from + 1 && (next.word === 'ones' || next.word === 'one')) return 'remark';
    if (wordAt(tokens, from) === 'fat' && ONES.has(next.word)) return 'remark';
    // "dressing bits at the bottom": what the list has for it
    if (MAKINGS.has(next.word)) return 'remark';
    if (next.word === 'free' && !['range', 'from', 'of', 'flow'].includes(wordAt(tokens, end + 1)))
      return 'not';
    if (
      AFTER_NOUN.has(next.word) &&
      (next.glued || ['style', 'shapes', 'shape', 'flavour', 'flavor', 'sized', 'size'].includes(next.word))
    )
      return 'remark';
  }
  // "guacamole is nice but …": it may be had
  if (
    opensAt(tokens, from) &&
    ['is', 'are'].includes(wordAt(tokens, end)) &&
    NICE.has(wordAt(tokens, end + 1))
  )
    return 'optional';
  // "cashews would make it richer"
  const might = ['would', 'could', 'might'].includes(wordAt(tokens, end));
  const was = ['was', 'were', 'used', 'would'].includes(wordAt(tokens, end));
  // "pine nuts are for feast days"
  if (['is', 'are'].includes(wordAt(tokens, end)) && wordAt(tokens, end + 1) === 'for') return 'optional';
  // "that's where the salt is"
  if (
    wordAt(tokens, from - 1) === 'the' &&
    wordAt(tokens, from - 2) === 'where' &&
    ['is', 'are', 'was', 'comes', 'hides', 'sits'].includes(wordAt(tokens, end))
  )
    return 'remark';
  // "a dab of butter was in the magazine version"
  if (was && isInTheirs(s, end + 1)) return 'remark';
  // "bread and marg was how we had it": of then
  const last = lastJoined(s, end);
  if (['was', 'were'].includes(wordAt(tokens, last)) && ['how', 'what'].includes(wordAt(tokens, last + 1)))
    return 'remark';
  // "in where the 100 ml of oil was"
  if (was && tokens.slice(Math.max(s.from, from - 8), from).some((t) => t.word === 'where')) return 'remark';
  if (might) return 'optional';
  // "olive oil, crossed out"
  for (let k = end; k < Math.min(s.to, end + 8); k += 1)
    if (STRUCK.has(wordAt(tokens, k)) && ['out', 'off', 'through'].includes(wordAt(tokens, k + 1)))
      return 'not';
  let negated = false;
  for (let k = end; k < Math.min(c.to, end + 6); k += 1) {
    const t = tokens[k] as Token;
    if (t.kind === 'mark' && t.word !== ',') break;
    // "tomato paste, no salt added" speaks of the salt
    if (t.word === ',' && ['no', 'without', 'which', 'the', 'a'].includes(wordAt(tokens, k + 1))) break;
    if (NEGATORS.has(t.word) || t.word === "isn't" || t.word === 'unnecessary') negated = true;
    if (t.word === 'unnecessary') return 'not';
    if (NEEDED.has(t.word) && negated) return 'not';
    if (t.word === 'optional') return 'optional';
    if (PREPOSITIONS.has(t.word) && t.word !== 'on') break;
  }
  return null;
}

const CLAIMED = new Set(['salt', 'oil', 'sugar', 'fat', 'sodium']);
const ONES = new Set(['one', 'ones', 'kind', 'sort', 'stuff', 'type', 'version']);
const NOT_A = new Set(['a', 'an', 'one', 'any', 'even']);
const COUNTS = new Set('a an one two three four five six half'.split(' '));
const SPOONED =
  /^(?:(?:table|tea)spoon(?:ful)?s?|tbsps?|tsps?|cups?|mugs?|handfuls?|tins?|cans?|cloves?|slices?|jars?|packets?|bunch|sprigs?|g|kg|grams?|ml|l|litres?|oz|lbs?|spoon(?:ful)?s?|blocks?|bags?|tubs?|pots?|dollops?|bottles?|cartons?|pouch(?:es)?|tubes?|bowls?|glass(?:es)?|scoops?|splash|drizzle|pinch(?:es)?|knobs?|drops?|wipes?|sprays?|spritz|squirts?|dabs?|smears?|glugs?|squeeze|sprinkle|dusting|dash|lick|touch)$/;
const JOINS = new Set(['and', 'plus', '&', '+']);
/** Whether so much of something is told from a place, behind "and" too: "a tablespoon of", "half an avocado". */
function isCounted(s: Sentence, begins: number): boolean {
  const at = JOINS.has(wordAt(s.tokens, begins)) ? begins + 1 : begins;
  const count = wordAt(s.tokens, at);
  if (!COUNTS.has(count) && s.tokens[at]?.kind !== 'number') return false;
  if ([1, 2, 3].some((n) => SPOONED.test(wordAt(s.tokens, at + n)))) return true;
  // "a drop", "an oil": of one that has no measure it is only the article
  if (['a', 'an', 'one'].includes(count)) return false;
  return [1, 2, 3].some((n) => s.named[at + n - s.from]?.kind === 'food');
}

/** Scans a clause up to a food for what turns the nouns: no, without, instead of, like, free from. */
function scanned(s: Sentence, c: ClauseSpan, i: number): Polarity | null {
  const { tokens } = s;
  const negatedVerb = verbNegated(s, c);
  let negated = false;
  let compared = false;
  let either = false;
  let insteadEnd = -1;
  for (let k = c.from; k < i; k += 1) {
    const t = tokens[k] as Token;
    const w = t.word;
    const next = wordAt(tokens, k + 1);
    // "instead of honey use syrup": the deed begins anew
    if (k === c.verbAt && k > c.from && c.verb?.form === 'base' && wordAt(tokens, k - 1) !== 'to') {
      negated = false;
      compared = false;
      continue;
    }
    const instead = INSTEAD.at(tokens, k);
    if (instead) {
      negated = true;
      compared = false;
      k = instead.end - 1;
      insteadEnd = instead.end;
      // "rather than in butter"
      if (PREPOSITIONS.has(wordAt(tokens, k + 1))) k += 1;
      continue;
    }
    const comparison = COMPARISONS.at(tokens, k);
    if (
      comparison &&
      !(
        w === 'like' &&
        (WISHES.has(wordAt(tokens, k - 1)) || (k === c.from + 1 && WISHES.has(wordAt(tokens, c.from))))
      ) &&
      !(w === 'than' && NOT_NO.has(wordAt(tokens, k - 1))) &&
      !AFTER_NOUN.has(w === 'like' ? '' : w)
    ) {
      compared = true;
      k = comparison.end - 1;
      continue;
    }
    // "smooth as butter"
    if (
      w === 'as' &&
      next !== 'needed' &&
      next !== 'you' &&
      next !== 'little' &&
      next !== 'much' &&
      // "as much as two tablespoons"
      !['much', 'many', 'little'].includes(wordAt(tokens, k - 1)) &&
      k > c.from &&
      wordAt(tokens, k - 1) !== 'such'
    ) {
      compared = wordAt(tokens, k - 1) !== 'as' && !CONJUNCTIONS.has(wordAt(tokens, k - 1)) ? true : compared;
      continue;
    }
    // "the no salt ones, and a pot of yoghurt": which ones, and nothing refused but the salt
    const claim = next === 'added' ? k + 2 : k + 1;
    if (w === 'no' && i > claim && CLAIMED.has(wordAt(tokens, claim))) {
      const ones = [2, 3].some((n) => ONES.has(wordAt(tokens, k + n)));
      if (ones || DETERMINERS.has(wordAt(tokens, k - 1))) continue;
    }
    if (w === 'no' || w === 'zero' || w === 'neither' || w === 'nor' || w === 'minus' || w === 'sans') {
      if (!(w === 'no' && NOT_NO.has(next) && !(next === 'more' && wordAt(tokens, k + 2) !== 'than'))) {
        negated = true;
        either = false;
      }
      if (next === 'need') k += ['for', 'of', 'to'].includes(wordAt(tokens, k + 2)) ? 2 : 1;
      continue;
    }
    if (w === 'without') {
      either = wordAt(tokens, k - 1) === 'or' && wordAt(tokens, k - 2) === 'with';
      // "you can't make it without", "it's nothing without"
      const twice = tokens.slice(c.from, k).some((x) => NEGATORS.has(x.word) || NOTHING_WITHOUT.has(x.word));
      negated = !negatedVerb && !either && !twice;
      continue;
    }
    if (w === 'free' && (next === 'from' || next === 'of')) {
      negated = true;
      k += 1;
      continue;
    }
    if (
      (w === 'not' || (w === 'never' && k > c.from)) &&
      // "not a drop of oil goes near them": the drop is what is refused
      !(c.verbAt > k && negatedVerb && !(k === c.from && NOT_A.has(next) && i < c.verbAt)) &&
      !AUXILIARIES.has(wordAt(tokens, k - 1))
    ) {
      // "not drained, three cloves of garlic": only the deed is refused
      const deedAlone = verbOf(next)?.form === 'ed' && s.named[k + 2 - s.from]?.kind !== 'food';
      if (!NOT_NEGATING.has(next) && next !== 'without' && !deedAlone) negated = true;
      continue;
    }
    // "no salt added 300 g tomatoes": what is counted behind is another thing
    if (
      t.kind === 'number' &&
      negated &&
      // "instead of 50 g margarine"
      k !== insteadEnd &&
      k > c.from &&
      !NEGATORS.has(wordAt(tokens, k - 1)) &&
      !DEFINITE.has(wordAt(tokens, k - 1))
    ) {
      negated = false;
      continue;
    }
    if (ENDS_NEGATION.has(w)) {
      negated = false;
      compared = false;
      continue;
    }
    if (t.kind === 'mark') {
      const goesOn =
        w === ',' &&
        negated &&
        !DEFINITE.has(next) &&
        !SUBJECTS.has(next) &&
        // "no salt, a tablespoon of capers"
        !isCounted(s, k + 1) &&
        !PREPOSITIONS.has(next) &&
        verbOf(next)?.form !== 'base';
      const named = s.named[k + 1 - s.from];
      const salted = w === ',' && negated && named?.kind === 'food';
      // "no oil, tahini 3 tbsp"
      const counted = named !== null && named !== undefined && isCounted(s, named.to);
      if ((!goesOn && !salted) || counted) negated = false;
      compared = false;
      continue;
    }
    // "no spread and half an avocado"
    if (negated && JOINS.has(w) && isCounted(s, k)) negated = false;
    if (compared && (w === 'and' || w === 'with' || verbOf(w)?.form === 'ing')) compared = false;
    // "not in oil": the place itself is refused
    const refused = ['not', 'never'].includes(wordAt(tokens, k - 1));
    if (negated && !refused && PREPOSITIONS.has(w) && !['of', 'from', 'any'].includes(w) && k > c.from) {
      // "without moving them rub with salt": what follows a place or a means is another thing
      if (!(w === 'for' && wordAt(tokens, k - 1) === 'need')) negated = false;
    }
  }
  if (either) return 'optional';
  if (compared) return 'remark';
  return negated ? 'not' : null;
}

const MOSTLY = new Set([
  'mostly',
  'mainly',
  'basically',
  'largely',
  'pure',
  'practically',
  'half',
  'all',
  'nearly',
]);
const IS = /(?:^|['’])(?:is|are|was|were|s|re)$/;

/** "mine is mostly oil", "the jar's full of salt": what something sold is made of. */
function saysMadeOf({ tokens }: Sentence, from: number): boolean {
  let k = from - 1;
  if (wordAt(tokens, k) === 'of' && ['full', 'mostly'].includes(wordAt(tokens, k - 1)))
    return IS.test(wordAt(tokens, k - 2));
  // "that jar is 40% oil"
  while (k >= 0 && (MOSTLY.has(wordAt(tokens, k)) || wordAt(tokens, k).endsWith('%'))) k -= 1;
  return k < from - 1 && IS.test(wordAt(tokens, k));
}

const LOOKS = new Set(['check', 'watch', 'look', 'beware']);
/** "(a pouch, but check for oil)": what may be in it is looked for, not put in. */
const isLookedFor = ({ tokens }: Sentence, c: ClauseSpan, from: number): boolean =>
  tokens
    .slice(c.from, from)
    .some((t, i) => LOOKS.has(t.word) && ['for', 'of'].includes(wordAt(tokens, c.from + i + 1)));

const BEHIND_GONE = new Set(['gone', 'out', 'history']);
const STAYS = new Set(['stays', 'stay', 'remains']);
const PUT_AWAY = new Set(['home', 'away', 'off', 'out', 'put', 'shut', 'closed']);
const KEPT_IN = new Set(['cupboard', 'drawer', 'pantry', 'larder', 'shop', 'shed', 'box', 'shelf', 'packet']);
/** "the salt shaker stays at home", "the oil stays in the cupboard": where it is, and not here. */
const isPutAway = ({ tokens, to: end }: Sentence, to: number): boolean => {
  const at = tokens.slice(to, Math.min(end, to + 3)).findIndex((t) => STAYS.has(t.word));
  if (at < 0) return false;
  const behind = tokens.slice(to + at + 1, Math.min(end, to + at + 5)).map((t) => t.word);
  return (
    PUT_AWAY.has(behind[0] ?? '') ||
    (['at', 'in', 'on'].includes(behind[0] ?? '') && behind.some((w) => w === 'home' || KEPT_IN.has(w)))
  );
};
const LEAVES = new Set(['leave', 'skip', 'omit', 'drop', 'ditch', 'avoid']);
const ALWAYS = new Set(['always', 'just', 'now', 'usually', 'tend', 'to', 'would', "'d"]);
/** "salt I leave out": told of what stands before it, and of nobody's plate alone. */
function isLeftByUs({ tokens, to: end }: Sentence, to: number): boolean {
  if (!['i', 'we'].includes(wordAt(tokens, to))) return false;
  let k = to + 1;
  while (k < end && ALWAYS.has(wordAt(tokens, k))) k += 1;
  if (!LEAVES.has(wordAt(tokens, k))) return false;
  const out = ['out', 'off'].includes(wordAt(tokens, k + 1)) ? k + 2 : k + 1;
  if (wordAt(tokens, k) === 'leave' && out === k + 1) return false;
  return (
    out >= end ||
    tokens[out]?.kind === 'mark' ||
    ['because', 'as', 'since', 'and'].includes(wordAt(tokens, out))
  );
}
const NIL = new Set('none zero nil nada zilch nowt nothing nope never'.split(' '));
/** "the butter and the sugar are gone": in it no more. */
function isGone(s: Sentence, to: number): boolean {
  // "ghee - zero"
  if (
    to + 1 < s.to &&
    s.tokens[to]?.kind === 'mark' &&
    NIL.has(wordAt(s.tokens, to + 1)) &&
    (to + 2 >= s.to || ['.', '!', ';', ')'].includes(wordAt(s.tokens, to + 2)))
  )
    return true;
  if (isLeftByUs(s, to)) return true;
  for (let k = to; k < Math.min(s.to - 1, to + 8); k += 1) {
    const w = wordAt(s.tokens, k);
    if (s.tokens[k]?.kind === 'mark' && w !== ',') return false;
    if (['is', 'are', "'s", "it's"].includes(w))
      return BEHIND_GONE.has(wordAt(s.tokens, k + 1)) && wordAt(s.tokens, k + 2) !== 'of';
  }
  return false;
}

const BY_NATURE = new Set(
  'needs need wants want likes like absorbs absorb drinks drink takes keeps freezes varies vary hates'.split(
    ' ',
  ),
);
/** "(bread needs a bit)": what it is like, of any of its kind. */
const isOfItsNature = ({ tokens }: Sentence, from: number, to: number): boolean =>
  BY_NATURE.has(wordAt(tokens, to)) && (opensAt(tokens, from) || CONJUNCTIONS.has(wordAt(tokens, from - 1)));

const TASTES = new Set(
  'salty sweet rich fatty oily heavy bitter sharp spicy hot strong plenty mild expensive cheap savoury greasy'.split(
    ' ',
  ),
);
const HOLDS = new Set(['has', 'have', 'holds', 'contains']);
const UNTRUE = new Set(['lie', 'joke', 'myth', 'misnomer', 'fib']);
/** "Chickpea water is salty enough": what it is like. */
const isDescribed = ({ tokens }: Sentence, from: number, to: number): boolean => {
  // "the dressing has no oil", "a tin of the full fat has more fat than we need"
  if (
    HOLDS.has(wordAt(tokens, to)) &&
    ['no', 'more', 'less', 'enough', 'too'].includes(wordAt(tokens, to + 1))
  )
    return true;
  // "more fat than the three of us should eat"
  if (['more', 'less', 'fewer'].includes(wordAt(tokens, from - 1)) && wordAt(tokens, to) === 'than')
    return true;
  if (!['is', 'are', "'s"].includes(wordAt(tokens, to))) return false;
  // "the butter is a lie"
  if (wordAt(tokens, to + 1) === 'a' && UNTRUE.has(wordAt(tokens, to + 2))) return true;
  const at = ['very', 'so', 'quite', 'too', 'already', 'really', 'pretty'].includes(wordAt(tokens, to + 1))
    ? to + 2
    : to + 1;
  return opensAt(tokens, from) && TASTES.has(wordAt(tokens, at));
};

const SUMMED = new Set(['fat', 'oil', 'salt', 'sugar', 'sodium', 'fats', 'oils', 'sugars']);
const IS_WORDS = new Set(['is', 'are', "that's", "it's", 'comes', 'come']);
/** "and that's all the fat there is", "the only salt is in the miso": a sum of what is told, and nothing that goes in. */
function isSummedUp(
  { tokens, named, from: begins }: Sentence,
  c: ClauseSpan,
  from: number,
  to: number,
): boolean {
  if (!SUMMED.has(wordAt(tokens, from)) || to !== from + 1 || c.verb?.verb.brings) return false;
  let k = from - 1;
  if (['added', 'real', 'actual', 'extra'].includes(wordAt(tokens, k))) k -= 1;
  const all =
    wordAt(tokens, k) === 'only' ||
    (wordAt(tokens, k) === 'the' && ['all', 'of'].includes(wordAt(tokens, k - 1)));
  if (!all || !tokens.slice(Math.max(c.from - 1, 0), c.to).some((t) => IS_WORDS.has(t.word))) return false;
  // "the only oil is a teaspoon" says how much
  return !tokens
    .slice(to, c.to)
    .some(
      (t, i) =>
        (t.kind === 'number' || ['a', 'an', 'half'].includes(t.word)) &&
        !named.slice(to + i - begins, c.to - begins).some((n) => n?.kind === 'food'),
    );
}

const KEEPS = new Set(['keep', 'save', 'reserve', 'freeze', 'store']);
/** "I keep a third back for rice": what it is kept for is another meal. */
const isForAnother = ({ tokens }: Sentence, c: ClauseSpan, from: number): boolean =>
  KEEPS.has(c.verb?.verb.id ?? '') && c.verbAt < from && wordAt(tokens, from - 1) === 'for';

/** "there's tahini in it, nobody minds": what is refused behind a mark behind a food is another thing. */
function isSaidOfRest({ tokens }: Sentence, c: ClauseSpan, from: number, to: number): boolean {
  if (tokens.slice(c.from, from).some((t) => NEGATORS.has(t.word))) return false;
  const refused = tokens.slice(to, c.to).findIndex((t) => NEGATORS.has(t.word));
  return refused > 0 && tokens.slice(to, to + refused).some((t) => t.kind === 'mark');
}

/**
 * Whether a food that a clause names goes into the dish. The scope of a negation follows the clause, not a count of
 * words: it ends where a new deed, a place, "only" or "but" begins; twice no is yes.
 *
 * @param from first token of the food's name
 * @param to the token behind it
 */
export function polarityOf(s: Sentence, c: ClauseSpan, from: number, to: number): Polarity {
  let known = polarities.get(c);
  if (!known) polarities.set(c, (known = new Map()));
  const place = from * PLACES + to;
  let polarity = known.get(place);
  if (polarity === undefined) known.set(place, (polarity = polarityNow(s, c, from, to)));
  return polarity;
}
/** A clause is asked the same again at every key stroke: its sentence does not change. */
const polarities = new WeakMap<ClauseSpan, Map<number, Polarity>>();
/** More than a sentence has tokens. */
const PLACES = 2 ** 20;

const ANYONE = new Set(['anyone', 'anybody', 'whoever', 'those', 'somebody', 'someone']);
const MAY = new Set(['can', 'may', 'could', 'might']);
/** "Anyone not counting can have a spoonful of pine nuts": who may have it, and what. */
function isAllowed({ tokens, from: begins }: Sentence, c: ClauseSpan, from: number): boolean {
  if (!ANYONE.has(wordAt(tokens, begins))) return false;
  const may = tokens.slice(begins, from).findLastIndex((t) => MAY.has(t.word));
  return may > 0 && c.to > from && !tokens.slice(begins + may, from).some((t) => NEGATORS.has(t.word));
}

function polarityNow(s: Sentence, c: ClauseSpan, from: number, to: number): Polarity {
  if (isAllowed(s, c, from)) return 'optional';
  if (isSharedOut(s, from, to)) return scanned(s, c, from) ?? 'do';
  if (c.opener === 'if' && hasIt(s, c, from)) return 'optional';
  // "if you want it richer a spoon of coconut milk does it": what is wished for may be done
  if (c.opener === 'if' && (DOES_IT.has(s.tokens, to, c.to) >= 0 || isOnOccasion(s, c, from)))
    return 'optional';
  if (c.opener === 'until' || c.opener === 'till' || c.opener === 'if' || c.opener === 'unless')
    return 'remark';
  if (isOtherVersion(s)) return verbNegated(s, c) ? 'not' : 'optional';
  // "Or rotis: two each, no ghee"
  if (s.label.length > 0 && scanned(s, c, from) === 'not') return 'not';
  if (
    s.label.some((t) => ['substitute', 'substitution', 'alternatively', 'alternative', 'or'].includes(t.word))
  )
    return 'alternative';
  if (isRemark(s, c) || isReplaced(s, c, to) || isBygone(s, from) || saysMadeOf(s, from)) return 'remark';
  const theirs = othersWay(s, c, from);
  if (theirs === 'remark') return theirs;
  if (
    isLookedFor(s, c, from) ||
    isGone(s, to) ||
    isPutAway(s, to) ||
    isForAnother(s, c, from) ||
    isOfItsNature(s, from, to) ||
    isDescribed(s, from, to) ||
    isSummedUp(s, c, from, to) ||
    isInIt(s, from, to)
  )
    return 'remark';
  const behind = saidBehind(s, c, from, to);
  if (behind) return behind;
  const swap = swapped(s, c, from);
  if (swap) return swap;
  const out = omitted(s, c, from, to);
  if (out) return out;
  const scan = scanned(s, c, from);
  if (scan) return scan;
  if (verbNegated(s, c)) {
    const omits = c.verb?.verb.omits === true;
    // "you cannot do this without oil", "never cook without oil"
    const without = s.tokens.slice(c.from, from).some((t) => t.word === 'without');
    if (!omits && !without) {
      // a verb negated turns what it acts on, not what stands before it
      if (c.verbAt < 0 ? !isSaidOfRest(s, c, from, to) : from > c.verbAt) return 'not';
    }
  }
  return theirs ?? (isOptional(s, c, from) ? 'optional' : 'do');
}
