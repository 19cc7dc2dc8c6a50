import raw from '@content/compiled/beliefs.json';
import { remember } from '@/core/memo';
import { AT, type Field } from '@/core/food/nutrients';
import { showRange } from '@/core/format/figures';
import { sumBounds } from '@/core/range/bounds';
import { over, type Range } from '@/core/range/range';
import { negated } from '@/core/step/negated';
import type { ReadLine } from '@/core/read/types';
import type { BeliefFile } from './schema';

// checked by Zod when content is compiled
const file = raw as unknown as BeliefFile;
const beliefs = file.beliefs.map((b) => ({ ...b, words: b.words ? new RegExp(b.words, 'i') : null }));
const techniques = file.techniques.map((t) => ({ ...t, regex: new RegExp(t.pattern, 'gi') }));

const CARRIES: Partial<Record<Field, string>> = {
  sodiumMg: 'mg sodium',
  freeSugarG: 'g free sugar',
  fatG: 'g fat',
};

/** A belief about a line's food that is not so, in plain words with what the line carries a plate. */
export interface BeliefNote {
  readonly rule: string;
  readonly says: string;
}

/** What is often believed of a line's food and is not so; null for most foods. */
export function beliefOf(line: ReadLine, servings: Range): BeliefNote | null {
  const food = line.foods[0]?.food;
  if (!food || food.own) return null;
  const belief = beliefs.find(
    (b) =>
      ((b.foods?.includes(food.id) ?? false) || (b.kinds?.includes(food.kind) ?? false)) &&
      (b.words === null || b.words.test(line.line.text)),
  );
  if (!belief) return null;
  const sum = line.corners ? over(sumBounds([line.corners], AT[belief.carries]), servings) : null;
  const amount =
    sum && !Number.isNaN(sum.high) && sum.high > 0
      ? `: ${showRange(sum)} ${CARRIES[belief.carries] ?? ''} a plate here`
      : '';
  return { rule: belief.rule, says: `${belief.says}${amount}` };
}

/** A technique that a step asks for and that needs a change once the oil is gone. */
export interface TechniqueNote {
  readonly id: string;
  readonly says: string;
  readonly span: readonly [number, number];
}

function techniquesNow(text: string): readonly TechniqueNote[] {
  const out: TechniqueNote[] = [];
  for (const { id, regex, says } of techniques) {
    regex.lastIndex = 0;
    const m = regex.exec(text);
    if (!m || negated(text, m.index, m.index + m[0].length)) continue;
    // "dry-fry", "fry in a dry pan", "sauté in stock": the change is made already
    const around = text.slice(Math.max(0, m.index - 24), m.index + m[0].length + 60);
    if (
      /\bdry\b|\b(?:in|with) (?:a (?:little |splash of |few spoons? of )?)?(?:water|stock|broth|vinegar|wine|lemon)|without oil|no oil|oil[- ]free/i.test(
        around,
      )
    )
      continue;
    // one note for one stretch of words
    if (out.some((o) => m.index < o.span[1] && m.index + m[0].length > o.span[0])) continue;
    out.push({ id, says, span: [m.index, m.index + m[0].length] });
  }
  return out;
}

/** What a step does with oil or fat, each technique once, with what to do instead. */
export const techniquesIn = remember(techniquesNow);
