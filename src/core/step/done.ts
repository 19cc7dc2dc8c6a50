import { remember } from '@/core/memo';
import { sentencesOf, type ClauseSpan, type Sentence } from './clauses';
import { isRemark } from './remark';
import { verbNegated } from './polarity';
import { tokensOf } from './tokens';

/** True where a clause says what is done here: not what is left undone, told of others, or only waited for. */
const isDone = (s: Sentence, c: ClauseSpan): boolean => !verbNegated(s, c) && !isRemark(s, c);

/**
 * The words of a text that say what is done with this dish, clause by clause; what is negated or only told of is blank,
 * so that places stay. For those who look for a technique in a step ("boil", "blend"): "do not boil" is none.
 */
export const doneText = remember((text: string): string => {
  let out = '';
  let at = 0;
  for (const s of sentencesOf(tokensOf(text), () => null))
    for (const c of s.clauses) {
      const start = s.tokens[c.from]?.start ?? at;
      const end = s.tokens[c.to - 1]?.end ?? start;
      if (start < at) continue;
      out += text.slice(at, start);
      out += isDone(s, c) ? text.slice(start, end) : ' '.repeat(end - start);
      at = end;
    }
  return out + text.slice(at);
});
