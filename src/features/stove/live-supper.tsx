'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { minutesOfDay } from '@/core/cook/clock';
import type { Live } from '@/core/cook/live';
import type { CookTask } from '@/core/cook/schema';
import { tasted } from '@/core/cook/taste';
import { database, type StoredSupper } from '@/data/db';
import { finishSupper } from '@/data/log';
import { keep } from '@/data/saving';
import { clearStove, newTimer, putBack } from '@/data/stove';
import { Button } from '@/ui/button';
import { ChangeStep } from './change-step';
import { Lanes, startOf } from './lanes';
import { downloadCalendar } from './calendar';
import { PrintSheet } from './print-sheet';
import { ScalePanel } from './scale-panel';
import { SetOut } from './set-out';
import { StepPanel } from './step-panel';
import { Tasting } from './tasting';
import { Timers } from './timers';
import { useAlarm, useAwake } from './use-alarm';
import { clockOf, useNow } from './use-clock';
import { change, minutesBy, type DishOnStove } from './use-supper';

const plural = (n: number, one: string) => (n === 1 ? `one ${one}` : `${n} ${one}s`);

/** A supper on the Stove: its plan, the step at hand, timers, tasting and the scale. */
export function LiveSupper({
  supper,
  dishes,
  live,
}: {
  supper: StoredSupper;
  dishes: readonly DishOnStove[];
  live: Live;
}) {
  const router = useRouter();
  const now = useNow();
  const { cook, late } = live;
  const started = supper.startedAt !== null;
  useAlarm(supper, now);
  useAwake(started);
  const tasks = [...cook.tasks].sort((a, b) => startOf(a) - startOf(b) || (a.id < b.id ? -1 : 1));
  const chosen = tasks.findIndex((t) => t.id === supper.at);
  // what is under way runs by its timer: at hand is what comes next
  const next = tasks.findIndex((t) => supper.begun[t.id] === undefined);
  const at = chosen >= 0 ? chosen : Math.max(0, next);
  const task = tasks[at];
  const [dish, setDish] = useState<number | null>(null);
  const tasting = Math.min(dish ?? task?.dish ?? 0, dishes.length - 1);

  const look = (id: string | null) => void change(() => ({ at: id }));
  const move = (by: number) => {
    const there = tasks[Math.min(tasks.length - 1, Math.max(0, at + by))];
    if (there) look(there.id);
  };
  const timerFor = (t: CookTask) =>
    newTimer(t.text.split(/[,.;]/)[0] ?? t.text, Math.max(1, Math.round(t.minutes.best)), t.id, Date.now());
  const begin = (t: CookTask) =>
    void change((s) => ({
      begun: { ...s.begun, [t.id]: Date.now() },
      timers: s.timers.some((x) => x.task === t.id) ? s.timers : [...s.timers, timerFor(t)],
      at: null,
    }));
  const done = (t: CookTask) => {
    void change((s) => ({
      done: { ...s.done, [t.id]: Date.now() },
      timers: s.timers.filter((x) => x.task !== t.id),
      at: null,
    }));
    toast(`Done: ${t.text.slice(0, 60)}`, {
      action: {
        label: 'Undo',
        onClick: () =>
          void change((s) => ({
            done: Object.fromEntries(Object.entries(s.done).filter(([id]) => id !== t.id)),
            at: t.id,
          })),
      },
    });
  };
  const longer = (t: CookTask, minutes: number) =>
    void change((s) => ({
      longer: { ...s.longer, [t.id]: (s.longer[t.id] ?? 0) + minutes },
      timers: s.timers.map((x) =>
        x.task === t.id
          ? {
              ...x,
              endsAt: x.endsAt === null ? null : Math.max(x.endsAt, Date.now()) + minutes * 60_000,
              leftMs: x.leftMs + minutes * 60_000,
              rang: false,
            }
          : x,
      ),
    }));
  const start = () =>
    void change((s) => {
      const at = Date.now();
      const wanted = minutesOfDay(s.table) ?? 0;
      const soonest = minutesBy(s.table, at) + cook.minutes;
      // what cannot be held any more is not promised: the soonest that can is
      return { startedAt: at, ...(soonest > wanted ? { table: clockOf(at + cook.minutes * 60_000) } : {}) };
    });
  const clear = async () => {
    const was = await keep('the stove', () => clearStove(database()));
    if (was)
      toast('The stove is clear.', {
        action: { label: 'Undo', onClick: () => void keep('the supper', () => putBack(database(), was)) },
      });
  };
  const finish = async () => {
    const finished = dishes.map((d, i) => {
      const settings = d.library.settingsOf(d.supper.recipe);
      const after = tasted(
        d.read,
        settings,
        supper.added.filter((a) => a.dish === i).map((a) => a.text),
      );
      const minutes = Object.fromEntries(
        Object.entries(supper.begun).flatMap(([id, from]) => {
          const to = supper.done[id];
          return to !== undefined && id.startsWith(`d${i}.`)
            ? [[id.slice(`d${i}.`.length), Math.round((to - from) / 60_000)] as const]
            : [];
        }),
      );
      return { title: d.read.recipe.title, after: after.text, minutes };
    });
    const ids = await keep('the Log', () => finishSupper(database(), supper, finished, Date.now()));
    if (ids) router.push(`/log?cooking=${ids[0] ?? ''}`);
  };
  const minute = started && now > 0 ? minutesBy(cook.table, now) : null;
  const nothing = cook.tasks.length === 0;
  return (
    <>
      <div className="mb-2.5 flex flex-wrap items-end justify-between gap-x-4 gap-y-2">
        <div className="min-w-0">
          <h1 className="text-[25px] font-semibold leading-tight [overflow-wrap:anywhere]">
            {cook.dishes.map((d) => d.title).join(', ')}
          </h1>
          <p className="text-mute">
            on the table at <strong className="text-ink">{cook.table}</strong> ·{' '}
            {plural(supper.cooks.length, 'cook')}, {plural(supper.burners, 'burner')},{' '}
            {plural(supper.ovens, 'oven')}
            {!nothing && (
              <>
                {' '}
                · {cook.minutes} min
                {cook.optimal ? ', the least there is' : `; ${cook.lowerBoundMinutes} may be possible`},{' '}
                {cook.handsOnMinutes} of them by hand
              </>
            )}
          </p>
        </div>
        <div className="no-print flex flex-wrap gap-2">
          {!started && !nothing && (
            <Button look="solid" className="min-h-11 px-4" onClick={start}>
              Begin cooking
            </Button>
          )}
          {started && (
            <Button look="solid" className="min-h-11 px-4" onClick={() => void finish()}>
              It is on the table
            </Button>
          )}
          <Button className="min-h-11" onClick={() => downloadCalendar(cook, now)}>
            Calendar
          </Button>
          <Button className="min-h-11" onClick={() => window.print()}>
            Print
          </Button>
          <Button className="min-h-11" onClick={() => void clear()}>
            Clear
          </Button>
        </div>
      </div>
      {late > 0 && (
        <p role="status" className="sheet mb-2.5 px-3.5 py-2">
          It will be {late} min later: on the table at <strong>{cook.table}</strong>.
        </p>
      )}
      {cook.conflicts.length > 0 && (
        <ul className="sheet mb-2.5 px-3.5 py-2" aria-label="What collides">
          {cook.conflicts.map((c) => (
            <li key={c}>{c}</li>
          ))}
        </ul>
      )}
      <PrintSheet cook={cook} cooks={supper.cooks} />
      <div className="no-print grid items-start gap-2.5 lg:grid-cols-[minmax(0,1fr)_372px]">
        <div className="grid min-w-0 gap-2.5">
          {!nothing && (
            <Lanes cook={cook} cooks={supper.cooks} now={minute} chosen={task?.id ?? null} onChoose={look} />
          )}
          {!started && <SetOut cook={cook} supper={supper} />}
          {(started || tasks.length > 0) && (
            <StepPanel
              cook={cook}
              tasks={tasks}
              at={at}
              begun={task !== undefined && supper.begun[task.id] !== undefined}
              started={started}
              cooks={supper.cooks}
              onMove={move}
              onBegin={begin}
              onDone={done}
              onLonger={longer}
            >
              {task && task.step !== null && (
                <ChangeStep
                  key={task.id}
                  dish={task.dish}
                  steps={dishes[task.dish]?.read.recipe.steps ?? []}
                  at={task.step}
                />
              )}
            </StepPanel>
          )}
          {started && (
            <div className="sheet px-4 pb-3 pt-1">
              <Timers supper={supper} now={now} />
            </div>
          )}
          {started && <SetOut cook={cook} supper={supper} />}
          {cook.cautions.length > 0 && (
            <section className="sheet px-4 py-3" aria-label="Take care">
              <h2 className="text-[17px] font-semibold leading-tight">Take care</h2>
              <ul className="mt-1 list-disc space-y-0.5 pl-5">
                {cook.cautions.map((c) => (
                  <li key={c.id}>{c.text}</li>
                ))}
              </ul>
            </section>
          )}
        </div>
        <div className="grid min-w-0 gap-2.5">
          <Tasting supper={supper} dishes={dishes} dish={tasting} onDish={setDish} />
          <ScalePanel supper={supper} dishes={dishes} dish={tasting} />
        </div>
      </div>
    </>
  );
}
