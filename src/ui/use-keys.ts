'use client';
import { useEffect, useRef } from 'react';

export type Keys = Readonly<Record<string, (event: KeyboardEvent) => void>>;

/** True where a key press belongs to what is being typed into. */
export function isTyping(target: EventTarget | null): boolean {
  return Boolean(
    target instanceof Element &&
    target.closest('input, textarea, select, [contenteditable="true"], [role="dialog"]'),
  );
}

/**
 * Keys of a view: "e", "?", "mod+z". A single key is left alone while somebody types; one with `mod`
 * (Control or Command) only where the field would not want it itself.
 */
export function useKeys(keys: Keys): void {
  const current = useRef(keys);
  useEffect(() => {
    current.current = keys;
  });
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.defaultPrevented || event.altKey || isTyping(event.target)) return;
      const mod = event.ctrlKey || event.metaKey;
      const name = `${mod ? 'mod+' : ''}${event.shiftKey && event.key.length > 1 ? 'shift+' : ''}${event.key.length === 1 ? event.key.toLowerCase() : event.key}`;
      const shifted = event.shiftKey && mod ? name.replace('mod+', 'mod+shift+') : name;
      const action = current.current[shifted];
      if (!action) return;
      event.preventDefault();
      action(event);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
