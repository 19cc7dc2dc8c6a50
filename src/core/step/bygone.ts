import { numberOf } from '@/core/measure/quantity';
import { rememberPart } from '@/core/memo';
import { anewFrom, type ClauseSpan, type Sentence } from './clauses';
import { PAST } from './people';
import { PREPOSITIONS, verbOf } from './lexicon';
import { wordAt } from './tokens';
import { PRESENT_SUBJECTS } from './somebody';

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
  'when days book original originally ago youth childhood children child school back then magazine recipe'.split(
    ' ',
  ),
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

/** "Once upon a time I put butter in", "I put 2 tbsp in back then": told of a time that is over. */
const isOnceUponATime = rememberPart((_: unknown, s: Sentence): boolean => {
  const words = s.tokens.slice(s.from, s.to).map((t) => t.word);
  return words.some(
    (w, k) =>
      (w === 'once' && words[k + 1] === 'upon' && words[k + 2] === 'a' && words[k + 3] === 'time') ||
      // "put the lid back, then stir" goes on
      (w === 'back' && words[k + 1] === 'then' && (k === 0 || !/[a-z\d]/.test(words[k + 2] ?? ''))) ||
      (w === 'in' && words[k + 1] === 'those' && words[k + 2] === 'days'),
  );
});
/** "It would be 100 g marg otherwise": and is not. */
const wouldBe = rememberPart((_: unknown, s: Sentence): boolean => {
  const words = s.tokens.slice(s.from, s.to).map((t) => t.word);
  return (
    words.includes('otherwise') &&
    words.some(
      (w, k) =>
        (w === 'would' || /['’]d$/.test(w)) && ['be', 'have', 'need', 'take'].includes(words[k + 1] ?? ''),
    )
  );
});
/** True where the same sentence says how it is now before a place. */
const saysNowBefore = (s: Sentence, from: number): boolean =>
  s.tokens.slice(s.from, from).some((t) => NOW.has(t.word) || t.word === 'these');

/** "the icing was 100 g butter, now it's yoghurt": what it was, and is no more. */
export function isBygone(s: Sentence, from: number): boolean {
  const anew = anewFrom(s, from);
  const before = s.tokens.slice(anew, from);
  if (isOnceUponATime(null, s)) return !saysNowBefore(s, from);
  if (wouldBe(null, s)) return true;
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

const HAVE_DONE = new Set('done made had tried cooked baked served eaten'.split(' '));
const THIS_GO = new Set('time today tonight now here these since always usually only ever'.split(' '));

/** "I've done it with filo and 3 tbsp oil": at some time, so perhaps at this. */
export function hasBeenDone({ tokens, from: start, to }: Sentence, from: number): boolean {
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

const GOES = new Set('take version attempt try go draft v mark batch effort round'.split(' '));
const WHICH_GO = new Set(
  'one two three first second third last earlier previous old older original'.split(' '),
);

/** "take 1 had 4 tbsp oil", "the first go used cream": how it was made before. */
export function isEarlierGo({ tokens }: Sentence, c: ClauseSpan): boolean {
  let k = c.from;
  while (['the', 'my', 'our', 'and', ',', '('].includes(wordAt(tokens, k))) k += 1;
  const which = (at: number) => tokens[at]?.kind === 'number' || WHICH_GO.has(wordAt(tokens, at));
  const go = GOES.has(wordAt(tokens, k)) ? which(k + 1) : which(k) && GOES.has(wordAt(tokens, k + 1));
  return go && PAST.has(wordAt(tokens, k + 2));
}

const CAME = new Set(
  'brought gave made baked left came was were sent produced supplied passed handed had'.split(' '),
);
const OF_IT = new Set('each some few one two three four five six half it them both apiece all'.split(' '));
/** "Somebody had brought crackers, so we had five each": what came to the table and was eaten. */
export function isSharedOut({ tokens, from, to: end }: Sentence, at: number, to: number): boolean {
  if (!tokens.slice(from, at).some((t) => CAME.has(t.word))) return false;
  for (let k = to; k < end - 1; k += 1) {
    if (!WHO_ATE.has(wordAt(tokens, k)) || !['had', 'ate'].includes(wordAt(tokens, k + 1))) continue;
    const behind = tokens.slice(k + 2, end).map((t) => t.word);
    return (
      behind.some((w) => OF_IT.has(w) || /^\d/.test(w)) && !behind.some((w) => w === 'no' || w === 'none')
    );
  }
  return false;
}

const EATEN = new Set(['with', 'on', 'over', 'in', 'alongside']);

const WHO_ATE = new Set(['we', 'all', 'everyone', 'everybody', 'each', 'they']);
const BESIDE = new Set(['each', 'apiece', 'alongside', 'pp']);
const PLACED = new Set(['with', 'on', 'over', 'beside', 'under']);
/** "five crackers each", "bread with it": what was on the table, behind the verb. */
const isEatenBeside = (words: readonly string[]): boolean =>
  words.some(
    (w, k) =>
      BESIDE.has(w) ||
      (PLACED.has(w) && ['it', 'them', 'this', 'top', 'ours'].includes(words[k + 1] ?? '')) ||
      (w === 'on' && words[k + 1] === 'the' && words[k + 2] === 'side'),
  );

/** "we had it on toast, two slices each", "there were four of us": how this one was eaten, and no other time. */
export function isHowWeAte({ tokens, to }: Sentence, at: number): boolean {
  if (at < 0) return false;
  if (wordAt(tokens, at) === 'there' && wordAt(tokens, at + 1) === 'were')
    return (
      (tokens[at + 2]?.kind === 'number' || numberOf(wordAt(tokens, at + 2)) !== null) &&
      ['of', 'people', 'at', 'for', ''].includes(wordAt(tokens, at + 3))
    );
  let verb = at;
  while (verb < at + 3 && WHO_ATE.has(wordAt(tokens, verb))) verb += 1;
  const had =
    (verb > at || WHO_ATE.has(wordAt(tokens, at - 1))) && ['had', 'ate'].includes(wordAt(tokens, verb));
  const itself =
    ['it', 'this', 'them', 'that', 'ours'].includes(wordAt(tokens, verb + 1)) &&
    EATEN.has(wordAt(tokens, verb + 2));
  return (
    had &&
    (itself || isEatenBeside(tokens.slice(verb + 1, to).map((t) => t.word))) &&
    !tokens.slice(at, to).some((t) => NOW.has(t.word) || t.word === 'these') &&
    !tokens.slice(Math.max(0, at - 4), at).some((t) => THEN.has(t.word) || t.word === 'how')
  );
}
