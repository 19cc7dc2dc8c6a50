'use client';
import Link from 'next/link';
import type { AuditLine, Finding, RecipeAudit } from '@/core/audit/schema';
import { showNumber, showRange } from '@/core/format/figures';
import type { Protocol } from '@/core/protocol';
import type { Correction, ReadLine, ReadRecipe } from '@/core/read/types';
import type { Larder } from '@/core/food/larder';
import type { SwapPreview } from '@/core/swap/rank';
import type { DishRole } from '@/core/swap/roles';
import { Button, Key } from '@/ui/button';
import { Glyph, type Mark } from '@/ui/glyph';
import type { Kitchen } from '@/kitchen/use-kitchen';
import { Reading } from './reading';
import { RoleChoice } from './role-choice';
import { Swaps } from './swaps';
import type { TableDiner } from '@/kitchen/use-table';

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
  recipe: ReadRecipe;
  read: ReadLine;
  role: DishRole;
  previews: readonly SwapPreview[];
  chosen: number;
  table: readonly TableDiner[];
  correction: Correction | undefined;
  larder: Larder;
  kitchen: Kitchen;
  meant: boolean;
  onRemember: () => void;
  onForget: () => void;
  correcting: boolean;
  why: boolean;
  onChoose: (index: number) => void;
  onApply: (preview: SwapPreview) => void;
  onCorrect: (correction: Correction | null) => void;
  onCorrecting: (open: boolean) => void;
  onWhy: (open: boolean) => void;
  onRole: (role: string | null) => void;
  onMustChange: () => void;
  onEdit: () => void;
  onClose: () => void;
}

/** All about the chosen line: findings, how it was read, why, and what could stand in. */
export function LinePanel({
  audit,
  protocol,
  index,
  recipe,
  read,
  role,
  previews,
  chosen,
  table,
  correction,
  larder,
  kitchen,
  meant,
  onRemember,
  onForget,
  correcting,
  why,
  onChoose,
  onApply,
  onCorrect,
  onCorrecting,
  onWhy,
  onRole,
  onMustChange,
  onEdit,
  onClose,
}: PanelProps) {
  const line = audit.lines[index];
  if (!line) return null;
  return (
    <>
      <div className="flex items-start justify-between gap-2">
        <span className="inline-block rounded-md border-[1.5px] border-hair px-2 py-px text-[12px] text-mute">
          {line.grams ? `${showRange(line.grams)} g` : 'amount not known'}
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
      <RoleChoice read={read} role={role} onRole={onRole} />
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
        {line.food && !audit.notAdapted && (
          <Button look="line" keys="C" onClick={onMustChange}>
            Must change
          </Button>
        )}
      </div>
      {why && <Why line={line} />}
      {line.food && (
        <Link
          href={`/larder?food=${encodeURIComponent(line.food.id)}`}
          className="mt-2 inline-block text-[13px] font-semibold text-rim underline underline-offset-4"
        >
          {line.food.name} in the Larder
        </Link>
      )}
      <Reading
        key={`${index}-${line.text}`}
        line={read}
        correction={correction}
        larder={larder}
        meant={meant}
        onRemember={onRemember}
        onForget={onForget}
        onCorrect={onCorrect}
        open={correcting}
        onOpen={onCorrecting}
      />
      {previews.length > 0 ? (
        <Swaps
          previews={previews}
          before={audit}
          read={recipe}
          chosen={chosen}
          table={table}
          kitchen={kitchen}
          onChoose={onChoose}
          onApply={onApply}
        />
      ) : (
        <p className="mt-3 text-mute">
          {audit.notAdapted ??
            (line.food
              ? 'Nothing needs to stand in for this.'
              : 'Once it is understood, swaps for it show here.')}
        </p>
      )}
    </>
  );
}
