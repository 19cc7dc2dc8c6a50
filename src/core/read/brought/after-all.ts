import { type ClauseSpan, type Named, type Sentence } from '@/core/step/clauses';
import { NEGATORS, PREPOSITIONS } from '@/core/step/lexicon';
import { PAST, PEOPLE } from '@/core/step/people';
import { polarityOf } from '@/core/step/polarity';
import { foodsOf, readPhrase, textOf, type Scan, type Source } from './scan';
import { methodLine } from './take';

/** Measures of a little. */
const SPOONS =
  /^(?:tsps?|tbsps?|t|teaspoons?|tablespoons?|spoons?|spoonfuls?|pinch|drops?|dash|splash|drizzle|wipe|smear|scrape|spray|knob|touch)$/;
/** Measures of anything, which need a word that says that it is the exception. */
const OTHERS = /^(?:g|ml|cups?|grams?|oz|handfuls?|cubes?)$/;
const NUMBERS = new Set('a an one two three half quarter eighth couple'.split(' '));
const SIZES = new Set('level heaped scant good small little tiny big wee single of the'.split(' '));
/** Words before an amount by which it goes in after all. */
const EXCEPT = new Set('except bar barring apart beyond besides just only maybe perhaps'.split(' '));
/** Words before an amount by which somebody here puts it in. */
const GOES_IN = new Set(
  "to speak of much well or but about at up to around roughly most then i we do put use add have allow need take it's is that's there's goes in from for and so really these days now if anything".split(
    ' ',
  ),
);
/** Words by which an amount is no part of the dish: another's, of then, compared, or refused as well. */
const NOT_HERE = new Set(
  'than instead even was were used would saves save saved like usual usually original book recipe recipes packet label says said calls called without never no not none nor neither ever'.split(
    ' ',
  ),
);
/** Words of a refusal that a food's own polarity does not show. */
const REFUSES = new Set([
  ...NEGATORS,
  ...'hardly barely scarcely none nope skip without omit little nothing nor'.split(' '),
]);
/** How many tokens an exception may stand behind what it is of. */
const REACH = 16;

/** Where the words of an amount that ends at a measure begin; -1 where no number stands before it. */
function opensAt(s: Sentence, from: number, measure: number): number {
  let k = measure;
  while (k > from) {
    const t = s.tokens[k - 1];
    if (t?.kind !== 'number' && !NUMBERS.has(t?.word ?? '') && !SIZES.has(t?.word ?? '')) break;
    k -= 1;
  }
  while (k < measure && ['of', 'the'].includes(s.tokens[k]?.word ?? '')) k += 1;
  return k < measure ? k : -1;
}

/** Foods of a sentence that it refuses. */
const refusedIn = (s: Sentence): Named[] =>
  s.clauses.flatMap((c) =>
    [...foodsOf(s, c), ...undone(s, c)].filter((n) => {
      if (n.from === c.verbAt) return true;
      if (n.id === 'water' || ['if', 'until', 'till', 'unless', 'when'].includes(c.opener ?? ''))
        return false;
      const polarity = polarityOf(s, c, n.from, n.to);
      if (polarity === 'not') return true;
      const said = s.tokens.slice(s.from, s.to).some((t) => REFUSES.has(t.word));
      return polarity === 'remark' && said && !isTheirs(s, c, n.from);
    }),
  );

/** "we don't salt it": the deed is the food's name. */
const undone = (s: Sentence, c: ClauseSpan): Named[] => {
  const own = s.named[c.verbAt - s.from];
  const said = SALTS.has(s.tokens[c.verbAt]?.word ?? '') && c.verbAt >= 0;
  // "salt I don't really"
  const first = c.to - c.from === 1 && ['i', 'we'].includes(s.tokens[c.to]?.word ?? '');
  const to = first ? Math.min(s.to, c.to + 3) : c.to;
  const denies = said && s.tokens.slice(c.from, to).some((t) => REFUSES.has(t.word));
  return !denies ? [] : [own ?? { kind: 'food', id: 'salt', from: c.verbAt, to: c.verbAt + 1 }];
};
const SALTS = new Set(['salt', 'sugar', 'oil', 'butter']);

/** "the book has 2 tbsp oil, we don't": what is refused is another's. */
const isTheirs = (s: Sentence, c: ClauseSpan, to: number): boolean =>
  s.tokens.slice(c.from, to).some((t) => PEOPLE.has(t.word) || PAST.has(t.word));

/** An amount that names no food, behind what its sentence or the one before refuses. */
interface Exception {
  readonly from: number;
  readonly to: number;
  readonly optional: boolean;
}

/** "no oil except 1 tsp for the tin", "salt, I don't really, maybe a quarter teaspoon in the pan". */
function exceptions(s: Sentence, after: number, refusedBefore: boolean): Exception[] {
  const out: Exception[] = [];
  for (let i = Math.max(after, s.from); i < Math.min(s.to, after + REACH); i += 1) {
    const word = s.tokens[i]?.word ?? '';
    const spoon = SPOONS.test(word);
    if (!spoon && !OTHERS.test(word)) continue;
    const from = opensAt(s, after, i);
    if (from < 0) continue;
    // what it is of is told, or it goes in so much at a time
    const next = s.tokens[i + 1];
    const ends = i + 1 >= s.to || next?.kind === 'mark';
    const placed = PREPOSITIONS.has(next?.word ?? '') || LEADS_ON.has(next?.word ?? '');
    if ((!ends && !placed) || next?.word === 'of') continue;
    if (['a', 'the'].includes(s.tokens[i + 2]?.word ?? '') && s.tokens[i + 3]?.word === 'time') continue;
    let open = from;
    while (open > after && s.tokens[open - 1]?.kind !== 'mark') open -= 1;
    const lead = s.tokens.slice(Math.max(open, after), from).map((t) => t.word);
    // "olive oil 4 tbsp - crossed out": what is refused as well
    if (!refusedBefore && !s.tokens.slice(s.from, from).some((t) => REFUSES.has(t.word))) continue;
    if (lead.some((w) => NOT_HERE.has(w) || PEOPLE.has(w) || PAST.has(w))) continue;
    const excepted = lead.some((w) => EXCEPT.has(w));
    if (!lead.every((w) => EXCEPT.has(w) || GOES_IN.has(w))) continue;
    const behind = s.tokens.slice(i + 1, Math.min(s.to, i + 8)).map((t) => t.word);
    if (!spoon && !excepted && !(behind[0] === 'at' && behind[1] === 'most')) continue;
    if (behind.some((w) => ['less', 'saved', 'instead', 'originally', 'before'].includes(w))) continue;
    out.push({
      from,
      to: i + 1,
      optional: [...lead, ...behind].some((w) => ['if', 'or', 'unless'].includes(w)),
    });
  }
  return out;
}
const LEADS_ON = new Set(
  'if when max maximum tops each per all total really then so because as and or only'.split(' '),
);

/** "none", "not here": a sentence that refuses and says nothing else. */
const refusesAll = (s: Sentence): boolean =>
  s.to - s.from <= 4 && s.tokens.slice(s.from, s.to).some((t) => REFUSES.has(t.word));

/** The refused food that an amount behind it is of: a pinch is of salt where that is one of them. */
const ofWhich = (s: Sentence, refused: readonly Named[], e: Exception, before: number): Named | undefined => {
  const near = refused.filter((n) => n.to <= before);
  const pinch = s.tokens[e.to - 1]?.word === 'pinch';
  return near.find((n) => pinch && n.id === 'salt') ?? near.at(-1);
};

/**
 * Brings what a sentence refuses and then takes a little of after all. The refusal may stand in the sentence before,
 * where that says nothing else: "Salt? Not really, a teaspoon if the tomatoes are sharp."
 */
export function afterAll(scan: Scan, source: Source, s: Sentence, before: Sentence | undefined): void {
  if (source.names || source.tail) return;
  const own = refusedIn(s);
  const [first] = own;
  const push = (e: Exception, name: string) => {
    const each = ['each', 'pp', 'apiece'].includes(s.tokens[e.to]?.word ?? '') ? ' each' : '';
    const phrase = `${textOf(source, s, e.from, e.to)} ${name}${each}`;
    const read = readPhrase(scan, phrase);
    const span: [number, number] = [s.tokens[e.from]?.start ?? 0, s.tokens[e.to - 1]?.end ?? 0];
    scan.out.push(methodLine(source, span, phrase, read, e.optional ? 'optional' : 'do'));
  };
  if (first) {
    for (const e of exceptions(s, first.to, false)) {
      const named = ofWhich(s, own, e, e.from);
      // what stands between them is its own
      const between = s.clauses.some((c) =>
        foodsOf(s, c).some((f) => f.from >= (named?.to ?? 0) && f.from < e.from && !own.includes(f)),
      );
      if (named && !between) push(e, textOf(source, s, named.from, named.to));
    }
    return;
  }
  const short = before && before.to - before.from <= 6;
  if (!before || !short) return;
  // "Salt: none. 1 tsp at the end if I must"
  const label = before.label.map((t) => t.word).join(' ');
  if (label && refusesAll(before) && before.label.length <= 2) {
    for (const e of exceptions(s, s.from, true)) push(e, label);
    return;
  }
  // "Oil: none, apart from a teaspoon", "Salt? Not really, a teaspoon"
  const asks = before.asks || (s.label.length > 0 && s.label[0] === before.tokens[before.from]);
  const told = asks ? before.clauses.flatMap((c) => foodsOf(before, c)) : refusedIn(before);
  const [named] = told;
  const denies = s.tokens.slice(s.from, s.to).some((t) => REFUSES.has(t.word));
  if (!named || (asks && !denies)) return;
  for (const e of exceptions(s, s.from, true)) {
    if (s.clauses.some((c) => foodsOf(s, c).some((f) => f.from < e.from))) continue;
    push(
      e,
      before.tokens
        .slice(named.from, named.to)
        .map((t) => t.word)
        .join(' '),
    );
  }
}
