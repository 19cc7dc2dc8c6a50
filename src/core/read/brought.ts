import { foodById, type Food } from '@/core/food/table';
import { isHarmless, tokens as tableTokens } from '@/core/food/tokens';
import { TABLE_LARDER, type Larder } from '@/core/food/larder';
import { unsaid } from '@/core/food/weigh';
import { range, type Range } from '@/core/range/range';
import type { Recipe, Stretch } from '@/core/recipe/source';
import { sentencesOf, type ClauseSpan, type Named, type Namer, type Sentence } from '@/core/step/clauses';
import {
  ALIASES,
  AUXILIARIES,
  CONJUNCTIONS,
  DEFINITE,
  DETERMINERS,
  MADE,
  NEGATORS,
  NOT_FOOD,
  ORDINARY,
  PREPOSITIONS,
  PRONOUNS,
  STEP_WORDS,
  SUBJECTS,
  TOOLS,
  verbOf,
} from '@/core/step/lexicon';
import { isOptional, isRemark, polarityOf, verbNegated, type Polarity } from '@/core/step/polarity';
import { tokensOf, type Token } from '@/core/step/tokens';
import { cornersOfLine } from './corners';
import { readLine } from './line';
import { coverOf, isPart, refersTo, type Cover } from './refer';
import { correctionOf, type ReadLine, type ReadSettings } from './types';

const FATS = new Set(['oil', 'solid-fat', 'animal-fat']);
/** Kinds whose second amount in the method is more of it, not the same said again in another state. */
const COUNTS = new Set([
  'oil',
  'solid-fat',
  'animal-fat',
  'salt',
  'salty',
  'sugar',
  'syrup',
  'animal-sugar',
  'nut',
  'seed',
  'nut-butter',
  'stock',
  'condiment',
  'plant-dairy',
  'plant-milk',
  'coconut',
  'juice',
  'alcohol',
  'chocolate',
  'olive',
]);
/** Kinds of which a little that nobody measured matters to no limit. */
const HARMLESS = new Set(['vegetable', 'leaf', 'herb', 'mushroom', 'spice', 'water', 'acid', 'fruit']);
/** What a pan is called that has no fat in it, and what else may be in it. */
const OTHER_MEDIUM = new Set([
  'dry',
  'water',
  'stock',
  'broth',
  'wine',
  'vinegar',
  'juices',
  'juice',
  'aquafaba',
  'passata',
  'nonstick',
  'ungreased',
  'milk',
  'parchment',
  'paper',
]);
const MORE = new Set(['more', 'extra', 'another', 'further', 'additional', 'again']);
const TASTING = new Set([
  'taste',
  'adjust',
  'check',
  'correct',
  'again',
  'well',
  'generously',
  'aggressively',
  'liberally',
  'needed',
  'more',
]);
const LEAVES_FILM = new Set(['brush', 'grease', 'wipe', 'line', 'coat', 'spray', 'rub', 'oil', 'butter']);
/** What a title or heading promises that a limit looks at: a food itself, not the dish it is the name of. */
const PROMISED = new Set([
  ...FATS,
  'nut',
  'nut-butter',
  'coconut',
  'olive',
  'avocado',
  'animal',
  'chocolate',
]);
const CRUSTS = new Set(['pastry', 'crust', 'crumble', 'topping', 'crouton', 'breadcrumb']);
/** What cooks make of other foods and call by the dairy word. */
const DAIRY = new Set(['cream', 'milk', 'butter', 'cheese', 'yoghurt', 'egg']);
/** "sweets" are food, "sweet" is how it tastes. */
const PLURAL_FOODS = new Set(['sweet', 'crisp']);
const MEASURED_BY = new Set([
  'clove',
  'head',
  'stick',
  'stalk',
  'leaf',
  'sprig',
  'bunch',
  'cube',
  'block',
  'can',
  'ear',
  'half',
]);
const YIELDS = new Set(['makes', 'serves', 'yields', 'yield', 'feeds', 'enough', 'make']);
const BIBLIOGRAPHIC = new Set([
  'author',
  'by',
  'course',
  'cuisine',
  'category',
  'keywords',
  'keyword',
  'tags',
  'photo',
  'adapted',
  'source',
  'calories',
  'diet',
  'level',
]);
const AMOUNT_KEEPS =
  /\b(?:no|without|unsalted|unsweetened|salt-free|oil-free|sugar-free|salt free|drained|rinsed|in water|in oil|in brine|no added)\b/i;

const namers = new WeakMap<Larder, Namer>();
const MOST_WORDS = 5;
/** Characters of an ingredient line beyond which its end is not looked at again. */
const MOST_TAIL = 300;

/** Finds the names of foods among a sentence's tokens, the longest first. */
export function namerOf(larder: Larder): Namer {
  const known = namers.get(larder);
  if (known) return known;
  const memo = new Map<string, string | null>();
  const named = (words: string): string | null => {
    const before = memo.get(words);
    if (before !== undefined) return before;
    const parts = tableTokens(words);
    const id = parts.length > 0 ? (larder.finder.ofName(parts)?.id ?? null) : null;
    if (memo.size > 20_000) memo.clear();
    memo.set(words, id);
    return id;
  };
  const namer: Namer = (tokens, at, to) => {
    const first = tokens[at];
    if (
      !first ||
      first.kind !== 'word' ||
      DETERMINERS.has(first.word) ||
      CONJUNCTIONS.has(first.word) ||
      PREPOSITIONS.has(first.word)
    )
      return null;
    let phrase = '';
    const phrases: string[] = [];
    for (let n = 0; n < MOST_WORDS && at + n < to; n += 1) {
      const t = tokens[at + n];
      if (!t || t.kind !== 'word' || (n > 0 && PREPOSITIONS.has(t.word) && t.word !== 'of')) break;
      phrase = n === 0 ? t.word : `${phrase} ${t.word}`;
      phrases.push(phrase);
    }
    const alias = ALIASES.at(tokens, at);
    for (let n = phrases.length; n >= 1; n -= 1) {
      if (alias && alias.end - at >= n) return { id: alias.value, end: alias.end };
      const words = phrases[n - 1] as string;
      const last = tokens[at + n - 1] as Token;
      if (
        n === 1 &&
        (NOT_FOOD.has(first.word) ||
          (NOT_FOOD.has(first.normal) && !PLURAL_FOODS.has(first.normal)) ||
          first.word.length < 3)
      )
        return null;
      // "salt and pepper" are two
      if (n > 1 && (CONJUNCTIONS.has(last.word) || last.word === 'of')) continue;
      if (n > 1 && words.includes(' and ')) continue;
      // "cloves of garlic", "a stick of celery": how it comes
      if (n === 1 && tokens[at + 1]?.word === 'of' && MEASURED_BY.has(first.normal)) return null;
      // "fry" is no fries
      if (n === 1 && verbOf(first.word)?.form === 'base' && verbOf(first.word)?.verb.noun === false)
        return null;
      const id = named(words);
      if (id) return { id, end: at + n };
    }
    return null;
  };
  namers.set(larder, namer);
  return namer;
}

interface Source extends Stretch {
  readonly step: number | null;
  /** A title or heading: what it names is counted where nothing accounts for it, and may be none. */
  readonly names: boolean;
  /** The words behind a food on its own line: only what is done to it is read there. */
  readonly tail: boolean;
  readonly line?: ReadLine;
}

interface Scan {
  readonly recipe: Pick<Recipe, 'title'>;
  readonly lines: readonly ReadLine[];
  readonly cover: Cover;
  readonly settings: ReadSettings;
  readonly larder: Larder;
  readonly servings: number;
  readonly prose: boolean;
  readonly out: ReadLine[];
  /** Grams said of listed lines, by their place. */
  readonly said: Map<number, { grams: Range; words: string; source: Source; span: [number, number] }[]>;
  readonly sentences: readonly { readonly source: Source; readonly sentence: Sentence }[];
  /** Fats that go in by any sentence. */
  fat: boolean;
  /** Fats that a sentence says do not. */
  noFat: boolean;
}

/** The key of a line's correction: its words; those of the method apart from the list's. */
export const correctionKey = (origin: ReadLine['origin'], words: string): string =>
  origin === 'method' ? `method: ${words}` : words;

function lineOf(
  scan: Scan,
  source: Source,
  span: readonly [number, number],
  words: string,
  food: Food | null,
  grams: Range | null,
  why: string,
  polarity: Polarity,
): ReadLine {
  const { settings } = scan;
  const correction = correctionOf(settings, correctionKey('method', words));
  const own =
    correction?.grams !== undefined ? range(correction.grams, correction.grams, correction.grams) : grams;
  const optional = polarity === 'optional' || polarity === 'alternative';
  return {
    line: {
      text: words,
      start: source.start + span[0],
      end: source.start + span[1],
      section: source.names ? 'From the title' : 'From the method',
    },
    words: null,
    origin: 'method',
    step: source.step,
    span: source.step === null ? null : [span[0], span[1]],
    foods: [
      {
        text: words,
        phrase: words,
        food,
        confidence: food ? 1 : 0,
        candidates: [],
        grams: own,
        readings: correction?.grams !== undefined ? [`you said ${correction.grams} g`] : [why],
        might: [],
      },
    ],
    alternatives: [],
    optional,
    assumed: false,
    share: null,
    toTaste: false,
    corrected: correction?.grams !== undefined,
    role: correction?.role ?? null,
    nothing: false,
    corners: food && own ? cornersOfLine([{ food, grams: own, sodium: [1, 1, 1] }], optional) : null,
    missing: !food ? 'food' : own ? null : 'amount',
  };
}

const usual = (name: string, servings: number): { grams: Range; why: string } => {
  const rule = STEP_WORDS.amounts[name] ?? { grams: [0, 0, 0] as const, plate: false, why: '' };
  const by = rule.plate ? servings : 1;
  const [low, best, high] = rule.grams;
  return { grams: range(low * by, best * by, high * by), why: `no amount: ${rule.why}` };
};

/** Words that an amount is made of, walked back from a food's name. */
function amountStart(s: Sentence, c: ClauseSpan, from: number): number {
  let k = from;
  for (let n = 0; n < 9 && k > s.from; n += 1) {
    const t = s.tokens[k - 1] as Token;
    const named = s.named[k - 1 - s.from];
    if (named && named.kind === 'food') break;
    if (t.kind === 'number' || t.word === '/' || t.word === '–') {
      k -= 1;
      continue;
    }
    if (t.kind === 'mark') break;
    if (k - 1 === c.verbAt) break;
    if (t.word === 'and') {
      // "a tablespoon and a half of", "1 and 1/2"
      const next = s.tokens[k]?.word;
      const half = next === 'a' && ['half', 'quarter', 'third'].includes(s.tokens[k + 1]?.word ?? '');
      if (half || s.tokens[k]?.kind === 'number') {
        k -= 1;
        continue;
      }
      break;
    }
    if (
      t.word !== 'of' &&
      (PREPOSITIONS.has(t.word) ||
        CONJUNCTIONS.has(t.word) ||
        AUXILIARIES.has(t.word) ||
        NEGATORS.has(t.word) ||
        SUBJECTS.has(t.word) ||
        DEFINITE.has(t.word))
    )
      break;
    k -= 1;
  }
  while (
    k < from &&
    ['of', 'and', 'more', 'extra', 'another', 'some', 'further', 'additional'].includes(
      s.tokens[k]?.word ?? '',
    )
  )
    k += 1;
  return k;
}

const textOf = (source: Source, s: Sentence, from: number, to: number): string =>
  source.text.slice(s.tokens[from]?.start ?? 0, s.tokens[to - 1]?.end ?? 0);

interface Mention {
  readonly food: Food;
  readonly from: number;
  readonly to: number;
  readonly words: readonly string[];
  readonly polarity: Polarity;
  readonly definite: boolean;
  readonly more: boolean;
  /** The amount and the name as written. */
  readonly phrase: string;
  readonly phraseFrom: number;
  /** The phrase read as a line of ingredients. */
  readonly read: ReadLine | null;
  /** A number or a measure stands before it. */
  readonly stated: boolean;
}

function mentionOf(
  scan: Scan,
  source: Source,
  s: Sentence,
  c: ClauseSpan,
  from: number,
  to: number,
  id: string,
  told = false,
): Mention | null {
  const food = scan.larder.foodById(id);
  if (!food) return null;
  const start = amountStart(s, c, from);
  const before = s.tokens[start - 1]?.word ?? '';
  // "the lime and nori": one article for both
  const joined =
    before === 'and' && s.named[start - 2 - s.from]?.kind === 'food'
      ? (s.named[start - 2 - s.from] as Named).from
      : -1;
  const definite =
    DEFINITE.has(before) ||
    DEFINITE.has(s.tokens[from - 1]?.word ?? '') ||
    (joined > 0 && DEFINITE.has(s.tokens[joined - 1]?.word ?? ''));
  const spoken = s.tokens.slice(Math.max(s.from, start - 2), from).map((t) => t.word);
  const polarity = polarityOf(s, c, from, to);
  const words = tableTokens(
    s.tokens
      .slice(from, to)
      .map((t) => t.word)
      .join(' '),
  );
  // an alternative behind another food: "water or oil"
  const or =
    s.tokens[start - 1]?.word === 'or' && s.named.slice(0, start - 1 - s.from).some((n) => n !== null);
  const alternative: Polarity = polarity === 'do' && or ? 'alternative' : polarity;
  const phrase = textOf(source, s, start, to);
  let notes = '';
  if (s.tokens[to]?.word === ',' || s.tokens[to]?.word === '(') {
    const end = Math.min(s.to, to + 9);
    let k = to + 1;
    while (k < end && s.tokens[k]?.kind !== 'mark') k += 1;
    const behind = textOf(source, s, to + 1, k);
    if (AMOUNT_KEEPS.test(behind)) notes = `, ${behind}`;
  } else if (['drained', 'rinsed'].includes(s.tokens[to]?.word ?? '')) notes = `, ${s.tokens[to]?.word}`;
  let read: ReadLine | null = null;
  if (alternative === 'do' || alternative === 'optional' || alternative === 'alternative') {
    const serves = c.verb?.verb.id === 'serve' ? ', to serve' : '';
    const each = ['each', 'apiece'].includes(s.tokens[to]?.word ?? '') ? ' each' : '';
    const line = (text: string) =>
      readLine(
        { text, start: 0, end: text.length, section: null },
        { ...scan.settings, corrections: {} },
        scan.servings,
      );
    read = line(
      `${told ? `${textOf(source, s, start, from)} ${food.name.replace(/,.*$/, '')}` : phrase}${notes}${serves}${each}`,
    );
    if (read.missing === 'food' && start < from) {
      // words that say how it looks stand between the amount and the name
      const plain = s.tokens
        .slice(start, from)
        .filter(
          (t) =>
            t.kind !== 'word' ||
            /^(?:an?|half|of|one|two|three|four|five|six|seven|eight|nine|ten|dozen|couple|few)$/.test(
              t.word,
            ) ||
            isMeasure(t.word),
        )
        .map((t) => t.word)
        .join(' ');
      const again = line(
        `${plain} ${s.tokens
          .slice(from, to)
          .map((t) => t.word)
          .join(' ')}${notes}${serves}${each}`,
      );
      if (again.missing !== 'food') read = again;
    }
    if (read.foods[0]?.food && read.foods[0].food.id !== food.id && ALIASES.at(s.tokens, from)) read = null;
  }
  const measured =
    read?.words?.foods.some((f) => f.measures.some((m) => m.stated || m.unit !== null)) ?? false;
  return {
    food: read?.foods[0]?.food ?? food,
    from,
    to,
    words,
    polarity: alternative,
    definite,
    more: spoken.some((w) => MORE.has(w)),
    phrase: measured ? phrase : textOf(source, s, from, to),
    phraseFrom: start,
    read,
    stated: measured,
  };
}

const isMeasure = (word: string) =>
  /^(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|mugs?|ml|l|litres?|liters?|g|kg|oz|lbs?|pounds?|ounces?|grams?|kilos?|pints?|handfuls?|pinch(?:es)?|splash(?:es)?|drizzles?|dash(?:es)?|glugs?|knobs?|dollops?|squeezes?|spoons?|spoonfuls?|cans?|tins?|jars?|packets?|packs?|bags?|blocks?|cloves?|slices?|sprigs?|bunch(?:es)?|sticks?|cubes?|sachets?|cartons?|heads?|thumbs?|heaped|heaping|level|small|large|medium|big)$/.test(
    word,
  );

/** What a fat without an amount does, by the deed. */
function fatAmount(scan: Scan, s: Sentence, c: ClauseSpan, m: Mention): { grams: Range; why: string } {
  const verb = c.verb?.verb;
  const words = s.tokens.slice(c.from, c.to).map((t) => t.word);
  if (words.includes('wiped') || (words.includes('wipe') && words.includes('out')))
    return usual('wiped', scan.servings);
  if (verb?.fat) return usual(verb.fat, scan.servings);
  const tool = s.named.slice(c.from - s.from, c.to - s.from).some((n) => n?.kind === 'tool');
  if (verb && LEAVES_FILM.has(verb.id)) return usual(tool ? 'film' : 'coat', scan.servings);
  if (verb?.as === 'spray') return usual('spray', scan.servings);
  if (verb && ['drizzle', 'finish', 'trickle', 'dress', 'serve', 'top'].includes(verb.id))
    return usual('drizzle', scan.servings);
  void m;
  return usual('pan', scan.servings);
}

function isMade(scan: Scan, upTo: Sentence, words: readonly string[]): boolean {
  const head = words.at(-1) ?? '';
  if (!MADE.has(head)) return false;
  for (const { sentence } of scan.sentences) {
    if (sentence === upTo) return false;
    const at = sentence.tokens
      .slice(sentence.from, sentence.to)
      .findIndex((t) => t.normal === head || t.word === head);
    if (at < 0) continue;
    const before = sentence.tokens.slice(sentence.from, sentence.from + at).map((t) => t.word);
    if (before.some((w) => ['make', 'for', 'to', 'into', 'until', 'as'].includes(w))) return true;
  }
  return false;
}

/** Takes one food of a sentence in: as more of a listed line, as a line of its own, or not at all. */
function take(scan: Scan, source: Source, s: Sentence, c: ClauseSpan, m: Mention): void {
  const { cover, lines, out, servings } = scan;
  if (m.polarity === 'not') {
    // of the dish as a whole, not of one deed
    if (FATS.has(m.food.kind) && source.step === null && !source.tail) scan.noFat = true;
    return;
  }
  if (m.polarity === 'remark') return;
  // "makes 24 cookies", "Yield: 24 cookies" say what it is, not what goes in
  const yields = [...s.label, ...s.tokens.slice(c.from, m.from)].some((t) => YIELDS.has(t.word));
  if (m.stated && yields && c.verb?.form !== 'base') return;
  if (FATS.has(m.food.kind)) scan.fat = true;
  // an amount belongs to the words where one is said
  const at = [s.tokens[m.stated ? m.phraseFrom : m.from]?.start ?? 0, s.tokens[m.to - 1]?.end ?? 0] as [
    number,
    number,
  ];
  const grams = m.read?.missing === null ? (m.read.foods[0]?.grams ?? null) : null;
  const found = refersTo(m.food, m.words, m.definite, cover);
  const first = found[0];
  if (source.names) {
    // a title promises; what the list holds in any form keeps the promise
    const offends = PROMISED.has(m.food.kind);
    const kept =
      found.length > 0 ||
      cover.lines.some((l) => m.words.some((w) => l.words.has(w))) ||
      out.some((l) => l.foods.some((f) => f.food?.id === m.food.id));
    if (!offends || kept) return;
    const guess = FATS.has(m.food.kind) ? usual('drizzle', servings) : null;
    out.push(
      lineOf(
        scan,
        source,
        at,
        m.phrase,
        m.food,
        guess?.grams ?? grams ?? range(0, 5 * servings, 20 * servings),
        'the name promises it, and no line brings it: it may be in it or not',
        'optional',
      ),
    );
    return;
  }
  if (first !== undefined) {
    if (m.more && COUNTS.has(m.food.kind) && m.polarity !== 'alternative') {
      moreOf(scan, source, s, c, m, at, first, grams);
      return;
    }
    if (m.stated && grams && COUNTS.has(m.food.kind)) {
      const list = scan.said.get(first) ?? [];
      list.push({ grams, words: m.phrase, source, span: at });
      scan.said.set(first, list);
    }
    return;
  }
  if (m.words.length === 1 && m.words[0] === 'seasoning' && m.definite) {
    // "check the seasoning": salt to taste
    const salt = foodById('salt');
    const listed = lines.some((l) => l.foods.some((f) => f.food?.kind === 'salt'));
    const { grams: guess, why } = usual('season', servings);
    if (salt)
      out.push(
        lineOf(
          scan,
          source,
          at,
          m.phrase,
          salt,
          listed ? range(0, 0, 0.5 * servings) : guess,
          why,
          m.polarity,
        ),
      );
    return;
  }
  if (isPart(m.food, m.words, m.definite, cover)) return;
  // a crust or a pastry that was made is "the pastry"
  if (m.definite && m.words.length === 1 && CRUSTS.has(m.words[0] ?? '')) return;
  if (m.definite && isMade(scan, s, m.words)) return;
  const bibliographic = s.label.some((t) => BIBLIOGRAPHIC.has(t.word));
  if (bibliographic && !m.stated) return;
  // named again it is the one that was brought before
  const again = out.findIndex((l) =>
    l.foods.some(
      (f) =>
        f.food !== null &&
        (f.food.id === m.food.id ||
          (m.words.length === 1 && STEP_WORDS.families[m.words[0] ?? '']?.includes(f.food.kind))),
    ),
  );
  if (again >= 0 && !m.stated && !m.more) return;
  if (
    !m.stated &&
    !scan.prose &&
    HARMLESS.has(m.food.kind) &&
    m.food.adds.length === 0 &&
    m.food.might.length === 0
  )
    return;
  if (m.food.kind === 'water' && !m.stated) return;
  // "a splash of water": its weight is gone before the plate
  const loose = m.read?.words?.foods[0]?.measures.every((x) => x.unit?.kind === 'vague') ?? true;
  if (m.food.kind === 'water' && loose && !scan.prose) return;
  // "for the bran drinks slowly": of what is there
  if (
    m.definite &&
    !m.stated &&
    !scan.prose &&
    !m.food.kindClass &&
    m.food.adds.length + m.food.might.length === 0
  )
    return;
  // "remove the seeds" of what is on the list
  if (m.definite && m.words.length === 1 && ORDINARY.has(m.words[0] ?? '')) return;
  if (FATS.has(m.food.kind) && !m.stated) {
    const { grams: guess, why } = fatAmount(scan, s, c, m);
    out.push(lineOf(scan, source, at, m.phrase, m.food, guess, why, m.polarity));
    return;
  }
  if (m.read?.missing === 'amount' && HARMLESS.has(m.food.kind)) {
    // "a wedge of lemon": even the most of it matters to no limit
    const guess = unsaid(m.food, null, servings);
    if (guess)
      out.push(
        lineOf(
          scan,
          source,
          at,
          m.phrase,
          m.food,
          range(0, guess.grams.best, guess.grams.high),
          guess.readings.join('; '),
          m.polarity,
        ),
      );
    return;
  }
  if (m.read && m.read.foods[0]?.food) {
    const optional = m.polarity !== 'do' || m.read.optional;
    const correction = correctionOf(scan.settings, correctionKey('method', m.phrase));
    if (correction?.grams === undefined && m.read.missing === null) {
      out.push({
        ...m.read,
        line: {
          text: m.phrase,
          start: source.start + at[0],
          end: source.start + at[1],
          section: 'From the method',
        },
        origin: 'method',
        step: source.step,
        span: source.step === null ? null : at,
        optional,
        corners:
          m.read.corners && optional && !m.read.optional
            ? [...m.read.corners, new Float64Array(m.read.corners[0]?.length ?? 0)]
            : m.read.corners,
      });
      return;
    }
  }
  const aside = grams === null && !m.stated ? unsaid(m.food, 'to serve', servings) : null;
  out.push(
    lineOf(
      scan,
      source,
      at,
      m.phrase,
      m.food,
      grams ?? aside?.grams ?? null,
      aside
        ? aside.readings.join('; ')
        : m.read
          ? (m.read.foods[0]?.readings.join('; ') ?? '')
          : 'no amount is said',
      m.polarity,
    ),
  );
  void lines;
}

/** A food of the list that a sentence adds more of. */
function moreOf(
  scan: Scan,
  source: Source,
  s: Sentence,
  c: ClauseSpan,
  m: Mention,
  at: [number, number],
  line: number,
  grams: Range | null,
): void {
  const own = scan.lines[line];
  const open = own?.toTaste || own?.foods.some((f) => f.readings.some((r) => r.startsWith('no amount')));
  if (open && !m.stated) return;
  const guess = grams ?? (FATS.has(m.food.kind) ? fatAmount(scan, s, c, m).grams : null);
  if (!guess) return;
  const sure = m.stated && m.polarity === 'do';
  scan.out.push(
    lineOf(
      scan,
      source,
      at,
      m.phrase,
      m.food,
      sure ? guess : range(0, 0, guess.high),
      'more than the list says',
      m.polarity,
    ),
  );
}

/** Where the method says more of a listed food than the list, the dish holds the larger. */
function larger(scan: Scan): void {
  for (const [index, said] of scan.said) {
    const line = scan.lines[index];
    const listed = line?.foods.reduce<Range | null>(
      (sum, f) =>
        f.grams
          ? sum
            ? range(sum.low + f.grams.low, sum.best + f.grams.best, sum.high + f.grams.high)
            : f.grams
          : sum,
      null,
    );
    const food = line?.foods[0]?.food;
    if (!listed || !food) continue;
    const sum = said.reduce(
      (r, x) => range(r.low + x.grams.low, r.best + x.grams.best, r.high + x.grams.high),
      range(0, 0, 0),
    );
    if (sum.best <= listed.high * 1.15 || sum.high <= listed.high * 1.15) continue;
    const last = said.at(-1);
    if (!last) continue;
    const extra = range(
      Math.max(0, sum.low - listed.high),
      Math.max(0, sum.best - listed.best),
      Math.max(0, sum.high - listed.low),
    );
    scan.out.push(
      lineOf(
        scan,
        last.source,
        last.span,
        last.words,
        food,
        extra,
        `the method says more of it than the list (${said.map((x) => x.words).join(' and ')}): the difference`,
        'do',
      ),
    );
  }
}

/** Whether another medium than fat is said near a deed: "in a dry pan", "in a splash of water". */
function otherMedium(s: Sentence, c: ClauseSpan): boolean {
  const at = s.clauses.indexOf(c);
  const next = s.clauses[at + 1];
  const end =
    next && next.opener === null && (next.verb?.verb.id === 'add' || next.verb?.form === 'ing')
      ? next.to
      : c.to;
  for (let k = c.from; k < end; k += 1) {
    const t = s.tokens[k] as Token;
    if (OTHER_MEDIUM.has(t.word) || t.word === 'nonstick') return true;
    // "in 2 tbsp of it", "in the sauce": another thing than fat
    if (t.word === 'in' || t.word === 'with') {
      const behind = s.named.slice(k + 1 - s.from, Math.min(end, k + 7) - s.from);
      if (t.word === 'in' && behind.some((n) => n?.kind === 'food')) return true;
      if (
        t.word === 'in' &&
        s.tokens
          .slice(k + 1, Math.min(end, k + 6))
          .some(
            (x) =>
              ['it', 'that', 'them', 'sauce', 'liquid', 'juices', 'marinade'].includes(x.word) ||
              (x.word === 'of' && s.tokens[k + 1]?.kind === 'number'),
          )
      )
        return true;
    }
    if (t.word === 'stick' && t.glued && s.tokens[k - 1]?.word === 'non') return true;
    if (s.named[k - s.from]?.id === 'air fryer') return true;
  }
  return false;
}

const FAT_PHRASE = { pan: 'fried', pool: 'shallow-fried', deep: 'deep-fried' } as const;

/** Fat and salt that a deed brings without naming them. */
function deeds(scan: Scan, source: Source, s: Sentence, c: ClauseSpan): void {
  const { out, servings, lines } = scan;
  const kinds = (set: ReadonlySet<string>) =>
    lines.some((l) => l.foods.some((f) => f.food && set.has(f.food.kind)));
  const place = (i: number, j: number): [number, number] => [
    s.tokens[i]?.start ?? 0,
    s.tokens[j - 1]?.end ?? 0,
  ];
  const remark =
    isRemark(s, c) ||
    c.opener === 'until' ||
    c.opener === 'till' ||
    c.opener === 'if' ||
    c.opener === 'unless';
  if (remark || source.names) return;
  const optional: Polarity = isOptional(s, c) ? 'optional' : 'do';
  for (let i = c.from; i < c.to; i += 1) {
    const token = s.tokens[i] as Token;
    if (token.kind !== 'word') continue;
    const name = s.named[i - s.from];
    if (
      name?.id === 'fryer' &&
      name.kind === 'tool' &&
      name.from === i &&
      polarityOf(s, c, i, name.to) === 'do'
    ) {
      const oil = foodById('vegetable-oil');
      const { grams, why } = usual('deep', servings);
      if (oil && !scan.fat)
        out.push(
          lineOf(scan, source, place(i, name.to), textOf(source, s, c.from, c.to), oil, grams, why, optional),
        );
      scan.fat = true;
      i = name.to - 1;
      continue;
    }
    if (name && (name.to - name.from > 1 || i !== c.verbAt)) continue;
    const joined =
      i > s.from && ['deep', 'stir', 'pan', 'shallow', 'air'].includes(s.tokens[i - 1]?.word ?? '')
        ? verbOf((s.tokens[i - 1]?.word ?? '') + token.word)
        : undefined;
    const hit = joined ?? verbOf(token.word);
    if (source.tail && hit?.verb.id === 'roast' && hit.form === 'ed') {
      // bought or made roasted: perhaps in oil, unless the method says how
      const said = scan.sentences.some(
        (x) => x.source.step !== null && x.sentence.clauses.some((k) => k.verb?.verb.id === 'roast'),
      );
      const oil = foodById('vegetable-oil');
      const dry =
        (i > s.from && OTHER_MEDIUM.has(s.tokens[i - 1]?.word ?? '')) ||
        polarityOf(s, c, i, i + 1) === 'not' ||
        s.tokens
          .slice(i + 1, i + 5)
          .some((t) => NEGATORS.has(t.word) || t.word === 'without' || t.word === 'dry');
      if (oil && !said && !dry && !kinds(FATS) && !scan.fat)
        out.push(
          lineOf(
            scan,
            source,
            place(i, i + 1),
            `roasted: ${source.line?.line.text ?? ''}`,
            oil,
            range(0, 0, usual('coat', servings).grams.high),
            'roasted, and nothing says whether in oil',
            'optional',
          ),
        );
      continue;
    }
    if (!hit || (!hit.verb.fat && !hit.verb.food)) continue;
    const deed =
      i === c.verbAt ||
      hit.form === 'ed' ||
      hit.form === 'ing' ||
      (hit.verb.fat !== null && hit.form === 'base') ||
      // "a spritz" of nothing that is said
      (hit.verb.as === 'spray' &&
        ['a', 'another'].includes(s.tokens[i - 1]?.word ?? '') &&
        s.tokens[i + 1]?.word !== 'of');
    if (!deed) continue;
    if (
      hit.form === 'base' &&
      hit.verb.as !== 'spray' &&
      i !== c.verbAt &&
      s.tokens[i - 1]?.kind === 'word' &&
      DETERMINERS.has(s.tokens[i - 1]?.word ?? '')
    )
      continue;
    // "dry-fry", "water-sauté", "oil-free fried": the medium is in the word
    const before = s.tokens[i - 1];
    if (
      before &&
      i > c.from - 1 &&
      (OTHER_MEDIUM.has(before.word) || before.word === 'un' || before.word === 'no')
    )
      continue;
    const polarity = polarityOf(s, c, i, i + 1);
    if (polarity === 'not' || polarity === 'remark') continue;
    if (verbNegated(s, c) && !s.tokens.slice(c.from, i).some((t) => t.word === 'without')) continue;
    const fatsHere = s.clauses
      .flatMap((x) => foodsOf(s, x))
      .filter((f) => FATS.has(scan.larder.foodById(f.id)?.kind ?? ''))
      // "bread, oil-free, fried": what it was bought without
      .filter((f) => !source.tail || f.from > i || polarityOf(s, c, f.from, f.to) !== 'not');
    if (hit.verb.fat) {
      // "add the fried tofu": fried before
      if (hit.form === 'ed' && !source.tail && DEFINITE.has(before?.word ?? '')) continue;
      if (otherMedium(s, c) || fatsHere.length > 0) continue;
      const amount = usual(hit.verb.fat, servings);
      if (hit.verb.fat === 'deep') {
        const enough = lines.some((l) =>
          l.foods.some((f) => f.food && FATS.has(f.food.kind) && (f.grams?.high ?? 0) >= 15),
        );
        if (enough) continue;
      } else if (
        kinds(FATS) ||
        scan.fat ||
        out.some((l) => l.foods.some((f) => f.food && FATS.has(f.food.kind)))
      )
        continue;
      // a dish that says it goes without oil is fried without
      else if (scan.noFat) continue;
      const food = foodById('vegetable-oil');
      if (food)
        out.push(
          lineOf(
            scan,
            source,
            place(i, i + 1),
            source.tail
              ? `${FAT_PHRASE[hit.verb.fat]}: ${source.text.trim()}`
              : textOf(source, s, c.from, Math.min(c.to, i + 6)),
            food,
            amount.grams,
            `${token.word} means in fat where nothing else is said; ${amount.why}`,
            optional,
          ),
        );
      scan.fat = true;
      continue;
    }
    if (source.tail) continue;
    implied(
      scan,
      source,
      s,
      c,
      i,
      hit.verb.as ?? 'film',
      hit.verb.food ?? '',
      hit.form,
      optional,
      foodsOf(s, c).some((f) => FATS.has(scan.larder.foodById(f.id)?.kind ?? '')),
    );
  }
  // "water as salty as the sea", "seasoned like the sea"
  const words = s.tokens.slice(c.from, c.to).map((t) => t.word);
  if (words.includes('sea') && words.some((w) => w === 'salty' || w === 'seasoned')) {
    const salt = foodById('salt');
    const { grams, why } = usual('water', servings);
    if (salt)
      out.push(
        lineOf(
          scan,
          source,
          place(c.from, c.to),
          textOf(source, s, c.from, c.to),
          salt,
          grams,
          why,
          optional,
        ),
      );
  }
}

/** Foods that a clause names; a word that is the deed itself ("oil the tin") is none. */
const foodsOf = (s: Sentence, c: ClauseSpan) =>
  [...new Set(s.named.slice(c.from - s.from, c.to - s.from))].flatMap((n) =>
    n?.kind === 'food' && n.from >= c.from && !(n.from === c.verbAt && n.to === c.verbAt + 1) ? [n] : [],
  );

/** Grease, oil, butter, salt, season as deeds: what they bring by what they act on. */
function implied(
  scan: Scan,
  source: Source,
  s: Sentence,
  c: ClauseSpan,
  i: number,
  as: string,
  id: string,
  form: string,
  optional: Polarity,
  fatNamed: boolean,
): void {
  const { out, servings, lines } = scan;
  const food = foodById(id);
  if (!food) return;
  const next = s.tokens[i + 1];
  const words = s.tokens.slice(c.from, c.to).map((t) => t.word);
  const wet =
    next?.word === 'water' ||
    (next?.word === 'boiling' && s.tokens[i + 2]?.word === 'water') ||
    (['the', 'your', 'cooking', 'pasta'].includes(next?.word ?? '') &&
      s.tokens.slice(i + 1, i + 4).some((t) => t.word === 'water'));
  const span: [number, number] = [s.tokens[i]?.start ?? 0, s.tokens[Math.min(c.to, i + 5) - 1]?.end ?? 0];
  const push = (which: string, grams?: Range) => {
    const amount = usual(which, servings);
    const at = textOf(source, s, i, Math.min(c.to, i + 5));
    if (out.some((l) => l.step === source.step && l.line.start === source.start + span[0])) return;
    out.push(lineOf(scan, source, span, at, food, grams ?? amount.grams, amount.why, optional));
  };
  if (food.kind === 'salt') {
    if (wet) {
      if (!out.some((l) => l.foods[0]?.readings[0]?.includes('from the pot'))) push('water');
      return;
    }
    const others = foodsOf(s, c).filter((f) => f.from > i);
    const withAt = words.indexOf('with');
    if (as === 'season') {
      // "season with salt and pepper" names it; "with pepper only", "with lemon" leaves it out
      if (withAt >= 0 && withAt > i - c.from && others.length > 0) return;
      if (
        withAt > i - c.from &&
        words.slice(withAt).some((w) => w === 'free' || w === 'herbs' || w === 'spices' || w === 'pepper')
      )
        return;
      if (form === 'ed' && s.tokens[i - 1] && DETERMINERS.has(s.tokens[i - 1]?.word ?? '')) return;
    } else if (others.some((f) => f.id === 'salt')) return;
    const listed = lines.some((l) => l.foods.some((f) => f.food?.kind === 'salt'));
    const said = out.some((l) => l.foods.some((f) => f.food?.kind === 'salt'));
    if (listed || said) {
      if (listed && words.some((w) => TASTING.has(w))) push(as, range(0, 0, 0.5 * servings));
      return;
    }
    if (form === 'ed' && as === 'salting' && !next) return;
    push(as);
    return;
  }
  if (id === 'sugar') {
    if (foodsOf(s, c).some((f) => f.from > i) && words.includes('with')) return;
    push(as);
    return;
  }
  // oil, butter: what stands behind "with" is the fat, or no fat at all
  if (fatNamed && as !== 'spray') return;
  if (words.some((w) => w === 'water') && as === 'spray') return;
  const withAt = words.indexOf('with');
  if (as !== 'film' && withAt > i - c.from && foodsOf(s, c).some((f) => f.from > c.from + withAt)) return;
  const tool =
    s.named.slice(i + 1 - s.from, Math.min(c.to, i + 7) - s.from).some((n) => n?.kind === 'tool') ||
    ['hands', 'foil', 'paper'].includes(next?.word ?? '') ||
    words.includes('hands');
  const greasing = lines.some(
    (l) =>
      l.foods.some((f) => f.food && FATS.has(f.food.kind)) &&
      /greas|brush|tin|tray|spray|film|wip/i.test(l.line.text),
  );
  if (greasing && tool) return;
  if (out.some((l) => l.foods[0]?.readings[0]?.includes('greased tin')) && tool) return;
  scan.fat = scan.fat || !tool;
  push(as === 'spray' ? 'spray' : tool ? 'film' : 'coat');
}

/** What a sentence puts into the dish and nobody here knows: the dish cannot be judged without it. */
function unknowns(scan: Scan, source: Source, s: Sentence, c: ClauseSpan): void {
  if (source.names || source.tail) return;
  const verb = c.verb;
  if (!verb?.verb.brings || verb.form === 'ed' || verb.form === 's') return;
  if (
    isRemark(s, c) ||
    c.opener === 'until' ||
    c.opener === 'if' ||
    c.opener === 'unless' ||
    verbNegated(s, c)
  )
    return;
  let i = c.verbAt + 1;
  // "top with", "finish with": what stands behind "with"; "add", "stir in": the object
  const needsWith = [
    'top',
    'garnish',
    'finish',
    'serve',
    'dress',
    'coat',
    'fill',
    'stuff',
    'brush',
    'rub',
    'dust',
    'cover',
    'layer',
    'sprinkle',
    'drizzle',
    'scatter',
    'spread',
    'splash',
    'dot',
    'wrap',
    'baste',
    'glaze',
    'toss',
  ].includes(verb.verb.id);
  const object = [
    'add',
    'stir',
    'pour',
    'throw',
    'chuck',
    'bung',
    'splash',
    'crumble',
    'fold',
    'whisk',
    'swirl',
    'tip',
    'drizzle',
    'scatter',
    'sprinkle',
    'spoon',
  ].includes(verb.verb.id);
  if (needsWith) {
    let at = -1;
    for (let k = i; k < c.to; k += 1)
      if (
        s.tokens[k]?.word === 'with' ||
        (verb.verb.id === 'serve' && ['on', 'over', 'in'].includes(s.tokens[k]?.word ?? ''))
      ) {
        at = k;
        break;
      }
    if (at >= 0) i = at + 1;
    else if (!object) return;
  } else if (!object) return;
  let run: number[] = [];
  const judge = () => {
    const last = run.at(-1);
    if (last !== undefined) {
      const t = s.tokens[last] as Token;
      const known = run.some((k) => s.named[k - s.from] !== null);
      const ordinary = ORDINARY.has(t.word) || ORDINARY.has(t.normal) || isHarmless(t.normal);
      const inList =
        scan.cover.lines.some((l) => run.some((k) => l.words.has(s.tokens[k]?.normal ?? ''))) ||
        scan.cover.parts.some((p) => p.has(t.normal)) ||
        scan.cover.title.has(t.normal);
      const definite = DEFINITE.has(s.tokens[(run[0] ?? 0) - 1]?.word ?? '');
      const made = verbOf(t.word) !== undefined && !known;
      if (
        !known &&
        !ordinary &&
        !inList &&
        !definite &&
        !made &&
        t.word.length > 2 &&
        !TOOLS.at(s.tokens, last) &&
        polarityOf(s, c, run[0] ?? last, last + 1) !== 'not' &&
        polarityOf(s, c, run[0] ?? last, last + 1) !== 'remark'
      ) {
        const from = run[0] ?? last;
        const span: [number, number] = [s.tokens[from]?.start ?? 0, t.end];
        scan.out.push(
          lineOf(scan, source, span, textOf(source, s, from, last + 1), null, null, 'not understood', 'do'),
        );
      }
    }
    run = [];
  };
  for (; i < c.to; i += 1) {
    const t = s.tokens[i] as Token;
    const stop =
      t.kind !== 'word' ||
      DETERMINERS.has(t.word) ||
      PREPOSITIONS.has(t.word) ||
      CONJUNCTIONS.has(t.word) ||
      PRONOUNS.has(t.word) ||
      AUXILIARIES.has(t.word) ||
      NEGATORS.has(t.word) ||
      (t.word.endsWith('ly') && t.word.length > 4);
    if (!stop) {
      if (!isMeasure(t.word)) run.push(i);
      continue;
    }
    judge();
    if (PREPOSITIONS.has(t.word) && !['of', 'in', 'over', 'with', 'on'].includes(t.word)) return;
    if (['in', 'on', 'over'].includes(t.word) && i > c.verbAt + 1 && !(verb.verb.id === 'serve')) return;
    if (t.kind === 'mark' && t.word !== ',') return;
  }
  judge();
}

/**
 * Foods that the sentences of a recipe bring and no ingredient line accounts for, as lines of their own: found by the same
 * finder, their amounts read by the same reader. Covers by meaning, adds up amounts said in several sentences, and takes a
 * technique that means fat at its word. One that is not understood is a line that is said not to be.
 *
 * @param servings how many it feeds, for readings a plate
 */
export function broughtBy(
  recipe: Pick<Recipe, 'steps' | 'title'> & Partial<Pick<Recipe, 'notes' | 'lines'>>,
  lines: readonly ReadLine[],
  settings: ReadSettings,
  servings: number,
): ReadLine[] {
  const larder = settings.larder ?? TABLE_LARDER;
  const namer = namerOf(larder);
  const titled = { text: recipe.title, start: 0, end: 0, step: null, names: true, tail: false };
  const sections = [...new Set((recipe.lines ?? []).flatMap((l) => (l.section ? [l.section] : [])))];
  const sources: Source[] = [
    ...recipe.steps.map((x, step) => ({ ...x, step, names: false, tail: false })),
    ...(recipe.notes ?? []).map((x) => ({ ...x, step: null, names: false, tail: false })),
    ...lines.flatMap((l): Source[] => {
      const tail = l.line.text.length > MOST_TAIL ? null : /[,(;-].*$/.exec(l.line.text);
      return tail && tail.index > 2
        ? [
            {
              text: tail[0].slice(1),
              start: l.line.start + tail.index + 1,
              end: l.line.end,
              step: null,
              names: false,
              tail: true,
              line: l,
            },
          ]
        : [];
    }),
    titled,
    ...sections.map((text) => ({ text, start: 0, end: 0, step: null, names: true, tail: false })),
  ];
  const sentences = sources.flatMap((source) =>
    sentencesOf(tokensOf(source.text), namer).map((sentence) => ({ source, sentence })),
  );
  const scan: Scan = {
    recipe,
    lines,
    cover: coverOf(lines, recipe.title),
    settings,
    larder,
    servings,
    prose: lines.length === 0,
    out: [],
    said: new Map(),
    sentences,
    fat: false,
    noFat: false,
  };
  let asked: { source: Source; s: Sentence } | null = null;
  for (const { source, sentence: s } of sentences) {
    // "Salt? Not needed."
    const answer = s.tokens[s.from]?.word ?? '';
    if (asked && (NEGATORS.has(answer) || ['none', 'skip', 'nope', 'unnecessary'].includes(answer))) {
      asked = null;
      continue;
    }
    if (asked) foodsIn(scan, asked.source, asked.s);
    asked = null;
    if (s.asks && s.clauses.every((c) => c.verb === null)) {
      asked = { source, s };
      continue;
    }
    foodsIn(scan, source, s);
  }
  if (asked)
    foodsIn(
      scan,
      (asked as { source: Source; s: Sentence }).source,
      (asked as { source: Source; s: Sentence }).s,
    );
  for (const { source, sentence } of sentences)
    for (const c of sentence.clauses) {
      deeds(scan, source, sentence, c);
      unknowns(scan, source, sentence, c);
    }
  larger(scan);
  return scan.out;
}

/** Foods behind a line's own that its reader did not take in, and that a limit looks at. */
function inTail(scan: Scan, source: Source, id: string): boolean {
  const food = scan.larder.foodById(id);
  const line = source.line;
  if (!food || !line || !(FATS.has(food.kind) || food.kindClass === 'oil' || food.adds.includes('oil')))
    return false;
  const own = [...line.foods, ...line.alternatives].flatMap((f) => (f.food ? [f.food, ...f.might] : []));
  return !own.some((f) => f.id === food.id || FATS.has(f.kind) || f.adds.includes('oil'));
}

/** What a food is that its own words leave open, and words before them told. */
const kinOf = new WeakMap<Named, string>();

/** "brown rice, about a cup of cooked rice each": the first is the second, which says how much; the kind is the first's. */
function appositions(scan: Scan, s: Sentence): ReadonlySet<Named> {
  const out = new Set<Named>();
  const foods = s.clauses.flatMap((c) => foodsOf(s, c));
  foods.forEach((first, i) => {
    const second = foods[i + 1];
    if (!second || second.from - first.to > 12) return;
    const head = s.tokens[first.to - 1]?.normal;
    const stated = s.tokens
      .slice(first.to, second.from)
      .some((t) => t.kind === 'number' || isMeasure(t.word));
    if (head !== s.tokens[second.to - 1]?.normal || !stated || first.id === second.id) return;
    const own = scan.larder.foodById(first.id);
    const cooked = s.tokens.slice(first.to, second.to).some((t) => t.word === 'cooked');
    const kin =
      own && cooked ? scan.larder.finder.find(`cooked ${own.name.replace(/,.*$/, '')}`, '', 1)[0]?.food : own;
    if (kin) kinOf.set(second, kin.id);
    out.add(first);
  });
  return out;
}

function foodsIn(scan: Scan, source: Source, s: Sentence): void {
  let skip: unknown = null;
  const said = appositions(scan, s);
  for (const c of s.clauses)
    for (const named of foodsOf(s, c)) {
      if (said.has(named)) continue;
      if (source.tail && !inTail(scan, source, named.id)) continue;
      if (named.from < c.from) continue;
      // "butter each slice": the word is the deed
      if (named.from === c.verbAt && named.to === c.verbAt + 1) continue;
      const next = s.named[named.to - s.from];
      const m = mentionOf(
        scan,
        source,
        s,
        c,
        named.from,
        named.to,
        kinOf.get(named) ?? named.id,
        kinOf.has(named),
      );
      if (!m) continue;
      // "the bean cream": one food made of another
      if (
        next?.kind === 'food' &&
        next.from === named.to &&
        (DAIRY.has(s.tokens[next.from]?.normal ?? '') || MADE.has(s.tokens[next.from]?.word ?? ''))
      ) {
        if (refersTo(m.food, m.words, m.definite, scan.cover).length > 0) skip = next;
        else if (PROMISED.has(m.food.kind)) take(scan, source, s, c, m);
        continue;
      }
      if (named === skip) continue;
      take(scan, source, s, c, m);
    }
}
