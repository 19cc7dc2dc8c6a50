import raw from '@content/compiled/yields.json';
import type { Food } from '@/core/food/table';
import { isHarmless, tokens } from '@/core/food/tokens';
import { remember } from '@/core/memo';
import { AT } from '@/core/food/nutrients';
import { sumBounds, type Corners } from '@/core/range/bounds';
import { exact, range, type Range } from '@/core/range/range';
import { doneText } from '@/core/step/done';
import { TECHNIQUES, type Technique, type YieldFile } from './schema';

// checked by Zod when content is compiled
const file = raw as unknown as YieldFile;

/** Weight as eaten ÷ weight that goes in, of one line, with why. */
export interface Yield {
  readonly factor: Range;
  readonly says: string | null;
  /** Share of its potassium that stays, where cooking water is poured off. */
  readonly potassium?: Range;
}

/** What a yield is judged by: a line's foods, its words and its weight. */
export interface YieldLine {
  readonly foods: readonly Food[];
  readonly text: string;
  /** Best grams; 0 where not known. */
  readonly grams: number;
}

export const YIELD_SOURCE =
  'recalled from USDA Agriculture Handbook 102 (1975) and Bognár 2002, dry foods by water arithmetic';

type Three = readonly [number, number, number];
const SAME: Yield = { factor: exact(1), says: null };

const patterns = TECHNIQUES.map((id) => [id, new RegExp(file.techniques[id], 'i')] as const);
const absorbing = new Map(file.absorb.flatMap((rule) => rule.foods.map((id) => [id, rule] as const)));
const liquidFoods = new Set(file.liquids.foods);
const liquidKinds = new Set(file.liquids.kinds);
const cookedByKind = new Map(file.cooked.flatMap((rule) => rule.kinds.map((kind) => [kind, rule] as const)));
const flours = new Set(file['baked-dough'].flour);
const leachKinds = new Set(file.leached.kinds);
const unsaidKinds = new Set(file.unsaid.kinds);
const SOAKS =
  /\b(?:soak\w*|hydrat\w+|rehydrat\w+|absorb\w*|swell|fluff|overnight|pour (?:over )?(?:the )?(?:boiling|hot)|cover)\b/i;

const techniquesIn = remember(
  (text: string): ReadonlySet<Technique> =>
    new Set(patterns.flatMap(([id, p]) => (p.test(text) ? [id] : []))),
  2000,
);
const wordsIn = remember((text: string): ReadonlySet<string> => new Set(tokens(text)), 2000);
const headsOf = remember(
  (text: string): readonly string[] => tokens(text).filter((t) => t.length > 2 && !isHarmless(t)),
  5000,
);

const isLiquid = (f: Food) => liquidKinds.has(f.kind) || liquidFoods.has(f.id) || /^coconut-milk/.test(f.id);

/** What the whole method says, once for all lines. */
interface Cooking {
  /** The first step that says a word. */
  readonly firstAt: ReadonlyMap<string, number>;
  /** What is done from each step on. */
  readonly from: readonly ReadonlySet<Technique>[];
  readonly all: ReadonlySet<Technique>;
  readonly soaks: boolean;
  /** Cooking water is poured off, not only a tin's. */
  readonly potDrained: boolean;
  readonly liquidG: number;
  readonly dryG: number;
  readonly dough: boolean;
}

const FROM_PACKET = new Set(['canned-bean', 'soy', 'olive', 'condiment', 'salty']);

/** Whether what a step drains came out of a pot: it names something that boils, or nothing out of a tin. */
function drainsPot(lines: readonly YieldLine[], words: ReadonlySet<string>): boolean {
  const named = lines.filter((l) => headsOf(l.text).some((h) => words.has(h)));
  const boiled = named.some((l) =>
    l.foods.some(
      (f) => absorbing.has(f.id) || f.kind === 'starch' || f.kind === 'vegetable' || f.kind === 'leaf',
    ),
  );
  return boiled || !named.some((l) => l.foods.some((f) => FROM_PACKET.has(f.kind)));
}

function cookingOf(lines: readonly YieldLine[], steps: readonly string[]): Cooking {
  const read = steps.map((text) => ({ techniques: techniquesIn(doneText(text)), words: wordsIn(text) }));
  const firstAt = new Map<string, number>();
  read.forEach((s, i) => {
    for (const word of s.words) if (!firstAt.has(word)) firstAt.set(word, i);
  });
  const from: ReadonlySet<Technique>[] = [];
  let after: ReadonlySet<Technique> = new Set();
  for (let i = read.length - 1; i >= 0; i -= 1) {
    const own = read[i]?.techniques ?? new Set<Technique>();
    // most steps add nothing that is not done later as well
    if ([...own].some((t) => !after.has(t))) after = new Set([...own, ...after]);
    from[i] = after;
  }
  const all = from[0] ?? new Set<Technique>();
  const sum = (test: (f: Food) => boolean) =>
    lines.reduce((g, l) => (l.foods.some(test) ? g + l.grams : g), 0);
  return {
    firstAt,
    from,
    all,
    soaks: steps.some((s) => SOAKS.test(doneText(s))),
    potDrained: read.some((s) => s.techniques.has('drain') && drainsPot(lines, s.words)),
    liquidG: sum((f) => isLiquid(f) && f.kind !== 'alcohol'),
    dryG: sum((f) => absorbing.has(f.id)),
    dough: (all.has('bake') || all.has('roast')) && lines.some((l) => l.foods.some((f) => flours.has(f.id))),
  };
}

/** Techniques that may touch a line: those of the steps from where it is first named on; `named` where it is. */
function touching(line: YieldLine, cooking: Cooking): { techniques: ReadonlySet<Technique>; named: boolean } {
  const heads = headsOf(line.foods[0]?.name ?? line.text).concat(headsOf(line.text));
  const first = Math.min(...heads.map((h) => cooking.firstAt.get(h) ?? Infinity));
  const own = techniquesIn(line.text);
  const named = first !== Infinity;
  return { techniques: new Set([...((named ? cooking.from[first] : null) ?? cooking.all), ...own]), named };
}

/** Any of several factors may hold: their ends, the mean of their best. */
function anyOf(factors: readonly Three[]): Range {
  const low = Math.min(...factors.map((f) => f[0]));
  const high = Math.max(...factors.map((f) => f[2]));
  return range(low, factors.reduce((s, f) => s + f[1], 0) / factors.length, high);
}

function ofDry(
  food: Food,
  cooking: Cooking,
  techniques: ReadonlySet<Technique>,
  bare: boolean,
): Yield | null {
  const rule = absorbing.get(food.id);
  if (!rule) return null;
  const [low, best, high] = rule.factor;
  const wet = techniques.has('boil') || techniques.has('simmer') || techniques.has('steam') || cooking.soaks;
  const enough = cooking.liquidG >= 1.5 * cooking.dryG;
  if (bare) return { factor: range(1, enough ? 1 : best, high), says: rule.says };
  if (!wet && !techniques.has('bake'))
    return { factor: range(1, 1, high), says: 'it is not said to be cooked' };
  if (cooking.potDrained || cooking.liquidG === 0) return { factor: range(low, best, high), says: rule.says };
  return enough
    ? { factor: exact(1), says: 'the liquid it takes up is listed' }
    : { factor: range(1, (1 + best) / 2, high), says: rule.says };
}

function ofLiquid(food: Food, cooking: Cooking, techniques: ReadonlySet<Technique>): Yield | null {
  if (!isLiquid(food)) return null;
  const { liquids } = file;
  const as = (rule: { factor: Three; says: string }): Yield => ({
    factor: range(...rule.factor),
    says: rule.says,
  });
  if (food.kind === 'water' && cooking.potDrained) return as(liquids.drainedMaybe);
  if (techniques.has('halve')) return as(liquids.halved);
  if (techniques.has('reduce')) return as(liquids.reduced);
  if (cooking.dryG > 0 && (techniques.has('boil') || techniques.has('simmer'))) return as(liquids.absorbed);
  if (techniques.has('boil') || techniques.has('simmer') || techniques.has('fry'))
    return as(liquids.simmered);
  if (techniques.has('bake') || techniques.has('roast')) return as(liquids.baked);
  return SAME;
}

function ofFresh(food: Food, techniques: ReadonlySet<Technique>, named: boolean): Yield | null {
  const rule = cookedByKind.get(food.kind);
  if (!rule || (food.waterG ?? 100) < 40) return null;
  const factors = [...techniques].flatMap((t) => {
    const factor = rule.factors[t];
    return factor ? [factor] : [];
  });
  if (factors.length === 0) return SAME;
  const any = anyOf(named ? factors : [...factors, [1, 1, 1]]);
  return { factor: any, says: rule.says };
}

/** One food's yield in this dish. */
function ofFood(food: Food, line: YieldLine, cooking: Cooking, bare: boolean): Yield {
  if (bare) {
    const dry = ofDry(food, cooking, cooking.all, true);
    if (dry) return dry;
    return unsaidKinds.has(food.kind) && (food.waterG ?? 100) >= 40
      ? { factor: range(...file.unsaid.factor), says: file.unsaid.says }
      : SAME;
  }
  const { techniques, named } = touching(line, cooking);
  const own =
    (cooking.dough ? null : ofDry(food, cooking, techniques, false)) ??
    ofLiquid(food, cooking, techniques) ??
    ofFresh(food, techniques, named) ??
    SAME;
  if (cooking.potDrained && techniques.has('boil') && leachKinds.has(food.kind))
    return { ...own, potassium: range(...file.leached.potassium) };
  if (!cooking.dough || own.factor.low < 0.8) return own;
  const { factor, says } = file['baked-dough'];
  return { factor: anyOf([factor, [own.factor.low, own.factor.best, own.factor.high]]), says };
}

/**
 * How much of each line's weight is on the plates, from what the method does with it.
 *
 * Water that is taken up, boiled off, poured away; nothing where the method does not touch it. The range
 * holds all techniques that may touch the line, for the method seldom says of each.
 *
 * @param steps the method's sentences; none: raw or cooked, both ends
 */
export function yieldsOf(lines: readonly YieldLine[], steps: readonly string[]): Yield[] {
  const cooking = cookingOf(lines, steps);
  return lines.map((line) => {
    const each = line.foods.map((food) => ofFood(food, line, cooking, steps.length === 0));
    if (each.length <= 1) return each[0] ?? SAME;
    return {
      factor: anyOf(each.map((y) => [y.factor.low, y.factor.best, y.factor.high])),
      says: each.find((y) => y.says !== null)?.says ?? null,
    };
  });
}

/** Grams of a dish as eaten: what each line weighs times what the method leaves of it. */
export function weightEaten(lines: readonly Corners[], factors: readonly Range[]): Range {
  let low = 0;
  let best = 0;
  let high = 0;
  lines.forEach((line, i) => {
    const own = sumBounds([line], AT.weightG);
    const factor = factors[i] ?? SAME.factor;
    low += own.low * factor.low;
    best += own.best * factor.best;
    high += own.high * factor.high;
  });
  return { low, best, high };
}
