import { readMeasures } from './measures';
import { Reader } from './reader';

/** "each", "a head": so much for everyone who eats. */
const PER_HEAD =
  /(?<!\b(?:half|quarter|third|kcal|cals?|calories)|\d ?m?g (?:of )?(?:fat|salt|sodium|sugars?|protein))[\s,(]+(?:(?:for |on |to )?each of us|(?:on |in |over |to )?each (?:person|plate|plateful|bowl|bowlful|serving|portion|diner|eater|guest)|(?:(?:for|on|over|to|in) )?each|apiece|pp|a (?:head|plate|bowl|person|diner|serving|portion|(?<=\d ?(?:g|ml|tbsps?|tsps?)[\s,(]+a )(?:jar|glass|pot))|(?:per|for each|for every) (?:person|head|plate|serving|portion|bowl|jar|glass|diner|eater))\)?(?=\s*(?:$|[,;]|[–-]\s|\((?!\D{0,8}\d)|(?:on top|on the side|on (?:mine|ours)|to (?:serve|finish|start)|if|at (?:the (?:table|end)|most)|or so|max|tops|roughly|for the (?:top|side))\b))/g;
const COUNTED_EACH =
  /(?:\d|\btwo|\bthree|\bfour)\s+(?:[a-z-]+\s+){1,4}\(\s*(?:about |around )?\d[\d.]* ?(?:g|kg|ml|oz)\s+(?:each|apiece)\s*\)\s*$/;
/** "100 g each": what one of several weighs. */
const WEIGHS_ONE =
  /\d\s*(?:g|kg|ml|oz|lb)\s+(?:(?:drained|net|when drained|peeled|trimmed)\s+)?(?:each|apiece)\)?\s*$/;
const SHARED_OUT =
  /^\s*(?:[1-9]\d?|two|three|four|five|six|eight|ten|twelve)\s+(?!(?:g|kg|ml|oz|tsps?|tbsps?|cups?)\b)[a-z][^,;(]*[,(–-]+\s*(?:one|two|three|half|a half|\d{1,2})\s+(?:each|apiece|per (?:person|head|plate)|a head)\)?\s*$/;
const COUNTED =
  /^\s*(?:\d|(?:an?|half|one|two|three|four|five|six|seven|eight|nine|ten|twelve)\b|pinch|scant|heap)/;

/** True where some word is neither a number nor a measure. */
function namesSome(words: string): boolean {
  const r = new Reader(words, words);
  readMeasures(r);
  return /[a-z]{3}/.test(words.slice(r.at));
}

/**
 * Where a line's words say that its amount is for everyone who eats: "75 g rice each, rinsed". Null where none do: "3
 * carrots, 100 g each" is what one weighs, "1 tsp each, cumin and coriander" is of several.
 *
 * @param text in lower case
 */
export function eachAt(text: string): RegExpExecArray | null {
  const counted = COUNTED.test(text);
  for (const m of text.matchAll(PER_HEAD)) {
    const to = m.index + m[0].length;
    const before = text.slice(0, to);
    if (to < text.trimEnd().length && !namesSome(text.slice(0, m.index))) continue;
    // "2 blocks of tofu (300 g each)"
    if (COUNTED_EACH.test(before)) continue;
    // "8 pittas, two each": the eight, shared out
    if (SHARED_OUT.test(before)) continue;
    if (counted && WEIGHS_ONE.test(before.replace(/^\s*\d[\d.]*\s*(?:g|kg|ml|oz|lb)\b/, ''))) continue;
    return m;
  }
  return null;
}
