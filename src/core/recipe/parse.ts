import { pattern } from '@/core/pattern/pattern';
import { withBareGrams } from './bare-grams';
import { remember } from '@/core/memo';
import { withoutSenders } from './chat';
import { amongPlaces } from './among-places';
import { amountNamedFirst } from './named-first';
import { clean } from './clean';
import { countedList } from './counted-list';
import { SURE } from '@/core/food/find';
import {
  FOR_EACH,
  headingOf,
  isBareSection,
  isForOne,
  listsFoods,
  listsNames,
  META,
  PER_ONE,
  sectionName,
  type Heading,
} from './heading';
import { rowAndTold, splitInline } from './inline';
import { countsSteps, leadsList, opensMethod } from './opens-method';
import { headsBullets, indentsNext, listGoesOn, nextFilled } from './rows-around';
import { afterRefusal } from './refused';
import { sentenceList } from './sentence-list';
import {
  GO_SOMEWHERE,
  HEAT_THEN_TIME,
  ingredientScore,
  startsWithAmount,
  startsAsStep,
  startsWithMeasure,
} from './score';
import {
  COMES_TO,
  linesInSentences,
  LETTER,
  LISTED_INSIDE,
  isFoodLabelled,
  isAside,
  madeOf,
  AN_EXCEPTION,
  NONE_OF_IT,
  opensProse,
  OTHER_LIST,
  OUR_LIST,
  THEIR_LIST,
  partsOfRow,
  sentencesAt,
  withWhatIsThere,
} from './row-talk';
import { SAYS_KIND, type RowKind, type UnsureRow } from './row-kind';
import {
  COMES_TO_EACH,
  COUNTED_SENTENCE,
  COUNTS_NOTHING,
  FOR_FIRST,
  NUMBER_ALONE,
  ONE_CUT,
  LINE_DOES,
  PIECES_AND_EACH,
  PLATES_ALONE,
  SAYS_SERVINGS,
  SENTENCE_OF_SERVINGS,
  SO_MANY_EACH,
} from './row-servings';
import { forAll, FOR_SO_MANY } from './talk';
import { PiecesMade } from './pieces-made';
import { saysOnlyEaters } from './eaters';
import { piecesEach, platesOfPieces, SAYS_PEOPLE, servingsRow, told } from './servings-told';
import {
  eatersOf,
  readServings as readServingsNow,
  type ServingsReading,
  type ServingsWords,
} from './servings';
import { eatersInPictures, headOf, pictureOf, withoutPictures } from './pictures';
import { isTableHead, tableRow } from './table';
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
import { unwrapped } from './unwrap';

/** "12 slices.", "~ 10 squares": what it is cut into. */
const PIECES_ALONE = pattern(
  /^\W*(?:(?:about|roughly|approx\.?|makes) )?\d{1,2}(?:\s*[-–]\s*\d{1,2})?(?:ish)? (?:(?:small|big|large|thick|thin|good) )?(?:slices|pieces|squares|wedges|bars)\W*$/i,
);
const PER_HEAD = pattern(/^(?:per|for each|for every|for one)$/i);
/** "Custard: 600 ml milk, 2 tbsp custard powder.": a part with its list, among sentences. */
const PART_IN_PROSE = /(?:^|[.!]\s+)([A-Z][a-z][a-z' -]{1,22}):\s+([^.!]*[a-z)])\s*(?=[.!]\s|[.!]?\s*$)/g;
const RULE = pattern(/^\s*(?:[-=*_~]\s*){3,}$/);
const TABLE_FRAME = pattern(/^\|?[\s:|-]+\|?$/);

/** Characters of a row that tells more than how many it feeds. */
const LONG_ENOUGH = 50;
const JARRED = pattern(/\bjars?\b|overnight|\bpots?\b|parfait|pudding|\bchia\b/i);
const readServings = remember(readServingsNow);

/** "For Arne: swap the pecans for seeds, 30 g also". */
const FOR_SOME = pattern(
  /^(?:for|if)\s[^:\d]{2,28}:\s+(?:swap|use|replace|leave|skip|omit|switch|change|substitute|drop|try|go)\b/i,
);

const PART_FOR = pattern(
  /^(?!for\b|serves\b|makes\b)[a-z][a-z' ]{2,24}?\s*[(,:–-]+\s*(?:makes )?(?:does|for|enough for|feeds|serves|covers)\s+(?:about )?(?:\d{1,2}|two|three|four|five|six|eight) (?:bowls|people|plates|of us|servings|jars|portions|glasses)\)?:?$/i,
);
const GOES_ON_TOP = pattern(
  /^(?:then )?(?:(?:to go )?on (?:the )?top|to top|topp(?:ings?|ed)|to serve|to finish|when (?:eating|serving)|on the (?:day|side)|in the morning|at the table|over the top|garnish|extras?)\b/i,
);
const OF_EVERYTHING = pattern(
  /^(?:everything|all of it|the (?:whole )?lot|it all)\b(?!\s*:)(?! (?:else )?(?:for|you need))|^(?:air[- ]?fryer|AF|slow cooker|instant pot|pressure cooker|oven|microwave) (?:at |to |on )?\d/i,
);
const OF_WHAT_IS_ABOVE = pattern(
  /^(?:about |roughly |around )?(?:half|some|most|a third|a quarter|two thirds|three quarters|all)(?: of)? (?:it|them|this|that|these|which)(?:'s)? (?:is|are|gets?|goes|go|will|stays?|comes?|runs?|ends?|drains?|left)\b/i,
);

/** On which day or page a dish stands, and nothing of it. */
const WHEN = pattern(
  /^(?:(?:week|wk|day|rota|menu|page|card|no|nr|recipe|w\/c|(?:mon|tue|wed|thu|fri|sat|sun)[a-z]*|jan[a-z]*|feb[a-z]*|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug[a-z]*|sept?[a-z]*|oct[a-z]*|nov[a-z]*|dec[a-z]*|lunch|dinner|supper)\b\.?[\s\d:#,/.–—-]*|\d{1,2}(?:st|nd|rd|th)?[\s./–-]+){2,}(?:\([^()]*\))?\s*$/i,
);
const FOR_US = pattern(
  /\bfor (?:the |all )?(?:\d{1,2}|two|three|four|five|six|seven|eight) (?:of us|people)\b/i,
);
const GREETING = pattern(
  /^(?:hi|hello|hey|dear|morning|evening)\b(?:[^.\d]{2,50}[:,]| [a-z]+(?: [a-z]+)?!?)$/i,
);
/** What a row had at first, before what it has now. */
const NOW_IS = pattern(
  /^[^.;]*\b(?:the first times?|at first|originally|in the beginning|before|once|used to (?:be|do|use|have|make|put(?: in)?|take))\b[^.;]{0,48}[.;,]\s+(?:but )?(?:(?:now|these days|nowadays)[,:]?\s+(?:it'?s |it is |(?:i|we) (?:use|do|put in|take|have) |just )?|what (?:i|we) (?:do|use|put in|have|take) (?:now|instead|these days) is |(?:i|we) (?:now|instead) (?:use|do|put in|take|have) )(?=(?:about )?(?:\d|[½¼¾⅓⅔]|an? |half ))/i,
);
/** "no oil in the dough", "dont fry them": what is not done. */
const REFUSES = pattern(/^(?:no|not|never|do not|don['’]?t|nothing|without)\b/i);
const ANSWER = pattern(/^(?:A|Answer)\s*:\s+(?=\S)/);

/** "oil - the book has 100 ml, nope. I do a tsp", "nooch: 2 tbsp in the sauce, 1 tbsp on top": one food, whatever its marks. */
const isOneLine = (row: string): boolean => amountNamedFirst(row) !== null || amongPlaces(row) !== row;

type State = 'before' | 'ingredients' | 'method' | 'notes';

const FOOTNOTE_MARKS = ['*', '**', '***', '†', '‡'];

/** A row that lists what goes in here: "Mine: 4 oz brown rice", "200 g lentils". */
const listsHere = (text: string): boolean =>
  !OTHER_LIST.test(text) && (ingredientScore(text, false) >= 4 || /^[^:]{2,24}:\s*\d/.test(text.trim()));

/** Letters of a row beside those that say who eats. */
const MOST_BESIDE_EATERS = 14;

/** Goes through the rows once and puts each where it belongs. */
/** What a dish is called by its last word. */
const DISH =
  /\b(?:soups?|stews?|salads?|curry|curries|pies?|bakes?|casseroles?|chowders?|hotpots?|gratins?|tagines?|risottos?|pasta|noodles|bowls?|loaf|cakes?|dal|dahl|dips?|burgers?|tray ?bakes?|roast|supper|chilli|stir[- ]fry|broth|porridge|muesli)$/i;

class Parser {
  private readonly lines: SourceLine[] = [];
  private readonly steps: Stretch[] = [];
  private readonly made = new PiecesMade(this.steps, this.lines);
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
    this.raws = unwrapped(withoutSenders([...linesOf(source)]));
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
        const many =
          FOR_SO_MANY.exec(clean(text))?.[2] ??
          forAll(clean(text))?.many ??
          // "for the whole pot (16 servings)"
          /\((?:for )?(\d{1,2}) (?:servings|portions|people|of us|persons)\)/.exec(text)?.[1] ??
          // "half between the 4 of us"
          /\b(?:between|among) (?:the |all )?(\d{1,2}|two|three|four|five|six|eight) of us\b/.exec(
            text,
          )?.[1] ??
          // "Brown rice | 60 g each | 4 people"
          /\|\s*(?:for )?(\d{1,2}) (?:servings|portions|people|of us)\s*(?:\||$)/.exec(text)?.[1] ??
          // "2 each for 4 people"
          /\beach for (\d{1,2})(?: people| of us)?\b/.exec(text)?.[1];
        if (many) this.takeServings(readServings(`serves ${many}`));
      }
    if (this.servings === null) this.piecesTold();
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
      lines: withBareGrams(lines),
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
    if (this.isFootnote(raw)) {
      this.notes.push(stretch);
      return;
    }
    if (this.opensMethodAt(stretch, index)) {
      this.state = 'method';
      this.section = null;
    }
    // "tarka: none."
    const none = NONE_OF_IT.exec(stretch.text);
    // "oil: none, apart from 1 tsp on the tray" is told
    if (none && AN_EXCEPTION.test(stretch.text.slice(none[0].length))) {
      this.steps.push(stretch);
      return;
    }
    if (none) {
      const rest = stretch.text.slice(none[0].length);
      const from = stretch.start + stretch.text.length - rest.trimStart().length;
      if (rest.trim()) this.notes.push({ text: rest.trim(), start: from, end: stretch.end });
      return;
    }
    if (this.isOfTable(stretch) || this.isPictured(raw, stretch)) return;
    // "A: tinned tomatoes, always."
    const answer = ANSWER.exec(stretch.text)?.[0].length ?? 0;
    if (answer > 0) {
      this.title ??= '';
      this.steps.push({ ...stretch, text: stretch.text.slice(answer), start: stretch.start + answer });
      return;
    }
    // "oil? no. Well, a teaspoon."
    if (this.state === 'ingredients' && isOneLine(stretch.text)) {
      this.list(stretch, true);
      return;
    }
    // "salt: 1 tsp. sugar: 1 tbsp" is a list wherever it stands
    if (this.title !== null && this.state !== 'notes') {
      const said = sentenceList(stretch.text);
      if (said !== null || countedList(stretch.text)) {
        if (this.state === 'before') this.state = 'ingredients';
        for (const { text, start, end } of said ?? [{ ...stretch, start: 0, end: stretch.text.length }])
          this.list({ text, start: stretch.start + start, end: stretch.start + end }, true);
        return;
      }
    }
    // "no butter or oil, tahini 3 tbsp" on the list
    if (this.state === 'ingredients' && afterRefusal(stretch)) {
      this.list(stretch, true);
      return;
    }
    // "peanuts to scatter: 60 g" below the method
    if (this.state === 'method' && isFoodLabelled(stretch.text)) {
      this.list(stretch, false);
      return;
    }
    if (this.isTheirs(stretch, index)) return;
    // "everything hot and fast." below the list is told
    if (this.lines.length >= 3 && this.state === 'ingredients' && OF_EVERYTHING.test(stretch.text)) {
      this.state = 'method';
      this.section = null;
    }
    // "about half of it is left at the end": told of what stands above
    if (this.lines.length > 0 && this.state === 'ingredients' && OF_WHAT_IS_ABOVE.test(stretch.text)) {
      this.steps.push(stretch);
      return;
    }
    // "dressing (does 4 bowls)" above a list of its own
    if (this.state === 'ingredients' && this.lines.length > 0 && PART_FOR.test(stretch.text)) {
      if (startsWithMeasure(this.raws[index + 1]?.text.trim() ?? '')) {
        this.section = sectionName(clean(stretch.text).replace(/:$/, ''));
        return;
      }
    }
    if (this.title !== null && this.lines.length > 0 && HEAT_THEN_TIME.test(stretch.text)) {
      this.steps.push(stretch);
      return;
    }
    // "Week 3 rota - Thurs (Tamsin)" above the name
    if (this.title === null && this.state === 'before' && WHEN.test(stretch.text)) {
      if (!startsWithAmount(nextFilled(this.raws, index)?.text.trim() ?? '1')) {
        this.notes.push(stretch);
        return;
      }
    }
    const heading = headingOf(raw.text);
    if (this.title === null && this.state === 'before') {
      const first = heading ? null : opensProse(stretch);
      if (first) {
        this.takeTitle(clean(first.title.text));
        this.plainRow({ ...stretch, ...first.rest }, index);
        return;
      }
      // "Hi Ros, the recipe you wanted:"
      if (GREETING.test(stretch.text) && nextFilled(this.raws, index)) {
        this.notes.push(stretch);
        return;
      }
      // "Notes from the class: leek gratin" above all else says what it is
      if (heading?.kind === 'notes' && heading.rest && !this.raws[index + 1]?.text.trim()) {
        this.takeTitle(clean(heading.rest));
        return;
      }
      if (this.isTitle(stretch, heading, index)) {
        this.takeTitle(clean(heading?.text ?? stretch.text));
        // "salt" right above a list is as likely a food
        if (!heading && this.raws[index + 1]?.text.trim() && isNamed(stretch.text, 0.95))
          this.ask(stretch, 'title');
        return;
      }
      this.title = '';
    }
    // "If it's breakfast: 40 g oats in as well" is told, and heads nothing
    const told = heading?.rest && /^(?:if|when|unless)\b/i.test(heading.text);
    if (heading && !told && !(heading.kind === 'section' && META.test(heading.text)))
      this.underHeading(raw, heading);
    else if (META.test(stretch.text) || TABLE_FRAME.test(stretch.text)) {
      this.takeServings(this.servingsOf(stretch.text));
      this.notes.push(stretch);
    } else this.plainRow(stretch, index);
  }

  /** "Red onion | 2 | chopped": a row of a table is a line as it stands, and its head names the columns. */
  private isOfTable(stretch: MarkedStretch): boolean {
    const head = isTableHead(stretch.text);
    if (!head && (this.state === 'method' || tableRow(stretch.text) === null)) return false;
    if (this.title === null && !head && this.lines.length === 0) this.title = '';
    if (head) this.notes.push(stretch);
    else this.lines.push({ ...stretch, section: this.section });
    if (this.state === 'before') this.state = 'ingredients';
    return true;
  }

  /** "👥 4", "⏱ 35m", "👉 simmer": what the picture before a row says that it is. */
  private isPictured(raw: Raw, stretch: MarkedStretch): boolean {
    const eaters = eatersInPictures(raw.text);
    if (eaters) this.takeServings(readServings(`serves ${eaters}`));
    const picture = pictureOf(raw.text);
    const bare =
      /^[\d\s.:–-]+(?:m|mins?|minutes|h|hrs?|hours?|people|ppl|servings|portions|°?\s?[CF])?\b/i.test(
        stretch.text,
      );
    if (bare && (picture === 'time' || (picture === 'eaters' && eaters))) {
      this.notes.push(stretch);
      return true;
    }
    if (picture !== 'step' || this.title === null || this.lines.length === 0) return false;
    this.state = 'method';
    this.section = null;
    return false;
  }

  /** A list ends at a row, and a method begins. */
  private opensMethodAt(stretch: MarkedStretch, index: number): boolean {
    const { raws, lines } = this;
    return (
      this.state === 'ingredients' &&
      (opensMethod(raws, index, lines) || countsSteps(raws, stretch, index, lines, this.listNumbered))
    );
  }

  private plainRow(stretch: MarkedStretch, index: number): void {
    this.listNumbered ||= stretch.numbered && this.state !== 'method';
    const listing = this.state !== 'method' && this.state !== 'notes';
    const afterBlank = index > 0 && !this.raws[index - 1]?.text.trim();
    if (
      listing &&
      !PLATES_ALONE.test(stretch.text.replace(/^\((.*)\)$/, '$1')) &&
      !ONE_CUT.test(stretch.text) &&
      !NUMBER_ALONE.test(stretch.text) &&
      isBareSection(
        stretch,
        afterBlank || indentsNext(this.raws, index) || headsBullets(this.raws, stretch, index),
        nextFilled(this.raws, index),
        this.namesPart(stretch.text, index),
      )
    ) {
      this.section = this.withEach(sectionName(clean(stretch.text)));
      this.state = 'ingredients';
      if (isNamed(stretch.text, SURE)) this.ask(stretch, 'heading');
      return;
    }
    // "For 3. Half the dressing on it, half for Thursday.": how many it feeds, and what is told behind it
    const opens = LISTED_INSIDE.test(stretch.text) ? null : COUNTED_SENTENCE.exec(stretch.text);
    const counted = opens && this.servings === null ? servingsRow(opens[1] ?? '') : null;
    if (opens && counted) {
      this.takeServings(counted);
      const from = stretch.start + opens[0].length;
      this.steps.push({ text: stretch.text.slice(opens[0].length), start: from, end: stretch.end });
      return;
    }
    // "4" alone below the title
    const many = this.state === 'before' && this.servings === null && /^[1-9]\d?$/.test(stretch.text);
    if (many && this.title && !this.raws[index + 1]?.text.trim()) {
      this.takeServings(readServings(`serves ${stretch.text}`));
      this.notes.push(stretch);
      return;
    }
    // "= about 550 g. Eleven of us so 50 g a head": what comes of it
    if (this.lines.length > 0 && /^[=→]\s*(?:about )?\d+ ?(?:g|kg|ml|l)\b/.test(stretch.text)) {
      this.steps.push(stretch);
      return;
    }
    // "2 with a cuppa": how they are eaten
    if (COUNTS_NOTHING.test(stretch.text)) {
      this.notes.push(stretch);
      return;
    }
    // "2 dumplings each" behind "Roll 8 dumplings"
    const named = this.made.plates(stretch.text);
    if (named) {
      this.servings ??= named;
      this.notes.push(stretch);
      return;
    }
    const each = SO_MANY_EACH.exec(stretch.text)?.[0];
    if (each) {
      const from = stretch.start + each.length;
      this.notes.push({ text: each.trim(), start: stretch.start, end: stretch.start + each.trim().length });
      const rest = stretch.text.slice(each.length);
      // "10 each. Dip: 1 tbsp vinegar": what goes on is a row of its own
      if (rest) this.row({ text: rest, start: from, end: stretch.end }, index);
      return;
    }
    // "(1)" alone on its row
    const bracketed = /^\(\s*(\d{1,2})\s*\)$/.exec(stretch.text.trim())?.[1];
    if (bracketed) {
      if (this.servings === null) this.takeServings(readServings(`serves ${bracketed}`));
      this.notes.push(stretch);
      return;
    }
    // "~ 10 slices" alone on its row
    if (PIECES_ALONE.test(stretch.text)) {
      if (this.servings === null)
        this.takeServings(readServings(`makes ${clean(stretch.text).replace(/^\W+|\W+$/g, '')}`));
      this.notes.push(stretch);
      return;
    }
    if (this.headsPaper(stretch) || this.listsInProse(stretch) || this.countsPlates(stretch)) return;
    // "16 slices, 2 per person"
    if (this.servings === null && PIECES_AND_EACH.test(stretch.text)) {
      this.takeServings(readServings(`makes ${stretch.text.replace(/^makes /i, '')}`));
      this.notes.push(stretch);
      return;
    }
    // "6 of us plus one lunch for tomorrow", wherever it stands
    const eaters = this.servings === null ? eatersOf(clean(stretch.text).toLowerCase()) : null;
    if (eaters && eaters.text.length + MOST_BESIDE_EATERS >= stretch.text.length) {
      this.takeServings(eaters);
      this.notes.push(stretch);
      return;
    }
    // "2 for brekkie", "just me, two nights running"
    const only =
      saysOnlyEaters(stretch.text) && (/^\d/.test(stretch.text) || !SAYS_SERVINGS.test(stretch.text));
    if (only) {
      if (this.servings === null) this.takeServings(servingsRow(stretch.text) ?? readServings(stretch.text));
      this.notes.push(stretch);
      return;
    }
    const early = this.lines.length === 0 && this.state !== 'method';
    if (early && COMES_TO.test(stretch.text)) {
      this.notes.push(stretch);
      return;
    }
    // "for 3 / takes 20 min"
    const opensFor = this.servings === null ? FOR_FIRST.exec(stretch.text) : null;
    const first = opensFor?.[1] ?? opensFor?.[2];
    if (first) {
      this.takeServings(servingsRow(first) ?? readServings(`serves ${first.replace(/^for /i, '')}`));
      this.notes.push(stretch);
      return;
    }
    // "About 600 g. We reckon 60 g each."
    const weighed = this.servings === null && COMES_TO_EACH.test(stretch.text) ? told(stretch.text) : null;
    if (weighed) {
      this.takeServings(weighed);
      this.notes.push(stretch);
      return;
    }
    const alone = PLATES_ALONE.test(stretch.text);
    const late = this.servings === null && /\d \w+$/.test(stretch.text);
    const cut = (early || late) && ONE_CUT.test(stretch.text) ? readServings(`makes ${stretch.text}`) : null;
    if (cut) {
      this.takeServings(cut);
      this.notes.push(stretch);
      return;
    }
    const loose =
      early || alone || (SAYS_SERVINGS.test(stretch.text) && !this.servingsOf(stretch.text))
        ? servingsRow(stretch.text)
        : null;
    // "serves 2, three at a pinch" says more than its first number
    if (loose && (alone || !(SAYS_SERVINGS.test(stretch.text) && this.servingsOf(stretch.text)))) {
      this.takeServings(loose);
      const line = LINE_DOES.exec(stretch.text)?.[1];
      if (line && startsWithMeasure(line)) {
        this.list({ text: line, start: stretch.start, end: stretch.start + line.length }, false);
        return;
      }
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
        // "For Arne: swap the pecans for seeds": told beside the list
        if (FOR_SOME.test(stretch.text)) this.notes.push(stretch);
        else if (score > -1) {
          this.list(stretch, false);
          if (score < 1.5 && !stretch.marked) this.ask(stretch, 'food');
        } else {
          // "no oil in the dough, just a longer knead": told among the lines, and the list goes on
          const told = REFUSES.test(stretch.text) || GO_SOMEWHERE.test(stretch.text);
          if (!(told && listGoesOn(this.raws, index))) {
            this.state = 'method';
            this.section = null;
          }
          this.step(stretch);
        }
        return;
      case 'before':
        if (
          score >= 2 ||
          (score >= 1 && stretch.marked && !stretch.numbered) ||
          leadsList(this.raws, stretch.text, index)
        ) {
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

  private theirs = false;
  /** "Her list said:", and the rows below it, where a list of how it is made here follows under its own heading. */
  private isTheirs(stretch: Stretch, index: number): boolean {
    if (this.title === null || this.state === 'method') return false;
    const words = stretch.text.trim();
    if (this.theirs && OUR_LIST.test(words)) {
      this.theirs = false;
      this.section = null;
      this.state = 'ingredients';
      this.notes.push(stretch);
      return true;
    }
    this.theirs ||=
      words.endsWith(':') &&
      THEIR_LIST.test(words) &&
      this.raws.slice(index + 1).some(({ text }) => OUR_LIST.test(text.trim()));
    if (!this.theirs) return false;
    // one note, so that what it says is said of all of it; as long as it stands in the source
    const said = words.endsWith(':') ? undefined : this.notes.pop();
    const gap = said ? stretch.start - said.start : 0;
    this.notes.push(
      said
        ? {
            text: `${said.text}${said.text.endsWith(':') ? '' : ','}`.padEnd(gap) + stretch.text,
            start: said.start,
            end: stretch.end,
          }
        : stretch,
    );
    return true;
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
      this.section = this.withEach(sectionName(heading.text));
      // "In one pot for the four of us:"
      if (this.servings === null && FOR_US.test(heading.text)) this.servings = told(heading.text);
      // "per person: 60 g gram flour" before anything else: the list is one plate's
      // "For 6:" above a list; "For one bowl:" where it is known how many there are
      if (
        !(this.servings !== null && PER_ONE.test(heading.text)) &&
        /^for (?:about |around )?(?:\d{1,2}|one|two|three|four|five|six|eight|ten|twelve)(?: (?:hungry|big|small|generous))?(?: people| persons?| of us| ppl| portions?| servings?| plates?| bowls?| eaters?)?$/i.test(
          heading.text,
        )
      ) {
        this.takeServings(readServings(heading.text.replace(/^for /i, 'serves ')));
        this.section = null;
      }
      const one = PER_HEAD.test(heading.text) || PER_ONE.test(heading.text);
      // "That's four bowls." may be told before "On top, each:"
      if (one && this.servings === null) this.servingsTold();
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
    const lists =
      listsNames(heading.text, rest.text) ||
      (listsFoods(heading.text, rest.text) && !startsAsStep(rest.text));
    if (this.state === 'method' && lists) {
      // "Custard: 600 ml oat milk, 3 tbsp custard powder": a part's list among the steps
      const { section } = this;
      this.section = sectionName(heading.text);
      this.list(rest, true);
      this.section = section;
    } else if (this.state === 'method') this.step(rest);
    else if (this.state === 'notes') this.notes.push(rest);
    else this.list(rest, true);
  }

  /** "On top when eating" below "Each jar": it goes on every one of them too. */
  private withEach(name: string): string {
    const forOne = this.lines.length > 0 && this.lines.every((line) => isForOne(line.section ?? ''));
    return forOne && GOES_ON_TOP.test(name) && !isForOne(name) ? `${name}${FOR_EACH}` : name;
  }

  /** True where a row of the list was numbered. */
  private listNumbered = false;

  /** A row of the list; what it goes on to tell in sentences of its own is method. */
  private list(stretch: Stretch, listed: boolean): void {
    // "60 ml coconut oil the first time. Now it's 60 ml apple sauce": what it is now
    const now = NOW_IS.exec(stretch.text);
    if (now) {
      const at = now[0].length;
      this.list({ text: stretch.text.slice(at), start: stretch.start + at, end: stretch.end }, listed);
      return;
    }
    if (isAside(stretch.text)) {
      this.notes.push(stretch);
      return;
    }
    if (isOneLine(stretch.text)) {
      this.lines.push({ ...stretch, section: this.section });
      return;
    }
    const refusal = afterRefusal(stretch);
    if (refusal) {
      this.lines.push({ ...refusal.refused, section: this.section });
      this.list(refusal.rest, true);
      return;
    }
    const part = madeOf(stretch);
    if (part) {
      const { section } = this;
      this.section = sectionName(part.name);
      this.list(part.list, true);
      this.section = section;
      return;
    }
    const sentences = listed ? linesInSentences(stretch) : null;
    if (sentences) {
      for (const line of sentences.lines) this.list(line, true);
      this.steps.push(...sentences.told);
      return;
    }
    const [row = stretch, ...told] = rowAndTold(stretch);
    for (const part of partsOfRow(row))
      for (const piece of splitInline(part.text, part.start, listed || told.length > 0)) {
        const [line = piece, there] = withWhatIsThere(piece);
        this.lines.push({ ...line, section: this.section });
        if (there) this.steps.push(there);
      }
    this.steps.push(...told);
  }

  private isTitle(stretch: MarkedStretch, heading: Heading | null, index: number): boolean {
    if (heading) return heading.kind === 'section' && !heading.rest;
    const { text } = stretch;
    if ((stretch.marked && !this.isPicturedName(stretch, index)) || text.length >= 120 || META.test(text))
      return false;
    if (isCompoundName(text)) return true;
    if (startsWithMeasure(text)) return false;
    // "2 onions" above "3 carrots" opens a list; "2-bean stew" above a blank row is a name
    if (startsWithAmount(text) && startsWithAmount(nextFilled(this.raws, index)?.text.trim() ?? '')) {
      // "Three sisters stew", apart from the list, is no three of a food
      const name = text
        .replace(/^\S+\s+/, '')
        .replace(/\(.*$/, '')
        .trim();
      const below = this.raws[index + 1]?.text.trim() ?? '';
      if (below || !DISH.test(name) || isNamed(name, SURE)) return false;
    }
    return !(readServings(text) && SAYS_SERVINGS.test(text));
  }

  /** "🍅 Tomato pasta 🍝" above a list of other marks. */
  private isPicturedName({ text }: MarkedStretch, index: number): boolean {
    const own = this.raws[index]?.text ?? '';
    const next = nextFilled(this.raws, index)?.text ?? '';
    return pictureOf(own) === 'plain' && headOf(own) !== headOf(next) && !startsWithAmount(text);
  }

  private takeTitle(written: string): void {
    const { title, servings } = readTitle(withoutPictures(written));
    this.title = title;
    for (const reading of servings) this.takeServings(reading);
  }

  private saysServings({ text, marked }: MarkedStretch, score: number): boolean {
    if (text.length >= 90 || (marked && this.state !== 'before')) return false;
    const plainly = SAYS_SERVINGS.test(text);
    // "pasta, 75g a head (there's 4 of us)" is a line all the same
    const labelled = /^(?:serves|makes|feeds|yields?|servings|portions)\s*[:=]/i.test(text);
    if ((score >= 5 && !labelled) || (!plainly && (score >= 4 || startsAsStep(text)))) return false;
    if (
      this.state === 'method' &&
      !/^(?:serves|makes|feeds|yields?|servings|\d{1,2} as an? (?:main|starter|side|lunch|supper|snack))\b/i.test(
        text,
      )
    )
      return false;
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
    const noun =
      /^\d+(?:\s*(?:-|–|to|or)\s*\d+)?\s+([a-z]{3,}?)(?:e?s)?(?:\s*[,(–-]+\s*[^,;]*\b(?:each|apiece|pp|(?:a|per) (?:person|head|plate))\)?)?$/i.exec(
        text.trim(),
      )?.[1];
    const title = (this.title ?? '').toLowerCase().split(/\s+(?:with|in|for|and|on)\s|[,(–:]/)[0] ?? '';
    if (!noun || !new RegExp(`${noun.toLowerCase()}(?:e?s)?$`).test(title.trim())) return null;
    return readServings(`makes ${text.trim()}`);
  }

  /** "Makes 2 jars" of what is eaten out of its jar is so many plates; of a jam it is not. */
  private servingsOf(text: string): ServingsReading | null {
    const jars = JARRED.test(this.title ?? '')
      ? text.replace(/(?<!\bjars? \d.*)\b(?:small |large )?jars?\b(?! ?\d)/i, 'portions')
      : text;
    return readServings(jars);
  }

  private takeServings(reading: ServingsReading | null): void {
    if (!reading) return;
    if ('problem' in reading) this.problems.push(`“${reading.text}”: ${reading.problem}; read as not said.`);
    else this.servings ??= reading;
  }

  private servingsTold(): void {
    const sentences = [...this.notes, ...this.steps].flatMap(({ text }) => text.split(/(?<=[.!;?]\)?)\s+/));
    const found = sentences.flatMap((sentence) => told(sentence) ?? []);
    // "enough for two goes" of a paste, and "there are six of us": people are what is asked for
    this.servings = found.find((x) => SAYS_PEOPLE.test(x.text)) ?? found[0] ?? this.servings;
  }

  /** "4 slices sourdough (2 each)", "8 small. We have 4 each": what there is of it, and how many make a plate. */
  private piecesTold(): void {
    const texts = [...this.lines, ...this.steps, ...this.notes].map((x) => x.text);
    this.servings = piecesEach(texts);
  }

  private servingsInSentences(): void {
    for (const { text } of [...this.steps, ...this.notes])
      for (const sentence of text.split(/(?<=[.!;])\s+/))
        if (SENTENCE_OF_SERVINGS.test(sentence))
          this.takeServings(readServings(sentence.replace(/[.!;]+$/, '')));
  }

  /** Marks that a row above ended with. */
  private readonly footnotes = new Set<string>();

  /** "*check that it is salt free" below "1 tbsp chilli powder *". */
  private isFootnote({ text }: Raw): boolean {
    const row = text.trimEnd();
    const mark = /^\s*(\*{1,3}|[†‡])(?=[^\s*])/.exec(row)?.[1];
    if (mark !== undefined && !row.endsWith('*') && this.footnotes.has(mark)) return true;
    for (const sign of FOOTNOTE_MARKS) if (row.endsWith(sign)) this.footnotes.add(sign);
    return false;
  }
}

/**
 * Takes a recipe's text apart into title, servings, ingredient lines with their sections, steps and
 * notes. Works with and without headings; every row with words lands somewhere.
 */
export const parseRecipe = (source: string): Recipe => new Parser(source).parse();
