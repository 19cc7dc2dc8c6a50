import { foodOfName } from '@/core/food/find';
import { tokens } from '@/core/food/tokens';
import { PREPARATION } from './alternatives';

/** "a tablespoon and a half of": one and a half of them. */
const AND_A_HALF =
  /\b(an?|one|two|three|four|\d+)\s+((?:heaped|heaping|level|big|good|large|small|rounded)\s+)?(tablespoons?|teaspoons?|tbsps?|tsps?|cups?|mugs?|pints?|litres?|liters?|pounds?|kilos?|tins?|cans?|handfuls?|spoons?|spoonfuls?)\s+and\s+a\s+(half|quarter)\b/g;
const AMOUNT = String.raw`(?=\d|[½⅓⅔¼¾⅛]|half\b|an? (?:tbsp|tsp|tablespoon|teaspoon|cup|mug|pinch|handful|splash|drizzle|dash|thumb|knob|spoonful|litre|pint|tin|can|couple)|one\b|two\b|three\b|four\b)`;
/** "maybe 2 tbsp", "~ 1 tsp", "say a cup": about so much. */
const HEDGE = new RegExp(
  String.raw`(?:\b(?:maybe|perhaps|probably|possibly|roughly|approximately|approx\.?|circa|ca\.|say|around|something like|in the region of|give or take)|~|≈)[,:]?\s*(?:about |around |some )?${AMOUNT}`,
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
  /^([a-z][a-z' -]{2,40}?)\s+for (\d{1,2}|two|three|four|five|six|eight)(?: people| of us)?\s*(,.*)?$/i;
/** "1 T miso per bowl, white": for each of them, wherever it stands. */
const PER_ONE =
  /^((?:[^()]|\([^()]*\))*?(?<!\b(?:fat|salt|sodium|sugar|protein|kcal|cal|calories|g|mg)))\s+((?:per|for each|for every) (?:person|head|plate|serving|portion|bowl|jar|glass|diner|eater))\s*((?:[,;(]|\b(?:for (?:those|whoever|anyone|whom|the ones)|if|when|unless)\b).*)$/i;
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
  /^(?=(?:thumb|bunch|tin|jar|packet|bag|carton|block|tub|punnet|bulb|head|stick|sprig|handful|pinch|dash|splash|drizzle|knob|tbsp|tsp|tablespoon|teaspoon|cup|mug|glass)\s+(?:of\s+)?[a-z]{3})/i;
const SIZED_UNIT =
  /^(?=(?:small|large|big|medium|little|good|generous) (?:pack|packet|bunch|bag|tin|can|jar|tub|pot|handful|head|piece|knob|bulb|thumb|block|carton|punnet)s?\b)/i;

/** "green beans 150", "tofu 300 silken": nobody counts so many; grams. */
const NAME_GRAMS =
  /^(?!(?:oven|bake|fan|gas|serves?|makes|feeds|page)\b)([a-z][a-z' -]{2,24}?)\s+(\d{2,4})(?:\s+(?!(?:g|kg|ml|l|oz|lbs?|grams?|tins?|cans?|cups?|tbsps?|tsps?|mins?|minutes|calories|kcal|small|medium|large|big|or|to|and|x)\b)([a-z][a-z -]{2,24}))?$/i;
const FEWEST_GRAMS = 50;
const WHICH_ONE =
  /^((?:rice|basmati|pasta|spaghetti|noodles|couscous|bread|toast|rolls?|wraps?|flour|tortillas?|pittas?|pitas?|bulgur)\b.*?),\s*(brown|white|wholemeal|wholewheat|wholegrain)\s*$/i;
/** "chopped as small as you can be bothered": how fine, and no can. */
const AS_FINE_AS =
  /(?<=[a-z])\s+as (?:finely|thinly|small|fine|thin|tiny|evenly|chunky|rough(?:ly)?|coarse(?:ly)?) as (?:possible|you|it|they|i|we|your)\b(?:(?: (?:can|will|could|like|dare|please|go|goes|get|gets|be|it|them))+(?: bothered)?)?/gi;
/** "1 litre veg stock (I use 2 cubes)": what the stock is made of. */
const OF_CUBES =
  /^\s*((?:about )?[\d½¼¾][\d./½¼¾]* ?(?:l|ltrs?|litres?|liters?|ml|pints?|cups?|quarts?|dl))\s+(?:of )?((?:[a-z-]+ )*?)(?:stock|broth|bouillon)\b\s*[(,;–-]+\s*(?:(?:(?:i|we) )?(?:use|do|put|make (?:it|mine) with)|(?:made )?(?:with|from|of)|using)\s+((?:about )?(?:\d[\d/½¼¾]*|½|one|two|three|four|half an?))\s+((?:[a-z-]+ )*?)cubes?\b(?: (?:not|instead of|rather than) [^()]*)?\s*\)?\s*$/i;
/** "tins tomatoes 2": how many, behind. */
const TINS_BEHIND =
  /^\s*((?:tins?|cans?|jars?|packets?|cartons?|bags?)) (?:of )?([a-z][a-z' -]*?) (?:x ?)?(\d{1,2})\s*$/i;
/** "a mug of stock made with ½ tsp low-salt bouillon": what it is made of. */
const OF_POWDER =
  /^\s*((?:about )?(?:[\d½¼¾][\d./½¼¾]* ?(?:l|ltrs?|litres?|liters?|ml|pints?|cups?|quarts?|dl)|an? (?:mug|cup|pint|litre)))\s+(?:of )?(?:hot |boiling )?((?:[a-z-]+ )*?)(?:stock|broth)\s*[(,;–-]*\s*(?:made |mixed )?(?:up )?(?:with|from|using)\s+((?:about )?(?:\d[\d./½¼¾]*|[½¼¾]|an?|half an?|one|two) ?(?:tsps?|tbsps?|teaspoons?|tablespoons?) (?:of )?[a-z -]*(?:bouillon|stock|powder|paste)[a-z ]*)\)?\s*$/i;
/** "1 litre water + 2 cubes": of stock, never of ice. */
const CUBES_IN_WATER =
  /^\s*((?:about )?[\d½¼¾][\d./½¼¾]* ?(?:l|ltrs?|litres?|liters?|ml|pints?|cups?|quarts?|dl))\s+(?:of )?(?:hot |boiling |just-boiled )*water\b\s*[(,;–+-]*\s*(?:(?:(?:i|we) )?(?:use|with|plus|and)\s+)?((?:about )?(?:\d[\d/½¼¾]*|½|one|two|three|four|half an?))\s+((?:(?!ice\b)[a-z-]+ )*?)cubes?\b(?: (?:not|instead of|rather than) [^()]*)?\s*\)?\s*$/i;
/** "2 x 400 tins": grams, as tins are told apart. */
const COUNTED_UNIT =
  '(?:g|kg|ml|l|litres?|oz|lbs?|cups?|mugs?|tbsps?|tsps?|tablespoons?|teaspoons?|tins?|cans?|jars?|pouch(?:es)?|packs?|cloves?|sticks?|bunch(?:es)?|slices?|handfuls?)';
/** "mustard, 2 tsp wholegrain", "potatoes, 900 g floury": which one, behind its amount. */
const KIND_BEHIND = new RegExp(
  String.raw`^([a-z][a-z' -]{2,24}?)\s*,\s*((?:about )?(?:\d[\d./½¼¾-]*|[½¼¾⅓⅔]|an?|half an?|one|two|three|four)\s*${COUNTED_UNIT})\s+(?!of\b|and\b|or\b|for\b|to\b|in\b|on\b|per\b|each\b|a\b|if\b|max\b|is\b|at\b|from\b|with\b|plus\b|then\b|weight\b|total\b|worth\b)([a-z-]{3,}(?: [a-z-]{3,})?)\s*$`,
  'i',
);
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
  /^\s*[a-z][a-z' -]{2,48}\?+\s*(?:no+|nope|never|not here|not any ?more|none|gone|skip(?:ped)?|(?:i|we)(?:'ve)? (?:stopped|don'?t|do not|never do|dropped (?:it|that)|gave (?:it|that) up|given (?:it|that) up))\b[\s.,!;:–-]*(?=[^\s.,!;:–-])/i;
const FIRST_DONE =
  /\s+(?:&|and|then)\s+(?:dry[- ])?(?:baked|roasted|grilled|steamed|air[- ]?fried|charred)\b[^,;()]*\b\d+\s*(?:mins?|minutes|hours?|hrs?)\b[^,;()]*$/i;

/** "mustard, 2 tsp wholegrain" turned round; another food behind the amount is left where it stands. */
function kindBefore(all: string, name: string, amount: string, kind: string): string {
  const lower = kind.toLowerCase();
  if (lower.split(' ').some((w) => PREPARATION.has(w))) return `${amount} ${name}, ${kind}`;
  const named = foodOfName(tokens(`${lower} ${name.toLowerCase()}`)) ?? foodOfName(tokens(lower));
  return named === undefined || foodOfName(tokens(lower)) === undefined || named !== foodOfName(tokens(lower))
    ? `${amount} ${kind} ${name}`
    : all;
}

/**
 * A line of ingredients as cooks say it, put into the words that lines are written in: hedges become "about", "a
 * tablespoon and a half" one amount; what a food stands in for is dropped. Names of foods stay as they are.
 */
export const plainTalk = (line: string): string =>
  line
    .replace(/(?<=[a-z]{4})[.!]+\s*$/, '')
    .replace(/^\s*(?:optional|opt\.?)\s*[:-]?\s*/i, 'optional ')
    .replace(/\bs\s*(?:&|\+|n|and)\s*p\b/i, 'salt and pepper')
    .replace(
      AND_A_HALF,
      (_, n: string, how: string | undefined, unit: string, part: string) =>
        `${/^an?$/i.test(n) ? 'one' : n} and a ${part} ${how ?? ''}${unit}`,
    )
    .replace(/^\s*few (?=[a-z])/i, 'a few ')
    .replace(ASKED_AND_DENIED, '')
    .replace(AS_FINE_AS, '')
    .replace(CUBES_IN_WATER, (_, water: string, n: string, kind: string) =>
      /stock/i.test(kind) ? `${n} ${kind}cubes + ${water} water` : `${n} ${kind}stock cubes + ${water} water`,
    )
    .replace(
      OF_POWDER,
      (_, water: string, __: string, made: string) =>
        `${/bouillon|stock/i.test(made) ? made : made.replace(/(powder|paste)/i, 'stock $1')} + ${water} water`,
    )
    .replace(OF_CUBES, '$3 $2$4stock cubes + $1 water')
    .replace(SIZE_OF_ONES, '$2 $3 $1')
    .replace(KIND_BEHIND, kindBefore)
    .replace(TINS_BEHIND, '$3 $1 $2')
    .replace(SIZE_OF_TIN, '$1g')
    .replace(LEAVES_OF, '$2 $1 leaves')
    .replace(OF_THE_OTHER, '$1 1 ')
    // "a drop of oil" is no single drop
    .replace(/\ban? (?:(?:wee|tiny|little|small) )?drop of\b/gi, 'a dash of')
    .replace(/\s+=\s+(?:the|my|our) [a-z][a-z -]*$/i, '')
    .replace(/\b(half )?an? wine ?glass(?:ful)? of\b/gi, (_, half?: string) =>
      half ? 'about 75 ml' : 'about 150 ml',
    )
    .replace(ISH, 'about $1')
    .replace(HEDGE, 'about ')
    .replace(WHATEVER, '$1')
    .replace(/\s+in (?:plenty|lots) of (?:cold |warm |hot |fresh |boiling )?water\b/i, '')
    .replace(SO_MANY_OF_US, '')
    .replace(/^\s*(?:instead|in place|in lieu) of [a-z ]{2,24}[:,]\s*/i, '')
    .replace(IN_PLACE, '')
    .replace(WHERE_IT_WAS, '')
    .replace(NEVER_SALTED, (_, deed: string) => UNSALTED[deed.toLowerCase()] ?? '')
    .replace(OR_SKIP, ' or ')
    .replace(HALF_AND_HALF, '')
    .replace(OR_ELSE, '')
    .replace(TIMES_INSIDE, '$1 $3 x $2')
    .replace(PER_ONE, '$1 $3 $2')
    .replace(FEW_EACH, '$3 $2 each')
    .replace(
      FOR_SO_MANY,
      (_, food: string, __: string, rest?: string) => `1 portion ${food}${rest ?? ''} each`,
    )
    .replace(/,?\s+(?:ditto|likewise|same again)\b/gi, '')
    .replace(/\s+w(?:\/|ith) (?:(?:its|their|the) )?(?:fronds|stalks|stems|tops|leaves on|skins? on)\b/i, '')
    .replace(/\bnew season('s)? (?=potato|carrot|garlic)/i, 'new ')
    // "1 vacuum pack cooked beetroot"
    .replace(/^(\s*(?:\d+|an?|one|two|half an?)\s+)vac(?:uum)?[ -]?packe?d?s?\s+(?:of )?/i, '$1pack ')
    .replace(/\bof (?:the|those) same (cups?|mugs?|glass(?:es)?|spoons?)\b/i, '$1')
    .replace(NAME_GRAMS, (all: string, name: string, n: string, rest?: string) =>
      Number(n) >= FEWEST_GRAMS ? `${n} g ${rest ? `${rest} ` : ''}${name}` : all,
    )
    // "aubergines x3 sliced": so many of them
    .replace(/^([a-z][a-z' -]{2,30}?)\s+x\s?(\d{1,2})\s+(?=[a-z&(])/i, '$2 $1, ')
    // "60 g each, raw": how it is weighed
    .replace(
      /\b(each|apiece|pp|a head|per (?:person|head))\s*,\s*((?:raw|dry|dried|cooked|uncooked)(?: weight)?)\s*$/i,
      '$2 $1',
    )
    // "rice - 60 g raw each, brown", "bread, wholemeal": which one
    .replace(WHICH_ONE, '$2 $1')
    // "sliced & baked dry 25 min": done before anything else
    .replace(FIRST_DONE, '')
    // "3 tbsp nooch. no marg!": what is not there is no part of the name
    .replace(/\.\s+no [a-z][a-z ]{1,20}[!.]*$/i, '')
    .replace(
      /^\s*(?:whatever(?:'s| is)? left (?:of|over of)|what(?:'s| is) left of|the (?:rest|remains) of) (?:the )?/i,
      'leftover ',
    )
    .replace(/^\s*enough (?=[a-z])/i, '')
    .replace(SIZED_UNIT, '1 ')
    .replace(BARE_UNIT, '1 ');
