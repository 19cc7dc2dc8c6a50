import { AT, TABLE_FIELDS, type Field } from '@/core/food/nutrients';
import { ratioBounds, shareBounds, sumBounds, type Corners } from '@/core/range/bounds';
import { over, type Range } from '@/core/range/range';
import type { Contribution, Nutrients } from './schema';

/** Amounts that a serving divides: the table's figures without water and alcohol, and the weight. */
const AMOUNTS = [...TABLE_FIELDS.filter((f) => f !== 'waterG' && f !== 'alcoholG'), 'weightG'] as (
  Exclude<(typeof TABLE_FIELDS)[number], 'waterG' | 'alcoholG'> | 'weightG'
)[];

const known = (r: Range): Range | null => (Number.isNaN(r.low) || Number.isNaN(r.high) ? null : r);
type Mutable<T> = { -readonly [K in keyof T]: T[K] };

/** Exact ratios of the dish; they do not depend on how it is divided. */
interface Ratios {
  readonly fatSharePercent: Range | null;
  readonly sodiumMgPerKcal: Range | null;
  readonly energyDensityKcalPer100G: Range | null;
}

/** Bounds of all figures of the whole dish; every figure null where a line's corners are missing. */
export function totals(lines: readonly (Corners | null)[]): Nutrients {
  const out = {} as Mutable<Nutrients>;
  const complete = lines.every((l): l is Corners => l !== null);
  for (const name of AMOUNTS)
    out[name] = complete && lines.length > 0 ? known(sumBounds(lines as Corners[], AT[name])) : null;
  const ratios: Ratios =
    complete && lines.length > 0
      ? {
          fatSharePercent: ratioBounds(lines as Corners[], AT.fatKcal, AT.energyKcal, 100),
          sodiumMgPerKcal: ratioBounds(lines as Corners[], AT.sodiumMg, AT.energyKcal),
          energyDensityKcalPer100G: ratioBounds(lines as Corners[], AT.energyKcal, AT.weightG, 100),
        }
      : { fatSharePercent: null, sodiumMgPerKcal: null, energyDensityKcalPer100G: null };
  return { ...out, ...ratios };
}

/** Figures of one serving. The amounts divide by the servings, the ratios stay. */
export function perServing(total: Nutrients, servings: Range): Nutrients {
  const out = { ...total } as Mutable<Nutrients>;
  for (const name of AMOUNTS) {
    const value = total[name];
    out[name] = value ? over(value, servings) : null;
  }
  return out;
}

/** Figures per 100 g of what goes into the dish, each bounded exactly. */
export function per100g(lines: readonly (Corners | null)[], total: Nutrients): Nutrients {
  const out = { ...total } as Mutable<Nutrients>;
  const complete = lines.length > 0 && lines.every((l): l is Corners => l !== null);
  for (const name of AMOUNTS)
    out[name] = complete ? ratioBounds(lines as Corners[], AT[name], AT.weightG, 100) : null;
  return out;
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
