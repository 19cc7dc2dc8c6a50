'use client';
import { useEffect, useRef } from 'react';

/** What is used of Plotly, whose basic bundle is loaded only where a chart shows. */
interface Plotly {
  react: (el: HTMLElement, data: unknown[], layout: unknown, config: unknown) => Promise<unknown>;
  purge: (el: HTMLElement) => void;
}

type Clickable = HTMLElement & {
  on?: (
    event: 'plotly_click',
    handler: (e: { points: readonly { pointNumber: number; curveNumber: number }[] }) => void,
  ) => void;
  removeAllListeners?: (event: string) => void;
};
type Selectable = HTMLElement & {
  on?: (
    event: 'plotly_selected' | 'plotly_deselect',
    handler: (e?: { range?: { x: [number, number]; y: [number, number] } }) => void,
  ) => void;
};

/** A part of a chart: from and to along each axis. */
export interface Area {
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
}

/** A chart in Dulvet's dress; what it shows must also stand in words beside it. */
export function Chart({
  data,
  layout,
  label,
  height,
  onPoint,
  onArea,
}: {
  data: readonly object[];
  layout: object;
  label: string;
  height: number;
  onPoint?: (index: number) => void;
  /** Told of a part of it that is drawn round; null where none is. */
  onArea?: (area: Area | null) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const click = useRef(onPoint);
  const brush = useRef(onArea);
  useEffect(() => {
    click.current = onPoint;
    brush.current = onArea;
  });
  useEffect(() => {
    const el = box.current as Clickable | null;
    if (!el) return;
    let gone = false;
    let loaded: Plotly | null = null;
    const draw = async () => {
      const { default: plotly } = (await import('plotly.js-basic-dist-min')) as unknown as {
        default: Plotly;
      };
      if (gone) return;
      loaded = plotly;
      const style = getComputedStyle(el);
      const ink = style.getPropertyValue('color');
      await plotly.react(
        el,
        [...data],
        {
          height,
          margin: { l: 48, r: 12, t: 10, b: 42 },
          paper_bgcolor: 'transparent',
          plot_bgcolor: 'transparent',
          font: { family: style.fontFamily, size: 12.5, color: ink },
          showlegend: false,
          hovermode: 'closest',
          ...layout,
        },
        { displayModeBar: false, responsive: true },
      );
      for (const event of ['plotly_click', 'plotly_selected', 'plotly_deselect'])
        el.removeAllListeners?.(event);
      const selectable = el as Selectable;
      selectable.on?.('plotly_selected', (e) => {
        const { range } = e ?? {};
        if (range) brush.current?.({ x: range.x, y: range.y });
      });
      selectable.on?.('plotly_deselect', () => brush.current?.(null));
      el.on?.('plotly_click', (e) => {
        const point = e.points[0];
        if (point) click.current?.(point.pointNumber);
      });
    };
    void draw();
    return () => {
      gone = true;
      loaded?.purge(el);
    };
  }, [data, layout, height]);
  return <div ref={box} role="img" aria-label={label} className="w-full text-ink" style={{ height }} />;
}
