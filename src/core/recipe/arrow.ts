import { namesFood } from '@/core/food/find';
import { pattern } from '@/core/pattern/pattern';
import { readMeasures } from './measures';
import { Reader } from './reader';

/** "25 g butter -> marge": what stood before an arrow, and what is behind it. */
const ARROW =
  /^(.*?)\s*(?:->|=>|→)\s*(?:(?:now )?(?:replaced|swapped|changed|switched) (?:by|with|for|to) |now |use |sub(?:stitute)? |swap(?: for)? |with |(?:i|we) (?:now |usually |always )?(?:use|sub(?:stitute)?|do|take|put(?: in)?|have|swap(?: in)?) )?(.+)$/i;

/** So much of what was named before, and of nothing else. */
const ONLY_AMOUNT = pattern(
  /^(?:about )?[\d½¼¾⅓⅔][\d./½¼¾]*\s*(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|c|t|ml|g|kg|oz|l)(?:\s+of (?:it|them|that))?(?=\s*(?:$|[+&,;(]|and\b|plus\b))/i,
);
/** "25 g butter -> use marge": the amount stays, the food is the one behind the arrow. */
export function turnArrow(text: string): string {
  const m = ARROW.exec(text);
  if (!m?.[1] || !m[2]) return text;
  const now = m[2].replace(/\s+instead[.!]*$/i, '');
  // "sugar 1 tsp → half": no more than that
  if (/^(?:about )?(?:an? )?(?:half|quarter|third)(?: of (?:it|that))?$/i.test(now)) return m[1];
  const r = new Reader(m[1].toLowerCase(), m[1]);
  readMeasures(r);
  // "4 oz sugar -> 2 oz (dates, soaked)": the food is in the bracket
  const inside = /^([\d½¼¾⅓⅔][^()]{0,24}?)\s*\(([a-zà-ÿ][a-zà-ÿ' -]*)([,)].*)$/i.exec(now);
  if (inside?.[2] && ONLY_AMOUNT.exec(`${inside[1]}`) && namesFood(inside[2]))
    return `${inside[1]} ${inside[2]}${inside[3] === ')' ? '' : (inside[3] ?? '').replace(/\)$/, '')}`;
  // "½ cup almond butter → ¼ cup + ¼ cup white beans", "→ 150 ml of it": of the same
  const same = ONLY_AMOUNT.exec(now)?.[0];
  if (same)
    return `${same.replace(/\s+of (?:it|them|that)$/i, '')} ${m[1].slice(r.at).trim()}${now.slice(same.length)}`;
  if (/^\d/.test(now)) return now;
  return `${m[1].slice(0, r.at)} ${now}`.trim();
}

/** What a row had before its arrow, without its amount: "4 oz marg -> 4 oz apple puree"; null where it has none. */
export function beforeArrow(text: string): string | null {
  const before = ARROW.exec(text)?.[1];
  if (!before) return null;
  const r = new Reader(before.toLowerCase(), before);
  readMeasures(r);
  return before.slice(r.at).trim() || null;
}
