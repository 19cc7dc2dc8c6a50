'use client';
import { useSyncExternalStore } from 'react';
import { clockAt } from '@/core/cook/clock';

const listeners = new Set<() => void>();
let timer: ReturnType<typeof setInterval> | null = null;
let second = 0;

function subscribe(listener: () => void) {
  listeners.add(listener);
  second = Math.floor(Date.now() / 1000);
  timer ??= setInterval(() => {
    second = Math.floor(Date.now() / 1000);
    listeners.forEach((l) => l());
  }, 1000);
  return () => {
    listeners.delete(listener);
    if (listeners.size === 0 && timer) {
      clearInterval(timer);
      timer = null;
    }
  };
}

/** Milliseconds since 1970, a second at a time; 0 before the page is alive. */
export const useNow = (): number =>
  useSyncExternalStore(
    subscribe,
    () => second,
    () => 0,
  ) * 1000;

/** Minutes since midnight of a moment, in this place's time. */
export function minuteOfDay(ms: number): number {
  const at = new Date(ms);
  return at.getHours() * 60 + at.getMinutes();
}

/** "21:40" of so many milliseconds. */
export function countdown(ms: number): string {
  const seconds = Math.max(0, Math.round(Math.abs(ms) / 1000));
  const two = (n: number) => String(n).padStart(2, '0');
  const hours = Math.floor(seconds / 3600);
  const rest = `${two(Math.floor((seconds % 3600) / 60))}:${two(seconds % 60)}`;
  return hours > 0 ? `${hours}:${rest}` : rest;
}

/** A time of day of a moment. */
export const clockOf = (ms: number): string => clockAt(minuteOfDay(ms)).clock;
