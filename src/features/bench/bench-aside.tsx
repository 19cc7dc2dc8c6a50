'use client';
import type { Plan } from '@/core/adapt/schema';
import type { Larder } from '@/core/food/larder';
import type { Limit } from '@/core/protocol';
import type { ReadRecipe, ReadSettings } from '@/core/read/types';
import type { OneChange } from '@/core/swap/one-change';
import type { SwapPreview } from '@/core/swap/rank';
import type { DishRole } from '@/core/swap/roles';
import type { StoredMeaning, StoredRecipe } from '@/data/db';
import type { Kitchen } from '@/kitchen/use-kitchen';
import { DishPanel } from './dish-panel';
import { LimitPanel } from './limit-panel';
import { LinePanel } from './panel';
import { LeastChange } from './plans';
import type { KeptRecipe } from '@/core/read/library';
import type { Change } from './use-document';
import { useCorrections } from './use-corrections';
import { useMeaning } from './use-meaning';
import type { TableDiner } from '@/kitchen/use-table';

/** What stands beside the recipe. */
export type Beside =
  | { readonly kind: 'dish' }
  | { readonly kind: 'line'; readonly index: number }
  | { readonly kind: 'limit'; readonly id: string }
  /** Plans; `forced` holds the words of lines that must change. */
  | { readonly kind: 'plans'; readonly forced: readonly string[] };

interface AsideProps {
  doc: StoredRecipe;
  read: ReadRecipe;
  settings: ReadSettings;
  needed: (recipe: StoredRecipe) => readonly KeptRecipe[];
  larder: Larder;
  meanings: readonly StoredMeaning[];
  kitchen: Kitchen;
  table: readonly TableDiner[];
  current: TableDiner;
  changes: Readonly<Record<string, OneChange | null>>;
  beside: Beside;
  onBeside: (beside: Beside) => void;
  ranked: { readonly role: DishRole; readonly previews: readonly SwapPreview[] } | null;
  chosen: number;
  onChoose: (index: number) => void;
  correcting: boolean;
  onCorrecting: (open: boolean) => void;
  why: boolean;
  onWhy: (open: boolean) => void;
  change: Change;
  back: (seq: number) => Promise<unknown>;
  onSwap: (preview: SwapPreview) => void;
  onPlan: (plan: Plan) => void;
  onKeepPlan: (plan: Plan) => void;
  onCompare: () => void;
  onEdit: (index: number) => void;
}

function ChosenLine({ index, ...p }: AsideProps & { index: number }) {
  const line = p.read.lines[index];
  const { correction, correct, overrule } = useCorrections(p.doc, line, p.change);
  const { meaning, onRemember, onForget } = useMeaning(
    line?.foods[0],
    p.meanings,
    () => correct(correction?.grams === undefined ? null : { grams: correction.grams }),
    (seq) => void p.back(seq),
  );
  if (!line) return null;
  return (
    <LinePanel
      audit={p.current.audit}
      protocol={p.current.protocol}
      index={index}
      recipe={p.read}
      read={line}
      role={p.ranked?.role ?? { id: 'any', label: 'in the dish', evidence: '' }}
      previews={p.ranked?.previews ?? []}
      chosen={p.chosen}
      table={p.table}
      correction={correction}
      larder={p.larder}
      kitchen={p.kitchen}
      meant={meaning !== undefined && correction?.foodId === undefined}
      onRemember={onRemember}
      onForget={onForget}
      correcting={p.correcting}
      why={p.why}
      onChoose={p.onChoose}
      onApply={p.onSwap}
      onCorrect={correct}
      onCorrecting={p.onCorrecting}
      onWhy={p.onWhy}
      onRole={overrule}
      onMustChange={() => p.onBeside({ kind: 'plans', forced: [line.line.text] })}
      onEdit={() => p.onEdit(index)}
      onClose={() => p.onBeside({ kind: 'dish' })}
    />
  );
}

/** All about what was asked for: a line, a limit, plans, or the dish as a whole. */
export function BenchAside(props: AsideProps) {
  const { beside, onBeside, current, read, doc, table } = props;
  const select = (index: number) => onBeside({ kind: 'line', index });
  const close = () => onBeside({ kind: 'dish' });
  if (beside.kind === 'line' && read.lines[beside.index])
    return <ChosenLine key={beside.index} {...props} index={beside.index} />;
  if (beside.kind === 'plans')
    return (
      <LeastChange
        key={beside.forced.join('|')}
        doc={doc}
        settings={props.settings}
        needed={props.needed}
        kitchen={props.kitchen}
        table={table}
        current={current}
        forced={beside.forced}
        onApply={props.onPlan}
        onKeep={props.onKeepPlan}
        onClose={close}
      />
    );
  const asked = beside.kind === 'limit' ? current.protocol.limits.findIndex((l) => l.id === beside.id) : -1;
  if (asked >= 0)
    return (
      <LimitPanel
        audit={current.audit}
        limit={current.protocol.limits[asked] as Limit}
        index={asked}
        read={read}
        onSelect={select}
        onClose={close}
      />
    );
  return (
    <DishPanel
      doc={doc}
      audit={current.audit}
      protocol={current.protocol}
      table={table}
      changes={props.changes}
      plate={current.appetite}
      kitchen={props.kitchen}
      onPlan={() => onBeside({ kind: 'plans', forced: [] })}
      onCompare={props.onCompare}
      read={read}
      weighed={{ potG: doc.potG, plateG: doc.plateG }}
      onWeighed={(weighed) => void props.change(weighed)}
      onSelect={select}
    />
  );
}
