import { readQuantity } from '@/core/measure/quantity';
import { range } from '@/core/range/range';
import { clean } from './clean';
import type { ServingsWords } from './servings';

/** "2 dumplings each": pieces that are called by their name. */
const NAMED_EACH =
  /^\W*(?:that's |we (?:have|eat) )?(\d|one|two|three|four|five|six) ([a-z]{3,}?)s? (?:each|apiece|per (?:person|head|plate)|a head)\b[.!]*$/;
/** "Roll 8 …", "into 8 …": how many of something are made. */
const MADE =
  /(?:\b(?:roll|shape|form|makes?|into|gives?|get|cuts?|press|pat)(?: (?:it|them|this|out|up|into|in|to|about|the mix(?:ture)?|the dough))* |[.;!]\s+)(\d{1,2}|six|eight|nine|ten|twelve) ((?:[a-z]+ ){0,2}[a-z]+)/g;
/** "4 sweet potatoes (250 g each)": how many of what, on the list. */
const LISTED = /^\W*(\d{1,2}|two|three|four|five|six|eight|ten|twelve) ((?:[a-z]+ ){0,3}[a-z]+s)\b(?! of\b)/;
const singular = (word: string): string => word.replace(/(?<=o)es$|s$/, '');
const numberOf = (word: string | undefined): number | null =>
  word ? (readQuantity(word, 0)?.low ?? null) : null;

/** How many pieces of each kind the steps of a recipe make, each step looked at once. */
export class PiecesMade {
  private readonly counts = new Map<string, number>();
  private seen = 0;

  /**
   * @param steps that make them
   * @param lines of the list, which may count them: "4 sweet potatoes"
   */
  constructor(
    private readonly steps: readonly { readonly text: string }[],
    private readonly lines: readonly { readonly text: string }[] = [],
  ) {}

  /** How many plates pieces that are called by their name make; null where it is not said. */
  plates(row: string): ServingsWords | null {
    const m = NAMED_EACH.exec(clean(row).toLowerCase());
    const each = numberOf(m?.[1]);
    if (!m?.[2] || each === null) return null;
    this.look();
    const all = this.counts.get(m[2]) ?? this.listed(m[2]);
    if (all === undefined || all < each) return null;
    return { range: range(all / each, all / each, all / each), text: `${row}, of ${all}`, reading: null };
  }

  /** How many of them the list holds; undefined where it does not count them. */
  private listed(piece: string): number | undefined {
    for (const { text } of this.lines) {
      const m = LISTED.exec(clean(text).toLowerCase());
      if (m?.[2]?.split(' ').some((word) => singular(word) === singular(piece)))
        return numberOf(m[1]) ?? undefined;
    }
    return undefined;
  }

  /** Counts what the steps since the last time make; what was said first holds. */
  private look(): void {
    for (; this.seen < this.steps.length; this.seen++) {
      const text = clean(this.steps[this.seen]?.text ?? '').toLowerCase();
      for (const m of text.matchAll(MADE)) {
        const many = numberOf(m[1]);
        // "8 small bean rolls": each of the words may be what they are called
        for (const word of many === null ? [] : (m[2] ?? '').split(' ')) {
          const piece = word.replace(/s$/, '');
          if (!this.counts.has(piece)) this.counts.set(piece, many ?? 0);
        }
      }
    }
  }
}
