import type { CompleteDish } from '@/core/audit/dish';
import { linearOf } from '@/core/audit/linear';
import type { Protocol, RoleId } from '@/core/protocol';
import { AT, type Field } from '@/core/food/nutrients';
import { ANY_ALLERGEN, type Choice, type LineChoices } from './choice';

/** Somebody whose limits must hold. */
export interface AdaptDiner {
  readonly protocol: Protocol;
  readonly allergens: readonly string[];
  /** The dish as this diner's plate divides it. */
  readonly dish: CompleteDish;
  readonly role: RoleId;
}

/** One linear constraint: Σ coefficient × chosen ≤ most. */
export interface Row {
  readonly name: string;
  /** Coefficient of each line's each choice. */
  readonly coefficients: readonly (readonly number[])[];
  readonly most: number;
  /** Size of the numbers in it, for weighing how far it is missed. */
  readonly scale: number;
  /** True for what is not allowed at all, and for the size of the dish: it is missed last. */
  readonly hard: boolean;
}

/** An integer programme: one choice a line, every row held, the least departure. */
export interface Model {
  readonly lines: readonly LineChoices[];
  readonly costs: readonly (readonly number[])[];
  readonly rows: readonly Row[];
  /** Choices that are not allowed at all, by line and position. */
  readonly barred: ReadonlySet<string>;
}

/**
 * Departure of a change: one for itself, a fifth of what it takes from taste, texture and look, and a half more where
 * the dish is named after what goes.
 */
export const departureOf = (closeness: number, identity = false): number =>
  1 + 0.2 * (1 - closeness) + (identity ? 0.5 : 0);

const LEAST_WEIGHT = 0.7;
const MOST_WEIGHT = 1.6;
const SAFETY = 1e-7;
/** What missing a limit by its whole size costs where nothing holds; a change is worth coming a few hundredths nearer. */
const MISS = 30;
const MISS_HARD = 1000;

/** How far the wet of a dough or batter may move against its flour, times what it was. */
const DRIEST = 0.75;
const WETTEST = 1.35;

/** Grams of water and fat, and of flour, that a choice brings: the middle of what its words allow. */
function wetAndFlour(choice: Choice): readonly [wet: number, flour: number] {
  const sum = (field: Field) =>
    choice.corners.reduce(
      (s, corners) =>
        s + corners.reduce((t, c) => t + (c[AT[field]] as number), 0) / Math.max(1, corners.length),
      0,
    );
  const [water, oil, flour] = [sum('waterG'), sum('oilG'), sum('flourG')];
  return [Number.isFinite(water) ? water + oil : oil, flour];
}

/**
 * Rows that hold a dough or batter together: water and fat against flour, a quarter less to a third more than it was
 * (common practice: beyond that a batter sets as something else, and a dough cannot be worked).
 */
export function binding(lines: readonly LineChoices[]): Row[] {
  const each = lines.map((l) => l.choices.map(wetAndFlour));
  const [wet, flour] = each.reduce(
    ([w, f], own) => [w + (own[0]?.[0] ?? 0), f + (own[0]?.[1] ?? 0)] as const,
    [0, 0] as readonly [number, number],
  );
  if (wet <= 0 || flour <= 0) return [];
  const row = (sign: 1 | -1, ratio: number): Row => ({
    name: 'wet to dry',
    coefficients: each.map((own) => own.map(([w, f]) => sign * (w - ((ratio * wet) / flour) * f))),
    most: 0,
    scale: wet,
    hard: true,
  });
  return [row(1, WETTEST), row(-1, DRIEST)];
}

/**
 * The programme of a dish: each diner's every limit at its worst end is one linear row, and the dish keeps its size
 * within a tolerance. Exact, since each line's worst corner is its own.
 *
 * @param forced lines that must not stay as they are
 * @param more   rows beside the limits and the size
 */
export function modelOf(
  lines: readonly LineChoices[],
  diners: readonly AdaptDiner[],
  grams: number,
  forced: ReadonlySet<number> = new Set(),
  more: readonly Row[] = [],
): Model {
  const barred = new Set<string>();
  // what must change is not kept, unless nothing can stand in
  lines.forEach((l, i) => {
    if (forced.has(l.index) && l.choices.length > 1) barred.add(`${i} 0`);
  });
  const allergens = new Set(diners.flatMap((d) => d.allergens));
  // somebody allergic is not safe from what may be anything
  if (allergens.size > 0) allergens.add(ANY_ALLERGEN);
  const rows: Row[] = [...more];
  for (const { protocol, role, dish } of diners)
    for (const limit of protocol.limits) {
      const { worst, constant } = linearOf(limit, role, dish);
      const coefficients = lines.map((l) =>
        l.choices.map((c) => c.corners.reduce((s, corners) => s + worst(corners, c.yieldOf), 0)),
      );
      coefficients.forEach((own, i) =>
        own.forEach((v, k) => {
          if (Number.isNaN(v)) barred.add(`${i} ${k}`);
        }),
      );
      const finite = coefficients.map((own) => own.map((v) => (Number.isNaN(v) ? 0 : v)));
      const size = Math.max(Math.abs(constant), ...finite.map((own) => Math.abs(own[0] ?? 0)), 1e-9);
      rows.push({
        name: limit.label,
        coefficients: finite,
        // a hair inside, so that rounding never calls over what is at the limit
        most: constant - (constant === 0 && limit.limit === 0 ? 0 : size * SAFETY),
        scale: size,
        hard: limit.limit === 0,
      });
    }
  lines.forEach((l, i) =>
    l.choices.forEach((c, k) => {
      if (c.allergens.some((a) => allergens.has(a))) barred.add(`${i} ${k}`);
    }),
  );
  const weights = lines.map((l) => l.choices.map((c) => c.grams));
  if (grams > 0) {
    const scale = grams;
    rows.push({ name: 'size', coefficients: weights, most: grams * MOST_WEIGHT, scale, hard: true });
    rows.push({
      name: 'size',
      coefficients: weights.map((w) => w.map((g) => -g)),
      most: -grams * LEAST_WEIGHT,
      scale,
      hard: true,
    });
  }
  return {
    lines,
    costs: lines.map((l) => l.choices.map((c) => (c.swap ? departureOf(c.closeness, c.identity) : 0))),
    rows,
    barred,
  };
}

/** Positions of the chosen choice of each line. */
export type Selection = readonly number[];

/** What a selection gives in a row. */
export const valueOf = (row: Row, selection: Selection): number =>
  selection.reduce((s, k, i) => s + (row.coefficients[i]?.[k] ?? 0), 0);

/** How many lines a selection changes. */
export const changedIn = (selection: Selection): number => selection.filter((k) => k > 0).length;

/** Whether a selection holds every row, and bars nothing. */
export const holds = (model: Model, selection: Selection): boolean =>
  selection.every((k, i) => !model.barred.has(`${i} ${k}`)) &&
  model.rows.every((row) => valueOf(row, selection) <= row.most + row.scale * 1e-9);

/** A selection that is not wanted again, nor one that shares all but `differ` of its changes. */
export interface Cut {
  readonly selection: Selection;
  readonly differ: number;
}

/** Departure of a selection. */
export const costOf = (model: Model, selection: Selection): number =>
  selection.reduce((s, k, i) => s + (model.costs[i]?.[k] ?? 0), 0);

const number = (v: number): string => (Math.abs(v) < 1e-12 ? '0' : v.toPrecision(12));
const term = (v: number, name: string): string => `${v < 0 ? '-' : '+'} ${number(Math.abs(v))} ${name}`;

/**
 * The programme in CPLEX LP format, which HiGHS reads.
 *
 * @param cuts  selections that are not wanted again
 * @param slack true lets every row be missed at a price, to find what comes closest
 * @param floor  departure that no selection lies below, where that is known: the solver is done the sooner
 */
export function lpOf(model: Model, cuts: readonly Cut[] = [], slack = false, floor = 0): string {
  const name = (i: number, k: number) => `x${i}_${k}`;
  const allowed = model.lines.map((l, i) =>
    l.choices.flatMap((_, k) => (model.barred.has(`${i} ${k}`) ? [] : [k])),
  );
  const objective = allowed.flatMap((ks, i) =>
    ks.flatMap((k) => {
      const cost = model.costs[i]?.[k] ?? 0;
      return cost > 0 ? [term(cost, name(i, k))] : [];
    }),
  );
  if (slack) model.rows.forEach((row, r) => objective.push(term(row.hard ? MISS_HARD : MISS, `s${r}`)));
  const rows = model.rows.map((row, r) => {
    // numbers of one size, so that the solver's tolerance means the same in every row
    const terms = allowed.flatMap((ks, i) =>
      ks.flatMap((k) => {
        const v = (row.coefficients[i]?.[k] ?? 0) / row.scale;
        return Math.abs(v) > 1e-12 ? [term(v, name(i, k))] : [];
      }),
    );
    if (slack) terms.push(term(-1, `s${r}`));
    return terms.length > 0 ? ` r${r}: ${terms.join(' ')} <= ${number(row.most / row.scale)}` : null;
  });
  const ones = allowed.map((ks, i) => ` o${i}: ${ks.map((k) => `+ 1 ${name(i, k)}`).join(' ')} = 1`);
  const forbidden = cuts.map(({ selection, differ }, c) => {
    const changed = selection.flatMap((k, i) => (k > 0 ? [name(i, k)] : []));
    const open = selection.flatMap((k, i) => (k > 0 && allowed[i]?.includes(k) ? [name(i, k)] : []));
    // so many of its changes are made otherwise, or not at all
    return open.length > 0
      ? ` c${c}: ${open.map((n) => `+ 1 ${n}`).join(' ')} <= ${Math.max(0, changed.length - differ)}`
      : null;
  });
  const least = floor > 0 && objective.length > 0 ? [` f: ${objective.join(' ')} >= ${number(floor)}`] : [];
  const binaries = allowed.flatMap((ks, i) => ks.map((k) => name(i, k)));
  return [
    'Minimize',
    ` obj: ${objective.length > 0 ? objective.join(' ') : `0 ${binaries[0] ?? 'x'}`}`,
    'Subject To',
    ...rows.filter((r): r is string => r !== null),
    ...ones,
    ...least,
    ...forbidden.filter((f): f is string => f !== null),
    'Binary',
    ` ${binaries.join(' ')}`,
    'End',
  ].join('\n');
}

/** Reads a solver's columns back into a selection. */
export function selectionOf(model: Model, value: (name: string) => number): Selection {
  return model.lines.map((l, i) => {
    const at = l.choices.findIndex((_, k) => value(`x${i}_${k}`) > 0.5);
    return Math.max(0, at);
  });
}
