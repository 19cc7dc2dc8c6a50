import { namesFood } from '@/core/food/find';

/**
 * A food that is named first, and how much of it in a sentence of its own: "Coconut milk. Half a tin."; refused between or
 * not: "olive oil - the book has 100 ml, nope. I do a tsp per bowl".
 */

const NAME = /\s*((?:[a-zà-ÿ'-]+ ){0,3}?[a-zà-ÿ'-]+)\s*(?=[?:,;(–—.-]|…)/iy;
/** A piece that refuses what stands before it. */
const NO =
  /[.,;:!?)(–—…-]\s*(?:(?:well|oh|er|erm|um|but|and|so)[, ]+)?(?:no+|nope|nah+|never|none|no (?:way|chance|thanks|thank you|fear)|not (?:for (?:me|us)|here|any ?more|now|that much|a chance|likely|happening)|(?:way|far|much) too much|too much|as if)\s*[.,;:!)–—-]+\s*/giy;
const NUMBER = String.raw`(?:about |~ ?)?(?:\d+(?:[./]\d+)?(?: \d\/\d)?[½¼¾⅓⅔]?|[½¼¾⅓⅔]|an?|half an?|quarter|a quarter|one|two|three|four|five|six)`;
const UNIT =
  '(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|mugs?|spoons?|spoonfuls?|handfuls?|pinch(?:es)?|splash|drizzle|cloves?|tins?|slices?|g|kg|ml|oz)';
const LEAD =
  "(?:(?:well|ok|okay|so|but|just|only|and|instead|now|here|maybe|really|actually)[, ]+)*(?:(?:i|we)(?:'ll|'d)? (?:(?:only|just|now|do|always) )*(?:use|do|put|add|have|take|allow(?: us)?|go for|need|give it|stick to|make it|manage with|get by with)(?: in)? )?(?:(?:it's|that's|make (?:it|that)|just|only) )*";
const EACH = '(?:each|apiece|pp|(?:an?|per) (?:head|person|bowl|plate|portion|serving|jar))';
const SAID_OF_IT =
  '(?: of (?:it|that)| for (?:the rest|everyone|everybody|us|all of us|the lot|all)| (?:is|are) (?:plenty|enough|fine|loads|ample)| will do| does (?:it|me|us|the job)| now| max| tops| at most| instead| for me| in (?:total|all)| when (?:i |we )?serv(?:e|ing)(?: it)?)*';
const AMOUNT = new RegExp(
  String.raw`${LEAD}(${NUMBER} ?(?:heaped |level |good |small |scant |rounded )?${UNIT})${SAID_OF_IT}( ${EACH})?${SAID_OF_IT}( (?:to serve|at the table|on top|at the end))?${SAID_OF_IT}(?=\s*(?:[.!;]|$))`,
  'iy',
);
const PACK =
  '(?:packs?|packets?|jars?|blocks?|bags?|cartons?|tubs?|pots?|bottles?|bunch(?:es)?|heads?|bulbs?|sticks?|punnets?|cans?)';
/** "Black beans. 2 tins, rinsed": a sentence that is an amount, and what is said of it. */
const OF_IT = new RegExp(
  String.raw`\.\s+((?:${NUMBER}|\d{1,2} ?x ?\d{2,4} ?g) ?(?:(?:heaped|level|good|small|scant|rounded|big|large|whole|\d{2,4} ?g) )?(?:${UNIT}|${PACK}))(?=\s*(?:[,.;!(]|$)|\s(?:in|into|on|with|w\/|for)\s)`,
  'iy',
);
/** Characters between a name and its refusal. */
const FARTHEST = 90;

/** What is told at a place of a text: where it ends, and how it is put; null where it is no such thing. */
function toldAt(text: string, from: number): { end: number; put: string } | null {
  NAME.lastIndex = from;
  const name = NAME.exec(text);
  if (!name?.[1]) return null;
  const start = from + name[0].length;
  OF_IT.lastIndex = start;
  const alone = OF_IT.exec(text);
  if (alone) return !namesFood(name[1]) ? null : { end: OF_IT.lastIndex, put: `${alone[1]} ${name[1]}` };
  for (let at = start; at < Math.min(text.length, start + FARTHEST); at += 1) {
    NO.lastIndex = at;
    const no = NO.exec(text);
    if (!no) continue;
    AMOUNT.lastIndex = at + no[0].length;
    const told = AMOUNT.exec(text);
    if (!told) continue;
    // the words of a name are looked up last
    if (!namesFood(name[1])) return null;
    return { end: AMOUNT.lastIndex, put: `${told[1]} ${name[1]}${told[2] ?? ''}${told[3] ?? ''}` };
  }
  return null;
}

/** A row that is one such thing, put as an amount of its food and what is said of it. */
export function amountNamedFirst(row: string): string | null {
  const told = toldAt(row, 0);
  const rest = told ? row.slice(told.end) : '';
  return told && !/[.!;]\s+\S/.test(rest) ? `${told.put}${rest.replace(/[.!;\s]*$/, '')}` : null;
}

const OPENS = /(?:^|[.!?;]\s+)(?=[a-zà-ÿ])/gi;
const REFUSES =
  /\b(?:no+|nope|nah+|never|none|not|too much|as if)\b|[a-z]\.\s+(?:\d|[½¼¾⅓⅔]|an?\b|half\b|one\b|two\b|three\b)/i;
/** The same in the sentences of a text; as long as it was, so that places stay. */
export function amountsNamedFirst(text: string): string {
  if (!REFUSES.test(text)) return text;
  let out = '';
  let from = 0;
  for (const m of text.matchAll(OPENS)) {
    const at = m.index + m[0].length;
    if (at < from) continue;
    const told = toldAt(text, at);
    if (!told) continue;
    out += text.slice(from, at) + told.put.slice(0, told.end - at).padEnd(told.end - at);
    from = told.end;
  }
  return out + text.slice(from);
}
