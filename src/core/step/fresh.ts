import type { Named } from './clauses';
import { AUXILIARIES, NEGATORS, OPTIONAL, verbOf } from './lexicon';
import { PEOPLE } from './people';
import { wordAt, type Token } from './tokens';

const set = (words: string): ReadonlySet<string> => new Set(words.split(' '));

const MARKS = set(', – — - ; : (');
const JOINTS = set('so but hence thus therefore');
const LEADS = set('and so but then now hence thus therefore instead nowadays today here');
const OURS = set('i we');
const ADVERBS = set('always usually just now still then also simply do only');
/** Deeds of one's own that bring a food though they act on nothing: "we have", "I use". */
const HAVING = set('have use take serve give like');
const GOES = set('goes go went is are makes make does gives thickens helps works takes');
const COUNTS = set('a an one two three four five six half some');
/** "If", "you could": what follows hangs on it. */
const HANGS = set('if unless could might may optional optionally alternatively or');
/** Words of telling, behind which a bare deed is another's: "says to fry it and stir in". */
const TELLS = set(
  "would says say said used told tells tell taught calls asks wants read they people others some most many everyone her his she'd he'd they'd",
);
const THEN = set('when days ago then childhood originally');
const WAS = set('was were');

interface Governed {
  hangs: boolean;
  tells: boolean;
  denied: boolean;
  then: boolean;
  was: boolean;
  other: boolean;
}

/** "2 tbsp tahini", "a spoon of tahini": where the food behind an amount ends; -1 where there is none. */
function amountEnd(
  tokens: readonly Token[],
  at: number,
  to: number,
  named: (i: number) => Named | null,
): number {
  if (tokens[at]?.kind !== 'number' && !COUNTS.has(wordAt(tokens, at))) return -1;
  for (let k = at + 1; k < Math.min(to, at + 7); k += 1) {
    if (tokens[k]?.kind === 'mark') return -1;
    const name = named(k);
    if (name?.kind === 'food') return name.to;
  }
  return -1;
}

/**
 * Places of a sentence where what is done here begins anew, whatever was told before: "it used to be butter, so *I stir
 * in* …", "we had no lemon, so *2 tbsp tahini went in*", "don't be tempted by butter, *stir in* …". What stands before
 * such a place turns nothing behind it.
 *
 * @param named what the sentence's tokens name, from its first token on
 */
export function freshStarts(
  tokens: readonly Token[],
  from: number,
  to: number,
  named: readonly (Named | null)[],
): ReadonlySet<number> {
  const out = new Set<number>();
  const nameAt = (i: number) => named[i - from] ?? null;
  const said: Governed = { hangs: false, tells: false, denied: false, then: false, was: false, other: false };
  for (let i = from; i < to; i += 1) {
    const w = wordAt(tokens, i);
    const behindMark = i > from && MARKS.has(wordAt(tokens, i - 1));
    const joint = i > from && tokens[i]?.kind === 'word' && JOINTS.has(w);
    const and = i > from && (w === 'and' || w === 'then');
    if ((behindMark || joint || and) && !said.hangs && isFresh(tokens, i, to, nameAt, said, { joint, and }))
      out.add(i);
    note(said, tokens, i);
  }
  return out;
}

function note(said: Governed, tokens: readonly Token[], i: number): void {
  const w = wordAt(tokens, i);
  said.hangs ||= HANGS.has(w) || OPTIONAL.at(tokens, i) !== null;
  said.tells ||= TELLS.has(w);
  said.denied ||= NEGATORS.has(w);
  said.was ||= WAS.has(w);
  said.then ||= THEN.has(w);
  said.other ||= PEOPLE.has(w) || (w.endsWith('s') && PEOPLE.has(w.replace(/['’]?s$/, '')));
}

function isFresh(
  tokens: readonly Token[],
  i: number,
  to: number,
  nameAt: (i: number) => Named | null,
  said: Governed,
  at: { joint: boolean; and: boolean },
): boolean {
  let k = i;
  let so = at.joint;
  let now = false;
  while (k < to && (LEADS.has(wordAt(tokens, k)) || wordAt(tokens, k) === ',')) {
    so ||= JOINTS.has(wordAt(tokens, k));
    now ||= NOW.has(wordAt(tokens, k));
    k += 1;
  }
  // "these days a spoon of tahini"
  if (wordAt(tokens, k) === 'these' && wordAt(tokens, k + 1) === 'days') {
    now = true;
    k += 2;
    if (wordAt(tokens, k) === ',') k += 1;
  }
  // "which is why", "that's why"
  const why =
    (wordAt(tokens, k) === 'which' && wordAt(tokens, k + 1) === 'is' && wordAt(tokens, k + 2) === 'why') ||
    (wordAt(tokens, k) === "that's" && wordAt(tokens, k + 1) === 'why');
  if (why) {
    k += wordAt(tokens, k) === 'which' ? 3 : 2;
    so = true;
  }
  if (k >= to) return false;
  const w = wordAt(tokens, k);
  if (OURS.has(w)) return isOurDeed(tokens, k + 1, to, said);
  if (isSomebodysOwn(tokens, wordAt(tokens, k) === 'though' || w === 'although' ? k + 1 : k, to, nameAt))
    return true;
  // "in goes", "on go"
  if (['in', 'on'].includes(w) && ['goes', 'go', 'went'].includes(wordAt(tokens, k + 1))) return true;
  // "there's … in it", "it's … now"
  const told = ["there's", "it's", 'its'].includes(w);
  const only = ['just', 'only'].includes(w);
  // "now it's oatcakes, 2 each", "and now 1 tbsp tahini"
  if (now && namesSoon(tokens, told || only ? k + 1 : k, to, nameAt)) return true;
  const opens = told || only ? k + 1 : k;
  const end = amountEnd(tokens, opens, to, nameAt);
  if (end >= 0) {
    if (so || only) return true;
    if (told) return !at.and;
    const behind = wordAt(tokens, end);
    return !at.and && GOES.has(behind) && !NEGATORS.has(wordAt(tokens, end + 1));
  }
  const verb = verbOf(w);
  if (verb?.form !== 'base' || !verb.verb.brings || nameAt(k)?.kind === 'food') return false;
  // "it used to be dull - add 2 tbsp tahini"
  const parted = so || ['-', '—', '–', ';'].includes(wordAt(tokens, i - 1));
  if (!parted && (said.tells || said.other)) return false;
  return !(said.denied && at.and && k === i + 1);
}

const NOW = set('now nowadays today');
/** How many words may stand before a food that is named. */
const SOON = 5;
/** "oatcakes", "a good spoon of tahini": whether a food is named next, and not refused. */
function namesSoon(
  tokens: readonly Token[],
  at: number,
  to: number,
  nameAt: (i: number) => Named | null,
): boolean {
  for (let k = at; k < Math.min(to, at + SOON); k += 1) {
    const t = tokens[k];
    if (
      t?.kind === 'mark' ||
      NEGATORS.has(t?.word ?? '') ||
      ['that', 'for', 'i', 'we'].includes(t?.word ?? '')
    )
      return false;
    if (nameAt(k)?.kind === 'food') return true;
  }
  return false;
}

const ON_OWN = set('hers his theirs mine');
/** "though Ines shakes 10 g walnuts over hers": somebody at this table, by a name that is in no list. */
function isSomebodysOwn(
  tokens: readonly Token[],
  at: number,
  to: number,
  nameAt: (i: number) => Named | null,
): boolean {
  const who = wordAt(tokens, at);
  const does = wordAt(tokens, at + 1);
  return (
    tokens[at]?.kind === 'word' &&
    nameAt(at) === null &&
    verbOf(who) === undefined &&
    !PEOPLE.has(who) &&
    !TELLS.has(who) &&
    !NEGATORS.has(who) &&
    !AUXILIARIES.has(who) &&
    (verbOf(does)?.form === 's' || ['has', 'gets', 'takes'].includes(does)) &&
    tokens.slice(at + 2, to).some((t) => ON_OWN.has(t.word))
  );
}

/** "I stir in", "we just have": behind "I" or "we". */
function isOurDeed(tokens: readonly Token[], at: number, to: number, said: Governed): boolean {
  let k = at;
  while (k < to && ADVERBS.has(wordAt(tokens, k))) k += 1;
  const w = wordAt(tokens, k);
  const verb = verbOf(w);
  const brings = HAVING.has(w) || verb?.verb.brings === true;
  if (!brings || (AUXILIARIES.has(w) && !HAVING.has(w))) return false;
  // "when I was small we put in butter"
  return !(said.then && said.was) || (verb?.form === 'base' && w !== 'put');
}
