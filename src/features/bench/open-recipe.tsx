'use client';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { Change } from '@/core/adapt/schema';
import { MOST_SERVINGS } from '@/core/recipe/limits';
import { asKind } from '@/core/recipe/row-kind';
import { severalRecipes } from '@/core/recipe/several';
import { type SwapPreview } from '@/core/swap/rank';
import { database } from '@/data/db';
import { sampleText } from '@/data/demo';
import { takeIn } from '@/data/recipes';
import { keep } from '@/data/saving';
import { setSetting } from '@/data/settings';
import { Dialog } from '@/ui/dialog';
import { useKeys } from '@/ui/use-keys';
import { useProtocols } from '@/kitchen/use-protocols';
import { useKitchen } from '@/kitchen/use-kitchen';
import { useLarder } from '@/kitchen/use-larder';
import { useSettings } from '@/kitchen/use-settings';
import { TableDialog } from '@/kitchen/table/table-dialog';
import { Ledger } from './ledger';
import { gaugesOf, ledgerOf, VERDICT_WORDS } from './model';
import { NotKept } from './not-kept';
import { DayRoom } from './day-room';
import { Method } from './method';
import { NewRecipe } from './new-recipe';
import { BenchActions } from './bench-actions';
import { BenchAside, type Beside } from './bench-aside';
import { CardDialog } from './card';
import { CompareDialog } from './compare/compare';
import { Binned, EmptyBench } from './empty-bench';
import { Rail } from './rail';
import { Diners, Top } from './top';
import { UnsureRows } from './unsure-rows';
import { WholeText } from './whole-text';
import { useChanges } from './use-changes';
import { useDocument } from './use-document';
import { useLineEdit } from './use-line-edit';
import { usePaste } from './use-paste';
import { useOneChange } from './use-one-change';
import { useRead } from './use-read';
import { useReturnFocus } from './use-return-focus';
import { useSwaps } from './use-swaps';
import { judgeTable, markFor, useDiners } from '@/kitchen/use-table';

const ASIDE_NAMES: Record<Beside['kind'], string> = {
  dish: 'The dish',
  line: 'The chosen line',
  limit: 'The dish',
  plans: 'Plans',
};

/** One recipe on the Bench: its limits, its lines, and what is asked about them. */
export function OpenRecipe({ id }: { id: string | null }) {
  const router = useRouter();
  const settings = useSettings();
  const diners = useDiners();
  const { meanings } = useLarder();
  const kitchen = useKitchen();
  const { byId } = useProtocols();
  const { doc, status, unsaved, canUndo, canRedo, change, undo, redo, back, settle, retry } = useDocument(id);
  const [beside, setBeside] = useState<Beside>({ kind: 'dish' });
  const [hovered, setHovered] = useState<number | null>(null);
  const lineEdit = useLineEdit(doc, change, back, settle);
  const [chosen, setChosen] = useState(0);
  const [correcting, setCorrecting] = useState(false);
  const [why, setWhy] = useState(false);
  const [wholeText, setWholeText] = useState(false);
  const [pasted, setPasted] = useState<string | null>(null);
  const [dialog, setDialog] = useState<'new' | 'table' | 'compare' | 'card' | null>(null);
  const selected = beside.kind === 'line' ? beside.index : null;
  const returnTo = useReturnFocus(beside, doc?.text);

  const show = (recipe: string) => {
    setDialog(null);
    void keep('the setting', () => setSetting(database(), 'openRecipe', recipe));
    router.push(`/?recipe=${recipe}`);
  };
  const open = async (texts: readonly string[]): Promise<boolean> => {
    const made = await keep('the recipe', () => takeIn(database(), texts, Date.now()));
    if (made?.[0]) show(made[0].id);
    return made !== undefined;
  };

  const { read, settings: readSettings, larder, library, needed } = useRead(doc);
  const table = useMemo(
    () => (read && doc ? judgeTable(diners, read, doc.role, byId) : []),
    [diners, read, doc, byId],
  );
  const current = table.find((d) => d.id === settings.diner) ?? table[0];
  const avoid = useMemo(() => [...new Set(table.flatMap((d) => d.allergens))], [table]);

  const question = useMemo(
    () =>
      read && current && selected !== null && lineEdit.edit === null && !current.audit.notAdapted
        ? { read, diner: current, line: selected, settings: readSettings, avoid, tastes: kitchen.tastes }
        : null,
    [read, current, selected, lineEdit.edit, readSettings, avoid, kitchen.tastes],
  );
  const ranked = useSwaps(question);
  const changes = useOneChange(doc, table, needed);
  const made = useChanges(doc, change, back);

  const look = (next: Beside) => {
    setBeside(next);
    setChosen(0);
    setCorrecting(false);
    settle();
  };
  const select = (index: number | null) => look(index === null ? { kind: 'dish' } : { kind: 'line', index });
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
    returnTo(selected);
    made.swap(preview);
    select(null);
  };
  const carryOut = (text: string, of: readonly Change[]) => {
    returnTo(0);
    made.carryOut(text, of);
    select(null);
  };
  const keepVersion = (version: Parameters<typeof made.keep>[0]) =>
    void made.keep(version).then((kept) => kept !== undefined && show(kept));
  const mustChange = () => {
    const line = selected === null ? undefined : read?.lines[selected];
    if (line) look({ kind: 'plans', forced: [line.line.text] });
  };
  const servings = (n: number | null) =>
    void change({ servings: n === null ? null : Math.min(MOST_SERVINGS, Math.max(1, n)) }, 'servings');
  const nextDiner = () => {
    const at = table.findIndex((d) => d.id === current?.id);
    const next = table[(at + 1) % Math.max(1, table.length)];
    if (next) void keep('the setting', () => setSetting(database(), 'diner', next.id));
  };

  useKeys({
    ArrowDown: () => move(1),
    ArrowUp: () => move(-1),
    e: () => selected !== null && beginEdit(selected),
    Enter: () => selected !== null && beginEdit(selected),
    f: () => selected !== null && setCorrecting(true),
    w: () => selected !== null && setWhy(!why),
    c: mustChange,
    s: () => ranked !== null && setChosen((chosen + 1) % Math.max(1, Math.min(8, ranked.previews.length))),
    // where no line is chosen the key is the plan's
    a: () => {
      const preview = selected === null ? undefined : ranked?.previews[chosen];
      return preview !== undefined && apply(preview);
    },
    l: () => look({ kind: 'plans', forced: [] }),
    v: () => setDialog('compare'),
    d: nextDiner,
    t: () => setWholeText(!wholeText),
    n: () => setDialog('new'),
    '+': () => read && servings(Math.round(read.servings.range.best) + 1),
    '=': () => read && servings(Math.round(read.servings.range.best) + 1),
    '-': () => read && servings(Math.max(1, Math.round(read.servings.range.best) - 1)),
    Escape: () => {
      returnTo(selected);
      select(null);
    },
    'mod+z': undo,
    'mod+shift+z': redo,
    'mod+y': redo,
  });

  usePaste((texts) => {
    const [only] = texts;
    // a paste that holds several is asked about where new recipes are written
    if (only !== undefined && texts.length === 1 && severalRecipes(only).length > 1) {
      setPasted(only);
      setDialog('new');
      return;
    }
    void open(texts);
  });

  if (status === 'loading' && id) return <p className="p-6 text-mute">Taking it off the shelf …</p>;
  if (doc && status === 'binned') return <Binned doc={doc} />;
  if (!doc || !read || !current)
    return (
      <EmptyBench
        missing={id !== null && status === 'missing'}
        onTake={open}
        onSample={() => void open([sampleText()])}
        onOpen={show}
      />
    );

  const { audit } = current;
  const { gauges, bans } = gaugesOf(audit, read, current.protocol);
  const rows = ledgerOf(audit);
  const lit = hovered ?? selected;
  // what was asked for comes up from below on a phone
  const raised = beside.kind !== 'dish';

  return (
    <div className={`grid gap-3.5 lg:grid-cols-[minmax(0,1fr)_372px] ${raised ? 'max-lg:pb-[58dvh]' : ''}`}>
      <div className="min-w-0">
        <p role="status" className="sr-only">
          {`${audit.title}, for ${current.name}: ${VERDICT_WORDS[markFor(current)]}`}
        </p>
        {unsaved && (
          <NotKept unsaved={unsaved} doc={doc} onRetry={retry} onKeepAsNew={() => void open([doc.text])} />
        )}
        <div className="mb-5 flex flex-wrap items-end justify-between gap-x-4 gap-y-2 xl:flex-nowrap">
          <Top
            audit={audit}
            said={read.servings.said}
            overruled={doc.servings !== null}
            onServings={servings}
            onRole={(role) => void change({ role })}
          />
          <Diners
            diners={table}
            chosen={current.id}
            onChoose={(d) => void keep('the setting', () => setSetting(database(), 'diner', d))}
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
          onWhy={(limit) => look({ kind: 'limit', id: limit })}
        />
        {wholeText ? (
          <WholeText
            text={doc.text}
            id={doc.id}
            onText={(text) => void change({ text }, 'whole')}
            onDone={settle}
          />
        ) : (
          <>
            <UnsureRows
              read={read}
              onSay={(row, kind) =>
                void change({ text: asKind(doc.text, row, kind) }, `row ${row.start} ${kind}`)
              }
            />
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
          </>
        )}
        <BenchActions
          title={audit.title}
          text={doc.text}
          wholeText={wholeText}
          canUndo={canUndo}
          canRedo={canRedo}
          onNew={() => setDialog('new')}
          onCard={() => setDialog('card')}
          onWholeText={() => setWholeText(!wholeText)}
          onUndo={undo}
          onRedo={redo}
        />
        {!wholeText && audit.steps.length > 0 && <Method audit={audit} />}
        <DayRoom recipeId={doc.id} diner={current} />
      </div>
      <aside
        className={`sheet min-w-0 self-start px-4 py-3.5 lg:sticky lg:top-3 lg:max-h-[calc(100dvh-24px)] lg:overflow-y-auto ${raised ? 'max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-30 max-lg:rounded-b-none max-lg:border-x-0 max-lg:border-b-0 max-lg:max-h-[58dvh] max-lg:overflow-y-auto' : ''}`}
        aria-label={ASIDE_NAMES[beside.kind]}
      >
        <BenchAside
          doc={doc}
          read={read}
          settings={readSettings}
          needed={needed}
          larder={larder}
          meanings={meanings}
          kitchen={kitchen}
          table={table}
          current={current}
          changes={changes}
          beside={beside}
          onBeside={look}
          ranked={ranked}
          chosen={chosen}
          onChoose={setChosen}
          correcting={correcting}
          onCorrecting={setCorrecting}
          why={why}
          onWhy={setWhy}
          change={change}
          back={back}
          onSwap={apply}
          onPlan={(p) => carryOut(p.text, p.changes)}
          onKeepPlan={(p) => keepVersion({ ...p, name: `for ${current.name}` })}
          onCompare={() => setDialog('compare')}
          onEdit={beginEdit}
        />
      </aside>
      <Dialog
        open={dialog === 'new'}
        onOpenChange={(o) => {
          setDialog(o ? 'new' : null);
          setPasted(null);
        }}
        title="New recipe"
        wide
      >
        <NewRecipe onTake={open} pasted={pasted} />
      </Dialog>
      {dialog === 'card' && (
        <CardDialog
          onOpenChange={(o) => setDialog(o ? 'card' : null)}
          doc={doc}
          read={read}
          diner={current}
          library={library}
          measures={settings.measures}
        />
      )}
      <CompareDialog
        open={dialog === 'compare'}
        onOpenChange={(o) => setDialog(o ? 'compare' : null)}
        doc={doc}
        title={audit.title}
        current={current}
        kitchen={kitchen}
        readSettings={readSettings}
        library={library}
        needed={needed}
        diners={diners}
        onKeep={keepVersion}
        onTake={(text, of) => {
          setDialog(null);
          carryOut(text, of);
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
