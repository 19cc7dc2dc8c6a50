import { escapePattern } from '@/core/escape';
import rawNames from '@content/compiled/label-names.json';
import { range, type Range } from '@/core/range/range';
import type { HiddenClass, LabelNames } from './schema';

// checked by Zod when content is compiled
const names = rawNames as unknown as LabelNames;

/** One ingredient of a statement; what stands in its brackets follows it one level deeper. */
export interface Ingredient {
  readonly text: string;
  readonly depth: number;
  /** Printed percentage, if any. */
  readonly printed: number | null;
  /** In the part that is "2 % or less", whose order says nothing. */
  readonly small: number | null;
  readonly share: Range | null;
  readonly hidden: readonly { readonly class: HiddenClass; readonly name: string }[];
  /** A function with its thing in brackets ("stabiliser (pectin)"), or a plain name of nothing that matters. */
  readonly plain: boolean;
}

export interface Statement {
  readonly ingredients: readonly Ingredient[];
  readonly mayContain: readonly string[];
  readonly contains: readonly string[];
}

const classOf = new Map<string, HiddenClass>();
for (const [kind, list] of Object.entries(names) as [HiddenClass, string[]][])
  for (const name of list) classOf.set(name.toLowerCase(), kind);
// the longest name first, so that "coconut sugar" is not "sugar"
const NAMES = new RegExp(
  `(?<![a-z-])(?:${[...classOf.keys()]
    .sort((a, b) => b.length - a.length)
    .map(escapePattern)
    .join('|')})(?![a-z-])`,
  'gi',
);
/** Words that take the offence out of a name: whole grain rice, unsalted butter beans, oil-free. */
const WHOLE = /\b(?:brown|whole|wholegrain|wholemeal|whole[- ]wheat|wholewheat|wild|black|red)\s*$/i;
const INNOCENT: Record<string, RegExp> = {
  rice: /\b(?:vinegar|bran oil|syrup|malt)\b/i,
  butter: /^\s*(?:beans?|nut|squash)/i,
  cream: /^\s*of tartar/i,
  stock: /\b(?:no salt|unsalted)\b/i,
};

/** Names of oil, salt, sugar and refined starch in the words of one ingredient. */
export function hiddenIn(text: string): { class: HiddenClass; name: string }[] {
  const out: { class: HiddenClass; name: string }[] = [];
  NAMES.lastIndex = 0;
  for (let m = NAMES.exec(text); m; m = NAMES.exec(text)) {
    const name = m[0].toLowerCase();
    const kind = classOf.get(name);
    const before = text.slice(0, m.index);
    const after = text.slice(m.index + m[0].length);
    if (
      !kind ||
      kind === 'neutral' ||
      /\b(?:no|without|free from|non|un)[\s-]*(?:added )?$/i.test(before) ||
      /^[\s-]*free\b/i.test(after)
    )
      continue;
    if (kind === 'refined-starch' && (WHOLE.test(before) || /^\s*(?:bran|vinegar|protein)\b/i.test(after)))
      continue;
    if (INNOCENT[name]?.test(after)) continue;
    // "peanut butter", "almond butter", "shea butter": only the dairy or fat kinds count
    if (name === 'butter' && /\b(?:nut|peanut|almond|cashew|sesame|seed|apple|bean)s?\s*$/i.test(before))
      continue;
    out.push({ class: kind, name });
  }
  return out;
}

interface Piece {
  text: string;
  depth: number;
  small: number | null;
}

const SMALL =
  /^\s*(?:contains?\s+)?(?:less than |not more than |at most )?\(?<?\s*(\d+(?:\.\d+)?)\s*%\s*(?:or less|or fewer)?(?:\s*(?:of|each of(?: the following)?))?\s*(?:the following)?\s*:?\s*/i;

const DIGIT = /\d/;

/** Cuts a statement at its commas, brackets making a deeper level. */
function pieces(text: string): Piece[] {
  const out: Piece[] = [];
  let depth = 0;
  let current = '';
  let small: number | null = null;
  const flush = (at: number) => {
    let words = current
      .trim()
      .replace(/^(?:and|&)\s+/i, '')
      .replace(/[.;:]+$/, '')
      .trim();
    current = '';
    if (at === 0 && /\b(?:or less|less than|not more than)\b/i.test(words)) {
      const m = SMALL.exec(words);
      if (m?.[1]) {
        small = Number(m[1]);
        words = words.slice(m[0].length).trim();
      }
    }
    if (words) out.push({ text: words, depth: at, small });
  };
  for (let i = 0; i < text.length; i += 1) {
    const c = text[i] as string;
    if (c === '(' || c === '[' || c === '{') {
      // a bracket with only a percentage belongs to the words before it
      flush(depth);
      depth += 1;
    } else if (c === ')' || c === ']' || c === '}') {
      flush(depth);
      depth = Math.max(0, depth - 1);
    } else if (
      c === ';' ||
      (c === ',' && !(DIGIT.test(current.at(-1) ?? '') && DIGIT.test(text[i + 1] ?? '')))
    )
      // "3,5 %" is one number
      flush(depth);
    else current += c;
  }
  flush(depth);
  return out;
}

/** Bounds of each top ingredient's share by the order of weight and printed percentages. */
function shares(printed: readonly (number | null)[], small: readonly (number | null)[]): Range[] {
  const ordered = printed.map((_, i) => (small[i] === null ? i : -1)).filter((i) => i >= 0);
  const high: number[] = printed.map((p, i) => p ?? small[i] ?? 100);
  const low: number[] = printed.map((p) => p ?? 0);
  // those before it weigh at least as much as it does
  let known = 0;
  let unknown = 0;
  let least = Infinity;
  for (const i of ordered) {
    const own = printed[i] ?? null;
    if (own === null) {
      high[i] = Math.max(0, Math.min(least, (100 - known) / (unknown + 1)));
      unknown += 1;
    } else {
      known += own;
      least = Math.min(least, own);
    }
  }
  // and those after it no more
  let most = 0;
  for (const i of [...ordered].reverse()) {
    const own = printed[i] ?? null;
    if (own === null) low[i] = Math.max(low[i] as number, most);
    else most = Math.max(most, own);
  }
  // what is left for the first once all others are as large as they can be
  const first = ordered[0];
  if (first !== undefined && printed[first] === null) {
    const rest = ordered.filter((j) => j !== first && printed[j] === null).length;
    const all = printed.reduce<number>((s, p) => s + (p ?? 0), 0);
    const trace = small.reduce<number>((s, p, i) => s + (p !== null && printed[i] === null ? p : 0), 0);
    low[first] = Math.max(low[first] as number, (100 - all - trace) / (rest + 1));
  }
  return printed.map((_, i) =>
    range(
      Math.min(low[i] as number, high[i] as number),
      ((low[i] as number) + (high[i] as number)) / 2,
      high[i] as number,
    ),
  );
}

const PERCENT = /\(?(?<!\d)(\d{1,3}(?:[.,]\d{1,4})?)\s{0,2}%\s{0,2}\)?/;

/**
 * Reads an ingredient statement: nested brackets, percentages, "contains 2 % or less of", "may contain",
 * allergen lines. The order by weight bounds every share that is not printed.
 */
export function readStatement(text: string): Statement {
  const flat = text.replace(/\s+/g, ' ');
  const listOf = (pattern: RegExp) =>
    (pattern.exec(flat)?.[1] ?? '')
      .split(/,|\band\b|&/)
      .map((w) => w.trim().replace(/[.]+$/, ''))
      .filter(Boolean);
  const mayContain = listOf(/\bmay (?:also )?contain(?: traces of)?:?\s*([^.]*)/i);
  const contains = listOf(
    /(?:^|[.]\s*)(?:allergens?:\s*)?contains:?\s+(?!(?:less|not|at most|\d|<))([^.]*)/i,
  );
  const body = flat
    .replace(/^.*?\bingredients?\s*:/i, '')
    .replace(/\bmay (?:also )?contain[^.]*\.?/gi, '')
    .replace(/(?:^|[.]\s*)(?:allergens?:\s*)?contains:?\s+(?!(?:less|not|at most|\d|<))[^.]*\.?/gi, '');
  const raw = pieces(body);
  const merged: (Piece & { printed: number | null })[] = [];
  for (const piece of raw) {
    const percent = PERCENT.exec(piece.text);
    const printed = percent?.[1] ? Number(percent[1].replace(',', '.')) : null;
    const words = piece.text.replace(PERCENT, ' ').replace(/\s+/g, ' ').trim();
    const before = merged.at(-1);
    // "(12 %)" alone in its bracket
    if (!words && printed !== null && before) {
      before.printed = printed;
      continue;
    }
    if (words) merged.push({ ...piece, text: words, printed });
  }
  const top = merged.map((p, i) => ({ p, i })).filter(({ p }) => p.depth === 0);
  const bounds = shares(
    top.map(({ p }) => p.printed),
    top.map(({ p }) => p.small),
  );
  const shareAt = new Map(top.map(({ i }, k) => [i, bounds[k] ?? null]));
  return {
    ingredients: merged.map((p, i) => ({
      text: p.text,
      depth: p.depth,
      printed: p.printed,
      small: p.small,
      share: shareAt.get(i) ?? (p.printed !== null ? range(p.printed, p.printed, p.printed) : null),
      hidden: hiddenIn(p.text),
      plain: (merged[i + 1]?.depth ?? 0) > p.depth || classOf.get(p.text.toLowerCase()) === 'neutral',
    })),
    mayContain,
    contains,
  };
}
