'use client';
import { showRange } from '@/core/format/figures';
import type { Week } from '@/core/week/schema';
import type { StoredDiner, StoredPot, StoredWeek } from '@/data/db';
import { Button } from '@/ui/button';
import { change, DAYS } from '@/kitchen/use-week';

const WIDE = 300;
const AT = (day: number) => 14 + (day * (WIDE - 28)) / (DAYS - 1);

/** A pot's thread: from the day it is cooked to every plate it feeds, fraying where it must be eaten. */
function Thread({
  cooked,
  until,
  plates,
}: {
  cooked: number;
  until: number;
  plates: ReadonlyMap<number, number>;
}) {
  const end = Math.min(until, DAYS - 1);
  return (
    <svg viewBox={`0 0 ${WIDE} 34`} className="mt-1 w-full" aria-hidden>
      {Array.from({ length: DAYS }, (_, d) => (
        <line key={d} x1={AT(d)} y1="4" x2={AT(d)} y2="30" stroke="var(--hair)" strokeWidth="1" />
      ))}
      <line x1={AT(cooked)} y1="17" x2={AT(end)} y2="17" stroke="var(--rim)" strokeWidth="2.5" />
      {until < DAYS &&
        [-5, 0, 5].map((dy) => (
          <line
            key={dy}
            x1={AT(end)}
            y1="17"
            x2={AT(end) + 11}
            y2={17 + dy}
            stroke="var(--rim)"
            strokeWidth="1.4"
          />
        ))}
      <rect x={AT(cooked) - 7} y="9" width="14" height="16" rx="3" fill="var(--rim)" />
      {[...plates].map(([d, n]) => (
        <g key={d}>
          {(d > until || d < cooked) && (
            <line
              x1={AT(Math.max(cooked, Math.min(d, end)))}
              y1="17"
              x2={AT(d)}
              y2="17"
              stroke="var(--over)"
              strokeWidth="1.5"
              strokeDasharray="3 3"
            />
          )}
          <circle
            cx={AT(d)}
            cy="17"
            r="8"
            fill="var(--sheet)"
            stroke={d > until || d < cooked ? 'var(--over)' : 'var(--rim)'}
            strokeWidth="2"
          />
          <text x={AT(d)} y="21" textAnchor="middle" fontSize="10.5" fontWeight="700" fill="var(--ink)">
            {n}
          </text>
        </g>
      ))}
    </svg>
  );
}

const set = (id: string, more: Partial<StoredPot>): void =>
  void change((w) => ({ pots: w.pots.map((p) => (p.id === id ? { ...p, ...more } : p)) }));

/** The week's pots: what they give, what is left, until when, and what does not go. */
export function Pots({
  week,
  judged,
  diners,
  nameOf,
  titleOf,
}: {
  week: StoredWeek;
  diners: readonly StoredDiner[];
  judged: Week | null;
  nameOf: (from: number, day: number) => string;
  titleOf: (pot: string) => string;
}) {
  if (week.pots.length === 0) return null;
  return (
    <section className="sheet px-4 py-3" aria-label="Pots">
      <h2 className="text-[17px] font-semibold leading-tight">Pots</h2>
      <ul className="divide-y divide-hair">
        {[...week.pots]
          .sort((a, b) => a.day - b.day)
          .map((pot) => {
            const own = judged?.cookings.find((c) => c.id === pot.id);
            const title = titleOf(pot.id);
            const plates = new Map<number, number>();
            for (const m of week.meals)
              if (m.of === pot.id) plates.set(m.day, (plates.get(m.day) ?? 0) + m.plates);
            return (
              <li key={pot.id} className="py-2">
                <div className="flex flex-wrap items-start gap-x-2 gap-y-1">
                  <div className="min-w-0 basis-full">
                    <span className="font-semibold [overflow-wrap:anywhere]">{title}</span>
                    <span className="block text-[13px] text-mute">
                      {nameOf(week.from, pot.day)}
                      {own?.leftPlates
                        ? `, ${showRange(own.leftPlates)} plates left`
                        : judged && ', what is left is not known'}
                    </span>
                  </div>
                  <select
                    className="field no-print py-0.5 text-[13px]"
                    aria-label={`Who cooks ${title}`}
                    value={pot.cook ?? ''}
                    onChange={(e) => set(pot.id, { cook: e.target.value || null })}
                  >
                    <option value="">who cooks?</option>
                    {diners.map((d) => (
                      <option key={d.id} value={d.id}>
                        {d.name}
                      </option>
                    ))}
                  </select>
                  <select
                    className="field no-print py-0.5 text-[13px]"
                    aria-label={`Where ${title} is kept`}
                    value={pot.place}
                    onChange={(e) => set(pot.id, { place: e.target.value as StoredPot['place'] })}
                  >
                    <option value="fridge">fridge</option>
                    <option value="freezer">freezer</option>
                  </select>
                  <Button
                    look="plain"
                    className="no-print"
                    aria-label={`Do not cook ${title}`}
                    onClick={() =>
                      void change(
                        (w) => ({
                          pots: w.pots.filter((p) => p.id !== pot.id),
                          meals: w.meals.filter((m) => m.of !== pot.id),
                        }),
                        'The pot and its plates are out of the week.',
                      )
                    }
                  >
                    –
                  </Button>
                </div>
                <Thread
                  cooked={pot.day}
                  until={own?.keepsUntilDay ?? (judged ? pot.day : DAYS)}
                  plates={plates}
                />
                {own && own.problems.length > 0 && (
                  <ul className="text-[13px] font-semibold text-over">
                    {own.problems.map((p) => (
                      <li key={p}>
                        {p.replace(
                          /day (\d+)/g,
                          (_, d: string) => nameOf(week.from, Number(d)).split(' ')[0] ?? '',
                        )}
                      </li>
                    ))}
                  </ul>
                )}
              </li>
            );
          })}
      </ul>
    </section>
  );
}
