import { namesFood } from '@/core/food/find';
import { numberOf } from '@/core/measure/quantity';
import { always, ladder } from '@/core/pattern/ladder';
import { eachLast } from './each-last';
import { A_SPOON, AN_AMOUNT, andAgain, andMore, partOfPack, takenPart } from './own-amounts';
import { rung, type Rung } from './rung';
import { TOLD_AGAIN } from './told-again';

const KIND = String.raw`whole[- ]?(?:wheat|meal|grain)|brown|white|unsalted|unsweetened|[a-z]+[- ]free|(?:no|low|reduced)[- ](?:salt|sodium|fat|sugar)(?: added)?`;
/** "½ cup basmati - brown here, white when …": which one it is here, and at other times. */
const KIND_HERE = new RegExp(
  String.raw`^((?:about )?[\d½¼¾⅓⅔][\d./]*\s*(?:g|kg|ml|oz|lbs?|cups?|c|mugs?|slices?|tbsps?|tsps?|tins?|cans?)?\s+(?:of )?)([a-z][a-z' -]*?)\s*[-–—,(]\s*(${KIND}) (?:here|for us|for me|at ours|in this house)\b(?:\s*[,;]\s*(${KIND}) (?:when|if|for|on|at)\b.*)?\)?[.!]*\s*$`,
  'i',
);

/** "ghee at the end, 1 tbsp --> leave out, squeeze of lemon instead": what goes in in its place. */
const LEFT_OUT_FOR =
  /^[^()]*?\s*[-–—,(>→]+\s*(?:leave (?:it |this )?out|skip(?: it| this)?|omit(?: it)?|none|no|drop it|left out|skipped)\s*[,;:–-]+\s*(?:and |i |we )?(?:(?:use|do|put in|add|take|have) )?([^()]+?) instead\)?[.!]*\s*$/i;

/** "(the one that's just peanuts)", "the kind with nothing but nuts in it": nothing was put to it. */
const JUST_THAT =
  /\b100 ?% (?:nuts?|peanuts?|almonds?|cashews?|sesame|pumpkin seeds?)(?=\s*(?:$|[,;)]))|\b(?:(?:the )?(?:kind|ones?|sort|type|stuff|jar) )?(?:that(?:'s| is)|which is|it'?s|with) (?:just|only|nothing but|100 ?% ) ?[a-z]+(?: in (?:it|the jar|there))?(?=\s*(?:$|[,;)]))/i;

/** "1 low salt cube", "2 veg cubes": of stock. */
const A_CUBE =
  /^(\s*(?:about )?(?:\d[\d./]*|[½¼¾]|an?|one|two|three|half an?|½ an?)\s+(?:x )?)((?:(?:low|reduced|lower|no|less)[- ](?:salt|sodium)|salt[- ]free|unsalted|veg(?:gie|etable)?)(?: veg(?:gie|etable)?)?)(?:[ -](?:type|style|kind))? (cubes?)\b/i;

/** "½ cup walnuts -> I've gone down to 2 tbsp": so much of it now. */
const DOWN_TO =
  /\s*(?:-+>|→|[-–—,;]+)\s*(?:but |now )?(?:i|we)(?:'ve|'m|'re| have| am| are)?(?: now)? (?:gone|went|come|came|cut (?:it|that|this|back)|got it|brought it|down)(?: (?:right |it )?(?:down|back|up))? to (?=(?:only |just |about )?(?:\d|[½¼¾⅓⅔]|an? (?:tsp|tbsp|teaspoon|tablespoon|handful|spoon)|half|one|two|three)\b[^,;()]{0,24}\)?[.!]*\s*$)/i;

/** "pinch of salt - no": what is asked for and refused. */
const REFUSED =
  /^(.*?[a-z)])\s*(?:[-=]+>|→|>{2,}|[-–—:,(?]+)\s*(?:no+|nope|nah|none|never|no thanks|not any ?more|not here|(?:i|we)(?: now)? (?:leave|left|skip|skipped|drop|dropped|omit|don'?t use|do without|stopped(?: using)?) (?:that|it|this|them|those)(?: out| off)?(?: now| these days| nowadays| any ?more)?|skip(?: it)?|omit(?:ted)?|left out|leave (?:it )?out)\)?(?:\s*\([^()\d]*\))?[.!]*\s*$/i;

/** "2 tbsp oil -> nothing": what it came down to. */
const TO_NOTHING =
  /^(.*?[a-z)])\s*(?:[-=]+>|→|>{2,})\s*(?:now |it'?s |i'?ve )?(?:just )?(?:nothing|nil|zero|0|gone|out|dropped|nowt|cut|not needed|left out|skipp(?:ed|ing)(?: (?:it|them|this|that))?|leaving (?:it|them) out)(?: (?:now|these days|entirely|altogether|completely|at all))?(?:\s*[,;] ?(?:(?:and|but|so|i|we) )*(?:use|used|do|did|took|put in|added|had))?[.!]*\s*$/i;
/** "2 tbsp oil -> gone, 60 g apple sauce": what stands in its place. */
const TO_ANOTHER =
  /^[^()]*?[a-z)]\s*(?:[-=]+>|→|>{2,})\s*(?:just )?(?:no|none|nothing|nil|zero|gone|out|dropped|cut|left out|skipped(?: it)?|omitted)\s*[,;]\s*(?:(?:and|but|so|i|we) )*(?:(?:use|used|do|did|took|put in|added|had|have) )?(?!(?:not?|never|it|it's|too|but|so|and|which|that|because|as)\b)([^,;()]+?)[.!]*\s*$/i;
/** "optional but not really", "(optional, though I always do)": it goes in. */
const NOT_OPTIONAL =
  /\s*(?:[-–—,;:]\s*|\(\s*)?\b(?:optional|opt\.?)\)?\s*[-–—,;:(]*\s*(?:(?:but|though|although|yet)\s+)?(?:not (?:really|optional|in (?:this|our|my) (?:house|kitchen))|(?:i|we) (?:always|never don'?t) (?:do|use|add|have|put)(?: (?:it|them|this|some))?(?: in)?|(?:i|we) (?:wouldn'?t|don'?t|never) (?:skip|leave|miss|omit)(?: (?:it|them|this))?(?: out)?|don'?t (?:skip|leave|miss)(?: (?:it|them|this))?(?: out)?|essential|a must|mandatory|you need it|you want it)\)?[.!]*(?=\s*$|\s*[,;)])/i;

/** "oil - I use none, dry fry the onion in water": none, and how it is done. */
const USES_NONE =
  /^(.*?[a-z)])\s*[-–—:,(]+\s*(?:(?:i|we)(?: now| just| always)? (?:use|put|add|have|do|take|need) (?:none|no|nothing)(?: in| at all)?|(?:i|we) (?:do|go|manage) without(?: it)?|none for us|none (?:here|in ours))\)?(?:\s*[,;.–—-]+\s*(?!.*\b(?:instead|rather|add|but)\b)[^\d]*\b(?:dry|water|stock|broth|paper|parchment|non-?stick|steam\w*)\b[^\d]*)?[.!]*\s*$/i;
/** "1 tbsp oil - I do it in water": it goes without. */
const DONE_DRY =
  /^(.*?[a-z)])\s*[-–—:,(]+\s*(?:i|we)(?: now| just| always)? (?:(?:do|cook|fry|sweat|soften|start|make|brown) (?:it|them|that|mine|ours|everything) (?:in|with) (?:a (?:splash|bit|little) of )?(?:water|stock|broth|its own juice)|dry[- ]fry(?: (?:it|them))?|(?:do|cook|fry|roast|bake) (?:it|them) (?:dry|on paper|without))\)?[.!]*\s*$/i;

/** "optional but nice", "optional, though I never do": what is thought of it. */
const OPTIONAL_BUT =
  /^(.*?[a-z)])\s*(?:[-–—,;:]\s*|\(\s*)?\boptional\)?\s*[-–—,;:(]*\s*(?:but|though|although|yet|and)\s+((?!(?:always|essential|not|a must|i always|we always|don't|i wouldn't|we wouldn't|you)\b)[a-z]+(?: [a-z']+){0,5})\)?[.!]*\s*$/i;
const NEVER_DOES =
  /^(?:i|we) (?:never|don'?t|do not|skip|leave|omit|didn'?t|haven'?t)\b(?!.*\b(?:skip|leave|miss|omit)\b.*\b(?:never|don'?t)\b)/i;

/** "1 jar peppers (in brine, 340 g drained)": what it weighs, before what it lies in. */
const IN_BRINE =
  /\((in (?:brine|water|juice|their juice|oil|vinegar|syrup))\s*,\s*((?:about )?\d+ ?(?:g|oz)[^()]*)\)/i;

/** "a slice of rye (40 g each)": one alone cannot be each of several, so everybody has one. */
const ONE_EACH =
  /^(\s*(?:an?|one) (?!(?:tin|can|jar|pack|packet|block|bag|tub|carton|box|pouch)s?\b)[^()\d]*?)\s*\((?:about |around |~ ?)?(\d{1,3} ?(?:g|oz)) (?:each|apiece|a head|per (?:person|head)|pp)\)(?! each)/i;

/** "no oil - I massage it with 1 tbsp lemon juice": what is done instead. */
const DONE_WITH =
  /^\s*no [a-z]+(?: [a-z]+)?\s*[-–—,;:]+\s*(?:i|we) [a-z]+(?: (?:it|them|this))? (?:in|with) (?=\d|[½¼¾⅓⅔]|an?\b|half\b|one\b|two\b)/i;

/** "1 tsp sesame oil --> now ½ tsp seeds". */
const NOW_IT_IS = /\s*(?:-+>|→)\s*(?:now|these days|nowadays|today)[,:]?\s+/i;

/** "2 tbsp oil if your blender is weak (mine isn't)": what does not hold here, and what may. */
const IF_WEAK =
  /^(?!.*\b(?:leave|skip|omit|less|more|half)\b.* if\b)([^()]*?[a-z])\s+if (?:your|the|it|it's|they|they're|that|there's|yours)\b[^()]*?(?:\s*[(,–-]+\s*((?:mine|ours|it|they|i|we)(?:'s|'re)?(?: is| are| do| does| did| has| have)?(?:n't| not)(?: [a-z]+)?))?\)?[.!]*\s*$/i;

/** "300 g brown arborio, or the white which is quicker": the other kind of the same. */
const OR_THE_OTHER =
  /^(\s*(?:about )?\d[\d./]*\s*(?:g|kg|ml|oz|cups?|mugs?|slices?)?\s+)((?:brown|white|wholemeal|wholewheat|wholegrain) )?([a-z][a-z -]*?)\s*[,(]?\s*or the (brown|white|wholemeal|wholewheat|wholegrain|red|black|green)(?: (?:one|ones|kind|sort|stuff))?(?:\s+(?:which|that|if|when|as|for)\b[^()]*)?\)?\s*$/i;

/** "ginger garlic, a heaped tbsp of each". */
const EACH_OF_TWO = new RegExp(
  String.raw`^\s*([a-z]+)(?:,? and |,? & | \+ |, | )([a-z]+)( (?:on|at) the table| to serve| on the side)?\s*[,:-]+\s*(${AN_AMOUNT}(?:${A_SPOON}))(?: of)? each\s*$`,
  'i',
);
/** "30 g pine nuts or walnuts, I use walnuts": the one that is taken. */
const TAKES_ONE =
  /^(\s*(?:about )?\d[\d./]*\s*(?:g|kg|ml|oz|cups?|mugs?|slices?|tbsps?|tsps?|tins?|cans?)?\s+(?:of )?)([a-z][a-z -]*?) or ([a-z][a-z -]*?)\s*[,(–-]+\s*(?:i|we)(?: always| usually| mostly)? (?:use|do|have|take|like|go for)(?: the)? ([a-z][a-z -]*?)\)?[.!]*\s*$/i;
/** "60 ml apple sauce and I can't tell": what somebody thinks of it. */
const THINKS =
  /\s+(?:and|but|so) (?:i|we|you|nobody|no one|they)(?: really)? (?:can'?t|cannot|don'?t|didn'?t|never|won'?t|wouldn'?t|couldn'?t|hardly) (?:even )?(?:tell|notice|miss|mind|taste|care|know|complain|see|believe)[a-z' ]*$/i;

/** "1 avocado, a quarter each": so much of it for everybody. */
const A_PART_EACH =
  /^\s*(?:about )?(?:\d|an?|one|two) ((?:big |large |small |ripe )?[a-z][a-z ]*?)s?\s*[,(-]+\s*(?:about )?(a quarter|half|a half|half an?|a third|an eighth|1\/2|1\/4|1\/3) (each|apiece|a head|per (?:person|head|plate))\)?\s*$/i;
const FRACTIONS: Readonly<Record<string, string>> = {
  'a quarter': '1/4',
  'a third': '1/3',
  'an eighth': '1/8',
};
/** "60 ml oil was the recipe": what it was elsewhere. */
const IT_WAS =
  /^([^,;()]*?[a-z])\s+(?:was|were|is) (?:(?:in|what) )?(?:the|her|his|their|my [a-z]+'s|the [a-z]+'s) (?:recipe|original|book|card|packet|amount|version|way)\b[^,;()]*$/i;
/** "1 tsp salt, and then I taste": more may go in. */
const THEN_TASTE =
  /\s*[,;(–-]*\s*(?:and |but )?then (?:i |you |we )?(?:taste|adjust|check|see)(?: it| again)?\)?[.!]*\s*$/i;
/** "Croutons: 2 slices wholemeal": what they are made of. */
const MADE_INTO =
  /^\s*[a-z][a-z ]{2,18}:\s+(?=(?:\d|an?\b|one\b|two\b|three\b|half\b)[\d./]*\s*(?:thick |thin |big |small )?slices?\s)/i;
/** "1 block tofu 300 g marinated": what the pack weighs, behind its name. */
const PACK_WEIGHS = new RegExp(
  String.raw`^\s*(?:1|an?|one) (?:block|packet|pack|bag|tub|carton) (?:of )?([a-z][a-z -]*?) (\d{2,4} ?(?:g|oz))\b(?!\s*(?:each|drained|tin|can))`,
  'i',
);
/** "seeds for the top - a tablespoon of sunflower": which they are, behind how much. */
const OF_WHICH = new RegExp(
  String.raw`^\s*([a-z]{4,})(?: (?:for|on|over) (?:the )?[a-z]+)?\s*[-–—:,]+\s*(${AN_AMOUNT}(?:${A_SPOON})) of ([a-z]+(?: [a-z]+)?)\s*$`,
  'i',
);

/** "50 g maybe", "60ish g": about so much. */
const MAYBE =
  /(\d[\d./]*)(?:[- ]?ish)? ?(g|kg|ml|oz|tbsps?|tsps?|cups?)(?: (?:maybe|perhaps|or so|or thereabouts|i think|i'd say|ish))(?=\s*(?:$|[,;)]))/gi;
/** "2 slices wholemeal": of bread. */
const SLICES_OF =
  /\b(slices? (?:of )?(?:seeded |good |stale |toasted |thick |thin |old )*)(wholemeal|wholewheat|wholegrain|granary|white|brown)(?=\s*(?:$|[,(;]|each\b|per person|toasted\b|cubed\b|torn\b))/i;
/** "noodles: 3 nests wholewheat, 60 g each". */
const NESTS_OF =
  /^\s*([a-z]+)\s*[:,]\s*(\d{1,2} (?:nests?|bundles?|blocks?|bricks?|sheets?|cakes?)) ([a-z]+)\s*,\s*((?:about )?\d+(?:ish)? ?g each)\s*$/i;

/** "cubed, dry in the oven": how it is done, and no state of what is bought. */
const DRY_IN = /\bdry in (?:the|a|my) (?:[a-z]+ )?(?:oven|pan|air[- ]?fryer|skillet|wok)\b/gi;

/** "200 ml oat milk give or take". */
const GIVE_OR_TAKE =
  /^(\s*)(\d[^,;()]*?),?\s+(?:give or take|more or less)(?: a bit| a little)?(?=\s*(?:$|[,;)]))/i;
/** "1 tbsp yeast flakes, or 2": so many as that. */
const OR_MORE =
  /^(\s*(?:about )?)(\d+(?:\.\d+)?) (tbsps?|tsps?|cups?|cloves?|tins?|cans?|g|ml) ([^,;()\d]+?)\s*[,(]\s*(?:or|maybe|perhaps) (\d+(?:\.\d+)?)\)?\s*$/i;
/** "Roti 2 each for 4 people": how many for everybody, behind the name. */
const NAME_EACH =
  /^\s*([a-z][a-z -]{2,24}?) (\d|one|two|three) (each|apiece|per (?:person|head))\b(?: for \d{1,2}(?: people| of us)?)?(?! other)/i;

/** "salt: 2 tbsp for all that, which is less than it sounds": how it seems. */
const FOR_THE_LOT =
  /(\d ?(?:tbsps?|tsps?|tablespoons?|teaspoons?|g|ml|cups?))\s+(?:for (?:all (?:that|of it|of them)|the (?:lot|whole (?:lot|thing|batch))))\b(?:\s*[,(–-]+\s*(?:which|that|it)(?:'s| is)\b[^()\d]*\)?)?(?=\s*$)/i;
/** "pasta separately: 100 g dry wholewheat". */
const APART =
  /^(\s*[a-z]{3,}(?: [a-z]+)?) (?:separately|apart|on the side|alongside|to go with it)\s*:\s*(?=(?:about )?\d)/i;

/** "1 tbsp ground flax in 3 of water": so many of the same spoon. */
const IN_WATER =
  /^(\s*\d[\d./]* )(tbsps?|tsps?|tablespoons?|teaspoons?) ([a-z][a-z ]*?) (?:in|with|\+|to) (\d[\d./]*) (?:of )?water\b/i;

/** "3 tbsp sugar - less is fine, I'm down to two": so many of the same. */
const DOWN_TO_SO_MANY =
  /^(\s*)(?:about )?\d[\d./]*( (?:level |heaped )?(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|cloves?|tins?|cans?|slices?) (?:of )?[a-z][a-z ]*?)\s*[-–—,;(].*\b(?:i'm|we're|i am|we are|i've gone|we've gone|i go|we go|now) down to (?:just |only |about )?(\d[\d./]*|one|two|three|four|half)(?: now| these days)?\)?[.!]*\s*$/i;
/** "Tin toms ½": how many of the pack, behind its name. */
const PACK_NAME_COUNT = new RegExp(
  String.raw`^\s*(tin|can|block|pack|packet|bag|jar|carton|tub|bunch) (?:of )?([a-z][a-z ]{2,24}?) (\d[\d./]*|[½¼¾⅓⅔]|half)\s*$`,
  'i',
);
/** "(the jar has oil in, I know, 2 tsp isn't much)": what somebody thinks of how much it is. */
const NOT_MUCH =
  /\s*(?:[,;–-]\s*|\b(?:but|and)\s+)(?:it'?s only )?(?:about )?\d[\d./]* ?(?:tbsps?|tsps?|g|ml|cups?|teaspoons?|tablespoons?) (?:isn'?t|is not|is hardly|is|'s) (?:not )?(?:very |that |so )?(?:much|nothing|a lot|hardly anything|next to nothing)\b[^,;()]*(?=\)|$)/i;

/** "a handful or two of walnuts". */
const OR_TWO = new RegExp(
  String.raw`\b(?:an?|one|1) ((?:heaped |level |good |big |small )?(?:${A_SPOON}|splash|drizzle|dash|glug|slug|clove|slice|tin|can|cup)) or (two|three|2|3)\b`,
  'i',
);
/** "three or so tbsp of tahini". */
const OR_SO = new RegExp(String.raw`\b(\d[\d./]*|two|three|four|five|six) or so (${A_SPOON})\b`, 'i');
/** "Also 30 g salt", "I use 1 tsp salt": talk before an amount. */
const LEADS_IN =
  /^\s*(?:(?:also|oh|plus|and|then|next|don'?t forget|(?:i|we|you)(?:'d|'ll)? (?:use|need|want|take|put(?: in)?|add|have|like|go for))[,:]? )+(?:(?:also|about|then) )?(?=\d|[½¼¾⅓⅔]|an? (?:tbsp|tsp|tablespoon|teaspoon|handful|pinch|splash)|half |one |two |three )/i;
/** "big bunch dill, ditto parsley": as much of another. */
const DITTO = new RegExp(
  String.raw`^\s*((?:an? )?(?:(?:big|small|good|large|little|heaped|level) )?(?:bunch|handful|pinch|sprig|spoonful)|${AN_AMOUNT}(?:${A_SPOON})) (?:of )?([a-z][a-z ]*?)(?:\s*[,;&+]|\s+and)\s*(?:and )?(?:ditto|(?:the )?same(?: again)?(?: of)?|as much) ([a-z][a-z ]*?)\s*$`,
  'i',
);
/** "60 g (dry) brown": its state before which one it is. */
const STATE_THEN_KIND = /(\d ?(?:g|kg|oz|cups?)) \((dry|dried|raw|cooked|uncooked)\) (?=[a-z]{4,})/gi;

/** "60 g apple sauce in", "(in)": it goes in. */
const PUT_IN =
  /^(\s*(?:about )?\d[\d./]* ?(?:g|kg|ml|oz|tbsps?|tsps?|cups?) [a-z][a-z ]*?)(?: in|\s*\(in\)|\s*[-–—] in)[.!]*\s*$/i;
/** What a pan may do without. */
const IS_FAT = /\b(?:oil|butter|margarine|marg|ghee|lard|fat|spread|spray)\b/i;

/** In the order in which they are tried. */
export const RUNGS: readonly Rung[] = [
  ...TOLD_AGAIN,
  rung('3 tbsp peanut butter >> 1 tbsp', '3 tbsp peanut butter -> 1 tbsp', /\s*>{2,}\s*/g, ' -> '),
  { says: '2 tsp tahini (per bowl)', reads: '2 tsp tahini per person', ...always(eachLast) },
  { says: '2 tbsp oil for the pan, 1 tbsp for the top', reads: '2 tbsp + 1 tbsp oil', ...always(andAgain) },
  { says: 'a level tsp salt - I halve that', reads: '0.5 level tsp salt', ...always(takenPart) },
  {
    says: '1 tbsp soy sauce, then I added another spoon',
    reads: '1 tbsp + 1 tbsp soy sauce',
    ...always(andMore),
  },
  { says: 'half a block tofu, about 150 g', reads: '150 g tofu', ...always(partOfPack) },
  rung('no oil - I massage it with 1 tbsp lemon juice', '1 tbsp lemon juice', DONE_WITH, ''),
  rung("60 ml apple sauce and I can't tell", '60 ml apple sauce', THINKS, ''),
  rung('salt: 2 tbsp for all that, which is little', 'salt: 2 tbsp', FOR_THE_LOT, '$1'),
  rung('pasta separately: 100 g wholewheat', 'pasta, 100 g wholewheat', APART, '$1, '),
  rung('200 ml oat milk give or take', 'about 200 ml oat milk', GIVE_OR_TAKE, '$1about $2'),
  rung('1 tbsp yeast flakes, or 2', '1-2 tbsp yeast flakes', OR_MORE, (all, about, n, unit, food, more) =>
    Number(more) > Number(n) && Number(more) <= 3 * Number(n) ? `${about}${n}-${more} ${unit} ${food}` : all,
  ),
  rung('roti 2 each for 4 people', '2 roti each', NAME_EACH, (all, name = '', n, each) =>
    namesFood(name) ? `${n} ${name} ${each}` : all,
  ),
  rung('2 rolls, cubed, dry in the oven', '2 rolls, cubed, toasted', DRY_IN, 'toasted'),
  rung('a bit of cheese, 50 g maybe', 'a bit of cheese, about 50 g', MAYBE, 'about $1 $2'),
  rung('2 slices wholemeal', '2 slices wholemeal bread', SLICES_OF, '$1$2 bread'),
  rung(
    'noodles: 3 nests wholewheat, 60 g each',
    '3 nests wholewheat noodles, 60 g each',
    NESTS_OF,
    '$2 $3 $1, $4',
  ),
  rung('1 tsp salt, and then I taste', '1 tsp salt, plus more to taste', THEN_TASTE, ', plus more to taste'),
  rung('60 ml oil was the recipe', 'no 60 ml oil', IT_WAS, 'no $1'),
  rung('Croutons: 2 slices rye', '2 slices rye', MADE_INTO, ''),
  rung('1 block tofu 300 g, cubed', '300 g tofu, cubed', PACK_WEIGHS, '$2 $1'),
  rung(
    '1 avocado, a quarter each',
    '1/4 avocado each',
    A_PART_EACH,
    (_, food, part = '', each) =>
      `${FRACTIONS[part.toLowerCase()] ?? (/\d/.test(part) ? part : '1/2')} ${food} ${each}`,
  ),
  rung(
    'seeds for the top - a tablespoon of sunflower',
    'a tablespoon sunflower seeds',
    OF_WHICH,
    (all, name, amount, which) => (namesFood(`${which} ${name}`) ? `${amount} ${which} ${name}` : all),
  ),
  rung(
    '30 g pine nuts or walnuts, I use walnuts',
    '30 g walnuts',
    TAKES_ONE,
    (all, amount, a = '', b = '', taken = '') => {
      const name = taken.toLowerCase();
      const one = [a, b].find((x) => x.toLowerCase() === name || x.toLowerCase().endsWith(` ${name}`));
      return one ? `${amount}${one}` : all;
    },
  ),
  rung("2 tbsp oil if your blender is weak (mine isn't)", 'no 2 tbsp oil', IF_WEAK, (_, food, not) =>
    not ? `no ${food}` : `${food}, optional`,
  ),
  rung(
    '300 g brown rice, or the white which is quicker',
    '300 g brown rice or white rice',
    OR_THE_OTHER,
    (_, amount, kind, food, other) => `${amount}${kind ?? ''}${food} or ${other} ${food}`,
  ),
  rung(
    'ginger garlic, a heaped tbsp of each',
    'a heaped tbsp ginger + a heaped tbsp garlic',
    EACH_OF_TWO,
    (all, a = '', b = '', place, amount) =>
      namesFood(a) && namesFood(b) && !namesFood(`${a} ${b}`)
        ? `${amount} ${a} + ${amount} ${b}${place ? ' each' : ''}`
        : all,
  ),
  rung(
    '1 tbsp ground flax in 3 of water',
    '1 tbsp ground flax + 3 tbsp water',
    IN_WATER,
    '$1$2 $3 + $4 $2 water',
  ),
  rung('1 bag leaves', '1 bag salad leaves', /\bbags? (?:of )?leaves\b/i, 'bag salad leaves'),
  rung('1 tsp sesame oil --> now ½ tsp seeds', '1 tsp sesame oil -> ½ tsp seeds', NOW_IT_IS, ' -> '),
  rung('a slice of rye (40 g each)', 'a slice of rye (40 g) each', ONE_EACH, '$1 ($2) each'),
  rung("3 tbsp sugar - less is fine, I'm down to two", 'two tbsp sugar', DOWN_TO_SO_MANY, '$1$3$2'),
  rung("½ cup walnuts -> I've gone down to 2 tbsp", '½ cup walnuts -> 2 tbsp', DOWN_TO, ' -> '),
  rung('Tin toms ½', '½ Tin toms', PACK_NAME_COUNT, '$3 $1 $2'),
  rung("2 tsp harissa (it has oil, 2 tsp isn't much)", '2 tsp harissa (it has oil)', NOT_MUCH, ''),
  rung('pinch of salt - no', 'no pinch of salt', REFUSED, 'no $1'),
  rung(
    'sugar: omit, the fruit is sweet',
    'no sugar',
    /^([a-z][a-z' -]{2,30}?)\s*[:–—-]\s*(?:skip|omit|leave out|drop)(?: it| this| these| them)?\s*[,;–—-]\s*(?!.*\b(?:use|add|instead|or|put|try|if|for|when|unless|but)\b)[^\d]*$/i,
    'no $1',
  ),
  rung('oil - I use none, dry fry it', 'no oil', USES_NONE, 'no $1'),
  // the others have theirs
  rung(
    '2 tbsp oil, none for me',
    '2 tbsp oil, optional',
    /\s*[-–—:,(]+\s*(?:but )?none (?:for (?!(?:us|everyone|everybody|anyone|all|this|now|today)\b)(?:the |my |our )?[a-z]+(?: (?:and|or|&) (?:the )?[a-z]+)?|(?:in|on) mine|(?:in|on|for) my (?:own|plate|bowl|half|share))\)?[.!]*\s*$/i,
    ', optional',
  ),
  rung('1 tbsp oil - I do it in water', 'no 1 tbsp oil', DONE_DRY, (all, line = '') =>
    IS_FAT.test(line) ? `no ${line}` : all,
  ),
  rung(
    'oil spray x 8 squirts',
    '8 squirts oil spray',
    /^\s*([a-z][a-z -]{2,24}?) x ?(\d{1,2}) (squirts?|sprays?|squeezes|splashes|spoons?|spoonfuls?|handfuls?|tbsps?|tsps?|cups?|slices?|cloves?|sprigs?|sticks?|leaves)(?=\s*(?:$|[,;(]))/i,
    '$2 $3 $1',
  ),
  rung(
    '50 g spread - out',
    'no 50 g spread',
    /^\s*((?:about )?\d[\d./]* ?(?:g|kg|ml|oz|tbsps?|tsps?|cups?|tablespoons?|teaspoons?) [a-z][a-z ]*?)(?:\s*[-–—:]\s*|\s*\()(?:out|gone)\)?[.!]*\s*$/i,
    'no $1',
  ),
  rung('60 g apple sauce in', '60 g apple sauce', PUT_IN, '$1'),
  rung('150 g rice ea', '150 g rice each', /(?<=[a-z\d)]) ea\.?(?=\s*(?:$|[,;(]))/i, ' each'),
  rung('2 tbsp oil -> nothing', 'no 2 tbsp oil', TO_NOTHING, 'no $1'),
  rung('2 tbsp oil -> gone, apple sauce', 'apple sauce', TO_ANOTHER, (all, other = '') =>
    namesFood(other.replace(/^.*\d\S*\s(?:[a-z]{1,5}\s)?/i, '')) ? other : all,
  ),
  rung('50 g walnuts, optional but nice', '50 g walnuts, optional', OPTIONAL_BUT, (all, before, tail = '') =>
    NEVER_DOES.test(tail)
      ? `no ${before ?? ''}`
      : tail.split(' ').some((word) => namesFood(word))
        ? all
        : `${before}, optional`,
  ),
  rung('30 g chocolate, optional but not really', '30 g chocolate', NOT_OPTIONAL, ''),
  rung(
    '1 jar peppers (in brine, 340 g drained)',
    '1 jar peppers (340 g drained) in brine',
    IN_BRINE,
    '($2) $1',
  ),
  rung('big bunch dill, ditto parsley', 'big bunch dill + big bunch parsley', DITTO, '$1 $2 + $1 $3'),
  rung('rice: 60 g (dry) brown', 'rice: 60 g dry brown', STATE_THEN_KIND, '$1 $2 '),
  rung(
    '1 tsp apple sauce or the same of syrup',
    '1 tsp apple sauce or syrup',
    /\bor (?:(?:the )?same(?: amount| again)?|as much|an equal (?:amount|weight)|equal parts?)(?: of)?(?= [a-z])/i,
    'or',
  ),
  rung(
    'no more than 1 tsp salt',
    'up to 1 tsp salt',
    /^\s*(?:no|not|never|nothing) more than (?=\d|[½¼¾⅓⅔]|an? |half |one |two )/i,
    'up to ',
  ),
  rung('Also 30 g salt', '30 g salt', LEADS_IN, ''),
  rung(
    'a handful or two of walnuts',
    '1-2 handful of walnuts',
    OR_TWO,
    (_, unit = '', most = '') => `1-${numberOf(most.toLowerCase()) ?? 2} ${unit}`,
  ),
  rung('three or so tbsp of tahini', 'about three tbsp of tahini', OR_SO, 'about $1 $2'),
  rung('2 veg cubes', '2 veg stock cubes', A_CUBE, '$1$2 stock $3'),
  rung('ghee, 1 tbsp -> leave out, squeeze of lemon instead', 'squeeze of lemon', LEFT_OUT_FOR, '$1'),
  rung(
    '½ cup rice - brown here, white when someone is ill',
    '½ cup brown rice or white rice',
    KIND_HERE,
    (_, amount, food, kind, other) =>
      other ? `${amount}${kind} ${food} or ${other} ${food}` : `${amount}${kind} ${food}`,
  ),
  rung(
    "peanut butter (the one that's just peanuts)",
    'peanut butter (no salt added, unsweetened)',
    JUST_THAT,
    'no salt added, unsweetened',
  ),
];

/** A line as it is done here: how much of it is taken, which one, and what goes in in its place. */
export const ownWay = ladder(RUNGS);
