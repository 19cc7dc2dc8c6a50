import { isAmount } from '@/core/audit/limits';
import { roleOf } from '@/core/audit/role';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { wrongIn } from './fence';
import { changedIn, lpOf, selectionOf, type Model } from './model';
import { withTrueNames } from './names';
import { portionsOf, type Portioned } from './portions';
import { leastOf } from './reduce';
import type { Adaptation, Change, Plan } from './schema';
import {
  auditFor,
  carryOut,
  fits,
  originalLine,
  programme,
  search,
  servesAll,
  type AdaptOptions,
  type Context,
  type Draft,
  type ForDiner,
  type Solve,
} from './search';
import { joinAgain, separate, type Separated } from './separate';

export type { AdaptOptions, ForDiner, Solve } from './search';

/** What a search starts from: the recipe with its joint lines written apart, perhaps for another number of plates. */
interface Seeking extends Context {
  /** The cook's own settings; those of the search leave names unread, which are made true at the end. */
  readonly spoken: ReadSettings;
}

interface Base {
  readonly read: ReadRecipe;
  readonly separated: readonly Separated[];
  readonly portions: Portioned | null;
}

const portionChange = (p: Portioned, line: number): Change => ({
  line,
  from: p.from,
  to: p.to,
  swap: 'portions',
  name: p.name,
  role: 'how many it feeds',
  share: 1,
  technique: p.technique,
  cautions: [],
  closeness: p.closeness,
  keeps: null,
  because: '',
  departure: p.departure,
});

const nameChange = (said: { from: string; to: string }, line: number): Change => ({
  line,
  from: said.from,
  to: said.to,
  swap: 'name',
  name: 'The name says what is in it',
  role: 'the name',
  share: 1,
  technique: 'A name that promises what was taken out would mislead whoever eats it.',
  cautions: [],
  closeness: 1,
  keeps: null,
  because: '',
  departure: 0,
});

function planOf(draft: Draft, base: Base, first: ReadRecipe, context: Seeking, optimal: boolean): Plan {
  const [main] = context.diners;
  const joined = readRecipe(
    parseRecipe(joinAgain(draft.read.recipe.source, base.separated)),
    context.settings,
  );
  // lines put back together read as they did apart; where they should not, they stay apart
  const after = servesAll(joined, context) || !servesAll(draft.read, context) ? joined : draft.read;
  const changes = draft.changes.map((c) => ({ ...c, line: originalLine(c, base.read, first) }));
  const said = base.portions ? [portionChange(base.portions, first.lines.length)] : [];
  const named = withTrueNames(after.recipe.source, context.spoken, changes);
  return {
    changes: [...said, ...changes, ...named.said.map((s) => nameChange(s, first.lines.length))],
    departure: (base.portions?.departure ?? 0) + changes.reduce((s, c) => s + c.departure, 0),
    text: named.read.recipe.source,
    after: auditFor(named.read, main as ForDiner, context),
    optimal,
  };
}

/** For each line that is kept: how many changes would do if it might change; null where none would. */
function freed(base: Base, context: Context): { line: string; changes: number | null }[] {
  const locked = context.options.locked ?? [];
  return locked.map((line) => {
    const options = { ...context.options, locked: locked.filter((l) => l !== line) };
    const { model } = programme(base.read, { ...context, options }, true);
    const selection = leastOf(model, [], context.solve);
    return { line, changes: selection && changedIn(selection) };
  });
}

/** What collides, and the nearest that can be reached, where no plan holds everything. */
function nearest(
  base: Base,
  first: ReadRecipe,
  context: Seeking,
): { readonly infeasible: NonNullable<Adaptation['infeasible']>; readonly serves: boolean } {
  const of = programme(base.read, context, false);
  const { model } = of;
  const found = context.solve(lpOf(model, [], true));
  if (!found)
    return {
      serves: false,
      infeasible: {
        limits: [],
        closest: null,
        because: 'somebody at the table must not eat a line that nothing here can stand in for',
        without: [],
        unlocked: freed(base, context),
      },
    };
  const changesOf = (m: Model): number | null => {
    const selection = leastOf(m, [], context.solve);
    return selection && changedIn(selection);
  };
  const limits = [...new Set(model.rows.flatMap((row, r) => (found(`s${r}`) > 1e-6 ? [row.name] : [])))];
  const draft = carryOut(base.read, of, selectionOf(model, found), context, true);
  const unknown = first.lines.filter((l) => l.missing !== null).map((l) => l.line.text);
  const because =
    unknown.length > 0
      ? `not understood, so nothing can be promised: ${unknown.join('; ')}`
      : limits.length > 0
        ? `${limits.join(' and ').toLowerCase()} cannot be met together with the rest by any swap known here`
        : 'what the words leave open still reaches over a limit after every swap known here: measure the lines that would settle it';
  const serves = unknown.length === 0 && servesAll(draft.read, context);
  return {
    serves,
    infeasible: {
      limits,
      closest: planOf(draft, base, first, context, false),
      because,
      without: serves
        ? []
        : limits.map((limit) => ({
            limit,
            changes: changesOf({ ...model, rows: model.rows.filter((row) => row.name !== limit) }),
          })),
      unlocked: serves ? [] : freed(base, context),
    },
  };
}

/** True where a limit on each plate is not surely held: then it matters how many the dish feeds. */
const platesMatter = (read: ReadRecipe, context: Context): boolean =>
  context.diners.some((d) => {
    const { limits } = auditFor(read, d, context);
    return d.protocol.limits.some(
      (limit, i) =>
        isAmount(limit) && limit.limit > 0 && !['within', 'near'].includes(limits[i]?.verdict ?? ''),
    );
  });

/** True where a plan's whole text, names and joint lines and all, is one that a cook could cook from. */
const isCookable = (plan: Plan, first: ReadRecipe, { spoken }: Seeking): boolean =>
  wrongIn(first, readRecipe(parseRecipe(plan.text), spoken), plan.changes, spoken).length === 0;

/** Plans from every base, the least first. */
function plansFrom(bases: readonly Base[], first: ReadRecipe, wanted: number, context: Seeking): Plan[] {
  const plans: { plan: Plan; least: boolean }[] = [];
  for (const base of bases) {
    // first with what each swap brings to light counted at once, then leaving that to later rounds
    for (const ahead of base.portions ? [true] : [true, false]) {
      if (base.portions === null && servesAll(base.read, context) && !context.options.forced?.length) break;
      const found = search(
        base.read,
        programme(base.read, context, ahead),
        base.portions ? 1 : wanted,
        context,
        // other numbers of plates are only another chance
        base.portions ? 1 : undefined,
      );
      plans.push(
        ...found.map(({ draft, least }) => ({ plan: planOf(draft, base, first, context, false), least })),
      );
      if (found.length > 0) break;
    }
  }
  const sorted = plans
    .filter((p) => fits(p.plan.after) && isCookable(p.plan, first, context))
    .sort((a, b) => a.plan.departure - b.plan.departure)
    .slice(0, wanted);
  return sorted.map(({ plan, least }, i) => ({ ...plan, optimal: i === 0 && least }));
}

/**
 * The least change after which everyone may eat the dish.
 *
 * An integer programme chooses for each line: keep it, swap it by its role, less or more of it; and beside the lines
 * what is eaten with the dish, and on how many plates. Every limit of every diner holds at the worst end of all ranges,
 * no allergen of theirs is in it, the dish keeps its size; the fewest and gentlest changes win. Each plan is written
 * into the recipe's text and audited afresh before it is given.
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
  const role = options.role ?? roleOf(read).role;
  const quiet: ReadSettings = { ...settings, names: false };
  const context: Seeking = { diners, settings: quiet, spoken: settings, options, role, solve };
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
  const asItIs: Base = { read, separated: [], portions: null };
  const untouched = () => planOf({ read, changes: [] }, asItIs, read, context, true);
  if (servesAll(read, context) && !options.forced?.length) return result([untouched()], null);
  if (before.notAdapted)
    return result([], {
      limits: [],
      closest: { ...untouched(), optimal: false },
      because: before.notAdapted,
      without: [],
      unlocked: [],
    });
  const unnamed = readRecipe(read.recipe, quiet);
  if (servesAll(unnamed, context) && !options.forced?.length)
    return result(
      [planOf({ read: unnamed, changes: [] }, { ...asItIs, read: unnamed }, read, context, true)],
      null,
    );
  const base = (of: ReadRecipe, portions: Portioned | null): Base => ({
    ...separate(of, quiet),
    portions,
  });
  const own = base(unnamed, null);
  const understood = read.lines.every((l) => l.missing === null);
  if (understood) {
    const portioned = platesMatter(unnamed, context) ? portionsOf(unnamed, quiet) : [];
    const bases = [own, ...portioned.map((p) => base(p.read, p))];
    const plans = plansFrom(bases, read, 1 + (options.alternatives ?? 2), context);
    if (plans.length > 0) return result(plans, null);
  }
  const { infeasible, serves } = nearest(own, read, context);
  // the programme may see a surfaced phrase where the written plan has none
  const { closest } = infeasible;
  return serves && closest && fits(closest.after) && isCookable(closest, read, context)
    ? result([closest], null)
    : result([], infeasible);
}
