import type { ReactNode } from 'react';
import { allergenWords } from '@/core/format/allergens';
import type { Protocol } from '@/core/protocol';
import type { Range } from '@/core/range/range';
import { Glyph } from '@/ui/glyph';
import { Legend } from '@/ui/legend';
import { shortLabel } from '@/kitchen/words';
import type { Column } from './columns';
import { figuresOf, shown, type Per } from './figures';

/** The plate that 500 kcal buy, its area in scale with the largest. */
function Plate({ grams, most }: { grams: Range | null; most: number }) {
  if (!grams) return <span className="text-mute">not known</span>;
  const r = 30 * Math.sqrt(Math.min(1, grams.best / most));
  return (
    <span className="flex items-center gap-2">
      <svg width="64" height="64" viewBox="-32 -32 64 64" aria-hidden>
        <circle r={r} fill="var(--wash)" stroke="var(--rim)" strokeWidth="2" />
        <circle r={r * 0.72} fill="none" stroke="var(--hair)" strokeWidth="1.5" />
      </svg>
      <span className="num">{shown(grams)} g</span>
    </span>
  );
}

/** What was changed, what the plate gains beside it, and a word on its taste. */
function Changed({ column }: { column: Column }) {
  return (
    <>
      <ul className="space-y-1">
        {column.changes.map((c, i) => (
          <li key={i} className="[overflow-wrap:anywhere]">
            {c.from ? (
              <s className="text-mute decoration-1">{c.from}</s>
            ) : (
              <span className="text-mute">new</span>
            )}{' '}
            → {c.to || 'left out'}
          </li>
        ))}
      </ul>
      {column.bland && <p className="mt-1 text-near">Likely bland: {column.bland}.</p>}
      {column.starter && (
        <p className="mt-1">
          <b className="font-semibold">{column.starter.name}</b>, {column.starter.says}: the meal is then{' '}
          {shown(column.starter.mealDensity)} kcal in 100 g.
        </p>
      )}
    </>
  );
}

/** Versions side by side: figures, limits, the plate that 500 kcal buy, cost, allergens, who may eat it. */
export function CompareTable({
  columns,
  protocol,
  per,
  onRemove,
}: {
  columns: readonly Column[];
  protocol: Protocol;
  per: Per;
  onRemove: (id: string) => void;
}) {
  const most = Math.max(1, ...columns.map((c) => c.gramsFor500?.best ?? 0));
  const names = columns[0]?.eats.map((e) => e.name) ?? [];
  const row = (label: string, cell: (c: Column) => ReactNode) => (
    <tr key={label} className="border-b border-hair/50 align-top">
      <th
        scope="row"
        className="sticky left-0 bg-sheet py-[3px] pr-3 text-left font-normal sm:whitespace-nowrap"
      >
        {label}
      </th>
      {columns.map((c) => (
        <td key={c.id} className="px-2 py-[3px]">
          {cell(c)}
        </td>
      ))}
    </tr>
  );
  const heading = (words: string) => (
    <tr key={words} className="border-b-2 border-rim">
      <th scope="rowgroup" colSpan={columns.length + 1} className="pb-1 pt-3 text-left font-semibold">
        {words}
      </th>
    </tr>
  );
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Side by side">
      <table
        className="num w-full table-fixed border-collapse text-[13.5px]"
        style={{ minWidth: `${116 + columns.length * 128}px` }}
      >
        <thead>
          <tr className="border-b-2 border-rim text-left align-bottom">
            <th
              scope="col"
              className="sticky left-0 w-[118px] bg-sheet py-1 text-[12px] font-medium text-mute"
            >
              {per === 'plate' ? 'a plate' : '100 g as eaten'}
            </th>
            {columns.map((c) => (
              <th key={c.id} scope="col" className="px-2 py-1 font-semibold">
                {c.name} <Glyph mark={c.audit.verdict} size={12} />
                <span className="block text-[12px] font-normal text-mute">
                  {c.says}
                  {c.says === 'on the shelf' && (
                    <button
                      type="button"
                      onClick={() => onRemove(c.id)}
                      className="no-print ml-1.5 min-h-6 underline underline-offset-2"
                      aria-label={`take away ${c.name}`}
                    >
                      take away
                    </button>
                  )}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {figuresOf(per).map(([label, of]) => row(label, (c) => shown(of(c.audit))))}
          {row('500 kcal buy', (c) => (
            <Plate grams={c.gramsFor500} most={most} />
          ))}
          {columns.some((c) => c.cost !== null) && row('Cost, a plate', (c) => c.cost ?? 'not known')}
          {row('Allergens', (c) => allergenWords(c.audit))}
          {row('Changed', (c) => (
            <Changed column={c} />
          ))}
          {heading(`Judged by ${protocol.name}`)}
          {protocol.limits.map((limit, i) =>
            row(shortLabel(limit.label), (c) => (
              <Glyph mark={c.audit.limits[i]?.verdict ?? 'unknown'} size={12} />
            )),
          )}
          {heading('May eat it')}
          {names.map((name, i) =>
            row(name, (c) => {
              const eats = c.eats[i];
              if (!eats) return null;
              return eats.unsafe.length > 0 ? (
                <span className="font-semibold text-over">must not: {eats.unsafe.join(', ')}</span>
              ) : eats.doubts.length > 0 ? (
                <span className="font-semibold">must not: allergens not known</span>
              ) : (
                <Glyph mark={eats.mark} size={12} />
              );
            }),
          )}
        </tbody>
      </table>
      <Legend marks={columns.flatMap((c) => c.audit.limits.map((l) => l.verdict))} />
    </div>
  );
}
