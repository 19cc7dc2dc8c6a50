import { AT, TABLE_FIELDS, type Field } from '@/core/food/nutrients';
import { ratioBounds, shareBounds, sumBounds, type Corners } from '@/core/range/bounds';
import { eatenG, in100g, isComplete, overEnds, type CompleteDish, type Dish } from './dish';
import { exact, over, range, scale, type Range } from '@/core/range/range';
import type { Contribution, Nutrients } from './schema';

/** Amounts of the table that a serving divides: without water and alcohol. */
const TABLE_AMOUNTS = TABLE_FIELDS.filter((f) => f !== 'waterG' && f !== 'alcoholG') as Exclude<
  (typeof TABLE_FIELDS)[number],
  'waterG' | 'alcoholG'
>[];
/** With the weight of the dish, as eaten and as it goes in. */
const AMOUNTS = [...TABLE_AMOUNTS, 'weightG', 'weightInG'] as const;

const known = (r: Range): Range | null => (Number.isNaN(r.low) || Number.isNaN(r.high) ? null : r);
type Mutable<T> = { -readonly [K in keyof T]: T[K] };

/** Exact ratios of the dish; they do not depend on how it is divided. */
interface Ratios {
  readonly fatSharePercent: Range | null;
  readonly sodiumMgPerKcal: Range | null;
  readonly energyDensityKcalPer100G: Range | null;
}

/** Bounds of all figures of the whole dish; every figure null where a line's corners are missing. */
export function totals(dish: Dish): Nutrients {
  const out = {} as Mutable<Nutrients>;
  if (!isComplete(dish)) {
    for (const name of AMOUNTS) out[name] = null;
    return { ...out, fatSharePercent: null, sodiumMgPerKcal: null, energyDensityKcalPer100G: null };
  }
  for (const name of AMOUNTS) out[name] = overEnds(dish, (d) => amountIn(d, name));
  const ratios: Ratios = {
    fatSharePercent: overEnds(dish, (d) => ratioBounds(d.lines, AT.fatKcal, AT.energyKcal, 100)),
    sodiumMgPerKcal: overEnds(dish, (d) => ratioBounds(d.lines, AT.sodiumMg, AT.energyKcal)),
    energyDensityKcalPer100G: overEnds(dish, (d) => in100g(d, 'energyKcal')),
  };
  return { ...out, ...ratios };
}

/** An amount of the whole dish; null where it is not known. */
const amountIn = (dish: CompleteDish, name: (typeof AMOUNTS)[number]): Range | null =>
  name === 'weightG'
    ? eatenG(dish)
    : known(sumBounds(dish.lines, name === 'weightInG' ? AT.weightG : AT[name]));

/** Figures of one serving. The amounts divide by the servings, the ratios stay. */
export function perServing(dish: Dish, total: Nutrients): Nutrients {
  const out = { ...total } as Mutable<Nutrients>;
  for (const name of AMOUNTS) {
    const value = total[name];
    if (!isComplete(dish) || dish.ends.length === 0) out[name] = value ? over(value, dish.servings) : null;
    else
      out[name] = overEnds(dish, (d) => {
        const whole = amountIn(d, name);
        return whole && over(whole, d.servings);
      });
  }
  return out;
}

/** Figures per 100 g as eaten, each bounded exactly. */
export function per100g(dish: Dish, total: Nutrients): Nutrients {
  const out = { ...total } as Mutable<Nutrients>;
  const whole = isComplete(dish) ? dish : null;
  for (const name of TABLE_AMOUNTS) out[name] = whole ? overEnds(whole, (d) => in100g(d, name)) : null;
  out.weightG = whole ? exact(100) : null;
  out.weightInG = whole ? overEnds(whole, ratioWeights) : null;
  return out;
}

/** Grams that go in for 100 g that are eaten. */
function ratioWeights(dish: CompleteDish): Range {
  const eaten = eatenG(dish);
  const went = sumBounds(dish.lines, AT.weightG);
  return eaten.low > 0
    ? range((100 * went.low) / eaten.high, (100 * went.best) / eaten.best, (100 * went.high) / eaten.low)
    : scale(went, 0);
}

const LINE_FIGURES = [
  'energyKcal',
  'proteinG',
  'fatG',
  'carbohydrateG',
  'fibreG',
  'sugarG',
  'addedSugarG',
  'freeSugarG',
  'sodiumMg',
] as const satisfies readonly Field[];

const fixedParts = new WeakMap<Corners, Omit<Contribution, 'fatSharePoints'>>();

/** Figures of a line that do not depend on the others; remembered, since most lines stay as they were. */
function fixedPart(line: Corners): Omit<Contribution, 'fatSharePoints'> {
  const before = fixedParts.get(line);
  if (before) return before;
  const out = {} as Mutable<Contribution>;
  for (const name of LINE_FIGURES) out[name] = known(sumBounds([line], AT[name]));
  fixedParts.set(line, out);
  return out;
}

const NOTHING_KNOWN = Object.fromEntries(LINE_FIGURES.map((name) => [name, null])) as Omit<
  Contribution,
  'fatSharePoints'
>;

/** What one line brings to the whole dish. */
export function contribution(line: Corners | null, energyOfAll: Range | null): Contribution {
  return {
    ...(line ? fixedPart(line) : NOTHING_KNOWN),
    fatSharePoints:
      line && energyOfAll ? shareBounds(line, energyOfAll, AT.fatKcal, AT.energyKcal, 100) : null,
  };
}
