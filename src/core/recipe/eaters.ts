import { remember } from '@/core/memo';
import { numberOf, readQuantity } from '@/core/measure/quantity';
import { ladder, rewrite } from '@/core/pattern/ladder';
import { clean } from './clean';

const MANY = '(\\d{1,2}|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve)';
const MEAL = '(?:breakfast|brekkie|lunch|dinner|supper|tea|meal)';
const MEALS = '(?:breakfasts|brekkies|lunches|dinners|suppers|teas|meals|nights|days|sittings|goes)';
const APPETITE =
  '(?:big|large|hungry|greedy|normal|ordinary|small|smaller|little|polite|modest|sensible|good|decent|generous|proper|light|dainty|starving)';
const WHO =
  '(?:ones|eaters|people|portions?|servings?|helpings?|plates?|platefuls?|bowls?|bowlfuls?|appetites?)';
const SERVES = '(?:serves|does|feeds|for|lasts|cooks for|does for)';
const count = (word: string | undefined): number => numberOf(word) ?? 1;

/** How cooks say for how many it is, in the words in which recipes print it; the text is in lower case. */
const EATERS = ladder([
  // "6 ptns", "4 srv", "12 pcs, 3 pp"
  rewrite(/(?<=\d ?)(?:ptns?|portns?|srvs?|svgs?|svs)\b\.?/g, ' servings'),
  rewrite(/(?<=\d ?)pcs?\b\.?/g, ' pieces'),
  rewrite(/^\(?\s*(?:s|sv|svs|srv|srvs|f|serv)[.:]? ?(\d{1,2}(?: ?[-–] ?\d{1,2})?)\s*\)?$/g, 'serves $1'),
  // "x8 portions", "work lunch x1"
  rewrite(
    /(?<![a-z\d] ?)x ?(\d{1,2}) (?=(?:portions|servings|bowls|plates|boxes|lunches|dinners|people)\b)/g,
    '$1 ',
  ),
  rewrite(new RegExp(String.raw`\b(?:[a-z]+ )?${MEAL} x ?(\d{1,2})\b`, 'g'), 'serves $1'),
  rewrite(/(?<=\d)(?: ?(portions|servings|people|bowls|plates|of us))?[- ]?ish\b/g, (_, unit?: string) =>
    unit ? ` ${unit}` : '',
  ),
  // "for the two of you"
  rewrite(/(?<=\b(?:two|three|four|five|six|seven|eight|\d) )of you\b/g, 'of us'),
  // "makes 2 big portions or 3 modest", "4 hungry / 6 normal ones"
  rewrite(
    new RegExp(
      String.raw`^\(?\s*(?:(?:makes|serves|feeds|does|gives|for|about|say) )*${MANY} ${APPETITE}(?: ${WHO})?(?:,? (?:or|to) | ?[/–-] ?)${MANY}(?: ${APPETITE})?(?: ${WHO})?\s*\)?[.!]?$`,
    ),
    (_, some: string, others: string) =>
      `serves ${[count(some), count(others)].sort((a, b) => a - b).join('-')}`,
  ),
  // "4 big or 5 normal"
  rewrite(
    new RegExp(
      String.raw`^\(?\s*${MANY} ${APPETITE}(?: ones| eaters| people)?,? (?:or|to) ${MANY} ${APPETITE}(?: ones| eaters| people)?\s*\)?[.!]?$`,
    ),
    (_, some: string, others: string) =>
      `serves ${[count(some), count(others)].sort((a, b) => a - b).join('-')}`,
  ),
  // "one each for 2 greedy or 4 normal", "2 for dinner with rice, or 4 starters"
  rewrite(
    new RegExp(
      String.raw`\b(?:for|serves|feeds|does) ${MANY} ${APPETITE}(?: ones| eaters| people)?,? or ${MANY} ${APPETITE}\b`,
      'g',
    ),
    (_, some: string, others: string) =>
      `serves ${[count(some), count(others)].sort((a, b) => a - b).join('-')}`,
  ),
  rewrite(
    new RegExp(
      String.raw`(?:^|(?<=[.;] ))${MANY} for ${MEAL}\b[^.;]{0,60}?,? or ${MANY} (?:as )?(?:an? )?(?:starters?|sides?|snacks?|lunches)\b`,
      'g',
    ),
    (_, some: string, others: string) =>
      `serves ${[count(some), count(others)].sort((a, b) => a - b).join('-')}`,
  ),
  // "about 16, four per person", "14 of them, we eat 3 or 4 each"
  rewrite(
    new RegExp(
      String.raw`^\(?\s*(?:about |roughly |around )?(\d{1,2})(?: of them| (?:[a-z]+ )?ones)?\s*[,;(–-]+\s*(?:that's |so |we (?:eat|have|count|do|take) )?${MANY}(?:(?: or | to | ?[-–] ?)${MANY})? (?:each|apiece|a head|(?:per|a) (?:person|head|plate))\)?[.!]?$`,
    ),
    (_, pieces: string, some: string, others?: string) =>
      `makes ${pieces} (${others ? `${count(some)}-${count(others)}` : count(some)} each)`,
  ),
  // "x20 mugs"
  rewrite(/(?<![a-z\d] ?)x ?(\d{1,3}) (?:mugs?|cups|bowls|glasses)(?=\s*(?:$|[,;.)]))/g, 'serves $1'),
  // "4 with rice (1/2 cup dry brown between 2)"
  rewrite(
    new RegExp(
      String.raw`^${MANY} with (?:seconds|leftovers|rice|bread|a salad|salad|naan|rotis?|pasta|potatoes|toast|greens)\b`,
    ),
    'serves $1 with',
  ),
  // "12 servings (1 cup each)"
  rewrite(
    new RegExp(
      String.raw`^(?:makes |about )*${MANY} (?:servings|portions|helpings|plates|people|bowls)\s*[(,–-]+\s*(?:of )?(?:about |roughly )?[\d./½¼¾⅓⅔]+ ?(?:cups?|g|ml|oz|slices?|pieces?|ladles?|ladlefuls|squares?|rolls?|l)(?: (?:each|apiece|(?:per|a) (?:person|serving|head|portion)))?\)?[.!]?$`,
    ),
    'serves $1',
  ),
  // "fills 4 jars, a jar does 4"
  rewrite(
    new RegExp(
      String.raw`^(?:fills|makes|gives)?\s*(?:about )?${MANY} (?:jars|tubs|pots|boxes|bags|lots|batches)\s*[,;(–-]+\s*(?:an?|each|one|every)(?: (?:jar|tub|pot|box|bag|lot|batch))? (?:does|feeds|serves|is for|is enough for) ${MANY}(?: of us| people)?\)?[.!]?$`,
    ),
    (_, jars: string, eaters: string) => `serves ${count(jars) * count(eaters)}`,
  ),
  // "does us two nights, there are three of us", "there's four of us and it does two nights"
  rewrite(
    new RegExp(
      String.raw`\b(?:does|feeds|lasts) us ${MANY} ${MEALS}[,;.]? (?:and )?(?:there are|there's|we are|we're|for)?\s*(?:the )?${MANY} of us\b`,
      'g',
    ),
    (_, meals: string, eaters: string) => `serves ${count(meals) * count(eaters)}`,
  ),
  rewrite(
    new RegExp(
      String.raw`\b(?:there are|there's|we are|we're) ${MANY} of us,? (?:and|so|but) (?:it|this|that) (?:does|lasts|feeds)(?: us)? ${MANY} ${MEALS}\b`,
      'g',
    ),
    (_, eaters: string, meals: string) => `serves ${count(meals) * count(eaters)}`,
  ),
  // "enough for 6 as a starter with toast or 3 of us over polenta"
  rewrite(
    new RegExp(
      String.raw`^(?:enough for |serves |for )?${MANY} as an? (?:starter|side|snack)\b[^.;]{0,24}?,? or ${MANY}(?: of us| people| as an? (?:main|meal))\b`,
    ),
    (_, some: string, others: string) =>
      `serves ${[count(some), count(others)].sort((a, b) => a - b).join('-')}`,
  ),
  // "Serve 2 with seconds", "serve 4 hungry"
  rewrite(
    new RegExp(
      String.raw`^serve:? (?:for )?${MANY}(?= (?:with (?:seconds|leftovers|lunch|some)|hungry|generously|easily|people|of us|big|small)\b)`,
    ),
    'serves $1',
  ),
  // "fills the 1 litre jar (about 10 breakfasts of 45g)"
  rewrite(
    new RegExp(
      String.raw`^(?:(?:fills|makes|is)\b[^,(–-]{2,40}[,(–-]+ ?)?(?:about |roughly |around |say |so )*${MANY} ${MEALS}(?: of (?:about )?\d+ ?(?:g|ml|oz))?\)?(?: or so)?[.!]?$`,
    ),
    'serves $1',
  ),
  // "serves me & him + lunchbox"
  rewrite(
    /\b(?:serves|feeds|does|for|fills) (?:me|us|him|her)(?:,? (?:and|&|\+) (?:(?:me|him|her|one other|my [a-z]+|the (?:kid|girl|boy|baby)|[a-z]+)))(?:,? (?:and|&|\+|plus) (?:an? )?(lunch ?box|lunch|packed lunch))?(?=\s*(?:$|[,.;(]))/g,
    (_, lunch?: string) => `serves ${lunch ? 3 : 2}`,
  ),
  // "cuts into 12 (I do 9)", "12 squares (I cut it in 9!)"
  rewrite(
    new RegExp(
      String.raw`\b((?:cuts? (?:it )?(?:in|into) |makes )?${MANY}(?: (?:squares|slices|pieces|bars|wedges))?)\s*[,(–-]+\s*(?:but |though |or )?(?:i|we)(?:'d)? (?:cut|do|make|get|say|call|prefer)(?: (?:it|them))?(?: (?:in|into))? ${MANY}(?: big ones| bigger)?[!)]*(?=\s*(?:$|[.,;]))`,
      'g',
    ),
    (all: string, lead: string, some: string, others: string) =>
      /cut|makes|squares|slices|pieces|bars|wedges/.test(lead)
        ? `serves ${[count(some), count(others)].sort((a, b) => a - b).join('-')}`
        : all,
  ),
  // "12 slices, have 2"
  rewrite(
    /\b(\d{1,2}) (?:slices|pieces|squares|wedges|bars)\s*[,;(–-]+\s*(?:i |we )?(?:have|eat|take|count|allow) (\d|one|two|three|four)(?: each| a head)?\)?(?=\s*(?:$|[.,;]))/g,
    (all, pieces: string, each: string) =>
      Number(pieces) % count(each) === 0 ? `serves ${Number(pieces) / count(each)}` : all,
  ),
  // "makes about 10 - two or three each - so 4 of us"
  rewrite(
    new RegExp(
      String.raw`^makes [^.;]{2,60}?[-–—,;] (?:and )?so (?:that's |for |feeds |serves )?${MANY} (?:of us|people|plates|portions)\b`,
    ),
    'serves $1',
  ),
  // "makes 10 cups, a bowl is 1 1/2 cups"
  rewrite(
    /\bmakes (?:about )?(\d+(?:\.\d+)?) cups?,? (?:and |so )?(?:an?|one|each|my|our) (?:bowl|serving|portion|plate|helping)(?:ful)? (?:is|=|takes|of) (?:about )?(\d+(?: \d\/\d|\.\d+)?|\d\/\d) cups?\b/g,
    (_, all: string, one: string) =>
      `serves ${Math.round((Number(all) / (readQuantity(one, 0)?.best ?? 1)) * 10) / 10}`,
  ),
  // "cut into six, two ate four of them"
  rewrite(
    new RegExp(
      String.raw`\bcuts? (?:it )?into ${MANY},? (?:and )?${MANY} (?:of us )?(?:ate|had|got through) ${MANY}\b(?: of them)?`,
      'g',
    ),
    (_, all: string, who: string, ate: string) =>
      `serves ${Math.round((count(all) * count(who) * 10) / count(ate)) / 10}`,
  ),
  // "for two boxes"
  rewrite(
    new RegExp(String.raw`\bfor ${MANY} (?:lunch ?)?(?:boxes|lunchboxes|tubs|jars|bowls|plates)\b`, 'g'),
    'serves $1',
  ),
  // "us four", "family of five", "for a table of 8", "cooks for 14"
  rewrite(new RegExp(String.raw`\bus ${MANY}\b(?! of)`, 'g'), '$1 of us'),
  rewrite(
    new RegExp(
      String.raw`\b(?:for )?(?:an? |our |the )?(?:family|table|group|crew|household) of ${MANY}\b`,
      'g',
    ),
    'serves $1',
  ),
  rewrite(new RegExp(String.raw`\bcooks for (?=${MANY})`, 'g'), 'serves '),
  // "serves me twice", "does me two days", "just me, two nights running"
  rewrite(
    new RegExp(
      String.raw`\b(?:${SERVES} |just (?:for )?)(?:just )?(?:me|myself|one|one person|1)[, ]+(?:for )?(?:twice|${MANY} (?:times|${MEALS}))(?: running| in a row)?\b`,
      'g',
    ),
    (_, times?: string) => `serves ${times ? count(times) : 2}`,
  ),
  // "two dinners for two", "2 nights for 2", "3 lunches for me"
  rewrite(
    new RegExp(String.raw`\b${MANY} ${MEALS} for (?:the )?(?:${MANY}(?: of us| people)?|me|one)\b`, 'g'),
    (_, meals: string, eaters?: string) => `serves ${count(meals) * (eaters ? count(eaters) : 1)}`,
  ),
  // "2 for breakfast", "(2 for brekkie)"
  rewrite(
    new RegExp(String.raw`^\(?\s*${MANY} (?:for|at) (?:the |our |a )?${MEAL}\s*\)?[.!]?$`),
    'serves $1',
  ),
  rewrite(
    new RegExp(
      String.raw`^\(?\s*${MANY} for (?:the|our) (?:rota|table|house|household|family|boat|week|weekend)\s*\)?[.!]?$`,
    ),
    'serves $1',
  ),
  // "2 for dinner with greens + 1 jacket each"
  rewrite(
    new RegExp(String.raw`^${MANY} for (?:the |our |a )?${MEAL}(?= (?:with|and|plus)\b|\s*[+(])`),
    'serves $1',
  ),
  // "good as a starter for 6"
  rewrite(
    new RegExp(
      String.raw`^\(?\s*(?:(?:it's |it is )?(?:good|nice|lovely|fine|great|works|ok)|also|or)? ?as an? (?:starter|side|main|snack|lunch|supper|dip) for ${MANY}\s*\)?[.!]?$`,
    ),
    'serves $1',
  ),
  // "4 easily"
  rewrite(
    new RegExp(String.raw`^\(?\s*${MANY},? (?:easily|comfortably|generously|just about)\s*\)?[.!]?$`),
    'serves $1',
  ),
  // "six of us, sometimes seven", "3, at a push 4"
  rewrite(
    new RegExp(
      String.raw`\b${MANY}( of us| people)?,? (?:(?:or )?(?:sometimes|often|occasionally|some days|at times|now and then)|(?:or )?at an? (?:push|pinch|stretch|squeeze)) ${MANY}\b`,
      'g',
    ),
    (_, some: string, who: string | undefined, others: string) =>
      `serves ${[count(some), count(others)].sort((a, b) => a - b).join('-')}${who ?? ''}`,
  ),
  // "does four with leftovers for one", "feeds 5 plus a lunchbox"
  rewrite(
    new RegExp(
      String.raw`\b(?:serves|does|feeds|for) ${MANY}(?: of us| people)?,? (?:with|and|plus) (?:left(?:-| )?overs for|enough left for|some left for|lunch for|lunches for) ${MANY}\b`,
      'g',
    ),
    (_, now: string, later: string) => `serves ${count(now)}-${count(now) + count(later)}`,
  ),
  // "one loaf = 16 slices, we count 2 a person"
  rewrite(
    /(?<=[,;(–-] ?)(?:so |and )?(?:we |i )?(?:count|allow|have|eat|reckon|do|take|that's) (?=(?:\d|one|two|three|four) (?:slices? |pieces? )?(?:an?|per|each|apiece)\b)/g,
    '',
  ),
  rewrite(
    new RegExp(
      String.raw`\b(?:makes )?(?:one|an?|1|the|this) (?:[a-z]+ )?(?:loaf|cake|tart|pie|tray|traybake|tin|slab)\s*(?:=|is|:|,|;|\(|makes|gives|cuts (?:into|in)|[.] )\s*(\d{1,2}) (?:good |thin |thick )?(?:slices|pieces|squares|wedges|bars)\s*[,;.(–-]+\s*(?:so |that's )?${MANY} (?:slices? |pieces? )?(?:each|apiece|pp|(?:an?|per) (?:person|head|plate))\b\)?`,
      'g',
    ),
    (all, pieces: string, each: string) =>
      Number(pieces) % count(each) === 0 ? `serves ${Number(pieces) / count(each)}` : all,
  ),
]);

/**
 * Words that say how many a dish feeds, as recipes print them: "2 for brekkie" is "serves 2", "two dinners for two"
 * "serves 4". Others stay as they are.
 *
 * @param text in lower case
 */
export const printedEaters = remember((text: string): string => EATERS(text));

/** Whether a row says for how many it is and nothing else. */
export const saysOnlyEaters = remember(
  (row: string): boolean =>
    row.length < LONGEST && COUNTED_EATERS.test(EATERS(clean(row).trim().toLowerCase().replace(/[.!]$/, ''))),
);
const COUNTED_EATERS = new RegExp(
  `^serves (?:${MANY}|\\d{1,2}-\\d{1,2})(?: of us| people)?(?:$| with | and | plus |\\s*[+(])|^makes \\d{1,2} \\(\\d{1,2}(?:-\\d{1,2})? each\\)$`,
);
const LONGEST = 60;
