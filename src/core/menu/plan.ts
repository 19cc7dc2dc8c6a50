import { KEEPS } from '@/core/portion/keeps';
import { slotsOf, names, programOf, type Menu, type Slot } from './program';
import type { Refusal } from './menu';

/** What a solver answers. */
export interface Answer {
  /** `optimal`: proven; `found`: the best until its time was up; `none`: proven that there is none; `late`: no answer in time. */
  readonly status: 'optimal' | 'found' | 'none' | 'late';
  readonly value: (name: string) => number;
  readonly objective: number;
  /** No plan costs less; null where that is not known. */
  readonly bound: number | null;
}
export type Solver = (lp: string, seconds: number) => Answer;

/** A pot that a plan cooks. */
export interface PlannedPot {
  readonly offer: string;
  readonly day: number;
  readonly times: number;
}

/** A plate that a plan serves. */
export interface PlannedMeal extends Slot {
  readonly offer: string;
  /** The day on which the pot is cooked that it comes out of; null where it was there already. */
  readonly pot: number | null;
}

/** Something that has to give where not all of it fits. */
export type Collision =
  | {
      readonly kind: 'limit';
      readonly eater: string;
      readonly day: number;
      readonly label: string;
      /** What stands there already breaks it, whatever is planned beside. */
      readonly already: boolean;
    }
  | { readonly kind: 'open'; readonly eater: string; readonly day: number; readonly meal: string }
  | { readonly kind: 'often'; readonly eater: string; readonly offer: string; readonly times: number }
  | { readonly kind: 'long'; readonly day: number; readonly minutes: number };

/** An open meal for which there is nothing, and why each dish is refused. */
export interface Lack {
  readonly slot: Slot;
  readonly refused: readonly { readonly offer: string; readonly why: Refusal }[];
}

/** A plan of meals, or what keeps one from being made. */
export interface MenuPlan {
  /** `optimal`: none is better; `found`: one that holds, and how far from the best it may be; `partly`: it does not all hold. */
  readonly status: 'optimal' | 'found' | 'partly' | 'none';
  readonly pots: readonly PlannedPot[];
  readonly meals: readonly PlannedMeal[];
  /** Share of its cost that a better plan might save; null where it is proven or not known. */
  readonly gap: number | null;
  readonly collisions: readonly Collision[];
  readonly lacks: readonly Lack[];
  /** Days of somebody's that hold a kept meal that is not understood: nothing can be promised for them. */
  readonly unknown: readonly { readonly eater: string; readonly day: number }[];
}

function readAnswer(menu: Menu, slots: readonly Slot[], value: Answer['value']) {
  const meals = slots.flatMap((slot, k): PlannedMeal[] => {
    const d = menu.offers.findIndex((_, o) => value(names.eats(k, o)) > 0.5);
    const offer = menu.offers[d];
    return offer ? [{ ...slot, offer: offer.id, pot: null }] : [];
  });
  const pots = menu.offers.flatMap((o, d) =>
    o.left === null
      ? menu.wishes.cookDays.flatMap((day): PlannedPot[] => {
          const times = Math.round(value(names.times(d, day)));
          return times > 0 ? [{ offer: o.id, day, times }] : [];
        })
      : [],
  );
  return { meals: outOfPots(menu, meals, pots), pots };
}

/** Gives every plate its pot: the oldest that still keeps and holds enough, for the young ones last longer. */
function outOfPots(
  menu: Menu,
  meals: readonly PlannedMeal[],
  pots: readonly PlannedPot[],
): readonly PlannedMeal[] {
  const left = new Map(
    pots.map((p) => {
      const gives = menu.gives[menu.offers.findIndex((o) => o.id === p.offer)] ?? 0;
      return [p, gives * p.times] as const;
    }),
  );
  const pot = new Map<PlannedMeal, number>();
  for (const meal of [...meals].sort((a, b) => a.day - b.day)) {
    const plate = menu.eaters[meal.eater]?.plate ?? 1;
    const own = pots
      .filter((p) => p.offer === meal.offer && p.day <= meal.day && meal.day - p.day <= KEEPS.fridge.low)
      .sort((a, b) => a.day - b.day);
    const from =
      own.find((p) => (left.get(p) ?? 0) >= plate - 1e-9) ??
      own.reduce<PlannedPot | null>((a, b) => (a && (left.get(a) ?? 0) >= (left.get(b) ?? 0) ? a : b), null);
    if (!from) continue;
    left.set(from, (left.get(from) ?? 0) - plate);
    pot.set(meal, from.day);
  }
  return meals.map((m) => ({ ...m, pot: pot.get(m) ?? null }));
}

/** What the nearest plan misses. */
function collisionsIn(menu: Menu, slots: readonly Slot[], value: Answer['value']): Collision[] {
  const days = Array.from({ length: menu.wishes.days }, (_, day) => day);
  const some = (name: string) => value(name) > 1e-6;
  return [
    ...slots.flatMap(({ eater, day, meal }, k): Collision[] =>
      value(names.open(k)) > 0.5 ? [{ kind: 'open', eater: menu.eaters[eater]?.name ?? '', day, meal }] : [],
    ),
    ...menu.eaters.flatMap((e, p) =>
      days.flatMap((day) =>
        (menu.rows[p] ?? []).flatMap((row, r): Collision[] =>
          some(names.short(p, day, r))
            ? [
                {
                  kind: 'limit',
                  eater: e.name,
                  day,
                  label: row.limit.label,
                  already: (menu.already[p]?.[day]?.[r] ?? 0) > row.most,
                },
              ]
            : [],
        ),
      ),
    ),
    ...menu.eaters.flatMap((e, p) =>
      menu.offers.flatMap((o, d): Collision[] => {
        const more = value(names.often(d, p));
        return more > 0.5
          ? [{ kind: 'often', eater: e.name, offer: o.id, times: menu.wishes.most + Math.round(more) }]
          : [];
      }),
    ),
    ...menu.wishes.cookDays.flatMap((day): Collision[] => {
      const more = value(names.long(day));
      return more > 0.5 ? [{ kind: 'long', day, minutes: Math.ceil(more) }] : [];
    }),
  ];
}

/**
 * Meals for the open days: every limit of every day holds at its worst reading, nobody meets an allergen or what they
 * dislike, plates come out of pots while they keep. Where nothing fits, the plan that misses least, and what it misses.
 *
 * @param seconds for the search; what is found by then is given, with how far from the best it may be
 */
export function planMenu(menu: Menu, solve: Solver, seconds: number): MenuPlan {
  const program = programOf(menu);
  const unknown = menu.already.flatMap((days, p) =>
    days.flatMap((sums, day) =>
      sums === null && slotsOf(menu).some((s) => s.eater === p && s.day === day)
        ? [{ eater: menu.eaters[p]?.name ?? '', day }]
        : [],
    ),
  );
  const lacks = program.empty.map((k): Lack => {
    const slot = program.slots[k] as Slot;
    return {
      slot,
      refused: menu.offers.flatMap((o, d) => {
        const plate = menu.plates[d]?.[slot.eater];
        return typeof plate === 'string' ? [{ offer: o.id, why: plate }] : [];
      }),
    };
  });
  const nothing = { pots: [], meals: [], gap: null, collisions: [], lacks, unknown };
  if (program.slots.length === program.empty.length) return { status: 'none', ...nothing };
  const answer = solve(program.lp, seconds);
  if (answer.status === 'optimal' || answer.status === 'found') {
    const { status, objective, bound } = answer;
    const gap =
      status === 'found' && bound !== null && objective > 0
        ? Math.max(0, (objective - bound) / objective)
        : null;
    return {
      status: lacks.length > 0 ? 'partly' : answer.status,
      ...readAnswer(menu, program.slots, answer.value),
      gap,
      collisions: [],
      lacks,
      unknown,
    };
  }
  // nothing fits, or nothing was found: what comes closest, and what it misses
  const loose = programOf(menu, true);
  const near = solve(loose.lp, seconds);
  if (near.status !== 'optimal' && near.status !== 'found') return { status: 'none', ...nothing };
  const collisions = collisionsIn(menu, loose.slots, near.value);
  return {
    status: collisions.length === 0 && lacks.length === 0 ? 'found' : 'partly',
    ...readAnswer(menu, loose.slots, near.value),
    gap: null,
    collisions,
    lacks,
    unknown,
  };
}
