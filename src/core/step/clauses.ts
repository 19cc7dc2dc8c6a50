import {
  AUXILIARIES,
  CONJUNCTIONS,
  DEFINITE,
  DETERMINERS,
  NEGATORS,
  OPENERS,
  PREPOSITIONS,
  PRONOUNS,
  SUBJECTS,
  TOOLS,
  verbOf,
  type VerbHit,
} from './lexicon';
import { freshStarts } from './fresh';
import { DOES, OWNERS, PAST, PEOPLE } from './people';
import type { Token } from './tokens';

/** A stretch of tokens that is one thing: a tool, or the name of a food. */
export interface Named {
  readonly kind: 'tool' | 'food';
  readonly from: number;
  readonly to: number;
  /** The tool's id, or the food's. */
  readonly id: string;
}

/** Finds the name of a food that begins at a token; where it ends. */
export type Namer = (tokens: readonly Token[], at: number, to: number) => { id: string; end: number } | null;

/** One deed of a sentence, with the tokens that belong to it. */
export interface ClauseSpan {
  readonly from: number;
  readonly to: number;
  readonly verb: VerbHit | null;
  readonly verbAt: number;
  /** The word that opens it: "if", "until". */
  readonly opener: string | null;
  /** True where what is done here begins anew, and nothing told before it turns it. */
  readonly fresh: boolean;
}

/** A sentence cut into clauses, with what its tokens name. */
export interface Sentence {
  readonly tokens: readonly Token[];
  readonly from: number;
  readonly to: number;
  readonly named: readonly (Named | null)[];
  readonly clauses: readonly ClauseSpan[];
  /** The words before a colon that opens the sentence: "Optional", "Bake". */
  readonly label: readonly Token[];
  /** True where a question mark ends it. */
  readonly asks: boolean;
}

const freshOf = new WeakMap<Sentence, readonly number[]>();
/** Where what is told anew before a token begins: the sentence's own beginning, or the last place where it began again. */
export function anewFrom(s: Sentence, at: number): number {
  let starts = freshOf.get(s);
  if (!starts) freshOf.set(s, (starts = s.clauses.filter((c) => c.fresh).map((c) => c.from)));
  return starts.findLast((from) => from <= at) ?? s.from;
}

const ENDS = new Set(['.', '!', ';', '\n', '…', '?']);
const MOST_LABEL = 5;
/** Words that a deed follows: "then fry", "just add", "do not salt", "I add". */
const BEFORE_DEED = new Set(
  "like want wish prefer then please just also simply now next finally first always lastly to not never don't dont can could will would should must may might shall let's lets i we you they gently you'll we'll i'll".split(
    ' ',
  ),
);
/** Verbs of the mind: what follows them is said, not done. */
export const KNOWS = new Set(
  'know think suppose guess reckon realise realize bet hear understand gather'.split(' '),
);
/** Openers that say when where nothing follows them: "the night before, …". */
const ADVERBS = new Set(['before', 'after', 'though', 'once']);
const isAdverb = (word: string) => word.length > 4 && word.endsWith('ly');

function namesIn(tokens: readonly Token[], from: number, to: number, namer: Namer): (Named | null)[] {
  const out: (Named | null)[] = new Array<Named | null>(to - from).fill(null);
  for (let i = from; i < to;) {
    const tool = TOOLS.at(tokens, i);
    const food = tokens[i]?.kind === 'word' ? namer(tokens, i, to) : null;
    const toolEnd = tool && tool.end <= to ? tool.end : -1;
    const foodEnd = food ? food.end : -1;
    const end = Math.max(toolEnd, foodEnd);
    if (end < 0) {
      i += 1;
      continue;
    }
    // "butter knife" is longer than "butter"; of two as long the tool is meant
    const named: Named =
      toolEnd >= foodEnd && tool
        ? { kind: 'tool', from: i, to: toolEnd, id: tool.value }
        : { kind: 'food', from: i, to: foodEnd, id: food?.id ?? '' };
    for (let k = i; k < end; k += 1) out[k - from] = named;
    i = end;
  }
  return out;
}

/** Splits a text's tokens at the ends of sentences; a colon behind a few words makes them a label. */
export function sentencesOf(tokens: readonly Token[], namer: Namer): Sentence[] {
  const out: Sentence[] = [];
  let from = 0;
  let label: readonly Token[] = [];
  const close = (to: number, end: string | null) => {
    if (to > from) {
      const named = namesIn(tokens, from, to, namer);
      out.push({
        tokens,
        from,
        to,
        named,
        clauses: clausesOf(tokens, from, to, named),
        label,
        asks: end === '?',
      });
    }
    label = [];
    from = to + 1;
  };
  for (let i = 0; i < tokens.length; i += 1) {
    const t = tokens[i] as Token;
    if (t.kind !== 'mark') continue;
    if (ENDS.has(t.word)) close(i, t.word);
    else if (t.word === ':') {
      // "10:30" is a time
      if (tokens[i - 1]?.kind === 'number' && tokens[i + 1]?.kind === 'number') continue;
      const words = tokens.slice(from, i);
      close(i, ':');
      const aside = words.some((w) => w.word === 'optional');
      label = words.length <= (aside ? 2 * MOST_LABEL : MOST_LABEL) ? words : [];
    }
  }
  close(tokens.length, null);
  return out;
}

/** What stands behind a deed and says how, or what comes of it: "roll thin", "toast separately". */
const AS_RESULT = new Set(
  'again well together everything and until separately thin thick flat out hot dry golden crisp soft smooth tight up'.split(
    ' ',
  ),
);

const IT = new Set(['it', 'this', 'that', 'them', 'these']);
const TO_EAT = new Set('go serve dip mop eat scoop finish'.split(' '));
const FOR_EATERS = new Set('everyone everybody all dipping mopping scooping us each serving'.split(' '));
/** "toast, two slices each", "toast to go with it": what is eaten with a dish, and no deed. */
function isHadBeside(tokens: readonly Token[], i: number, to: number): boolean {
  if (tokens[i]?.word !== 'toast') return false;
  const at = i + 1;
  const word = (n: number): string => (at + n < to ? (tokens[at + n]?.word ?? '') : '');
  if (['goes', 'works', 'is'].includes(word(0))) return true;
  if (['each', 'apiece'].includes(word(0))) return tokens[at + 1]?.kind !== 'word';
  if (word(0) === 'on') return word(1) === 'side' || (word(1) === 'the' && word(2) === 'side');
  if (word(0) === 'with') return IT.has(word(1)) && tokens[at + 2]?.kind !== 'word';
  if (word(0) === 'to') return TO_EAT.has(word(1));
  if (word(0) === 'for') return FOR_EATERS.has(word(1));
  // "toast, wholemeal, two each"
  const end = tokens
    .slice(at, to)
    .findIndex((t, n, all) => ['each', 'apiece', 'pp'].includes(t.word) && all[n + 1]?.word !== 'side');
  return word(0) === ',' && end > 1 && end < FARTHEST_EACH && tokens.slice(at, at + end).some(isCount);
}
/** Words between a food and how many of it everybody has. */
const FARTHEST_EACH = 8;

/** Whether a word that may be a verb stands as one. */
function deedAt(
  tokens: readonly Token[],
  i: number,
  from: number,
  to: number,
  named: readonly (Named | null)[],
): VerbHit | null {
  const token = tokens[i] as Token;
  // "dry-fry": one deed, the second word's
  if (i + 1 < to && verbOf(tokens[i + 1]?.word ?? '') && (tokens[i + 1]?.glued || token.word === 'dry'))
    return null;
  const hit = gluedVerb(tokens, i) ?? verbOf(token.word);
  if (!hit) return null;
  const held = named[i - from] ?? null;
  // "sprinkle", "toast" are deeds where they stand like one; only what is a food first ("salt") must show more
  const name =
    held &&
    held.to - held.from === 1 &&
    held.kind === 'food' &&
    hit.verb.food === null &&
    !['cream', 'stock'].includes(token.word)
      ? null
      : held;
  // "butter beans go in last"
  if (name && name.to - name.from > 1) return null;
  if (name?.kind === 'tool' && hit.form !== 'base') return null;
  const before = i > from ? tokens[i - 1] : undefined;
  // "spoon over the topping" is a thing, "topping with" a deed
  if (hit.form === 'ing' && before && DETERMINERS.has(before.word)) return null;
  // "two slices of granary": how many of them
  if (hit.form === 's' && i > from && isCount(tokens[i - 1])) return null;
  if (hit.form !== 'base') return hit.form === 'ing' || hit.form === 's' ? (held ? null : hit) : hit;
  const after = i + 1 < to ? tokens[i + 1] : undefined;
  // "quarter teaspoon of salt": a part of a measure
  if (PARTS.has(token.word) && after && SPOON.test(after.word)) return null;
  // "two tablespoons puree": what is measured
  if (before && hit.form === 'base' && SPOON.test(before.word) && i - 2 >= from && isCount(tokens[i - 2])) {
    const behind = after?.word ?? '';
    if (!after || after.kind === 'mark' || behind === 'and') return null;
  }
  // "quarter of a cabbage", "splash of water": so much of it
  if (after?.word === 'of' && hit.form === 'base' && hit.verb.id !== 'dispose') return null;
  if (held?.kind === 'food' && (after?.word === 'alongside' || isHadBeside(tokens, i, to))) return null;
  const opens =
    !before ||
    before.kind === 'mark' ||
    CONJUNCTIONS.has(before.word) ||
    BEFORE_DEED.has(before.word) ||
    isAdverb(before.word) ||
    OPENERS.has(before.word);
  // "in a dry pan toast a tsp of cumin": what acts on so much of something is done
  const counted =
    after !== undefined &&
    (after.kind === 'number' ||
      ['a', 'an', 'each', 'the', 'your', 'some', 'half', 'two', 'three'].includes(after.word)) &&
    !(before && (DETERMINERS.has(before.word) || before.word === 'of' || before.kind === 'number'));
  if (
    held?.kind === 'food' &&
    hit.verb.food === null &&
    counted &&
    before &&
    !CONJUNCTIONS.has(before.word) &&
    !PREPOSITIONS.has(before.word)
  )
    return hit;
  // told without a stop: "add no salt serve with bread"
  if (
    hit.verb.id === 'serve' &&
    after &&
    ['with', 'over', 'on', 'alongside'].includes(after.word) &&
    before?.kind === 'word' &&
    !DETERMINERS.has(before.word) &&
    before.word !== 'to'
  )
    return hit;
  const noun =
    before !== undefined &&
    !DETERMINERS.has(before.word) &&
    !PREPOSITIONS.has(before.word) &&
    !AUXILIARIES.has(before.word) &&
    !NEGATORS.has(before.word);
  // "to avoid sticking brush the pan"
  if (
    hit.verb.noun &&
    !name &&
    noun &&
    after &&
    (DEFINITE.has(after.word) || PRONOUNS.has(after.word)) &&
    before?.word !== 'of'
  )
    return hit;
  if (hit.verb.noun || name) {
    const nextName = after ? (named[i + 1 - from] ?? null) : null;
    const object =
      !after ||
      DETERMINERS.has(after.word) ||
      PRONOUNS.has(after.word) ||
      isAdverb(after.word) ||
      PREPOSITIONS.has(after.word) ||
      AS_RESULT.has(after.word) ||
      (nextName !== null && nextName.from === i + 1) ||
      after.kind === 'number' ||
      after.kind === 'mark';
    // "whisk in the oil": a tool that is a deed where it opens, or behind another tool ("in a bowl whisk the …")
    const behindTool = named[i - 1 - from]?.kind === 'tool' && nextName?.kind === 'food';
    if (name?.kind === 'tool' && (opens || behindTool) && object) return hit;
    if (name) {
      // a food's name: "salt the water", never "add salt, pepper"
      const deed =
        after !== undefined &&
        after.kind === 'word' &&
        after.word !== 'and' &&
        !(PREPOSITIONS.has(after.word) && !['well'].includes(after.word));
      return opens &&
        object &&
        deed &&
        !(before && ['to', 'of'].includes(before.word) && after.word === 'taste')
        ? hit
        : null;
    }
    // what opens a sentence is done
    return opens && (object || i === from) ? hit : null;
  }
  if (opens) return hit;
  // "to avoid sticking brush the pan": a plain verb behind a noun begins anew
  return noun ? hit : null;
}

/** "deep-fry", "stir-fried", "pan fry", "water-saute": two words that are one deed. */
export function gluedVerb(tokens: readonly Token[], i: number): VerbHit | null {
  const before = tokens[i - 1];
  const token = tokens[i] as Token;
  if (!before || before.kind !== 'word') return null;
  const joined = before.word + token.word;
  return ['deep', 'stir', 'pan', 'shallow', 'air', 'pressure', 'par'].includes(before.word)
    ? (verbOf(joined) ?? null)
    : null;
}

/** "her mother did", "mum uses": a person and what she does. */
function isSomebody(tokens: readonly Token[], i: number): boolean {
  const owned = OWNERS.has(tokens[i]?.word ?? '');
  const who = owned ? i + 1 : i;
  const deed = tokens[who + 1]?.word ?? '';
  return (
    PEOPLE.has(tokens[who]?.word ?? '') &&
    (PAST.has(deed) ||
      DOES.has(deed) ||
      AUXILIARIES.has(deed) ||
      ['s', 'ed'].includes(verbOf(deed)?.form ?? ''))
  );
}

const PARTS = new Set(['quarter', 'half', 'third']);
const SPOON = /^(?:(?:table|tea|dessert)spoon(?:ful)?s?|tbsps?|tsps?|cups?|mugs?)$/;
const isCount = (t: Token | undefined): boolean =>
  t?.kind === 'number' || /^(?:an?|one|two|three|four|five|six|half)$/.test(t?.word ?? '');

function clausesOf(
  tokens: readonly Token[],
  from: number,
  to: number,
  named: readonly (Named | null)[],
): ClauseSpan[] {
  const starts = new Map<number, { verb: VerbHit | null; verbAt: number; opener: string | null }>();
  starts.set(from, { verb: null, verbAt: -1, opener: null });
  const fresh = freshStarts(tokens, from, to, named);
  let current = from;
  const open = (at: number, verb: VerbHit | null, verbAt: number, opener: string | null) => {
    // what leads to the deed belongs to it: "and then gently", "do not"
    // the word before the hyphen of "dry-fry" is its own
    const ownWord = tokens[at]?.glued || tokens[at - 1]?.word === 'dry';
    let begin = verb && ownWord && at - 1 > current ? at - 1 : at;
    let joined = false;
    while (begin > current && !fresh.has(begin)) {
      const w = tokens[begin - 1] as Token;
      // "cover tightly and cook": what stands before the "and" belongs to the first deed
      if (joined && isAdverb(w.word)) break;
      joined ||= w.word === 'and' || w.word === 'or';
      const leads =
        w.kind === 'word' &&
        (BEFORE_DEED.has(w.word) ||
          isAdverb(w.word) ||
          AUXILIARIES.has(w.word) ||
          ['and', 'then', 'but', 'or', 'so', 'also'].includes(w.word)) &&
        w.word !== 'to';
      if (!leads) break;
      begin -= 1;
    }
    const known = starts.get(begin);
    starts.set(begin, {
      verb: verb ?? known?.verb ?? null,
      verbAt: verb ? verbAt : (known?.verbAt ?? -1),
      opener: opener ?? known?.opener ?? null,
    });
    current = begin;
  };
  for (let i = from; i < to; i += 1) {
    const t = tokens[i] as Token;
    if (fresh.has(i)) {
      current = i;
      starts.set(i, { verb: null, verbAt: -1, opener: null });
    }
    const own = starts.get(current);
    // "if it sticks, add oil": a comma ends the condition
    if (
      t.word === ',' &&
      own?.opener != null &&
      // "then stir in the rest, the corn": the deed goes on
      !(own.opener === 'but' || (own.opener === 'then' && own.verb)) &&
      i > current + 1 &&
      i + 1 < to
    ) {
      current = i + 1;
      starts.set(current, { verb: null, verbAt: -1, opener: null });
      continue;
    }
    // "…, and the last 2 cups are for tomorrow": another thing is spoken of
    if (
      t.word === ',' &&
      tokens[i + 1]?.word === 'and' &&
      ['the', 'its', 'they'].includes(tokens[i + 2]?.word ?? '') &&
      own?.verb
    ) {
      current = i + 1;
      starts.set(current, { verb: null, verbAt: -1, opener: null });
      continue;
    }
    if (t.kind !== 'word') continue;
    const behindMark = i === from || tokens[i - 1]?.kind === 'mark';
    // "the night before, stir the oats": no condition opens
    if (ADVERBS.has(t.word) && tokens[i + 1]?.word === ',' && i > from) continue;
    if (OPENERS.has(t.word) && !(t.word === 'so' && tokens[i + 1]?.word === 'that' && i === from)) {
      if (i > current || own?.verb) open(i, null, -1, t.word);
      else starts.set(current, { verb: null, verbAt: -1, opener: t.word });
      continue;
    }
    if (
      SUBJECTS.has(t.word) &&
      i > from &&
      !['to', 'for', 'with', 'of', 'like', 'and'].includes(tokens[i - 1]?.word ?? '')
    ) {
      const next = tokens[i + 1];
      const finite =
        next?.kind === 'word' &&
        (AUXILIARIES.has(next.word) ||
          verbOf(next.word) !== undefined ||
          // "if he's looking he gets nutritional yeast"
          (own?.opener === 'if' && DOES.has(next.word)) ||
          // "not oil, I know mum uses oil"
          (behindMark && KNOWS.has(next.word)));
      // "if you like" is one, "just like my mother I add" two
      if (finite && !(own?.opener != null && i === current + 1)) {
        if (own?.verb !== null || behindMark || i > current + 1) open(i, null, -1, null);
        continue;
      }
    }
    // "it goes dark - her mother did this in lard": somebody else is spoken of
    if (behindMark && i > from && i > current + 1 && isSomebody(tokens, i)) {
      open(i, null, -1, null);
      continue;
    }
    if (
      t.word === 'this' &&
      i > current + 1 &&
      ['one', 'dish', 'recipe', 'version', 'does', 'is', 'has', 'needs'].includes(
        tokens[i + 1]?.word ?? '',
      ) &&
      !PREPOSITIONS.has(tokens[i - 1]?.word ?? '') &&
      tokens[i - 1]?.word !== 'in'
    ) {
      open(i, null, -1, null);
      continue;
    }
    const deed = deedAt(tokens, i, from, to, named);
    if (!deed) continue;
    const before = tokens[i - 1];
    const state = starts.get(current);
    const infinitive = before?.word === 'to' && i > from + 1;
    const gerund =
      deed.form === 'ing' &&
      before !== undefined &&
      (PREPOSITIONS.has(before.word) || before.word === 'of' || ['avoid', 'than'].includes(before.word));
    const participle = deed.form === 'ed';
    if (participle) {
      // "greased tin": an adjective; "is fried": what is done
      if (state && state.verb === null && before && AUXILIARIES.has(before.word))
        starts.set(current, { ...state, verb: deed, verbAt: i });
      continue;
    }
    // "once no liquid remains add oil": a plain deed behind a condition is not the condition's own
    const anew =
      deed.form === 'base' &&
      state?.opener != null &&
      i > current + 2 &&
      !infinitive &&
      !(before && (SUBJECTS.has(before.word) || AUXILIARIES.has(before.word) || NEGATORS.has(before.word)));
    if (state && state.verb === null && !anew) {
      starts.set(current, { ...state, verb: deed, verbAt: i });
      continue;
    }
    if (infinitive || gerund) continue;
    if (deed.form === 's' && !behindMark) continue;
    open(i, deed, i, null);
  }
  const sorted = [...starts.entries()].sort((a, b) => a[0] - b[0]);
  return sorted
    .map(([begin, s], k): ClauseSpan => ({
      from: begin,
      to: sorted[k + 1]?.[0] ?? to,
      fresh: fresh.has(begin),
      ...s,
    }))
    .filter((c) => c.to > c.from);
}
