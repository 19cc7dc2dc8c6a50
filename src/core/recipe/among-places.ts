import { namesFood } from '@/core/food/find';
import { readQuantity } from '@/core/measure/quantity';
import { clean } from './clean';

/**
 * One food in several places of a dish: "walnuts: 40 g in the batter, 20 g on top", "1 tbsp oil for frying, 1 tsp for the
 * tin". All of it goes in.
 */

const NUMBER = String.raw`(?:\d+(?:[./]\d+)?(?: \d\/\d)?[½¼¾⅓⅔]?|[½¼¾⅓⅔]|half an?|an?|one|two|three|four|five|six)`;
const UNIT =
  '(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|mugs?|spoons?|spoonfuls?|handfuls?|cloves?|tins?|cans?|slices?|g|kg|ml|l|oz|lbs?|pinch(?:es)?|T|t)';
const AMOUNT = String.raw`(?:(?:about|another|a further|~) ?)?(?:${NUMBER}(?: ?(?:heaped |level |good |small |scant |rounded )?${UNIT})?|another)(?![\wà-ÿ])`;
/** Whose it is elsewhere is no place. */
const NO_PLACE =
  '(?!(?:hers|his|mine|ours|theirs|book|original|recipe|packet|card|old|new|picture|end of)\\b)';
const PLACE = String.raw`(?:(?:in(?:to)?|on(?:to)?|for|over|through|under) (?:the|an?|my|our|each|every|its|this) ${NO_PLACE}[a-z]+(?:[ -](?!and\b|then\b|plus\b|or\b)[a-z]+)?|for [a-z]+ing|on top(?: of (?:the |it|them|each )?[a-z]*)?|at the (?:side|table|end|start|beginning|very end)|to (?:serve|finish|start|begin|scatter|sprinkle|garnish|drizzle|top|dust|grease|cook|fry)|in|on|inside|outside|underneath|afterwards)(?![a-z])`;
const AND = String.raw`(?:\s*[,;]\s*(?:and |then |plus |\+ ?)?|\s+(?:and|then|plus|\+|&)\s+)`;
const NAME = "((?:[a-zà-ÿ'-]+ ){0,3}?[a-zà-ÿ'-]+)";
const PARTS = `(${AMOUNT}) ${PLACE}((?:${AND}${AMOUNT} ${PLACE})+)`;
/** "walnuts: 40 g in the batter, 20 g on top". */
const NAMED_FIRST = new RegExp(
  String.raw`(?<=^\s*|[.!?;]\s+)${NAME}(?:\s*[:,(–—-]+\s*|\s)(?:(${AMOUNT})\s*[:(–—-]\s*)?${PARTS}\)?(?=\s*(?:$|[.,;!(]))`,
  'gi',
);
/** "40 g walnuts in the batter, 20 g on top". */
const NAMED_BEHIND = new RegExp(
  String.raw`(?<![\wà-ÿ/.½¼¾⅓⅔-])(?<!\d\s)(${AMOUNT}) (?:of )?${NAME},? ${PLACE}((?:${AND}${AMOUNT} ${PLACE})+)(?=\s*(?:$|[.,;!()]))`,
  'gi',
);
const EACH_PART = new RegExp(`(${AMOUNT}) ${PLACE}`, 'gi');
const OF_UNIT = new RegExp(`^(.*?) ?((?:(?:heaped|level|good|small|scant|rounded) )?${UNIT})$`, 'i');
const MAY_BE = /\b(?:in|on|for|to|at|over|through|into|onto|under)\b/i;

/** Units that go into one another. */
const FAMILIES: readonly Readonly<Record<string, number>>[] = [
  { tsp: 1, teaspoon: 1, tbsp: 3, tablespoon: 3, cup: 48 },
  { g: 1, kg: 1000 },
  { ml: 1, l: 1000 },
  { oz: 1, lb: 16 },
];
const plain = (unit: string): string => unit.toLowerCase().replace(/(?<=..)s$/, '');

/** Several amounts as one, "60 g" or "1 tbsp + 1 tsp"; null where one of them is not understood. */
function sumOf(amounts: readonly string[]): string | null {
  const parts: { number: number; unit: string }[] = [];
  for (const amount of amounts) {
    const said = amount.replace(/^(?:about|another|a further|~) ?/i, '').trim();
    const before = parts.at(-1);
    // "another on top": as much again
    if (!said) {
      if (!before) return null;
      parts.push(before);
      continue;
    }
    const [, count = said, unit = ''] = OF_UNIT.exec(said) ?? [];
    const q = readQuantity(/^an?$/i.test(count.trim()) ? '1' : clean(count).trim(), 0);
    if (!q) return null;
    parts.push({ number: q.best, unit: unit || (before?.unit ?? '') });
  }
  const units = new Set(parts.map((p) => plain(p.unit)));
  const [first] = parts;
  if (units.size === 1 && first)
    return `${Math.round(parts.reduce((sum, p) => sum + p.number, 0) * 1000) / 1000} ${first.unit}`.trim();
  if (units.has('')) return null;
  const family = FAMILIES.find((f) => [...units].every((unit) => f[plain(unit)] !== undefined));
  if (!family) return parts.map((p) => `${p.number} ${p.unit}`).join(' + ');
  // "1 tbsp and 1 tsp" are 4 tsp
  const smallest = [...units].sort((a, b) => (family[plain(a)] ?? 1) - (family[plain(b)] ?? 1))[0] ?? '';
  const all = parts.reduce((sum, p) => sum + p.number * (family[plain(p.unit)] ?? 1), 0);
  return `${Math.round((all / (family[plain(smallest)] ?? 1)) * 1000) / 1000} ${smallest}`;
}

/** A text with what goes into several places put as all of it. */
export function amongPlaces(text: string, keep = false): string {
  if (!MAY_BE.test(text)) return text;
  const put = (all: string, amounts: string[], name: string, lead: string): string => {
    const words = name.split(' ');
    const at = words.findIndex((_, i) => namesFood(words.slice(i).join(' ')));
    const sum = at < 0 ? null : sumOf(amounts);
    if (sum === null || (at > 0 && lead !== '')) return all;
    const said = `${words.slice(0, at).join(' ')}${at > 0 ? ' ' : ''}${sum} ${words.slice(at).join(' ')}`;
    if (!keep) return said;
    return said.length > all.length ? all : said.padEnd(all.length);
  };
  const parts = (behind: string) => [...behind.matchAll(EACH_PART)].map((m) => m[1] ?? '');
  return text
    .replace(
      NAMED_FIRST,
      (all: string, name: string, total: string | undefined, first: string, behind: string) =>
        put(all, total ? [total] : [first, ...parts(behind)], name, ''),
    )
    .replace(NAMED_BEHIND, (all: string, first: string, name: string, behind: string) =>
      put(all, [first, ...parts(behind)], name, 'behind'),
    );
}
