'use client';
import type { AuditLine, Finding, RecipeAudit } from '@/core/audit/schema';
import { showNumber, showRange } from '@/core/format/figures';
import type { Protocol } from '@/core/protocol';
import type { Correction, ReadLine } from '@/core/read/types';
import type { SwapPreview } from '@/core/swap/rank';
import type { DishRole } from '@/core/swap/roles';
import { Button, Key } from '@/ui/button';
import { Glyph, type Mark } from '@/ui/glyph';
import { Reading } from './reading';
import { Swaps } from './swaps';

const MARKS: Record<Finding['level'], Mark> = {
  banned: 'over',
  over: 'over',
  near: 'near',
  watch: 'depends',
  note: 'clear',
};

/** What the line does to the dish, in a sentence. */
function summary(line: AuditLine, audit: RecipeAudit, protocol: Protocol): string {
  const { fatSharePoints, sodiumMg, fibreG, proteinG } = line.contribution;
  if (!fatSharePoints || !audit.total.fatSharePercent) return 'What it brings cannot be counted yet.';
  const parts: string[] = [];
  if (fatSharePoints.high >= 0.1)
    parts.push(
      `${showNumber(fatSharePoints.best)} of the ${showNumber(audit.total.fatSharePercent.best)} points of fat share`,
    );
  const sodium = sodiumMg ? sodiumMg.best / audit.servings.best : 0;
  if (sodium >= 5) parts.push(`${showNumber(sodium)} mg sodium a plate`);
  const good = (fibreG?.best ?? 0) + (proteinG?.best ?? 0) < 0.5 ? ', and no fibre or protein' : '';
  const banned = line.findings.some((f) => f.level === 'banned') ? ` Not in a ${protocol.name} dish.` : '';
  return `${parts.length > 0 ? `${parts.join(' and ')}${good}.` : 'Hardly anything that a limit looks at.'}${banned}`;
}

function Why({ line }: { line: AuditLine }) {
  const c = line.contribution;
  const rows = [
    ['energy', c.energyKcal, 'kcal'],
    ['fat', c.fatG, 'g'],
    ['sodium', c.sodiumMg, 'mg'],
    ['sugar', c.sugarG, 'g'],
    ['free sugar', c.freeSugarG, 'g'],
    ['fibre', c.fibreG, 'g'],
  ] as const;
  return (
    <div className="mt-2 rounded-[10px] bg-wash p-3 text-[13px]">
      <ol className="list-decimal space-y-0.5 pl-4">
        <li>
          Read as <b>{line.food?.name ?? 'nothing known'}</b>
          {line.food && ` (${Math.round(line.food.confidence * 100)} % of the words accounted for)`}
          {line.grams && `, ${showRange(line.grams)} g edible`}.
        </li>
        {line.readings.map((r) => (
          <li key={r}>{r}</li>
        ))}
        {line.foodSource && <li>Figures: {line.foodSource}.</li>}
        <li>
          In the whole dish:{' '}
          {rows
            .filter(([, r]) => r)
            .map(([name, r, unit]) => `${name} ${r ? showRange(r) : '?'} ${unit}`)
            .join(', ')}
          .
        </li>
        <li>Points of fat share: 9 × its fat ÷ the energy of the dish; they add up to the gauge.</li>
      </ol>
    </div>
  );
}

interface PanelProps {
  audit: RecipeAudit;
  protocol: Protocol;
  index: number;
  read: ReadLine;
  role: DishRole;
  previews: readonly SwapPreview[];
  chosen: number;
  correction: Correction | undefined;
  correcting: boolean;
  why: boolean;
  onChoose: (index: number) => void;
  onApply: (preview: SwapPreview) => void;
  onCorrect: (correction: Correction | null) => void;
  onCorrecting: (open: boolean) => void;
  onWhy: (open: boolean) => void;
  onEdit: () => void;
  onClose: () => void;
}

/** All about the chosen line: findings, how it was read, why, and what could stand in. */
export function LinePanel({
  audit,
  protocol,
  index,
  read,
  role,
  previews,
  chosen,
  correction,
  correcting,
  why,
  onChoose,
  onApply,
  onCorrect,
  onCorrecting,
  onWhy,
  onEdit,
  onClose,
}: PanelProps) {
  const line = audit.lines[index];
  if (!line) return null;
  return (
    <>
      <div className="flex items-start justify-between gap-2">
        <span
          className="inline-block rounded-md border-[1.5px] border-hair px-2 py-px text-[12px] text-mute"
          title={role.evidence}
        >
          {role.label}
          {line.grams && ` · ${showRange(line.grams)} g`}
        </span>
        <button
          type="button"
          onClick={onClose}
          className="rounded px-1.5 text-[13px] text-mute hover:bg-pick"
        >
          Close
          <Key>Esc</Key>
        </button>
      </div>
      <h2 className="mt-1.5 text-[17px] font-semibold leading-tight [overflow-wrap:anywhere]">{line.text}</h2>
      <p className="mt-0.5 text-mute">{summary(line, audit, protocol)}</p>
      {line.findings.length > 0 && (
        <ul className="mt-2 space-y-1">
          {line.findings.map((f, i) => (
            <li key={i} className="flex items-baseline gap-2">
              <span className="translate-y-[2px]">
                <Glyph mark={MARKS[f.level]} size={12} label={f.level !== 'note'} />
              </span>
              <span>{f.message}</span>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex flex-wrap gap-1.5">
        {line.origin === 'ingredients' && (
          <Button look="line" keys="E" onClick={onEdit}>
            Edit words
          </Button>
        )}
        <Button look="line" keys="W" aria-expanded={why} onClick={() => onWhy(!why)}>
          Why?
        </Button>
      </div>
      {why && <Why line={line} />}
      <Reading
        key={`${index}-${line.text}`}
        line={read}
        correction={correction}
        onCorrect={onCorrect}
        open={correcting}
        onOpen={onCorrecting}
      />
      {previews.length > 0 ? (
        <Swaps previews={previews} before={audit} chosen={chosen} onChoose={onChoose} onApply={onApply} />
      ) : (
        <p className="mt-3 text-mute">
          {line.food
            ? 'Nothing needs to stand in for this.'
            : 'Once it is understood, swaps for it show here.'}
        </p>
      )}
    </>
  );
}

/** The dish as a whole, while no line is chosen. */
export function DishPanel({
  audit,
  protocol,
  onSelect,
}: {
  audit: RecipeAudit;
  protocol: Protocol;
  onSelect: (index: number) => void;
}) {
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
      <section className="mt-3 border-t border-hair pt-3">
        <h3 className="font-semibold">A plate</h3>
        <dl className="num mt-1 grid grid-cols-[1fr_auto] gap-x-4">
          {figures.map(([name, r, unit]) => (
            <div key={name} className="contents">
              <dt className="text-mute">{name}</dt>
              <dd className="text-right">{r ? `${showRange(r)} ${unit}` : 'not known'}</dd>
            </div>
          ))}
        </dl>
        {audit.allergens.length > 0 && (
          <p className="mt-2 text-[13px]">
            <span className="text-mute">Allergens by the usual product: </span>
            {audit.allergens.join(', ')}
          </p>
        )}
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
