import rawMethod from '@content/compiled/method.json';
import { foodById, FOODS, type Food } from '@/core/food/table';
import { normalWord, tokens } from '@/core/food/tokens';
import { remember } from '@/core/memo';
import { range, type Range } from '@/core/range/range';
import type { Stretch } from '@/core/recipe/source';
import type { MethodFile } from './schema';
import { clauseStart, isVerb, MORE, negated } from './clauses';
import { readingOf } from './method-amounts';
import { covered, coverOf, lineIsFor, openEnded, type Cover } from './cover';
import type { ReadLine } from './types';

// checked by Zod when content is compiled
const method = rawMethod as unknown as MethodFile;

/** A food that a step's words bring and no ingredient line accounts for. */
export interface Mention {
  readonly step: number;
  /** Place inside the step's text. */
  readonly span: readonly [number, number];
  readonly words: string;
  readonly food: Food;
  readonly grams: Range | null;
  readonly why: string;
}

const searched = new Set(method.kinds);
const traps = method.traps.map((t) => ({ ...t, regex: new RegExp(t.pattern, 'gi') }));
/** Names of foods worth finding in a step, by their words in order. */
const names = new Map<string, Food>();
let longest = 1;
for (const food of FOODS) {
  if (!searched.has(food.kind) || food.id === 'coffee') continue;
  for (const name of [food.name, ...food.names]) {
    const words = tokens(name);
    longest = Math.max(longest, Math.min(words.length, 4));
    const key = words.join(' ');
    if (words.length <= 4 && !names.has(key)) names.set(key, food);
  }
}
/** Words that are a verb or a vessel as often as a food. */
const SINGLE_SKIP = new Set([
  'butter',
  'rum',
  'port',
  'ale',
  'cream',
  'fish',
  'gin',
  'stock',
  'nut',
  'seed',
  'curd',
  'meat',
  'brine',
  'ice',
  'base',
  'biscuit',
  'cookie',
  'milk',
  'chocolate',
  'cheese',
  'egg',
]);
const STILL = new Set(['butter', 'cream', 'stock', 'cheese', 'milk', 'egg', 'chocolate', 'brine']);

interface Word {
  readonly token: string;
  readonly start: number;
  readonly end: number;
}

const wordsOf = remember((text: string): readonly Word[] => {
  const out: Word[] = [];
  const pattern = /[a-zà-ÿ0-9][a-zà-ÿ0-9'’]*/gi;
  for (let m = pattern.exec(text); m; m = pattern.exec(text)) {
    const lower = m[0].toLowerCase().replace(/['’]s?$/, '');
    out.push({ token: normalWord(lower), start: m.index, end: m.index + m[0].length });
  }
  return out;
}, 500);

/** What the scan of one step knows and adds to. */
interface Scan {
  readonly index: number;
  readonly text: string;
  readonly lines: readonly ReadLine[];
  readonly cover: Cover;
  readonly servings: number;
  readonly out: Mention[];
  /** Stretches that are names of foods, offences or not. */
  readonly taken: (readonly [number, number])[];
}

/** What cooks make of other foods and call by the dairy word. */
const MADE_OF = new Set(['cream', 'milk', 'butter', 'cheese', 'yoghurt', 'egg']);
const FLAX_EGG = /\b(?:flax|flaxseed|linseed|chia)[- ]+eggs?$/i;
const MORE_COUNTS = new Set(['oil', 'salt', 'salty', 'sugar', 'syrup', 'solid-fat']);
const OTHER_THING = new Set(['snap', 'pan', 'thermometer', 'bath', 'cod']);

/** A food of the list that a step adds more of. */
function moreOfIt(scan: Scan, food: Food, start: number, end: number): void {
  const { index, text, lines, servings, out } = scan;
  if (!MORE_COUNTS.has(food.kind) || openEnded(lines, food.kind)) return;
  const clause = text.slice(clauseStart(text, start), end + 12);
  if (!MORE.test(clause) && !/\bto taste\b/i.test(text.slice(end, end + 12))) return;
  if (out.some((m) => m.food.kind === food.kind && m.step === index)) return;
  const reading = readingOf(text, start, end, food, servings);
  if (!reading) return;
  const certain =
    /\b(?:extra|another|additional|further)\b/i.test(clause) && !/\bif\b|needed|to taste/i.test(clause);
  const grams = certain ? reading.grams : range(0, 0, reading.grams.high);
  out.push({
    step: index,
    span: [start, end],
    words: text.slice(start, end),
    food,
    grams,
    why: `more than the list says; ${reading.why}`,
  });
}

/** Takes in one food name of a step, unless it is covered, negated or no food there. */
function named(
  scan: Scan,
  food: Food,
  part: readonly Word[],
  next: Word | undefined,
  before: Word | undefined,
): boolean {
  const { index, text, cover, servings, out, taken } = scan;
  const start = (part[0] as Word).start;
  const end = (part.at(-1) as Word).end;
  const key = part.map((w) => w.token).join(' ');
  if (part.length === 1) {
    if (isVerb(text, start, end, key)) return false;
    if (SINGLE_SKIP.has(key) && !STILL.has(key)) return false;
    // "oil-free" is negated below; "salt-baked" and "sugar snap" are other things
    if (next && text[end] === '-' && !/^free/.test(text.slice(end + 1))) return false;
    if (next && OTHER_THING.has(next.token)) return false;
  }
  taken.push([start, end]);
  // "the bean cream" is the beans of the list, blended
  if (before && MADE_OF.has(key) && /^[\s-]+$/.test(text.slice(before.end, start)))
    if (cover.lines.some((l) => l.has(before.token))) return true;
  // "the flax egg" is the flax of the list
  if (FLAX_EGG.test(text.slice(0, end)) && cover.kinds.has('flax-chia')) return true;
  if (negated(text, start, end)) return true;
  // "the peanut sauce" is the part of that name, whatever is in it now
  if (next && cover.parts.has(next.token)) return true;
  // "the cream from the top of the can" is part of what the list holds
  if (
    /^\s*(?:from|in|at) (?:the )?(?:top of )?(?:the )?(?:can|tin|jar|block|packet)\b/i.test(text.slice(end))
  )
    return true;
  if (
    covered(
      food,
      part.map((w) => w.token),
      cover,
    )
  ) {
    moreOfIt(scan, food, start, end);
    return true;
  }
  if (out.some((m) => m.food.id === food.id && !m.words.includes('grease'))) return true;
  const reading = readingOf(text, start, end, food, servings);
  const ifYouLike = /\bif (?:you )?(?:like|want|wish|liked|desired)\b|\boptional/i.test(
    text.slice(end, end + 40),
  );
  const grams =
    reading && ifYouLike ? range(0, reading.grams.best, reading.grams.high) : (reading?.grams ?? null);
  out.push({
    step: index,
    span: [start, end],
    words: text.slice(start, end),
    food,
    grams,
    why: reading?.why ?? 'no amount is said',
  });
  return true;
}

/** Foods that a step names, the longest name first. */
function namesIn(scan: Scan): void {
  const words = wordsOf(scan.text);
  for (let i = 0; i < words.length; i += 1)
    for (let n = Math.min(longest, words.length - i); n >= 1; n -= 1) {
      const part = words.slice(i, i + n);
      const food = names.get(part.map((w) => w.token).join(' '));
      if (!food) continue;
      // words of one name stand together
      const written = scan.text.slice((part[0] as Word).start, (part.at(-1) as Word).end);
      if (n > 1 && /[.,;:()]/.test(written)) continue;
      if (named(scan, food, part, words[i + n], words[i - 1])) i += n - 1;
      break;
    }
}

const WITH_SOMETHING_ELSE =
  /^\s*(?:[^.;,]{0,20})\bwith (?:a (?:little |few )?)?(?:water|stock|parchment|baking paper|aquafaba|lemon|vinegar|milk|foil|the marinade)/i;
const WITH_SPICE =
  /^\s*with (?:the |some |plenty of |a little )?(?:[a-z]+ )?(?:pepper|lemon|lime|vinegar|paprika|herbs|spice|cumin|chilli)(?!.{0,12}\bsalt\b)/i;
const FATS = new Set(['animal-fat', 'solid-fat']);

/** Whether a trap's words bring nothing that is not found or listed already. */
function harmlessTrap(scan: Scan, words: string, start: number, end: number, food: Food): boolean {
  const { index, text, out, taken } = scan;
  if (negated(text, start, start + 1) || /\b(?:no|without|dry)\b/i.test(words)) return true;
  // "coconut oil in a wide pan": the oil is a thing there, and found by its name
  if (taken.some(([a, b]) => start >= a && start < b)) return true;
  const near = text.slice(end, end + 40);
  if (food.kind === 'oil' && WITH_SOMETHING_ELSE.test(near)) return true;
  if (food.kind === 'salt' && WITH_SPICE.test(near)) return true;
  return out.some((m) => {
    if (m.step !== index) return false;
    const kin = m.food.kind === food.kind || (food.kind === 'oil' && FATS.has(m.food.kind));
    // "grease the tin with oil" was found by its name
    return kin && (food.kind === 'salt' || (m.span[0] < end + 30 && m.span[1] > start));
  });
}

/** Patterns without a food's name: a greased tin, salted water, "season to taste". */
function trapsIn(scan: Scan): void {
  const { index, text, lines, cover, servings, out } = scan;
  for (const trap of traps) {
    const food = foodById(trap.food);
    if (!food) continue;
    trap.regex.lastIndex = 0;
    for (let m = trap.regex.exec(text); m; m = trap.regex.exec(text)) {
      const start = m.index;
      const end = m.index + m[0].length;
      if (harmlessTrap(scan, m[0], start, end, food)) continue;
      const seasoning = trap.id === 'season' || trap.id === 'salt-verb';
      const listed =
        cover.kinds.has(food.kind) &&
        !trap.even &&
        (seasoning || (food.kind === 'oil' && lineIsFor(lines, /greas|brush|tin|tray|spray/i)));
      const scale = trap.perServing ? servings : 1;
      let grams = range(trap.grams[0] * scale, trap.grams[1] * scale, trap.grams[2] * scale);
      if (listed) {
        // the listed salt is what it is seasoned with; only tasting may add to it
        if (trap.id !== 'season' || !/\b(?:adjust|check|correct|taste|fix|again|to taste)\b/i.test(m[0]))
          continue;
        grams = range(0, 0, 0.5 * servings);
      }
      if (trap.even && out.some((o) => o.words === m?.[0])) continue;
      out.push({ step: index, span: [start, end], words: m[0], food, grams, why: trap.why });
    }
  }
}

/**
 * Foods that only the method names: a greased tin, salted water, "drizzle with olive oil", "a splash of
 * soy sauce". What an ingredient line already accounts for is left out, unless the step adds more of it.
 * Negations and comparisons ("no oil needed", "like melted butter") are no mentions.
 *
 * @param servings how many it feeds, for readings a plate
 */
export function readMethod(
  steps: readonly Stretch[],
  lines: readonly ReadLine[],
  title: string,
  servings: number,
): Mention[] {
  const cover = coverOf(lines, title);
  const out: Mention[] = [];
  steps.forEach(({ text }, index) => {
    const scan: Scan = { index, text, lines, cover, servings, out, taken: [] };
    namesIn(scan);
    trapsIn(scan);
  });
  return out;
}
