import { rememberPart } from '@/core/memo';
import { KNOWS, type ClauseSpan, type Sentence } from './clauses';
import { OWNERS, PAST, PEOPLE } from './people';
import {
  AUXILIARIES,
  DETERMINERS,
  NEGATORS,
  ORDINARY,
  PREPOSITIONS,
  PRONOUNS,
  SUBJECTS,
  verbOf,
} from './lexicon';
import { wordAt } from './tokens';

export const PRESENT_SUBJECTS = new Set(['i', 'we', 'this', 'here', 'you']);

/** Somebody spoken of before. */
const SHE = new Set(['she', 'he', "she'd", "he'd"]);
const LAST_OF_ALL = new Set(['finish', 'serve', 'top', 'start', 'begin']);

/** The word behind a clause's subject where that is another cook, a guest or a book; -1 where it is not. */
export function othersAt({ tokens }: Sentence, c: ClauseSpan): number {
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
export function namedOther(s: Sentence, c: ClauseSpan): number {
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
export const saysOurs = ({ tokens }: Sentence, from: number): boolean =>
  ['i', 'we'].includes(wordAt(tokens, from)) ||
  (['but', 'and', 'now', 'so'].includes(wordAt(tokens, from)) &&
    ['i', 'we'].includes(wordAt(tokens, from + 1)));

/** "It's my auntie's lamb keema really, but with mushrooms": what theirs is made of. */
export function isTheirDish({ tokens }: Sentence, c: ClauseSpan, from: number): boolean {
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
export function isDenied({ tokens }: Sentence, c: ClauseSpan): boolean {
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

/** "Tobin put sour cream on his": what one eater did to a plate once; what somebody always has is counted. */
export function onTheirs({ tokens }: Sentence, c: ClauseSpan, from: number): boolean {
  const theirs = tokens.slice(c.from, c.to).findIndex((t) => THEIRS.has(t.word));
  const past = tokens.slice(c.from, from).some((t) => PAST.has(t.word) || ['put', 'added'].includes(t.word));
  const at = c.from + theirs;
  const before = wordAt(tokens, at - 1);
  if (theirs < 0 || !(past || isTheirPlate(tokens, c))) return false;
  return at < from || ['on', 'over', 'in', 'with', 'for'].includes(before);
}

const HAVING = new Set(['has', 'gets', 'takes', 'wants', 'likes', 'eats']);

/** "olives if there are any - Jo has six, I don't": somebody at this table, by a name that is in no list. */
export const someoneHas = rememberPart((s: Sentence, c: ClauseSpan): boolean => {
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
export function isTheirPlate(tokens: Sentence['tokens'], c: ClauseSpan): boolean {
  if (!['he', 'she', 'they'].includes(wordAt(tokens, c.from))) return false;
  return tokens
    .slice(c.from, c.to)
    .some((t, i) => THEIRS.has(t.word) && ['on', 'over'].includes(wordAt(tokens, c.from + i - 1)));
}

export const THEIRS = new Set(['his', 'hers', 'theirs']);

/** "Some of us stir in a spoon of honey": not everybody. */
export const isSomeOfUs = ({ tokens }: Sentence, c: ClauseSpan): boolean =>
  ['some', 'one', 'two', 'few', 'most', 'half'].includes(wordAt(tokens, c.from)) &&
  wordAt(tokens, c.from + 1) === 'of' &&
  ['us', 'them', 'you'].includes(wordAt(tokens, c.from + 2));
