/** One stretch of a text that became another: all that an edit changed. */
export interface Splice {
  readonly at: number;
  readonly was: string;
  readonly now: string;
}

/** What turned one text into another, as one stretch; linear in their length. */
export function spliceOf(before: string, after: string): Splice {
  const most = Math.min(before.length, after.length);
  let head = 0;
  while (head < most && before[head] === after[head]) head += 1;
  let tail = 0;
  while (tail < most - head && before[before.length - 1 - tail] === after[after.length - 1 - tail]) tail += 1;
  return {
    at: head,
    was: before.slice(head, before.length - tail),
    now: after.slice(head, after.length - tail),
  };
}

export const inverse = ({ at, was, now }: Splice): Splice => ({ at, was: now, now: was });

/** The text after a splice; null where what it replaces does not stand there. */
export const spliced = (text: string, { at, was, now }: Splice): string | null =>
  text.startsWith(was, at) ? text.slice(0, at) + now + text.slice(at + was.length) : null;

/** A splice moved over another one that came first; null where both touch the same words. */
export function over(own: Splice, first: Splice): Splice | null {
  if (own.at + own.was.length < first.at || (own.at + own.was.length === first.at && own.was.length > 0))
    return own;
  if (
    own.at >= first.at + first.was.length &&
    !(own.at === first.at && own.was.length === 0 && first.was.length === 0)
  )
    return { ...own, at: own.at + first.now.length - first.was.length };
  return null;
}
