import { foodById } from '@/core/food/table';
import { range } from '@/core/range/range';
import type { ClauseSpan, Sentence } from '@/core/step/clauses';
import { NEGATORS } from '@/core/step/lexicon';
import { polarityOf, verbNegated } from '@/core/step/polarity';
import { isRemark } from '@/core/step/remark';
import { lineOf, type Scan, type Source, textOf } from './scan';

/** What goes on or beside a dish, where nothing says of what it is. */
const EXTRAS = new Set(
  'topping toppings trimming trimmings extra extras side sides accompaniment accompaniments garnish garnishes sauce sauces dip dips stuff thing things bits suspects condiment condiments addition additions add-ins fixings'.split(
    ' ',
  ),
);
/** What "something" may be like that brings fat, salt or sugar. */
const SENSES = new Set(
  'creamy crunchy crispy crisp salty sweet rich oily fried nutty cheesy buttery fatty savoury savory meaty bready'.split(
    ' ',
  ),
);
const SOMETHING = new Set(['something', 'anything', 'somethings']);
const WISHED = new Set(['like', 'fancy', 'want', 'love', 'please', 'prefer', 'choose']);
/** Words before it by which it goes in. */
const LEADS = new Set('with add of or plus in and on have top serve finish & +'.split(' '));

/** How many words from a place name something that nobody says what it is; 0 where none do. */
function lengthAt(s: Sentence, k: number): number {
  const word = (at: number): string => (at < s.to ? (s.tokens[at]?.word ?? '') : '');
  const ends = (at: number): boolean => at >= s.to || s.tokens[at]?.kind === 'mark';
  const extra = (at: number): boolean => EXTRAS.has(word(at)) && s.named[at - s.from]?.kind !== 'food';
  if (word(k) === 'the' && word(k + 1) === 'usual') return ends(k + 2) ? 2 : extra(k + 2) ? 3 : 0;
  if (word(k) === 'the' && word(k + 1) === 'works' && ends(k + 2)) return 2;
  if (word(k) === 'trimmings' || word(k) === 'fixings') return 1;
  if (/^favou?rites?$/.test(word(k))) return extra(k + 1) ? 2 : word(k).endsWith('s') && ends(k + 1) ? 1 : 0;
  if (extra(k) && word(k + 1) === 'of')
    return word(k + 2) === 'choice' ? 3 : word(k + 3) === 'choice' ? 4 : 0;
  if (extra(k) && word(k + 1) === 'you' && WISHED.has(word(k + 2))) return 3;
  if (word(k) === 'same' && extra(k + 1) && word(k + 2) === 'as') return 2;
  if (!SOMETHING.has(word(k))) return 0;
  if (SENSES.has(word(k + 1))) return 2;
  const you = word(k + 1) === 'else' ? k + 2 : k + 1;
  return word(you) === 'you' && WISHED.has(word(you + 1)) ? you + 2 - k : 0;
}

const ITS = new Set(['the', 'all', 'your', 'our', 'my', 'a', 'bit']);
const CONDITIONS = new Set(['if', 'unless', 'when', 'until', 'till', 'for', 'while']);
const BY_CHOICE = /^(?:favou?rites?|choice|you|anything)$/;

/** True where a part of the list is what is meant: "Toppings:" and "top with the usual toppings". */
const isListed = ({ cover }: Scan, words: readonly string[]): boolean =>
  words.some((w) => cover.partHeads.has(w) || cover.partHeads.has(w.replace(/s$/, ''))) ||
  // "Ful with all the trimmings" names what its list holds
  words.some((w) => EXTRAS.has(w) && (cover.title.has(w) || cover.title.has(w.replace(/s$/, '')))) ||
  words.some((w) => EXTRAS.has(w) && cover.parts.some((p) => p.has(w) || p.has(w.replace(/s$/, ''))));

/**
 * "Top with the usual", "serve with your favourite toppings", "something creamy on top": what goes in without being said what
 * it is. The dish cannot be judged with it.
 */
export function vague(scan: Scan, source: Source, s: Sentence): void {
  if (source.names || source.tail || s.asks) return;
  for (const c of s.clauses) {
    if (isRemark(s, c) || verbNegated(s, c) || CONDITIONS.has(c.opener ?? '')) continue;
    for (let k = c.from; k < c.to; k += 1) {
      const length = lengthAt(s, k);
      if (length === 0) continue;
      const words = s.tokens.slice(k, k + length).map((t) => t.word);
      let before = k - 1;
      while (ITS.has(s.tokens[before]?.word ?? '')) before -= 1;
      const led = before < s.from || s.tokens[before]?.kind === 'mark' || goesIn(s, c, before);
      const polarity = polarityOf(s, c, k, k + length);
      if (!led || polarity === 'not' || polarity === 'remark' || isListed(scan, words)) continue;
      const span: [number, number] = [s.tokens[k]?.start ?? 0, s.tokens[k + length - 1]?.end ?? 0];
      const known = scan.out.some(
        (l) => l.line.start >= source.start + span[0] && l.line.start < source.start + span[1],
      );
      if (known) continue;
      const chosen = words.some((w) => BY_CHOICE.test(w)) ? 'optional' : polarity;
      scan.out.push(
        lineOf(scan, source, span, textOf(source, s, k, k + length), null, null, 'not understood', chosen),
      );
      k += length - 1;
    }
  }
}
const goesIn = (s: Sentence, c: ClauseSpan, at: number): boolean =>
  LEADS.has(s.tokens[at]?.word ?? '') || (c.verbAt === at && c.verb?.verb.brings === true);

/** Kinds by which a list holds what a salad is dressed with. */
const DRESSES = new Set(['oil', 'acid', 'condiment', 'plant-dairy', 'nut-butter', 'syrup', 'juice', 'salty']);
/** Grams of dressing that a plate of salad takes, at the most (common practice). */
const MOST_DRESSING = 20;

/** "Dress the salad", "with dressed leaves": what it is dressed with, where nothing says so. */
export function dressed(scan: Scan, source: Source, s: Sentence, c: ClauseSpan, at: number): void {
  const behind = s.tokens.slice(at + 1, c.to).map((t) => t.word);
  if (behind.some((w) => ['with', 'in', 'up'].includes(w)) || NEGATORS.has(s.tokens[at - 1]?.word ?? ''))
    return;
  const listed =
    scan.lines.some((l) => l.foods.some((f) => f.food && DRESSES.has(f.food.kind))) ||
    ['dressing', 'vinaigrette', 'sauce', 'marinade'].some((w) => scan.cover.partHeads.has(w)) ||
    scan.out.some((l) => l.foods.some((f) => f.food && DRESSES.has(f.food.kind)));
  const food = foodById('salad-dressing');
  const polarity = polarityOf(s, c, at, at + 1);
  if (listed || !food || polarity === 'not' || polarity === 'remark') return;
  const until = Math.min(c.to, at + 4);
  const span: [number, number] = [s.tokens[at]?.start ?? 0, s.tokens[until - 1]?.end ?? 0];
  const most = MOST_DRESSING * scan.servings;
  scan.out.push(
    lineOf(
      scan,
      source,
      span,
      textOf(source, s, at, until),
      food,
      range(0, most / 2, most),
      'dressed, and nothing says with what: a bottled dressing, up to 20 g a plate (common practice)',
      polarity,
    ),
  );
}
