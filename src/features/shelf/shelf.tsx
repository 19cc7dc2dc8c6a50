'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { showRange } from '@/core/format/figures';
import { conflictsOf } from '@/core/read/allergens';
import { joined } from '@/core/recipe/join';
import { titleOf } from '@/core/recipe/title';
import { database } from '@/data/db';
import { sampleText, seedDemo } from '@/data/demo';
import {
  emptyBin,
  listRecipes,
  listThrownAway,
  newRecipe,
  restoreRecipe,
  saveRecipe,
  takeIn,
  throwAway,
} from '@/data/recipes';
import { keep } from '@/data/saving';
import { setSetting } from '@/data/settings';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { Legend } from '@/ui/legend';
import { askLibrary, plainRecipes } from '@/workers/library';
import type { LibraryRow } from '@/workers/library.worker';
import { useProtocols } from '@/kitchen/use-protocols';
import { useLibraryContext } from '@/kitchen/use-library-context';
import { useDiners } from '@/kitchen/use-table';
import { EVERYTHING, lookedFor, type Look } from './look';
import { RowMenu } from './row-menu';
import { ShelfTools } from './shelf-tools';

const discard = (id: string) => throwAway(database(), id, Date.now());

/** All recipes, with everyone's verdict; opening, throwing away, taking back. */
export function Shelf({ demo }: { demo: boolean }) {
  const router = useRouter();
  const diners = useDiners();
  const { byId } = useProtocols();
  const context = useLibraryContext();
  useEffect(() => {
    if (demo) void seedDemo(database(), Date.now());
  }, [demo]);
  const recipes = useLiveQuery(() => listRecipes(database()), [], null);
  const binned = useLiveQuery(() => listThrownAway(database()), [], []);
  const [rows, setRows] = useState<ReadonlyMap<string, LibraryRow>>(new Map());
  const [why, setWhy] = useState<string | null>(null);
  const [look, setLook] = useState<Look>(EVERYTHING);
  const [joining, setJoining] = useState<string | null>(null);
  const protocols = useMemo(
    () => [...new Set(diners.map((d) => d.protocol))].flatMap((id) => byId(id) ?? []),
    [diners, byId],
  );
  useEffect(() => {
    if (!recipes || recipes.length === 0) return;
    let current = true;
    void askLibrary((door) => door.audit(plainRecipes(recipes), protocols, context)).then(
      (found) => {
        if (!current) return;
        setRows(new Map(found.map((r) => [r.id, r])));
        setWhy(null);
      },
      (error: Error) => {
        if (current) setWhy(error.message);
      },
    );
    return () => {
      current = false;
    };
  }, [recipes, protocols, context]);

  const remove = (id: string, title: string) => {
    void keep('the shelf', () => discard(id));
    toast(`“${title}” is off the shelf.`, {
      action: { label: 'Undo', onClick: () => void keep('the shelf', () => restoreRecipe(database(), id)) },
    });
  };
  const putOn = async (text: string, says: string) => {
    const made = await keep('the shelf', () => takeIn(database(), [text], Date.now()));
    const id = made?.[0]?.id;
    if (id)
      toast(says, { action: { label: 'Undo', onClick: () => void keep('the shelf', () => discard(id)) } });
  };
  const join = (first: string, second: string) => {
    const [a, b] = [first, second].map((id) => recipes?.find((r) => r.id === id)?.text);
    setJoining(null);
    if (a && b) void putOn(joined(a, b), 'Joined into a recipe of its own; both scraps stay as they are.');
  };
  const sample = async () => {
    const recipe = newRecipe(sampleText(), Date.now());
    const kept = await keep('the recipe', () => saveRecipe(database(), recipe));
    if (kept) router.push(`/?recipe=${kept}`);
  };

  const shown = recipes ? lookedFor(recipes, rows, diners, look) : [];
  if (!recipes) return <p className="p-6 text-mute">Looking on the shelf …</p>;
  return (
    <>
      <div className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-[25px] font-semibold leading-tight">Shelf</h1>
          <p className="text-mute">
            {shown.length < recipes.length
              ? `${shown.length} of ${recipes.length} recipes`
              : recipes.length === 1
                ? 'One recipe'
                : `${recipes.length} recipes`}
          </p>
        </div>
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
      {why && (
        <p role="alert" className="mb-3">
          The verdicts are not known: {why}.
        </p>
      )}
      {recipes.length > 0 && <ShelfTools look={look} diners={diners} onLook={setLook} />}
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
          <p className="mb-3">Nothing on the shelf yet. Paste a recipe on the Bench, or try a sample.</p>
          <Button onClick={() => void sample()}>Try a sample</Button>
        </div>
      ) : (
        <div className="sheet overflow-x-auto">
          <table className="w-full border-collapse">
            <thead>
              <tr className="border-b-[1.5px] border-hair text-left text-[12px] text-mute">
                <th scope="col" className="px-3 py-2 font-medium">
                  Recipe
                </th>
                {diners.map((d) => (
                  <th
                    key={d.id}
                    scope="col"
                    className="px-2 text-center font-medium"
                    title={byId(d.protocol)?.name}
                  >
                    {d.name}
                  </th>
                ))}
                <th scope="col" className="hidden px-2 text-right font-medium sm:table-cell">
                  fat share, %
                </th>
                <th scope="col" className="hidden px-2 text-right font-medium md:table-cell">
                  sodium, mg a plate
                </th>
                <th scope="col" className="hidden px-2 text-right font-medium md:table-cell">
                  kcal a plate
                </th>
                <th scope="col">
                  <span className="sr-only">What to do with it</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {shown.map((recipe) => {
                const row = rows.get(recipe.id);
                const title =
                  row?.title ?? recipe.text.split('\n')[0]?.replace(/^#+\s*/, '') ?? 'Untitled recipe';
                return (
                  <tr key={recipe.id} className="border-b border-hair/60 last:border-0 hover:bg-wash">
                    <th scope="row" className="px-3 py-2 text-left font-medium [overflow-wrap:anywhere]">
                      <Link
                        href={`/?recipe=${recipe.id}`}
                        className="underline decoration-transparent underline-offset-4 hover:decoration-rim"
                      >
                        {title}
                      </Link>
                      {row && row.unresolved > 0 && (
                        <span className="ml-2 text-[12.5px] font-normal text-mute">
                          {row.unresolved === 1
                            ? 'one line not understood'
                            : `${row.unresolved} lines not understood`}
                        </span>
                      )}
                    </th>
                    {diners.map((d) => {
                      const { has: unsafe, doubts } = row
                        ? conflictsOf(row, d.allergens)
                        : { has: [], doubts: [] };
                      const verdict = row?.verdicts[d.protocol] ?? 'unknown';
                      return (
                        <td key={d.id} className="px-2 text-center">
                          {row && (
                            <Glyph
                              mark={
                                unsafe.length > 0
                                  ? 'over'
                                  : doubts.length > 0 && verdict !== 'over'
                                    ? 'unknown'
                                    : verdict
                              }
                            />
                          )}
                          {unsafe.length === 0 && doubts.length > 0 && (
                            <span className="block text-[11.5px] leading-tight" title={doubts.join('; ')}>
                              allergens not known
                            </span>
                          )}
                          {unsafe.length > 0 && (
                            <span className="block text-[11.5px] leading-tight text-over">
                              has {unsafe.join(', ')}
                            </span>
                          )}
                        </td>
                      );
                    })}
                    <td className="num hidden px-2 text-right sm:table-cell">
                      {row?.fatShare ? showRange(row.fatShare) : row ? '?' : ''}
                    </td>
                    <td className="num hidden px-2 text-right md:table-cell">
                      {row?.sodium ? showRange(row.sodium) : row ? '?' : ''}
                    </td>
                    <td className="num hidden px-2 text-right md:table-cell">
                      {row?.energy ? showRange(row.energy) : row ? '?' : ''}
                    </td>
                    <td className="px-1 text-right">
                      {joining !== null && joining !== recipe.id ? (
                        <Button look="line" onClick={() => join(joining, recipe.id)}>
                          Join with this
                        </Button>
                      ) : (
                        <RowMenu
                          title={title}
                          onCopy={() => void putOn(recipe.text, `“${title}” stands on the Shelf twice.`)}
                          onJoin={() => setJoining(recipe.id)}
                          onRemove={() => remove(recipe.id, title)}
                        />
                      )}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
          <Legend className="px-3 pb-2" marks={['within', 'near', 'over', 'depends', 'unknown']} />
        </div>
      )}
      {binned.length > 0 && (
        <details className="mt-4">
          <summary className="font-semibold text-rim">
            {binned.length === 1 ? 'One recipe' : `${binned.length} recipes`} taken off the shelf
          </summary>
          <ul className="mt-2 space-y-1">
            {binned.map((recipe) => (
              <li key={recipe.id} className="flex items-center gap-3">
                <span>{recipe.text.split('\n')[0]?.replace(/^#+\s*/, '') || 'Untitled recipe'}</span>
                <Button
                  look="plain"
                  onClick={() => void keep('the shelf', () => restoreRecipe(database(), recipe.id))}
                >
                  Put back
                </Button>
              </li>
            ))}
          </ul>
          <Button
            look="plain"
            className="mt-2"
            onClick={() => void keep('the shelf', () => emptyBin(database()))}
          >
            Forget them for good
          </Button>
        </details>
      )}
    </>
  );
}
