import type { AuditLimit } from '@/core/audit/schema';
import { showNumber } from '@/core/format/figures';
import { PROTOCOLS, type Limit } from '@/core/protocol';

/** A limit in a few words: "at most 10 %", "none", "at least 70 %". */
export function limitWords(limit: Limit): string {
  const number = showNumber(limit.limit);
  if (limit.bound === 'most' && limit.limit === 0) return 'none';
  const unit =
    limit.unit === '% kcal' ? '%' : limit.per === 'day' ? `${limit.unit.split(' ')[0]} a day` : limit.unit;
  return `${limit.bound === 'most' ? 'at most' : 'at least'} ${number} ${unit}`;
}

/** What of its measure a limit leaves out, in words; null for nothing. */
export function leftOutWords(limit: Limit): string | null {
  const names: Record<string, string> = {
    fermentedSodiumMg: 'fermented soy',
    tableSodiumMg: 'salt at the table',
    avocadoG: 'avocado',
    unrefinedSweetG: 'maple, molasses, date syrup',
  };
  const parts = Object.entries(limit.minus ?? {}).map(
    ([field, share]) => `${share === 1 ? '' : `${Math.round(share * 100)} % of `}${names[field] ?? field}`,
  );
  return parts.length > 0 ? `without ${parts.join(', ')}` : null;
}

/** Verdict of a limit in words; short of a least is no "over". */
export const verdictWords = (limit: Pick<AuditLimit, 'verdict' | 'bound'>): string =>
  limit.verdict === 'over'
    ? limit.bound === 'least'
      ? 'short'
      : 'over'
    : limit.verdict === 'unknown'
      ? 'not known'
      : limit.verdict;

/** A limit's name where there is little room. */
export const shortLabel = (label: string): string => SHORT.get(label) ?? label;

const SHORT = new Map(
  PROTOCOLS.flatMap((p) => p.limits).flatMap((l) => (l.short ? [[l.label, l.short] as const] : [])),
);
