import { isHarmless, tokens } from '@/core/food/tokens';
import { scanOf } from '@/core/read/brought/brought';
import { mentionOf } from '@/core/read/brought/mention';
import { foodsOf } from '@/core/read/brought/scan';
import { refersTo } from '@/core/read/refer';
import { STEP_WORDS, verbOf } from '@/core/step/lexicon';
import { isBygone } from '@/core/step/bygone';
import { othersWay } from '@/core/step/others';
import { isOthers } from '@/core/step/somebody';
import { answersNo, isReplaced, takesBack } from '@/core/step/taken-back';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';

/** A place in a step or a note that names a food, in characters of the recipe's text. */
export interface Place {
  readonly start: number;
  readonly end: number;
}

/** "everything except the cream": what is left out of one deed only. */
export const EXCEPT = new Set(['except', 'but', 'bar', 'minus', 'excluding']);

/** What the method and the notes say of the list. */
export interface Mentions {
  /** Where each listed line is spoken of. */
  readonly of: ReadonlyMap<ReadLine, readonly Place[]>;
  /** Foods of another's way, of another time or of what is not done here: their words stay. */
  readonly asides: readonly Place[];
  /** Foods that a sentence says to leave out: "I skip the oil". */
  readonly refused: readonly Place[];
}

const known = new WeakMap<ReadRecipe, Mentions>();

/** Words that a whole part goes by as often as one of its foods: "all the sauce" is not the soy sauce. */
const OF_A_PART = new Set(['sauce', 'paste', 'dressing', 'mix', 'filling', 'topping', 'dip', 'cream']);

/** True where words name a line: they share one with it, or point at it; a word for the whole part points at no line. */
function isNamedBy(line: ReadLine, words: readonly string[], definite: boolean): boolean {
  const [only] = words;
  if (words.length === 1 && OF_A_PART.has(only ?? '')) return false;
  const own = new Set(
    tokens(
      [line.line.text, ...line.foods.flatMap((f) => (f.food ? [f.food.name, ...f.food.names] : []))].join(
        ' ',
      ),
    ),
  );
  // "coriander, nuts & couscous": the word of its family
  const family = STEP_WORDS.families[words.join(' ')];
  const kin = family?.some((k) => line.foods.some((f) => f.food?.kind === k)) === true;
  // "the date paste" is not the miso paste
  const told = words.slice(0, -1).filter((w) => !isHarmless(w) && verbOf(w)?.form !== 'ed');
  if (!kin && told.length > 0 && !told.some((w) => own.has(w))) return false;
  return definite || kin || words.some((w) => own.has(w));
}

/**
 * Where the method speaks of each listed line, by the parse that the audit rests on: "the walnuts" of the walnut halves,
 * "the sauce" of the hoisin. A word that may be several lines' is nobody's.
 */
export function mentionsOf(read: ReadRecipe, settings: ReadSettings): Mentions {
  const before = known.get(read);
  if (before) return before;
  const listed = read.lines.filter((l) => l.origin === 'ingredients');
  const { recipe } = read;
  const scan = scanOf(
    { steps: recipe.steps, title: recipe.title, lines: recipe.lines, notes: recipe.notes },
    listed,
    settings,
    read.servings,
  );
  const out = new Map<ReadLine, Place[]>();
  const asides: Place[] = [];
  const refused: Place[] = [];
  for (const [i, { source, sentence: s }] of scan.sentences.entries()) {
    if (source.names || source.tail) continue;
    const next = scan.sentences[i + 1];
    // "Drizzle more oil? Not here."
    const back =
      next?.source === source && (takesBack(next.sentence, s) || (s.asks && answersNo(next.sentence)));
    for (const c of s.clauses)
      for (const named of foodsOf(s, c)) {
        const m = mentionOf(scan, source, s, c, named.from, named.to, named.id);
        if (!m) continue;
        const place = {
          start: source.start + (s.tokens[named.from]?.start ?? 0),
          end: source.start + (s.tokens[named.to - 1]?.end ?? 0),
        };
        const isBack = back && (c === s.clauses.at(-1) || isOthers(s, c));
        const told =
          isReplaced(s, c, named.to) || othersWay(s, c, named.from) === 'remark' || isBygone(s, named.from);
        if (isBack || (m.polarity === 'remark' && told)) asides.push(place);
        if (isBack) continue;
        const excepted = s.tokens
          .slice(Math.max(c.from, named.from - 3), named.from)
          .some((t) => EXCEPT.has(t.word));
        if (m.polarity === 'not' && !excepted) refused.push(place);
        if (m.polarity === 'not' || m.polarity === 'remark') continue;
        const lines = refersTo(m.food, m.words, m.definite, scan.cover, m.stated).map((i) => listed[i]);
        const exact = lines.filter((l) => l?.foods.some((f) => f.food?.id === m.food.id));
        const line = exact.length === 1 ? exact[0] : lines.length === 1 ? lines[0] : undefined;
        if (!line || !isNamedBy(line, m.words, m.definite)) continue;
        const list = out.get(line);
        if (list) list.push(place);
        else out.set(line, [place]);
      }
  }
  const mentions: Mentions = { of: out, asides, refused };
  known.set(read, mentions);
  return mentions;
}
