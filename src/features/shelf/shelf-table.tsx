'use client';
import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState } from 'react';
import type { StoredDiner, StoredRecipe } from '@/data/db';
import { Legend } from '@/ui/legend';
import type { LibraryRow } from '@/workers/library.worker';
import { ShelfRow, type RowActions } from './shelf-row';

/** Shelves up to this long are shown whole: they print and are searched by the browser's own find. */
const ALL_SHOWN = 150;
const ROW_PX = 44;
const COLUMNS_BESIDE = 6;

/** The recipes as a table; of a long shelf only the rows in sight, and some around them, are drawn. */
export function ShelfTable({
  recipes,
  rows,
  diners,
  protocolName,
  chosen,
  joining,
  actions,
}: {
  recipes: readonly StoredRecipe[];
  rows: ReadonlyMap<string, LibraryRow>;
  diners: readonly StoredDiner[];
  protocolName: (id: string) => string | undefined;
  chosen: ReadonlySet<string>;
  joining: string | null;
  actions: RowActions;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [margin, setMargin] = useState(0);
  // where the table begins moves with what stands above it
  useLayoutEffect(() => {
    const top = (box.current?.getBoundingClientRect().top ?? 0) + window.scrollY;
    if (Math.abs(top - margin) > 1) setMargin(top);
  }, [margin, recipes.length]);
  const whole = recipes.length <= ALL_SHOWN;
  const virtual = useWindowVirtualizer({
    count: recipes.length,
    estimateSize: () => ROW_PX,
    overscan: 12,
    scrollMargin: margin,
    getItemKey: (i) => recipes[i]?.id ?? i,
    enabled: !whole,
  });
  const items = whole ? [] : virtual.getVirtualItems();
  const shown = whole ? recipes.map((_, i) => i) : items.map((item) => item.index);
  const before = whole ? 0 : (items[0]?.start ?? margin) - margin;
  const after = whole ? 0 : virtual.getTotalSize() - ((items.at(-1)?.end ?? margin) - margin);
  const columns = diners.length + COLUMNS_BESIDE;
  const gap = (height: number) =>
    height > 0 ? (
      <tr aria-hidden>
        <td colSpan={columns} style={{ height, padding: 0 }} />
      </tr>
    ) : null;
  return (
    <div ref={box} className="sheet overflow-x-auto">
      <table className="w-full border-collapse" aria-rowcount={recipes.length + 1}>
        <thead>
          <tr className="border-b-[1.5px] border-hair text-left text-[12px] text-mute">
            <td className="no-print" />
            <th scope="col" className="px-3 py-2 font-medium">
              Recipe
            </th>
            {diners.map((d) => (
              <th
                key={d.id}
                scope="col"
                className="px-2 text-center font-medium"
                title={protocolName(d.protocol)}
              >
                {d.name}
              </th>
            ))}
            <th scope="col" className="hidden px-2 text-right font-medium sm:table-cell">
              fat share, %
            </th>
            <th scope="col" className="hidden px-2 text-right font-medium md:table-cell">
              sodium, mg a plate
            </th>
            <th scope="col" className="hidden px-2 text-right font-medium md:table-cell">
              kcal a plate
            </th>
            <th scope="col" className="no-print">
              <span className="sr-only">What to do with it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {gap(before)}
          {shown.map((i) => {
            const recipe = recipes[i];
            return recipe ? (
              <ShelfRow
                key={recipe.id}
                index={i}
                place={whole ? null : virtual.measureElement}
                recipe={recipe}
                row={rows.get(recipe.id)}
                diners={diners}
                chosen={chosen.has(recipe.id)}
                joining={joining === null ? null : joining === recipe.id ? 'this' : 'other'}
                actions={actions}
              />
            ) : null;
          })}
          {gap(after)}
        </tbody>
      </table>
      <Legend className="px-3 pb-2" marks={['within', 'near', 'over', 'depends', 'unknown']} />
    </div>
  );
}
