import { rememberPart } from '@/core/memo';
import { anewFrom, type ClauseSpan, type Sentence } from './clauses';
import { DOES, PAST, PEOPLE } from './people';
import { AUXILIARIES, verbOf } from './lexicon';
import { wordAt } from './tokens';
import { hasBeenDone } from './bygone';
import {
  PRESENT_SUBJECTS,
  isDenied,
  isOthers,
  isSomeOfUs,
  isTheirDish,
  namedOther,
  onTheirs,
  othersAt,
  saysOurs,
  someoneHas,
} from './somebody';

const OTHER_ONES = new Set(['ones', 'one', 'version', 'versions', 'kind', 'kinds', 'sort', 'stuff', 'way']);
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
export function changesIt({ tokens, to }: Sentence, from: number): boolean {
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

const WRITTEN = new Set(['recipe', 'book', 'original', 'card', 'packet', 'magazine', 'label', 'box']);

/** Those of whom it is told in a bracket how they make it, in a kitchen of their own. */
const COOKS_ELSEWHERE = new Set(
  'mum mom mother gran grandma granny nan nana nonna oma aunt auntie aunty uncle grandad grandma neighbour neighbor friend sister brother cousin restaurants restaurant law people'.split(
    ' ',
  ),
);
const SELLS = new Set('deli bakery supermarket shop canteen pub café cafe hotel caterer takeaway'.split(' '));
const TEACHES = new Set(['told', 'taught', 'showed', 'asked', 'got', 'had', 'made', 'tells', 'has']);
