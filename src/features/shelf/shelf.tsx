'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { joined } from '@/core/recipe/join';
import { shownTitle, titleOf } from '@/core/recipe/title';
import { exportRecipes } from '@/data/archive';
import { database, type StoredRecipe } from '@/data/db';
import { sampleText, seedDemo } from '@/data/demo';
import { listCookings } from '@/data/log';
import {
  listRecipes,
  listThrownAway,
  newRecipe,
  restoreAll,
  saveRecipe,
  sortUnder,
  takeIn,
  throwAwayAll,
} from '@/data/recipes';
import { keep } from '@/data/saving';
import { setSetting } from '@/data/settings';
import { Button } from '@/ui/button';
import { saveFile } from '@/ui/save-file';
import { useProtocols } from '@/kitchen/use-protocols';
import { useLibraryContext } from '@/kitchen/use-library-context';
import { useShelfRows } from '@/kitchen/use-shelf-rows';
import { useDiners } from '@/kitchen/use-table';
import { useTakeFiles } from '@/kitchen/use-take-files';
import { Bin } from './bin';
import { Chosen } from './chosen';
import { JudgeChosen } from './judge-chosen';
import { EVERYTHING, lookedFor, type Look } from './look';
import type { RowActions } from './shelf-row';
import { ShelfTable } from './shelf-table';
import { ShelfTools } from './shelf-tools';

const ShelfMap = dynamic(() => import('./map').then((m) => m.ShelfMap), { ssr: false });

const NONE: ReadonlySet<string> = new Set();
const many = (n: number) => (n === 1 ? 'One recipe' : `${n} recipes`);

async function takeOff(ids: readonly string[], says: string): Promise<void> {
  const done = await keep('the shelf', () => throwAwayAll(database(), ids, Date.now()));
  if (done === undefined) return;
  toast(says, {
    action: { label: 'Undo', onClick: () => void keep('the shelf', () => restoreAll(database(), ids)) },
  });
}

async function putOn(text: string, says: string): Promise<void> {
  const made = await keep('the shelf', () => takeIn(database(), [text], Date.now()));
  const id = made?.[0]?.id;
  if (id)
    toast(says, {
      action: {
        label: 'Undo',
        onClick: () => void keep('the shelf', () => throwAwayAll(database(), [id], Date.now())),
      },
    });
}

/** All recipes, with everyone's verdict; looked for, sorted, opened, tagged, thrown away and taken back. */
export function Shelf({ demo }: { demo: boolean }) {
  const router = useRouter();
  const diners = useDiners();
  const { byId } = useProtocols();
  const context = useLibraryContext();
  const takeFiles = useTakeFiles();
  const file = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (demo) void seedDemo(database(), Date.now());
  }, [demo]);
  const recipes = useLiveQuery(() => listRecipes(database()), [], null);
  const binned = useLiveQuery(() => listThrownAway(database()), [], []);
  const cookings = useLiveQuery(() => listCookings(database()), [], []);
  const [look, setLook] = useState<Look>(EVERYTHING);
  const [joining, setJoining] = useState<string | null>(null);
  const [chosen, setChosen] = useState(NONE);
  const [mapped, setMapped] = useState(false);
  const protocols = useMemo(
    () => [...new Set(diners.map((d) => d.protocol))].flatMap((id) => byId(id) ?? []),
    [diners, byId],
  );
  const { rows, judging, why } = useShelfRows(recipes, protocols, context);
  const cookedAt = useMemo(() => {
    const last = new Map<string, number>();
    for (const c of cookings)
      if (c.recipeId) last.set(c.recipeId, Math.max(last.get(c.recipeId) ?? 0, c.cookedAt));
    return last;
  }, [cookings]);
  // typing stays smooth whatever the length of the shelf
  const sought = useDeferredValue(look);
  const shown = useMemo(
    () => (recipes ? lookedFor(recipes, rows, diners, sought, cookedAt) : []),
    [recipes, rows, diners, sought, cookedAt],
  );
  const tags = useMemo(
    () => [...new Set(recipes?.flatMap((r) => r.tags ?? []) ?? [])].sort((a, b) => a.localeCompare(b)),
    [recipes],
  );
  const latest = useRef<readonly StoredRecipe[]>([]);
  const joiningNow = useRef<string | null>(null);
  useEffect(() => {
    latest.current = recipes ?? [];
    joiningNow.current = joining;
  });
  const actions = useMemo<RowActions>(() => {
    const named = (id: string) => latest.current.find((r) => r.id === id);
    const titleFor = (id: string) => shownTitle(named(id)?.text ?? '');
    return {
      onChoose: (id, on) =>
        setChosen((before) => {
          const next = new Set(before);
          if (on) next.add(id);
          else next.delete(id);
          return next;
        }),
      onStar: (id, starred) =>
        void keep('the shelf', () => sortUnder(database(), [id], { starred }, Date.now())),
      onCopy: (id) => {
        const text = named(id)?.text;
        if (text) void putOn(text, `“${titleFor(id)}” stands on the Shelf twice.`);
      },
      onJoin: setJoining,
      onJoinWith: (second) => {
        const first = joiningNow.current;
        setJoining(null);
        const [a, b] = [first, second].map((id) => named(id ?? '')?.text);
        if (a && b)
          void putOn(joined(a, b), 'Joined into a recipe of its own; both scraps stay as they are.');
      },
      onRemove: (id) => void takeOff([id], `“${titleFor(id)}” is off the shelf.`),
    };
  }, []);
  if (!recipes) return <p className="p-6 text-mute">Looking on the shelf …</p>;

  const ids = [...chosen].filter((id) => recipes.some((r) => r.id === id));
  const sample = async () => {
    const recipe = newRecipe(sampleText(), Date.now());
    const kept = await keep('the recipe', () => saveRecipe(database(), recipe));
    if (kept) router.push(`/?recipe=${kept}`);
  };
  const sort = (how: { add?: string; drop?: string }) =>
    void keep('the shelf', () => sortUnder(database(), ids, how, Date.now()));
  const saveChosen = async () => {
    const out = await keep('the file', () => exportRecipes(database(), ids));
    if (!out) return;
    saveFile('dulvet-recipes.json', 'application/json', JSON.stringify(out.archive, null, 2));
    if (out.left.length > 0)
      toast.error(`Saved, but without: ${out.left.map((l) => `${l.what} (${l.why})`).join('; ')}.`);
  };
  return (
    <>
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-[25px] font-semibold leading-tight">Shelf</h1>
          <p className="text-mute">
            {shown.length < recipes.length
              ? `${shown.length} of ${recipes.length} recipes`
              : many(recipes.length)}
          </p>
        </div>
        <div className="no-print flex flex-wrap gap-2">
          {recipes.length > 0 && (
            <Button aria-expanded={mapped} onClick={() => setMapped(!mapped)}>
              Map
            </Button>
          )}
          <Button onClick={() => file.current?.click()}>Open files</Button>
          <input
            ref={file}
            type="file"
            multiple
            accept=".txt,.md,.html,.htm,.json,.jsonld,.cook,.csv,text/*"
            className="sr-only"
            tabIndex={-1}
            aria-label="Recipes to bring in"
            onChange={(e) => {
              void takeFiles([...(e.target.files ?? [])]);
              e.target.value = '';
            }}
          />
          <Button
            look="solid"
            onClick={() => {
              void keep('the setting', () => setSetting(database(), 'openRecipe', null)).then(() =>
                router.push('/'),
              );
            }}
          >
            New recipe
          </Button>
        </div>
      </div>
      {why && (
        <p role="alert" className="mb-3">
          The verdicts are not known: {why}.
        </p>
      )}
      {judging && judging.of - judging.done > 20 && (
        <p role="status" className="no-print mb-3 flex items-center gap-3 text-mute">
          {judging.done} of {judging.of} recipes judged …
          <Button look="plain" onClick={judging.stop}>
            Stop
          </Button>
        </p>
      )}
      {recipes.length > 0 && <ShelfTools look={look} diners={diners} tags={tags} onLook={setLook} />}
      {mapped && (
        <ShelfMap
          rows={recipes.flatMap((r) => rows.get(r.id) ?? [])}
          protocol={byId((diners.find((d) => d.id === look.fits) ?? diners[0])?.protocol ?? '')}
          brush={look.brush}
          onBrush={(brush) => setLook({ ...look, brush })}
        />
      )}
      {joining !== null && (
        <p role="status" className="sheet mb-3 flex flex-wrap items-center gap-3 px-3 py-2">
          Which one is “{titleOf(recipes.find((r) => r.id === joining)?.text ?? '')}” to be joined with? Press
          “Join with this” in its row.
          <Button look="plain" onClick={() => setJoining(null)}>
            With none
          </Button>
        </p>
      )}
      {recipes.length > 0 && shown.length === 0 && (
        <p className="sheet p-4">Nothing on the Shelf is like that. Ask for less.</p>
      )}
      {recipes.length === 0 ? (
        <div className="sheet p-5">
          <p className="mb-3">
            Nothing on the shelf yet. Paste a recipe on the Bench, drop files anywhere, or try a sample.
          </p>
          <Button onClick={() => void sample()}>Try a sample</Button>
        </div>
      ) : (
        <ShelfTable
          recipes={shown}
          rows={rows}
          diners={diners}
          protocolName={(id) => byId(id)?.name}
          chosen={chosen}
          joining={joining}
          actions={actions}
        />
      )}
      {ids.length > 0 && (
        <Chosen
          count={ids.length}
          shown={shown.length}
          tags={[...new Set(recipes.filter((r) => chosen.has(r.id)).flatMap((r) => r.tags ?? []))]}
          onAll={() => setChosen(new Set(shown.map((r) => r.id)))}
          onNone={() => setChosen(NONE)}
          onTag={(add) => sort({ add })}
          onUntag={(drop) => sort({ drop })}
          onSave={() => void saveChosen()}
          onRemove={() => {
            setChosen(NONE);
            void takeOff(ids, `${many(ids.length)} off the shelf.`);
          }}
        >
          <JudgeChosen recipes={recipes} ids={ids} context={context} />
        </Chosen>
      )}
      <Bin binned={binned} />
    </>
  );
}
