/** Characters of what was read, and readings, that one memory holds. */
const MOST_TEXT = 400_000;

/**
 * Remembers what a pure function of one string gave. A recipe is read again at every key stroke with
 * nearly all its lines as they were. Bounded by how many and by how much text it holds; emptied when full.
 */
export function remember<T>(read: (text: string) => T, limit = 4000): (text: string) => T {
  const known = new Map<string, T>();
  let size = 0;
  return (text) => {
    const before = known.get(text);
    if (before !== undefined) return before;
    const value = read(text);
    // what is longer than any line is read again where it comes again
    if (text.length > MOST_TEXT / 20) return value;
    if (known.size >= limit || size + text.length > MOST_TEXT) {
      known.clear();
      size = 0;
    }
    known.set(text, value);
    size += text.length;
    return value;
  };
}

/**
 * Remembers what was said of a part of something immutable, for as long as that part lives: a clause of a long sentence
 * is asked the same for each of the foods in it.
 *
 * @param of a pure function of the whole and its part; a part belongs to one whole only
 */
export function rememberPart<W, P extends object, T>(of: (whole: W, part: P) => T): (whole: W, part: P) => T {
  const known = new WeakMap<P, { readonly value: T }>();
  return (whole, part) => {
    const before = known.get(part);
    if (before) return before.value;
    const value = of(whole, part);
    known.set(part, { value });
    return value;
  };
}
