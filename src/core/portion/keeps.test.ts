import { daysLeft, KEEPS, keepsUntil } from './keeps';

const DAY = 24 * 60 * 60_000;

test('a box keeps as long as FSIS says: 3–4 days at 4 °C, 3–4 months frozen', () => {
  expect(KEEPS.fridge).toEqual({ low: 3, high: 4 });
  expect(KEEPS.freezer.high).toBe(4 * 30);
  expect(keepsUntil('fridge', 0)).toBe(4 * DAY);
  expect(daysLeft('fridge', 0, 0)).toBe(4);
  expect(daysLeft('fridge', 0, 3.5 * DAY)).toBe(0);
  expect(daysLeft('fridge', 0, 4 * DAY + 1)).toBe(-1);
});
