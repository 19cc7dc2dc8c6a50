import { formatQuantity } from 'format-quantity';
import { numericQuantity } from 'numeric-quantity';
import { foodById, type Food } from '@/core/food/table';
import { densityOf } from '@/core/food/weigh';
import { kitchenAmount, POURED, roundGrams, spoonable, type Manner } from '@/core/format/amount';
import { remembered } from '@/core/read/remembered';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';
import type { SwapRow } from './schema';

const LIQUID = new Set<string>([...POURED, 'coconut', 'plant-dairy', 'canned-bean']);

const METRIC = new Set(['g', 'kg', 'ml', 'l', 'dl', 'cl']);
const IMPERIAL = new Set(['oz', 'lb', 'fl oz']);

const manners = new WeakMap<ReadRecipe, Manner>();

/** How a recipe weighs: by what most of its lines do that are weighed at all. */
export function mannerOf(read: ReadRecipe): Manner {
  const known = manners.get(read);
  if (known) return known;
  const units = read.lines.flatMap(
    (l) => l.words?.foods.flatMap((f) => f.measures.map((m) => (m.each?.unit ?? m.unit)?.id ?? '')) ?? [],
  );
  const count = (of: (id: string) => boolean) => units.filter(of).length;
  const metric = count((id) => METRIC.has(id));
  const imperial = count((id) => IMPERIAL.has(id));
  const cups = count((id) => id === 'cup');
  const manner: Manner =
    metric > 0 && metric >= imperial && metric >= cups ? 'metric' : imperial > cups ? 'imperial' : 'spoons';
  manners.set(read, manner);
  return manner;
}

const SPOONED = new Set(['tsp', 'tbsp', 'dsp', 'cup', 'pinch', 'dash']);

function mannerOfLine(line: ReadLine, read: ReadRecipe | null): Manner {
  const unit = line.words?.foods[0]?.measures[0]?.unit;
  const each = line.words?.foods[0]?.measures[0]?.each?.unit;
  // a tin's ounces are print on the tin; at home it is cups
  const ofTin = unit?.id === 'can' && ['oz', 'fl oz', 'lb'].includes(each?.id ?? '');
  const id = (ofTin ? unit : (each ?? unit))?.id ?? '';
  if (METRIC.has(id)) return 'metric';
  if (IMPERIAL.has(id)) return 'imperial';
  // what is counted goes by how the rest is weighed; a little of anything by the spoon
  const little = (line.foods[0]?.grams?.best ?? 0) < 40;
  return read === null || little || SPOONED.has(id) ? 'spoons' : mannerOf(read);
}

/** Grams of the stand-in for the grams of the old food, by volume, weight or piece. */
function gramsOf(to: SwapRow['to'][number], next: Food, old: Food, grams: number): number {
  if (to.by !== 'volume') return grams * to.ratio;
  const from = densityOf(old, grams < 20 ? 'tsp' : 'cup');
  const into = densityOf(next, grams < 20 ? 'tsp' : 'cup');
  return from && into ? (grams / from[1]) * to.ratio * into[1] : grams * to.ratio;
}

/** Kinds of food that are soaked, where they are dry. */
const SOAKED = new Set<string>(['bean', 'nut', 'seed', 'whole-grain', 'refined-grain']);
const FAT = /oil|fat/;
const AS_FAT =
  /,?\s*(?:(?:very )?(?:softened|soft|melted|at room temperature|cold|chilled|diced|cubed|cooled)(?:,| and)?\s*)+(?=$|[,(])/gi;
const MORE_OF_IT = /,?\s*\b(?:plus|and)\s+(?:a (?:little|bit) )?(?:more|extra)\b[^,;()]*/i;
const AS_CHEESE =
  /,?\s*(?:(?:finely |coarsely )?(?:grated|crumbled|shredded|sliced|cubed|diced)(?:,| and)?\s*)+(?=$|[,(])/gi;

const NUTS = new Set(['nut', 'seed']);
const AS_NUTS =
  /,?\s*(?:(?:lightly |roughly |finely |coarsely )?(?:toasted|roasted|crushed|chopped|ground|flaked|halved)(?:,| and| &)?\s*)+(?=$|[,(])/gi;

/** A bracket that says the amount again, and nothing else. */
const IS_AMOUNT =
  /^(?:(?:about|approx\.?|roughly|around|~|or|the|a)\s*)?(?:\d|[½¼¾⅓⅔]|half|one|two|drained)[^a-z]*(?:[a-z]+\s*){0,4}$/i;
const OF_CUBE = /\b(?:cubes?|powder|bouillon|granules|tablets?)\b/i;
/** ", wholemeal": which of the old food it was. */
const WHICH =
  /^,\s*(?:wholemeal|wholewheat|whole wheat|white|brown|seeded|salted|smooth|crunchy|dark|light)\b(?=\s*(?:[,;(–—-]|$))/i;

/** "1 cup basmati rice, rinsed" → "1 cup brown rice, rinsed": the cook's own words around the food stay. */
function inOwnWords(line: ReadLine, text: string, food: Food, settings: ReadSettings): string | null {
  const words = line.words?.foods[0]?.food;
  if (!words || line.foods.length > 1 || line.alternatives.length > 0) return null;
  const own = line.line.text;
  const at = own.toLowerCase().indexOf(words);
  if (at < 0) return null;
  const [name = text] = text.split(', ');
  // "pittas, 1 each" cannot hold "2 lettuce leaves"
  if (/^\d/.test(name) && /\d/.test(own.slice(at + words.length))) return null;
  const can = line.words?.foods[0]?.measures[0]?.unit?.id === 'can';
  // what is cooked at home, or sold loose, does not come in the tin
  const tinned = food.kind === 'canned-bean' || food.names.some((n) => /\b(?:can|tin)(?:ned)?\b/.test(n));
  if (can && !tinned && food.kind !== line.foods[0]?.food?.kind) return null;
  const said = /, (?:no salt added|unsalted|no salt|unsweetened)\b/.exec(text)?.[0] ?? '';
  // nuts are soaked for the blender and sugar is packed, what stands in is not
  const rest = own
    .slice(at + words.length)
    // how fine or whole the old one was to be
    .replace(/,?\s*\b(?:half|part|some)\s+(?:wholemeal|wholewheat|whole wheat|white|brown)\b[^,;()]*/i, '')
    .replace(WHICH, '')
    .replace(/,\s*soaked\b[^,;()]*/i, SOAKED.has(food.kind) && (food.waterG ?? 100) < 20 ? '$&' : '');
  // "oat milk (barista)": what is said of the old food goes with it, an amount stays
  const plainRest = rest.replace(/\s*\(([^)]*)\)/g, (whole, inside: string) =>
    IS_AMOUNT.test(inside.trim()) && !(food.kind === 'stock' && OF_CUBE.test(inside)) ? whole : '',
  );
  const old = line.foods[0]?.food?.kind ?? '';
  const stays = food.kind === old;
  // butter is softened and cheese is grated, what stands in is not
  const cold = FAT.test(old) && !stays ? plainRest.replace(AS_FAT, '') : plainRest;
  // more of it for the pan is more of the fat
  const once = FAT.test(old) && !FAT.test(food.kind) ? cold.replace(MORE_OF_IT, '') : cold;
  const grated = old === 'plant-dairy' && !stays ? once.replace(AS_CHEESE, '') : once;
  // nuts are toasted and chopped, what stands in is not
  const shaped = NUTS.has(old) && !NUTS.has(food.kind) ? grated.replace(AS_NUTS, '') : grated;
  const ownRest = food.kind === 'sugar' ? shaped : shaped.replace(/,?\s*(?:firmly |lightly )?packed\b/i, '');
  // "cauliflower, steamed and blended": how it is made ready is said where the line says nothing of its own
  const ready = text.slice(name.length).replace(said, '');
  const kept = ownRest.trim() === '' ? `${ready}${ownRest}` : ownRest;
  const counted = line.words?.foods[0]?.measures[0];
  const one = counted?.unit === null && counted.quantity[1] === 1;
  const plainName = inNumber(can ? name.replace(/^(?:canned|tinned) /, '') : name, words, food, one);
  // "6 bread" is no amount of bread
  const plural = /s$/.test(plainName) || (counted?.quantity[1] ?? 0) <= 1;
  if (counted && !counted.unit && !counted.each && (!plural || !isPieceLike(line, food))) return null;
  // "2 slices of bread each, no salt"
  const [heads = ''] = /^ (?:each|apiece|a head|per (?:person|head|plate))\b/i.exec(kept) ?? [];
  const next = `${own.slice(0, at)}${plainName}${heads}${said}${kept.slice(heads.length)}`;
  const read = remembered({ ...line.line, text: next }, settings, 4);
  return read.foods.length === 1 && read.foods[0]?.food?.id === food.id && read.corners ? next : null;
}

/** How far pieces of two foods may be apart in weight, to be counted alike: an avocado is no pea. */
const ALIKE = 4;
function isPieceLike(line: ReadLine, food: Food): boolean {
  const piece = food.portions.piece?.[1];
  const grams = line.foods[0]?.grams?.best ?? 0;
  const count = line.words?.foods[0]?.measures[0]?.quantity[1] ?? 1;
  if (piece === undefined || grams <= 0 || count <= 0) return false;
  const times = grams / count / piece;
  return times < ALIKE && times > 1 / ALIKE;
}

/** A name in the number of the words whose place it takes: "2 avocados" → "2 bananas". */
function inNumber(name: string, words: string, food: Food, one: boolean): string {
  if (one && /[^s]s$/.test(name)) {
    const single = name.slice(0, -1);
    const noun = single.split(' ').at(-1) ?? '';
    return food.names.some((n) => n === noun || n.endsWith(` ${noun}`)) ? single : name;
  }
  if (!/[^s]s$/.test(words) || /s$/.test(name)) return name;
  const noun = name.split(' ').at(-1) ?? '';
  return food.names.some((n) => n.endsWith(`${noun}s`)) ? `${name}s` : name;
}

const NUMBER =
  /^(\s*)((?:\d+\s+)?\d+\s*\/\s*\d+|\d+\s*[½⅓⅔¼¾⅛⅜⅝⅞]|[½⅓⅔¼¾⅛⅜⅝⅞]|\d+(?:[.,]\d+)?)(?:(\s*(?:-|–|to)\s*)((?:\d+\s+)?\d+\s*\/\s*\d+|\d+\s*[½⅓⅔¼¾⅛⅜⅝⅞]|[½⅓⅔¼¾⅛⅜⅝⅞]|\d+(?:[.,]\d+)?))?(?![\d/])/;

/** A number as cooks write it in this line's manner: what spoons and cups can measure, round grams. */
function written(n: number, unit: string | undefined, metric: boolean): string {
  if (metric) return String(roundGrams(n));
  const near = spoonable(n, unit === 'tsp' || unit === 'tbsp' || unit === 'cup' ? unit : 'oz');
  return String(formatQuantity(near, { vulgarFractions: true }) ?? near);
}

/** "400 ml tin coconut milk" → "½ x 400 ml tin coconut milk": tins are not sold by the quarter; null where it is no tin. */
function partOfPackage(line: ReadLine, ratio: number): string | null {
  const [m] = line.words?.foods[0]?.measures ?? [];
  const opens = /^\s*\d+ ?(?:g|ml|oz|fl oz)\s/i.test(line.line.text);
  if (!m?.each || !m.unit?.package || !opens || m.quantity[0] !== 1 || m.quantity[2] !== 1) return null;
  const share = spoonable(ratio, 'cup');
  return `${String(formatQuantity(share, { vulgarFractions: true }) ?? share)} x ${line.line.text.trim()}`;
}

/** "2 heads pak choi" → "2½ heads pak choi": the amount in the line's own words; null where it has none in front. */
export function inOwnAmount(line: ReadLine, ratio: number, settings: ReadSettings): string | null {
  const own = line.line.text;
  const part = partOfPackage(line, ratio);
  if (part) {
    const read = remembered({ ...line.line, text: part }, settings, 4);
    const got = read.foods[0]?.grams?.best ?? 0;
    const meant = (line.foods[0]?.grams?.best ?? 0) * ratio;
    return read.foods.length === 1 && meant > 0 && Math.abs(got / meant - 1) < 0.2 ? part : null;
  }
  const m = NUMBER.exec(own);
  const grams = line.foods[0]?.grams;
  if (!m?.[2] || !grams) return null;
  const metric = mannerOfLine(line, null) === 'metric';
  const unit = line.words?.foods[0]?.measures[0]?.unit?.id;
  const times = (words: string) => {
    const value = numericQuantity(words.trim());
    return Number.isFinite(value) ? written(value * ratio, unit, metric) : null;
  };
  const [first, second] = [times(m[2]), m[4] ? times(m[4]) : ''];
  if (first === null || second === null) return null;
  const next = `${m[1] ?? ''}${first}${m[4] ? `${m[3] ?? '-'}${second}` : ''}${own.slice(m[0].length)}`;
  const read = remembered({ ...line.line, text: next }, settings, 4);
  const got = read.foods[0]?.grams;
  const sameFood = read.foods[0]?.food?.id === line.foods[0]?.food?.id;
  // what is written must be what is meant, within what kitchens can measure
  return got && sameFood && next !== own && Math.abs(got.best / (grams.best * ratio) - 1) < 0.2 ? next : null;
}

/**
 * What stands in a line's place, written in the recipe's manner of measuring.
 *
 * @returns null where it cannot be written for this line
 */
export function newLines(
  line: ReadLine,
  swap: SwapRow,
  settings: ReadSettings,
  recipe: ReadRecipe,
): string[] | null {
  const old = line.foods[0]?.food;
  const grams = line.foods[0]?.grams;
  if (!old) return null;
  const manner = mannerOfLine(line, recipe);
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
    // so much for each who eats stays so much for each
    const each = line.words?.perHead === true;
    const amount = kitchenAmount(
      gramsOf(to, next, old, each ? grams.best / recipe.servings.range.best : grams.best),
      next,
      manner,
      LIQUID.has(next.kind) || next.kind === 'oil',
    );
    const whole = `${amount} ${amount === '1' ? text.replace(/^([^,]*[^s])s(?=,|$)/, '$1') : text}`;
    out.push(each && line.origin === 'ingredients' ? whole.replace(/(?=,|$)/, ' each') : whole);
  }
  // "salt and pepper": the pepper stays
  const others = line.foods.slice(1);
  if (others.length > 0 && (line.words?.foods[0]?.measures.length ?? 0) > 0) return null;
  out.push(...others.map((o) => `${o.text}, to taste`));
  return line.optional && line.origin === 'ingredients'
    ? out.map((l) => (/\boptional\b/i.test(l) ? l : `${l} (optional)`))
    : out;
}
