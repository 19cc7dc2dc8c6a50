import { type ClauseSpan, type Sentence } from './clauses';
import { AUXILIARIES, NEGATORS, verbOf } from './lexicon';
import { wordAt } from './tokens';
import { PRESENT_SUBJECTS, THEIRS, isTheirPlate, namedOther, othersAt, saysOurs } from './somebody';

/** Deeds that take back what was just told: "skip that", "I swap it for stock". */
const TAKES_BACK = new Set([
  'skip',
  'omit',
  'ditch',
  'avoid',
  'forgo',
  'swap',
  'replace',
  'substitute',
  'switch',
]);
const THAT = new Set(['that', 'it', 'this', 'them', 'those']);

/** "before you salt it - it won't need any": the clause behind says that none is needed. */
export function isNotNeeded(s: Sentence, c: ClauseSpan): boolean {
  const next = s.clauses[s.clauses.indexOf(c) + 1];
  if (c.opener !== 'before' || !next) return false;
  const words = s.tokens.slice(next.from, next.to).map((t) => t.word);
  return words.some((w) => NEGATORS.has(w)) && words.some((w) => w === 'need' || w === 'want');
}

/**
 * True where a sentence's first clause takes back what the sentence before it told: "Skip that."
 *
 * @param before the sentence that it may answer: what others do is answered by a bare "No."
 */
export function takesBack(s: Sentence, before?: Sentence): boolean {
  const [first] = s.clauses;
  // "The book wants 50 g butter here. No."
  const last = before?.clauses.at(-1);
  if (before && last && isTheirPlate(before.tokens, last)) return false;
  if (before && last && othersAt(before, last) >= 0 && answersNo(s)) return true;
  // "fry it in oil: don't."
  const words = s.tokens.slice(s.from, s.to).filter((t) => t.kind === 'word');
  const denies =
    NEGATORS.has(words[0]?.word ?? '') &&
    words[1]?.word !== 'more' &&
    words.slice(1).every((t) => HERE.has(t.word)) &&
    words.length <= 4;
  if (before && denies) return true;
  // "every recipe says olive oil; I give it lemon instead"
  const instead = s.tokens.slice(s.from, s.to).some((t) => t.word === 'instead');
  if (before && last && instead && othersAt(before, last) >= 0 && saysOurs(s, s.from)) return true;
  // "She uses 6 tbsp of oil. I use none.", "½ tsp goes in hers; I do a squeeze of lemon"
  if (before && last && saysOurs(s, s.from)) {
    const theirs = before.clauses.some((c) => othersAt(before, c) >= 0);
    if (theirs && (saysNothing(s) || saysWithout(s) || missesNothing(s))) return true;
    const words = before.tokens.slice(last.from, last.to).map((t) => t.word);
    if (words.some((w, i) => THEIRS.has(w) && ['in', 'into'].includes(words[i - 1] ?? ''))) return true;
  }
  // "Baba fried it in butter; I do it in water"
  if (before && last && namedOther(before, last) >= 0 && saysOurs(s, s.from)) return true;
  return first !== undefined && deniesThat(s, first) && !s.clauses.some((c) => c.opener === 'if');
}

const USES = new Set('use do have put need add take want'.split(' '));
const NOTHING = new Set(['none', 'nothing', 'no', 'zero', 'nil']);

/** "I use none", "we put nothing in". */
const saysNothing = ({ tokens, from, to }: Sentence): boolean =>
  tokens
    .slice(from, Math.min(to, from + 5))
    .some((t, i) => USES.has(t.word) && NOTHING.has(wordAt(tokens, from + i + 1)));

/** "I put the veg in raw and don't miss it": it goes without. */
const missesNothing = ({ tokens, from, to }: Sentence): boolean =>
  tokens
    .slice(from, to)
    .some((t, i) => t.word === 'miss' && ['it', 'them', 'that'].includes(wordAt(tokens, from + i + 1))) &&
  tokens.slice(from, to).some((t) => NEGATORS.has(t.word) || t.word === 'nobody');
const WITHOUT = new Set(['water', 'stock', 'broth', 'dry', 'paper', 'parchment', 'air', 'neither']);

/** "I spray them with water": what is done here goes without. */
const saysWithout = (s: Sentence): boolean =>
  s.tokens.slice(s.from, s.to).some((t) => WITHOUT.has(t.word)) &&
  s.named.every((n) => n?.kind !== 'food' || WITHOUT.has(n.id));
const HERE = new Set('here today now us me for any more anymore again in this one ours mine'.split(' '));

const OF_ALL = new Set(
  'us everyone everybody anyone anybody all it this that now today once ever'.split(' '),
);

/** "Salt the water? We don't.": a sentence that answers no. */
export function answersNo(s: Sentence): boolean {
  const words = s.tokens.slice(s.from, s.to).filter((t) => t.kind === 'word');
  const [first, second] = words.map((t) => t.word);
  if (first === undefined || words.length > 9) return false;
  // "Salt: none for Bea": the others have theirs
  const who = words.findIndex((t) => t.word === 'for');
  if (first === 'none' && who === 1 && !OF_ALL.has(words[2]?.word ?? '')) return false;
  // "not more", "no less"
  if (['more', 'less', 'fewer', 'too'].includes(second ?? '')) return false;
  // "Cream? We have 2 tbsp soya yoghurt."
  const instead =
    ['i', 'we'].includes(first) &&
    ['have', 'use', 'do', 'take', 'serve', 'put'].includes(second ?? '') &&
    s.named.some((n) => n?.kind === 'food');
  if (instead) return true;
  const no = (w: string | undefined) =>
    w !== undefined && (NEGATORS.has(w) || ['nope', 'none', 'skip'].includes(w));
  return no(first) || (PRESENT_SUBJECTS.has(first) && no(second));
}

/**
 * "tahini (we use cashew)" behind a food: that stands in its place.
 *
 * @param to the token behind the food's name
 */
export function isReplaced(s: Sentence, c: ClauseSpan, to: number): boolean {
  const next = s.clauses[s.clauses.indexOf(c) + 1];
  const closes = next ? s.tokens.findIndex((t, k) => k >= next.from && t.word === ')') : -1;
  const end = closes < 0 ? (next?.to ?? 0) : closes;
  return (
    next !== undefined &&
    // of the last food before it
    !s.named.slice(to - s.from, c.to - s.from).some((n) => n?.kind === 'food') &&
    wordAt(s.tokens, c.to - 1) === '(' &&
    ['we', 'i'].includes(wordAt(s.tokens, next.from)) &&
    next.verb?.verb.id === 'use' &&
    next.verb.form === 'base' &&
    // "(I use about 2 tbsp)": how much of it
    s.named.slice(next.from - s.from, Math.min(end, next.to) - s.from).some((n) => n?.kind === 'food')
  );
}

/** Deeds that put something in: "no need to add it", and no "no need to measure it". */
const isAdding = (word: string): boolean => {
  const verb = verbOf(word)?.verb;
  return ['do', 'use', 'bother', 'have'].includes(word) || Boolean(verb?.brings || verb?.fat || verb?.food);
};
const NEEDING = new Set(['need', 'call', 'reason', 'point', 'cause']);

/** "…, but there's no call for it": a clause that says that it is not needed. */
const saysNoNeed = ({ tokens }: Sentence, c: ClauseSpan): boolean =>
  tokens.slice(c.from, c.to).some(
    (t, i) =>
      NEEDING.has(t.word) &&
      wordAt(tokens, c.from + i - 1) === 'no' &&
      (c.from + i + 1 === c.to ||
        tokens[c.from + i + 1]?.kind === 'mark' ||
        (wordAt(tokens, c.from + i + 1) === 'to' && isAdding(wordAt(tokens, c.from + i + 2))) ||
        wordAt(tokens, c.from + i + 1) === 'in' ||
        (['for', 'of'].includes(wordAt(tokens, c.from + i + 1)) &&
          // "no need for more", "no need for oil" speak of another
          (THAT.has(wordAt(tokens, c.from + i + 2)) || wordAt(tokens, c.from + i + 2) === 'any'))),
  );

/** How many clauses behind may take one back: "is nice, but it's mostly oil, so I leave it off". */
const MOST_BEHIND = 3;

/** "normally 1 tbsp oil, but I swap that for tahini", "…, so none": a clause behind takes this one back. */
export function isTakenBack(s: Sentence, c: ClauseSpan): boolean {
  const at = s.clauses.indexOf(c);
  for (let k = at + 1; k <= at + MOST_BEHIND; k += 1) {
    const next = s.clauses[k];
    if (!next) return false;
    if (deniesThat(s, next) || saysNone(s, next) || saysNoNeed(s, next)) return true;
    // what is done in between is done
    if (next.verb?.verb.brings && !verbIsDenied(s, next)) return false;
  }
  return saysNoneInside(s, c);
}

const verbIsDenied = ({ tokens }: Sentence, c: ClauseSpan): boolean =>
  tokens.slice(c.from, Math.max(c.verbAt, c.from)).some((t) => NEGATORS.has(t.word));

/** "so none", "so no", "none here": a clause that says no and nothing else. */
function saysNone({ tokens }: Sentence, c: ClauseSpan): boolean {
  if (c.to - c.from > 12) return false;
  const words = tokens
    .slice(c.from, c.to)
    .filter((t) => t.kind === 'word')
    .map((t) => t.word)
    .filter((w) => !['so', 'and', 'but', 'then', 'here', 'thanks', 'for', 'us', 'me', 'now'].includes(w));
  // "(no, really)" means it
  const next = tokens.slice(c.to, c.to + 3).find((t) => t.kind === 'word')?.word ?? '';
  if (['really', 'honestly', 'seriously', 'truly'].includes(next)) return false;
  return words.length === 1 && ['none', 'no', 'nope', 'never'].includes(words[0] ?? '');
}

/** "…, so none." at the end of the clause itself. */
function saysNoneInside({ tokens }: Sentence, c: ClauseSpan): boolean {
  let k = c.to - 1;
  while (k > c.from && ['here', 'thanks', 'us', 'for', 'now'].includes(wordAt(tokens, k))) k -= 1;
  return ['none', 'nope'].includes(wordAt(tokens, k)) && wordAt(tokens, k - 1) === 'so';
}

/** "skip that", "I swap it for stock": a deed on what was just told that takes it back. */
const deniesThat = (s: Sentence, next: ClauseSpan): boolean => deniesAny(s, next) && !isForSome(s, next);

/** Words behind "for" by which it is for nobody's sake in particular. */
const FOR_ALL = new Set(
  'me us now good ever health this that it them ours mine here sure real once today all everyone'.split(' '),
);

/** Words by which something holds for some, or at times. */
const AT_TIMES = new Set('if when unless whenever'.split(' '));
const SOME_TIMES = new Set(
  'sometimes occasionally often usually mostly some most every fridays sundays weekdays weekends weeknights days'.split(
    ' ',
  ),
);
const LED_BY = new Set(['or', 'but', 'and', 'then', 'so']);

/** How many words may stand between such a word and the deed. */
const MOST_LED = 8;
const IS_SHORT = /^(?:it|that|there|here|what|he|she|who|let)['’]s$/;

/** "for Bea", "in Bea's", "on Fridays": words that hold for some, or at times. */
function isPartial({ tokens, to: end }: Sentence, from: number, to: number): boolean {
  for (let k = from; k < Math.min(to, end); k += 1) {
    const w = wordAt(tokens, k);
    if (AT_TIMES.has(w) || SOME_TIMES.has(w)) return !['these', 'those'].includes(wordAt(tokens, k - 1));
    if (/['’]s?$/.test(w) && !IS_SHORT.test(w)) return true;
    const next = wordAt(tokens, k + 1);
    if (w === 'for' && k + 1 < end && next !== '' && !FOR_ALL.has(next)) return true;
  }
  return false;
}

/** "leave it out for Bea", "skip it if the stock is salted": for some, and no more than that. */
function isForSome(s: Sentence, c: ClauseSpan): boolean {
  const { tokens, clauses } = s;
  const at = clauses.indexOf(c);
  // "unless it's for Bea, then leave it out"
  if ([clauses[at - 1], clauses[at + 1]].some((x) => AT_TIMES.has(x?.opener ?? ''))) return true;
  // "or for the low salt lot leave them out", "or leave it out": the words before the deed are its own
  let from = c.from;
  while (
    from > c.from - MOST_LED &&
    from > s.from &&
    tokens[from - 1]?.kind !== 'mark' &&
    !LED_BY.has(wordAt(tokens, from))
  )
    from -= 1;
  if (wordAt(tokens, from) === 'or') return true;
  const own = LED_BY.has(wordAt(tokens, from)) || tokens[from - 1]?.kind === 'mark' ? from : c.from;
  if (isPartial(s, own, c.verbAt)) return true;
  // "I swap it for stock": what stands in its place
  const swaps = c.verb?.verb.swaps === true;
  const place = swaps
    ? tokens.slice(c.verbAt, c.to).findIndex((t) => t.word === 'for' || t.word === 'with')
    : 0;
  return isPartial(s, c.verbAt + Math.max(place, 0) + 1, c.to + 1);
}

/** "2 tbsp tahini (skip it for Bea)": a clause behind that takes this one back for some. */
export const isLeftBySome = (s: Sentence, c: ClauseSpan): boolean =>
  s.clauses
    .slice(s.clauses.indexOf(c) + 1)
    .slice(0, MOST_BEHIND)
    .some((next) => deniesAny(s, next));
function deniesAny(s: Sentence, next: ClauseSpan): boolean {
  if (!next.verb || next.verb.form !== 'base') return false;
  // "…; I skip": what was told just now
  const bare =
    ['skip', 'omit', 'pass', 'abstain'].includes(next.verb.verb.id) &&
    PRESENT_SUBJECTS.has(wordAt(s.tokens, next.verbAt - 1)) &&
    s.tokens.slice(next.verbAt + 1, next.to).every((t) => t.kind === 'mark');
  if (bare) return true;
  // "(the kid gets almond butter, ignore)"
  if (next.verb.verb.id === 'ignore' && next.to - next.from <= 3) return true;
  if (!THAT.has(wordAt(s.tokens, next.verbAt + 1))) return false;
  const before = s.tokens.slice(next.from, next.verbAt).map((t) => t.word);
  // "you can skip it" leaves both ways open
  if (before.some((w) => AUXILIARIES.has(w) || NEGATORS.has(w))) return false;
  const leavesOut =
    next.verb.verb.id === 'leave' && ['out', 'off'].includes(wordAt(s.tokens, next.verbAt + 2));
  return leavesOut || TAKES_BACK.has(next.verb.verb.id);
}

const DENIES = new Set(['bother', 'do', 'use', 'have', 'want', 'need']);

/** Behind "I don't": it is not done, and no other deed follows. */
const NO_MORE = new Set(
  'since because as with in for on at any anymore now ever normally usually really here myself personally often these like eat touch keep buy allow add put see miss fancy'.split(
    ' ',
  ),
);

/** "…, which you can't see": it is there. */
const isUnseen = ({ tokens }: Sentence, subject: number): boolean =>
  ['which', 'that'].includes(wordAt(tokens, subject - 1)) && wordAt(tokens, subject + 2) === 'see';

/** A clause behind, of the same sentence, that says that it is never done here: "…, we never bother". */
export function isNeverDone(s: Sentence, c: ClauseSpan): boolean {
  const at = s.clauses.indexOf(c);
  if (PRESENT_SUBJECTS.has(wordAt(s.tokens, c.from))) return false;
  for (const next of s.clauses.slice(at + 1, at + 1 + MOST_BEHIND)) {
    let k = next.from;
    while (k < next.to && ['but', 'and', 'though', 'so', ','].includes(wordAt(s.tokens, k))) k += 1;
    const never =
      PRESENT_SUBJECTS.has(wordAt(s.tokens, k)) &&
      NEGATORS.has(wordAt(s.tokens, k + 1)) &&
      !isPartial(s, k + 2, next.to + 1) &&
      (next.to - k <= 2 ||
        s.tokens[k + 2]?.kind === 'mark' ||
        DENIES.has(wordAt(s.tokens, k + 2)) ||
        (NO_MORE.has(wordAt(s.tokens, k + 2)) && !isUnseen(s, k)));
    if (never) return true;
    if (next.verb?.verb.brings && next.opener !== 'if') return false;
  }
  return false;
}
