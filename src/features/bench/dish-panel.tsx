import { useMemo } from 'react';
import type { RecipeAudit } from '@/core/audit/schema';
import { showRange } from '@/core/format/figures';
import type { Protocol } from '@/core/protocol';
import type { ReadRecipe } from '@/core/read/types';
import { allergenWords } from '@/core/format/allergens';
import { Glyph } from '@/ui/glyph';
import type { StoredRecipe } from '@/data/db';
import type { OneChange } from '@/core/swap/one-change';
import { Button } from '@/ui/button';
import { usePlateCost, type Kitchen } from '@/kitchen/use-kitchen';
import { Cautions } from './cautions';
import { Kin } from './kin';
import { mayEat } from './use-one-change';
import { Room } from './room';
import type { TableDiner } from '@/kitchen/use-table';
import { Who } from './who';
import { Weighing, type Weighed } from './weighing';

/** The dish as a whole, while no line is chosen. */
export function DishPanel({
  doc,
  audit,
  protocol,
  read,
  table,
  changes,
  plate,
  kitchen,
  onPlan,
  onCompare,
  weighed,
  onWeighed,
  onSelect,
}: {
  doc: StoredRecipe;
  audit: RecipeAudit;
  protocol: Protocol;
  table: readonly TableDiner[];
  changes: Readonly<Record<string, OneChange | null>>;
  plate: number;
  kitchen: Kitchen;
  onPlan: () => void;
  onCompare: () => void;
  read: ReadRecipe;
  weighed: Weighed;
  onWeighed: (weighed: Weighed) => void;
  onSelect: (index: number) => void;
}) {
  const plateCost = usePlateCost(kitchen);
  const cost = useMemo(() => plateCost(read), [plateCost, read]);
  const find = (text: string) => audit.lines.findIndex((l) => l.text === text);
  const offenders = audit.lines.flatMap((l, i) =>
    l.findings.some((f) => f.level === 'banned' || f.level === 'over') ? [{ l, i }] : [],
  );
  const per = audit.perServing;
  const figures = [
    ['Energy', per.energyKcal, 'kcal'],
    ['Fat', per.fatG, 'g'],
    ['Protein', per.proteinG, 'g'],
    ['Fibre', per.fibreG, 'g'],
    ['Free sugar', per.freeSugarG, 'g'],
    ['Sodium', per.sodiumMg, 'mg'],
    ['Potassium', per.potassiumMg, 'mg'],
    ['Calcium', per.calciumMg, 'mg'],
    ['Iron', per.ironMg, 'mg'],
    [
      'As salt',
      per.sodiumMg
        ? {
            low: per.sodiumMg.low * 0.0025,
            best: per.sodiumMg.best * 0.0025,
            high: per.sodiumMg.high * 0.0025,
          }
        : null,
      'g',
    ],
  ] as const;
  const Go = ({ index, children }: { index: number; children: string }) => (
    <button
      type="button"
      onClick={() => onSelect(index)}
      className="min-h-[26px] text-left underline decoration-hair decoration-2 underline-offset-4 hover:decoration-rim"
    >
      {children}
    </button>
  );
  return (
    <>
      <div className="flex items-center gap-2">
        <Glyph mark={audit.verdict} size={18} />
        <h2 className="text-[17px] font-semibold leading-tight">
          {VERDICT_SENTENCE[audit.verdict](protocol.name)}
        </h2>
      </div>
      {audit.problems.map((p) => (
        <p key={p} className="mt-2 rounded-lg bg-wash px-3 py-2">
          {p}
        </p>
      ))}
      {audit.unresolved.length > 0 && (
        <section className="mt-3">
          <h3 className="font-semibold">Not understood, so not counted</h3>
          <ul className="mt-1 space-y-0.5">
            {audit.unresolved.map((text, i) => (
              <li key={i}>
                <Go index={find(text)}>{text}</Go>
              </li>
            ))}
          </ul>
        </section>
      )}
      <Cautions audit={audit} medical={table.some((d) => d.medical)} />
      {!table.every(mayEat) && !audit.notAdapted && (
        <Button look="solid" keys="L" className="mt-3" onClick={onPlan}>
          The least change that fits
        </Button>
      )}
      {!audit.notAdapted && (
        <Button look="plain" keys="V" className="mt-2 block" onClick={onCompare}>
          Moderate and light versions
        </Button>
      )}
      <Kin doc={doc} />
      {table.length > 1 && <Who table={table} changes={changes} onSelect={onSelect} />}
      {audit.deciding.length > 0 && (
        <section className="mt-3">
          <h3 className="font-semibold">Measuring this would settle it</h3>
          <ul className="mt-1 space-y-0.5">
            {audit.deciding.map((text) => (
              <li key={text}>{find(text) >= 0 ? <Go index={find(text)}>{text}</Go> : text}</li>
            ))}
          </ul>
        </section>
      )}
      {offenders.length > 0 && (
        <section className="mt-3">
          <h3 className="font-semibold">Lines that take it over</h3>
          <ul className="mt-1 space-y-0.5">
            {offenders.map(({ l, i }) => (
              <li key={i} className="flex items-baseline gap-2">
                <span className="translate-y-[2px]">
                  <Glyph mark="over" size={12} label={false} />
                </span>
                <Go index={i}>{l.text}</Go>
              </li>
            ))}
          </ul>
        </section>
      )}
      {audit.variants.length > 0 && (
        <section className="mt-3">
          <h3 className="font-semibold">With and without</h3>
          <p className="text-mute">{audit.variants[0]?.lines.join('; ')}</p>
          <ul>
            {audit.variants.map((v) => (
              <li key={v.id} className="flex items-baseline gap-2">
                <span className="translate-y-[2px]">
                  <Glyph mark={v.verdict} size={12} />
                </span>
                {v.id}
              </li>
            ))}
          </ul>
        </section>
      )}
      <Room read={read} protocol={protocol} role={audit.role} plate={plate} onSelect={onSelect} />
      <section className="mt-3 border-t border-hair pt-3">
        <h3 className="font-semibold">A plate</h3>
        <dl className="num mt-1 grid grid-cols-[1fr_auto] gap-x-4">
          {figures.map(([name, r, unit]) => (
            <div key={name} className="contents">
              <dt className="text-mute">{name}</dt>
              <dd className="text-right">{r ? `${showRange(r)} ${unit}` : 'not known'}</dd>
            </div>
          ))}
          {cost !== null && (
            <div className="contents">
              <dt className="text-mute">Cost, by your prices</dt>
              <dd className="text-right">{cost}</dd>
            </div>
          )}
        </dl>
        {audit.allergens.length + audit.allergenDoubts.length > 0 && (
          <p className="mt-2 text-[13px]">
            <span className="text-mute">Allergens by the usual product: </span>
            {allergenWords(audit)}
          </p>
        )}
        <Weighing audit={audit} read={read} weighed={weighed} onWeighed={onWeighed} />
        <p className="mt-2 text-[12.5px] text-mute">
          Figures are a kitchen estimate. With a medical diet, blood-pressure, kidney or diabetes medicine, in
          pregnancy and for children, ask a clinician before changing salt, sugar or fat.
        </p>
      </section>
    </>
  );
}

const VERDICT_SENTENCE: Record<RecipeAudit['verdict'], (name: string) => string> = {
  within: (n) => `Within ${n}, whatever the amounts meant`,
  near: (n) => `Within ${n}, close to a limit`,
  over: (n) => `Over for ${n}`,
  depends: (n) => `Depends, for ${n}, on what was meant`,
  unknown: (n) => `Not known yet for ${n}`,
};
