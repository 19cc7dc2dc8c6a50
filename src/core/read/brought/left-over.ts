import { foodOfName } from '@/core/food/find';
import { FOODS, type Food } from '@/core/food/table';
import { unsaid } from '@/core/food/weigh';
import { isHarmless, tokens as tableTokens } from '@/core/food/tokens';
import { numberOf } from '@/core/measure/quantity';
import { PREPARATION } from '@/core/recipe/alternatives';
import { readMeasures } from '@/core/recipe/measures';
import { Reader } from '@/core/recipe/reader';
import type { ClauseSpan, Sentence } from '@/core/step/clauses';
import {
  AUXILIARIES,
  CONJUNCTIONS,
  DETERMINERS,
  NEGATORS,
  ORDINARY,
  PREPOSITIONS,
  PRONOUNS,
  SUBJECTS,
  TOOLS,
  verbOf,
} from '@/core/step/lexicon';
import { isRemark } from '@/core/step/remark';
import { PEOPLE } from '@/core/step/people';
import { polarityOf, verbNegated } from '@/core/step/polarity';
import type { Token } from '@/core/step/tokens';
import type { ReadLine } from '../types';
import { isMeasure } from './measured';
import { methodLine } from './take';
import { COUNTS } from './kinds';
import { foodsOf, isFigure, lineOf, readPhrase, textOf, type Scan, type Source } from './scan';

/** What stands before an item of a list. */
const ITEM_OPENS = new Set([',', ';', ':', '+', '&', '/', '(', '-', '–', '—', 'and', 'plus', 'with']);
/** What a list counts beside foods, and what is said of how much there is. */
const NO_FOOD = new Set(
  'minute minutes min mins hour hours hr hrs h sec secs second seconds day days week weeks night nights month months year years time times oclock am pm people person head heads plate plates bowl bowls portion portions serving servings meal meals lunch lunches dinner dinners supper breakfast way ways step steps degree degrees c f fan gas mark adult adults kid kids batch batches layer layers side sides half halves third thirds quarter quarters piece pieces bit bits more less others other each one ones total cm mm inch inches kcal calories cal kj fat carbs fibre protein sodium max tops least most long wide thick thin deep high apart left over total altogether goes rounds round lots lot rest size sized sort sorts kind kinds type types variety cuppa film forkful slug splosh treat must shame turns twists grinds laps prayer napkin company winner doddle enormous huge massive giant hefty whopping ups ppl pax apiece enough told now yield yields makes serves feeds ml l g kg oz lb lbs pp page star stars euro euros pound pence quid p x same again worth anyway anyhow really honestly actually holds mind'.split(
    ' ',
  ),
);
let foodWords: ReadonlySet<string> | undefined;
/** True for a word of any food's name; looked up when it is first asked. */
function isFoodWord(word: string): boolean {
  foodWords ??= new Set(FOODS.flatMap((f) => [f.name, ...f.names].flatMap((name) => tableTokens(name))));
  return foodWords.has(word);
}

const MOST_WORDS = 4;

/** Words of a span of tokens that name what an amount is of; null where one of them is known, or they say nothing. */
function unknownNoun(scan: Scan, s: Sentence, from: number, to: number, onList: boolean): boolean {
  const words = s.tokens.slice(from, to).filter((w) => !isMeasure(w.word) && !/ly$/.test(w.word));
  const last = words.at(-1);
  if (!last || last.word.length < 3 || words.length > MOST_WORDS || !/^[a-zà-ÿ'-]+$/.test(last.word))
    return false;
  if (s.named.slice(from - s.from, to - s.from).some((n) => n !== null)) return false;
  if (TOOLS.at(s.tokens, to - 1)) return false;
  // what the cook taught it, and recipes of the shelf
  const said = s.tokens
    .slice(from, to)
    .map((w) => w.word)
    .join(' ');
  if (scan.larder.meant(said, '') || scan.larder.recipes?.find(said, '')) return false;
  const isSaid = (w: Token) =>
    NO_FOOD.has(w.word) ||
    PEOPLE.has(w.word) ||
    verbOf(w.word) !== undefined ||
    PREPARATION.has(w.word) ||
    isFoodWord(w.normal) ||
    isFoodWord(w.word) ||
    numberOf(w.word) !== null ||
    /(?:ed|ing|['’]s)$/.test(w.word) ||
    (!onList && scan.cover.lines.some((l) => l.words.has(w.normal))) ||
    scan.cover.title.has(w.normal) ||
    scan.cover.parts.some((p) => p.has(w.normal));
  return (
    !words.some(isSaid) && !ORDINARY.has(last.word) && !ORDINARY.has(last.normal) && !isHarmless(last.normal)
  );
}

const UNTOLD = new Set(['stuff', 'thing']);
/** Behind a food: how much of it, when and where. */
const BEHIND_FOOD = new Set('a an some if when too optional as and plus or half'.split(' '));
const THEN = new Set(['then', 'also']);
const LITTLE = new Set(['little', 'bit', 'few', 'touch', 'tad']);

/** Words at which what is said goes on: "a spoonful when it catches". */
const GOES_ON = new Set(
  'when where while until till once if unless as than so because then that which who not'.split(' '),
);

const isStop = (t: Token | undefined): boolean =>
  t?.kind !== 'word' ||
  PREPOSITIONS.has(t.word) ||
  CONJUNCTIONS.has(t.word) ||
  GOES_ON.has(t.word) ||
  PRONOUNS.has(t.word) ||
  AUXILIARIES.has(t.word) ||
  NEGATORS.has(t.word) ||
  SUBJECTS.has(t.word);

/** The place behind an amount that is written from a token on; -1 where none is, or it is only an article. */
function pastAmount(text: string, s: Sentence, at: number, needsUnit = false): number {
  // "some flurgle", "a little flurgle", "a bit of flurgle"
  const word = (k: number) => s.tokens[at + k]?.word ?? '';
  if (!needsUnit && word(0) === 'some') return at + 1;
  if (!needsUnit && word(0) === 'a' && LITTLE.has(word(1)) && s.tokens[at + 2]?.kind === 'word')
    return at + 2;
  const start = s.tokens[at]?.start ?? 0;
  const piece = text.slice(start, Math.min(s.tokens[s.to - 1]?.end ?? 0, start + 40)).toLowerCase();
  const r = new Reader(piece, piece);
  const [m] = readMeasures(r).measures;
  if (!m || (needsUnit && m.unit === null)) return -1;
  // "a flurgle": of what comes by the piece; a length or a time is no amount
  if (m.unit && (m.unit.id === 'cm' || m.unit.id === 'inch' || m.unit.id === 'piece')) return -1;
  const end = start + r.text.slice(0, r.at).trimEnd().length;
  let k = at + 1;
  while (k < s.to && (s.tokens[k]?.start ?? 0) < end) k += 1;
  return k;
}

const clauseAt = (s: Sentence, k: number): ClauseSpan | undefined =>
  s.clauses.find((c) => c.from <= k && k < c.to);

/** True where foods stand in the same clause, and the deed puts them in. */
function foodsAround(s: Sentence, k: number): boolean {
  const c = clauseAt(s, k);
  return (
    c !== undefined && c.verb?.verb.brings === true && c.verb.form === 'base' && foodsOf(s, c).length > 0
  );
}

/** Items of a sentence that are so much of something that nobody here knows, each from its amount to its noun. */
function unknownItems(scan: Scan, text: string, s: Sentence, onList: boolean): [number, number][] {
  const out: [number, number][] = [];
  for (let k = s.from; k < s.to; k += 1) {
    const deed = verbOf(s.tokens[k - 1]?.word ?? '') ?? verbOf(s.tokens[k - 2]?.word ?? '');
    const opens = k === s.from || ITEM_OPENS.has(s.tokens[k - 1]?.word ?? '') || deed?.verb.brings === true;
    if (!opens || s.tokens[k]?.glued) continue;
    let at = pastAmount(text, s, k);
    // "a flurgle", among foods: "a treat" is none
    const article = ['a', 'an', 'one'].includes(s.tokens[k]?.word ?? '') && at === k + 1;
    if (article && !(onList || foodsAround(s, k))) continue;
    if (at > 0) {
      while (at < s.to && (s.tokens[at]?.word === 'of' || DETERMINERS.has(s.tokens[at]?.word ?? ''))) at += 1;
      let to = at;
      while (to < s.to && !isStop(s.tokens[to]) && to < at + MOST_WORDS + 1) to += 1;
      // "plus 1 of the real stuff": of what is not told
      const untold =
        s.tokens[at - 1]?.word === 'the' && to > at + 1 && UNTOLD.has(s.tokens[to - 1]?.word ?? '');
      const named = s.named.slice(at - s.from, to - s.from).some((n) => n !== null);
      if ((untold && !named) || unknownNoun(scan, s, at, to, onList)) out.push([k, to]);
      k = Math.max(k, to - 1);
      continue;
    }
    // "flurgle 2 tbsp": the name first
    let to = k;
    while (to < s.to && !isStop(s.tokens[to]) && to < k + MOST_WORDS) to += 1;
    const amount = to > k && to < s.to ? pastAmount(text, s, to, true) : -1;
    const ends = amount > 0 && (amount >= s.to || s.tokens[amount]?.kind === 'mark');
    if (ends && unknownNoun(scan, s, k, to, onList)) {
      out.push([k, amount]);
      k = amount - 1;
    }
  }
  return out;
}

/** Whether a line that the method brought has words of a span of the recipe. */
const covers = (l: ReadLine, start: number, end: number): boolean => l.line.start < end && start < l.line.end;

/** Says of one item that it is not understood, unless a line that the method brought has its words. */
function say(scan: Scan, source: Source, s: Sentence, [from, to]: [number, number]): void {
  const span: [number, number] = [s.tokens[from]?.start ?? 0, s.tokens[to - 1]?.end ?? 0];
  if (scan.out.some((l) => covers(l, source.start + span[0], source.start + span[1]))) return;
  scan.out.push(lineOf(scan, source, span, textOf(source, s, from, to), null, null, 'not understood', 'do'));
}

const SERVES = new Set(['serves', 'feeds', 'serving', 'servings', 'yields', 'makes', 'enough', 'for']);
/** "Serves 4 greedy or 6 polite": who eats it, and nothing that goes in. */
const isEaters = (s: Sentence, at: number): boolean =>
  SERVES.has(s.tokens[s.tokens[s.from - 1]?.word === ':' ? s.from - 2 : s.from]?.word ?? '') &&
  !s.tokens.slice(s.from, at).some((t) => t.word === 'with' || t.word === 'plus');

/**
 * So much of something that nobody here knows, in a sentence: "add 3 tbsp tomato paste, thyme, 2 flurgle cubes". Nothing
 * that has an amount is passed over in silence.
 */
export function leftOver(scan: Scan, source: Source, s: Sentence, back: ReadonlySet<unknown>): void {
  if (source.names || source.tail) return;
  for (const item of unknownItems(scan, source.text, s, false)) {
    const c = clauseAt(s, item[0]);
    if (!c || isEaters(s, item[0]) || back.has(c) || isRemark(s, c) || verbNegated(s, c)) continue;
    if (['until', 'till', 'if', 'unless'].includes(c.opener ?? '') || (c.verb && !c.verb.verb.brings))
      continue;
    if (polarityOf(s, c, item[0], item[1]) === 'do') say(scan, source, s, item);
  }
}

/** The food that an item of a row is of, and where its name ends; null where its words are of the row's own food. */
function foodOfItem(scan: Scan, l: ReadLine, s: Sentence, k: number): { food: Food; to: number } | null {
  let at = pastAmount(l.line.text, s, k);
  if (at < 0) at = k;
  while (at < s.to && (s.tokens[at]?.word === 'of' || DETERMINERS.has(s.tokens[at]?.word ?? ''))) at += 1;
  const named = s.named[at - s.from];
  const food = named?.kind === 'food' && named.from === at ? scan.larder.foodById(named.id) : undefined;
  // "it says 1.1 g salt a spoon": a figure on it
  if (!food || !named || !COUNTS.has(food.kind) || isFigure(s, named.from)) return null;
  const next = s.tokens[named.to];
  // "salt-free", "walnut pieces": more than the name; an amount may stand behind it
  const goesOn =
    next?.kind !== 'word' || named.to >= s.to || BEHIND_FOOD.has(next.word) || PREPOSITIONS.has(next.word);
  // "oil in it", "the juice of a lemon"
  const within =
    next?.word === 'in' && ['it', 'them', 'there', 'that'].includes(s.tokens[named.to + 1]?.word ?? '');
  if (!goesOn || within || next?.word === 'of') return null;
  if (next?.glued) return null;
  const own = [...l.foods, ...l.alternatives].flatMap((f) => (f.food ? [f.food, ...f.might] : []));
  if (
    own.some(
      (f) =>
        f.id === food.id || f.kind === food.kind || (f.kindClass === food.kindClass && f.kindClass !== null),
    )
  )
    return null;
  // "milk (almond)", "yoghurt, coconut": which one it is
  const words = s.tokens
    .slice(named.from, named.to)
    .map((w) => w.word)
    .join(' ');
  const whole = l.foods.some(
    (f) =>
      foodOfName(tableTokens(`${words} ${f.food?.name.replace(/[,(].*$/, '') ?? ''}`)) !== undefined ||
      foodOfName(tableTokens(`${words} ${f.text}`)) !== undefined,
  );
  return whole || own.some((f) => tableTokens(f.name).some((w) => tableTokens(words).includes(w)))
    ? null
    : { food, to: named.to };
}

/** Foods of a row behind the one that it is of, which its reader did not take in: "1 tin chickpeas, tahini". */
function foodsOfRow(scan: Scan, l: ReadLine, source: Source, s: Sentence, opens: boolean): void {
  const first = s.named.find((n) => n?.kind === 'food');
  // the first food of the row is its own
  for (let k = opens ? (first?.to ?? s.to) + 1 : s.from; k < s.to; k += 1) {
    const before = s.tokens[k - 1]?.word ?? '';
    const item = k === s.from || (ITEM_OPENS.has(before) && before !== 'with') || THEN.has(before);
    if (!item) continue;
    const found = foodOfItem(scan, l, s, k);
    const c = clauseAt(s, k);
    if (!found || !c || !['do', 'optional'].includes(polarityOf(s, c, found.to - 1, found.to))) continue;
    const { food, to } = found;
    const start = source.start + (s.tokens[k]?.start ?? 0);
    const end = source.start + (s.tokens[to - 1]?.end ?? 0);
    const isTaken = scan.out.some(
      (x) => covers(x, start, end) || x.foods.some((f) => f.food?.id === food.id),
    );
    if (isTaken || scan.lines.some((x) => x !== l && x.foods.some((f) => f.food?.id === food.id))) continue;
    const phrase = textOf(source, s, k, to);
    const read = readPhrase(scan, phrase);
    const span: [number, number] = [s.tokens[k]?.start ?? 0, s.tokens[to - 1]?.end ?? 0];
    const said = read.missing === null && read.words?.foods.some((f) => f.measures.length > 0);
    const guess = unsaid(food, null, scan.servings);
    if (said) scan.out.push(methodLine(source, span, phrase, read, 'do'));
    else
      scan.out.push(
        lineOf(
          scan,
          source,
          span,
          phrase,
          food,
          guess && { ...guess.grams, low: 0 },
          `no amount is said behind ${l.foods[0]?.text ?? 'the row’s food'}: it may go in, or only say which one that is`,
          'optional',
        ),
      );
    k = to - 1;
  }
}

const LONGEST_SHORT = 5;
/** "250 ml unsw. soya milk": the stop ends a shortened word, and no sentence. */
const isShortened = (text: string, s: Sentence, to: number): boolean => {
  const last = s.tokens[to - 1];
  return last !== undefined && last.word.length <= LONGEST_SHORT && /^\. ?[a-z]/.test(text.slice(last.end));
};

/** The same on the rows of the list, behind the food that a row names: "2 tbsp tahini + 1 flurgle". */
export function leftOverOfRows(scan: Scan, parse: (text: string) => readonly Sentence[]): void {
  for (const l of scan.lines) {
    if (l.missing === 'food' || l.words?.none || l.corrected || l.origin === 'method') continue;
    const { text, start, end } = l.line;
    const source: Source = { text, start, end, step: null, names: false, tail: true, line: l };
    for (const [i, s] of parse(text).entries()) {
      foodsOfRow(scan, l, source, s, i === 0);
      for (const item of unknownItems(scan, text, s, true)) {
        const c = clauseAt(s, item[0]);
        if (isShortened(text, s, item[1])) continue;
        if (!c || polarityOf(s, c, item[0], item[1]) !== 'do') continue;
        say(scan, source, s, item);
      }
    }
  }
}
