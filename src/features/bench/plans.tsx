'use client';
import { useMemo, useState } from 'react';
import type { Adaptation, Plan } from '@/core/adapt/schema';
import type { FlavourReport } from '@/core/swap/flavour';
import type { StoredRecipe } from '@/data/db';
import { Button, Key } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { useKeys } from '@/ui/use-keys';
import { BeforeAfter } from './swaps';
import { usePlans } from './use-plans';
import type { TableDiner } from './use-table';

const changesWords = (plan: Plan) =>
  plan.changes.length === 0
    ? 'Nothing to change'
    : plan.changes.length === 1
      ? 'One change'
      : `${plan.changes.length} changes`;

/** One plan's changes, each with its technique, and a way to keep the line instead. */
function Changes({ plan, onLock }: { plan: Plan; onLock: (words: string) => void }) {
  return (
    <ol className="mt-1 space-y-2">
      {plan.changes.map((c, i) => (
        <li key={i} className="rounded-[10px] bg-wash px-3 py-2">
          <p className="[overflow-wrap:anywhere]">
            {c.from ? (
              <s className="text-mute decoration-1">{c.from}</s>
            ) : (
              <span className="text-mute">new</span>
            )}
            {' → '}
            <b className="font-semibold">{c.to || 'left out'}</b>
          </p>
          <p className="text-[13px]">
            {c.name}
            {c.from && <span className="text-mute">, {c.role}</span>}: {c.technique}
          </p>
          {c.cautions.map((w) => (
            <p key={w} className="text-[13px] text-near">
              Mind: {w}
            </p>
          ))}
          {c.from && (
            <button
              type="button"
              onClick={() => onLock(c.from)}
              className="min-h-6 text-[13px] font-semibold text-rim underline underline-offset-4"
            >
              Keep this line as it is
            </button>
          )}
        </li>
      ))}
    </ol>
  );
}

/** What the plan took from the taste, and what may give it back. */
function Taste({ report }: { report: FlavourReport }) {
  if (report.lost.length === 0) return null;
  return (
    <div className="mt-3">
      <h3 className="font-semibold">{report.bland ? 'Likely bland' : 'Its taste'}</h3>
      <p className="text-[13.5px]">
        Gone: {report.lost.join('; ')}. {report.bland ? 'There is ' : 'But '}
        {report.because}.
      </p>
      {report.back.length > 0 && (
        <ul className="mt-0.5 text-[13.5px]">
          {report.back.map((b) => (
            <li key={b.food.id}>
              <b className="font-semibold">
                {b.measure} {b.food.name.toLowerCase()}
              </b>{' '}
              for {b.sense}, {b.says}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function Plans({
  adaptation,
  flavour,
  onApply,
  onLock,
}: {
  adaptation: Adaptation;
  flavour: readonly (FlavourReport | null)[];
  onApply: (plan: Plan) => void;
  onLock: (words: string) => void;
}) {
  const [chosen, setChosen] = useState(0);
  const { plans, infeasible, before } = adaptation;
  const plan = plans[Math.min(chosen, plans.length - 1)] ?? infeasible?.closest;
  const taste = plans.length > 0 ? flavour[Math.min(chosen, plans.length - 1)] : null;
  useKeys({ a: () => plan && plan.changes.length > 0 && onApply(plan) });
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
        </p>
      )}
      {plans.length > 1 && (
        <div role="group" aria-label="Plans" className="mt-2 flex flex-wrap gap-1.5">
          {plans.map((p, i) => (
            <button
              key={i}
              type="button"
              aria-pressed={i === chosen}
              onClick={() => setChosen(i)}
              className={`min-h-8 rounded-lg border-2 px-2.5 text-left ${i === chosen ? 'border-rim' : 'border-hair'}`}
            >
              {i === 0 ? 'Least' : `Another ${i}`}
              <span className="num text-[12.5px] text-mute"> · {p.changes.length}</span>
            </button>
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
              <BeforeAfter before={before} after={plan.after} />
              {taste && <Taste report={taste} />}
              <div className="mt-3 flex justify-end">
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

/** The least change after which somebody, or everyone, may eat the dish. */
export function LeastChange({
  doc,
  table,
  current,
  onApply,
  onClose,
}: {
  doc: StoredRecipe;
  table: readonly TableDiner[];
  current: TableDiner;
  onApply: (plan: Plan) => void;
  onClose: () => void;
}) {
  const [everyone, setEveryone] = useState(table.length > 1);
  const [locked, setLocked] = useState<readonly string[]>([]);
  const question = useMemo(
    () => ({
      doc,
      // the first one's figures are shown
      diners: everyone ? [current, ...table.filter((d) => d.id !== current.id)] : [current],
      locked,
    }),
    [doc, everyone, table, current, locked],
  );
  const { adaptation, flavour, working, stop } = usePlans(question);
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
            <button
              key={String(all)}
              type="button"
              aria-pressed={everyone === all}
              onClick={() => setEveryone(all)}
              className={`min-h-8 rounded-lg border-2 px-2.5 ${everyone === all ? 'border-rim font-semibold' : 'border-hair'}`}
            >
              {all ? 'for everyone' : `for ${current.name}`}
            </button>
          ))}
        </div>
      )}
      {locked.length > 0 && (
        <ul aria-label="Kept as they are" className="mt-2 space-y-1">
          {locked.map((words) => (
            <li key={words} className="flex items-center justify-between gap-2 text-[13.5px]">
              <span className="[overflow-wrap:anywhere]">kept: {words}</span>
              <Button
                look="plain"
                onClick={() => setLocked(locked.filter((l) => l !== words))}
                aria-label={`Allow changes to ${words}`}
              >
                Allow
              </Button>
            </li>
          ))}
        </ul>
      )}
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
            key={`${everyone} ${locked.join('|')}`}
            adaptation={adaptation}
            flavour={flavour}
            onApply={onApply}
            onLock={(words) => setLocked([...locked, words])}
          />
        ) : (
          <p className="mt-3 text-mute">Stopped.</p>
        )}
      </div>
    </section>
  );
}
