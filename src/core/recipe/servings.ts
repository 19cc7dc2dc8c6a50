import { pattern } from '@/core/pattern/pattern';
import { numberOf, readQuantity } from '@/core/measure/quantity';
import { range, type Range } from '@/core/range/range';
import { clean } from './clean';
import { printedEaters } from './eaters';

/** How many a recipe feeds, as it says it. */
export interface ServingsWords {
  readonly range: Range;
  /** The words read: "serves 4–6". */
  readonly text: string;
  /** Why, where it is not simply counted. */
  readonly reading: string | null;
  /** How many pieces are made of it, where several make a plate. */
  readonly pieces?: number;
}

export type ServingsReading = ServingsWords | { readonly problem: string; readonly text: string };

const LEAD =
  /\b(?:serv(?:es|ings?)(?: size)?|feeds|yields?|makes|portions?|quantity|enough (?:for|to feed)|(?:dinner|supper|lunch|breakfast|soup|stew|curry|salad) for|to (?:serve|feed))\b(?: per recipe)?\s*[:=-]?\s*(?:is\s+)?(?:about|approx\.?|approximately|around|roughly|up to|at least|a hungry|a crowd of|hungry|generously|comfortably|~)?\s*/g;
const A_SERVING = pattern(/\b(?:an?|one|each|per|every) serving(?: size)?\s*(?:is|:|=|are)\s*(?:about )?$/);
const FOR = pattern(/^for\s+(?:about |around |roughly )?/);
const PEOPLE = pattern(
  /^[\s-]*(?:(?!an?\b|per\b|for\b|tsps?\b|tbsps?\b|teaspoons?\b|tablespoons?\b|cups?\b|g\b|ml\b|oz\b|each\b|in\b)\w+\s+){0,2}?(?:servings?|serves|portions?|people|persons?|helpings?|plates?|bowls?|covers|diners?|eaters?|adults|hungry|as an? (?:\w+ )?(?:starter|main|side|snack|lunch|supper|appeti[sz]er))\b/,
);
const VOLUME = pattern(
  /^\s*(?:\w+\s+)?(?:cups?|ml|millilit|lit(?:re|er)s?|l\b|quarts?|pints?|jars?|fl\.? ?oz|oz|ounces?|g\b|kg|tbsp|tablespoons?|bottles?)/,
);
const WHOLE: readonly (readonly [RegExp, number, number, number, string])[] = [
  [
    /^\s*(?:(?:large|small|medium|good|big|\d+[- ]?(?:lb|g|kg|inch|cm|oz))\s+)*(?:[a-z-]+\s+)?loa(?:f|ves)\b/,
    8,
    10,
    14,
    'a loaf cuts into 8–14 slices',
  ],
  [
    /^\s*(?:[\w-]+\s+){0,4}?(?:cakes?|pies?|tarts?|pizzas?|flans?|quiches?|cheesecakes?)\b/,
    6,
    8,
    12,
    'one cuts into 6–12 pieces',
  ],
  [
    /^\s*(?:[\w-]+\s+){0,3}?(?:trays?|dish(?:es)?|pans?|casseroles?|tins?|pots?)\b/,
    4,
    6,
    9,
    'a dish feeds 4–9',
  ],
];
/** "2 rotis a person": of something else that is eaten. */
const EATEN_EACH = pattern(
  /^\s*[a-z][a-z ]{1,24}?\s(?:each|apiece|pp|(?:a|per) (?:person|head|plate|serving))\b/,
);
/** "1 loaf, 8 slices, 2 slices each": how many of them make a plate. */
const CUT_EACH = pattern(
  /^[^.;]{0,24}?[,(;:]\s*(?:that's |so )?(\d{1,2}|one|two|three|four)\s+(?:slices?|pieces?|squares?|wedges?)?\s*(?:each|apiece|a (?:head|person|plate|serving)|per (?:head|person|plate|serving)|is (?:a|one) (?:serving|portion|plate))\b/,
);
const SLICES = pattern(
  /^(.{0,40}?[,(;:=]\s*)\d+(?:\s*(?:-|–|to)\s*\d+)?\s+(?:slices|pieces|squares|wedges|portions|servings)\b/,
);
const MORE = pattern(
  /^((?:\s+(?!or\b|and\b|to\b)[a-z-]+){0,5}\s*(?:[,(;/-]|\bor\b|\band\b)\s*(?:(?:perhaps|maybe|possibly|even|or|up to|stretch(?:es|ing)? to|at a pinch|at a push|just about|more like)\s+)*)/,
);
const LOOSE = pattern(
  /perhaps|maybe|possibly|pinch|push|stretch|even|hungry|as a (?:side|main|starter)|if |as an? |greedy|small|more like|not so|light eaters|big eaters/,
);

const BIG_AND_SMALL = pattern(
  /\b(\d|one|two|three|four|five|six) (?:adults?|grown[- ]?ups?|big(?:s| ones)?)\b(?:,| and| \+| &|, and)+ (\d|one|two|three|four) (?:(?:small )?(?:child(?:ren)?|kids?|toddlers?|little ones?)|smalls?|littles?)\b/,
);
const HOW_MANY = String.raw`(\d{1,2}|one|two|three|four|five|six|seven|eight)`;
/** "feeds four tonight and two for lunches": plates of several meals. */
const MEALS = pattern(
  new RegExp(
    String.raw`\b${HOW_MANY} (?:of us|(?:of us )?(?:tonight|today|now|for (?:dinner|supper|tea)|at (?:dinner|supper|tea)|(?:dinners|suppers|teas)))(?:,| and| \+| &| plus| with)+ (?:another |the other )?${HOW_MANY} (?:more )?(?:for (?:lunch(?:es|box(?:es)?)?|tomorrow|the (?:freezer|day after|next day))|lunch(?:es|boxes)?|tomorrow|left(?:over)?s?)\b`,
  ),
);
/** "feeds us three, twice", "for the 2 of us, two nights". */
const TWICE = pattern(
  new RegExp(
    String.raw`\b(?:feeds|serves|does|for|enough for)(?: us| the)? ${HOW_MANY}(?: of us| people)?,? (?:twice|two nights|for two (?:nights|days)|two nights running)\b`,
  ),
);
/** "2 adults, 1 child": a child eats a part of a plate or all of one; plates of several meals are all of them. */
export function eatersOf(text: string): ServingsWords | null {
  const twice = TWICE.exec(text);
  const eaters = twice?.[1] ? (numberOf(twice[1]) ?? 0) : 0;
  if (twice && eaters)
    return { range: range(eaters * 2, eaters * 2, eaters * 2), text: twice[0], reading: null };
  const meals = MEALS.exec(text);
  const [first, second] = [meals?.[1], meals?.[2]].map((n) => (n ? (numberOf(n) ?? 0) : 0));
  if (meals && first && second)
    return { range: range(first + second, first + second, first + second), text: meals[0], reading: null };
  const m = BIG_AND_SMALL.exec(text);
  const [adults, children] = [m?.[1], m?.[2]].map((n) => (n ? (numberOf(n) ?? 0) : 0));
  if (!m || !adults || !children) return null;
  const [low, high] = [adults + children / 2, adults + children];
  return { range: range(low, (low + high) / 2, high), text: m[0], reading: null };
}

/** "4 / 5", "serves 4/5": one or the other, and no fraction. */
export const eitherOf = (line: string): string =>
  line.replace(
    /(?<![\d.,/])(\d{1,2}) ?\/ ?(\d{1,2})(?![\d.,/]| ?(?:cups?|tsps?|tbsps?|lbs?|oz|pints?|kg|g|ml|l)\b)/g,
    (all: string, a: string, b: string) =>
      Number(a) > 1 && Number(b) > Number(a) && Number(b) <= 2 * Number(a) ? `${a} or ${b}` : all,
  );

/**
 * Reads how many a line says the recipe feeds: "Serves 4–6", "makes 8", "for two, three at a pinch",
 * "Yield: 1 loaf", "6 portions".
 *
 * @returns null where the line says nothing of it; a problem where it says none or an absurd number
 */
export function readServings(line: string): ServingsReading | null {
  const text = printedEaters(
    clean(eitherOf(line))
      .toLowerCase()
      .replace(/^[#\s>*-]+/, ''),
  )
    // "makes 30ish"
    .replace(/(\d)[- ]?ish\b/g, '$1')
    // "2 serves", "serve: 4", "4 pax"
    .replace(/^(\d{1,2}(?: ?[-–] ?\d{1,2})?) serves?(?=\s*(?:$|[,.;(]))/, '$1 servings')
    .replace(/^serve:?\s+(?:for )?(?=\d{1,2}\s*$)/, 'serves ')
    .replace(/(?<=\d )(?:pax|ppl)\b/g, 'people')
    .replace(/^(?:just|only) (?:for )?me[.!]?$/, 'serves 1')
    // "(for 4)"
    .replace(/^\(([^()]*)\)$/, '$1');
  if (text.length > 160) return null;
  const family = eatersOf(text);
  if (family) return family;
  // "8 x ¼ cup servings"
  const times = /\b(\d{1,2}) ?[x×] ?[\d./]+ ?(?:cups?|g|ml|tbsps?|oz)[a-z]* (?:servings|portions)\b/.exec(
    text,
  );
  // "yield 12 L / 40 x 300 ml"
  const ladled = /^yields?\b.*?\b(\d{1,3}) ?[x×] ?[\d.]+ ?(?:ml|g|oz|l)\b/.exec(text);
  const many = Number((times ?? ladled)?.[1]);
  if ((times ?? ladled) && many > 0) return amountOf(many, many, many, text, null);
  let fallback: ServingsReading | null = null;
  LEAD.lastIndex = 0;
  for (let m = LEAD.exec(text); m; m = LEAD.exec(text)) {
    const found = amountAt(text, m.index + m[0].length, m.index);
    // "a serving is 2 slices": how much one is, not how many there are
    if (m[0].startsWith('serving') && A_SERVING.test(text.slice(0, m.index + m[0].length))) continue;
    if (found === null) continue;
    if (found === 'volume') continue;
    // "makes 12 (6 servings)": people before pieces
    if (/^(?:makes|yield)/.test(m[0])) fallback ??= found;
    else return found;
  }
  if (fallback) {
    const people = bareCount(text);
    return people ?? fallback;
  }
  const forMany = FOR.exec(text);
  if (forMany && text.length < 60) {
    const found = amountAt(text, forMany[0].length, 0, true);
    if (found !== null && found !== 'volume') return found;
  }
  return bareCount(text);
}

/** "4 servings", "6-8 people" anywhere in a short line. */
function bareCount(text: string): ServingsReading | null {
  if (text.length > 90) return null;
  for (let i = 0; i < text.length; i += 1) {
    if (i > 0 && /[\w.,/]/.test(text[i - 1] ?? '')) continue;
    const q = readQuantity(text, i);
    if (!q || q.article) continue;
    if (PEOPLE.test(text.slice(q.end))) {
      const found = amountAt(text, i, i);
      return found === 'volume' ? null : found;
    }
    i = Math.max(i, q.end - 1);
  }
  return null;
}

function amountOf(
  low: number,
  best: number,
  high: number,
  text: string,
  reading: string | null,
): ServingsReading {
  if (!(low > 0)) return { problem: 'it says that it feeds nobody', text };
  if (high > 1000) return { problem: 'it says that it feeds more than a thousand', text };
  const said = text.trim().replace(/[.,;]+$/, '');
  return {
    range: range(low, best, high),
    text: said.includes('(') ? said : said.replace(/\).*$/, ''),
    reading,
  };
}

function amountAt(
  text: string,
  at: number,
  start: number,
  strict = false,
): ServingsReading | 'volume' | null {
  if (/^\s*-\s*\d/.test(text.slice(Math.max(0, at - 1))) && /[:\s]-\d/.test(text.slice(at - 2, at + 2)))
    return { problem: 'it says a number below nothing', text: text.slice(start).trim() };
  const q = readQuantity(text, at);
  if (!q) return null;
  const rest = text.slice(q.end);
  if (strict && (/^\s*(?:the|minutes?|mins?|hours?|days?)\b/.test(rest) || q.article)) return null;
  if (/^\s*(?:(?:minutes?|mins?|hours?|days?)\b|%|°)/.test(rest)) return null;
  // "one 20 cm cake, 10 slices"
  const cut = SLICES.exec(rest);
  if (cut && q.high <= 3) {
    const slices = readQuantity(text, q.end + cut.index + (cut[1]?.length ?? 0));
    const by = slices ? numberOf(CUT_EACH.exec(text.slice(slices.end))?.[1]) : null;
    if (slices && by)
      return amountOf(
        slices.low / by,
        slices.best / by,
        (slices.high * q.high) / by,
        text.slice(start),
        null,
      );
    if (slices && !slices.article)
      // of several it may be all of them or each
      return amountOf(slices.low, slices.best, slices.high * q.high, text.slice(start), null);
  }
  if (VOLUME.test(rest)) return 'volume';
  for (const [pattern, low, best, high, why] of WHOLE)
    if (q.high <= 3 && pattern.test(rest) && !PEOPLE.test(rest))
      return amountOf(low * q.low, best * q.best, high * q.high, text.slice(start), why);
  if (q.article) return null;
  // "16 (4 per person)": pieces, and how many make a plate
  const each =
    /^[^(]{0,24}\(?[^\d(]{0,12}(?<!\d)(\d{1,3}) (?:pieces? )?(?:(?:per|a|each|for each) (?:person|head|serving|plate|portion)|pp|each|apiece)\b/.exec(
      rest,
    );
  // "serves 2 (3 each)" are two who eat
  const eat = /^(?:serves|feeds)/.test(text.slice(start)) && q.high < 3 * Number(each?.[1] ?? 0);
  if (
    each?.[1] &&
    Number(each[1]) > 0 &&
    !eat &&
    !/^\s*(?:people|persons?|of us|eaters?|adults)\b/.test(rest)
  ) {
    const by = Number(each[1]);
    const plates = amountOf(q.low / by, q.best / by, q.high / by, text.slice(start), null);
    return q.low === q.high && !('problem' in plates) ? { ...plates, pieces: q.low } : plates;
  }
  let { low, best, high } = q;
  // "four, perhaps six", "two, three at a pinch", "4 (or 6 as a side)"
  const lead = MORE.exec(rest);
  if (lead) {
    const second = readQuantity(text, q.end + lead[0].length);
    if (
      second &&
      !second.article &&
      !EATEN_EACH.test(text.slice(second.end)) &&
      (LOOSE.test(lead[0]) || LOOSE.test(text.slice(second.end, second.end + 30)) || /\bor\b/.test(lead[0]))
    ) {
      low = Math.min(low, second.low);
      high = Math.max(high, second.high);
    }
  }
  best = Math.min(Math.max(best, low), high);
  return amountOf(low, best, high, text.slice(start), null);
}
