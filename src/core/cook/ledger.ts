import raw from '@content/compiled/ledger.json';
import { foodById, type Food } from '@/core/food/table';
import type { RoleId } from '@/core/protocol';
import type { LedgerKey } from './schema';

// checked by Zod when content is compiled
export const LEDGER = raw as unknown as readonly LedgerKey[];

/** The foods of all keys. */
export const LEDGER_FOODS: readonly Food[] = LEDGER.flatMap((key) => foodById(key.food) ?? []);

/** Seasonings that are at hand for a kind of dish, each with what one tap adds. */
export const ledgerKeys = (role: RoleId): readonly LedgerKey[] =>
  LEDGER.filter((key) => key.for === undefined || key.for.includes(role));
