import { roleOf } from '@/core/audit/role';
import { cautionsOf } from '@/core/caution/cautions';
import { recipeText } from '@/core/format/text';
import { parseRecipe } from '@/core/recipe/parse';
import { readRecipe } from '@/core/read/read';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { scale } from '@/core/range/range';
import type { KitchenTools } from '@/core/schedule/problem';
import { clockAt, minutesOfDay } from './clock';
import { plan, planned, type Planned, type Timed } from './plan';
import { scaledLine, scalingWords } from './scale';
import type { Cook, CookTask } from './schema';
import { stepWords, type StepPiece } from './step-words';
import type { Task } from './task';
import { tasksOf } from './tasks';

/** A dish of a supper: a recipe that was read, and how much of it is made. */
export interface Dish {
  readonly source: string;
  readonly read: ReadRecipe;
  readonly settings: ReadSettings;
  readonly times: number;
}

export interface Supper {
  readonly kitchen: KitchenTools;
  /** When it is to be on the table: "18:30". */
  readonly table: string;
  /** Nobody starts before this; null where the day is free. */
  readonly from?: string | null;
}

export const USUAL_KITCHEN: KitchenTools = { cooks: 1, burners: 4, ovens: 1 };
export const USUAL_TABLE = '18:30';

function taskOf(
  t: Timed,
  words: readonly StepPiece[],
  byId: ReadonlyMap<string, Timed>,
  followed: ReadonlySet<string>,
): CookTask {
  const { task } = t;
  const [start, end] = [clockAt(t.start), clockAt(t.end)];
  // the wait that is asked of it is the shortest of all that it follows
  const waits = task.after.flatMap((a) =>
    a.most === null || !byId.has(`d${t.dish}.${a.id}`) ? [] : [a.most],
  );
  const last = Math.max(...task.after.map((a) => byId.get(`d${t.dish}.${a.id}`)?.end ?? -Infinity));
  const asked = waits.length > 0 ? Math.min(...waits) : null;
  return {
    id: t.id,
    dish: t.dish,
    step: task.step,
    line: task.line,
    text: task.text,
    action: task.action,
    minutes: task.minutes,
    said: task.said,
    own: task.own ?? false,
    attention: task.attention,
    uses: [...task.uses],
    words: [...words],
    celsius: t.celsius === null ? null : Math.round(t.celsius),
    after: task.after.map((a) => `d${t.dish}.${a.id}`),
    // where the kitchen is too small for it, what it came to is what holds
    waitAtMost: asked === null ? null : Math.max(asked, t.start - last),
    holdAtMost: followed.has(t.id) ? null : task.holds,
    optional: task.optional,
    start: start.clock,
    end: end.clock,
    day: start.day,
    endDay: end.day,
    cook: t.cook,
  };
}

/** When a line must be at hand: the start of the first task that takes it. */
function setOutOf(dishes: readonly Dish[], timed: readonly Timed[]): Cook['setOut'] {
  return dishes.flatMap(({ read, settings, times }, dish) =>
    read.lines.flatMap((line, i) => {
      if (line.origin !== 'ingredients' || line.nothing) return [];
      const first = timed.find((t) => t.dish === dish && (t.task.line === i || t.task.lines.includes(i)));
      const at = first ? clockAt(first.start) : null;
      const when =
        first && at
          ? at.day < 0
            ? `the evening before, at ${at.clock}: ${first.task.text.toLowerCase()}`
            : `by ${at.clock}`
          : 'before you begin';
      return [{ text: scaledLine(line, times, settings), dish, line: i, when }];
    }),
  );
}

const isPlanned = (p: ReturnType<typeof plan>): p is Planned => p.timed !== null;

/**
 * Plans a supper: what to set out, every task with its start and end, and what collides.
 *
 * @param own tasks of a dish where the cook changed them; what the method says where nothing is given
 */
export function cook(
  dishes: readonly Dish[],
  supper: Supper,
  own: readonly (readonly Task[] | undefined)[] = [],
): Cook {
  const table = minutesOfDay(supper.table) ?? 0;
  const tasks = dishes.map((d, i) => own[i] ?? tasksOf(d.read, d.settings, d.times));
  const titles = dishes.map((d) => d.read.recipe.title);
  const made = plan(tasks, titles, supper.kitchen, table);
  const all = tasks.flat();
  const timed = isPlanned(made) ? made.timed : [];
  const byId = new Map(timed.map((t) => [t.id, t]));
  const followed = new Set(timed.flatMap((t) => t.task.after.map((a) => `d${t.dish}.${a.id}`)));
  const start = isPlanned(made) ? made.start : table;
  const conflicts = [...made.conflicts];
  const from = supper.from ? minutesOfDay(supper.from) : null;
  const late = from !== null && isPlanned(made) && start < from;
  if (late) {
    const soonest = clockAt(table + (from - start)).clock;
    conflicts.push(
      `To be on the table at ${supper.table} it starts at ${clockAt(start).clock}; from ${supper.from ?? ''} on, ${soonest} is the soonest.`,
    );
  }
  const seen = new Set<string>();
  // amounts are told where the method first takes them, whenever that is done
  const words = new Map<string, readonly StepPiece[]>(
    dishes.flatMap((d, dish) => {
      const said = new Set<number>();
      return (tasks[dish] ?? []).map(
        (t) => [`d${dish}.${t.id}`, stepWords(t, d, t.step === null ? new Set() : said)] as const,
      );
    }),
  );
  return {
    schema: 'dulvet.cook/1',
    table: clockAt(table).clock,
    startAt: clockAt(start).clock,
    minutes: isPlanned(made) ? made.schedule.minutes : 0,
    handsOnMinutes: all.reduce((s, t) => s + (t.attention === 'hands' ? planned(t) : 0), 0),
    optimal: isPlanned(made) && made.schedule.optimal,
    lowerBoundMinutes: isPlanned(made) ? made.schedule.lowerBound : 0,
    dishes: dishes.map(({ source, read, times }, i) => ({
      source,
      title: read.recipe.title,
      plates: scale(read.servings.range, times),
      times,
      scaling: [...scalingWords(read, new Set(tasks[i]?.map((t) => t.action)), times)],
    })),
    tasks: timed.map((t) => taskOf(t, words.get(t.id) ?? [], byId, followed)),
    setOut: setOutOf(dishes, timed),
    conflicts,
    cautions: dishes.flatMap(({ read }) =>
      cautionsOf(read, roleOf(read).role).flatMap((c) => {
        if (c.medical || seen.has(c.id)) return [];
        seen.add(c.id);
        return [{ id: c.id, text: c.says }];
      }),
    ),
  };
}

/** True where everything is on the table in time, and nothing waits longer than it keeps. */
export const holds = (c: Cook, supper: Supper): boolean =>
  c.tasks.length > 0 &&
  (!supper.from || (minutesOfDay(c.table) ?? 0) - c.minutes >= (minutesOfDay(supper.from) ?? 0));

export type TextDishes =
  { readonly ok: true; readonly dishes: readonly Dish[] } | { readonly ok: false; readonly message: string };

/** The dishes of a file's text. */
export function dishesOf(text: string, source: string, settings: ReadSettings, times: number): TextDishes {
  const plain = recipeText(text);
  if (!plain.ok) return plain;
  return {
    ok: true,
    dishes: plain.recipes.map((words) => ({
      source,
      read: readRecipe(parseRecipe(words), settings),
      settings,
      times,
    })),
  };
}
