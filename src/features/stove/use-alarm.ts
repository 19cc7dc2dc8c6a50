'use client';
import { useEffect } from 'react';
import type { StoredSupper } from '@/data/db';
import { leftOf } from '@/data/stove';
import { change } from './use-supper';

/** Three rising notes from the browser's own oscillator: no file, no network. */
function ring() {
  try {
    const audio = new AudioContext();
    [0, 0.25, 0.5].forEach((at, i) => {
      const tone = audio.createOscillator();
      const volume = audio.createGain();
      tone.frequency.value = 660 + 165 * i;
      volume.gain.setValueAtTime(0.25, audio.currentTime + at);
      volume.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + at + 0.22);
      tone.connect(volume).connect(audio.destination);
      tone.start(audio.currentTime + at);
      tone.stop(audio.currentTime + at + 0.24);
    });
  } catch {
    // without sound the timer still shows, shakes and is read out
  }
}

/** Says in every way the browser has that a timer is over: sound, vibration, a notice where they are allowed. */
function tell(label: string) {
  ring();
  if ('vibrate' in navigator) navigator.vibrate([220, 120, 220]);
  if ('Notification' in window && Notification.permission === 'granted')
    new Notification(`${label}: its time is over`, { tag: `dulvet ${label}` });
}

/** Rings timers whose time is over, once each, also those that ended while the page was away. */
export function useAlarm(supper: StoredSupper | null | undefined, now: number): void {
  const over = supper?.timers.filter((t) => !t.rang && t.endsAt !== null && leftOf(t, now) <= 0) ?? [];
  const key = over.map((t) => t.id).join(' ');
  useEffect(() => {
    if (key === '' || now === 0) return;
    const ids = new Set(key.split(' '));
    supper?.timers.filter((t) => ids.has(t.id)).forEach((t) => tell(t.label));
    void change((s) => ({ timers: s.timers.map((t) => (ids.has(t.id) ? { ...t, rang: true } : t)) }));
    // once for each timer that is over
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
}

/** Keeps the screen awake while something is cooked, where the browser can. */
export function useAwake(on: boolean): void {
  useEffect(() => {
    if (!on || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let here = true;
    const hold = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (l) => {
          if (here) lock = l;
          else void l.release();
        },
        // a browser that saves its battery may refuse
        () => undefined,
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      here = false;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, [on]);
}
