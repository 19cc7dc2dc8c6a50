import { auditRecipe } from '@/core/audit/audit';
import { dishOf, isComplete } from '@/core/audit/dish';
import type { Limit, Protocol } from '@/core/protocol';
import { roleOf } from '@/core/audit/role';
import type { Range } from '@/core/range/range';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import type { AdaptOptions, Solve } from './adapt';
import { applyPlan } from './apply';
import { modelOf } from './model';
import { leastOf } from './reduce';
import { additionsFor } from './additions';
import { choicesOf, gramsOf } from './options';
import { NO_TASTES } from '@/core/swap/tastes';
import type { Change } from './schema';

/** One plan on the frontier: the least departure that brings the fat share so low. */
export interface FrontierPoint {
  readonly departure: number;
  readonly changes: readonly Change[];
  readonly text: string;
  readonly fatShare: Range;
  /** mg on a plate. */
  readonly sodium: Range | null;
}

/** What a frontier is drawn against. */
export type Against = 'fat' | 'sodium';

interface Aim {
  readonly limit: (most: number) => Limit;
  readonly value: (point: FrontierPoint) => Range | null;
  /** Each target is so much of the one before it. */
  readonly step: number;
  readonly lowest: number;
  /** By how much a point must lie lower than the last. */
  readonly least: number;
}

const step = { bound: 'most', source: 'a step of the frontier' } as const;
const AIMS: Readonly<Record<Against, Aim>> = {
  fat: {
    limit: (most) => ({
      ...step,
      id: 'fat-share',
      label: 'Fat share',
      of: 'fatKcal',
      per: 'energy',
      unit: '% kcal',
      limit: most,
    }),
    value: (p) => p.fatShare,
    step: 0.78,
    lowest: 1.5,
    least: 0.05,
  },
  sodium: {
    limit: (most) => ({
      ...step,
      id: 'sodium',
      label: 'Sodium',
      of: 'sodiumMg',
      per: 'serving',
      unit: 'mg a serving',
      limit: most,
    }),
    value: (p) => p.sodium,
    step: 0.7,
    lowest: 15,
    least: 2,
  },
};

/**
 * The frontier of departure against fat share, or sodium on a plate: for lower and lower values, the least change that
 * reaches them, each audited afresh from its own text. The first point is the dish as it is.
 */
export function frontierOf(
  read: ReadRecipe,
  protocol: Protocol,
  settings: ReadSettings,
  options: AdaptOptions,
  solve: Solve,
  against: Against = 'fat',
): FrontierPoint[] {
  const aim = AIMS[against];
  const role = options.role ?? roleOf(read).role;
  const dish = dishOf(read);
  const point = (text: string, changes: readonly Change[]): FrontierPoint | null => {
    const audit = auditRecipe(readRecipe(parseRecipe(text), settings), protocol, { role, per100g: false });
    const fatShare = audit.total.fatSharePercent;
    if (!fatShare) return null;
    const departure = changes.reduce((s, c) => s + c.departure, 0);
    return { departure, changes, text, fatShare, sodium: audit.perServing.sodiumMg };
  };
  const first = point(read.recipe.source, []);
  const start = first && aim.value(first);
  if (!first || !start || !isComplete(dish)) return [];
  const out = [first];
  const locked = new Set(read.lines.flatMap((l, i) => (options.locked?.includes(l.line.text) ? [i] : [])));
  const lines = [
    ...choicesOf(read, settings, { locked, tastes: options.tastes ?? NO_TASTES }),
    ...additionsFor(read, role, settings),
  ];
  for (let target = start.high * aim.step; target > aim.lowest; target *= aim.step) {
    const aimed: Protocol = { ...protocol, limits: [aim.limit(target)] };
    const model = modelOf(lines, [{ protocol: aimed, allergens: [], dish, role }], gramsOf(read));
    const selection = leastOf(model, [], solve);
    if (!selection) break;
    const { text, changes } = applyPlan(read, lines, selection, settings);
    const next = point(text, changes);
    // what the words turn into may lie higher than was planned: only steps down are on the frontier
    const last = out.at(-1) as FrontierPoint;
    const [value, before] = [next && aim.value(next), aim.value(last)];
    if (next && value && before && value.high < before.high - aim.least && next.text !== last.text)
      out.push(next);
  }
  return out;
}
