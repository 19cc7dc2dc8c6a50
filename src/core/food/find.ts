import rawNames from '@content/compiled/names.json';
import { remember } from '@/core/memo';
import { FOODS, type Food } from './table';
import { isLike, SHORTEST_SLIP, slips, slipsAllowed } from './slips';
import { isHarmless, nameKey, tokens } from './tokens';

/** A food that words may mean. `confidence` 0–1: how much of the words the food's name accounts for. */
export interface Candidate {
  readonly food: Food;
  readonly confidence: number;
  /** The name that matched. */
  readonly as: string;
}

/** Below this a match is only a suggestion: the line counts as not understood. */
export const SURE = 0.7;

interface Name {
  readonly food: Food;
  readonly text: string;
  readonly tokens: readonly string[];
  readonly last: string;
}

/** Names of a list of foods by their words. */
interface Index {
  readonly names: readonly Name[];
  /** Positions of the names that hold a word. */
  readonly postings: ReadonlyMap<string, readonly number[]>;
  readonly exact: ReadonlyMap<string, Name>;
  readonly vocabulary: readonly string[];
  /** Names of two words, written as one: "butterbean". */
  readonly joined: ReadonlyMap<string, readonly string[]>;
  /** How telling a word is: the rarer, the more. */
  readonly idf: ReadonlyMap<string, number>;
}

/** The words of every name of the table's foods, as they were worked out when content was compiled. */
const TABLE_WORDS = new Map(
  FOODS.map((food, at) => [
    food,
    (rawNames.names[at] ?? []).map((name) => name.map((w) => rawNames.words[w] ?? '')),
  ]),
);

function indexOf(foods: readonly Food[]): Index {
  const names: Name[] = [];
  const postings = new Map<string, number[]>();
  const exact = new Map<string, Name>();
  const put = (food: Food, text: string, all: readonly string[]) => {
    const list = all.length > 1 ? [...new Set(all)] : all;
    if (list.length === 0) return;
    const name: Name = { food, text, tokens: list, last: all.at(-1) ?? '' };
    // the first row that claims a name keeps it
    const key = nameKey(list);
    if (!exact.has(key)) exact.set(key, name);
    const index = names.push(name) - 1;
    for (const token of list) {
      const posting = postings.get(token);
      if (posting) posting.push(index);
      else postings.set(token, [index]);
    }
  };
  for (const food of foods) {
    const known = TABLE_WORDS.get(food);
    [food.name, ...food.names].forEach((text, i) => put(food, text, known?.[i] ?? tokens(text)));
  }
  const vocabulary = [...postings.keys()];
  const joined = new Map(
    names.flatMap(({ tokens: words }) => {
      const one = words.join('');
      return words.length === 2 && one.length > SHORTEST_JOINED && !postings.has(one) ? [[one, words]] : [];
    }),
  );
  const idf = new Map(
    vocabulary.map((t) => [t, Math.log(1 + names.length / (postings.get(t)?.length ?? 1))]),
  );
  return { names, postings, exact, vocabulary, joined, idf };
}

/** Letters beyond which two words written as one are no other word by chance. */
const SHORTEST_JOINED = 7;
const UNKNOWN_WEIGHT = 2.2;
const KNOWN_FLOOR = 3;
/** Words that say a state, not a food: they weigh only where the state makes another food of it. */
const STATE = new Set([
  'dried',
  'canned',
  'cooked',
  'unsalted',
  'lowsalt',
  'lesssalt',
  'salted',
  'unsweetened',
  'sweetened',
  'inwater',
  'vegan',
  'plantbased',
  'nondairy',
  'oilfree',
  'glutenfree',
  'lowfat',
  'fatfree',
  'light',
  'fullfat',
  'allpurpose',
  'readymade',
]);
const DRY_KINDS = new Set([
  'bean',
  'canned-bean',
  'whole-grain',
  'refined-grain',
  'soy',
  'fruit',
  'mushroom',
  'vegetable',
  'herb',
  'seaweed',
]);

/** A dry pan, and what is done dry, says nothing of the food. */
const DRY_TOOL =
  /\b(?:rinsed|washed|drained|scrubbed|spun|blotted)\b[^,;()]{0,24}?(?:\band\b|&|\bthen\b)\s*(?:\w+ly )?dried\b|\bdry (?:frying |non-?stick )?(?:pan|skillet|wok|tray|griddle|pot|heat|oven)\b|\b(?:roasted|toasted|baked|fried|popped|browned|charred|griddled|grilled|warmed|heated) (?:very )?dry\b|\bdry[- ](?:roasted|toasted|fried|popped)\b|\b(?:pat(?:ted)? |blot(?:ted)? |rub(?:bed)? |towel )dry\b|\bdry (?:on|with|off|them|it|well|thoroughly|between|really|very)\b/g;
const NO_SALT = /\b(?:no salt|unsalted|salt-free)\b/i;

/** How much an unmatched state word speaks against a food (0 none). */
function stateWeight(state: string, food: Food): number {
  switch (state) {
    case 'unsalted':
      return food.adds.includes('salt') ? 6 : 0;
    // less salt than usual is salted all the same
    case 'lowsalt':
    case 'lesssalt':
      return NO_SALT.test(food.name) ? 6 : 0;
    case 'salted':
      return food.adds.includes('salt') ? 0 : 6;
    case 'unsweetened':
      return food.adds.includes('sugar') ? 6 : 0;
    case 'sweetened':
      return food.adds.includes('sugar') ? 0 : 6;
    case 'oilfree':
      return food.adds.includes('oil') ? 8 : 0;
    case 'fatfree':
    case 'lowfat':
      return (food.fatG ?? 0) > 5 ? 6 : 0;
    case 'glutenfree':
      return food.allergens.includes('gluten') ? 30 : 0;
    case 'vegan':
    case 'plantbased':
    case 'nondairy':
      return food.kindClass === 'animal' ? 30 : 0;
    case 'cooked':
      return DRY_KINDS.has(food.kind) && (food.waterG ?? 0) < 20 ? 6 : 0;
    case 'dried':
      return DRY_KINDS.has(food.kind) && (food.waterG ?? 100) > 25 ? 6 : 0;
    case 'canned':
      return food.kind === 'canned-bean' ||
        food.nova >= 3 ||
        food.kind === 'coconut' ||
        food.kind === 'plant-milk' ||
        food.kind === 'alcohol'
        ? 0
        : 3;
    default:
      return 0;
  }
}

interface Query {
  readonly tokens: string[];
  readonly penalty: number;
  readonly head: string;
}

/** Common words that are no slip of a food's, whatever they are written like. */
const ORDINARY: ReadonlySet<string> = new Set(rawNames.ordinary);

/** Nearest word of the table for a misspelt one: one slip in short words, two in long ones. */
function correctIn(index: Index, token: string): string | null {
  if (token.length < SHORTEST_SLIP || ORDINARY.has(token)) return null;
  const allowed = slipsAllowed(token);
  let found: string | null = null;
  let least = allowed + 1;
  const uses = (word: string) => index.postings.get(word)?.length ?? 0;
  for (const word of index.vocabulary) {
    if (!isLike(word, token, allowed)) continue;
    const d = slips(word, token);
    const commoner = d === least && found !== null && uses(word) > uses(found);
    if (d < least || commoner) {
      least = d;
      found = word;
    }
  }
  return found;
}

function query(index: Index, correct: (token: string) => string | null, phrase: string): Query {
  let penalty = 1;
  const list = tokens(phrase).flatMap((token) => {
    if (index.postings.has(token) || isHarmless(token) || STATE.has(token)) return token;
    const two = index.joined.get(token);
    if (two) return two;
    const fixed = correct(token);
    if (fixed === null) return token;
    penalty *= 0.92;
    return fixed;
  });
  const strong = list.filter((t) => !isHarmless(t) && !STATE.has(t));
  return { tokens: [...new Set(list)], penalty, head: strong.at(-1) ?? list.at(-1) ?? '' };
}

/** What is done to a food that brings another: "frosted", "breaded", "glazed". */
const BRINGS_MORE =
  /^(?:un)?(?:frost|ic|crust|encrust|batter|bread|crumb|dredg|smother|drench|dress|stuff|fill|load|coat|bast|marinat|cur|brin|pickl|preserv|fortif|enrich|sweeten|glaz|candi|caramelis|caramelz|lacquer|dust|dipp|cover|fri|confit|infus|flavour|flavor|season|spic|smok|ferment|toss|mixed|lac|spik|soak|top|boost|blend|enrob|layer|cream)\w{0,3}ed$/;
/** What goes in beside the food itself, and how much nobody knows. */
const ENRICHED = /^(?:batter|bread|crumb|frost|candi|glaz|smother|drench|enrob|load)ed$/;
/** Said of a food, and nothing that is done to it: "if wanted", "as needed". */
const TALKED =
  /^(?:want|need|add|us|lik|call|nam|bas|requir|desir|prefer|reserv|sav|mention|wish|ask|allow|count|serv|divid|halv|doubl|tripl|reduc|increas|replac|swapp|chang|lov|hat|tri|turn|start|finish|end|miss|skipp|omitt|offer|provid|includ|follow|suggest|recommend|invent|inspir)ed$/;
/** "ribboned", "scissored": a word that no food is called by, and that says what is done to one. */
function isDoneTo(token: string, postings: Index['postings']): boolean {
  if (!/^[a-z]{4,}ed$/.test(token) || postings.has(token) || BRINGS_MORE.test(token) || TALKED.test(token))
    return false;
  const stem = token.slice(0, -2);
  return ![stem, `${stem}e`, stem.replace(/(.)\1$/, '$1')].some((word) => postings.has(word));
}

function search(index: Index, q: Query, notes: string, limit: number): readonly Candidate[] {
  const { names, postings, idf } = index;
  const noteStates = notes
    ? tokens(
        notes
          .replace(DRY_TOOL, ' ')
          // "the best you can get": what one can is no tin
          .replace(/\b(?:you|i|we|they|it) can\b/gi, ' ')
          .replace(/\b(?:not|never|rather than|instead of|no need for) [\w-]+(?: [\w-]+)?/g, ' '),
      ).filter((t) => STATE.has(t) || t === 'inoil')
    : [];
  const all = new Set([...q.tokens, ...noteStates]);
  const inPhrase = new Set(q.tokens);
  const counts = new Map<number, number>();
  for (const token of all)
    for (const at of postings.get(token) ?? []) counts.set(at, (counts.get(at) ?? 0) + 1);
  const best = new Map<Food, { score: number; confidence: number; as: string }>();
  for (const [at, count] of counts) {
    const name = names[at];
    if (!name || count < name.tokens.length) continue;
    let matched = 0;
    let rank = 0;
    for (const token of name.tokens) {
      const w = Math.max(idf.get(token) ?? 0, KNOWN_FLOOR);
      // a word that changes no food tells little of which it is: "stale wholemeal bread" is no stale white
      const tells = isHarmless(token) ? w * 0.4 : w;
      rank += tells;
      matched += tells;
    }
    let against = 0;
    for (const token of all) {
      if (name.tokens.includes(token)) continue;
      if (STATE.has(token)) {
        against += stateWeight(token, name.food);
        continue;
      }
      if (isHarmless(token)) continue;
      if (!inPhrase.has(token) || isDoneTo(token, postings)) continue;
      const known = postings.has(token) || ENRICHED.test(token);
      const w = known ? Math.max(idf.get(token) ?? 0, KNOWN_FLOOR) : UNKNOWN_WEIGHT;
      // the last telling word names the food, the ones before it describe it
      against += token === q.head ? w * 1.6 : w;
    }
    // a vegan butter is no butter, whatever the name says
    if (
      name.food.kindClass === 'animal' &&
      (all.has('vegan') || all.has('plantbased') || all.has('nondairy'))
    )
      continue;
    if (matched <= 0) continue;
    const confidence = (matched / (matched + against)) * q.penalty;
    const headFirst = name.last === q.head ? 0.5 : 0;
    const score = rank + headFirst - against * 1.5;
    const before = best.get(name.food);
    if (!before || score > before.score) best.set(name.food, { score, confidence, as: name.text });
  }
  const ranked = [...best].sort((a, b) => b[1].score - a[1].score || b[1].confidence - a[1].confidence);
  const [first, second] = ranked;
  return ranked.slice(0, limit).map(([food, { score, confidence, as }], i) => {
    // two foods that account for the same words equally well: neither is sure
    const tie =
      i < 2 &&
      first &&
      second &&
      first[1].score - second[1].score < 0.01 &&
      score >= second[1].score &&
      as !== first[1].as;
    return {
      food,
      confidence: Math.round(Math.min(1, tie ? confidence * 0.95 : confidence) * 100) / 100,
      as,
    };
  });
}

const CACHE_LIMIT = 20_000;

/** Finds foods of one list by the words that cooks use for them. */
export interface Finder {
  /**
   * Foods that a phrase may name, the likeliest first, each with a confidence.
   *
   * All words of a food's name must stand in the phrase; words of the phrase that the name does not
   * account for speak against it by how telling they are, so "tomato" is no confident match for "tomato
   * jelly". States ("dried", "no salt added") count only where they would make another food of it.
   *
   * @param phrase food words without amount: "large ripe tomatoes"
   * @param notes  words beside them that may decide a state: "no salt added, drained"
   */
  readonly find: (phrase: string, notes?: string, limit?: number) => readonly Candidate[];
  /** The food whose name is exactly these words, in any order; for finding names inside sentences. */
  readonly ofName: (parts: readonly string[]) => Food | undefined;
}

/** A finder over a list of foods; where two claim a name, the first has it. */
export function finderOver(foods: readonly Food[]): Finder {
  const index = indexOf(foods);
  const correct = remember((token: string) => correctIn(index, token));
  const cache = new Map<string, readonly Candidate[]>();
  return {
    find(phrase, notes = '', limit = 5) {
      const memo = `${phrase}\u0000${notes}\u0000${limit}`;
      const known = cache.get(memo);
      if (known) return known;
      const q = query(index, correct, phrase);
      const found = q.tokens.length === 0 ? [] : search(index, q, notes, limit);
      if (cache.size >= CACHE_LIMIT) cache.clear();
      // words longer than any food's are looked for again
      if (memo.length < 400) cache.set(memo, found);
      return found;
    },
    ofName: (parts) => {
      const own = index.exact.get(nameKey(parts))?.food;
      if (own || !parts.some((w) => index.joined.has(w))) return own;
      // "butterbeans"
      const apart = parts.flatMap((w) => index.joined.get(w) ?? [w]);
      return apart.length > parts.length ? index.exact.get(nameKey(apart))?.food : undefined;
    },
  };
}

const table = finderOver(FOODS);

/** Foods of the composition table that a phrase may name. */
export const findFood = table.find;
/** The food of the composition table of exactly this name. */
export const foodOfName = table.ofName;
/** The finder over the composition table alone. */
export const TABLE_FINDER: Finder = table;

/** True where what is said beside a food ("no salt added") speaks against it being this one. */
export const statesAgainst = (food: Food, words: string): boolean =>
  tokens(words).some((t) => STATE.has(t) && stateWeight(t, food) > 0);
/** Whether some words are a food's name, and nothing beside it. */
export const namesFood = (words: string): boolean => foodOfName(tokens(words.toLowerCase())) !== undefined;
