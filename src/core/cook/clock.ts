const DAY = 24 * 60;

/** Minutes since midnight of "18:30"; null for what is no time of day. */
export function minutesOfDay(clock: string): number | null {
  const m = /^(\d{1,2}):(\d{2})$/.exec(clock.trim());
  const [hours, minutes] = [Number(m?.[1]), Number(m?.[2])];
  return m && hours < 24 && minutes < 60 ? hours * 60 + minutes : null;
}

/** A moment as a clock shows it, with the day it falls on: 0 the table's own, −1 the one before. */
export function clockAt(minutes: number): { readonly clock: string; readonly day: number } {
  const day = Math.floor(minutes / DAY);
  const of = minutes - day * DAY;
  const two = (n: number) => String(n).padStart(2, '0');
  return { clock: `${two(Math.floor(of / 60))}:${two(of % 60)}`, day };
}
