import { foodOfName } from '@/core/food/find';
import { tokens } from '@/core/food/tokens';
import { always, ladder } from '@/core/pattern/ladder';
import { A_SPOON, AN_AMOUNT } from './own-amounts';
import type { Rung } from './rung';

/** Things that are counted without a measure: "a bunch", "two glugs". */
const A_THING =
  '(?:bunch(?:es)?|handfuls?|glugs?|splash(?:es)?|drizzles?|dash(?:es)?|sprigs?|sticks?|slices?|cloves?|tins?|cans?|jars?|packets?|bags?|knobs?|dollops?|scoops?|sprinkles?|squeezes?|bits?|little)';
const SIZE = '(?:(?:small|large|big|good|little|heaped|level|generous|scant|mean) )?';
const COUNT = String.raw`(?:${AN_AMOUNT}${SIZE}(?:${A_SPOON}|${A_THING})|(?:an?|one|1|two|2|three|3|four|4|half an?|half|½)|(?<!an? |\d )(?:handful|pinch|bunch|splash|glug))`;
const EACH = String.raw`(?: of)? each(?: of (?:them|these|those|the (?:two|three|four)))?`;
/** "… - 2 tbsp of each, whisked" at the end of names. */
const BEHIND = new RegExp(
  String.raw`(?<!\s)(?:\s*[,:–—(-]+\s*|\s+(?=\d))(${COUNT})${EACH}\)?\s*([,(].*)?$`,
  'i',
);
/** "1 each carrot, onion", "one of each: …" before names. */
const BEFORE = /^\s*(an?|one|1|two|2|three|3|half an?|half|½)(?: of)? each(?: of)?\s*:?\s*/i;
const IN_EQUAL_PARTS = /^\s*(?:equal (?:parts|amounts|quantities)|the same)(?: of)?\s+/i;
const NAMES = /^[a-z][a-z' ,+&/-]*$/i;
const BETWEEN_NAMES = /\s*(?:,|\+|&|\band\b|\/)\s*/i;

/** So much of every food that is named; null where one of the names is no food, or two are the same. */
function ofEach(count: string, names: string): string | null {
  if (!NAMES.test(names)) return null;
  const each = names.split(BETWEEN_NAMES).filter((name) => name.trim());
  const foods = each.map((name) => foodOfName(tokens(name.toLowerCase().trim())));
  return each.length > 1 && !foods.includes(undefined) && new Set(foods).size === foods.length
    ? each.map((name) => `${count.trim()} ${name.trim()}`).join(' and ')
    : null;
}

function behindNames(line: string): string {
  const m = BEHIND.exec(line);
  if (!m?.[1]) return line;
  const said = ofEach(m[1], line.slice(0, m.index).replace(IN_EQUAL_PARTS, ''));
  return said === null ? line : `${said}${m[2] ?? ''}`;
}

function beforeNames(line: string): string {
  const m = BEFORE.exec(line);
  if (!m?.[1]) return line;
  const rest = line.indexOf('(', m[0].length);
  const end = rest < 0 ? line.length : rest;
  const said = ofEach(m[1], line.slice(m[0].length, end).trim());
  return said === null ? line : `${said}${line.slice(end)}`;
}

/** Ways of saying that there is so much of each of several foods, which is not so much for each who eats. */
export const OF_SEVERAL: readonly Rung[] = [
  { says: '1 each carrot, onion', reads: '1 carrot and 1 onion', ...always(beforeNames) },
  {
    says: 'tahini, lemon juice and yeast flakes - 2 tbsp of each',
    reads: '2 tbsp tahini and 2 tbsp lemon juice and 2 tbsp yeast flakes',
    ...always(behindNames),
  },
];

/** Read before "each" is read as of everybody. */
export const ofSeveral = ladder(OF_SEVERAL);
