import { gate, lettersOf } from './letters';

/** A pattern that is looked for only where the letters of a text allow it; never a sticky one. */
export interface Pattern {
  test(text: string): boolean;
  exec(text: string): RegExpExecArray | null;
  replace(text: string, to: string | ((...found: string[]) => string)): string;
  all(text: string): Iterable<RegExpExecArray>;
}

/**
 * A pattern of many that are tried on the same text: most of them cannot fit, and are never made ready nor run. For a
 * pattern that is asked of a text alone, the plain one is quicker.
 */
export function pattern(of: RegExp): Pattern {
  const may = gate(of);
  return {
    test: (text) => may(lettersOf(text)) && of.test(text),
    exec: (text) => (may(lettersOf(text)) ? of.exec(text) : null),
    replace: (text, to) => (may(lettersOf(text)) ? text.replace(of, to as string) : text),
    all: (text) => (may(lettersOf(text)) ? text.matchAll(of) : []),
  };
}
