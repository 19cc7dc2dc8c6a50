import { findFood, SURE } from '@/core/food/find';
import { clean } from './clean';
import { printedEaters } from './eaters';
import { readServings, type ServingsReading } from './servings';
import { platesOfPieces, servingsInTitle } from './servings-told';

/** Whether a text names a food as surely as that. */
export const isNamed = (text: string, sure: number): boolean =>
  (findFood(clean(text).toLowerCase(), '', 1)[0]?.confidence ?? 0) >= sure;

const MANY = '(?:\\d{1,2}|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty|thirty)';
/** "Three bean stew", "20-minute noodles": a number before one thing is a name, not an amount. */
const OF_MANY = new RegExp(
  `^${MANY}[- ](?:bean|grain|seed|ingredient|minute|min|hour|day|layer|step|veg|vegetable|mushroom|herb|spice|colou?r|way|pea|lentil|pulse|pot|pan|tray)[- ]+[a-z]`,
  'i',
);
const OF_MANY_JOINED = new RegExp(
  `^(?:${MANY}|1|one)-(?!inch|ounce|pound|cup|gram|pint|lit|quart|kilo|third|half|to-)(?:[a-z]{2,}[^s\\W])[- ]+[a-z]`,
  'i',
);
/** "One pan orzo": the vessel that all is made in. */
const OF_ONE_VESSEL = /^One (?:pot|pan|tray|sheet|skillet|wok|bowl)[- ]+(?=[a-z])/;

/** Whether a row that begins with a number is a dish's name by its make. */
export function isCompoundName(text: string): boolean {
  if (/\b\d+\s*(?:g|kg|ml|oz|tbsp|tsp|cups?)\b/i.test(text)) return false;
  const vessel = OF_ONE_VESSEL.exec(text)?.[0];
  if (vessel) return !isNamed(text.slice(vessel.length), SURE);
  return OF_MANY.test(text) || OF_MANY_JOINED.test(text);
}

const FOR_MANY =
  /[ (]for ((?:one|two|three|four|five|six|seven|eight|ten|twelve|a crowd of \d+|\d{1,2})(?: people)?)(?:[- ]?ish)?(?=\s*(?:$|[,;(–)]|- ))/i;
/** "for a crowd (12)", "Bircher x2". */
const CROWD = /\bfor (?:an?|the|my|our) [a-z]+(?: [a-z]+)?\s*\((\d{1,3})\)|\s[x×]\s?(\d{1,2})$/i;
/** "Muffins (12)". */
const PIECES = /[a-z]s\s*\((?:x ?)?(\d{1,2})(?: (?:small|large|big|mini|medium|little))?\)\s*$/i;
/** "Nourish bowl (2)", "overnight oats x 3 jars". */
const PLATES =
  /\(\D{0,24}\b(\d{1,2}) ?[x×] ?\d{2,3} ?(?:g|ml)\)\s*$|[a-z]\s*\((?:x ?)?(\d{1,2})\)\s*$|[a-z)!]\s+\(?(\d{1,2}) (?:ppl|people|pax|persons|portions|servings|serves)\)?\s*$|\s[x×]\s?(\d{1,2}) (?:jars|bowls|pots|glasses|portions|servings|boxes)\s*(?:\([^()]*\))?\s*$/i;
/** "Black bean burgers – 6 burgers": so many of what it is called. */
const SO_MANY_OF = /\b([a-z]{3,}s)\b.*\s[–—-]\s*(?:about )?(\d{1,2}) (?:(?:big|small|large|little) )?\1\s*$/i;
/** "Bolognese. Double batch: 8 portions, half for the freezer". */
const A_NUMBER_OF = /\b\d{1,2} (?:portions|servings|helpings|bowls|plates)\b/i;
const SAYS = /\s*[(,–-]?\s*\b(?:serves|makes|feeds)\b.*$/i;
/** Characters of what a title says beside the name. */
const LONGEST_ASIDE = 60;
const LOOSE_END = /\s+[/|·-]+$/;

/** A title without what it says of plates, and all that it may say of them, the surest first. */
export function readTitle(written: string): { readonly title: string; readonly servings: ServingsReading[] } {
  const title = written.replace(LOOSE_END, '');
  const [many, crowd, pieces, plates] = [FOR_MANY, CROWD, PIECES, PLATES].map((pattern) => {
    const m = pattern.exec(title);
    return m?.slice(1).find((n) => n !== undefined);
  });
  const said = readServings(title);
  const says = said && !('problem' in said) && SAYS.test(title);
  const called = SO_MANY_OF.exec(title);
  const number = A_NUMBER_OF.exec(title)?.[0];
  const lower = title.toLowerCase();
  const printed = printedEaters(lower);
  // "Carrot soup (fills 4 jars, a jar does 4)", "Soup, serves me & him"
  const [behind = ''] = /(?<=[(,–—-]\s*)[^(]*$/.exec(lower) ?? [];
  const inside = /\(([^()]+)\)\s*$/.exec(lower)?.[1];
  const apart = [inside ?? '', lower.slice(lower.indexOf(', ') + 2), behind.replace(/\)$/, '').trim()].map(
    (words) => (words.length < LONGEST_ASIDE && words !== lower ? printedEaters(words) : ''),
  );
  const counted = apart.find((words) => /^serves [\d.]+(?:-[\d.]+)?(?:$| )/.test(words));
  const servings = [
    counted && readServings(counted),
    inside && /^(?:feeds|serves|does)\b.*\bor\b/.test(inside) && readServings(inside),
    // "…, two dinners for two"
    printed !== lower && readServings(/\bserves \d.*$/.exec(printed)?.[0] ?? ''),
    // "enough for 5, or 4 greedy"
    many &&
      readServings(
        title
          .slice(FOR_MANY.exec(title)?.index ?? 0)
          .replace(/^[ (]+/, '')
          .replace(/\)$/, ''),
      ),
    many && readServings(`for ${many}`),
    crowd && readServings(`serves ${crowd}`),
    pieces && readServings(`makes ${pieces}`),
    called && readServings(`makes ${called[2]} ${called[1]}`),
    plates && Number(plates) > 0 && readServings(`serves ${plates}`),
    number && readServings(number),
    servingsInTitle(title),
    says && said,
  ]
    .filter((r): r is ServingsReading => Boolean(r))
    .map((r) => ('range' in r ? platesOfPieces(r, [title]) : r));
  return { title: (says && title.replace(SAYS, '').replace(LOOSE_END, '').trim()) || title, servings };
}
