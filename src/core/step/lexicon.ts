import rawVerbs from '@content/compiled/verbs.json';
import rawWords from '@content/compiled/step-words.json';
import { phraseOf, type Token } from './tokens';
import type { StepWordsFile, Verb, VerbFile } from './schema';

// both checked by Zod when content is compiled
const verbFile = rawVerbs as unknown as VerbFile;
/** Words of the sentences around the cooking. */
export const STEP_WORDS = rawWords as unknown as StepWordsFile;

export type VerbForm = 'base' | 's' | 'ing' | 'ed';
export interface VerbHit {
  readonly verb: Verb;
  readonly form: VerbForm;
}

/** One consonant behind one vowel in a short word is doubled: "chop", "chopping"; "steam", "steaming". */
const doubles = (base: string) =>
  /[^aeiou][aeiou][bdgkmnprt]$/.test(base) && base.length <= 5 && !/en$|er$|or$/.test(base);

function inflected(base: string): readonly (readonly [string, VerbForm])[] {
  const stem = base.endsWith('e') ? base.slice(0, -1) : doubles(base) ? base + base.at(-1) : base;
  const ied = /[^aeiou]y$/.test(base) ? `${base.slice(0, -1)}i` : null;
  return [
    [base, 'base'],
    [/(?:s|x|z|ch|sh)$/.test(base) ? `${base}es` : ied ? `${ied}es` : `${base}s`, 's'],
    [`${base.endsWith('ee') ? base : stem}ing`, 'ing'],
    [ied ? `${ied}ed` : `${stem}ed`, 'ed'],
  ];
}

const verbs = new Map<string, VerbHit>();
for (const [id, row] of Object.entries(verbFile.verbs)) {
  const verb: Verb = { id, ...row };
  for (const [word, form] of inflected(id))
    if (!verbs.has(word) || form === 'base') verbs.set(word, { verb, form });
  for (const word of row.also) {
    const form: VerbForm = /ing$/.test(word)
      ? 'ing'
      : /(?:ed|en|t|d|n|de|ft|ve|te|ot)$/.test(word)
        ? 'ed'
        : /s$/.test(word)
          ? 's'
          : 'base';
    if (!verbs.has(word)) verbs.set(word, { verb, form });
    if (form === 'base')
      for (const [w, f] of inflected(word)) if (!verbs.has(w)) verbs.set(w, { verb, form: f });
  }
}

/** The verb that a word may be. */
export const verbOf = (word: string): VerbHit | undefined => verbs.get(word);
export const verbById = (id: string): Verb | undefined => verbs.get(id)?.verb;

/** Phrases by their first word, the longest first. */
export class Phrases<T> {
  private readonly byFirst = new Map<string, { words: readonly string[]; value: T }[]>();
  constructor(entries: Iterable<readonly [string, T]>) {
    for (const [phrase, value] of entries) {
      const words = phraseOf(phrase);
      const first = words[0];
      if (!first) continue;
      const list = this.byFirst.get(first);
      if (list) list.push({ words, value });
      else this.byFirst.set(first, [{ words, value }]);
    }
    for (const list of this.byFirst.values()) list.sort((a, b) => b.words.length - a.words.length);
  }
  /** The longest phrase that begins at a token, and where it ends. */
  at(tokens: readonly Token[], i: number): { value: T; end: number } | null {
    const list = this.byFirst.get(tokens[i]?.word ?? '');
    if (!list) return null;
    for (const { words, value } of list)
      if (words.every((w, k) => tokens[i + k]?.word === w)) return { value, end: i + words.length };
    return null;
  }
  has(tokens: readonly Token[], from: number, to: number): number {
    for (let i = from; i < to; i += 1) if (this.at(tokens, i)) return i;
    return -1;
  }
}

const list = (words: readonly string[]) => new Phrases(words.map((w) => [w, true] as const));

/** Tools by every name; what has fat in it by its name is told apart. */
export const TOOLS = new Phrases<string>([
  ...Object.entries(STEP_WORDS.tools).flatMap(([id, names]) => names.map((n) => [n, id] as const)),
  ...STEP_WORDS.fryers.map((n) => [n, 'fryer'] as const),
]);
export const REMARKS = list(STEP_WORDS.remarks);
export const OPTIONAL = list(STEP_WORDS.optional);
export const COMPARISONS = list(STEP_WORDS.comparisons);
export const INSTEAD = list(STEP_WORDS.instead);
export const ALIASES = new Phrases(Object.entries(STEP_WORDS.aliases));
export const ORDINARY: ReadonlySet<string> = new Set(STEP_WORDS.ordinary.flatMap((w) => phraseOf(w)));
export const NOT_FOOD: ReadonlySet<string> = new Set(STEP_WORDS.not_food.map((w) => phraseOf(w).join(' ')));
/** Last words of what a dish is called. */
export const DISHES: ReadonlySet<string> = new Set(STEP_WORDS.dishes);
export const MADE: ReadonlySet<string> = new Set(STEP_WORDS.made);

const set = (words: string): ReadonlySet<string> => new Set(words.split(' '));
export const DETERMINERS = set(
  'the a an this that these those your my our their its his her each every both some any all another more extra further additional no either neither half remaining reserved rest',
);
export const DEFINITE = set('the this that these those your its their remaining reserved saved rest');
export const PREPOSITIONS = set(
  'in on with over into to of for from at by under through around onto without until till after before per as between across inside off out up down along alongside atop round against among about beside towards within',
);
export const CONJUNCTIONS = set('and or but then plus & so yet while nor');
export const PRONOUNS = set('it them everything they we you i he she something anything nothing');
export const AUXILIARIES = set(
  "is are was were be been being am has have had do does did will would can could may might should must shall ought cannot won't can't don't doesn't didn't isn't aren't wasn't weren't wouldn't couldn't shouldn't mustn't needn't haven't hasn't it's that's there's they're we're you're i'm we've i've you've i'd you'd we'd you'll we'll i'll it'll they'll he'll she'll that'll there'll they'd it'd they've dont cant wont",
);
export const NEGATORS = set(
  "not never no don't doesn't didn't won't can't cannot isn't aren't wasn't weren't wouldn't couldn't shouldn't mustn't needn't dont cant wont hardly nobody",
);
export const SUBJECTS = set('i we you they he she it');
/** Words that open a clause of their own. */
export const OPENERS = set(
  'if unless once when while until till because since although though after before whenever where but then so',
);
