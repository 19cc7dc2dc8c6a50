'use client';
import { useId, useState } from 'react';
import { showNumber, showRange } from '@/core/format/figures';
import type { Week } from '@/core/week/schema';
import { shortLabel } from '@/kitchen/words';
import { LimitLine } from '@/ui/limit-line';

type Day = Week['judged'][number];

/** A day's limits as lines; each says, when asked, what every meal brings to it. */
export function DayLimits({ day, limits }: { day: Day; limits: Day['limits'] }) {
  const [asked, setAsked] = useState<string | null>(null);
  const id = useId();
  if (limits.length === 0) return null;
  const open = limits.find((l) => l.id === asked);
  return (
    <>
      <div className="grid gap-x-5 sm:grid-cols-2">
        {limits.map((l) => (
          <button
            key={l.id}
            type="button"
            className="rounded text-left hover:bg-pick"
            aria-expanded={l.id === asked}
            aria-controls={id}
            onClick={() => setAsked(l.id === asked ? null : l.id)}
          >
            <LimitLine name={shortLabel(l.label)} limit={l} />
            <span className="sr-only">, why?</span>
          </button>
        ))}
      </div>
      <div id={id}>
        {open && (
          <div className="mb-1 border-l-2 border-rim pl-2.5 text-[13px]">
            <ul>
              {day.parts.map((p, i) => {
                const own = p.by[open.id];
                return (
                  <li key={i} className="flex justify-between gap-3">
                    <span className="min-w-0 [overflow-wrap:anywhere]">
                      <span className="text-mute">{p.meal}:</span> {p.what}
                    </span>
                    <span className="num flex-none">
                      {own ? `${showRange(own)} ${open.unit.split(' ')[0]}` : 'not known'}
                    </span>
                  </li>
                );
              })}
            </ul>
            <p className="text-mute">
              {open.bound === 'most' ? 'At most' : 'At least'} {showNumber(open.limit)} {open.unit}
              {open.because ? `: ${open.because}` : ''}. {open.source}.
            </p>
          </div>
        )}
      </div>
    </>
  );
}
