import { numberOf } from '@/core/measure/quantity';

/** Things of which several may make a plate. */
export const PIECES =
  'burger wrap roll bun pizza potato pancake patty sandwich muffin scone slice square bar ball fritter dumpling pitta flatbread waffle skewer parcel stack'.split(
    ' ',
  );
const PIECE = `(?:${PIECES.join('|')})`;
const ONE = `(?:person|head|plate|plateful|serving|portion|bowl|bowlful|jar|glass|diner|eater|guest|${PIECE})`;
/** Words by which an amount is for everybody, whatever stands around them. */
const FOR_EVERYBODY = String.raw`\b(?:(?:per|for each|for every|to each|to every|in each|in every|on each|on every|over each|into each|onto each) (?:${ONE}|one of us|of us|of you|one)\b|(?:for )?each of us\b|for (?:everyone|everybody|each)\b|(?:on|over|in|to) each\b(?=\s*(?:$|[,;)]))|p\.p\.|pp\b)|\/ ?${ONE}\b`;
/** Of "a head", "a plate": of an amount, and no head of lettuce. */
const HEADS = '(?:head|plate|bowl|person|serving|portion|diner|pot|glass|ramekin|wrap|burger)';
const MEASURES =
  'g|ml|oz|tbsps?|tsps?|tablespoons?|teaspoons?|cups?|slices?|handfuls?|pinch|few|spoons?|spoonfuls?';
const A_HEAD = String.raw`(?:(?<=(?:\d|\b(?:${MEASURES})) )an? ${HEADS}\b(?! of\b)|(?<=[a-z])(?<!\b(?:half|quarter|third|of|whole|about|just|only|or)) an? ${HEADS}\b(?=\s*(?:[,;]|on top\b|at the\b|to (?:serve|finish)\b|is\b)))`;
const ANYWHERE = new RegExp(
  String.raw`\s*(?:\(\s*(?:${FOR_EVERYBODY})\s*\)|(?:${FOR_EVERYBODY}|${A_HEAD}))`,
  'i',
);
/** An amount for every one of the pieces that are made, of which somebody may eat several. */
export const PER_PIECE = new RegExp(
  String.raw`\b(?:(?:per|for each|for every|to each|on each|on every|in each|in every) ${PIECE}|each (?!potato|ball)${PIECE})\b`,
  'i',
);
/** "per bowl: 2 tsp seeds". */
const LABEL = new RegExp(
  String.raw`^\s*(?:${FOR_EVERYBODY}|an? (?:head|plate|bowl|person|serving|portion)\b|(?:(?:on|in|over) )?each|apiece)\s*:\s*(?=\S)`,
  'i',
);
/** "90 kcal per serving", "3 g fat a plate": a figure, and no amount. */
const A_FIGURE =
  /\d ?m?g (?:of )?(?:fat|saturates|salt|sodium|sugars?|protein|fib(?:re|er)|carbs?)\s*$|\b(?:kcal|kj|cals?|calories)\s*$/i;
const AN_AMOUNT =
  /\d|[½¼¾⅓⅔]|\b(?:an?|one|two|three|half|few|handful|slice|spoon(?:ful)?|pinch|tbsp|tsp|splash|dollop)\b/i;
/** ", one" before "per person". */
const SO_MANY_FOR = /\s*[,;–-]+\s*(?:one|two|three|[123])\s*$/i;
const NUMBERED = /^\s*(?:about )?(?:\d|[½¼¾⅓⅔]|an?\b|half\b|one\b|two\b|three\b|four\b)/i;
/** "rice, 60 g each, rinsed": what is said behind it, of a line whose name comes first. */
const EACH_INSIDE =
  /^([^().;]*?\d ?[a-z]*|\s*(?:about )?\d[\d./]*\s[^,;().\d]*?|[^().;]*\b(?:an?|half|one|two|three|few|slice|handful|spoon|pinch)\b[^,;().]*?)\s+each\b(?=\s*[,;]|\s+(?:is|are|does|will|at|on|to|with|over|in)\b)/i;
/** "bread to mop up, 1 thick slice each (60 g)": what one of them weighs, or all of one plate's. */
const EACH_OF_WEIGHT =
  /^([a-z][^,;()\d]*?)\s*[,:–-]+\s*(an?|one|1|two|2|three|3)(?: ([a-z][a-z ]*?))? (?:each|per person) \((?:about |around |~ ?)?(\d{1,3}) ?(g|oz)\)[.!]*\s*$/i;

/**
 * A line whose words say that it is for each who eats, with that at its end: "2 tsp seeds in every bowl, toasted" is "2 tsp
 * seeds, toasted per person". What one piece weighs ("2 rolls, 60 g each") and so much of several foods ("1 tsp each: sage,
 * thyme") are left as they stand.
 */
export function eachLast(line: string): string {
  const written = line.replace(/\bapiece\b/gi, 'each');
  const [weighed, name, count = '', , weight = '', unit] = EACH_OF_WEIGHT.exec(written) ?? [];
  if (weighed !== undefined) {
    const all = Number(weight) * (numberOf(count) ?? 1);
    return `${weight}${all > Number(weight) ? `-${all}` : ''} ${unit} ${name} per person`;
  }
  const label = LABEL.exec(written);
  if (label && !/[,;+]|\band\b/.test(written.slice(label[0].length)))
    return `${written.slice(label[0].length)} per person`;
  const m = ANYWHERE.exec(written);
  if (m && !/^\s*$/.test(written.slice(0, m.index))) {
    const before = written.slice(0, m.index);
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
    return A_FIGURE.test(before) || !AN_AMOUNT.test(rest)
      ? written
      : `${rest.replace(/[\s,;.]+$/, '')} per person`;
  }
  if (/\beach\b.*\beach\b/i.test(written)) return written;
  const inside = EACH_INSIDE.exec(written);
  // of a number of pieces it is what one weighs
  const said = inside ? written.slice(inside[0].length) : '';
  // "2 slices of toast each, dry": nothing on it
  const last = /^\s*,\s*(?:dry|plain|bare)\s*$/i.test(said) ? '' : said;
  if (
    !inside ||
    /^\s*,\s*(?:plus|and)\b/i.test(last) ||
    (NUMBERED.test(written) && /\d ?(?:g|oz|ml)$/i.test(inside[1] ?? ''))
  )
    return written;
  return `${inside[1] ?? ''}${last}`.replace(/[\s,;.]+$/, '') + ' per person';
}
