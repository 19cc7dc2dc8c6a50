import { foodOfName, namesFood } from '@/core/food/find';
import { numberOf, readQuantity } from '@/core/measure/quantity';
import { clean } from './clean';
import { tokens } from '@/core/food/tokens';
import { PREPARATION } from './alternatives';
import { amountNamedFirst } from './named-first';
import { amongPlaces } from './among-places';
import { tableRow } from './table';
import { partsOf } from './part-of';
import { standsInFor, styled } from './put-otherwise';
import { ofSeveral } from './of-several';
import { ownWay } from './own-way';
import { always, ladder, rewrite } from '@/core/pattern/ladder';

/** "a tablespoon and a half of": one and a half of them. */
const AND_A_HALF =
  /\b(an?|one|two|three|four|\d+)\s+((?:heaped|heaping|level|big|good|large|small|rounded)\s+)?(tablespoons?|teaspoons?|tbsps?|tsps?|cups?|mugs?|pints?|litres?|liters?|pounds?|kilos?|tins?|cans?|handfuls?|spoons?|spoonfuls?)\s+and\s+a\s+(half|quarter)\b/gi;
/** "a cup and a bit": so much, and not half as much again. */
const AND_A_BIT =
  /\b(an?|one|two|three|four|\d{1,2})\s+(tablespoons?|teaspoons?|tbsps?|tsps?|cups?|mugs?|pints?|litres?|liters?|pounds?|kilos?|tins?|cans?|handfuls?|spoons?|spoonfuls?)\s+and\s+a\s+(?:wee |little |tiny )?(?:bit|little)\b(?: more| extra| over)?/gi;
const A_BIT = 0.4;
const AMOUNT = String.raw`(?=\d|[½⅓⅔¼¾⅛]|half\b|an? (?:tbsp|tsp|tablespoon|teaspoon|cup|mug|pinch|handful|splash|drizzle|dash|thumb|knob|spoonful|litre|pint|tin|can|couple)|one\b|two\b|three\b|four\b)`;
/** "maybe 2 tbsp", "~ 1 tsp", "say a cup": about so much. */
const HEDGE = new RegExp(
  String.raw`(?:\b(?:maybe|perhaps|probably|possibly|roughly|approximately|approx\.?|abt\.?|circa|ca\.|say|around|something like|in the region of|give or take)|~|≈)[,:]?\s*(?:about |around |some )?${AMOUNT}`,
  'gi',
);
/** "350ml-ish", "3-ish tablespoons". */
const ISH = /(?<![\w.])(\d[\d.,/½¼¾]*\s*(?:[a-z]{1,12})?)[- ]?ish\b/gi;
/** What the food is used in place of is no part of its name. */
const IN_PLACE =
  /,?\s+(?:instead of|in place of|in lieu of|rather than|as (?:an? )?(?:sub(?:stitute)?|replacement|stand-in) for)\s+(?:the |any |an? )?(?:[\d½¼¾⅓⅔][\d./]*\s*(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|c|t|g|ml|oz)\s+(?:of )?)?[a-z][^,;()\d]*/gi;
/** "apple purée where the butter was": what stood there before is no part of the name. */
const WHERE_IT_WAS =
  /\s+where (?:the |my |her |his )?[a-z]+(?: [a-z]+)? (?:was|were|used to be|would be|would go)\b[^,;()]*/gi;
/** "stock, homemade, we never salt it": which one it is. */
const NEVER_SALTED =
  /\b(?:i|we|they)(?:'ve|'d)? (?:never|don'?t|do not|didn'?t) (salt|sweeten|oil)(?:ed)?(?: (?:it|them|ours|mine))?\b/gi;
const UNSALTED: Readonly<Record<string, string>> = { salt: 'no salt', sweeten: 'unsweetened', oil: 'no oil' };
/** "or skip the avocado and do salsa": another way, with its food. */
const OR_SKIP =
  /\s*[-–—,;(]?\s*\bor (?:just )?(?:skip|leave out|omit|drop|ditch|lose) (?:it|that|this|the [a-z]+(?: [a-z]+)?) and (?:do|use|have|add|take|try|put in|go for)\s+/gi;
/** "blackberries and apples, half and half": how much of each. */
const HALF_AND_HALF =
  /(?<=\b(?:and|&)\s[a-z -]{3,30}),\s*(?:half (?:and|&|n) half|half of each|in equal (?:parts|amounts)|equal (?:parts|amounts)|fifty[- ]fifty|50[/-]50|a mix(?:ture)?(?: of (?:both|the two))?)\b/gi;
/** "whatever short pasta you've got": the food alone. */
const WHATEVER =
  /^\s*(?:whatever|whichever|any(?: old)?)\s+([a-z][^,;()]*?)\s+(?:you(?:'ve| have)? (?:got|have|like|find)|(?:is|'s) (?:there|in|going|left)|(?:we|i)(?:'ve)? (?:got|have))\b[^,;()]*/i;
/** "(there's 4 of us)": who eats, and nothing of the line. */
const SO_MANY_OF_US =
  /\s*\((?:there(?:'s| are| is)|we(?:'re| are)|for)\s+(?:the\s+)?\w+(?:\s+of us)?(?: here)?\)/gi;
/** "or they turn to gravel", "or it'll burn": what happens otherwise is no other food. */
const OR_ELSE =
  /\s+or (?:else )?(?:they|it|you|we|i|everything|things)(?:'ll|'d|'re|'s)?\s+[a-z][^,;()\d]*/gi;
/** "a few flaked almonds (10g each, skip for Wren)": so much for each who eats. */
const FEW_EACH =
  /^((?:and )?(?:an? (?:few|little|bit of|handful of|couple of)|some)\s+)([a-z][a-z' -]*?)\s*\(\s*(\d+ ?(?:g|ml|oz|tbsp|tsp))\s+(?:each|apiece|pp|a head|per (?:person|head|plate))\b[^()]*\)/i;
/** "rice for 4": a plate of it for each. */
export const FOR_SO_MANY =
  /^([a-z][a-z' -]{2,40}?)\s+for (\d{1,2}|two|three|four|five|six|eight)(?: people| of us)?\s*([,(].*)?$/i;
/** "1 T miso per bowl, white": for each of them, wherever it stands. */
const PER_ONE =
  /^((?:[^()]|\([^()]*\))*?(?<!\b(?:fat|salt|sodium|sugar|protein|kcal|cal|calories|g|mg)))\s+((?:per|for each|for every) (?:person|head|plate|serving|portion|bowl|jar|glass|diner|eater))\s*(?!\s*[,;(]?\s*(?:if|when|unless)\b)((?:[,;(]|\b(?:for (?:those|whoever|anyone|whom|the ones)|at the (?:end|table)|on top|to (?:serve|finish)|dry|raw|cooked)\b).*)$/i;
/** "~~butter~~ margarine", "~½ tsp salt~ none": what is struck out. */
const STRUCK = /^\s*~{1,2}([^~]{2,})~{1,2}\s*(.*)$/;
export const struck = (line: string): string => {
  const m = STRUCK.exec(line);
  if (!m?.[1]) return line;
  const instead = (m[2] ?? '').replace(/^[\s:,;–-]+/, '').trim();
  return /^(?:none|nil|nothing|zero|skip(?:ped)?|out|gone|omit(?:ted)?|no)?[.!]*$/i.test(instead)
    ? `no ${m[1].trim()}`
    : instead;
};
/** "tin chickpeas x2 (not drained)": how many tins, before what is said of them. */
const TIMES_INSIDE = /^([^()]*?)\s+x\s?(\d{1,2})\s*([,(].*)$/i;
/** A measure that opens the line without a number: "thumb ginger", "tin tomatoes", "bunch mint". */
const BARE_UNIT =
  /^(?=(?:litre|liter|pint|kilo|thumb|inch|bunch|tin|can(?!\s+(?:be|use|also|add|do|have|freeze|make|sub|swap|replace|easily|just|keep|serve|eat|go|you|i|we)\b)|jar|packet|bag|carton|block|tub|punnet|bulb|head|stick|sprig|handful|pinch|dash|splash|drizzle|knob|tbsp|tsp|tablespoon|teaspoon|cup|mug|glass)\s+(?:of\s+)?[a-z]{3})/i;
const SIZED_UNIT =
  /^(?=(?:small|large|big|medium|little|good|generous) (?:pack|packet|bunch|bag|tin|can|jar|tub|pot|handful|head|piece|knob|bulb|thumb|block|carton|punnet)s?\b)/i;

/** "green beans 150", "tofu 300 silken": nobody counts so many; grams. */
const NAME_GRAMS =
  /^(?!(?:oven|bake|fan|gas|serves?|makes|feeds|page)\b)([a-z][a-z' -]{2,24}?)(\s+|\s*[:=–—-]\s*)(\d{2,4})(?:\s+(?!(?:g|kg|ml|l|oz|lbs?|grams?|tins?|cans?|cups?|tbsps?|tsps?|mins?|minutes|calories|kcal|small|medium|large|big|or|to|and|x)\b)([a-z][a-z -]{2,24}))?(\s*[,(–—-]\s*(?:[a-z][^\d]*)?)?$/i;
const FEWEST_GRAMS = 50;
const WHICH_INSIDE =
  /^(.*?\b)(rice|basmati|pasta|spaghetti|noodles|couscous|bread|toast|rolls?|wraps?|tortillas?|pittas?|pitas?|flour)\b([^()]*)\((?:[a-z ]+, )?(brown|wholemeal|wholewheat|wholegrain)(?:, [a-z ]+)?\)/i;
const WHICH_ONE =
  /^((?:rice|basmati|pasta|spaghetti|noodles|couscous|bread|toast|rolls?|wraps?|flour|tortillas?|pittas?|pitas?|bulgur)\b.*?)[,.]\s*(brown|white|wholemeal|wholewheat|wholegrain|rye|seeded|spelt|sourdough|granary)\.?\s*$/i;
/** "bread 4 slices, the seeded wholemeal one", "rolls, the brown ones": the kind before the name. */
const THE_ONE =
  /^([a-z][a-z' -]{2,24}?(?:\s*[-–—:,]?\s*(?:\d[\d./]*|[½¼¾]|an?|half an?|one|two|three|four) ?[a-z]*)?)\s*[-–—,(]+\s*(?:i (?:use|get|buy) )?the ([a-z-]+(?: [a-z-]+)?) (?:ones?|kind|sort|type|stuff|version)\)?(\s*(?:[,(].*)?)$/i;
const OWN_AMOUNT = /\s*[-–—:,]?\s*(?:\d[\d./]*|[½¼¾]|\b(?:an?|half an?|one|two|three|four)\b) ?[a-z]*$/i;
const KIND_LAST =
  /^((?:about )?(?:\d|[½¼¾]|an?\b|one\b|two\b|half\b)[^,;()]*?)\b(toast|bread|rolls?|buns?|wraps?|pasta|noodles|rice|pittas?|crackers|bagels?)\b([^,;()]*),\s*(rye|seeded|spelt|sourdough|granary|wholemeal|wholewheat|wholegrain|brown|white)\.?\s*$/i;
/** "chopped as small as you can be bothered": how fine, and no can. */
const AS_FINE_AS =
  /(?<=[a-z])\s+as (?:finely|thinly|small|fine|thin|tiny|evenly|chunky|rough(?:ly)?|coarse(?:ly)?) as (?:possible|you|it|they|i|we|your)\b(?:(?: (?:can|will|could|like|dare|please|go|goes|get|gets|be|it|them))+(?: bothered)?)?/gi;
/** "1 litre veg stock (I use 2 cubes)": what the stock is made of. */
const OF_CUBES =
  /^\s*((?:about )?[\d½¼¾][\d./½¼¾]* ?(?:l|ltrs?|litres?|liters?|ml|pints?|cups?|quarts?|dl))\s+(?:of )?((?:[a-z-]+ )*?)(?:stock|broth|bouillon)\b\s*(?:[(,;–-]+\s*|(?=(?:made|using|from)\b))(?:(?:(?:i|we) )?(?:use|do|put|make (?:it|mine) with)|(?:made )?(?:with|from|of)|using|up (?:with|from)|made up (?:with|from)|(?:it was |(?:i |we )?(?:kept?|keep) (?:it |this )?(?:down )?to))\s+((?:about )?(?:\d[\d/½¼¾]*|½|one|two|three|four|half an?|a(?= [a-z-]+ (?:[a-z-]+ )?cube))(?: and a half)?)\s+((?:[a-z-]+ )*?)cubes?\b(?: (?:not|instead of|rather than) [^()]*|[;,.] [^()]*)?\s*\)?\s*$/i;
const OPENS_MEASURED =
  /^\s*(?:about )?[\d½¼¾⅓⅔][\d./½¼¾-]*\s*(?:g|kg|ml|l|litres?|oz|lbs?|cups?|mugs?|tbsps?|tsps?|tablespoons?|teaspoons?|tins?|cans?)\s+(?:of )?/i;
/** "100% rye", "0% fat yoghurt": a share that tells no claim; of chocolate it is its kind. */
const PERCENT =
  /(?:^|\s)(?:100 ?%|\d{1,2}(?:[.,]\d)? ?% (?:milk )?fat|0 ?%)(?= |$)(?!.*\b(?:chocolate|cocoa|cacao)\b)/gi;
/** "2 drained tins of chickpeas": what was done to what they hold. */
const STATE_OF_TIN =
  /^(\s*(?:about )?(?:\d[\d./]*|an?|one|two|three|four|half an?)\s+(?:\d{3} ?g )?)((?:un)?drained(?: and rinsed)?|rinsed(?: and drained)?)\s+(tins?|cans?|jars?|cartons?|packs?)\s+(?:of )?([^,(;]+)/i;
/** "a pitta between two": so much of it for each. */
const BETWEEN_SOME =
  /^\s*(an?|one|two|three|\d)\s+([a-z][^,;()\d]*?)\s+between (two|three|2|3)\b(?: of (?:us|you|them))?(?=\s*(?:$|[,;(]))/i;
/** "peas and corn, a cup between them". */
const BETWEEN_THEM = /,?\s+(?:between|among) (?:them|the two|both)\b/i;
/** Characters of the longest of them, and one before it. */
const LONGEST_MEASURE = 10;
const ENDS_IN_MEASURE = /\b(?:cups?|mugs?|g|handfuls?|tbsps?|tins?)$/i;
/** "black salt on the tofu, just a sprinkle": where it goes, before its amount. */
const WHERE_IT_GOES =
  /^([a-z][a-z' -]{2,24}?)\s+(?:on|over|in|for) (?:the|each|top of the|my|our) [a-z]+(?: [a-z]+){0,3}(\s*,\s*(?:just |only |about )*(?:an?|\d|half|one|two)\b.*)$/i;
const FOR_MANY = /,?\s+for (\d{1,2}|two|three|four|five|six|eight)(?: people| of us)?[.!]*\s*$/i;
const ANY_AMOUNT = /\d ?(?:g|kg|ml|oz|lbs?|cups?|tbsps?|tins?|cans?)\b/i;
/** "160 g rice, for 2": the line alone, and for whom all of it is; looked for from its end, however long it is. */
export function forAll(line: string): { readonly alone: string; readonly many: string } | null {
  const m = FOR_MANY.exec(line);
  const alone = m ? line.slice(0, m.index) : '';
  return m?.[1] && ANY_AMOUNT.test(alone) ? { alone, many: m[1] } : null;
}
/** "tins tomatoes 2": how many, behind. */
const TINS_BEHIND =
  /^\s*((?:tins?|cans?|jars?|packets?|cartons?|bags?)) (?:of )?([a-z][a-z' -]*?) (?:x ?)?(\d{1,2})\s*$/i;
/** "a mug of stock made with ½ tsp low-salt bouillon": what it is made of. */
const OF_POWDER =
  /^\s*((?:about )?(?:[\d½¼¾][\d./½¼¾]* ?(?:l|ltrs?|litres?|liters?|ml|pints?|cups?|quarts?|dl)|an? (?:mug|cup|pint|litre)))\s+(?:of )?(?:hot |boiling )?((?:[a-z-]+ )*?)(?:stock|broth)\s*[(,;–-]*\s*(?:(?:made |mixed )?(?:up )?(?:with|from|using)|(?:i|we) (?:use|do|put|make it with)|(?<=[(,;–-] ?)|(?:hot |boiling )?water (?:\+|and|plus|with|&))\s*(?:only |just )?((?:about )?(?:\d[\d./½¼¾]*|[½¼¾]|an?|half an?|one|two) ?(?:tsps?|tbsps?|teaspoons?|tablespoons?) (?:of )?(?:the )?[a-z -]*(?:bouillon|stock|powder|paste)[a-z ]*)(?:,\s*(?:the )?([a-z -]+?)(?: (?:type|kind|sort|ones?|stuff))?)?\)?\s*$/i;
/** "1 litre water + 2 cubes": of stock, never of ice. */
const CUBES_IN_WATER =
  /^\s*((?:about )?[\d½¼¾][\d./½¼¾]* ?(?:l|ltrs?|litres?|liters?|ml|pints?|cups?|quarts?|dl))\s+(?:of )?(?:hot |boiling |just-boiled )*water\b\s*[(,;–+-]*\s*(?:(?:(?:i|we) )?(?:use|with|plus|and)\s+)?((?:about )?(?:\d[\d/½¼¾]*|½|one|two|three|four|half an?))\s+((?:(?!ice\b)[a-z-]+ )*?)cubes?\b(?: (?:not|instead of|rather than) [^()]*)?\s*\)?\s*$/i;
/** "2 x 400 tins": grams, as tins are told apart. */
const COUNTED_UNIT =
  '(?:g|kg|ml|l|litres?|oz|lbs?|(?:rice[- ]cooker )?cups?|mugs?|tbsps?|tsps?|tablespoons?|teaspoons?|tins?|cans?|jars?|pouch(?:es)?|packs?|cloves?|sticks?|bunch(?:es)?|slices?|handfuls?|nests?)';
/** "mustard, 2 tsp wholegrain", "potatoes, 900 g floury": which one, behind its amount. */
const KIND_BEHIND = new RegExp(
  String.raw`^([a-z][a-z' -]{2,24}?)\s*[,:]\s*((?:about )?(?:\d[\d./½¼¾-]*|[½¼¾⅓⅔]|an?|half an?|one|two|three|four)\s*${COUNTED_UNIT})\s+(?!of\b|and\b|or\b|for\b|to\b|in\b|on\b|per\b|each\b|a\b|if\b|max\b|is\b|at\b|from\b|with\b|plus\b|then\b|weight\b|total\b|worth\b)([a-z-]{3,}?(?: [a-z-]{3,}?){0,2})( per person)?(?:[.]?\s*$|(?=\s*[,(]))`,
  'i',
);
/** "tofu: 2 blocks (300 g each) firm": how many packs of what weight, before what is in them. */
const PACKS_BEHIND =
  /^([a-z][a-z' -]{2,24}?)\s*[:,–-]\s*((?:\d{1,2}|an?|one|two|three|four) (?:blocks?|packs?|packets?|tins?|cans?|jars?|bags?|pouch(?:es)?|cartons?)\s*\([^()]*\d ?(?:g|kg|ml|oz)\b[^()]*\))(\s+[a-z][a-z -]*)?(\s*,.*)?$/i;
/** "swede, half a small one", "carrots, two big ones": how large, behind its number. */
const SIZE_OF_ONES =
  /^([a-z][a-z' -]{2,24}?)\s*,\s*((?:about )?(?:\d{1,2}|half an?|an?|one|two|three|four|five|six))\s+((?:(?:very|really|nice|good|fat) )?(?:small|large|medium|big|little|fat|medium-sized)) ones?\b/i;
const SIZE_OF_TIN = /(?<![\d.,/])(\d{3})(?= (?:tins?|cans?|jars?|cartons?)\b)/gi;
/** "1 savoy cabbage, big, 12 outer leaves": so many of its leaves. */
const LEAVES_OF =
  /^\s*(?:\d|an?|one)\s+([a-z][a-z ]*?(?:cabbage|lettuce|chard|kale|greens|kohlrabi))\b[^()\d]*?[,(]\s*(?:just |only |about )?(\d{1,2}|two|three|four|five|six|eight|ten|twelve)\s+(?:(?:outer|big|large|inner|good|whole|nice) )*leaves\b[^,;()]*\)?/i;
/** "juice of the other lemon": of one. */
const OF_THE_OTHER =
  /\b(of|from) (?:(?:the|that|your) (?:other|second|same|first|last|remaining|zested)|another) (?=[a-z]+\b(?<!s\b))/gi;
/** "crackers? no. Rice cakes": what is asked about is not here. */
const ASKED_AND_DENIED =
  /^\s*[a-z][a-z' -]{2,48}?(?:\?+|\s*[-–—:]+(?=\s*no+[.!]))\s*(?:no+|nope|never|not here|not any ?more|none|gone|skip(?:ped)?|(?:i|we)(?:'ve)? (?:stopped|don'?t|do not|never do|dropped (?:it|that)|gave (?:it|that) up|given (?:it|that) up))\b[\s.,!;:–-]*(?=[^\s.,!;:–-])/i;
/** "a slice of rye each (40 g)", "2 rotis each (about 50 g)": what one weighs, or all of one plate's. */
const EACH_WEIGHS =
  /^(\s*(?:about )?(an?|one|two|three|four|\d)\s[^()\d]*?)\s+(each|apiece|a head|per (?:person|head|plate))\s*\(\s*(?:about |around |roughly |~ ?)?(\d{1,3}) ?(g|oz)\s*\)/i;
/** "about a kilo", "half a pound": in figures. */
const COMES_TO_EACH =
  /^(\s*(?:about )?\d[^,;()]*),\s*(?:so|that's|that is|which is|i\.e\.)\s+(?:about )?\d+ ?(?:g|ml)?\s+(?:each|apiece|a \w+|per \w+)\s*$/i;
const IN_FIGURES: readonly (readonly [RegExp, string])[] = [
  [/\bhalf (?:of )?an? kilo(?:gram(?:me)?)?\b/gi, '500 g'],
  [/\ba quarter (?:of an? )?kilo\b/gi, '250 g'],
  [/(?<!half )\b(?:a|one) kilo and a half\b/gi, '1500 g'],
  [/(?<!(?:half|of) )\b(?:a|one) kilo(?:gram(?:me)?)?\b/gi, '1 kg'],
  [/\bhalf (?:of )?a pound\b/gi, '8 oz'],
  [/(?<!(?:half|of) )\b(?:a|one) pound\b/gi, '1 lb'],
];
/** "2 stock cubes crumbled in", "stirred into it": how it goes in. */
const HOW_IN =
  /\s+(?:crumbled|dissolved|stirred|whisked|melted|mixed|dropped|thrown|grated|squeezed|snipped|torn) (?:in|into it|through|over)(?=\s*(?:$|[,;(]))/gi;
/** "Raisins? 40 g. I go back and forth.": perhaps so much. */
const ASKED_HOW_MUCH =
  /^\s*([a-z][a-z' -]{2,30})\?+\s+((?:about )?(?:[\d½¼¾⅓⅔][\d./]*|an?|half an?|one|two)\s*(?:g|kg|ml|oz|tbsps?|tsps?|tablespoons?|teaspoons?|cups?|handfuls?|pinch|splash))\b\s*(?:$|[.,;!]\s*(?:(?:i|we|it|depends|sometimes|maybe|optional|if)\b.*)?$)/i;
/** "150 g ditalini - wholewheat if you can find it": which one, where there is one. */
const KIND_IF_FOUND =
  /^((?:about )?[\d½¼¾⅓⅔][\d./]*\s*(?:g|kg|ml|oz|lbs?|cups?|mugs?|slices?|tbsps?|tsps?)?\s+(?:of )?)([a-z][a-z' -]*?)\s*[-–—,(]\s*(whole[- ]?(?:wheat|meal|grain)|brown|unsalted|unsweetened|[a-z]+[- ]free|no[- ]salt|(?:low|reduced)[- ](?:salt|sodium|fat|sugar)) if (?:you|i|we|they)(?: can| could|'ve)? (?:find|get|have|see|got|afford)(?: it| them| one| some| that)?\)?(.*)$/i;
const HAVE_IT = /\b(?:i|we)(?: always| usually)? (?:can|do|have|did)\b/i;
/** "bouillon: a level teaspoon of the reduced salt powder": which one is told behind the amount. */
const OF_THE_ONE =
  /^\s*([a-z]{4,}(?: [a-z]{3,})?)\s*[:,–—-]\s+((?:about )?(?:[\d½¼¾⅓⅔][\d./]*|an?|half an?|one|two|three)\s+(?:heaped |heaping |level |rounded |scant |good |big |small )?(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|tins?|cans?|g|ml)) of the ([a-z][a-z -]{2,24}?) (ones?|kind|sort|type|stuff|powder|paste|granules|cubes?)\s*$/i;
const FIRST_DONE =
  /\s+(?:&|and|then)\s+(?:dry[- ])?(?:baked|roasted|grilled|steamed|air[- ]?fried|charred)\b[^,;()]*\b\d+\s*(?:mins?|minutes|hours?|hrs?)\b[^,;()]*$/i;

/** "rice: 1 rice-cooker cup (180 ml) short brown": so much again between the amount and which one it is. */
const AGAIN_INSIDE =
  /^([a-z][a-z' -]{2,24}?\s*[:,]\s*\d[^()]{0,24}?)\s*\(\s*(?:about )?\d+ ?(?:ml|g)\s*\)(?=\s+[a-z -]{3,24}$)/i;
/** "tomato cucumber": names side by side, where they are no food together. */
function namesAlone(said: string): string {
  const words = said.toLowerCase().split(' ');
  const each = words.every((w) => namesFood(w) && !PREPARATION.has(w));
  return each && !namesFood(said) ? words.join(' and ') : said;
}

/** "mustard, 2 tsp wholegrain" turned round; another food behind the amount is left where it stands. */
function kindBefore(all: string, name: string, amount: string, kind: string, each = ''): string {
  const lower = kind.toLowerCase();
  // "rice: 1 cup brown raw": which one, and how it was weighed
  const [, which, state] = /^([a-z-]+) (raw|dry|dried|uncooked|cooked|drained)$/.exec(lower) ?? [];
  if (which && foodOfName(tokens(`${which} ${name.toLowerCase()}`)))
    return `${amount} ${which} ${name}, ${state}${each}`;
  if (lower.split(' ').some((w) => PREPARATION.has(w))) return `${amount} ${name}, ${kind}${each}`;
  const named = foodOfName(tokens(`${lower} ${name.toLowerCase()}`)) ?? foodOfName(tokens(lower));
  return named === undefined || !namesFood(lower) || named !== foodOfName(tokens(lower))
    ? `${amount} ${kind} ${name}${each}`
    : all;
}

/** "2 tbsp vinegar + 1 tsp mustard shaken in a jar": what is done with all of it, behind the last of them. */
const DONE_TOGETHER =
  /(?<=[a-z)])(?<!\b(?:and|then|be|well|ly|is|are|it|them))\s+((?:shaken|whisked|stirred|mixed|blended|blitzed|whizzed|beaten|combined|pounded|pureed|puréed|warmed|heated|dissolved|thinned|loosened|muddled|tossed|let down)(?:\s+(?:in (?:an?|the|one|my|our|its) (?!water|stock|juice|oil|milk|brine|broth|vinegar|lemon|soy)[a-z]+|up|together|well|smooth|first|overnight))*(?:\s+(?:till|until|to an?|for \d|by hand|with an? (?:fork|whisk|spoon|stick)|into an?)\b[^,;()+]*)?)\s*(?=[.!]*\s*$|[,;])/i;
/** "200C 40 min beets": how hot and how long, before what it is. */
const HEAT_FIRST =
  /^\s*(?:at )?(?:\d{2,3} ?(?:°|º|degrees)? ?[CF]\b(?: ?\/ ?\d{3} ?F)?|\d{3} ?(?:°|º|degrees)|gas(?: mark)? ?\d|1[4-9]0|2[0-4]0)(?: ?(?:fan|conventional))?[,;:]?\s+(?:for )?(?:about )?\d{1,3}(?: ?[-–] ?\d{1,3})? ?(?:mins?|minutes?|hrs?|hours?|h|m)\b[.,:;]?\s+(?=[a-z])/i;

/** "2 fat cloves": of garlic, as no spice is told by its size. */
const FAT_CLOVES =
  /((?:\d|an?|one|two|three|four|five|six)\s+(?:fat|big|large|plump|juicy|good|small|medium)(?:-sized)? cloves?)(?=\s*(?:$|[,.;(]))(?!.*garlic)/i;
const PACK = 'bag|packet|pack|jar|tub|pot|tin|can|carton|block|box|bottle|tube|bar';
/** "1/2 a bag peas (bag is 600)", "half a jar pesto (190 g jar)": what the whole of it holds. */
const PART = String.raw`(?:about )?(?:half|quarter|a quarter|third|a third|two thirds|three quarters|[½¼¾⅓⅔]|\d\/\d)(?: of)?`;
const WHOLE_PACK = String.raw`\((?:(?:the|an?|my|it'?s|whole|full|each|from) )*(?:(?:${PACK}) (?:is|was|says|holds|weighs|=) (?:about )?(\d{2,4}) ?(g|ml)?|(\d{2,4}) ?(g|ml) (?:${PACK}))\)`;
const PART_OF_PACK = new RegExp(
  String.raw`^(\s*${PART}) (?:an?|the) (${PACK})\b(?: of)? ([^()]*?)\s*${WHOLE_PACK}`,
  'i',
);
/** "frozen veg, half a bag (bag is 600)". */
const PART_BEHIND = new RegExp(
  String.raw`^\s*([a-z][a-z' -]{2,30}?)\s*[,:–—-]+\s*(${PART}) (?:an?|the) (${PACK})\s*${WHOLE_PACK}`,
  'i',
);
const TALK = ladder([
  rewrite(/^(\s*)(?:1\/2|½) (?:of )?an? /i, '$1half a '),
  // "mushrooms, cooked down till dry": how far
  rewrite(
    /\s+(?:un)?till? (?:(?:it'?s|they'?re|just|very|quite|really|completely|nice and) )*[a-z]+(?=\s*(?:$|[,;.)]))/gi,
    '',
  ),
  rewrite(FAT_CLOVES, (all: string, cloves: string, _: number, line: string) =>
    /garlic/i.test(line) ? all : `${cloves} garlic`,
  ),
  rewrite(HEAT_FIRST, ''),
  rewrite(DONE_TOGETHER, ', $1'),
  // no crown of it
  rewrite(/\bcrown prince\b(?: squash| pumpkin)?/gi, 'kabocha squash'),
  // "1 tbsp nooch does it"
  rewrite(
    /(?<=[a-z])\s+(?:does|do|will do|covers|makes up for) (?:it|that|the (?:job|trick|work|same))\b[^,;()]*[.!]*$/i,
    '',
  ),
  // "200 g brown rice, cooked as the packet says": weighed before
  rewrite(
    /,?\s+cooked (?:as|according to|per|following|by) (?:it|the|its|their|your|my|our)\b[^,;()]*(?=$|[,;)])/i,
    '',
  ),
  // "40 g raisins added after"
  rewrite(
    /(?<=[a-z]{3}) (?:added|stirred in|folded in|thrown in|put in|in) (?:(?:right )?at the (?:very )?end|after(?:wards)?|last|later)[.!]*(?=\s*$)|(?<=[a-z]{3}) (?:last|afterwards)(?: of all)?(?=\s*$)/i,
    '',
  ),
  // "2 tbsp stock instead"
  rewrite(/[\s,(]+instead(?: of (?:it|that|them))?\)?\s*[.!]*$/i, ''),
  rewrite(/(?<=[a-z]{4})[.!]+\s*$/, ''),
  // "mayo OR hummus", "capers 1 t rinsed"
  rewrite(/ OR (?=[a-z\d])/g, ' or '),
  rewrite(/(?<=[a-z] (?:about )?[\d½¼¾][\d./]*) ?t\.?(?= [a-z]|\s*(?:$|[,;(]))/g, ' tsp'),
  // "250 g oats, so 50 each": what that comes to
  rewrite(COMES_TO_EACH, '$1'),
  // "carrots | grated": a table's stroke
  rewrite(/\s+\|\s+/g, ', '),
  rewrite(/^\s*(?:optional|opt\.?)\s*[:-]?\s*/i, 'optional '),
  // "about half way: 300 g peas": when it goes in
  rewrite(
    /^\s*(?:about |roughly )?(?:half ?-?way(?: through)?|(?:at|near|towards) the (?:very )?end|at the start|to start|to begin|to finish|then|next|last(?:ly)?|later|meanwhile|after (?:about )?\d+ ?(?:mins?|minutes))\s*[:–—,-]\s*(?=\d|[½¼¾]|an?\b|half\b|one\b|two\b|three\b)/i,
    '',
  ),
  // "veg: 1 pepper": a shelf's name and one of it
  rewrite(
    /^\s*(?:veg|veggies|vegetables?|fruits?|herbs?|spices?|greens)\s*:\s+(?=(?:[\d½¼¾]|an?\b|half\b|one\b|two\b|three\b)[^,;]*$)/i,
    '',
  ),
  // "shallots 12 little ones peeled"
  rewrite(
    /^([a-z][a-z' -]{2,24}?)[ ,:–-]+(\d{1,2}|one|two|three|four|five|six|eight|ten|twelve) ((?:nice |really |very )?(?:little|small|tiny|medium|big|large|fat|biggish|smallish)) (?:ones?)(?=\s*(?:$|[,(]|[a-z]))/i,
    (all: string, name: string, n: string, size: string) => (namesFood(name) ? `${n} ${size} ${name},` : all),
  ),
  rewrite(/\bs\s*(?:&|\+|n|and)\s*p\b/i, 'salt and pepper'),
  rewrite(
    AND_A_HALF,
    (_, n: string, how: string | undefined, unit: string, part: string) =>
      `${/^an?$/i.test(n) ? 'one' : n} and a ${part} ${how ?? ''}${unit}`,
  ),
  rewrite(AND_A_BIT, (_, n: string, unit: string) => {
    const many = numberOf(n.toLowerCase()) ?? 1;
    return `${many}-${many + A_BIT} ${unit}`;
  }),
  rewrite(/^\s*few (?=[a-z])/i, 'a few '),
  rewrite(EACH_WEIGHS, (_, food: string, n: string, ___: string, weight: string, unit: string) => {
    const all = (numberOf(n) ?? 1) * Number(weight);
    return `${food} (${weight}${all > Number(weight) ? `-${all}` : ''} ${unit}) each`;
  }),
  ...IN_FIGURES.map(([words, figure]) => rewrite(words, figure)),
  rewrite(HOW_IN, ''),
  // "1 tbsp light mayo - or 2 tbsp soy yoghurt, which is what I do"
  rewrite(
    /^(.*?)[-–—,;(\s]\s*or\s+([^()]{3,60}?)[,;]?\s*(?:\((?:(?:which|that)(?:'s| is) )?what|(?:which|that)(?:'s| is) what|as) (?:i|we) (?:always |usually )?(?:do|use|have|take|make)\)?[.!]*\s*$/i,
    (_, first: string, taken: string) =>
      /^(?:about )?(?:[\d½¼¾⅓⅔]|an? |half |one |two )/i.test(taken)
        ? taken
        : `${OPENS_MEASURED.exec(first)?.[0] ?? ''}${taken}`,
  ),
  rewrite(/(\d ?(?:g|ml|oz)) ?\/ ?(?=(?:head|person|pp|plate|serving|portion)\b)/gi, '$1 per '),
  rewrite(/\(\s*each (?:about |around |~ ?)?(\d+ ?(?:g|ml|oz|kg))\s*\)/gi, '($1 each)'),
  rewrite(/^[a-z]+(?: [a-z]+){1,3}$/i, namesAlone),
  // "rice - 70 g a head brown basmati, dry"
  rewrite(
    /^\s*(?:([a-z][a-z' -]{2,24}?)\s*[-–—:,]\s*)?((?:about )?\d+ ?(?:g|ml|oz|tbsps?|tsps?)) (?:per|a) (?:head|person|plate|serving|portion) ((?!raw|dry|dried|cooked|uncooked|drained)[a-z][a-z -]+?)(,\s*(?:dry|raw|cooked|uncooked)(?: weight)?)?\s*$/i,
    (_, name: string | undefined, amount: string, kind: string, state?: string) =>
      `${amount} ${kind}${name ? ` ${name}` : ''}${state ?? ''} each`,
  ),
  // "salt — the pasta water only, a teaspoon in 3 litres"
  rewrite(
    /^\s*((?:[a-z]+ )?salt)\s*[-–—:,(]+\s*(?:for |in )?(?:the |your )?(?:pasta|potato|cooking|rice|noodle|boiling) water(?: only)?\s*[,;:–—-]\s*([^,;()]{2,30}?)(?:\s+(?:in|to|per) [^,;()]*)?\)?\s*$/i,
    '$2 $1, in the pasta water',
  ),
  // "ripe tomatoes, the best you can get": what one can is no tin
  rewrite(
    /,?\s*(?:the )?(?:best|ripest|nicest|freshest|biggest|smallest|cheapest|reddest)(?: ones?)? (?:that )?(?:you|i|we) (?:can |could )?(?:get|find|have|afford|see|buy)\b/gi,
    '',
  ),
  rewrite(/,?\s*\b(?:or )?less if (?:you|we|i|they) (?:can|could|like|want|dare|wish)\b(?: to)?/gi, ''),
  rewrite(/\s*[-–—,]\s*(?:i|we) (?:do|use|go)(?: for)? half(?: and | & | ?'?n'? |-and-)half\b/gi, ''),
  rewrite(
    /\b(low|reduced|red\.?)[- ]sod\.?(?=[ -])/gi,
    (_, how: string) => `${/^red\.?$/i.test(how) ? 'reduced' : how} sodium`,
  ),
  // "two chapatis each - bajra ones, 40 g each": what one weighs
  rewrite(
    /^((?:\d|an?|one|two|three|four)\s+[^()\d,;-]{3,40}?) (each|apiece)\b(\s*[-–—,;(][^()]*?)[-–—,;(]?\s*(?:about )?(\d{1,3} ?(?:g|oz)) (?:each|apiece)\)?\s*$/i,
    '$1 ($4 each)$3 $2',
  ),
  // "2 tsp each, tops"
  rewrite(/,\s*(?:tops|max(?:imum)?|at (?:the )?(?:very )?most)\s*$/i, ''),
  // "20 cashews. ok 12."
  rewrite(
    /^\s*\d+ ([a-z][a-z ]*?)\s*[.,;–—-]+\s*(?:ok(?:ay)?|well|actually|no|make that|fine),? (\d+)\.?\s*$/i,
    '$2 $1',
  ),
  rewrite(/^(\s*\d+ )gr\.? (?=chill|pepper|onion|lentil|bean)/i, '$1green '),
  // "the other half cucumber"
  rewrite(/^\s*(?:the )?(?:other|remaining|second) half\b/i, 'half'),
  rewrite(/\s*<-+\s*/g, ' - '),
  // "sesame oil - leave out, use 1 tsp seeds"
  rewrite(
    /^([^()]*?)\s*[-–—,(]+\s*(?:leave (?:it |this )?out|skip(?: it| this)?|omit(?: it)?)\s*[,;–-]*\s*(?:and |i |we )?(?:use|do|put in|add|take) (.+?)\)?\s*$/i,
    '$1 -> $2',
  ),
  // "olives - 12 black, rinsed"
  rewrite(
    /^([a-z][a-z' -]{2,24}?)\s*[-–—:,]\s*(\d{1,2}) (black|green|red|yellow|white|brown|small|large|big|medium|ripe|fat|thin|mixed)(\s*,.*)?\s*$/i,
    '$2 $3 $1$4',
  ),
  // "lemon 1 juice only"
  rewrite(/^\s*(lemon|lime|orange)s? (\d|½|half|one|two) (juice|zest)(?: only)?\s*$/i, '$3 of $2 $1'),
  // "capers tbsp rinsed", "chickpeas tin (no salt)"
  rewrite(
    /^([a-z][a-z' -]{2,24}?) (tbsp|tsp|tin|can|jar|cup|mug|bunch|handful|pinch)(?=\s*(?:$|[,(])|\s+(?:rinsed|drained|chopped|grated|sliced|ground|minced|crushed|dried|fresh)\b)(.*)$/i,
    (all: string, name: string, unit: string, rest: string) =>
      !namesFood(name)
        ? all
        : `1 ${unit} ${name}${/^\s*[,(]/.test(rest) || !rest ? rest : `, ${rest.trim()}`}`,
  ),
  // "cucumber salad = 1 cucumber"
  rewrite(/^\s*[a-z][a-z' -]{2,24}\s*=\s*(?=(?:[\d½¼¾⅓⅔]\S*|an?|half|one|two)\s+[a-z]{3})/i, ''),
  rewrite(PERCENT, ' '),
  rewrite(/(?<=\b(?:tsps?|t)\s)b\.? ?p(?:\.|owder)?(?=\s|$)/i, 'baking powder'),
  // "lemon, juice and zest of 1"
  rewrite(
    /^\s*(lemon|lime|orange|grapefruit)s?\s*,\s*((?:the )?(?:juice|zest)(?: (?:and|&|\+) (?:juice|zest))?)(?: only)?(?: of (\d|one|two|half|½|a half))?\s*$/i,
    (_, fruit: string, part: string, n?: string) => `${part} of ${n ?? '1'} ${fruit}`,
  ),
  // "4 slices of sourdough (2 each), about 45 g a slice": what one weighs
  rewrite(/\s*\(\d (?:each|apiece)\)(?=.*\d ?g (?:a|per|each|the) [a-z]+\s*\)?\s*$)/i, ''),
  rewrite(
    /\s*[,(–-]\s*(?:about |approx\.? |around |roughly |~ ?)?(\d{1,3}) ?(g|oz) (?:(?:a|per) (?:slice|piece|roll|bun|cake|round|one)|each one)\s*\)?\s*$/i,
    ' ($1 $2 each)',
  ),
  rewrite(BETWEEN_THEM, (said: string, at: number, all: string) =>
    all.slice(0, at).includes(',') && ENDS_IN_MEASURE.test(all.slice(Math.max(0, at - LONGEST_MEASURE), at))
      ? ''
      : said,
  ),
  always((said) => forAll(said)?.alone ?? said),
  rewrite(/^\s*(?:their|its) (?:own )?(?:liquid|liquor|brine|water)\b/i, 'bean liquid'),
  rewrite(WHERE_IT_GOES, '$1$2'),
  // "avocado: half between the 4 of us": so much of it in all
  rewrite(
    /^([a-z][a-z' -]{2,24}?)\s*[,:–-]\s*(half(?: of one)?|one|1|two|2|three|3)\s+(?:shared )?(?:between|among) (?:the |all )?(?:\d|two|three|four|five|six|eight|us|all)\b[^,;()]*$/i,
    (_: string, food: string, count: string) => `${count.replace(/ of one$/i, '')} ${food}`,
  ),
  rewrite(BETWEEN_SOME, (_, n: string, food: string, many: string) => {
    const [all, eaters] = [numberOf(n) ?? 1, numberOf(many) ?? 1];
    return `${all}/${eaters} ${food} each`;
  }),
  rewrite(STATE_OF_TIN, '$1$3 $4, $2'),
  rewrite(/(\d)\s?"(?=\s|$)/g, '$1 inch'),
  rewrite(
    /(?<=[a-z])(?<!\b(?:is|are|be|was|of|with|in))\s+(?:loads|lots|plenty|galore)(?: of it| of them)?[.!]*\s*$/i,
    '',
  ),
  rewrite(ASKED_AND_DENIED, ''),
  rewrite(ASKED_HOW_MUCH, '$2 $1, optional'),
  rewrite(KIND_IF_FOUND, (_, amount: string, food: string, kind: string, rest: string) =>
    HAVE_IT.test(rest) ? `${amount}${kind} ${food}` : `${amount}${food} or ${kind} ${food}`,
  ),
  rewrite(/(?<=[\d½¼¾⅓⅔] ?)T(?=\s+[a-z(]|\s*(?:[+&,;)/|.]|$))/g, 'tbsp'),
  rewrite(/[,;(\s–-]+(?:and |but )?no more(?: than that)?\s*\)?[.!]*$/i, ''),
  rewrite(OF_THE_ONE, (_, name: string, amount: string, which: string, form: string) =>
    /powder|granules|paste|cubes?/i.test(form)
      ? `${amount} ${which} ${name} ${form}`
      : `${amount} ${which} ${name}`,
  ),
  rewrite(AS_FINE_AS, ''),
  rewrite(CUBES_IN_WATER, (_, water: string, n: string, kind: string) =>
    /stock/i.test(kind) ? `${n} ${kind}cubes + ${water} water` : `${n} ${kind}stock cubes + ${water} water`,
  ),
  rewrite(
    OF_POWDER,
    (_, water: string, __: string, made: string, which?: string) =>
      `${(/bouillon|stock/i.test(made) ? made : made.replace(/(powder|paste)/i, 'stock $1')).replace(
        /(?=bouillon|stock)/i,
        which ? `${which} ` : '',
      )} + ${water} water`,
  ),
  rewrite(OF_CUBES, '$3 $2$4stock cubes + $1 water'),
  rewrite(AGAIN_INSIDE, '$1'),
  rewrite(SIZE_OF_ONES, '$2 $3 $1'),
  rewrite(
    PACKS_BEHIND,
    (_, name: string, packs: string, kind?: string, rest?: string) =>
      `${packs} ${kind ? `${kind.trim()} ` : ''}${name}${rest ?? ''}`,
  ),
  rewrite(KIND_BEHIND, kindBefore),
  rewrite(TINS_BEHIND, '$3 $1 $2'),
  rewrite(SIZE_OF_TIN, '$1g'),
  rewrite(LEAVES_OF, '$2 $1 leaves'),
  rewrite(OF_THE_OTHER, '$1 1 '),
  // "a drop of oil" is no single drop
  rewrite(/\ban? (?:(?:wee|tiny|little|small) )?drop of\b/gi, 'a dash of'),
  rewrite(/\s+=\s+(?:the|my|our) [a-z][a-z -]*$/i, ''),
  rewrite(/\b(half )?an? wine ?glass(?:ful)? of\b/gi, (_, half?: string) =>
    half ? 'about 75 ml' : 'about 150 ml',
  ),
  rewrite(ISH, 'about $1'),
  rewrite(HEDGE, 'about '),
  rewrite(WHATEVER, '$1'),
  rewrite(/\s+in (?:plenty|lots) of (?:cold |warm |hot |fresh |boiling )?water\b/i, ''),
  rewrite(SO_MANY_OF_US, ''),
  // "1 boiled egg each for the non-vegans"
  rewrite(
    /[\s,(]+(?:for|if) (?:the |any |our |you'?re |they'?re )*(?:non-? ?vegans?|vegetarians?|veggies|meat[- ]eaters?|omnivores?)\b\)?/gi,
    ', optional',
  ),
  rewrite(/^\s*(?:instead|in place|in lieu) of [a-z ]{2,24}[:,]\s*/i, ''),
  rewrite(IN_PLACE, ''),
  rewrite(WHERE_IT_WAS, ''),
  rewrite(NEVER_SALTED, (_, deed: string) => UNSALTED[deed.toLowerCase()] ?? ''),
  rewrite(OR_SKIP, ' or '),
  rewrite(HALF_AND_HALF, ''),
  rewrite(OR_ELSE, ''),
  rewrite(TIMES_INSIDE, '$1 $3 x $2'),
  rewrite(PER_ONE, '$1 $3 $2'),
  rewrite(FEW_EACH, '$3 $2 each'),
  rewrite(FOR_SO_MANY, (_, food: string, __: string, rest?: string) => `1 portion ${food}${rest ?? ''} each`),
  rewrite(/,?\s+(?:ditto|likewise|same again)\b/gi, ''),
  rewrite(/\s+w(?:\/|ith) (?:(?:its|their|the) )?(?:fronds|stalks|stems|tops|leaves on|skins? on)\b/i, ''),
  rewrite(/\bnew season('s)? (?=potato|carrot|garlic)/i, 'new '),
  // "1 vacuum pack cooked beetroot"
  rewrite(/^(\s*(?:\d+|an?|one|two|half an?)\s+)vac(?:uum)?[ -]?packe?d?s?\s+(?:of )?/i, '$1pack '),
  rewrite(/\bof (?:the|those) same (cups?|mugs?|glass(?:es)?|spoons?)\b/i, '$1'),
  rewrite(NAME_GRAMS, (all: string, name: string, sign: string, n: string, rest?: string, told?: string) =>
    Number(n) >= FEWEST_GRAMS &&
    // "Day: 400 wholemeal" has a label
    (!sign.trim() || namesFood(name))
      ? `${n} g ${rest ? `${rest} ` : ''}${name}${told ?? ''}`
      : all,
  ),
  // "aubergines x3 sliced": so many of them
  rewrite(/^([a-z][a-z' -]{2,30}?)\s+x\s?(\d{1,2})\s+(?=[a-z&(])/i, '$2 $1, '),
  // "2 slices of toast each, dry": nothing on it
  rewrite(
    /\b((?:toast|bread|rolls?|buns?|pittas?|bagels?|crumpets?|muffins?)\b[^,;()]*),\s*(?:dry|plain|bare)(?=\s*$| per person)/i,
    '$1',
  ),
  // "rice, 2 cups cooked (leftover, brown)": which one
  rewrite(WHICH_INSIDE, '$1$4 $2$3'),
  // "60 g each, raw": how it is weighed
  rewrite(
    /\b(each|apiece|pp|a head|per (?:person|head))\s*,\s*((?:raw|dry|dried|cooked|uncooked)(?: weight)?)\s*$/i,
    '$2 $1',
  ),
  // "bread 4 slices, the seeded wholemeal one": which one
  rewrite(THE_ONE, (all: string, food: string, kind: string, rest: string) =>
    namesFood(`${kind} ${food.replace(OWN_AMOUNT, '').trim()}`) ? `${kind} ${food}${rest}` : all,
  ),
  // "rice - 60 g raw each, brown", "bread, wholemeal": which one
  rewrite(WHICH_ONE, '$2 $1'),
  // "sliced & baked dry 25 min": done before anything else
  rewrite(FIRST_DONE, ''),
  // "3 tbsp nooch. no marg!": what is not there is no part of the name
  rewrite(/\.\s+(?:no|skip|leave out|omit|forget) [a-z][a-z ]{1,24}[!.]*$/i, ''),
  rewrite(
    /^\s*(?:whatever(?:'s| is)? left (?:of|over of)|what(?:'s| is) left of|the (?:rest|remains) of) (?:the )?/i,
    'leftover ',
  ),
  // "soaked in 200 ml hot"
  rewrite(
    /\b(in (?:about )?\d+ ?(?:ml|l|cups?) (?:of )?(?:just[- ])?(?:hot|boiling|boiled|warm|cold))(?=\s*(?:$|[,;.)]))/i,
    '$1 water',
  ),
  rewrite(/^\s*enough (?=[a-z])/i, ''),
  rewrite(SIZED_UNIT, '1 '),
  rewrite(BARE_UNIT, '1 '),
]);

const OR_THE_KIND =
  /^([^.;]{3,80}?)(\s*[,(–—-]?\s*\bor (?:else )?)((?:(?:about )?[\d½¼¾][\d./]* ?(?:g|ml|l|oz|tbsps?|tsps?|cups?|slices?|tins?|cans?) )?(?:of )?)the ([a-z]+(?:-[a-z]+)?(?: [a-z]+)?) (?:ones?|kind|sort|type|stuff|version)\b(.*)$/i;
const SHARES: Readonly<Record<string, number>> = {
  half: 1 / 2,
  quarter: 1 / 4,
  third: 1 / 3,
  'two thirds': 2 / 3,
  'three quarters': 3 / 4,
};
/** A part of a pack by what the whole of it holds; of a tin it is said as such, as its liquid is not eaten. */
function partOf(part: string, pack: string, food: string, holds: string, unit: string): string {
  const said = part
    .toLowerCase()
    .replace(/^\s*(?:about )?(?:a (?=quarter|third))?/, '')
    .replace(/ of$/, '')
    .trim();
  const share = SHARES[said] ?? readQuantity(clean(said), 0)?.best;
  return /tin|can|jar/i.test(pack) || share === undefined
    ? `${part} a ${holds} ${unit} ${pack} of ${food}`
    : `${Math.round(Number(holds) * share)} ${unit} ${food}`;
}
/** "quarter of block". */
const PART_OF_A = new RegExp(String.raw`\b(half|quarter|third) of (?=(?:${PACK})\b)`, 'i');
/** What stands around a line before its words are read: its bracket, and a kind behind all of it. */
const AROUND = ladder([
  rewrite(PART_OF_A, '$1 of a '),
  rewrite(/([,:–—-]\s*)(?:1\/2|½) (?:of )?an? /i, '$1half a '),
  rewrite(
    PART_OF_PACK,
    (_, part: string, pack: string, food: string, n?: string, unit?: string, m?: string, of?: string) =>
      partOf(part, pack, food, n ?? m ?? '', unit ?? of ?? 'g'),
  ),
  rewrite(
    PART_BEHIND,
    (_, food: string, part: string, pack: string, n?: string, unit?: string, m?: string, of?: string) =>
      partOf(part, pack, food, n ?? m ?? '', unit ?? of ?? 'g'),
  ),
  // "2 thick slices pp @ 55g", "4 buns @ 60 g": what one of them weighs
  rewrite(
    /(\s+(?:each|pp|apiece|per (?:person|head)))?\s*@ ?(\d{1,3}) ?(g|oz|ml)(?: each| a (?:slice|piece))?(?=\s*(?:$|[,;)]))/i,
    (_, heads: string | undefined, weight: string, unit: string) =>
      heads ? ` each, ${weight} ${unit} each` : ` (${weight} ${unit} each)`,
  ),
  // "(sometimes avo, a quarter each)"
  rewrite(
    /^\s*\(\s*((?:sometimes|occasionally|optional(?:ly)?|perhaps|maybe|or|plus|and|also|\+)[ :,]+(?:also )?)([^()]{3,60})\)[.!]?\s*$/i,
    (_, how: string, said: string) => (/^(?:plus|and|also|\+)/i.test(how) ? said : `optional ${said}`),
  ),
  // "150 ml soya cream or the cashew one": of the same
  rewrite(
    OR_THE_KIND,
    (all: string, first: string, or: string, amount: string, kind: string, rest: string) => {
      const name = first
        .split(/[,(–—]|\s-\s/)[0]
        ?.trim()
        .split(' ') as string[];
      const noun = [1, 2].map((n) => name.slice(-n).join(' ')).find((words) => namesFood(`${kind} ${words}`));
      return noun ? `${first}${or}${amount}${kind} ${noun}${rest}` : all;
    },
  ),
  // "toast – 1 slice each, rye"
  rewrite(
    /^(toast|bread|rolls?|buns?|wraps?|pasta|noodles|rice|pittas?|crackers|bagels?)(\s*[-–—,:]\s*[^,;()]*)[,.]\s*(rye|seeded|spelt|sourdough|granary|wholemeal|wholewheat|wholegrain|brown|white)\.?\s*$/i,
    (all: string, food: string, behind: string, kind: string) =>
      namesFood(`${kind} ${food}`) ? `${kind} ${food}${behind}` : all,
  ),
  // "1 slice toast each, rye": which one, behind it all
  rewrite(KIND_LAST, (all: string, before: string, food: string, behind: string, kind: string) =>
    namesFood(`${kind} ${food}`) ? `${before}${kind} ${food}${behind}` : all,
  ),
]);

const told = (line: string): string => AROUND(amongPlaces(amountNamedFirst(line) ?? line));

/**
 * A line of ingredients as cooks say it, put into the words that lines are written in: hedges become "about", "a
 * tablespoon and a half" one amount; what a food stands in for is dropped. Names of foods stay as they are.
 */
export const plainTalk = (line: string): string =>
  TALK(ownWay(ofSeveral(partsOf(standsInFor(styled(told(tableRow(line) ?? line)))))));
