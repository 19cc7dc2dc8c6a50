'use client';
import { useEffect, useState } from 'react';
import { shownTitle } from '@/core/recipe/title';
import { database, type StoredDiner, type StoredMeal, type StoredWeek } from '@/data/db';
import { seedDemo } from '@/data/demo';
import { setSetting } from '@/data/settings';
import { keep } from '@/data/saving';
import { copyDay } from '@/data/week';
import { useDiner } from '@/kitchen/use-diner';
import { shortLabel } from '@/kitchen/words';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { AddMeal, AddPot } from './add';
import { DayLimits } from './day-limits';
import { DragDays, DropDay, MoveRow } from './drag';
import type { Moved } from './keyed';
import { WeekFigures } from './figures';
import { FoodGroups } from './food-groups';
import { PlanIt } from './plan-it';
import { Pots } from './pots';
import { ShoppingList } from './shopping-list';
import { change, DAYS, useWeek } from '@/kitchen/use-week';

const DAY = 24 * 60 * 60_000;
const nameOf = (from: number, day: number): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'short' }).format(
    new Date(from + day * DAY),
  );
const MEALS = ['breakfast', 'lunch', 'supper', 'snack'];

/** What is eaten on a day, in the order of its meals; what several eat alike is told once. */
function eatenOn(
  week: StoredWeek,
  day: number,
): { readonly first: StoredMeal; readonly all: readonly StoredMeal[] }[] {
  const groups = new Map<string, StoredMeal[]>();
  for (const m of week.meals)
    if (m.day === day) {
      const key = JSON.stringify([m.meal, m.of, m.plates, m.text]);
      groups.set(key, [...(groups.get(key) ?? []), m]);
    }
  return [...groups.values()]
    .flatMap((all) => (all[0] ? [{ first: all[0], all }] : []))
    .sort((a, b) => MEALS.indexOf(a.first.meal) - MEALS.indexOf(b.first.meal));
}

/** Who cooks what on a day, and what is thawed for the next. */
function Cooks({
  week,
  day,
  diners,
  potTitle,
}: {
  week: StoredWeek;
  day: number;
  diners: readonly StoredDiner[];
  potTitle: (id: string) => string;
}) {
  const pots = week.pots.filter((p) => p.day === day);
  const tomorrow = new Set(week.meals.flatMap((m) => (m.day === day + 1 && m.of !== null ? [m.of] : [])));
  const thaw = week.pots.filter((p) => p.place === 'freezer' && p.day <= day && tomorrow.has(p.id));
  if (pots.length === 0 && thaw.length === 0) return null;
  return (
    <ul className="text-[13px]">
      {thaw.map((p) => (
        <li key={`thaw ${p.id}`}>
          <span className="text-mute">take out of the freezer for tomorrow:</span> {potTitle(p.id)}
        </li>
      ))}
      {pots.map((p) => {
        const cook = diners.find((d) => d.id === p.cook)?.name;
        return (
          <MoveRow key={p.id} plain moved={{ ids: [p.id], from: day, says: `the pot of ${potTitle(p.id)}` }}>
            <span>
              <span className="text-mute">{cook ? `${cook} cooks` : 'cooked'}:</span> {potTitle(p.id)}
              {p.times !== 1 && `, ${p.times === 0.5 ? 'half' : `${p.times} times`} the recipe`}
            </span>
          </MoveRow>
        );
      })}
    </ul>
  );
}

/** The Week: what everybody eats each day against the day's limits, pots and what is left of them, shopping. */
export function Week({ demo }: { demo: boolean }) {
  useEffect(() => {
    if (demo) void seedDemo(database(), Date.now());
  }, [demo]);
  const { week, judged, why, recipes, diners } = useWeek();
  const { current } = useDiner();
  const [shopping, setShopping] = useState(false);
  if (!week) return <p className="p-6 text-mute">Turning to this week …</p>;
  const titles = new Map(recipes.map((r) => [r.id, shownTitle(r.text)]));
  const potTitle = (id: string | null) =>
    titles.get(week.pots.find((p) => p.id === id)?.recipeId ?? '') ?? 'a recipe that is gone';
  const days = Array.from({ length: DAYS }, (_, d) => d);
  return (
    <>
      <div className="mb-2.5 flex flex-wrap items-end justify-between gap-2">
        <div>
          <h1 className="text-[25px] font-semibold leading-tight">Week</h1>
          <p className="text-mute">
            from {nameOf(week.from, 0)}, judged by {current.name}’s whole days
          </p>
        </div>
        <div className="no-print flex flex-wrap gap-1.5" role="group" aria-label="Whose days">
          {diners.map((d) => (
            <Button
              key={d.id}
              look={d.id === current.id ? 'solid' : 'line'}
              aria-pressed={d.id === current.id}
              onClick={() => void keep('the setting', () => setSetting(database(), 'diner', d.id))}
            >
              {d.name}
            </Button>
          ))}
          {(week.meals.length > 0 || week.pots.length > 0) && (
            <Button
              look="plain"
              onClick={() => void change(() => ({ meals: [], pots: [], bought: [] }), 'The week is empty.')}
            >
              Clear the week
            </Button>
          )}
          <Button onClick={() => setShopping(!shopping)} aria-pressed={shopping}>
            Shopping list
          </Button>
        </div>
      </div>
      {why && (
        <p role="alert" className="sheet mb-2.5 px-3.5 py-2">
          The week could not be judged: {why}.
        </p>
      )}
      <div className="grid items-start gap-2.5 lg:grid-cols-[minmax(0,1fr)_360px]">
        <DragDays
          days={DAYS}
          dayName={(d) => nameOf(week.from, d)}
          onMove={(moved: Moved, day) =>
            void change(
              (w) => ({
                meals: w.meals.map((m) => (moved.ids.includes(m.id) ? { ...m, day } : m)),
                pots: w.pots.map((p) => (moved.ids.includes(p.id) ? { ...p, day } : p)),
              }),
              `${moved.says} is on ${nameOf(week.from, day)}.`,
            )
          }
        >
          <ol className="grid min-w-0 gap-2.5">
            {days.map((day) => {
              const own = judged?.judged.find((j) => j.day === day && j.diner === current.name);
              const meals = eatenOn(week, day);
              const limits = own?.limits.filter((l) => l.limit > 0).slice(0, 4) ?? [];
              const broken = own?.limits.filter((l) => l.limit === 0 && l.verdict === 'over') ?? [];
              return (
                <DropDay key={day} day={day}>
                  <div className="flex flex-wrap items-center gap-x-2.5 gap-y-1">
                    {own ? <Glyph mark={own.verdict} size={16} /> : null}
                    <h2 className="text-[16px] font-semibold">{nameOf(week.from, day)}</h2>
                    {own?.totals.energyKcal && (
                      <span className="num text-[13px] text-mute">
                        about {Math.round(own.totals.energyKcal.best / 10) * 10} kcal
                      </span>
                    )}
                    {own && own.unsafe.length > 0 && (
                      <strong className="text-over">holds {own.unsafe.join(', ')}</strong>
                    )}
                    {broken.length > 0 && (
                      <span className="text-[13px]">
                        {broken.map((l) => shortLabel(l.label).toLowerCase()).join(', ')} in it
                      </span>
                    )}
                    {meals.length > 0 && day < DAYS - 1 && (
                      <Button
                        look="plain"
                        className="no-print ml-auto text-[13px]"
                        onClick={() =>
                          void change(
                            (w) => copyDay(w, day, day + 1),
                            `The same on ${nameOf(week.from, day + 1)}.`,
                          )
                        }
                      >
                        The same the next day
                      </Button>
                    )}
                    {meals.length > 0 && day < DAYS - 2 && (
                      <Button
                        look="plain"
                        className="no-print text-[13px]"
                        aria-label={`The same on every day after ${nameOf(week.from, day)}`}
                        onClick={() =>
                          void change(
                            (w) =>
                              Array.from(
                                { length: DAYS - 1 - day },
                                (_, k) => day + 1 + k,
                              ).reduce<StoredWeek>((all, to) => ({ ...all, ...copyDay(all, day, to) }), w),
                            'The same on every day that is left.',
                          )
                        }
                      >
                        … every day
                      </Button>
                    )}
                  </div>
                  <Cooks week={week} day={day} diners={diners} potTitle={potTitle} />
                  {own && <DayLimits day={own} limits={limits} />}
                  {own && own.unresolved.length > 0 && (
                    <p className="text-[13px]">
                      Not understood: {own.unresolved.join('; ')}. Say how much, or which.
                    </p>
                  )}
                  {own && own.unresolved.length === 0 && own.deciding.length > 0 && (
                    <p className="text-[13px] text-mute">Would settle it: {own.deciding.join('; ')}.</p>
                  )}
                  <ul className="mt-0.5">
                    {meals.map(({ first: m, all }) => (
                      <MoveRow
                        key={m.id}
                        moved={{
                          ids: all.map((x) => x.id),
                          from: day,
                          says: `${m.meal}: ${m.of === null ? m.text : potTitle(m.of)}`,
                        }}
                      >
                        <span className="w-[72px] flex-none text-[13px] text-mute">{m.meal}</span>
                        <span className="min-w-0 flex-1 [overflow-wrap:anywhere]">
                          <strong className="font-semibold">
                            {all.map((x) => diners.find((d) => d.id === x.diner)?.name ?? 'gone').join(', ')}
                          </strong>
                          {': '}
                          {m.of === null
                            ? m.text
                            : `${m.plates === 1 ? 'a plate' : `${m.plates} plates`} of ${potTitle(m.of)}`}
                        </span>
                        <Button
                          look="plain"
                          className="no-print"
                          aria-label={`Take out ${m.meal} of ${nameOf(week.from, day)}`}
                          onClick={() => {
                            const gone = new Set(all.map((x) => x.id));
                            void change(
                              (w) => ({ meals: w.meals.filter((x) => !gone.has(x.id)) }),
                              'Taken out.',
                            );
                          }}
                        >
                          –
                        </Button>
                      </MoveRow>
                    ))}
                  </ul>
                  <AddMeal day={day} week={week} diners={diners} potTitle={potTitle} />
                </DropDay>
              );
            })}
          </ol>
        </DragDays>
        <div className="grid min-w-0 gap-2.5">
          {shopping && <ShoppingList week={week} judged={judged} recipes={recipes} diners={diners} />}
          <AddPot recipes={recipes} from={week.from} nameOf={nameOf} />
          <PlanIt
            week={week}
            judged={judged}
            recipes={recipes}
            diners={diners}
            dayName={(d) => nameOf(week.from, d).split(' ')[0] ?? ''}
          />
          <Pots week={week} judged={judged} diners={diners} nameOf={nameOf} titleOf={potTitle} />
          <WeekFigures
            name={current.name}
            days={judged?.judged.filter((j) => j.diner === current.name) ?? []}
            needKcal={diners.find((d) => d.id === current.id)?.needKcal ?? null}
          />
          <FoodGroups
            name={current.name}
            days={judged?.judged.filter((j) => j.diner === current.name) ?? []}
          />
        </div>
      </div>
    </>
  );
}
