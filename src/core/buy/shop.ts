import raw from '@content/compiled/aisles.json';
import yields from '@content/compiled/yields.json';
import { pricePerGram, type Prices } from '@/core/cost/cost';
import { buyingWords } from '@/core/food/buying';
import { foodById, type Food } from '@/core/food/table';
import type { MeasureSettings } from '@/core/measure/units';
import type { YieldFile } from '@/core/prepare/schema';
import { add, exact, over, range, scale, times, type Range } from '@/core/range/range';
import type { ReadFood, ReadLine, ReadRecipe } from '@/core/read/types';
import type { AisleFile, Shopping } from './schema';

// checked by Zod when content is compiled
const file = raw as unknown as AisleFile;
const aisleOfKind = new Map(file.aisles.flatMap((a) => a.kinds.map((kind) => [kind, a.name] as const)));
const aisleOfFood = new Map(file.aisles.flatMap((a) => a.foods.map((id) => [id, a.name] as const)));
const placeOf = new Map(file.aisles.map((a, i) => [a.name, i]));

/** A dish that is shopped for, and how often it is made. */
export interface ShopDish {
  readonly source: string;
  readonly read: ReadRecipe;
  readonly times: number;
}

export interface ShopSettings {
  readonly measures: MeasureSettings;
  readonly prices?: Prices;
  /** Foods that are in the kitchen already, by id. */
  readonly has?: ReadonlySet<string>;
  /** Tins that are bought dry and cooked at home, by the id of the tinned food. */
  readonly dry?: ReadonlySet<string>;
}

interface Need {
  readonly food: Food;
  edible: Range;
  /** How many packages the lines themselves ask for; null where some ask in other words. */
  packages: Range | null;
  readonly for: { source: string; line: number }[];
}

/** Water comes out of the tap. */
const FREE = new Set(['water']);

/** Dry foods that take up water, with how many times their weight they are when cooked. */
const swelling = new Map(
  (yields as unknown as YieldFile).absorb.flatMap((rule) =>
    rule.foods.map((id) => [id, rule.factor] as const),
  ),
);

/** The dry food of what is sold in a tin; undefined where there is none. */
export function dryOf(id: string): Food | undefined {
  const base = id.replace(/-canned(?:-nsa)?$/, '');
  if (base === id) return undefined;
  return [`${base}-dry`, base].map(foodById).find((f) => f !== undefined && (f.waterG ?? 100) < 20);
}

/** What is bought for a food: grain and beans that are cooked at home are bought dry. */
function boughtAs(
  food: Food,
  edible: Range,
  inTins: boolean,
): { readonly food: Food; readonly edible: Range } {
  const beans = inTins ? undefined : dryOf(food.id);
  const swells = beans && swelling.get(beans.id);
  if (beans && swells) return { food: beans, edible: over(edible, range(...swells)) };
  const dry = food.id.endsWith('-cooked') ? foodById(food.id.replace(/-cooked$/, '')) : undefined;
  const factor = dry && swelling.get(dry.id);
  return dry && factor ? { food: dry, edible: over(edible, range(...factor)) } : { food, edible };
}

/** Grams bought for grams eaten: peel, stalk and stone are paid for too. */
export const boughtFor = (food: Food, edible: Range): Range =>
  food.refuse > 0 && food.refuse < 100 ? scale(edible, 1 / (1 - food.refuse / 100)) : edible;

/** The fewest grams over, then the fewest packages: so many of one size as surely are enough. */
function packagesFor(food: Food, bought: Range, asked: Range | null): Shopping['items'][number]['packages'] {
  const sizes = file.packages.foods[food.id] ?? file.packages.kinds[food.kind];
  if (!sizes || bought.high <= 0) return [];
  // "2 tins" are two tins, whatever one holds
  if (asked && asked.high > 0) {
    const each = bought.best / asked.best;
    const near = [...sizes].sort(([a], [b]) => Math.abs(a - each) - Math.abs(b - each))[0];
    const count = Math.ceil(asked.high - 1e-9);
    const spare = Math.max(0, count - asked.best) * each;
    if (near)
      return [{ size: near[1], count, leftG: range(0, spare, Math.max(spare, (count - asked.low) * each)) }];
  }
  const ways = sizes.map(([grams, size]) => {
    const count = Math.max(1, Math.ceil(bought.high / grams - 1e-9));
    const all = count * grams;
    return {
      size,
      count,
      over: all - bought.high,
      leftG: range(all - bought.high, all - bought.best, all - bought.low),
    };
  });
  ways.sort((a, b) => a.over - b.over || a.count - b.count);
  return ways.slice(0, 1).map(({ size, count, leftG }) => ({ size, count, leftG }));
}

/** How many packages a line asks for of its only food; null where it says so in other words. */
function packagesAsked(line: ReadLine): Range | null {
  const [words] = line.words?.foods ?? [];
  const [m] = words?.measures ?? [];
  if (line.foods.length !== 1 || line.optional || line.assumed || line.alternatives.length > 0 || line.share)
    return null;
  return words?.measures.length === 1 && m?.unit?.id === 'can' ? range(...m.quantity) : null;
}

/** Grams that a line brings of each of its foods; a food that is one of several may not be bought at all. */
function gramsOf(line: ReadLine): { readonly food: ReadFood; readonly grams: Range }[] {
  if (line.nothing) return [];
  const loose = line.optional || line.assumed;
  const either = line.alternatives.length > 0;
  const least = (grams: Range, may: boolean): Range => (may ? { ...grams, low: 0 } : grams);
  const share = (grams: Range) => (line.share ? times(grams, line.share.share) : grams);
  return [
    ...line.foods.flatMap((food) =>
      food.grams ? [{ food, grams: least(share(food.grams), loose || either) }] : [],
    ),
    ...line.alternatives.flatMap((food) =>
      food.grams ? [{ food, grams: { ...share(food.grams), low: 0, best: 0 } }] : [],
    ),
  ];
}

/**
 * What to buy for some dishes: every food once, however many lines and dishes want it, with what peel and stalk cost,
 * packages that surely are enough, what is left of them, and what to look for on the label. A line that is not
 * understood is named, never left out.
 */
export function shop(dishes: readonly ShopDish[], settings: ShopSettings): Shopping {
  const needs = new Map<string, Need>();
  const unresolved: string[] = [];
  for (const { source, read, times: by } of dishes)
    read.lines.forEach((line, index) => {
      if (line.missing !== null) unresolved.push(line.line.text);
      for (const { food: f, grams } of gramsOf(line)) {
        const { food } = f;
        if (!food || FREE.has(food.kind) || food.id.startsWith('recipe-')) continue;
        const bought = boughtAs(food, scale(grams, by), !settings.dry?.has(food.id));
        const need = needs.get(bought.food.id) ?? {
          food: bought.food,
          edible: exact(0),
          packages: exact(0),
          for: [],
        };
        need.edible = add(need.edible, bought.edible);
        const asked = bought.food === food ? packagesAsked(line) : null;
        need.packages = need.packages && asked ? add(need.packages, scale(asked, by)) : null;
        if (!need.for.some((x) => x.source === source && x.line === index))
          need.for.push({ source, line: index });
        needs.set(bought.food.id, need);
      }
    });
  const items = [...needs.values()].map((need) => {
    const { food, edible } = need;
    const bought = boughtFor(food, edible);
    const price = settings.prices?.[food.id];
    const one = price ? pricePerGram(price, food, settings.measures) : null;
    return {
      food: { id: food.id, name: food.name },
      gramsEdible: edible,
      gramsBought: bought,
      packages: packagesFor(food, bought, need.packages),
      aisle: aisleOfFood.get(food.id) ?? aisleOfKind.get(food.kind) ?? 'Other',
      words: [...(buyingWords(food)?.words ?? [])],
      for: need.for,
      cost: one ? times(edible, one) : null,
      have: settings.has?.has(food.id) ?? false,
    };
  });
  items.sort(
    (a, b) =>
      (placeOf.get(a.aisle) ?? 99) - (placeOf.get(b.aisle) ?? 99) || (a.food.name < b.food.name ? -1 : 1),
  );
  return { schema: 'dulvet.shopping/1', items, unresolved: [...new Set(unresolved)] };
}

/** A list in plain words, by the way through the shop: to be sent, printed or pasted. */
export function listText(list: Shopping, bought: ReadonlySet<string> = new Set()): string {
  const aisles = [...new Set(list.items.map((i) => i.aisle))];
  const row = (i: Shopping['items'][number]): string => {
    const [pack] = i.packages;
    const amount = pack ? `${pack.count} × ${pack.size}` : `${Math.ceil(i.gramsBought.high)} g`;
    const look = i.words.length > 0 ? ` (${i.words.join(', ')})` : '';
    return `${bought.has(i.food.id) ? '[x]' : '[ ]'} ${i.food.name}, ${amount}${look}`;
  };
  return [
    ...aisles.flatMap((aisle) => [aisle, ...list.items.filter((i) => i.aisle === aisle).map(row), '']),
    ...list.unresolved.map((u) => `Not understood, look yourself: ${u}`),
  ]
    .join('\n')
    .trim();
}

/** A list as rows of a table: food, grams bought, packages, what to look for, cost. */
export const listRows = (list: Shopping): Record<string, string | number>[] =>
  list.items.map((i) => ({
    aisle: i.aisle,
    food: i.food.name,
    'grams, least': Math.round(i.gramsBought.low),
    'grams, most': Math.round(i.gramsBought.high),
    packages: i.packages.map((p) => `${p.count} × ${p.size}`).join(' + '),
    'look for': i.words.join(', '),
    cost: i.cost ? Number(i.cost.best.toFixed(2)) : '',
  }));

/** What a list costs; `more` where something on it has no price. */
export function listCost(list: Shopping): { readonly cost: Range; readonly more: boolean } {
  const known = list.items.flatMap((i) => (i.cost ? [i.cost] : []));
  return { cost: known.reduce<Range>(add, exact(0)), more: known.length < list.items.length };
}
