import type { Larder } from '@/core/food/larder';
import { readLineWords, type FoodWords, type LineWords } from '@/core/recipe/line';
import { negated } from './clauses';
import { find, fromCan, NOTHING, type Found } from './food-of';

/** What is done to a food on its own line with another food. */
const DONE =
  '(?:pan-?|stir-?|dry-?|shallow-?|deep-?)?(?:fried|sauté?ed|sauteed|roasted|toasted|tossed|softened|wilted|braised|marinated|browned|coated|dressed|rolled|dipped|cooked|massaged|brushed|rubbed|glazed|stuffed|filled|spread|topped|mixed|whisked|blended|mashed|crushed|thinned|loosened|let down|sweetened|seasoned|sprinkled|drizzled|sprayed|moistened|caramelised|caramelized|charred|griddled|grilled|baked|crisped|simmered|poached|soaked|served|finished|creamed|bound)';

const WITH = new RegExp(`\\b${DONE}(?:\\s+\\w+ly)?\\s+(?:in|with)\\s+([^,;()]+)`, 'gi');
const PLUS = /(?:^|[,(+;]\s*|\s)(?:plus|,\s*and|and also)\s+([^,;()]+)/gi;
const SALTED_WATER =
  /(?:\b(?:boiled|cooked|blanched|simmered) )?\bin (?:well |lightly |plenty of |a pot of |boiling )*salted (?:boiling )?water/i;
const BUTTERED = /(?:^|[\s,(])(buttered|oiled|salted|sugared)(?=[\s,)]|$)/gi;
const FOOD_OF: Readonly<Record<string, string>> = {
  buttered: 'butter',
  oiled: 'oil, for greasing',
  salted: 'salt',
  sugared: 'sugar',
};
/** Words that end what a phrase names: a time, a further step, a purpose. */
const ENDS =
  /\s+(?:until|till|for (?:\d|a |an |the |about )|then|before|after|while|over|on|at|so that|if|when|overnight|instead)\b.*$/i;
/** Another line's food, spoken of again. */
const ELSEWHERE =
  /^(?:the|that|this|these|those|its|their|any|remaining|reserved|rest|same|half the|some of the|more|extra)\b/i;

/** A food that a line brings beside its own: "fried in 2 tbsp butter". */
export interface TailFood {
  readonly words: FoodWords;
  readonly line: LineWords;
  readonly found: Found;
}

function foodsIn(phrase: string, larder: Larder): TailFood[] {
  return phrase
    .replace(ENDS, '')
    .split(/\s+(?:and|&)\s+|\s*,\s*/)
    .flatMap((part): TailFood[] => {
      if (ELSEWHERE.test(part.trim())) return [];
      const line = readLineWords(part.replace(/^(?:just |only )/i, '').trim());
      const [words] = line.foods;
      if (!words || !words.food) return [];
      const found = find(words, larder);
      return found.food &&
        found.confidence >= 0.9 &&
        (found.food.kind !== 'water' || words.measures.length > 0)
        ? [{ words, line, found }]
        : [];
    });
}

/** "chickpeas, salted": bought so; "cucumber, salted": done to it. */
const boughtSalted = (words: FoodWords, larder: Larder): boolean =>
  fromCan(words) ||
  (find({ ...words, notes: '' }, larder).food?.adds.includes('salt') ??
    find({ ...words, notes: 'salted' }, larder).food?.adds.includes('salt') ??
    false);

/** A food's words without what is done to it with another food: "pasta", not "pasta, cooked in salted water". */
export function withoutTail(words: FoodWords, larder: Larder): FoodWords {
  const strip = (text: string) =>
    [WITH, PLUS, SALTED_WATER, BUTTERED]
      .reduce((t, pattern) => t.replace(pattern, ' '), text)
      .replace(/\s+(?:and|then)\s*$/, '')
      .trim();
  const food = strip(words.food);
  const notes = strip(words.notes);
  // "salted almonds": what stands before the name says which food it is
  const plain =
    food.length > 2 && words.food.startsWith(food) ? { ...words, food, notes } : { ...words, notes };
  return /\bsalted(?! (?:boiling )?water)/.test(words.notes) && boughtSalted(plain, larder)
    ? { ...plain, notes: `${notes}, salted` }
    : plain;
}

/**
 * Foods that the words behind a line's own food bring: "mushrooms, fried in 2 tbsp butter", "beans, drained, plus
 * soy sauce", "toast, buttered". What is said to come from elsewhere ("tossed in the dressing") is none.
 *
 * @param text of the line
 * @param own words of the foods that the line is about
 */
export function tailFoods(text: string, own: readonly FoodWords[], larder: Larder): TailFood[] {
  const lower = text.toLowerCase();
  const first = own[0]?.food ?? '';
  const at = first ? lower.indexOf(first) : -1;
  const from = at < 0 ? 0 : at + first.length;
  const tail = lower.slice(from);
  const out: TailFood[] = [];
  const add = (phrase: string, index: number) => {
    if (negated(lower, from + index, from + index + phrase.length)) return;
    for (const food of foodsIn(phrase, larder))
      if (!own.some((o) => o.food === food.words.food) && !out.some((o) => o.words.food === food.words.food))
        out.push(food);
  };
  for (const pattern of [WITH, PLUS])
    for (const m of tail.matchAll(pattern)) add(m[1] ?? '', m.index + m[0].length - (m[1] ?? '').length);
  if (SALTED_WATER.test(tail)) out.push(...saltOfWater(larder));
  for (const m of tail.matchAll(BUTTERED))
    if (m[1] !== 'salted' || !own.some((o) => /\bsalted\b/.test(o.notes)))
      add(FOOD_OF[m[1] ?? ''] ?? '', m.index);
  return out;
}

function saltOfWater(larder: Larder): TailFood[] {
  const line = readLineWords('salt, for the pasta water');
  const [words] = line.foods;
  return words ? [{ words, line, found: words.food ? find(words, larder) : NOTHING }] : [];
}
