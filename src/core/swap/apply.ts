import { FAT_KINDS } from '@/core/food/kind-groups';
import { foodById, type Food } from '@/core/food/table';
import { markerLength } from '@/core/recipe/clean';
import { readRecipe } from '@/core/read/read';
import { parseRecipe } from '@/core/recipe/parse';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { verbOf } from '@/core/step/lexicon';
import { brokenIn } from './broken';
import { isDeed, letGoInClause, otherwiseDone, withoutDeed, withoutSentence } from './clause';
import { newLines } from './lines';
import { mentionsOf } from './mentions';
import { isSalting, namesFor, once, renamed, replaceSpan, withSentence, without } from './method-words';
import type { SwapRow } from './schema';

/** The recipe's text after a swap, with what it changed. */
export interface Swapped {
  readonly text: string;
  /** The new lines in place of the old one; empty where it only goes. */
  readonly lines: readonly string[];
  /** Steps whose words changed, as they read now. */
  readonly steps: readonly string[];
  /** What the method says in place of what only it named. */
  readonly put?: string;
  /** All steps as they read now; null where they must be read again. */
  readonly texts: readonly string[] | null;
}

/**
 * Applies a swap to one line, in the recipe's own text: the line is rewritten in the recipe's manner of
 * measuring, and the method's words for the old food become the new one's.
 *
 * @param index of the line in `read.lines`
 * @returns null where the swap cannot be written for this line
 */
export function applySwap(
  read: ReadRecipe,
  index: number,
  swap: SwapRow,
  settings: ReadSettings,
): Swapped | null {
  const line = read.lines[index];
  const food = line?.foods[0]?.food;
  if (!line || !food) return null;
  const { source } = read.recipe;
  if (line.origin === 'method')
    // an amount that no line holds cannot be made less of
    return swap.to.some((t) => t.food === 'same') ? null : inMethodOnly(read, line, food, swap, settings);
  const lines = newLines(line, swap, settings, read);
  if (!lines) return null;
  const same = swap.to.some((t) => t.food === 'same');
  // of a line that goes every food goes
  const all = swap.to.length === 0 ? line.foods.map((f) => ({ ...line, foods: [f] })) : [line];
  const named = same
    ? []
    : all.map((l) => namesFor(l, { ...read, lines: read.lines.map((o) => (o === line ? l : o)) }));
  const names = {
    words: named.flatMap((n) => n.words),
    notAfter: named.flatMap((n) => n.notAfter),
    own: named.flatMap((n) => n.own ?? []),
  };
  // what comes in at the very end has a sentence of its own there
  const worth = (line.foods[0]?.grams?.best ?? Infinity) >= (swap.addsFrom ?? 0);
  const adds = worth ? swap.adds : undefined;
  const late = swap.late === true && adds !== undefined;
  const word = swap.unsaid
    ? null
    : sameNoun(swap, names)
      ? ''
      : (swap.inMethod ?? (swap.to.length > 0 ? wordFor(swap) : null));
  // what moistens a batter is not what the pan is oiled with
  const inBatter = swap.roles.some((r) => r === 'bake' || r === 'dough') && !swap.roles.includes('crisp');
  const places = same ? [] : (mentionsOf(read, settings).get(line) ?? []);
  const toldOf = (i: number) =>
    places.flatMap((p): [number, number][] => (p.step === i ? [[p.start, p.end]] : []));
  const reworded = (text: string, put: string, i: number) =>
    inBatter
      ? text.replace(SENTENCE, (s) => (IN_PAN.test(s) ? without(s, names) : renamed(s, names, put)))
      : renamed(text, names, put, toldOf(i));
  const renamedAt =
    word === null || word === '' ? [] : read.steps.map(({ text }, i) => reworded(text, word, i));
  const lastNamed = renamedAt.findLastIndex((text, i) => text !== read.steps[i]?.text);
  const texts = read.steps.map(({ text }, i) =>
    word === null || late || (swap.late && i < lastNamed)
      ? without(text, names, toldOf(i))
      : (renamedAt[i] ?? text),
  );
  const touched = (text: string, i: number) => text !== read.steps[i]?.text;
  const gains = late ? texts.length - 1 : swap.late ? texts.findLastIndex(touched) : texts.findIndex(touched);
  const gainsAt = gains >= 0 ? gains : texts.length - 1;
  const steps: string[] = [];
  // from the end to the start, so that positions stay true
  const edits: { start: number; end: number; put: string }[] = [];
  const after = read.steps.map((step, i) => {
    const changed = withSentence(
      texts[i] ?? step.text,
      step.text,
      i === gainsAt ? adds : undefined,
      swap.late,
    );
    if (changed !== step.text) {
      steps.push(changed);
      edits.push({ start: step.start, end: step.end, put: changed });
    }
    return changed;
  });
  edits.push(lineEdit(source, line, lines));
  if (after.some((now, i) => brokenIn(read.steps[i]?.text ?? '', now).length > 0)) return null;
  const text = edits
    .sort((a, b) => b.start - a.start)
    .reduce((t, e) => t.slice(0, e.start) + e.put + t.slice(e.end), source);
  return tidyGreasing({ text, lines, steps, texts: after }, swap, settings);
}

const SENTENCE = /[^.!?;]+[.!?;]?\s*/g;
const IN_PAN = /\b(?:frying|non-?stick|fry|skillet|griddle)\b|\bpan\b(?! of)/i;

/** True where what stands in goes by the same noun: "black beans" are still black beans. */
const sameNoun = (swap: SwapRow, names: { readonly words: readonly string[] }): boolean => {
  const [only] = swap.to;
  if (swap.to.length !== 1 || !only || swap.inMethod !== undefined) return false;
  const text = (only.text.split(', ')[0] ?? '').toLowerCase();
  return names.words.some((n) => text === n || text.endsWith(` ${n}`));
};

/** What the method calls that which stands in: "the cider vinegar and tamarind paste". */
const wordFor = (swap: SwapRow): string =>
  `the ${swap.to.map((t) => t.text.split(', ')[0] ?? '').join(' and ')}`;

/** What food fries in where it no longer fries in fat. */
const mediumOf = (swap: SwapRow): string => {
  const [to] = swap.to;
  return to && foodById(to.food)?.kind === 'stock' ? 'a splash of unsalted stock' : 'a splash of water';
};

/** "a teaspoon of salt" becomes so much of what stands in; null where no amount was said. */
function amountFor(read: ReadRecipe, line: ReadLine, swap: SwapRow, settings: ReadSettings): string | null {
  const said = line.words?.foods[0]?.measures.some((m) => m.stated || m.unit !== null);
  if (!said || swap.to.length === 0) return null;
  return (
    newLines(line, swap, settings, read)
      ?.map((l) => inSentence(l, swap))
      .join(' and ') ?? null
  );
}

/** Where the words of a line lie that is in no row of the list: its step, or the row of its heading, tail or note. */
function placeAround({ recipe, steps }: ReadRecipe, { line, step }: ReadLine) {
  const own = step === null ? undefined : steps[step];
  if (own && own.start <= line.start && line.end <= own.end) return own;
  const start = recipe.source.lastIndexOf('\n', line.start - 1) + 1;
  const stop = recipe.source.indexOf('\n', line.end);
  const end = stop < 0 ? recipe.source.length : stop;
  return { start, end, text: recipe.source.slice(start, end) };
}

/** ", about 2 tsp" behind a food: the amount that goes with its words. */
const AMOUNT_AFTER =
  /^,?\s*(?:\((?=[^()]{1,24}\)))?(?:about|around|roughly|say|maybe)?\s*(?:[\d½¼¾⅓⅔][\d./½¼¾⅓⅔–-]*|an?|half an?|one|two|three)\s*(?:g|kg|ml|l|oz|tbsps?|tsps?|cups?|(?:table|tea)?spoon(?:ful)?s?)\b(?:(?<=\([^()]{1,24})\))?(?=\s*(?:[,.;)]|$))/i;

/** "vegetable stock, no salt added" in a sentence, where a comma parts foods: "unsalted vegetable stock". */
function inSentence(words: string, swap: SwapRow): string {
  const whole = swap.to.map((t) => t.text).find((text) => words.includes(text)) ?? '';
  const [name = '', ...said] = whole.split(', ');
  const plain = UNSALTED.test(said[0] ?? '')
    ? words.replace(whole, [`unsalted ${name}`, ...said.slice(1)].join(', '))
    : words;
  return plain.replace(/, ([^,]+)$/, ' ($1)');
}
const UNSALTED = /^(?:no salt added|no salt|unsalted)$/;

/** A swap of what only the method names, written where it is named. */
function inMethodOnly(
  read: ReadRecipe,
  line: ReadLine,
  food: Food,
  swap: SwapRow,
  settings: ReadSettings,
): Swapped | null {
  const { source } = read.recipe;
  const place = placeAround(read, line);
  const [start, end] = [line.line.start - place.start, line.line.end - place.start];
  const written = (words: string, put?: string): Swapped | null =>
    brokenIn(place.text, words).length > 0
      ? null
      : {
          text: source.slice(0, place.start) + words + source.slice(place.end),
          lines: [],
          steps: [words],
          texts: null,
          ...(put === undefined ? {} : { put }),
        };
  const words = line.line.text.toLowerCase();
  // a named food loses its article and amount with it; a phrase ("salted water") stands alone
  const named = food.names.includes(words) || food.name.toLowerCase() === words;
  // a sentence that only says what some may have
  const alone =
    line.optional && swap.inMethod === undefined && swap.to.length === 0
      ? withoutSentence(place.text, start, end)
      : null;
  const rest = alone === null ? null : written(alone);
  if (rest) return rest;
  if (named && swap.inMethod === undefined && swap.to.length === 0)
    return written(without(place.text, { words: [words], notAfter: [] }));
  const deed = named ? null : otherwiseDone(place.text, start, mediumOf(swap));
  if (deed !== null && FAT_KINDS.some((k) => k === food.kind)) return written(deed);
  if (swap.to.length === 0 && swap.inMethod === undefined) {
    const gone = isDeed(place.text, start)
      ? withoutDeed(place.text, start)
      : letGoInClause(place.text, start, end);
    const left = gone === null ? null : written(gone);
    if (left) return left;
  }
  const amount = amountFor(read, line, swap, settings);
  // "line the tin" is something to do, and stands where nothing else is
  const isToDo = verbOf(/^\S+/.exec(swap.inMethod ?? '')?.[0] ?? '')?.form === 'base';
  if (amount === null && isToDo && !isDeed(place.text, start)) return null;
  const stands = amount ?? swap.inMethod ?? (swap.to.length > 0 ? wordFor(swap) : `no ${food.kindLabel}`);
  // "Season to taste" is something to do, and stays so
  const seasons = /^season\b/.test(words) && /^the /.test(stands);
  const put = seasons
    ? `season with ${stands}`
    : isSalting(place.text, start, end)
      ? `add ${stands}`
      : stands;
  // so much of it is said once
  const behind = amount === null ? 0 : (AMOUNT_AFTER.exec(place.text.slice(end))?.[0].length ?? 0);
  const changed = replaceSpan(place.text, start, end + behind, put, named || /^the |^[\d½¼¾⅓⅔]/.test(put));
  return written(once(changed, put), put);
}

/** "boiled potato, mashed with lemon" among others of a row: what is said of it in brackets, for commas part foods. */
function inOneRow(line: string): string {
  const at = line.indexOf(', ');
  return at < 0 ? line : `${line.slice(0, at)} (${line.slice(at + 2).replace(/\s*\(([^()]*)\)/g, '; $1')})`;
}

/** The edit of the ingredient line itself, keeping its bullet; a line that only goes takes its row along. */
function lineEdit(
  source: string,
  line: ReadLine,
  lines: readonly string[],
): { start: number; end: number; put: string } {
  const rowStart = source.lastIndexOf('\n', line.line.start - 1) + 1;
  const nextBreak = source.indexOf('\n', line.line.end);
  const rowEnd = nextBreak < 0 ? source.length : nextBreak;
  const row = source.slice(rowStart, rowEnd);
  const prefix = row.slice(0, markerLength(row));
  const alone = row.trim().length <= prefix.trim().length + line.line.text.length + 1;
  if (lines.length > 0)
    return {
      start: line.line.start,
      end: line.line.end,
      put: alone ? lines.join(`\n${prefix}`) : lines.map(inOneRow).join(', '),
    };
  if (alone) return { start: rowStart, end: Math.min(rowEnd + 1, source.length), put: '' };
  const behind = /^(?:[,;]\s*)?(?:(?:and|&|plus)\s+)?/i.exec(source.slice(line.line.end))?.[0].length ?? 0;
  // the last of a row takes the comma before it along
  const before =
    behind === 0 ? (/[,;]\s*(?:and\s+)?$/.exec(source.slice(rowStart, line.line.start))?.[0].length ?? 0) : 0;
  const [start, end] = [line.line.start - before, line.line.end + behind];
  // "optional: ." says nothing any more
  const label = /^\s*(?:[\p{L} ]{3,24}):\s*$/u.exec(source.slice(rowStart, start));
  const stop = /^\s*[.;]?\s*(?=\p{L}|\n|$)/u.exec(source.slice(end, rowEnd + 1));
  return label && stop ? { start: rowStart, end: end + stop[0].length, put: '' } : { start, end, put: '' };
}

/** Once the fat for the tin is gone, "grease the tin" becomes lining it. */
function tidyGreasing(swapped: Swapped, swap: SwapRow, settings: ReadSettings): Swapped {
  if (!swap.roles.includes('grease') || swap.to.length > 0) return swapped;
  let current = swapped;
  for (let guard = 0; guard < 4; guard += 1) {
    const read = readRecipe(parseRecipe(current.text), settings);
    const left = read.lines.find(
      (l) =>
        l.origin === 'method' &&
        /greas|oil|butter/i.test(l.line.text) &&
        /tin|tray|pan|dish|sheet/i.test(l.line.text),
    );
    if (!left) return current;
    const put = swap.inMethod ?? 'line the tin with baking paper';
    const text = replaceSpan(current.text, left.line.start, left.line.end, put);
    current = { ...current, text, steps: [...current.steps, put], texts: null };
  }
  return current;
}
