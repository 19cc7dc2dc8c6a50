import type { Range } from '@/core/range/range';

/** A number with no more digits than a kitchen needs: 0.03, 0.4, 2.4, 18. */
export function showNumber(n: number): string {
  const size = Math.abs(n);
  if (size < 0.005) return '0';
  if (size < 0.1) return Number(n.toPrecision(1)).toString();
  if (size < 10) return (Math.round(n * 10) / 10).toString();
  return Math.round(n).toString();
}

/**
 * A range in as few digits as it carries: "18", "12–18", "250". Ends that look the same are one number;
 * a wide range is rounded to its width.
 */
export function showRange({ low, best, high }: Range): string {
  if (high > 0 && high < 0.05) return '<0.1';
  const width = high - low;
  const step = width > 200 ? 10 : width > 20 ? 5 : width > 4 ? 1 : 0;
  const shown = (n: number) => showNumber(step && n > step * 2 ? Math.round(n / step) * step : n);
  const [a, b] = [shown(low), shown(high)];
  return a === b || high - low < 0.015 * Math.max(best, 1e-9) ? showNumber(best) : `${a}–${b}`;
}
