import { foodById, type Food } from '@/core/food/table';
import { tokens } from '@/core/food/tokens';
import { unsaid, type Weighed } from '@/core/food/weigh';
import { type Range, range } from '@/core/range/range';
import { type ClauseSpan, type Sentence } from '@/core/step/clauses';
import { MADE, ORDINARY } from '@/core/step/lexicon';
import { polarityOf, type Polarity } from '@/core/step/polarity';
import { isAmbiguous } from '../food-of';
import { isPart, mayStandFor, refersTo } from '../refer';
import { correctionOf, type ReadLine } from '../types';
import {
  BIBLIOGRAPHIC,
  COUNTS,
  CRUSTS,
  FATS,
  HARMLESS,
  LEAVES_FILM,
  PROMISED,
  REFINED,
  YIELDS,
} from './kinds';
import { isMeasure } from './measured';
import { type Mention } from './mention';
import { moreOf } from './more';
import { type Scan, type Source, correctionKey, foodsOf, lineOf, readPhrase, textOf, usual } from './scan';

const MAKES = new Set(['whisk', 'mix', 'make', 'blend', 'shake', 'combine', 'blitz']);
const COATS = new Set(['brush', 'glaze', 'baste']);

/** What a fat without an amount does, by the deed. */
export function fatAmount(scan: Scan, s: Sentence, c: ClauseSpan): { grams: Range; why: string } {
  const verb = c.verb?.verb;
  const words = s.tokens.slice(c.from, c.to).map((t) => t.word);
  if (words.includes('wiped') || (words.includes('wipe') && words.includes('out')))
    return usual('wiped', scan.servings);
  if (verb?.fat) return usual(verb.fat, scan.servings);
  const tool = s.named.slice(c.from - s.from, c.to - s.from).some((n) => n?.kind === 'tool');
  if (verb && LEAVES_FILM.has(verb.id)) return usual(tool ? 'film' : 'coat', scan.servings);
  if (verb?.as === 'spray') return sprayed(scan, words);
  if (verb && ['drizzle', 'finish', 'trickle', 'dress', 'serve', 'top'].includes(verb.id))
    return usual('drizzle', scan.servings);
  return usual('pan', scan.servings);
}

/** Pieces of a plate that may each be sprayed, and grams a spray (common practice). */
const MOST_SPRAYED = 4;
const MOST_A_SPRAY_G = 1;

/** A spray of oil; "spraying each side": as often as there are pieces. */
export function sprayed(scan: Scan, words: readonly string[]): { grams: Range; why: string } {
  const one = usual('spray', scan.servings);
  const often = words.some((w) => w === 'each' || w === 'both' || w === 'every');
  const most = MOST_A_SPRAY_G * MOST_SPRAYED * scan.servings;
  return often && most > one.grams.high
    ? { ...one, grams: { ...one.grams, best: Math.max(one.grams.best, most / 4), high: most } }
    : one;
}

/** Whether so much of a food is told in another sentence. */
const isToldElsewhere = (scan: Scan, here: Sentence, head: string): boolean =>
  scan.sentences.some(
    ({ sentence: s }) =>
      s !== here &&
      s.tokens.slice(s.from, s.to).some(
        (t, k) =>
          t.normal === head &&
          s.tokens[s.from + k - 1]?.word === 'of' &&
          // "a litre and a half of"
          s.tokens.slice(Math.max(0, s.from + k - 6), s.from + k - 1).some((x) => isMeasure(x.word)),
      ),
  );

function isMade(scan: Scan, upTo: Sentence, words: readonly string[]): boolean {
  const head = words.at(-1) ?? '';
  if (!MADE.has(head)) return false;
  for (const { sentence } of scan.sentences) {
    if (sentence === upTo) return false;
    const at = sentence.tokens
      .slice(sentence.from, sentence.to)
      .findIndex((t) => t.normal === head || t.word === head);
    if (at < 0) continue;
    const before = sentence.tokens.slice(sentence.from, sentence.from + at).map((t) => t.word);
    if (before.some((w) => ['make', 'for', 'to', 'into', 'until', 'as'].includes(w))) return true;
  }
  return false;
}

/** "swap the lentils for butter beans": as much of it as of what it stands for, about. */
function inPlaceOf(scan: Scan, s: Sentence, c: ClauseSpan, m: Mention): Weighed | null {
  for (const f of foodsOf(s, c)) {
    const food = f.from === m.from ? undefined : scan.larder.foodById(f.id);
    if (!food || polarityOf(s, c, f.from, f.to) !== 'not') continue;
    const words = tokens(textOfTokens(s, f.from, f.to));
    const [at] = refersTo(food, words, true, scan.cover);
    const grams = at === undefined ? null : scan.lines[at]?.foods[0]?.grams;
    if (grams)
      return { grams: range(0, grams.best, grams.high * 1.5), readings: ['in place of what the list holds'] };
  }
  return null;
}

/** "a tin of cannellini (or any white bean)": as much of it as of the one before. */
function orOf(scan: Scan, source: Source, s: Sentence, m: Mention): Weighed | null {
  if (m.polarity !== 'alternative') return null;
  const from = source.start + (s.tokens[s.from]?.start ?? 0);
  const to = source.start + (s.tokens[m.from]?.start ?? 0);
  const before = scan.out.findLast((l) => l.step === source.step && l.line.start >= from && l.line.end <= to);
  const [first] = before?.foods ?? [];
  if (!first?.grams || first.food?.kind !== m.food.kind) return null;
  return {
    grams: range(0, first.grams.best, first.grams.high),
    readings: [`in place of ${first.text}, as much of it`],
  };
}

/** "the beans and their broth": what they were cooked in. */
const isBroth = (s: Sentence, m: Mention): boolean =>
  m.to === m.from + 1 && ['broth', 'liquor'].includes(s.tokens[m.from]?.word ?? '');

const textOfTokens = (s: Sentence, from: number, to: number): string =>
  s.tokens
    .slice(from, to)
    .map((t) => t.word)
    .join(' ');

/** Kinds of which a bare name in prose is what was told before, fresh or from a tin. */
const TOLD_AGAIN = new Set(['vegetable', 'leaf', 'fruit', 'bean', 'starch']);
/** Fruit that goes in dried or preserved is called by its plain name again. */
const FRUITS = new Set(['fruit', 'dried-fruit', 'condiment', 'salty']);
const isSameName = (a: Food, b: Food): boolean => {
  const names = [a, b].map((food) => tokens(food.name.replace(/[,(].*$/, '')).at(-1));
  return names[0] !== undefined && names[0] === names[1] && a.kind === b.kind;
};

/** True where nothing is added to a food and its name means nothing else. */
const isPlain = (food: Food): boolean => food.adds.length === 0 && !isAmbiguous(food);

/** A phrase of the method that was read as a line of ingredients, as a line that the method brings. */
export function methodLine(
  source: Source,
  at: readonly [number, number],
  phrase: string,
  read: ReadLine,
  polarity: Polarity,
): ReadLine {
  const optional = polarity !== 'do' || read.optional;
  return {
    ...read,
    line: {
      text: phrase,
      start: source.start + at[0],
      end: source.start + at[1],
      section: 'From the method',
    },
    origin: 'method',
    step: source.step,
    span: source.step === null ? null : at,
    optional,
    corners:
      read.corners && optional && !read.optional
        ? [...read.corners, new Float64Array(read.corners[0]?.length ?? 0)]
        : read.corners,
  };
}

/** "a splash more milk" behind "250 ml almond milk", told in prose: more of what was named so. */
function asToldBefore(scan: Scan, source: Source, s: Sentence, m: Mention): Mention {
  if (!scan.prose || m.food.kindClass !== 'animal' || m.words.length !== 1) return m;
  const word = m.words[0] ?? '';
  const told = scan.out
    .flatMap((l) => l.foods)
    .find((f) => f.food && f.food.kindClass !== 'animal' && tokens(f.text).at(-1) === word);
  if (!told?.food) return m;
  const amount = textOf(source, s, m.phraseFrom, m.from);
  return {
    ...m,
    food: told.food,
    read: m.read && readPhrase(scan, `${m.stated ? amount : ''} ${told.text}`.trim()),
  };
}

const OPENS_MORE = /^\s*(?:(?:and|some|a few|a bit|plus)\s+)*(?:more|extra|another|further)\b/i;

/**
 * Takes one food of a sentence in: as more of a listed line, as a line of its own, or not at all.
 *
 * @param ofPart whether it stands in the list of a part that is made beside what the recipe lists
 */
export function take(
  scan: Scan,
  source: Source,
  s: Sentence,
  c: ClauseSpan,
  mention: Mention,
  ofPart = false,
): void {
  const { cover, lines, out, servings } = scan;
  const m = asToldBefore(scan, source, s, mention);
  if (m.polarity === 'not') {
    // of the dish as a whole, not of one deed
    if (FATS.has(m.food.kind) && source.step === null && !source.tail) scan.noFat = true;
    return;
  }
  if (m.polarity === 'remark') return;
  // "swap the lentils for butter beans": another of a kind that no limit looks at
  if (m.polarity === 'alternative' && !m.stated && !COUNTS.has(m.food.kind) && !PROMISED.has(m.food.kind)) {
    if (isPlain(m.food) && !REFINED.has(m.food.kind)) return;
  }
  // "makes 24 cookies", "Yield: 24 cookies" say what it is, not what goes in
  const before = s.tokens.slice(c.from, m.from);
  // "serves 4 with 2 rotis each": what is eaten with it
  const beside = before.some((t) => ['with', 'without', 'over', 'on', 'alongside'].includes(t.word));
  const yields = !beside && [...s.label, ...before].some((t) => YIELDS.has(t.word));
  if (m.stated && yields && c.verb?.form !== 'base') return;
  if (FATS.has(m.food.kind)) scan.fat = true;
  // an amount belongs to the words where one is said
  const at = [s.tokens[m.stated ? m.phraseFrom : m.from]?.start ?? 0, s.tokens[m.phraseTo - 1]?.end ?? 0] as [
    number,
    number,
  ];
  const grams = m.read?.missing === null ? (m.read.foods[0]?.grams ?? null) : null;
  const found = refersTo(m.food, m.words, m.definite, cover, m.stated);
  const kin = ofPart ? lines[found[0] ?? -1]?.foods[0] : undefined;
  if (kin?.food && m.stated && kin.food.id !== m.food.id) {
    // "100 g yoghurt" in the raita is of the soy yoghurt that the list names
    const amount = textOf(source, s, m.phraseFrom, m.from);
    const read = readPhrase(scan, `${amount} ${kin.food.name}`);
    take(scan, source, s, c, { ...m, food: kin.food, read, words: tokens(kin.food.name) }, ofPart);
    return;
  }
  // "200 g raspberries" told before "more raspberries" of the list is no part of them
  const told = lines[found[0] ?? -1]?.line;
  const apart =
    (ofPart && m.stated) ||
    (m.stated && told && OPENS_MORE.test(told.text) && source.start + at[0] < told.start);
  const first = apart ? undefined : found[0];
  if (source.names) {
    // a title promises; what the list holds in any form keeps the promise
    if (!PROMISED.has(m.food.kind)) return;
    // "tofu for paneer": what it stands for
    if (s.tokens[m.from - 1]?.word === 'for') return;
    // "(made without peanut)" behind it
    const denied = s.clauses.some((x) =>
      foodsOf(s, x).some((f) => f.id === m.food.id && polarityOf(s, x, f.from, f.to) === 'not'),
    );
    if (denied) return;
    const kept =
      found.length > 0 ||
      cover.lines.some((l) => m.words.some((w) => l.words.has(w))) ||
      out.some((l) => l.foods.some((f) => f.food?.id === m.food.id));
    if (kept) return;
    const guess = FATS.has(m.food.kind) ? usual('drizzle', servings) : null;
    out.push(
      lineOf(
        scan,
        source,
        at,
        m.phrase,
        m.food,
        guess?.grams ?? grams ?? range(0, 5 * servings, 20 * servings),
        'the name promises it, and no line brings it: it may be in it or not',
        'optional',
      ),
    );
    return;
  }
  if (first !== undefined) {
    if (m.more && COUNTS.has(m.food.kind) && m.polarity !== 'alternative') {
      // "brush with a little more milk": what clings
      const clings = c.verb && COATS.has(c.verb.verb.id) && m.from > c.verbAt;
      moreOf(scan, source, s, c, m, at, first, clings ? usual('coat', servings).grams : grams);
      return;
    }
    if (m.stated && grams && COUNTS.has(m.food.kind)) {
      const list = scan.said.get(first) ?? [];
      list.push({ grams, words: m.phrase, source, span: at });
      scan.said.set(first, list);
    }
    return;
  }
  if (m.words.length === 1 && m.words[0] === 'seasoning' && m.definite) {
    // "check the seasoning": salt to taste
    const salt = foodById('salt');
    const listed = lines.some((l) => l.foods.some((f) => f.food?.kind === 'salt'));
    const { grams: guess, why } = usual('season', servings);
    if (salt)
      out.push(
        lineOf(
          scan,
          source,
          at,
          m.phrase,
          salt,
          listed ? range(0, 0, 0.5 * servings) : guess,
          why,
          m.polarity,
        ),
      );
    return;
  }
  if (isPart(m.food, m.words, m.definite, cover)) return;
  // "a splash of the stock", told before "a litre and a half of stock"
  if (scan.prose && m.definite && !m.stated && isToldElsewhere(scan, s, m.words.at(-1) ?? '')) return;
  // a crust or a pastry that was made is "the pastry"
  if (m.definite && m.words.length === 1 && CRUSTS.has(m.words[0] ?? '')) return;
  if (m.definite && isMade(scan, s, m.words)) return;
  // "whisk dressing": it is made of what was named
  const isObject = !s.tokens.slice(c.from, m.from).some((t) => t.word === 'with');
  if (
    isObject &&
    !m.stated &&
    m.words.length === 1 &&
    MADE.has(m.words[0] ?? '') &&
    MAKES.has(c.verb?.verb.id ?? '')
  )
    return;
  const bibliographic = s.label.some((t) => BIBLIOGRAPHIC.has(t.word));
  if (bibliographic && !m.stated) return;
  // named again it is the one that was brought before
  const again = out.findIndex((l) =>
    l.foods.some(
      (f) =>
        f.food !== null &&
        (f.food.id === m.food.id ||
          (m.words.length === 1 &&
            (mayStandFor(m.words[0] ?? '', f.food, m.definite) ||
              // "the coconut" of the coconut milk
              (scan.prose &&
                m.definite &&
                f.food.kind === m.food.kind &&
                tokens(f.text).includes(m.words[0] ?? '')) ||
              // "toms in" of the tin of tomatoes
              (scan.prose && TOLD_AGAIN.has(m.food.kind) && isSameName(m.food, f.food)) ||
              // "squash, apricots" of the 10 dried apricots
              (scan.prose &&
                m.food.kind === 'fruit' &&
                FRUITS.has(f.food.kind) &&
                tokens(f.text).includes(m.words[0] ?? ''))))),
    ),
  );
  // "with 4 tbsp of the stock": of what was told before
  const part = m.stated && s.tokens[m.from - 1]?.word === 'the' && s.tokens[m.from - 2]?.word === 'of';
  if (again >= 0 && (!m.stated || part) && !m.more) return;
  if (!m.stated && !scan.prose && HARMLESS.has(m.food.kind) && isPlain(m.food)) return;
  if (m.food.kind === 'water' && !m.stated) return;
  // "a splash of water": its weight is gone before the plate
  const loose = m.read?.words?.foods[0]?.measures.every((x) => x.unit?.kind === 'vague') ?? true;
  if (m.food.kind === 'water' && loose && !scan.prose) return;
  // "for the bran drinks slowly": of what is there
  if (m.definite && !m.stated && !scan.prose && !m.food.kindClass && isPlain(m.food)) return;
  // "remove the seeds" of what is on the list
  if (m.definite && m.words.length === 1 && ORDINARY.has(m.words[0] ?? '')) return;
  if (FATS.has(m.food.kind) && !m.stated) {
    const { grams: guess, why } = fatAmount(scan, s, c);
    out.push(lineOf(scan, source, at, m.phrase, m.food, guess, why, m.polarity));
    return;
  }
  if (m.read?.missing === 'amount' && HARMLESS.has(m.food.kind)) {
    // "a wedge of lemon": even the most of it matters to no limit
    const guess = unsaid(m.food, null, servings);
    if (guess)
      out.push(
        lineOf(
          scan,
          source,
          at,
          m.phrase,
          m.food,
          range(0, guess.grams.best, guess.grams.high),
          guess.readings.join('; '),
          m.polarity,
        ),
      );
    return;
  }
  // "a bit of the broth" of a soup made with water
  const wet = [...lines, ...(scan.prose ? out : [])].some((l) =>
    l.foods.some((f) => f.food?.kind === 'water'),
  );
  const byEye = m.read?.words?.foods[0]?.measures.every((x) => x.unit?.kind === 'vague') ?? true;
  if (m.definite && (!m.stated || byEye) && isBroth(s, m) && wet) return;
  // "brush with plant milk": what clings
  if (!m.stated && c.verb && COATS.has(c.verb.verb.id) && m.from > c.verbAt && source.step !== null) {
    const { grams: clings, why } = usual('coat', servings);
    out.push(lineOf(scan, source, at, m.phrase, m.food, clings, why, m.polarity));
    return;
  }
  if (m.read && m.read.foods[0]?.food) {
    const correction = correctionOf(scan.settings, correctionKey('method', m.phrase));
    if (correction?.grams === undefined && m.read.missing === null) {
      out.push(methodLine(source, at, m.phrase, m.read, m.polarity));
      return;
    }
  }
  const place = grams !== null || m.stated ? null : (inPlaceOf(scan, s, c, m) ?? orOf(scan, source, s, m));
  const aside = grams !== null || m.stated ? null : (place ?? unsaid(m.food, 'to serve', servings));
  // a tip beside the method is another way to make it
  const polarity: Polarity = place && source.step === null ? 'alternative' : m.polarity;
  out.push(
    lineOf(
      scan,
      source,
      at,
      m.phrase,
      m.food,
      grams ?? aside?.grams ?? null,
      aside
        ? aside.readings.join('; ')
        : m.read
          ? (m.read.foods[0]?.readings.join('; ') ?? '')
          : 'no amount is said',
      polarity,
    ),
  );
}
