'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo, useState } from 'react';
import { minutesOfDay } from '@/core/cook/clock';
import { shownTitle } from '@/core/recipe/title';
import { database } from '@/data/db';
import { listRecipes } from '@/data/recipes';
import { keep } from '@/data/saving';
import { beginSupper, USUAL } from '@/data/stove';
import { useLibrary } from '@/kitchen/use-library';
import { useDiners } from '@/kitchen/use-table';
import { Button } from '@/ui/button';
import { Toggle } from '@/ui/toggle';
import { HowMuch } from './how-much';

const MOST_SHOWN = 40;
const MOST_NAMES = 12;
const numbers = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, i) => from + i);

/** What is for supper, when it is to be on the table, and who and what there is to cook with. */
export function LaySupper() {
  const recipes = useLiveQuery(() => listRecipes(database()), [], null);
  const { library } = useLibrary(null);
  const [picked, setPicked] = useState<ReadonlyMap<string, number>>(new Map());
  const [words, setWords] = useState('');
  const [table, setTable] = useState<string>(USUAL.table);
  const [cooks, setCooks] = useState(1);
  const [burners, setBurners] = useState<number>(USUAL.burners);
  const [ovens, setOvens] = useState<number>(USUAL.ovens);
  const rows = useMemo(
    () => (recipes ?? []).map((recipe) => ({ recipe, title: shownTitle(recipe.text) })),
    [recipes],
  );
  const shown = rows
    .filter((r) => picked.has(r.recipe.id) || r.title.toLowerCase().includes(words.trim().toLowerCase()))
    .slice(0, MOST_SHOWN);
  const take = (id: string, times: number | null) => {
    const next = new Map(picked);
    if (times === null) next.delete(id);
    else next.set(id, times);
    setPicked(next);
  };
  const diners = useDiners();
  const [who, setWho] = useState<readonly string[]>([]);
  const hands = Math.max(cooks, who.length);
  const begin = () => {
    const dishes = [...picked].flatMap(([id, times]) => {
      const recipe = rows.find((r) => r.recipe.id === id)?.recipe;
      return recipe ? [{ recipe, times }] : [];
    });
    const named = diners.filter((d) => who.includes(d.id)).map((d) => d.name);
    const names =
      hands === 1 && named.length === 0
        ? ['Hands']
        : numbers(1, hands).map((n) => named[n - 1] ?? `Cook ${n}`);
    void keep('the supper', () =>
      beginSupper(database(), dishes, { table, cooks: names, burners, ovens }, Date.now()),
    );
  };
  if (!recipes) return <p className="p-6 text-mute">Lighting the stove …</p>;
  const choice = (label: string, value: number, all: readonly number[], set: (n: number) => void) => (
    <label className="flex flex-col gap-0.5 text-[13px] text-mute">
      {label}
      <select
        className="field text-[15px] text-ink"
        value={value}
        onChange={(e) => set(Number(e.target.value))}
      >
        {all.map((n) => (
          <option key={n} value={n}>
            {n}
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <div className="mx-auto max-w-[760px]">
      <h1 className="text-[25px] font-semibold leading-tight">Stove</h1>
      <p className="mb-3 text-mute">
        Say what is for supper and when. Dulvet plans backwards from the table, so that all of it is done at
        once.
      </p>
      <section className="sheet px-4 py-3.5" aria-label="What is for supper">
        {rows.length === 0 ? (
          <p>Nothing on the Shelf yet. Paste a recipe on the Bench, then cook it here.</p>
        ) : (
          <>
            <label className="flex flex-col gap-0.5 text-[13px] text-mute">
              Look for a recipe
              <input
                className="field text-[15px] text-ink"
                value={words}
                onChange={(e) => setWords(e.target.value)}
                placeholder="soup"
              />
            </label>
            <ul className="mt-2 max-h-[42dvh] divide-y divide-hair/60 overflow-y-auto">
              {shown.map(({ recipe, title }) => {
                const times = picked.get(recipe.id);
                return (
                  <li key={recipe.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
                    <label className="flex min-h-9 min-w-0 flex-1 items-center gap-2.5 text-[15px]">
                      <input
                        type="checkbox"
                        className="size-5 flex-none accent-rim"
                        checked={times !== undefined}
                        onChange={(e) => take(recipe.id, e.target.checked ? 1 : null)}
                      />
                      <span className="[overflow-wrap:anywhere]">{title}</span>
                    </label>
                    {times !== undefined && (
                      <HowMuch
                        read={library.read(recipe)}
                        title={title}
                        times={times}
                        onTimes={(n) => take(recipe.id, n)}
                      />
                    )}
                  </li>
                );
              })}
            </ul>
          </>
        )}
        <div className="mt-3 grid grid-cols-2 gap-3 border-t border-hair pt-3 sm:grid-cols-4">
          <label className="flex flex-col gap-0.5 text-[13px] text-mute">
            On the table at
            <input
              type="time"
              className="field text-[15px] text-ink"
              value={table}
              onChange={(e) => setTable(e.target.value)}
            />
          </label>
          {choice('Cooks', hands, numbers(Math.max(1, who.length), 6), setCooks)}
          {choice('Burners', burners, numbers(0, 8), setBurners)}
          {choice('Ovens', ovens, numbers(0, 3), setOvens)}
        </div>
        {diners.length > 0 && (
          <div role="group" aria-label="Who cooks" className="mt-3 flex flex-wrap items-center gap-1.5">
            <span className="text-[13px] text-mute">Who cooks</span>
            {diners.slice(0, MOST_NAMES).map((d) => (
              <Toggle
                key={d.id}
                pressed={who.includes(d.id)}
                onPress={() =>
                  setWho(
                    who.includes(d.id)
                      ? who.filter((id) => id !== d.id)
                      : who.length < 6
                        ? [...who, d.id]
                        : who,
                  )
                }
              >
                {d.name}
              </Toggle>
            ))}
          </div>
        )}
        <div className="mt-3 flex items-center gap-3">
          <Button
            look="solid"
            className="min-h-11 px-5 text-[15px]"
            disabled={picked.size === 0 || minutesOfDay(table) === null}
            onClick={begin}
          >
            Plan the supper
          </Button>
          <span className="text-mute">
            {picked.size === 0
              ? 'Choose at least one dish.'
              : picked.size === 1
                ? 'One dish'
                : `${picked.size} dishes`}
          </span>
        </div>
      </section>
    </div>
  );
}
