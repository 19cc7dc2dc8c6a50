'use client';
import type { StoredDiner } from '@/data/db';
import type { Look, Order } from './look';

const ORDERS: readonly (readonly [Order, string])[] = [
  ['touched', 'last touched'],
  ['title', 'name'],
  ['fat', 'fat share, least first'],
  ['sodium', 'sodium, least first'],
  ['energy', 'energy, least first'],
];

/** What is looked for on the Shelf, who it must fit, and in which order it stands. */
export function ShelfTools({
  look,
  diners,
  onLook,
}: {
  look: Look;
  diners: readonly StoredDiner[];
  onLook: (look: Look) => void;
}) {
  return (
    <search className="no-print mb-3 flex flex-wrap items-end gap-2">
      <label className="grid min-w-[200px] flex-1 gap-0.5 text-[13px] text-mute">
        Look for a name, a food, a word
        <input
          type="search"
          className="field text-[16px] text-ink"
          value={look.words}
          onChange={(e) => onLook({ ...look, words: e.target.value })}
          placeholder="chickpeas"
        />
      </label>
      <label className="grid gap-0.5 text-[13px] text-mute">
        Fits
        <select
          className="field text-ink"
          value={look.fits}
          onChange={(e) => onLook({ ...look, fits: e.target.value })}
        >
          <option value="">whoever it may be</option>
          <option value="all">everyone</option>
          {diners.map((d) => (
            <option key={d.id} value={d.id}>
              {d.name}
            </option>
          ))}
        </select>
      </label>
      <label className="grid gap-0.5 text-[13px] text-mute">
        Order
        <select
          className="field text-ink"
          value={look.order}
          onChange={(e) => onLook({ ...look, order: e.target.value as Order })}
        >
          {ORDERS.map(([id, name]) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
      </label>
    </search>
  );
}
