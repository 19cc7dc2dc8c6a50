import type { AuditLimit, AuditLine, RecipeAudit, Verdict } from '@/core/audit/schema';
import { AT } from '@/core/food/nutrients';
import { showNumber, showRange } from '@/core/format/figures';
import { type Limit, type Protocol } from '@/core/protocol';
import { isAmount } from '@/core/audit/limits';
import { factorOf, partOfLimit } from '@/core/protocol/part';
import { partOf } from '@/core/range/bounds';
import { over, type Range } from '@/core/range/range';
import type { ReadRecipe } from '@/core/read/types';
import type { Mark } from '@/ui/glyph';

/** Where the limit's rule stands on the scale, and the end of the scale, in limits. */
export const RULE_AT = 0.46;
export const SCALE_END = 1 / RULE_AT;

/** Part of a gauge that one line fills, in shares of the limit (1 is the limit). */
export interface Segment {
  readonly line: number;
  readonly from: number;
  readonly share: number;
}

/** One limit on the common scale. */
export interface Gauge {
  readonly limit: AuditLimit;
  readonly segments: readonly Segment[];
  /** Lowest, best and highest reading in shares of the limit; null where not known. */
  readonly low: number | null;
  readonly best: number | null;
  readonly high: number | null;
  readonly value: string;
  readonly bound: string;
  /** How many times over, where the scale ends before the value. */
  readonly times: string | null;
}

/** Stretches between the lowest and the highest reading, parted at the limit; and where the likeliest stands. */
export function openPart({ low, best, high, limit, times }: Gauge): {
  open: { from: number; to: number; bad: boolean }[];
  best: number | null;
} {
  if (low === null || high === null || times !== null || high - low < 0.01) return { open: [], best: null };
  const from = Math.min(low, SCALE_END);
  const to = Math.min(high, SCALE_END);
  // past the limit for a most, short of it for a least
  const bad = (side: 'below' | 'above') => (limit.bound === 'least' ? side === 'below' : side === 'above');
  const parts =
    from < 1 && to > 1
      ? [
          { from, to: 1, bad: bad('below') },
          { from: 1, to, bad: bad('above') },
        ]
      : [{ from, to, bad: bad(to > 1 ? 'above' : 'below') }];
  return { open: parts, best: best !== null && best < SCALE_END ? best : null };
}

/** A thing that is not allowed at all, and the lines that bring it. */
export interface Ban {
  readonly limit: AuditLimit;
  readonly lines: readonly number[];
}

const UNIT_WORDS: Record<string, string> = { '% kcal': '%', 'mg a serving': 'mg', 'g a serving': 'g' };

export function gaugesOf(
  audit: RecipeAudit,
  read: ReadRecipe,
  protocol: Protocol,
): { gauges: Gauge[]; bans: Ban[] } {
  const gauges: Gauge[] = [];
  const bans: Ban[] = [];
  const energy = read.lines.reduce((sum, l) => sum + (l.corners?.[0]?.[AT.energyKcal] ?? 0), 0);
  const eaten = audit.total.weightG?.best ?? 0;
  const divisor = (rule: Limit) =>
    isAmount(rule) ? read.servings.range.best : (rule.per === '100g' ? eaten : energy) / factorOf(rule.per);
  audit.limits.forEach((limit, i) => {
    const rule = protocol.limits[i];
    if (!rule) return;
    if (limit.limit === 0) {
      const lines = read.lines.flatMap((l, j) =>
        l.corners?.some((c) => partOf(c, partOfLimit(rule)) > 1e-9) ? [j] : [],
      );
      bans.push({ limit, lines });
      return;
    }
    const by = divisor(rule);
    const segments: Segment[] = [];
    let from = 0;
    read.lines.forEach((l, line) => {
      const first = l.corners?.[0];
      const amount = first ? partOf(first, partOfLimit(rule)) : 0;
      const share = by > 0 ? amount / by / limit.limit : 0;
      if (share > 0.002) segments.push({ line, from, share });
      from += share;
    });
    const { value } = limit;
    const unit = UNIT_WORDS[limit.unit] ?? limit.unit;
    const top = value ? value.high / limit.limit : null;
    const known =
      value ??
      (limit.atLeast !== null ? { low: limit.atLeast, best: limit.atLeast, high: limit.atLeast } : null);
    const best = value ? value.best / limit.limit : null;
    gauges.push({
      limit,
      segments,
      low: value ? value.low / limit.limit : limit.atLeast !== null ? limit.atLeast / limit.limit : null,
      best,
      high: top,
      value: value
        ? `${showRange(value)} ${unit}`
        : known
          ? `${showRange(known)} ${unit} and more`
          : 'not known',
      bound: `${limit.bound === 'least' ? 'at least' : 'of'} ${showNumber(limit.limit)}`,
      times: best !== null && best > SCALE_END ? `${showNumber(best)}×` : null,
    });
  });
  return { gauges, bans };
}

/** A figure of a ledger cell: its text, and the size of its little bar (0–1). */
export interface Cell {
  readonly text: string;
  readonly title: string;
  readonly size: number;
  readonly over: boolean;
}

export interface LedgerRow {
  readonly index: number;
  /** Heading above it, where a new section starts. */
  readonly heading: string | null;
  readonly line: AuditLine;
  readonly mark: Mark;
  readonly reading: string;
  readonly fat: Cell;
  readonly sodium: Cell;
  readonly sugar: Cell;
  readonly energy: string;
}

const EMPTY: Cell = { text: '·', title: 'none', size: 0, over: false };

function cell(value: Range | null, limit: number | null, unit: string): Cell {
  if (!value) return { text: '?', title: 'not known', size: 0, over: false };
  if (value.high < 0.05) return EMPTY;
  const wide = value.high - value.low > 0.3 * Math.max(value.best, 1e-9) && value.high > 1;
  return {
    text: wide ? showRange(value) : showNumber(value.best),
    title: `${showRange(value)} ${unit}`,
    size: limit && limit > 0 ? Math.min(1, value.best / limit) : 0,
    // what only may be so is not painted as if it were
    over: limit !== null && limit > 0 && value.low > limit * 0.5,
  };
}

const MARK_OF: Record<string, Mark> = { banned: 'over', over: 'over', near: 'near', watch: 'depends' };

/** The mark of a line: the worst of its findings. */
export function markOf(line: AuditLine): Mark {
  if (!line.contribution.energyKcal) return 'unknown';
  const order = ['banned', 'over', 'near', 'watch'];
  const found = order.find((level) => line.findings.some((f) => f.level === level));
  return found ? (MARK_OF[found] ?? 'clear') : 'clear';
}

function readingWords(line: AuditLine): string {
  if (!line.food) return 'not understood';
  const grams = line.grams ? `${showRange(line.grams)} g` : 'amount not understood';
  const other = line.alternatives.find((a) => a.food);
  return `${grams}${other ? `, or ${other.food?.name.toLowerCase()}` : ''}`;
}

export function ledgerOf(audit: RecipeAudit): LedgerRow[] {
  const limit = (id: string) => audit.limits.find((l) => l.id === id)?.limit ?? null;
  const fatLimit = limit('fat-share');
  const sodiumLimit = limit('sodium');
  return audit.lines.map((line, index) => {
    const c = line.contribution;
    const each = (r: Range | null) => (r ? over(r, audit.servings) : null);
    const atBest = (r: Range | null) =>
      r
        ? {
            low: r.low / audit.servings.best,
            best: r.best / audit.servings.best,
            high: r.high / audit.servings.best,
          }
        : null;
    const energy = atBest(c.energyKcal);
    const before = index > 0 ? audit.lines[index - 1]?.section : null;
    return {
      index,
      heading: line.section !== before ? line.section : null,
      line,
      mark: markOf(line),
      reading: readingWords(line),
      fat: cell(c.fatSharePoints, fatLimit, 'points of fat share'),
      sodium: {
        ...cell(atBest(c.sodiumMg), sodiumLimit, 'mg sodium a serving'),
        title: each(c.sodiumMg) ? `${showRange(each(c.sodiumMg) as Range)} mg sodium a serving` : 'not known',
      },
      sugar: cell(atBest(c.freeSugarG), 10, 'g free sugar a serving'),
      energy: energy ? showNumber(energy.best) : '?',
    };
  });
}

export const VERDICT_WORDS: Record<Verdict, string> = {
  within: 'within',
  near: 'near',
  over: 'over',
  depends: 'depends',
  unknown: 'not known',
};

/** "4–5", "6". */
export const servingsWords = (r: Range): string =>
  r.low === r.high ? showNumber(r.best) : `${showNumber(r.low)}–${showNumber(r.high)}`;
