import { remember } from '@/core/memo';
import { clean } from './clean';
import { SURE } from '@/core/food/find';
import { headingOf, isBareSection, listsFoods, META, PER_ONE, sectionName, type Heading } from './heading';
import { rowAndTold, splitInline } from './inline';
import { ingredientScore, startsWithAmount, startsAsStep, startsWithMeasure } from './score';
import { COMES_TO, LETTER, LISTED_INSIDE, NONE_OF_IT, OTHER_LIST, partsOfRow, sentencesAt } from './row-talk';
import { SAYS_KIND, type RowKind, type UnsureRow } from './row-kind';
import { FOR_SO_MANY } from './talk';
import { platesOfPieces, servingsRow, told } from './servings-told';
import { readServings as readServingsNow, type ServingsReading, type ServingsWords } from './servings';
import { isCompoundName, isNamed, readTitle } from './title-said';
import {
  linesOf,
  stretchOf,
  type MarkedStretch,
  type Raw,
  type Recipe,
  type SourceLine,
  type Stretch,
} from './source';

/** A row that says how many it feeds, whatever else it looks like. */
const SAYS_SERVINGS =
  /^(?:(?:serves|makes|feeds|yields?|servings|portions)\b|[\w-]+(?:\s*(?:or|to|-|–)\s*[\w-]+)?\s+(?:\w+\s+){0,2}(?:people|persons|servings|portions|helpings|diners|eaters)\b|1 (?:person|serving|portion|helping)\s*$|\d+(?:\s*(?:or|to|-|–)\s*\d+)?\s+as an? (?:\w+ )?(?:starter|main|side|snack|lunch|supper|appeti[sz]er)\b)/i;
const PER_HEAD = /^(?:per|for each|for every|for one)$/i;
/** "Custard: 600 ml milk, 2 tbsp custard powder.": a part with its list, among sentences. */
const PART_IN_PROSE = /(?:^|[.!]\s+)([A-Z][a-z][a-z' -]{1,22}):\s+([^.!]*[a-z)])\s*(?=[.!]\s|[.!]?\s*$)/g;
const RULE = /^\s*(?:[-=*_~]\s*){3,}$/;
const TABLE_FRAME = /^\|?[\s:|-]+\|?$/;
/** "Enough for 4 with rice." at the end of a step or note. */
const SENTENCE_OF_SERVINGS =
  /^(?:\d{1,2}(?:\s*(?:-|–|to|or)\s*\d{1,2})? (?:portions|servings|helpings|people|plates)\b|this (?:is|was) (?:enough )?for\b|(?:this )?(?:serves|feeds|makes|enough (?:for|to feed)|should (?:serve|feed)|(?:it )?will (?:serve|feed))\b)/i;

/** "2 big plates." wherever it stands; "4 wraps" may be a food. */
const PLATES_ALONE =
  /^(?:\d{1,2}|one|two|three|four|five|six|eight)(?:\s*(?:-|–|to|or)\s*\d{1,2})? (?:(?:big|small|large|good|deep|hungry|decent|generous) )?(?:plates?|bowls?|bowlfuls?|platefuls?|portions?|servings?|helpings?|people|ppl|covers|lunches|dinners|suppers|meals|glass(?:es)?)[.!]?$/i;
/** "one 2lb loaf, 10 slices". */
const ONE_CUT =
  /^(?:an?|one|1|two|2)\b[^.;]{0,30}\b(?:loaf|loaves|cakes?|tarts?|pies?|trays?|tins?|pizzas?)\b[^.;]{0,12}?\b\d{1,2} (?:slices|squares|pieces|wedges|bars|portions)\b/i;
/** Characters of a row that tells more than how many it feeds. */
const LONG_ENOUGH = 50;
const JARRED = /\bjars?\b|overnight|\bpots?\b|parfait|pudding|\bchia\b/i;
const readServings = remember(readServingsNow);

type State = 'before' | 'ingredients' | 'method' | 'notes';

/** A row that lists what goes in here: "Mine: 4 oz brown rice", "200 g lentils". */
const listsHere = (text: string): boolean =>
  !OTHER_LIST.test(text) && (ingredientScore(text, false) >= 4 || /^[^:]{2,24}:\s*\d/.test(text.trim()));

/** Goes through the rows once and puts each where it belongs. */
class Parser {
  private readonly lines: SourceLine[] = [];
  private readonly steps: Stretch[] = [];
  private readonly notes: Stretch[] = [];
  private readonly problems: string[] = [];
  private readonly unsure: UnsureRow[] = [];
  private readonly raws: readonly Raw[];
  private title: string | null = null;
  private servings: ServingsWords | null = null;
  private state: State = 'before';
  private explicitMethod = false;
  private section: string | null = null;

  constructor(private readonly source: string) {
    this.raws = [...linesOf(source)];
  }

  parse(): Recipe {
    this.raws.forEach((raw, i) => {
      if (raw.text.trim() && !RULE.test(raw.text)) this.row(raw, i);
    });
    // what is only guessed from "a big pot" yields to what is told
    if (this.servings === null || this.servings.reading !== null) this.servingsTold();
    if (this.servings === null) this.servingsInSentences();
    // "rice for 4" on the list
    if (this.servings === null)
      for (const { text } of this.lines) {
        const many = FOR_SO_MANY.exec(clean(text))?.[2];
        if (many) this.takeServings(readServings(`serves ${many}`));
      }
    if (this.servings)
      this.servings = platesOfPieces(
        this.servings,
        [...this.notes, ...this.steps].map((x) => x.text),
      );
    // a recipe told as a story: its prose is its method
    if (this.lines.length === 0 && this.steps.length === 0)
      for (const note of this.notes.splice(0))
        (note.text.split(' ').length > 6 ? this.steps : this.notes).push(note);
    const { source, servings, lines, steps, notes, unsure } = this;
    return {
      source,
      title: this.title || 'Untitled recipe',
      servings,
      lines,
      steps,
      notes,
      unsure,
      problems: [...new Set(this.problems)],
    };
  }

  private row(raw: Raw, index: number): void {
    const stretch = stretchOf(raw);
    // a bullet with nothing behind it
    if (!stretch.text) return;
    if (this.saysKind(raw) || this.isOtherList(stretch, index)) return;
    // "tarka: none."
    const none = NONE_OF_IT.exec(stretch.text);
    if (none) {
      const rest = stretch.text.slice(none[0].length);
      const from = stretch.start + stretch.text.length - rest.trimStart().length;
      if (rest.trim()) this.notes.push({ text: rest.trim(), start: from, end: stretch.end });
      return;
    }
    const heading = headingOf(raw.text);
    if (this.title === null && this.state === 'before') {
      if (this.isTitle(stretch, heading, index)) {
        this.takeTitle(clean(heading?.text ?? stretch.text));
        // "salt" right above a list is as likely a food
        if (!heading && this.raws[index + 1]?.text.trim() && isNamed(stretch.text, 0.95))
          this.ask(stretch, 'title');
        return;
      }
      this.title = '';
    }
    if (heading && !(heading.kind === 'section' && META.test(heading.text))) this.underHeading(raw, heading);
    else if (META.test(stretch.text) || TABLE_FRAME.test(stretch.text)) {
      this.takeServings(this.servingsOf(stretch.text));
      this.notes.push(stretch);
    } else this.plainRow(stretch, index);
  }

  private plainRow(stretch: MarkedStretch, index: number): void {
    const listing = this.state !== 'method' && this.state !== 'notes';
    const afterBlank = index > 0 && !this.raws[index - 1]?.text.trim();
    if (
      listing &&
      !PLATES_ALONE.test(stretch.text) &&
      !ONE_CUT.test(stretch.text) &&
      isBareSection(
        stretch,
        afterBlank || this.indentsNext(index),
        this.nextFilled(index),
        this.namesPart(stretch.text, index),
      )
    ) {
      this.section = sectionName(clean(stretch.text));
      this.state = 'ingredients';
      if (isNamed(stretch.text, SURE)) this.ask(stretch, 'heading');
      return;
    }
    if (this.headsPaper(stretch) || this.listsInProse(stretch) || this.countsPlates(stretch)) return;
    const early = this.lines.length === 0 && this.state !== 'method';
    if (early && COMES_TO.test(stretch.text)) {
      this.notes.push(stretch);
      return;
    }
    const late = this.servings === null && /\d \w+$/.test(stretch.text);
    const cut = (early || late) && ONE_CUT.test(stretch.text) ? readServings(`makes ${stretch.text}`) : null;
    if (cut) {
      this.takeServings(cut);
      this.notes.push(stretch);
      return;
    }
    const loose = early || PLATES_ALONE.test(stretch.text) ? servingsRow(stretch.text) : null;
    // "serves 2, three at a pinch" says more than its first number
    if (loose && !(SAYS_SERVINGS.test(stretch.text) && this.servingsOf(stretch.text))) {
      this.takeServings(loose);
      // "pasta, 75g a head (there's 4 of us)" is a line as well
      if (ingredientScore(stretch.text, stretch.marked) < 5) {
        this.notes.push(stretch);
        return;
      }
    }
    const pieces = this.state === 'before' ? this.piecesOfTitle(stretch.text, index) : null;
    if (pieces) {
      this.takeServings(pieces);
      this.notes.push(stretch);
      return;
    }
    const score = ingredientScore(stretch.text, stretch.marked);
    if (this.saysServings(stretch, score)) {
      this.takeServings(this.servingsOf(stretch.text));
      // "Leeks in, stock on top, 15 mins, blend. Feeds 6.": told beside it, once there is a list
      if (this.lines.length < 2 || stretch.text.length < LONG_ENOUGH || !/[.!]\s+\S/.test(stretch.text)) {
        this.notes.push(stretch);
        return;
      }
    }
    switch (this.state) {
      case 'notes':
        this.notes.push(stretch);
        return;
      case 'method': {
        // a second list of ingredients after a method, or a method that was only guessed
        const strong = score >= 4 && !stretch.numbered;
        if (strong && (this.section !== null || !this.explicitMethod || this.lines.length === 0))
          this.list(stretch, false);
        else {
          this.step(stretch);
          if (score >= 2 && !stretch.numbered && stretch.text.split(' ').length <= 8)
            this.ask(stretch, 'step');
        }
        return;
      }
      case 'ingredients':
        if (score > -1) {
          this.list(stretch, false);
          if (score < 1.5 && !stretch.marked) this.ask(stretch, 'food');
        } else {
          this.state = 'method';
          this.section = null;
          this.step(stretch);
        }
        return;
      case 'before':
        if (score >= 2 || (score >= 1 && stretch.marked && !stretch.numbered)) {
          this.state = 'ingredients';
          this.list(stretch, false);
        } else if (score <= -2 && (this.lines.length > 0 || startsAsStep(stretch.text))) this.step(stretch);
        else {
          this.notes.push(stretch);
          if (score >= 1.5) this.ask(stretch, 'note');
        }
    }
  }

  /** "From: …", "Subject: the soup": the head of a letter. */
  private headsPaper({ text, ...at }: Stretch): boolean {
    if (this.lines.length > 0 || this.steps.length > 0) return false;
    const m = LETTER.exec(text);
    if (!m) return false;
    if (['subject', 're'].includes(m[1]?.toLowerCase() ?? '') && m[2])
      this.takeTitle(clean(m[2].replace(/^(?:re|fwd?):\s*/i, '')));
    else this.notes.push({ text, ...at });
    return true;
  }

  /** "The original: 2 oz butter, 1 pint cream": how others make it, where a list of how it is made here follows. */
  private isOtherList(stretch: Stretch, index: number): boolean {
    if (this.state === 'method' || !OTHER_LIST.test(stretch.text)) return false;
    const follows = this.raws.slice(index + 1).some(({ text }) => listsHere(text));
    if (follows) this.notes.push(stretch);
    return follows;
  }

  /** "Serves four. Ingredients: 1 kg potatoes; 250 g kale.": all in one row. */
  private listsInProse(stretch: Stretch): boolean {
    const m = this.state === 'before' ? LISTED_INSIDE.exec(stretch.text) : null;
    const list = m?.[2]?.trim() ?? '';
    if (!m || !list) return false;
    this.takeServings(this.servingsOf((m[1] ?? '').replace(/[.,;]\s*$/, '')));
    this.state = 'ingredients';
    const start = stretch.start + stretch.text.length - (m[2] ?? '').trimStart().length;
    for (const part of sentencesAt(list, start)) {
      const head = /^for the ([a-z][a-z ]{2,24}),\s+/i.exec(part.text);
      if (head) this.section = sectionName(head[1] ?? '');
      const from = head?.[0].length ?? 0;
      this.list({ text: part.text.slice(from), start: part.start + from, end: part.end }, true);
    }
    this.section = null;
    return true;
  }

  /** "4 ppl / 1 pot / 45 mins" above the list. */
  private countsPlates(stretch: Stretch): boolean {
    const parts = stretch.text.split(/\s+[/|·•–—-]\s+/);
    const plates = parts.find((p) => PLATES_ALONE.test(p.trim()));
    if (this.lines.length > 0 || this.state === 'method' || parts.length < 2 || !plates) return false;
    this.takeServings(servingsRow(plates.trim()) ?? this.servingsOf(plates.trim()));
    this.notes.push(stretch);
    return true;
  }

  private ask({ text, start, end }: Stretch, taken: RowKind): void {
    this.unsure.push({ text, start, end, taken });
  }

  /** A row of the method; a part's list among its sentences is a list all the same. */
  private step(stretch: Stretch): void {
    let from = 0;
    const tell = (to: number) => {
      const gap = /^[\s.!]*/.exec(stretch.text.slice(from, to))?.[0].length ?? 0;
      const text = stretch.text.slice(from + gap, to).trim();
      const start = stretch.start + from + gap;
      if (text) this.steps.push({ text, start, end: start + text.length });
    };
    for (const m of stretch.text.matchAll(PART_IN_PROSE)) {
      const [whole, name = '', list = ''] = m;
      if (!listsFoods(name, list)) continue;
      const at = m.index + whole.lastIndexOf(list);
      const head = m.index + whole.indexOf(name);
      tell(head);
      const { section } = this;
      this.section = sectionName(name);
      this.list({ text: list, start: stretch.start + at, end: stretch.start + at + list.length }, true);
      this.section = section;
      from = at + list.length;
    }
    if (from === 0) this.steps.push(stretch);
    else tell(stretch.text.length);
  }

  /** A row that says itself what it is changes nothing for those behind it. */
  private saysKind(raw: Raw): boolean {
    const said = SAYS_KIND.exec(raw.text);
    if (!said) return false;
    const start = raw.start + (said[1]?.length ?? 0);
    const stretch = { text: raw.text.slice(start - raw.start).trimEnd(), start, end: raw.end };
    const kind = said[2]?.toLowerCase();
    if (kind === 'title') this.takeTitle(clean(stretch.text));
    else if (kind === 'step') this.steps.push(stretch);
    else if (kind === 'food') this.lines.push({ ...stretch, section: this.section });
    else this.notes.push(stretch);
    return true;
  }

  private underHeading(raw: Raw, heading: Heading): void {
    if (heading.kind !== 'section') {
      this.state = heading.kind;
      this.explicitMethod ||= this.state === 'method';
      this.section = null;
      // "Ingredients (serves 4)"
      this.takeServings(readServings(raw.text.slice(0, 80)));
    } else if (this.state !== 'method' || !heading.rest) {
      this.section = sectionName(heading.text);
      // "per person: 60 g gram flour" before anything else: the list is one plate's
      // "For 6:" above a list
      if (
        /^for (?:about |around )?(?:\d{1,2}|two|three|four|five|six|eight|ten|twelve)(?: people| of us| ppl)?$/i.test(
          heading.text,
        )
      ) {
        this.takeServings(readServings(heading.text));
        this.section = null;
      }
      const one = PER_HEAD.test(heading.text) || PER_ONE.test(heading.text);
      if (one && this.lines.length === 0 && this.servings === null) {
        this.takeServings(readServings('serves 1'));
        this.section = null;
      }
      if (this.state === 'before') this.state = 'ingredients';
    }
    if (!heading.rest) return;
    const start = raw.start + heading.restStart;
    const rest = { text: heading.rest, start, end: start + heading.rest.length };
    // "Sauce: sweat the veg in the wine." goes on telling
    if (
      this.state === 'ingredients' &&
      this.lines.length > 0 &&
      startsAsStep(rest.text) &&
      /[.!]\s|[.!]$/.test(rest.text)
    )
      this.state = 'method';
    if (this.state === 'method' && listsFoods(heading.text, rest.text) && !startsAsStep(rest.text)) {
      // "Custard: 600 ml oat milk, 3 tbsp custard powder": a part's list among the steps
      const { section } = this;
      this.section = sectionName(heading.text);
      this.list(rest, true);
      this.section = section;
    } else if (this.state === 'method') this.step(rest);
    else if (this.state === 'notes') this.notes.push(rest);
    else this.list(rest, true);
  }

  /** A row of the list; what it goes on to tell in sentences of its own is method. */
  private list(stretch: Stretch, listed: boolean): void {
    const [row = stretch, ...told] = rowAndTold(stretch);
    for (const part of partsOfRow(row))
      for (const piece of splitInline(part.text, part.start, listed || told.length > 0))
        this.lines.push({ ...piece, section: this.section });
    this.steps.push(...told);
  }

  private isTitle(stretch: MarkedStretch, heading: Heading | null, index: number): boolean {
    if (heading) return heading.kind === 'section' && !heading.rest;
    const { text } = stretch;
    if (stretch.marked || text.length >= 120 || META.test(text)) return false;
    if (isCompoundName(text)) return true;
    if (startsWithMeasure(text)) return false;
    // "2 onions" above "3 carrots" opens a list; "2-bean stew" above a blank row is a name
    if (startsWithAmount(text) && startsWithAmount(this.nextFilled(index)?.text.trim() ?? '')) return false;
    return !(readServings(text) && SAYS_SERVINGS.test(text));
  }

  private takeTitle(written: string): void {
    const { title, servings } = readTitle(written);
    this.title = title;
    for (const reading of servings) this.takeServings(reading);
  }

  private saysServings({ text, marked }: MarkedStretch, score: number): boolean {
    if (text.length >= 90 || (marked && this.state !== 'before')) return false;
    const plainly = SAYS_SERVINGS.test(text);
    // "pasta, 75g a head (there's 4 of us)" is a line all the same
    if (score >= 5 || (!plainly && (score >= 4 || startsAsStep(text)))) return false;
    if (this.state === 'method' && !/^(?:serves|makes|feeds|yields?|servings)\b/i.test(text)) return false;
    if (this.state === 'ingredients' && /^for /i.test(text)) return false;
    return this.servingsOf(text) !== null;
  }

  /** "Falafel" above its own list, in a recipe for falafel wraps: the name of a part, not a bought one. */
  private namesPart(text: string, index: number): boolean {
    const words = text.trim().toLowerCase();
    const title = (this.title ?? '').toLowerCase();
    return words.length > 2 && title.includes(words) && Boolean(this.raws[index + 1]?.text.trim());
  }

  /**
   * "4 wraps" under "Falafel wraps", alone between blank lines: how many it makes. "3 leeks" at the head of the
   * list of "Leek soup" is no such thing: the words must be what the title is, and stand apart from the list.
   */
  private piecesOfTitle(text: string, index: number): ServingsReading | null {
    if (this.raws[index + 1]?.text.trim()) return null;
    const noun = /^\d+(?:\s*(?:-|–|to|or)\s*\d+)?\s+([a-z]{3,}?)(?:e?s)?$/i.exec(text.trim())?.[1];
    const title = (this.title ?? '').toLowerCase().split(/\s+(?:with|in|for|and|on)\s|[,(–:]/)[0] ?? '';
    if (!noun || !new RegExp(`${noun.toLowerCase()}(?:e?s)?$`).test(title.trim())) return null;
    return readServings(`makes ${text.trim()}`);
  }

  /** "Makes 2 jars" of what is eaten out of its jar is so many plates; of a jam it is not. */
  private servingsOf(text: string): ServingsReading | null {
    const jars = JARRED.test(this.title ?? '')
      ? text.replace(/\b(?:small |large )?jars?\b/i, 'portions')
      : text;
    return readServings(jars);
  }

  private takeServings(reading: ServingsReading | null): void {
    if (!reading) return;
    if ('problem' in reading) this.problems.push(`“${reading.text}”: ${reading.problem}; read as not said.`);
    else this.servings ??= reading;
  }

  private servingsTold(): void {
    const sentences = [...this.notes, ...this.steps].flatMap(({ text }) => text.split(/(?<=[.!;?])\s+/));
    for (const sentence of sentences) {
      const found = told(sentence);
      if (!found) continue;
      this.servings = found;
      return;
    }
  }

  private servingsInSentences(): void {
    for (const { text } of [...this.steps, ...this.notes])
      for (const sentence of text.split(/(?<=[.!;])\s+/))
        if (SENTENCE_OF_SERVINGS.test(sentence))
          this.takeServings(readServings(sentence.replace(/[.!;]+$/, '')));
  }

  /** A row whose next is set in: it heads what hangs under it. */
  private indentsNext(index: number): boolean {
    const own = this.raws[index]?.text ?? '';
    const next = this.raws[index + 1]?.text ?? '';
    const gap = (text: string) => /^[ \t]*/.exec(text)?.[0].length ?? 0;
    return next.trim() !== '' && gap(next) > gap(own) + 1;
  }

  private nextFilled(from: number): Raw | null {
    for (let j = from + 1; j < this.raws.length; j += 1) {
      const raw = this.raws[j];
      if (raw?.text.trim()) return raw;
    }
    return null;
  }
}

/**
 * Takes a recipe's text apart into title, servings, ingredient lines with their sections, steps and
 * notes. Works with and without headings; every row with words lands somewhere.
 */
export const parseRecipe = (source: string): Recipe => new Parser(source).parse();
