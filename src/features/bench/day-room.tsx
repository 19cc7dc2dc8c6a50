'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { isAmount } from '@/core/audit/limits';
import { showNumber, showRange } from '@/core/format/figures';
import { database } from '@/data/db';
import { openWeek } from '@/data/week';
import { roomFor } from '@/core/week/figures';
import type { TableDiner } from '@/kitchen/use-table';
import { useWeek } from '@/kitchen/use-week';
import { shortLabel } from '@/kitchen/words';
import { Glyph } from '@/ui/glyph';

const DAY = 24 * 60 * 60_000;
const dayOf = (from: number, day: number): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long' }).format(new Date(from + day * DAY));

/** The same, where the dish stands in the week at all: nothing is judged for one that does not. */
export function DayRoom(props: { recipeId: string; diner: TableDiner }) {
  const planned = useLiveQuery(
    async () => (await openWeek(database()))?.pots.some((p) => p.recipeId === props.recipeId) ?? false,
    [props.recipeId],
    false,
  );
  return planned ? <Rooms {...props} /> : null;
}

/** What the days on which a dish is eaten leave for it: the limit of the whole day, less the most that the rest brings. */
function Rooms({ recipeId, diner }: { recipeId: string; diner: TableDiner }) {
  const { week, judged } = useWeek();
  if (!week || !judged) return null;
  const pots = new Set(week.pots.filter((p) => p.recipeId === recipeId).map((p) => p.id));
  const eaten = judged.judged
    .filter((j) => j.diner === diner.name)
    .flatMap((day) =>
      day.parts.flatMap((part, at) => (part.of !== null && pots.has(part.of) ? [{ day, part, at }] : [])),
    );
  if (eaten.length === 0) return null;
  return (
    <section className="sheet mt-3 px-4 py-3" aria-label="In the week">
      <h2 className="text-[17px] font-semibold leading-tight">In {diner.name}’s week</h2>
      <ul className="divide-y divide-hair">
        {eaten.map(({ day, part, at }) => (
          <li key={`${day.day} ${at}`} className="py-1.5">
            <p className="flex items-center gap-1.5 font-semibold">
              <Glyph mark={day.verdict} size={14} />
              {dayOf(week.from, day.day)}, {part.meal}
            </p>
            <ul className="text-[14px]">
              {diner.protocol.limits
                .filter((l) => isAmount(l) && l.bound === 'most' && l.limit > 0)
                .map((l) => {
                  const own = part.by[l.id] ?? null;
                  const room = roomFor(day, l.id, at, true);
                  const unit = l.unit.split(' ')[0];
                  // what no plate of it brings is not asked of the day
                  if (own && own.high <= 0) return null;
                  return (
                    <li key={l.id} className="flex flex-wrap justify-between gap-x-3">
                      <span>{shortLabel(l.label)}</span>
                      <span className="num">
                        {room === null
                          ? 'the rest of the day is not known'
                          : `room for ${showNumber(room)} ${unit}`}
                        {own && <span className="text-mute">; this plate brings {showRange(own)}</span>}
                      </span>
                    </li>
                  );
                })}
            </ul>
          </li>
        ))}
      </ul>
    </section>
  );
}
