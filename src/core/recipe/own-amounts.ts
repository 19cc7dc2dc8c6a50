import { pattern } from '@/core/pattern/pattern';
import { readQuantity } from '@/core/measure/quantity';
import { clean } from './clean';

/** "- I halve that", "(we use half)": how much of what is written is taken here. */
export const TAKES_PART =
  /\s*[-–—,;(.]+\s*(?:but |though )?(?:(halved|doubled) (?:here|now|for us|these days)|(?:i|we)(?:'ve| have)?(?: now| always| usually)? (?:(halved?|doubled?)(?: (?:that|it|this|them))?|(?:use|do|put|take|have|only use|go for|give it)(?: only| just| about)? (half|a third|a quarter|double|twice)(?: of)?(?: (?:that|it|this|them|as much))?))(?:,? (?:and|as) (?!half\b)[^\d();,]*)?\)?[.!]*\s*$/i;
const PARTS: Readonly<Record<string, number>> = {
  halve: 1 / 2,
  halved: 1 / 2,
  half: 1 / 2,
  'a third': 1 / 3,
  'a quarter': 1 / 4,
  double: 2,
  doubled: 2,
  twice: 2,
};
const ROUND = 1000;

/** "a level tsp salt - I halve that": so much of it as is taken. */
export function takenPart(line: string): string {
  const m = TAKES_PART.exec(line);
  if (!m) return line;
  const written = clean(line.slice(0, m.index));
  const at = /^\s*(?:about |around |roughly )?/i.exec(written)?.[0].length ?? 0;
  const q = readQuantity(written.toLowerCase(), at);
  const part = PARTS[(m[1] ?? m[2] ?? m[3] ?? '').toLowerCase()];
  // the line as it stands is the larger: what cannot be shared out is left
  if (!q || part === undefined) return written;
  const figure = (n: number) => String(Math.round(n * part * ROUND) / ROUND);
  const amount = q.low === q.high ? figure(q.low) : `${figure(q.low)}-${figure(q.high)}`;
  // "(400 ml)" is of the whole
  const rest = written
    .slice(q.end)
    .trimStart()
    .replace(/\((\d{2,4}) ?(g|ml)\)/gi, (_, n: string, unit: string) => `(${figure(Number(n))} ${unit})`);
  return `${written.slice(0, at)}${amount} ${rest}`;
}

/** An amount, and what it is measured in. */
export const AN_AMOUNT = String.raw`(?:about )?(?:\d[\d./-]*|an?|half an?|one|two|three)\s*(?:heaped |level )?`;
export const A_SPOON =
  'tbsps?|tsps?|tablespoons?|teaspoons?|cups?|ml|g|oz|spoons?|spoonfuls?|handfuls?|pinch(?:es)?';
/** "1 tbsp soy sauce, then I added another spoon", "plus a splash at the end": more of the same. */
const MORE_WENT_IN = pattern(
  new RegExp(
    String.raw`^(\s*${AN_AMOUNT}(?:${A_SPOON}))\s+((?:of )?[a-z][^,;()\d+]*?)\s*(?:[,;(+–-]+\s*|\s(?=(?:plus|and|then)\b))(?:(?:plus|and|then|but|\+|&)\s+)*(?:(?:i|we|it) (?:added|add|put in|put|used|use|needed|took|gave it)\s+)?(?:(another|an extra|one more|yet another)|(?<=\b(?:plus|and|then) |\+ )an?)(?:\s+(?:good |big |little |small |wee |tiny )?(splash|drizzle|dash|pinch|glug|slosh|knob|handful|sprinkle|squeeze|dollop|bit|spoon(?:ful)?|half|one|tbsp|tsp|tablespoon|teaspoon|cup))?(?:\s+(?:of it|more|extra))?(?:\s+(?:at|to|for|when|if|later|near|on|over|in|before|after|towards|because|as)\b[^,;()]*)?\)?[.!]*\s*$`,
    'i',
  ),
);
const BY_EYE = pattern(
  /^(?:splash|drizzle|dash|pinch|glug|slosh|knob|handful|sprinkle|squeeze|dollop|bit)$/i,
);
/** Both amounts before the food. */
export function andMore(line: string): string {
  const m = MORE_WENT_IN.exec(line);
  const [, amount = '', food = '', another, of = ''] = m ?? [];
  // "and a" alone is another food
  if (!m || (!of && !another)) return line;
  const unit = /[a-z]+\s*$/i.exec(amount)?.[0].trim() ?? '';
  const own = /^(?:spoon(?:ful)?|one|)$/i.test(of);
  const more = BY_EYE.test(of)
    ? `a ${of}`
    : own
      ? `1 ${unit}`
      : /^half$/i.test(of)
        ? `0.5 ${unit}`
        : `1 ${of}`;
  // grams say nothing of how much another is
  if ((own || /^half$/i.test(of)) && /^(?:g|ml|oz)$/i.test(unit)) return line;
  return `${amount} + ${more} ${food}`;
}

const MEASURED = String.raw`(?:about )?(?:\d[\d./]*(?: \d/\d)?|[½¼¾⅓⅔]|\d[½¼¾⅓⅔]|an?|half an?|one|two|three|four)\s*(?:heaped |level |good )?(?:${A_SPOON}|T|t)\b`;
const PLACE = String.raw`(?:for|in|on|over|at|to|into|through)(?: (?:the|your|each|my|our))? [a-z]+(?: [a-z]+)?`;
/** "2 tbsp oil for the pan, 1 tbsp for the top", "salt 1 tsp, plus 1 tsp at the end": so much, and so much again. */
const AND_AGAIN = pattern(
  new RegExp(
    String.raw`^\s*(?:(${MEASURED})\s+(?:of )?([a-z][a-z' ]*?)|([a-z][a-z' ]*?)\s*[,:]?\s+(${MEASURED}))(?:\s+${PLACE})?\s*(?:[,;(+&–-]+\s*|\s(?=(?:plus|and|then)\b))((?:(?:plus|and|then|another|again|a further|an extra|\+|&)\s+)*)(${MEASURED}|(?<=(?:another|further|extra)\s)(?:${A_SPOON}|t)\b)(\s+(?:more|extra|again|of it))?(\s+(?:for|in|on|over|at|to|towards|when|later|after|before|as)\b[^,;()\d]*)?\)?[.!]*\s*$`,
    'i',
  ),
);
const WEIGHT = pattern(/(?:g|ml|oz)$/i);
/** Both amounts before the food. */
export function andAgain(line: string): string {
  const m = AND_AGAIN.exec(line);
  const [, first, behind, before, second, joined = '', again = '', more, place] = m ?? [];
  const [amount, food] = [first ?? second, behind ?? before];
  if (
    !amount ||
    !food ||
    /\b(?:each|apiece|pp|or|of)\b/i.test(
      line
        .slice(0, -1)
        .replace(/\bof it\b/gi, '')
        .replace(/^[^a-z]*[a-z]+ of /i, ''),
    )
  )
    return line;
  // "another spoon" is of the same kind: andMore
  if (/^(?:spoon|spoonful)s?$/i.test(again)) return line;
  // "plus 2 tbsp for dusting" is not all eaten; "a spoon at a time" is how
  if (/\b(?:for [a-z]+ing|at a time)\b/i.test(line)) return line;
  // "2 tbsp tahini (30 g)" weighs what it is
  if (!joined && !more && (!place || WEIGHT.test(amount) !== WEIGHT.test(again))) return line;
  return `${amount} + ${/^[a-z]/i.test(again) && !/^(?:an?|half|one|two|three|four|about)\b/i.test(again) ? `1 ${again}` : again} ${food}`;
}

const PACKS = 'block|tin|can|pack|packet|bag|jar|carton|tub|head|box|bunch';
/** "half a block tofu, pressed, about 150 g": the weight of the half; in a bracket it may be that of the whole. */
const PART_OF_PACK = pattern(
  new RegExp(
    String.raw`^\s*(half|a quarter|1/2|1/4)(?: of)? (?:an? |the |my |that |our )?(?:${PACKS})s? (?:of )?([a-z][a-z -]*?)((?:,\s*[a-z ]+?)*)\s*([,(-]+)\s*(?:about |around |roughly |~ ?)?(\d+) ?(g|oz)\)?\s*$`,
    'i',
  ),
);
export function partOfPack(line: string): string {
  const m = PART_OF_PACK.exec(line);
  if (!m) return line;
  const [, part = '', food = '', done = '', mark = '', weight = '', unit = ''] = m;
  const whole = Number(weight);
  const least = Math.round(/quarter|4/.test(part) ? whole / 4 : whole / 2);
  return `${mark.includes('(') ? `${least}-${whole}` : whole} ${unit} ${food}${done}`;
}
