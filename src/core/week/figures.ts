import { add, exact, hull, scale, type Range } from '@/core/range/range';
import type { Nutrients } from '@/core/audit/schema';

/** A figure of somebody's days, a day on the average. */
export interface WeekFigure {
  readonly id: string;
  readonly label: string;
  readonly unit: string;
  /** Null where no day is understood. */
  readonly perDay: Range | null;
  /** What a day's value is set beside; null where there is none. */
  readonly beside: number | null;
}

/** Daily Values of 21 CFR 101.9(c)(8)(iv) and (c)(9), recalled: a yardstick, no verdict. */
const FIGURES = [
  ['energyKcal', 'Energy', 'kcal', null],
  ['saturatedFatG', 'Saturated fat', 'g', 20],
  ['sodiumMg', 'Sodium', 'mg', 2300],
  ['addedSugarG', 'Added sugar', 'g', 50],
  ['freeSugarG', 'Free sugar', 'g', null],
  ['proteinG', 'Protein', 'g', 50],
  ['fibreG', 'Fibre', 'g', 28],
  ['ironMg', 'Iron', 'mg', 18],
  ['calciumMg', 'Calcium', 'mg', 1300],
] as const;

/** Where the yardsticks come from. */
export const FIGURES_SOURCE = '21 CFR 101.9(c)(8)(iv) and (c)(9), Daily Values, recalled';

const meanOf = (values: readonly (Range | null)[]): Range | null => {
  if (values.length === 0 || values.some((v) => v === null)) return null;
  return scale(
    values.reduce<Range>((sum, v) => add(sum, v as Range), exact(0)),
    1 / values.length,
  );
};

/**
 * Figures of some days of one diner, a day on the average of those that are understood. The fat share of several days lies between the lowest and the
 * highest of them, the likeliest weighted by energy.
 *
 * @param needKcal the diner's own need of energy, where she gave one
 */
export function figuresOf(
  all: readonly { readonly totals: Nutrients }[],
  needKcal: number | null,
): WeekFigure[] {
  const days = all.filter((d) => d.totals.energyKcal !== null);
  const amounts = FIGURES.map(([id, label, unit, beside]): WeekFigure => ({
    id,
    label,
    unit,
    perDay: meanOf(days.map((d) => d.totals[id])),
    beside: id === 'energyKcal' ? needKcal : beside,
  }));
  const shares = days.map((d) => d.totals.fatSharePercent);
  const energies = days.map((d) => d.totals.energyKcal);
  let share: Range | null = null;
  if (days.length > 0 && shares.every((s) => s !== null) && energies.every((e) => e !== null)) {
    const kcal = energies.reduce((sum, e) => sum + (e as Range).best, 0);
    const best = shares.reduce(
      (sum, s, i) => sum + ((s as Range).best * (energies[i] as Range).best) / kcal,
      0,
    );
    const whole = (shares as Range[]).reduce(hull);
    share =
      kcal > 0
        ? { low: whole.low, best: Math.min(Math.max(best, whole.low), whole.high), high: whole.high }
        : null;
  }
  const densities = days.flatMap((d) => d.totals.energyDensityKcalPer100G ?? []);
  const density =
    densities.length > 0 && densities.length === days.length
      ? densities.reduce<Range | null>((a, d) => (a ? hull(a, d) : d), null)
      : null;
  return [
    ...amounts.slice(0, 1),
    { id: 'fatSharePercent', label: 'Fat share', unit: '% of kcal', perDay: share, beside: null },
    {
      id: 'energyDensityKcalPer100G',
      label: 'Energy density',
      unit: 'kcal in 100 g',
      // the likeliest of several days: their middle
      perDay: density && {
        ...density,
        best: densities.reduce((sum, d) => sum + d.best, 0) / densities.length,
      },
      beside: null,
    },
    ...amounts.slice(1),
  ];
}

/**
 * What a day leaves for one of its meals: the limit less the most that the others bring. Null for a ratio, which another
 * meal makes up for, and where one of the others is not known.
 *
 * @param at the place of the meal among the day's parts
 */
export function roomFor(
  day: {
    readonly limits: readonly { readonly id: string; readonly limit: number; readonly unit: string }[];
    readonly parts: readonly { readonly by: Readonly<Record<string, Range | null>> }[];
  },
  limitId: string,
  at: number,
  isAmount: boolean,
): number | null {
  const limit = day.limits.find((l) => l.id === limitId);
  if (!limit || !isAmount) return null;
  let room = limit.limit;
  for (const [i, part] of day.parts.entries()) {
    if (i === at) continue;
    const own = part.by[limitId];
    if (!own) return null;
    room -= own.high;
  }
  return Math.max(0, room);
}
