import { tokens } from '@/core/food/tokens';
import type { Food } from '@/core/food/table';
import type { ReadRecipe } from '@/core/read/types';
import type { StepClause } from '@/core/steps/schema';
import { placeOf, type Place } from './deed';
import {
  GATHERS,
  JOINS,
  LEAVES_HEAT,
  MIXES,
  OFF_HEAT,
  saysBeside,
  saysCurrent,
  saysEverything,
  saysMade,
} from './knowledge';
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
  /** Water put on to boil that nothing is in yet. */
  water: boolean;
}

/** Verbs whose food is boiled in a pot of its own. */
const BOILS = new Set(['boil', 'cook', 'steam', 'simmer', 'parboil']);
/** Deeds that water was put on for. */
const IN_WATER = new Set([...BOILS, 'blanch', 'poach', 'add', 'drop', 'tip', 'put', 'throw', 'pour', 'salt']);
const PUTS_ON = new Set(['put', 'bring', 'boil', 'heat', 'fill', 'get', 'set', 'start']);
const WATER_ON = /\b(?:water|kettle)\b/i;
const TO_BOIL = /\b(?:boil\w*|simmer|on)\b/i;

/** "Put a big pan of water on to boil": nothing is in it yet. */
export const isWaterOn = (c: StepClause, text: string): boolean =>
  c.minutes === null &&
  PUTS_ON.has(c.action ?? '') &&
  c.foods.every((f) => f.lines.length === 0) &&
  WATER_ON.test(text) &&
  TO_BOIL.test(text);

/** "Mash the millet with it": what was made last comes to it. */
const WITH_IT = /\b(?:with|into|to|through|over)\s+(?:it|them|this)\b/i;
const STIRS_IN =
  /^[\s,]*(?:and |then )*(?:stir|pour|add|tip|whisk|mix|fold|beat)\s+(?:(?:it|this|them|that) )?(?:all )?(?:in|into|through|to|back)\b/i;
const IN_ITS_OWN =
  /\bin an? (?:\w+[ -]){0,3}?(?:pan|pot|skillet|saucepan|frying pan|wok|bowl|jug|jar|casserole)\b/i;
const IN_A_BOWL = /^[\s,]*in (?:an?|another|the|your) (?:\w+ ){0,2}(?:bowl|jug|cup|mug|jar|dish|basin)\b/i;
/** Words by which what a deed mixes goes to what is there. */
const TO_WHAT_IS_THERE = /\b(?:into|through|it|them|this|that|everything|all|rest)\b|\bin\b(?! an? )/i;
const STARCHY = new Set(['whole-grain', 'refined-grain', 'starch']);

const SAYS_NOTHING = new Set(
  'for the and with into over from ingredient ingredients method recipe you your make made'.split(' '),
);
/** Words of a text that tell one part of a dish from another. */
const tellingWords = (text: string): string[] =>
  tokens(text).filter((w) => w.length > 2 && !SAYS_NOTHING.has(w));

/** A clause's words without the foods it names: the paste of "tomato paste" was not made here. */
const withoutFoods = (c: StepClause, at: Place): string =>
  c.foods
    .filter((f) => f.lines.length > 0)
    .reduce((text, { span: [from, to] }) => {
      const [a, b] = [from - at.start, to - at.start];
      return a < 0 || b > text.length ? text : `${text.slice(0, a)}${' '.repeat(b - a)}${text.slice(b)}`;
    }, at.text);

/** All that is under way in a dish, and which of it a clause speaks of. */
export class Pots {
  all: Pot[] = [];
  private current: Pot | null = null;
  /** What was under way before the current one was begun. */
  private before: Pot | null = null;
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

  /** The part of the dish that a label names: "Gomen: …". */
  partOf(label: string): string | null {
    const words = new Set(tellingWords(label));
    return this.parts.find(({ words: own }) => [...own].some((w) => words.has(w)))?.section ?? null;
  }

  /** The part that all of some lines are of; null where they are of several, or the dish has none. */
  private sectionOfAll(lines: readonly number[]): string | null {
    const [first = null, ...others] = new Set(lines.map((l) => this.sectionOf(l)));
    return others.length === 0 ? first : null;
  }

  private foodsIn(lines: Iterable<number>): Food[] {
    return [...lines].flatMap((l) => this.read.lines[l]?.foods[0]?.food ?? []);
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
    // "gomen: soften the onion": the one of that part, where both parts have one
    const own = (l: number) => at.part !== null && this.sectionOf(l) === at.part;
    const named = c.foods.flatMap((f) => (f.lines.some(own) ? f.lines.filter(own) : f.lines));
    const free = (l: number) => !this.all.some((p) => p.lines.has(l));
    // "stir the oats and chia together": those, not all
    const every = named.length === 0 || /\b(?:everything|the rest|remaining|remainder)\b/i.test(at.text);
    const all = every && (saysEverything(at.text) !== null || saysCurrent(at.text) !== null);
    const words = new Set(tellingWords(at.text));
    const parts = this.parts.filter(({ words: own }) => [...own].some((w) => words.has(w)));
    const made = this.read.lines.flatMap((line, l) => {
      if (line.origin !== 'ingredients' || !free(l)) return [];
      const part = parts.some((p) => p.section === line.line.section);
      if (at.part !== null && line.line.section !== at.part && !part) return [];
      return part || (all && (this.all.length === 0 || !this.mentioned.has(l))) ? [l] : [];
    });
    return [...new Set([...named, ...made])].filter((l) => this.read.lines[l]?.origin === 'ingredients');
  }

  /** What a clause acts on, of all that is under way; none where it begins something new. */
  potsFor(c: StepClause, lines: readonly number[], at: Place): readonly Pot[] {
    const action = c.action ?? '';
    // water is in every pot: it tells none from another
    const telling = lines.filter((l) => this.foodsIn([l])[0]?.kind !== 'water');
    const holding = this.all.filter((p) => telling.some((l) => p.lines.has(l)));
    const spoken = this.spokenOf(at.text);
    // "Cornbread: stir everything together": of that part
    const own = at.part ?? (lines.length > 0 ? this.sectionOfAll(lines) : null);
    const mine =
      own === null || action === 'serve'
        ? this.all
        : this.all.filter((p) => p.sections.size === 0 || p.sections.has(own));
    const every = saysEverything(at.text);
    if (action === 'serve' || (every !== null && !(every === 'together' && lines.length > 0))) return mine;
    // "layer the aubergine and the sauce": which of them is the sauce is not asked, all that is made comes together
    if (spoken.length === 0 && saysMade(withoutFoods(c, at)) !== null) return mine;
    if (GATHERS.has(action)) {
      if (holding.length === 0 && spoken.length === 0) return this.all;
      return [...new Set([...this.all.filter((p) => p === this.current), ...holding, ...spoken])];
    }
    const joins = JOINS.has(action) || c.action === null;
    const meant = [...new Set([...holding, ...spoken])];
    const { current } = this;
    if (meant.length > 0) {
      // "return the mushrooms to the pan": what was set aside comes to what is under way
      const beside = saysBeside(at.sentence) !== null;
      const adds =
        !beside && joins && current !== null && !meant.includes(current) && !at.opens && holding.length > 0;
      const withIt =
        current !== null &&
        !meant.includes(current) &&
        (WITH_IT.test(at.text) || saysCurrent(at.text) !== null);
      return adds || withIt ? [...meant, current] : meant;
    }
    // "slake the cornflour with water, stir in": it goes to what was there before
    if (current && this.before && lines.length === 0 && !at.opens && STIRS_IN.test(at.text))
      return [this.before, current];
    const water = this.all.find((p) => p.water);
    if (water && lines.length > 0 && IN_WATER.has(action)) return [water];
    if (!current) return [];
    if (lines.length === 0) return [current];
    return this.beginsAnew(c, lines, at, current) ? [] : [current];
  }

  /** True where what nobody touched yet is begun beside what is under way, not put into it. */
  private beginsAnew(c: StepClause, lines: readonly number[], at: Place, current: Pot): boolean {
    if (saysBeside(at.sentence) !== null) return true;
    const place = placeOf(c);
    // "squash and tomatoes into the slow cooker"
    if (at.opens && c.action === null && place !== 'bowl' && place !== current.place) return true;
    const fresh = lines.every(
      (l) => this.foodsIn([l])[0]?.kind === 'water' || !this.all.some((p) => p.lines.has(l)),
    );
    // "in a small skillet toast the seeds": not the pot of before
    if (at.opens && fresh && IN_ITS_OWN.test(at.text)) return true;
    if (!at.opens || c.action === null) return false;
    if (JOINS.has(c.action) && !MIXES.has(c.action)) return false;
    const known = current.sections.size > 0 && this.parts.length > 0;
    if (known && lines.every((l) => !current.sections.has(this.sectionOf(l)))) return true;
    // "mix the flaxseed with 6 tbsp water" is a thing of its own, "mix with the onion" is not
    if (MIXES.has(c.action) && place !== 'blender') {
      const first = Math.min(...c.foods.map((f) => f.span[0]));
      const head = at.text.slice(0, first - at.start).replace(IN_A_BOWL, '');
      const tail = at.text.slice(first - at.start);
      return fresh && !/\b(?:with|in)\b/i.test(head) && !TO_WHAT_IS_THERE.test(tail) && place === 'bowl';
    }
    const foods = this.foodsIn(lines);
    const starchy = (some: readonly Food[]) => some.length > 0 && some.every((f) => STARCHY.has(f.kind));
    if (BOILS.has(c.action) && starchy(foods)) return true;
    // rice that boils is let boil: what is not put into it is another pot's
    if (current.place === 'burner' && place === 'burner' && fresh && starchy(this.foodsIn(current.lines)))
      return true;
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
      water: false,
    };
    into.water = false;
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
    const off = LEAVES_HEAT.has(task.action) || GATHERS.has(task.action) || OFF_HEAT.has(task.action);
    into.hot = place === 'burner' || (into.hot && !off);
    if (place === 'oven' || place === 'blender') into.hot = false;
    this.all = [...this.all.filter((p) => !pots.includes(p)), into];
    if (this.current !== into)
      this.before = this.current && this.all.includes(this.current) ? this.current : null;
    this.current = into;
  }

  /** What is under way comes off the heat. */
  takeOff(): void {
    if (this.current) this.current.hot = false;
  }

  /** Puts water on, beside what is under way. */
  putWaterOn(task: Task): void {
    this.all.push({
      last: task.id,
      holds: task.holds,
      place: 'burner',
      hot: true,
      lines: new Set(),
      sections: new Set(),
      water: true,
    });
  }
}
