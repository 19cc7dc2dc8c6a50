import type { OneChange } from '@/core/swap/one-change';
import { Glyph } from '@/ui/glyph';
import { mayEat } from './use-one-change';
import { markFor, type TableDiner } from '@/kitchen/use-table';

function answer(d: TableDiner, change: OneChange | null | undefined): string {
  if (mayEat(d)) return d.audit.verdict === 'near' ? 'as it is, close to a limit' : 'as it is';
  if (change) return `with one change: ${change.swap.toLowerCase()}, for “${change.text}”`;
  if (d.audit.notAdapted) return 'not: it is left as it is';
  if (d.unsafe.length > 0) return `not: it has ${d.unsafe.join(', ')}`;
  if (d.doubts.length > 0) return `not: allergens are not known (${d.doubts.join('; ')})`;
  if (d.audit.verdict === 'depends') return 'depends on what was meant';
  if (d.audit.verdict === 'unknown') return 'not known yet';
  return change === null ? 'not with one change' : 'not as it is';
}

/** Who at the table may eat the dish as it is, who with one change, who not. */
export function Who({
  table,
  changes,
  onSelect,
}: {
  table: readonly TableDiner[];
  changes: Readonly<Record<string, OneChange | null>>;
  onSelect: (line: number) => void;
}) {
  return (
    <section className="mt-3">
      <h3 className="font-semibold">Who may eat it</h3>
      <ul className="mt-0.5 space-y-0.5">
        {table.map((d) => {
          const change = changes[d.id];
          return (
            <li key={d.id} className="flex items-baseline gap-2">
              <span className="translate-y-[2px]">
                <Glyph mark={markFor(d)} size={12} label={false} />
              </span>
              <span>
                <b className="font-semibold">{d.name}</b>{' '}
                {change ? (
                  <button
                    type="button"
                    onClick={() => onSelect(change.line)}
                    className="min-h-6 text-left underline decoration-hair decoration-2 underline-offset-4 hover:decoration-rim"
                  >
                    {answer(d, change)}
                  </button>
                ) : (
                  answer(d, change)
                )}
                {d.disliked.length > 0 && (
                  <span className="text-mute">, and would rather not: {d.disliked.join(', ')}</span>
                )}
                {d.appetite !== 1 && <span className="text-mute"> ({d.appetite}× plate)</span>}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
