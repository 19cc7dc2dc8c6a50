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
