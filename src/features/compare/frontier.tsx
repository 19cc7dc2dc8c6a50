'use client';
import { useMemo, useState } from 'react';
import type { FrontierPoint } from '@/core/adapt/frontier';
import { showNumber, showRange } from '@/core/format/figures';
import { Button } from '@/ui/button';
import { Chart } from '@/ui/chart';

/** The frontier of departure against fat share: each point is a plan that can be made. */
export function Frontier({
  points,
  limit,
  onTake,
}: {
  points: readonly FrontierPoint[];
  limit: number | null;
  onTake: (point: FrontierPoint) => void;
}) {
  const [chosen, setChosen] = useState<number | null>(null);
  const chart = useMemo(() => {
    const x = points.map((p) => p.departure);
    const colour = (name: string) =>
      typeof document === 'undefined'
        ? '#1b2f6b'
        : getComputedStyle(document.documentElement).getPropertyValue(name);
    return {
      data: [
        {
          type: 'scatter',
          mode: 'lines+markers',
          x,
          y: points.map((p) => p.fatShare.best),
          error_y: {
            type: 'data',
            symmetric: false,
            array: points.map((p) => p.fatShare.high - p.fatShare.best),
            arrayminus: points.map((p) => p.fatShare.best - p.fatShare.low),
            color: colour('--within-soft'),
          },
          line: { shape: 'hv', color: colour('--within') },
          marker: { size: 11, color: colour('--rim') },
          hovertemplate: '%{y:.0f} % fat, departure %{x:.1f}<extra></extra>',
        },
      ],
      layout: {
        xaxis: {
          title: { text: 'departure: changes, and what they take from taste' },
          rangemode: 'tozero',
          zeroline: false,
        },
        yaxis: { title: { text: 'fat share, %' }, rangemode: 'tozero', zeroline: false },
        shapes:
          limit === null
            ? []
            : [
                {
                  type: 'line',
                  xref: 'paper',
                  x0: 0,
                  x1: 1,
                  y0: limit,
                  y1: limit,
                  line: { color: colour('--rim'), width: 2 },
                },
              ],
      },
    };
  }, [points, limit]);
  const point = chosen === null ? null : points[chosen];
  return (
    <section className="mt-5" aria-label="Frontier">
      <h3 className="font-semibold">How little, how far</h3>
      <p className="text-mute">
        Each point is a plan: the least change that brings the fat share so low.
        {limit !== null && ` The line is the limit, ${showNumber(limit)} %.`}
      </p>
      <Chart
        data={chart.data}
        layout={chart.layout}
        height={260}
        label="Fat share against departure"
        onPoint={setChosen}
      />
      <ul className="num flex flex-wrap gap-1.5">
        {points.map((p, i) => (
          <li key={i}>
            <button
              type="button"
              aria-pressed={i === chosen}
              onClick={() => setChosen(i)}
              className={`min-h-8 rounded-lg border-2 px-2 text-[13px] ${i === chosen ? 'border-rim' : 'border-hair'}`}
            >
              {p.changes.length === 0
                ? 'as written'
                : p.changes.length === 1
                  ? 'one change'
                  : `${p.changes.length} changes`}
              : {showRange(p.fatShare)} %
              {p.sodium && <span className="text-mute">, {showRange(p.sodium)} mg</span>}
            </button>
          </li>
        ))}
      </ul>
      {point && point.changes.length > 0 && (
        <div className="mt-2 rounded-[10px] bg-wash px-3 py-2">
          <ul>
            {point.changes.map((c, i) => (
              <li key={i}>
                {c.from || 'new'} → <b className="font-semibold">{c.to || 'left out'}</b>
              </li>
            ))}
          </ul>
          <Button className="mt-2" onClick={() => onTake(point)}>
            Make these changes
          </Button>
        </div>
      )}
    </section>
  );
}
