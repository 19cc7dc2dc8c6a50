import { diff3Merge } from 'node-diff3';

/** A text that two kitchens changed, put together again. */
export interface Merged {
  readonly text: string;
  /** What both changed: the words of the one that was changed earlier, which gave way. */
  readonly clashes: readonly string[];
}

/**
 * Two states of a text put together line by line (a three-way merge): lines that one of them changed are as it has
 * them; where both changed the same lines, the later one's stand and the other's are told.
 *
 * @param base  as both had it last
 * @param later which of the two was changed later
 */
export function mergeTexts(base: string, here: string, there: string, later: 'here' | 'there'): Merged {
  const lines = (text: string) => text.split('\n');
  const out: string[] = [];
  const clashes: string[] = [];
  for (const region of diff3Merge(lines(here), lines(base), lines(there), { excludeFalseConflicts: true }))
    if (region.ok) out.push(...region.ok);
    else if (region.conflict) {
      const { a, o, b } = region.conflict;
      // neighbours that each changed one of are no clash
      const paired = a.length === o.length && b.length === o.length;
      const rows = paired ? o.map((was, i) => [a[i] ?? '', was, b[i] ?? ''] as const) : null;
      for (const [mine, was, theirs] of rows ?? []) {
        const clash = mine !== was && theirs !== was && mine !== theirs;
        out.push(clash ? (later === 'here' ? mine : theirs) : mine === was ? theirs : mine);
        if (clash) clashes.push((later === 'here' ? theirs : mine).trim());
      }
      if (rows) continue;
      out.push(...(later === 'here' ? a : b));
      clashes.push((later === 'here' ? b : a).join(' ').trim());
    }
  return { text: out.join('\n'), clashes };
}
