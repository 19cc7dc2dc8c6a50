import { sentencesOf } from './clauses';
import { polarityOf, verbNegated } from './polarity';
import { tokensOf } from './tokens';

/** True where a text says of the words at a place that they are left out, or only compares with them. */
export function negated(text: string, start: number, end: number): boolean {
  for (const s of sentencesOf(tokensOf(text), () => null))
    for (const c of s.clauses) {
      let from = c.from;
      while (from < c.to && (s.tokens[from]?.end ?? 0) <= start) from += 1;
      if (from >= c.to || (s.tokens[from]?.start ?? 0) >= end) continue;
      let to = from;
      while (to < c.to && (s.tokens[to]?.start ?? Infinity) < end) to += 1;
      // the deed itself: "do not fry"
      if (c.verbAt >= from && c.verbAt < to && verbNegated(s, c)) return true;
      const polarity = polarityOf(s, c, from, to);
      return polarity === 'not' || polarity === 'remark';
    }
  return false;
}
