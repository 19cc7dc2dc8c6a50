import { isOpen, soupWith as read } from './told-soup';
import type { ReadRecipe } from './types';
/** The most fat, sodium and sugar that a line's foods may hold, in grams and milligrams. */
const most = (recipe: ReadRecipe) => {
  const own = recipe.lines.filter((l) => !/carrots|litre water/.test(l.line.text));
  const sum = (
    of: (food: { fatG: number | null; sodiumMg: number | null; sugarG: number | null }) => number | null,
  ) =>
    own.reduce(
      (all, l) =>
        all +
        Math.max(
          0,
          ...[...l.foods, ...l.alternatives].map(
            (f) =>
              Math.max(0, ...[f.food, ...f.might].map((x) => (x ? (of(x) ?? Infinity) : 0))) *
              (f.grams?.high ?? Infinity),
          ),
        ),
      0,
    );
  return { fat: sum((f) => f.fatG), sodium: sum((f) => f.sodiumMg), sugar: sum((f) => f.sugarG) };
};

const FOODS = [
  'olive oil',
  'tahini',
  'peanut butter',
  'soy sauce',
  'salt',
  'maple syrup',
  'cashews',
  'coconut milk',
];
/** Words that say how good, whose or how old it is, and never what is in it. */
const SUCH = [
  'good',
  'nice',
  'of the best',
  'cheap',
  'ordinary',
  'plain',
  'shop-bought',
  'own-label',
  'leftover',
  'new',
  'proper',
  'decent',
  'fancy',
  'everyday',
  'of the usual',
  'organic',
  'cold',
  'warm',
  'my own',
  "Maud's",
  'open',
  'whatever',
];

describe('words that say nothing of what is in it leave a food what it is', () => {
  const rows = FOODS.flatMap((food, i) =>
    SUCH.filter((_, k) => (k + i) % 2 === 0).map((such) => ({
      row: `2 tbsp ${such} ${food}`,
      plain: `2 tbsp ${food}`,
    })),
  );
  test.each(rows)('$row', ({ row, plain }) => {
    for (const [own, ref] of [
      [read(row), read(plain)],
      [read('', `Stir in ${row}.`), read('', `Stir in ${plain}.`)],
    ] as const) {
      if (isOpen(own)) continue;
      const [a, b] = [most(own), most(ref)];
      expect(a.fat).toBeGreaterThanOrEqual(b.fat * 0.9);
      expect(a.sodium).toBeGreaterThanOrEqual(b.sodium * 0.9);
      expect(a.sugar).toBeGreaterThanOrEqual(b.sugar * 0.9);
    }
  });
  test('and most of them are understood', () => {
    expect(rows.filter(({ row }) => isOpen(read(row))).length / rows.length).toBeLessThan(0.2);
  });
});
