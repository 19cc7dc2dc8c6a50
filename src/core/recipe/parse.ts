import { findFood, foodOfName, SURE } from '@/core/food/find';
import { tokens } from '@/core/food/tokens';
import { readQuantity } from '@/core/measure/quantity';
import { readUnit } from '@/core/measure/units';
import { remember } from '@/core/memo';
import { clean, markerLength, stripMarkdown } from './clean';
import { readServings as readServingsNow, type ServingsReading, type ServingsWords } from './servings';

/** A stretch of the recipe's own text. `start` and `end` are positions in it. */
export interface Stretch {
  readonly text: string;
  readonly start: number;
  readonly end: number;
}
export interface SourceLine extends Stretch {
  /** Heading it stands under, null for the first or only list. */
  readonly section: string | null;
}

/** A recipe taken apart; its text stays the only truth. */
export interface Recipe {
  readonly source: string;
  readonly title: string;
  readonly servings: ServingsWords | null;
  readonly lines: readonly SourceLine[];
  readonly steps: readonly Stretch[];
  readonly notes: readonly Stretch[];
  /** What could not be read, in a cook's words. */
  readonly problems: readonly string[];
}

/** A line that says how many it feeds, whatever else it looks like. */
const SAYS_SERVINGS =
  /^(?:(?:serves|makes|feeds|yields?|servings|portions)\b|[\w-]+(?:\s*(?:or|to|-|–)\s*[\w-]+)?\s+(?:\w+\s+){0,2}(?:people|persons|servings|portions|helpings|diners|eaters)\b)/i;

const readServings = remember(readServingsNow);

type State = 'before' | 'ingredients' | 'method' | 'notes';

const INGREDIENTS =
  /^(?:the )?(?:ingredients?(?: list)?|you(?:'ll| will)? need|what you(?:'ll)? need|what goes in|you need|shopping list)\b/i;
const METHOD =
  /^(?:the )?(?:method|directions?|instructions?|steps?|preparation|procedure|how to(?: make(?: it)?)?|what to do|to make(?: it)?|cooking(?: instructions)?|prep(?:aration)? steps)\s*$/i;
const NOTES =
  /^(?:(?:cook'?s |recipe )?notes?|tips?(?: and tricks)?|nutrition(?: facts| information)?|storage|storing|variations?|serving suggestions?|equipment|source|comments?|substitutions?|make ahead|nutrition(?:al)? info(?:rmation)?)\b/i;
const META =
  /^(?:(?:prep|cook|cooking|total|active|hands[- ]on|ready in|resting|chilling|bake|baking|soak(?:ing)?)(?: time)?\s*[:=-]|(?:author|by|course|cuisine|category|keywords?|calories|diet|level|difficulty|rating|source|adapted from|tags?|print|photo|updated|published|equipment|oven|date)\s*:|ready in\b|\d+\s*(?:mins?|minutes|hours?|hrs?)\s*$|\d+ kcal\b)/i;
const IMPERATIVES =
  "add|adjust|allow|arrange|assemble|bake|baste|beat|blanch|blend|blitz|boil|bring|broil|brown|brush|bring|char|check|chill|chop|coat|combine|cook|cool|core|cover|cream|crumble|crush|cube|cut|deglaze|dice|dip|discard|dissolve|divide|drain|drizzle|drop|dry|dust|eat|empty|enjoy|finish|first|flip|fluff|fold|freeze|fry|garnish|gently|get|give|grate|grease|grill|grind|halve|heat|in|increase|keep|knead|ladle|layer|leave|let|lift|line|lower|make|marinate|mash|massage|measure|meanwhile|melt|microwave|mince|mix|move|now|once|oil|peel|pile|place|poach|pop|pound|pour|prepare|preheat|press|pressure|puree|push|put|quarter|reduce|refrigerate|reheat|remove|repeat|reserve|rest|return|reheat|rinse|roast|roll|rub|salt|saute|sauté|scatter|scoop|score|scrape|scrub|sear|season|separate|serve|set|shake|shape|shred|sift|simmer|skim|slice|slide|smash|soak|soften|spoon|spray|spread|sprinkle|squeeze|stack|start|steam|steep|stew|stir|store|strain|strip|stuff|sweat|sweeten|swirl|switch|take|taste|tear|then|thin|tip|to|toast|top|toss|transfer|trim|turn|unmould|use|using|wait|warm|wash|wet|when|while|whip|whisk|whizz|wilt|wipe|with|wrap|zest|after|as|at|before|carefully|finally|next|if|you|turn|dump|throw|chuck|whack|bung|fire|do|don't|never|always|no|begin|process|pulse|cool|submerge|stand|tuck|thread|skewer|rehydrate|open|lay|bash|sprinkle|scramble|hold|keep|just|it|this|we|i";
const STEP_START = new RegExp(`^(?:${IMPERATIVES})\\b(?!\\s*[:,]?\\s*$)`, 'i');
/** Words that start a step but name a food or an amount as often: they need more than a beginning. */
const EITHER =
  /^(?:juice|salt|oil|butter|dry|brown|cream|roast|no|to|with|core|top|cool|dust|line|press|if|as|i|crumble|toast|zest|roll|mash|puree|stew|mince|wrap|drop|strip|pop|stock|rest|you|it|this|we|first|using|use|squeeze|dash|splash|sprinkle|drizzle|grind|blend|mix|spray|skewer|spread|dip|wet|warm|char|at|in|stuff|quarter|half|halve|score|just)\b/i;
const STEP_INSIDE =
  /\b(?:until|minutes?|mins?|°|degrees|oven|then|hours?|meanwhile|bring to|preheat|heat|stir|simmer|set aside)\b/i;

interface Raw {
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

function* linesOf(source: string): Generator<Raw> {
  let start = 0;
  while (start <= source.length) {
    let end = source.indexOf('\n', start);
    if (end < 0) end = source.length;
    yield { start, end, text: source.slice(start, end).replace(/\r$/, '') };
    start = end + 1;
  }
}

const startsWithAmount = (text: string): boolean => {
  const lower = clean(text).toLowerCase();
  const q = readQuantity(
    lower,
    /^(?:about|approx\.?|around|scant|heap(?:ed|ing)|roughly|~)\s*/.exec(lower)?.[0].length ?? 0,
  );
  return q !== null && !q.article;
};
const startsWithMeasure = (text: string): boolean => {
  const lower = clean(text).toLowerCase();
  const q = readQuantity(lower, 0);
  if (!q) return false;
  const at = q.end + (/^[\s(-]*/.exec(lower.slice(q.end))?.[0].length ?? 0);
  return readUnit(lower, lower, at) !== null;
};

/** How much a line looks like an ingredient (positive) or a step (negative). */
const unmarkedScore = remember((text: string): number => {
  const cleaned = clean(text);
  let score = 0;
  if (startsWithAmount(cleaned)) score += 3;
  if (cleaned.length < 70) score += 1;
  if (cleaned.length > 110) score -= 2;
  const words = cleaned.split(' ').length;
  if (/[.!]$/.test(cleaned) && words > 5 && !/\b(?:tbsp|tsp|oz|approx|lb)\.$/i.test(cleaned)) score -= 1.5;
  if (STEP_START.test(cleaned)) score -= EITHER.test(cleaned) ? 0.5 : 3;
  if (STEP_INSIDE.test(cleaned)) score -= 1.5;
  if (words <= 12 && score < 4) {
    const food = findFood(cleaned.toLowerCase().replace(/[,(].*$/, ''), '', 1)[0];
    if (food && food.confidence >= SURE) score += 1.5;
  }
  return score;
});
const ingredientScore = (text: string, marked: boolean): number => unmarkedScore(text) + (marked ? 1 : 0);

interface Heading {
  readonly text: string;
  readonly kind: 'ingredients' | 'method' | 'notes' | 'section';
  /** Words after the colon on the same line. */
  readonly rest: string;
  readonly restStart: number;
}

/** Heading of a line; `restStart` counts from the line's start. */
const headingOf = remember((text: string): Heading | null => {
  const raw = { text, start: 0, end: text.length };
  const line = raw.text.trim();
  const marked = /^\s*#{1,6}\s+/.exec(raw.text);
  const bold = /^\s*(?:\*\*|__)([^*_]+)(?:\*\*|__):?\s*$/.exec(raw.text);
  const plain = stripMarkdown(line.replace(/^#{1,6}\s+/, '')).trim();
  const kindOf = (text: string): Heading['kind'] =>
    INGREDIENTS.test(text)
      ? 'ingredients'
      : METHOD.test(text)
        ? 'method'
        : NOTES.test(text)
          ? 'notes'
          : 'section';
  if (marked || bold) {
    const text = plain.replace(/:\s*$/, '');
    return { text, kind: kindOf(text), rest: '', restStart: raw.end };
  }
  const colon = plain.indexOf(':');
  if (colon > 0 && colon < 50 && colon === plain.length - 1) {
    const text = plain.slice(0, colon);
    if (!startsWithAmount(text) && text.split(' ').length <= 8)
      return { text, kind: kindOf(text), rest: '', restStart: raw.end };
  }
  if (colon > 0 && colon < 40) {
    const text = plain.slice(0, colon).trim();
    const kind = kindOf(text);
    const known =
      kind !== 'section' ||
      /^(?:for (?:the|a)\b|(?:the )?(?:dressing|sauce|topping|filling|marinade|base|garnish|to serve|to finish|to garnish|crust|dough|batter|glaze|crumble|spice mix|paste|pickle)\b\s*$)/i.test(
        text,
      );
    if (known && !startsWithAmount(text)) {
      const at = raw.text.indexOf(':') + 1;
      const gap = /^\s*/.exec(raw.text.slice(at))?.[0].length ?? 0;
      const rest = raw.text.slice(at + gap).trimEnd();
      if (kind !== 'notes') return { text, kind, rest, restStart: raw.start + at + gap };
      return { text, kind, rest, restStart: raw.start + at + gap };
    }
  }
  const bare = plain.replace(/[:.]\s*$/, '');
  if (
    bare.length < 40 &&
    (METHOD.test(bare) ||
      (INGREDIENTS.test(bare) && bare.split(' ').length <= 4) ||
      (NOTES.test(bare) && bare.split(' ').length <= 3))
  )
    return { text: bare, kind: kindOf(bare), rest: '', restStart: raw.end };
  if (/^for (?:the|a) [a-z' -]{2,40}$/i.test(bare))
    return { text: bare, kind: 'section', rest: '', restStart: raw.end };
  if (
    bare.length >= 3 &&
    bare.length < 40 &&
    bare === bare.toUpperCase() &&
    /[A-Z]{3}/.test(bare) &&
    !/\d/.test(bare)
  )
    return { text: bare, kind: kindOf(bare), rest: '', restStart: raw.end };
  return null;
});

/** A heading as it is shown: what is shouted is said. */
function sectionName(text: string): string {
  const calm = text === text.toUpperCase() ? text.charAt(0) + text.slice(1).toLowerCase() : text;
  return calm.replace(/^for /i, 'For ').trim();
}

const SECTION_WORDS =
  /^(?:(?:the|for) )?(?:[\w-]+ ){0,2}(?:topping|filling|dressing|sauce|base|crust|dough|batter|glaze|marinade|garnish|salad|icing|frosting|crumble|paste|spice mix|stew|soup|curry|cream|to serve|to finish)$/i;

/** "Topping" alone on a line, a list right below it: a section that forgot its colon. */
function isBareSection(
  stretch: { text: string; marked: boolean },
  afterBlank: boolean,
  next: Raw | null,
): boolean {
  const { text } = stretch;
  if (
    stretch.marked ||
    !afterBlank ||
    text.split(' ').length > 4 ||
    /[\d.,:;]/.test(text) ||
    startsWithMeasure(text)
  )
    return false;
  if (
    !next ||
    !(
      markerLength(next.text) > 0 ||
      startsWithAmount(next.text.trim()) ||
      startsWithMeasure(next.text.trim())
    )
  )
    return false;
  if (SECTION_WORDS.test(text)) return true;
  const food = findFood(text.toLowerCase(), '', 1)[0];
  return !food || food.confidence < SURE;
}

/** "bay leaf, thyme" without amounts: a list of foods, unless it is one food turned round ("milk, soy"). */
function foodList(text: string): Stretch[] | null {
  const parts = text.split(/,\s+/);
  if (parts.length < 2 || parts.length > 12) return null;
  const named = (words: string) =>
    (findFood(words.toLowerCase().replace(/^and /, ''), '', 1)[0]?.confidence ?? 0) >= 0.9;
  if (!parts.every((p) => named(p) || named(p.split(/ and | & /)[0] ?? ''))) return null;
  if (parts.length === 2 && foodOfName(tokens(`${parts[1]} ${parts[0]}`))) return null;
  let at = 0;
  return parts.map((part) => {
    const start = text.indexOf(part, at);
    at = start + part.length;
    return { text: part, start, end: at };
  });
}

/** "2 onions, 3 carrots, 1 tin tomatoes" on one line: a list, cut where a new food starts. */
function splitAtFoods(text: string, listed: boolean): Stretch[] {
  const start = 0;
  const whole: Stretch[] = [{ text, start, end: start + text.length }];
  const cuts = [...text.matchAll(/[,;]\s+/g)];
  if (cuts.length === 0) return whole;
  const pieces: { text: string; start: number }[] = [];
  let from = 0;
  for (const cut of [...cuts, null]) {
    const to = cut ? cut.index : text.length;
    const depth =
      (text.slice(0, to).match(/\(/g)?.length ?? 0) - (text.slice(0, to).match(/\)/g)?.length ?? 0);
    if (cut && depth > 0) continue;
    const piece = text.slice(from, to);
    const opensFood = (words: string) => {
      const lower = clean(words).toLowerCase();
      const q = readQuantity(lower, 0);
      const rest = lower.slice(q?.end ?? 0).replace(/^\s*/, '');
      const u = q ? readUnit(rest, rest, 0) : null;
      const food = findFood(rest.slice(u?.end ?? 0).replace(/[,(].*$/, ''), '', 1)[0];
      return { food: food !== undefined && food.confidence >= SURE, amount: q !== null && !q.article };
    };
    const opens = opensFood(piece);
    if (
      pieces.length === 0 ||
      (opens.food &&
        (opens.amount ||
          (listed &&
            !/\b(?:chopped|sliced|diced|minced|grated|drained|rinsed|peeled|crushed)\b/i.test(piece))))
    )
      pieces.push({ text: piece, start: start + from });
    else {
      const last = pieces.at(-1);
      if (last) last.text = text.slice(last.start - start, to);
    }
    from = cut ? to + cut[0].length : to;
  }
  const counted = pieces.filter((p) => startsWithAmount(p.text)).length;
  if (!listed && counted === 0 && !/\d/.test(text)) return foodList(text) ?? whole;
  if (pieces.length < 2 || (!listed && counted < 2)) return whole;
  return pieces.map((p) => ({
    text: p.text.trimEnd(),
    start: p.start,
    end: p.start + p.text.trimEnd().length,
  }));
}

const splitList = remember((text: string) => splitAtFoods(text, true));
const splitLine = remember((text: string) => splitAtFoods(text, false));
const splitInline = (text: string, start: number, listed: boolean): Stretch[] =>
  (listed ? splitList(text) : splitLine(text)).map((p) => ({
    text: p.text,
    start: p.start + start,
    end: p.end + start,
  }));

const stretchOf = (raw: Raw): Stretch & { marked: boolean; numbered: boolean } => {
  const marker = markerLength(raw.text);
  const inner = raw.text.slice(marker);
  const lead = /^\s*/.exec(inner)?.[0].length ?? 0;
  const text = inner.trim();
  const start = raw.start + marker + lead;
  return {
    text,
    start,
    end: start + text.length,
    marked: marker > 0,
    numbered: /\d/.test(raw.text.slice(0, marker)),
  };
};

/**
 * Takes a recipe's text apart into title, servings, ingredient lines with their sections, steps and
 * notes. Works with and without headings; every non-blank line lands somewhere.
 */
export function parseRecipe(source: string): Recipe {
  const lines: SourceLine[] = [];
  const steps: Stretch[] = [];
  const notes: Stretch[] = [];
  const problems: string[] = [];
  let title: string | null = null;
  let servings: ServingsWords | null = null;
  let state: State = 'before';
  let explicitMethod = false;
  let section: string | null = null;

  const takeServings = (reading: ServingsReading | null): boolean => {
    if (!reading) return false;
    if ('problem' in reading) problems.push(`“${reading.text}”: ${reading.problem}; read as not said.`);
    else servings ??= reading;
    return true;
  };

  const raws = [...linesOf(source)];
  const nextFilled = (from: number) => {
    for (let j = from + 1; j < raws.length; j += 1) {
      const raw = raws[j];
      if (raw?.text.trim()) return raw;
    }
    return null;
  };
  for (let i = 0; i < raws.length; i += 1) {
    const raw = raws[i] as Raw;
    if (!raw.text.trim()) {
      continue;
    }
    if (/^\s*(?:[-=*_~]\s*){3,}$/.test(raw.text)) continue;
    const stretch = stretchOf(raw);
    const heading = headingOf(raw.text);
    if (title === null && state === 'before') {
      const isTitle = heading
        ? heading.kind === 'section' && !heading.rest
        : !stretch.marked &&
          !startsWithMeasure(stretch.text) &&
          !(startsWithAmount(stretch.text) && startsWithAmount(nextFilled(i)?.text ?? '')) &&
          stretch.text.length < 120 &&
          !META.test(stretch.text) &&
          !(readServings(stretch.text) && /^(?:serves|makes|feeds|yield|servings)/i.test(stretch.text));
      if (isTitle) {
        title = clean(heading?.text ?? stretch.text);
        const inTitle = readServings(title);
        if (inTitle && !('problem' in inTitle) && /\b(?:serves|makes|feeds)\b/i.test(title)) {
          takeServings(inTitle);
          title = title.replace(/\s*[(,–-]?\s*\b(?:serves|makes|feeds)\b.*$/i, '').trim() || title;
        }
        continue;
      }
      title = '';
    }
    if (heading && !(heading.kind === 'section' && META.test(heading.text))) {
      if (heading.kind !== 'section') {
        state = heading.kind;
        explicitMethod ||= state === 'method';
        section = null;
        // "Ingredients (serves 4)"
        takeServings(readServings(raw.text.slice(0, 80)));
      } else if (state !== 'method' || !heading.rest) {
        section = sectionName(heading.text);
        if (state === 'before') state = 'ingredients';
      }
      if (heading.rest) {
        if (state === 'method' || state === 'notes') {
          const rest = {
            text: heading.rest,
            start: raw.start + heading.restStart,
            end: raw.start + heading.restStart + heading.rest.length,
          };
          (state === 'method' ? steps : notes).push(rest);
        } else
          for (const piece of splitInline(heading.rest, raw.start + heading.restStart, true))
            lines.push({ ...piece, section });
      }
      continue;
    }
    if (META.test(stretch.text) || /^\|?[\s:|-]+\|?$/.test(stretch.text)) {
      takeServings(readServings(stretch.text));
      notes.push(stretch);
      continue;
    }
    const score = ingredientScore(stretch.text, stretch.marked);
    if (
      state !== 'method' &&
      state !== 'notes' &&
      isBareSection(stretch, i > 0 && !raws[i - 1]?.text.trim(), nextFilled(i))
    ) {
      section = clean(stretch.text);
      state = 'ingredients';
      continue;
    }
    const servingsHere =
      stretch.text.length < 90 &&
      (!stretch.marked || state === 'before') &&
      (score < 4 || SAYS_SERVINGS.test(stretch.text))
        ? readServings(stretch.text)
        : null;
    if (
      servingsHere &&
      (state !== 'method' || /^(?:serves|makes|feeds|yields?|servings)\b/i.test(stretch.text)) &&
      !(state === 'ingredients' && /^for /i.test(stretch.text))
    ) {
      takeServings(servingsHere);
      notes.push(stretch);
      continue;
    }
    if (state === 'notes') {
      notes.push(stretch);
      continue;
    }
    if (state === 'method') {
      const strong = score >= 4 && !stretch.numbered;
      // a second list of ingredients after a method, or a method that was only guessed
      if (strong && (section !== null || !explicitMethod || lines.length === 0))
        for (const piece of splitInline(stretch.text, stretch.start, false))
          lines.push({ ...piece, section });
      else steps.push(stretch);
    } else if (state === 'ingredients') {
      if (score > -1)
        for (const piece of splitInline(stretch.text, stretch.start, false))
          lines.push({ ...piece, section });
      else {
        state = 'method';
        section = null;
        steps.push(stretch);
      }
    } else if (score >= 2 || (score >= 1 && stretch.marked && !stretch.numbered)) {
      state = 'ingredients';
      for (const piece of splitInline(stretch.text, stretch.start, false)) lines.push({ ...piece, section });
    } else if (score <= -2 && (lines.length > 0 || STEP_START.test(stretch.text))) steps.push(stretch);
    else notes.push(stretch);
  }
  // "Enough for 4 with rice." at the end of a step
  if (servings === null)
    for (const { text } of [...steps, ...notes])
      for (const sentence of text.split(/(?<=[.!;])\s+/))
        if (
          /^(?:this )?(?:serves|feeds|makes|enough (?:for|to feed)|should (?:serve|feed)|(?:it )?will (?:serve|feed))\b/i.test(
            sentence,
          )
        )
          takeServings(readServings(sentence.replace(/[.!;]+$/, '')));
  // a recipe told as a story: its prose is its method
  if (lines.length === 0 && steps.length === 0)
    for (const note of notes.splice(0)) (note.text.split(' ').length > 6 ? steps : notes).push(note);
  return {
    source,
    title: title || 'Untitled recipe',
    servings,
    lines,
    steps,
    notes,
    problems: [...new Set(problems)],
  };
}
