import { pattern } from '@/core/pattern/pattern';
import { readQuantity } from '@/core/measure/quantity';
import { range } from '@/core/range/range';
import { remember } from '@/core/memo';
import { clean } from './clean';
import { printedEaters } from './eaters';
import { eitherOf, eatersOf, readServings, type ServingsWords } from './servings';

const THE_PAIR =
  /\b(?:the (?:pair|both) of us|us two(?! (?:nights|days|meals|dinners|lunches|suppers|teas|times)\b)|us both)\b/g;
/** Things that are eaten by the piece or the plate: "2 big bowls", "6 squares". */
const PLATES = pattern(
  /^[ -]*(?:(?:big|large|small|good|deep|generous|hungry|decent|full|main|dinner|lunch|individual) ){0,2}(?:bowls?|bowlfuls?|plates?|platefuls?|portions?|servings?|helpings?|people|persons?|covers|eaters?|diners?|adults?|ppl|pax|of us|glass(?:es)?|squares?|slices?|wedges?|wraps?|jars|pots|tubs|ramekins|boxes|lunches|dinners|suppers|teas|mugs?|mugfuls?|goes|meals|sittings|of them)\b/,
);
/** What leads to a number of eaters in a sentence, the surest first. */
const LEADS: readonly RegExp[] = [
  /^(?:serves|feeds|does|for)\b[^.;]{0,30}?\b(?:usually|normally|mostly|generally|most weeks)\s+(?:about |it'?s )?/g,
  /\b(?:that|it|this|which) (?:does|feeds|serves|is)\b[^.;]{0,60}?,\s*so\s+(?=\w+\s*(?:$|[.,;)!]))/g,
  /(?:=|\bmakes?|\bthat'?s)\s*(?=\w+ (?:servings|portions|plates|people|bowls|goes|helpings|teas|dinners|suppers|lunches|meals)\b)/g,
  /\bbetween\s+(?:the )?(?=(?:[4-9]|1\d|four|five|six|seven|eight|ten|twelve)(?: of us)?\s*(?:[.!]?$|with\b|if\b|or\b))/g,
  /\bfor\s+(?:the )?(?=(?:\d{1,2}|two|three|four|five|six|eight|ten) (?:people|of us|hungry people)\b)/g,
  /(?:^|[.;]\s*)for\s+(?=\w+,? (?:(?:you|i|we)(?:'ll| will)? (?:want|need|use|take|get|buy|do|make)|it takes|it'?s)\b)/g,
  /\b(?:divid(?:e|ed)|split|shared?|portion(?:ed)?|spoon(?:ed)?|pour(?:ed)?|tip(?:ped)?)\b[^.;]{0,30}?\b(?:between|among|into|over)\s+(?=\w+ (?:\w+ )?(?:pots|bowls|plates|glasses|ramekins|jars|dishes|people|portions|boxes)\b)/g,
  /(?:^|[.;]\s*)in ?to\s+(?=\w+ (?:\w+ )?(?:pots|bowls|glasses|ramekins|jars|portions)\b)/g,
  /\b(?:we|you|i)(?:'ll)? (?:usually |always |mostly )?(?:get|fill|end up with|eke out)\s+(?:about |around |roughly )?(?=\w+ (?:\w+ )?(?:bowls|plates|portions|servings|helpings|lunches|suppers|dinners|boxes)\b)/g,
  /\b(?:that|it|this)(?:'ll| will) (?:do|feed|serve|give|fill)\s+(?:about |all )?(?=\w+ (?:of us|bowls|plates|people|portions|servings|pots|lunches|suppers)\b|\w+\s*[.!]?$)/g,
  /\b(?:goes|enough to go|will go|stretch(?:es)?|eked out) (?:a?round|to|for)\s+(?=\w+\s*(?:$|[.,;)!]))/g,
  /\b(?:fills|makes|gives)\s+(?=\w+ (?:rounds|sandwiches)\b)/g,
  /\b(?:call it|we call it|let'?s say|i'?d say|i say it'?s|reckon on)\s+/g,
  /\b(?:feeds|fed|serves|served|does|did|enough for|(?:i|we) make (?:this|it|enough) for|(?:so |and )?it'?s (?:all )?for|that'?s for|made for|cook(?:ed)? (?:this )?for)\s+(?:about |around |the |us |all )?/g,
  /\bcuts?(?: it| them)? (?:into|up into|in|about|roughly)?\s*(?:about |roughly |around )?(?=[\w ]{1,14}(?:ways|slices|pieces|squares|wedges|bars|portions|or\b|to\b|$|[.,;)]))/g,
  /(?:^|[.;,]\s*)(?:we(?:'re| are| were)|there(?:'s| are)|it's for)\s+(?:only |just |usually )?(?=\w+(?:\s+(?:of us|here|at the table))?\s*(?:[.,;!)]|$|and it (?:does|feeds|fills)\b))/g,
  /\bso (?:this|that|it)(?:'s| is| makes| feeds| serves)\s+(?:about |for )?(?=\w+\s*(?:$|[.,;)!]))/g,
  /\b(?:we (?:had|were|are)|there were)\s+(?=(?:\d{1,3}|\w+)\s+(?:at the|round the|to feed|coming|over|people)\b)/g,
  /(?:^|[\s,;(])(?=(?:\d|one |two |three |four |five |six |seven |eight |nine |ten |eleven |twelve )[^.;]{0,14}of us\b)/g,
];
const LIKE_FOOD = pattern(
  /^\s*(?:cups?|tbsps?|tsps?|g|kg|ml|l|oz|lbs?|minutes?|mins?|hours?|days?|weeks?|years?|times|degrees|°|%|inch|cm)\b/,
);

function numberAt(text: string, at: number): { low: number; high: number; end: number } | null {
  const q = readQuantity(text, at);
  return q && !q.article && q.low >= 0.5 && q.high <= 200 && Number.isInteger(q.low)
    ? { low: q.low, high: q.high, end: q.end }
    : null;
}

const said = (low: number, high: number, text: string): ServingsWords => ({
  range: range(low, (low + high) / 2, high),
  text: text.trim().replace(/[.,;]+$/, ''),
  reading: null,
});

const BESIDE_OR_ALONE = pattern(
  /^(\w+) (?:with|as part of|alongside) [a-z ]{4,30}?(?:,| or)+ (\w+) (?:alone|on (?:its|their) own|by (?:itself|themselves)|as it is)\b[^a-z]*$/,
);
/** "Six with other things or three alone." */
function besideOrAlone(text: string): ServingsWords | null {
  const m = BESIDE_OR_ALONE.exec(text);
  const [many, few] = [m?.[1], m?.[2]].map((n) => (n ? numberAt(n, 0) : null));
  return many && few ? said(Math.min(many.low, few.low), Math.max(many.high, few.high), text) : null;
}

function rowNow(row: string): ServingsWords | null {
  const text = printedEaters(
    clean(eitherOf(row))
      .toLowerCase()
      .replace(/^[#\s>*-]+/, ''),
  )
    // "(1 big bowl)"
    .replace(/^\(([^()]*[a-z][^()]*)\)$/, '$1')
    // "for the pair of us"
    .replace(THE_PAIR, 'two of us');
  if (text.length > 80) return null;
  // "Four" in a row of its own
  if (/^(?:two|three|four|five|six|seven|eight|ten|twelve)[.!]?$/.test(text)) {
    const many = numberAt(text, 0);
    if (many) return said(many.low, many.high, text);
  }
  const beside = besideOrAlone(text);
  if (beside) return beside;
  // "8 as a starter"
  const course = numberAt(text, 0);
  if (
    course &&
    /^ as (?:an?|the) (?:starter|side|main|lunch|snack|dip|nibble|meze)\b[^,;/\d]{0,30}$/.test(
      text.slice(course.end),
    )
  )
    return said(course.low, course.high, text);
  // "(2)" in a row of its own
  const alone = /^\(\s*(?:x ?)?(\d{1,2})\s*\)$/.exec(text)?.[1];
  if (alone && Number(alone) > 0) return said(Number(alone), Number(alone), text);
  // "10 galettes, reckon on 2-3 each"
  const pieces = /^\(?\s*(?:makes |about )*(?=\d{1,2} [a-z]+(?: [a-z]+)?s\b\s*[,;(–-])/.exec(text);
  const all = pieces ? numberAt(text, pieces[0].length) : null;
  if (all) {
    const plates = platesOfPieces(said(all.low, all.high, `makes ${text}`), [text]);
    if (plates.range.high < all.high) return { ...plates, text };
  }
  const first = numberAt(text, 0);
  if (first) {
    const behind = text.slice(first.end);
    const unit = PLATES.exec(behind);
    const rest = unit ? behind.slice(unit[0].length) : '';
    // "2 jars (700 g each, 425 drained) white beans" is a line
    if (/\d\s*(?:g|kg|ml|oz)\b[^()]*\)/.test(rest)) return told(text);
    // what follows may say more of it, but no food
    if (
      !unit ||
      !/^\s*(?:$|[,(;.–-]|or\b|if\b|each\b|and (?:they're|they are|it's|big|good)\b|(?:\d|one|two|three|four) (?:each|apiece|pp)\s*$|with\b|w\/|of (?:about |around |roughly |c\.? ?|~ ?)?\d+ ?(?:g|ml|kcal)\b)/.test(
        rest,
      )
    )
      return told(text);
    let { low, high } = first;
    for (const m of rest.matchAll(
      /\b(?:it'?s been|more like|or|perhaps|maybe|say|at a push|stretch(?:es)? to)\s+(\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|twelve)\b/g,
    )) {
      const n = numberAt(m[1] ?? '', 0);
      if (n) {
        low = Math.min(low, n.low);
        high = Math.max(high, n.high);
      }
    }
    return said(low, high, text);
  }
  return told(text);
}

/** "Green smoothie, just me", "porridge for one". */
const ALONE = pattern(/\bjust (?:for )?me\b|\bfor (?:one|myself|just me|me(?= *(?:$|[,)])))\b|\bsolo\b/);

const ONE_MANY = String.raw`(?:[1-9]|1[02]|one|two|three|four|five|six)(?: 1\/2|\.5|(?: and)? an? half)?`;
const SO_MANY = String.raw`(${ONE_MANY})(?:\s*(?:-|–|to|or)\s*(${ONE_MANY}))?`;
const PLATE = '(?:portion|serving|helping|plate|meal|dinner|lunch|supper|tea|breakfast)';
/** "we eat 3 each": pieces that make a plate; of those who eat much and those who eat little. */
const PIECES_EACH: readonly RegExp[] = [
  String.raw`(?:^|[.;,(]\s*)${SO_MANY}(?: big| small| of)?(?: them| these| slices| pieces| squares| wedges| ones)? (?:is|are|makes?|for|to|count as) (?:(?:a|one) ${PLATE}|dinner|lunch|supper|tea|breakfast|plenty|enough)\b`,
  String.raw`(?:^|[.;,(]\s*)${SO_MANY}(?: slices| pieces| squares)? is what (?:i|we) (?:count as|call|have as|have for) (?:a|one) ${PLATE}\b`,
  String.raw`\b(?:a|one|each) ${PLATE}\s*(?:=|is|:|are)\s*${SO_MANY}(?=\s*(?:$|[.,;)]|of (?:them|these)|pieces|squares|slices|[a-z]+s\b))`,
  String.raw`\b${SO_MANY} each (?:is|makes|are) (?:a|one|plenty|enough)\b`,
  String.raw`\b(?:eat|have|allow|reckon(?: on)?|count(?: on)?|do|manage|need|want|give|take|get|say|about|serve|that'?s)\s+(?:about |around )?${SO_MANY}\s+(?:each|apiece|per (?:person|head|plate|serving)|a (?:head|plate|person))\b`,
  String.raw`(?:^|[.;–—,(-]\s*)${SO_MANY} (?:each|apiece|per person|a person|a head)(?=\s*(?:$|[.;–—,)-]|(?:for (?:us|the|all)|and|but|with)\b|(?:per|a) day\b))`,
  String.raw`\b${SO_MANY} (?:for|to) (?:an? |the )?(?:big|grown|hungry|adults?|large)[a-z -]*?[,;]?(?: and)? (${ONE_MANY}) (?:for|to) (?:an? |the )?(?:small|little|kids?|child(?:ren)?)\b`,
].map((pattern) => new RegExp(pattern));
function piecesEachIn(text: string): { low: number; high: number; said: string } | null {
  for (const pattern of PIECES_EACH) {
    const m = pattern.exec(text);
    const many = (m?.slice(1) ?? []).flatMap((word) => (word ? (readQuantity(word, 0)?.best ?? []) : []));
    if (m && many.length > 0) return { low: Math.min(...many), high: Math.max(...many), said: m[0] };
  }
  return null;
}

const IN_PIECES = pattern(
  /^(?:makes?|yields?|cuts?)\b|\b(?:squares?|slices?|bars?|pieces|cookies|biscuits|muffins?|balls?|patties|burgers?|cakes?|rolls?|pancakes?|fritters?|dumplings?|falafels?)\b/,
);

const IN_PLATES = /\b\d{1,2} (?:servings|portions|people|plates|bowls|helpings)\b/;

/**
 * How many plates pieces make, by what the recipe says that each eats of them: "Makes 10-12, we eat 3 each" are 3 to 4.
 *
 * @param servings said in pieces
 * @param texts of the recipe that may say it
 */
export function platesOfPieces(servings: ServingsWords, texts: readonly string[]): ServingsWords {
  // "makes 500 g = 10 servings": plates already
  if (!IN_PIECES.test(servings.text) || IN_PLATES.test(servings.text) || servings.pieces) return servings;
  // "makes 8 (2 each)" was counted in plates when it was read
  const counted = servings.text.match(/\d+(?! ?(?:g|kg|ml|oz|lb|cm|mm|in|inch|x)\b|\d|[.,]\d)/g) ?? [];
  if (counted.some((n) => servings.range.high < Number(n))) return servings;
  for (const text of texts) {
    const each = piecesEachIn(clean(text).toLowerCase());
    if (!each) continue;
    const { low, best, high } = servings.range;
    return {
      range: range(low / each.high, best / ((each.low + each.high) / 2), high / each.low),
      text: `${servings.text}, ${each.said}`,
      reading: servings.reading,
      ...(low === high ? { pieces: low } : {}),
    };
  }
  return servings;
}

const SO_MANY_PIECES = pattern(
  /(?:^|[.;!]\s*)(?:makes |about |gives )*(\d{1,2}) (?:(?:small|large|big|medium|little|fat|thick|thin) )*(?:ones|pancakes|fritters|patties|burgers|rolls|wraps|cakes|muffins|squares|slices|pieces|small|big|large)?\s*(?=[.;!,–—]|-|$)/,
);
const PIECES_OF_LINE = pattern(/^(\d{1,2}) [^()]{3,40}\((\d|one|two|three|four) (?:each|apiece|pp)\b/);
/** Plates by the pieces that a text counts and how many each eats; null where it says neither. */
export function piecesEach(texts: readonly string[]): ServingsWords | null {
  const plain = texts.map((text) => clean(text).toLowerCase());
  // "10 burgers. …", and in another row "We have 2 each"
  for (const text of [...plain, plain.join('. ')]) {
    const line = PIECES_OF_LINE.exec(text);
    const [all, each] = [line?.[1], line?.[2]].map((n) => (n ? (numberAt(n, 0)?.low ?? 0) : 0));
    if (line && all && each && all % each === 0) return said(all / each, all / each, line[0]);
    const pieces = piecesEachIn(text) ? SO_MANY_PIECES.exec(text) : null;
    const many = pieces?.[1] ? numberAt(pieces[1], 0) : null;
    if (!pieces || !many) continue;
    const found = said(many.low, many.high, `makes ${many.low} pieces`);
    const plates = platesOfPieces(found, [text]);
    if (plates !== found) return plates;
  }
  return null;
}

/** "4 pizzas, one each". */
const EACH_ITS_OWN = pattern(
  /\b(\d{1,2}|two|three|four|five|six|eight|ten|twelve) (?!(?:of us|people|adults|eaters|diners|servings|portions)\b)(?:[a-z]+ )?[a-z]+s, (one|two|three|\d) (?:each|apiece|per person|a head)\b/,
);

/** "…, two bowls" at the end of a title. */
export function servingsInTitle(title: string): ServingsWords | null {
  const text = printedEaters(clean(title).toLowerCase())
    // "attempt no. 3", "version 2"
    .replace(
      /(?:\b(?:no\.?|nr\.?|number|version|take|part|attempt|try|mark|day|week)|[#v])\s?\d{1,2}\b/g,
      '',
    );
  const inside = /\(([^()]{2,60})\)\s*$/.exec(text)?.[1];
  // "(makes 1 loaf, 8 slices, 2 slices each)"
  const whole =
    inside && /^(?:makes|serves|feeds|cuts)\b.*\beach\b/.test(inside) ? readServings(inside) : null;
  if (whole && 'range' in whole) return whole;
  // "(8 cakes, 2 pp)"
  const each =
    inside && /^\d+ [a-z]+.*\b(?:pp|each|apiece|per person|a head)$/.test(inside)
      ? readServings(`makes ${inside}`)
      : null;
  if (each && 'range' in each) return each;
  // "Cookies 18": so many of what it is called
  const counted = /(?<!\b(?:make|serve|feed|doe))(?<=[a-z]{3})s(?: \([^)]*\))?\s(\d{1,2})$/.exec(text)?.[1];
  if (counted && Number(counted) > 3)
    return said(Number(counted), Number(counted), `makes ${counted} pieces`);
  if (ALONE.test(text)) return said(1, 1, ALONE.exec(text)?.[0] ?? text);
  const own = EACH_ITS_OWN.exec(text);
  const [all, by] = [own?.[1], own?.[2]].map((n) => (n ? numberAt(n, 0) : null));
  if (own && all && by) return said(all.low / by.high, all.high / by.low, own[0]);
  const m =
    /(?:[,:(]|[a-z]\.|\s[-–—/])\s*(?:(?:enough )?for (?:the |us )?)?((?:\d{1,2}|one|two|three|four|five|six|seven|eight|ten|twelve)\b[^,:()]{0,30})\)?$/.exec(
      text,
    );
  const last = m?.[1] ? servingsRow(m[1]) : null;
  if (last) return last;
  // "Muffins, 12, one each", "Green curry. 4."
  const many = /[a-z]s?(?:,|\.)\s*(\d{1,2})(?:\.?$|,\s*(?:one|1|each)\b)/.exec(text)?.[1];
  if (many && Number(many) > 0) return said(Number(many), Number(many), many);
  // "(per person!!)"
  const one =
    /(?:\(|[,–-]\s)\s*(?:amounts? |all )?(?:per|for each) (?:person|head|bowl|plate|jar|serving)\b/.exec(
      text,
    );
  if (one) return said(1, 1, one[0].replace(/^\W+/, ''));
  // "(6 portions, freezes)", "… cuts about 8 ways"
  const pieces =
    inside
      ?.split(',')
      .map((piece) =>
        servingsRow(
          piece.replace(/^\s*(?:say|about|roughly|around|maybe|call it|makes|serves|feeds)\s+/, '').trim(),
        ),
      ) ?? [];
  return pieces.find((p) => p !== null) ?? told(text.split(/\s[-–—]\s/).at(-1) ?? text);
}

/** "makes about 350 g, a serving is 30 g": how often the one goes into the other. */
const BY_WEIGHT = pattern(
  /\b(?:makes?|yields?|about|gives)\s+(?:about |around |roughly )?(\d[\d.]{0,4}) ?(g|ml|kg|l|litres?)\b.{0,40}?(?:\b(?:servings?|portions?|helpings?)\b(?: size)?(?: is| are| of|:| =)? |\b(?:we|i) (?:have|eat|take|allow|use|reckon(?: on)?|say|count) )(?:about |around )?(\d{1,3}) ?(g|ml)\b/,
);

const EQUALS_PEOPLE = pattern(/(?:=|→|->)\s*(?:about )?(?=\d|two|three|four|five|six|eight)/);
const IS_PEOPLE = pattern(/^ (?:people|of us|portions|servings|plates|eaters|persons|bowls)\b/);
/** Words of a serving that say that people eat it. */
export const SAYS_PEOPLE =
  /\b(?:of us|people|persons?|eaters?|diners?|adults?|serves?|feeds?|servings?|portions?|plates?|bowls?|each|us)\b/i;

function toldNow(sentence: string): ServingsWords | null {
  const text = printedEaters(clean(sentence).toLowerCase().replace(THE_PAIR, 'two of us'));
  const family = eatersOf(text) ?? besideOrAlone(text);
  if (family) return family;
  const weight = BY_WEIGHT.exec(text);
  const big = weight?.[2] === 'kg' || weight?.[2]?.startsWith('l');
  const unit = big ? (weight?.[2] === 'kg' ? 'g' : 'ml') : weight?.[2];
  if (weight && unit === weight[4] && Number(weight[3]) > 0 && Number(weight[1]) > 0) {
    const plates = (Number(weight[1]) * (big ? 1000 : 1)) / Number(weight[3]);
    return said(plates, plates, weight[0]);
  }
  // "5 each = 4 people"
  const equals = EQUALS_PEOPLE.exec(text);
  const people = equals ? numberAt(text, equals.index + equals[0].length) : null;
  if (people && IS_PEOPLE.test(text.slice(people.end))) return said(people.low, people.high, text);
  const plates = numberAt(text, 0);
  // "2 is a serving": how much one is; "four eat"
  if (plates && /^ (?:is|are|makes) (?:a|one) (?:serving|portion)/.test(text.slice(plates.end))) return null;
  if (plates && /^ (?:of us )?(?:eat|ate)\b[\s.!]*$/.test(text.slice(plates.end)))
    return said(plates.low, plates.high, text);
  // "6 bowls." stands alone
  const alone = plates ? PLATES.exec(text.slice(plates.end)) : null;
  const forSome = /^for (?=\d|two|three|four|five|six|eight)/.exec(text);
  const some = forSome ? numberAt(text, forSome[0].length) : null;
  // "for 2" stands alone
  if (
    some &&
    /^(?: people| of us| hungry people)?(?: (?:as|for) (?:a )?(?:dinner|main|lunch|supper|meal|tea|breakfast))?[\s.!)]*$/.test(
      text.slice(some.end),
    )
  )
    return said(some.low, some.high, text);
  if (plates && alone) {
    const rest = text.slice(plates.end + alone[0].length);
    if (/^[\s.!)]*$|^ (?:with|w\/) /.test(rest)) return said(plates.low, plates.high, text);
    // "two lunches, three if I add bread"
    const more = /^\s*(?:[,;(]\s*(?:or |maybe )?|or )/.exec(rest);
    const other = more ? numberAt(rest, more[0].length) : null;
    if (
      more &&
      other &&
      /^\s*(?:(?:if|when|with|at a)\b|(?:small|big|large|little|smaller|bigger)(?: ones?)?[\s.!)]*$)/.test(
        rest.slice(other.end),
      )
    )
      return said(Math.min(plates.low, other.low), Math.max(plates.high, other.high), text);
  }
  for (const lead of LEADS)
    for (const m of text.matchAll(lead)) {
      const n = numberAt(text, m.index + m[0].length);
      if (!n) continue;
      const behind = text.slice(n.end);
      if (LIKE_FOOD.test(behind)) continue;
      // "for two" ends there or goes on with people; "for two onions" does not
      if (
        !/^\s*(?:$|[,.;)!–-]|(?:little |small |big |large |deep )?(?:pots|bowls|plates|glasses|ramekins|jars|dishes|boxes|servings|goes|helpings|teas|dinners|suppers|lunches|meals)\b|or \w+\b|ways\b|slices\b|pieces\b|squares\b|wedges\b|bars\b|rounds\b|sandwiches\b|rolls\b|wraps\b|portions\b|of us\b|(?:hungry |greedy |normal )?people\b|,? (?:you|i|we)(?:'ll)? |it takes\b|it'?s\b|persons?\b|eaters?\b|round\b|to feed\b|coming\b|over\b|and\b|because\b|with\b|at\b|the\b)/.test(
          behind,
        )
      )
        continue;
      const other = /^\s*(?:(?:or|to)\s+|,\s*or\s+(?=\w+ (?:if|when|with|at|greedy|big|hungry)\b))/.exec(
        behind,
      );
      const second = other ? numberAt(behind, other[0].length) : null;
      if (second)
        return said(
          Math.min(n.low, second.low),
          Math.max(n.high, second.high),
          text.slice(m.index, n.end) + behind.slice(0, second.end),
        );
      const who = /^\s*(?:of us|people|persons?|eaters?)\b/.exec(behind)?.[0] ?? '';
      return said(n.low, n.high, text.slice(m.index, n.end) + who);
    }
  return null;
}

/**
 * A row that says how many eat, as cooks say it: "2 big bowls", "6 squares (I say 6, it's been 4)", "two each so it's for
 * three". Null where it is no such row.
 */
export const servingsRow = remember(rowNow);

/** How many a sentence says the dish is for: "there's three of us …, so call it four". */
export const told = remember(toldNow);
