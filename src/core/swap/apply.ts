import { escapePattern } from '@/core/escape';
import { FAT_KINDS } from '@/core/food/kind-groups';
import { foodById, type Food } from '@/core/food/table';
import { markerLength } from '@/core/recipe/clean';
import { readRecipe } from '@/core/read/read';
import { parseRecipe } from '@/core/recipe/parse';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { verbOf } from '@/core/step/lexicon';
import { brokenIn } from './broken';
import { isDeed, otherwiseDone, withoutDeed, withoutOthers, withoutSentence } from './clause';
import { letGo } from './let-go';
import { newLines } from './lines';
import { mentionsOf, type Place } from './mentions';
import {
  isSalting,
  joined,
  namesFor,
  once,
  renamed,
  replaceSpan,
  seasonedWith,
  withSentence,
  without,
  type Names,
  type Span,
} from './method-words';
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
  // said once, whatever else it came with
  const said = swap.adds !== undefined && source.includes(swap.adds);
  const adds = worth && !said ? swap.adds : undefined;
  const late = swap.late === true && adds !== undefined;
  const word = swap.unsaid
    ? null
    : sameNoun(swap, names)
      ? ''
      : (swap.inMethod ?? (swap.to.length > 0 ? wordFor(swap) : null));
  // what moistens a batter is not what the pan is oiled with
  const inBatter = swap.roles.some((r) => r === 'bake' || r === 'dough') && !swap.roles.includes('crisp');
  const mentions = mentionsOf(read, settings);
  const inside = (places: readonly Place[], { start, end }: Place): Span[] =>
    places.flatMap((p) =>
      start <= p.start && p.end <= end ? [[p.start - start, p.end - start] as const] : [],
    );
  const places = same ? [] : (mentions.of.get(line) ?? []);
  const spans = read.steps.map(
    (step) => [inside(places, step), inside(mentions.asides, step), inside(mentions.refused, step)] as const,
  );
  const toldOf = (i: number) => spans[i]?.[0] ?? [];
  const asidesOf = (i: number) => spans[i]?.[1] ?? [];
  const refusedOf = (i: number) => spans[i]?.[2] ?? [];
  const reworded = (text: string, put: string, i: number) =>
    inBatter
      ? text.replace(SENTENCE, (s) => (IN_PAN.test(s) ? without(s, names) : renamed(s, names, put)))
      : renamed(text, names, put, toldOf(i), [...asidesOf(i), ...refusedOf(i)]);
  const renamedAt =
    word === null || word === '' ? [] : read.steps.map(({ text }, i) => reworded(text, word, i));
  const lastNamed = renamedAt.findLastIndex((text, i) => text !== read.steps[i]?.text);
  const texts = read.steps.map(({ text }, i) => {
    const gone = () => without(text, names, toldOf(i), asidesOf(i));
    if (word === null || late || (swap.late && i < lastNamed)) return gone();
    const now = renamedAt[i] ?? text;
    if (brokenIn(text, now).length === 0) return now;
    // "toss in the cornflour and half the oil": what is to be done instead has a sentence of its own
    const left = isToDo(word) ? gone() : now;
    return brokenIn(text, left).length === 0 ? left : now;
  });
  const undone = isToDo(word) && !texts.some((text) => text.includes(word ?? ''));
  const sentence = adds ?? (undone && word ? `${word.charAt(0).toUpperCase()}${word.slice(1)}.` : undefined);
  // half of it, and something else for the other half: named together where it is named first
  const beside = same ? (swap.to.find((t) => t.food !== 'same')?.text.split(', ')[0] ?? null) : null;
  if (beside !== null && line.foods.length === 1) {
    const own = namesFor(line, read);
    const told = mentions.of.get(line) ?? [];
    for (const [i, step] of read.steps.entries()) {
      const both = joined(step.text, own, beside, inside(told, step), asidesOf(i));
      if (both === null) continue;
      if (brokenIn(step.text, both).length === 0) texts[i] = both;
      break;
    }
  }
  if (food.kind === 'salt' && !same) {
    const pepper = read.lines.some((l) => l.foods.some((f) => f.food?.id === 'black-pepper'));
    const season = word && !late ? word : pepper ? 'pepper' : null;
    if (season) texts.forEach((text, i) => (texts[i] = seasonedWith(text, season)));
  }
  const touched = (text: string, i: number) => text !== read.steps[i]?.text;
  const gains = late ? texts.length - 1 : swap.late ? texts.findLastIndex(touched) : texts.findIndex(touched);
  // "line the tin" comes before what goes into the oven
  const oven = gains < 0 && FOR_TIN.test(sentence ?? '') ? texts.findIndex((text) => IN_OVEN.test(text)) : -1;
  const gainsAt = oven >= 0 ? oven : gains >= 0 ? gains : texts.length - 1;
  const steps: string[] = [];
  // from the end to the start, so that positions stay true
  const edits: { start: number; end: number; put: string }[] = [];
  const after = read.steps.map((step, i) => {
    const changed =
      i === oven && sentence !== undefined
        ? `${SMALL.test(step.text) ? sentence.charAt(0).toLowerCase() + sentence.slice(1) : sentence} ${step.text}`
        : withSentence(texts[i] ?? step.text, step.text, i === gainsAt ? sentence : undefined, swap.late);
    if (changed !== step.text) {
      steps.push(changed);
      edits.push({ start: step.start, end: step.end, put: changed });
    }
    return changed;
  });
  // what a note says of it, by the parse alone: it tells of much else
  for (const note of read.recipe.notes ?? []) {
    const told = inside(places, note);
    if (told.length === 0) continue;
    const put =
      word === null || late
        ? without(note.text, NO_NAMES, told)
        : word === ''
          ? note.text
          : renamed(note.text, NO_NAMES, word, told);
    if (brokenIn(note.text, put).length === 0) edits.push({ start: note.start, end: note.end, put });
  }
  edits.push(lineEdit(source, line, lines));
  if (!same) edits.push(...inOtherLines(read, line, names, word));
  if (after.some((now, i) => brokenIn(read.steps[i]?.text ?? '', now).length > 0)) return null;
  const text = edits
    .sort((a, b) => b.start - a.start)
    .reduce((t, e) => t.slice(0, e.start) + e.put + t.slice(e.end), source);
  return tidyGreasing({ text, lines, steps, texts: after }, swap, settings);
}

/** "line the tin" is something to do, and stands where nothing else is. */
const isToDo = (words: string | null): boolean =>
  verbOf(/^\S+/.exec(words ?? '')?.[0] ?? '')?.form === 'base';

const NO_NAMES: Names = { words: [], notAfter: [] };

const SENTENCE = /[^.!?;]+[.!?;]?\s*/g;
/** How somebody writes who begins her sentences small. */
const SMALL = /^\p{Ll}/u;
const FOR_TIN = /\b(?:tin|tray|baking paper|parchment)\b/i;
const IN_OVEN = /\b(?:roast|bake|oven|tray|tin|sheet)\b/i;
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

/** "black salt on the tofu": another line's words for where it goes, when that is swapped or gone. */
function inOtherLines(
  read: ReadRecipe,
  line: ReadLine,
  { words }: Names,
  word: string | null,
): { start: number; end: number; put: string }[] {
  if (words.length === 0) return [];
  const there = new RegExp(
    `\\s+(on|over|for|with|in|around|onto) the (?:${words.map(escapePattern).join('|')})\\b`,
    'gi',
  );
  return read.recipe.lines.flatMap((other) =>
    other.start === line.line.start
      ? []
      : [...other.text.matchAll(there)].map((m) => ({
          start: other.start + m.index,
          end: other.start + m.index + m[0].length,
          put: word === null || !word.startsWith('the ') ? '' : ` ${m[1] ?? 'on'} ${word}`,
        })),
  );
}

/** ", about 2 tsp" behind a food: the amount that goes with its words. */
const AMOUNT_AFTER =
  /^,?\s*(?:\((?=[^()]{1,24}\)))?(?:about|around|roughly|say|maybe)?\s*(?:[\d½¼¾⅓⅔][\d./½¼¾⅓⅔–-]*|an?|half an?|one|two|three)\s*(?:g|kg|ml|l|oz|grams?|kilos?|litres?|ounces?|tbsps?|tsps?|cups?|(?:table|tea)?spoon(?:ful)?s?)\b(?: or so| or thereabouts)?(?:(?<=\([^()]{1,24})\))?(?=\s*(?:[,.;)]|$))/i;

/** ", 3 each", " (70 g dry each, brown)" behind a food: how much of it for each who eats. */
const EACH_AFTER =
  /^(?:\s*\([^()\d]*\))?(?: for (?:the )?[a-z ]{3,24}(?=[:,]))?(?:[,:]\s*|\s*\()(?:about |around |(?:i|we) (?:do|allow|use) )?(?:[\d½¼¾⅓⅔][\d./½¼¾⅓⅔–-]*|one|two|three|half(?: an?)?)\s*(?:g|ml|oz|tbsps?|tsps?|cups?)?\s*(?:dry|dried|raw|cooked|uncooked)?(?: weight)?\s*(?:each|apiece|pp|a head|per (?:person|head|plate|serving))(?: dry(?: weight)?)?(?:,\s*[a-z]+(?=\)))?\)?/i;

/** Characters around a food in which whose plate it is on is told. */
const NEAR = 40;
const SO_MUCH = /\d ?(?:g|kg|ml|l|oz|tbsps?|tsps?|cups?)\b/i;

const OF_THE_OLD =
  /^(?: in (?:water|brine|juice|oil)\b(?! and\b))?(?:\s*\((?:the |those |a )?[^()\d]*\b(?:ones?|kind|sort|type|brand|stuff|version)\b[^()\d]*\))?/i;

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

/** Grams of water in 100 g from which a food stirs in by itself. */
const WET_G = 75;
const WITH_ITS_WATER =
  /^(?:\s*\([^()]*\))?,?\s*(?:mixed|soaked|stirred|whisked|beaten)?\s*(?:up\s+)?(?:with|in|into|plus|\+)\s+(?:about )?[\d½¼¾⅓⅔][^,.;()]*?\bwater\b/i;
const CUT_SO = /^\s+(?:very )?(?:small|fine|finely|roughly|coarsely)\b(?!\s+\p{L}+ed\b)/iu;

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
  // "mum fries it in dripping and adds butter": how somebody else does it, all of it
  const others =
    line.optional && FAT_KINDS.some((k) => k === food.kind) ? withoutOthers(place.text, start) : null;
  const rest = (others === null ? null : written(others)) ?? (alone === null ? null : written(alone));
  if (rest) return rest;
  if (named && swap.inMethod === undefined && swap.to.length === 0)
    return written(without(place.text, { words: [words], notAfter: [] }));
  const deed = named ? null : otherwiseDone(place.text, start, mediumOf(swap));
  if (deed !== null && FAT_KINDS.some((k) => k === food.kind)) return written(deed);
  if (swap.to.length === 0 && swap.inMethod === undefined) {
    const gone = isDeed(place.text, start)
      ? withoutDeed(place.text, start)
      : (letGo(place.text, start, end) ?? withoutSentence(place.text, start, end));
    const left = gone === null ? null : written(gone);
    if (left) return left;
  }
  const amount = amountFor(read, line, swap, settings);
  if (amount === null && isToDo(swap.inMethod ?? null) && !isDeed(place.text, start)) return null;
  const bare = swap.inMethod ?? (swap.to.length > 0 ? wordFor(swap) : `no ${food.kindLabel}`);
  // "the lemon juice" is one that the list holds
  const listed = swap.to.some((t) =>
    read.lines.some((l) => l.origin === 'ingredients' && l.foods.some((f) => f.food?.id === t.food)),
  );
  // "pearl barley is what I use (250 g)": how much is told apart from its name, and holds
  const [only] = swap.to;
  const apart =
    amount !== null &&
    swap.to.length === 1 &&
    only?.ratio === 1 &&
    !/[\d½¼¾⅓⅔]/.test(line.line.text) &&
    !AMOUNT_AFTER.test(place.text.slice(end)) &&
    !EACH_AFTER.test(place.text.slice(end)) &&
    SO_MUCH.test(/^[^.!?]*/.exec(place.text.slice(end))?.[0] ?? '');
  const stands =
    (apart ? only.text.split(', ')[0] : amount) ??
    (listed || read.recipe.lines.length === 0 ? bare : bare.replace(/^the /, ''));
  // "Breadcrumb the top": what is done cannot be "no breadcrumbs"
  if (/^no /.test(stands) && /^\s+(?:the|it|them|each|your|both)\b/.test(place.text.slice(end))) return null;
  // "Season to taste" is something to do, and stays so
  const seasons = /^season\b/.test(words) && /^the /.test(bare);
  // "spraying each side": what is sprayed is said behind
  const sprays = swap.roles.includes('spray') && /^(?:spray|spritz|mist)(?:ing)?\b/.test(words);
  const put = sprays
    ? `${line.line.text} with water`
    : seasons
      ? `season with ${stands}`
      : isSalting(place.text, start, end)
        ? `add ${stands}`
        : stands;
  // so much of it is said once
  const each = amount === null ? null : EACH_AFTER.exec(place.text.slice(end));
  const again =
    each?.[0].length ?? (amount === null ? 0 : (AMOUNT_AFTER.exec(place.text.slice(end))?.[0].length ?? 0));
  // "(the very low salt ones)", "in water": what was said of the old one alone
  const after = place.text.slice(end + again);
  // "3 tbsp flaxseed mixed with 6 tbsp water": what stands in is wet itself
  const wet = swap.to.length > 0 && swap.to.every((t) => (foodById(t.food)?.waterG ?? 0) > WET_G);
  const water = wet ? (WITH_ITS_WATER.exec(after)?.[0].length ?? 0) : 0;
  // "walnuts chopped small": how the old one was cut
  const cut = put.endsWith(')') ? (CUT_SO.exec(after)?.[0].length ?? 0) : 0;
  const behind = again + (water || cut || (OF_THE_OLD.exec(after)?.[0].length ?? 0));
  const whole = /^\s*(?:and|with|plus) (?:all )?(?:their|its|the) (?:own )?(?:liquid|juice|water)\b/i.test(
    place.text.slice(end + behind),
  );
  // "…on each bowl": said already
  const said = /\b(?:each|every|per)\b/i.test(/^[^.;!]*/.exec(place.text.slice(end))?.[0] ?? '');
  // "she has a teaspoon on hers"
  const own = /\b(?:hers|his|mine|theirs)\b/i.test(place.text.slice(Math.max(0, start - NEAR), end + NEAR));
  const perHead = each || (line.words?.perHead === true && !said && !own) ? ' each' : '';
  const changed = replaceSpan(
    place.text,
    start,
    end + behind,
    `${whole ? put.replace(/ \(drained\)| drained\b/, '') : put}${amount === null ? '' : perHead}`,
    named || /^the /.test(bare) || /^[\d½¼¾⅓⅔]/.test(put),
  );
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
  // "1 tin chickpeas (no oil", "1 tsp paprika)": the bracket goes on in the next of the row
  const open =
    line.line.text.split('(').length > line.line.text.split(')').length &&
    !lines.some((l) => l.includes('('));
  const gap = open ? (/^\s*,\s*(?=[^()\n]*\))/.exec(source.slice(line.line.end))?.[0].length ?? 0) : 0;
  if (lines.length > 0 && gap > 0)
    return { start: line.line.start, end: line.line.end + gap, put: `${lines.map(inOneRow).join(', ')} (` };
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
