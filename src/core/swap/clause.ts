import { TABLE_LARDER } from '@/core/food/larder';
import { namerOf } from '@/core/read/brought/namer';
import { sentencesOf, type ClauseSpan, type Sentence } from '@/core/step/clauses';
import { CONJUNCTIONS, verbOf } from '@/core/step/lexicon';
import { isOthers } from '@/core/step/somebody';
import { tokensOf, wordAt } from '@/core/step/tokens';
import { remember } from '@/core/memo';

const parsed = remember((text: string): readonly Sentence[] =>
  sentencesOf(tokensOf(text), namerOf(TABLE_LARDER)),
);

/** The clause at a place of a text, with the token there; null where no clause is. */
export function clauseAt(text: string, at: number): { s: Sentence; c: ClauseSpan; i: number } | null {
  for (const s of parsed(text))
    for (const c of s.clauses)
      for (let i = c.from; i < c.to; i += 1) {
        const t = s.tokens[i];
        if (t && t.start <= at && at < t.end) return { s, c, i };
      }
  return null;
}

/** True where the word at a place is what is done: "Oil a tin", "butter each slice". */
export function isDeed(text: string, at: number): boolean {
  const found = clauseAt(text, at);
  return found !== null && found.c.verbAt === found.i && found.c.verb?.form === 'base';
}

/** A text without the clause whose deed stands at a place: "…, and season" goes. */
export function withoutDeed(text: string, at: number): string | null {
  const found = clauseAt(text, at);
  return found ? withoutClause(text, found.s, found.c) : null;
}

/** Deeds that are nothing without what they are done with. */
export const NEEDS_FOOD = new Set(
  'deglaze top garnish decorate sprinkle scatter drizzle dust finish brush dot add stir fold swirl pour put spoon dress trickle mix whisk beat season coat crumble grate pile'.split(
    ' ',
  ),
);
export const WARMS = new Set(['heat', 'warm', 'melt']);
const JOINTS = new Set([',', 'and', 'then', ';', '&']);

/** The text without a stretch of tokens; a capital where a sentence now begins. */
export function cut(text: string, s: Sentence, from: number, to: number): string {
  const start = s.tokens[from]?.start ?? 0;
  const end = to > from ? (s.tokens[to - 1]?.end ?? start) : start;
  const head = text.slice(0, start).trimEnd();
  const tail = text.slice(end).trimStart();
  const opens = head === '' || /[.!?:]$/.test(head);
  const gap =
    head === '' || /^[,.;!?)]/.test(tail) || tail === ''
      ? ''
      : text.slice(head.length, start).includes('\n')
        ? '\n'
        : ' ';
  // a cook who writes no capitals gets none
  const capital = opens && !/^\p{Ll}/u.test(text.slice(start));
  return `${head}${gap}${capital && tail ? tail.charAt(0).toUpperCase() + tail.slice(1) : tail}`;
}

/** Openers of what is said of the clause before them. */
const DEPENDS = new Set([
  'if',
  'unless',
  'until',
  'till',
  'so',
  'because',
  'before',
  'after',
  'while',
  'when',
]);

/** Deeds to what was just spoken of, where they name nothing. */
const DONE_TO_IT = new Set(['chop', 'slice', 'crush', 'grind', 'halve', 'dice', 'crumble', 'mince']);

/** Whether a clause says something only of what the one before it names. */
function dependsOn(s: Sentence, next: ClauseSpan): boolean {
  if (DEPENDS.has(next.opener ?? '')) return true;
  const words = s.tokens.slice(next.from, next.to);
  const named = s.named.slice(next.from - s.from, next.to - s.from).some((n) => n?.kind === 'food');
  // how long something else is cooked stays
  if (named || words.some((t) => t.kind === 'number' || t.word === 'until')) return false;
  return words.some((t) => t.word === 'it' || t.word === 'them') || DONE_TO_IT.has(next.verb?.verb.id ?? '');
}

/** Where the conditions begin that stand before a clause and belong to it alone; its own beginning where none do. */
export function ledFrom(s: Sentence, c: ClauseSpan): number {
  let led = s.clauses.indexOf(c);
  while (led > 0 && DEPENDS.has(s.clauses[led - 1]?.opener ?? '')) led -= 1;
  const opens = s.clauses[led];
  return led > 0 && opens && wordAt(s.tokens, opens.from) === 'and' ? opens.from : c.from;
}

/** A clause left out with what joins it to the others; the whole sentence where it is the only one. */
export function withoutClause(text: string, s: Sentence, c: ClauseSpan, withDependents = false): string {
  if (withDependents) {
    const at = s.clauses.indexOf(c);
    const next = s.clauses[at + 1];
    const last = s.clauses[at - 1];
    // "add the salt if you like", "set the nuts to cool, then chop them": what depends on it goes with it
    if (next && dependsOn(s, next)) {
      const both = { ...c, to: next.to };
      const rest = { ...s, clauses: s.clauses.flatMap((x) => (x === next ? [] : [x === c ? both : x])) };
      return withoutClause(text, rest, both, true);
    }
    // "…, and if Bea's not here, because she's allergic, I'll do a small handful"
    const opens = ledFrom(s, c);
    if (opens < c.from && !next) return withoutClause(text, s, { ...c, from: opens });
    if (last && !next && at === 1 && last.opener === 'if')
      return withoutClause(text, s, { ...c, from: last.from });
  }
  const own = s.clauses.filter((x) => x.to > x.from);
  const isWord = (i: number) => s.tokens[i]?.kind === 'word' || s.tokens[i]?.kind === 'number';
  let { from, to } = c;
  while (to > from && !isWord(to - 1)) to -= 1;
  while (to > from && CONJUNCTIONS.has(wordAt(s.tokens, to - 1))) to -= 1;
  const before = own.some((x) => x.to <= c.from);
  const after = own.some((x) => x.from >= c.to);
  if (before) {
    while (from > s.from && JOINTS.has(wordAt(s.tokens, from - 1))) from -= 1;
    return cut(text, s, from, to);
  }
  if (after) {
    while (to < s.to && (JOINTS.has(wordAt(s.tokens, to)) || !isWord(to))) to += 1;
    return cut(text, s, from, to);
  }
  // the only clause: the sentence goes with its mark
  const end = s.tokens[s.to]?.word === '.' || s.tokens[s.to]?.word === '!' ? s.to + 1 : s.to;
  return cut(text, s, s.from, Math.max(end, to));
}

const INSTEAD = new Set(['instead', 'rather', 'replacing', 'lieu']);

/** A text without the sentence that tells of a food and of no other; null where it tells of more. */
export function withoutSentence(text: string, start: number, end: number): string | null {
  const found = clauseAt(text, Math.max(start, end - 1));
  if (!found) return null;
  const { s } = found;
  let depth = 0;
  for (let k = s.from; k < s.to; k += 1) {
    const t = s.tokens[k];
    if (t?.word === '(') depth += 1;
    if (t?.word === ')') depth -= 1;
    const own = t !== undefined && t.start < end && t.end > start;
    // "instead of the almonds": what it stands in for is told elsewhere
    const instead = s.tokens.slice(Math.max(s.from, k - 3), k).some((x) => INSTEAD.has(x.word));
    // what stands in brackets is said of it
    if (depth === 0 && !own && !instead && s.named[k - s.from]?.kind === 'food') return null;
  }
  return cut(text, s, s.from, ['.', '!'].includes(wordAt(s.tokens, s.to)) ? s.to + 1 : s.to);
}

/** A text without the sentence in which somebody else does it otherwise; null where it is told of this kitchen. */
export function withoutOthers(text: string, at: number): string | null {
  const found = clauseAt(text, at);
  if (!found) return null;
  const { s } = found;
  const [first] = s.clauses;
  if (!first || !isOthers(s, first) || s.clauses.some((c) => SUBJECTS_HERE.has(wordAt(s.tokens, c.from))))
    return null;
  return cut(text, s, s.from, ['.', '!'].includes(wordAt(s.tokens, s.to)) ? s.to + 1 : s.to);
}
const SUBJECTS_HERE = new Set(['i', 'we', 'here', 'now', 'mine', 'ours']);

const BARE = new RegExp(
  String.raw`(?:^|(?<=[.!?;]\s))\s*(?:then |and |finally,? )?(?:${[...NEEDS_FOOD].join('|')})(?: (?:over|on top|through|in|with|it|them|up))?\s*[.!;](?=\s|$)`,
  'gi',
);

/** Sentences that say to do something with nothing: "Decorate." */
export const withoutBareDeeds = (text: string, was: string): string =>
  text
    .replace(BARE, (bare) => (was.includes(bare.trim()) ? bare : ''))
    .replace(/ {2,}/g, ' ')
    .trim();

/** What a deed of fat becomes: what stands in the pan behind its object, paper for the tin, wet hands for oiled ones. */
export function otherwiseDone(text: string, at: number, medium: string): string | null {
  const found = clauseAt(text, at);
  if (!found) return null;
  const { s, c, i } = found;
  const word = s.tokens[i];
  if (word?.word === 'oily')
    return `${text.slice(0, word.start).replace(/\b([Aa])n(\s+)$/, '$1$2')}damp${text.slice(word.end)}`;
  const hit = verbOf(word?.word ?? '');
  if (!word || !hit) return null;
  const capital = /^[A-Z]/.test(text.slice(word.start));
  const cased = (w: string) => (capital ? w.charAt(0).toUpperCase() + w.slice(1) : w);
  const tool = s.named.slice(i + 1 - s.from, c.to - s.from).find((n) => n?.kind === 'tool');
  if (hit.verb.food && hit.form === 'ed') {
    const put = tool ? 'lined' : 'wet';
    return `${text.slice(0, word.start)}${cased(put)}${text.slice(word.end)}`;
  }
  if (hit.verb.food && tool && i === c.verbAt) {
    const end = s.tokens[tool.to - 1]?.end ?? word.end;
    // "generously", "lightly": how much of what is no more
    const behind = text
      .slice(end)
      .replace(/^\s+(?:well|lightly|generously|liberally|very lightly|all over)\b/, '');
    return `${text.slice(0, word.start)}${cased('line')}${text.slice(word.end, end)} with baking paper${behind}`;
  }
  if (hit.verb.fat && (i === c.verbAt || hit.form === 'base')) {
    let k = i + 1;
    const stops = (t: string) =>
      ['for', 'until', 'till', 'over', 'on', 'in', 'at', 'with', 'then', 'while'].includes(t);
    while (
      k < c.to &&
      !stops(wordAt(s.tokens, k)) &&
      !(s.tokens[k]?.kind === 'mark' && wordAt(s.tokens, k) !== ',')
    )
      k += 1;
    while (k > i + 1 && (s.tokens[k - 1]?.kind === 'mark' || CONJUNCTIONS.has(wordAt(s.tokens, k - 1))))
      k -= 1;
    const place = s.tokens[k - 1]?.end ?? word.end;
    return `${text.slice(0, place)} in ${medium}${text.slice(place)}`;
  }
  return null;
}
