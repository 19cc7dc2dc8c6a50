import { KEEPS } from '@/core/portion/keeps';
import { GROUPS } from '@/core/week/groups';
import {
  addsTo,
  mealsOf,
  plateFor,
  roleOfOffer,
  rowsOf,
  type DayRow,
  type Eater,
  type Kept,
  type Offer,
  type Plate,
  type Refusal,
} from './menu';

/** What is asked of a plan. */
export interface Wishes {
  readonly days: number;
  readonly meals: readonly string[];
  /** Days that are planned. */
  readonly on: readonly number[];
  /** Days on which somebody cooks. */
  readonly cookDays: readonly number[];
  /** Minutes at the stove a day. */
  readonly minutes: number;
  /** How often somebody eats the same dish in the days, at most. */
  readonly most: number;
  /** What is made least of. */
  readonly least: 'effort' | 'cost';
  /** Sets of dishes that were planned before and are not wanted again. */
  readonly not?: readonly (readonly string[])[] | undefined;
}

/** Everything a plan is reckoned with. */
export interface Menu {
  readonly eaters: readonly Eater[];
  readonly offers: readonly Offer[];
  readonly kept: readonly Kept[];
  readonly wishes: Wishes;
  /** By eater. */
  readonly rows: readonly (readonly DayRow[])[];
  /** By offer, then eater. */
  readonly plates: readonly (readonly (Plate | Refusal)[])[];
  /** Fewest plates that one cooking of an offer gives. */
  readonly gives: readonly number[];
  /** By eater and day: what the kept meals add to each row; null where one of them is not understood. */
  readonly already: readonly (readonly (readonly number[] | null)[])[];
}

/** Reads a menu: what each dish is to each eater, and what each day holds already. */
export function menuOf(
  eaters: readonly Eater[],
  offers: readonly Offer[],
  kept: readonly Kept[],
  wishes: Wishes,
): Menu {
  const rows = eaters.map((e, p) => {
    // a limit on a plate holds for every plate of the day
    const own = Array.from(
      { length: wishes.days },
      (_, day) => kept.filter((k) => k.eater === p && k.day === day && !wishes.meals.includes(k.meal)).length,
    );
    return rowsOf(e.protocol, wishes.meals.length + Math.min(...own, 0));
  });
  return {
    eaters,
    offers,
    kept,
    wishes,
    rows,
    plates: offers.map((o) => eaters.map((e, p) => plateFor(o, e, rows[p] as readonly DayRow[]))),
    gives: offers.map((o) => o.left?.plates ?? o.read.servings.range.low),
    already: eaters.map((e, p) =>
      Array.from({ length: wishes.days }, (_, day) => {
        const sums = (rows[p] as readonly DayRow[]).map(() => 0);
        for (const k of kept) {
          if (k.day !== day || k.eater !== p) continue;
          const adds = k.read && addsTo(rows[p] as readonly DayRow[], k.read, k, e.plate);
          if (!adds) return null;
          adds.forEach((v, r) => {
            sums[r] = (sums[r] as number) + v;
          });
        }
        return sums;
      }),
    ),
  };
}

/** A meal of somebody that is planned. */
export interface Slot {
  readonly day: number;
  readonly meal: string;
  readonly eater: number;
}

/** The meals that are open: asked for, and not kept. */
export function slotsOf({ eaters, kept, wishes }: Menu): Slot[] {
  const taken = new Set(kept.map((k) => `${k.day} ${k.meal} ${k.eater}`));
  const out: Slot[] = [];
  for (const day of wishes.on)
    for (const meal of wishes.meals)
      eaters.forEach((_, eater) => {
        if (!taken.has(`${day} ${meal} ${eater}`)) out.push({ day, meal, eater });
      });
  return out;
}

/** Times a recipe is made at once, at most. */
const MOST_TIMES = 3;
/** What a plate that nobody eats costs, a dish more at one table, and a unit short of a food group, in minutes. */
const WASTED = 2;
const ANOTHER = 4;
const SHORT = 1;
/** What it costs to leave a meal open, to miss a limit, to eat the same too often, to cook a minute too long. */
const OPEN = 20_000;
const MISSED = 10_000;
const TOO_OFTEN = 1_000;
const TOO_LONG = 50;

const number = (n: number): string => {
  const shown = n.toFixed(9).replace(/\.?0+$/, '');
  return shown === '-0' ? '0' : shown;
};
const term = (n: number, name: string): string => `${n < 0 ? '-' : '+'} ${number(Math.abs(n))} ${name}`;

export const names = {
  eats: (slot: number, offer: number) => `x${slot}_${offer}`,
  cooks: (offer: number, day: number) => `b${offer}_${day}`,
  times: (offer: number, day: number) => `c${offer}_${day}`,
  short: (eater: number, day: number, row: number) => `s${eater}_${day}_${row}`,
  open: (slot: number) => `q${slot}`,
  often: (offer: number, eater: number) => `y${offer}_${eater}`,
  long: (day: number) => `j${day}`,
};

/** A plan as a mixed programme in the LP format. */
export interface Program {
  readonly lp: string;
  readonly slots: readonly Slot[];
  /** Slots for which there is nothing at all. */
  readonly empty: readonly number[];
}

/**
 * The programme: who eats what at each open meal, and what is cooked when. Limits of a day are exact: a dish adds its
 * worst to each, since its lines do not depend on each other. Plates come out of pots that keep, or of what is left.
 *
 * @param elastic true lets every limit be missed at a price, to find what collides
 */
export function programOf(menu: Menu, elastic = false): Program {
  const { eaters, offers, plates, rows, wishes, gives, already } = menu;
  const slots = slotsOf(menu);
  const lines: string[] = [];
  const goal: string[] = [];
  const binary = new Set<string>();
  const whole: string[] = [];
  const bounds: string[] = [];
  const keeps = KEEPS.fridge.low;
  const suits = offers.map((o) => new Set(mealsOf(roleOfOffer(o))));
  const plateOf = (offer: number, eater: number): Plate | null => {
    const plate = plates[offer]?.[eater];
    return plate === undefined || typeof plate === 'string' ? null : plate;
  };
  const may = slots.map((s) =>
    offers.flatMap((o, d) =>
      suits[d]?.has(s.meal) &&
      plateOf(d, s.eater) &&
      (o.left === null || (s.day >= o.left.from && s.day <= o.left.until))
        ? [d]
        : [],
    ),
  );
  const empty = may.flatMap((ds, k) => (ds.length === 0 ? [k] : []));
  slots.forEach((_, k) => {
    const ds = may[k] as number[];
    if (ds.length === 0) return;
    const open = elastic ? ` ${term(1, names.open(k))}` : '';
    lines.push(` o${k}: ${ds.map((d) => term(1, names.eats(k, d))).join(' ')}${open} = 1`);
    if (elastic) goal.push(term(OPEN, names.open(k)));
    for (const d of ds) binary.add(names.eats(k, d));
  });
  // the limits of each day
  eaters.forEach((_, p) => {
    for (let day = 0; day < wishes.days; day += 1) {
      const own = slots.flatMap((s, k) => (s.eater === p && s.day === day ? [k] : []));
      const sums = already[p]?.[day];
      if (own.length === 0 || !sums) continue;
      (rows[p] as readonly DayRow[]).forEach((row, r) => {
        const values = own.flatMap((k) =>
          (may[k] as number[]).map((d) => [plateOf(d, p)?.adds[r] ?? 0, names.eats(k, d)] as const),
        );
        const scale = Math.max(1, Math.abs(row.most), ...values.map(([v]) => Math.abs(v)));
        const terms = values.flatMap(([v, name]) => (Math.abs(v) > 1e-9 ? [term(v / scale, name)] : []));
        if (terms.length === 0) return;
        if (elastic) {
          terms.push(term(-1, names.short(p, day, r)));
          goal.push(term(MISSED, names.short(p, day, r)));
        }
        // a hair inside, so that the solver's tolerance breaks nothing
        lines.push(
          ` l${p}_${day}_${r}: ${terms.join(' ')} <= ${number((row.most - (sums[r] as number)) / scale - 1e-6)}`,
        );
      });
    }
  });
  // plates come out of pots
  offers.forEach((o, d) => {
    const eaten = (day: number) =>
      slots.flatMap((s, k) =>
        s.day === day && may[k]?.includes(d) ? [term(eaters[s.eater]?.plate ?? 1, names.eats(k, d))] : [],
      );
    const days = Array.from({ length: wishes.days }, (_, day) => day);
    if (o.left !== null) {
      const all = days.flatMap(eaten);
      if (all.length > 0) lines.push(` k${d}: ${all.join(' ')} <= ${number(gives[d] as number)}`);
      return;
    }
    const cookable = wishes.cookDays.filter((day) => day < wishes.days);
    for (const day of days) {
      const want = eaten(day);
      if (want.length === 0) continue;
      const from = cookable.filter((c) => c <= day && day - c <= keeps);
      lines.push(
        ` p${d}_${day}: ${[...want, ...from.map((c) => term(-1, `e${d}_${c}_${day}`))].join(' ')} <= 0`,
      );
    }
    for (const c of cookable) {
      const to = days.filter((day) => day >= c && day - c <= keeps && eaten(day).length > 0);
      if (to.length === 0) continue;
      const made = gives[d] as number;
      lines.push(
        ` m${d}_${c}: ${to.map((day) => term(1, `e${d}_${c}_${day}`)).join(' ')} ${term(-made, names.times(d, c))} + 1 w${d}_${c} = 0`,
        ` t${d}_${c}: + 1 ${names.times(d, c)} ${term(-MOST_TIMES, names.cooks(d, c))} <= 0`,
      );
      binary.add(names.cooks(d, c));
      whole.push(names.times(d, c));
      bounds.push(` ${names.times(d, c)} <= ${MOST_TIMES}`);
      goal.push(term(WASTED, `w${d}_${c}`));
      if (wishes.least === 'effort') goal.push(term(o.minutes + 5, names.cooks(d, c)));
      else {
        goal.push(term((o.cost ?? 10) * 10, names.times(d, c)), term(o.minutes / 10, names.cooks(d, c)));
      }
    }
    // the same not too often
    eaters.forEach((_, p) => {
      const all = slots.flatMap((s, k) =>
        s.eater === p && may[k]?.includes(d) ? [term(1, names.eats(k, d))] : [],
      );
      if (all.length <= wishes.most) return;
      if (elastic) goal.push(term(TOO_OFTEN, names.often(d, p)));
      const often = elastic ? ` ${term(-1, names.often(d, p))}` : '';
      lines.push(` v${d}_${p}: ${all.join(' ')}${often} <= ${wishes.most}`);
    });
  });
  for (const c of wishes.cookDays.filter((day) => day < wishes.days)) {
    const at = offers.flatMap((o, d) =>
      binary.has(names.cooks(d, c)) ? [term(o.minutes, names.cooks(d, c))] : [],
    );
    if (at.length === 0) continue;
    if (elastic) goal.push(term(TOO_LONG, names.long(c)));
    const long = elastic ? ` ${term(-1, names.long(c))}` : '';
    lines.push(` h${c}: ${at.join(' ')}${long} <= ${number(wishes.minutes)}`);
  }
  // one table eats one dish where it can
  for (let day = 0; day < wishes.days; day += 1)
    for (const meal of wishes.meals) {
      const own = slots.flatMap((s, k) => (s.day === day && s.meal === meal ? [k] : []));
      const dishes = new Set(own.flatMap((k) => may[k] as number[]));
      for (const d of dishes) {
        const u = `u${day}_${wishes.meals.indexOf(meal)}_${d}`;
        goal.push(term(ANOTHER, u));
        const who = own.filter((k) => may[k]?.includes(d));
        const pots = wishes.cookDays.filter(
          (c) => c <= day && day - c <= keeps && binary.has(names.cooks(d, c)),
        );
        // what is on the table came out of a pot: said of each dish, the bound of the search is the better
        if (offers[d]?.left === null)
          lines.push(` f${u}: + 1 ${u} ${pots.map((c) => term(-1, names.cooks(d, c))).join(' ')} <= 0`);
        lines.push(...who.map((k) => ` a${k}_${d}: + 1 ${names.eats(k, d)} - 1 ${u} <= 0`));
      }
    }
  // food groups over the days, as far as they go
  eaters.forEach((_, p) => {
    const own = slots.flatMap((s, k) => (s.eater === p ? [k] : []));
    GROUPS.forEach((group, g) => {
      if (group.goal === null) return;
      const terms = own.flatMap((k) =>
        (may[k] as number[]).flatMap((d) => {
          const v = plateOf(d, p)?.groups[g] ?? 0;
          return v > 1e-6 ? [term(v, names.eats(k, d))] : [];
        }),
      );
      if (terms.length === 0) return;
      lines.push(
        ` g${p}_${g}: ${terms.join(' ')} + 1 z${p}_${g} >= ${number(group.goal * wishes.on.length)}`,
      );
      goal.push(term(SHORT, `z${p}_${g}`));
    });
  });
  // another set of pots than those that were planned before
  (wishes.not ?? []).forEach((set, n) => {
    const terms = offers.flatMap((o, d) =>
      set.includes(o.id)
        ? wishes.cookDays.flatMap((c) => (binary.has(names.cooks(d, c)) ? [term(1, names.cooks(d, c))] : []))
        : [],
    );
    if (terms.length > 0) lines.push(` n${n}: ${terms.join(' ')} <= ${Math.max(0, set.length - 1)}`);
  });
  return {
    lp: [
      'Minimize',
      ` obj: ${goal.length > 0 ? goal.join('\n ') : `0 ${[...binary][0] ?? 'x'}`}`,
      'Subject To',
      ...lines,
      'Bounds',
      ...bounds,
      'Binary',
      ...[...binary].map((b) => ` ${b}`),
      'General',
      ...whole.map((w) => ` ${w}`),
      'End',
    ].join('\n'),
    slots,
    empty,
  };
}
