import { createEvents, type EventAttributes } from 'ics';
import type { Cook } from './schema';

/** A day of the calendar: year, month from 1, day. */
export type Day = readonly [year: number, month: number, day: number];

const DAY_MS = 24 * 60 * 60_000;

/** A clock on a day, or so many days before it, in the cook's own time whatever the zone. */
function momentOf(table: Day, clock: string, day: number): [number, number, number, number, number] {
  const at = new Date(Date.UTC(table[0], table[1] - 1, table[2]) + day * DAY_MS);
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  return [at.getUTCFullYear(), at.getUTCMonth() + 1, at.getUTCDate(), hours, minutes];
}

/**
 * A supper as a calendar file (RFC 5545): an event for each thing to do, with an alarm at its start, and the table at the
 * end. Times float: half past six is half past six wherever the file is read.
 *
 * @returns the file's text, or why there is none
 */
export function calendarOf(
  cook: Cook,
  table: Day,
): { readonly ok: true; readonly text: string } | { readonly ok: false; readonly message: string } {
  const floating = {
    startInputType: 'local',
    startOutputType: 'local',
    endInputType: 'local',
    endOutputType: 'local',
  } as const;
  const name = cook.dishes.map((d) => d.title).join(', ');
  const events: EventAttributes[] = [
    ...cook.tasks.map((t): EventAttributes => ({
      ...floating,
      uid: `${t.id}-${table.join('-')}@dulvet`,
      title: t.text.slice(0, 120),
      description: cook.dishes[t.dish]?.title ?? '',
      start: momentOf(table, t.start, t.day),
      end: momentOf(table, t.end, t.endDay),
      alarms: [
        { action: 'display', description: t.text.slice(0, 120), trigger: { minutes: 0, before: true } },
      ],
    })),
    {
      ...floating,
      uid: `table-${table.join('-')}@dulvet`,
      title: `On the table: ${name}`,
      start: momentOf(table, cook.table, 0),
      duration: { minutes: 30 },
    },
  ];
  const { error, value } = createEvents(events, { productId: '-//Dulvet//Stove//EN', calName: name });
  return !value
    ? { ok: false, message: error?.message ?? 'it could not be written' }
    : { ok: true, text: value };
}
