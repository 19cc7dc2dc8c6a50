import { rewrite, type Rewrite } from '@/core/pattern/ladder';

/** One way of talking, with an example and what is read of it: the test runs every one. */
export interface Rung extends Rewrite {
  readonly says: string;
  readonly reads: string;
}

export const rung = (
  says: string,
  reads: string,
  pattern: RegExp,
  to: string | ((...found: string[]) => string),
): Rung => ({
  says,
  reads,
  ...rewrite(pattern, to),
});
