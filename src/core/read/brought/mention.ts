import { tokens as tableTokens } from '@/core/food/tokens';
import { type Food } from '@/core/food/table';
import { type ClauseSpan, type Named, type Sentence } from '@/core/step/clauses';
import {
  ALIASES,
  AUXILIARIES,
  CONJUNCTIONS,
  DEFINITE,
  NEGATORS,
  Phrases,
  PREPOSITIONS,
  SUBJECTS,
} from '@/core/step/lexicon';
import { type Polarity, polarityOf } from '@/core/step/polarity';
import { type Token } from '@/core/step/tokens';
import { remembered } from '../remembered';
import { type ReadLine } from '../types';
import { MORE } from './kinds';
import { type Scan, type Source, textOf } from './scan';

const AMOUNT_KEEPS =
  /\b(?:no|without|unsalted|unsweetened|salt-free|oil-free|sugar-free|salt free|drained|rinsed|in water|in oil|in brine|no added|(?:low|lower|reduced|less)[- ](?:salt|sodium|sugar|fat))\b/i;

const CLAIMS = new Set(['no', 'without', 'unsalted', 'unsweetened']);

/** "250 g lentils (cooked weight)": how it was weighed. */
const WEIGHED = /^\s*(?:cooked|dry|dried|drained|raw|uncooked)(?: weight)?\s*$/i;

/** Words that an amount is made of, walked back from a food's name. */
function amountStart(s: Sentence, c: ClauseSpan, from: number, prose = false): number {
  let k = from;
  for (let n = 0; n < 9 && k > s.from; n += 1) {
    const t = s.tokens[k - 1] as Token;
    const named = s.named[k - 1 - s.from];
    if (named && named.kind === 'food') break;
    // "150 g (dry weight) of brown rice": what the bracket says belongs to the amount
    if (t.word === ')') {
      const open = bracketBefore(s, k - 1);
      const state =
        open >= 0 && s.tokens.slice(open + 1, k - 1).every((x) => STATES.has(x.word) || x.word === 'weight');
      if (open < 0 || (s.tokens[k]?.word !== 'of' && !state)) break;
      k = open;
      continue;
    }
    if (t.kind === 'number' || t.word === '/' || t.word === '–') {
      k -= 1;
      continue;
    }
    if (t.kind === 'mark') break;
    // told in prose, "2 teaspoons of the low salt bouillon" is so much of it
    if (
      prose &&
      t.word === 'the' &&
      s.tokens[k - 2]?.word === 'of' &&
      SPOONS.test(s.tokens[k - 3]?.word ?? '')
    ) {
      k -= 1;
      continue;
    }
    if (k - 1 === c.verbAt) break;
    if (t.word === 'and') {
      // "a tablespoon and a half of", "1 and 1/2"
      const next = s.tokens[k]?.word;
      const half = next === 'a' && ['half', 'quarter', 'third'].includes(s.tokens[k + 1]?.word ?? '');
      const before = s.tokens[k - 2];
      const counted = before?.kind === 'number' || before?.word === 'a' || before?.word === 'one';
      if (half || (s.tokens[k]?.kind === 'number' && counted)) {
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
  k = behindTalk(s, k, from);
  while (
    k < from &&
    ['of', 'and', 'more', 'extra', 'another', 'some', 'further', 'additional'].includes(
      s.tokens[k]?.word ?? '',
    )
  )
    k += 1;
  return k;
}

/** The bracket that a closing one at a place belongs to, where it is short; -1 where it is not. */
function bracketBefore(s: Sentence, close: number): number {
  for (let k = close - 1; k > Math.max(s.from, close - 6); k -= 1) if (s.tokens[k]?.word === '(') return k;
  return -1;
}

const OPENS_AMOUNT = new Set(
  'a an half one two three four five six seven eight nine ten twelve dozen about around roughly approximately another some couple few scant heaped heaping level rounded generous good big small large little tiny'.split(
    ' ',
  ),
);

/** "Next a heaped teaspoon", "slake 2 tbsp": words in front of an amount that are no part of it. */
function behindTalk(s: Sentence, start: number, from: number): number {
  const opens = (k: number) => {
    const t = s.tokens[k] as Token;
    return t.kind === 'number' || OPENS_AMOUNT.has(t.word) || isMeasure(t.word);
  };
  // "a slaw of half a cabbage": what it is made of has the amount
  for (let k = from - 1; k > start + 1; k -= 1) {
    const { word } = s.tokens[k] as Token;
    if (word !== 'of' || !opens(k + 1)) continue;
    const made = s.tokens
      .slice(start, k)
      .every((t) => t.kind === 'word' && !isMeasure(t.word) && t.word !== 'half');
    if (made) return k + 1;
  }
  for (let k = start; k < from; k += 1)
    if (opens(k)) {
      const counted = s.tokens.slice(k, from).some((t) => t.kind === 'number' || isMeasure(t.word));
      return counted ? k : start;
    }
  return start;
}

/** Words of a citrus' juice or rind before its name: "juice of half a lemon"; `from` where there are none. */
function pressedFrom(s: Sentence, c: ClauseSpan, from: number): number {
  for (let k = from - 1; k > Math.max(c.from, from - 6); k -= 1) {
    if (s.tokens[k]?.kind === 'mark') return from;
    if (s.tokens[k]?.word === 'of' && PRESSED.has(s.tokens[k - 1]?.word ?? '')) {
      const also =
        ['and', '&'].includes(s.tokens[k - 2]?.word ?? '') && PRESSED.has(s.tokens[k - 3]?.word ?? '');
      return also ? k - 3 : k - 1;
    }
  }
  return from;
}
/** What a fruit gives: "juice of half a lemon". */
export const PRESSED = new Set(['juice', 'zest', 'rind', 'peel']);

/** "a teaspoon each of cumin and coriander": the words of the amount that a later food of the row has too. */
function sharedAmount(source: Source, s: Sentence, c: ClauseSpan, from: number): string | null {
  if (!['and', '&', ','].includes(s.tokens[from - 1]?.word ?? '')) return null;
  for (let e = from - 2; e > c.from; e -= 1) {
    const t = s.tokens[e] as Token;
    if (t.kind === 'number') return null;
    if (t.word !== 'each') continue;
    const next = s.tokens[e + 1]?.word;
    if (next !== 'of' && !s.named[e + 1 - s.from]) return null;
    const start = amountStart(s, c, e);
    return start < e ? textOf(source, s, start, e) : null;
  }
  return null;
}

/** "replace 3 tbsp of the water with juice": as much of the one as of the other; null where none is said. */
function swappedAmount(source: Source, s: Sentence, c: ClauseSpan, from: number): string | null {
  if (!c.verb?.verb.swaps) return null;
  let of = -1;
  for (let k = c.verbAt + 1; k < from; k += 1) {
    const { word } = s.tokens[k] as Token;
    if (word === 'of' && of < 0) of = k;
    if (['with', 'for', 'by'].includes(word) && k === from - 1 && of > c.verbAt + 1) {
      const first = s.tokens[c.verbAt + 1] as Token;
      const counted = first.kind === 'number' || OPENS_AMOUNT.has(first.word);
      return counted ? textOf(source, s, c.verbAt + 1, of) : null;
    }
  }
  return null;
}

const APPROACH = new Set([',', '-', '–', '—', '(', ':', 'about', 'roughly', 'around', 'say', 'approx']);
/** An amount that says next to nothing. */
const FEW = new Set(['a', 'few', 'some', 'little', 'couple', 'bit', 'of', 'handful']);
/** Kinds that are bought dry where they are soaked. */
const SOAKED_DRY = new Set(['bean', 'whole-grain', 'refined-grain']);
const EACH = new Set(['each', 'apiece', 'pp']);
const HEADS = new Set(['head', 'person', 'plate', 'diner', 'eater', 'serving', 'portion', 'bowl']);
const ASIDE = new Phrases(
  [
    'on the side',
    'at the side',
    'alongside',
    'with it',
    'to serve',
    'to go with it',
    'to go with',
    'as well',
    'too',
    'on the table',
    'at the table',
    'on top',
    'over the top',
    'at the end',
    'to finish',
  ].map((w) => [w, true] as const),
);
/** The place behind a sentence's last word. */
const endOf = (s: Sentence): number => {
  let k = s.to;
  while (k > s.from && s.tokens[k - 1]?.kind === 'mark') k -= 1;
  return k;
};
const STATES = new Set([
  'cooked',
  'dry',
  'dried',
  'raw',
  'uncooked',
  'drained',
  'frozen',
  'canned',
  'tinned',
  'wholemeal',
  'wholewheat',
  'wholegrain',
  'brown',
  'unsalted',
  'unsweetened',
  'each',
  'pp',
  'apiece',
]);

const THINGS = new Set('thing things recipe dish number situation'.split(' '));
const ALLOWS = new Set('do use allow make give have cook weigh reckon measure take need count'.split(' '));

/** "three fist sized ones, maybe 600 g": how many there are, before what they weigh. */
function behindOnes(s: Sentence, from: number): number {
  for (let k = from; k < Math.min(s.to, from + 6); k += 1) {
    if (s.tokens[k]?.kind === 'mark') return from;
    if (!['one', 'ones'].includes(s.tokens[k]?.word ?? '') || k === from) continue;
    let to = k + 1;
    while (
      to < s.to &&
      (APPROACH.has(s.tokens[to]?.word ?? '') || ['maybe', 'perhaps'].includes(s.tokens[to]?.word ?? ''))
    )
      to += 1;
    return s.tokens[to]?.kind === 'number' ? to : from;
  }
  return from;
}

/** An amount told behind its food: "brown rice, about 2 cups cooked", "rice 60 g dry each"; null where none is. */
function amountBehind(s: Sentence, to: number): { from: number; to: number; states: string[] } | null {
  let k = to;
  const beside = ASIDE.at(s.tokens, k);
  if (beside) k = beside.end;
  while (k < s.to && APPROACH.has(s.tokens[k]?.word ?? '')) k += 1;
  // "chutney from the jar, 1 spoon"
  if (s.tokens[k]?.word === 'from') while (k < Math.min(s.to, to + 5) && s.tokens[k]?.kind === 'word') k += 1;
  while (k < s.to && APPROACH.has(s.tokens[k]?.word ?? '')) k += 1;
  // "brown basmati, I do 75 g a head"
  if (['i', 'we'].includes(s.tokens[k]?.word ?? '') && ALLOWS.has(s.tokens[k + 1]?.word ?? '') && k > to) {
    k += 2;
    if (['us', 'myself', 'them', 'everyone'].includes(s.tokens[k]?.word ?? '')) k += 1;
    while (k < s.to && APPROACH.has(s.tokens[k]?.word ?? '')) k += 1;
  }
  k = behindOnes(s, k);
  const from = k;
  const first = s.tokens[k];
  if (first?.kind !== 'number' && !['half', 'a', 'one', 'two', 'three', 'four'].includes(first?.word ?? ''))
    return null;
  // "wholemeal pittas, 1 each"
  let measured = first?.kind === 'number' && EACH.has(s.tokens[from + 1]?.word ?? '') ? from + 1 : -1;
  while (k < s.to && measured < 0 && k < from + 5) {
    const t = s.tokens[k] as Token;
    if (t.kind === 'mark' && !['/', '–', '-', '.'].includes(t.word)) return null;
    // "½ c. cooked", never "200 c"
    const cup = t.word === 'c' && /^(?:\d|\d?[\d/.½¼¾⅓⅔]+)$/.test(s.tokens[k - 1]?.word ?? '');
    if (isMeasure(t.word) || cup) measured = k + 1;
    k += 1;
  }
  if (measured < 0) return null;
  const states: string[] = [];
  for (k = measured; k < s.to && s.tokens[k]?.kind === 'word'; k += 1) {
    const word = s.tokens[k]?.word ?? '';
    // "rice, 2 cups of stock": the amount is the next food's
    if (word === 'of' || s.named[k - s.from]) return null;
    if (['per', 'a'].includes(word) && HEADS.has(s.tokens[k + 1]?.word ?? '')) {
      states.push('each');
      k += 1;
      continue;
    }
    if (CONJUNCTIONS.has(word) || PREPOSITIONS.has(word)) break;
    if (STATES.has(word)) states.push(word);
  }
  // "about 60 g dry per person, brown"
  if (s.tokens[k]?.word === ',' && STATES.has(s.tokens[k + 1]?.word ?? '') && k + 2 === endOf(s))
    states.push(s.tokens[k + 1]?.word ?? '');
  return { from, to: measured, states };
}

/** What is measured in, and not by eye. */
const SPOONS =
  /^(?:tbsps?|tsps?|(?:table|tea)spoons?|cups?|ml|g|kg|oz|litres?|pints?|tins?|cans?|jars?|packets?|slices?)$/;
/** What a food is counted in, behind its name. */
const PARTS_OF = new Set('leaf leaves cloves stalks sticks sprigs ribs florets spears'.split(' '));
/** What is eaten from by one: a thing of which there are as many as eaters. */
const OF_ONE = new Set([...HEADS, 'glass', 'jar', 'mug', 'helping', 'ramekin', 'box', 'lunchbox']);
/** Words behind "each" that are no thing which is filled or topped. */
const NO_THING = new Set(
  'time of other end way hour pan tray tin minute addition turn half day one step'.split(' '),
);
/** Of which there are two or more: "brush each layer with 1 tbsp". */
const SURFACES = new Set(['side', 'layer', 'batch', 'sheet']);
/** What is put on a plate by eye, one for each who eats. */
const DOLLOPS = new Set(
  'dollop dollops blob blobs spoon spoonful spoonfuls scoop scoops knob smear scrape dab ladle ladleful'.split(
    ' ',
  ),
);
const AT_TABLE = new Set(['serve', 'eat', 'have', 'top']);
const POURED_AT_TABLE = new Set(['serve', 'eat', 'have']);

/**
 * " each" where an amount is for every plate: "add 1 tbsp to each bowl", "serve with a dollop of it"; as much again where
 * there may be more pieces than eaters: "top each with 1 tsp".
 */
function onEach(s: Sentence, c: ClauseSpan, start: number, from: number): string {
  for (let k = c.from; k < c.to; k += 1) {
    if (!['each', 'every'].includes(s.tokens[k]?.word ?? '') || (k >= start && k < from)) continue;
    const next = s.tokens[k + 1];
    const thing = next?.kind === 'word' ? next.normal : '';
    // "a teaspoon each of cumin and coriander"
    if (SURFACES.has(thing)) return ', plus more';
    if (thing === 'of' || NO_THING.has(thing) || s.tokens[k - 1]?.kind === 'number') continue;
    // "five each is a meal with a pitta"
    if (OF_ONE.has(thing) || ['is', 'are', 'makes'].includes(next?.word ?? '')) return ' each';
    const verbBefore = k === c.verbAt + 1 || PREPOSITIONS.has(s.tokens[k - 1]?.word ?? '');
    // "top each with a spoonful", "into each a spoonful"; "each potato"
    if (verbBefore) return ' each, plus more';
  }
  const verb = c.verb?.verb.id ?? '';
  const words = s.tokens.slice(start, from).map((t) => t.word);
  const ours = ['a', 'an'].includes(words[0] ?? '') && c.verbAt < start;
  if (!ours || !AT_TABLE.has(verb)) return '';
  const dolloped = words.some((w) => DOLLOPS.has(w));
  const poured = POURED_AT_TABLE.has(verb) && words.some((w) => w === 'drizzle' || w === 'splash');
  return dolloped || poured ? ' each' : '';
}

export interface Mention {
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

export function mentionOf(
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
  // "two squirts per paratha": what is made
  if (s.tokens[from - 1]?.word === 'per') return null;
  // "right, the black bean thing": what the dish is called
  if (THINGS.has(s.tokens[to]?.word ?? '') && DEFINITE.has(s.tokens[from - 1]?.word ?? '')) return null;
  // "there's salt in the beans": where it is already
  const there =
    s.tokens[to]?.word === 'in' &&
    (s.tokens[from - 1]?.word === "there's" ||
      (['is', 'are'].includes(s.tokens[from - 1]?.word ?? '') && s.tokens[from - 2]?.word === 'there'));
  if (there && amountStart(s, c, from) === from) return null;
  const shared = sharedAmount(source, s, c, from) ?? swappedAmount(source, s, c, from);
  const pressed = pressedFrom(s, c, from);
  const start = amountStart(s, c, Math.min(pressed, from), scan.prose);
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
  // "9 butter lettuce leaves": so many of what comes of it
  const piece = start < from && PARTS_OF.has(s.tokens[to]?.word ?? '') ? 1 : 0;
  const phrase = `${shared ? `${shared} ` : ''}${textOf(source, s, start, to + piece)}`;
  let notes = '';
  if (s.tokens[to]?.word === ',' || s.tokens[to]?.word === '(') {
    const end = Math.min(s.to, to + 9);
    let k = to + 1;
    while (k < end && s.tokens[k]?.kind !== 'mark') k += 1;
    const behind = textOf(source, s, to + 1, k);
    const another = s.tokens
      .slice(to + 1, k)
      .some((t, n) => t.kind === 'number' || s.named[to + 1 + n - s.from]?.kind === 'food');
    if (!another && (AMOUNT_KEEPS.test(behind) || WEIGHED.test(behind))) notes = `, ${behind}`;
  } else if (['drained', 'rinsed'].includes(s.tokens[to]?.word ?? '')) notes = `, ${s.tokens[to]?.word}`;
  else if (CLAIMS.has(s.tokens[to]?.word ?? '')) {
    // "2 tins of tomatoes no salt": which ones
    let k = to + 1;
    while (
      k < Math.min(s.to, to + 4) &&
      s.tokens[k]?.kind === 'word' &&
      !CONJUNCTIONS.has(s.tokens[k]?.word ?? '')
    )
      k += 1;
    const behind = textOf(source, s, to, k);
    if (AMOUNT_KEEPS.test(behind) && !/\b(?:in|to|on)\b/.test(behind)) notes = `, ${behind}`;
  }
  // what is soaked goes in dry
  if (c.verb?.verb.id === 'soak' && SOAKED_DRY.has(food.kind) && !STATES.has(s.tokens[from - 1]?.word ?? ''))
    notes += ', dried';
  let read: ReadLine | null = null;
  if (alternative === 'do' || alternative === 'optional' || alternative === 'alternative') {
    const serves = c.verb?.verb.id === 'serve' ? ', to serve' : '';
    const each =
      ['each', 'apiece', 'pp'].includes(s.tokens[to]?.word ?? '') ||
      (['a', 'per'].includes(s.tokens[to]?.word ?? '') && HEADS.has(s.tokens[to + 1]?.word ?? ''))
        ? ' each'
        : start < from
          ? onEach(s, c, start, from)
          : '';
    const more = s.tokens.slice(start, from).some((t) => t.word === 'more')
      ? ''
      : furtherWords(source.text, s, c, to, start < from);
    const line = (text: string) =>
      remembered(
        { text, start: 0, end: text.length, section: null },
        { ...scan.settings, corrections: {} },
        scan.servings,
      );
    read = line(
      `${told ? `${textOf(source, s, start, from)} ${food.name.replace(/,.*$/, '')}` : phrase}${notes}${serves}${each}${start < from ? more : ''}`,
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
          .join(' ')}${notes}${serves}${each}${more}`,
      );
      if (again.missing !== 'food') read = again;
    }
    const bare = s.tokens
      .slice(start, from)
      .every((t) => t.kind === 'word' && !isMeasure(t.word) && !OPENS_AMOUNT.has(t.word));
    // "a drizzle of syrup (I allow us a teaspoon each)": what is said by eye is said again in spoons
    const few =
      s.tokens.slice(start, from).every((t) => FEW.has(t.word)) ||
      (start < from &&
        read.words?.foods.every((f) => f.measures.every((m) => m.unit?.kind === 'vague')) === true);
    const later = bare || few ? amountBehind(s, to) : null;
    // "a few almonds (10 g each)" are not almonds of 10 g
    const lacks = read.missing === 'amount';
    const behind = later && (bare || few || lacks || later.states.some((w) => EACH.has(w))) ? later : null;
    if (behind && (few || !read.words?.foods.some((f) => f.measures.length > 0))) {
      const heads = behind.states.filter((w) => ['each', 'pp', 'apiece'].includes(w));
      const state = behind.states.filter((w) => !heads.includes(w)).join(' ');
      const again = line(
        `${textOf(source, s, behind.from, behind.to)} ${state} ${few ? textOf(source, s, from, to) : phrase}${heads.length > 0 ? ' each' : ''}${serves}${more}`,
      );
      if (again.missing === null) read = again;
    }
    // "rice, 60 g dry": what is said of it is more than what the plain word means in a sentence
    const said = behind !== null && behind.states.length > 0;
    if (!said && read.foods[0]?.food && read.foods[0].food.kind !== food.kind && ALIASES.at(s.tokens, from))
      read = null;
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

/** Words by which an amount is the least that goes in: "start with 1 tsp", "¼ tsp at a time". */
const STARTS_HERE = /\b(?:start(?:ing)?|begin(?:ning)?)\s+(?:low |off )?(?:with|at|from|by)\b/i;
const STARTED_BEHIND =
  /^[^.;!?]{0,24}\b(?:to (?:start|begin)\b|at first\b|for starters?\b|initially\b)|^[^.!?]{0,60}?\b(?:(?:add|with|then|and|use|a bit|a little|plus)\s+(?:a (?:bit|little) )?more\b(?!\s+(?:of\s+)?the\b)(?=\s*(?:$|[.!?;,)]|to taste\b|if\b|as\b|at the\b|until\b|till\b|when\b|later\b|gradually\b))|(?:then|and|or|add) (?:season |adjust )?to taste\b|(?:work|go|build) (?:it )?up\b|taste(?:,| and| then)* add(?:ing)?\b)/i;

/** Where so much of something is only where a cook starts: ", plus more to taste"; nothing where it is all. */
function furtherWords(text: string, s: Sentence, c: ClauseSpan, to: number, counted: boolean): string {
  const from = s.tokens[c.from]?.start ?? 0;
  const end = s.tokens[to - 1]?.end ?? 0;
  const behind = text.slice(end, end + MOST_BEHIND);
  const atATime = A_TIME.test(behind);
  // "salt ¼ tsp at a time", but all of "2 tbsp cornflour, a spoon at a time"
  const starts =
    STARTS_HERE.test(text.slice(from, end)) || STARTED_BEHIND.test(behind) || (!counted && atATime);
  return starts ? `, plus more to taste${atATime ? ' at a time' : ''}` : '';
}
const A_TIME = /^[^.;!?]{0,16}\bat a time\b/i;
/** Characters behind a food in which it may be said that more goes in. */
const MOST_BEHIND = 90;

export const isMeasure = (word: string) =>
  /^(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|mugs?|ml|l|litres?|liters?|g|kg|oz|lbs?|pounds?|ounces?|grams?|kilos?|pints?|handfuls?|fistfuls?|scoops?|slosh(?:es)?|blobs?|lumps?|bulbs?|wedges?|pinch(?:es)?|splash(?:es)?|drizzles?|dash(?:es)?|glugs?|knobs?|dollops?|squeezes?|scrapes?|scrapings?|smears?|dabs?|smidgens?|trickles?|squirts?|gratings?|twists?|drops?|ladles?|ladlefuls?|capfuls?|glassfuls?|sprinklings?|scatterings?|dustings?|spoons?|spoonfuls?|cans?|tins?|jars?|packets?|packs?|bags?|blocks?|cloves?|slices?|sprigs?|bunch(?:es)?|sticks?|cubes?|sachets?|cartons?|heads?|thumbs?|heaped|heaping|level|small|large|medium|big)$/.test(
    word,
  );
