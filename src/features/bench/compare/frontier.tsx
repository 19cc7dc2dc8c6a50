'use client';
import { useMemo, useState } from 'react';
import type { Against, FrontierPoint } from '@/core/adapt/frontier';
import { showNumber, showRange } from '@/core/format/figures';
import { exact } from '@/core/range/range';
import { Toggle } from '@/ui/toggle';
import { Button } from '@/ui/button';
import { Chart } from '@/ui/chart';

const AGAINST: readonly (readonly [Against, string])[] = [
  ['fat', 'fat share'],
  ['sodium', 'sodium'],
];
const SHOWN: Readonly<Record<Against, { axis: string; unit: string; hover: string; says: string }>> = {
  fat: { axis: 'fat share, %', unit: '%', hover: '%{y:.0f} % fat', says: 'the fat share so low' },
  sodium: { axis: 'sodium, mg a plate', unit: 'mg', hover: '%{y:.0f} mg sodium', says: 'the sodium so low' },
};

function chartOf(points: readonly FrontierPoint[], limit: number | null, against: Against) {
  const colour = (name: string) =>
    typeof document === 'undefined'
      ? '#1b2f6b'
      : getComputedStyle(document.documentElement).getPropertyValue(name);
  const values = points.map((p) => (against === 'fat' ? p.fatShare : p.sodium) ?? exact(0));
  return {
    data: [
      {
        type: 'scatter',
        mode: 'lines+markers',
        x: points.map((p) => p.departure),
        y: values.map((v) => v.best),
        error_y: {
          type: 'data',
          symmetric: false,
          array: values.map((v) => v.high - v.best),
          arrayminus: values.map((v) => v.best - v.low),
          color: colour('--within-soft'),
        },
        line: { shape: 'hv', color: colour('--within') },
        marker: { size: 11, color: colour('--rim') },
        hovertemplate: `${SHOWN[against].hover}, departure %{x:.1f}<extra></extra>`,
      },
    ],
    layout: {
      xaxis: {
        title: { text: 'departure: changes and lost taste' },
        rangemode: 'tozero',
        zeroline: false,
      },
      yaxis: { title: { text: SHOWN[against].axis }, rangemode: 'tozero', zeroline: false },
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
}

/** The frontier of departure against fat share or sodium: each point is a plan that can be made. */
export function Frontier({
  frontiers,
  limits,
  onTake,
}: {
  frontiers: Readonly<Record<Against, readonly FrontierPoint[]>>;
  limits: Readonly<Record<Against, number | null>>;
  onTake: (point: FrontierPoint) => void;
}) {
  const [against, setAgainst] = useState<Against>('fat');
  const [chosen, setChosen] = useState<number | null>(null);
  const points = frontiers[against];
  const limit = limits[against];
  const chart = useMemo(() => chartOf(points, limit, against), [points, limit, against]);
  const point = chosen === null ? null : points[chosen];
  return (
    <section className="mt-5" aria-label="Frontier">
      <h3 className="font-semibold">How little, how far</h3>
      <p className="text-mute">
        Each point is a plan: the least change that brings {SHOWN[against].says}.
        {limit !== null && ` The line is the limit, ${showNumber(limit)} ${SHOWN[against].unit}.`}
      </p>
      <div role="group" aria-label="Against" className="no-print mt-1.5 flex gap-1.5">
        {AGAINST.map(([id, label]) => (
          <Toggle
            key={id}
            pressed={against === id}
            onPress={() => {
              setAgainst(id);
              setChosen(null);
            }}
          >
            {label}
          </Toggle>
        ))}
      </div>
      <Chart
        data={chart.data}
        layout={chart.layout}
        height={260}
        label={`${SHOWN[against].axis}, against departure`}
        onPoint={setChosen}
      />
      <ul className="num flex flex-wrap gap-1.5">
        {points.map((p, i) => (
          <li key={i}>
            <Toggle
              pressed={i === chosen}
              onPress={() => setChosen(i)}
              bold={false}
              className="px-2 text-[13px]"
            >
              {p.changes.length === 0
                ? 'as written'
                : p.changes.length === 1
                  ? 'one change'
                  : `${p.changes.length} changes`}
              : {showRange(p.fatShare)} %
              {p.sodium && <span className="text-mute">, {showRange(p.sodium)} mg</span>}
            </Toggle>
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
