import { isHarmless } from '@/core/food/tokens';
import type { Sentence } from '@/core/step/clauses';
import { NEGATORS, ORDINARY, PRONOUNS, TOOLS, verbOf } from '@/core/step/lexicon';
import { isRemark } from '@/core/step/remark';
import { polarityOf, verbNegated } from '@/core/step/polarity';
import { isMeasure } from './measured';
import { type Scan, type Source, lineOf, textOf } from './scan';

/** Measures by which something goes into a dish, and no size, time or heat. */
const SPOONED =
  /^(?:tbsps?|tsps?|tablespoons?|teaspoons?|cups?|mugs?|spoons?|spoonfuls?|handfuls?|splash|drizzle|ml)$/;
/** Marks between a name and its amount. */
const JOINS = new Set([',', ':', '-', '–', '—', '(']);

/** True where a word at a place is neither known nor on the list: perhaps a food. */
function isUnknown(scan: Scan, s: Sentence, k: number): boolean {
  const t = k < s.from ? undefined : s.tokens[k];
  if (t?.kind !== 'word' || t.word.length < 3 || verbOf(t.word) || isMeasure(t.word)) return false;
  const known =
    ORDINARY.has(t.word) ||
    ORDINARY.has(t.normal) ||
    isHarmless(t.normal) ||
    NEGATORS.has(t.word) ||
    PRONOUNS.has(t.word) ||
    /(?:ly|ed|ing)$/.test(t.word);
  const { lines, parts, partHeads, title } = scan.cover;
  const listed =
    lines.some((l) => l.words.has(t.normal)) ||
    parts.some((p) => p.has(t.normal)) ||
    partHeads.has(t.normal) ||
    title.has(t.normal);
  return !known && !listed && TOOLS.at(s.tokens, k) === null;
}

/** The unknown word that an amount behind it is of; -1 where it is known, or no word is. */
function nameBefore(scan: Scan, s: Sentence, amount: number): number {
  let k = amount - 1;
  if (!JOINS.has(s.tokens[k]?.word ?? '')) return -1;
  while (k >= s.from && s.tokens[k]?.kind === 'mark') k -= 1;
  return isUnknown(scan, s, k) ? k : -1;
}

const PLACES = [
  'on top',
  'on the side',
  'over',
  'over it',
  'alongside',
  'to serve',
  'to finish',
  'on it',
  'with it',
];
/** "Blorg on top.": a short sentence without a deed that says where something unknown goes; -1 where it is none. */
function placed(scan: Scan, s: Sentence): number {
  if (s.label.length > 0 || s.clauses.some((c) => c.verb !== null)) return -1;
  for (let k = s.from + 1; k < Math.min(s.to, s.from + MOST_OF_NAME); k += 1)
    if (PLACES.includes(textOfTokens(s, k))) return isUnknown(scan, s, k - 1) ? k - 1 : -1;
  return -1;
}
const MOST_OF_NAME = 5;
const textOfTokens = (s: Sentence, from: number): string =>
  s.tokens
    .slice(from, s.to)
    .map((t) => t.word)
    .join(' ');

/**
 * "Blorg, 2 tbsp, at the end": a sentence that names no food anybody knows and says how much of something goes in. The dish
 * cannot be judged without it.
 */
export function unnamed(scan: Scan, source: Source, s: Sentence): void {
  if (source.names || source.tail || s.asks || s.named.some((n) => n?.kind === 'food')) return;
  const where = placed(scan, s);
  if (where >= 0 && !s.clauses.some((c) => isRemark(s, c))) {
    const span: [number, number] = [s.tokens[where]?.start ?? 0, s.tokens[where]?.end ?? 0];
    scan.out.push(
      lineOf(scan, source, span, textOf(source, s, where, where + 1), null, null, 'not understood', 'do'),
    );
    return;
  }
  for (const c of s.clauses) {
    if (isRemark(s, c) || verbNegated(s, c)) continue;
    for (let k = Math.max(c.from, s.from + 1); k < c.to; k += 1) {
      const opens =
        s.tokens[k]?.kind === 'number' || ['a', 'half', 'two', 'three'].includes(s.tokens[k]?.word ?? '');
      if (!opens || !SPOONED.test(s.tokens[k + 1]?.word ?? '') || s.tokens[k + 2]?.word === 'of') continue;
      const name = nameBefore(scan, s, k);
      if (name < 0 || polarityOf(s, c, name, k + 2) === 'not') continue;
      const span: [number, number] = [s.tokens[name]?.start ?? 0, s.tokens[k + 1]?.end ?? 0];
      scan.out.push(
        lineOf(scan, source, span, textOf(source, s, name, k + 2), null, null, 'not understood', 'do'),
      );
      return;
    }
  }
}
