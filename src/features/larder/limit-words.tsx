import type { FoodLimit } from '@/core/audit/food';
import { isAmount } from '@/core/audit/limits';
import { showNumber, showRange } from '@/core/format/figures';
import { shortLabel } from '@/kitchen/words';

const MOST_GRAMS = 2000;

/** What a limit says of a food, in words: its share, or how much of it fills a plate. */
export function limitWords({ limit, value, gramsToLimit }: FoodLimit): string {
  if (limit.limit === 0)
    return value && value.high > 1e-9
      ? value.low > 1e-9
        ? 'not allowed'
        : 'perhaps not allowed'
      : 'none in it';
  if (value)
    return `${showRange(value)} of ${showNumber(limit.limit)} ${limit.unit === '% kcal' ? '%' : limit.unit}`;
  if (!isAmount(limit)) return 'not known';
  if (!gramsToLimit) return 'none in it';
  if (gramsToLimit.low > MOST_GRAMS) return 'hardly any in it';
  const high = Math.min(gramsToLimit.high, MOST_GRAMS);
  return `${showRange({ ...gramsToLimit, best: Math.min(gramsToLimit.best, high), high })} g of it fill a plate’s limit`;
}

export function LimitWords({ limit }: { limit: FoodLimit }) {
  return (
    <span>
      {shortLabel(limit.limit.label)}: {limitWords(limit)}
    </span>
  );
}
