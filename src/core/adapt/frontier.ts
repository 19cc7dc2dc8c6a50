import { auditRecipe } from '@/core/audit/audit';
import { dishOf, isComplete } from '@/core/audit/dish';
import { roleFromTitle, type Limit, type Protocol } from '@/core/protocol';
import type { Range } from '@/core/range/range';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import type { AdaptOptions, Solve } from './adapt';
import { applyPlan } from './apply';
import { lpOf, modelOf, selectionOf } from './model';
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

const STEP = 0.78;
const LOWEST = 1.5;

const fatAtMost = (percent: number): Limit => ({
  id: 'fat-share',
  label: 'Fat share',
  of: 'fatKcal',
  per: 'energy',
  bound: 'most',
  unit: '% kcal',
  limit: percent,
  source: 'a step of the frontier',
});

/**
 * The frontier of departure against fat share: for lower and lower shares, the least change that reaches them, each
 * audited afresh from its own text. The first point is the dish as it is.
 */
export function frontierOf(
  read: ReadRecipe,
  protocol: Protocol,
  settings: ReadSettings,
  options: AdaptOptions,
  solve: Solve,
): FrontierPoint[] {
  const role = options.role ?? roleFromTitle(read.recipe.title);
  const dish = dishOf(read);
  const point = (text: string, changes: readonly Change[]): FrontierPoint | null => {
    const audit = auditRecipe(readRecipe(parseRecipe(text), settings), protocol, { role, per100g: false });
    const fatShare = audit.total.fatSharePercent;
    if (!fatShare) return null;
    const departure = changes.reduce((s, c) => s + c.departure, 0);
    return { departure, changes, text, fatShare, sodium: audit.perServing.sodiumMg };
  };
  const first = point(read.recipe.source, []);
  if (!first || !isComplete(dish)) return [];
  const out = [first];
  const locked = new Set(read.lines.flatMap((l, i) => (options.locked?.includes(l.line.text) ? [i] : [])));
  const lines = [
    ...choicesOf(read, settings, { locked, tastes: options.tastes ?? NO_TASTES }),
    ...additionsFor(read, role, settings),
  ];
  for (let target = first.fatShare.high * STEP; target > LOWEST; target *= STEP) {
    const aim: Protocol = { ...protocol, limits: [fatAtMost(target)] };
    const model = modelOf(lines, [{ protocol: aim, allergens: [], dish, role }], gramsOf(read));
    const found = solve(lpOf(model));
    if (!found) break;
    const { text, changes } = applyPlan(read, lines, selectionOf(model, found), settings);
    const next = point(text, changes);
    // what the words turn into may lie higher than was planned: only steps down are on the frontier
    const last = out.at(-1) as FrontierPoint;
    if (next && next.fatShare.high < last.fatShare.high - 0.05 && next.text !== last.text) out.push(next);
  }
  return out;
}
