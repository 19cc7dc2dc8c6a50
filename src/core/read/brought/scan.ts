import type { Recipe, Stretch } from '@/core/recipe/source';
import { type Larder } from '@/core/food/larder';
import { type Food } from '@/core/food/table';
import { type Range, range } from '@/core/range/range';
import { rememberPart } from '@/core/memo';
import { type ClauseSpan, type Named, type Sentence } from '@/core/step/clauses';
import { STEP_WORDS } from '@/core/step/lexicon';
import { type Polarity } from '@/core/step/polarity';
import { cornersOfLine } from '../corners';
import { type Cover } from '../refer';
import { remembered } from '../remembered';
import { type ReadLine, type ReadSettings, correctionOf } from '../types';

export interface Source extends Stretch {
  readonly step: number | null;
  /** A title or heading: what it names is counted where nothing accounts for it, and may be none. */
  readonly names: boolean;
  /** The words behind a food on its own line: only what is done to it is read there. */
  readonly tail: boolean;
  readonly line?: ReadLine;
}

export interface Scan {
  readonly recipe: Pick<Recipe, 'title'>;
  readonly lines: readonly ReadLine[];
  readonly cover: Cover;
  readonly settings: ReadSettings;
  readonly larder: Larder;
  readonly servings: number;
  /** How many pieces are made. */
  readonly pieces: number;
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

/** How sure a name must be to say which of a kind it is. */
export const SURE_OF_KIND = 0.9;

/** The key of a line's correction: its words; those of the method apart from the list's. */
export const correctionKey = (origin: ReadLine['origin'], words: string): string =>
  origin === 'method' ? `method: ${words}` : words;

/** The section of what only a title or a heading names. */
export const FROM_THE_TITLE = 'From the title';

export function lineOf(
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
      section: source.names ? FROM_THE_TITLE : 'From the method',
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
    byPlate: correction?.grams === undefined,
    nothing: false,
    corners: food && own ? cornersOfLine([{ food, grams: own, sodium: [1, 1, 1] }], optional) : null,
    missing: !food ? 'food' : own ? null : 'amount',
  };
}

/** Words of a sentence read as a line of ingredients, for so many; what a cook corrected elsewhere is not theirs. */
export const readPhrase = (scan: Scan, text: string, servings = scan.servings): ReadLine =>
  remembered(
    { text, start: 0, end: text.length, section: null },
    { ...scan.settings, corrections: {} },
    servings,
  );

export const usual = (name: string, servings: number): { grams: Range; why: string } => {
  const rule = STEP_WORDS.amounts[name] ?? { grams: [0, 0, 0] as const, plate: false, why: '' };
  const by = rule.plate ? servings : 1;
  const [low, best, high] = rule.grams;
  return { grams: range(low * by, best * by, high * by), why: `no amount: ${rule.why}` };
};

export const textOf = (source: Source, s: Sentence, from: number, to: number): string =>
  source.text.slice(s.tokens[from]?.start ?? 0, s.tokens[to - 1]?.end ?? 0);

const FIGURES = new Set(['fat', 'salt', 'sodium', 'sugar', 'sugars', 'carbs', 'protein', 'fibre', 'fiber']);

/** "0.5 g fat a square": a figure on it, and nothing that goes in. */
export function isFigure(s: Sentence, at: number): boolean {
  const word = (k: number) => s.tokens[at + k]?.word ?? '';
  if (!FIGURES.has(word(0))) return false;
  // "it's the light one, 9 % fat"
  if (word(-1).endsWith('%')) return true;
  // "it's 15 g of fat on its own", but "fry in 15 g of fat"
  if (word(-1) === 'of')
    return (
      GRAMS.has(word(-2)) &&
      (IS.has(word(-4)) || (AGAIN.has(word(-4)) && IS.has(word(-5)))) &&
      word(0) === 'fat'
    );
  return (
    GRAMS.has(word(-1)) &&
    s.tokens[at - 2]?.kind === 'number' &&
    (word(0) === 'fat' ||
      ['per', 'each', 'a', 'in', '/'].includes(word(1)) ||
      // "1 tbsp is 3.5 g sugar"
      ['is', 'has', "that's", "it's"].includes(word(-3)))
  );
}
const GRAMS = new Set(['g', 'mg', 'grams']);
const AGAIN = new Set(['another', 'about', 'around', 'only', 'roughly']);
const IS = new Set(["it's", "that's", 'is', 'are', 'has', 'have', 'contains', 'holds', 'about']);

/** Foods that a clause names; a word that is the deed itself ("oil the tin") is none. */
export const foodsOf = rememberPart((s: Sentence, c: ClauseSpan): readonly Named[] =>
  [...new Set(s.named.slice(c.from - s.from, c.to - s.from))].flatMap((n) =>
    n?.kind === 'food' &&
    n.from >= c.from &&
    !(n.to === n.from + 1 && isFigure(s, n.from)) &&
    !(n.from === c.verbAt && n.to === c.verbAt + 1)
      ? [n]
      : [],
  ),
);
