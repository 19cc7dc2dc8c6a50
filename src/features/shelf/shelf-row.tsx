'use client';
import Link from 'next/link';
import { memo, type Ref } from 'react';
import { showRange } from '@/core/format/figures';
import { conflictsOf } from '@/core/read/allergens';
import { shownTitle } from '@/core/recipe/title';
import type { StoredDiner, StoredRecipe } from '@/data/db';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import type { LibraryRow } from '@/workers/library.worker';
import { RowMenu } from './row-menu';

/** What can be done with a recipe in its row. */
export interface RowActions {
  readonly onChoose: (id: string, chosen: boolean) => void;
  readonly onStar: (id: string, starred: boolean) => void;
  readonly onCopy: (id: string) => void;
  readonly onJoin: (id: string) => void;
  readonly onJoinWith: (id: string) => void;
  readonly onRemove: (id: string) => void;
}

/** One diner's verdict of a dish, with what she must not eat in words. */
function DinerCell({ row, diner }: { row: LibraryRow | undefined; diner: StoredDiner }) {
  const { has: unsafe, doubts } = row ? conflictsOf(row, diner.allergens) : { has: [], doubts: [] };
  const verdict = row?.verdicts[diner.protocol] ?? 'unknown';
  return (
    <td className="px-2 text-center">
      {row && (
        <Glyph
          mark={unsafe.length > 0 ? 'over' : doubts.length > 0 && verdict !== 'over' ? 'unknown' : verdict}
        />
      )}
      {unsafe.length === 0 && doubts.length > 0 && (
        <span className="block text-[11.5px] leading-tight" title={doubts.join('; ')}>
          allergens not known
        </span>
      )}
      {unsafe.length > 0 && (
        <span className="block text-[11.5px] leading-tight text-over">has {unsafe.join(', ')}</span>
      )}
    </td>
  );
}

/** A recipe of the Shelf: its name, everyone's verdict, its figures. */
export const ShelfRow = memo(function ShelfRow({
  recipe,
  row,
  diners,
  chosen,
  joining,
  actions,
  index,
  place,
}: {
  recipe: StoredRecipe;
  row: LibraryRow | undefined;
  diners: readonly StoredDiner[];
  chosen: boolean;
  /** `this` waits for another, `other` may be the other. */
  joining: 'this' | 'other' | null;
  actions: RowActions;
  index: number;
  place: Ref<HTMLTableRowElement>;
}) {
  const title = row?.title ?? shownTitle(recipe.text);
  const figure = (value: LibraryRow['fatShare'] | undefined, from: 'sm' | 'md') => (
    <td className={`num hidden px-2 text-right ${from === 'sm' ? 'sm:table-cell' : 'md:table-cell'}`}>
      {value ? showRange(value) : row ? '?' : ''}
    </td>
  );
  return (
    <tr
      ref={place}
      data-index={index}
      aria-rowindex={index + 2}
      aria-selected={chosen}
      className="border-b border-hair/60 last:border-0 hover:bg-wash aria-selected:bg-pick"
    >
      <td className="no-print w-9 pl-2 text-center">
        <input
          type="checkbox"
          className="size-4 accent-[var(--rim)]"
          checked={chosen}
          onChange={(e) => actions.onChoose(recipe.id, e.target.checked)}
          aria-label={`Choose ${title}`}
        />
      </td>
      <th scope="row" className="px-2 py-2 text-left font-medium [overflow-wrap:anywhere]">
        <button
          type="button"
          className={`no-print mr-1 inline-grid size-6 place-items-center rounded align-middle text-[16px] leading-none hover:bg-pick ${recipe.starred ? 'text-near' : 'text-mute'}`}
          aria-pressed={recipe.starred ?? false}
          aria-label={`Star ${title}`}
          onClick={() => actions.onStar(recipe.id, !recipe.starred)}
        >
          {recipe.starred ? '★' : '☆'}
        </button>
        <Link
          href={`/?recipe=${recipe.id}`}
          className="underline decoration-transparent underline-offset-4 hover:decoration-rim"
        >
          {title}
        </Link>
        {recipe.tags?.map((tag) => (
          <span
            key={tag}
            className="ml-1.5 rounded-full border border-hair px-1.5 text-[12.5px] font-normal text-mute"
          >
            {tag}
          </span>
        ))}
        {row && row.unresolved > 0 && (
          <span className="ml-2 text-[12.5px] font-normal text-mute">
            {row.unresolved === 1 ? 'one line not understood' : `${row.unresolved} lines not understood`}
          </span>
        )}
      </th>
      {diners.map((d) => (
        <DinerCell key={d.id} row={row} diner={d} />
      ))}
      {figure(row?.fatShare, 'sm')}
      {figure(row?.sodium, 'md')}
      {figure(row?.energy, 'md')}
      <td className="no-print px-1 text-right">
        {joining === 'other' ? (
          <Button look="line" onClick={() => actions.onJoinWith(recipe.id)}>
            Join with this
          </Button>
        ) : (
          <RowMenu
            title={title}
            onCopy={() => actions.onCopy(recipe.id)}
            onJoin={() => actions.onJoin(recipe.id)}
            onRemove={() => actions.onRemove(recipe.id)}
          />
        )}
      </td>
    </tr>
  );
});
