'use client';
import { useRouter, useSearchParams } from 'next/navigation';
import { Suspense, useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { correctionKey } from '@/core/read/read';
import type { Limit } from '@/core/protocol';
import { type SwapPreview } from '@/core/swap/rank';
import { database } from '@/data/db';
import { sampleText, seedDemo } from '@/data/demo';
import { newRecipe, saveRecipe } from '@/data/recipes';
import { setSetting } from '@/data/settings';
import { Dialog } from '@/ui/dialog';
import { useKeys } from '@/ui/use-keys';
import { useProtocols } from '../rules/use-protocols';
import { useLarder } from '../larder/use-larder';
import { useSettings } from '../settings/use-settings';
import { TableDialog } from '../table/table-dialog';
import { Ledger } from './ledger';
import { gaugesOf, ledgerOf } from './model';
import { Method } from './method';
import { NewRecipe } from './new-recipe';
import { BenchActions } from './bench-actions';
import { CompareDialog } from './compare';
import { DishPanel } from './dish-panel';
import { EmptyBench } from './empty-bench';
import { LimitPanel } from './limit-panel';
import { LinePanel } from './panel';
import { LeastChange } from './plans';
import { Rail } from './rail';
import { Diners, Top } from './top';
import { useDocument } from './use-document';
import { useLineEdit } from './use-line-edit';
import { useMeaning } from './use-meaning';
import { usePaste } from './use-paste';
import { useOneChange } from './use-one-change';
import { useRead } from './use-read';
import { useSwaps } from './use-swaps';
import { judgeTable, useDiners } from './use-table';

/** The Bench: read, audit and swap one recipe. */
export function Bench({ demo }: { demo: boolean }) {
  return (
    <Suspense>
      <BenchInner demo={demo} />
    </Suspense>
  );
}

function BenchInner({ demo }: { demo: boolean }) {
  const asked = useSearchParams().get('recipe');
  const settings = useSettings();
  const [seeded, setSeeded] = useState(!demo);
  useEffect(() => {
    if (demo) void seedDemo(database(), Date.now()).finally(() => setSeeded(true));
  }, [demo]);
  const id = seeded ? (asked ?? settings.openRecipe) : null;
  useEffect(() => {
    if (asked) void setSetting(database(), 'openRecipe', asked);
  }, [asked]);
  if (!seeded) return <p className="p-6 text-mute">Laying the table …</p>;
  return <OpenRecipe key={id ?? 'none'} id={id} />;
}

async function take(texts: readonly string[]): Promise<string | null> {
  const now = Date.now();
  const made = texts.map((text, i) => newRecipe(text, now - i));
  for (const recipe of made) await saveRecipe(database(), recipe);
  const first = made[0]?.id ?? null;
  await setSetting(database(), 'openRecipe', first);
  return first;
}

function OpenRecipe({ id }: { id: string | null }) {
  const router = useRouter();
  const settings = useSettings();
  const diners = useDiners();
  const { meanings } = useLarder();
  const { byId } = useProtocols();
  const { doc, status, canUndo, canRedo, change, undo, redo, settle } = useDocument(id);
  const [selected, setSelected] = useState<number | null>(null);
  const [hovered, setHovered] = useState<number | null>(null);
  const lineEdit = useLineEdit(doc, change, undo, settle);
  const [chosen, setChosen] = useState(0);
  const [correcting, setCorrecting] = useState(false);
  const [why, setWhy] = useState(false);
  const [whyLimit, setWhyLimit] = useState<string | null>(null);
  const [planning, setPlanning] = useState(false);
  const [wholeText, setWholeText] = useState(false);
  const [dialog, setDialog] = useState<'new' | 'table' | 'compare' | null>(null);

  const open = async (texts: readonly string[]) => {
    const first = await take(texts);
    setDialog(null);
    if (first) router.push(`/?recipe=${first}`);
  };

  const { read, settings: readSettings, larder } = useRead(doc);
  const table = useMemo(
    () => (read && doc ? judgeTable(diners, read, doc.role, byId) : []),
    [diners, read, doc, byId],
  );
  const current = table.find((d) => d.id === settings.diner) ?? table[0];
  const avoid = useMemo(() => [...new Set(table.flatMap((d) => d.allergens))], [table]);

  const question = useMemo(
    () =>
      read && current && selected !== null && lineEdit.edit === null && !current.audit.notAdapted
        ? { read, diner: current, line: selected, settings: readSettings, avoid }
        : null,
    [read, current, selected, lineEdit.edit, readSettings, avoid],
  );
  const ranked = useSwaps(question);
  const changes = useOneChange(doc, table);

  const select = (index: number | null) => {
    setSelected(index);
    setWhyLimit(null);
    setPlanning(false);
    setChosen(0);
    setCorrecting(false);
    settle();
  };
  const move = (by: number) => {
    if (!read || read.lines.length === 0) return;
    const next =
      selected === null
        ? by > 0
          ? 0
          : read.lines.length - 1
        : Math.min(read.lines.length - 1, Math.max(0, selected + by));
    select(next);
    document.querySelector(`[data-line="${next}"]`)?.scrollIntoView({ block: 'nearest' });
  };
  const beginEdit = (index: number) => {
    const line = read?.lines[index];
    if (line?.origin === 'ingredients') lineEdit.begin(line.line.start, line.line.text);
  };
  const apply = (preview: SwapPreview) => {
    change({ text: preview.swapped.text });
    setSelected(null);
    toast(`${preview.swap.name}: swapped.`, { action: { label: 'Undo', onClick: undo } });
  };
  const plan = () => {
    select(null);
    setPlanning(true);
  };
  const carryOut = (text: string, made: number) => {
    change({ text });
    setPlanning(false);
    toast(`${made === 1 ? 'One change' : `${made} changes`} made.`, {
      action: { label: 'Undo', onClick: undo },
    });
  };
  const correct = (correction: { foodId?: string; grams?: number } | null) => {
    const line = selected === null ? undefined : read?.lines[selected];
    if (!doc || !line) return;
    const key = correctionKey(line.origin, line.line.text);
    const others = Object.fromEntries(Object.entries(doc.corrections).filter(([k]) => k !== key));
    change({ corrections: correction ? { ...others, [key]: correction } : others });
  };
  const chosenLine = selected === null ? undefined : read?.lines[selected];
  const corrected = chosenLine && doc?.corrections[correctionKey(chosenLine.origin, chosenLine.line.text)];
  const { meaning, onRemember, onForget } = useMeaning(
    chosenLine?.foods[0],
    meanings,
    () => correct(corrected?.grams === undefined ? null : { grams: corrected.grams }),
    undo,
  );
  const servings = (n: number | null) => change({ servings: n }, 'servings');
  const nextDiner = () => {
    const at = table.findIndex((d) => d.id === current?.id);
    const next = table[(at + 1) % Math.max(1, table.length)];
    if (next) void setSetting(database(), 'diner', next.id);
  };

  useKeys({
    ArrowDown: () => move(1),
    ArrowUp: () => move(-1),
    e: () => selected !== null && beginEdit(selected),
    Enter: () => selected !== null && beginEdit(selected),
    f: () => selected !== null && setCorrecting(true),
    w: () => selected !== null && setWhy(!why),
    s: () => ranked && setChosen((chosen + 1) % Math.max(1, Math.min(8, ranked.previews.length))),
    a: () => {
      const preview = ranked?.previews[chosen];
      if (preview) apply(preview);
    },
    l: plan,
    v: () => setDialog('compare'),
    d: nextDiner,
    t: () => setWholeText(!wholeText),
    n: () => setDialog('new'),
    '+': () => read && servings(Math.round(read.servings.range.best) + 1),
    '=': () => read && servings(Math.round(read.servings.range.best) + 1),
    '-': () => read && servings(Math.max(1, Math.round(read.servings.range.best) - 1)),
    Escape: () => select(null),
    'mod+z': undo,
    'mod+shift+z': redo,
    'mod+y': redo,
  });

  usePaste((texts) => void open(texts));

  if (status === 'loading' && id) return <p className="p-6 text-mute">Taking it off the shelf …</p>;
  if (!doc || !read || !current)
    return <EmptyBench onTake={(texts) => void open(texts)} onSample={() => void open([sampleText()])} />;

  const { audit } = current;
  const { gauges, bans } = gaugesOf(audit, read, current.protocol);
  const rows = ledgerOf(audit);
  const lit = hovered ?? selected;
  const line = chosenLine;
  const asked = current.protocol.limits.findIndex((l) => l.id === whyLimit);
  // what was asked for comes up from below on a phone
  const raised = line !== undefined || planning || asked >= 0;
  const correction = corrected;

  return (
    <div className={`grid gap-3.5 lg:grid-cols-[minmax(0,1fr)_372px] ${raised ? 'max-lg:pb-[58dvh]' : ''}`}>
      <div className="min-w-0">
        <div className="mb-5 flex flex-wrap items-end justify-between gap-x-4 gap-y-2 xl:flex-nowrap">
          <Top
            audit={audit}
            said={read.servings.said}
            overruled={doc.servings !== null}
            onServings={servings}
            onRole={(role) => change({ role })}
          />
          <Diners
            diners={table}
            chosen={current.id}
            onChoose={(d) => void setSetting(database(), 'diner', d)}
            onEdit={() => setDialog('table')}
          />
        </div>
        <Rail
          gauges={gauges}
          bans={bans}
          lit={lit}
          names={audit.lines.map((l) => l.text)}
          onHover={setHovered}
          onSelect={select}
          onWhy={(limit) => {
            select(null);
            setWhyLimit(limit);
          }}
        />
        {wholeText ? (
          <section aria-label="Whole text" className="sheet mt-3 p-2">
            <textarea
              aria-label="The recipe's whole text"
              value={doc.text}
              onChange={(e) => change({ text: e.target.value }, 'whole')}
              onBlur={settle}
              rows={24}
              spellCheck={false}
              className="field w-full resize-y border-0 font-[inherit] leading-relaxed"
            />
          </section>
        ) : (
          <Ledger
            audit={audit}
            rows={rows}
            selected={selected}
            lit={lit}
            starts={read.lines.map((l) => l.line.start)}
            edit={lineEdit.edit}
            onSelect={select}
            onHover={setHovered}
            onEdit={(i) => {
              select(i);
              beginEdit(i);
            }}
            onText={lineEdit.type}
            onDone={lineEdit.finish}
          />
        )}
        <BenchActions
          title={audit.title}
          text={doc.text}
          wholeText={wholeText}
          canUndo={canUndo}
          canRedo={canRedo}
          onNew={() => setDialog('new')}
          onWholeText={() => setWholeText(!wholeText)}
          onUndo={undo}
          onRedo={redo}
        />
        {!wholeText && audit.steps.length > 0 && <Method audit={audit} />}
      </div>
      <aside
        className={`sheet min-w-0 self-start px-4 py-3.5 lg:sticky lg:top-3 lg:max-h-[calc(100dvh-24px)] lg:overflow-y-auto ${raised ? 'max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-30 max-lg:rounded-b-none max-lg:border-x-0 max-lg:border-b-0 max-lg:max-h-[58dvh] max-lg:overflow-y-auto' : ''}`}
        aria-label={line ? 'The chosen line' : planning ? 'Plans' : 'The dish'}
      >
        {line && selected !== null ? (
          <LinePanel
            audit={audit}
            protocol={current.protocol}
            index={selected}
            read={line}
            role={ranked?.role ?? { id: 'any', label: 'in the dish', evidence: '' }}
            previews={ranked?.previews ?? []}
            chosen={chosen}
            correction={correction}
            larder={larder}
            meant={meaning !== undefined && correction?.foodId === undefined}
            onRemember={onRemember}
            onForget={onForget}
            correcting={correcting}
            why={why}
            onChoose={setChosen}
            onApply={apply}
            onCorrect={correct}
            onCorrecting={setCorrecting}
            onWhy={setWhy}
            onEdit={() => beginEdit(selected)}
            onClose={() => select(null)}
          />
        ) : planning ? (
          <LeastChange
            doc={doc}
            table={table}
            current={current}
            onApply={(p) => carryOut(p.text, p.changes.length)}
            onClose={() => setPlanning(false)}
          />
        ) : asked >= 0 ? (
          <LimitPanel
            audit={audit}
            limit={current.protocol.limits[asked] as Limit}
            index={asked}
            read={read}
            onSelect={select}
            onClose={() => setWhyLimit(null)}
          />
        ) : (
          <DishPanel
            audit={audit}
            protocol={current.protocol}
            table={table}
            changes={changes}
            plate={current.appetite}
            onPlan={plan}
            onCompare={() => setDialog('compare')}
            read={read}
            weighed={{ potG: doc.potG, plateG: doc.plateG }}
            onWeighed={change}
            onSelect={select}
          />
        )}
      </aside>
      <Dialog
        open={dialog === 'new'}
        onOpenChange={(o) => setDialog(o ? 'new' : null)}
        title="New recipe"
        wide
      >
        <NewRecipe onTake={(texts) => void open(texts)} />
      </Dialog>
      <CompareDialog
        open={dialog === 'compare'}
        onOpenChange={(o) => setDialog(o ? 'compare' : null)}
        doc={doc}
        title={audit.title}
        current={current}
        onKeep={(text) => void open([text])}
        onTake={(text, made) => {
          setDialog(null);
          carryOut(text, made);
        }}
      />
      <TableDialog
        open={dialog === 'table'}
        onOpenChange={(o) => setDialog(o ? 'table' : null)}
        diners={diners}
      />
    </div>
  );
}
