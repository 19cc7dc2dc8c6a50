import { findFood } from './find';

/** A food found, with the figures one looks up first (per 100 g). */
export interface FoodRow {
  readonly id: string;
  readonly name: string;
  readonly confidence: number;
  readonly as: string;
  readonly kind: string;
  readonly energyKcal: number;
  readonly fatG: number | null;
  readonly sodiumMg: number | null;
  readonly source: string;
}

/** Foods that words may mean, the likeliest first. */
export const foodRows = (query: string, limit = 8): FoodRow[] =>
  findFood(query, '', limit).map(({ food, confidence, as }) => ({
    id: food.id,
    name: food.name,
    confidence,
    as,
    kind: food.kind,
    energyKcal: food.energyKcal,
    fatG: food.fatG,
    sodiumMg: food.sodiumMg,
    source: food.source,
  }));
