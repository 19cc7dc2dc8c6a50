import { clean } from './clean';
import { startsWithAmount, startsWithMeasure } from './score';
import type { Stretch } from './source';
import { isNamed } from './title-said';

const SURE = 0.9;
/** "no butter or oil, ": what is refused, and what joins the rest of the row to it. */
const REFUSED =
  /^(\s*(?:no|without|zero|skip(?: the)?|omit(?: the)?|not any)\s+(?:any )?([a-z][a-z' &/-]{1,40}?))(\s*(?:[,;:.+(–—-]|\s(?:but|just|only|then|plus|so)\b)(?:\s*(?:but|just|only|then|and|plus|so|instead|with|i use|we use|use)\b)*\s*)(?=\S)/i;
const OPENS_WORDS = /^(?:about )?(?:an? |half |one |two |three |four |some )/i;

/**
 * A row that refuses a food and then names another: "no sesame oil, 1 tsp sesame seeds". What is refused, and the rest as
 * a row of its own; null where nothing else is named.
 */
export function afterRefusal(row: Stretch): { refused: Stretch; rest: Stretch } | null {
  const m = REFUSED.exec(row.text);
  const [all, said = '', names = '', joint = ''] = m ?? [];
  if (
    all === undefined ||
    !names.split(/\s+(?:or|nor|and|&)\s+|\s*\/\s*/).every((name) => isNamed(name, SURE))
  )
    return null;
  const bracket = joint.includes('(');
  const rest = row.text.slice(all.length);
  const words = bracket ? rest.replace(/\)\s*[.!]*\s*$/, '') : rest;
  const plain = clean(words);
  const first = plain.split(/[,;(]/)[0] ?? '';
  const amount = startsWithAmount(plain) || startsWithMeasure(plain) || OPENS_WORDS.test(plain);
  const at = row.start + all.length;
  const behind = { text: words, start: at, end: at + words.length };
  // "no salt, no oil, 2 tbsp tahini"
  if (!amount && !isNamed(first, SURE) && !afterRefusal(behind)) return null;
  return { refused: { text: said, start: row.start, end: row.start + said.length }, rest: behind };
}
