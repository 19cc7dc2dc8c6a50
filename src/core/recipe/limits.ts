import { byteLength, MOST_BYTES } from '@/core/format/text';

/** Most plates, and most grams of a pot, a plate or a line, that anybody means. The same wherever they enter or leave. */
export const MOST_SERVINGS = 1000;
export const MOST_GRAMS = 100_000;

export const isServings = (n: number): boolean => n > 0 && n <= MOST_SERVINGS;
export const isGrams = (n: number): boolean => n > 0 && n <= MOST_GRAMS;

/** Why a recipe's text cannot be kept; null where it can. */
export const refuseText = (text: string): string | null =>
  text.length > MOST_BYTES || (text.length > MOST_BYTES / 4 && byteLength(text) > MOST_BYTES)
    ? 'This is over 1 MiB, larger than any recipe.'
    : null;
