'use client';
import { useState } from 'react';
import type { StoredSupper, StoredTimer } from '@/data/db';
import { leftOf, newTimer, toggled } from '@/data/stove';
import { Button } from '@/ui/button';
import { countdown } from './use-clock';
import { change } from './use-supper';

const put = (id: string, next: (t: StoredTimer) => StoredTimer | null) =>
  void change((s) => ({
    timers: s.timers.flatMap((t) => (t.id === id ? (next(t) ?? []) : [t])),
  }));

/** Timers that run, several at once; they survive a reload, since each knows when it ends. */
export function Timers({ supper, now }: { supper: StoredSupper; now: number }) {
  const [minutes, setMinutes] = useState('');
  const own = Number(minutes);
  const add = () => {
    if (!(own > 0 && own <= 24 * 60)) return;
    void change((s) => ({ timers: [...s.timers, newTimer(`${own} minutes`, own, null, Date.now())] }));
    setMinutes('');
  };
  return (
    <section aria-label="Timers" className="mt-3">
      <ul>
        {[...supper.timers]
          .sort((a, b) => leftOf(a, now) - leftOf(b, now))
          .map((t) => {
            const left = leftOf(t, now);
            const over = left <= 0;
            return (
              <li
                key={t.id}
                className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-hair py-1.5"
              >
                <span className="min-w-0 flex-1 font-semibold [overflow-wrap:anywhere]">{t.label}</span>
                <span
                  role="timer"
                  aria-label={`${t.label}: ${over ? 'over since' : ''} ${Math.abs(Math.round(left / 60_000))} minutes${over ? '' : ' left'}`}
                  className={`num text-[17px] ${over ? 'font-bold text-over' : ''}`}
                >
                  {over ? `over ${countdown(left)}` : `${countdown(left)} left`}
                </span>
                {!over && (
                  <Button onClick={() => put(t.id, (x) => toggled(x, Date.now()))}>
                    {t.endsAt === null ? 'Go on' : 'Pause'}
                  </Button>
                )}
                <Button onClick={() => put(t.id, () => null)} aria-label={`Put off the timer ${t.label}`}>
                  Off
                </Button>
              </li>
            );
          })}
      </ul>
      <p className="sr-only" role="alert">
        {supper.timers
          .filter((t) => t.rang && leftOf(t, now) <= 0)
          .map((t) => `${t.label}: its time is over. `)}
      </p>
      <form
        className="flex items-center gap-2 border-t border-hair pt-2"
        onSubmit={(e) => {
          e.preventDefault();
          add();
        }}
      >
        <label className="flex items-center gap-2 text-mute">
          A timer of
          <input
            className="field w-[72px] text-ink"
            inputMode="decimal"
            value={minutes}
            onChange={(e) => setMinutes(e.target.value)}
          />
          min
        </label>
        <Button type="submit" disabled={!(own > 0)}>
          Start
        </Button>
        {'Notification' in globalThis && Notification.permission === 'default' && (
          <Button look="plain" onClick={() => void Notification.requestPermission()}>
            Tell me when the page is hidden
          </Button>
        )}
      </form>
    </section>
  );
}
