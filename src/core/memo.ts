/**
 * Remembers what a pure function of one string gave. A recipe is read again at every key stroke with
 * nearly all its lines as they were; emptied when full, so that it stays small.
 */
export function remember<T>(read: (text: string) => T, limit = 4000): (text: string) => T {
  const known = new Map<string, T>();
  return (text) => {
    const before = known.get(text);
    if (before !== undefined) return before;
    const value = read(text);
    if (known.size >= limit) known.clear();
    known.set(text, value);
    return value;
  };
}
