import { PREPARATION } from '@/core/recipe/alternatives';
import type { Sentence } from '@/core/step/clauses';
import type { Source } from './scan';

/** What one of the pieces behind a food tells of it. */
type Told = 'which' | 'size' | 'weight' | 'part' | 'amount' | 'nothing';

const NUMBER = String.raw`(?:\d+(?:[./]\d+)?[½¼¾⅓⅔]?|[½¼¾⅓⅔]|an?|half an?|one|two|three|four|five|six)`;
const HEDGE = '(?:(?:about|maybe|perhaps|roughly|around|say|only|just|probably|i think|~) ?)*';
const IN_ALL =
  '(?: (?:all in|al(?:l[- ]?)?together|in (?:all|total)|total|all told|the (?:whole )?lot|between them|or so|anyway|really|at least|of (?:it|them)))*';
const SPOKEN =
  '(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|mugs?|pounds?|kilos?|litres?|liters?|pints?|spoons?|spoonfuls?|handfuls?|ladles?|tins?|cans?|blocks?|packs?|jars?|ml|l)';
/** Words that tell which of a food it is. */
export const KINDS: ReadonlySet<string> = new Set(
  'light lite low lower reduced no less salt salted sodium sugar fat free added oil unsweetened unsalted sweetened plain wholemeal wholewheat wholegrain brown white red black green yellow silken firm extra soft smoked dark mild raw roasted toasted dry cooked tinned canned frozen fresh floury waxy jumbo rolled rye seeded natural pure only just nothing else thick thin smooth crunchy hot sweet short long grain'.split(
    ' ',
  ),
);
const CLAIMED = new Set(['salt', 'sugar', 'oil', 'fat', 'sodium']);
/** Words that say nothing by themselves. */
const HALVES = new Set('no low lower less free added only just nothing else extra'.split(' '));
const CLAIMS = new Set(['no', 'low', 'lower', 'reduced', 'less', 'free', 'light', 'without']);
const WHICH = /^(the |that |my |our )?([a-z-]+(?: [a-z-]+){0,3}) (?:ones?|kind|sort|type|stuff|version)$/;
const NO_KIND = new Set(
  'other same first second last big large small little usual good real best next'.split(' '),
);
const SIZE =
  /^(?:it's |that's )?(?:the |a )(?:(?:big|large|small|little|giant|usual|normal) )?\d[\d.]* ?(?:g|ml|kg|l) (?:ones?|kinds?|sizes?|sorts?|bags?|packs?|tins?|cans?|jars?|blocks?)$/;
const WEIGHT = new RegExp(String.raw`^${HEDGE}\d[\d.]* ?(?:g|kg|oz|lbs?)${IN_ALL}$`);
const PART =
  /^(?:well,? )?(?:only |just )?(?:half|a third|a quarter)(?: of (?:it|them|the [a-z]+))?(?: anyway| really)?$/;
const AMOUNT = new RegExp(
  String.raw`^${HEDGE}${NUMBER} ?${SPOKEN}(?: and a (?:half|quarter|bit|little))?(?: (?:dry|raw|uncooked|cooked))?${IN_ALL}$`,
);
/** "a pound of yellow ones": how much, and of which. */
const OF_ONES = new RegExp(
  String.raw`^(${HEDGE}${NUMBER} ?(?:${SPOKEN}|g|kg|oz|lbs?)) of (?:the )?((?:[a-z-]+ ){1,3}(?:ones?|kind|sort|type|stuff))$`,
);
const FILLER = /^(?:well|ok|okay|oh|hm+|erm?)$/;

function tells(said: string): Told | null {
  const [, its, ones] = WHICH.exec(said) ?? [];
  const which = ones?.split(/[ -]/);
  if (which && (its || which.every((w) => KINDS.has(w))))
    return which.every((w) => NO_KIND.has(w)) ? 'nothing' : 'which';
  const words = said.split(/[ -]/);
  // "garlic, salt": another food
  const kinds = words.every((w) => KINDS.has(w)) && words.some((w) => !HALVES.has(w));
  if (kinds && (!words.some((w) => CLAIMED.has(w)) || words.some((w) => CLAIMS.has(w)))) return 'which';
  if (SIZE.test(said)) return 'size';
  if (WEIGHT.test(said)) return 'weight';
  if (PART.test(said)) return 'part';
  if (AMOUNT.test(said)) return 'amount';
  return FILLER.test(said) || PREPARATION.has(said.split(' ')[0] ?? '') ? 'nothing' : null;
}

/** "rice (brown), 60 g each": which one, where a bracket tells nothing else; empty where it does. */
export function kindInBracket(s: Sentence, to: number): string {
  if (s.tokens[to]?.word !== '(') return '';
  const end = s.tokens.slice(to + 1, s.to).findIndex((t) => t.word === ')');
  const words = s.tokens.slice(to + 1, to + 1 + Math.max(end, 0)).map((t) => t.word);
  return words.length > 0 && words.every((w) => KINDS.has(w)) ? `, ${words.join(' ')}` : '';
}

const MARK =
  /^\s*(?:(?:[,(–—]|-\s|:)\s*(?:(?:that|which|it|that would|i think that) ?(?:'s|'d be| is| be)\s+)?|(?:that's|which is|that is)\s+)/;
/** Where a piece ends; a hyphen in a word is none. */
const PIECE = /^[^,;:()–—]*?(?=\s*(?:$|[,;:()–—]|\s-\s|\.\s))/;
/** "the 900 g one and 200 g of spinach": what follows is another. */
const GOES_ON =
  /\s(?:and(?! an? (?:half|quarter|bit|little)\b)|then|but|(?<!\bor )so|which|until|till|for|(?<!\ball )in|into|over|with)\s/;
const EACH_FIRST = /^\s+(?:each|apiece|a head|per person)(?=\s*[,(–—:]|\s-\s)/;
const CLOSES = /^\s*\)/;
/** Characters behind a food that may tell of it. */
const FARTHEST = 110;

/**
 * What is told of a food in pieces behind it, as a row of a list would have it: "a tin of coconut milk, light, half of
 * it"; "stock - the low salt kind, a litre and a half". Null where the pieces tell no more than an amount or a weight
 * alone, which is read where the food stands.
 *
 * @param to place behind the food's words
 * @param counted whether an amount stands before it: a part is a part of it
 */
export function apposed(source: Source, s: Sentence, to: number, counted: boolean): string | null {
  const end = s.tokens[to - 1]?.end ?? 0;
  let rest = source.text.slice(end, Math.min(s.tokens[s.to - 1]?.end ?? end, end + FARTHEST)).toLowerCase();
  const pieces: { said: string; told: Told }[] = [];
  // "a pitta each, wholemeal"
  const forEach = EACH_FIRST.exec(rest);
  if (forEach) rest = rest.slice(forEach[0].length);
  let bracket = false;
  for (;;) {
    const mark = MARK.exec(rest);
    if (!mark) break;
    rest = rest.slice(mark[0].length);
    bracket ||= mark[0].includes('(');
    const piece = PIECE.exec(rest)?.[0] ?? '';
    const on = GOES_ON.exec(`${piece} `);
    const said = (on ? piece.slice(0, on.index) : piece).replace(/[.!]$/, '').trim();
    const ones = OF_ONES.exec(said);
    const [much, kind] = [ones?.[1], ones?.[2]];
    if (much && kind && tells(kind) === 'which') pieces.push({ said: kind, told: 'which' });
    const told = much && kind ? 'amount' : said ? tells(said) : null;
    if (!told || (told === 'part' && !counted)) break;
    pieces.push({ said: much ?? said, told });
    if (on) break;
    rest = rest.slice(piece.length);
    const closes = CLOSES.exec(rest);
    if (closes) rest = rest.slice(closes[0].length);
  }
  const strong = pieces.filter((p) => p.told !== 'nothing');
  const plain = strong.every((p) => p.told === 'weight' || p.told === 'amount');
  const more = strong.some(
    (p) => /\band a\b/.test(p.said) || (p.told === 'weight' && bracket && pieces.length > 1),
  );
  if (
    strong.length === 0 ||
    (plain && !more && !strong.some((p) => / (?:all|altogether|in|total|the|between)\b/.test(p.said)))
  )
    return null;
  return strong
    .sort((a, b) => Number(b.told === 'which') - Number(a.told === 'which'))
    .map(
      (p) =>
        `, ${p.told === 'which' || p.told === 'size' ? p.said : p.said.replace(new RegExp(`${IN_ALL}$`), '')}`,
    )
    .join('');
}
