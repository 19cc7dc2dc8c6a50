import { auditRecipe } from '@/core/audit/audit';
import { dishOf, isComplete } from '@/core/audit/dish';
import type { RecipeAudit } from '@/core/audit/schema';
import { roleFromTitle, type Protocol, type RoleId } from '@/core/protocol';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { applyPlan } from './apply';
import {
  departureOf,
  holds,
  lpOf,
  modelOf,
  selectionOf,
  type AdaptDiner,
  type Cut,
  type Model,
  type Selection,
} from './model';
import { additionsFor, choicesOf, gramsOf, type LineChoices } from './options';
import type { Adaptation, Change, Plan } from './schema';

/** Solves an integer programme in LP format; null where nothing holds. Throws only for bugs. */
export type Solve = (lp: string) => ((name: string) => number) | null;

/** Somebody a dish is adapted for. */
export interface ForDiner {
  readonly protocol: Protocol;
  readonly allergens?: readonly string[];
  /** Size of their plate, 1 for the recipe's own. */
  readonly plate?: number;
}

export interface AdaptOptions {
  readonly role?: RoleId | undefined;
  readonly source?: string;
  /** How many plans beside the best one. */
  readonly alternatives?: number;
  /** Words of lines that must stay as they are. */
  readonly locked?: readonly string[];
}

/** Rounds of changes: a swap may bring to light a phrase of the method that the old line had covered. */
const MOST_ROUNDS = 4;
const MOST_TRIES = 8;

const fits = (audit: RecipeAudit) => audit.verdict === 'within' || audit.verdict === 'near';

interface Context {
  readonly diners: readonly ForDiner[];
  readonly settings: ReadSettings;
  readonly options: AdaptOptions;
  readonly role: RoleId;
  readonly solve: Solve;
}

const auditFor = (read: ReadRecipe, diner: ForDiner, { options, role }: Context): RecipeAudit =>
  auditRecipe(read, diner.protocol, { role, source: options.source ?? '', plate: diner.plate });

/** True where everyone may eat it: every limit held by a fresh audit, no allergen of theirs in it. */
const servesAll = (read: ReadRecipe, context: Context): boolean =>
  context.diners.every((d) => {
    const audit = auditFor(read, d, context);
    return fits(audit) && !(d.allergens ?? []).some((a) => audit.allergens.includes(a));
  });

function programme(
  read: ReadRecipe,
  { diners, settings, options, role }: Context,
  ahead = true,
): { model: Model; lines: LineChoices[] } {
  const locked = new Set(read.lines.flatMap((l, i) => (options.locked?.includes(l.line.text) ? [i] : [])));
  const lines = [...choicesOf(read, settings, locked, ahead), ...additionsFor(read, role, settings)];
  const people = diners.flatMap((d): AdaptDiner[] => {
    const dish = dishOf(read, d.plate);
    const known = isComplete(dish) ? dish : { ...dish, lines: dish.lines.map((l) => l ?? []) };
    return [{ protocol: d.protocol, allergens: d.allergens ?? [], dish: known, role }];
  });
  return { model: modelOf(lines, people, gramsOf(read)), lines };
}

interface Draft {
  readonly read: ReadRecipe;
  readonly changes: readonly Change[];
}

/** Where a line of a later text belongs in the first one: its own words, else its kind of food. */
function originalLine(change: Change, now: ReadRecipe, first: ReadRecipe): number {
  // what is eaten beside the dish is a line of its own, after all others
  if (change.from === '') return first.lines.length;
  const same = first.lines.findIndex((l) => l.line.text === change.from);
  if (same >= 0) return same;
  const kind = now.lines[change.line]?.foods[0]?.food?.kind;
  return Math.max(
    0,
    first.lines.findIndex((l) => l.foods.some((f) => f.food?.kind === kind)),
  );
}

/** Carries a selection out, then goes on until a fresh audit serves everyone or nothing more can be done. */
function carryOut(
  first: ReadRecipe,
  start: Draft,
  lines: LineChoices[],
  selection: Selection,
  context: Context,
  relaxed = false,
): Draft {
  let draft = start;
  let choices = lines;
  let chosen: Selection | null = selection;
  for (let round = 0; round < MOST_ROUNDS && chosen; round += 1) {
    const before = draft.read;
    const { text, changes } = applyPlan(before, choices, chosen, context.settings);
    const named = changes.map((c) => ({ ...c, line: originalLine(c, before, first) }));
    draft = { read: readRecipe(parseRecipe(text), context.settings), changes: [...draft.changes, ...named] };
    if (changes.length === 0 || servesAll(draft.read, context)) return draft;
    // what was changed once stays as it is now
    let next = programme(draft.read, context);
    let found = context.solve(lpOf(next.model));
    if (!found) {
      next = programme(draft.read, context, false);
      found = context.solve(lpOf(next.model)) ?? (relaxed ? context.solve(lpOf(next.model, [], true)) : null);
    }
    choices = next.lines;
    chosen = found && selectionOf(next.model, found);
  }
  return draft;
}

function planOf(draft: Draft, context: Context, optimal: boolean): Plan {
  const [main] = context.diners;
  return {
    changes: [...draft.changes],
    departure: draft.changes.reduce((s, c) => s + departureOf(c.closeness), 0),
    text: draft.read.recipe.source,
    after: auditFor(draft.read, main as ForDiner, context),
    optimal,
  };
}

const keyOf = (draft: Draft) =>
  draft.changes
    .map((c) => `${c.from}>${c.swap}`)
    .sort()
    .join('|');

/** Plans that hold in words, the least first, until enough differ or nothing more is found. */
function plansOf(
  read: ReadRecipe,
  model: Model,
  lines: LineChoices[],
  wanted: number,
  context: Context,
): { plan: Plan; key: string }[] {
  const untouched: Draft = { read, changes: [] };
  const plans: { plan: Plan; key: string }[] = [];
  const cuts: Cut[] = [];
  for (let tries = 0; tries < MOST_TRIES + wanted && plans.length < wanted; tries += 1) {
    const found = context.solve(lpOf(model, cuts));
    if (!found) break;
    const selection = selectionOf(model, found);
    // a solver's tolerance may let a hair too much pass: that selection is not one
    if (!holds(model, selection)) {
      cuts.push({ selection, differ: 1 });
      continue;
    }
    const draft = carryOut(read, untouched, lines, selection, context);
    const serves = servesAll(draft.read, context);
    // what does not hold in words is tried no more; another way is to differ in a third of its changes
    const changed = selection.filter((k) => k > 0).length;
    cuts.push({ selection, differ: serves ? Math.max(1, Math.ceil(changed / 3)) : 1 });
    if (!serves) continue;
    const key = keyOf(draft);
    if (plans.some((p) => p.key === key)) continue;
    // the first selection that also holds in words is the least one, unless a later round added to it
    const optimal = plans.length === 0 && draft.changes.length === changed;
    plans.push({ plan: planOf(draft, context, optimal), key });
  }
  return plans;
}

/** What collides, and the nearest that can be reached, where no plan holds everything. */
function nearest(read: ReadRecipe, context: Context, barredBy: string | null): Adaptation['infeasible'] {
  const { model, lines } = programme(read, context, false);
  const found = context.solve(lpOf(model, [], true));
  if (!found)
    return {
      limits: [],
      closest: null,
      because: 'somebody at the table must not eat a line that nothing here can stand in for',
      without: [],
    };
  const solve = (m: Model): Selection | null => {
    const answer = context.solve(lpOf(m));
    return answer && selectionOf(m, answer);
  };
  const missed = model.rows.flatMap((row, r) => (found(`s${r}`) > 1e-6 ? [row.name] : []));
  const draft = carryOut(read, { read, changes: [] }, lines, selectionOf(model, found), context, true);
  const unknown = read.lines.filter((l) => l.missing !== null).map((l) => l.line.text);
  const because =
    barredBy ??
    (unknown.length > 0
      ? `not understood, so nothing can be promised: ${unknown.join('; ')}`
      : missed.length > 0
        ? `${[...new Set(missed)].join(' and ').toLowerCase()} cannot be met together with the rest by any swap known here`
        : 'what the words leave open still reaches over a limit after every swap known here: measure the lines that would settle it');
  const limits = [...new Set(missed)];
  const without = limits.map((limit) => {
    const rest = solve({ ...model, rows: model.rows.filter((row) => row.name !== limit) });
    return { limit, changes: rest && rest.filter((k) => k > 0).length };
  });
  return { limits, closest: planOf(draft, context, false), because, without };
}

/**
 * The least change after which everyone may eat the dish.
 *
 * An integer programme chooses for each line: keep it, swap it by its role, less or more of it. Every limit of every
 * diner holds at the worst end of all ranges, no allergen of theirs is in it, the dish keeps its size; the fewest
 * and gentlest changes win. Each plan is written into the recipe's text and audited afresh before it is given.
 *
 * @param solve a solver of the programme, HiGHS outside of tests
 */
export function adapt(
  read: ReadRecipe,
  diners: readonly ForDiner[],
  settings: ReadSettings,
  options: AdaptOptions,
  solve: Solve,
): Adaptation {
  const role = options.role ?? roleFromTitle(read.recipe.title);
  const context: Context = { diners, settings, options, role, solve };
  const [main] = diners;
  if (!main) throw new Error('nobody to adapt for');
  const before = auditFor(read, main, context);
  const result = (plans: Plan[], infeasible: Adaptation['infeasible']): Adaptation => ({
    schema: 'dulvet.adaptation/1',
    protocol: main.protocol.id,
    before,
    plans,
    infeasible,
  });
  const untouched: Draft = { read, changes: [] };
  if (servesAll(read, context)) return result([planOf(untouched, context, true)], null);
  if (before.notAdapted)
    return result([], {
      limits: [],
      closest: planOf(untouched, context, false),
      because: before.notAdapted,
      without: [],
    });
  if (read.lines.some((l) => l.missing !== null)) return result([], nearest(read, context, null));
  const plans: { plan: Plan; key: string }[] = [];
  const wanted = 1 + (options.alternatives ?? 2);
  // first with what each swap brings to light counted at once, then leaving that to later rounds
  for (const ahead of [true, false]) {
    if (plans.length > 0) break;
    const { model, lines } = programme(read, context, ahead);
    plans.push(...plansOf(read, model, lines, wanted, context));
  }
  plans.sort((a, b) => a.plan.departure - b.plan.departure);
  return plans.length > 0
    ? result(
        plans.map((p) => p.plan),
        null,
      )
    : result([], nearest(read, context, null));
}
