import { highOf, isOpen, soupWith as read } from './told-soup';

const FOODS = [
  ['tahini', 'tahini'],
  ['salt', 'salt'],
  ['olive oil', 'olive-oil'],
  ['peanut butter', 'peanut-butter'],
] as const;

/** Words of refusal that refuse nothing of what is measured. */
const REMARKS = [
  ", don't skip it",
  " - don't be mean with it",
  ', no less',
  ' and no less',
  ', not negotiable',
  ', not optional',
  ' (no, really)',
  ' (not the light sort)',
  ', never the cheap one',
  ', not a drop more',
  ', no more',
  ' but no more than that',
  " (I know, I know, but it doesn't work without)",
  ", it's nothing without it",
  ", it isn't the same without",
  ", you can't leave it out",
  ', no need to measure exactly',
  " and don't stir it yet",
  ", I don't weigh it",
  ", it doesn't taste of much",
  " - it's not as much as it sounds",
  ", there's no getting round it",
  ', without which it is dull',
  ', not counting what is on the plate',
  ' rather than butter',
  ' instead of butter',
  ', never butter',
  ', no butter',
  ', in place of the butter',
  ', which nobody notices',
  " (she can't taste it)",
  " (don't tell anyone)",
  ', not heaped',
  ' (level, not heaped)',
  ', not yet though',
  ', no lumps',
  ', not too hot',
  " - it won't hurt",
  ", we don't mind it",
  ', not for the children but for us',
];

const lines = FOODS.flatMap(([food, id], i) =>
  REMARKS.filter((_, k) => k % 2 === i % 2 || i < 2).map((remark) => ({
    row: `2 tbsp ${food}${remark}`,
    alone: `2 tbsp ${food}`,
    id,
  })),
);

describe('a remark refuses nothing of what it is about', () => {
  test.each(lines)('on the list: $row', ({ row, alone, id }) => {
    const recipe = read(row, '');
    if (!isOpen(recipe))
      expect(highOf(recipe, id)).toBeGreaterThanOrEqual(highOf(read(alone, ''), id) * 0.95);
  });

  test.each(lines)('in the method: Stir in $row', ({ row, alone, id }) => {
    const recipe = read('', `Stir in ${row}.`);
    if (!isOpen(recipe))
      expect(highOf(recipe, id)).toBeGreaterThanOrEqual(highOf(read('', `Stir in ${alone}.`), id) * 0.95);
  });

  test('and most of them are understood', () => {
    const all = lines.flatMap(({ row }) => [read(row, ''), read('', `Stir in ${row}.`)]);
    expect(all.filter(isOpen).length / all.length).toBeLessThan(0.1);
  });
});
