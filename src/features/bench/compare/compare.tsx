'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useMemo, useState } from 'react';
import type { Change } from '@/core/adapt/schema';
import type { Against, FrontierPoint } from '@/core/adapt/frontier';
import type { Version } from '@/core/adapt/versions';
import { limitFor } from '@/core/audit/limits';
import { titleOf } from '@/core/recipe/title';
import type { ReadSettings } from '@/core/read/types';
import { database, type StoredDiner, type StoredRecipe } from '@/data/db';
import { listRecipes, rootOf } from '@/data/recipes';
import { askPlanner } from '@/workers/adapt';
import { Stopped } from '@/workers/door';
import type { KeptRecipe, Library } from '@/core/read/library';
import { Toggle } from '@/ui/toggle';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { saveFile } from '@/ui/save-file';
import { Marked } from '@/ui/marked';
import type { TableDiner } from '@/kitchen/use-table';
import { usePlateCost, type Kitchen } from '@/kitchen/use-kitchen';
import { useProtocols } from '@/kitchen/use-protocols';
import { useLibraryContext } from '@/kitchen/use-library-context';
import { columnOf, keptColumn, type Ground } from './columns';
import type { Per } from './figures';
import { Frontier } from './frontier';
import { sheetOf } from './sheet';
import { CompareTable } from './table';

const NO_RECIPES: StoredRecipe[] = [];
const PERS: readonly (readonly [Per, string])[] = [
  ['plate', 'a plate'],
  ['100g', '100 g'],
];

interface Found {
  readonly of: StoredRecipe;
  readonly protocol: string;
  readonly versions: readonly Version[];
  readonly frontiers: Readonly<Record<Against, readonly FrontierPoint[]>>;
}

/** The moderate and the light version and the frontier, made in the worker while the dialog is open. */
function useVersions(
  open: boolean,
  doc: StoredRecipe,
  current: TableDiner,
  kitchen: Kitchen,
  diners: readonly Pick<StoredDiner, 'allergens'>[],
  needed: (recipe: StoredRecipe) => readonly KeptRecipe[],
): { readonly found: Found | null; readonly why: string | null } {
  const context = useLibraryContext();
  const [found, setFound] = useState<Found | null>(null);
  const [failed, setFailed] = useState<{ of: StoredRecipe; why: string } | null>(null);
  const { protocol } = current;
  const { tastes } = kitchen;
  const avoid = useMemo(() => [...new Set(diners.flatMap((d) => d.allergens))], [diners]);
  useEffect(() => {
    if (!open) return;
    let here = true;
    const recipes = needed(doc);
    void askPlanner((door) => door.compare(recipes, protocol, context, tastes, avoid)).then(
      (r) => {
        if (here) setFound({ of: doc, protocol: protocol.id, ...r });
      },
      (error: Error) => {
        if (here && !(error instanceof Stopped)) setFailed({ of: doc, why: error.message });
      },
    );
    return () => {
      here = false;
    };
  }, [open, doc, protocol, context, tastes, avoid, needed]);
  return {
    found: found?.of === doc && found.protocol === protocol.id ? found : null,
    why: failed?.of === doc ? failed.why : null,
  };
}

/** The other recipes on the shelf, versions of this one first. */
function useOthers(open: boolean, doc: StoredRecipe): readonly StoredRecipe[] {
  const all = useLiveQuery(() => (open ? listRecipes(database()) : NO_RECIPES), [open], NO_RECIPES);
  return useMemo(() => {
    const root = rootOf(doc);
    const kin = (r: StoredRecipe) => (rootOf(r) === root ? 0 : 1);
    return all.filter((r) => r.id !== doc.id).sort((a, b) => kin(a) - kin(b));
  }, [all, doc]);
}

/** Prints with every fold open. */
function printAll() {
  document.querySelectorAll('[role="dialog"] details').forEach((d) => d.setAttribute('open', ''));
  window.print();
}

/** A dish as written, moderate and light, beside any recipe that is kept, and the frontier between them. */
export function CompareDialog({
  open,
  onOpenChange,
  doc,
  title,
  current,
  diners,
  kitchen,
  readSettings,
  library,
  needed,
  onKeep,
  onTake,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  doc: StoredRecipe;
  title: string;
  current: TableDiner;
  diners: readonly StoredDiner[];
  kitchen: Kitchen;
  readSettings: ReadSettings;
  library: Library;
  needed: (recipe: StoredRecipe) => readonly KeptRecipe[];
  onKeep: (version: Version) => void;
  onTake: (text: string, changes: readonly Change[]) => void;
}) {
  const { protocol } = current;
  const { byId } = useProtocols();
  const plateCost = usePlateCost(kitchen);
  const { found, why } = useVersions(open, doc, current, kitchen, diners, needed);
  const others = useOthers(open, doc);
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [per, setPer] = useState<Per>('plate');
  const ground = useMemo<Ground>(
    () => ({ settings: readSettings, library, protocol, diners, byId, role: doc.role, plateCost }),
    [readSettings, library, protocol, diners, byId, doc.role, plateCost],
  );
  const made = useMemo(() => (found?.versions ?? []).map((v) => columnOf(v, ground)), [found, ground]);
  const kept = useMemo(
    () =>
      picked.flatMap((id) => {
        const recipe = others.find((r) => r.id === id);
        return recipe ? [keptColumn(recipe, ground)] : [];
      }),
    [picked, others, ground],
  );
  const columns = [...made, ...kept];
  const fat =
    protocol.limits.find((l) => l.of === 'fatKcal' && l.per === 'energy' && l.bound === 'most')?.limit ??
    null;
  const salt = protocol.limits.find((l) => l.of === 'sodiumMg' && l.bound === 'most' && l.limit > 0);
  const sodium = salt ? limitFor(salt, made[0]?.audit.role ?? 'main') : null;
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="Versions side by side"
      says={`${title}, looked at with ${current.name}’s limits (${protocol.name})`}
      wide={columns.length > 3 ? 'table' : true}
    >
      {!found ? (
        <p role={why ? 'alert' : undefined} className={why ? '' : 'text-mute'}>
          {why ? `They could not be made: ${why}.` : 'Making them …'}
        </p>
      ) : (
        <>
          <div className="no-print mb-2 flex flex-wrap items-center gap-x-4 gap-y-1.5">
            <div role="group" aria-label="Figures for" className="flex gap-1.5">
              {PERS.map(([id, label]) => (
                <Toggle key={id} pressed={per === id} onPress={() => setPer(id)}>
                  {label}
                </Toggle>
              ))}
            </div>
            {others.length > 0 && (
              <label className="flex min-w-0 items-center gap-1.5">
                <span className="flex-none text-mute">beside it</span>
                <select
                  className="field min-w-0 max-w-[300px]"
                  value=""
                  onChange={(e) => setPicked([...picked, e.target.value])}
                >
                  <option value="">a recipe on the shelf …</option>
                  {others
                    .filter((r) => !picked.includes(r.id))
                    .map((r) => (
                      <option key={r.id} value={r.id}>
                        {titleOf(r.text)}
                      </option>
                    ))}
                </select>
              </label>
            )}
          </div>
          <CompareTable
            columns={columns}
            protocol={protocol}
            per={per}
            onRemove={(id) => setPicked(picked.filter((p) => p !== id))}
          />
          <div className="no-print mt-3 flex flex-wrap gap-1.5">
            {found.versions
              .filter((v) => v.changes.length > 0)
              .map((v) => (
                <Button key={v.id} onClick={() => onKeep(v)}>
                  Keep the {v.name.toLowerCase()} one as a recipe of its own
                </Button>
              ))}
            <Button
              look="plain"
              onClick={() => saveFile('versions.md', 'text/markdown', sheetOf(title, protocol.name, columns))}
            >
              Save the sheet
            </Button>
            <Button look="plain" onClick={printAll}>
              Print
            </Button>
          </div>
          <Frontier
            frontiers={found.frontiers}
            limits={{ fat, sodium }}
            onTake={(p) => onTake(p.text, p.changes)}
          />
          <section aria-label="Their words" className="mt-5">
            <h3 className="font-semibold">Their words, against this recipe’s own</h3>
            {columns.slice(1).map((c) => (
              <details key={c.id} className="mt-1">
                <summary className="min-h-7 cursor-pointer">{c.name}</summary>
                <Marked before={doc.text} after={c.text} />
              </details>
            ))}
          </section>
        </>
      )}
    </Dialog>
  );
}
