import type { ClauseSpan, Sentence } from './clauses';
import { AUXILIARIES, NEGATORS, REMARKS, STEP_WORDS, verbOf } from './lexicon';
import { wordAt } from './tokens';

const PRESENT_SUBJECTS = new Set(['i', 'we', 'this', 'here', 'you']);
const PEOPLE: ReadonlySet<string> = new Set(STEP_WORDS.people);
const OWNERS = new Set(
  'my his her our your their the a an one some most many other all these those'.split(' '),
);
/** Verbs of telling in the past: "had 125 g butter", "was fried in oil". */
const PAST = new Set(['had', 'was', 'were', 'used', 'did', 'would', 'went', 'got']);
/** Verbs that a person, or a book, does something with: "puts", "swears by", "calls for". */
const DOES = new Set([
  'has',
  'have',
  'puts',
  'put',
  'calls',
  'says',
  'likes',
  'like',
  'swears',
  'wants',
  'loves',
  'does',
  'always',
  'usually',
  'sometimes',
  'often',
  'insists',
  'throws',
  'prefers',
  'eats',
  'gets',
  'goes',
  'takes',
  'asks',
  'tells',
  'lists',
  'gives',
]);

/** The word behind a clause's subject where that is another cook, a guest or a book; -1 where it is not. */
function othersAt({ tokens }: Sentence, c: ClauseSpan): number {
  let k = c.from;
  while (
    ['and', 'but', 'though', 'although', 'when', 'where', 'while', 'since', 'because'].includes(
      wordAt(tokens, k),
    )
  )
    k += 1;
  const owned = OWNERS.has(wordAt(tokens, k));
  if (owned) k += 1;
  // "my dear old gran"
  for (let n = 0; n < 3 && k + n < c.to; n += 1) {
    const w = wordAt(tokens, k + n);
    const plain = w.replace(/['’]s$|['’]$/, '');
    if ((PEOPLE.has(plain) || PEOPLE.has(plain.replace(/s$/, ''))) && (owned || n === 0)) return k + n + 1;
    if (!owned || verbOf(w) || tokens[k + n]?.kind !== 'word') return -1;
  }
  return -1;
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

/** "the icing was 100 g butter, now it's yoghurt": what it was, and is no more. */
export const isBygone = (s: Sentence, from: number): boolean =>
  s.tokens.slice(s.from, from).some((t) => BYGONE.has(t.word)) &&
  !s.tokens.slice(s.from, from).some((t) => NOW.has(t.word)) &&
  s.tokens
    .slice(from, s.to)
    .some(
      (t, i) =>
        NOW.has(t.word) && [',', ';', '-', '—', 'and', 'but'].includes(wordAt(s.tokens, from + i - 1)),
    );

/** True where a sentence's first clause takes back what the sentence before it told: "Skip that." */
export function takesBack(s: Sentence): boolean {
  const [first] = s.clauses;
  return first !== undefined && deniesThat(s, first) && !s.clauses.some((c) => c.opener === 'if');
}

/** "(we use cashew)" behind a food: that stands in its place. */
export function isReplaced(s: Sentence, c: ClauseSpan): boolean {
  const next = s.clauses[s.clauses.indexOf(c) + 1];
  return (
    next !== undefined &&
    wordAt(s.tokens, c.to - 1) === '(' &&
    ['we', 'i'].includes(wordAt(s.tokens, next.from)) &&
    next.verb?.verb.id === 'use' &&
    next.verb.form === 'base'
  );
}

/** "normally 1 tbsp oil, but I swap that for tahini": the clause behind takes this one back. */
function isTakenBack(s: Sentence, c: ClauseSpan): boolean {
  const next = s.clauses[s.clauses.indexOf(c) + 1];
  return next !== undefined && deniesThat(s, next);
}

/** "skip that", "I swap it for stock": a deed on what was just told that takes it back. */
function deniesThat(s: Sentence, next: ClauseSpan): boolean {
  if (!next.verb || next.verb.form !== 'base' || !THAT.has(wordAt(s.tokens, next.verbAt + 1))) return false;
  const before = s.tokens.slice(next.from, next.verbAt).map((t) => t.word);
  // "you can skip it" leaves both ways open
  if (before.some((w) => AUXILIARIES.has(w) || NEGATORS.has(w))) return false;
  const leavesOut =
    next.verb.verb.id === 'leave' && ['out', 'off'].includes(wordAt(s.tokens, next.verbAt + 2));
  return leavesOut || TAKES_BACK.has(next.verb.verb.id);
}

/**
 * What another cook's, a guest's or a book's way means for what it names: told in the past it is a remark; told of now
 * somebody may do it here too, so it is optional.
 *
 * @param from first token of the food's name
 */
export function othersWay(s: Sentence, c: ClauseSpan, from: number): 'remark' | 'optional' | null {
  const at = othersAt(s, c);
  if (at < 0 || from < at) return null;
  if (isDenied(s, c)) return 'remark';
  for (let k = at; k < Math.min(at + 3, from); k += 1) {
    const w = wordAt(s.tokens, k);
    if (PAST.has(w)) return 'remark';
    const verb = verbOf(w);
    if (verb?.form === 'ed') return 'remark';
    if (DOES.has(w) || verb?.form === 's' || AUXILIARIES.has(w)) return 'optional';
  }
  return null;
}

/** True where the clause speaks of another version, other people or another time. */
export function isRemark(s: Sentence, c: ClauseSpan): boolean {
  if (s.label.length > 0 && REMARKS.has(s.label, 0, s.label.length) >= 0) return true;
  // "nonna's: pancetta, 4 tbsp oil"
  if (s.label.some((t) => PEOPLE.has(t.word.replace(/['’]s$|['’]$/, '')))) return true;
  if (isTakenBack(s, c) || isNotNeeded(s, c) || isReplaced(s, c)) return true;
  const at = s.clauses.indexOf(c);
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
  for (let k = at; k >= 0; k -= 1) {
    const own = s.clauses[k] as ClauseSpan;
    if (REMARKS.has(s.tokens, own.from, own.to) >= 0) return true;
    // a subject of its own says what is done here
    if (PRESENT_SUBJECTS.has(wordAt(s.tokens, own.from)) || own.verb?.form === 'base') return false;
  }
  return false;
}
