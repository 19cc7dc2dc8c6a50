import { isAmount } from '@/core/audit/limits';
import type { Limit, Protocol } from '@/core/protocol';
import { leftOutWords, limitWords } from '@/kitchen/words';

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
