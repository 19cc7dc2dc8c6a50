import { namesFood } from '@/core/food/find';
import { numberOf } from '@/core/measure/quantity';
import { PREPARATION } from './alternatives';
import { ladder } from '@/core/pattern/ladder';
import { rung, type Rung } from './rung';

/**
 * An amount that is told twice on a row: what another recipe says and what goes in here, what a pack holds and what all of
 * it weighs.
 */

const NUMBER = String.raw`(?:\d+(?:[./]\d+)?(?: \d\/\d)?[½¼¾⅓⅔]?|[½¼¾⅓⅔]|an?|half an?|one|two|three|four|five|six)`;
const UNIT =
  '(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|mugs?|spoons?|spoonfuls?|handfuls?|cloves?|tins?|cans?|g|kg|ml|l|oz|lbs?|T|t)';
const SOME = String.raw`(?:about |around |~ ?)?${NUMBER}(?: ?(?:heaped |level |good )?${UNIT}\b)?`;
const NAME = "(?!(?:an?|half|the|one|two|three) )[a-z][a-z']+(?:[ -][a-z']+){0,4}?";
const SAYS =
  "(?:says?|said|calls? for|called for|asks? for|asked for|wants?|wanted|has|had|have|uses?|used|takes?|took|puts?|suggests?|gives?|lists?|reads?|would (?:have|use|put|do)|does|did|writes?|wrote|tells me|'s)";
/** Who or what else tells how much. */
const ELSEWHERE =
  "(?:the |my |her |his |their |this |that )?(?!i |we )(?:[a-z]+(?:'s)? ){0,2}?(?!(?:i|we|that|which|you)\\b)[a-z]+";
const OURS =
  "(?:i|we|me|us|mine|ours|here|now|today|our (?:way|house|version))(?:'ve|'m|'re|'d)?(?: (?:only|just|always|usually|now|mostly|never|myself|ourselves))*";
const DOES =
  "(?:use|used|do|did|put|take|took|add|added|have|had|go|went|need|get by|make do|manage|stick|gone down|go down|am down|down|make it|made it|cut (?:it|this|that)(?: down| back)?|it's|give it|want|like|prefer|say|find)(?: (?:in|for|to|with|on|only|just|about|more like))*";
const MARK = String.raw`\s*[-–—:,;(]+\s*`;
const THEN = String.raw`(?:[)\s]*[-–—,;.:(]+\s*(?:but |and |so |though )?|\s(?:but|and|so)\s+)`;

/** The unit at the end of an amount. */
const unitOf = (amount: string): string =>
  new RegExp(`(?:(?:heaped|level|good) )?${UNIT}$`).exec(amount.trim())?.[0] ?? '';
/** What goes in here, in the unit of what is told elsewhere where it has none of its own. */
function here(theirs: string, ours: string, food: string): string {
  const said = ours.trim();
  if (/^(?:none|nothing|zero|no)$/i.test(said)) return `no ${theirs} ${food}`;
  if (/^(?:half|a half|a quarter|a third|half (?:of )?(?:that|it))$/i.test(said))
    return `${theirs} ${food} - I use ${said.replace(/^a half$/i, 'half').replace(/ .*(?:that|it)$/i, '')}`;
  return `${said}${unitOf(said) || !unitOf(theirs) ? '' : ` ${unitOf(theirs)}`} ${food}`;
}
const OURS_IS = String.raw`(?:${OURS})(?: ${DOES})?:? +`;
const AMOUNT_HERE = `(${SOME}|half(?: (?:of )?(?:that|it))?|a half|a quarter|a third|none|nothing|zero)`;
const ENDS = String.raw`\)?(?:\s*[-–—,;(]\s*(?!(?:plus|and|or|then|with)\b|.*\bdown to\b)[a-z][^\d]*|\.\s+[^\d]*)?[.!]*\s*$`;

/** Grams that a tin of 400 g drains to, at the least and the most: common practice. */
const [LEAST_OF_A_TIN, MOST_OF_A_TIN] = [200, 320];

const COOKED = /^(?:baked|boiled|roasted|steamed|cooked|soaked|toasted|grilled|charred|poached)$/i;

const OTHERWISE = new RegExp(
  String.raw`(?<=^|[.!?;]\s+)(${NAME})[:,–-]\s*(?:${SOME}|quarter ${UNIT}|(?:a )?pinch) (?:for|if|when) [^,;.]{2,50}, (?:but |and )?(?:otherwise|or else|else) (${SOME}|quarter ${UNIT})`,
  'gi',
);
/**
 * "Salt: quarter tsp if they're off it, otherwise half a tsp": in a sentence, the larger of the two; as long as it was, so
 * that places stay.
 */
export const otherwiseIn = (text: string): string =>
  /otherwise|else/i.test(text)
    ? text.replace(OTHERWISE, (all: string, name: string, more: string) =>
        `${name}, ${more}`.padEnd(all.length),
      )
    : text;

export const TOLD_AGAIN: readonly Rung[] = [
  rung('2 tbsp miso... white', '2 tbsp miso - white', /(?<=[a-z)]{2})\s*(?:\.{3,}|…)\s*(?=[a-z\d])/gi, ' - '),
  rung(
    '1 cup brown rice for all three of us',
    '1 cup brown rice',
    /,? for (?:all (?:(?:\d{1,2}|two|three|four|five|six|seven|eight) ?(?:of us|of them|people)?|of us)|the (?:lot|whole lot) of us|the whole table|everybody together)(?=\s*(?:$|[,;.]))[.]?/i,
    '',
  ),
  rung(
    'oil: the book says 3 tbsp, I use 1',
    '1 tbsp oil',
    new RegExp(
      String.raw`^\s*(${NAME})${MARK}(?:${ELSEWHERE} ${SAYS}|(?:it )?(?:was|were)|orig(?:inally|inal)?\.?:?) (${SOME})${THEN}${OURS_IS}${AMOUNT_HERE}${ENDS}`,
      'i',
    ),
    (_, food = '', theirs = '', ours = '') => here(theirs, ours, food),
  ),
  rung(
    '3 tbsp oil in the book, I use 1',
    '1 tbsp oil',
    new RegExp(
      String.raw`^\s*(${SOME}) (?:of )?(${NAME})(?: (?:in|by|says|said) (?:the |my |her |his )?[a-z']+(?: [a-z]+)?|\s*\((?:the |in the |says the |my |her |his )?[a-z']+(?: [a-z]+)?\)| originally)?${THEN}(?:(?:it's|that's|they're|too|very|quite) [a-z' ]{1,30}? so )?${OURS_IS}${AMOUNT_HERE}${ENDS}`,
      'i',
    ),
    (all, theirs = '', food = '', ours = '') =>
      // an amount of its own with its own unit may be of another food
      unitOf(theirs) || unitOf(ours) ? here(theirs, ours, food) : all,
  ),
  rung(
    'sugar: 100 g in the original, 30 g here',
    '30 g sugar',
    new RegExp(
      String.raw`^\s*(${NAME})(?:${MARK}| )(?:(?:it|they|${ELSEWHERE}) ${SAYS} )?(${SOME})(?: (?:in (?:the |my |her |his )?[a-z]+|originally|they say|it says|by the book))?${THEN}(?:(?:i'd say|i say|now|here|today|i do|we do) (?:it's )?(${SOME})|(${SOME})(?: (?:here|now|today|for us|does it|does|is plenty|is enough|will do|is fine)))[)\s.!]*$`,
      'i',
    ),
    (_, food = '', theirs = '', ours = '', or = '') => here(theirs, ours || or, food),
  ),
  rung(
    '60 g almond butter. Book says 120, I halved it',
    '60 g almond butter',
    new RegExp(
      String.raw`^(\s*${SOME} (?:of )?${NAME})\s*[-–—.,;(]+\s*(?:but |though )?${ELSEWHERE} ${SAYS} ${SOME}[,;]? (?:but |and |so )?(?:i|we)(?:'ve| have)? (?:halved?|cut|reduced|doubled?)(?: (?:it|that|this|down|back))*\)?[.!]*\s*$`,
      'i',
    ),
    '$1',
  ),
  rung(
    'tahini, 2 tbsp, Gran would put 6',
    'tahini, 2 tbsp',
    new RegExp(
      String.raw`^(\s*(?:${SOME} (?:of )?${NAME}|${NAME}[,:–—-]* ${NUMBER} ?${UNIT}))\s*[-–—,;(]+\s*(?:but |though )?${ELSEWHERE}(?: (?:would|always|still|usually|happily)|'d)? (?:have|use|put|do|does|uses|puts|likes|takes|used|go for|had|says?|said) ${SOME}\)?[.!]*\s*$`,
      'i',
    ),
    '$1',
  ),
  rung(
    'walnuts, half the 200 g it says',
    '100 g walnuts',
    new RegExp(
      String.raw`^\s*(${NAME})\s*[,:–—-]+\s*(half|a quarter|a third) (?:of )?(?:the |that )?(${NUMBER} ?${UNIT})(?: (?:it|they|the [a-z]+)(?:'s)? ${SAYS}| (?:in|of) (?:the|my|her|his) [a-z]+)?[.!]*\s*$`,
      'i',
    ),
    '$3 $1 - I use $2',
  ),
  rung(
    'salt: she does 2 tsp, we do 3/4',
    '3/4 tsp salt',
    new RegExp(
      String.raw`^\s*(${NAME})(?: to taste)?${MARK}(?:she|he|they|mum|dad|gran|nan|(?:my|her|his|the) [a-z]+)(?:'d)? (?:does?|uses?|puts?(?: in)?|has|have|takes?|adds?|likes?|would (?:do|use|put)) (${SOME})[,;] (?:but |and |so )?(?:i|we)(?: only| just)? (?:do|use|put(?: in)?|have|take|add)(?: with)? (${SOME}|none|half(?: of)? (?:that|it)|half)\)?[.!]*\s*$`,
      'i',
    ),
    (_, food = '', theirs = '', ours = '') => here(theirs, ours, food),
  ),
  rung(
    'oil: she does 4 tbsp, I dry roast the seeds',
    'no 4 tbsp oil',
    new RegExp(
      String.raw`^\s*(oil|butter|ghee|margarine|marg|fat|lard|[a-z]+ oil)${MARK}(?:she|he|they|mum|dad|gran|nan|(?:my|her|his|the) [a-z]+)(?:'d)? (?:does?|uses?|puts?(?: in)?|has|have|takes?|adds?|likes?|would (?:do|use|put)) (${SOME})[,;] (?:but |and |so )?(?:i|we) (?:dry|dry[- ](?:roast|fry|toast)|steam|bake|use (?:water|stock)|do (?:it|them) (?:dry|in water))\b[^\d]*$`,
      'i',
    ),
    'no $2 $1',
  ),
  rung(
    '2 oatcakes each, so 8',
    '2 oatcakes each',
    /\b(each|apiece|per person)\s*[,(–—-]+\s*(?:(?:so|that's|=|that makes)\s*\d{1,2}(?: in (?:all|total)| altogether)?|\d{1,2} (?:in (?:all|total)|altogether))\)?(?=\s*(?:$|[,;]))/i,
    '$1',
  ),
  rung(
    '4 tbsp oil in hers, 1 in mine',
    '1 tbsp oil',
    new RegExp(
      String.raw`^\s*(${SOME}) (?:of )?(${NAME}) in (?:hers|his|theirs|(?:the|my|her|his) [a-z]+(?:'s)?(?: [a-z]+)?)[,;] (?:and |but )?(?:only |just )?(${SOME}) in (?:mine|ours)\)?[.!]*\s*$`,
      'i',
    ),
    (_, theirs = '', food = '', ours = '') => here(theirs, ours, food),
  ),
  rung(
    'olive oil, 4 tbsp in the book, 2 tsp in mine',
    '2 tsp olive oil',
    new RegExp(
      String.raw`^\s*(${NAME})${MARK}(${SOME}) in (?:hers|his|theirs|(?:the|my|her|his) [a-z]+(?:'s)?(?: [a-z]+)?)[,;] (?:and |but )?(?:only |just )?(${SOME}) in (?:mine|ours)\)?[.!]*\s*$`,
      'i',
    ),
    (_, food = '', theirs = '', ours = '') => here(theirs, ours, food),
  ),
  rung(
    'salsa - half a jar (150 g)',
    '75-150 g salsa',
    new RegExp(
      String.raw`^\s*(${NAME})(?: - bought|, bought)?\s*[-–—:,]+\s*(half an?|1\/2|½ ?a?|a third of an?|a quarter of an?) (jars?|tins?|cans?|blocks?|packs?|packets?|tubs?|cartons?|bottles?|bags?)\s*\((\d[\d.]* ?(?:g|ml))\)(?=\s*(?:$|[,;]))`,
      'i',
    ),
    '$2 $3 $1 ($4)',
  ),
  rung(
    'half a tin (200 ml) coconut milk',
    'half a tin coconut milk (200 ml)',
    /^\s*(half an?|1\/2|½ ?a?) (tins?|cans?|cartons?|bottles?) \((\d[\d.]* ?ml)\) (?:of )?([a-z][a-z -]*[a-z])(?=\s*(?:$|[,;]))/i,
    '$1 $2 $4 ($3)',
  ),
  rung(
    '1 white baguette - I use 2 wholemeal rolls instead',
    '2 wholemeal rolls',
    new RegExp(
      String.raw`^\s*(?:${SOME} (?:of )?)?(?!no )${NAME}(?:\s*\([^()\d]*\))?\s*[-–—,;(]+\s*(?:but )?(?:i|we)(?: now| always| usually)? (?:use|have|do|take|buy|get|put in) (${SOME} (?:of )?${NAME}) instead\)?[.!]*\s*$`,
      'i',
    ),
    (all, ours = '') => (!namesFood(ours.replace(new RegExp(`^${SOME} (?:of )?`, 'i'), '')) ? all : ours),
  ),
  rung(
    '2 tbsp tahini, really',
    '2 tbsp tahini',
    /(?<!\b(?:no|not))(?:,)? (?:anyway|anyhow|really|honestly|actually|in fact|mind you|to be (?:fair|honest)|if (?:i'm|we're) honest|as it happens)[.!]*(?=\s*(?:$|\)))/i,
    '',
  ),
  rung(
    'a tin of coconut milk, half a tin',
    'half a tin coconut milk',
    /^\s*(?:1|an?|one) (?:whole |big |small |large )?(tin|can|block|pack|packet|bag|jar|carton|tub|head|box|bunch|bottle)(?: of)? ([a-z][a-z' -]*?)\s*[-–—,;:(]+\s*(?:well,? |only |just |ok,? |or )*(half|a quarter|a third)(?: (?:an? |the |of (?:an?|the|it|that) ?)(?:\1)?)?\)?[.!]*\s*$/i,
    '$3 a $1 $2',
  ),
  rung(
    '2 tbsp white miso? No, 1. It was too salty with 2.',
    '1 tbsp white miso',
    new RegExp(
      String.raw`^\s*(${SOME}) (?:of )?(${NAME})\s*(?:\?+|\(\?+\))\s*(?:(?:no|nope|well|ok|okay|actually|hm+|rather)[,.:;–—-]*\s*)?(?:make (?:it|that) |just |only |better |i'd say |say )*(${SOME})(?: is (?:plenty|enough|fine))?(?:[.,;!–—-]+\s.*)?[.!]*$`,
      'i',
    ),
    (_, theirs = '', food = '', ours = '') => here(theirs, ours, food),
  ),
  rung(
    'walnuts, 200 g in the book, halved here',
    '100 g walnuts',
    new RegExp(
      String.raw`^\s*(${NAME})\s*[,:(–—-]*\s*(${NUMBER} ?${UNIT})(?: (?:in|by|says) (?:the |my |her |his )?[a-z]+|\s*\([a-z ]+\))?\s*[,;(–—-]+\s*(?:but |which )?(?:(?:i|we)(?:'ve| have)? )?(?:halved?|cut in half)(?: (?:it|that|this|here|now|for us|these days))+\)?[.!]*\s*$`,
      'i',
    ),
    '$2 $1 - I use half',
  ),
  rung(
    'a whole bag of frozen peas, the 900 g one',
    'a bag (900 g) frozen peas',
    /^\s*((?:\d{1,2}|an?|one|two|three|four|half an?)) (?:whole |full |big |large |small |entire )*(bags?|packs?|packets?|tins?|cans?|jars?|tubs?|blocks?|cartons?|box(?:es)?|bottles?|pouch(?:es)?)((?: of)? [a-z][a-z' -]*?)\s*[,(–—-]+\s*(?:it's |that's )?(?:the |a )?(?:big |large |small |little |giant |usual |normal )*(\d{2,4} ?(?:g|ml)|\d(?:\.\d+)? ?(?:kg|l)) (?:ones?|kinds?|sizes?|sorts?|bags?|packs?|tins?|cans?|jars?|blocks?)\)?(?=\s*(?:$|[,;.(]))/i,
    (_, n = '', pack = '', food = '', size = '') =>
      `${n} ${pack} (${size}${/s$/.test(pack) ? ' each' : ''})${food.replace(/^ of(?= )/, '')}`,
  ),
  rung(
    '2 tins chickpeas, 240 g drained each',
    '2 tins chickpeas (240 g each drained)',
    /^(\s*(?:\d{1,2}|an?|one|two|three|four) (?:x )?(?:\d{3} ?g )?(tins?|cans?|jars?|cartons?|packs?) (?:of )?[a-z][a-z' -]*?)\s*[,;(–—-]+\s*(?:about )?(?:(?:each )?drained weight:? (\d{2,3} ?(?:g|oz))|(\d{2,3} ?(?:g|oz)))( each)?(?: (?:when|once))?(?: drained)?(?: weight)?( each)?\)?(?=\s*(?:$|[,;]))/i,
    (all, written = '', pack = '', first = '', second = '', each = '', every = '') => {
      if (!/drained/i.test(all.slice(written.length))) return all;
      // what it drains to says more than what is printed on it
      const tins = written.replace(/ (?:x )?\d{3} ?g(?= [a-z]+s?\b)/i, '');
      const many = numberOf(/[a-z0-9]+/i.exec(tins)?.[0]?.toLowerCase()) ?? 1;
      const weight = Number.parseInt(first || second, 10);
      // 480 g of two tins is of both
      const both = many > 1 && weight > MOST_OF_A_TIN && weight / many >= LEAST_OF_A_TIN;
      if (both) return `${tins} (${Math.round(weight / many)} g each drained)`;
      return `${tins} (${first || second}${each || every || (/s$/i.test(pack) && first) ? ' each' : ''} drained)`;
    },
  ),
  rung(
    'six potatoes (about 900 g all in)',
    'six potatoes (about 900 g)',
    /(\d ?(?:g|kg|oz|lbs?))\s+(?:all in|al(?:l[- ]?)?together|in (?:all|total)|total|all told|the (?:whole )?lot|between them|for the (?:whole )?lot|on the scales?)(?=\s*(?:$|[,;).]))/i,
    '$1',
  ),
  rung(
    '1 mug brown basmati (my mug holds 250 ml)',
    '250 ml brown basmati',
    /^\s*(\d(?:\.\d+)?|an?|one|two|three|half an?) (?:level )?(mugs?|cups?|glass(?:es)?|bowls?|ladles?|scoops?)(?: of)? ([a-z][^()]*?)\s*[(,–—-]+\s*(?:my|a|our|the|that|one|each) (mug|cup|glass|bowl|ladle|scoop)(?:'s| (?:holds|is|takes|does|means|comes to))(?: about)? (\d{2,3}) ?ml(?: (?:here|in this house|level))?\)?(?=\s*(?:$|[,;.]))/i,
    (all, n = '', unit = '', food = '', named = '', ml = '') => {
      const many = /^half/i.test(n) ? 1 / 2 : ({ two: 2, three: 3 }[n.toLowerCase()] ?? Number(n)) || 1;
      return unit.toLowerCase().startsWith(named.toLowerCase())
        ? `${Math.round(many * Number(ml))} ml ${food}`
        : all;
    },
  ),
  rung(
    'soy, 2 tbsp of the low salt one',
    '2 tbsp low salt soy',
    new RegExp(
      String.raw`^\s*(${NAME})\s*[,:–—-]+\s*(${NUMBER} ?(?:heaped |level |good )?${UNIT}) of (?:the|that|my|our) ([a-z][a-z-]*(?: [a-z-]+){0,2}?) (?:ones?|kind|sort|type|stuff|version|variety)\)?(?=\s*(?:$|[,;.(]))`,
      'i',
    ),
    '$2 $3 $1',
  ),
  rung(
    '3 slices of bread, the rye one',
    '3 slices of rye bread',
    new RegExp(
      String.raw`^(\s*(?:(?:about )?${NUMBER} ?(?:${UNIT}|slices?|blocks?|packs?|jars?|bags?)?(?: of)? )?)(?:the )?(${NAME})\s*[,(–—-]+\s*(?:(?:the|that|my|our) )?((?!(?:not|never|no|isn't|don't)\b)[a-z-]+(?: [a-z-]+){0,2}) (?:ones?|kind|sort|type|stuff)\)?(?=\s*(?:$|[,;.]))`,
      'i',
    ),
    (all, amount = '', name = '', said = '') => {
      // "seeded wholemeal": what its last words alone tell
      const words = said.split(' ');
      const kind = words.map((_, i) => words.slice(i).join(' ')).find((k) => namesFood(`${k} ${name}`));
      return kind === undefined ? all : `${amount}${kind} ${name}`;
    },
  ),
  rung(
    '1 kg old potatoes → baked, riced',
    '1 kg old potatoes, baked, riced',
    /^([^→>]*[a-z)])\s*(?:→|-+>|>>)\s*([a-z]+)(?=\s*(?:$|[,(]|(?:and|&|then|in|thin|thinly|until|till|with|for|very|well|up)\b))/i,
    (all, food = '', done = '') =>
      PREPARATION.has(done.toLowerCase()) || COOKED.test(done) ? `${food}, ${done}` : all,
  ),
  rung(
    'mayo 2 tbsp (light) or hummus',
    '2 tbsp mayo (light) or hummus',
    new RegExp(
      String.raw`^\s*(${NAME})\s*[-–—:,]?\s*(${NUMBER} ?${UNIT})((?:\s*\([^()]*\))?,? or (?!(?:so|more|less|to|two|three|a bit|thereabouts|until|as|not|none|leave|skip|just)\b)[a-z][^()\d]*)$`,
      'i',
    ),
    (all, name = '', amount = '', rest = '') =>
      // "bread 4 slices or so"
      namesFood(name) ? `${amount} ${name}${rest}` : all,
  ),
  rung(
    'SALT: 1 tsp goes in at end',
    '1 tsp SALT, goes in at end',
    new RegExp(
      String.raw`^\s*(${NAME})\s*[:–—-]\s*(${SOME})\s+((?:goes|going|is added|gets added|in|at|near|just before|right at|towards)\b(?! (?:hers|mine|theirs|ours|the book|the original)\b).*)$`,
      'i',
    ),
    (all, name = '', amount = '', rest = '') =>
      /\d|[a-z]{3}/i.test(unitOf(amount)) || unitOf(amount) ? `${amount} ${name}, ${rest}` : all,
  ),
  rung(
    'a glass of red, whatever is open',
    'a glass of red wine, whatever is open',
    /\b(glass(?:es)? of|\d+ ?ml (?:of )?)(?: the)? ?(red|white|ros[eé])(?=\s*(?:$|[,;(]))/i,
    '$1 $2 wine',
  ),
  rung('barley (pot not pearl)', 'barley (pot)', /\(([a-z-]+(?: [a-z-]+)?),? not [a-z -]+\)/i, '($1)'),
  rung(
    'barley, 500 g (pot)',
    '500 g pot barley',
    new RegExp(
      String.raw`^\s*(${NAME})\s*[,:–—-]+\s*((?:about )?${NUMBER} ?(?:${UNIT}|slices?|blocks?|packs?|jars?|bags?))\s*\(([a-z-]+(?: [a-z-]+)?)\)(?=\s*(?:$|[,;.]))`,
      'i',
    ),
    (all, name = '', amount = '', kind = '') =>
      !namesFood(`${kind} ${name}`) ? all : `${amount} ${kind} ${name}`,
  ),
  rung(
    '150 g starter',
    '150 g sourdough starter',
    /^(\s*\d+ ?(?:g|ml) (?:of )?(?:active |ripe |bubbly |lively |fed |my )?|(?=\s*(?:active |ripe |bubbly |lively |fed |my )?starter\s*[,:–-]?\s*\d+ ?g\b)\s*(?:active |ripe |bubbly |lively |fed |my )?)starter\b(?! discard)/i,
    '$1sourdough starter',
  ),
  rung(
    '6 corn tortillas large... actually 4 small',
    '4 small corn tortillas',
    /^\s*\d{1,2} ([a-z][a-z' -]*?)(?: (?:lge|large|big|small|medium|med))?\s*(?:\.{2,}|…|[-–—,;])\s*(?:no,? |well,? )?(?:actually|make that|rather|no),? (\d{1,2}) ((?:small|large|big|medium|little|lge)(?: ones)?)?[.!]*\s*$/i,
    (_, name = '', n = '', size = '') => `${n} ${size.replace(/ ones$/i, '')} ${name}`.replace(/ {2,}/g, ' '),
  ),
  rung(
    '1 clove garlic, oregano → 5 min simmer',
    '1 clove garlic, oregano',
    /(?<!\s)\s*(?:→|-+>|>>)\s*(?:(?:simmer|boil|bake|fry|roast|steam|blitz|mash|soak|cook)\w*\b[^\d]*\d|\d+(?: ?[-–] ?\d+)? ?(?:mins?|minutes?|hrs?|hours?)\b)[^→>]*$/i,
    '',
  ),
  rung(
    '2 cooked beets (vac pac 250 g)',
    '2 cooked beets (250 g pack)',
    /\((?:in )?(?:an? |the )?(?:vac(?:uum)?[ -]?pac(?:k(?:ed)?)?|pack|packet|bag|tub|box|tray|punnet)s?,? (?:of )?(\d{2,4} ?(?:g|ml)|\d(?:\.\d+)? ?kg)\)/i,
    '($1 pack)',
  ),
  rung(
    '2 tbsp puree',
    '2 tbsp tomato puree',
    /\b((?:tbsps?|tsps?|tablespoons?|teaspoons?|tube|squeeze|squirt)(?: of)?) pur[ée]e\b/i,
    '$1 tomato puree',
  ),
  rung(
    'two of those vac packs of chestnuts',
    'two packs of chestnuts',
    /^(\s*(?:\d{1,2}|one|two|three|four|five|six|half)) of (?:those|the|these|my|our)(?: \d{2,4} ?(?:g|ml))? (?:vac(?:uum)?[ -]?(?:pac(?:k(?:ed)?)?)? )?(packs?|tins?|cans?|jars?|packets?|bags?|blocks?|tubs?|cartons?|pouch(?:es)?)\b/i,
    '$1 $2',
  ),
  rung(
    'salt: quarter tsp for her, otherwise half a tsp',
    'half a tsp salt or quarter tsp salt',
    new RegExp(
      String.raw`^\s*(${NAME})${MARK}(${SOME}|quarter ${UNIT}|(?:a )?pinch)(?: (?:for|if|when) [^,;]{2,50})?[,;] (?:but |and )?(?:otherwise|or else|else|for (?:the rest|everyone else|the others)(?: of us)?) (${SOME}|quarter ${UNIT})(?: (?:in|for|on|to) [^,;.]{2,30})?[.!]*\s*$`,
      'i',
    ),
    (all, name = '', less = '', more = '') =>
      /\d|[a-z]/i.test(more) ? `${more} ${name} or ${less} ${name}` : all,
  ),
  rung(
    'dijon, heaped tsp',
    '1 heaped tsp dijon',
    new RegExp(
      String.raw`^\s*(${NAME}),\s+((?:heaped|level|rounded|scant|good|big|small|generous) (?:tbsp|tsp|tablespoon|teaspoon|cup|mug|handful))[.!]?\s*$`,
      'i',
    ),
    '1 $2 $1',
  ),
  rung(
    'into the pot with 2 onions',
    '2 onions',
    /^\s*(?:all )?(?:in|into|in to) (?:the|a|my|your|one) (?:big |large |small |slow |pressure )?(?:pot|pan|jar|bowl|cooker|blender|processor|tin|dish|wok|jug|flask)(?: with|:|,| goes?| put)? (?=\d|[½¼¾⅓⅔]|(?:an?|half|one|two|three|four|five|six) )/i,
    '',
  ),
  rung(
    '2 cups cooked brown lentils, about 1 cup dry',
    '2 cups cooked brown lentils',
    new RegExp(
      String.raw`^(\s*(?:about )?${NUMBER} ?${UNIT} [^()\d]*?(?:cooked|boiled)\b[^()\d]*?|\s*(?:about )?${NUMBER} ?${UNIT} (?:dry|dried|raw|uncooked)\b[^()\d]*?)\s*[,(–—-]+\s*(?:that's |which is |that is |it's |i\.e\. |from |makes |gives |to make |= ?|or )?${SOME} (?:dry|dried|raw|uncooked|cooked|(?:once|when) (?:cooked|dry|boiled))(?: weight)?\)?(?=\s*(?:$|[,;]))`,
      'i',
    ),
    '$1',
  ),
];

const toldAgain = ladder(TOLD_AGAIN);
const THEIRS_AND_OURS =
  /^(?=.*\b(?:she|he|they|book|recipe|original|card|packet|mum|gran|nan|hers|his|theirs)\b)(?=.*\b(?:i|we|mine|ours|here)\b)[^.!?]*[.!]?\s*$/i;
/**
 * "Salt: she does 2 tsp, we do half": a row that tells it of another and of here, as what is done here; as long as it was,
 * so that places stay.
 */
export function oursIn(text: string): string {
  if (text.length > LONGEST_ROW || !THEIRS_AND_OURS.test(text)) return text;
  const put = toldAgain(text);
  return put === text || put.length > text.length ? text : put.padEnd(text.length);
}
const LONGEST_ROW = 90;
