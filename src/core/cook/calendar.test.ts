import ICAL from 'ical.js';
import { US_MEASURES } from '@/core/measure/units';
import { calendarOf } from './calendar';
import { cook, dishesOf, type Dish } from './cook';

const read = dishesOf(
  'Weir beans\nServes 4\n\nIngredients\n300 g dried black beans, soaked overnight\n1 onion, chopped\n\nMethod\nSimmer the beans and onion for 90 minutes.',
  'test',
  { measures: US_MEASURES, corrections: {} },
  1,
);

test('a supper’s calendar file, read by a second library, holds every task at its time', () => {
  const planned = cook(read.ok ? (read.dishes as Dish[]) : [], {
    kitchen: { cooks: 1, burners: 4, ovens: 1 },
    table: '18:30',
  });
  const made = calendarOf(planned, [2026, 3, 1]);
  const calendar = new ICAL.Component(ICAL.parse(made.ok ? made.text : ''));
  const events = calendar.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
  expect(events).toHaveLength(planned.tasks.length + 1);
  const at = (words: RegExp) => events.find((e) => words.test(e.summary))?.startDate.toString();
  // the evening before the first of March
  expect(at(/^Soak/)).toBe('2026-02-28T21:00:00');
  expect(at(/^On the table/)).toBe('2026-03-01T18:30:00');
  const simmer = planned.tasks.find((t) => /Simmer/.test(t.text));
  const event = events.find((e) => /Simmer/.test(e.summary));
  expect(event?.startDate.toString()).toBe(`2026-03-01T${simmer?.start ?? ''}:00`);
  expect(event?.duration.toSeconds()).toBe(90 * 60);
  expect(event?.startDate.zone.tzid).toBe('floating');
});
