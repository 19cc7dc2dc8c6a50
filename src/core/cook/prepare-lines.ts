import { exact, range, scale, type Range } from '@/core/range/range';
import type { ReadLine } from '@/core/read/types';
import { minutesIn } from '@/core/step/facts';
import { LINE_TASKS, saysBought } from './knowledge';
import type { Task } from './task';

/** Minutes of a rule for so many grams. */
function minutesOf(rule: (typeof LINE_TASKS)[number]['rule'], grams: number): Range {
  if (rule.minutes) return range(...rule.minutes);
  const own = scale(range(...(rule.per100g ?? [0, 0, 0])), grams / 100);
  const [low, best, high] = rule.least ?? [0, 0, 0];
  return range(Math.max(low, own.low), Math.max(best, own.best), Math.max(high, own.high));
}

/** One thing that a line asks for. */
interface Asked {
  readonly rule: (typeof LINE_TASKS)[number]['rule'];
  readonly minutes: Range;
  /** The line says how long itself. */
  readonly said: boolean;
}

const DONE_WORDS = new Set(LINE_TASKS.flatMap(({ rule }) => rule.words.flatMap((w) => w.split(' '))));
const SMALL = new Set(['of', 'in', 'and', 'fine', 'raw']);
const NO_NAME = new Set(['all', 'each', 'both']);

/** A food's name without what is to be done to it: "chopped dates" are dates, "juice of 1 orange" is an orange. */
function nameOf(text: string): string {
  const plain = text.replace(/\bjuice$/, '').trim();
  const words = (plain || text)
    .split(' ')
    .filter((w) => !NO_NAME.has(w) && (!DONE_WORDS.has(w) || SMALL.has(w)));
  return words.join(' ') || text;
}

/** Where one thing that a line asks for ends. */
const ASKS = /[,;()]|\band then\b|\bthen\b/;
const ONLY_A_TIME =
  /^\s*(?:for |at least |about )*[\d½¼¾an][^a-z]*\s*(?:an? )?(?:minutes?|mins?|hours?|hrs?)\b/;
const CONDITION = /^\s+(?:if|unless|when)\b/;

/** Minutes that a line says beside what it asks for: "soaked for 2 hours", "pressed, 30 minutes". */
function saidIn(text: string, phrase: string): Range | null {
  const parts = text.split(ASKS);
  const at = parts.findIndex((p) => p.includes(phrase));
  const own = parts[at] ?? '';
  const next = parts[at + 1] ?? '';
  const said = own.slice(Math.max(0, own.indexOf(phrase)));
  const inside = /\d|\bhours?\b|\bhalf\b/.test(said) ? minutesIn(said) : null;
  return inside ?? (ONLY_A_TIME.test(next) ? minutesIn(next) : null);
}

const HANDS_BY_CUTTING = new Set(['fine', 'chop', 'grate', 'crush', 'peel', 'juice']);

/**
 * What a line asks for before it goes anywhere: "300 g red lentils, rinsed" is rinsed, "beans, soaked overnight" are put
 * to soak. One task for all the knife does, one for each wait.
 *
 * @param line  its place among the recipe's lines
 * @param done  deeds that the method tells of it itself
 * @param times how much more is made than the recipe says
 */
export function preparing(read: ReadLine, line: number, done: ReadonlySet<string>, times: number): Task[] {
  if (read.origin !== 'ingredients' || read.words === null) return [];
  const food = read.foods[0]?.food;
  if (!food) return [];
  const text = read.line.text.toLowerCase();
  const grams = (read.foods[0]?.grams?.best ?? 0) * times;
  const bought = saysBought(text) !== null;
  const found: Asked[] = [];
  const seen = new Set<string>();
  for (const { rule, in: says } of LINE_TASKS) {
    if (rule.kinds && !rule.kinds.includes(food.kind)) continue;
    // tins are bought chopped, nuts are bought toasted: only what the kitchen must do itself is done
    if (bought && (HANDS_BY_CUTTING.has(rule.id) || rule.id === 'toast')) continue;
    const ways = rule.say
      .toLowerCase()
      .split(' ')
      .filter((w) => w !== 'and' && w !== 'finely');
    const phrase = says(text);
    if (phrase === null || ways.some((w) => seen.has(w) || done.has(w))) continue;
    // "thawed if frozen": not where it is not
    if (CONDITION.test(text.slice(text.indexOf(phrase) + phrase.length))) continue;
    const said = rule.attention === 'hands' ? null : saidIn(text, phrase);
    if (rule['only-said'] && !said) continue;
    ways.forEach((w) => seen.add(w));
    found.push({ rule, minutes: said ?? minutesOf(rule, grams), said: said !== null });
  }
  const name = nameOf(read.foods[0]?.text ?? food.name.toLowerCase());
  const hands = found.filter((f) => f.rule.attention === 'hands');
  const waits = found.filter((f) => f.rule.attention !== 'hands');
  const waiting = ({ rule, minutes, said }: Asked, i: number, after: readonly Task[]): Task => ({
    id: `l${line}.w${i}`,
    step: null,
    line,
    text: [`${rule.say} the ${name}`, rule.then].filter(Boolean).join(' '),
    action: rule.say.toLowerCase(),
    minutes,
    said,
    attention: rule.attention,
    uses: rule.uses,
    celsius: null,
    after: after.map((t) => ({ id: t.id, least: 0, most: null })),
    optional: read.optional,
    holds: null,
    lines: [line],
    mentions: namedAt(line, `${rule.say} the `, name),
  });
  const out = waits.flatMap((w, i) => (w.rule['only-said'] ? [] : [waiting(w, i, [])]));
  if (hands.length > 0) {
    const minutes = hands.reduce<Range>(
      (sum, { minutes: m }) => range(sum.low + m.low, sum.best + m.best, sum.high + m.high),
      exact(0),
    );
    const verbs = hands.map((h, i) => (i === 0 ? h.rule.say : h.rule.say.toLowerCase()));
    // what is soaked is drained after it, what is thawed is cut after it
    out.push({
      id: `l${line}.0`,
      step: null,
      line,
      text: `${joined(verbs)} the ${name}`,
      action: (hands.at(-1)?.rule.say ?? '').toLowerCase().split(' ')[0] ?? 'prepare',
      minutes,
      said: false,
      attention: 'hands',
      uses: [],
      celsius: null,
      after: out.map((t) => ({ id: t.id, least: 0, most: null })),
      optional: read.optional,
      holds: null,
      lines: [line],
      mentions: namedAt(line, `${joined(verbs)} the `, name),
    });
  }
  // "shredded, left to stand 40 minutes": after the knife
  waits.forEach((w, i) => {
    if (w.rule['only-said']) out.push(waiting(w, i, out.slice(-1)));
  });
  return out;
}

/** The food of a line, behind the words before it. */
const namedAt = (line: number, before: string, name: string): Task['mentions'] => [
  { from: before.length, to: before.length + name.length, line, share: null, stated: false },
];

const joined = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;
