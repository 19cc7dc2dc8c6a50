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

/** A chart in Dulvet's dress; what it shows must also stand in words beside it. */
export function Chart({
  data,
  layout,
  label,
  height,
  onPoint,
}: {
  data: readonly object[];
  layout: object;
  label: string;
  height: number;
  onPoint?: (index: number) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const click = useRef(onPoint);
  useEffect(() => {
    click.current = onPoint;
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
      el.removeAllListeners?.('plotly_click');
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
