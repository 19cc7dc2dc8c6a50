import { ADDED_KINDS, RICH_KINDS } from '@/core/food/kind-groups';
import { foodOfName } from '@/core/food/find';
import type { Food } from '@/core/food/table';
import { beforeArrow } from '@/core/recipe/arrow';
import { isHarmless, tokens } from '@/core/food/tokens';
import { MADE, STEP_WORDS, verbOf } from '@/core/step/lexicon';
import { remember } from '@/core/memo';
import type { ReadLine } from './types';

const wordsOf = remember((text: string): readonly string[] => tokens(text));
const setOf = remember((text: string): ReadonlySet<string> => new Set(tokens(text)));

/** The last word of a name: what it is, before what is said of it behind a comma or in brackets, or what it is from. */
const headOf = (name: string): string | undefined => wordsOf(name.replace(/[,(].*$|\sfrom\s.*$/, '')).at(-1);

interface Listed {
  readonly ids: ReadonlySet<string>;
  readonly kinds: ReadonlySet<string>;
  readonly words: ReadonlySet<string>;
  /** Last words of its foods' names: what it is, not what it is made of. */
  readonly heads: ReadonlySet<string>;
  /** Last words of all that its foods are called. */
  readonly called: ReadonlySet<string>;
  /** True where it is a stock that can only be one without salt. */
  readonly unsalted: boolean;
}

/** What a recipe's list accounts for. */
export interface Cover {
  readonly lines: readonly Listed[];
  /** Words of each section's name. */
  readonly parts: readonly ReadonlySet<string>[];
  readonly partHeads: ReadonlySet<string>;
  readonly title: ReadonlySet<string>;
}

/** "aquafaba (from a tin of chickpeas)": what else the tin holds is not on the list. */
const OUT_OF_TIN =
  /\b(?:from|off|out of)\s+(?:an?|the|one|two|1|2|your)\s+(?:tins?|cans?|jars?)\s+of\s+[a-z]+(?:\s[a-z]+)?/gi;

/** By what a line's words were read as: lines come anew with every text, their readings stay. */
const listed = new WeakMap<
  ReadLine['foods'],
  { readonly alternatives: ReadLine['alternatives']; readonly text: string; readonly own: Listed }
>();

function listedOf(line: ReadLine): Listed {
  const known = listed.get(line.foods);
  if (known?.alternatives === line.alternatives && known.text === line.line.text) return known.own;
  const foods = [...line.foods, ...line.alternatives];
  const ids = new Set<string>();
  const kinds = new Set<string>();
  const heads = new Set<string>();
  for (const f of foods) {
    for (const food of f.food ? [f.food, ...f.might] : []) {
      ids.add(food.id);
      kinds.add(food.kind);
      const name = headOf(food.name);
      if (name) heads.add(name);
    }
    const head = headOf(f.text);
    if (head) heads.add(head);
  }
  // "4 oz marg -> 4 oz apple puree": "rub in the marg" is what stands in for it
  const gone = line.missing === null ? beforeArrow(line.line.text) : null;
  const its = gone === null ? undefined : foodOfName(wordsOf(gone));
  if (its) {
    ids.add(its.id);
    heads.add(wordsOf(gone as string).at(-1) ?? '');
  }
  // "500 g silken tofu, blended = the cream"
  const made = /=\s*(?:the|my|our)\s+(?:[a-z]+ )*([a-z]+)\s*$/i.exec(line.line.text)?.[1];
  if (made) heads.add(wordsOf(made)[0] ?? made);
  const called = new Set(foods.flatMap((f) => [headOf(f.text) ?? '', ...(f.food ? headsOf(f.food) : [])]));
  const stocks = foods.flatMap((f) => (f.food?.kind === 'stock' ? [f.food, ...f.might] : []));
  const unsalted = stocks.length > 0 && !stocks.some(isSalted);
  const out = { ids, kinds, heads, called, unsalted, words: setOf(line.line.text.replace(OUT_OF_TIN, ' ')) };
  listed.set(line.foods, { alternatives: line.alternatives, text: line.line.text, own: out });
  return out;
}

/** Milligrams in 100 g above which a stock, or what it is made of, is not one without salt. */
const UNSALTED_MG = 60;
const isSalted = (food: Food): boolean => (food.sodiumMg ?? Infinity) > UNSALTED_MG;
/** What stock is made of: "a cube" brings its salt whatever the stock of the list is called. */
const MAKES_STOCK = new Set(['cube', 'powder', 'bouillon', 'granule', 'tablet', 'paste']);

/** "2 tbsp vinegar + 1 tsp mustard shaken in a jar": a dressing, by what is done with it. */
const isDressing = (l: ReadLine): boolean =>
  l.foods.length > 1 && /\b(?:shaken|whisked|shake|whisk)\b|\bin an? (?:jam )?jar\b/i.test(l.line.text);

export function coverOf(lines: readonly ReadLine[], title: string): Cover {
  const sections = [...new Set(lines.flatMap((l) => (l.line.section ? [l.line.section] : [])))];
  return {
    lines: lines.map(listedOf),
    parts: sections.map(setOf),
    title: setOf(title),
    partHeads: new Set([
      ...sections.flatMap((s) => wordsOf(s.replace(/[(:,].*$/, '')).at(-1) ?? []),
      ...(lines.some(isDressing) ? ['dressing', 'vinaigrette'] : []),
    ]),
  };
}

/** Kinds of which a word shared by chance would hide an offence: "butter beans" are no butter. */
const OFFENDS = new Set<string>([...ADDED_KINDS, ...RICH_KINDS, 'animal', 'stock', 'seed', 'plant-dairy']);
/** First words that describe many foods, so sharing one says nothing. */
const DESCRIBES = new Set([
  'vegan',
  'plantbased',
  'nondairy',
  'unsweetened',
  'sweetened',
  'vegetable',
  'salted',
  'unsalted',
  'lowsalt',
  'lesssalt',
  'dark',
  'light',
  'double',
  'fresh',
  'white',
  'brown',
  'red',
  'black',
  'green',
]);
/** What is made of what the list holds: "the cashew cream", "the soy milk". */
const MADE_OF = new Set([
  'flax-chia',
  'plant-dairy',
  'nut-butter',
  'stock',
  'plant-milk',
  'nut',
  'coconut',
  'condiment',
  'animal',
  'solid-fat',
  'animal-fat',
]);

/** Words of families so wide that an amount of one is no amount of another. */
const WIDE = new Set([
  'berry',
  'fruit',
  'vegetable',
  'root',
  'green',
  'herb',
  'spice',
  'grain',
  'meat',
  'leaf',
]);

/** What a dish so called is as often made with: a chocolate cake of cocoa. */
const TASTES_OF: Readonly<Record<string, readonly string[]>> = { chocolate: ['cocoa'] };

/** Kinds whose plain word is used of any food that ends in it. */
const PLAIN = new Set(['seed', 'nut']);

/** "the parmesan" of a list that holds vegan parmesan; kinds that are called by the name of what they stand for. */
const PLANT_FOR: Readonly<Record<string, readonly string[]>> = {
  animal: ['plant-dairy', 'plant-milk', 'meat-stand-in', 'soy', 'coconut', 'nut', 'nut-butter'],
  'animal-fat': ['solid-fat'],
};

/** Words that, with "the", are said of any of their kind: the butter of a list that holds almond butter. */
const LOOSELY = new Set(['butter', 'sugar', 'cream', 'honey', 'syrup', 'milk']);

/** Whether what a listed food is called is what a family's word stands for. */
function isCalled(word: string, heads: ReadonlySet<string>, definite: boolean): boolean {
  const called = STEP_WORDS.called[word];
  return called === undefined || (definite && LOOSELY.has(word)) || called.some((w) => heads.has(w));
}

/** Last words of a food's names. */
const headsOf = (food: Food): string[] => [food.name, ...food.names].flatMap((name) => headOf(name) ?? []);

/** Whether a family's plain word may stand for a food: "bread" for a roll, not for pasta. */
export const mayStandFor = (word: string, food: Food, definite: boolean): boolean =>
  STEP_WORDS.families[word]?.includes(food.kind) === true && isCalled(word, new Set(headsOf(food)), definite);

/**
 * Lines that a sentence's food speaks of, by what it means: the same food; a family's plain word ("the oil", "beans")
 * for a member of it; the same head with the same words before it. Never by a word shared by chance.
 *
 * @param words the name in the table's spelling
 * @param definite "the", "remaining": it was named before
 * @param stated with an amount of its own: "200 g berries" are not the banana of the list
 */
export function refersTo(
  food: Food,
  all: readonly string[],
  definite: boolean,
  cover: Cover,
  stated = false,
): number[] {
  const own = wordsOf(food.name);
  // "the fried onions" are the onions; "baked beans" are their own
  const plain = all.filter(
    (w, i) => i === all.length - 1 || own.includes(w) || (verbOf(w)?.form !== 'ed' && !isHarmless(w)),
  );
  const words = plain.length > 0 ? plain : all;
  const head = words.at(-1) ?? '';
  const word = words.join(' ');
  const family = [
    ...(STEP_WORDS.families[word] ?? []),
    ...(definite ? (STEP_WORDS.families_the[word] ?? []) : []),
  ];
  const out: number[] = [];
  const makesStock = food.kind === 'stock' && MAKES_STOCK.has(head) && isSalted(food);
  cover.lines.forEach((line, i) => {
    // unsalted stock covers no cube
    if (makesStock && line.unsalted && !line.words.has(head)) return;
    const same =
      line.ids.has(food.id) ||
      (!stated && words.length === 1 && (TASTES_OF[head] ?? []).some((id) => line.ids.has(id))) ||
      (family.some((k) => line.kinds.has(k)) &&
        isCalled(word, line.called, definite) &&
        (!WIDE.has(head) || definite || !stated || [...line.heads].some((h) => h.endsWith(head)))) ||
      (line.heads.has(head) &&
        words.every((w) => line.words.has(w)) &&
        (words.length > 1 || !OFFENDS.has(food.kind) || line.kinds.has(food.kind))) ||
      (line.heads.has(head) && (PLANT_FOR[food.kind] ?? []).some((k) => line.kinds.has(k))) ||
      (words.length === 1 && line.heads.has(head) && !OFFENDS.has(food.kind)) ||
      // "the seeds" are the cumin seeds; "the butter" is no peanut butter
      (definite && line.heads.has(head) && (!OFFENDS.has(food.kind) || PLAIN.has(food.kind))) ||
      (definite && words.length === 1 && line.words.has(head) && !OFFENDS.has(food.kind)) ||
      (words.length === 1 &&
        line.words.has(head) &&
        line.kinds.has(food.kind) &&
        (definite || !OFFENDS.has(food.kind) || line.heads.has(head))) ||
      (words.length > 1 &&
        MADE_OF.has(food.kind) &&
        food.kind !== 'stock' &&
        (definite || food.kind !== 'coconut') &&
        !DESCRIBES.has(words[0] ?? '') &&
        line.words.has(words[0] ?? '') &&
        line.kinds.has(food.kind));
    if (same) out.push(i);
  });
  return out;
}

/** Words that an oil or a salt goes by itself, so that a part's name does not cover it. */
const CALLED_SO = new Set(['oil', 'salt', 'fat', 'butter', 'ghee', 'marg', 'margarine', 'lard', 'seasoning']);

/** True where a name is that of a part of the dish, or of what the list's foods were made into. */
export function isPart(food: Food, words: readonly string[], definite: boolean, cover: Cover): boolean {
  const head = words.at(-1) ?? '';
  // "the tadka" of the part so named is no oil of its own
  const own = (food.kind !== 'oil' && food.kind !== 'salt') || !CALLED_SO.has(head);
  if (own && words.length === 1 && cover.partHeads.has(head)) return true;
  if (own && words.length > 1 && cover.parts.some((p) => words.every((w) => p.has(w)))) return true;
  if (own && words.length > 1 && definite && words.every((w) => cover.title.has(w))) return true;
  // "the cashew cream" of a list that holds cashews
  const first = words[0] ?? '';
  return (
    (own &&
      words.length > 1 &&
      MADE_OF.has(food.kind) &&
      !DESCRIBES.has(first) &&
      cover.lines.some((l) => l.words.has(first) && !OFFENDS.has([...l.kinds][0] ?? '')) &&
      definite) ||
    (own &&
      definite &&
      words.length > 1 &&
      MADE.has(head) &&
      !DESCRIBES.has(first) &&
      cover.lines.some((l) => l.words.has(first)))
  );
}
