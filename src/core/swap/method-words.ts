import { escapePattern } from '@/core/escape';
import type { ReadLine, ReadRecipe } from '@/core/read/types';
import { verbOf } from '@/core/step/lexicon';
import { isDeed, withoutBareDeeds, withoutSentence } from './clause';
import { letGo } from './let-go';

/** Article, amount and measure before a mention: "2 tbsp of the", "a little extra", "half the". */
const LEAD =
  /(?:\d[\d.]*\s?(?:g|kg|ml|oz)\s+(?:of\s+)?)?(?:(?:an?|(?<![a-z.])\d[\d/½¼¾⅓⅔–-]*(?:\.\d+)?|one|two|three|four|half|most|all)\s+)?(?:of\s+(?=the\s+(?:\w*spoon|cup)))?(?:(?:the|little|good|generous|extra|further|another)\s+)*(?:(?:spoons?|spoonfuls?|few drops|drops?|dollop|blob|handful|knob|squeeze|drizzle|splash|glug|pinch|dash|tbsp|tsp|tablespoons?|teaspoons?|cups?|cm|inch(?:es)?|half|most|all|some|rest|remainder|last)\s+(?:of\s+)?)*(?:(?:the|some|an?|your|more|extra|remaining|good|little)\s+)*$/i;

/** The one word by which a method calls a food of these kinds. */
const CALLED: Readonly<Record<string, readonly string[]>> = {
  'solid-fat': ['butter', 'margarine', 'spread'],
  'animal-fat': ['butter'],
  'plant-milk': ['milk'],
  'meat-stand-in': ['mince'],
};

/** Nouns that a method says of much else: "make the sauce", "stir to a paste". */
const LOOSE = new Set([
  'sauce',
  'juice',
  'paste',
  'powder',
  'seed',
  'leave',
  'cream',
  'milk',
  'mix',
  'spread',
  'dressing',
]);

const singular = (word: string): string => word.replace(/(?:ies|es|s)$/, (e) => (e === 'ies' ? 'y' : ''));

const CHEESE = /cheese|cheddar|parmesan|mozzarella|feta|gouda|gruy|block/i;

/** Of these, what a cook also makes herself: "the paste" may be one just stirred together. */
const MADE = new Set(['sauce', 'paste', 'powder', 'mix', 'dressing', 'spread', 'juice']);

const tokensOf = (words: string): string[] =>
  words
    .toLowerCase()
    .split(/[^a-zà-ÿ]+/)
    .map(singular);

/** The noun of a food's words: "oil" of "peanut oil". */
const nounOf = (words: string): string => singular(words.split(' ').at(-1) ?? '');

/** What a method calls a food. */
export interface Names {
  readonly words: readonly string[];
  /** Words that may stand before the bare noun and are its own: "fine" of the fine sea salt. */
  readonly own?: readonly string[];
  /** Words before the bare noun that make it another line's: "sesame" before "oil". */
  readonly notAfter: readonly string[];
}

/** Words that name a line's food in the method: its own, or the one word that no other line shares. */
export function namesFor(line: ReadLine, read: Pick<ReadRecipe, 'lines' | 'steps'>): Names {
  const food = line.foods[0]?.food;
  const own =
    line.foods[0]?.text
      .replace(/^(?:fresh|freshly|extra[- ]virgin|light|good|raw|ground|toasted|chopped|flaked)\s+/g, '')
      // "salt in the water" is called salt
      .replace(
        /\s+(?:(?:in|for|from|on|at|to)\s+(?:the|a|your|each)\s.*|on top|to (?:serve|finish|garnish|taste|top))$/,
        '',
      )
      .trim() ?? '';
  // "kala namak (black salt)": called by either
  const also = [...line.line.text.matchAll(/\(([a-z][a-z -]{2,24})\)/gi)].map((m) =>
    (m[1] ?? '').toLowerCase(),
  );
  const others = read.lines.filter((l) => l !== line && l.origin === 'ingredients').flatMap((l) => l.foods);
  const method = read.steps.map((s) => s.text.toLowerCase()).join(' ');
  const sameKind = others.some((f) => f.food?.kind === food?.kind);
  const sharesNoun = others.some((f) => tokensOf(f.text).includes(nounOf(own)));
  const makesIt = new RegExp(
    `\\b(?:make|for|into|whisk|blend|to)(?: the| a)? ${escapePattern(nounOf(own))}`,
  ).test(method);
  const noun = nounOf(own);
  const kin = others.filter((f) => nounOf(f.text) === noun);
  // "beans" alone may be those of another line, unless that one is called by its whole name
  const shared = kin.some((f) => !f.text.includes(' ') || !method.includes(f.text));
  const names = new Set<string>();
  // "salt" of the sauce, and "sea salt" of the pot: the bare word may be either
  if (own && !(shared && !own.includes(' '))) names.add(own);
  for (const n of [food?.name.toLowerCase() ?? '', ...(food?.names ?? [])])
    if (n && n.includes(' ') && (own === n || own.endsWith(` ${n}`))) names.add(n);
  for (const name of also)
    if (nounOf(name) === noun || /salt|oil|milk|sugar|flour|sauce/.test(name)) names.add(name);
  const last = own.split(' ').at(-1) ?? '';
  // "crème fraîche" of the oat crème fraîche
  const pair = own.split(' ').slice(-2).join(' ');
  if (own.split(' ').length > 2 && !others.some((f) => f.text.endsWith(pair))) names.add(pair);
  // "the sauce" of a section so named is the whole of it
  // "all the sauce", "the rest of the sauce": the whole of it too
  const wholePart =
    read.lines.some((l) => tokensOf(l.line.section ?? '').includes(noun)) ||
    new RegExp(`\\b(?:all|half|rest|most|third|quarter) (?:of )?the ${escapePattern(noun)}\\b`).test(method);
  if (
    !shared &&
    last.length > 2 &&
    !((sharesNoun || wholePart || makesIt || (sameKind && !MADE.has(noun))) && LOOSE.has(noun))
  )
    names.add(last);
  // "soy" for soy sauce, "chia" for chia seeds, "maple" for the syrup
  const first = /^([a-z]{3,}) (?:seeds|sauce|syrup|paste|purée|puree|powder|sugar)$/.exec(own)?.[1];
  if (first && !read.lines.some((l) => l !== line && l.line.text.toLowerCase().includes(first)))
    names.add(first);
  if (!sameKind) for (const word of CALLED[food?.kind ?? ''] ?? []) names.add(word);
  if (!sameKind && food?.kind === 'plant-dairy' && CHEESE.test(`${food.name} ${own}`)) names.add('cheese');
  return {
    words: [...names].filter(Boolean).sort((a, b) => b.length - a.length),
    own: own.split(' ').slice(0, -1),
    notAfter: kin.flatMap((f) => f.text.split(' ').slice(0, -1)),
  };
}

/** Finds a food's names in a step; null without names. */
function patternOf({ words, notAfter, own: mine = [] }: Names): RegExp | null {
  if (words.length === 0) return null;
  const described = words.filter((n) => n.includes(' ')).flatMap((n) => n.split(' ').slice(0, -1));
  const any = words.map((n) => {
    const plain = escapePattern(n).replace(/s$/, 's?');
    // "the paste", "curry paste"; not the paste of something else
    return MADE.has(singular(n)) && described.length > 0
      ? `(?<=\\b(?:the|that|this|your|all|its|of|remaining|and|with|${described.map(escapePattern).join('|')})\\s+)${plain}`
      : plain;
  });
  const own = notAfter.filter((w) => !words.some((n) => n.startsWith(`${w} `)));
  const before = mine.length > 0 ? `(?:\\b(?:${mine.map(escapePattern).join('|')})\\s+)*` : '';
  return new RegExp(
    `${before}${own.map((w) => `(?<!\\b${escapePattern(w)}[ -])`).join('')}\\b(?:${any.join('|')})\\b(?![- ]free)(?! (?:oil|milk|butter|powder|flour|sauce|paste|seeds?|vinegar|syrup)\\b)`,
    'gi',
  );
}

/** What a food is like as it goes in; the first ones hold for what stands in too. */
const STATE = /\b(?:(warm|hot|cold|chilled|toasted)|soaked|melted|crumbled|softened|drained)\s+$/i;

/** How somebody writes who begins her sentences small. */
const SMALL = /^\p{Ll}/u;

/** Puts words in place of a stretch and of the article and amount before it. */
export function replaceSpan(text: string, start: number, end: number, word: string, withLead = true): string {
  // water that is no more salted
  const salted = /\bwater\b/.test(word)
    ? (/\b(?:(?:well|lightly)[- ])?(?:salty|salted|briny)\s+$/i.exec(text.slice(0, start))?.[0].length ?? 0)
    : 0;
  if (salted > 0)
    return replaceSpan(
      text.slice(0, start - salted) + text.slice(start),
      start - salted,
      end - salted,
      word,
      withLead,
    );
  const said = text.slice(0, start);
  // "with warm naan" stays warm, "the soaked cashews" leave their soaking behind
  const state = STATE.exec(said);
  if (withLead && state && /^the /.test(word)) {
    const at = state.index - (LEAD.exec(text.slice(0, state.index))?.[0].length ?? 0);
    const put = state[1] ? `the ${state[1].toLowerCase()} ${word.slice(4)}` : word;
    const bare = state[1] && at === state.index ? put.slice(4) : put;
    return replaceSpan(`${text.slice(0, at)}${text.slice(start)}`, at, at + end - start, bare, false);
  }
  const lead = withLead ? (LEAD.exec(said)?.[0].length ?? 0) : 0;
  const from = start - lead;
  // "melt a spoonful of water": what does not melt is heated
  const melts = /\bmelt\s+$/i.exec(text.slice(0, from))?.[0];
  if (melts && /\b(?:water|stock|vinegar|juice|wine|aquafaba)\b/.test(word)) {
    const heat = melts.startsWith('M') ? 'Heat ' : 'heat ';
    return text.slice(0, from - melts.length) + heat + word + text.slice(end);
  }
  const opens = /(?:^|[.!?]\s+|\n\s*(?:\d+[.)]\s*|[-*]\s+)?)$/.test(text.slice(0, from));
  // behind a colon as its cook had it
  const sentence =
    (opens && !SMALL.test(text.slice(from))) ||
    (/:\s+$/.test(text.slice(0, from)) && /^\p{Lu}/u.test(text.slice(from)));
  const put = sentence ? word.charAt(0).toUpperCase() + word.slice(1) : word;
  return text.slice(0, from) + put + text.slice(end);
}

/** "the yoghurt or the yoghurt" is the yoghurt. */
export function once(text: string, word: string): string {
  const escaped = escapePattern(word);
  return text.replace(new RegExp(`(\\b${escaped})(?:\\s*,\\s*|\\s+(?:or|and)\\s+)${escaped}\\b`, 'gi'), '$1');
}

/** True where a name is what is done: "Spread over the filling", "Oil a tin". */
const isDone = (text: string, start: number, end: number): boolean =>
  isDeed(text, start) && /^\s+(?:\w|\d)/.test(text.slice(end)) && !isSalting(text, start, end);

/** True where "Salt." or "Salt to taste." is a whole sentence: something to do. */
export const isSalting = (text: string, start: number, end: number): boolean =>
  /(?:^|[.;:]\s+)$/.test(text.slice(0, start)) &&
  /^(?:\s+(?:to taste|well|generously|lightly|again))?\s*(?:[.;,!]|$)/i.test(text.slice(end)) &&
  /^salt$/i.test(text.slice(start, end));

/** First character of a stretch, and behind its last. */
export type Span = readonly [number, number];

/** Where a step speaks of a food: by its names, and where the parse says so; from the last to the first. */
function placesOf(
  step: string,
  names: Names,
  told: readonly Span[],
  asides: readonly Span[],
): [number, number][] {
  const pattern = patternOf(names);
  const found = pattern
    ? [...step.matchAll(pattern)].map((m): [number, number] => [m.index, m.index + m[0].length])
    : [];
  for (const [start, end] of told)
    if (!found.some(([a, b]) => a < end && start < b)) found.push([start, end]);
  const isAside = (a: number, b: number) => asides.some(([x, y]) => a < y && x < b);
  return found.filter(([a, b]) => !isDone(step, a, b) && !isAside(a, b)).sort((x, y) => y[0] - x[0]);
}

/** A text without its "Salt to taste." */
const withoutSalting = (text: string, start: number): string =>
  text.slice(0, start) +
  text.slice(start).replace(/^salt(?:\s+(?:to taste|well|generously|lightly|again))?\s*(?:[.;,!]\s*|$)/i, '');

/** A step in which a food is spoken of together with what now goes beside it: "the potato and cauliflower"; null where it names none. */
export function joined(
  step: string,
  names: Names,
  other: string,
  told: readonly Span[] = [],
  asides: readonly Span[] = [],
): string | null {
  const first = placesOf(step, names, told, asides).at(-1);
  if (!first) return null;
  const said = agreeing(step, first[0], first[1], `both and ${other}`);
  return `${said.slice(0, first[1])} and ${other}${said.slice(first[1])}`;
}

const SEASON = /\b(season)(?=(?:\s+(?:well|generously|lightly|again|to taste))*\s*(?:[.;!]|$))/gi;

/** "Season." says with what, once it is no more salt. */
export const seasonedWith = (step: string, word: string): string => step.replace(SEASON, `$1 with ${word}`);

const IS_SERVING = /\b(?:is|are|makes) (?:a|one) (?:serving|portion|plate|helping)\b/i;
/** The sentence around a place of a text. */
const sentenceAround = (text: string, at: number): string => {
  const from = Math.max(text.lastIndexOf('. ', at), text.lastIndexOf('\n', at));
  return text.slice(from + 1, sentenceEnd(text, at));
};

const REFUSED = /\b(?:no(?: more| extra)?|without(?: any)?|not(?: any)?)\s+$/i;

const AS_MANY: Readonly<Record<string, string>> = {
  goes: 'go',
  is: 'are',
  was: 'were',
  gets: 'get',
  does: 'do',
  has: 'have',
  comes: 'come',
};
const AS_ONE = Object.fromEntries(Object.entries(AS_MANY).map(([one, many]) => [many, one]));
const isMany = (words: string): boolean =>
  / and /.test(words) || (/[^s]s$/.test(words) && !/(?:ss|us|is)$/.test(words));
/** "The pastry goes soggy": what stands in goes, or go. */
function agreeing(text: string, start: number, end: number, word: string): string {
  const [was, now] = [isMany(text.slice(start, end)), isMany(word)];
  const said = withoutContraction(text, end, word);
  if (was === now) return said;
  const behind = said.slice(end).replace(/^(\s+)(\p{L}+)\b/u, (all, gap: string, verb: string) => {
    const many = AS_MANY[verb] ?? (verbOf(verb)?.form === 's' ? verb.slice(0, -1) : undefined);
    const form = now ? many : AS_ONE[verb];
    return form ? gap + form : all;
  });
  return said.slice(0, end) + behind;
}

/** "The avocado's for whoever wants it": what stands in is, or are. */
const withoutContraction = (text: string, end: number, word: string): string =>
  text.slice(0, end) +
  text
    .slice(end)
    .replace(
      /^['’]s(?=\s+(?:for|in|on|not|optional|the|a|an|to|what|there|always|only|just|best|too)\b)/,
      /[^s]s$/.test(word) ? ' are' : ' is',
    );

/**
 * A step in which a food goes by another's words.
 *
 * @param told further places that name it, by the parse
 * @param asides places that speak of something else
 */
export function renamed(
  step: string,
  names: Names,
  word: string,
  told: readonly Span[] = [],
  asides: readonly Span[] = [],
): string {
  let text = step;
  // from the last to the first, so that places stay true
  for (const [start, end] of placesOf(step, names, told, asides)) {
    // "no more oil": it says that none goes in, and goes on saying so
    if (REFUSED.test(text.slice(Math.max(0, start - 20), start))) continue;
    // "one burger one bun is a serving": how many are eaten
    if (IS_SERVING.test(sentenceAround(text, start))) continue;
    // "the stock" is the stock still
    if (text.slice(start, end).toLowerCase() === word.replace(/^the /, '')) continue;
    const put = isSalting(text, start, end) ? `add ${word}` : word;
    text = replaceSpan(agreeing(text, start, end, word), start, end, put);
  }
  return once(text, word);
}

/**
 * A step in which a food is no longer named; "no X" where its sentence cannot do without.
 *
 * @param told further places that name it, by the parse
 * @param asides places that speak of something else
 */
export function without(
  step: string,
  names: Names,
  told: readonly Span[] = [],
  asides: readonly Span[] = [],
): string {
  let text = step;
  for (const [start, end] of placesOf(step, names, told, asides)) {
    const name = text.slice(start, end);
    const next = isSalting(text, start, end) ? withoutSalting(text, start) : letGo(text, start, end);
    const gone = next === null || next === text ? withoutSentence(text, start, end) : next;
    // what nothing fits is named as missing
    text = gone ?? replaceSpan(text, start, end, `no ${name.toLowerCase()}`);
  }
  if (text === step) return step;
  const tidy = withoutBareDeeds(text, step)
    .replace(/ {2,}/g, ' ')
    .replace(/\s+([,.;])/g, '$1');
  if (/(?:^|[.!?]\s+)\p{Ll}/u.test(step)) return tidy;
  return tidy.replace(
    /(^|[.!?]\s+)([a-z])/g,
    (_, before: string, letter: string) => before + letter.toUpperCase(),
  );
}

/** Where the sentence around a place ends. */
function sentenceEnd(text: string, at: number): number {
  const m = /[.!?](?=\s|$)/.exec(text.slice(at));
  return m ? at + m.index + 1 : text.trimEnd().length;
}

/**
 * A step with a sentence more, right behind the sentence that changed (the last one where it is `late`), or at
 * the end of a step that did not. Nothing is added twice.
 */
export function withSentence(step: string, was: string, sentence: string | undefined, late = false): string {
  if (sentence === undefined || step.includes(sentence)) return step;
  let at = step.trimEnd().length;
  if (step !== was && !late) {
    let same = 0;
    while (same < step.length && step[same] === was[same]) same += 1;
    at = sentenceEnd(step, same);
  }
  const before = step.slice(0, at).trimEnd();
  return `${before}${/[.!?:]$/.test(before) ? '' : '.'} ${sentence}${step.slice(at)}`;
}
