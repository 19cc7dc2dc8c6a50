import { readQuantity } from '@/core/measure/quantity';
import { readModifier, readSize, readUnit, VAGUE, type Unit } from '@/core/measure/units';
import rawWords from '@content/compiled/words.json';
import { clean, markerLength } from './clean';

type Three = readonly [number, number, number];

/** One measure of a line: "2 heaping tbsp", "2 (14.5-oz) cans", "3 large". */
export interface Measure {
  readonly quantity: Three;
  readonly unit: Unit | null;
  /** What "heaping", "about" and the like make of the quantity. */
  readonly factor: Three;
  /** Size word of a piece: small, medium, large, extraLarge. */
  readonly size: string | null;
  /** What one package, or each piece, is said to hold. */
  readonly each: { readonly quantity: Three; readonly unit: Unit; readonly drained: boolean } | null;
  /** Why the readings are what they are. */
  readonly readings: readonly string[];
  /** False where only an article stands: "a", "an". */
  readonly stated: boolean;
}

/** One food of a line and what may stand for it. */
export interface FoodWords {
  /** Words that name the food, without amount and preparation. */
  readonly food: string;
  /** Notes beside it that may say which: "(no salt added)", "drained and rinsed". */
  readonly notes: string;
  /** Measures that add up; empty where no amount is said. */
  readonly measures: readonly Measure[];
  /** The same amount said another way: "(240 ml)", "/ 7 oz". */
  readonly equivalent: Measure | null;
}

/** A line of ingredients, read as words; no food is looked up yet. */
export interface LineWords {
  readonly foods: readonly FoodWords[];
  /** The food words before they were split at "and": one food may be named with it. */
  readonly together: string;
  readonly alternatives: readonly (FoodWords & { readonly text: string })[];
  readonly preparation: readonly string[];
  readonly optional: boolean;
  readonly toTaste: boolean;
  /** "plus more for dusting": more of it goes in, how much is not said. */
  readonly plusMore: string | null;
  /** "for greasing", "to serve": what it is for, where said. */
  readonly purpose: string | null;
  readonly cleaned: string;
}

const ONE: Three = [1, 1, 1];
const ABOUT = VAGUE.modifiers.about as { factor: Three; why: string };
const mul = (a: Three, b: Three): Three => [a[0] * b[0], a[1] * b[1], a[2] * b[2]];

const PREPARATION = new Set((rawWords as { preparation: string[] }).preparation);
const PREP_WORDS = new RegExp(
  `\\b(?:${[...PREPARATION].sort((a, b) => b.length - a.length).join('|')})\\b`,
  'g',
);
const OPTIONAL = /\boptional(?:ly)?\b|\bif (?:you )?(?:like|desired|liked|wanted|using)\b/;
const TO_TASTE = /\b(?:or )?(?:to|for|as per) taste\b|\bto your taste\b|\bto your liking\b|\bor to taste\b/;
const PLUS_MORE =
  /[,(;+&]?\s*\b(?:plus|and|with) (?:a (?:little|bit|few|splash) )?(?:some )?(?:more|extra)\b([^)]*)\)?|,\s*(?:and )?extra (?:for|to)\b([^)]*)/;
const PURPOSE =
  /(?:,|\(|\s)\s*((?:for|to) (?:deep[- ]?frying|frying|shallow frying|fry|saut[eé]ing|cooking|cook|the pan|the skillet|browning|greasing|grease|oiling|brushing|brush|lining|spraying|the tin|the tray|drizzling|drizzle|finishing|finish|serving|serve|garnish(?:ing)?|sprinkling|sprinkle|dusting|topping|top|decorating|decorate|the (?:pasta |cooking )?water|pasta water|boiling|the pot|blanching|rolling|kneading))\b/;
const NOISE = /^\s*(?:of|the|x|-|,|\.|:|about)\s+/;
const COUNT_X = /\s*x\s*(?=[\d(])|\s*x\s+(?=[a-z])/y;

class Reader {
  at = 0;
  constructor(
    readonly text: string,
    readonly written: string,
  ) {}
  space() {
    while (this.text[this.at] === ' ') this.at += 1;
  }
  skip(pattern: RegExp): boolean {
    pattern.lastIndex = this.at;
    if (!pattern.test(this.text)) return false;
    this.at = pattern.lastIndex;
    return true;
  }
}

const DASH_OR_SPACE = /[ -]*/y;
const OF = /[ ]*(?:of\b)?[ ]*(?:the |a |an )?(?=\S)/y;

/** "14.5-oz", "400 g", "(about 400 g each)": a mass or volume in or out of brackets. */
function readSizeOfOne(r: Reader): Measure['each'] {
  const start = r.at;
  r.space();
  const bracket = r.text[r.at] === '(';
  if (bracket) r.at += 1;
  r.space();
  r.skip(/(?:about|approx\.?|around|roughly|ca\.?|~|each|net|a)\s*/y);
  const q = readQuantity(r.text, r.at);
  if (q && !q.article) {
    r.at = q.end;
    r.skip(DASH_OR_SPACE);
    const u = readUnit(r.text, r.written, r.at);
    if (u && (u.unit.kind === 'mass' || u.unit.kind === 'volume')) {
      r.at = u.end;
      let rest = '';
      if (bracket) {
        const close = r.text.indexOf(')', r.at);
        rest = r.text.slice(r.at, close < 0 ? undefined : close);
        r.at = close < 0 ? r.text.length : close + 1;
      } else r.skip(/\s*-\s*|\s+each\b/y);
      return { quantity: [q.low, q.best, q.high], unit: u.unit, drained: /\bdrained\b/.test(rest) };
    }
  }
  r.at = start;
  return null;
}

/** Reads one measure at the reader's place; null and unmoved where none stands. */
function readMeasure(r: Reader): Measure | null {
  const start = r.at;
  let factor: Three = ONE;
  const readings: string[] = [];
  const modifiers = () => {
    for (;;) {
      r.space();
      const m = readModifier(r.text, r.at);
      if (!m) return;
      // "good tomatoes", "small onions": without a measure after it, the word is about the food
      const after = new Reader(r.text, r.written);
      after.at = m.end;
      after.space();
      const sizeAlone = m.factor.id === 'small' || m.factor.id === 'generous';
      if (sizeAlone && !readUnit(r.text, r.written, after.at) && !readModifier(r.text, after.at)) return;
      if ((sizeAlone || m.factor.id === 'packed') && readUnit(r.text, r.written, after.at)?.unit.package)
        return;
      factor = mul(factor, m.factor.factor);
      if (m.factor.id !== 'level') readings.push(`"${r.text.slice(r.at, m.end)}": ${m.factor.why}`);
      r.at = m.end;
      r.skip(/\s*of\b/y);
    }
  };
  modifiers();
  let q = readQuantity(r.text, r.at);
  if (!q) {
    // "pinch of salt", "handful of parsley", "heaped tbsp": one of it
    const bare = readUnit(r.text, r.written, r.at);
    if (
      bare &&
      bare.unit.id !== 'piece' &&
      bare.unit.id !== 'half' &&
      (factor !== ONE ||
        bare.unit.kind === 'vague' ||
        (bare.unit.kind === 'count' && /^\s*(?:of\b|$)/.test(r.text.slice(bare.end))))
    )
      q = { low: 1, best: 1, high: 1, end: r.at, article: true };
    else {
      r.at = start;
      return null;
    }
  }
  const article = q.article;
  let quantity: Three = [q.low, q.best, q.high];
  if (!article && q.low !== q.high) readings.push(`"${r.text.slice(start, q.end).trim()}" as a range`);
  r.at = q.end;
  if (!r.skip(/\s*x(?=\s*[\d(])\s*|\s+x\s+(?=[a-z(])/y)) r.skip(COUNT_X);
  // "1 x 2.5cm piece": so many of that length
  if (/x\s*$/.test(r.text.slice(q.end, r.at))) {
    const length = readQuantity(r.text, r.at);
    const unit =
      length && !length.article
        ? readUnit(r.text, r.written, length.end + (/^[ -]*/.exec(r.text.slice(length.end))?.[0].length ?? 0))
        : null;
    if (length && unit && (unit.unit.id === 'cm' || unit.unit.id === 'inch')) {
      quantity = mul(quantity, [length.low, length.best, length.high]);
      r.at = length.end;
    }
  }
  // "1 (1-inch) piece ginger"
  const piece =
    /^\s*\(?\s*(\d[\d ./]*)\s*-?\s*(inch|in\.?|cm)\s*\)?\s*-?\s*(?=(?:piece|knob|chunk|length|nub))/.exec(
      r.text.slice(r.at),
    );
  if (piece?.[1]) {
    const length = readQuantity(piece[1], 0);
    if (length) {
      quantity = mul(quantity, [length.low, length.best, length.high]);
      r.at += piece[0].length;
      r.skip(/(?:pieces?|knobs?|chunks?|lengths?|nubs?)\b/y);
      r.skip(OF);
      const unit = readUnit(piece[2] === 'cm' ? 'cm' : 'inch', 'inch', 0)?.unit ?? null;
      return { quantity, unit, factor, size: null, each: null, readings, stated: true };
    }
  }
  let each: Measure['each'] = null;
  // "2 (14.5-oz) cans", "2 400g tins", "1 14-oz can"
  const beforeEach = r.at;
  each = readSizeOfOne(r);
  if (each) {
    r.space();
    r.skip(/\s*-?\s*(?:sized?|net)?\s*/y);
    const container = readUnit(r.text, r.written, r.at);
    if (!container || container.unit.kind !== 'count') {
      // "(400 g)" without a container: not this measure's business, unless it was "2 x 400 g"
      if (!/x\s*$/.test(r.text.slice(0, beforeEach))) {
        each = null;
        r.at = beforeEach;
      }
    }
  }
  modifiers();
  let size: string | null = null;
  for (;;) {
    r.space();
    const s = readSize(r.text, r.at);
    if (!s) break;
    size = s.factor.id;
    r.at = s.end;
    r.skip(/[ ]*(?:-sized|-size|sized)?(?:[ ]*[-,][ ]*(?=[a-z]))?/y);
    r.skip(/\s*to\s+(?=medium|large)/y);
  }
  r.space();
  r.skip(/-(?=[a-z])/y);
  let unit = readUnit(r.text, r.written, r.at);
  // "1 large egg": no unit; "2 medium" of piece: skip the word
  if (unit && unit.unit.id === 'half') unit = null;
  if (unit && unit.unit.kind === 'count' && !unit.unit.package && unit.unit.id !== 'piece') {
    // "4 cloves" alone is the spice, "3 leaves" needs its food behind it
    if (/^\s*(?:,|\(|$)/.test(r.text.slice(unit.end)) && unit.unit.id === 'clove') unit = null;
  }
  if (unit?.unit.id === 'head' && /^\s*(?:,|$)/.test(r.text.slice(unit.end))) unit = null;
  if (unit && unit.unit.id === 'can' && article && q.end === r.at) unit = null;
  if (unit) {
    r.at = unit.end;
    // "400 g tin", "14 oz can": one package of that
    if (unit.unit.kind === 'mass' || unit.unit.kind === 'volume') {
      const mark = r.at;
      r.skip(/[ ]*-?[ ]*/y);
      const container = readUnit(r.text, r.written, r.at);
      if (container?.unit.package && !/^[ ]*(?:of )?(?:pot|tub)\b/.test(r.text.slice(r.at))) {
        each = { quantity, unit: unit.unit, drained: false };
        quantity = ONE;
        unit = container;
        r.at = container.end;
      } else r.at = mark;
    }
    // "2 cans (15 oz each)", "1 jar (24 oz)"
    if (unit.unit.package && !each) {
      const mark = r.at;
      const bracketed = /^\s*\(/.test(r.text.slice(r.at)) ? readSizeOfOne(r) : null;
      if (bracketed) each = bracketed;
      else r.at = mark;
    }
    // "1-inch piece", "2 cm knob"
    if (unit.unit.id === 'inch' || unit.unit.id === 'cm')
      r.skip(/[ -]*(?:long )?(?:pieces?|knobs?|chunks?|lengths?|nubs?|thumbs?)?/y);
  } else if (article && !size) {
    // "a ripe tomato" is one, "a good olive oil" is none said
    const reads = each !== null;
    if (!reads && factor !== ONE) r.at = q.end;
  }
  r.skip(OF);
  if (
    unit &&
    unit.unit.kind === 'count' &&
    unit.unit.id === 'piece' &&
    size === null &&
    /medium/.test(r.text.slice(start, r.at))
  )
    size = 'medium';
  return { quantity, unit: unit?.unit ?? null, factor, size, each, readings, stated: !article };
}

const PLUS = /\s*(?:\+|plus|and|&)\s*(?=(?:an? |about |scant |heap|\d|one |two |three |half ))/y;
const SLASH = /\s*(?:\/|\bor\b|\|)\s*(?=(?:about )?\d)/y;

/** Measures from the start of a text: those that add up, and one that says the same again. */
function readMeasures(r: Reader): Pick<FoodWords, 'measures' | 'equivalent'> {
  const measures: Measure[] = [];
  let equivalent: Measure | null = null;
  const one = readMeasure(r);
  if (!one) return { measures, equivalent };
  measures.push(one);
  for (;;) {
    const mark = r.at;
    if (r.skip(PLUS)) {
      const next = readMeasure(r);
      // "1 onion and 2 carrots" is not a sum of one food: only measured units add up
      if (next?.unit && next.unit.kind !== 'count' && one.unit) {
        measures.push(next);
        continue;
      }
    }
    r.at = mark;
    if (!equivalent && r.skip(SLASH)) {
      const next = readMeasure(r);
      if (next?.unit && (next.unit.kind === 'mass' || next.unit.kind === 'volume') && one.unit) {
        equivalent = next;
        continue;
      }
    }
    r.at = mark;
    if (/^\s*\(/.test(r.text.slice(r.at)) && !equivalent) {
      const found = bracketEquivalent(r.text.slice(r.at), r.written.slice(r.at));
      if (found) {
        equivalent = found.measure;
        r.at += found.length;
        r.skip(OF);
        continue;
      }
    }
    break;
  }
  return { measures, equivalent };
}

/** "(240 ml)", "(about 150 g)", "(2 oz / 60 g)": the first measure in a bracket that opens the text. */
function bracketEquivalent(text: string, written: string): { measure: Measure; length: number } | null {
  const close = text.indexOf(')');
  if (close < 0) return null;
  const open = text.indexOf('(') + 1;
  const inside = new Reader(text.slice(open, close), written.slice(open, close));
  inside.skip(/\s*(?:total|or|from|i\.e\.|=|weighing|drained weight:?|drained|net weight:?)\s*/y);
  const measure = readMeasure(inside);
  if (!measure?.unit || (measure.unit.kind !== 'mass' && measure.unit.kind !== 'volume')) return null;
  const rest = inside.text.slice(inside.at);
  const drained = /\bdrained\b/.test(inside.text);
  if (/\beach\b|\bapiece\b/.test(rest))
    return {
      measure: {
        ...measure,
        quantity: ONE,
        unit: null,
        factor: ONE,
        each: { quantity: mul(measure.quantity, measure.factor), unit: measure.unit, drained },
      },
      length: close + 1,
    };
  // "(1 tbsp for the pan)" says a part, not the whole
  if (/\bfor\b|\bdivided\b|\breserved?\b/.test(rest)) return null;
  return { measure, length: close + 1 };
}

const JUICE =
  /\b(?:the )?(?:(?:finely )?(?:grated )?(zest|rind|peel) and juice|juice and (?:(?:finely )?(?:grated )?)(zest|rind|peel)|(?:freshly )?(?:squeezed )?juice|(?:finely |freshly )?(?:grated )?(zest|rind|peel))\s+(?:of|from)\s+/;

/** "25 g butter -> use marge": the amount stays, the food is the one behind the arrow. */
function turnArrow(text: string): string {
  const m = /^(.*?)\s*(?:->|=>|→)\s*(?:use |sub(?:stitute)? |swap(?: for)? |with )?(.+)$/i.exec(text);
  if (!m?.[1] || !m[2]) return text;
  if (/^\d/.test(m[2])) return m[2];
  const r = new Reader(m[1].toLowerCase(), m[1]);
  readMeasures(r);
  return `${m[1].slice(0, r.at)} ${m[2]}`.trim();
}

/** "juice of half a lemon" → "half lemon juice": the measure goes first. */
function turnJuice(text: string): { text: string; zest: boolean } {
  const m = JUICE.exec(text);
  if (!m || m.index > 24) return { text, zest: false };
  const zestToo = Boolean(m[1] ?? m[2]);
  const what = m[3] ? 'zest' : 'juice';
  const rest = text.slice(m.index + m[0].length);
  const cut = /^([^,(]*)(.*)$/.exec(rest);
  return {
    text: `${text.slice(0, m.index)}${cut?.[1]?.trimEnd() ?? rest} ${what}${cut?.[2] ?? ''}`,
    zest: zestToo,
  };
}

/** Splits words of food from what is done to it, at the first comma or dash outside brackets. */
function splitPreparation(text: string): { food: string; rest: string } {
  let depth = 0;
  for (let i = 0; i < text.length; i += 1) {
    const c = text[i];
    if (c === '(' || c === '[') depth += 1;
    else if (c === ')' || c === ']') depth -= 1;
    else if (
      depth <= 0 &&
      (c === ',' ||
        c === ';' ||
        (c === '-' && text[i - 1] === ' ' && text[i + 1] === ' ') ||
        (c === ':' && i > 2))
    )
      return { food: text.slice(0, i), rest: text.slice(i + 1) };
  }
  return { food: text, rest: '' };
}

const onlyPreparation = (words: string): boolean =>
  words
    .trim()
    .split(/\s+/)
    .every(
      (w) => PREPARATION.has(w) || /^(?:and|finely|roughly|freshly|coarsely|thinly|lightly|very)$/.test(w),
    );

/** Reads one ingredient line into amounts and words. Never fails: what is no amount stays words. */
export function readLineWords(line: string): LineWords {
  let written = clean(line.slice(markerLength(line)));
  // a line that opens with its options: "optional: 2 tbsp pine nuts"
  written = written.replace(/^\s*(?:optional|opt\.?)\s*[:-]?\s*/i, (m) => (m ? 'optional ' : m));
  written = written.replace(/\bs\s*(?:&|\+|n|and)\s*p\b/i, 'salt and pepper');
  written = turnArrow(written);
  let text = written.toLowerCase();
  const cleaned = written;
  const orSo = /\bor so\b|\b(?:ish|or thereabouts|give or take)\b/.test(text);
  const optional = OPTIONAL.test(text);
  const toTaste = TO_TASTE.test(text);
  const more = PLUS_MORE.exec(text);
  const plusMore = more ? more[0].replace(/^[\s,(;+&]+/, '').trim() : null;
  const purpose = PURPOSE.exec(more ? text.slice(0, more.index) : text)?.[1] ?? null;
  const strip = (pattern: RegExp) => {
    const m = pattern.exec(text);
    if (!m) return;
    const gap = ' '.repeat(m[0].length);
    text = text.slice(0, m.index) + gap + text.slice(m.index + m[0].length);
    written = written.slice(0, m.index) + gap + written.slice(m.index + m[0].length);
  };
  if (more) strip(PLUS_MORE);
  strip(/\(\s*optional\s*\)|^optional\b|,?\s*\boptional\b/);
  strip(TO_TASTE);
  if (purpose) strip(PURPOSE);
  const juice = turnJuice(text);
  if (juice.text !== text) {
    text = juice.text;
    written = juice.text;
  }
  const reader = new Reader(text, written);
  reader.skip(/\s*(?:of\s+)?/y);
  const measured = readMeasures(reader);
  let rest = text.slice(reader.at);
  rest = rest.replace(NOISE, '');
  let { food, rest: prep } = splitPreparation(rest.replace(/\s+\bor so\b/, ' '));
  // "1 cup peeled, diced sweet potato": what is done comes before the food
  while (prep && onlyPreparation(food)) {
    const next = splitPreparation(prep);
    food = `${food} ${next.food.trim()}`;
    prep = next.rest;
  }
  let equivalent = measured.equivalent;
  // brackets: a second statement of the amount, or a note
  const notes: string[] = [prep];
  const liquid = OWN_LIQUID.exec(food)?.[0];
  if (liquid) notes.push(liquid.trim());
  let bare = food.replace(OWN_LIQUID, '').replace(/[([]([^)\]]*)[)\]]?/g, (whole, inside: string) => {
    if (!equivalent) {
      const found = bracketEquivalent(`(${inside})`, `(${inside})`);
      if (found) {
        equivalent = found.measure;
        return ' ';
      }
    }
    notes.push(whole.replace(/[()[\]]/g, ''));
    return ' ';
  });
  if (!equivalent) {
    const bracket = /\(([^)]*)\)/.exec(prep);
    const found = bracket ? bracketEquivalent(bracket[0], bracket[0]) : null;
    // "1 onion, chopped (about 150 g)" or "…, chopped, about 1 cup"
    if (found) equivalent = found.measure;
    else {
      const trailing = /(?:^|,)\s*(?:about|approx\.?|roughly|around|~)\s+(.*)$/.exec(prep);
      if (trailing?.[1]) {
        const r = new Reader(trailing[1], trailing[1]);
        const m = readMeasure(r);
        if (m?.unit && (m.unit.kind === 'mass' || m.unit.kind === 'volume') && m.stated) equivalent = m;
      }
    }
  }
  // trailing amounts: "flour 200 g", "tahini - 2 tbsp", "carrots x 2"
  let measures = measured.measures;
  if (measures.length === 0) {
    const tail = trailingMeasure(bare) ?? trailingMeasure(prep);
    if (tail) {
      measures = tail.measures;
      if (tail.source === bare) bare = tail.before;
    }
  }
  if (orSo)
    measures = measures.map((m) => ({
      ...m,
      factor: mul(m.factor, ABOUT.factor),
      readings: [...m.readings, `“or so”: ${ABOUT.why}`],
    }));
  const noteText = notes.filter(Boolean).join(', ');
  const orSplit = splitAlternatives(bare);
  const alternatives = [...orSplit.alternatives, ...noteAlternatives(noteText)].map((alt) => {
    const r = new Reader(alt, alt);
    const own = readMeasures(r);
    return {
      text: alt,
      food: alt.slice(r.at).trim(),
      notes: '',
      measures: own.measures.length && own.measures.some((m) => m.stated || m.unit) ? own.measures : measures,
      equivalent: own.measures.length ? own.equivalent : equivalent,
    };
  });
  const foods = orSplit.first
    .map((words, i): FoodWords => {
      const r = new Reader(words, words);
      const own = i > 0 ? readMeasures(r) : { measures: [], equivalent: null };
      return {
        food: words.slice(r.at).trim(),
        notes: noteText,
        measures: own.measures.length
          ? own.measures
          : i === 0 || measures.every((m) => m.unit?.kind === 'vague' || !m.unit)
            ? measures
            : [],
        equivalent: i === 0 ? equivalent : own.equivalent,
      };
    })
    .filter((f, i) => i === 0 || f.food.length > 0);
  if (juice.zest && foods[0]) {
    const fruit = foods[0].food.replace(/\s*juice$/, '');
    foods.push({ ...foods[0], food: `${fruit} zest`, notes: '' });
  }
  const preparation = [...new Set([...(text.match(PREP_WORDS) ?? [])])];
  return {
    foods,
    together: orSplit.together,
    alternatives,
    preparation,
    optional,
    toTaste,
    plusMore,
    purpose,
    cleaned,
  };
}

function trailingMeasure(text: string): { measures: Measure[]; before: string; source: string } | null {
  const m =
    /^(.*?[a-z)])\s*(?:[-:x,]\s*)?\s(?:x\s*)?((?:about\s+)?\d[\d\s./-]*\s*[a-z. ]*)$/.exec(text.trim()) ??
    /^()((?:about\s+)?\d[\d\s./-]*\s*[a-z. ]*)$/.exec(text.trim());
  if (!m?.[2]) return null;
  const r = new Reader(m[2], m[2]);
  const measured = readMeasures(r);
  if (!measured.measures.length || r.text.slice(r.at).trim()) return null;
  return { measures: [...measured.measures], before: m[1] ?? '', source: text };
}

const OR = /\s+(?:and\/or|or(?: else)?(?: use)?(?: substitute)?|\/)\s+|\s*\/\s*(?=[a-z])/;
const NOT_OTHER =
  /^(?:more|less|so|to taste|as needed|as required|other|your|any|similar|equivalent|a combination|both|a mix|until|about|use|whatever|leave|omit|not\b)/;
const AND =
  /\s+(?:and|&|\+)\s+|\s*&\s*|\s+(?:mixed|whisked|blended|combined|stirred|dissolved) (?:with|in|into)\s+(?=\d|half|an? )/;
const OWN_LIQUID =
  /\s+(?:and|with|plus|in|including)\s+(?:all )?(?:its|their|the)\s+(?:own )?(?:liquid|juices?|brine|water|liquor|syrup)\b/;

/**
 * "tahini or sunflower butter" → one food and an alternative; "salt and pepper" → two foods. What may be
 * one food ("mac and cheese powder") is left to the finder, which tries the whole first.
 */
function splitAlternatives(text: string): { first: string[]; together: string; alternatives: string[] } {
  const pieces = text
    .split(OR)
    .map((p) => p.trim())
    .filter(Boolean);
  const [head = text, ...others] = pieces;
  const alternatives = others.filter((o) => !NOT_OTHER.test(o));
  return {
    together: head,
    first: head
      .split(AND)
      .map((p) => p.trim())
      .filter((p, i) => p.length > 0 || i === 0),
    alternatives,
  };
}

/** "(or use 1 tsp dried)", "or sunflower seeds" after a comma. */
function noteAlternatives(notes: string): string[] {
  const found: string[] = [];
  for (const piece of notes.split(/[,;]/)) {
    const m = /^\s*(?:or|can sub(?:stitute)?|or use|or sub(?:stitute)?)\s+(?:use\s+)?(.+)$/.exec(piece);
    if (m?.[1] && !NOT_OTHER.test(m[1]) && !PREPARATION.has(m[1].trim().split(' ').at(-1) ?? ''))
      found.push(m[1].trim());
  }
  return found;
}
