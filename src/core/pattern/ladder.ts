import { gate, lettersOf, type Letters } from './letters';

/** One way to write something another way: the pattern, and what it becomes. */
export interface Rewrite {
  /** False where the letters of a text say that there is nothing to rewrite. */
  readonly may: (letters: Letters) => boolean;
  readonly run: (text: string) => string;
}

type To = string | ((...found: never[]) => string);

/** What a pattern finds, written another way, as `String.replace` does. */
export function rewrite(pattern: RegExp, to: To): Rewrite {
  const by = to as string;
  return { may: gate(pattern), run: (text) => text.replace(pattern, by) };
}

/** A rewrite that no pattern tells: always tried. */
export const always = (run: (text: string) => string): Rewrite => ({ may: () => true, run });

/** Every rewrite in its turn, each on what those before it made; one that cannot fit is passed over. */
export function ladder(rewrites: readonly Rewrite[]): (text: string) => string {
  return (text) => {
    let said = text;
    let letters = lettersOf(said);
    for (const { may, run } of rewrites) {
      if (!may(letters)) continue;
      const now = run(said);
      if (now === said) continue;
      said = now;
      letters = lettersOf(said);
    }
    return said;
  };
}
