import { toast } from 'sonner';
import { minutesOfDay } from '@/core/cook/clock';
import type { Cook } from '@/core/cook/schema';
import { saveFile } from '@/ui/save-file';
import { minuteOfDay } from './use-clock';

/** Saves the plan as a calendar file: for today, or for tomorrow where its start is over already. */
export async function downloadCalendar(cook: Cook, now: number): Promise<void> {
  // written by a library that is only fetched when somebody asks
  const { calendarOf } = await import('@/core/cook/calendar');
  const start = (minutesOfDay(cook.table) ?? 0) - cook.minutes;
  const day = new Date(now);
  if (minuteOfDay(now) > start) day.setDate(day.getDate() + 1);
  const made = calendarOf(cook, [day.getFullYear(), day.getMonth() + 1, day.getDate()]);
  if (made.ok) saveFile('supper.ics', 'text/calendar', made.text);
  else toast(`The calendar file could not be made: ${made.message}.`);
}
