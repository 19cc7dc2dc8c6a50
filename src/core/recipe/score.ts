import { pattern } from '@/core/pattern/pattern';
import { findFood, SURE } from '@/core/food/find';
import { A_TIME, readQuantity } from '@/core/measure/quantity';
import { readUnit } from '@/core/measure/units';
import { remember } from '@/core/memo';
import { clean } from './clean';

const IMPERATIVES = new Set(
  "add|adjust|allow|arrange|assemble|bake|baste|beat|blanch|blend|blitz|boil|bring|broil|brown|brush|bring|char|check|chill|chop|coat|combine|cook|cool|core|cover|cream|crumble|crush|cube|cut|deglaze|dice|dip|discard|dissolve|divide|drain|drizzle|drop|dry|dust|eat|empty|enjoy|fill|finish|first|flip|fluff|fold|freeze|fry|garnish|gently|get|give|grate|grease|grill|grind|halve|heat|in|increase|keep|knead|ladle|layer|leave|let|lift|line|lower|make|marinate|mash|massage|measure|meanwhile|melt|microwave|mince|mix|move|now|once|oil|peel|pile|place|poach|pop|pound|pour|prepare|preheat|press|pressure|puree|push|put|replace|swap|substitute|quarter|reduce|refrigerate|reheat|remove|repeat|reserve|rest|return|reheat|rinse|roast|roll|rub|salt|saute|sauté|scatter|scoop|score|scrape|scrub|sear|season|separate|serve|set|shake|shape|shred|sift|simmer|skim|slice|slide|smash|soak|soften|spoon|spray|spread|sprinkle|squeeze|stack|start|steam|steep|stew|stir|store|strain|strip|stuff|sweat|sweeten|swirl|switch|take|taste|tear|then|thin|tip|to|toast|top|toss|transfer|trim|turn|unmould|use|using|wait|warm|wash|wet|when|while|whip|whisk|whizz|wilt|wipe|with|wrap|zest|after|as|at|before|carefully|finally|next|if|you|turn|dump|throw|chuck|whack|bung|fire|do|don't|dont|never|always|no|begin|process|pulse|cool|submerge|stand|tuck|thread|skewer|rehydrate|open|lay|bash|sprinkle|scramble|hold|keep|just|it|this|we|i".split(
    '|',
  ),
);
/** What stands behind the deed in the imperative that opens a row; null where none does. */
function behindDeed(text: string): string | null {
  const word = /^[a-zé]+(?:'t)?/i.exec(text)?.[0] ?? '';
  return IMPERATIVES.has(word.toLowerCase()) ? text.slice(word.length) : null;
}
const startsStep = (text: string): boolean => /[^\s:,]/.test(behindDeed(text) ?? '');
/** Words that start a step but name a food or an amount as often: they need more than a beginning. */
const EITHER = pattern(
  /^(?:juice|salt|oil|butter|dry|brown|cream|roast|no|to|with|core|top|cool|dust|line|press|if|as|i|crumble|toast|zest|roll|mash|puree|stew|mince|wrap|drop|strip|pop|stock|rest|you|it|this|we|first|using|use|squeeze|dash|splash|sprinkle|drizzle|grind|blend|mix|spray|skewer|spread|dip|wet|warm|char|at|in|stuff|quarter|half|halve|score|just)\b/i,
);
const STEP_INSIDE = pattern(
  /\b(?:until|minutes?|mins?|°|degrees|oven|then|hours?|meanwhile|bring to|preheat|heat|stir|simmer|set aside)\b/i,
);
/** A heat that opens a row. */
const HEAT = pattern(
  /^(?:at )?(?:\d{2,3} ?(?:°|º|degrees)? ?[CF]\b|gas(?: mark)? ?\d|\d{3} ?(?:°|º|degrees)|(?:1[3-9]|2[0-4])\d ?(?:fan|conventional)\b)/i,
);
/** "40 min. …", "another 2-3 hours": a row that opens with how long. */
const OPENS_NUMBER = pattern(/^(?:about |another )?\d+(?:\s*[-–]\s*\d+)?/i);
const opensWithTime = (text: string): boolean => {
  const number = OPENS_NUMBER.exec(text)?.[0];
  return number !== undefined && A_TIME.test(text.slice(number.length));
};
/** True where a number opens the words. */
export const startsWithAmount = remember((text: string): boolean => {
  const lower = clean(text).toLowerCase();
  if (HEAT.test(lower)) return false;
  const q = readQuantity(
    lower,
    /^(?:about|approx\.?|around|scant|heap(?:ed|ing)|roughly|~)\s*/.exec(lower)?.[0].length ?? 0,
  );
  return q !== null && !q.article && !A_TIME.test(lower.slice(q.end));
});
/** True where a number and a unit open the words. */
/** "about a litre", "a good 2 tbsp". */
const LOOSELY =
  /^(?:about|around|roughly|approx\.?|nearly|almost|just (?:under|over)|perhaps|maybe|a (?:good|scant|generous) (?=\d))\s+/;

export const startsWithMeasure = remember((text: string): boolean => {
  const lower = clean(text).toLowerCase().replace(LOOSELY, '');
  const q = readQuantity(lower, 0);
  if (!q) return false;
  const at = q.end + (/^[\s(-]*/.exec(lower.slice(q.end))?.[0].length ?? 0);
  return readUnit(lower, lower, at) !== null;
});

const FIGURE = '[\\d½¼¾⅓⅔][\\d./-]*';
const IN_WORDS = '(?:half(?: an?)?|quarter|one|two|three|four)';
const UNIT =
  '(?:tbsps?|tsps?|tablespoons?|teaspoons?|t|(?:rice[- ]cooker )?cups?|katoris?|mugs?|ml|l|litres?|g|kg|oz|lbs?|tins?|cans?)';
/** "Thick poha 2 cups, washed", "rai half tsp": a name with its amount behind it. */
const NAME_AMOUNT = pattern(
  new RegExp(
    `^[a-z][a-z' -]{2,40}?(?:\\s+|:\\s+)(?:[-–—] )?(?:about )?(?:${FIGURE}\\s*|${IN_WORDS} )${UNIT}\\b`,
    'i',
  ),
);
/** "filo - 4 sheets, the wholemeal one from the market": a name and how many packs or pieces of it. */
const NAME_PACKS = pattern(
  new RegExp(
    `^[a-z][a-z' -]{2,30}?\\s+[-–—]\\s+(?:about )?(?:${FIGURE}|a|${IN_WORDS}) ?(?:big |small |large |good )?(?:sheets?|blocks?|packs?|packets?|jars?|bags?|slices?|bunch(?:es)?|heads?|nests?|bulbs?|tubs?|cartons?|bottles?)\\b[^.]*$`,
    'i',
  ),
);
const NAME_WEIGHT = pattern(/^[a-z][a-z' -]{2,24}? \d{2,4} ?(?:g|ml)\s*(?:[,(]|$)/i);
/** "onion 1 big": a name and how many of it. */
const NAME_COUNT = pattern(/^([a-z][a-z' -]{2,40}?)\s+(?:x\s?)?\d[\d./]*(?:\s+[a-z]{1,7})?$/i);
/** "Aubergines x3 sliced lengthways". */
const NAME_TIMES = pattern(/^([a-z][a-z' -]{2,30}?)\s+x\s?\d{1,2}\b/i);
/** "Originally it had a ham hock; I put in paprika": somebody does something. */
const TELLS = pattern(
  /\b(?:i|we|he|she|they|mum|mom|gran|grandad|grandma)(?:'ve|'d|'ll)?\s+(?:\w+\s+)?(?:put|puts|add|adds|use|used|uses|cook|cooked|start|started|like|likes|make|makes|made|throw|stir|give|gave|had|swap|leave|left|always|never)\b/i,
);
const opensWithFood = (text: string): boolean =>
  (findFood(text.toLowerCase().replace(/[,(;:].*$|\s[-–—].*$/, ''), '', 1)[0]?.confidence ?? 0) >= SURE;

/** "potato 3 med", "peas (frozen) 500", "stock 1.2 l made with two cubes": a name, an amount behind it, talk. */
export const COUNTED_BEHIND = new RegExp(
  `^([a-z][a-z' -]{2,30}?)\\s*(?:\\([^)]{1,24}\\))?(?:\\s*[:=–—-])?\\s+(?:(?:x ?)?${FIGURE}\\s*(?:(?:${UNIT}|cloves?|inch|cm|heads?|bulbs?|sticks?|med|medium|small|large|big|lg|sm)(?:\\s+[a-z][a-z0-9 &'-]{0,50})?)?|${IN_WORDS} ${UNIT}(?:\\s+[a-z][a-z0-9 &'-]{0,50})?|(?:pinch|handful|bunch|splash|dash|knob|sprigs?))(?:\\s*\\([^()]{2,40}\\))?[.]?$`,
  'i',
);
/** True where most of what stands between commas is a food with its amount behind it: a list in one row. */
function listsBehind(text: string): boolean {
  const parts = text.split(/,\s+/);
  if (parts.length < 3) return false;
  const counted = parts.filter((p) => {
    const name = COUNTED_BEHIND.exec(p.trim())?.[1];
    return name !== undefined && opensWithFood(name);
  }).length;
  return counted >= 2 && counted * 2 >= parts.length;
}

/** "[2 tbsp olive oil in the original]": how others make it. */
const OF_OTHERS = pattern(/\bin (?:the )?(?:original|book|old (?:one|version|recipe)|real (?:one|thing))\b/i);
const BRACKETED = pattern(/^\s*(?:\([^()]*(?:\([^()]*\)[^()]*)*\)|\[[^[\]]*\])[.!]?\s*$/);
const LABELLED = pattern(
  /^[A-Z][A-Za-z' -]{1,24}:\s+(?:about )?[\d½¼¾⅓⅔][\d./½¼¾⅓⅔]*\s*(?:g|kg|ml|l|oz|lbs?|tbsps?|tsps?|tablespoons?|teaspoons?|cups?|tins?|cans?)\b(?!\s+(?:at|in the oven))/,
);
const A_HEAD = pattern(
  /\b\d[\d.]*\s?(?:g|ml|oz|tbsp|tsp|cups?)\s*(?:dry |raw |cooked )?(?:a head|each|apiece|pp|per (?:head|person|plate))\b/i,
);

/** "these get roasted together": where what stands above goes. */
export const GO_SOMEWHERE =
  /^(?:these|those|they|all|all of it|everything|both|(?:the )?[a-z]{3,}s)\s+(?:all )?(?:get|go|start|sit|join|follow)\s+(?:in|on|under|over|back|out|into|to|with|last|first|next|together|roasted|cooked|boiled|fried|baked|grated|chopped|steamed)\b/i;
const ON_IT =
  /^\s+(?:some|it|them|each|everything|all|both|half of (?:it|them)|the (?:lot|rest|mix(?:ture)?))\b/i;
const SLIDES_IN = pattern(
  /^(?:about )?\d[^,.;]{3,60}\s(?:slides?|goes|go|gets?|drops?|melts?|joins?)\s(?:in|on|over|into|through|at|last|next)\b[^.]*\./i,
);
const STARTS_WITH =
  /^(?:start|begin) (?:low )?with (?=(?:about )?(?:[\d½¼¾⅓⅔⅛]|an? |half |one |two )[^.]*$)/i;

/** How much a line looks like an ingredient (positive) or a step (negative). */
const unmarkedScore = remember((text: string): number => {
  // "start with ½ tsp salt, add to taste" is a line
  const cleaned = clean(text).replace(STARTS_WITH, '');
  let score = 0;
  if (startsWithAmount(cleaned)) score += 3;
  else if (startsWithMeasure(cleaned)) score += 1.5;
  if (cleaned.length < 70) score += 1;
  if (cleaned.length > 110) score -= 2;
  const words = cleaned.split(' ').length;
  if (/[.!]$/.test(cleaned) && words > 5 && !/\b(?:tbsp|tsp|oz|approx|lb)\.$/i.test(cleaned)) score -= 1.5;
  // "Blend; top." tells what to do and nothing else
  if (
    /^[A-Z][a-z]+(?:(?:[;,]| and|[;,] and) [a-z]+){0,3}[.!](?: That's (?:it|all)[.!]?)?$/.test(cleaned) &&
    startsStep(cleaned)
  )
    score -= 3;
  // "200C fan. All on the tray."
  if (HEAT.test(cleaned) || opensWithTime(cleaned)) score -= 6;
  // "roll some in coconut", "mash it well": a deed on what is there
  if (ON_IT.test(behindDeed(cleaned) ?? '')) score -= 3;
  // "180, 50 min."
  if (/^\d{3}\s?(?:[cCfF]\b)?\s*[,/-]\s*\d{1,3} ?(?:min|mins|minutes|hrs?|hours?)\b/.test(cleaned))
    score -= 6;
  if (OVEN_FIRST.test(cleaned)) score -= 8;
  // "200 g silken tofu slides in at the end."
  if (SLIDES_IN.test(cleaned)) score -= 6;
  // "these get roasted together", "onions start in 2 tbsp of water"
  if (GO_SOMEWHERE.test(cleaned) && !startsWithAmount(cleaned)) score -= 5;
  const told = startsStep(cleaned) && !EITHER.test(cleaned);
  if (startsStep(cleaned)) score -= told ? 3 : 0.5;
  else if (ALL_FIRST.test(cleaned)) score -= 4;
  // "Serve with rice and yoghurt" goes on telling
  if (/^serve(?:d)? (?:with|over|on|in|hot|warm|cold)\b/i.test(cleaned)) score -= 1.5;
  // "blend" alone, "mix at night eat in the morning": told without a full stop, and no food in it
  const behind = behindDeed(cleaned);
  const alone = behind !== null && /^[.!]?$/.test(behind);
  if (alone || (behind !== null && words >= 3)) {
    const food = findFood(cleaned.toLowerCase().replace(/[.!]$/, ''), '', 1)[0];
    if ((food?.confidence ?? 0) < (alone ? SURE : 0.3)) score -= 3;
  }
  if (STEP_INSIDE.test(cleaned)) score -= 1.5;
  // "(the recipe used 100 g chocolate, this is the other way)": told, and no line
  if (
    BRACKETED.test(text) &&
    words >= 6 &&
    (!startsWithAmount(text.replace(/^\s*[([]\s*/, '')) || OF_OTHERS.test(text))
  )
    score -= 8;
  // "wholewheat pasta, 75g a head"
  if (
    A_HEAD.test(cleaned) &&
    words <= 20 &&
    !/\.\s*$/.test(cleaned) &&
    !/^(?:serve|make|feed|yield|portion|for )/i.test(cleaned) &&
    !startsStep(cleaned)
  )
    score += 5;
  // "Rice: 250 g brown basmati, rinsed": a part's name, and so much of something
  if (LABELLED.test(cleaned) && words <= 24 && !/[.!]$/.test(cleaned)) score += 3.5;
  if (!told && NAME_AMOUNT.test(cleaned)) score += 1.5;
  if (!told && words <= 18 && NAME_PACKS.test(cleaned) && opensWithFood(cleaned)) score += 3;
  // "tofu 300 g, cubes, baked at 200": weighed behind its name
  if (!told && NAME_WEIGHT.test(cleaned)) score += 3;
  if (listsBehind(cleaned)) score += 5;
  // "120 g barley · 600 ml water · pinch salt"
  if (text.split(/\s+[·•|]\s+/).filter(startsWithMeasure).length >= 2) score += 6;
  // "aubergine 2 lg"
  const counted = NAME_COUNT.exec(cleaned)?.[1] ?? NAME_TIMES.exec(cleaned)?.[1];
  if (counted && opensWithFood(counted)) score += NAME_TIMES.test(cleaned) ? 5 : 3;
  if (words >= 7 && TELLS.test(cleaned) && !startsWithAmount(cleaned) && !opensWithFood(cleaned)) score -= 3;
  if (!told && words <= 12 && score < 4) {
    const names = cleaned
      .toLowerCase()
      // without its number a phrase is one that was found before
      .replace(/^[\d\s./-]+/, '')
      .replace(/[,(].*$/, '')
      .split(/ and | & /);
    if (names.some((name) => (findFood(name, '', 1)[0]?.confidence ?? 0) >= SURE)) score += 1.5;
  }
  return score;
});
/** How much a row looks like an ingredient (positive) or a step (negative). */
export const ingredientScore = (text: string, marked: boolean): number =>
  unmarkedScore(text) + (marked ? 1 : 0);

/** True where a deed's word opens the row, whatever else it may name. */
export const opensWithDeed = (text: string): boolean => behindDeed(clean(text)) !== null;

/** True where words plainly tell what to do: an imperative that is no food's name as well. */
export const startsAsStep = (text: string): boolean =>
  OVEN_FIRST.test(text) ||
  HEAT_THEN_TIME.test(text) ||
  ALL_FIRST.test(text) ||
  (startsStep(text) && !EITHER.test(text));
/** "Everything in, water to cover": where all of it goes. */
const ALL_FIRST = pattern(
  /^(?:everything|all of it|it all|the lot|the rest|all the rest)(?: else)?,? (?:in|into|goes|gets|on|under|together|through)\b/i,
);
/** "190, 25-30 till crisp": how hot the oven is, and how long. */
export const HEAT_THEN_TIME = pattern(
  /^(?:on )?(?:low|high|medium)(?: heat)?[, ]+(?:for )?(?:about )?(?:overnight|all day|\d+(?: ?[-–] ?\d+)? ?(?:h|hrs?|hours?|mins?|minutes)\b)|^(?:1[2-9][05]|2[0-5][05]|3[0-9][05]|4[0-5][05])(?: ?°?[CF])?(?: fan)?(?:\s*[,;–-]\s*|\s+(?:for )?)(?:about )?\d{1,3}(?: ?[-–] ?\d{1,3})? ?(?:mins?|minutes?|hrs?|hours?|m|h|'|till|until)?(?= ?(?:$|[.,;]|till|until|turning|flip|or so|\())/i,
);
/** "180. Line a tin.": how hot the oven is. */
const OVEN_FIRST = pattern(
  /^(?:1[2-9][05]|2[0-5][05]|3[0-9][05]|4[0-5][05])(?: ?°?[CF])?(?: fan)?[.;]\s+[A-Z](?!\w*\s*:)/,
);
