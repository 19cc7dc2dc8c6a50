'use client';
import { useMemo, useState } from 'react';
import type { Adaptation, Plan } from '@/core/adapt/schema';
import { parseRecipe } from '@/core/recipe/parse';
import type { KeptRecipe } from '@/core/read/library';
import { readRecipe } from '@/core/read/read';
import type { ReadSettings } from '@/core/read/types';
import type { FlavourReport } from '@/core/swap/flavour';
import type { StoredRecipe } from '@/data/db';
import { Toggle } from '@/ui/toggle';
import { Button, Key } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { useKeys } from '@/ui/use-keys';
import { usePlateCost, type Kitchen } from '@/kitchen/use-kitchen';
import { BeforeAfter } from './before-after';
import { Marked } from '@/ui/marked';
import { Changes, Taste } from './plan-changes';
import { usePlans } from './use-plans';
import type { TableDiner } from '@/kitchen/use-table';

const changesWords = (plan: Plan) =>
  plan.changes.length === 0
    ? 'Nothing to change'
    : plan.changes.length === 1
      ? 'One change'
      : `${plan.changes.length} changes`;

function Plans({
  adaptation,
  flavour,
  before: text,
  cost,
  onApply,
  onKeep,
  onLock,
}: {
  adaptation: Adaptation;
  flavour: readonly (FlavourReport | null)[];
  /** The recipe's own text. */
  before: string;
  cost: (text: string) => string | null;
  onApply: (plan: Plan) => void;
  onKeep: (plan: Plan) => void;
  onLock: (words: string) => void;
}) {
  const [chosen, setChosen] = useState(0);
  const { plans, infeasible, before } = adaptation;
  const plan = plans[Math.min(chosen, plans.length - 1)] ?? infeasible?.closest;
  const taste = plans.length > 0 ? flavour[Math.min(chosen, plans.length - 1)] : null;
  const costs = useMemo(() => {
    const [was, becomes] = plan ? [cost(text), cost(plan.text)] : [null, null];
    return was !== null && becomes !== null ? { before: was, after: becomes } : null;
  }, [plan, text, cost]);
  useKeys({
    a: () => {
      if (!plan || plan.changes.length === 0) return false;
      onApply(plan);
      return true;
    },
  });
  return (
    <>
      {infeasible && (
        <p className="mt-2 rounded-lg bg-wash px-3 py-2">
          No plan brings it within: {infeasible.because}.
          {infeasible.closest && infeasible.closest.changes.length > 0 && ' This comes closest.'}
          {infeasible.without
            .filter((w) => w.changes !== null)
            .map((w) => (
              <span key={w.limit} className="block">
                Without the limit on {w.limit.toLowerCase()}{' '}
                {w.changes === 1 ? 'one change' : `${w.changes ?? 0} changes`} would do.
              </span>
            ))}
          {infeasible.unlocked
            .filter((u) => u.changes !== null)
            .map((u) => (
              <span key={u.line} className="block">
                If “{u.line}” might change, {u.changes === 1 ? 'one change' : `${u.changes ?? 0} changes`}{' '}
                would do.
              </span>
            ))}
        </p>
      )}
      {plans.length > 1 && (
        <div role="group" aria-label="Plans" className="mt-2 flex flex-wrap gap-1.5">
          {plans.map((p, i) => (
            <Toggle
              key={i}
              pressed={i === chosen}
              onPress={() => setChosen(i)}
              bold={false}
              className="px-2.5 text-left"
            >
              {i === 0 ? 'Least' : ownName(p, plans)}
              <span className="num text-[12.5px] text-mute"> · {p.changes.length}</span>
            </Toggle>
          ))}
        </div>
      )}
      {plan && (
        <>
          <p className="mt-2 flex items-center gap-2">
            <Glyph mark={plan.after.verdict} size={14} />
            <b className="font-semibold">{changesWords(plan)}</b>
            {plan.optimal && plan.changes.length > 0 && (
              <span className="text-[13px] text-mute">the fewest, of the swaps known here</span>
            )}
          </p>
          <Changes plan={plan} onLock={onLock} />
          {plan.changes.length > 0 && (
            <>
              <BeforeAfter before={before} after={plan.after} costs={costs} />
              {taste && <Taste report={taste} />}
              <details className="mt-3">
                <summary className="min-h-7 cursor-pointer font-semibold">The recipe, changes marked</summary>
                <Marked before={text} after={plan.text} />
              </details>
              <div className="mt-3 flex flex-wrap justify-end gap-1.5">
                <Button look="plain" onClick={() => onKeep(plan)}>
                  Keep as a version
                </Button>
                <Button look="solid" keys="A" onClick={() => onApply(plan)}>
                  Make these changes
                </Button>
              </div>
            </>
          )}
        </>
      )}
    </>
  );
}

/** What a plan does that none before it does, in a few words. */
function ownName(plan: Plan, plans: readonly Plan[]): string {
  const before = plans.slice(0, plans.indexOf(plan)).flatMap((p) => p.changes.map((c) => c.name));
  return plan.changes.find((c) => !before.includes(c.name))?.name ?? 'Another';
}

/** Lines that the cook said something about, each with a way to take it back. */
function Wished({
  name,
  says,
  words,
  undo,
  onUndo,
}: {
  name: string;
  says: string;
  words: readonly string[];
  undo: string;
  onUndo: (left: readonly string[]) => void;
}) {
  if (words.length === 0) return null;
  return (
    <ul aria-label={name} className="mt-2 space-y-1">
      {words.map((w) => (
        <li key={w} className="flex items-center justify-between gap-2 text-[13.5px]">
          <span className="[overflow-wrap:anywhere]">
            {says}: {w}
          </span>
          <Button
            look="plain"
            onClick={() => onUndo(words.filter((l) => l !== w))}
            aria-label={`${undo} ${w}`}
          >
            Take back
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** The least change after which somebody, or everyone, may eat the dish. */
export function LeastChange({
  doc,
  settings,
  needed,
  kitchen,
  table,
  current,
  forced: first,
  onApply,
  onKeep,
  onClose,
}: {
  doc: StoredRecipe;
  settings: ReadSettings;
  needed: (recipe: StoredRecipe) => readonly KeptRecipe[];
  kitchen: Kitchen;
  table: readonly TableDiner[];
  current: TableDiner;
  /** Words of lines that must change. */
  forced: readonly string[];
  onApply: (plan: Plan) => void;
  onKeep: (plan: Plan) => void;
  onClose: () => void;
}) {
  const [everyone, setEveryone] = useState(table.length > 1);
  const [locked, setLocked] = useState<readonly string[]>([]);
  const [forced, setForced] = useState(first);
  const plateCost = usePlateCost(kitchen);
  const cost = useMemo(
    () => (text: string) => plateCost(readRecipe(parseRecipe(text), settings)),
    [plateCost, settings],
  );
  const question = useMemo(
    () => ({
      recipes: needed(doc),
      // the first one's figures are shown
      diners: everyone ? [current, ...table.filter((d) => d.id !== current.id)] : [current],
      locked,
      forced,
      tastes: kitchen.tastes,
    }),
    [doc, needed, everyone, table, current, locked, forced, kitchen.tastes],
  );
  const { adaptation, flavour, why, working, stop } = usePlans(question);
  return (
    <section aria-label="The least change">
      <div className="flex items-start justify-between gap-2">
        <h2 className="text-[17px] font-semibold leading-tight">The least change that fits</h2>
        <button
          type="button"
          onClick={onClose}
          className="rounded px-1.5 text-[13px] text-mute hover:bg-pick"
        >
          Close
          <Key>Esc</Key>
        </button>
      </div>
      {table.length > 1 && (
        <div role="group" aria-label="For whom" className="mt-2 flex gap-1.5">
          {[true, false].map((all) => (
            <Toggle key={String(all)} pressed={everyone === all} onPress={() => setEveryone(all)}>
              {all ? 'for everyone' : `for ${current.name}`}
            </Toggle>
          ))}
        </div>
      )}
      <Wished name="Kept as they are" says="kept" words={locked} undo="Allow changes to" onUndo={setLocked} />
      <Wished
        name="Must change"
        says="must change"
        words={forced}
        undo="Do not insist on"
        onUndo={setForced}
      />
      <div aria-live="polite">
        {working ? (
          <p className="mt-3 flex items-center justify-between gap-2 text-mute">
            Looking for it …
            <Button look="plain" onClick={stop}>
              Stop
            </Button>
          </p>
        ) : adaptation ? (
          <Plans
            key={`${everyone} ${locked.join('|')} ${forced.join('|')}`}
            adaptation={adaptation}
            flavour={flavour}
            before={doc.text}
            cost={cost}
            onApply={onApply}
            onKeep={onKeep}
            onLock={(words) => {
              setForced(forced.filter((f) => f !== words));
              setLocked([...locked, words]);
            }}
          />
        ) : (
          <p role={why ? 'alert' : undefined} className={`mt-3 ${why ? '' : 'text-mute'}`}>
            {why ? `No plan: ${why}.` : 'Stopped.'}
          </p>
        )}
      </div>
    </section>
  );
}
