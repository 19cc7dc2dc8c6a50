import raw from '@content/compiled/headroom.json';
import { AT } from '@/core/food/nutrients';
import { foodById, type Food } from '@/core/food/table';
import { densityOf } from '@/core/food/weigh';
import type { Protocol, RoleId } from '@/core/protocol';
import type { CompleteDish } from './dish';
import { linearOf } from './linear';

/** How much more of a thing the whole dish takes until the first limit. */
export interface Room {
  readonly food: Food;
  /** Grams; 0 where a limit bars it or is already reached, Infinity where no limit ever is. */
  readonly grams: number;
  /** The limit that is reached first. */
  readonly limit: string | null;
}

/** How much of a line may stay so that the dish is within all limits. */
export interface Less {
  readonly line: number;
  /** Share of the line that may stay, 0–1. */
  readonly keep: number;
}

const THINGS = raw as unknown as readonly string[];
const sum = (values: readonly number[]) => values.reduce((s, v) => s + v, 0);

/** What is left of each limit at the worst end of all ranges, and what a gram of a food takes of it. */
function spaces(protocol: Protocol, role: RoleId, dish: CompleteDish) {
  return protocol.limits.map((limit) => {
    const { lines, constant, perGram } = linearOf(limit, role, dish);
    return { limit, left: constant - sum(lines), perGram };
  });
}

function roomIn(food: Food, all: ReturnType<typeof spaces>): Room {
  let grams = Infinity;
  let first: string | null = null;
  for (const { limit, left, perGram } of all) {
    const own = perGram(food);
    if (!(own > 1e-12) && !Number.isNaN(own)) continue;
    const room = Number.isNaN(own) || Number.isNaN(left) ? 0 : Math.max(0, left / own);
    if (room < grams) {
      grams = room;
      first = limit.label;
    }
  }
  return { food, grams, limit: first };
}

/** Grams of a food that the dish still takes, at the worst end of all ranges. */
export const roomFor = (food: Food, protocol: Protocol, role: RoleId, dish: CompleteDish): Room =>
  roomIn(food, spaces(protocol, role, dish));

/** Room for the things that get added at the stove. */
export function headroom(
  protocol: Protocol,
  role: RoleId,
  dish: CompleteDish,
  things: readonly Food[] = THINGS.flatMap((id) => foodById(id) ?? []),
): Room[] {
  const all = spaces(protocol, role, dish);
  return things.map((food) => roomIn(food, all));
}

/**
 * For each line: the share of it that may stay so that every limit holds; only lines of which less is enough by
 * itself. Exact, for each limit is linear in the line.
 */
export function lessOf(protocol: Protocol, role: RoleId, dish: CompleteDish): Less[] {
  const sums = protocol.limits.map((l) => linearOf(l, role, dish));
  return dish.lines.flatMap((_, line) => {
    let most = 1;
    let least = 0;
    for (const { lines, constant } of sums) {
      const own = lines[line] as number;
      const others = sum(lines) - own - constant;
      if (Number.isNaN(own) || Number.isNaN(others)) return [];
      // this limit holds where others + keep·own ≤ 0; a line that helps against it must not go too far
      if (own > 1e-12) most = Math.min(most, -others / own);
      else if (own < -1e-12) least = Math.max(least, -others / own);
      else if (others > 1e-9 * Math.max(1, Math.abs(constant))) return [];
    }
    // a dish of nothing has no shares: taking out all that feeds is no way out
    const feeds = dish.lines.some((l, i) => i !== line && l.every((c) => (c[AT.energyKcal] as number) > 0));
    return most < 1 && most >= Math.max(feeds ? 0 : 1e-6, least) ? [{ line, keep: most }] : [];
  });
}

const SPOONS: readonly (readonly [number, string])[] = [
  [236.588, 'cup'],
  [14.78676, 'tbsp'],
  [4.92892, 'tsp'],
];
const STEPS = [0.125, 0.25, 0.3333, 0.5, 0.6667, 0.75, 1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10];
const WORDS: Record<string, string> = {
  '0.125': '⅛',
  '0.25': '¼',
  '0.3333': '⅓',
  '0.5': '½',
  '0.6667': '⅔',
  '0.75': '¾',
  '1.25': '1¼',
  '1.5': '1½',
  '2.5': '2½',
};

/**
 * Grams in a kitchen measure that is never more than they are: "⅓ tsp", "2 tbsp"; "a pinch" below an eighth
 * of a teaspoon, null below a tenth of that.
 */
export function inSpoons(food: Food, grams: number): string | null {
  const density = densityOf(food, grams < 20 ? 'tsp' : 'cup');
  // the densest spoon: what is said must not be more
  const ml = density ? grams / density[2] : null;
  if (ml === null) return grams >= 1 ? `${Math.floor(grams)} g` : null;
  for (const [size, name] of SPOONS) {
    const count = ml / size;
    if (count < (name === 'tsp' ? 0.125 : name === 'tbsp' ? 0.999 : 0.25)) continue;
    const step = [...STEPS].reverse().find((s) => s <= count + 1e-6);
    if (step !== undefined)
      return count > 10
        ? `${name === 'cup' ? 'more than 10' : Math.floor(count)} ${name}s`
        : `${WORDS[String(step)] ?? step} ${name}${name === 'cup' && step > 1 ? 's' : ''}`;
  }
  return ml > 0.06 ? 'a pinch' : null;
}
