import { deciding } from '@/core/audit/deciding';
import { isComplete, type CompleteDish } from '@/core/audit/dish';
import { totals } from '@/core/audit/figures';
import { judgeLimit, worst } from '@/core/audit/limits';
import { dishOfEaten, madeOf, ofDay, partOf, shareOf, type Eaten } from './eaten';
import { GROUPS, groupsOf, type Share } from './groups';
import { KEEPS } from '@/core/portion/keeps';
import type { Limit, Protocol } from '@/core/protocol';
import { add, exact, range, type Range } from '@/core/range/range';
import { keyOf } from '@/core/read/shelf-keys';
import { allergensOfLines, conflictsOf, type AllergenDoubt } from '@/core/read/allergens';
import type { ReadLine, ReadRecipe } from '@/core/read/types';
import type { Week, WeekPlan } from './schema';

/** What a plan's recipes and words were read as. */
export interface WeekReading {
  /** By the id of their cooking. */
  readonly cookings: ReadonlyMap<string, ReadRecipe>;
  /** By the place of their meal: what is eaten in words, as a recipe for one. */
  readonly meals: ReadonlyMap<number, ReadRecipe>;
  readonly protocols: ReadonlyMap<string, Protocol>;
}

const FRIDGE_DAYS = KEEPS.fridge.high;
const FREEZER_DAYS = KEEPS.freezer.high;

/**
 * Judges a week: each diner's day as what she really eats, against the day's own limits. A meal that is not understood,
 * or a pot with a line that is not, leaves the day unknown or depending, never within.
 */
export function judgeWeek(plan: WeekPlan, reading: WeekReading): Week {
  const pots = new Map(
    plan.cookings.map((c) => [
      c.id,
      {
        cooking: c,
        read: reading.cookings.get(c.id),
        problems: [] as string[],
        grams: exact(0) as Range | null,
        plates: exact(0),
      },
    ]),
  );
  const judged: Week['judged'] = [];
  for (let day = 0; day <= Math.max(plan.days, ...plan.meals.map((m) => m.day)); day += 1)
    for (const diner of plan.diners) {
      const meals = plan.meals.flatMap((m, i) => (m.day === day && m.diner === diner.name ? [{ m, i }] : []));
      if (meals.length === 0) continue;
      const protocol = reading.protocols.get(diner.protocol);
      if (!protocol) continue;
      const parts: Part[] = [];
      const unresolved: string[] = [];
      const doubts: AllergenDoubt[] = [];
      for (const { m, i } of meals) {
        if ('text' in m) {
          const read = reading.meals.get(i);
          if (read) parts.push({ read, share: exact(1), meal: m.meal, what: m.text, of: null });
          if (!read || read.lines.length === 0) unresolved.push(m.text);
          continue;
        }
        const pot = pots.get(m.of);
        if (!pot?.read) {
          unresolved.push(`${m.meal}: ${m.of}`);
          doubts.push({ because: `${m.of} is not known`, allergens: null });
          continue;
        }
        const share = shareOf(m, diner.plate, pot.read);
        parts.push({ read: pot.read, share, meal: m.meal, what: pot.read.recipe.title, of: m.of });
        if (!share) unresolved.push(`${m.meal}: ${pot.read.recipe.title}`);
        eat(pot, m, diner.plate, share, day);
      }
      const eaten = { parts, unread: unresolved, doubts };
      const key = dayKey(protocol, diner.allergens, meals.length, eaten);
      const known = judgedDays.get(key);
      const own = known ?? judgeDay(protocol, diner.allergens, meals.length, eaten);
      if (!known) keepDay(key, own);
      judged.push({ day, diner: diner.name, ...own });
    }
  return {
    schema: 'dulvet.week/1',
    days: plan.days,
    judged,
    cookings: plan.cookings.map((c) => {
      const pot = pots.get(c.id);
      const read = pot?.read;
      const made = read ? madeOf(read, c.times) : null;
      const eaten = pot?.grams ?? null;
      const plates =
        read && pot
          ? range(
              read.servings.range.low * c.times - pot.plates.high,
              read.servings.range.best * c.times - pot.plates.best,
              read.servings.range.high * c.times - pot.plates.low,
            )
          : null;
      const problems = [...new Set(pot?.problems ?? [])];
      if (!read) problems.push('the recipe could not be read');
      if (plates && plates.high < -1e-9) problems.push('more plates eaten than made');
      else if (plates && plates.low < -1e-9) problems.push('more plates may be eaten than are made');
      return {
        id: c.id,
        title: read?.recipe.title ?? c.id,
        day: c.day,
        madeG: made,
        eatenG: eaten,
        leftG:
          made && eaten
            ? range(
                Math.max(0, made.low - eaten.high),
                Math.max(0, made.best - eaten.best),
                Math.max(0, made.high - eaten.low),
              )
            : null,
        leftPlates:
          plates && range(Math.max(0, plates.low), Math.max(0, plates.best), Math.max(0, plates.high)),
        keepsUntilDay: c.day + keepsDays(c.place),
        problems,
      };
    }),
  };
}

/** So much of a reading, eaten at a meal; null of what cannot be weighed. */
interface Part {
  readonly read: ReadRecipe;
  readonly share: Range | null;
  readonly meal: string;
  readonly what: string;
  readonly of: string | null;
}

const eatenOf = ({ read, share }: Part): Eaten =>
  share ? partOf(read, share) : { ...partOf(read, exact(1)), corners: read.lines.map(() => null) };

/** What somebody eats in a day: its parts, what of it was not understood, and what is not known of allergens. */
interface DayEaten {
  readonly parts: readonly Part[];
  readonly unread: readonly string[];
  readonly doubts: readonly AllergenDoubt[];
}

type JudgedDay = Omit<Week['judged'][number], 'day' | 'diner'>;

/** Days judged before: a meal that moves changes two of them, and the others stand. */
const judgedDays = new Map<string, JudgedDay>();
const MOST_DAYS = 2000;
function keepDay(key: string, day: JudgedDay): void {
  if (judgedDays.size >= MOST_DAYS) judgedDays.clear();
  judgedDays.set(key, day);
}

const numbers = new WeakMap<object, number>();
let count = 0;
/** A number for a reading: another one for every reading, whatever its words. */
const numberOf = (of: object): number => {
  const known = numbers.get(of);
  if (known !== undefined) return known;
  count += 1;
  numbers.set(of, count);
  return count;
};
const schools = new WeakMap<Protocol, string>();
/** A protocol by its rules, whichever object holds them. */
function schoolOf(protocol: Protocol): string {
  const known = schools.get(protocol) ?? keyOf(JSON.stringify(protocol));
  schools.set(protocol, known);
  return known;
}

/** All that a judged day hangs on. */
function dayKey(
  protocol: Protocol,
  allergens: readonly string[],
  meals: number,
  { parts, unread, doubts }: DayEaten,
): string {
  return JSON.stringify([
    schoolOf(protocol),
    allergens,
    meals,
    parts.map((p) => [numberOf(p.read), p.share, p.meal, p.what, p.of]),
    unread,
    doubts,
  ]);
}

/** One day of one diner against the day's limits. */
function judgeDay(
  protocol: Protocol,
  eaterAllergens: readonly string[],
  meals: number,
  { parts: eaten, unread, doubts }: DayEaten,
): JudgedDay {
  const parts = eaten.map((p) => ({ meal: p.meal, what: p.what, of: p.of, ...eatenOf(p) }));
  const lines = parts.flatMap((p) => p.lines);
  const unresolved = [...unread, ...lines.flatMap((l) => (l.missing !== null ? [l.line.text] : []))];
  const dish = dishOfEaten({
    corners: parts.flatMap((p) => p.corners),
    yields: parts.flatMap((p) => p.yields),
  });
  const limits = protocol.limits.map((l) => ofDay(l, meals));
  const results = limits.map((l) => judgeLimit(l, 'main', dish));
  const allergens = allergensOfLines(lines);
  const conflict = conflictsOf(
    { ...allergens, allergenDoubts: [...allergens.allergenDoubts, ...doubts] },
    eaterAllergens,
  );
  const known = unresolved.length === 0 && isComplete(dish);
  return {
    protocol: protocol.id,
    limits: results.map((r, k) => ({
      ...r,
      unit: (protocol.limits[k]?.unit ?? r.unit).replace('a serving', 'a day'),
    })),
    totals: totals(dish),
    parts: parts.map(({ meal, what, of, ...own }) => {
      const dishOfPart = dishOfEaten(own);
      const by = limits.map((l) => [l.id, plainRange(judgeLimit(l, 'main', dishOfPart).value)] as const);
      return { meal, what, of, by: Object.fromEntries(by) };
    }),
    groups: groupsOf(
      eaten.flatMap((p): Share[] => (p.share ? [{ lines: p.read.lines, share: p.share }] : [])),
    ).map(({ id, amount }) => {
      const group = GROUPS.find((g) => g.id === id);
      return {
        id,
        name: group?.name ?? id,
        unit: group?.unit ?? 'cup',
        amount,
        goal: group?.goal ?? null,
      };
    }),
    allergens: [...allergens.allergens],
    unsafe: [...conflict.has],
    doubts: [...conflict.doubts],
    // what a meal that is not understood holds would settle it
    verdict: worst([
      ...results.map((r) => (r.verdict === 'unknown' && !known ? 'depends' : r.verdict)),
      ...(conflict.has.length > 0 ? (['over'] as const) : []),
      ...(known ? [] : (['depends'] as const)),
      ...(conflict.doubts.length > 0 ? (['unknown'] as const) : []),
    ]),
    deciding: [
      ...new Set([
        ...unresolved,
        ...(known
          ? settling(
              limits,
              results.map((r) => r.verdict),
              dish as CompleteDish,
              lines,
            )
          : []),
      ]),
    ],
    unresolved: [...new Set(unresolved)],
  };
}

const plainRange = (r: Range | null): Range | null => r && { low: r.low, best: r.best, high: r.high };

const keepsDays = (place: 'fridge' | 'freezer'): number => (place === 'fridge' ? FRIDGE_DAYS : FREEZER_DAYS);

/** Takes what is eaten out of a pot, and says where that does not go. */
function eat(
  pot: {
    cooking: WeekPlan['cookings'][number];
    read: ReadRecipe | undefined;
    problems: string[];
    grams: Range | null;
    plates: Range;
  },
  meal: { readonly plates?: number | undefined; readonly grams?: number | undefined },
  plate: number,
  share: Range | null,
  day: number,
): void {
  const { cooking, read } = pot;
  if (!read) return;
  const made = madeOf(read, 1);
  pot.grams =
    pot.grams && made && share
      ? add(
          pot.grams,
          meal.grams !== undefined
            ? exact(meal.grams)
            : range(made.low * share.low, made.best * share.best, made.high * share.high),
        )
      : null;
  const inPlates =
    meal.grams === undefined
      ? exact((meal.plates ?? 1) * plate)
      : share &&
        range(
          share.low * read.servings.range.low,
          share.best * read.servings.range.best,
          share.high * read.servings.range.high,
        );
  if (inPlates) pot.plates = add(pot.plates, inPlates);
  if (day < cooking.day) pot.problems.push(`eaten on day ${day}, cooked on day ${cooking.day}`);
  const until = cooking.day + keepsDays(cooking.place);
  if (day > until) pot.problems.push(`eaten on day ${day}, keeps until day ${until}`);
}

/** Lines whose measuring would settle what depends, the most telling first. */
function settling(
  limits: readonly Limit[],
  verdicts: readonly string[],
  dish: CompleteDish,
  lines: readonly ReadLine[],
): string[] {
  const out = new Set<string>();
  limits.forEach((limit, i) => {
    if (verdicts[i] !== 'depends') return;
    for (const index of deciding(limit, 'main', dish)) if (index >= 0) out.add(lines[index]?.line.text ?? '');
  });
  return [...out].filter(Boolean);
}
