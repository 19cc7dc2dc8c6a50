import { remember } from '@/core/memo';
import { clean } from './clean';
import { startsWithAmount, startsWithMeasure } from './score';
import type { Stretch } from './source';
import { isNamed } from './title-said';

const LONGEST = 400;
const FEWEST = 2;
/** A stop between two items; one behind a short measure ("1 med.") ends it too. */
const STOP = /(?<=[a-z)\d½¼¾⅓⅔])\.\s+(?=[A-Z\d½¼¾⅓⅔])/g;
/** A name and how much of it behind it: "Garlic, 2 fat cloves", "Onion 1 med". */
const NAME_FIRST =
  /^([a-z][a-z' -]{2,30}?)(?:\s*[:,=–—-]\s*|\s+)(?=(?:about |roughly |around )?(?:\d|[½¼¾⅓⅔]|an? |half |one |two |three |four |five |six |eight |ten ))/i;
const OPENS_WORDS =
  /^(?:about |roughly |around )?(?:an? |half |one |two |three |four |five |six |eight |ten )/i;
/** A sentence that tells what somebody does is no item. */
const TELLS =
  /\b(?:i|we|she|he|they|you|it|add|stir|fry|cook|cooks|bake|boil|simmer|blend|put|goes?|until|till|then|serve|minutes?|mins?|hours?)\b/i;

/** "or 4 fresh when they are good". */
const WHEN_THEY = /,?\s+(?:when|if|where|unless|so long as) (?:they|it|you|there)\b.*$/i;

function isItem(words: string): boolean {
  const plain = clean(words).replace(WHEN_THEY, '');
  if (TELLS.test(plain)) return false;
  const name = NAME_FIRST.exec(plain);
  const opens = (text: string) => startsWithAmount(text) || startsWithMeasure(text) || OPENS_WORDS.test(text);
  const behind = plain.slice(name?.[0].length ?? 0);
  if (name?.[1] && isNamed(name[1], SURE) && opens(behind)) return !FURTHER.test(behind);
  const measured = startsWithAmount(plain) || startsWithMeasure(plain);
  return measured && !FURTHER.test(plain) && isNamed(plain.split(/[,(]/)[0] ?? '', SURE);
}
/** Another amount behind the first, or so much of each: more than one item. */
const FURTHER = /\beach\b|(?:,|\+|&|\band\b)\s*(?:about )?(?:\d|[½¼¾⅓⅔]|an? |half |one |two |three |four )/i;
/** How sure a name must be. */
const SURE = 0.9;

/**
 * A row that lists its foods in sentences, each with how much of it: "Onion 1 med. Garlic, 2 fat cloves. Tomatoes, a 14 oz
 * can."; null where one of them is anything else.
 */
export const sentenceList = remember(sentencesNow);
function sentencesNow(text: string): Stretch[] | null {
  if (text.length > LONGEST) return null;
  const out: Stretch[] = [];
  let from = 0;
  for (const end of [...[...text.matchAll(STOP)].map((m) => m.index), text.replace(/[.\s]+$/, '').length]) {
    const lead = /^[.\s]*/.exec(text.slice(from, end))?.[0].length ?? 0;
    out.push({ text: text.slice(from + lead, end), start: from + lead, end });
    from = end;
  }
  return out.length >= FEWEST && out.every((item) => isItem(item.text)) ? out : null;
}
