'use client';
import { useMemo } from 'react';
import { useRouter } from 'next/navigation';
import type { Protocol } from '@/core/protocol';
import { Chart, type Area } from '@/ui/chart';
import type { LibraryRow } from '@/workers/library.worker';
import type { Brush } from './look';

/** Dots that are drawn; a map of more is a smear. */
const MOST_DOTS = 3000;
const HEIGHT = 380;
const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim();
const limitOf = (protocol: Protocol, id: string) => protocol.limits.find((l) => l.id === id)?.limit ?? null;

const FIELDS = [
  ['fat', 0, 'fat share from, %'],
  ['fat', 1, 'to'],
  ['density', 0, 'density from, kcal/100 g'],
  ['density', 1, 'to'],
] as const;
const WIDEST: Brush = { fat: [0, 100], density: [0, 900] };

/**
 * The Shelf as a map: fat share against energy density, with the corner that a protocol allows. Drawing round a part of
 * it looks for that part; the same by fields.
 */
export function ShelfMap({
  rows,
  protocol,
  brush,
  onBrush,
}: {
  rows: readonly LibraryRow[];
  protocol: Protocol | undefined;
  brush: Brush | null;
  onBrush: (brush: Brush | null) => void;
}) {
  const router = useRouter();
  const known = useMemo(
    () => rows.filter((r) => r.fatShare !== null && r.density !== null).slice(0, MOST_DOTS),
    [rows],
  );
  const fat = protocol ? limitOf(protocol, 'fat-share') : null;
  const density = protocol ? limitOf(protocol, 'energy-density') : null;
  const { data, layout } = useMemo(() => {
    const mark = (r: LibraryRow) => (protocol ? (r.verdicts[protocol.id] ?? 'unknown') : 'unknown');
    const paint: Record<string, string> = {
      within: colour('--within'),
      near: colour('--near-fill'),
      over: colour('--over'),
    };
    const shape: Record<string, string> = { within: 'circle', near: 'triangle-up', over: 'diamond' };
    return {
      data: [
        {
          type: 'scatter',
          mode: 'markers',
          x: known.map((r) => r.fatShare?.best),
          y: known.map((r) => r.density?.best),
          text: known.map((r) => r.title),
          marker: {
            size: 10,
            color: known.map((r) => paint[mark(r)] ?? colour('--mute')),
            symbol: known.map((r) => shape[mark(r)] ?? 'circle-open'),
            line: { width: 1, color: colour('--sheet') },
          },
          hovertemplate: '%{text}<br>%{x:.0f} % fat, %{y:.0f} kcal/100 g<extra></extra>',
        },
      ],
      layout: {
        dragmode: 'select',
        xaxis: { title: { text: 'fat share, % of kcal' }, rangemode: 'tozero', zeroline: false },
        yaxis: { title: { text: 'energy density, kcal in 100 g' }, rangemode: 'tozero', zeroline: false },
        shapes:
          fat === null
            ? []
            : [
                {
                  type: 'rect',
                  layer: 'below',
                  x0: 0,
                  x1: fat,
                  y0: 0,
                  y1: density ?? 1,
                  yref: density === null ? 'paper' : 'y',
                  fillcolor: colour('--pick'),
                  line: { color: colour('--within'), width: 1.5, dash: 'dot' },
                },
              ],
      },
    };
  }, [known, protocol, fat, density]);
  const inCorner = known.filter(
    (r) =>
      fat !== null &&
      (r.fatShare?.high ?? Infinity) <= fat &&
      (density === null || (r.density?.high ?? Infinity) <= density),
  ).length;
  const onArea = (area: Area | null) =>
    onBrush(area ? { fat: [area.x[0], area.x[1]], density: [area.y[0], area.y[1]] } : null);
  const set = (of: 'fat' | 'density', end: 0 | 1, words: string) => {
    const value = Number(words);
    if (!words.trim() || !Number.isFinite(value)) return;
    const next = brush ?? WIDEST;
    const span: [number, number] = [...next[of]];
    span[end] = value;
    onBrush({ ...next, [of]: span });
  };
  return (
    <section aria-label="Map of the Shelf" className="no-print sheet mb-3 px-3 py-2">
      <p className="text-mute">
        {fat === null || !protocol
          ? `${known.length} dishes by fat share and energy density.`
          : `${inCorner} of ${known.length} dishes lie surely in the corner of ${protocol.name}: at most ${fat} % fat${density === null ? '' : ` and ${density} kcal in 100 g`}.`}{' '}
        Draw round a part of it to look for that, or press a dot to open its recipe.
        {rows.length > known.length && ` ${rows.length - known.length} are not known, or not drawn.`}
      </p>
      <Chart
        data={data}
        layout={layout}
        height={HEIGHT}
        label="Dishes by fat share and energy density"
        onArea={onArea}
        onPoint={(i) => {
          const id = known[i]?.id;
          if (id) router.push(`/?recipe=${id}`);
        }}
      />
      <div className="flex flex-wrap items-end gap-2">
        {FIELDS.map(([of, end, label]) => (
          <label key={`${of}${end}`} className="grid gap-0.5 text-[13px] text-mute">
            {label}
            <input
              // a part that is drawn is written into its fields
              key={brush?.[of][end] ?? ''}
              className="field w-[110px] text-ink"
              inputMode="decimal"
              defaultValue={brush ? String(Math.round(brush[of][end] * 10) / 10) : ''}
              onBlur={(e) => set(of, end, e.target.value)}
              onKeyDown={(e) => {
                if (e.key === 'Enter') set(of, end, e.currentTarget.value);
              }}
            />
          </label>
        ))}
      </div>
    </section>
  );
}
