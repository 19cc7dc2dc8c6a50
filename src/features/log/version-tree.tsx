'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { auditRecipe } from '@/core/audit/audit';
import type { AuditLimit, RecipeAudit } from '@/core/audit/schema';
import { showNumber, showRange } from '@/core/format/figures';
import { database, type StoredRecipe } from '@/data/db';
import { listRecipes, rootOf } from '@/data/recipes';
import { useDiner } from '@/kitchen/use-diner';
import { useLibrary } from '@/kitchen/use-library';
import { shortLabel, verdictWords } from '@/kitchen/words';
import { Glyph } from '@/ui/glyph';
import { Marked } from '@/ui/marked';

/** Where the limit's rule stands: left of it is light, right of it heavy. */
const RULE_AT = 0.46;
const ROW = 44;

interface Version {
  readonly recipe: StoredRecipe;
  readonly audit: RecipeAudit;
  readonly limit: AuditLimit | undefined;
  /** Row of the version it was made from; null for the first. */
  readonly parent: number | null;
}

const at = (l: AuditLimit | undefined, end: 'low' | 'best' | 'high'): number | null =>
  l?.value && l.limit > 0 ? Math.min(1, (l.value[end] / l.limit) * RULE_AT) : null;

/** Versions of a recipe below each other on the limit's own scale, a line from each to the one it was made from. */
export function VersionTree({ recipeId }: { recipeId: string }) {
  const all = useLiveQuery(() => listRecipes(database()), [], null);
  const { current, diners } = useDiner();
  const { library } = useLibrary(null);
  const [limitId, setLimitId] = useState('fat-share');
  const [pair, setPair] = useState<readonly string[]>([]);
  const versions = useMemo(() => {
    const own = all?.find((r) => r.id === recipeId);
    const root = own ? rootOf(own) : recipeId;
    const kin = (all ?? [])
      .filter((r) => rootOf(r) === root)
      .sort((a, b) => Number(a.id !== root) - Number(b.id !== root) || a.createdAt - b.createdAt);
    return kin.map((recipe): Version => {
      const audit = auditRecipe(library.read(recipe), current.protocol, {
        role: recipe.role ?? undefined,
        per100g: false,
      });
      const parent = kin.findIndex((r) => r.id === (recipe.versionOf ?? ''));
      return {
        recipe,
        audit,
        limit: audit.limits.find((l) => l.id === limitId),
        parent: recipe.versionOf === null || parent < 0 ? null : parent,
      };
    });
  }, [all, recipeId, library, current.protocol, limitId]);
  if (versions.length < 2) return null;
  const choices = current.protocol.limits.filter((l) => l.limit > 0);
  const [a, b] = pair.map((id) => versions.find((v) => v.recipe.id === id));
  const choose = (id: string) =>
    setPair(pair.includes(id) ? pair.filter((x) => x !== id) : [...pair.slice(-1), id]);
  return (
    <section className="sheet px-4 py-3" aria-label="Versions">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-[17px] font-semibold leading-tight">How its versions moved</h2>
        <label className="flex items-center gap-1.5 text-[13px] text-mute">
          against
          <select
            className="field py-0.5 text-ink"
            value={limitId}
            onChange={(e) => setLimitId(e.target.value)}
          >
            {choices.map((l) => (
              <option key={l.id} value={l.id}>
                {shortLabel(l.label)}
              </option>
            ))}
          </select>
          {diners.length > 0 && <span>of {current.name}</span>}
        </label>
      </div>
      <div className="mt-3 grid grid-cols-[minmax(0,38%)_minmax(0,1fr)]">
        <ul>
          {versions.map((v) => (
            <li key={v.recipe.id} style={{ height: ROW }} className="flex items-center border-t border-hair">
              <button
                type="button"
                aria-pressed={pair.includes(v.recipe.id)}
                onClick={() => choose(v.recipe.id)}
                className={`w-full rounded-[7px] px-1.5 py-1 text-left text-[13px] leading-tight hover:bg-pick ${pair.includes(v.recipe.id) ? 'bg-pick' : ''}`}
              >
                <span className="line-clamp-1 font-semibold">{v.audit.title || 'Untitled recipe'}</span>
                <span className="num text-mute">
                  {v.limit?.value ? showRange(v.limit.value) : 'not known'}
                  {v.limit ? `, ${verdictWords(v.limit)}` : ''}
                </span>
              </button>
            </li>
          ))}
        </ul>
        <div className="relative" aria-hidden>
          <div className="absolute inset-y-0 w-[2.5px] bg-rim" style={{ left: `${RULE_AT * 100}%` }} />
          <svg
            className="pointer-events-none absolute inset-0 size-full overflow-visible"
            viewBox={`0 0 1 ${versions.length * ROW}`}
            preserveAspectRatio="none"
          >
            {versions.map((v, i) => {
              const [from, to] = [at(versions[v.parent ?? -1]?.limit, 'best'), at(v.limit, 'best')];
              return v.parent === null || from === null || to === null ? null : (
                <line
                  key={v.recipe.id}
                  x1={from}
                  y1={v.parent * ROW + ROW / 2}
                  x2={to}
                  y2={i * ROW + ROW / 2}
                  stroke="var(--mute)"
                  strokeWidth="1.5"
                  vectorEffect="non-scaling-stroke"
                />
              );
            })}
          </svg>
          {versions.map((v) => {
            const [low, best, high] = [at(v.limit, 'low'), at(v.limit, 'best'), at(v.limit, 'high')];
            return (
              <div key={v.recipe.id} style={{ height: ROW }} className="relative border-t border-hair">
                {low !== null && high !== null && (
                  <span
                    className="hatch absolute top-[calc(50%-5px)] h-[10px] text-within-soft forced-color-adjust-none"
                    style={{ left: `${low * 100}%`, width: `${Math.max(0.4, (high - low) * 100)}%` }}
                  />
                )}
                {best !== null && v.limit && (
                  <span
                    className="absolute top-1/2 -translate-x-1/2 -translate-y-1/2 rounded-full bg-sheet"
                    style={{ left: `${best * 100}%` }}
                  >
                    <Glyph mark={v.limit.verdict} size={16} label={false} />
                  </span>
                )}
              </div>
            );
          })}
        </div>
      </div>
      {pair.length < 2 && <p className="mt-2 text-[13px] text-mute">Choose two to see what differs.</p>}
      {a && b && (
        <div className="mt-3">
          <h3 className="font-semibold">From one to the other</h3>
          <ul className="mb-2 mt-0.5 list-disc pl-5">
            {a.audit.limits.flatMap((l, i) => {
              const other = b.audit.limits[i];
              if (
                !l.value ||
                !other?.value ||
                Math.abs(l.value.best - other.value.best) < 0.05 * Math.max(l.limit, 1)
              )
                return [];
              const by = other.value.best - l.value.best;
              return [
                <li key={l.id}>
                  {shortLabel(l.label)}: {showNumber(Math.abs(by))}{' '}
                  {l.unit === '% kcal' ? 'points' : (l.unit.split(' ')[0] ?? '')} {by < 0 ? 'less' : 'more'}
                </li>,
              ];
            })}
          </ul>
          <Marked before={a.recipe.text} after={b.recipe.text} />
        </div>
      )}
    </section>
  );
}
