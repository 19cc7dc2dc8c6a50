import { range, type Range } from '@/core/range/range';
import type { LabelNutrient } from './schema';

/** A figure as printed: "0 g", "less than 1 g", "< 0.5 g". */
export interface Printed {
  readonly value: number;
  readonly lessThan: boolean;
}

const around = (value: number, half: number): Range => range(Math.max(0, value - half), value, value + half);
/** Printed nothing: anything below where the rule begins to print. */
const below = (limit: number): Range => range(0, limit / 2, limit);

/** Nearest half gram below 5 g, nearest gram above; under 0.5 g prints as 0. */
function usFat(v: number): Range {
  if (v === 0) return below(0.5);
  if (v < 5) return range(Math.max(0.5, v - 0.25), v, v + 0.25);
  return v === 5 ? range(4.75, 5, 5.5) : around(v, 0.5);
}

/** Nearest gram; under 0.5 g prints as 0, under 1 g may print as "less than 1 g". */
const usGram = (v: number): Range => (v === 0 ? below(0.5) : range(Math.max(0.5, v - 0.5), v, v + 0.5));

function usSodium(v: number): Range {
  if (v === 0) return below(5);
  if (v < 140) return range(Math.max(5, v - 2.5), v, v + 2.5);
  return v === 140 ? range(137.5, 140, 145) : around(v, 5);
}

function usEnergy(v: number): Range {
  if (v === 0) return below(5);
  if (v < 50) return range(Math.max(5, v - 2.5), v, v + 2.5);
  return v === 50 ? range(47.5, 50, 55) : around(v, 5);
}

/**
 * What a figure of a US label can mean, per serving: 21 CFR 101.9(c)(1) energy, (2) fats, (4) sodium,
 * (6) carbohydrate, sugars and fibre, (7) protein.
 */
export function usRange(nutrient: LabelNutrient, { value, lessThan }: Printed): Range {
  if (lessThan) return range(0, value / 2, value);
  switch (nutrient) {
    case 'energyKcal':
      return usEnergy(value);
    case 'fatG':
    case 'saturatedFatG':
      return usFat(value);
    case 'sodiumMg':
      return usSodium(value);
    default:
      return usGram(value);
  }
}

/**
 * What a figure of an EU label can mean, per 100 g: the Commission's guidance on tolerances and rounding for
 * Regulation 1169/2011 (December 2012), recalled: nearest gram from 10 g, nearest 0.1 g below, 0 up to 0.5 g
 * (saturates 0.1 g); salt nearest 0.1 g from 1 g, 0.01 g below, 0 up to 0.0125 g; energy to the nearest unit.
 */
export function euRange(nutrient: LabelNutrient, { value, lessThan }: Printed): Range {
  if (lessThan) return range(0, value / 2, value);
  switch (nutrient) {
    case 'energyKcal':
      return around(value, 0.5);
    case 'sodiumMg': {
      // printed as salt: 1 g salt is 400 mg sodium (× 2.5, Annex I)
      const salt = value / 400;
      if (salt === 0) return below(5);
      return around(value, (salt >= 1 ? 0.05 : 0.005) * 400);
    }
    case 'saturatedFatG':
      if (value === 0) return below(0.1);
      return around(value, value >= 10 ? 0.5 : 0.05);
    default:
      if (value === 0) return below(0.5);
      return around(value, value >= 10 ? 0.5 : 0.05);
  }
}
