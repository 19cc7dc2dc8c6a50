import { numberOf } from '@/core/measure/quantity';
import { isHarmless } from '@/core/food/tokens';
import { type ClauseSpan, type Sentence } from '@/core/step/clauses';
import { ORDINARY, PREPOSITIONS, TOOLS, verbOf } from '@/core/step/lexicon';
import { isRemark } from '@/core/step/others';
import { PEOPLE } from '@/core/step/people';
import { polarityOf, verbNegated } from '@/core/step/polarity';
import { isMeasure } from './measured';
import { foodsOf, lineOf, textOf, type Scan, type Source } from './scan';
import { nounBehind, POURED } from './stray';

/** What stands before an item of a list. */
const ITEM_OPENS = new Set([',', ';', ':', '+', '&', 'and', 'plus', '(']);
/** What a list counts beside foods. */
const NO_FOOD = new Set(
  'minute minutes min mins hour hours hr hrs sec secs second seconds day days week weeks night nights year years time times people person head heads plate plates bowl bowls portion portions serving servings way ways step steps degree degrees kid kids adult adults batch batches layer layers side sides half halves piece pieces bit bits more others each cm mm inch inches litre litres kcal calories cal'.split(
    ' ',
  ),
);

/** So many of something that nobody here knows, in a list of foods: "add 3 tbsp tomato paste, thyme, 2 flurgle cubes". */
export function countedUnknowns(scan: Scan, source: Source, s: Sentence, c: ClauseSpan): void {
  if (source.names || source.tail || foodsOf(s, c).length === 0) return;
  if (isRemark(s, c) || verbNegated(s, c) || ['until', 'till', 'if', 'unless'].includes(c.opener ?? ''))
    return;
  if (c.verb && !c.verb.verb.brings) return;
  for (let k = c.from; k < c.to; k += 1) {
    const t = s.tokens[k];
    const counts = t?.kind === 'number' || ((numberOf(t?.word) ?? 0) > 1 && t?.word !== 'half');
    const opens =
      k === c.from ||
      k - 1 === c.verbAt ||
      (k - 2 === c.verbAt && PREPOSITIONS.has(s.tokens[k - 1]?.word ?? '')) ||
      ITEM_OPENS.has(s.tokens[k - 1]?.word ?? '');
    // what is poured or weighed is read with its measure
    if (!counts || !opens || POURED.test(s.tokens[k + 1]?.word ?? '')) continue;
    const to = nounBehind(s, c, k + 1);
    const ends =
      to >= s.to || s.tokens[to]?.kind === 'mark' || ['and', 'plus'].includes(s.tokens[to]?.word ?? '');
    const words = s.tokens.slice(k + 1, to).filter((w) => !isMeasure(w.word) && !/ly$/.test(w.word));
    const last = words.at(-1);
    if (!ends || !last || last.word.length < 3) continue;
    const isKnown =
      s.named.slice(k + 1 - s.from, to - s.from).some((n) => n !== null) ||
      words.some((w) => NO_FOOD.has(w.word) || PEOPLE.has(w.word) || verbOf(w.word) !== undefined) ||
      ORDINARY.has(last.word) ||
      ORDINARY.has(last.normal) ||
      isHarmless(last.normal) ||
      Boolean(TOOLS.at(s.tokens, to - 1)) ||
      scan.cover.lines.some((l) => words.some((w) => l.words.has(w.normal))) ||
      scan.cover.parts.some((p) => p.has(last.normal)) ||
      scan.cover.title.has(last.normal) ||
      scan.out.some((l) => l.foods.some((f) => f.text.includes(last.word)));
    if (isKnown || polarityOf(s, c, k, to) !== 'do') continue;
    const span: [number, number] = [t?.start ?? 0, s.tokens[to - 1]?.end ?? 0];
    scan.out.push(lineOf(scan, source, span, textOf(source, s, k, to), null, null, 'not understood', 'do'));
    k = to - 1;
  }
}
