import { range } from '@/core/range/range';
import type { ReadRecipe } from '@/core/read/types';
import type { StepClause } from '@/core/steps/schema';
import {
  APPLIANCES,
  attentionOf,
  holdsAfter,
  IN_PASSING,
  isDeed,
  OFF,
  placeOf,
  tidy,
  type Place,
} from './deed';
import { GATHERS, isDarkLeaf, JOINS, LEAVES_HEAT, STAYS, TASKS } from './knowledge';
import { minutesOf, piecesIn } from './minutes';
import { isWaterOn, Pots, type Pot } from './pots';
import { preparing } from './prepare-lines';
import type { After, Task } from './task';

/** "Spoon the base into a 2 litre dish": off the fire. */
const INTO_A_DISH =
  /\b(?:into|onto|between|over) (?:an?|the|your|\d+|two|four|six) (?:[\w-]+ ){0,3}(?:dish|dishes|bowls?|tin|tins|plates?|jars?|tray|jug|board|blender|processor)\b/i;
const MORE_OF_IT = /\b(?:another|more|further|longer)\b/i;

/** Something that heats up by itself, with nothing in it yet. */
const heating = (
  id: string,
  step: number,
  own: Pick<Task, 'text' | 'action' | 'minutes' | 'uses' | 'celsius'>,
): Task => ({
  ...own,
  id,
  step,
  line: null,
  said: false,
  attention: 'none',
  after: [],
  optional: false,
  holds: TASKS.holds[own.action] ?? null,
  lines: [],
  mentions: [],
});

/** Builds the tasks of one dish, clause by clause. */
export class Builder {
  readonly tasks: Task[] = [];
  private readonly pots: Pots;
  private readonly preparations = new Map<number, readonly Task[]>();
  private preheated = false;
  /** How many pieces the dish is made into, as told so far. */
  private pieces: number | null;
  /** Foods that each step names. */
  private readonly foods = new Map<number, StepClause['foods']>();
  /** The part of the dish that a task's step names. */
  private readonly parts = new Map<string, string>();
  /** Where in its step each task's words begin. */
  private readonly from = new Map<string, number>();

  constructor(
    private readonly read: ReadRecipe,
    private readonly times: number,
    done: ReadonlyMap<number, ReadonlySet<string>>,
  ) {
    this.pieces = piecesIn(read.recipe.source.slice(0, read.recipe.lines[0]?.start ?? 0));
    this.pots = new Pots(read, new Set(done.keys()));
    read.lines.forEach((line, i) => {
      const own = preparing(line, i, done.get(i) ?? new Set(), times);
      this.preparations.set(i, own);
      this.tasks.push(...own);
    });
  }

  clause(c: StepClause, id: string, at: Place): void {
    const heatsOven =
      c.foods.length === 0 &&
      c.tools.includes('oven') &&
      (c.action === null ? c.minutes === null : ['heat', 'warm', 'set', 'turn', 'put'].includes(c.action));
    if (c.action === 'preheat' || heatsOven) {
      this.preheat(id, at, c.celsius?.best ?? null);
      return;
    }
    if (isWaterOn(c, at.whole)) {
      this.waterOn(id, at);
      return;
    }
    if (!isDeed(c, at.text, at.opens)) {
      if (OFF.test(at.whole)) this.pots.takeOff();
      return;
    }
    this.foods.set(at.step, [...(this.foods.get(at.step) ?? []), ...c.foods]);
    if (this.lasts(c, at)) return;
    this.pieces = piecesIn(at.whole) ?? this.pieces;
    const timed = minutesOf(c, at.whole, this.pieces === null ? null : this.pieces * this.times);
    if (!timed) return;
    const action = c.action ?? 'add';
    const lines = this.pots.linesOf(c, at);
    const pots = this.pots.potsFor(c, lines, at);
    const place = this.placeIn(c, pots, at);
    const attention = attentionOf(c, timed.minutes.best, timed.said, place);
    const fresh = lines.filter((l) => !this.pots.all.some((p) => p.lines.has(l)));
    const after: After[] = [];
    for (const p of pots)
      if (p.last !== null && !after.some((a) => a.id === p.last))
        after.push({ id: p.last, least: 0, most: p.holds });
    for (const l of fresh) after.push(...this.afterPreparing(l, action));
    if (place === 'oven') {
      if (!this.preheated) this.preheat(`${id}.p`, at, c.celsius?.best ?? null);
      const warm = this.tasks.find((t) => t.action === 'preheat');
      const first = !this.tasks.some((t) => t.uses.includes('oven') && t.action !== 'preheat');
      if (warm && first) after.push({ id: warm.id, least: 0, most: TASKS.holds.preheat ?? 20 });
    }
    const foods = lines.flatMap((l) => this.read.lines[l]?.foods[0]?.food ?? []);
    const holds = holdsAfter(action, at.text, foods, pots);
    const before = this.tasks.at(-1);
    const uses = place === 'burner' || APPLIANCES.some((a) => a === place) ? [place] : [];
    const merged =
      before !== undefined &&
      attention === 'hands' &&
      before.attention === 'hands' &&
      before.step === at.step &&
      pots.length === 1 &&
      pots[0]?.last === before.id &&
      String(before.uses) === String(uses) &&
      after.every(
        (a) => a.id === before.id || this.tasks.findIndex((t) => t.id === a.id) < this.tasks.length - 1,
      );
    let made: Task;
    if (merged) {
      const sum = before.minutes;
      const { minutes: m } = timed;
      made = {
        ...before,
        text: this.wordsFrom(before, at),
        action: action === 'add' ? before.action : action,
        minutes: range(sum.low + m.low, sum.best + m.best, sum.high + m.high),
        said: before.said || timed.said,
        holds,
        after: [
          ...before.after,
          ...after.filter((a) => a.id !== before.id && !before.after.some((b) => b.id === a.id)),
        ],
        lines: [...new Set([...before.lines, ...lines])],
      };
      this.tasks[this.tasks.length - 1] = made;
    } else {
      made = {
        id,
        step: at.step,
        line: null,
        text: tidy(at.whole),
        action,
        minutes: timed.minutes,
        said: timed.said,
        attention,
        uses,
        celsius: place === 'oven' ? (c.celsius?.best ?? this.heatOfOven()) : null,
        after,
        optional: c.polarity === 'optional',
        holds,
        lines,
        mentions: [],
      };
      this.tasks.push(made);
    }
    if (!this.from.has(made.id)) this.from.set(made.id, at.start);
    if (at.part !== null && !this.parts.has(made.id)) this.parts.set(made.id, at.part);
    this.pots.pool(pots, lines, made, place, holds);
  }

  /** "Roast, stirring once, until golden, 20 minutes": the time is that of the deed before it. */
  private lasts(c: StepClause, at: Place): boolean {
    const before = this.tasks.at(-1);
    const inPassing = !at.opens && IN_PASSING.test(at.text) && c.minutes !== null;
    if (!inPassing || !before || before.step !== at.step || before.said || c.minutes === null) return false;
    this.tasks[this.tasks.length - 1] = {
      ...before,
      minutes: c.minutes,
      said: true,
      text: this.wordsFrom(before, at),
    };
    return true;
  }

  /** A step's words from where a task begins to where the next deed does. */
  private wordsFrom(task: Task, at: Place): string {
    return tidy(
      this.read.recipe.steps[at.step]?.text.slice(this.from.get(task.id) ?? at.start, at.until) ?? '',
    );
  }

  private heatOfOven(): number | null {
    return [...this.tasks].reverse().find((t) => t.celsius !== null)?.celsius ?? null;
  }

  /** What was said to be done with a line before it is used; dark leaves may wait, and gain by it. */
  private afterPreparing(line: number, action: string): After[] {
    const last = this.preparations.get(line)?.at(-1);
    if (!last) return [];
    const food = this.read.lines[line]?.foods[0]?.food;
    const cut = last.attention === 'hands' && food && isDarkLeaf(food);
    const most = cut && action !== 'serve' ? TASKS['leaves-wait'].minutes : null;
    return [{ id: last.id, least: 0, most }];
  }

  /** Where a deed happens: where it says, else where the pot it acts on stands. */
  private placeIn(c: StepClause, pots: readonly Pot[], at: Place): string {
    const own = placeOf(c, at.whole);
    const action = c.action ?? 'add';
    // "oven 190. Pita on a tray, 10 minutes": the tray is in it; what cools on a rack is not
    const onTray = own === 'bowl' && c.tools.includes('tin') && (c.minutes?.best ?? 0) >= 4;
    if (onTray && this.preheated && (c.action === null || JOINS.has(action))) return 'oven';
    if (own !== 'bowl') return own;
    const [only] = pots;
    // "give them another 5 minutes": where they are
    if (only && pots.length === 1 && STAYS.has(action) && MORE_OF_IT.test(at.text)) return only.place;
    // "turn right down and leave to blip": on the heat it stands on
    if (only?.hot && pots.length === 1 && STAYS.has(action) && c.minutes !== null && !OFF.test(at.sentence))
      return only.place;
    const hot = pots.find((p) => p.hot);
    const moved = INTO_A_DISH.test(at.text);
    const stays = JOINS.has(action) && !LEAVES_HEAT.has(action) && !GATHERS.has(action) && !moved;
    if (hot && stays) return hot.place;
    return own;
  }

  /** The part of the dish that the words before a colon name. */
  partOf(label: string): string | null {
    return label.length < 2 ? null : this.pots.partOf(label);
  }

  private waterOn(id: string, at: Place): void {
    const task = heating(id, at.step, {
      text: tidy(at.whole),
      action: 'boil',
      minutes: range(...TASKS.water),
      uses: ['burner'],
      celsius: null,
    });
    this.tasks.push(task);
    this.from.set(id, at.start);
    this.pots.putWaterOn(task);
  }

  private preheat(id: string, at: Place, celsius: number | null): void {
    this.preheated = true;
    this.tasks.push(
      heating(id, at.step, {
        text: celsius === null ? 'Heat the oven' : `Heat the oven to ${Math.round(celsius)} °C`,
        action: 'preheat',
        minutes: range(...TASKS.preheat),
        uses: ['oven'],
        celsius,
      }),
    );
  }

  /** Where a task's words name lines: the foods of the clauses that it is made of. */
  private mentionsIn(task: Task): Task['mentions'] {
    const start = this.from.get(task.id);
    if (task.step === null || start === undefined) return [];
    const whole = this.read.recipe.steps[task.step]?.text ?? '';
    // the first letter may have been made a capital
    const shift = whole
      .toLowerCase()
      .indexOf(task.text.toLowerCase().replace(/\s+/g, ' '), Math.max(0, start - 1));
    if (shift < 0) return [];
    return (this.foods.get(task.step) ?? []).flatMap(({ span, lines, share, amount }) => {
      const [line] = lines;
      const [from, to] = [span[0] - shift, span[1] - shift];
      if (line === undefined || lines.length > 1 || from < 0 || to > task.text.length) return [];
      return [{ from, to, line, share: share?.best ?? null, stated: amount !== null }];
    });
  }

  /** What is made ready and never named again is at hand before its part is begun, else before the last thing done. */
  private bringIn(): void {
    const used = new Set(this.tasks.flatMap((t) => t.after.map((a) => a.id)));
    const last = this.tasks.findLastIndex((t) => t.step !== null);
    if (last < 0) return;
    for (const ready of [...this.preparations.values()].flatMap((own) => own.slice(-1))) {
      if (used.has(ready.id)) continue;
      const part = ready.line === null ? null : this.read.lines[ready.line]?.line.section;
      const of = this.tasks.findIndex(
        (t) =>
          t.step !== null &&
          part != null &&
          (this.parts.get(t.id) === part || t.lines.some((l) => this.read.lines[l]?.line.section === part)),
      );
      const at = of < 0 ? last : of;
      const task = this.tasks[at];
      if (task) this.tasks[at] = { ...task, after: [...task.after, { id: ready.id, least: 0, most: null }] };
    }
  }

  /** The oven is as hot as the first thing in it wants, where its own words do not say. */
  finished(): Task[] {
    this.bringIn();
    const followed = new Set(this.tasks.flatMap((t) => t.after.map((a) => a.id)));
    const heat = this.tasks.find((t) => t.uses.includes('oven') && t.celsius !== null)?.celsius ?? null;
    // an oven that nothing goes into is not heated
    const needed = this.tasks.filter((t) => t.action !== 'preheat' || followed.has(t.id));
    const told = needed.map((t) => (t.step === null ? t : { ...t, mentions: this.mentionsIn(t) }));
    return told.map((t) =>
      t.uses.includes('oven') && t.celsius === null && heat !== null
        ? {
            ...t,
            celsius: heat,
            text: t.action === 'preheat' ? `Heat the oven to ${Math.round(heat)} °C` : t.text,
          }
        : t,
    );
  }
}
