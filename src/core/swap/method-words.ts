import type { ReadLine } from '@/core/read/types';

/** Article, amount and measure before a mention: "2 tbsp of the", "a little extra", "half the". */
const LEAD =
  /(?:(?:an?|\d[\d/.½¼¾⅓⅔–-]*)\s+)?(?:(?:little|good|generous|extra|further|another)\s+)*(?:(?:drizzle|splash|glug|pinch|dash|tbsp|tsp|tablespoons?|teaspoons?|cups?|cm|inch(?:es)?|half|most|all|some|rest|remainder)\s+(?:of\s+)?)?(?:(?:the|some|an?|your|more|extra|remaining|good|little)\s+)*$/i;

/** The one word by which a method calls a food of these kinds. */
const CALLED: Readonly<Record<string, readonly string[]>> = {
  'solid-fat': ['butter', 'margarine', 'spread'],
  'animal-fat': ['butter'],
  'plant-milk': ['milk'],
  'meat-stand-in': ['mince'],
};

/** The noun of a food's words: "oil" of "peanut oil". */
const nounOf = (words: string): string =>
  (words.split(' ').at(-1) ?? '').replace(/(?:ies|es|s)$/, (e) => (e === 'ies' ? 'y' : ''));

/** Words that name a line's food in the method: its own, or the one word that no other line shares. */
export function namesFor(line: ReadLine, others: readonly ReadLine[]): string[] {
  const food = line.foods[0]?.food;
  const own =
    line.foods[0]?.text
      .replace(/^(?:fresh|freshly|extra[- ]virgin|light|good|raw|ground|toasted|chopped|flaked)\s+/g, '')
      .trim() ?? '';
  const foods = others.flatMap((l) => (l.origin === 'ingredients' ? l.foods : []));
  const sameKind = foods.some((f) => f.food?.kind === food?.kind);
  const names = new Set<string>();
  if (own) names.add(own);
  for (const n of [food?.name.toLowerCase() ?? '', ...(food?.names ?? [])])
    if (n && (own === n || own.endsWith(` ${n}`))) names.add(n);
  const last = own.split(' ').at(-1) ?? '';
  // "beans" alone may be those of another line
  const shared = foods.some((f) => nounOf(f.text) === nounOf(own));
  if (!sameKind && !shared && last.length > 2) names.add(last);
  if (!sameKind) for (const word of CALLED[food?.kind ?? ''] ?? []) names.add(word);
  return [...names].filter(Boolean).sort((a, b) => b.length - a.length);
}

/** Finds a food's names in a step; null without names. */
function patternOf(names: readonly string[]): RegExp | null {
  if (names.length === 0) return null;
  const words = names.map((n) => n.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/s$/, 's?'));
  return new RegExp(
    `\\b(?:${words.join('|')})\\b(?![- ]free)(?! (?:oil|milk|butter|powder|flour|sauce|paste|seeds?|vinegar|syrup)\\b)`,
    'gi',
  );
}

/** Puts words in place of a stretch and of the article and amount before it. */
export function replaceSpan(text: string, start: number, end: number, word: string, withLead = true): string {
  const lead = withLead ? (LEAD.exec(text.slice(0, start))?.[0].length ?? 0) : 0;
  const from = start - lead;
  const sentence = /(?:^|[.!?:]\s+|\n\s*(?:\d+[.)]\s*|[-*]\s+)?)$/.test(text.slice(0, from));
  const put = sentence ? word.charAt(0).toUpperCase() + word.slice(1) : word;
  return text.slice(0, from) + put + text.slice(end);
}

/** A step in which a food goes by another's words. */
export function renamed(step: string, names: readonly string[], word: string): string {
  const pattern = patternOf(names);
  if (!pattern) return step;
  // one pass from the left, so that words just put in are not taken for the old ones
  let text = step;
  let from = 0;
  for (;;) {
    pattern.lastIndex = from;
    const m = pattern.exec(text);
    if (!m) return text;
    const tail = text.length - (m.index + m[0].length);
    text = replaceSpan(text, m.index, m.index + m[0].length, word);
    from = text.length - tail;
  }
}

const FINISH =
  '(?:scattered|topped|sprinkled|drizzled|finished|garnished|dusted|dressed|brushed|tossed|seasoned|mixed|top|scatter|sprinkle|drizzle|finish|garnish|dust|brush|season)';

/** Ways in which a sentence lets a food go, the surest first; X is the food with its article and amount. */
const WITHOUT: readonly (readonly [pattern: string, put: string])[] = [
  // "Heat the oil and fry the tofu" → "Fry the tofu"
  [
    '\\b(?:heat|warm|melt|add)\\s+X,?\\s+(?:and|then|and then)\\s+(?=(?:fry|cook|soften|saut|brown|sweat|stir|gently|add|toss|sear)\\w*\\b)',
    '',
  ],
  ['\\beverything\\s+(?:but|except)\\s+X', 'everything'],
  // "Heat the oil in a wok" → "Heat a wok"
  ['\\b(heat|warm|melt)\\s+X\\s+(?:in|on|over)\\s+', '$1 '],
  // "with X and Y", "add X and Y", "X, Y and Z"
  ['\\bX\\s+and\\s+', ''],
  ['(\\b(?:the|with|add|in|and)\\s+|,\\s*)X\\s*,\\s+', '$1'],
  [',\\s+([^,.;]+?),?\\s+and\\s+X(?=\\s*(?:[,.;]|$))', ' and $1'],
  [',\\s*X(?=\\s+and\\b|\\s*[,.;]|\\s*$)', ''],
  ['\\s+and\\s+X\\b', ''],
  // "Serve scattered with X", ", then top with X"
  [`,?\\s+(?:and|then|and then)?\\s*${FINISH}(?:\\s+(?:over|on))?\\s+with\\s+X\\b`, ''],
  ['\\s+(?:with|in)\\s+X\\b', ''],
  // a sentence that is about nothing else
  [
    `(?:^|(?<=[.!?]\\s))\\s*(?:${FINISH}|add|stir|fold|serve|put|pour|spoon)\\b[^.!?,]{0,20}\\bX\\b[^.!?,]{0,30}[.!?]\\s*`,
    '',
  ],
];

/** A step in which a food is no longer named; "no X" where its sentence cannot do without. */
export function without(step: string, names: readonly string[]): string {
  const pattern = patternOf(names);
  if (!pattern) return step;
  let text = step;
  for (let guard = 0; guard < 12; guard += 1) {
    pattern.lastIndex = 0;
    const m = pattern.exec(text);
    if (!m) break;
    const lead = LEAD.exec(text.slice(0, m.index))?.[0] ?? '';
    const mention = (lead + m[0]).replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
    const way = WITHOUT.map(([p, put]) => [new RegExp(p.replace(/X/g, mention), 'i'), put] as const).find(
      ([r]) => r.test(text),
    );
    const next = way ? text.replace(way[0], way[1]) : null;
    // what nothing fits is named as missing, once
    if (next === null || next === text) {
      text = replaceSpan(text, m.index, m.index + m[0].length, `no ${m[0].toLowerCase()}`);
      break;
    }
    text = next;
  }
  return text
    .replace(/ {2,}/g, ' ')
    .replace(/\s+([,.;])/g, '$1')
    .replace(/(^|[.!?]\s+)([a-z])/g, (_, before: string, letter: string) => before + letter.toUpperCase());
}

/** A step with a sentence more, unless it says that already. */
export function withSentence(step: string, sentence: string | undefined): string {
  if (sentence === undefined || step.includes(sentence)) return step;
  return `${step.trimEnd()}${/[.!?]\s*$/.test(step) ? '' : '.'} ${sentence}`;
}
