import { pattern } from '@/core/pattern/pattern';
import { numberOf } from '@/core/measure/quantity';

/** Things of which several may make a plate. */
export const PIECES =
  'burger wrap roll bun pizza potato pancake patty sandwich muffin scone slice square bar ball fritter dumpling pitta flatbread waffle skewer parcel stack bap pasty tart tostada bagel crumpet'.split(
    ' ',
  );
const PIECE = `(?:${PIECES.join('|')})`;
const ONE = `(?:person|head|plate|plateful|serving|portion|bowl|bowlful|jar|glass|box|lunchbox|tub|flask|diner|eater|guest|${PIECE})`;
/** Words by which an amount is for everybody, whatever stands around them. */
const FOR_EVERYBODY = String.raw`\b(?:(?:per|for each|for every|to each|to every|in each|in every|on each|on every|over each|into each|onto each) (?:${ONE}|one of us|of us|of you|one)\b|(?:for )?each of us\b|each (?:person|plate|plateful|bowl|bowlful|serving|portion|diner|eater|guest)\b|for (?:everyone|everybody|each)\b|(?:on|over|in|to) each\b(?=\s*(?:$|[,;)]))|p\.p\.|pp\b)|\/ ?${ONE}\b`;
/** Of "a head", "a plate": of an amount, and no head of lettuce. */
const HEADS =
  '(?:head|plate|bowl|person|serving|portion|go|diner|pot|glass|ramekin|box|lunchbox|tub|wrap|burger|bun|bap|roll|pitta|bagel|pancake|crumpet|patty)';
const MEASURES =
  'g|ml|oz|tbsps?|tsps?|tablespoons?|teaspoons?|cups?|slices?|handfuls?|pinch|few|spoons?|spoonfuls?';
const A_HEAD = String.raw`(?:(?<=(?:\d|\b(?:${MEASURES})) )an? ${HEADS}\b(?! of\b)|(?<=[a-z])(?<!\b(?:half|quarter|third|of|whole|about|just|only|or|in|into|from|like|as|for|to|with|inside|on|and|one)) an? ${HEADS}\b(?=\s*(?:$|[,;]|on top\b|at the\b|to (?:serve|finish)\b|is\b)))`;
const ANYWHERE = pattern(
  new RegExp(String.raw`\s*(?:\(\s*(?:${FOR_EVERYBODY})\s*\)|(?:${FOR_EVERYBODY}|${A_HEAD}))`, 'i'),
);
/** An amount for every one of the pieces that are made, of which somebody may eat several. */
export const PER_PIECE = new RegExp(
  String.raw`\b(?:(?:per|for each|for every|to each|on each|on every|in each|in every|(?<=(?:\d|\b(?:g|ml|oz|tbsps?|tsps?|tablespoons?|teaspoons?|slices?|handfuls?|spoons?|[a-z]{4,})) )a) ${PIECE}|each (?!potato|ball)${PIECE})\b`,
  'i',
);
/** "per bowl: 2 tsp seeds". */
const LABEL = pattern(
  new RegExp(
    String.raw`^\s*(?:${FOR_EVERYBODY}|an? (?:head|plate|bowl|person|serving|portion)\b|(?:(?:on|in|over) )?each|apiece)\s*:\s*(?=\S)`,
    'i',
  ),
);
/** "90 kcal per serving", "3 g fat a plate": a figure, and no amount. */
const A_FIGURE = pattern(
  /\d ?m?g (?:of )?(?:fat|saturates|salt|sodium|sugars?|protein|fib(?:re|er)|carbs?)\s*$|\b(?:kcal|kj|cals?|calories)\s*$/i,
);
const AN_AMOUNT = pattern(
  /\d|[½¼¾⅓⅔]|\b(?:an?|one|two|three|half|few|handful|slice|spoon(?:ful)?|pinch|tbsp|tsp|splash|dollop)\b/i,
);
/** ", one" before "per person". */
const SO_MANY_FOR = pattern(/\s*[,;–-]+\s*(?:one|two|three|[123])\s*$/i);
const SHARED_OUT = pattern(/\b(?:half|some|most|a third|a quarter|the rest|a bit|divided)\s*$/i);
const NUMBERED = pattern(/^\s*(?:about )?(?:\d|[½¼¾⅓⅔]|an?\b|half\b|one\b|two\b|three\b|four\b)/i);
/** "rice, 60 g each, rinsed": what is said behind it, of a line whose name comes first. */
const EACH_INSIDE = pattern(
  /^([^().;]*?\d ?[a-z]*|\s*(?:about )?\d[\d./]*\s[^,;().\d]*?|[^().;]*\b(?:an?|half|one|two|three|few|slice|handful|spoon|pinch)\b[^,;().]*?)\s+each\b(?=\s*[,;]|\s*\((?!\D{0,8}\d)|\s+(?:is|are|does|will|at|on|to|with|over|in|mashed|spread|toasted|drizzled|scattered|sliced|chopped|crumbled)\b)/i,
);
/** "bread to mop up, 1 thick slice each (60 g)": what one of them weighs, or all of one plate's. */
const EACH_OF_WEIGHT = pattern(
  /^([a-z][^,;()\d]*?)\s*[,:–-]+\s*(an?|one|1|two|2|three|3)(?: ([a-z][a-z ]*?))? (?:each|per person)\s*[(,–-]+\s*(?:about |around |~ ?)?(\d{1,3}) ?(g|oz)\)?[.!]*\s*$/i,
);

/** "one pitta each (60 g, wholemeal)", "pitta each (60 g)". */
const NAMED_EACH_OF_WEIGHT = pattern(
  /^\s*(?:(an?|one|two|three|[1-4]) )?((?:[a-z]+ ){0,2}(?:pittas?|rolls?|buns?|baps?|bread|flatbreads?|chapatis?|rotis?|tortillas?|wraps?|naans?|oatcakes?|crackers?|crispbreads?|bagels?|crumpets?|potato(?:es)?|bananas?|apples?)) each \((?:about |around |~ ?)?(\d{1,3}) ?(g|oz)( each| apiece)?(?:,? ([a-z]+(?: [a-z]+)?))?\)[.!]*\s*$/i,
);

/** "bread, 2 slices each, 40 g each": so many for everybody, and what one of them weighs. */
const PIECES_OF_WEIGHT = pattern(
  /^\s*([a-z][a-z ]*?)\s*[,:–-]+\s*(two|three|four|[2-6]) (?:thick |thin |big |small )?(?:slices?|pieces?|rounds?)? ?each\s*[,(–-]+\s*(?:about |~ ?)?(\d{1,3}) ?(g|oz) (?:each|a slice|a piece|apiece)\)?[.!]*\s*$/i,
);
/** "avocado, half each (80 g)": a part of one for everybody. */
const PART_EACH = pattern(
  /^\s*(?!\d|an?\b|one\b|two\b)([a-z][a-z ]*?)\s*[,:(–-]+\s*(half an?|a half|half|a quarter|a third|1\/2|1\/4|1\/3|[½¼⅓]) each\)?(?:\s*\((?:about |~ ?)?(\d{1,3}) ?(g|oz)(?: each)?\))?[.!]*\s*$/i,
);
/** "60 g each pasta": of one food it is so much for everybody. */
const EACH_OF_ONE = pattern(
  /^\s*((?:about )?\d[\d.]* ?(?:g|oz|ml)) each (?:of )?((?:(?!and\b|or\b|plus\b|dry\b|of\b|max\b|at\b|for\b|in\b|cooked\b|drained\b|weight\b)[a-z]+)(?: (?!and\b|or\b|plus\b)[a-z]+){0,2})\s*$/i,
);

/**
 * A line whose words say that it is for each who eats, with that at its end: "2 tsp seeds in every bowl, toasted" is "2 tsp
 * seeds, toasted per person". What one piece weighs ("2 rolls, 60 g each") and so much of several foods ("1 tsp each: sage,
 * thyme") are left as they stand.
 */
export function eachLast(line: string): string {
  // "toast x2 each"
  const written = line.replace(/\bapiece\b/gi, 'each').replace(/(?<=[a-z]) x ?([1-6]) each\b/i, ', $1 each');
  const [weighed, name, count = '', , weight = '', unit] = EACH_OF_WEIGHT.exec(written) ?? [];
  if (weighed !== undefined) {
    const all = Number(weight) * (numberOf(count) ?? 1);
    return `${weight}${all > Number(weight) ? `-${all}` : ''} ${unit} ${name} per person`;
  }
  const [all, many, what = '', one = '', unitOfOne = '', ofEach, kind] =
    NAMED_EACH_OF_WEIGHT.exec(written) ?? [];
  if (all !== undefined) {
    const n = numberOf(many?.toLowerCase()) ?? 1;
    const weighs = n > 1 ? `${ofEach ? n * Number(one) : one}${ofEach ? '' : `-${n * Number(one)}`}` : one;
    return `${weighs} ${unitOfOne}${kind ? ` ${kind}` : ''} ${what} per person`;
  }
  const pieces = PIECES_OF_WEIGHT.exec(written);
  if (pieces)
    return `${(numberOf(pieces[2]?.toLowerCase()) ?? 1) * Number(pieces[3])} ${pieces[4] ?? 'g'} ${pieces[1] ?? ''} per person`;
  const [part, whole = '', share = '', weight2, unit2] = PART_EACH.exec(written) ?? [];
  if (part !== undefined)
    return weight2
      ? `${weight2} ${unit2} ${whole} per person`
      : `${share.replace(/^(?:a half|half an?)$/i, 'half')} ${whole} per person`;
  const single = EACH_OF_ONE.exec(written);
  if (single) return `${single[1] ?? ''} ${single[2] ?? ''} per person`;
  const label = LABEL.exec(written);
  if (label && !/[,;+]|\band\b/.test(written.slice(label[0].length)))
    return `${written.slice(label[0].length)} per person`;
  const m = ANYWHERE.exec(written);
  if (m && !/^\s*$/.test(written.slice(0, m.index))) {
    const before = written.slice(0, m.index);
    // "tofu, half in each": how it is shared out
    if (SHARED_OUT.test(before) && /^\s*in each/i.test(m[0])) return written;
    // "12 rolls, one per person": as many as eat
    const shared = NUMBERED.test(written) ? SO_MANY_FOR.exec(before) : null;
    if (shared) return `${before.slice(0, shared.index)}${written.slice(m.index + m[0].length)}`;
    const behind = written.slice(m.index + m[0].length);
    // "rice - 70 g a head brown basmati": which one is told behind it
    if (
      !NUMBERED.test(written) &&
      /^\s+(?!(?:at|on|to|is|are|with|over|in|for|and|if|when)\b)[a-z]/i.test(behind)
    )
      return written;
    // what another sentence says is of something else
    if (/^\s*[.;]/.test(behind)) return written;
    const rest = `${before}${behind}`.replace(/\(\s*\)/g, '').trimEnd();
    // ", per person" is of all that stands before it
    if (/,\s*$/.test(before) && !/[a-z]/i.test(behind)) return written;
    if (A_FIGURE.test(before) || !AN_AMOUNT.test(rest)) return written;
    // what is said behind it stays behind it: "per person, if you like"
    return /^\s*[,(–-]/.test(behind) && !/[,(–-]\s*$/.test(before)
      ? `${before.replace(/[\s,;.]+$/, '')} per person${behind}`
      : `${rest.replace(/[\s,;.]+$/, '')} per person`;
  }
  if (/\beach\b.*\beach\b/i.test(written)) return written;
  const inside = EACH_INSIDE.exec(written);
  // of a number of pieces it is what one weighs
  const said = inside ? written.slice(inside[0].length) : '';
  // "2 slices of toast each, dry": nothing on it
  const last =
    /^\s*,\s*(?:dry|plain|bare)\s*$|^\s*(?:mashed|spread|drizzled|scattered|crumbled) (?:on|over|across)\b[^,;]*$/i.test(
      said,
    )
      ? ''
      : said;
  if (
    !inside ||
    /^\s*,\s*(?:plus|and)\b/i.test(last) ||
    (NUMBERED.test(written) && /\d ?(?:g|oz|ml)$/i.test(inside[1] ?? ''))
  )
    return written;
  return `${inside[1] ?? ''} per person${last}`.replace(/[\s,;.]+$/, '');
}
