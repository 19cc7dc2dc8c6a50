import 'fake-indexeddb/auto';
import { DulvetDatabase } from './db';
import { changeWeek, copyDay, emptyWeek, mondayOf, newMeal, newPot, openWeek, putWeek } from './week';

let name = 0;
const fresh = () => new DulvetDatabase(`week-${(name += 1)}`);

test.each(['2026-11-23T00:10', '2026-11-26T12:00', '2026-11-29T23:50'])(
  'the week of %s begins on Monday',
  (at) => {
    const monday = new Date(mondayOf(new Date(at).getTime()));
    expect([monday.getDay(), monday.getDate()]).toEqual([1, 23]);
  },
);

test('each change is kept as it is made, and gives back what was', async () => {
  const db = fresh();
  const before = await changeWeek(db, (w) => ({ pots: [...w.pots, newPot('soup', 1, 2)] }), 1);
  expect(before.pots).toEqual([]);
  await Promise.all([
    changeWeek(db, (w) => ({ bought: [...w.bought, 'a'] }), 2),
    changeWeek(db, (w) => ({ bought: [...w.bought, 'b'] }), 3),
  ]);
  expect((await openWeek(db))?.bought.slice().sort()).toEqual(['a', 'b']);
  await putWeek(db, before);
  expect((await openWeek(db))?.pots).toEqual([]);
});

test('a day is eaten once more on another, in the place of what stood there', () => {
  const eat = (day: number, text: string) =>
    newMeal({ day, meal: 'lunch', diner: 'm', of: null, plates: 1, text });
  const week = { ...emptyWeek(0), meals: [eat(0, 'soup'), eat(1, 'bread'), eat(2, 'stew')] };
  const { meals } = copyDay(week, 0, 1);
  expect(meals.map((m) => [m.day, m.text]).sort()).toEqual([
    [0, 'soup'],
    [1, 'soup'],
    [2, 'stew'],
  ]);
  expect(new Set(meals.map((m) => m.id)).size).toBe(3);
});
