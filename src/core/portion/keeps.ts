const DAY_MS = 24 * 60 * 60_000;

/** Days that cooked food keeps: in the fridge by safety, in the freezer by quality. */
export const KEEPS = {
  fridge: { low: 3, high: 4 },
  freezer: { low: 60, high: 120 },
} as const;

/** Where the days come from. */
export const KEEPS_SOURCE =
  'USDA FSIS, “Leftovers and Food Safety”: cooled within 2 hours, 3–4 days at 4 °C or colder, 3–4 months frozen, reheated to 74 °C';

/** Until when a box is eaten: the last moment of the safe days. */
export const keepsUntil = (place: keyof typeof KEEPS, madeAt: number): number =>
  madeAt + KEEPS[place].high * DAY_MS;

/** Whole days that are left of a box; below zero once it is over. */
export const daysLeft = (place: keyof typeof KEEPS, madeAt: number, now: number): number =>
  Math.floor((keepsUntil(place, madeAt) - now) / DAY_MS);
