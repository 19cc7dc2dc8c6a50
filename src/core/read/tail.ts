import { pattern } from '@/core/pattern/pattern';
import { TO_CHECK } from '@/core/recipe/asides';
import { ADDED_KINDS } from '@/core/food/kind-groups';
import type { Larder } from '@/core/food/larder';
import { tokens } from '@/core/food/tokens';
import { readLineWords, type FoodWords, type LineWords } from '@/core/recipe/line';
import { negated } from '@/core/step/negated';
import { find, fromCan, NOTHING, type Found } from './food-of';

/** What is done to a food on its own line with another food. */
const DONE =
  '(?:pan-?|stir-?|dry-?|shallow-?|deep-?)?(?:fried|sauté?ed|sauteed|roasted|toasted|tossed|softened|wilted|braised|marinated|browned|coated|dressed|rolled|dipped|cooked|massaged|brushed|rubbed|glazed|stuffed|filled|spread|topped|mixed|whisked|blended|mashed|crushed|thinned|loosened|let down|sweetened|seasoned|sprinkled|drizzled|sprayed|moistened|caramelised|caramelized|ground|beaten|ground up|worked|charred|griddled|grilled|baked|crisped|simmered|poached|soaked|served|finished|creamed|bound|sweated|[a-z]{3,}(?<!\\b(?:dri|cann|tinn|jarr|pack|preserv|bottl|pickl|cur|sold|load|want|need|dress|season|flavour|flavor|enrich|fortifi|sweeten|serv))ed)';

const WITH = pattern(
  new RegExp(
    `\\b${DONE}(?:\\s+(?:\\w+ly|overnight|first|together|well))?(?:\\s+(?:to|into) an? [a-z]+)?\\s+(?:in|with)\\s+([^,;()]+)`,
    'gi',
  ),
);
/** "black beans with a bit of broth": more than the name. */
const WITH_SOME = pattern(
  /\swith\s+((?:an? (?:good |small |little |tiny )?(?:bit|little|splash|dash|drizzle|few|touch|spoonful|squeeze|knob|handful|pinch|dollop|sprinkle|sprinkling|ladle|ladleful)\b(?: of)?|some|\d|half an?)\s?[^,;()]*)/gi,
);
const PLUS = pattern(/(?:^|[,(+;]\s*|\s)(?:plus|,\s*and|and also)\s+([^,;()]+)/gi);
/** "+ 1 tin kidney", "+ 2 cardamom": a further amount. */
const PLUS_SIGN = pattern(/(?:^|\s)\+\s+([^,;()+]+)/g);
const SALTED_WATER = pattern(
  /(?:\b(?:boiled|cooked|blanched|simmered) )?\bin (?:well |lightly |plenty of |a pot of |boiling )*salted (?:boiling )?water/i,
);
const BUTTERED = pattern(/(?:^|[\s,(])(buttered|oiled|salted|sugared)(?=[\s,)]|$)/gi);
const FOOD_OF: Readonly<Record<string, string>> = {
  buttered: 'butter',
  oiled: 'oil, for greasing',
  salted: 'salt',
  sugared: 'sugar',
};
/** Words that end what a phrase names: a time, a further step, a purpose. */
const ENDS = pattern(
  /\s+(?:until|till|for (?:\d|a |an |the |about )|then|before|after|while|over|on|at|so that|if|when|overnight|instead|to (?:coat|dust|thicken|bind|finish|serve|taste|garnish|loosen|top|sprinkle|drizzle|spread|dip))\b.*$/i,
);
/** "1 lime, zest and juice": of the line's own fruit. */
const OWN_PART = /^(?:the )?(?:juice|zest|rind|peel)$/i;
/** Another line's food, spoken of again. */
const ELSEWHERE =
  /^(?:the|that|this|these|those|its|their|any|remaining|reserved|rest|same|half the|some of the|more|extra)\b/i;

/** "sliced and 2 tbsp oil": what comes behind a preparation. */
const AND = pattern(/\s(?:and|&)\s+([^,;()]+)/gi);
const MEASURE =
  'tbsp|tbsps|tablespoons?|tsp|tsps|teaspoons?|cups?|ml|dl|g|kg|oz|fl oz|lb|lbs|pints?|litres?|l';
const VESSEL =
  'tins?|cans?|jars?|packs?|packets?|bags?|cartons?|handfuls?|pinch(?:es)?|cloves?|slices?|blocks?|bunch(?:es)?|splash(?:es)?|drizzles?|knobs?';
const COUNTED = pattern(
  new RegExp(
    `^(?:about |some )?(?:\\d|[½⅓⅔¼¾⅛]|half an?\\b|an? (?=(?:tbsp|tsp|cup|tablespoon|teaspoon|${VESSEL})\\b))[^a-z]*(?:${MEASURE}|${VESSEL})\\b|^one (?:(?:${VESSEL}) )?of\\b`,
    'i',
  ),
);
/** A segment behind a comma that is a food and nothing else. */
const ALONE = pattern(
  /,\s*((?:an? (?:little|drizzle of|splash of|bit of|pinch of|knob of) |some )?[a-z][a-z -]{2,28}?)\s*(?=,|;|$)/gi,
);
/** Kinds that a cook adds in passing. */
const SEASONS = new Set<string>([...ADDED_KINDS, 'condiment', 'stock']);

/** A further amount behind a comma: "2 tbsp mayo, 3 tbsp of that sauce"; what it counts must be understood too. */
const AMOUNT = pattern(
  new RegExp(
    `[,;]\\s*(?:and\\s+)?((?:\\d+[\\d./½⅓⅔¼¾⅛ -]*|[½⅓⅔¼¾⅛]|half an?|an?)\\s*(?:${MEASURE}|cans?|tins?|cloves?|heaped \\w+|level \\w+)\\b\\.?\\s+(?:of\\s+)?[a-z][^,;()]*)`,
    'gi',
  ),
);
/** Words behind an amount that speak of the line's own food. */
const OF_ITSELF =
  /^(?:it|them|which|these|those|of (?:it|them|which|the|these|those)\b|(?:drained|peeled|total|weight|net|each|cooked|uncooked|raw|dry|dried|prepared|trimmed|in all|altogether|or|and|before|after|unpeeled|reserved|set aside|kept|left|for|to|in|at|if|when|once|plus|wide|long|thick|packs?|packets?|tins?|cans?|jars?|bags?|size|cubes?|pieces?|chunks?|slices?|florets?|per|more|extra|also|approx|roughly|about|then|with|from|apiece|a piece|ready|shelled|stoned|pitted|edible|bunch|portions?|soaked|rinsed|finely|roughly|chopped|sliced|diced|grated|minced|juice only|worth|max|minimum|is|was|goes|will)\b)/i;
/** "plus 2 tbsp of its juice": the liquid of the line's own food. */
const ITS_LIQUID = /\s+(?:of )?(?:its|their|the) (?:own )?(juice|brine|liquid|liquor|syrup|oil|water)\b/i;
/** "plus 2 tbsp for dusting": more of the line's own food. */
const MORE_OF_IT = new RegExp(
  `^((?:\\d+[\\d./½⅓⅔¼¾⅛ -]*|[½⅓⅔¼¾⅛]|an?)\\s*(?:${MEASURE}|${VESSEL}|more|extra)\\b\\.?)\\s*(?:(?:more|extra|for|to)\\b.*)?$`,
  'i',
);

/** A food that a line brings beside its own: "fried in 2 tbsp butter". */
export interface TailFood {
  readonly words: FoodWords;
  readonly line: LineWords;
  readonly found: Found;
}

/** How sure a name must be that takes its noun from the line's food. */
const LENT = 0.95;

/** What an amount of its own names; a food that is not known is not passed over. */
function amountIn(phrase: string, larder: Larder, of = ''): TailFood[] {
  const plain = ENDS.replace(phrase, '').trim();
  const line = readLineWords(of ? plain.replace(ITS_LIQUID, ` ${of.split(' ').at(-1)} $1`) : plain);
  const [words] = line.foods;
  if (line.none || !words?.food || words.measures.length === 0) return [];
  if (OF_ITSELF.test(words.food) || ELSEWHERE.test(words.food)) return [];
  const found = find(words, larder);
  if (found.food) return [{ words, line, found }];
  // "2 tins pinto beans + 1 tin kidney": the noun is the line's
  const head = of.split(' ').findLast((w) => !/(?:ed|ly)$/.test(w)) ?? '';
  const noun = `${words.food} ${head}`.trim();
  const lent = of ? find({ ...words, food: noun }, larder) : NOTHING;
  return lent.food && lent.confidence >= LENT
    ? [{ words: { ...words, food: noun }, line, found: lent }]
    : [{ words, line, found }];
}

function foodsIn(phrase: string, larder: Larder): TailFood[] {
  return ENDS.replace(phrase, '')
    .split(/\s+(?:and|&)\s+|\s*,\s*/)
    .flatMap((part): TailFood[] => {
      if (ELSEWHERE.test(part.trim())) return [];
      const line = readLineWords(part.replace(/^(?:just |only )/i, '').trim());
      const [words] = line.foods;
      if (line.none || !words || !words.food) return [];
      const found = find(words, larder);
      return found.food &&
        found.confidence >= 0.9 &&
        (found.food.kind !== 'water' || words.measures.length > 0)
        ? [{ words, line, found }]
        : [];
    });
}

/** "chickpeas, salted": bought so; "cucumber, salted": done to it. */
const boughtSalted = (words: FoodWords, larder: Larder): boolean =>
  fromCan(words) ||
  (find({ ...words, notes: '' }, larder).food?.adds.includes('salt') ??
    find({ ...words, notes: 'salted' }, larder).food?.adds.includes('salt') ??
    false);

/** A food's words without what is done to it with another food: "pasta", not "pasta, cooked in salted water". */
export function withoutTail(words: FoodWords, larder: Larder): FoodWords {
  const strip = (text: string) =>
    [WITH, WITH_SOME, PLUS, PLUS_SIGN, SALTED_WATER, BUTTERED]
      .reduce((t, said) => said.replace(t, ' '), text)
      .replace(/\s+(?:and|then)\s*$/, '')
      .trim();
  const food = strip(words.food);
  const notes = strip(words.notes);
  // "salted almonds": what stands before the name says which food it is
  const plain =
    food.length > 2 && words.food.startsWith(food) ? { ...words, food, notes } : { ...words, notes };
  return /\bsalted(?! (?:boiling )?water)/.test(words.notes) && boughtSalted(plain, larder)
    ? { ...plain, notes: `${notes}, salted` }
    : plain;
}

/**
 * Foods that the words behind a line's own food bring: "mushrooms, fried in 2 tbsp butter", "beans, drained, plus
 * soy sauce", "toast, buttered". What is said to come from elsewhere ("tossed in the dressing") is none.
 *
 * @param text of the line
 * @param own words of the foods that the line is about
 */
export function tailFoods(text: string, own: readonly FoodWords[], larder: Larder): TailFood[] {
  // what to look for on the packet is no food of the line; places stay true
  const lower = TO_CHECK.replace(text.toLowerCase(), (said) => ' '.repeat(said.length));
  const first = own[0]?.food ?? '';
  const at = first ? lower.indexOf(first) : -1;
  const from = at < 0 ? 0 : at + first.length;
  const tail = lower.slice(from);
  const out: TailFood[] = [];
  // of two ways to find the same words the first counts
  const known = (food: TailFood) =>
    own.some((o) => o.food === food.words.food) ||
    out.some(
      (o) =>
        o.words.food === food.words.food ||
        // "+ 1 tsp of their brine", found twice
        (food.found.food !== null &&
          o.found.food === food.found.food &&
          JSON.stringify(o.words.measures) === JSON.stringify(food.words.measures)) ||
        (food.words.measures.length === 0 && food.found.food !== null && o.found.food === food.found.food),
    );
  const put = (foods: readonly TailFood[]) => {
    for (const food of foods) if (!known(food)) out.push(food);
  };
  const add = (phrase: string, index: number) => {
    if (negated(lower, from + index, from + index + phrase.length)) return;
    // what is measured is understood or said not to be
    // the whole fruit is counted already
    if (OWN_PART.test(phrase.trim())) return;
    put(COUNTED.test(phrase) ? amountIn(phrase, larder, first) : foodsIn(phrase, larder));
  };
  for (const joined of [WITH, WITH_SOME, PLUS, AND])
    for (const m of joined.all(tail)) add(m[1] ?? '', m.index + m[0].length - (m[1] ?? '').length);
  for (const m of PLUS_SIGN.all(tail))
    if (COUNTED.test(m[1] ?? '') || /^\d/.test(m[1] ?? '')) add(m[1] ?? '', m.index + 2);
  for (const m of ALONE.all(tail)) {
    // "cooked in water not stock"
    const phrase = (m[1] ?? '').replace(/\b(?:not|no|never|nor|without)\b.*$/i, '').trim();
    if (/^or\b/i.test(phrase)) continue;
    // "oil, olive" is one name turned round
    if (larder.finder.ofName(tokens(`${phrase} ${first}`))) continue;
    if (negated(lower, from + m.index, from + m.index + m[0].length)) continue;
    put(
      foodsIn(phrase, larder).filter(
        (t) => SEASONS.has(t.found.food?.kind ?? '') && t.found.confidence >= 0.95,
      ),
    );
  }
  for (const m of AMOUNT.all(lower.slice(Math.max(0, from - 1))))
    for (const food of amountIn(m[1] ?? '', larder, first)) put([food]);
  const more = MORE_OF_IT.exec(/\bplus\s+([^,;()]+)/i.exec(tail)?.[1] ?? '')?.[1];
  if (more && first) out.push(...amountIn(`${more} ${first}`, larder));
  if (SALTED_WATER.test(tail)) out.push(...saltOfWater(larder));
  for (const m of BUTTERED.all(tail))
    if (m[1] !== 'salted' || !own.some((o) => /\bsalted\b/.test(o.notes)))
      add(FOOD_OF[m[1] ?? ''] ?? '', m.index);
  return out;
}

function saltOfWater(larder: Larder): TailFood[] {
  const line = readLineWords('salt, for the pasta water');
  const [words] = line.foods;
  return words ? [{ words, line, found: words.food ? find(words, larder) : NOTHING }] : [];
}
