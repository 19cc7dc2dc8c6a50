import { rememberPart } from '@/core/memo';
import { anewFrom, type ClauseSpan, type Sentence } from './clauses';
import { PEOPLE } from './people';
import { AUXILIARIES, NEGATORS, REMARKS, SUBJECTS } from './lexicon';
import { wordAt } from './tokens';
import { isEarlierGo, isHowWeAte } from './bygone';
import { changesIt } from './others';
import { PRESENT_SUBJECTS, THEIRS, isOthers, isTheirPlate, someoneHas } from './somebody';
import { isNeverDone, isNotNeeded, isTakenBack } from './taken-back';

/** Words that open a label of when, or for whom, something goes in: "If people are coming:". */
const WHENEVER = new Set(['if', 'when', 'whenever', 'for', 'on', 'unless']);

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
