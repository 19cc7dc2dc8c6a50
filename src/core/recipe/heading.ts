import { pattern } from '@/core/pattern/pattern';
import { ADDED_KINDS, RICH_KINDS } from '@/core/food/kind-groups';
import { findFood, foodOfName, SURE } from '@/core/food/find';
import { tokens } from '@/core/food/tokens';
import { remember } from '@/core/memo';
import { readQuantity } from '@/core/measure/quantity';
import { readUnit } from '@/core/measure/units';
import { PIECES } from './each-last';
import { A_PART } from './row-talk';
import { clean, markerLength, stripMarkdown } from './clean';
import { startsWithAmount, startsWithMeasure } from './score';
import type { Raw } from './source';

const INGREDIENTS = pattern(
  /^(?:the )?(?:ingredients?(?: list)?|you(?:'ll| will)? need|what you(?:'ll)? need|what goes in|you need|shopping list)\b/i,
);
const METHOD = pattern(
  /^(?:the )?(?:method|directions?|instructions?|steps?|preparation|procedure|how to(?: make(?: it)?)?|what to do|to make(?: it)?|cooking(?: instructions)?|prep(?:aration)? steps|how|how (?:i|we|you) (?:do|make|cook) it|what (?:i|we|you) do|the doing|doing it)\s*$/i,
);
const NOTES = pattern(
  /^(?:(?:cook'?s |recipe )?notes?|tips?(?: and tricks)?|nutrition(?: facts| information)?|storage|storing|variations?|serving suggestions?|equipment|source|comments?|substitutions?|make ahead|nutrition(?:al)? info(?:rmation)?)\b/i,
);
/** Rows about the recipe, not of it: times, calories, author. */
export const META =
  /^(?:(?:prep|cook|cooking|total|active|hands[- ]on|ready in|resting|chilling|bake|baking|soak(?:ing)?)(?: time)?\s*[:=-]|(?:author|by|course|cuisine|category|keywords?|calories|diet|level|difficulty|rating|source|adapted from|tags?|print|photo|updated|published|equipment|oven|date)\s*:|ready in\b|\d+\s*(?:mins?|minutes|hours?|hrs?)\s*$|\d+ kcal\b)/i; /** A row that names what follows. */
export interface Heading {
  readonly text: string;
  readonly kind: 'ingredients' | 'method' | 'notes' | 'section';
  /** Words after the colon on the same line. */
  readonly rest: string;
  readonly restStart: number;
}

const A_BIT = pattern(/^(?:an? )?(?:pinch|splash|squeeze|handful|dash|drizzle|drop|sprinkle) (?:of )?[a-z]/i);
/** Words that go on telling, and open no list. */
const GOES_ON = pattern(/^(?:so|then|now|and|next|first|ok|okay|right|well|but|meanwhile|take|add|use)\b/i);

/** "Raita: 200 g soya yoghurt, ½ cucumber": a part's name with its list behind it, and no food with its amounts. */
export function listsFoods(name: string, rest: string): boolean {
  if (
    name.split(' ').length > 3 ||
    /\b(?:yields?|serves|servings?|portion|makes|step|day|time|nutrition|calories|macros|figures|versions?|recipes|original|usual(?:ly)?|traditional(?:ly)?|others)\b/i.test(
      name,
    )
  )
    return false;
  // "so the beets — three, maybe 600 g — get grated": it goes on telling
  if (GOES_ON.test(name)) return false;
  const amounts = rest
    // "Dip: 1 tbsp vinegar + 1 tsp soy"
    .split(startsWithMeasure(rest.trim()) ? /[,;]|\s[/|·•+]\s/ : /[,;]|\s[/|·•]\s/)
    .map((piece) => piece.trim())
    .filter((piece) => startsWithAmount(piece) || startsWithMeasure(piece) || A_BIT.test(piece)).length;
  const food = findFood(name.toLowerCase(), '', 1)[0];
  return amounts >= (food && food.confidence >= SURE ? 3 : 2);
}

/** "Dressing: lemon + wine vinegar + oregano": a part's name, and nothing but the names of foods behind it. */
export function listsNames(name: string, rest: string): boolean {
  if (!A_PART.test(name.trim()) || name.split(' ').length > 3) return false;
  const pieces = rest
    .replace(/[.!]\s*$/, '')
    .split(/\s*(?:,|\+|&|\band\b)\s*/)
    .filter((piece) => piece.trim());
  return (
    pieces.length > 1 &&
    pieces.every((piece) => (findFood(clean(piece).toLowerCase(), '', 1)[0]?.confidence ?? 0) >= SURE)
  );
}

/** "(9 squares)", "(serves 4)" behind a part's name. */
const MAKES =
  /\s*\((?:(?:about\s+)?\d{1,2}(?:\s*(?:-|–|to|or)\s*\d{1,2})?\s+(?:(?:big|small|large)\s+)?(?:bowls?|squares?|slices?|servings?|portions?|plates?|people|pieces|muffins?|patties|burgers?|cakes?|rolls?|buns?|balls?|wraps?|jars?|loaves|bars?|pancakes?|flatbreads?)|(?:serves|makes|feeds)\s+(?:about\s+)?\d{1,2}(?:\s*(?:-|–|to|or)\s*\d{1,2})?(?:\s+(?:(?:big|small|large)\s+)?(?:bowls?|squares?|slices?|servings?|portions?|plates?|people|pieces|muffins?|patties|burgers?|cakes?|rolls?|buns?|balls?|wraps?|jars?|loaves|bars?|pancakes?|flatbreads?))?)\)$/i;

const isFood = (name: string): boolean => (findFood(name.toLowerCase(), '', 1)[0]?.confidence ?? 0) >= SURE;

const FIGURES = pattern(
  /\b(?:yields?|serves|servings?|portions?|makes|step|day|time|prep|cook|total|oven|temp(?:erature)?|nutrition|calories|energy|kcal|macros|figures|fat|saturates|carb(?:ohydrate)?s|sugars?|fib(?:re|er)|salt|sodium|note|tip|option|swap|variation|or|was|original|instead|before)\b/i,
);

/** "Protein: half a block of tofu": a name that is no food, and behind it so much of one. */
function labelsFood(name: string, rest: string): boolean {
  if (name.split(' ').length > 3 || FIGURES.test(name) || GOES_ON.test(name) || isFood(name)) return false;
  const lower = clean(rest).toLowerCase();
  const q = readQuantity(lower, 0);
  if (!q) return false;
  const behind = lower.slice(q.end).trimStart();
  const unit = readUnit(behind, behind, 0);
  const food = behind
    .slice(unit?.end ?? 0)
    .replace(/^\s*(?:of )?/, '')
    .replace(/\s*[,(;].*$/, '');
  return isFood(food);
}

const SERVED =
  '(?:to top|to serve|on top|on each|toppings?|garnish|to finish|extras?|at the table|dressing|sauce|sides?)';
const OF_ONE =
  '(?:person|head|serving|portion|plate|plateful|bowl|bowlful|jar|glass|pot|tub|box|lunchbox|ramekin|diner|eater|guest|bap|half|one)';
const GETS = '(?:gets?|has|have|wants?|takes?|needs?)';
/** "per jar on the day", "for each person": what follows is for every one of them. */
export const PER_ONE = new RegExp(
  String.raw`^(?:${SERVED}[,:]?\s+)?\(?(?:(?:per|(?:for|on|in|into|over|onto|to) (?:each|every)|for one|each|every) ?(?:${OF_ONE}|${PIECES.join('|')})(?: ${GETS})?|(?:everyone|everybody|each|each of us)(?: ${GETS})?)(?: on the day| to serve| at the table)?\)?$`,
  'i',
);

/** Behind the name of a part that goes on every plate, where the part before it is told for one. */
export const FOR_EACH = ', for each';
/** True where what stands under a part's name is for every one of them. */
export const isForOne = (name: string): boolean => PER_ONE.test(name) || name.endsWith(FOR_EACH);

/** "Veg (all into 2 cm chunks)": the part alone. */
const bare = (name: string): string => name.replace(/\s*\([^()]*\)\s*$/, '');

/** Heading of a row; `restStart` counts from the line's start. */
export const headingOf = remember((text: string): Heading | null => {
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
  /** A heading in front of what it is about, which begins at a place of the row. */
  const leading = (text: string, kind: Heading['kind'], at: number): Heading => ({
    text,
    kind,
    rest: raw.text.slice(at).trimEnd(),
    restStart: raw.start + at,
  });
  // "# 2 tbsp olive oil" in a list is a food, whatever its writer meant by the sign
  if (startsWithMeasure(plain) && !bold) return null;
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
  // "dressing -" above its list
  const dashed = /^([a-z][a-z '&]{2,32}?)\s+[-–—]+$/i.exec(plain)?.[1];
  if (dashed && dashed.split(' ').length <= 4)
    return { text: dashed, kind: kindOf(dashed), rest: '', restStart: raw.end };
  // "**Notes** The original had oil."
  const lead = /^\s*(?:\*\*|__)([^*_]{3,24})(?:\*\*|__)\s+(?=\S)/.exec(raw.text);
  if (lead?.[1] && kindOf(lead[1].trim()) === 'notes') {
    return leading(lead[1].trim(), 'notes', lead[0].length);
  }
  if (colon > 0 && colon < 40) {
    const text = plain
      .slice(0, colon)
      .replace(/^[-*•]\s*(?=[a-z])/i, '')
      .trim();
    const kind = kindOf(text);
    // "For four. Pasta: 320 g linguine" goes on telling
    if (/[.!?]\s/.test(text)) return null;
    const known =
      kind !== 'section' ||
      /^(?:for (?:the|a)\b|(?:the )?(?:optional(?: toppings?| extras?| sides?| garnish(?:es)?)?|dressing|sauce|topping|filling|marinade|base|garnish|to serve|to finish|to garnish|to fry|for frying|to bake|to assemble|crust|dough|batter|glaze|crumble|spice mix|paste|pickle|toppings|to top|top|slaw|salsa|sides)\b\s*$)/i.test(
        text,
      ) ||
      // "on top: mushrooms, peppers, red onion"
      (/^(?:on top|on the side|beside it|extras?|inside)$/i.test(text) &&
        /^\s*[\w-]+(?: [\w-]+){0,2}\s*[,;]/.test(plain.slice(colon + 1))) ||
      // "“cheese”: 100 g cashews": what stands for it
      (/^["“'][^"”']+["”']$/.test(text) && startsWithAmount(plain.slice(colon + 1))) ||
      // "The bean: 1 tin black beans"
      (/^the [a-z]+(?: [a-z]+)?$/i.test(text) && /[a-z]{3}/i.test(plain.slice(colon + 1))) ||
      (PER_ONE.test(text) && /[a-z]{3}/i.test(plain.slice(colon + 1))) ||
      listsFoods(bare(text), raw.text.slice(raw.text.indexOf(':') + 1)) ||
      labelsFood(bare(text), plain.slice(colon + 1).trim());
    if (known && !startsWithAmount(text)) {
      const at = raw.text.indexOf(':') + 1;
      const gap = /^\s*/.exec(raw.text.slice(at))?.[0].length ?? 0;
      return leading(text, kind, at + gap);
    }
  }
  // "DRESSING 2 heaped tsp peanut powder, juice 1 lime"
  const shouted = /^\s*([A-Z]{4,}(?: [A-Z]{3,}){0,2})\s+(?=\d)/.exec(raw.text);
  if (shouted?.[1] && /[a-z]{2}/.test(raw.text) && !isFood(shouted[1])) {
    return leading(shouted[1], 'section', shouted[0].length);
  }
  // "Notes - it freezes", "Method - oven to 180"
  const part = /^\s*([a-z][a-z ]{2,15}?)\s+(?:--+|[-–—])\s+(?=\S)/i.exec(raw.text);
  const kind = part?.[1] ? kindOf(part[1]) : 'section';
  if (part?.[1] && kind !== 'section' && part[1].split(' ').length <= 2)
    return leading(part[1], kind, part[0].length);
  // "To garnish - 1 red chilli, sliced; 2 spring onions"
  const list = /^\s*([a-z][a-z ]{2,23}?)\s+(?:--+|[-–—])\s+(?=\S)/i.exec(raw.text);
  const dash =
    (list?.[1] && listsFoods(list[1], raw.text.slice(list[0].length)) ? list : null) ??
    /^\s*((?:to (?:garnish|serve|finish|top)|garnish|toppings?|dressing|sauce)\b)\s+[-–—]\s+(?=\S)/i.exec(
      raw.text,
    );
  if (dash?.[1]) {
    return leading(dash[1].trim(), 'section', dash[0].length);
  }
  // "per person" above what everybody has
  if (/\s/.test(plain) && PER_ONE.test(plain))
    return { text: plain, kind: 'section', rest: '', restStart: raw.end };
  const unmarked = plain.replace(/[:.]\s*$/, '');
  if (
    unmarked.length < 40 &&
    (METHOD.test(unmarked) ||
      (INGREDIENTS.test(unmarked) && unmarked.split(' ').length <= 4) ||
      (NOTES.test(unmarked) && unmarked.split(' ').length <= 3))
  )
    return { text: unmarked, kind: kindOf(unmarked), rest: '', restStart: raw.end };
  if (/^for (?:the|a) [a-z' -]{2,40}(?:\([^)]{2,40}\))?$/i.test(unmarked))
    return { text: unmarked, kind: 'section', rest: '', restStart: raw.end };
  const name = unmarked.replace(MAKES, '');
  if (
    name.length >= 3 &&
    name.length < 40 &&
    name === name.toUpperCase() &&
    /[A-Z]{3}/.test(name) &&
    !/\d/.test(name)
  )
    return { text: unmarked, kind: kindOf(name), rest: '', restStart: raw.end };
  return null;
});

/** A heading as it is shown: what is shouted is said. */
export function sectionName(text: string): string {
  const name = text.replace(MAKES, '');
  const calm = name === name.toUpperCase() ? name.charAt(0) + name.slice(1).toLowerCase() : name;
  return calm.replace(/^for /i, 'For ').trim();
}

const SECTION_WORDS = pattern(
  /^(?:(?:the|for) )?(?:[\w-]+ ){0,2}(?:broth|the rest|bowls|toffee|caramel|spices|toppings|topping|filling|dressing|sauce|base|crust|dough|batter|glaze|marinade|garnish|salad|icing|frosting|crumble|paste|spice mix|stew|soup|curry|cream|drizzle|slaw|salsa|relish|gravy|crunch|swirl|to serve|to finish|to fry|for frying|to bake|to assemble)$/i,
);

/** "dressing, in a jar" */
const IN_A_VESSEL = pattern(/^[a-z ]{3,24}, in an? (?:jar|bowl|jug|cup|pan|blender)$/i);
/** Kinds that are never taken for a heading: were they food, a limit would miss them. */
const OFFENDS = new Set<string>([...ADDED_KINDS, ...RICH_KINDS, 'animal', 'condiment']);
const NEVER_FOOD = pattern(
  /^(?:(?:the|for the) )?(?:top|bottom|base|inside|to fry|for frying|to serve|to finish|to bake|to assemble|to top|for the pan|bowls?|assembly|toppings?|garnish(?:es)?|(?:[a-z]+ ){0,2}layers?|plates?|platter)$/i,
);

/** "handful kale": so much of something, without a number. */
const SO_MUCH_OF =
  /^(?:(?:an?|some|few|big|small|good|large) )*(?:handful|pinch|splash|drizzle|knob|thumb|bunch|sprig|dash|squeeze|tin|can|jar|bag|pack|packet|block|cup|mug|glass|tbsp|tsp|head|bulb|stick|punnet|carton|tub)s? (?:of )?[a-z]/i;
/** "Hot sauce glaze" above "4 tbsp hot sauce": a part that is called by what opens its list. */
function headsItsFood(text: string, next: Raw | null): boolean {
  const words = text.toLowerCase().trim().split(/\s+/);
  if (words.length < 2 || !A_PART.test(text.trim()) || foodOfName(tokens(text.toLowerCase()))) return false;
  const below = next?.text.toLowerCase() ?? '';
  return startsWithMeasure(below.trim()) && words.slice(0, -1).every((w) => below.includes(w));
}

/**
 * "Topping" alone on a line, a list right below it: a section that forgot its colon.
 *
 * @param namesPart true where the words are part of the dish's own name and stand right above a list
 */
export function isBareSection(
  stretch: { text: string; marked: boolean },
  afterBlank: boolean,
  next: Raw | null,
  namesPart = false,
): boolean {
  const text = stretch.text.replace(MAKES, '');
  if (
    stretch.marked ||
    // without a blank row before it only words that are never a food, lest a food be lost for a heading
    (!afterBlank && !NEVER_FOOD.test(text) && !headsItsFood(text, next)) ||
    SO_MUCH_OF.test(text) ||
    text.split(' ').length > 5 ||
    /[\d.:;]/.test(text) ||
    (text.includes(',') && !IN_A_VESSEL.test(text)) ||
    startsWithMeasure(text)
  )
    return false;
  if (!next) return false;
  const lists =
    markerLength(next.text) > 0 || startsWithAmount(next.text.trim()) || startsWithMeasure(next.text.trim());
  // "Filling" above "brown rice 1 cup": the amounts stand behind the foods
  if (!lists && !(afterBlank && /\d/.test(next.text) && SECTION_WORDS.test(text))) return false;
  // "Cornbread (9 squares)" over a list is made here
  if (afterBlank && lists && text !== stretch.text) return true;
  if (SECTION_WORDS.test(text) || IN_A_VESSEL.test(text) || (namesPart && afterBlank)) return true;
  const food = findFood(text.toLowerCase(), '', 1)[0];
  if (!food || food.confidence < SURE) return true;
  // "Broth", "mushrooms" right above a list, behind a blank row, and nothing that a limit would miss
  return (
    afterBlank &&
    lists &&
    !OFFENDS.has(food.food.kind) &&
    food.food.adds.length === 0 &&
    text.split(' ').length <= 2 &&
    !/^(?:some|a|an)\b/i.test(text)
  );
}
