import { allergensNamed } from '@/core/allergen/allergen';
import { findFood, SURE } from '@/core/food/find';
import { AT, FIELDS, outerCorners, TABLE_FIELDS, zeros, type Field } from '@/core/food/nutrients';
import { CLASSES } from '@/core/food/schema';
import { carbohydrateKcal, CLASS_FIELD, foodById, kindLabel, type Food } from '@/core/food/table';
import { readLineWords } from '@/core/recipe/line';
import type { Range } from '@/core/range/range';
import { classesOf, type IngredientClass } from './classes';
import { readLabel } from './read';
import type { Label, Packet } from './schema';

/** A packet as a food for recipes, or why it cannot be one yet. */
export type PacketReading =
  | { readonly ok: true; readonly food: Food; readonly label: Label }
  | { readonly ok: false; readonly label: Label; readonly why: string };

/** Least, best and most of a component per gram; NaN where the packet does not say. */
type Three = readonly [number, number, number];
const UNKNOWN: Three = [NaN, NaN, NaN];
const NONE: Three = [0, 0, 0];
const perGram = (r: Range | null): Three => (r ? [r.low / 100, r.best / 100, r.high / 100] : UNKNOWN);
/** Enough to break a ban, too little to matter to anything else. */
const TRACE = 1e-6;

const CLASS_FIELDS: readonly (readonly [IngredientClass, Field])[] = [
  ['oil', 'oilG'],
  ['nut', 'nutG'],
  ['flax', 'flaxG'],
  ['refined-starch', 'refinedG'],
  ['animal', 'animalG'],
];

/** The share of the product, per gram, that ingredients of a class can be. */
function shareOf(label: Label, kind: IngredientClass, most: number): Three {
  if (label.ingredients.length === 0) return UNKNOWN;
  let low = 0;
  let high = 0;
  let open = false;
  let top: Range | null = null;
  for (const ingredient of label.ingredients) {
    if (ingredient.depth === 0) top = ingredient.share;
    const { classes, known } = classesOf(ingredient);
    if (!classes.has(kind)) {
      open ||= !known;
      continue;
    }
    const share = ingredient.share ?? top;
    low += ingredient.share ? ingredient.share.low / 100 : 0;
    high += share ? share.high / 100 : 1;
  }
  if (high === 0) return open ? [0, 0, Math.min(most, TRACE)] : NONE;
  const cap = Math.max(TRACE, Math.min(1, high, most));
  const floor = Math.min(Math.max(low, TRACE), cap);
  return [floor, kind === 'oil' ? cap : (floor + cap) / 2, cap];
}

const SOUR_JUICE = /\b(?:lemon|lime)\b/i;

/** Added and free sugar per gram: what is printed, else what the ingredients allow. */
function sugars(label: Label): { added: Three; free: Three } {
  const total = perGram(label.per100g.sugarG);
  const printed = perGram(label.per100g.addedSugarG);
  if (label.ingredients.length === 0) return { added: printed, free: [printed[0], printed[1], total[2]] };
  const read = label.ingredients.map(classesOf);
  const named = read.some((r) => r.classes.has('sugar'));
  const open = read.some((r) => !r.known);
  const juices = label.ingredients.filter((i) => /\b(?:juice|concentrate|nectar)\b/i.test(i.text));
  // "includes 0 g" may be up to half a gram, but not where no sugar is among the ingredients
  const none = !named && !open && !(printed[0] > 0);
  const most: Three = named ? [0, total[1], total[2]] : [0, 0, total[2]];
  const added = none ? NONE : Number.isNaN(printed[0]) ? most : printed;
  if (juices.length === 0 && (none || !Number.isNaN(printed[0]))) return { added, free: added };
  const sweetJuice = juices.some((i) => !SOUR_JUICE.test(i.text));
  return {
    added,
    free: [Math.min(added[0], total[1]), Math.max(added[1], sweetJuice ? total[1] : 0), total[2]],
  };
}

/** No product holds more than pure fat or pure salt does: a small serving's rounding would allow it. */
const capped = (value: Three, most: number): Three => value.map((v) => Math.min(v, most)) as unknown as Three;

/** The components that a packet's words allow, per gram: least, best, most. */
function boundsOf(label: Label): Record<Field, Three> {
  const f = label.per100g;
  const out = Object.fromEntries(FIELDS.map((name) => [name, UNKNOWN])) as Record<Field, Three>;
  for (const name of TABLE_FIELDS) if (name in f) out[name] = perGram(f[name as keyof typeof f] ?? null);
  out.energyKcal = capped(out.energyKcal, 9);
  out.sodiumMg = capped(out.sodiumMg, 393.4);
  for (const name of ['fatG', 'carbohydrateG', 'sugarG', 'fibreG', 'proteinG', 'saturatedFatG'] as const)
    out[name] = capped(out[name], 1);
  const { added, free } = sugars(label);
  out.addedSugarG = added;
  out.freeSugarG = free;
  out.alcoholG = label.ingredients.some((i) =>
    /\b(?:wine|beer|rum|mirin|sake|alcohol)\b(?! vinegar)/i.test(i.text),
  )
    ? UNKNOWN
    : NONE;
  out.weightG = [1, 1, 1];
  out.fatKcal = out.fatG.map((g) => 9 * g) as unknown as Three;
  out.freeSugarKcal = free.map((g) => 4 * g) as unknown as Three;
  for (const [kind, field] of CLASS_FIELDS)
    out[field] = shareOf(label, kind, kind === 'oil' ? out.fatG[2] || 1 : 1);
  const salted = shareOf(label, 'salt', 1);
  out.addedSodiumMg = Number.isNaN(salted[0])
    ? UNKNOWN
    : [
        salted[0] > 0 ? out.sodiumMg[0] : 0,
        salted[1] > 0 ? out.sodiumMg[1] : 0,
        salted[2] > 0 ? out.sodiumMg[2] : 0,
      ];
  const sweet = shareOf(label, 'sugar', 1);
  out.sweetG = [sweet[0], Math.max(sweet[1], added[1] || 0), Math.max(sweet[2], added[2] || 0)];
  const carbs = [0, 1, 2].map((i) => {
    const v = zeros();
    for (const name of ['carbohydrateG', 'fibreG', 'energyKcal'] as const)
      // least carbohydrate goes with most fibre
      v[AT[name]] = out[name][name === 'fibreG' ? 2 - i : i] || 0;
    return Number.isNaN(out.carbohydrateG[i] as number) ? NaN : carbohydrateKcal(v);
  });
  out.carbohydrateKcal = carbs as unknown as Three;
  out.proteinKcal = out.proteinG.map((g) => 4 * g) as unknown as Three;
  for (const id of CLASSES) {
    // what a switch leaves out of a limit is not left out of a packet: how much of it there is no label says
    const field = CLASS_FIELD[id];
    out[field] = LEFT_OUT.has(field) ? NONE : shareOf(label, id, 1);
  }
  out.tableSodiumMg = NONE;
  return out;
}

const LEFT_OUT: ReadonlySet<Field> = new Set(['fermentedSodiumMg', 'unrefinedSweetG', 'avocadoG']);

/** The corners of a product per gram. */
const spreadOf = (bounds: Record<Field, Three>): Float64Array[] => {
  const at = (end: 0 | 2) => Float64Array.from(FIELDS, (name) => bounds[name][end]);
  return outerCorners(at(0), at(2));
};

/** Cups, spoons, pieces and packets that the label itself weighs: "Serving size 2 tbsp (32 g)", "Net weight 400 g". */
function portionsOf(text: string): Food['portions'] {
  const out: Food['portions'] = {};
  const serving =
    /\bserving(?: size)?:?\s{0,3}(?:about )?([^\n(]{1,30}?)\s{0,3}\(\s{0,3}(\d{1,6}(?:[.,]\d{1,3})?)\s{0,3}(g|ml)\s{0,3}\)/i.exec(
      text,
    );
  if (serving?.[1] && serving[2]) {
    const measure = readLineWords(`${serving[1]} food`).foods[0]?.measures[0];
    const count = measure ? measure.quantity[1] * measure.factor[1] : 0;
    const name = measure?.unit?.id ?? (measure ? 'piece' : null);
    if (name && count > 0 && measure?.unit?.kind !== 'mass') {
      const grams = Number(serving[2].replace(',', '.')) / count;
      out[name] = [grams, grams, grams];
    }
  }
  const net = /\bnet(?: ?(?:weight|wt|contents))?\.?:?\s*(\d+(?:[.,]\d+)?)\s*(g|kg|ml|l|oz)\b/i.exec(text);
  if (net?.[1]) {
    const factor = { g: 1, ml: 1, kg: 1000, l: 1000, oz: 28.3495 }[(net[2] ?? 'g').toLowerCase()] ?? 1;
    const grams = Number(net[1].replace(',', '.')) * factor;
    for (const name of ['packet', 'can', 'jar', 'carton', 'tub', 'block', 'bottle', 'bag', 'pouch', 'box'])
      out[name] = [grams, grams, grams];
  }
  return out;
}

/** Words of animal foods that plant foods share ("coconut milk"). */
const SHARED_NAMES = new Set(['milk', 'egg', 'fish']);

/** Allergens of a name or an ingredient: those of the food it is, and those it names outright. */
function allergensIn(words: string): string[] {
  const best = findFood(words.toLowerCase(), '', 1)[0];
  const food = best && best.confidence >= SURE ? best.food : null;
  const named = allergensNamed(words).filter(
    (a) => !(food && food.kindClass !== 'animal' && SHARED_NAMES.has(a)),
  );
  return [...(food?.allergens ?? []), ...named];
}

/**
 * Allergens of a packet: of its statement's foods and its "contains" line. Without a statement that can be read they
 * are those of its name and its kin, and further ones are not known.
 */
function allergensOf(
  label: Label,
  packet: Packet,
  like: Food | null,
): Pick<Food, 'allergens' | 'allergensNotKnown' | 'traces'> {
  const stated = label.ingredients.length > 0;
  const words = stated ? label.ingredients.map((i) => i.text) : [packet.name, ...packet.names];
  const all = [
    ...words.flatMap(allergensIn),
    ...label.contains.flatMap(allergensNamed),
    ...(stated ? [] : (like?.allergens ?? [])),
  ];
  const allergens = [...new Set(all)].sort();
  const traces = [...new Set(label.mayContain.flatMap(allergensNamed))].filter((a) => !allergens.includes(a));
  return {
    allergens,
    traces,
    allergensNotKnown: stated ? undefined : 'its packet has no ingredient statement that can be read',
  };
}

/** Substances of no kitchen use: what NOVA knows ultra-processed products by (Monteiro et al., FAO 2019). */
const COSMETIC =
  /\b(?:flavou?r(?:ing)?s?|emulsifiers?|colou?rs?|colou?ring|isolate|protein|maltodextrin|dextrose|modified|methylcellulose|carrageenan|thickeners?|stabili[sz]ers?|hydrogenated|lecithin|malt extract|yeast extract|inulin)\b/i;

function processing(label: Label, like: Food | null): number {
  const hidden = new Set(label.ingredients.flatMap((i) => i.hidden.map((h) => h.class)));
  if (hidden.has('sweetener') || label.ingredients.some((i) => COSMETIC.test(i.text))) return 4;
  if (hidden.has('oil') || hidden.has('salt') || hidden.has('sugar')) return Math.max(3, like?.nova ?? 3);
  return like?.nova ?? (label.ingredients.length === 1 ? 1 : 3);
}

/**
 * The food that a packet is: figures per gram with all that its label's rounding allows, kind and portions
 * of the table's food it is like, classes bounded by its ingredients.
 *
 * Not a food yet where energy, fat or sodium per weight cannot be known from it.
 */
export function readPacket(packet: Packet): PacketReading {
  const label = readLabel(packet.label);
  const { energyKcal, fatG, sodiumMg } = label.per100g;
  if (!energyKcal || !fatG || !sodiumMg) {
    const missing = [!energyKcal && 'energy', !fatG && 'fat', !sodiumMg && 'salt or sodium'].filter(Boolean);
    const why =
      label.servingG === null && (label.perServing.energyKcal ?? null) !== null
        ? 'Say what a serving weighs, or give the figures per 100 g.'
        : `Its ${missing.join(', ')} cannot be read.`;
    return { ok: false, label, why };
  }
  const like = (packet.like ? foodById(packet.like) : null) ?? likelyKin(packet.name);
  const bounds = boundsOf(label);
  const nova = processing(label, like);
  bounds.nova4G = nova === 4 ? [1, 1, 1] : NONE;
  bounds.nova4Kcal = nova === 4 ? bounds.energyKcal : NONE;
  const best = zeros();
  for (const name of FIELDS) best[AT[name]] = bounds[name][1];
  const kind = like?.kind ?? 'packet';
  const hundred = (name: Field) => (Number.isNaN(bounds[name][1]) ? null : bounds[name][1] * 100);
  const hidden = new Set(label.ingredients.flatMap((i) => i.hidden.map((h) => h.class)));
  const food: Food = {
    id: packet.id,
    name: packet.name,
    names: packet.names,
    kind,
    nova,
    ...(Object.fromEntries(TABLE_FIELDS.map((n) => [n, hundred(n)])) as Record<
      (typeof TABLE_FIELDS)[number],
      number | null
    >),
    energyKcal: bounds.energyKcal[1] * 100,
    refuse: 0,
    ...allergensOf(label, packet, like),
    adds: (['oil', 'salt', 'sugar'] as const).filter((a) => hidden.has(a)),
    might: [],
    variant: null,
    classes: [],
    sd: {},
    spans: {},
    perhaps: [],
    source: 'Your packet: its printed figures, with what their rounding allows',
    portions: { ...like?.portions, ...portionsOf(packet.label) },
    perGram: best,
    spread: spreadOf(bounds),
    own: true,
    kindLabel: kindLabel(kind),
    kindClass: like?.kindClass,
  };
  return { ok: true, food, label };
}

/** The food of the table that a packet's name means, whose portions it may borrow. */
export function likelyKin(name: string): Food | null {
  const best = findFood(name.toLowerCase(), '', 1)[0];
  // "oat cream" is no cream: what is in it its ingredients say
  return best && best.confidence >= 0.6 && best.food.kindClass !== 'animal' ? best.food : null;
}

/** Packets that are foods already. */
export const foodsOf = (packets: readonly Packet[]): Food[] =>
  packets.flatMap((p) => {
    const reading = readPacket(p);
    return reading.ok ? [reading.food] : [];
  });
