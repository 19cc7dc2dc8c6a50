import { amountOf } from '@/core/audit/audit';
import { recipeText } from '@/core/format/text';
import type { Larder } from '@/core/food/larder';
import { US_MEASURES, type MeasureSettings } from '@/core/measure/units';
import { exact, type Range } from '@/core/range/range';
import { scanOf } from '@/core/read/brought/brought';
import { otherMedium } from '@/core/read/brought/deeds';
import { FATS } from '@/core/read/brought/kinds';
import { mentionOf, type Mention } from '@/core/read/brought/mention';
import { foodsOf, type Scan, type Source } from '@/core/read/brought/scan';
import { readRecipe } from '@/core/read/read';
import { refersTo } from '@/core/read/refer';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import { parseRecipe } from '@/core/recipe/parse';
import type { ClauseSpan, Sentence } from '@/core/step/clauses';
import { factsOf, minutesIn } from '@/core/step/facts';
import { PREPOSITIONS, verbOf } from '@/core/step/lexicon';
import { isRemark } from '@/core/step/remark';
import { isOptional, verbNegated, type Polarity } from '@/core/step/polarity';
import type { Verb } from '@/core/step/schema';
import type { StepClause, StepFood, Steps } from './schema';

/** Deeds over heat whose medium is what the words say. */
const COOKS = new Set(['cook', 'bring', 'heat', 'soften', 'sweat', 'braise', 'soak']);
const UNTIL = new Set(['until', 'till']);
const SHARE =
  /\b(half|a third|one third|two[- ]thirds|a quarter|three[- ]quarters|½|⅓|⅔|¼|¾|(?:the )?(?:rest|remainder|remaining|last))\b(?: of)?(?: (?:the|your|this|that))?\s*$/i;
const PARTS: Readonly<Record<string, number>> = {
  half: 1 / 2,
  '½': 1 / 2,
  'a third': 1 / 3,
  'one third': 1 / 3,
  '⅓': 1 / 3,
  'two thirds': 2 / 3,
  '⅔': 2 / 3,
  'a quarter': 1 / 4,
  '¼': 1 / 4,
  'three quarters': 3 / 4,
  '¾': 3 / 4,
};
const BEFORE_WHAT = /^\s*before\b/i;
/** A time, and then another deed. */
const TIME_FIRST =
  /^[\s,;–—-]*(?:about |around |roughly |say |for |some )*(?:\d[\d./½¼¾ -]*|an? |half an |one |two |three |ten )(?:to \d+ )?\s*(?:minutes?|mins?|hours?|hrs?|h)\b(?: or so)?,?\s*(?=(?:and|then)\b)/i;
/** Deeds that let another one happen. */
const LETS = new Set(['let', 'leave', 'allow']);
/** Words of "and crisp", "or just tender". */
const MOST_STATE = 4;
/** Characters before a food's name in which its share is said. */
const BEFORE = 40;

const spanOf = (s: Sentence, from: number, to: number): [number, number] => [
  s.tokens[from]?.start ?? 0,
  s.tokens[to - 1]?.end ?? 0,
];

/** What of its line a mention takes: said in words before it; "the rest" is what earlier ones left. */
function shareOf(
  text: string,
  start: number,
  line: number | undefined,
  used: Map<number, number>,
): Range | null {
  if (line === undefined) return null;
  const said = SHARE.exec(text.slice(Math.max(0, start - BEFORE), start))?.[1]
    ?.toLowerCase()
    .replace('-', ' ');
  if (said === undefined) return null;
  const before = used.get(line) ?? 0;
  const part = PARTS[said] ?? (before > 0 ? 1 - before : undefined);
  if (part === undefined) return null;
  used.set(line, Math.min(1, before + part));
  return exact(part);
}

function foodOf(scan: Scan, source: Source, s: Sentence, m: Mention, used: Map<number, number>): StepFood {
  const lines = refersTo(m.food, m.words, m.definite, scan.cover, m.stated);
  const span = spanOf(s, m.phraseFrom, m.to);
  const share = shareOf(source.text, span[0], lines[0], used);
  const stated = m.stated ? m.read : null;
  const own = share && lines.length === 1 ? (scan.lines[lines[0] as number]?.foods[0]?.grams ?? null) : null;
  const part = share?.best ?? 1;
  // what a plain word is short for is what the list says it is
  const listed = lines.length === 1 ? (scan.lines[lines[0] as number]?.foods[0]?.food ?? null) : null;
  const food = listed ?? m.food;
  return {
    text: source.text.slice(...span),
    span,
    lines: [...lines],
    food: { id: food.id, name: food.name },
    amount: stated ? amountOf(stated) : null,
    grams:
      stated?.foods[0]?.grams ??
      (own ? { low: own.low * part, best: own.best * part, high: own.high * part } : null),
    share,
  };
}

/** What the food cooks in: the fat, water or stock that the clause names, or what its verb means. */
function mediumOf(
  s: Sentence,
  c: ClauseSpan,
  foods: readonly { readonly m: Mention; readonly polarity: Polarity }[],
): string | null {
  const verb = c.verb?.verb;
  const inOrWith = (m: Mention) =>
    s.tokens
      .slice(Math.max(c.from, m.phraseFrom - 3), m.phraseFrom)
      .some((t) => ['in', 'with', 'the'].includes(t.word));
  const does = foods.filter((f) => f.polarity === 'do').map((f) => f.m);
  const fat = does.find((m) => FATS.has(m.food.kind));
  if (fat && (verb?.fat || verb?.tools.length)) return fat.food.kind === 'oil' ? 'oil' : 'fat';
  // "dry-fry": the word before the deed is its medium, and nothing of the clause before
  const joined = s.tokens[c.verbAt]?.glued ? (s.tokens[c.verbAt - 1]?.word ?? '') : '';
  if (joined === 'dry' || joined === 'air') return 'dry';
  if (joined === 'water' || joined === 'stock') return joined;
  const words = s.tokens.flatMap((t, i) =>
    i >= c.from && i < c.to && !s.tokens[i + 1]?.glued ? [t.word] : [],
  );
  if (words.some((w) => w === 'dry' || w === 'nonstick' || w === 'ungreased')) return 'dry';
  const cooks =
    verb !== undefined &&
    (verb.fat !== null || verb.medium !== null || verb.heat !== null || COOKS.has(verb.id));
  const wet = !cooks
    ? undefined
    : does.find((m) => ['water', 'stock', 'plant-milk'].includes(m.food.kind) && inOrWith(m));
  if (wet) return wet.food.kind === 'plant-milk' ? 'milk' : wet.food.kind;
  const none = foods.some((f) => f.polarity === 'not' && FATS.has(f.m.food.kind));
  if (verb?.fat) return none ? 'dry' : otherMedium(s, c) ? (words.includes('water') ? 'water' : null) : 'oil';
  return verb?.medium ?? null;
}

function polarityOfClause(s: Sentence, c: ClauseSpan): Polarity {
  if (verbNegated(s, c)) return 'not';
  if (c.opener === 'if' || c.opener === 'unless' || isRemark(s, c)) return 'remark';
  if (
    s.label.some((t) => ['alternatively', 'or', 'alternative', 'substitute', 'substitution'].includes(t.word))
  )
    return 'alternative';
  // "(Or simmer 2 hours in an ordinary pan.)"
  if (s.clauses[0] === c && s.tokens.slice(s.from, c.to).find((t) => t.kind === 'word')?.word === 'or')
    return 'alternative';
  return isOptional(s, c) ? 'optional' : 'do';
}

/** The deed that waits: the last one told to do, not what is done meanwhile ("shaking once"). */
const lastDeed = (clauses: readonly StepClause[]): number => {
  const at = clauses.findLastIndex((c) => c.minutes !== null);
  return at >= 0 ? at : clauses.findLastIndex((c) => c.action !== null);
};

/** Whether the clause before ends in its deed: "and let | it wilt". */
const endsInDeed = (s: Sentence, c: ClauseSpan): boolean =>
  s.clauses.some((b) => b.to === c.from && b.verbAt === b.to - 1);

/** Whether a sentence goes on from the one before: "first rise: 1 hour", "stir in the kale; three minutes is plenty". */
const goesOn = (s: Sentence, text: string): boolean =>
  s.label.length > 0 || /;\s*$/.test(text.slice(0, s.tokens[s.from]?.start ?? 0));

/** "Let them cool": cooling. */
function whatIsLet(s: Sentence, c: ClauseSpan): Verb | undefined {
  if (!c.verb || !LETS.has(c.verb.verb.id)) return undefined;
  for (let i = c.verbAt + 1; i < Math.min(c.to, c.verbAt + MOST_BETWEEN); i += 1) {
    const { kind, word } = s.tokens[i] ?? { kind: 'mark', word: '' };
    if (kind !== 'word' || (PREPOSITIONS.has(word) && word !== 'to')) return undefined;
    const hit = verbOf(word);
    if (hit?.form === 'base' && i > c.verbAt + 1 && !s.named[i - s.from]) return hit.verb;
  }
  return undefined;
}
/** Words from "let" to what is let. */
const MOST_BETWEEN = 5;

/** @param told clauses of the sentences before it in its step; the last one's time may stand behind a colon */
function clausesOf(
  scan: Scan,
  source: Source,
  s: Sentence,
  used: Map<number, number>,
  told: StepClause[],
): StepClause[] {
  const out: StepClause[] = [];
  let waiting = -1;
  for (const c of s.clauses) {
    const span = spanOf(s, c.from, c.to);
    const text = source.text.slice(...span);
    // "until golden and crisp": the words that look like a deed are still what is waited for
    const stillUntil =
      waiting >= 0 && /^(?:and|or)$/.test(s.tokens[c.from]?.word ?? '') && c.to - c.from <= MOST_STATE;
    if ((c.opener !== null && UNTIL.has(c.opener)) || stillUntil) {
      const of = stillUntil ? waiting : lastDeed(out);
      const deed = out[of];
      if (deed) {
        const words = text.replace(/^\s*(?:or |and )?(?:until|till)\s+/i, '').replace(/[\s,;.]+$/, '');
        out[of] = {
          ...deed,
          until: stillUntil && deed.until ? `${deed.until} ${words}` : words,
          minutes: deed.minutes ?? factsOf(s, c, text).minutes,
        };
        waiting = of;
        continue;
      }
    }
    waiting = -1;
    const polarity = polarityOfClause(s, c);
    const foods = foodsOf(s, c).flatMap((n) => {
      const m = mentionOf(scan, source, s, c, n.from, n.to, n.id);
      // a negated deed leaves out all that it acts on
      return m ? [{ m, polarity: polarity === 'do' ? m.polarity : polarity }] : [];
    });
    const facts = factsOf(s, c, text);
    const verb = whatIsLet(s, c) ?? c.verb?.verb;
    const clause = (of: Polarity, at: [number, number], some: typeof foods): StepClause => ({
      span: at,
      action: verb?.id ?? null,
      polarity: of,
      foods: some.map(({ m }) => foodOf(scan, source, s, m, used)),
      medium: null,
      tools: [],
      celsius: null,
      heat: null,
      minutes: null,
      until: null,
      attention: facts.attention,
    });
    const own = foods.filter((f) => f.polarity === polarity);
    const medium = mediumOf(s, c, foods);
    const says =
      verb ?? facts.celsius ?? facts.minutes ?? facts.heat ?? (facts.tools.length > 0 || foods.length > 0);
    // "if you like", a comma: no deed of its own
    if (!says) continue;
    // "half an hour before eating cook the quinoa": when, not how long
    if (!verb && foods.length === 0 && facts.minutes && BEFORE_WHAT.test(source.text.slice(span[1])))
      continue;
    // "until golden, 10 minutes", "first rise: 1 hour somewhere warm": the time of the deed before it
    const before = out.at(-1) ?? (goesOn(s, source.text) ? told.at(-1) : undefined);
    const lasts = (minutes: Range) => {
      if (!before) return;
      if (out.length > 0) out[out.length - 1] = { ...before, minutes };
      else told[told.length - 1] = { ...before, minutes, span: [before.span[0], span[1]] };
    };
    if (!verb && facts.minutes && foods.length === 0 && before?.action && !before.minutes) {
      lasts(facts.minutes);
      continue;
    }
    // "let them cool, about 20 min, and rub the skins off": the time stands before its own comma
    const ahead = before?.action && !before.minutes ? TIME_FIRST.exec(text)?.[0] : undefined;
    const time = ahead === undefined ? null : minutesIn(ahead);
    if (ahead !== undefined && time) {
      lasts(time);
      const from = span[0] + ahead.length;
      out.push({
        ...clause(polarity, [from, span[1]], own),
        ...factsOf(s, c, source.text.slice(from, span[1])),
        medium,
      });
      continue;
    }
    // "let it wilt for 2 minutes": what is let is done
    const lets = out.at(-1);
    if (verb && lets?.action && LETS.has(lets.action) && !lets.minutes && endsInDeed(s, c)) {
      out[out.length - 1] = {
        ...clause(polarity, [lets.span[0], span[1]], own),
        ...facts,
        foods: [...lets.foods, ...own.map(({ m }) => foodOf(scan, source, s, m, used))],
        medium,
        tools: [...new Set([...lets.tools, ...facts.tools])],
      };
      continue;
    }
    out.push({ ...clause(polarity, span, own), ...facts, medium });
    // "fry the onions without oil": what is said of a food otherwise than of the deed stands beside it
    for (const f of foods)
      if (f.polarity !== polarity) out.push(clause(f.polarity, spanOf(s, f.m.phraseFrom, f.m.to), [f]));
  }
  return out;
}

/** The steps of a recipe with what each clause does: by the same parse that its audit rests on. */
export function stepsOf(read: ReadRecipe, settings: ReadSettings): Steps['recipes'][number]['steps'] {
  const lines = read.lines.filter((l) => l.origin === 'ingredients');
  const scan = scanOf(read.recipe, lines, settings, read.servings);
  const used = new Map<number, number>();
  const steps = read.recipe.steps.map(({ text }) => ({ text, clauses: [] as StepClause[] }));
  for (const { source, sentence } of scan.sentences)
    if (source.step !== null) {
      const told = steps[source.step]?.clauses ?? [];
      told.push(...clausesOf(scan, source, sentence, used, told));
    }
  return steps;
}

export type TextSteps =
  | { readonly ok: true; readonly recipes: Steps['recipes'] }
  | { readonly ok: false; readonly message: string };

/** From a file's text to its steps. */
export function textSteps(
  text: string,
  source: string,
  options: { readonly measures?: MeasureSettings; readonly larder?: Larder | undefined } = {},
): TextSteps {
  const plain = recipeText(text);
  if (!plain.ok) return plain;
  const settings: ReadSettings = {
    measures: options.measures ?? US_MEASURES,
    corrections: {},
    larder: options.larder,
  };
  return {
    ok: true,
    recipes: plain.recipes.map((words) => {
      const read = readRecipe(parseRecipe(words), settings);
      return { source, title: read.recipe.title, steps: stepsOf(read, settings) };
    }),
  };
}
