import { tokens } from '@/core/food/tokens';
import type { ReadRecipe } from '@/core/read/types';
import type { StepClause } from '@/core/steps/schema';
import { placeOf, type Place } from './deed';
import { GATHERS, JOINS, LEAVES_HEAT, MIXES, saysBeside, saysEverything, saysMade } from './knowledge';
import type { Task } from './task';

/** Something under way: what is in one pot, on one board, in one bowl. */
export interface Pot {
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

/** Verbs whose food is boiled in a pot of its own. */
const BOILS = new Set(['boil', 'cook', 'steam', 'simmer', 'parboil']);
const STARCHY = new Set(['whole-grain', 'refined-grain', 'starch']);

const SAYS_NOTHING = new Set(
  'for the and with into over from ingredient ingredients method recipe you your make made'.split(' '),
);
/** Words of a text that tell one part of a dish from another. */
const tellingWords = (text: string): string[] =>
  tokens(text).filter((w) => w.length > 2 && !SAYS_NOTHING.has(w));

/** All that is under way in a dish, and which of it a clause speaks of. */
export class Pots {
  all: Pot[] = [];
  private current: Pot | null = null;
  /** Words of each section's name, without those that many share. */
  private readonly parts: readonly { readonly section: string; readonly words: ReadonlySet<string> }[];

  constructor(
    private readonly read: ReadRecipe,
    /** Lines that some clause names. */
    private readonly mentioned: ReadonlySet<number>,
  ) {
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
    return this.all.filter((p) => [...p.sections].some((s) => named.some((n) => n.section === s)));
  }

  /** Lines that a clause acts on: those it names, those of the part it names, and with "everything" all nobody named. */
  linesOf(c: StepClause, at: Place): number[] {
    const named = c.foods.flatMap((f) => f.lines);
    const free = (l: number) => !this.all.some((p) => p.lines.has(l));
    const all = saysEverything(at.text) !== null;
    const words = new Set(tellingWords(at.text));
    const parts = this.parts.filter(({ words: own }) => [...own].some((w) => words.has(w)));
    const made = this.read.lines.flatMap((line, l) => {
      if (line.origin !== 'ingredients' || !free(l)) return [];
      const part = parts.some((p) => p.section === line.line.section);
      return part || (all && (this.all.length === 0 || !this.mentioned.has(l))) ? [l] : [];
    });
    return [...new Set([...named, ...made])].filter((l) => this.read.lines[l]?.origin === 'ingredients');
  }

  /** What a clause acts on, of all that is under way; none where it begins something new. */
  potsFor(c: StepClause, lines: readonly number[], at: Place): readonly Pot[] {
    const action = c.action ?? '';
    const holding = this.all.filter((p) => lines.some((l) => p.lines.has(l)));
    const spoken = this.spokenOf(at.text);
    if (saysEverything(at.text) !== null || action === 'serve') return this.all;
    // "layer the aubergine and the sauce": which of them is the sauce is not asked, all that is made comes together
    if (spoken.length === 0 && saysMade(at.text) !== null) return this.all;
    if (GATHERS.has(action)) {
      if (holding.length === 0 && spoken.length === 0) return this.all;
      return [...new Set([...this.all.filter((p) => p === this.current), ...holding, ...spoken])];
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

  /** Puts what a task acted on into one pot. */
  pool(
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
    this.all = [...this.all.filter((p) => !pots.includes(p)), into];
    this.current = into;
  }
}
