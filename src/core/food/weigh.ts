import type { FoodWords } from '@/core/recipe/line';
import type { Measure } from '@/core/recipe/reader';
import { millilitres, readUnit, VAGUE, type MeasureSettings, type Unit } from '@/core/measure/units';
import { range, type Range } from '@/core/range/range';
import { packageShare } from '@/core/prepare/rules';
import { portionOfKind, type Food } from './table';

type Three = readonly [number, number, number];

/** Grams of an amount of a food, with why. */
export interface Weighed {
  readonly grams: Range;
  readonly readings: readonly string[];
  /** The grams go by the number of plates. */
  readonly byPlate?: boolean;
}

const US_CUP_ML = 236.588;
const ONE: Three = [1, 1, 1];
const mul = (a: Three, b: Three): Three => [a[0] * b[0], a[1] * b[1], a[2] * b[2]];
const per = (a: Three, n: number): Three => [a[0] / n, a[1] / n, a[2] / n];

const SPOONS = { tsp: 4.92892, tbsp: 14.78676, cup: US_CUP_ML } as const;
const PREFER: Record<string, readonly (keyof typeof SPOONS)[]> = {
  tsp: ['tsp', 'tbsp', 'cup'],
  tbsp: ['tbsp', 'tsp', 'cup'],
  other: ['cup', 'tbsp', 'tsp'],
};

/** Grams per millilitre of a food as it is spooned, by the spoon nearest to the unit asked for. */
export function densityOf(food: Food, unitId = 'other'): Three | null {
  const order = PREFER[unitId] ?? (PREFER.other as readonly (keyof typeof SPOONS)[]);
  for (const spoon of order) {
    const own = food.portions[spoon];
    if (own) return per(own, SPOONS[spoon]);
  }
  for (const spoon of order) {
    const kind = portionOfKind(food.kind, spoon);
    if (kind) return per(kind, SPOONS[spoon]);
  }
  return null;
}

const portion = (food: Food, measure: string): Three | null =>
  food.portions[measure] ?? portionOfKind(food.kind, measure) ?? null;

/** What stands in when a food has no portion of that name. */
const INSTEAD: Record<string, readonly string[]> = {
  inch: ['inch'],
  head: ['piece'],
  ear: ['piece'],
  packet: ['bag', 'box', 'block'],
  bag: ['packet'],
  box: ['packet', 'bag'],
  block: ['packet'],
  jar: ['can', 'bottle'],
  carton: ['packet', 'bottle'],
  tub: ['packet', 'carton'],
  bottle: ['carton', 'jar'],
  pouch: ['packet'],
  stalk: ['sprig', 'piece'],
  sprig: ['stalk'],
  stick: ['piece', 'stalk'],
  thumb: ['inch'],
  sheet: ['piece', 'leaf'],
  strip: ['slice'],
  slice: ['piece'],
  lump: ['piece'],
  square: ['piece'],
  bar: ['block'],
  tube: ['can'],
};
const HARD_TO_HALVE = new Set(['slice', 'stick', 'strip']);

const HOLDS = ['can', 'jar', 'carton', 'tub', 'bottle'] as const;

/** Jars of one thing that nobody buys for one dish. */
const MOST_JARS = 12;

function ofPiece(food: Food, size: string | null, many = false): { grams: Three; why: string } | null {
  if (size !== null && size !== 'medium') {
    const own = food.portions[size];
    if (own) return { grams: own, why: `a ${size} one: ${show(own)}` };
  }
  const own = food.portions.piece;
  // "2 passata": of what comes in no pieces, so many jars
  const holds =
    own || size !== null || food.kind === 'condiment' || many
      ? undefined
      : HOLDS.find((name) => food.portions[name]);
  if (holds) return sized(food.portions[holds] as Three, null, holds);
  const piece = own ?? portion(food, 'piece');
  if (!piece) return null;
  const factor = size === null ? ONE : (VAGUE.sizes[size]?.factor ?? ONE);
  // a size word narrows what a piece can be: it scales the middle, not the ends
  const grams: Three =
    size === null ? piece : [piece[1] * factor[0], piece[1] * factor[1], piece[1] * factor[2]];
  return { grams, why: `one${size ? ` ${size}` : ''}: ${show(grams)}` };
}

const digits = (n: number) => (n >= 10 ? Math.round(n).toString() : Number(n.toPrecision(2)).toString());
const show = ([low, best, high]: Three) =>
  low === high ? `${digits(best)} g` : `${digits(low)}–${digits(high)} g`;

/** Weights that are printed on whole tins and jars (common practice in Europe and North America). */
const TIN_SIZES = [390, 400, 410, 411, 420, 425, 439, 540, 567, 700, 720, 800, 2500];
const isTinSize = (grams: number): boolean => TIN_SIZES.some((size) => Math.abs(size - grams) < 3);

/** Grams of what a shop prints on a packet: a tin's liquid is not what goes into the pot. */
function ofPackage(
  each: NonNullable<Measure['each']>,
  food: Food,
  settings: MeasureSettings,
): { grams: Three; why: string } | null {
  if (each.unit.kind === 'mass') {
    const grams = mul(each.quantity, each.unit.size ?? ONE);
    const share = packageShare(food);
    if (!share || (each.drained && (each.net || !isTinSize(grams[1]))))
      return { grams, why: `${show(grams)} ${share ? 'drained' : 'in each'}` };
    if (each.drained) {
      const [low, best] = mul(grams, share.factor);
      return {
        grams: [low, best, grams[2]],
        why: `${show(grams)} is the size of a tin: it may be weighed with or without its liquid`,
      };
    }
    return { grams: mul(grams, share.factor), why: `${show(grams)} printed; ${share.says}` };
  }
  const ml = millilitres(each.unit, settings);
  const density = densityOf(food);
  return ml && density ? { grams: mul(mul(each.quantity, ml), density), why: 'by volume' } : null;
}

function ofUnit(
  unit: Unit,
  food: Food,
  size: string | null,
  settings: MeasureSettings,
): { grams: Three; why: string } | null {
  if (unit.kind === 'mass') {
    const g = unit.size ?? ONE;
    if (food.refuse === 0) return { grams: g, why: 'weighed' };
    const left = 1 - food.refuse / 100;
    return {
      grams: [g[0] * left, g[1] * left, g[2]],
      why: `weighed; up to ${food.refuse} % is peel, stalk or stone`,
    };
  }
  if (unit.kind === 'volume') {
    const ml = millilitres(unit, settings);
    const density = densityOf(food, unit.id);
    return ml && density ? { grams: mul(ml, density), why: `1 ${unit.id}: ${show(mul(ml, density))}` } : null;
  }
  if (unit.kind === 'vague') {
    const own = portion(food, unit.id);
    const vague = VAGUE.measures[unit.id];
    const hand = settings.hand?.[unit.id];
    const spooned = hand ? densityOf(food, 'tsp') : null;
    if (hand && spooned) return { grams: mul(hand, spooned), why: `your own ${unit.id}, as you weighed it` };
    if (own) return sized(own, size, unit.id);
    const density = densityOf(food, 'tsp');
    if (!vague || !density) return null;
    return { grams: sized(mul(vague.ml, density), size, unit.id).grams, why: `a ${unit.id}: ${vague.why}` };
  }
  if (unit.id === 'piece') return ofPiece(food, size);
  if (unit.id === 'cm') {
    const inch = portion(food, 'inch');
    return inch ? { grams: per(inch, 2.54), why: `1 cm: ${show(per(inch, 2.54))}` } : null;
  }
  if (size !== null && unit.id === 'clove' && food.portions[size])
    return { grams: food.portions[size] as Three, why: `a ${size} clove` };
  const tried = [unit.id, ...(INSTEAD[unit.id] ?? [])];
  for (const name of tried) {
    // a food's own portion of another name is nearer than its kind's of this one
    const own = food.portions[name];
    if (own && !(name === 'piece' && HARD_TO_HALVE.has(unit.id) && own[1] > 60))
      return sized(own, size, name);
  }
  for (const name of tried) {
    const kind = portionOfKind(food.kind, name);
    if (kind && !(name === 'piece' && HARD_TO_HALVE.has(unit.id) && kind[1] > 60))
      return sized(kind, size, name);
  }
  // "a portion of rice": what is usual on a plate
  const plate = unit.id === 'portion' ? unsaid(food, 'serving', 1) : null;
  if (plate)
    return { grams: [plate.grams.low, plate.grams.best, plate.grams.high], why: plate.readings.join('; ') };
  return null;
}

function sized(grams: Three, size: string | null, name: string): { grams: Three; why: string } {
  const factor = size === null ? ONE : (VAGUE.sizes[size]?.factor ?? ONE);
  const out: Three =
    size === null
      ? grams
      : [grams[0] * Math.min(1, factor[0]), grams[1] * factor[1], grams[2] * Math.max(1, factor[2] * 0.8)];
  return { grams: out, why: `${size ? `${size} ` : ''}${name}: ${show(out)}` };
}

/** What is never the whole of a food: "2 cabbage wedges" are no two cabbages. */
const PARTS = new Set(['leaf', 'wedge', 'floret', 'slice', 'strip', 'square']);

/** "2 cinnamon sticks", "3 garlic cloves", "4 nori sheets": the piece is named behind the food. */
function unitBehind(words: string, food: Food): Unit | null {
  const all = words.trim().split(' ');
  const last = all.at(-1) ?? '';
  // "1 aubergine in rounds": what becomes of it
  if (['in', 'into', 'as'].includes(all.at(-2) ?? '')) return null;
  const found = readUnit(last, last, 0);
  if (!found || found.unit.kind !== 'count' || found.end < last.length) return null;
  if (found.unit.id === 'piece') return null;
  return PARTS.has(found.unit.id) || portion(food, found.unit.id) ? found.unit : null;
}

function ofMeasure(
  m: Measure,
  food: Food,
  settings: MeasureSettings,
  words = '',
): { grams: Three; why: string[] } | null {
  const quantity = mul(m.quantity, m.factor);
  // "1 whole garlic bulb": the bulb is what there is one of
  const unit = m.unit && m.unit.id !== 'piece' ? m.unit : (unitBehind(words, food) ?? m.unit);
  const one = m.each
    ? ofPackage(m.each, food, settings)
    : unit
      ? ofUnit(unit, food, m.size, settings)
      : ofPiece(food, m.size, quantity[1] > MOST_JARS);
  if (!one) return null;
  return { grams: mul(quantity, one.grams), why: [...m.readings, one.why] };
}

/** "500 g peeled potatoes" were weighed without their peel; "500 g potatoes, peeled" were not. */
const READY =
  /^(?:\w+ )?(?:peeled|pitted|stoned|destoned|shelled|podded|trimmed|prepared|cleaned|cored|hulled)\b/;
const READY_WEIGHT = /\b(?:peeled|prepared|trimmed|pitted|shelled|edible|net|drained) weight\b/;

/** Bought or cooked so that nothing of it is thrown away. */
const ALL_EATEN =
  /\b(?:unpeeled|un-peeled|not peeled|scrubbed|skins? (?:left )?on|skin-on|with (?:the |their |its )?skins?|florets?|riced|ready[- ]?(?:cut|cooked|prepared)|pre-?(?:cut|chopped|peeled)|vac(?:uum)?[- ]?pack(?:ed)?|frozen)\b/;

const isMass = (m: Measure) => m.unit?.kind === 'mass' || m.each?.unit.kind === 'mass';

const MASHED = /\b(?:mashed|pur[eé]ed|crushed to a pulp)\s/;

/** A spoonful that can be no weight of so many: of them it is a twentieth, or less. */
function isFarLess(said: Measure, count: Measure, food: Food, settings: MeasureSettings): boolean {
  if (said.unit?.kind !== 'volume' || !count.stated || (count.unit && count.unit.kind !== 'count'))
    return false;
  const [all, told] = [count, said].map((m) => ofMeasure(m, food, settings)?.grams);
  return all !== undefined && told !== undefined && told[2] < all[0] / 20;
}

/** How far a piece may be from what is usual before a weight is not taken for one's, or for all. */
const AS_ONE = 1.6;

/** "8 tortillas (25 g)": what one of them weighs, where it can be no weight of all; null otherwise. */
function eachWeighs(count: Measure, said: Measure, food: Food, settings: MeasureSettings): Measure | null {
  const number = count.quantity[0] * count.factor[0];
  if (!said.unit || !count.stated || count.each || count.unit?.package || number < 2) return null;
  if (count.unit && count.unit.kind !== 'count') return null;
  const usual = ofMeasure({ ...count, quantity: ONE, factor: ONE }, food, settings)?.grams;
  const grams = ofMeasure(said, food, settings)?.grams;
  if (!usual || !grams) return null;
  const couldBeAll = grams[2] / number >= usual[0] / AS_ONE;
  const couldBeOne = grams[2] <= usual[2] * AS_ONE;
  if (couldBeAll || !couldBeOne) return null;
  const quantity = mul(said.quantity, said.factor);
  const each = { quantity, unit: said.unit, drained: said.drained === true };
  return { ...count, each, unit: null, size: null };
}

/** Grams that a tin holds as it is sold, at the least and the most (common practice). */
const TIN: readonly [number, number] = [190, 470];
/** How far a pack may be from what is usual. */
const AS_PACK = 1.25;
/** "3 tins tomatoes (1.2 kg)": whether a weight behind packs is of each, of all of them, or may be either. */
function packTold(
  packs: Measure,
  said: Measure,
  number: number,
  food: Food,
  settings: MeasureSettings,
): 'each' | 'all' | 'either' {
  const grams = ofMeasure(said, { ...food, refuse: 0 }, settings)?.grams;
  if (number < 2 || !grams) return 'each';
  const tinned = packs.unit?.id === 'can';
  const one = tinned
    ? ([TIN[0], TIN[0], TIN[1]] as const)
    : ofMeasure({ ...packs, quantity: ONE, factor: ONE, each: null }, { ...food, refuse: 0 }, settings)
        ?.grams;
  if (!one) return 'each';
  const couldBeOne = grams[0] <= one[2] * AS_PACK;
  const couldBeAll = grams[2] / number >= one[0] / AS_PACK;
  // "2 tins (400 g)": as tins are told
  if (!couldBeAll || (tinned && couldBeOne)) return 'each';
  return couldBeOne ? 'either' : 'all';
}

/**
 * Grams of the edible food that a line's amount allows; null where no amount is said or it cannot be
 * weighed. A stated mass overrules a volume, a volume a count.
 */
export function weigh(words: FoodWords, bought: Food, settings: MeasureSettings): Weighed | null {
  const { measures, equivalent } = words;
  const ready =
    bought.refuse > 0 &&
    (READY.test(words.food) ||
      READY_WEIGHT.test(words.notes) ||
      equivalent?.edible === true ||
      ALL_EATEN.test(`${words.food}, ${words.notes}`));
  const eaten = ready ? { ...bought, refuse: 0 } : bought;
  // "1 cup mashed banana" was mashed before it was measured
  const mash = MASHED.test(words.food) ? eaten.portions.mashed : undefined;
  const food = mash ? { ...eaten, portions: { ...eaten.portions, cup: mash } } : eaten;
  if (equivalent && !measures.some(isMass)) {
    const only = measures[0];
    // "3 carrots (100 g each)": the mass of each, times their number
    if (equivalent.each && only)
      return toWeighed([
        ofMeasure({ ...only, each: equivalent.each, unit: null, size: null }, food, settings),
      ]);
    // "2 tins chickpeas (400 g)": what each tin holds
    if (only?.unit?.package && equivalent.unit?.kind === 'mass') {
      const of = (share: number) => {
        const quantity = mul(mul(equivalent.quantity, equivalent.factor), [share, share, share]);
        const each = { quantity, unit: equivalent.unit as Unit, drained: equivalent.drained === true };
        return ofMeasure({ ...only, each }, food, settings);
      };
      const number = only.quantity[0] * only.factor[0];
      const told = packTold(only, equivalent, number, food, settings);
      if (told === 'each') return toWeighed([of(1)]);
      const all = of(1 / number);
      const each = told === 'either' ? of(1) : all;
      return toWeighed([all && each && { grams: [all.grams[0], all.grams[1], each.grams[2]], why: all.why }]);
    }
    const one =
      only && equivalent.unit?.kind === 'mass' ? eachWeighs(only, equivalent, food, settings) : null;
    if (one) return toWeighed([ofMeasure(one, food, settings)]);
    // "3 courgettes, salted (1 tsp)": what is said behind them is of something else
    if (only && isFarLess(equivalent, only, food, settings))
      return toWeighed(measures.map((m) => ofMeasure(m, food, settings, words.food)));
    if (equivalent.unit?.kind === 'mass' || measures.every((m) => m.unit?.kind !== 'volume'))
      return toWeighed([ofMeasure(equivalent, food, settings)]);
  }
  if (measures.length === 0) return null;
  return toWeighed(measures.map((m) => ofMeasure(m, food, settings, words.food)));
}

function toWeighed(parts: readonly ({ grams: Three; why: string[] } | null)[]): Weighed | null {
  let sum: Three = [0, 0, 0];
  const readings: string[] = [];
  for (const part of parts) {
    if (!part) return null;
    sum = [sum[0] + part.grams[0], sum[1] + part.grams[1], sum[2] + part.grams[2]];
    readings.push(...part.why);
  }
  return { grams: range(...sum), readings };
}

/** Reads an amount that is not written, by the food's kind and what it is for. */
export function unsaid(food: Food, purpose: string | null, servings: number): Weighed | null {
  if (purpose !== null)
    for (const p of Object.values(VAGUE.purposes))
      if (p.kinds.includes(food.kind) && p.names.some((n) => purpose.includes(n)))
        return { grams: range(...p.grams), readings: [`no amount, "${purpose}": ${p.why}`] };
  const rule = VAGUE.unsaid[food.id] ?? VAGUE.unsaid[food.kind];
  if (!rule) return null;
  const beside = /\bserv/.test(purpose ?? '');
  if (rule.cookedOnly && (food.waterG ?? 0) < 40 && !beside && !VAGUE.unsaid[food.id]) return null;
  // a side is said as it is eaten: dry grain takes up water, bread holds less of it
  const water = food.waterG ?? 100;
  const dry = rule.cookedOnly && !VAGUE.unsaid[food.id] ? (water < 20 ? 1 / 2.6 : water < 40 ? 0.45 : 1) : 1;
  const [low, best, high] = rule.perServing.map((g) => g * dry) as [number, number, number];
  return {
    grams: range(low * servings, best * servings, high * servings),
    readings: [`no amount: ${rule.why}`],
    byPlate: true,
  };
}
