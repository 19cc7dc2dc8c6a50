import { isAmount } from '@/core/audit/limits';
import type { AuditLimit } from '@/core/audit/schema';
import { showNumber } from '@/core/format/figures';
import type { Limit, Protocol } from '@/core/protocol';

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

/** One row of the schools side by side: what each protocol says of one thing. */
export interface SchoolRow {
  readonly key: string;
  readonly label: string;
  readonly cells: readonly (Limit | null)[];
  /** True where not all say the same. */
  readonly differs: boolean;
}

/** All things that any of the protocols limits, in the order they come up. */
export function schoolRows(protocols: readonly Protocol[]): SchoolRow[] {
  const keyOf = (l: Limit) => `${l.of} ${l.bound} ${isAmount(l) ? 'amount' : l.per}`;
  const keys = [...new Set(protocols.flatMap((p) => p.limits.map(keyOf)))];
  return keys.map((key) => {
    const cells = protocols.map((p) => p.limits.find((l) => keyOf(l) === key) ?? null);
    const said = new Set(cells.map((l) => (l ? `${limitWords(l)} ${leftOutWords(l) ?? ''}` : '')));
    const label = cells.find((l) => l !== null)?.label ?? key;
    return { key, label, cells, differs: said.size > 1 };
  });
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
