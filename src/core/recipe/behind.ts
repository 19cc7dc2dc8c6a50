import { namesFood } from '@/core/food/find';
import { PREPARATION } from './alternatives';
import { readMeasures, weighedAt } from './measures';
import { Reader, type Measure } from './reader';

/** An amount that stands behind a food's name, and the words before it. */
interface Behind {
  readonly measures: readonly Measure[];
  readonly before: string;
  /** The words that were looked through. */
  readonly source: string;
  /** What is said behind it of the food: "rice 200 g brown". */
  readonly which?: string;
}

const NUMBER = String.raw`(?:\d[\d\s./-]*|[½⅓⅔¼¾⅛]|half(?:\s+an?)?|quarter(?:\s+an?)?|one|two|three|four|an?)`;
/** An amount that ends the words: "flour 200 g", "tahini - 2 tbsp", "carrots x 2". */
const AT_END =
  /^(.*?[a-z)])(?<!\b(?:half|of))\s*(?:[-:x,]\s*)?\s(?:x\s*)?((?:about\s+)?(?:\d[\d\s./-]*\s*[a-z. ]*|(?:half |(?:a |one |three )?(?:quarters?|third) of |two thirds of )?an? (?:good |big |small |large |wee )?(?:thumb|inch|handful|pinch|bunch|knob|splash|tin|can|jar|bag|cup|mug|tsp|tbsp|teaspoon|tablespoon)|(?:half|quarter|one|two|three|four) (?:heaped |level |good |big |small |large )?(?:thumb|inch|handful|pinch|bunch|knob|splash|tin|can|jar|bag|cup|mug|katori|tsp|tbsp|teaspoon|tablespoon)s?|(?:half|one|two|three|four|five|six)))$/;
const ALONE =
  /^()((?:about\s+)?(?:\d[\d\s./-]*\s*[a-z. ]*|(?:half|an?|one|two|three|quarter|third)\b[a-z ]{2,40}))$/;
/** An amount between the name and what is said of it: "rajma 1/4 cup likewise". */
const INSIDE = new RegExp(
  String.raw`^([a-z][a-z' -]*?[a-z])\s+((?:about\s+)?${NUMBER}\s*(?:(?:heaped|heaping|rounded|level|scant|generous|good)\s+)?(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|mugs?|ml|l|litres?|g|kg|oz|lbs?|pinch(?:es)?|handfuls?|tins?|cans?|large|medium|small|big|lg|med|sm)\b)(?!\s+(?:of|tins?|cans?|packs?|jars?))(.*)$`,
);
/** What an amount is for: "a pinch for the top". */
const PURPOSE = /\s+(?:for|on|over|at|per|to|in all|altogether|in total|if|as)\b.*$/;
/** "150 g dry": how it was weighed. */
const SAYS_STATE =
  /(?:\s+(?:only|just|max|dry|dried|cooked|raw|uncooked|drained|frozen|fresh|weight|total|altogether))+\s*$/;
const SAYS_HOW = new Set('likewise too also same again each both dry dried cooked raw total'.split(' '));
const LEAD =
  /^(?:(?:tiny|small|little|wee|big|good) (?=pinch|handful|splash|dash|drizzle)|about |a |an |half|one|two|three|four|five|six|\d|½|¼|¾|⅓|⅔|(?:pinch|handful|splash|dash|drizzle)\b)/;

function whole(said: string): readonly Measure[] | null {
  const words = said.replace(/\s*\([^()]*\)\s*$/, '');
  // "5 cloves" alone is a spice; behind a food they are so many of it
  const counted = /\b(?:cloves?|heads?|sticks?|bulbs?|leaves|ribs?)$/.test(words) ? `${words} of` : words;
  const r = new Reader(counted, counted);
  const { measures } = readMeasures(r);
  return measures.length > 0 && /^\s*(?:of)?\s*$/.test(r.text.slice(r.at)) ? measures : null;
}

const OPENS =
  /(?<![^\s,:;(–-])(?=\d|[½⅓⅔¼¾⅛]|\.\d|(?:an?|half|quarter|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|couple|few|several|dozen|about|around|~)\s|~)/g;
/** An amount that ends the words, in any way that one is written: "olive oil, two and a half dl". */
function endsIn(text: string): Behind | null {
  for (const { index } of text.matchAll(OPENS)) {
    const found = weighedAt(text, index);
    if (!found || text.slice(found.end).replace(SAYS_STATE, '').trim() !== '') continue;
    const before = text.slice(0, index).replace(/[\s,:;(–-]+$/, '');
    // "half of 200 g" is more than its last words
    if (/\b(?:half|of|or|to|and|plus|with|in|for)$/i.test(before)) continue;
    return { measures: found.measures, before, source: text };
  }
  return null;
}

function trailing(text: string): Behind | null {
  const trimmed = text.trim();
  const ends = endsIn(trimmed);
  if (ends) return { ...ends, source: text };
  // "1 tin, the usual one": which one, and not how many
  const m = /[a-z] ones?$/.test(trimmed) ? null : (ALONE.exec(trimmed) ?? AT_END.exec(trimmed));
  const measures = m?.[2] ? whole(m[2]) : null;
  return measures ? { measures, before: m?.[1] ?? '', source: text } : null;
}

/** "1 tbsp heaped": how full the spoon is. */
const HEAP = /^(?:heaped|heaping|rounded|level|scant|generous)\b\s*/;
const WITH_WATER =
  /\b(?:(?:made up|cooked|soaked|mixed|covered|boiled|steeped)\s+)?(?:with|in)\s+(?:(?:about )?\d+ ?(?:ml|l|cups?)\s+(?:of\s+)?)?(?:(?:plenty of|hot|boiling|cold|warm|plain|just)\s+)*water\b(?:,?\s+(?:not|no)\s+[a-z]+)?/;
/** Words behind an amount that still say how it is made ready. */
const MOST_SAID = 6;
/** Whether what stands behind an amount is a food of its own: "rice 2 cups stock". */
const holdsFood = (words: readonly string[]): boolean =>
  words.some(
    (w, i) =>
      !SAYS_HOW.has(w) &&
      !PREPARATION.has(w) &&
      [1, 2].some((n) => namesFood(words.slice(i, i + n).join(' '))),
  );

function inside(text: string): Behind | null {
  const m = INSIDE.exec(text.trim());
  const all = (m?.[3] ?? '').trim();
  const heap = HEAP.exec(all)?.[0] ?? '';
  // "made up with hot water not stock"
  const said = all.slice(heap.length).replace(WITH_WATER, '').trim();
  const words = said.split(/\s+/).filter(Boolean);
  const measures =
    m?.[2] && words.length <= MOST_SAID && !/\d|\b(?:with|plus|or)\b/.test(said) && !holdsFood(words)
      ? whole(heap ? m[2].replace(/^(\S+)/, `$1 ${heap.trim()}`) : m[2])
      : null;
  return measures ? { measures, before: m?.[1] ?? '', source: text, which: said } : null;
}

/** "2 medium finely chopped": without what is done. */
function withoutDone(words: string): string {
  const parts = words.split(/\s+/);
  while (parts.length > 1 && (PREPARATION.has(parts.at(-1) ?? '') || /ly$/.test(parts.at(-1) ?? '')))
    parts.pop();
  return parts.join(' ');
}

/** "noodles, 4 nests wholewheat": so many, and which ones. */
function ofWhich(words: string, name: string): readonly Measure[] | null {
  const plain = words.replace(/\s*\([^()]*\)\s*$/, '');
  const r = new Reader(plain, plain);
  const { measures } = readMeasures(r);
  const which = plain.slice(r.at).trim();
  const unit = measures[0]?.unit;
  return name &&
    unit &&
    unit.id !== 'piece' &&
    /^[a-z-]+(?: [a-z-]+)?$/.test(which) &&
    !PREPARATION.has(which) &&
    holdsFood([`${which} ${name}`])
    ? measures
    : null;
}

const COUNT_ALONE =
  /^(?:about )?(?:\d{1,2}|half|a half|a quarter|one|two|three|four|five|six|seven|eight|nine|ten|twelve)$/;

/** "soy sauce, half a cup", "chickpeas, half a can, the salt-free ones", "seeds, a pinch for the top". */
function inPieces(prep: string, name: string): Behind | null {
  for (const piece of prep.split(/,|\s[-–—]\s/)) {
    const words = piece.trim().replace(/^(?:(?:just|only|some)\s+)+/, '');
    // "sweetcorn, small tin"
    const one = /^(?:small|large|big|medium) (?:tin|can|jar|pack|bag|bunch|carton)$/.test(words)
      ? whole(`1 ${words}`)
      : null;
    if (!one && !LEAD.test(words)) continue;
    const measures =
      one ??
      whole(words) ??
      whole(words.replace(PURPOSE, '')) ??
      whole(words.replace(SAYS_STATE, '')) ??
      whole(withoutDone(words)) ??
      ofWhich(words, name);
    // "carrots, four, the thick ones": a number alone counts them
    if (measures?.some((m) => m.unit !== null || m.size !== null || COUNT_ALONE.test(words)))
      return { measures, before: '', source: prep };
  }
  return null;
}

/**
 * The amount of a line that opens with no amount, from the words behind the food: "flour 200 g", "tahini - 2 tbsp",
 * "rajma 1/4 cup likewise". Null where none is said.
 *
 * @param name words up to the first comma or dash
 * @param rest words behind it
 */
export const amountBehind = (name: string, rest: string): Behind | null =>
  trailing(name) ?? trailing(rest) ?? inPieces(rest, name) ?? inside(name);
