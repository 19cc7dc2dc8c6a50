'use client';
import type { StoredDiner } from '@/data/db';
import { Button } from '@/ui/button';
import { Choose } from '@/ui/choose';
import { EVERYTHING, type Look, type Order } from './look';

const ORDERS: readonly (readonly [Order, string])[] = [
  ['touched', 'last touched'],
  ['title', 'name'],
  ['cooked', 'last cooked'],
  ['fat', 'fat share, least first'],
  ['sodium', 'sodium, least first'],
  ['sugar', 'free sugar, least first'],
  ['energy', 'energy, least first'],
  ['density', 'energy density, least first'],
  ['fibre', 'fibre, most first'],
  ['protein', 'protein, most first'],
  ['minutes', 'minutes of your hands'],
];

const MINUTES = [10, 15, 20, 30, 45, 60] as const;

/** What is looked for on the Shelf, who it must fit, and in which order it stands. */
export function ShelfTools({
  look,
  diners,
  tags,
  onLook,
}: {
  look: Look;
  diners: readonly StoredDiner[];
  tags: readonly string[];
  onLook: (look: Look) => void;
}) {
  const narrowed = JSON.stringify({ ...look, order: EVERYTHING.order }) !== JSON.stringify(EVERYTHING);
  return (
    <search className="no-print mb-3 flex flex-wrap items-end gap-2">
      <label className="grid min-w-[200px] flex-1 gap-0.5 text-[13px] text-mute">
        Look for a name, a food, a word
        <input
          type="search"
          className="field w-full min-w-0 text-[16px] text-ink"
          value={look.words}
          onChange={(e) => onLook({ ...look, words: e.target.value })}
          placeholder="chickpeas"
        />
      </label>
      <label className="grid min-w-[120px] flex-1 gap-0.5 text-[13px] text-mute sm:max-w-[220px]">
        Without
        <input
          className="field w-full min-w-0 text-[16px] text-ink"
          value={look.without}
          onChange={(e) => onLook({ ...look, without: e.target.value })}
          placeholder="coconut, celery"
        />
      </label>
      <Choose label="Fits" value={look.fits} onChange={(fits) => onLook({ ...look, fits })}>
        <option value="">whoever it may be</option>
        <option value="all">everyone</option>
        {diners.map((d) => (
          <option key={d.id} value={d.id}>
            {d.name}
          </option>
        ))}
      </Choose>
      <Choose
        label="One limit over for"
        value={look.nearly}
        onChange={(nearly) => onLook({ ...look, nearly })}
      >
        <option value="">–</option>
        {diners.map((d) => (
          <option key={d.id} value={d.id}>
            {d.name}
          </option>
        ))}
      </Choose>
      <Choose
        label="Your hands, at most"
        value={look.minutes === null ? '' : String(look.minutes)}
        onChange={(m) => onLook({ ...look, minutes: m === '' ? null : Number(m) })}
      >
        <option value="">any time</option>
        {MINUTES.map((m) => (
          <option key={m} value={m}>
            {m} min
          </option>
        ))}
      </Choose>
      {tags.length > 0 && (
        <Choose label="Tag" value={look.tag} onChange={(tag) => onLook({ ...look, tag })}>
          <option value="">any or none</option>
          {tags.map((tag) => (
            <option key={tag} value={tag}>
              {tag}
            </option>
          ))}
        </Choose>
      )}
      <Choose
        label="Order"
        value={look.order}
        onChange={(order) => onLook({ ...look, order: order as Order })}
      >
        {ORDERS.map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Choose>
      <label className="flex min-h-9 items-center gap-2">
        <input
          type="checkbox"
          className="size-4 accent-[var(--rim)]"
          checked={look.starred}
          onChange={(e) => onLook({ ...look, starred: e.target.checked })}
        />
        Starred
      </label>
      {narrowed && (
        <Button look="plain" onClick={() => onLook({ ...EVERYTHING, order: look.order })}>
          Show all
        </Button>
      )}
    </search>
  );
}
