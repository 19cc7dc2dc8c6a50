import { readQuantity } from '@/core/measure/quantity';
import { range } from '@/core/range/range';
import { remember } from '@/core/memo';
import { clean } from './clean';
import type { ServingsWords } from './servings';

/** Things that are eaten by the piece or the plate: "2 big bowls", "6 squares". */
const PLATES =
  /^[ -]*(?:(?:big|large|small|good|deep|generous|hungry|decent|full|main|dinner|lunch|individual) ){0,2}(?:bowls?|bowlfuls?|plates?|platefuls?|portions?|servings?|helpings?|people|persons?|covers|eaters?|diners?|adults?|ppl|pax|of us|glass(?:es)?|squares?|slices?|wedges?|wraps?|jars|boxes|lunches|dinners|suppers|mugs?|mugfuls?|goes|meals|sittings)\b/;
/** What leads to a number of eaters in a sentence, the surest first. */
const LEADS: readonly RegExp[] = [
  /^(?:serves|feeds|does|for)\b[^.;]{0,30}?\b(?:usually|normally|mostly|generally|most weeks)\s+(?:about |it'?s )?/g,
  /(?:=|\bmakes?|\bthat'?s)\s*(?=\w+ (?:servings|portions|plates|people|bowls|goes|helpings)\b)/g,
  /\b(?:divid(?:e|ed)|split|shared?|portion(?:ed)?|spoon(?:ed)?|pour(?:ed)?|tip(?:ped)?)\b[^.;]{0,30}?\b(?:between|among|into|over)\s+(?=\w+ (?:\w+ )?(?:pots|bowls|plates|glasses|ramekins|jars|dishes|people|portions|boxes)\b)/g,
  /(?:^|[.;]\s*)in ?to\s+(?=\w+ (?:\w+ )?(?:pots|bowls|glasses|ramekins|jars|portions)\b)/g,
  /\b(?:call it|we call it|let'?s say|i'?d say|i say it'?s|reckon on)\s+/g,
  /\b(?:feeds|fed|serves|served|does|did|enough for|(?:so |and )?it'?s (?:all )?for|that'?s for|made for|cook(?:ed)? (?:this )?for)\s+(?:about |around |the |us |all )?/g,
  /\bcuts?(?: it| them)? (?:into|up into|in|about|roughly)?\s*(?:about |roughly |around )?(?=[\w ]{1,14}(?:ways|slices|pieces|squares|wedges|bars|portions|or\b|to\b|$|[.,;)]))/g,
  /(?:^|[.;,]\s*)(?:we(?:'re| are)|there(?:'s| are)|it's for)\s+(?:only |just |usually )?(?=\w+(?:\s+(?:of us|here|at the table))?\s*(?:[.,;!]|$))/g,
  /\bso (?:this|that|it)(?:'s| is| makes| feeds| serves)\s+(?:about |for )?(?=\w+\s*(?:$|[.,;)!]))/g,
  /\b(?:we (?:had|were|are)|there were)\s+(?=(?:\d{1,3}|\w+)\s+(?:at the|round the|to feed|coming|over|people)\b)/g,
  /(?:^|[\s,;(])(?=(?:\d|one |two |three |four |five |six |seven |eight |nine |ten |twelve )[^.;]{0,14}of us\b)/g,
];
const LIKE_FOOD =
  /^\s*(?:cups?|tbsps?|tsps?|g|kg|ml|l|oz|lbs?|minutes?|mins?|hours?|days?|weeks?|years?|times|degrees|°|%|inch|cm)\b/;

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

function rowNow(row: string): ServingsWords | null {
  const text = clean(row)
    .toLowerCase()
    .replace(/^[#\s>*-]+/, '');
  if (text.length > 80) return null;
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
      !/^\s*(?:$|[,(;.–-]|or\b|if\b|each\b|with\b|w\/|of (?:about |around |roughly |c\.? ?|~ ?)?\d+ ?(?:g|ml|kcal)\b)/.test(
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
const ALONE = /\bjust (?:for )?me\b|\bfor (?:one|myself|just me|me(?= *(?:$|[,)])))\b|\bsolo\b/;

/** "we eat 3 each": pieces that make a plate. */
const PIECES_EACH =
  /\b([1-9]|two|three|four|five|six)(?:\s*(?:-|–|to|or)\s*([1-9]|two|three|four|five|six))? each (?:is|makes|are) (?:a|one|plenty|enough)\b|\b(?:eat|have|allow|reckon(?: on)?|count on|give|take|get|say|about|serve|that'?s)\s+(?:about |around )?([1-9]|two|three|four|five|six)(?:\s*(?:-|–|to|or)\s*([1-9]|two|three|four|five|six))?\s+(?:each|apiece|per (?:person|head|plate|serving)|a (?:head|plate|person))\b/;

/**
 * How many plates pieces make, by what the recipe says that each eats of them: "Makes 10-12, we eat 3 each" are 3 to 4.
 *
 * @param servings said in pieces
 * @param texts of the recipe that may say it
 */
export function platesOfPieces(servings: ServingsWords, texts: readonly string[]): ServingsWords {
  if (!/^(?:makes?|yields?)\b/.test(servings.text)) return servings;
  for (const text of texts) {
    const m = PIECES_EACH.exec(clean(text).toLowerCase());
    const [first, second] = m ? [m[1] ?? m[3], m[1] ? m[2] : m[4]] : [];
    const low = first ? numberAt(first, 0) : null;
    if (!m || !low) continue;
    const high = (second ? numberAt(second, 0) : null) ?? low;
    const all = servings.range;
    return {
      range: range(
        all.low / Math.max(low.low, high.high),
        all.best / ((low.low + high.high) / 2),
        all.high / Math.min(low.low, high.high),
      ),
      text: `${servings.text}, ${m[0]}`,
      reading: servings.reading,
    };
  }
  return servings;
}

/** "4 pizzas, one each". */
const EACH_ITS_OWN =
  /\b(\d{1,2}|two|three|four|five|six|eight|ten|twelve) (?:[a-z]+ )?[a-z]+s, (one|two|three|\d) (?:each|apiece|per person|a head)\b/;

/** "…, two bowls" at the end of a title. */
export function servingsInTitle(title: string): ServingsWords | null {
  const text = clean(title).toLowerCase();
  if (ALONE.test(text)) return said(1, 1, ALONE.exec(text)?.[0] ?? text);
  const own = EACH_ITS_OWN.exec(text);
  const [all, each] = [own?.[1], own?.[2]].map((n) => (n ? numberAt(n, 0) : null));
  if (own && all && each) return said(all.low / each.high, all.high / each.low, own[0]);
  const m =
    /(?:[,:(]|\s[-–—])\s*(?:(?:enough )?for (?:the |us )?)?((?:\d{1,2}|one|two|three|four|five|six|seven|eight|ten|twelve)\b[^,:()]{0,30})\)?$/.exec(
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
  const inside = /\(([^()]{2,60})\)\s*$/.exec(text)?.[1];
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
const BY_WEIGHT =
  /\b(?:makes?|yields?|about|gives)\s+(?:about |around |roughly )?(\d{2,4}) ?(g|ml)\b.{0,40}?\b(?:servings?|portions?|helpings?)\b(?: size)?(?: is| are| of|:| =)? (?:about |around )?(\d{1,3}) ?(g|ml)\b/;

function toldNow(sentence: string): ServingsWords | null {
  const text = clean(sentence).toLowerCase();
  const weight = BY_WEIGHT.exec(text);
  if (weight && weight[2] === weight[4] && Number(weight[3]) > 0) {
    const plates = Number(weight[1]) / Number(weight[3]);
    return said(plates, plates, weight[0]);
  }
  const plates = numberAt(text, 0);
  // "6 bowls." stands alone
  const alone = plates ? PLATES.exec(text.slice(plates.end)) : null;
  const forSome = /^for (?=\d|two|three|four|five|six|eight)/.exec(text);
  const some = forSome ? numberAt(text, forSome[0].length) : null;
  // "for 2" stands alone
  if (some && /^(?: people| of us| hungry people)?[\s.!)]*$/.test(text.slice(some.end)))
    return said(some.low, some.high, text);
  if (plates && alone) {
    const rest = text.slice(plates.end + alone[0].length);
    if (/^[\s.!)]*$/.test(rest)) return said(plates.low, plates.high, text);
    // "two lunches, three if I add bread"
    const more = /^\s*[,;(]\s*(?:or |maybe )?/.exec(rest);
    const other = more ? numberAt(rest, more[0].length) : null;
    if (more && other && /^\s*(?:if|when|with|at a)\b/.test(rest.slice(other.end)))
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
        !/^\s*(?:$|[,.;)!–-]|(?:little |small |big |large |deep )?(?:pots|bowls|plates|glasses|ramekins|jars|dishes|boxes|servings|goes|helpings)\b|or \w+\b|ways\b|slices\b|pieces\b|squares\b|wedges\b|bars\b|portions\b|of us\b|people\b|persons?\b|eaters?\b|round\b|to feed\b|coming\b|over\b|and\b|because\b|with\b|at\b|the\b)/.test(
          behind,
        )
      )
        continue;
      const other = /^\s*(?:or|to)\s+/.exec(behind);
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
