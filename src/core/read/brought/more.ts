import { type Range, range } from '@/core/range/range';
import { type ClauseSpan, type Sentence } from '@/core/step/clauses';
import { FATS } from './kinds';
import { type Mention } from './mention';
import { type Scan, type Source, lineOf } from './scan';
import { fatAmount } from './take';

/** A food of the list that a sentence adds more of. */
export function moreOf(
  scan: Scan,
  source: Source,
  s: Sentence,
  c: ClauseSpan,
  m: Mention,
  at: [number, number],
  line: number,
  grams: Range | null,
): void {
  const own = scan.lines[line];
  const open = own?.toTaste || own?.foods.some((f) => f.readings.some((r) => r.startsWith('no amount')));
  if (open && !m.stated) return;
  const guess = grams ?? (FATS.has(m.food.kind) ? fatAmount(scan, s, c).grams : null);
  if (!guess) return;
  const sure = m.stated && m.polarity === 'do';
  scan.out.push(
    lineOf(
      scan,
      source,
      at,
      m.phrase,
      m.food,
      sure ? guess : range(0, 0, guess.high),
      'more than the list says',
      m.polarity,
    ),
  );
}

/** Where the method says more of a listed food than the list, the dish holds the larger. */
export function larger(scan: Scan): void {
  for (const [index, said] of scan.said) {
    const line = scan.lines[index];
    const listed = line?.foods.reduce<Range | null>(
      (sum, f) =>
        f.grams
          ? sum
            ? range(sum.low + f.grams.low, sum.best + f.grams.best, sum.high + f.grams.high)
            : f.grams
          : sum,
      null,
    );
    const food = line?.foods[0]?.food;
    if (!listed || !food) continue;
    const sum = said.reduce(
      (r, x) => range(r.low + x.grams.low, r.best + x.grams.best, r.high + x.grams.high),
      range(0, 0, 0),
    );
    if (sum.best <= listed.high * 1.15 || sum.high <= listed.high * 1.15) continue;
    const last = said.at(-1);
    if (!last) continue;
    const extra = range(
      Math.max(0, sum.low - listed.high),
      Math.max(0, sum.best - listed.best),
      Math.max(0, sum.high - listed.low),
    );
    scan.out.push(
      lineOf(
        scan,
        last.source,
        last.span,
        last.words,
        food,
        extra,
        `the method says more of it than the list (${said.map((x) => x.words).join(' and ')}): the difference`,
        'do',
      ),
    );
  }
}
