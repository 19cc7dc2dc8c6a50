'use client';
import { useRef, useState } from 'react';
import type { Cook, CookTask } from '@/core/cook/schema';
import { Button } from '@/ui/button';
import { useKeys } from '@/ui/use-keys';

const SWIPE = 60;

/** Words of a task with the amounts of this pot written in and underlined. */
function Words({ task }: { task: CookTask }) {
  if (task.words.length === 0) return <>{task.text}</>;
  return (
    <>
      {task.words.map((piece, i) =>
        piece.amount === null ? (
          <span key={i}>{piece.text}</span>
        ) : (
          <span key={i} className="border-b-[3px] border-rim pb-px">
            {piece.amount} {piece.text}
          </span>
        ),
      )}
    </>
  );
}

/** The step at hand in letters that are read at arm's length, with what is done with it. */
export function StepPanel({
  cook,
  tasks,
  at,
  begun,
  started,
  cooks,
  onMove,
  onBegin,
  onDone,
  onLonger,
  children,
}: {
  cook: Cook;
  /** Tasks in the order they start. */
  tasks: readonly CookTask[];
  at: number;
  /** Whether the task at hand is under way. */
  begun: boolean;
  started: boolean;
  cooks: readonly string[];
  onMove: (by: number) => void;
  onBegin: (task: CookTask) => void;
  onDone: (task: CookTask) => void;
  onLonger: (task: CookTask, minutes: number) => void;
  /** What else can be done with the step. */
  children?: React.ReactNode;
}) {
  const task = tasks[at];
  const next = tasks[at + 1];
  const [peek, setPeek] = useState(false);
  const touch = useRef<number | null>(null);
  useKeys({
    ArrowRight: () => onMove(1),
    ArrowLeft: () => onMove(-1),
    Enter: () => task && started && onDone(task),
    t: () => task && started && !begun && onBegin(task),
    m: () => task && started && onLonger(task, 5),
  });
  if (!task)
    return (
      <section className="sheet px-4 py-5" aria-label="The step at hand">
        <p className="text-[30px] font-medium leading-tight">All is done. To the table.</p>
      </section>
    );
  const who = task.cook === null ? null : cooks[task.cook];
  const shown = peek && next ? next : task;
  const several = cook.dishes.length > 1;
  return (
    <section
      className="sheet touch-pan-y px-4 py-4"
      aria-label="The step at hand"
      onTouchStart={(e) => {
        touch.current = e.touches[0]?.clientX ?? null;
      }}
      onTouchEnd={(e) => {
        const by = (e.changedTouches[0]?.clientX ?? 0) - (touch.current ?? 0);
        if (touch.current !== null && Math.abs(by) > SWIPE) onMove(by < 0 ? 1 : -1);
        touch.current = null;
      }}
    >
      <p className="font-semibold text-mute">
        {[
          who,
          several ? cook.dishes[shown.dish]?.title : null,
          `${at + 1} of ${tasks.length}`,
          `${shown.start}–${shown.end}`,
          next && !peek ? `then: ${next.text.split(/[,.;]/)[0] ?? ''}` : null,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <p
        className="mt-1.5 min-h-[2.4em] text-[30px] font-medium leading-[1.3] [overflow-wrap:anywhere] max-sm:text-[27px]"
        aria-live="polite"
      >
        <Words task={shown} />
      </p>
      <p className="mt-1 text-mute">
        {[
          `${Math.max(1, Math.round(task.minutes.best))} min${task.said ? '' : task.own ? ', as it took you before' : ', as it usually takes'}`,
          task.uses.includes('oven') && task.celsius !== null
            ? `oven at ${task.celsius} °C`
            : task.uses.join(', '),
          task.attention === 'hands' ? null : task.attention === 'eye' ? 'keep an eye on it' : 'needs nobody',
          task.waitAtMost !== null && task.waitAtMost <= 10
            ? `do it within ${task.waitAtMost} min of what came before`
            : null,
          task.optional ? 'if you like' : null,
        ]
          .filter(Boolean)
          .join(' · ')}
      </p>
      <div className="mt-3.5 flex flex-wrap gap-2.5">
        <Big onClick={() => onMove(-1)} disabled={at === 0} aria-label="The step before">
          ‹
        </Big>
        {started && (
          <Big look="solid" onClick={() => onDone(task)} keys="↵">
            Done
          </Big>
        )}
        {started && !begun && task.minutes.best >= 1 && task.attention !== 'hands' && (
          <Big onClick={() => onBegin(task)} keys="t">
            It is on: time it
          </Big>
        )}
        {started && !begun && task.minutes.best >= 3 && task.attention === 'hands' && (
          <Big onClick={() => onBegin(task)} keys="t">
            Time it
          </Big>
        )}
        {started && (
          <Big onClick={() => onLonger(task, 5)} keys="m">
            5 min more
          </Big>
        )}
        <Big
          onClick={() => onMove(1)}
          disabled={at >= tasks.length - 1}
          aria-label="The next step"
          onPointerDown={() => setPeek(true)}
          onPointerUp={() => setPeek(false)}
          onPointerLeave={() => setPeek(false)}
          onPointerCancel={() => setPeek(false)}
        >
          ›
        </Big>
        {children}
      </div>
    </section>
  );
}

/** A button for wet hands. */
function Big(props: React.ComponentProps<typeof Button>) {
  return (
    <Button
      {...props}
      className={`min-h-[52px] min-w-[56px] justify-center px-4 text-[16px] ${props.className ?? ''}`}
    />
  );
}
