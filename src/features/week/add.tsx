'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { PLATE_G } from '@/core/portion/another';
import { shownTitle } from '@/core/recipe/title';
import { database } from '@/data/db';
import { listBoxes } from '@/data/log';
import type { StoredDiner, StoredRecipe, StoredWeek } from '@/data/db';
import { newMeal, newPot } from '@/data/week';
import { Button } from '@/ui/button';
import { change, DAYS } from '@/kitchen/use-week';

const MEALS = ['breakfast', 'lunch', 'supper', 'snack'] as const;
const WORDS = 'words';

/** Something more that is eaten on a day: a plate of a pot, or in words; by one, or by everyone. */
export function AddMeal({
  day,
  week,
  diners,
  potTitle,
}: {
  day: number;
  week: StoredWeek;
  diners: readonly StoredDiner[];
  potTitle: (id: string | null) => string;
}) {
  const [open, setOpen] = useState(false);
  const [meal, setMeal] = useState<string>('supper');
  const [who, setWho] = useState('all');
  const [what, setWhat] = useState(WORDS);
  const [plates, setPlates] = useState('1');
  const [text, setText] = useState('');
  const boxes = useLiveQuery(() => listBoxes(database()), [], []);
  if (!open)
    return (
      <Button look="plain" className="no-print mt-1 text-[13px]" onClick={() => setOpen(true)}>
        + something eaten
      </Button>
    );
  const of = week.pots.some((p) => p.id === what) ? what : null;
  const n = Number(plates.replace(',', '.'));
  const ready = of === null ? text.trim() !== '' : n > 0 && n <= 50;
  const add = () => {
    const eaters = who === 'all' ? diners : diners.filter((d) => d.id === who);
    void change((w) => ({
      meals: [
        ...w.meals,
        ...eaters.map((d) =>
          newMeal({
            day,
            meal,
            diner: d.id,
            of,
            plates: of === null ? 1 : n,
            text: of === null ? text.trim() : '',
          }),
        ),
      ],
    }));
    setText('');
    setOpen(false);
  };
  return (
    <form
      className="no-print mt-1.5 flex flex-wrap items-center gap-1.5"
      onSubmit={(e) => {
        e.preventDefault();
        if (ready) add();
      }}
    >
      <select
        className="field py-0.5"
        aria-label="Meal"
        value={meal}
        onChange={(e) => setMeal(e.target.value)}
      >
        {MEALS.map((m) => (
          <option key={m}>{m}</option>
        ))}
      </select>
      <select className="field py-0.5" aria-label="Who" value={who} onChange={(e) => setWho(e.target.value)}>
        <option value="all">everyone</option>
        {diners.map((d) => (
          <option key={d.id} value={d.id}>
            {d.name}
          </option>
        ))}
      </select>
      <select
        className="field max-w-[220px] py-0.5"
        aria-label="What"
        value={of ?? WORDS}
        onChange={(e) => {
          const box = boxes.find((b) => b.id === e.target.value);
          setWhat(box ? WORDS : e.target.value);
          if (box) setText(`${Math.min(PLATE_G, box.grams)} g leftover ${box.name}`);
        }}
      >
        <option value={WORDS}>in words</option>
        {boxes.map((b) => (
          <option key={b.id} value={b.id}>
            from the box: {b.name}, {b.grams} g
          </option>
        ))}
        {week.pots.map((p) => (
          <option key={p.id} value={p.id}>
            {potTitle(p.id)}
          </option>
        ))}
      </select>
      {of === null ? (
        <input
          className="field min-w-[180px] flex-1 py-0.5"
          aria-label="In words"
          placeholder="2 slices rye, hummus, an apple"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      ) : (
        <label className="flex items-center gap-1 text-mute">
          <input
            className="field w-[60px] py-0.5 text-ink"
            inputMode="decimal"
            aria-label="Plates"
            value={plates}
            onChange={(e) => setPlates(e.target.value)}
          />
          plates each
        </label>
      )}
      <Button type="submit" look="solid" disabled={!ready}>
        Add
      </Button>
      <Button look="plain" onClick={() => setOpen(false)}>
        Not now
      </Button>
    </form>
  );
}

/** A pot that is cooked on a day, once or several times the recipe. */
export function AddPot({
  recipes,
  from,
  nameOf,
}: {
  recipes: readonly StoredRecipe[];
  from: number;
  nameOf: (from: number, day: number) => string;
}) {
  const [recipe, setRecipe] = useState('');
  const [day, setDay] = useState(0);
  const [times, setTimes] = useState(1);
  const id = recipe || recipes[0]?.id;
  return (
    <section className="sheet no-print px-4 py-3" aria-label="Cook once">
      <h2 className="text-[17px] font-semibold leading-tight">Cook once, eat many times</h2>
      {recipes.length === 0 ? (
        <p className="mt-1 text-mute">Nothing on the Shelf yet.</p>
      ) : (
        <div className="mt-1.5 grid gap-1.5">
          <select
            className="field"
            aria-label="Recipe"
            value={id}
            onChange={(e) => setRecipe(e.target.value)}
          >
            {recipes.map((r) => (
              <option key={r.id} value={r.id}>
                {shownTitle(r.text)}
              </option>
            ))}
          </select>
          <div className="flex gap-1.5">
            <select
              className="field min-w-0 flex-1"
              aria-label="Cooked on"
              value={day}
              onChange={(e) => setDay(Number(e.target.value))}
            >
              {Array.from({ length: DAYS }, (_, d) => (
                <option key={d} value={d}>
                  {nameOf(from, d)}
                </option>
              ))}
            </select>
            <select
              className="field"
              aria-label="How often the recipe"
              value={times}
              onChange={(e) => setTimes(Number(e.target.value))}
            >
              {[0.5, 1, 2, 3].map((n) => (
                <option key={n} value={n}>
                  {n === 1 ? 'once' : n === 0.5 ? 'half' : `${n} times`}
                </option>
              ))}
            </select>
            <Button
              look="solid"
              onClick={() => id && void change((w) => ({ pots: [...w.pots, newPot(id, day, times)] }))}
            >
              Cook
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
