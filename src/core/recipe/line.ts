import { pattern, type Pattern } from '@/core/pattern/pattern';
import { namesFood } from '@/core/food/find';
import { readUnit, VAGUE } from '@/core/measure/units';
import { turnArrow } from './arrow';
import { ASIDES, asidesOf } from './asides';
import { AND, noteAlternatives, PREPARATION, splitAlternatives } from './alternatives';
import { clean, markerLength } from './clean';
import { amountBehind } from './behind';
import { orMore } from './or-more';
import { eachAt } from './per-head';
import { bracketEquivalent, readMeasure, readMeasures, weighedAt } from './measures';
import { crossedOut } from './pictures';
import { plainTalk, struck } from './talk';
import { mul, Reader, type Measure, type Measures, type Three } from './reader';

/** One food of a line and what may stand for it. */
export interface FoodWords extends Measures {
  /** Words that name the food, without amount and preparation. */
  readonly food: string;
  /** Notes beside it that may say which: "(no salt added)", "drained and rinsed". */
  readonly notes: string;
}

/** A line of ingredients, read as words; no food is looked up yet. */
export interface LineWords {
  readonly foods: readonly FoodWords[];
  /** The food words before they were split at "and": one food may be named with it. */
  readonly together: string;
  readonly alternatives: readonly (FoodWords & { readonly text: string })[];
  readonly preparation: readonly string[];
  readonly optional: boolean;
  readonly toTaste: boolean;
  /** "plus more for dusting": more of it goes in, how much is not said. */
  readonly plusMore: string | null;
  /** True where the amount is for everyone who eats: "a teaspoon each". */
  readonly perHead: boolean;
  /** What the cook says that she uses: "(I use the no-salt powder)". */
  readonly own: string | null;
  /** The cook says that she takes none of it: "(I use none)". */
  readonly none: boolean;
  /** "for greasing", "to serve": what it is for, where said. */
  readonly purpose: string | null;
  readonly cleaned: string;
}

const ABOUT = VAGUE.modifiers.about as { factor: Three; why: string };

const PREP_WORDS = new RegExp(
  `\\b(?:${[...PREPARATION].sort((a, b) => b.length - a.length).join('|')})\\b`,
  'g',
);
const OPTIONAL = pattern(
  /\boptional(?:ly)?\b|^\s*(?:sometimes|occasionally|now and then|on a good day)\b|\bif (?:you(?:'d)? )?(?:like|desired|liked|wanted|want|using|fancy|have (?:it|some|any))\b|\bif there(?: is|'s) (?:any|some)\b/,
);
/** "stock to cover, maybe a litre": what for, and no part of the name. */
const TO_COVER = pattern(
  /\s+to (?:just |barely )?cover\b(?: (?:everything|it|them|the [a-z]+|by [a-z0-9 ]+?(?=,|$)))?/,
);
/** "about 1 cm in the pan": how deep, and no amount. */
const HOW_DEEP = pattern(
  /,?\s*(?:about |roughly )?\d[\d.]{0,4} ?(?:cm|mm|inch(?:es)?|") (?:deep |of it )?(?:in|up|of) the (?:pan|pot|wok)\b/,
);
const IF_ANY = pattern(
  /,?\s*\bif (?:there(?: is|'s) (?:any|some)|you (?:have (?:it|some|any)|want|fancy(?: it)?))\b/,
);
/** "the size of a walnut", "for the pita": no part of the food's name. */
const SIZE_OF = pattern(
  /,?\s*\b(?:about |roughly )?the size of (?:an? |your )?[a-z]+\b|\b(?!(?:small|medium|large|thumb|bite|family|of|same)\b)[a-z]+[- ]siz(?:ed|e)\b/,
);
/** "a little avocado", "a bit of tofu": an amount not said; "a little splash of it" is one. */
const A_LITTLE = pattern(
  /^\s*(?:just )?an? (?:(?:wee|tiny|little) )?(?:little|bit|touch|tad)(?: (?:bit|more|extra|less))?(?: of)?(?: the)? +(?!than\b|over\b|under\b)(?=[a-z])/,
);
/** "water the mushrooms soaked in": what a food was before is no part of its name. */
const WAS = pattern(
  /(?<=[a-z])\s+(?:(?:that|which) (?:the )?|the )[a-z]+(?: (?:was|were|have been|had been))? (?:soaked|cooked|boiled|steeped|simmered) in\b/,
);
const FOR_PART = pattern(
  /\s+for (?:(?:the|each|our|my) [a-z]+(?: [a-z]+)?|(?!(?:one|two|three|four|five|six|seven|eight|nine|ten|twelve|me|us|all|each|every|everyone|everybody|a|an|the|about|at)\b)[a-z]+)\s*$/,
);
/** "salt for the cucumbers, rinsed off": where it goes, before what is said of it. */
const FOR_PLACE = /(?<=[a-z])\s+for (?:the|each|our|my) [a-z]+(?: [a-z]+)?$/;
const TO_TASTE = pattern(
  /\b(?:or )?(?:to|for|as per) taste\b|\bto your taste\b|\bto your liking\b|\bor to taste\b/,
);
const PLUS_MORE = pattern(
  /[,(;+&]?\s*\b(?:plus|and|with) (?:a (?:little|bit|few|splash) )?(?:some )?(?:more|extra)\b([^)]*)\)?|,\s*(?:and )?extra (?:for|to)\b([^)]*)|[,(]\s*(?:or )?more (?:if|to taste|as needed|when|as you|at the table|on top|on the side|to serve|for|later)\b([^)]*)\)?/,
);
/** "1 tsp tamari to start", "salt – start with ¼ tsp", "½ tsp, then more": so much at first, how much in the end is not said. */
const STARTS = pattern(
  /[,(;–-]?\s*\b(?:just )?(?:to (?:start|begin)(?: (?:with|off))?|at (?:first|the start)|as a start|for (?:a )?starters?|initially)\b(?:[^)]*\)|[,;].*$)?|[,(;]\s*(?:start|begin)(?:ning|ing)?\s+(?:low|small|there|here|with (?:that|this|less))\b.*$|[,;]\s*then (?:add )?(?:some )?(?:more\b.*|to taste\b.*)$|\b(?:and )?(?:work|go|build)(?:ing)? (?:it )?up\b.*$/,
);
const STARTS_WITH = pattern(
  /(?:^|[,(;:–-]|(?<=[a-z]))\s*(?:start|begin)(?:ning|ing)?\s+(?:low |off )?(?:with|at|from)\s+(?:just )?(?=[\d½¼¾⅓⅔⅛]|an? |half|one|two)/,
);
const AT_A_TIME = pattern(/^[^\d½¼¾]*[\d½¼¾][^,;]{0,24}\bat a time\b.*$/);
const TIMES_OVER = pattern(/,?\s*\bat a time\b.*$/);
const PURPOSE = pattern(
  /(?:,|\(|\s)\s*(in (?:the )?(?:pasta |cooking |rice |boiling |potato )?water\b(?=[^a-z]*(?:\(|,|;|$|-))|(?:for|to) (?:deep[- ]?frying|frying|coating|breading|binding|thickening|shallow frying|(?:shallow|pan|stir)[- ]fry|fry|saut[eé]ing|cooking|cook|the pan|the skillet|browning|greasing|grease|oiling|brushing|brush|lining|spraying|the tin|the tray|drizzling|drizzle|finishing|finish|serving|serve|garnish(?:ing)?|sprinkling|sprinkle|scattering|scatter|dusting|topping|top|decorating|decorate|the (?:pasta |cooking )?water|pasta water|boiling|the pot|blanching|rolling|kneading|loosen|loosening|thin|thinning|dilute|let down|slacken))\b/,
);
const EACH_OF = pattern(/^\s*(?:each(?: of)?|of each(?: of)?)\b(?:\s*:)?\s*(?=[a-zà-ÿ])/);
const FROM_CONTAINER = pattern(/\b(?:from|out of) (?:an?|the) (can|tin|jar|packet|carton|bag|bottle)\b/);
/** A weight behind a comma: "1 cauliflower, 800 g", "3 carrots, 100 g each". */
const WEIGHS = pattern(
  /^\s*((?:about |roughly |approx\.? )?\d[\d.,]*\s*(?:g|kg|oz|lb|kilos?|grams?|pounds?|lbs)\b(?:\s+each|\s+apiece)?)(?:\s+or so)?(?:\s+(?:total|in all|altogether|peeled|unpeeled|prepared|trimmed|raw|uncooked|before baking)(?:\s+weight)?)?\s*(?:,|$)/,
);
/** A weight behind the name, with nothing between. */
const WEIGHT_LAST = pattern(/\s+((?:about |roughly |ca\.? )?\d[\d.]*\s*(?:g|kg|oz|lb))\s*$/);
const OWN_LIQUID =
  /\s+(?:and|with|plus|including)\s+(?:all )?(?:liquid|liquor)\b|\s+(?:and|with|plus|in|including)\s+(?:all )?(?:(?:its|their|the)\s+(?:own )?|(?<=in )(?:natural |own )?)(?:liquid|juices?|brine|water|liquor|syrup)\b/g;
/** "x 3", "twice": the amount so many times. */
const TIMES = pattern(
  /(?<!\b(?:rinsed|washed|cooked|boiled|baked|fried|sifted|drained|strained|sieved|soaked|blanched|peeled|turned|ground|minced))\s+(?:(?:x|times)\s*(\d{1,2})|(twice)|(three times))\s*$/,
);
/** "+ 1 tsp", "plus another ¼ tsp", "then 2 more": more of the same food. */
const AND_MORE = pattern(
  /[\s,;]*(?:\+|\bplus\b|\b(?:and )?then\b)\s*((?:another |a further |an extra )?(?:\d|½|half|an? |one|two|three|four)[^,;()+]{0,40})$/,
);
/** "NO butter", "without any oil": it is said that none goes in; "no salt added beans" are beans. */
const REFUSED = pattern(
  /^\s*(?:absolutely |definitely )?(?:no|zero|without(?: any)?|skip(?: the)?|omit(?: the)?|not any)\s+(?=[a-z\d½¼¾⅓⅔])(?!(?:need|added|salt|sugar|oil|sodium|fat|knead|cook|bake|churn|mayo)\b[ -]+(?!(?:no|and|or|nor|in|at|on|for|here|whatsoever|apart|except|but|today|please|needed|required)\b)[a-z])/i,
);
const NOISE = /^\s*(?:of|the|x|-|,|\.|:|about)\s+/;

const JUICE = pattern(
  /\b(?:the )?(?:(?:finely )?(?:grated )?(zest|rind|peel) ?(?:and|&|\+) ?juice|juice ?(?:and|&|\+) ?(?:(?:finely )?(?:grated )?)(zest|rind|peel)|(?:freshly )?(?:squeezed )?juice|(?:finely |freshly )?(?:grated )?(zest|rind|peel))\s+(?:of|from)\s+/,
);

/** "juice 2 lemons", "zest half an orange": without "of". */
const BARE_JUICE = pattern(
  /^(\s*(?:the )?(?:juice|zest|rind)(?: (?:and|&|\+) (?:juice|zest))?) (?=(?:about )?(?:\d|[½¼¾⅓⅔]|half\b|an? |one\b|two\b|three\b))/,
);

/** "juice of half a lemon" → "half lemon juice": the measure goes first. */
function turnJuice(text: string): { text: string; zest: boolean } {
  const of = BARE_JUICE.replace(text, '$1 of ');
  if (of !== text) return turnJuice(of);
  const m = JUICE.exec(text);
  if (!m || m.index > 24) return { text, zest: false };
  const zestToo = Boolean(m[1] ?? m[2]);
  const what = m[3] ? 'zest' : 'juice';
  const rest = text.slice(m.index + m[0].length);
  const cut = /^([^,(]*)(.*)$/.exec(rest);
  return {
    text: `${text.slice(0, m.index)}${cut?.[1]?.trimEnd() ?? rest} ${what}${cut?.[2] ?? ''}`,
    zest: zestToo,
  };
}

/** A word or two and a colon, and behind it an amount of something. */
const LABEL = pattern(
  /^\s*[a-z][a-z' -]{1,24}:\s+(?=(?:[\d½¼¾⅓⅔][\d./]*|an?|half an?) ?(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|ml|g|kg|oz|lbs?|cans?|tins?)\b\.? (?:of )?(?!(?:each|apiece)\s*(?:$|[,;])|per (?:person|head|plate|bowl)\b)[a-z]{3})/i,
);
/** "Day: 400 wholemeal": a word that names no food, and behind it a number of something. */
const BARE_LABEL = pattern(/^\s*([a-z][a-z' -]{1,24}):\s+(?=\d{1,4} [a-z]{2})/i);
function unnamedLabel(written: string): string | null {
  const [label, name = ''] = BARE_LABEL.exec(written) ?? [];
  return label !== undefined && !namesFood(name.toLowerCase()) && !PREPARATION.has(name.toLowerCase())
    ? label
    : null;
}
/** "DRESSING 2 tbsp oil", "for the sauce 3 tbsp tahini": a part's name, and behind it an amount of something. */
const PART_LABEL = pattern(
  /^\s*(?:(?:for (?:the )?)?(?:[a-z]+ )?(?:dressing|sauce|marinade|topping|filling|dip|glaze|crust|base|batter|dough|gravy|garnish|crumb)(?: is| =|:)?|[A-Z]{4,}(?: [A-Z]{3,})?)\s+(?=(?:about )?(?:[\d½¼¾⅓⅔][\d./–-]*|an?|half an?) ?(?:heaped |rounded |level |small |large |big )?(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|ml|g|kg|oz|lbs?|cans?|tins?)\b\.? (?:of )?([A-Za-z]{2,}))/,
);
/** A form that names no food: of the one before. */
const FORM_ALONE = pattern(
  /^(?:fresh|dried|dry|frozen|canned|tinned|ground|powdered|bottled|jarred|cooked|home-?cooked|freshly cooked)(?: from (?:dry|dried|scratch|raw))?$/,
);
/** "or 2 tins in juice, drained": of the one before too. */
const STATE_ALONE =
  /^(?:(?:in (?:its |their )?(?:own )?(?:juice|water|brine|syrup)|drained|rinsed|ready)\s*)+$/;
const FORM_BEFORE =
  /^\s*(?:\d\S*\s+)?(?:fresh|dried|frozen|canned|tinned|ground|powdered|bottled|jarred|freshly grated)\s+/;
/** "cut into chips", "sliced in half moons": a shape, behind the name. */
const INTO_SHAPE = pattern(
  /\s+(?:(?:cut|sliced|chopped|broken|torn|snapped|divided|separated|diced|shredded|formed|rolled|mashed|blended|processed)(?: up| thinly| finely)? into|(?:cut|sliced|broken|torn) in)\s[^()]*$/,
);
/** "1 onion, large, diced": its size behind the name. */
const SIZE_BEHIND = pattern(
  /^(\s*(?:\d[\d/½ ]*|an?|one|two|three|four|half an?)\s+)([a-zà-ÿ -]+?),\s*((?:very |extra )?(?:large|small|medium|big|tiny))(?=\s*(?:,|$|and\b|[(]))/,
);

/** Splits words of food from what is done to it, at the first comma or dash outside brackets. */
function splitPreparation(text: string): { food: string; rest: string } {
  let depth = 0;
  for (let i = 0; i < text.length; i += 1) {
    const c = text[i];
    if (c === '(' || c === '[') depth += 1;
    else if (c === ')' || c === ']') depth -= 1;
    else if (
      depth <= 0 &&
      (c === ',' ||
        c === ';' ||
        (c === '-' && text[i - 1] === ' ' && text[i + 1] === ' ') ||
        (c === ':' && i > 2))
    )
      return { food: text.slice(0, i), rest: text.slice(i + 1) };
  }
  return { food: text, rest: '' };
}

/** "oil-free", "no-salt", "large": words before a food that are none themselves. */
const DESCRIBES = pattern(
  /^(?:[a-z]+-free|no-[a-z]+(?:-added)?|unsalted|unsweetened|(?:low|reduced)-[a-z]+|organic|ripe|fresh|raw|dry|small|medium|large|big|firm|soft|good|nice|old|plain|wholegrain|wholemeal)$/,
);

const onlyPreparation = (words: string): boolean =>
  words
    .trim()
    .split(/\s+/)
    .every(
      (w) =>
        DESCRIBES.test(w) ||
        PREPARATION.has(w) ||
        /^(?:and|finely|roughly|freshly|coarsely|thinly|lightly|very)$/.test(w),
    );

const TOLD_BEHIND = pattern(/^\s*([a-zà-ÿ' -]{3,40}?)\s*(\([^()]*\d[^()]*\))\s+([a-zà-ÿ' -]{3,40})$/);
/** True where neither the whole of some words nor what ends them names a food. */
const namesNone = (whole: string, end: string): boolean => !namesFood(whole) && !namesFood(end);

/** "1 tbsp each: turmeric cumin coriander": names in a row, where every word is part of one. */
function withJoints(names: string): string {
  const words = names.trim().split(/\s+/);
  if (words.some((w) => !/^[a-zà-ÿ'-]+$/.test(w) || w === 'and' || w === 'or')) return names;
  const out: string[] = [];
  for (let i = 0; i < words.length;) {
    const long = [3, 2, 1].find((n) => i + n <= words.length && namesFood(words.slice(i, i + n).join(' ')));
    if (!long) return names;
    out.push(words.slice(i, i + long).join(' '));
    i += long;
  }
  return out.join(' and ');
}

/** "1 tsp sugar, or a date": one, where the name is a single word. */
const ONE_OF_IT = /^an? [a-z]{3,}$/;

/** "a": one of it, where no measure stands with it. */
const isArticle = (m: Measure): boolean => m.unit === null && m.each === null && !m.stated;

const AMOUNT_OPENS = /(?<![^\s(])(?=\d|[½⅓⅔¼¾⅛]|(?:half|two|three|four|five|six)\s|an?\s)/g;
/** A spoon that is only praised: "another tbsp", "full tsp". */
const PRAISED = pattern(
  /^\s*(?:(?:another|one more|full|whole|single|proper|decent|nice|lovely|big)\s+)+(?=(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|mugs?)\b)/,
);
const MOST_WORDS_BEFORE = 5;

/** An amount in the middle of a food's words, behind others that name no food; null where none stands there. */
function amountInside(words: string): { measures: readonly Measure[]; food: string } | null {
  const praised = PRAISED.replace(words, '1 ');
  for (const { index } of praised.matchAll(AMOUNT_OPENS)) {
    const before = praised.slice(0, index).trim().split(/\s+/).filter(Boolean);
    if (before.length > MOST_WORDS_BEFORE) return null;
    if (before.some((_, i) => [1, 2].some((n) => namesFood(before.slice(i, i + n).join(' '))))) return null;
    const found = weighedAt(praised, index);
    const food = praised.slice(found?.end).trim();
    if (found && food) return { measures: found.measures, food };
  }
  return null;
}

/** "tahini = 150 g", "olive oil x 5 tbsp": a food and its amount. */
const EQUALS =
  /^([a-z][a-z' -]{1,40}?)\s*(?:=|\sx)\s*(?=\d[\d./]*\s?(?:g|kg|ml|l|oz|lbs?|tbsps?|tsps?|cups?|tins?|cans?|jars?|litres?)\b|\d{1,2}\s*$)/i;
const UNIT_NEXT = String.raw`(?=\s?(?:tbsps?|tbs|tbl|tsps?|dsp|tablespoons?|teaspoons?|dessertspoons?|cups?|cupfuls?|mugs?|teacups?|wineglass(?:es)?|c|t|ml|mls|cl|dl|l|lt|ltrs?|litres?|liters?|decilitres?|g|gms?|grams?|kg|kgs|kilos?|kilograms?|oz|ozs|ounces?|fl|floz|fluid|lbs?|pounds?|pints?|pts?|mugfuls?)\b)`;
/** "x2 dl", "(2) dl", "2 (two) dl", "two (2) dl": the number alone. */
const NUMBER_TWICE = new RegExp(
  String.raw`(\d[\d./]*|\b(?:one|two|three|four|five|six))\s*\((?:\d[\d./]*|one|two|three|four|five|six)\)${UNIT_NEXT}`,
  'gi',
);
const NUMBER_MARKED = new RegExp(
  String.raw`(?<=^|[,(:]\s?|[a-z]\s)(?:x ?(\d[\d./]*)|\((\d[\d./]*)\))${UNIT_NEXT}`,
  'gi',
);
const plainNumbers = (line: string): string =>
  line
    .replace(NUMBER_TWICE, '$1')
    .replace(
      NUMBER_MARKED,
      (_, times: string | undefined, inside: string | undefined) => times ?? inside ?? '',
    );
const withDash = (line: string): string =>
  plainNumbers(line).replace(EQUALS, (said, name: string) =>
    namesFood(name.toLowerCase()) ? `${name} - ` : said,
  );
/** "=2 tbsp", "tahini > 2 tbsp", "tahini....2 tbsp". */
const SIGNS = /(?<![-=<>] ?)(?<=^|[a-z)] ?)(?:[=<>]|\.{2,})\s*(?=\d)/gi;
/** "2 T" is a tablespoon wherever it stands. */
const CAPITAL_T =
  /(?<=(?:[\d½¼¾⅓⅔⅛]|\b(?:an?|half|one|two|three|four|five|six|eight|ten|dozen|couple|couple of|few|several|heaped|level|good|x))\s?)T\b(?![.'’]?\w)/g;
/** Words by which an amount in a note is another's, of then, of a packet or of what is in it. */
const NOT_ITS_AMOUNT = pattern(
  /\b(?:was|were|used|originals?|originally|book|recipe|instead|than|not|no|never|per|calls?|says?|said|each|apiece|of (?:fat|salt|sugar)|fat|sugars?|protein|fibre|carbs?|kcal|tins?|jars?|packs?|packets?|bags?|bottles?|makes|from|about to|old|with|water|in|trad|traditionally|an? (?:pot|head|bowl|plate|person|serving|portion|slice|piece|jar|glass|go|time|day|week))\b/,
);
/** "tahini (only 150 g this time)", "salt – 1 tsp is plenty": an amount anywhere in what is told of a food. */
function amountTold(food: string, notes: string): { measures: readonly Measure[]; food: string } | null {
  if (!/\d/.test(notes) && !/spoon/.test(notes)) return null;
  for (const piece of notes.split(/[,;()]|\s[-–—]\s/)) {
    if (NOT_ITS_AMOUNT.test(piece)) continue;
    for (const { index } of piece.matchAll(AMOUNT_OPENS)) {
      const found = weighedAt(piece, index);
      const behind = piece.slice(found?.end).trim().split(/\s+/).filter(Boolean);
      if (found && !behind.some(namesFood)) return { measures: found.measures, food };
    }
  }
  return null;
}

/** "1 tsp", "another ¼ tsp", "2 more": an amount and nothing else. */
function furtherMeasure(words: string): Measure | null {
  const plain = words
    .replace(/\b(?:another|a further|an extra|more)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const r = new Reader(plain, plain);
  const found = readMeasure(r);
  if (!found || r.text.slice(r.at).trim()) return null;
  return found.unit !== null || /\bmore\b/.test(words) ? found : null;
}

/** "(the very low salt ones)", "the no-salt sort": which of its kind. */
const WHICH_ONES = pattern(
  /(?:^|,\s*)(?:the|those)\s+(?:very |really |proper )*([a-z][a-z -]{2,24}?)\s+(?:ones?|kind|sort|type|stuff)\s*(?:,|$)/,
);
const whichOnes = (notes: string): string | null => WHICH_ONES.exec(notes)?.[1] ?? null;

/** Who eats otherwise than the rest. */
const DIET = String.raw`(?:vegans?|plant[- ]based|coeliacs?|celiacs?|gluten[- ]free|gf|dairy[- ]free|nut[- ]free)`;
const FOR_DIET = String.raw`\s+(?:for|if)\s+(?:(?:the|any|your|our|you'?re|they'?re|you are|an?|anyone|cooking|serving|making it|it'?s|needed)\s+)*${DIET}\b[^,;()]*`;
/** "(agave for vegans)", "- flax egg if vegan": what stands in for some who eat. */
const INSTEAD_FOR = new RegExp(
  String.raw`\s*(?:[,;]\s*|\(\s*|\s[-–—]\s*)(?:or |use |try |swap (?:for|in|with) |sub(?:stitute)? |make it )*([^,;()]{2,40}?)${FOR_DIET}\)?`,
  'gi',
);
/** "(not if vegan - then 200 g tofu)": what stands in then. */
const NOT_IF = new RegExp(
  String.raw`\(\s*(?:[a-z]+ )?(?:not|no|none|skip|leave out)\s+(?:for|if|when)\s+(?:[a-z']+ )?${DIET}\b[^()]*?(?:\bthen|\bso|\buse|[-–—,;:])\s*(?:then |use |it's )?([^(),;]{3,40})\)`,
  'gi',
);
/** "(vegan if you like)": that too. */
const IF_LIKED = new RegExp(
  String.raw`\s*(?:[,;]\s*|\(\s*|\s[-–—]\s*)(?:use )?(${DIET})\s+(?:if (?:you|we|they)(?:'d)? (?:like|want|wish|prefer|can|need|must)|optional|or not)\b[^,;()]*\)?`,
  'gi',
);
const DIET_ALONE = new RegExp(FOR_DIET, 'gi');
const LEFT_OUT = pattern(/^(?:leave|skip|omit|none|not|without)\b/i);

/** What is said of those who eat otherwise, as an alternative: it says nothing of the food itself. */
function forSome(line: string): string {
  const food = (words: string) => (LEFT_OUT.test(words) ? ' (optional)' : words ? ` or ${words}` : '');
  return line
    .replace(NOT_IF, ' or $1')
    .replace(INSTEAD_FOR, (_, words: string) => food(words.trim()))
    .replace(IF_LIKED, (_, diet: string, at: number) => {
      const own = new Reader(line.slice(0, at), line.slice(0, at));
      readMeasures(own);
      return ` or ${diet} ${own.text.slice(own.at).trim()}`;
    })
    .replace(DIET_ALONE, '');
}

/** "drained, or 3 cups cooked": what is said of the first alone. */
const withoutOthers = (notes: string): string => notes.replace(/(?:^|,)\s*or\s+(?=\d|[½¼¾⅓⅔]).*$/, '');

/** Reads one ingredient line into amounts and words. Never fails: what is no amount stays words. */
export function readLineWords(line: string): LineWords {
  let written = forSome(
    turnArrow(plainTalk(withDash(clean(struck(crossedOut(line.slice(markerLength(line)))))))),
  );
  written = written.replace(SIGNS, ' - ').replace(CAPITAL_T, 'tbsp');
  const refused = REFUSED.exec(written)?.[0] ?? '';
  written = written.slice(refused.length);
  // "no oil no ghee": each of them
  if (refused) written = written.replace(/\s+(?:no|nor|or|and no)\s+.*$/i, '');
  // the whole grain of a flour or bread is no size of it
  written = written.replace(/\bwhole[ -](?=wheat|grain|meal)/gi, 'whole').replace(/\bwhole (?=kernel)/gi, '');
  // "mayo-ish: 3 tbsp soy yogurt": a name for what comes, not "rice: 200 g"
  const part =
    PART_LABEL.exec(written) ?? PART_LABEL.exec(written.replace(/^[^a-z]*[A-Z]/, (c) => c.toLowerCase()));
  const label =
    LABEL.exec(written)?.[0] ??
    unnamedLabel(written) ??
    (part && !PREPARATION.has((part[1] ?? '').toLowerCase()) ? part[0] : null);
  if (label) written = written.slice(label.length);
  let text = written.toLowerCase();
  const cleaned = written;
  const orSo = /\bor so\b|\b(?:ish|or thereabouts|give or take)\b/.test(text);
  const optional = OPTIONAL.test(text);
  const toTaste = TO_TASTE.test(text);
  const more = PLUS_MORE.exec(text);
  const starts = STARTS_WITH.test(text) || STARTS.test(text) || AT_A_TIME.test(text);
  const plusMore = more
    ? more[0].replace(/^[\s,(;+&]+/, '').trim()
    : starts
      ? `that is the start, more goes in to taste${AT_A_TIME.test(text) ? ', so much at a time' : ''}`
      : null;
  const purpose = PURPOSE.exec(more ? text.slice(0, more.index) : text)?.[1] ?? null;
  const strip = (found: Pattern | RegExp | RegExpExecArray) => {
    const m = 'exec' in found ? found.exec(text) : found;
    if (!m) return;
    const gap = ' '.repeat(m[0].length);
    text = text.slice(0, m.index) + gap + text.slice(m.index + m[0].length);
    written = written.slice(0, m.index) + gap + written.slice(m.index + m[0].length);
  };
  if (more) strip(PLUS_MORE);
  if (starts) for (const pattern of [STARTS_WITH, TIMES_OVER, STARTS]) strip(pattern);
  strip(
    /\(\s*optional\s*\)|^\s*(?:optional|sometimes|occasionally|now and then|on a good day)\b|,?\s*\boptional\b/,
  );
  strip(TO_TASTE);
  strip(TO_COVER);
  strip(HOW_DEEP);
  strip(IF_ANY);
  const asides = asidesOf(text);
  for (const pattern of ASIDES) strip(pattern);
  strip(SIZE_OF);
  strip(WAS);
  const little = A_LITTLE.exec(text);
  if (little && !readUnit(text, written, little[0].length)) strip(A_LITTLE);
  if (purpose) strip(PURPOSE);
  if (!purpose && /^\s*(?:\d|an?\b|half\b|[a-z]+ (?:tsp|tbsp|cup))/.test(text)) strip(FOR_PART);
  // "3 artichoke hearts from a can": the can is where they come from, not how many
  const container = FROM_CONTAINER.exec(text)?.[1];
  if (container) strip(FROM_CONTAINER);
  const { own } = asides;
  const startsWithNumber = /^\s*(?:\d|an?\b|half\b|one\b|two\b|three\b|four\b|pinch|scant|heap)/.test(text);
  const heads = eachAt(text);
  const perHead = heads !== null;
  if (heads) strip(heads);
  const again = startsWithNumber ? TIMES.exec(text) : null;
  const times = again ? (again[1] ? Number(again[1]) : again[2] ? 2 : 3) : 1;
  if (again) strip(TIMES);
  const further = startsWithNumber ? AND_MORE.exec(text)?.[1] : undefined;
  const added = further === undefined ? null : furtherMeasure(further);
  if (added) strip(AND_MORE);
  const juice = turnJuice(text);
  if (juice.text !== text) {
    text = juice.text;
    written = juice.text;
  }
  const sized = SIZE_BEHIND.exec(text);
  if (sized) {
    const [whole, count = '', name = '', size = ''] = sized;
    text = `${count}${size} ${name}${text.slice(whole.length)}`;
    written = text;
  }
  const reader = new Reader(text, written);
  reader.skip(/\s*(?:of\s+)?/y);
  const measured = readMeasures(reader);
  let rest = text.slice(reader.at);
  // "1 tsp each turmeric, coriander and chilli": all of them, each with the amount
  const each = measured.measures.length > 0 ? EACH_OF.exec(rest) : null;
  if (each) rest = withJoints(rest.slice(each[0].length).replace(/,\s*(?:and |& )?/g, ' and '));
  rest = rest.replace(NOISE, '');
  let { food, rest: prep } = splitPreparation(rest.replace(/\s+\bor so\b/, ' '));
  // "1 cup peeled, diced sweet potato": what is done comes before the food
  const sliced = measured.measures.some((m) => m.unit?.id === 'slice');
  while (prep && !sliced && onlyPreparation(food)) {
    const next = splitPreparation(prep);
    food = `${food} ${next.food.trim()}`;
    prep = next.rest;
  }
  let equivalent = measured.equivalent;
  // brackets: a second statement of the amount, or a note
  // "potatoes cut into chips": what they become is no food of its own
  const shaped = INTO_SHAPE.exec(food);
  if (shaped) {
    prep = `${food.slice(shaped.index).trim()}, ${prep}`;
    food = food.slice(0, shaped.index);
  }
  const notes: string[] = container ? [prep, `from a ${container}`] : [prep];
  for (const [liquid] of food.matchAll(OWN_LIQUID)) notes.push(liquid.trim());
  // "kale (250 g) tough stalks out": what is told behind its weight is no part of the name
  const told = TOLD_BEHIND.exec(food);
  if (told && namesFood(told[1] ?? '') && namesNone(`${told[1]} ${told[3]}`, told[3] ?? '')) {
    notes.push(told[3] ?? '');
    food = `${told[1]} ${told[2]}`;
  }
  let behindLast = false;
  let bare = food
    .replace(OWN_LIQUID, '')
    .replace(/[([]([^)\]]*)[)\]]?/g, (whole, inside: string, at: number) => {
      if (!equivalent) {
        // "(wholemeal, 45 g each)": which one, and what it weighs
        const found = [inside, ...(inside.includes(',') ? inside.split(/,\s*/).slice(1) : [])]
          .map((said) => bracketEquivalent(`(${said})`, `(${said})`))
          .find((x) => x !== null);
        if (found) {
          if (inside.includes(',')) notes.push(inside);
          equivalent = found.measure;
          // "basil and pesto (2 tbsp)": what the bracket says is the pesto
          behindLast = AND.test(food.slice(0, at)) && !AND.test(food.slice(at));
          return ' ';
        }
      }
      notes.push(whole.replace(/[()[\]]/g, ''));
      return ' ';
    });
  // "1 pumpkin wedge 300 g": counted, and weighed behind its name
  const behindName = WEIGHT_LAST.exec(bare);
  if (
    !equivalent &&
    behindName &&
    measured.measures.length > 0 &&
    measured.measures.every((m) => !m.unit || m.unit.kind === 'count' || (m.unit.package && !m.each))
  ) {
    equivalent = bracketEquivalent(`(${behindName[1]})`, `(${behindName[1]})`)?.measure ?? null;
    if (equivalent) bare = bare.slice(0, behindName.index);
  }
  if (!equivalent) {
    const bracket = /([^,;()]*)\(([^)]*)\)/.exec(prep);
    // "1 tbsp purée, square of chocolate (10 g)": of the food that it stands behind
    const others = (bracket?.[1] ?? '').split(/\s+/).filter((w) => w && !PREPARATION.has(w));
    const ofAnother = others.length > 0 && namesFood(others.join(' '));
    const inside = bracket && !ofAnother ? bracket[0].slice((bracket[1] ?? '').length) : null;
    const found = inside === null ? null : bracketEquivalent(inside, inside);
    // "1 onion, chopped (about 150 g)" or "…, chopped, about 1 cup"
    if (found) equivalent = found.measure;
    else {
      // "bread, thick - 50 g each": in any piece of what is said of it
      const plain = prep
        .split(/,|\s[-–—]\s/)
        .map((piece) => WEIGHS.exec(piece)?.[1])
        .find((said) => said !== undefined);
      const trailing = plain ? null : /(?:^|,)\s*(?:about|approx\.?|roughly|around|~)\s+(.*)$/.exec(prep);
      if (trailing?.[1]) {
        const r = new Reader(trailing[1], trailing[1]);
        const m = readMeasure(r);
        if (m?.unit && (m.unit.kind === 'mass' || m.unit.kind === 'volume') && m.stated) equivalent = m;
      }
      if (
        plain &&
        measured.measures.every(
          (m) => !m.unit || m.unit.package || m.unit.kind === 'vague' || m.unit.kind === 'count',
        )
      )
        equivalent = bracketEquivalent(`(${plain})`, `(${plain})`)?.measure ?? null;
    }
  }
  // trailing amounts: "flour 200 g", "tahini - 2 tbsp", "carrots x 2"
  let measures: readonly Measure[] = measured.measures;
  const [said] = measures;
  if (added && said)
    measures = [
      ...measures,
      added.unit === null && added.each === null ? { ...added, unit: said.unit, size: said.size } : added,
    ];
  // "60 g walnuts (I only put 30)": thirty of the same
  if (own?.measures)
    measures = own.measures.map((m) =>
      m.unit === null && m.each === null && said?.unit ? { ...m, unit: said.unit } : m,
    );
  if (own?.share && own.share[2] > 0)
    measures = measures.map((m) => ({
      ...m,
      quantity: mul(m.quantity, own.share as Three),
      readings: [...m.readings, `you say that you take ${own.words} of it`],
    }));
  if (times > 1)
    measures = measures.map((m) => ({
      ...m,
      quantity: mul(m.quantity, [times, times, times]),
      readings: [...m.readings, `${times} times`],
    }));
  // "a splash of soy sauce - 1 tsp": what is said by eye is said again
  const byEye =
    !equivalent &&
    measures.length === 1 &&
    measures.every((m) => m.unit?.kind === 'vague' || m.readings.some((r) => /\bfew\b/.test(r)));
  const saidAgain = byEye ? amountBehind('', prep)?.measures : undefined;
  if (saidAgain?.every((m) => m.unit?.kind === 'mass' || m.unit?.kind === 'volume')) measures = saidAgain;
  if (measures.length === 0) {
    const tail = amountBehind(bare, prep) ?? amountBehind('', notes.slice(1).join(', '));
    if (tail) {
      measures = tail.measures;
      if (tail.source === bare) bare = tail.before;
      if (tail.which) notes.unshift(tail.which);
    }
  }
  const noteText = notes.filter(Boolean).join(', ');
  // "only 2 tbsp tahini", "a lovely big 30 g nuts": behind words that name nothing
  const unsaid = measures.length === 0 || (measures.length === 1 && isArticle(measures[0] as Measure));
  const inside = unsaid && !equivalent ? (amountInside(bare) ?? amountTold(bare, noteText)) : null;
  if (inside) {
    measures = inside.measures;
    bare = inside.food;
  }
  if (!more && !starts) measures = orMore(measures, cleaned.toLowerCase());
  if (orSo)
    measures = measures.map((m) => ({
      ...m,
      factor: mul(m.factor, ABOUT.factor),
      readings: [...m.readings, `“or so”: ${ABOUT.why}`],
    }));
  const orSplit = splitAlternatives(bare);
  const instead = own?.food ? [own.food] : [];
  const alternatives = [...instead, ...orSplit.alternatives, ...noteAlternatives(noteText)].map((other) => {
    // "or a splash of water for sautéing": what it is for is no part of its name
    const alt = other
      .replace(/\s+(?:for|to) (?:the )?[a-zé]+$/, '')
      // what is added to it is read behind the line
      .replace(/\s+(?:\+|plus)\s+(?=[\d½¼¾⅓⅔]|an? ).*$/, '');
    const r = new Reader(alt, alt);
    const own = readMeasures(r);
    const named = alt.slice(r.at).trim();
    return {
      text: alt,
      // "1 tsp ground turmeric or 3 cm fresh": fresh turmeric
      food:
        FORM_ALONE.test(named) || STATE_ALONE.test(named)
          ? `${named.replace(/ from .*$/, '').replace(STATE_ALONE, '')} ${(orSplit.first[0] ?? '').replace(FORM_BEFORE, '').trim()}`
          : named,
      notes: '',
      measures:
        own.measures.length && (own.measures.some((m) => m.stated || m.unit) || ONE_OF_IT.test(alt))
          ? own.measures
          : measures,
      equivalent: own.measures.length ? own.equivalent : equivalent,
    };
  });
  const foods = orSplit.first
    .map((words, i): FoodWords => {
      const r = new Reader(words, words);
      const own = i > 0 ? readMeasures(r) : { measures: [], equivalent: null };
      return {
        food: words.slice(r.at).replace(FOR_PLACE, '').trim(),
        notes: withoutOthers(noteText),
        measures: own.measures.length
          ? own.measures
          : i === 0 || each !== null || measures.every((m) => m.unit?.kind === 'vague' || !m.unit)
            ? measures
            : [],
        equivalent: i === (behindLast ? orSplit.first.length - 1 : 0) ? equivalent : own.equivalent,
      };
    })
    .filter((f, i) => i === 0 || f.food.length > 0);
  if (juice.zest && foods[0]) {
    const fruit = foods[0].food.replace(/\s*juice$/, '');
    foods.push({ ...foods[0], food: `${fruit} zest`, notes: '' });
  }
  const preparation = [...new Set([...(text.match(PREP_WORDS) ?? [])])];
  return {
    foods,
    together: orSplit.together,
    alternatives,
    preparation,
    optional: optional || asides.optional,
    none: refused !== '' || asides.none || own?.share?.[2] === 0,
    toTaste,
    plusMore,
    perHead: perHead || own?.each === true,
    own: own?.food ?? whichOnes(noteText),
    purpose,
    cleaned,
  };
}
