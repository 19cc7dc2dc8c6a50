import { tokens as tableTokens } from '@/core/food/tokens';
import { type Food } from '@/core/food/table';
import { type ClauseSpan, type Named, type Sentence } from '@/core/step/clauses';
import {
  ALIASES,
  AUXILIARIES,
  CONJUNCTIONS,
  DEFINITE,
  NEGATORS,
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
  /\b(?:no|without|unsalted|unsweetened|salt-free|oil-free|sugar-free|salt free|drained|rinsed|in water|in oil|in brine|no added)\b/i;

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
  while (
    k < from &&
    ['of', 'and', 'more', 'extra', 'another', 'some', 'further', 'additional'].includes(
      s.tokens[k]?.word ?? '',
    )
  )
    k += 1;
  return k;
}

const APPROACH = new Set([',', '-', '–', '—', '(', ':', 'about', 'roughly', 'around', 'say', 'approx']);
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

/** An amount told behind its food: "brown rice, about 2 cups cooked", "rice 60 g dry each"; null where none is. */
function amountBehind(s: Sentence, to: number): { from: number; to: number; states: string[] } | null {
  let k = to;
  while (k < s.to && APPROACH.has(s.tokens[k]?.word ?? '')) k += 1;
  const from = k;
  const first = s.tokens[k];
  if (first?.kind !== 'number' && !['half', 'a', 'one', 'two', 'three', 'four'].includes(first?.word ?? ''))
    return null;
  let measured = -1;
  while (k < s.to && measured < 0 && k < from + 5) {
    const t = s.tokens[k] as Token;
    if (t.kind === 'mark' && !['/', '–', '-', '.'].includes(t.word)) return null;
    if (isMeasure(t.word)) measured = k + 1;
    k += 1;
  }
  if (measured < 0) return null;
  const states: string[] = [];
  for (k = measured; k < s.to && s.tokens[k]?.kind === 'word'; k += 1) {
    const word = s.tokens[k]?.word ?? '';
    // "rice, 2 cups of stock": the amount is the next food's
    if (word === 'of' || s.named[k - s.from]) return null;
    if (CONJUNCTIONS.has(word) || PREPOSITIONS.has(word)) break;
    if (STATES.has(word)) states.push(word);
  }
  return { from, to: measured, states };
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
      remembered(
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
    const behind = start === from ? amountBehind(s, to) : null;
    if (behind && !read.words?.foods.some((f) => f.measures.length > 0)) {
      const heads = behind.states.filter((w) => ['each', 'pp', 'apiece'].includes(w));
      const state = behind.states.filter((w) => !heads.includes(w)).join(' ');
      const again = line(
        `${textOf(source, s, behind.from, behind.to)} ${state} ${phrase}${heads.length > 0 ? ' each' : ''}${serves}`,
      );
      if (again.missing === null) read = again;
    }
    // "rice, 60 g dry": what is said of it is more than what the plain word means in a sentence
    const said = behind !== null && behind.states.length > 0;
    if (!said && read.foods[0]?.food && read.foods[0].food.id !== food.id && ALIASES.at(s.tokens, from))
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

export const isMeasure = (word: string) =>
  /^(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|mugs?|ml|l|litres?|liters?|g|kg|oz|lbs?|pounds?|ounces?|grams?|kilos?|pints?|handfuls?|pinch(?:es)?|splash(?:es)?|drizzles?|dash(?:es)?|glugs?|knobs?|dollops?|squeezes?|spoons?|spoonfuls?|cans?|tins?|jars?|packets?|packs?|bags?|blocks?|cloves?|slices?|sprigs?|bunch(?:es)?|sticks?|cubes?|sachets?|cartons?|heads?|thumbs?|heaped|heaping|level|small|large|medium|big)$/.test(
    word,
  );
