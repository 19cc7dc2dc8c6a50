import { US_MEASURES } from '@/core/measure/units';
import { readRecipe } from '@/core/read/read';
import { parseRecipe } from './parse';

const gramsOf = (rows: readonly string[]): Map<string, readonly [number, number]> =>
  new Map(
    readRecipe(parseRecipe(`Traybake bread\n\nServes 8\n\n${rows.join('\n')}\n\nMethod\nBake.`), {
      measures: US_MEASURES,
      corrections: {},
    }).lines.map((l) => [
      l.line.text,
      [l.foods[0]?.grams?.low ?? NaN, l.foods[0]?.grams?.high ?? NaN] as const,
    ]),
  );

describe('a list that leaves its grams out', () => {
  const LARGE = ['500 wholemeal', '350 water', '100 rye', '250 wholemeal plain', '60 seeds', '200 oats'];
  const SMALL = ['8 salt', '7 yeast', '15 oil', '20 treacle', '12 tahini', '5 malt extract'];
  const row = (words: string, lead: string): string => `${lead}${words}`;

  test.each(['', '- ', 'Day: '])('every number of it is grams (%j before it)', (lead) => {
    for (let i = 0; i < LARGE.length; i += 1) {
      const rows = [0, 1, 2, 3].map((k) => LARGE[(i + k) % LARGE.length] ?? '');
      const small = SMALL[i] ?? '';
      const read = gramsOf(['40 walnuts', ...[...rows, small].map((r) => row(r, lead))]);
      for (const said of [...rows, small]) {
        const [low, high] = [...read].find(([text]) => text.endsWith(said))?.[1] ?? [NaN, NaN];
        expect([said, low, high]).toEqual([said, parseFloat(said), parseFloat(said)]);
      }
    }
  });
  test('what comes by the piece is counted', () => {
    const [low, high] =
      gramsOf(['500 wholemeal', '350 water', '60 oats', '2 bananas']).get('2 bananas') ?? [];
    expect(low).toBeGreaterThan(100);
    expect(high).toBeLessThan(400);
  });
  test.each([
    [['500 g wholemeal flour', '300 g water', '24 dates'], '24 dates', 100],
    [['24 dates', '30 cherry tomatoes', '40 almonds'], '24 dates', 100],
  ])('a list that says its grams, or counts, does not: %j', (rows, text, least) => {
    expect(gramsOf(rows).get(text)?.[0]).toBeGreaterThan(least);
  });
});
