import rawMethod from '@content/compiled/method.json';
import { foodById, FOODS, type Food } from '@/core/food/table';
import { normalWord, tokens } from '@/core/food/tokens';
import { unsaid, weigh } from '@/core/food/weigh';
import { US_MEASURES } from '@/core/measure/units';
import { remember } from '@/core/memo';
import { range, type Range } from '@/core/range/range';
import { readLineWords } from '@/core/recipe/line';
import type { Stretch } from '@/core/recipe/parse';
import type { MethodFile } from '@/core/swap/schema';
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
const NEGATION = new RegExp(
  `(?:^|[^a-z])(?:${method.negations.map((n) => n.replace(/'/g, "['’]")).join('|')})(?![a-z])`,
  'i',
);
const MORE = new RegExp(`\\b(?:${method.more.join('|')})\\b`, 'i');
const FREE_AFTER = /^[- ]?free\b/i;

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
const tokenSet = remember((text: string): ReadonlySet<string> => new Set(tokens(text)));

/** Where the clause that holds a place begins. */
function clauseStart(text: string, at: number): number {
  for (let i = at - 1; i >= 0; i -= 1) {
    const c = text[i] as string;
    if (c === '.' && /\d/.test(text[i + 1] ?? '')) continue;
    if ('.;:!?,'.includes(c) || (c === '-' && text[i - 1] === ' ')) return i + 1;
    if (text.slice(i, at).startsWith(' but ') || text.slice(i, at).startsWith(' then ')) return i + 1;
  }
  return 0;
}

function negated(text: string, start: number, end: number): boolean {
  if (FREE_AFTER.test(text.slice(end))) return true;
  const clause = text.slice(clauseStart(text, start), start);
  const m = NEGATION.exec(clause);
  if (!m) {
    // "instead of the butter, oil or cream": a list after the negation, cut by its commas
    const listed = /(?:instead of|rather than|without|no)\s+(?:[\w' -]+,\s*)+(?:and |or )?[\w' -]*$/i.exec(
      text.slice(0, start),
    );
    return (
      listed !== null &&
      !/[.;!?]/.test(listed[0]) &&
      !/,\s*(?:add|use|stir|heat|pour|toss|drizzle|season|sprinkle|then|fry|mix|whisk|put|cook)\b/i.test(
        listed[0],
      )
    );
  }
  const between = clause.slice(m.index + m[0].length);
  if (
    /^\s*(?:longer|need|more than|time|problem|matter|worr|too|until|one|only|just|forget|be shy|skimp|hesitate|stint|be afraid)/i.test(
      between,
    ) &&
    !/^\s*need (?:for|to add)/i.test(between)
  )
    return false;
  return between.split(/\s+/).length <= 8;
}

interface Cover {
  readonly ids: ReadonlySet<string>;
  readonly kinds: ReadonlySet<string>;
  readonly lines: readonly ReadonlySet<string>[];
  readonly headings: readonly ReadonlySet<string>[];
}

function coverOf(lines: readonly ReadLine[], title: string): Cover {
  const ids = new Set<string>();
  const kinds = new Set<string>();
  const headings = new Set<string>([title]);
  for (const line of lines) {
    if (line.line.section) headings.add(line.line.section);
    for (const f of [...line.foods, ...line.alternatives]) {
      if (!f.food) continue;
      ids.add(f.food.id);
      kinds.add(f.food.kind);
      for (const might of f.might) ids.add(might.id);
    }
  }
  return {
    ids,
    kinds,
    lines: lines.map((l) => tokenSet(l.line.text)),
    headings: [...headings].map(tokenSet),
  };
}

/** First words that describe many foods, so sharing one says nothing. */
const DESCRIBES = new Set([
  'vegan',
  'plant',
  'plantbased',
  'nondairy',
  'unsweetened',
  'sweetened',
  'vegetable',
  'salted',
  'unsalted',
  'lowsalt',
  'dark',
  'light',
  'double',
  'fresh',
]);

const GENERIC = new Set([
  'oil',
  'salt',
  'sugar',
  'syrup',
  'nut',
  'seed',
  'stock',
  'sweetener',
  'butter',
  'milk',
  'cream',
  'cheese',
  'wine',
  'beer',
  'soy',
  'miso',
]);

function covered(food: Food, words: readonly string[], cover: Cover): boolean {
  if (cover.ids.has(food.id)) return true;
  const last = words.at(-1) ?? '';
  if (words.length === 1) {
    if (GENERIC.has(last) && cover.kinds.has(food.kind)) return true;
    return cover.lines.some((l) => l.has(last)) && food.kind !== 'oil';
  }
  const holds = (set: ReadonlySet<string>) => words.every((w) => set.has(w));
  if (cover.lines.some(holds)) return true;
  // "the cashew cream" of a section that has the name
  if (
    food.kind !== 'oil' &&
    food.kind !== 'salt' &&
    (cover.headings.some(holds) ||
      (!DESCRIBES.has(words[0] ?? '') &&
        cover.lines.some((l) => l.has(words[0] ?? '')) &&
        ['plant-dairy', 'nut-butter', 'stock', 'plant-milk', 'nut', 'coconut'].includes(food.kind)))
  )
    return true;
  return false;
}

/** "a drizzle of", "2 tbsp": the amount in the words just before a mention. */
function amountBefore(
  text: string,
  start: number,
  end: number,
  food: Food,
): { grams: Range; why: string } | null {
  const from = Math.max(clauseStart(text, start), start - 48);
  const before = text.slice(from, start);
  const m =
    /(?:(?:about |around |another |an? extra |a further |the remaining |remaining |extra )?(?:\d[\d\s/.,½⅓⅔¼¾⅛–-]*|an? (?:good |generous |small |little |big |large |heaped |scant |few )?|one |two |three |half an? |a couple of )\s*(?:more |extra )?(?:[a-zA-Z.]+\s+)?(?:of )?(?:the |your |good |extra |more )*(?:[a-z-]+ )?)$/i.exec(
      before,
    );
  if (!m) return null;
  const phrase =
    `${m[0].replace(/\b(?:another|extra|further|the remaining|remaining|more|the|your)\b/gi, ' ')} ${text.slice(start, end)}`
      .replace(/\s+/g, ' ')
      .trim();
  const words = readLineWords(phrase).foods[0];
  if (!words || !words.measures.some((x) => x.unit)) return null;
  const weighed = weigh(words, food, US_MEASURES);
  return weighed ? { grams: weighed.grams, why: `“${m[0].trim()}”: ${weighed.readings.join('; ')}` } : null;
}

function readingOf(
  text: string,
  start: number,
  end: number,
  food: Food,
  servings: number,
): { grams: Range; why: string } | null {
  const amount = amountBefore(text, start, end, food);
  if (amount) return amount;
  if (food.kind === 'oil' || food.kind === 'solid-fat' || food.kind === 'animal-fat') {
    const clause = text.slice(clauseStart(text, start), end);
    const which = /\b(?:grease|greas|brush|wipe|line|coat|spray|rub)/i.test(clause)
      ? 'oil-grease'
      : /\b(?:drizzl|finish|trickle)/i.test(clause)
        ? 'oil-drizzle'
        : 'oil';
    const rule = method.amounts[which];
    return rule ? { grams: range(...rule.grams), why: `no amount: ${rule.why}` } : null;
  }
  const guess = unsaid(food, null, servings);
  return guess ? { grams: guess.grams, why: guess.readings.join('; ') } : null;
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
  steps.forEach((step, index) => {
    const { text } = step;
    const taken: [number, number][] = [];
    const free = (start: number, end: number) => taken.every(([a, b]) => end <= a || start >= b);
    const words = wordsOf(text);
    for (let i = 0; i < words.length; i += 1) {
      for (let n = Math.min(longest, words.length - i); n >= 1; n -= 1) {
        const part = words.slice(i, i + n);
        const key = part.map((w) => w.token).join(' ');
        const food = names.get(key);
        if (!food) continue;
        const start = (part[0] as Word).start;
        const end = (part.at(-1) as Word).end;
        const asWritten = text.slice(start, end);
        // words of one name stand together
        if (n > 1 && /[.,;:()]/.test(asWritten)) continue;
        if (n === 1 && isVerb(text, start, end, key)) break;
        if (n === 1 && SINGLE_SKIP.has(key) && !STILL.has(key)) break;
        const next = words[i + n];
        // "cocoa butter", "oil-free", "salt-baked", "sugar snap": the next word makes another thing of it
        if (n === 1 && next && text[end] === '-' && !/^free/.test(text.slice(end + 1))) break;
        if (n === 1 && next && ['snap', 'pan', 'thermometer', 'bath', 'cod'].includes(next.token)) break;
        taken.push([start, end]);
        i += n - 1;
        if (negated(text, start, end)) break;
        // "the cream from the top of the can" is part of what the list holds
        if (
          /^\s*(?:from|in|at) (?:the )?(?:top of )?(?:the )?(?:can|tin|jar|block|packet)\b/i.test(
            text.slice(end),
          )
        )
          break;
        const tokensOf = part.map((w) => w.token);
        if (covered(food, tokensOf, cover)) {
          const clause = text.slice(clauseStart(text, start), end + 12);
          const extra = MORE.test(clause) || /\bto taste\b/i.test(text.slice(end, end + 12));
          if (
            openEnded(lines, food.kind) ||
            !extra ||
            !['oil', 'salt', 'salty', 'sugar', 'syrup', 'solid-fat'].includes(food.kind)
          )
            break;
          if (out.some((m) => m.food.kind === food.kind && m.step === index)) break;
          const reading = readingOf(text, start, end, food, servings);
          if (reading) {
            const certain =
              /\b(?:extra|another|additional|further)\b/i.test(clause) &&
              !/\bif\b|needed|to taste/i.test(clause);
            const grams = certain ? reading.grams : range(0, 0, reading.grams.high);
            out.push({
              step: index,
              span: [start, end],
              words: asWritten,
              food,
              grams,
              why: `more than the list says; ${reading.why}`,
            });
          }
          break;
        }
        if (out.some((m) => m.food.id === food.id && !m.words.includes('grease'))) break;
        const reading = readingOf(text, start, end, food, servings);
        const ifYouLike = /\bif (?:you )?(?:like|want|wish|liked|desired)\b|\boptional/i.test(
          text.slice(end, end + 40),
        );
        const grams =
          reading && ifYouLike ? range(0, reading.grams.best, reading.grams.high) : (reading?.grams ?? null);
        out.push({
          step: index,
          span: [start, end],
          words: asWritten,
          food,
          grams,
          why: reading?.why ?? 'no amount is said',
        });
        break;
      }
    }
    for (const trap of traps) {
      trap.regex.lastIndex = 0;
      for (let m = trap.regex.exec(text); m; m = trap.regex.exec(text)) {
        const start = m.index;
        const end = m.index + m[0].length;
        const food = foodById(trap.food);
        if (!food || negated(text, start, start + 1)) continue;
        if (/\b(?:no|without|dry)\b/i.test(m[0])) continue;
        // "coconut oil in a wide pan": the oil is a thing there, and found by its name
        if (!free(start, start + 1)) continue;
        // the words "grease … with oil" were found by name already
        if (
          !free(start, end) &&
          out.some(
            (o) =>
              o.step === index &&
              (o.food.kind === food.kind || o.food.kind === 'animal-fat' || o.food.kind === 'solid-fat') &&
              o.span[0] < end &&
              o.span[1] > start,
          )
        )
          continue;
        const near = text.slice(end, end + 40);
        if (
          food.kind === 'oil' &&
          /^\s*(?:[^.;,]{0,20})\bwith (?:a (?:little |few )?)?(?:water|stock|parchment|baking paper|aquafaba|lemon|vinegar|milk|foil|the marinade)/i.test(
            near,
          )
        )
          continue;
        if (
          food.kind === 'salt' &&
          /^\s*with (?:the |some |plenty of |a little )?(?:[a-z]+ )?(?:pepper|lemon|lime|vinegar|paprika|herbs|spice|cumin|chilli)(?!.{0,12}\bsalt\b)/i.test(
            near,
          )
        )
          continue;
        // a step that names the listed oil beside the greasing uses that; a bare greasing adds to it
        if (
          out.some(
            (o) =>
              o.food.kind === food.kind &&
              (food.kind === 'salt'
                ? o.step === index
                : o.step === index && o.span[0] < end + 30 && o.span[1] > start),
          )
        )
          continue;
        const listed = cover.kinds.has(food.kind);
        const listedTrap =
          listed &&
          !trap.even &&
          (trap.id === 'season' ||
            trap.id === 'salt-verb' ||
            (food.kind === 'oil' && lineIsFor(lines, /greas|brush|tin|tray|spray/i)));
        const scale = trap.perServing ? servings : 1;
        let grams = range(trap.grams[0] * scale, trap.grams[1] * scale, trap.grams[2] * scale);
        if (listedTrap) {
          if (trap.id !== 'season' || !/\b(?:adjust|check|correct|taste|fix|again|to taste)\b/i.test(m[0]))
            continue;
          grams = range(0, 0, 0.5 * servings);
        }
        if (trap.even && out.some((o) => o.words === m?.[0])) continue;
        out.push({ step: index, span: [start, end], words: m[0], food, grams, why: trap.why });
      }
    }
  });
  return out;
}

/** A line of this kind without a fixed amount leaves room for any "more" already. */
const openEnded = (lines: readonly ReadLine[], kind: string) =>
  lines.some(
    (l) =>
      (l.toTaste && l.foods.some((f) => f.food?.kind === kind)) ||
      l.foods.some((f) => f.food?.kind === kind && f.readings.some((r) => r.startsWith('no amount'))),
  );

const lineIsFor = (lines: readonly ReadLine[], pattern: RegExp) =>
  lines.some((l) => l.foods.some((f) => f.food?.kind === 'oil') && pattern.test(l.line.text));

/** "Oil the tin", "salt the water", "butter two slices": the word is what is done, not the food. */
function isVerb(text: string, start: number, end: number, word: string): boolean {
  if (!['oil', 'salt', 'butter', 'sugar', 'stock', 'cream', 'nut', 'seed', 'honey', 'ice'].includes(word))
    return false;
  const after = text.slice(end, end + 14);
  const before = text.slice(Math.max(0, start - 14), start);
  if (/\b(?:the|some|a|little|of|with|in|more|olive|remaining|extra|no|without|hot|and)\s*$/i.test(before))
    return false;
  return (
    /^\s+(?:the|a|an|your|it|them|two|each|generously|lightly|well)\b/i.test(after) &&
    (start === 0 || /(?:[.;,:]|\band|\bthen|\blightly|\bgenerously|\bwell|\bto)\s*$/i.test(before))
  );
}
