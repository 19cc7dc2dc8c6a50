'use client';
import { showRange } from '@/core/format/figures';
import type { RecipeAudit } from '@/core/audit/schema';
import { ROLES, roleLabel, type RoleId } from '@/core/protocol';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { servingsWords, VERDICT_WORDS } from './model';
import { markFor, type TableDiner } from '@/kitchen/use-table';

interface TopProps {
  audit: RecipeAudit;
  said: boolean;
  overruled: boolean;
  onServings: (servings: number | null) => void;
  onRole: (role: RoleId) => void;
}

/** Title, how many it feeds, what it is. */
export function Top({ audit, said, overruled, onServings, onRole }: TopProps) {
  const { servings } = audit;
  const step = (by: number) => onServings(Math.max(1, Math.round(servings.best) + by));
  const weight = audit.perServing.weightG;
  return (
    <div className="min-w-0">
      <h1 className="text-[23px] font-semibold leading-[1.1] [overflow-wrap:anywhere] sm:text-[25px]">
        {audit.title}
      </h1>
      <div className="num mt-1 flex flex-wrap items-center gap-x-2 gap-y-1 text-mute">
        <span className="flex items-center gap-1">
          {said ? 'serves' : 'serves, not said,'}
          <button
            type="button"
            aria-label="One serving less"
            onClick={() => step(-1)}
            className="size-6 rounded-full border-[1.5px] border-hair font-bold leading-none text-rim hover:bg-pick"
          >
            −
          </button>
          <b className="text-ink" data-testid="servings">
            {servingsWords(servings)}
          </b>
          <button
            type="button"
            aria-label="One serving more"
            onClick={() => step(1)}
            className="size-6 rounded-full border-[1.5px] border-hair font-bold leading-none text-rim hover:bg-pick"
          >
            +
          </button>
          {overruled && (
            <button type="button" onClick={() => onServings(null)} className="underline underline-offset-2">
              as written
            </button>
          )}
        </span>
        <label className="flex items-center gap-1">
          <span className="sr-only">What it is</span>
          <select
            value={audit.role}
            title={audit.roleBecause ? `Read so since ${audit.roleBecause}` : 'As you said'}
            onChange={(e) => onRole(e.target.value as RoleId)}
            className="rounded border-[1.5px] border-hair bg-sheet py-0.5 pl-1 text-ink"
          >
            {ROLES.map((role) => (
              <option key={role} value={role}>
                {roleLabel(role)}
              </option>
            ))}
          </select>
        </label>
        {weight && <span className="hidden sm:inline">about {showRange(weight)} g a plate</span>}
      </div>
    </div>
  );
}

/** Verdicts of everyone at the table, side by side; the chosen one's limits are on the rail. */
export function Diners({
  diners,
  chosen,
  onChoose,
  onEdit,
}: {
  diners: readonly TableDiner[];
  chosen: string;
  onChoose: (id: string) => void;
  onEdit: () => void;
}) {
  return (
    <div className="flex flex-wrap xl:flex-none items-stretch gap-1.5" role="group" aria-label="Diners">
      {diners.map((d) => (
        <button
          key={d.id}
          type="button"
          aria-pressed={d.id === chosen}
          onClick={() => onChoose(d.id)}
          className={`flex items-center gap-2 rounded-[9px] bg-sheet px-2.5 py-1 text-left ${d.id === chosen ? 'border-2 border-rim' : 'border-2 border-hair'}`}
        >
          <Glyph mark={markFor(d)} />
          <span className="leading-tight">
            <span className="block font-semibold">{d.name}</span>
            <span className="block text-[12px] text-mute">
              {d.name === d.protocol.name ? VERDICT_WORDS[d.audit.verdict] : d.protocol.name}
              {d.protocolGone && ' (their own protocol is gone)'}
              {d.disliked.length > 0 && d.unsafe.length === 0 && ` · dislikes ${d.disliked.join(', ')}`}
              {d.unsafe.length > 0 && <b className="font-semibold text-over"> · has {d.unsafe.join(', ')}</b>}
              {d.unsafe.length === 0 && d.doubts.length > 0 && (
                <b className="font-semibold text-ink"> · allergens not known</b>
              )}
            </span>
          </span>
        </button>
      ))}
      <Button look="plain" onClick={onEdit}>
        Table
      </Button>
    </div>
  );
}
