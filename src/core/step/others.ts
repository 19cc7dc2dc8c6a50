import { numberOf } from '@/core/measure/quantity';
import { rememberPart } from '@/core/memo';
import { anewFrom, KNOWS, type ClauseSpan, type Sentence } from './clauses';
import { DOES, OWNERS, PAST, PEOPLE } from './people';
import {
  AUXILIARIES,
  DETERMINERS,
  NEGATORS,
  ORDINARY,
  PREPOSITIONS,
  PRONOUNS,
  REMARKS,
  SUBJECTS,
  verbOf,
} from './lexicon';
import { wordAt } from './tokens';

const PRESENT_SUBJECTS = new Set(['i', 'we', 'this', 'here', 'you']);
const OTHER_ONES = new Set(['ones', 'one', 'version', 'versions', 'kind', 'kinds', 'sort', 'stuff', 'way']);

/** Somebody spoken of before. */
const SHE = new Set(['she', 'he', "she'd", "he'd"]);

const LAST_OF_ALL = new Set(['finish', 'serve', 'top', 'start', 'begin']);

/** The word behind a clause's subject where that is another cook, a guest or a book; -1 where it is not. */
function othersAt({ tokens }: Sentence, c: ClauseSpan): number {
  let k = c.from;
  while (
    k < c.to &&
    (tokens[k]?.kind === 'mark' || ['note', 'notes', 'nb', 'ps'].includes(wordAt(tokens, k)))
  )
    k += 1;
  // "to finish nan had sour cream", "on top dad puts cheese"
  if (['to', 'on', 'at'].includes(wordAt(tokens, k)) && LAST_OF_ALL.has(wordAt(tokens, k + 1))) k += 2;
  while (
    ['and', 'but', 'though', 'although', 'when', 'where', 'whereas', 'while', 'since', 'because'].includes(
      wordAt(tokens, k),
    )
  )
    k += 1;
  // "I know mum uses oil"
  if (['i', 'we', 'you'].includes(wordAt(tokens, k)) && KNOWS.has(wordAt(tokens, k + 1)))
    k += wordAt(tokens, k + 2) === 'that' ? 3 : 2;
  if (SHE.has(wordAt(tokens, k))) return k + 1;
  const owned = OWNERS.has(wordAt(tokens, k));
  if (owned) k += 1;
  // "my dear old gran"
  for (let n = 0; n < 3 && k + n < c.to; n += 1) {
    const w = wordAt(tokens, k + n);
    const plain = w.replace(/['’]s$|['’]$/, '');
    if ((PEOPLE.has(plain) || PEOPLE.has(plain.replace(/s$/, ''))) && (owned || n === 0)) {
      let to = k + n + 1;
      // "mother-in-law"
      while (['-', 'in', 'law'].includes(wordAt(tokens, to))) to += 1;
      return wordAt(tokens, to - 1) === 'law' ? to : k + n + 1;
    }
    if (!owned || verbOf(w) || tokens[k + n]?.kind !== 'word') return -1;
  }
  return -1;
}

/** True where a clause's subject is another cook, a guest or a book. */
export const isOthers = (s: Sentence, c: ClauseSpan): boolean => othersAt(s, c) >= 0;

/** "Baba fried it in butter": the place behind a name that is in no list, told in the past; -1 where none is. */
function namedOther(s: Sentence, c: ClauseSpan): number {
  const { tokens } = s;
  const k = c.from;
  const w = wordAt(tokens, k);
  const known =
    k >= c.to ||
    tokens[k]?.kind !== 'word' ||
    s.named[k - s.from] !== null ||
    verbOf(w) !== undefined ||
    w.endsWith('s') ||
    SUBJECTS.has(w) ||
    PRONOUNS.has(w) ||
    DETERMINERS.has(w) ||
    PREPOSITIONS.has(w) ||
    AUXILIARIES.has(w) ||
    ORDINARY.has(w);
  const told = PAST.has(wordAt(tokens, k + 1)) || verbOf(wordAt(tokens, k + 1))?.form === 'ed';
  return known || !told ? -1 : k + 1;
}

/** "…; I do it in water", "but we use stock": what is done here. */
const saysOurs = ({ tokens }: Sentence, from: number): boolean =>
  ['i', 'we'].includes(wordAt(tokens, from)) ||
  (['but', 'and', 'now', 'so'].includes(wordAt(tokens, from)) &&
    ['i', 'we'].includes(wordAt(tokens, from + 1)));

/** "It's my auntie's lamb keema really, but with mushrooms": what theirs is made of. */
function isTheirDish({ tokens }: Sentence, c: ClauseSpan, from: number): boolean {
  if (!['it', "it's", 'this', "that's", 'that', 'based', 'a', 'inspired'].includes(wordAt(tokens, c.from)))
    return false;
  if (c.verb?.verb.brings && c.verbAt < from) return false;
  for (let k = from - 1; k >= Math.max(c.from, from - 3); k -= 1) {
    const w = wordAt(tokens, k);
    if (/['’]s?$/.test(w)) return PEOPLE.has(w.replace(/['’]s?$/, ''));
  }
  return false;
}

/** "…; we don't", "… but I never bother": what was told is not done here. */
function isDenied({ tokens }: Sentence, c: ClauseSpan): boolean {
  let k = c.to;
  while (tokens[k]?.kind === 'mark' || ['but', 'and', 'though', 'although'].includes(wordAt(tokens, k)))
    k += 1;
  return (
    k > c.to &&
    (PRESENT_SUBJECTS.has(wordAt(tokens, k))
      ? NEGATORS.has(wordAt(tokens, k + 1))
      : wordAt(tokens, k) === 'not')
  );
}

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
function isNotNeeded(s: Sentence, c: ClauseSpan): boolean {
  const next = s.clauses[s.clauses.indexOf(c) + 1];
  if (c.opener !== 'before' || !next) return false;
  const words = s.tokens.slice(next.from, next.to).map((t) => t.word);
  return words.some((w) => NEGATORS.has(w)) && words.some((w) => w === 'need' || w === 'want');
}

const NOW = new Set(['now', 'nowadays', 'today']);
const BYGONE = new Set(['was', 'were', 'used', 'had']);

/** "was 2 tbsp oil, gone since January", "used to be butter": told without a subject. */
function opensBygone({ tokens }: Sentence, from: number, to: number): boolean {
  let k = from;
  while (k < to && (tokens[k]?.kind === 'mark' || ['it', 'this', 'originally'].includes(wordAt(tokens, k))))
    k += 1;
  return (
    (['was', 'were'].includes(wordAt(tokens, k)) && verbOf(wordAt(tokens, k + 1))?.form !== 'ed') ||
    (wordAt(tokens, k) === 'used' && wordAt(tokens, k + 1) === 'to' && wordAt(tokens, k + 2) === 'be')
  );
}

const THEN = new Set(
  'when days book original originally ago youth childhood back then magazine recipe'.split(' '),
);
/** "when your father was alive it was peanut butter and a slug of oil", "in the book it was 100 g butter": of then. */
function wasThen({ tokens, named, from: begins }: Sentence, opens: number, from: number): boolean {
  for (let k = from - 2; k > opens; k -= 1) {
    const passed = wordAt(tokens, k + 1);
    // somebody does something in between
    if ((PREPOSITIONS.has(passed) && passed !== 'of') || PRESENT_SUBJECTS.has(passed)) return false;
    if (!['it', 'this', 'they'].includes(wordAt(tokens, k)) || !['was', 'were'].includes(passed)) continue;
    // "when it was done": a time of now
    const of =
      tokens[k + 2]?.kind === 'number' ||
      ['a', 'an', 'all', 'always', 'just', 'still'].includes(wordAt(tokens, k + 2)) ||
      named[k + 2 - begins]?.kind === 'food';
    return of && wordAt(tokens, k - 1) !== 'when' && tokens.slice(opens, k).some((t) => THEN.has(t.word));
  }
  return false;
}

/** "the icing was 100 g butter, now it's yoghurt": what it was, and is no more. */
export function isBygone(s: Sentence, from: number): boolean {
  const anew = anewFrom(s, from);
  const before = s.tokens.slice(anew, from);
  return (
    opensBygone(s, anew, from) ||
    wasThen(s, anew, from) ||
    (before.some((t) => BYGONE.has(t.word)) &&
      !before.some((t) => NOW.has(t.word)) &&
      s.tokens
        .slice(from, s.to)
        .some(
          (t, i) =>
            NOW.has(t.word) && [',', ';', '-', '—', 'and', 'but'].includes(wordAt(s.tokens, from + i - 1)),
        ))
  );
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

/** "Salt the water? We don't.": a sentence that answers no. */
export function answersNo(s: Sentence): boolean {
  const words = s.tokens.slice(s.from, s.to).filter((t) => t.kind === 'word');
  const [first, second] = words.map((t) => t.word);
  if (first === undefined || words.length > 9) return false;
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

const SEES = new Set(['see', 'find', 'seen', 'read', 'meet', 'met', 'notice', 'found']);
const SEEING = new Set(["you'll", "you'd", 'you', "i've", "we've", 'i', "you've"]);
/** "You'll see recipes that fry these in oil": what is done in other kitchens. */
const isSeenElsewhere = rememberPart((_: unknown, s: Sentence): boolean => {
  const { tokens } = s;
  let k = s.from;
  while (tokens[k]?.kind === 'mark') k += 1;
  if (!SEEING.has(wordAt(tokens, k))) return false;
  const most = Math.min(s.to, k + 4);
  for (k += 1; k < most; k += 1)
    if (SEES.has(wordAt(tokens, k)))
      return tokens
        .slice(k + 1, k + 5)
        .some((t) => PEOPLE.has(t.word) || PEOPLE.has(t.word.replace(/s$/, '')));
  return false;
});

/** How many clauses behind may take one back: "is nice, but it's mostly oil, so I leave it off". */
const MOST_BEHIND = 3;

/** "normally 1 tbsp oil, but I swap that for tahini", "…, so none": a clause behind takes this one back. */
function isTakenBack(s: Sentence, c: ClauseSpan): boolean {
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
/** Words that open a label of when, or for whom, something goes in: "If people are coming:". */
const WHENEVER = new Set(['if', 'when', 'whenever', 'for', 'on', 'unless']);
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

const AVOIDS = new Set('hates hate dislikes avoids avoid detests loathes'.split(' '));
const EATS = new Set('have eat do stand stomach take tolerate digest'.split(' '));
/** "Pip is allergic to peanuts", "Wren, who can't have nuts": what somebody does not eat, up to the next comma. */
function isAvoided({ tokens, from: begins }: Sentence, from: number): boolean {
  for (let k = from - 1; k >= begins; k -= 1) {
    const w = wordAt(tokens, k);
    // "nuts and sesame" is one list, "celery and gets 2 tbsp peanuts" is none
    const joins = (w === 'and' || w === 'or') && k < from - 1;
    if (tokens[k]?.kind !== 'word' || PRESENT_SUBJECTS.has(w) || w === 'but' || w === 'so' || joins)
      return false;
    const before = wordAt(tokens, k - 1);
    if (w === 'to' && ['allergic', 'allergy', 'intolerant', 'sensitive'].includes(before)) return true;
    if (w === 'of' && before === 'intolerant') return true;
    if (AVOIDS.has(w) && !['i', 'we', 'to'].includes(before)) return true;
    if (
      EATS.has(w) &&
      /^(?:can['’]t|cannot|(?:do|does|must|should)n['’]t)$/.test(before) &&
      isSomeones(tokens, k - 2)
    )
      return true;
  }
  return false;
}
/** Somebody stands there, or "who". */
const isSomeones = (tokens: Sentence['tokens'], at: number): boolean =>
  tokens[at]?.kind === 'word' && !PRESENT_SUBJECTS.has(wordAt(tokens, at));

const ORIGIN = new Set(
  'came comes come adapted based inspired started began taken stolen pinched nicked borrowed got copied lifted evolved grew descended'.split(
    ' ',
  ),
);
const SOURCES = new Set(
  'recipe recipes book original card packet magazine label box blog article website site programme show video restaurant café cafe canteen version versions one'.split(
    ' ',
  ),
);
const LEADS_FROM = new Set(['from', 'on', 'by', 'as', 'off']);
const CHANGES = new Set('instead added extra swapped changed replaced here now my our'.split(' '));
/** "from an old recipe, but with my 2 tbsp tahini": what is told is how it is made here. */
function changesIt({ tokens, to }: Sentence, from: number): boolean {
  const behind = tokens.slice(from, to).map((t) => t.word);
  const at = behind.indexOf('with');
  return at >= 0 && behind.slice(at).some((w) => CHANGES.has(w));
}
/** "this came from a magazine that wanted half a cup of oil": what the dish was where it comes from. */
function isItsOrigin(s: Sentence, from: number): boolean {
  const said = s.tokens.slice(anewFrom(s, from), from).map((t) => t.word);
  const origin = said.findIndex(
    (w, k) => ORIGIN.has(w) && said.slice(k + 1, k + 3).some((next) => LEADS_FROM.has(next)),
  );
  if (origin < 0) return false;
  const source = said.findIndex((w, k) => k > origin && SOURCES.has(w));
  const behind = source < 0 ? [] : said.slice(source);
  const which = behind.findIndex((w) => ['that', 'which', 'who', 'where', 'with'].includes(w));
  return (
    which >= 0 &&
    !behind.slice(0, which).includes(',') &&
    !behind.slice(which).some((w) => PRESENT_SUBJECTS.has(w)) &&
    !changesIt(s, s.from)
  );
}

/**
 * What another cook's, a guest's or a book's way means for what it names: told in the past it is a remark; told of now
 * somebody may do it here too, so it is optional.
 *
 * @param from first token of the food's name
 */
export function othersWay(s: Sentence, c: ClauseSpan, from: number): 'remark' | 'optional' | null {
  // "all dry roasted (my mother-in-law uses 3 tbsp ghee)": who does it stands in the bracket
  const open = openBracket(s, c, from);
  const inside = open >= c.from ? wayOf(s, { ...c, from: open + 1 }, from) : null;
  return inside ?? wayOf(s, c, from) ?? (hasBeenDone(s, from) ? 'optional' : null);
}

const HAVE_DONE = new Set('done made had tried cooked baked served eaten'.split(' '));
const THIS_GO = new Set('time today tonight now here these since always usually only ever'.split(' '));
/** "I've done it with filo and 3 tbsp oil": at some time, so perhaps at this. */
function hasBeenDone({ tokens, from: start, to }: Sentence, from: number): boolean {
  const words = tokens.slice(start, from).map((t) => t.word);
  const at = words.findIndex(
    (w, k) =>
      HAVE_DONE.has(w) &&
      ['it', 'this', 'them', 'these'].includes(words[k + 1] ?? '') &&
      words[k + 2] === 'with' &&
      words.slice(0, k).some((v) => v === 'have' || v.endsWith("'ve") || v === 've'),
  );
  return (
    at > 0 &&
    words.slice(0, at).some((w) => /^(?:i|we|you)(?:'ve)?$/.test(w)) &&
    !tokens.slice(start, to).some((t) => THIS_GO.has(t.word))
  );
}

/** The place of the bracket of a clause in which a place lies; -1 where it lies in none. */
function openBracket({ tokens }: Sentence, c: ClauseSpan, at: number): number {
  let open = -1;
  for (let k = c.from; k < at; k += 1)
    if (wordAt(tokens, k) === '(') open = k;
    else if (wordAt(tokens, k) === ')') open = -1;
  return open;
}

const OURS_NOW = new Set(['had', 'use', 'follow', 'make', 'cook', 'do', 'like']);
const WHO_FOUND = new Set(['i', 'we', 'you', 'she', 'he', 'they']);
const WHOSE_FIND = new Set(['my', 'our', 'her', 'his']);
/** "the recipe (that) I learnt from", "… my sister sent", "… online": the place behind what tells which one. */
function behindRelative(tokens: Sentence['tokens'], at: number): number {
  let k = at;
  if (['online', 'there'].includes(wordAt(tokens, k))) return k + 1;
  if (['that', 'which'].includes(wordAt(tokens, k))) k += 1;
  // "the recipe I had" is told of then; the one I use is ours
  if (OURS_NOW.has(wordAt(tokens, k + 1))) return at;
  if (WHO_FOUND.has(wordAt(tokens, k))) k += 2;
  else if (WHOSE_FIND.has(wordAt(tokens, k))) k += 3;
  else return at;
  while (['it', 'from', 'with', 'in', 'on', 'off', 'online', 'here', 'me', 'us'].includes(wordAt(tokens, k)))
    k += 1;
  return k;
}

function wayOf(s: Sentence, c: ClauseSpan, from: number): 'remark' | 'optional' | null {
  if (onTheirs(s, c, from) || someoneHas(s, c)) return 'optional';
  if (isSomeOfUs(s, c)) return 'optional';
  if (anewFrom(s, from) === s.from && isSeenElsewhere(null, s)) return 'remark';
  if (isTheirDish(s, c, from) || isItsOrigin(s, from) || isAvoided(s, from)) return 'remark';
  const listed = othersAt(s, c);
  // "she told us to slice a kilo of potatoes": what is done here
  if (
    listed > 0 &&
    TEACHES.has(wordAt(s.tokens, listed)) &&
    ['us', 'me'].includes(wordAt(s.tokens, listed + 1))
  )
    return null;
  // "the recipe I had wanted 4 tbsp of oil"
  const whose = s.clauses[s.clauses.indexOf(c) - 1];
  if (
    whose?.verb === null &&
    whose.to === c.from &&
    isOthers(s, whose) &&
    s.tokens.slice(c.from, from).some((t) => ['had', 'wanted', 'called', 'said', 'was'].includes(t.word)) &&
    PRESENT_SUBJECTS.has(wordAt(s.tokens, c.from))
  )
    return 'remark';
  const ours = s.clauses.slice(s.clauses.indexOf(c) + 1).some((next) => saysOurs(s, next.from));
  const at = listed < 0 && ours ? namedOther(s, c) : listed;
  if (at < 0 || from < at) return null;
  // "(the recipe has 3 of fish sauce) and a teaspoon of sugar": what the bracket says ends with it
  if (s.tokens.slice(at, from).some((t) => t.word === ')')) return null;
  if (isDenied(s, c)) return 'remark';
  // "the shop ones are brushed with butter": another thing than this
  if (OTHER_ONES.has(wordAt(s.tokens, at))) return 'remark';
  // "she'd start with dripping": told of then
  if (wordAt(s.tokens, at - 1).endsWith("'d")) return 'remark';
  // "the book's 100 g butter": what it has is not what is done here
  const owner = wordAt(s.tokens, at - 1);
  if (/['’]s?$/.test(owner))
    // "the deli's pesto goes on top" may be bought there
    return SELLS.has(owner.replace(/['’]s?$/, '')) ? null : 'remark';
  const says = behindRelative(s.tokens, at);
  for (let k = says; k < Math.min(says + (says > at ? 4 : 3), from); k += 1) {
    const w = wordAt(s.tokens, k);
    // "the teacher said to stir in 2 tbsp tahini": it may be done here
    if (w === 'said' && wordAt(s.tokens, k + 1) === 'to') return 'optional';
    if (PAST.has(w)) return 'remark';
    const verb = verbOf(w);
    if (verb?.form === 'ed') return 'remark';
    const has = DOES.has(w) || verb?.form === 's' || AUXILIARIES.has(w);
    // "(the recipe has 3 of fish sauce)": beside what is taken here
    const who = wordAt(s.tokens, at - 1);
    if (has && wordAt(s.tokens, c.from - 1) === '(' && (WRITTEN.has(who) || COOKS_ELSEWHERE.has(who)))
      return 'remark';
    if (has) return 'optional';
  }
  return null;
}

/** "Tobin put sour cream on his": what one eater did to a plate once; what somebody always has is counted. */
function onTheirs({ tokens }: Sentence, c: ClauseSpan, from: number): boolean {
  const theirs = tokens.slice(c.from, c.to).findIndex((t) => THEIRS.has(t.word));
  const past = tokens.slice(c.from, from).some((t) => PAST.has(t.word) || ['put', 'added'].includes(t.word));
  const at = c.from + theirs;
  const before = wordAt(tokens, at - 1);
  if (theirs < 0 || !(past || isTheirPlate(tokens, c))) return false;
  return at < from || ['on', 'over', 'in', 'with', 'for'].includes(before);
}
const HAVING = new Set(['has', 'gets', 'takes', 'wants', 'likes', 'eats']);
/** "olives if there are any - Jo has six, I don't": somebody at this table, by a name that is in no list. */
const someoneHas = rememberPart((s: Sentence, c: ClauseSpan): boolean => {
  const { tokens } = s;
  for (let k = c.from + 1; k < s.to; k += 1) {
    if (!HAVING.has(wordAt(tokens, k))) continue;
    const who = wordAt(tokens, k - 1);
    const isName =
      ['he', 'she'].includes(who) ||
      (tokens[k - 1]?.kind === 'word' &&
        s.named[k - 1 - s.from] === null &&
        !DETERMINERS.has(wordAt(tokens, k - 2)) &&
        ![DETERMINERS, PRONOUNS, SUBJECTS, PREPOSITIONS, AUXILIARIES, ORDINARY, PEOPLE].some((x) =>
          x.has(who),
        ) &&
        verbOf(who) === undefined &&
        !['which', 'that', 'who', 'it', 'this', 'everyone', 'nobody'].includes(who));
    if (!isName) continue;
    for (let n = k + 1; n < s.to - 1; n += 1)
      if (['i', 'we'].includes(wordAt(tokens, n)) && NEGATORS.has(wordAt(tokens, n + 1))) return true;
  }
  return false;
});

/** "he has soy on his, I don't": a plate at this table. */
function isTheirPlate(tokens: Sentence['tokens'], c: ClauseSpan): boolean {
  if (!['he', 'she', 'they'].includes(wordAt(tokens, c.from))) return false;
  return tokens
    .slice(c.from, c.to)
    .some((t, i) => THEIRS.has(t.word) && ['on', 'over'].includes(wordAt(tokens, c.from + i - 1)));
}
const WRITTEN = new Set(['recipe', 'book', 'original', 'card', 'packet', 'magazine', 'label', 'box']);
/** Those of whom it is told in a bracket how they make it, in a kitchen of their own. */
const COOKS_ELSEWHERE = new Set(
  'mum mom mother gran grandma granny nan nana nonna oma aunt auntie aunty uncle grandad grandma neighbour neighbor friend sister brother cousin restaurants restaurant law people'.split(
    ' ',
  ),
);
const THEIRS = new Set(['his', 'hers', 'theirs']);

/** "Some of us stir in a spoon of honey": not everybody. */
const isSomeOfUs = ({ tokens }: Sentence, c: ClauseSpan): boolean =>
  ['some', 'one', 'two', 'few', 'most', 'half'].includes(wordAt(tokens, c.from)) &&
  wordAt(tokens, c.from + 1) === 'of' &&
  ['us', 'them', 'you'].includes(wordAt(tokens, c.from + 2));

/** "Chorizo is what the recipe had": somebody else's way. */
function isWhatTheyHad({ tokens }: Sentence, c: ClauseSpan): boolean {
  for (let k = c.from; k < c.to - 1; k += 1) {
    if (
      wordAt(tokens, k + 1) !== 'what' ||
      !['is', 'was', 'are', 'were', "that's"].includes(wordAt(tokens, k)) ||
      // "2 tbsp tahini, which is what the original lacked"
      wordAt(tokens, k - 1) === 'which'
    )
      continue;
    const next = wordAt(tokens, k + 2);
    return next !== '' && !PRESENT_SUBJECTS.has(next) && !['goes', 'makes', 'gives'].includes(next);
  }
  return false;
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
function isNeverDone(s: Sentence, c: ClauseSpan): boolean {
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

const GOES = new Set('take version attempt try go draft v mark batch effort round'.split(' '));
const WHICH_GO = new Set(
  'one two three first second third last earlier previous old older original'.split(' '),
);
/** "take 1 had 4 tbsp oil", "the first go used cream": how it was made before. */
function isEarlierGo({ tokens }: Sentence, c: ClauseSpan): boolean {
  let k = c.from;
  while (['the', 'my', 'our', 'and', ',', '('].includes(wordAt(tokens, k))) k += 1;
  const which = (at: number) => tokens[at]?.kind === 'number' || WHICH_GO.has(wordAt(tokens, at));
  const go = GOES.has(wordAt(tokens, k)) ? which(k + 1) : which(k) && GOES.has(wordAt(tokens, k + 1));
  return go && PAST.has(wordAt(tokens, k + 2));
}
/** "…are fried in half a pint of oil in the shops; ours are baked": another kitchen's way. */
function isDoneElsewhere(s: Sentence, c: ClauseSpan): boolean {
  const { tokens } = s;
  // "stir in the pesto they sell in the shop" is done here
  const they = wordAt(tokens, c.verbAt - 1) === 'they';
  if (c.verb?.form === 'base' && !they && !AUXILIARIES.has(wordAt(tokens, c.verbAt - 1))) return false;
  if (tokens.slice(c.from, c.to).some((t) => BUYING.has(t.word))) return false;
  // "in the café they use 25 g butter"
  for (let k = they ? anewFrom(s, c.from) : c.from; k + 2 < c.to; k += 1)
    if (
      ['in', 'at'].includes(wordAt(tokens, k)) &&
      ['the', 'most', 'many', 'some'].includes(wordAt(tokens, k + 1)) &&
      ELSEWHERE.has(wordAt(tokens, k + 2).replace(/s$/, ''))
    )
      return true;
  return false;
}
const BUYING = new Set(['buy', 'bought', 'sell', 'sells', 'sold', 'get', 'got', 'have', 'available', 'find']);
const ELSEWHERE = new Set(
  'shop restaurant takeaway café cafe deli pub canteen bakery chippy hotel taverna trattoria bistro book'.split(
    ' ',
  ),
);

const SELLS = new Set('deli bakery supermarket shop canteen pub café cafe hotel caterer takeaway'.split(' '));

/** "Next day put the cabbage in a pan", "Next day: drain": the recipe goes on, and is no talk of leftovers. */
function opensNextDay(s: Sentence, c: ClauseSpan): boolean {
  const label = s.label.flatMap((t) => (t.kind === 'word' && t.word !== 'the' ? [t.word] : []));
  if (label.length === 2 && label[0] === 'next' && ['day', 'morning'].includes(label[1] ?? ''))
    return s.clauses[0]?.verb?.form === 'base' && c.verb?.form === 'base';
  const at = s.from + (wordAt(s.tokens, s.from) === 'the' ? 1 : 0);
  if (wordAt(s.tokens, at) !== 'next' || !['day', 'morning'].includes(wordAt(s.tokens, at + 1))) return false;
  const deed = at + 2 + (s.tokens[at + 2]?.word === ',' ? 1 : 0);
  return c.verb?.form === 'base' && s.clauses.some((own) => own.verbAt === deed);
}

const LEFT = new Set(['left', 'leftover', 'leftovers', 'over']);
const ENOUGH_FOR = new Set(['does', 'do', 'for', 'suits', 'feeds', 'is', 'serves']);
const ALL_THE = new Set(['most', 'other', 'some', 'many', 'usual', 'all', 'original', 'the', 'every']);
const OF_OTHERS = new Set(['versions', 'recipes', 'cooks', 'people', 'books', 'original', 'usual']);

/** True where the clause speaks of another version, other people or another time. */
const AGREES = new Set(['me', 'us', 'right', 'agrees', 'likewise']);
/** Words that are of another's way by themselves, and only say which food it is behind a deed of one's own. */
const WHICH_KIND = new Set(['usual', 'original', 'classic', 'traditional', 'authentic', 'conventional']);
const OF_WAYS = new Set(
  'is are was were has have had would needs need calls wants asks says recipe way version method thing isn being'.split(
    ' ',
  ),
);
/** "add 150 g tahini, the usual one", "in goes the usual 2 tbsp": which one it is, where no way of others is told. */
const isUsualOne = ({ tokens }: Sentence, c: ClauseSpan, remark: number): boolean =>
  wordAt(tokens, remark + 1) === 'usual' &&
  !tokens.slice(remark, c.to).some((t) => OF_WAYS.has(t.word.replace(/n['’]t$/, ''))) &&
  !tokens.slice(c.from, remark).some((t) => ['without', 'instead', 'not', 'than', 'unlike'].includes(t.word));

/** "stir in 2 tbsp of the usual oil", "I normally add 2 tbsp tahini": what is done here, and which food. */
function describes(s: Sentence, c: ClauseSpan, remark: number): boolean {
  if (!c.verb?.verb.brings || c.verb.form !== 'base') return false;
  const before = s.tokens.slice(c.from, c.verbAt).map((t) => t.word);
  const own = before.every((w) => OWN_DEED.has(w));
  if (!own || before.includes('you')) return false;
  if (remark < c.verbAt) {
    const goesOn = s.tokens
      .slice(c.verbAt, s.to)
      .some((t) => ['but', 'though', 'now', 'today', 'here'].includes(t.word));
    return wordAt(s.tokens, remark) === 'normally' && ['i', 'we'].some((w) => before.includes(w)) && !goesOn;
  }
  return [remark, remark + 1].some(
    (k) => WHICH_KIND.has(wordAt(s.tokens, k)) && s.named[k + 1 - s.from]?.kind === 'food',
  );
}
const COMPARES = new Set(['which', 'like', 'as', 'unlike', 'same', 'says', 'say', 'used']);
/** "stir in 2 tbsp tahini, which isn't traditional", "…, as my aunt says": what is told of a food that goes in. */
function isToldOf(s: Sentence, c: ClauseSpan, remark: number): boolean {
  for (let k = remark; k > c.from; k -= 1) {
    if (!COMPARES.has(wordAt(s.tokens, k))) continue;
    const opens = s.tokens[k - 1]?.kind === 'mark' || ['as', 'like', 'just'].includes(wordAt(s.tokens, k));
    const the = wordAt(s.tokens, k - 1) === 'the' && s.tokens[k - 2]?.kind === 'mark';
    if (!opens && !the) continue;
    return s.named.slice(c.from - s.from, k - s.from).some((n) => n?.kind === 'food');
  }
  return false;
}
const OF_OTHER = new Set(['her', 'his', 'their', 'the', 'original', 'old']);
const TEACHES = new Set(['told', 'taught', 'showed', 'asked', 'got', 'had', 'made', 'tells', 'has']);
const THEIR_SAYING = new Set('list recipe version book card magazine original said says'.split(' '));
const WHERE = new Set(['where', 'whereas', 'while']);
const ANY_OTHERS = new Set([
  'others',
  "others'",
  'most',
  'many',
  'some',
  "they'd",
  'everyone',
  'everybody',
  'people',
]);
/** "where the restaurants put in butter, I put in oat cream": theirs, before one's own. */
function isWhereTheyDo(s: Sentence, c: ClauseSpan): boolean {
  const before = s.clauses[s.clauses.indexOf(c) - 1];
  // "put" opens a clause of its own behind whose it is
  const whose = before?.verb === null && before.to === c.from ? before : c;
  const opens = ['and', 'but'].includes(wordAt(s.tokens, whose.from)) ? whose.from + 1 : whose.from;
  const inside = WHERE.has(wordAt(s.tokens, opens));
  if (!inside && !WHERE.has(whose.opener ?? '') && !WHERE.has(wordAt(s.tokens, opens - 1))) return false;
  return isOthers(s, whose) || ANY_OTHERS.has(wordAt(s.tokens, inside ? opens + 1 : opens));
}

const EATEN = new Set(['with', 'on', 'over', 'in', 'alongside']);
/** "we had it on toast, two slices each", "there were four of us": how this one was eaten, and no other time. */
function isHowWeAte({ tokens, to }: Sentence, at: number): boolean {
  if (at < 0) return false;
  if (wordAt(tokens, at) === 'there' && wordAt(tokens, at + 1) === 'were')
    return (
      (tokens[at + 2]?.kind === 'number' || numberOf(wordAt(tokens, at + 2)) !== null) &&
      ['of', 'people', 'at', 'for', ''].includes(wordAt(tokens, at + 3))
    );
  const had = wordAt(tokens, at) === 'we' && wordAt(tokens, at + 1) === 'had';
  return (
    had &&
    ['it', 'this', 'them', 'that', 'ours'].includes(wordAt(tokens, at + 2)) &&
    EATEN.has(wordAt(tokens, at + 3)) &&
    !tokens.slice(at, to).some((t) => NOW.has(t.word) || t.word === 'these') &&
    !tokens.slice(Math.max(0, at - 4), at).some((t) => THEN.has(t.word) || t.word === 'how')
  );
}

const OWN_DEED = new Set('i we then and now so next also always normally , – - ('.split(' '));

export const isRemark = rememberPart((s: Sentence, c: ClauseSpan): boolean => {
  if (s.label.length > 0 && opensNextDay(s, c)) return false;
  if (isTheirPlate(s.tokens, c) || someoneHas(s, c)) return false;
  // "my aunt showed me: …", "the book is right: …" is done here as well
  const agrees = s.label.some((t) => AGREES.has(t.word));
  if (agrees) return false;
  if (s.label.length > 0 && REMARKS.has(s.label, 0, s.label.length) >= 0) return true;
  // "Most versions: 400 ml full fat coconut milk"
  const [opens] = s.label;
  if (opens && ALL_THE.has(opens.word) && s.label.some((t) => OF_OTHERS.has(t.word))) return true;
  // "nonna's: pancetta, 4 tbsp oil"
  const occasion = WHENEVER.has(opens?.word ?? '');
  if (!occasion && s.label.some((t) => PEOPLE.has(t.word.replace(/['’]s$|['’]$/, '')))) return true;
  // "Her list said: 2 oz butter"
  if (OF_OTHER.has(opens?.word ?? '') && s.label.some((t) => THEIR_SAYING.has(t.word))) return true;
  // "Hers: 200 ml olive oil"
  const labelled = s.label.filter((t) => t.kind === 'word');
  if (labelled.length === 1 && THEIRS.has(labelled[0]?.word ?? '')) return true;
  if (isTakenBack(s, c) || isNotNeeded(s, c) || isWhereTheyDo(s, c)) return true;
  if (isWhatTheyHad(s, c) || isDoneElsewhere(s, c) || isEarlierGo(s, c)) return true;
  const at = s.clauses.indexOf(c);
  // "brush it with oil if you like it shiny, we never bother"
  if (isNeverDone(s, c)) return true;
  // "my neighbour throws in a stock cube, I don't bother"
  const next = s.clauses[at + 1];
  const saysAt = next
    ? next.from + (['but', 'and', 'though'].includes(wordAt(s.tokens, next.from)) ? 1 : 0)
    : -1;
  if (
    next &&
    PRESENT_SUBJECTS.has(wordAt(s.tokens, saysAt)) &&
    !PRESENT_SUBJECTS.has(wordAt(s.tokens, c.from)) &&
    NEGATORS.has(wordAt(s.tokens, saysAt + 1)) &&
    (next.to - saysAt <= 2 || ['bother', 'do'].includes(wordAt(s.tokens, saysAt + 2)))
  )
    return true;
  // "they were deep fried when I was small"
  const then = s.clauses[at + 1];
  if (
    then?.opener === 'when' &&
    SUBJECTS.has(wordAt(s.tokens, then.from + 1)) &&
    ['was', 'were', 'had', 'lived'].includes(wordAt(s.tokens, then.from + 2))
  )
    return true;
  // "there's always a ladle left, it goes on toast"
  const earlier = s.clauses[at - 1];
  const left =
    earlier !== undefined &&
    s.tokens
      .slice(earlier.from, earlier.to)
      .some((t, i, all) => LEFT.has(t.word) && !['to', 'for'].includes(all[i + 1]?.word ?? ''));
  if (left && ['it', 'they', 'that', 'which'].includes(wordAt(s.tokens, c.from))) return true;
  if (opensNextDay(s, c)) return false;
  for (let k = at; k >= 0; k -= 1) {
    const own = s.clauses[k] as ClauseSpan;
    const remark = REMARKS.has(s.tokens, own.from, own.to);
    // "half a teaspoon does most people" is enough for them
    const feeds = ENOUGH_FOR.has(wordAt(s.tokens, remark - 1)) && wordAt(s.tokens, remark + 1) === 'people';
    const told =
      describes(s, own, remark) ||
      isToldOf(s, own, remark) ||
      changesIt(s, remark) ||
      isUsualOne(s, own, remark) ||
      isHowWeAte(s, remark);
    if (remark >= 0 && !feeds && !told) return true;
    // a subject of its own says what is done here
    const opens = ['and', 'but', 'so', 'then', 'now'].includes(wordAt(s.tokens, own.from))
      ? own.from + 1
      : own.from;
    if (own.fresh || PRESENT_SUBJECTS.has(wordAt(s.tokens, opens)) || own.verb?.form === 'base') return false;
  }
  return false;
});
