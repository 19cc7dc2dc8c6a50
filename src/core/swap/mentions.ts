import { tokens } from '@/core/food/tokens';
import { scanOf } from '@/core/read/brought/brought';
import { mentionOf } from '@/core/read/brought/mention';
import { foodsOf } from '@/core/read/brought/scan';
import { refersTo } from '@/core/read/refer';
import { STEP_WORDS } from '@/core/step/lexicon';
import type { ReadLine, ReadRecipe, ReadSettings } from '@/core/read/types';

/** A place in a step that names a food: characters from its step's start. */
export interface Place {
  readonly step: number;
  readonly start: number;
  readonly end: number;
}

const known = new WeakMap<ReadRecipe, ReadonlyMap<ReadLine, readonly Place[]>>();

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
  return definite || kin || words.some((w) => own.has(w));
}

/**
 * Where the method speaks of each listed line, by the parse that the audit rests on: "the walnuts" of the walnut halves,
 * "the sauce" of the hoisin. A word that may be several lines' is nobody's.
 */
export function mentionsOf(
  read: ReadRecipe,
  settings: ReadSettings,
): ReadonlyMap<ReadLine, readonly Place[]> {
  const before = known.get(read);
  if (before) return before;
  const listed = read.lines.filter((l) => l.origin === 'ingredients');
  const { recipe } = read;
  const scan = scanOf(
    { steps: recipe.steps, title: recipe.title, lines: recipe.lines },
    listed,
    settings,
    read.servings.range.best,
  );
  const out = new Map<ReadLine, Place[]>();
  for (const { source, sentence: s } of scan.sentences) {
    if (source.step === null) continue;
    for (const c of s.clauses)
      for (const named of foodsOf(s, c)) {
        const m = mentionOf(scan, source, s, c, named.from, named.to, named.id);
        if (!m || m.polarity === 'not' || m.polarity === 'remark') continue;
        const lines = refersTo(m.food, m.words, m.definite, scan.cover, m.stated).map((i) => listed[i]);
        const exact = lines.filter((l) => l?.foods.some((f) => f.food?.id === m.food.id));
        const line = exact.length === 1 ? exact[0] : lines.length === 1 ? lines[0] : undefined;
        if (!line || !isNamedBy(line, m.words, m.definite)) continue;
        const place = {
          step: source.step,
          start: s.tokens[named.from]?.start ?? 0,
          end: s.tokens[named.to - 1]?.end ?? 0,
        };
        const list = out.get(line);
        if (list) list.push(place);
        else out.set(line, [place]);
      }
  }
  known.set(read, out);
  return out;
}
