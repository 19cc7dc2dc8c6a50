import { A_TIME, readQuantity } from '@/core/measure/quantity';
import { readModifier, readSize, readUnit } from '@/core/measure/units';
import { mul, ONE, Reader, type Measure, type Measures, type Three } from './reader';

/** "425 drained", "240 g drained weight". */
const LEFT_OF_IT = /(\d[\d.]*)\s*(?:g|grams?)?\s*(?:when |once )?drained\b/;
/** What is left of a package behind its printed weight; null where it does not say. */
function leftOf(rest: string): Three | null {
  const left = LEFT_OF_IT.exec(rest)?.[1];
  return left === undefined ? null : [Number(left), Number(left), Number(left)];
}

const COUNT_X = /\s*x\s*(?=[\d(])|\s*x\s+(?=[a-z])/y;

const DASH_OR_SPACE = /[ -]*/y;
export const OF = /[ ]*(?:of\b)?[ ]*(?:the |a |an )?(?=\S)/y;

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
      const quantity = leftOf(rest) ?? [q.low, q.best, q.high];
      const net = leftOf(rest) !== null;
      return { quantity, unit: u.unit, drained: /\bdrained\b/.test(rest), net };
    }
  }
  r.at = start;
  return null;
}

const HOW_MUCH = /^(?:great|fairly|very|really|quite|rather|nice|pretty|reasonably)\s+(?:nice\s+)?/;
/** Length of a word that says how large: "great big", "fairly large". */
const DEGREE = (r: Reader): number => HOW_MUCH.exec(r.text.slice(r.at, r.at + 24))?.[0].length ?? 0;

/** True where a unit stands at a place, sizes before it or not. */
function unitBehindSizes(r: Reader, from: number): boolean {
  let at = from;
  for (;;) {
    const size = readSize(r.text, at);
    if (!size) break;
    at = size.end + (/^\s*/.exec(r.text.slice(size.end))?.[0].length ?? 0);
  }
  const unit = readUnit(r.text, r.written, at)?.unit;
  return unit !== undefined && unit.id !== 'half';
}

/** Words that say how much only where a measure follows: "good tomatoes" are none. */
const NEEDS_MEASURE = new Set(['small', 'generous', 'over', 'under']);
/** "2 tbsp" behind a word such as "good". */
function numberThenUnit(r: Reader): unknown {
  const q = readQuantity(r.text, r.at);
  if (!q || q.article) return null;
  const gap = /^[ -]*/.exec(r.text.slice(q.end))?.[0].length ?? 0;
  const unit = readUnit(r.text, r.written, q.end + gap)?.unit;
  return unit?.kind === 'mass' || unit?.kind === 'volume' ? unit : null;
}

/** "a scant 150 g", "another 2 tbsp", "the whole 80 g", "an extra 2": words in front of a number that are none themselves. */
const LEADS_NUMBER =
  /\s*(?:(?:another|these|those|the|my|our)\s+(?:(?:further|extra|additional|mere|whole|full|entire|other|last|final|good|nice|decent|proper|bare|lovely)\s+)*|an?\s+(?:(?:further|extra|additional|mere|whole|full|entire|other|last|final|nice|decent|proper|bare|lovely)\s+)+|an?\s+(?=(?:scant|generous|heaped|heaping|rounded|level|good|big|large|packed|fat|healthy|hefty)\s))(?=(?:(?:scant|generous|heaped|heaping|rounded|level|good|big|large|packed|fat|healthy|hefty|about|around)\s+)*(?:\d|[½⅓⅔¼¾⅛]|(?:two|three|four|five|six|seven|eight|nine|ten|twelve|half|couple)\b))/y;

/** Reads one measure at the reader's place; null and unmoved where none stands. */
export function readMeasure(r: Reader): Measure | null {
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
      const sizeAlone = NEEDS_MEASURE.has(m.factor.id);
      const compares = m.factor.id === 'over' || m.factor.id === 'under';
      const measured =
        readUnit(r.text, r.written, after.at) ??
        readModifier(r.text, after.at) ??
        (compares ? readQuantity(r.text, after.at) : numberThenUnit(after));
      if (sizeAlone && !measured) return;
      if ((sizeAlone || m.factor.id === 'packed') && readUnit(r.text, r.written, after.at)?.unit.package)
        return;
      factor = mul(factor, m.factor.factor);
      if (m.factor.id !== 'level') readings.push(`"${r.text.slice(r.at, m.end)}": ${m.factor.why}`);
      r.at = m.end;
      r.skip(/\s*of\b/y);
    }
  };
  r.skip(LEADS_NUMBER);
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
        /^\s*of\b/.test(r.text.slice(bare.end)) ||
        (bare.unit.kind === 'count' && /^\s*$/.test(r.text.slice(bare.end))))
    )
      q = { low: 1, best: 1, high: 1, end: r.at, article: true };
    else {
      r.at = start;
      return null;
    }
  }
  // "40 min", "2 hours": how long
  if (A_TIME.test(r.text.slice(q.end))) {
    r.at = start;
    return null;
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
    /^\s*\(?\s*(\d[\d ./]*)\s*-?\s*(inch|in\.?|cm)\s*\)?\s*-?\s*(?=(?:piece|knob|chunk|length|nub|bit|lump|stick|stub|strip|end))/.exec(
      r.text.slice(r.at),
    );
  if (piece?.[1]) {
    const length = readQuantity(piece[1], 0);
    if (length) {
      quantity = mul(quantity, [length.low, length.best, length.high]);
      r.at += piece[0].length;
      r.skip(/(?:pieces?|knobs?|chunks?|lengths?|nubs?|bits?|lumps?|sticks?|stubs?|strips?|ends?)\b/y);
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
  // "a whole cup", "1 whole head": the measure behind it is the unit
  const whole = /^\s*(?:whole|full|entire)\s+/.exec(r.text.slice(r.at))?.[0].length ?? 0;
  if (whole > 0 && unitBehindSizes(r, r.at + whole)) r.at += whole;
  for (;;) {
    r.space();
    const s = readSize(r.text, r.at + DEGREE(r));
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
      // "half a block (200 g)": the block, or the half of it; what a tin says is the whole tin's
      const part = bracketed && quantity[2] < 1 && quantity[0] > 0 && unit.unit.id !== 'can';
      if (bracketed)
        each = part
          ? {
              ...bracketed,
              quantity: [bracketed.quantity[0], bracketed.quantity[1], bracketed.quantity[2] / quantity[0]],
            }
          : bracketed;
      else r.at = mark;
    }
    // "1-inch piece", "2 cm knob"
    if (unit.unit.id === 'inch' || unit.unit.id === 'cm')
      r.skip(
        /[ -]*(?:long )?(?:pieces?|knobs?|chunks?|lengths?|nubs?|thumbs?|bits?|lumps?|sticks?|stubs?|strips?)?/y,
      );
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

const UP_TO = /\s*(?:-|to\b|up to\b|or)\s*(?=(?:an? |about |heaped |\d|one |two |three |half ))/y;

/** "1 tsp to 1 tbsp", "½ cup - 200 ml": anything from the one to the other; null where they do not measure alike. */
function spanned(one: Measure, other: Measure): Measure | null {
  const [low, high] = [one, other].map((m) =>
    m.unit?.size ? mul(mul(m.quantity, m.factor), m.unit.size) : null,
  );
  const alike = one.unit?.kind === other.unit?.kind && !one.each && !other.each;
  if (!low || !high || !alike || one.unit === other.unit || high[2] <= low[2]) return null;
  const per = one.unit?.size?.[1] ?? 1;
  return {
    ...one,
    quantity: [low[0] / per, (low[1] + high[1]) / 2 / per, high[2] / per],
    factor: ONE,
    readings: [...one.readings, 'from the one to the other'],
  };
}

/** Measures from the start of a text: those that add up, and one that says the same again. */
export function readMeasures(r: Reader): Measures {
  const measures: Measure[] = [];
  let equivalent: Measure | null = null;
  const one = readMeasure(r);
  if (!one) return { measures, equivalent };
  const opened = r.at;
  const other = r.skip(UP_TO) ? readMeasure(r) : null;
  const span = other ? spanned(one, other) : null;
  if (!span) r.at = opened;
  measures.push(span ?? one);
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

/** What is weighed or measured at a place of a text, and where its words end; null where nothing is. */
export function weighedAt(text: string, at: number): { measures: readonly Measure[]; end: number } | null {
  const r = new Reader(text, text);
  r.at = at;
  const { measures } = readMeasures(r);
  const kind = measures[0]?.unit?.kind;
  return kind === 'mass' || kind === 'volume' ? { measures, end: r.at } : null;
}

/** Words that may follow an amount said again. */
const SAME_AGAIN =
  /^\s*(?:[,;/.)-]|\d|or\b|and\b|total|each|net|gross|drained|weight|packed|loosely|chopped|sliced|diced|grated|shredded|when|before|after|in\b|about|approx|cooked|dry|dried|uncooked|raw|from|tin|can|jar|size|per\b|peeled|unpeeled|trimmed|prepared|whole|of\b|cup|worth|ish|so\b|loose|squeezed|juice|zest|fresh|frozen|pitted|shelled|pieces?|halves)/;

/** "240 g drained", "drained weight 240 g"; "400 g, drained" says what is done to the tin. */
const DRAINED_WEIGHT = /\d ?(?:g|oz|grams?)\s+drained\b|\bdrained weight\b/;

/** "(60 g each)", "(60 g a slice)": what one of them weighs. */
const EACH_ONE =
  /\beach\b|\bones\b|\bapiece\b|\b(?:an?|per) (?:slice|piece|roll|bun|tin|can|jar|cake|block|round|one)\b|\d ?(?:g|oz|grams?) (?:an?|per) (?!(?:head|person|serving|portion|plate|bowl|diner|day|week|time|bit|little|touch|half|quarter|third)\b)[a-z]+\s*$/;

/** "(240 ml)", "(about 150 g)", "(2 oz / 60 g)": the first measure in a bracket that opens the text. */
export function bracketEquivalent(
  text: string,
  written: string,
): { measure: Measure; length: number } | null {
  const close = text.indexOf(')');
  if (close < 0) return null;
  const open = text.indexOf('(') + 1;
  const inside = new Reader(text.slice(open, close), written.slice(open, close));
  inside.skip(
    /\s*(?:total|or|from|they'?re|they are|mine (?:are|is)|it weighs|they weigh|(?:each )?weighs|that'?s|that is|which is|it'?s|so|i\.e\.|=|weighing|drained weight:?|drained|net weight:?)\s*/y,
  );
  const measure = readMeasure(inside);
  // "(half a 900 g bag)"
  const packed = measure?.each?.unit.kind === 'mass' && /^\s*$/.test(inside.text.slice(inside.at));
  const each = measure?.each;
  if (measure && each && packed && !/^\s*or\b/.test(text.slice(open)))
    return {
      measure: {
        ...measure,
        quantity: mul(mul(measure.quantity, measure.factor), each.quantity),
        unit: each.unit,
        factor: ONE,
        each: null,
      },
      length: close + 1,
    };
  if (!measure?.unit || (measure.unit.kind !== 'mass' && measure.unit.kind !== 'volume')) return null;
  const rest = inside.text.slice(inside.at);
  const drained = /\bdrained\b/.test(inside.text);
  // "(700 g each, 425 drained)": the second is what is left of it
  const quantity = leftOf(rest) ?? mul(measure.quantity, measure.factor);
  if (EACH_ONE.test(inside.text))
    return {
      measure: {
        ...measure,
        quantity: ONE,
        unit: null,
        factor: ONE,
        each: { quantity, unit: measure.unit, drained, net: leftOf(rest) !== null },
      },
      length: close + 1,
    };
  // "(1 tbsp for the pan)" says a part, "(1 tsp per bowl)" one of several
  if (/\bper\b/.test(rest)) return null;
  if (/\bfor\b|\bdivided\b|\breserved?\b/.test(rest)) return null;
  // "2 flax eggs (2 tbsp ground flaxseed + water)" says what it is made of, not how much it is
  if (/[a-z]/.test(rest) && !SAME_AGAIN.test(rest)) return null;
  const edible =
    /^\s*(?:when |after |once )?(?:peel|pitt|ston|shell|podd|trimm|prepar|clean|cor|hull)(?:ed|ing)\b/.test(
      rest,
    );
  const without = DRAINED_WEIGHT.test(inside.text);
  return {
    measure: { ...measure, ...(edible ? { edible } : {}), ...(without ? { drained: true as const } : {}) },
    length: close + 1,
  };
}
