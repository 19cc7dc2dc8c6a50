import rawCounterparts from '@content/compiled/counterparts.json';
import { statesAgainst, SURE, type Candidate } from '@/core/food/find';
import { wordsKey, type Larder } from '@/core/food/larder';
import type { Food } from '@/core/food/table';
import { nameKey, tokens } from '@/core/food/tokens';
import { weigh } from '@/core/food/weigh';
import { US_MEASURES } from '@/core/measure/units';
import { PREPARATION } from '@/core/recipe/alternatives';
import type { FoodWords } from '@/core/recipe/line';
import { readMeasures } from '@/core/recipe/measures';
import { Reader } from '@/core/recipe/reader';
import { NEGATORS } from '@/core/step/lexicon';

/** What a line's words name, and how sure that is. */
export interface Found {
  readonly food: Food | null;
  readonly confidence: number;
  readonly candidates: readonly Candidate[];
  /** The words that were looked for. */
  readonly phrase: string;
  /** The cook said that this is what she means by the words. */
  readonly meant: boolean;
  readonly cycle?: readonly string[];
}

export const NOTHING: Found = { food: null, confidence: 0, candidates: [], phrase: '', meant: false };

export const fromCan = (words: FoodWords) =>
  words.measures.some((m) => m.unit?.id === 'can' || (m.unit?.package && m.each));

// checked against the foods when content is compiled
const COUNTERPARTS = rawCounterparts as Readonly<Record<string, string>>;
const VEGAN = /\b(?:vegan|plant[- ]based|dairy[- ]free|non[- ]dairy)\b/;
const WHOLE = /^(?:whole-?\s?wheat|wholemeal|whole-?\s?grain|brown)$/;
const CITRUS = new Set(['lemon', 'lime', 'orange', 'mandarin', 'grapefruit']);
/** Herbs come fresh by these, dried by the spoon. */
const FRESH_BY = new Set(['sprig', 'leaf', 'bunch', 'handful', 'stalk']);
/** Measures of a stock that is made up. */
const MADE_UP = new Set(['ml', 'l', 'dl', 'cl', 'cup', 'pint', 'quart', 'fl oz']);
/** A plant in a bracket beside an animal food's name. */
const PLANT_BASE = /(?:^|,)\s*(soya?|oat|almond|coconut|cashew|tofu|pea|hemp|rice|vegan)\s*(?:,|$)/;
/** A plant before an animal food's name: "soy cottage cheese". */
const PLANT_BEFORE = /^(?:[a-z-]+ )?(soya?|oat|almond|coconut|cashew|tofu|hemp|pea)\s+[a-z]/;
const STYLE = /\b[\w-]+[- ](?:style|type|esque)\s+/i;
const OF_BEANS =
  /^(?:(?:red )?kidney|black|butter|white|pinto|haricot|borlotti|navy|black[- ]eyed|broad|fava|flageolet|aduki)\b/;
const BOILED_IN =
  /^(?:(?:the|hot|reserved|cooking|boiling|starchy) )*([a-z]+(?: [a-z]+)?)(?:'s)? (?:cooking )?water$/i;
/** What is boiled in water that is kept: its water brings next to nothing. */
const WATERY = new Set(['vegetable', 'leaf', 'starch', 'mushroom', 'whole-grain', 'refined-grain']);
const JUICED = /\bjuiced\b|\bjuice only\b|\bjuice of\b|\bsqueezed\b|^\s*juice\b/;

const ZEST_ONLY = /\b(?:zest|rind|peel|skin) only\b|\bonly the (?:zest|rind|peel)\b/;

/** "rinsed and dried", "fried": done to it in this kitchen, and no food sold so. */
const DONE_HERE =
  /(?<=\b(?:rinsed|washed|drained|cleaned|peeled|cored)(?:,? and|,)?) (?:patted |spun |thoroughly |well )*dried\b|(?<=^[\s,]*)fried\b/;
/** "pressure cooked till mushy": cooked in this kitchen, and measured before. */
const COOKED_HERE =
  /\b(?:pressure[- ]?cooked|cooked|boiled|simmered|steamed)\s+(?:till|until|in|for|with)\b[^,]*|\bpressure[- ]?cooked\b/;
/** What a packet is said to be free or low of. */
const CLAIM =
  /\b(?:oil|fat|salt|sugar|sodium)[- ]free\b|\b(?:no|without|low|reduced|less)[- ](?:added )?(?:oil|fat|salt|sugar|sodium)\b|\bun(?:salted|sweetened)\b/g;
/** Grains that a bread is called by. */
const GRAIN =
  /^(?:rye|wholemeal|whole[- ]?wheat|whole[- ]?grain|white|brown|granary|multigrain|spelt|seeded)$/;
/** "500 g long grain", "1½ cups short grain brown": rice. */
const OF_RICE =
  /^(?:(?:parboiled|easy[- ]cook|brown|white|organic) )*(?:long|short|medium)[- ]grain(?: (?:brown|white))?$/;
/** What is done to beans in their pods, and to no others. */
const IN_POD =
  /\b(?:topped|tailed|trimmed|stringed|snapped|string(?:s|y bits)? (?:off|out|removed)|ends off)\b/;
/** Of those, what a flour is called by as well. */
const FLOURS = /^(?:rye|wholemeal|whole[- ]?wheat|whole[- ]?grain|spelt)$/;
/** Kinds that are also sold fried; by the piece they are not. */
const FRESH = new Set(['vegetable', 'mushroom']);

const LENTIL = /lentil|\b(?:dal|dhal|masoor|toor|urad|moong|mung)\b/;
/** What is made of pulses and comes in no tin. */
const NO_TIN = /flour|pasta|noodle|sprout|meal|flakes/;

/** Grams beyond which what was found as a spice is a vegetable of that name. */
const MOST_SPICE_G = 60;
const byTheBowl = (words: FoodWords, food: Food): boolean =>
  /s$/.test(words.food.trim()) || (weigh(words, food, US_MEASURES)?.grams.best ?? 0) > MOST_SPICE_G;

/** Words at which a name ends and talk of it begins. */
const TALK =
  /^(?:to|till|until|after|before|once|when|while|as|like|so|from|for|into|because|than|that|which|cooked|until|at|by|roughly|finely|coarsely|thinly|whatever|if|on|in|off|straight|all|between|among|per|over|under|across|each)$/;

/** A name, where what stands behind it only says how, when or how far: no word of it names a food. */
function beforeTalk(phrase: string, larder: Larder): { readonly name: string; readonly talk: string } | null {
  const words = phrase.replace(/[.!]+$/, '').split(/\s+/);
  const at = words.findIndex((w, i) => i > 0 && (TALK.test(w) || PREPARATION.has(w)));
  if (at < 0) return words.join(' ') === phrase ? null : { name: words.join(' '), talk: '' };
  const name = words.slice(0, at).join(' ');
  if ((larder.finder.find(name, '', 1)[0]?.confidence ?? 0) < 0.9) return null;
  const talk = words.slice(at);
  // a word that may be a food, or takes something away, is no mere talk
  const tells = talk.some(
    (w, i) =>
      NEGATORS.has(w) ||
      w === 'with' ||
      [1, 2, 3].some((n) => larder.finder.ofName(tokens(talk.slice(i, i + n).join(' '))) !== undefined),
  );
  return tells ? null : { name, talk: talk.join(' ') };
}

/** "cashews, soaked 4 hours", "chana dal soaked overnight": weighed as they were before. */
const SOAKED_BEHIND =
  /(?:^|[,\s]+)(?:pre-?)?(?:soaked|rehydrated|reconstituted|steeped)\b(?! (?:in|with) (?!(?:(?:hot|cold|warm|boiling|the|fresh|plenty of) )*water\b))[^,]*/;

/** What is soaked once it is measured is measured dry: a soaked food's figures are for its weight wet. */
function unsoaked(words: FoodWords, larder: Larder): FoodWords {
  const behind = SOAKED_BEHIND.exec(words.food);
  const inName = behind !== null && behind.index > 0;
  const food = inName ? words.food.slice(0, behind.index).trim() : words.food;
  const notes = words.notes.replace(SOAKED_BEHIND, ' ');
  if (!inName && notes === words.notes) return words;
  const plain = larder.finder.find(food, notes, 1)[0];
  const dry = larder.finder.find(food, `${notes}, dried`, 1)[0];
  const isDry =
    dry && dry.confidence >= 0.9 && (dry.food.waterG ?? 100) < 25 && dry.food.kind === plain?.food.kind;
  return { ...words, food, notes: isDry ? `${notes}, dried` : notes };
}

/** "4 nests wholewheat", "60 g of it brown": which ones, behind a food whose own amount opens the words. */
function withoutAmount({ notes, measures: own }: FoodWords): string {
  const first = (notes.split(',')[0] ?? '').trim();
  const r = new Reader(first, first);
  const [said] = readMeasures(r).measures;
  // "225 g flour, half wholemeal" says another amount
  const same = said && own[0] && said.quantity[1] === own[0].quantity[1] && said.unit === own[0].unit;
  return same
    ? r.text
        .slice(r.at)
        .replace(/^\s*(?:of (?:it|them|the)\s+)?/, '')
        .replace(/\s*\([^()]*\)?\s*$/, '')
    : first;
}

/** The food a phrase names, helped by its container and what is done with it. */
export function find(line: FoodWords, larder: Larder): Found {
  // "soaked and cooked chickpeas" are cooked
  const said = unsoaked(
    { ...line, food: line.food.replace(/^soaked(?:,? and|,) (?=(?:cooked|boiled)\b)/, '') },
    larder,
  );
  const here = said.notes.replace(DONE_HERE, '');
  const fried = here !== said.notes && !/dried/.test(said.notes);
  // "dry beans, cooked": what they were when they were measured
  const dry = /^(?:dry|dried|raw|uncooked)\b/.test(said.food) || COOKED_HERE.test(said.notes);
  const words = dry
    ? {
        ...said,
        notes: here.replace(COOKED_HERE, ' ').replace(/\b(?:cooked|boiled|tender|drained)\b/g, ' '),
      }
    : here !== said.notes && (!fried || FRESH.has(larder.finder.find(said.food, '', 1)[0]?.food.kind ?? ''))
      ? { ...said, notes: here }
      : said;
  const findFood = larder.finder.find;
  const can = words.measures.some((m) => m.unit?.id === 'can');
  // "2 slices rye": what is sliced and called by its grain is bread
  const sliced = words.measures.some((m) => m.unit?.id === 'slice') && GRAIN.test(words.food.trim());
  // "low sodium soy": the sauce, where it is spooned
  const sauce = /(?:^|\s)soy$/.test(words.food) && words.measures.every((m) => m.unit?.kind !== 'mass');
  // "400 g wholemeal", "100 g rye": the flour; it may be bread
  const ground = FLOURS.test(words.food.trim()) && words.measures.some((m) => m.unit?.kind === 'mass');
  const inPod = words.food.trim() === 'beans' && IN_POD.test(words.notes);
  const plain = OF_RICE.test(words.food.trim())
    ? `${words.food.trim()} rice`
    : inPod
      ? 'green beans'
      : ground
        ? `${words.food.trim()} flour`
        : sliced
          ? `${words.food.trim()} bread`
          : sauce
            ? `${words.food} sauce`
            : words.food;
  const jar = words.measures.some((m) => m.unit?.id === 'jar');
  // a tube of polenta is cooked, a jar of peppers is in brine
  const tube = words.measures.some((m) => m.unit?.id === 'tube');
  const ofTube = tube ? larder.finder.find(`tube ${plain}`, words.notes, 1)[0] : undefined;
  const jarred = jar && !/\bjar(?:red)?\b/.test(plain) ? `jarred ${plain}` : null;
  const ofJar = jarred ? larder.finder.find(jarred, words.notes, 1)[0] : undefined;
  const phrase =
    jarred && ofJar && ofJar.confidence >= 0.95 && /\bjar(?:red)?\b/.test(ofJar.as)
      ? jarred
      : can && !/\b(?:canned|tinned)\b/.test(plain)
        ? `canned ${plain}`
        : ofTube && ofTube.confidence >= 0.95 && /\btube\b/.test(ofTube.as)
          ? `tube ${plain}`
          : plain;
  const recipe = larder.recipes?.find(words.food, words.notes);
  if (recipe?.kind === 'food')
    return { food: recipe.food, confidence: 1, candidates: [], phrase, meant: true };
  if (recipe) return { ...NOTHING, phrase, cycle: recipe.titles };
  const meant = larder.meant(phrase, words.notes);
  if (meant)
    return { food: meant, confidence: 1, candidates: findFood(phrase, words.notes), phrase, meant: true };
  let candidates = findFood(phrase, words.notes);
  let best = candidates[0];
  const take = (others: readonly Candidate[]) => {
    if (!others[0] || others[0].confidence < SURE) return;
    candidates = others;
    best = others[0];
  };
  // "wholemeal wrap, the oil-free ones": where no row is made so, the usual one, which is no less of it
  if (best === undefined || best.confidence < SURE) {
    const unclaimed = words.notes.replace(CLAIM, ' ');
    if (unclaimed !== words.notes) take(findFood(phrase, unclaimed));
  }
  // "1 tin kidney", "a tin of black": beans
  if (can && (best?.confidence ?? 0) < SURE && OF_BEANS.test(plain))
    take(findFood(`${phrase} beans`, words.notes));
  // "two tins of water": the tin is the measure
  if (can && (best?.confidence ?? 0) < SURE)
    take(findFood(plain, words.notes).filter((c) => c.food.kind === 'water'));
  // "oil, olive": the name turned round at its comma
  const after = withoutAmount(words)
    .replace(/\s*(?:[-–—]\s*)?(?:about )?\d[\d.,/]*\s*[a-z]*\s*(?:each)?\s*$/, '')
    .replace(/\s*[-–—]\s*$/, '')
    .trim();
  // what the notes already led to is not turned again: "tomatoes, canned, no salt added"
  const ledTo = new Set(tokens(best?.as ?? ''));
  // "3 medium tomatoes, puréed": so many whole ones are what they are
  const counted = words.measures.some((m) => m.size);
  if (after && !counted && /^[a-z ]{2,24}$/.test(after) && !tokens(after).every((t) => ledTo.has(t))) {
    const named = larder.finder.ofName(tokens(`${after} ${words.food}`));
    // "peanuts, dry roasted, unsalted": of what is called so, the one that all of the words allow
    const turned =
      named && (statesAgainst(named, words.notes) || words.notes.search(CLAIM) >= 0)
        ? findFood(`${after} ${words.food}`, words.notes).find((c) => c.confidence >= 0.9)?.food
        : named;
    // "tagliatelle, wholewheat": what grain it is of
    const whole = WHOLE.test(after) ? findFood(`${after} ${words.food}`, words.notes)[0] : undefined;
    if (whole && whole.confidence >= 0.9 && whole.food !== best?.food) {
      candidates = [whole, ...candidates];
      best = whole;
    } else if (turned && turned !== best?.food) {
      candidates = [{ food: turned, confidence: 1, as: `${after} ${words.food}` }, ...candidates];
      best = candidates[0];
    }
  }
  // "1 litre bouillon" is made up, "2 tsp bouillon" is not
  const made = words.food.replace(/\s+(?:made (?:up )?(?:with|from|using|of)|from|using) .*$/, '');
  if (
    best &&
    MADE_UP.has(words.measures[0]?.unit?.id ?? '') &&
    /\b(?:bouillon|stock|broth)\b/.test(made) &&
    best.food.kind === 'stock' &&
    (best.food.waterG ?? 0) < 60
  ) {
    const ready = findFood(made.replace(/\bbouillon\b/, 'stock'), words.notes);
    if (!/\b(?:powder|cubes?|paste|granules)\b/.test(made)) take(ready);
  }
  // "bananas mashed to nothing", "raisins after baking": a name, and talk behind it that names no food
  if ((best?.confidence ?? 0) < SURE) {
    const said = beforeTalk(words.food, larder);
    if (said)
      for (const notes of [`${said.talk}, ${words.notes}`, words.notes, ''])
        if ((best?.confidence ?? 0) < SURE) take(findFood(said.name, notes));
  }
  // "ghee-style vegan butter": what it is in the style of is not what it is
  if ((best?.confidence ?? 0) < SURE && STYLE.test(words.food)) {
    const plain = findFood(words.food.replace(STYLE, ''), words.notes);
    take(plain);
  }
  // "100 ml of the cauli water": what it was boiled in
  const boiled = (best?.confidence ?? 0) < SURE ? BOILED_IN.exec(words.food)?.[1] : undefined;
  const inPot = boiled ? (findFood(boiled, '', 1)[0]?.food.kind ?? '') : '';
  if (WATERY.has(inPot)) take(findFood('water', ''));
  if (inPot === 'bean') take(findFood('bean cooking water', ''));
  // beans that are drained came out of a can or a jar
  const packaged = words.measures.some((m) => m.unit?.package);
  const drained = /\bdrained\b/.test(words.notes) && !/\b(?:soaked|cooked|boiled)\b/.test(words.notes);
  if (
    !can &&
    best?.food.kind === 'bean' &&
    (drained || packaged) &&
    best.food.might.some((id) => larder.foodById(id)?.kind === 'canned-bean')
  ) {
    const again = findFood(`canned ${words.food}`, words.notes);
    take(again);
  }
  // "2 tins flageolet": a pulse that has no row of its own tinned is as others are
  if (can && best && best.confidence >= SURE && best.food.kind === 'bean' && best.food.nova === 1) {
    const name = `${best.food.name} ${best.as}`.toLowerCase();
    if (!weigh(words, best.food, US_MEASURES) && !NO_TIN.test(name))
      take(findFood(LENTIL.test(name) ? 'canned lentils' : 'canned white beans', words.notes));
  }
  if (
    best?.food.kind === 'spice' &&
    words.measures.some((m) => m.unit && FRESH_BY.has(m.unit.id)) &&
    !/\bdried\b/.test(words.food)
  ) {
    const fresh = findFood(`fresh ${words.food}`, words.notes);
    if (fresh[0] && fresh[0].confidence >= 0.95 && fresh[0].food.kind === 'herb') {
      candidates = fresh;
      best = fresh[0];
    }
  }
  // "1 lemon, juiced": what goes in is the juice
  if (best && CITRUS.has(best.food.id) && JUICED.test(words.notes) && !/\bjuice\b/.test(words.food)) {
    const juice = findFood(`${words.food} juice`, '');
    take(juice);
  }
  if (best && CITRUS.has(best.food.id) && ZEST_ONLY.test(words.notes))
    take(findFood(`${words.food} zest`, ''));
  if (best && best.confidence >= SURE && words.measures.length > 0 && !weigh(words, best.food, US_MEASURES)) {
    // "2 peppers": of two foods of one name, the one that comes by the piece
    const called = wordsKey(best.as);
    const other = candidates.find(
      (c) => c.confidence >= 0.9 && wordsKey(c.as) === called && weigh(words, c.food, US_MEASURES),
    );
    if (other) {
      best = other;
      candidates = [other, ...candidates.filter((c) => c !== other)];
    }
  }
  // no spice goes in by the cup, by many pieces or grams: "400 g peppers"
  if (best?.food.kind === 'spice' && byTheBowl(words, best.food)) {
    const called = wordsKey(best.as);
    const other =
      candidates.find((c) => c.food.kind !== 'spice' && wordsKey(c.as) === called) ??
      findFood(`bell ${words.food}`, words.notes).find((c) => c.confidence >= 0.9 && c.food.kind !== 'spice');
    if (other) {
      best = other;
      candidates = [other, ...candidates.filter((c) => c !== other)];
    }
  }
  // "queso fresco (vegan)": what stands for the animal food of that name
  if ((best?.confidence ?? 0) < SURE && VEGAN.test(`${words.food} ${words.notes}`)) {
    const animal = findFood(words.food.replace(VEGAN, ' ').trim(), '')[0];
    const plant =
      animal && animal.confidence >= SURE ? larder.foodById(COUNTERPARTS[animal.food.id] ?? '') : undefined;
    if (animal && plant) {
      best = { food: plant, confidence: animal.confidence, as: plant.name };
      candidates = [best, ...candidates];
    }
  }
  // "labneh (soy)": what its base is, in a word beside it
  const base = PLANT_BASE.exec(words.notes)?.[1] ?? PLANT_BEFORE.exec(words.food)?.[1];
  if (best?.food.kindClass === 'animal' && base) take(findFood(`${base} ${best.as}`, ''));
  if (best?.food.kindClass === 'animal' && base) {
    const plant = larder.foodById(COUNTERPARTS[best.food.id] ?? '');
    if (plant)
      candidates = [(best = { food: plant, confidence: best.confidence, as: plant.name }), ...candidates];
  }
  if (!best) return { ...NOTHING, phrase };
  return {
    food: best.confidence >= SURE ? best.food : null,
    confidence: best.confidence,
    candidates,
    phrase,
    meant: false,
  };
}

/** What stock is made of, where nothing says that it is unsalted too: "unsalted stock (1 cube)". */
const OF_CUBE =
  /(?<!\b(?:no|un|zero|without|free)[- ]?(?:salt(?:ed)?|sodium)?(?:[- ](?:added|free))?[- ](?:[a-z]+ )?)\b(?:cubes?|bouillon|granules|tablets?|(?:stock|broth|veg(?:etable)?) (?:powder|paste|pots?))\b/;

/** The salted stock that an unsalted one may be after all, by what its line says it is made of. */
function madeOfCube(food: Food, words: FoodWords, larder: Larder): Food | null {
  if (food.kind !== 'stock' || (food.waterG ?? 0) < 60) return null;
  const made = OF_CUBE.exec(`${words.food}, ${words.notes}`);
  const plain = words.food
    .replace(CLAIM, ' ')
    .replace(/\bno[- ]salt\b/g, ' ')
    .trim();
  if (!made || plain === words.food) return null;
  const less = /\b(?:reduced|less|low(?:er)?)[- ]/.test(words.notes) ? 'reduced salt ' : '';
  const salted = larder.finder.find(`${less}${plain}`, '', 1)[0];
  return salted && salted.confidence >= SURE && salted.food !== food ? salted.food : null;
}

const AT_HOME = /\bhome-?\s?(?:cooked|made)\b|\bfrom (?:scratch|dry|dried)\b|\bcooked at home\b/;

/** Other foods the same words allow, by the row's `might`, unless the words rule them out. */
export function mightBe(
  food: Food,
  words: FoodWords,
  as: string,
  larder: Larder,
  candidates: readonly Candidate[] = [],
): Food[] {
  const stock = madeOfCube(food, words, larder);
  if (stock) return [stock];
  if (FLOURS.test(words.food.trim()) && words.measures.some((m) => m.unit?.kind === 'mass')) {
    const bread = larder.finder.find(`${words.food.trim()} bread`, '', 1)[0];
    if (bread && bread.confidence >= SURE && bread.food !== food) return [bread.food];
  }
  // two foods by the very same name: neither can be ruled out
  const name = tokens(as).join(' ');
  const namesakes = candidates.flatMap((c) =>
    c.food !== food && c.food.kind !== 'spice' && food.kind !== 'spice' && tokens(c.as).join(' ') === name
      ? [c.food]
      : [],
  );
  if (food.might.length === 0) return namesakes;
  const said = new Set(tokens(`${words.food} ${words.notes}`));
  const called = nameKey(tokens(as));
  const others = food.might.flatMap((rule) => {
    // "id@name": only where the food was called by that name
    const [id = '', name] = rule.split('@');
    if (name !== undefined && nameKey(tokens(name)) !== called) return [];
    const other = larder.foodById(id);
    if (!other) return [];
    // what was cooked at home came out of no tin
    if (other.kind === 'canned-bean' && AT_HOME.test(`${words.food} ${words.notes}`)) return [];
    // "tomato purée, no salt added" is not the salted one
    if (statesAgainst(other, `${words.food} ${words.notes}`)) return [];
    const theirs = new Set(tokens(other.name));
    // the word of a family is none of its members' own
    const ruledOut = name === undefined && tokens(food.name).some((t) => !theirs.has(t) && said.has(t));
    return ruledOut ? [] : [other];
  });
  return [...new Set([...namesakes, ...others])];
}

/** True where a food's plain name may mean another one, whatever it was called by. */
export const isAmbiguous = (food: Food): boolean => food.might.some((rule) => !rule.includes('@'));
