import { readFileSync } from 'node:fs';
import path from 'node:path';
import { foodById, type Food } from '../src/core/food/table';
import { PROTOCOLS, protocolById, type Protocol } from '../src/core/protocol';
import { coverage, isBanned, isRefused } from '../src/core/swap/coverage';
import { SWAPS } from '../src/core/swap/roles';
import { swapReport } from './swap-report';

const strict = protocolById('heart-strict') as Protocol;
const swap = (id: string) => SWAPS.find((s) => s.id === id) as (typeof SWAPS)[number];

describe('what the swaps cover', () => {
  test('the page in docs is what the data says', () => {
    expect(readFileSync(path.resolve('docs/swap-report.md'), 'utf8')).toBe(swapReport());
  });
  test('no family is left without a swap in any role', () => {
    expect(coverage(PROTOCOLS).gaps).toEqual([]);
  });
  test('at least 250 swaps', () => expect(SWAPS.length).toBeGreaterThanOrEqual(250));
  test('a gap is seen: without its swaps oil has none', () => {
    // the check can fail: of a protocol that bans the stand-ins too nothing is left
    const nothing: Protocol = {
      ...strict,
      limits: strict.limits.map((l) => ({ ...l, limit: 0, of: 'weightG', per: 'serving' as const })),
    };
    expect(coverage([nothing]).gaps.some((g) => g.kind === 'oil')).toBe(true);
  });
  test('what a protocol bans and what it refuses', () => {
    expect(isBanned(foodById('olive-oil') as Food, strict)).toBe(true);
    expect(isBanned(foodById('onion') as Food, strict)).toBe(false);
    expect(isRefused(swap('saute-stock'), strict)).toBe(false);
    // nuts for nuts, where none is allowed
    const less = SWAPS.find((s) => s.from.kinds?.includes('nut') && s.to.some((t) => t.food === 'same'));
    expect(less && isRefused(less, strict)).toBe(true);
  });
});
