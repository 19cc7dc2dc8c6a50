'use client';
import { useLayoutEffect, useRef } from 'react';

/** What a key does; false where it has nothing to do just now, and the key is somebody else's. */
export type Keys = Readonly<Record<string, (event: KeyboardEvent) => unknown>>;

/** True where a key press belongs to what is being typed into. */
export function isTyping(target: EventTarget | null): boolean {
  return Boolean(
    target instanceof Element &&
    target.closest('input, textarea, select, [contenteditable="true"], [role="dialog"]'),
  );
}

/** Keys that a button or a link needs itself while it has the focus (WCAG 2.1.1). */
const ACTIVATES = new Set(['Enter', ' ']);
const hasOwnUse = (target: EventTarget | null): boolean =>
  target instanceof Element &&
  target.closest('a[href], button, summary, [role="button"], [role="link"], [role="tab"]') !== null;

let singleKeys = true;
/** Turns keys without Control or Command on or off (WCAG 2.1.4); what moves and lets go stays on. */
export const allowSingleKeys = (allowed: boolean): void => {
  singleKeys = allowed;
};

/**
 * Keys of a view: "e", "?", "mod+z". A single key is left alone while somebody types, or where they are turned off;
 * one with `mod` (Control or Command) only where the field would not want it itself. Enter and the space bar activate
 * what has the focus. Listening begins with the very paint that shows the keys, not some time after it.
 */
export function useKeys(keys: Keys): void {
  const current = useRef(keys);
  useLayoutEffect(() => {
    current.current = keys;
  });
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.altKey || isTyping(event.target)) return;
      const mod = event.ctrlKey || event.metaKey;
      if (!mod && ACTIVATES.has(event.key) && hasOwnUse(event.target)) return;
      if (!mod && !singleKeys && event.key.length === 1) return;
      const name = `${mod ? 'mod+' : ''}${event.shiftKey && event.key.length > 1 ? 'shift+' : ''}${event.key.length === 1 ? event.key.toLowerCase() : event.key}`;
      const shifted = event.shiftKey && mod ? name.replace('mod+', 'mod+shift+') : name;
      const action = current.current[shifted];
      if (!action || action(event) === false) return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
