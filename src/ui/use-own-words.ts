'use client';
import { startTransition, useState } from 'react';

/**
 * Words that a field shows at once as they are typed, while what follows from them is worked out behind: a slow device
 * never waits for an audit to see its letters. Words that come from elsewhere (an undo, another window) are shown as
 * they come.
 *
 * @param words as they are known outside
 * @param onWords told of every change, in a transition
 */
export function useOwnWords(
  words: string,
  onWords: (words: string) => void,
): readonly [string, (words: string) => void] {
  // null while the field is no further than what is known
  const [ahead, setAhead] = useState<string | null>(null);
  const type = (next: string) => {
    setAhead(next);
    startTransition(() => {
      onWords(next);
      setAhead(null);
    });
  };
  return [ahead ?? words, type];
}
