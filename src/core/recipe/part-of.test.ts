import { foodById } from '@/core/food/table';
import { highOf, soupWith } from '@/core/read/told-soup';
import { partsOf } from './part-of';

/** What is counted of it, the whole of it, and the most that one part can weigh beside it. */
const PARTS = [
  ['leaves', 'savoy', 'cabbage'],
  ['leaves', 'cabbage', 'cabbage'],
  ['leaves', 'romaine', 'lettuce'],
  ['florets', 'cauliflower', 'cauliflower'],
  ['florets', 'broccoli', 'broccoli'],
  ['wedges', 'cabbage', 'cabbage'],
  ['wedges', 'watermelon', 'watermelon'],
  ['stalks', 'celery', 'celery'],
  ['slices', 'rye loaf', 'rye-bread'],
] as const;
const FORMS = [
  'N PART of a WHOLE',
  'N outer PART of a WHOLE',
  'N nice big PART of one WHOLE',
  'N PART off a WHOLE',
  'N PART cut from the WHOLE',
  'N of the outer PART of a WHOLE',
];

describe.each(PARTS)('%s of a %s', (part, whole, id) => {
  test('are so many parts and never so many wholes', () => {
    expect(foodById(id)).toBeDefined();
    const one = foodById(id)?.portions.piece?.[0] ?? foodById(id)?.portions.head?.[0] ?? Infinity;
    for (const form of FORMS) {
      const row = form.replace('N', '6').replace('PART', part).replace('WHOLE', whole);
      const most = highOf(soupWith(row), id);
      // a stalk of celery and a slice of bread are what their pieces are
      if (part !== 'stalks' && part !== 'slices') expect([row, most < 6 * one]).toEqual([row, true]);
      expect([row, most > 0]).toEqual([row, true]);
    }
  });
});

test.each([
  ['8 outer leaves of a savoy', '8 leaves savoy'],
  ['2 slices off a wholemeal loaf', '2 slices wholemeal bread'],
  ['10 leaves off a basil plant', '10 leaves basil'],
  ['4 leaves of gelatine', '4 leaves of gelatine'],
  ['a bunch of chard', 'a bunch of chard'],
])('"%s"', (said, put) => expect(partsOf(said)).toBe(put));

test('a part that nobody weighed is not taken for the whole', () => {
  const [line] = soupWith('2 turnip squares').lines.slice(1);
  expect(line?.foods[0]?.grams ?? null).toBeNull();
});
