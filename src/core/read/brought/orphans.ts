import { hull } from '@/core/range/range';
import { type ClauseSpan, type Named, type Sentence } from '@/core/step/clauses';
import { NEGATORS, PREPOSITIONS, PRONOUNS, TOOLS } from '@/core/step/lexicon';
import { isRemark } from '@/core/step/remark';
import { polarityOf, verbNegated } from '@/core/step/polarity';
import { type ReadLine } from '../types';
import { isForEach } from './for-each';
import { foodsOf, isFigure, lineOf, readPhrase, textOf, type Scan, type Source } from './scan';
import { SET_OUT } from './stray';
import { methodLine } from './take';

/** What is weighed, or measured in spoons and cups. */
const MEASURE =
  /^(?:tbsps?|tsps?|tablespoons?|teaspoons?|dessertspoons?|cups?|mugs?|ml|g|kg|oz|ounces?|grams?|spoonfuls?)$/;
const NUMBERS = new Set(
  'a an half quarter one two three four five six couple heaped level good scant about of'.split(' '),
);
/** Deeds whose amount says how heavy or how large something comes, and brings nothing. */
const SIZES = new Set(
  'weigh divide portion shape form make yield measure reserve drain reduce reach fill hold roll press cut'.split(
    ' ',
  ),
);
const PIECES = new Set('slice piece round one roll bun cake patty tin can'.split(' '));
/** Words before an amount by which it is a vessel's, a place's, another's, or of then. */
const NOT_OF_IT = new Set(
  'in into to for from by than per every was were used original originally book recipe packet instead without no not never nor jug jar tin pan bowl pot makes yields'.split(
    ' ',
  ),
);
/** Behind an amount: of a vessel, of the whole, or a figure on a packet. */
const OF_ANOTHER = new Set(
  'jug jar jars tin tins pan bowl pot bowls portions pieces balls rounds fat salt sugar protein fibre carbs calories kcal per water stock'.split(
    ' ',
  ),
);

/** "makes about 300 ml", "weigh out 50 g": with nothing between the deed and the amount. */
const isSize = (s: Sentence, c: ClauseSpan, { from }: Orphan): boolean =>
  c.verb !== null &&
  SIZES.has(c.verb.verb.id) &&
  c.verbAt < from &&
  !s.tokens.slice(c.verbAt, from).some((t) => t.kind === 'mark');

const VESSELS = new Set('jars pots bottles glasses ramekins moulds molds tubs boxes'.split(' '));

interface Orphan {
  readonly from: number;
  readonly to: number;
}

/** Where the words of an amount that ends at a measure begin; -1 where no number stands before it. */
function opensAt(s: Sentence, measure: number): number {
  let k = measure;
  while (k > s.from) {
    const t = s.tokens[k - 1];
    // "3 or 4 tbsp"
    const joins = ['or', 'to'].includes(t?.word ?? '') && s.tokens[k]?.kind === 'number';
    const twice = joins && s.tokens[k - 2]?.kind === 'number';
    if (t?.kind !== 'number' && !NUMBERS.has(t?.word ?? '') && t?.word !== '/' && t?.word !== '–' && !twice)
      break;
    k -= 1;
  }
  while (k < measure && ['of', '/', '–'].includes(s.tokens[k]?.word ?? '')) k += 1;
  return k < measure ? k : -1;
}

/** Amounts of a clause that stand with no food of their own. */
function orphansOf(s: Sentence, c: ClauseSpan): Orphan[] {
  const out: Orphan[] = [];
  for (let i = c.from; i < c.to; i += 1) {
    if (!MEASURE.test(s.tokens[i]?.word ?? '')) continue;
    const from = opensAt(s, i);
    if (from < 0 || isFigure(s, i + 1)) continue;
    const before = s.tokens[from - 1]?.word ?? '';
    // "put in 1 tsp": of the deed, and no vessel
    const withDeed = c.verbAt === from - 2 && c.verb?.verb.brings === true;
    if (from > c.from && NOT_OF_IT.has(before) && !withDeed) continue;
    const behind = s.tokens.slice(i + 1, Math.min(c.to, i + 4)).map((t) => t.word);
    if (SET_OUT.has(behind[0] ?? '') || (behind[0] === 'at' && behind[2] === 'time')) continue;
    // "40 g a slice": what one of them weighs
    if (['a', 'per'].includes(behind[0] ?? '') && PIECES.has(behind[1] ?? '')) continue;
    if (OF_ANOTHER.has(behind[0] ?? '') || (behind[0] === 'of' && OF_ANOTHER.has(behind[1] ?? ''))) continue;
    if ([i + 1, i + 2].some((k) => TOOLS.at(s.tokens, k))) continue;
    // "into 4 jars, 250 ml each"
    if (s.tokens.slice(Math.max(s.from, from - REACH), from).some((t) => VESSELS.has(t.word))) continue;
    if (!hasOwn(s, i)) out.push({ from, to: i + 1 });
  }
  return out;
}
/** How many words may stand between an amount and its food. */
const REACH = 6;
/** True where a food stands right behind a measure, or is named with it: its own, whatever is said of that. */
export function hasOwn(s: Sentence, measure: number): boolean {
  const food = (k: number) => s.named[k - s.from]?.kind === 'food';
  if (food(measure)) return true;
  for (let k = measure + 1; k < Math.min(s.to, measure + REACH); k += 1) {
    if (food(k)) return true;
    const word = s.tokens[k]?.word ?? '';
    if (word !== 'of' && word !== 'the' && !isAdjective(word)) return false;
  }
  return false;
}
const isAdjective = (word: string): boolean =>
  /^[a-z]+$/.test(word) &&
  !PREPOSITIONS.has(word) &&
  !PRONOUNS.has(word) &&
  !['and', 'or', 'plus', 'then'].includes(word);

const startOf = (source: Source, s: Sentence, at: number): number =>
  source.start + (s.tokens[at]?.start ?? 0);

/** A line that the method brought without any amount. */
const isUnmeasured = (l: ReadLine, source: Source): boolean =>
  l.origin === 'method' &&
  l.step === source.step &&
  l.foods.length === 1 &&
  l.foods[0]?.food != null &&
  !l.corrected &&
  (l.missing === 'amount' ||
    l.foods[0].readings.some((r) => r.includes('no amount') || /to taste|usual/.test(r)));

const brought = new WeakMap<Scan, Map<number | null, ReadLine[]>>();
/** The lines that one step brought, looked up once: a long method has many. */
function broughtIn(scan: Scan, { step }: Source): ReadLine[] {
  let all = brought.get(scan);
  if (!all) {
    brought.set(scan, (all = new Map()));
    for (const line of scan.out) {
      const own = all.get(line.step);
      if (own) own.push(line);
      else all.set(line.step, [line]);
    }
  }
  return all.get(step) ?? [];
}

/** True where a line that is measured has the amount among its words. */
export const isTaken = (scan: Scan, source: Source, from: number, to: number): boolean =>
  [
    ...broughtIn(scan, source)
      .filter((l) => l.foods[0]?.food != null && !isUnmeasured(l, source))
      .map((l) => l.line),
    ...saidSpans(scan),
  ].some((x) => x.start <= from && to <= x.end);
const saidSpans = (scan: Scan): { start: number; end: number }[] =>
  [...scan.said.values()]
    .flat()
    .map(({ source, span }) => ({ start: source.start + span[0], end: source.start + span[1] }));

/** Words that have nothing but an amount to say: "about 2 tbsp of it", "I use 2 tbsp", "stir in 5 tbsp and …". */
const saysOnlyAmount = (s: Sentence, c: ClauseSpan): boolean =>
  s.clauses.every((x) => x.from > c.from || foodsOf(s, x).length === 0) &&
  (c.verb === null || (c.verb.verb.brings && c.verb.verb.id !== 'serve')) &&
  s.tokens.slice(c.from, c.to).filter((t) => t.kind === 'word').length <= MOST_WORDS &&
  !s.tokens.slice(s.from, c.to).some((t) => NEGATORS.has(t.word) || SIZES.has(t.word));
const MOST_WORDS = 9;

/**
 * Amounts of a sentence that stand apart from the food they are of: "Then the tahini. About 2 tbsp.", "tahini goes on
 * last, 2 tbsp of it". Each is taken for the nearest food that the method brought without one; where that is not sure,
 * the food may be as much as is guessed or as the amount says.
 */
export function orphanAmounts(scan: Scan, source: Source, s: Sentence, before: Sentence | undefined): void {
  if (source.names || source.tail) return;
  for (const c of s.clauses) {
    if (isRemark(s, c) || verbNegated(s, c) || ['until', 'till', 'unless'].includes(c.opener ?? '')) continue;
    for (const orphan of orphansOf(s, c)) if (!isSize(s, c, orphan)) bind(scan, source, s, c, orphan, before);
  }
}

function bind(
  scan: Scan,
  source: Source,
  s: Sentence,
  c: ClauseSpan,
  { from, to }: Orphan,
  before: Sentence | undefined,
): void {
  const [start, end] = [startOf(source, s, from), source.start + (s.tokens[to - 1]?.end ?? 0)];
  if (isTaken(scan, source, start, end)) return;
  // "3 tbsp is plenty" says how much
  const enough = ['is', 'are'].includes(s.tokens[to]?.word ?? '');
  const polarity = enough ? 'do' : polarityOf(s, c, from, to);
  // "salt: Ines put in a level tsp": of what the label names, whoever did it
  const labelled = s.label.length > 0 && before !== undefined && before.to - before.from === s.label.length;
  if (polarity === 'not' || (polarity === 'remark' && !labelled)) return;
  const within = (x: Sentence) => {
    const [a, b] = [startOf(source, x, x.from), source.start + (x.tokens[x.to - 1]?.end ?? 0)];
    return broughtIn(scan, source).filter(
      (l) => isUnmeasured(l, source) && l.line.start >= a && l.line.start < b,
    );
  };
  const here = within(s);
  // the food that stands nearest before it is what it is of, or it is of the first behind it
  const nearest = anchors(s).findLast((f) => f.to <= from);
  const told = !nearest && before && (labelled || saysOnlyAmount(s, c)) ? within(before) : [];
  const last = before && anchors(before).at(-1);
  const line = nearest
    ? here.find((l) => covers(source, l, s, nearest))
    : (here[0] ?? told.find((l) => before && covers(source, l, before, last)));
  if (!line) return;
  // "tahini and oil, 2 tbsp of each", "… 2 tbsp in all"
  const joined = [...here, ...told].filter((l) => l === line || isJoined(source, l, line));
  const behind = s.tokens.slice(to, to + 2).map((t) => t.word);
  const ofEach = joined.length > 1 && behind.some((w) => ['each', 'both', 'apiece'].includes(w));
  const each = !ofEach && isForEach(s, to) ? ' each' : '';
  // what was said not to be understood is understood now
  const stray = scan.out.findIndex(
    (l) =>
      l.foods[0]?.food === null &&
      l.line.start === start &&
      // "toasted seeds, 1 tbsp goes on": the deed was taken for a name
      (l.line.end <= end ||
        /^\s+(?:goes?|went)$/.test(source.text.slice(end - source.start, l.line.end - source.start))),
  );
  const words = textOf(source, s, from, to);
  const bound = joined.map((l) =>
    measuredBy(scan, source, l, words, each, (joined.length === 1 && polarity !== 'remark') || ofEach),
  );
  if (bound.some((done) => done) && stray >= 0) scan.out.splice(stray, 1);
}

/** Gives a line the amount; where that is not sure it may be what was guessed as well. False where it is no measure of it. */
function measuredBy(
  scan: Scan,
  source: Source,
  line: ReadLine,
  words: string,
  each: string,
  sure: boolean,
): boolean {
  const food = line.foods[0];
  if (!food?.food) return false;
  const { id, name } = food.food;
  const [phrase, read] = [
    food.text,
    name
      .replace(/[,(].*$/, '')
      .trim()
      .toLowerCase(),
  ]
    .map((said) => `${words} ${said}${each}`)
    .map((said) => [said, readPhrase(scan, said)] as const)
    .find(([, r]) => r.missing === null && r.foods.length === 1 && r.foods[0]?.food?.id === id) ?? [
    words,
    null,
  ];
  const grams = read?.foods[0]?.grams;
  if (!read || !grams) return false;
  const at: [number, number] = [line.line.start - source.start, line.line.end - source.start];
  const as = line.optional ? 'optional' : 'do';
  const measured = sure
    ? methodLine(source, at, phrase, read, as)
    : lineOf(
        scan,
        source,
        at,
        phrase,
        food.food,
        { ...hull(food.grams ?? grams, grams), best: grams.best },
        `${food.readings[0] ?? ''}; or ${phrase}`,
        as,
      );
  scan.out[scan.out.indexOf(line)] = measured;
  const own = broughtIn(scan, source);
  own[own.indexOf(line)] = measured;
  return true;
}

/** "tahini and oil": two of one row, and nothing between them. */
const isJoined = (source: Source, a: ReadLine, b: ReadLine): boolean => {
  const [first, second] = a.line.start < b.line.start ? [a, b] : [b, a];
  const between = source.text.slice(first.line.end - source.start, second.line.start - source.start);
  return /^\s*(?:,|and|&|\+|plus|\s)+\s*$/.test(between);
};
/** What an amount may be of: the foods that a sentence names, and the deeds that mean one ("salt it"). */
const anchors = (s: Sentence): Pick<Named, 'from' | 'to'>[] =>
  s.clauses
    .flatMap((c) => [
      ...foodsOf(s, c),
      ...(c.verb?.verb.food || c.verb?.verb.fat || s.named[c.verbAt - s.from]?.kind === 'food'
        ? [{ from: c.verbAt, to: c.verbAt + 1 }]
        : []),
    ])
    .sort((a, b) => a.from - b.from);
const covers = (source: Source, l: ReadLine, s: Sentence, f: Pick<Named, 'from'> | undefined): boolean =>
  f !== undefined && l.line.start <= startOf(source, s, f.from) && startOf(source, s, f.from) < l.line.end;
