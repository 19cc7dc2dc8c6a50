import { exact, range, type Range } from '@/core/range/range';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { verbById } from '@/core/step/lexicon';
import { tokens } from '@/core/food/tokens';
import type { StepClause } from '@/core/steps/schema';
import { stepsOf } from '@/core/steps/steps';
import {
  GATHERS,
  isAtOnce,
  isDarkLeaf,
  JOINS,
  MIXES,
  LEAVES_HEAT,
  saysBatter,
  saysBeside,
  saysEverything,
  saysInPassing,
  saysKeeping,
  saysMade,
  SILENT,
  TASKS,
} from './knowledge';
import { preparing } from './prepare-lines';
import type { After, Task } from './task';

/** Something under way: what is in one pot, on one board, in one bowl. */
interface Pot {
  /** The task that made it what it is now. */
  last: string | null;
  /** How long it may wait as it is; null where it keeps. */
  holds: number | null;
  /** Where it stands: on a burner, in the oven, in a bowl. */
  place: string;
  /** It is on the heat. */
  hot: boolean;
  readonly lines: Set<number>;
  readonly sections: Set<string | null>;
}

const ON_BURNER = new Set(['pan', 'wok', 'steamer']);
const APPLIANCES = [
  'oven',
  'grill',
  'air fryer',
  'microwave',
  'pressure cooker',
  'slow cooker',
  'blender',
] as const;
const STARTS_LIKE_A_WHILE = /^[\s,]*(?:and |then )?(?:while|as|once|when|after|before|by the time|whilst)\b/i;
const IN_PASSING = /^[\s,]*(?:and |then |while |whilst |, )?[a-z]+ing\b/i;
/** Longer than two days is keeping, not cooking. */
const MOST_MINUTES = 2 * 24 * 60;
/** Verbs whose food is boiled in a pot of its own. */
const BOILS = new Set(['boil', 'cook', 'steam', 'simmer', 'parboil']);
const STARCHY = new Set(['whole-grain', 'refined-grain', 'starch']);

/** Where a clause puts its food: an appliance, a burner, or neither. */
function placeOf(c: StepClause): string {
  const tool = APPLIANCES.find((a) => c.tools.includes(a));
  if (tool) return tool;
  if (c.tools.some((t) => ON_BURNER.has(t)) || (c.heat !== null && c.action !== null)) return 'burner';
  return c.tools.includes('board') ? 'board' : 'bowl';
}

interface Place {
  readonly step: number;
  readonly text: string;
  /** The words of the sentence it stands in, up to it. */
  readonly sentence: string;
  readonly opens: boolean;
  /** Where its words begin in the step, and where the next deed's do. */
  readonly start: number;
  readonly until: number;
  /** Its words up to the next deed. */
  readonly whole: string;
}

const SAYS_NOTHING = new Set(
  'for the and with into over from ingredient ingredients method recipe you your make made'.split(' '),
);
/** Words of a text that tell one part of a dish from another. */
const tellingWords = (text: string): string[] =>
  tokens(text).filter((w) => w.length > 2 && !SAYS_NOTHING.has(w));

/** Builds the tasks of one dish, clause by clause. */
class Builder {
  readonly tasks: Task[] = [];
  private pots: Pot[] = [];
  private current: Pot | null = null;
  private readonly preparations = new Map<number, readonly Task[]>();
  /** Words of each section's name, without those that many share. */
  private readonly parts: readonly { readonly section: string; readonly words: ReadonlySet<string> }[];
  /** Lines that some clause names. */
  private readonly mentioned: ReadonlySet<number>;
  private preheated = false;
  /** Foods that each step names. */
  private readonly foods = new Map<number, StepClause['foods']>();
  /** Where in its step each task's words begin. */
  private readonly from = new Map<string, number>();

  constructor(
    private readonly read: ReadRecipe,
    times: number,
    done: ReadonlyMap<number, ReadonlySet<string>>,
  ) {
    this.mentioned = new Set(done.keys());
    read.lines.forEach((line, i) => {
      const own = preparing(line, i, done.get(i) ?? new Set(), times);
      this.preparations.set(i, own);
      this.tasks.push(...own);
    });
    const sections = [...new Set(read.lines.flatMap((l) => (l.line.section ? [l.line.section] : [])))];
    this.parts = sections.map((section) => ({ section, words: new Set(tellingWords(section)) }));
  }

  private sectionOf(line: number): string | null {
    return this.read.lines[line]?.line.section ?? null;
  }

  /** What is under way that a clause speaks of by what it has become: "the sauce", "the cashew cream". */
  private spokenOf(text: string): Pot[] {
    const words = new Set(tellingWords(text));
    const named = this.parts.filter(({ words: own }) => [...own].some((w) => words.has(w)));
    return this.pots.filter((p) => [...p.sections].some((s) => named.some((n) => n.section === s)));
  }

  /** Lines that a clause acts on: those it names, those of the part it names, and with "everything" all nobody named. */
  private linesOf(c: StepClause, at: Place): number[] {
    const named = c.foods.flatMap((f) => f.lines);
    const free = (l: number) => !this.pots.some((p) => p.lines.has(l));
    const all = saysEverything(at.text) !== null;
    const words = new Set(tellingWords(at.text));
    const parts = this.parts.filter(({ words: own }) => [...own].some((w) => words.has(w)));
    const made = this.read.lines.flatMap((line, l) => {
      if (line.origin !== 'ingredients' || !free(l)) return [];
      const part = parts.some((p) => p.section === line.line.section);
      return part || (all && (this.pots.length === 0 || !this.mentioned.has(l))) ? [l] : [];
    });
    return [...new Set([...named, ...made])].filter((l) => this.read.lines[l]?.origin === 'ingredients');
  }

  private potsFor(c: StepClause, lines: readonly number[], at: Place): readonly Pot[] {
    const action = c.action ?? '';
    const holding = this.pots.filter((p) => lines.some((l) => p.lines.has(l)));
    const spoken = this.spokenOf(at.text);
    if (saysEverything(at.text) !== null || action === 'serve') return this.pots;
    // "layer the aubergine and the sauce": which of them is the sauce is not asked, all that is made comes together
    if (spoken.length === 0 && saysMade(at.text) !== null) return this.pots;
    if (GATHERS.has(action)) {
      if (holding.length === 0 && spoken.length === 0) return this.pots;
      return [...new Set([...this.pots.filter((p) => p === this.current), ...holding, ...spoken])];
    }
    const joins = JOINS.has(action) || c.action === null;
    const own = [...new Set([...holding, ...spoken])];
    const { current } = this;
    if (own.length > 0) {
      // "return the mushrooms to the pan": what was set aside comes to what is under way
      const adds = joins && current !== null && !own.includes(current) && !at.opens && holding.length > 0;
      return adds ? [...own, current] : own;
    }
    if (!current) return [];
    if (lines.length === 0) return [current];
    return this.beginsAnew(c, lines, at, current) ? [] : [current];
  }

  /** True where what nobody touched yet is begun beside what is under way, not put into it. */
  private beginsAnew(c: StepClause, lines: readonly number[], at: Place, current: Pot): boolean {
    if (saysBeside(at.sentence) !== null) return true;
    if (!at.opens || c.action === null) return false;
    const place = placeOf(c);
    if (JOINS.has(c.action) && !MIXES.has(c.action)) return false;
    const known = current.sections.size > 0 && this.parts.length > 0;
    if (known && lines.every((l) => !current.sections.has(this.sectionOf(l)))) return true;
    if (MIXES.has(c.action) && place !== 'blender') return false;
    const foods = lines.flatMap((l) => this.read.lines[l]?.foods[0]?.food ?? []);
    if (BOILS.has(c.action) && foods.length > 0 && foods.every((f) => STARCHY.has(f.kind))) return true;
    return place !== current.place && !(current.place === 'bowl' && place === 'burner');
  }

  /** Minutes of a clause: as said, else what such a deed usually takes. */
  private minutesOf(c: StepClause): { readonly minutes: Range; readonly said: boolean } | null {
    const action = c.action ?? 'add';
    if (c.minutes && c.minutes.best > 0) {
      if (c.minutes.low > MOST_MINUTES) return null;
      const [low, best, high] = action === 'pressurecook' ? TASKS.pressure.up : [0, 0, 0];
      const { minutes: m } = c;
      return { minutes: range(m.low + low, m.best + best, m.high + high), said: true };
    }
    if (SILENT.has(action)) return null;
    const usual = verbById(action)?.minutes;
    return { minutes: usual ? range(...usual) : exact(1), said: false };
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
    if (!isDeed(c, at.text, at.opens)) return;
    this.foods.set(at.step, [...(this.foods.get(at.step) ?? []), ...c.foods]);
    if (this.lasts(c, at)) return;
    const timed = this.minutesOf(c);
    if (!timed) return;
    const action = c.action ?? 'add';
    const lines = this.linesOf(c, at);
    const pots = this.potsFor(c, lines, at);
    const place = this.placeIn(c, pots);
    const attention = this.attentionOf(c, timed.minutes.best, timed.said, place);
    const fresh = lines.filter((l) => !this.pots.some((p) => p.lines.has(l)));
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
    const holds = this.holdsAfter(action, at.text, foods, pots);
    const before = this.tasks.at(-1);
    const uses =
      place === 'burner' || APPLIANCES.some((a) => a === place)
        ? [place]
        : c.tools.includes('fridge')
          ? []
          : [];
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
        text: tidy(
          this.read.recipe.steps[at.step]?.text.slice(this.from.get(before.id) ?? at.start, at.until) ?? '',
        ),
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
    this.pool(pots, lines, made, place, holds);
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
      text: tidy(
        this.read.recipe.steps[at.step]?.text.slice(this.from.get(before.id) ?? at.start, at.until) ?? '',
      ),
    };
    return true;
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
  private placeIn(c: StepClause, pots: readonly Pot[]): string {
    const own = placeOf(c);
    if (own !== 'bowl') return own;
    const action = c.action ?? 'add';
    const hot = pots.find((p) => p.hot);
    const stays = JOINS.has(action) && !LEAVES_HEAT.has(action) && !GATHERS.has(action);
    if (hot && pots.length === 1 && stays) return hot.place;
    return own;
  }

  private attentionOf(c: StepClause, minutes: number, said: boolean, place: string): Task['attention'] {
    const stands = said && minutes >= 4;
    // what takes minutes in the oven, or in a bowl, wants nobody, whatever its verb
    const standing =
      c.action === null || JOINS.has(c.action) || SILENT.has(c.action) || c.action === 'spread';
    if (stands && place === 'oven') return 'none';
    if (stands && standing) return place === 'burner' ? 'eye' : 'none';
    if (c.action === null) return 'hands';
    if (c.attention === 'hands' && place === 'burner' && (stands || minutes >= 6)) return 'eye';
    return c.attention;
  }

  private holdsAfter(
    action: string,
    text: string,
    foods: readonly Parameters<typeof isAtOnce>[0][],
    pots: readonly Pot[],
  ): number | null {
    if (saysBatter(text) !== null && !/\b(?:cook|fry|bake)\b/i.test(text)) return TASKS.batter.minutes;
    const usual = TASKS.holds[action] ?? null;
    const boiled = ['boil', 'cook', 'drain', 'simmer', 'steam'].includes(action);
    if (boiled && foods.some(isAtOnce)) return TASKS['at-once'].minutes;
    if (usual !== null) return usual;
    // what is put into a hot pot waits no longer than it did
    return JOINS.has(action) && pots.length === 1 && pots[0]?.hot ? pots[0].holds : null;
  }

  private preheat(id: string, at: Place, celsius: number | null): void {
    this.preheated = true;
    this.tasks.push({
      id,
      step: at.step,
      line: null,
      text: celsius === null ? 'Heat the oven' : `Heat the oven to ${Math.round(celsius)} °C`,
      action: 'preheat',
      minutes: range(...TASKS.preheat),
      said: false,
      attention: 'none',
      uses: ['oven'],
      celsius,
      after: [],
      optional: false,
      holds: TASKS.holds.preheat ?? null,
      lines: [],
      mentions: [],
    });
  }

  /** Puts what a task acted on into one pot. */
  private pool(
    pots: readonly Pot[],
    lines: readonly number[],
    task: Task,
    place: string,
    holds: number | null,
  ): void {
    const into: Pot = pots[0] ?? {
      last: null,
      holds: null,
      place,
      hot: false,
      lines: new Set(),
      sections: new Set(),
    };
    for (const p of pots.slice(1)) {
      p.lines.forEach((l) => into.lines.add(l));
      p.sections.forEach((s) => into.sections.add(s));
    }
    for (const l of lines) {
      into.lines.add(l);
      into.sections.add(this.sectionOf(l));
    }
    into.last = task.id;
    into.holds = holds;
    if (place !== 'bowl') into.place = place;
    const off = LEAVES_HEAT.has(task.action) || GATHERS.has(task.action);
    into.hot = place === 'burner' || (into.hot && !off);
    if (place === 'oven' || place === 'blender') into.hot = false;
    this.pots = [...this.pots.filter((p) => !pots.includes(p)), into];
    this.current = into;
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

  /** What is made ready and never named again is at hand before the last thing that is done. */
  private bringIn(): void {
    const used = new Set(this.tasks.flatMap((t) => t.after.map((a) => a.id)));
    const last = this.tasks.findLastIndex((t) => t.step !== null);
    const task = this.tasks[last];
    if (!task) return;
    const loose = [...this.preparations.values()]
      .flatMap((own) => own.slice(-1))
      .filter((t) => !used.has(t.id));
    this.tasks[last] = {
      ...task,
      after: [...task.after, ...loose.map((t) => ({ id: t.id, least: 0, most: null }))],
    };
  }

  /** The oven is as hot as the first thing in it wants, where its own words do not say. */
  finished(): Task[] {
    this.bringIn();
    const heat = this.tasks.find((t) => t.uses.includes('oven') && t.celsius !== null)?.celsius ?? null;
    const told = this.tasks.map((t) => (t.step === null ? t : { ...t, mentions: this.mentionsIn(t) }));
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

/** A deed's words as a task of their own: no "and then" before them, a capital first. */
function tidy(text: string): string {
  const own = text
    .replace(/^[\s,;.)]+/, '')
    .replace(/^(?:and then|and|then|now|next)\s+/i, '')
    .replace(/[\s,;.(]+$/, '')
    .replace(/[\s,;]+(?:and then|and|then)$/i, '')
    .replace(/\s+/g, ' ');
  return own.charAt(0).toUpperCase() + own.slice(1);
}

/** Deeds of the knife and the sieve that the method tells of lines itself: they are not done twice. */
function toldOf(steps: readonly { readonly clauses: readonly StepClause[] }[]): Map<number, Set<string>> {
  const out = new Map<number, Set<string>>();
  for (const step of steps)
    for (const c of step.clauses)
      if (c.action !== null && c.polarity === 'do')
        for (const l of c.foods.flatMap((f) => f.lines)) out.set(l, (out.get(l) ?? new Set()).add(c.action));
  return out;
}

/**
 * What there is to do for a dish: each deed of its method, and what its lines ask for before, with what must be done
 * before what. Deeds follow each other as they are told, except where they plainly act on something else: another part,
 * another pot, the oven, "meanwhile".
 *
 * @param times how much more is made than the recipe says
 */
export function tasksOf(read: ReadRecipe, settings: ReadSettings, times = 1): Task[] {
  const steps = stepsOf(read, settings);
  const builder = new Builder(read, times, toldOf(steps));
  steps.forEach((step, s) => {
    let end = 0;
    let sentence = '';
    step.clauses.forEach((c, k) => {
      const between = step.text.slice(end, c.span[0]);
      const opens = k === 0 || /[.!?;\n]/.test(between) || /[.!?;]\s*$/.test(step.text.slice(0, c.span[0]));
      sentence = opens ? '' : sentence + between;
      const text = step.text.slice(...c.span);
      sentence += text;
      const next = step.clauses.slice(k + 1).find((n) => isDeed(n, step.text.slice(...n.span), false));
      const until = next?.span[0] ?? step.text.length;
      const whole = step.text.slice(c.span[0], until);
      builder.clause(c, `s${s}.${k}`, { step: s, text, sentence, opens, start: c.span[0], until, whole });
      end = c.span[1];
    });
  });
  return builder.finished();
}

/** True where a clause is something to do, with a time of its own. */
function isDeed(c: StepClause, text: string, opens: boolean): boolean {
  if (c.polarity === 'not' || c.polarity === 'remark' || c.polarity === 'alternative') return false;
  if (STARTS_LIKE_A_WHILE.test(text)) return false;
  if (saysKeeping(text) !== null && (c.minutes === null || c.minutes.best >= TASKS.ahead.minutes))
    return false;
  if (c.minutes !== null) return true;
  if (c.action === null) return c.foods.some((f) => f.lines.length > 0);
  // "turning once", "stir now and then": done in passing
  if (!opens && IN_PASSING.test(text)) return false;
  return !SILENT.has(c.action) && !(c.foods.length === 0 && saysInPassing(text) !== null);
}
