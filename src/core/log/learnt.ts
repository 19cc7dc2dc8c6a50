/** A cooking, as far as something is learnt from it. */
export interface Cooked {
  readonly added: readonly string[];
  readonly tookMinutes: number | null;
  readonly words: readonly { readonly liked: -1 | 0 | 1; readonly says: readonly string[] }[];
}

/** What several cookings of a dish say together. */
export interface Learnt {
  readonly times: number;
  /** Minutes it really took: least, middle, most; null where nobody timed it. */
  readonly minutes: readonly [number, number, number] | null;
  /** What was added at the stove, with how often, the oftenest first. */
  readonly added: readonly { readonly text: string; readonly times: number }[];
  readonly liked: number;
  readonly disliked: number;
  /** What eaters said, with how often, the oftenest first. */
  readonly said: readonly { readonly text: string; readonly times: number }[];
}

function counted(texts: readonly string[]): { text: string; times: number }[] {
  const times = new Map<string, number>();
  for (const text of texts) {
    const key = text.trim().toLowerCase();
    if (key) times.set(key, (times.get(key) ?? 0) + 1);
  }
  return [...times].map(([text, n]) => ({ text, times: n })).sort((a, b) => b.times - a.times);
}

/** What was learnt of a dish from all the times it was cooked. */
export function learntFrom(cookings: readonly Cooked[]): Learnt {
  const took = cookings.flatMap((c) => c.tookMinutes ?? []).sort((a, b) => a - b);
  const words = cookings.flatMap((c) => c.words);
  return {
    times: cookings.length,
    minutes:
      took.length > 0
        ? [took[0] as number, took[Math.floor((took.length - 1) / 2)] as number, took.at(-1) as number]
        : null,
    added: counted(cookings.flatMap((c) => c.added)),
    liked: words.filter((w) => w.liked > 0).length,
    disliked: words.filter((w) => w.liked < 0).length,
    said: counted(words.flatMap((w) => w.says)),
  };
}
