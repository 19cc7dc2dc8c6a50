import { formatQuantity } from 'format-quantity';
import { numericQuantity } from 'numeric-quantity';
import { foodById, type Food } from '@/core/food/table';
import { densityOf } from '@/core/food/weigh';
import { kitchenAmount, type Manner } from '@/core/format/amount';
import { markerLength } from '@/core/recipe/clean';
import { readLine } from '@/core/read/line';
import { readRecipe } from '@/core/read/read';
import { parseRecipe } from '@/core/recipe/parse';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import { namesFor, renamed, replaceSpan, withSentence, without } from './method-words';
import type { SwapRow } from './schema';

/** The recipe's text after a swap, with what it changed. */
export interface Swapped {
  readonly text: string;
  /** The new lines in place of the old one; empty where it only goes. */
  readonly lines: readonly string[];
  /** Steps whose words changed, as they read now. */
  readonly steps: readonly string[];
}

const LIQUID = new Set([
  'stock',
  'water',
  'acid',
  'plant-milk',
  'juice',
  'alcohol',
  'coconut',
  'plant-dairy',
  'canned-bean',
  'salty',
]);

function mannerOf(line: ReadLine): Manner {
  const unit = line.words?.foods[0]?.measures[0]?.unit;
  const each = line.words?.foods[0]?.measures[0]?.each?.unit;
  const id = (each ?? unit)?.id ?? '';
  if (['g', 'kg', 'ml', 'l', 'dl', 'cl'].includes(id)) return 'metric';
  if (['oz', 'lb', 'fl oz'].includes(id)) return 'imperial';
  return 'spoons';
}

/** Grams of the stand-in for the grams of the old food, by volume, weight or piece. */
function gramsOf(to: SwapRow['to'][number], next: Food, old: Food, grams: number): number {
  if (to.by !== 'volume') return grams * to.ratio;
  const from = densityOf(old, grams < 20 ? 'tsp' : 'cup');
  const into = densityOf(next, grams < 20 ? 'tsp' : 'cup');
  return from && into ? (grams / from[1]) * to.ratio * into[1] : grams * to.ratio;
}

/** "1 cup basmati rice, rinsed" → "1 cup brown rice, rinsed": the cook's own words around the food stay. */
function inOwnWords(line: ReadLine, text: string, food: Food, settings: ReadSettings): string | null {
  const words = line.words?.foods[0]?.food;
  if (!words || line.foods.length > 1 || line.alternatives.length > 0) return null;
  const own = line.line.text;
  const at = own.toLowerCase().indexOf(words);
  if (at < 0) return null;
  const [name = text] = text.split(', ');
  const can = line.words?.foods[0]?.measures[0]?.unit?.id === 'can';
  // what is cooked at home does not come in the tin
  if (can && food.kind !== 'canned-bean' && /^cooked /.test(text)) return null;
  const said = /, (?:no salt added|unsalted|no salt|unsweetened)\b/.exec(text)?.[0] ?? '';
  // nuts are soaked for the blender and sugar is packed, what stands in is not
  const rest = own
    .slice(at + words.length)
    .replace(
      /,\s*soaked(?:\s+(?:overnight|for [^,]*))?/i,
      food.kind === 'bean' || food.kind === 'nut' || food.kind === 'seed' ? '$&' : '',
    );
  const kept = food.kind === 'sugar' ? rest : rest.replace(/,?\s*(?:firmly |lightly )?packed\b/i, '');
  const plainName = inNumber(can ? name.replace(/^(?:canned|tinned) /, '') : name, words, food);
  const counted = line.words?.foods[0]?.measures[0];
  // "6 bread" is no amount of bread
  const plural = /s$/.test(plainName) || (counted?.quantity[1] ?? 0) <= 1;
  if (counted && !counted.unit && !counted.each && !plural) return null;
  const next = `${own.slice(0, at)}${plainName}${said}${kept}`;
  const read = readLine({ ...line.line, text: next }, settings, 4);
  return read.foods.length === 1 && read.foods[0]?.food?.id === food.id && read.corners ? next : null;
}

/** A name in the number of the words whose place it takes: "2 avocados" → "2 bananas". */
function inNumber(name: string, words: string, food: Food): string {
  if (!/[^s]s$/.test(words) || /s$/.test(name)) return name;
  const noun = name.split(' ').at(-1) ?? '';
  return food.names.some((n) => n.endsWith(`${noun}s`)) ? `${name}s` : name;
}

const NUMBER =
  /^(\s*)((?:\d+\s+)?\d+\s*\/\s*\d+|\d+\s*[½⅓⅔¼¾⅛⅜⅝⅞]|[½⅓⅔¼¾⅛⅜⅝⅞]|\d+(?:[.,]\d+)?)(?:(\s*(?:-|–|to)\s*)((?:\d+\s+)?\d+\s*\/\s*\d+|\d+\s*[½⅓⅔¼¾⅛⅜⅝⅞]|[½⅓⅔¼¾⅛⅜⅝⅞]|\d+(?:[.,]\d+)?))?(?![\d/])/;

/** A number as cooks write it in this line's manner: fractions for spoons, round ones for grams. */
function written(n: number, metric: boolean): string {
  if (metric) {
    const step = n >= 100 ? 5 : n >= 20 ? 1 : 0.5;
    return String(Math.max(step, Math.round(n / step) * step));
  }
  const eighths = Math.max(1 / 8, Math.round(n * 8) / 8);
  const thirds = Math.round(n * 3) / 3;
  const near = thirds > 0 && Math.abs(thirds - n) < Math.abs(eighths - n) - 1e-9 ? thirds : eighths;
  return String(formatQuantity(n >= 10 ? Math.round(n) : near, { vulgarFractions: true }) ?? near);
}

/** "2 heads pak choi" → "2½ heads pak choi": the amount in the line's own words; null where it has none in front. */
function inOwnAmount(line: ReadLine, ratio: number, settings: ReadSettings): string | null {
  const own = line.line.text;
  const m = NUMBER.exec(own);
  const grams = line.foods[0]?.grams;
  if (!m?.[2] || !grams) return null;
  const metric = mannerOf(line) === 'metric';
  const unit = line.words?.foods[0]?.measures[0]?.unit?.id;
  const times = (words: string) => {
    const value = numericQuantity(words.trim());
    // no kitchen has a third of a tablespoon
    if (unit === 'tbsp' && Math.abs(((value * ratio * 2) % 1) - 0) > 0.05) return null;
    return Number.isFinite(value) ? written(value * ratio, metric) : null;
  };
  const [first, second] = [times(m[2]), m[4] ? times(m[4]) : ''];
  if (first === null || second === null) return null;
  const next = `${m[1] ?? ''}${first}${m[4] ? `${m[3] ?? '-'}${second}` : ''}${own.slice(m[0].length)}`;
  const read = readLine({ ...line.line, text: next }, settings, 4);
  const got = read.foods[0]?.grams;
  const sameFood = read.foods[0]?.food?.id === line.foods[0]?.food?.id;
  // what is written must be what is meant, within what kitchens can measure
  return got && sameFood && next !== own && Math.abs(got.best / (grams.best * ratio) - 1) < 0.2 ? next : null;
}

function newLines(line: ReadLine, swap: SwapRow, settings: ReadSettings): string[] | null {
  const old = line.foods[0]?.food;
  const grams = line.foods[0]?.grams;
  if (!old) return null;
  const manner = mannerOf(line);
  const out: string[] = [];
  for (const to of swap.to) {
    const same = to.food === 'same';
    const scaled = same && swap.to.length === 1 ? inOwnAmount(line, to.ratio, settings) : null;
    if (scaled) {
      out.push(scaled);
      continue;
    }
    const next = same ? old : foodById(to.food);
    if (!next) return null;
    const text = same ? (line.words?.foods[0]?.food ?? old.name.toLowerCase()) : to.text;
    if (to.ratio === 1 && swap.to.length === 1 && !same) {
      const own = inOwnWords(line, text, next, settings);
      if (own) {
        out.push(own);
        continue;
      }
    }
    const unsaid = (line.words?.foods[0]?.measures.length ?? 0) === 0 && !line.corrected;
    if (!grams || (unsaid && !same)) {
      out.push(`${text}, to taste`);
      continue;
    }
    const count = line.words?.foods[0]?.measures[0];
    if (to.by === 'piece' && count && !count.unit) {
      out.push(`${Math.max(1, Math.round(count.quantity[1] * to.ratio))} ${text}`);
      continue;
    }
    const amount = kitchenAmount(
      gramsOf(to, next, old, grams.best),
      next,
      manner,
      LIQUID.has(next.kind) || next.kind === 'oil',
    );
    out.push(`${amount} ${text}`);
  }
  // "salt and pepper": the pepper stays
  const others = line.foods.slice(1);
  if (others.length > 0 && (line.words?.foods[0]?.measures.length ?? 0) > 0) return null;
  out.push(...others.map((o) => `${o.text}, to taste`));
  return line.optional ? out.map((l) => (/\boptional\b/i.test(l) ? l : `${l} (optional)`)) : out;
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
  if (line.origin === 'method') return inMethodOnly(read, line, food, swap);
  const lines = newLines(line, swap, settings);
  if (!lines) return null;
  const same = swap.to.some((t) => t.food === 'same');
  const others = read.lines.filter((_, i) => i !== index);
  const names = same ? [] : namesFor(line, others);
  const word = swap.unsaid ? null : (swap.inMethod ?? (swap.to.length > 0 ? wordFor(swap) : null));
  const renamedAt = word === null ? [] : read.steps.map(({ text }) => renamed(text, names, word));
  const lastNamed = renamedAt.findLastIndex((text, i) => text !== read.steps[i]?.text);
  const texts = read.steps.map(({ text }, i) =>
    word === null || (swap.late && i < lastNamed) ? without(text, names) : (renamedAt[i] ?? text),
  );
  const lastTouched = texts.findLastIndex((text, i) => text !== read.steps[i]?.text);
  const gains = lastTouched >= 0 ? lastTouched : texts.length - 1;
  const steps: string[] = [];
  // from the end to the start, so that positions stay true
  const edits: { start: number; end: number; put: string }[] = [];
  read.steps.forEach((step, i) => {
    const changed = withSentence(texts[i] ?? step.text, i === gains ? swap.adds : undefined);
    if (changed === step.text) return;
    steps.push(changed);
    edits.push({ start: step.start, end: step.end, put: changed });
  });
  edits.push(lineEdit(source, line, lines));
  const text = edits
    .sort((a, b) => b.start - a.start)
    .reduce((t, e) => t.slice(0, e.start) + e.put + t.slice(e.end), source);
  return tidyGreasing({ text, lines, steps }, swap, settings);
}

/** What the method calls that which stands in: "the cider vinegar and tamarind paste". */
const wordFor = (swap: SwapRow): string =>
  `the ${swap.to.map((t) => t.text.split(', ')[0] ?? '').join(' and ')}`;

/** A swap of what only the method names, written into its step. */
function inMethodOnly(read: ReadRecipe, line: ReadLine, food: Food, swap: SwapRow): Swapped {
  const { source } = read.recipe;
  const { start, end } = line.line;
  const step = read.steps[line.step ?? 0];
  const stepStart = step?.start ?? 0;
  const words = line.line.text.toLowerCase();
  // a named food loses its article and amount with it; a phrase ("salted water") stands alone
  const named = food.names.includes(words) || food.name.toLowerCase() === words;
  if (named && step && swap.inMethod === undefined && swap.to.length === 0) {
    const changed = without(step.text, [words]);
    return {
      text: source.slice(0, step.start) + changed + source.slice(step.end),
      lines: [],
      steps: [changed],
    };
  }
  const put = swap.inMethod ?? (swap.to.length > 0 ? wordFor(swap) : `no ${food.kindLabel}`);
  const changed = replaceSpan(source.slice(stepStart, end), start - stepStart, end - stepStart, put, named);
  return { text: source.slice(0, stepStart) + changed + source.slice(end), lines: [], steps: [changed] };
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
    return { start: line.line.start, end: line.line.end, put: lines.join(alone ? `\n${prefix}` : ', ') };
  if (alone) return { start: rowStart, end: Math.min(rowEnd + 1, source.length), put: '' };
  return {
    start: line.line.start,
    end: line.line.end + (/^[,;]\s*/.exec(source.slice(line.line.end))?.[0].length ?? 0),
    put: '',
  };
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
    current = { ...current, text, steps: [...current.steps, put] };
  }
  return current;
}
