'use client';
import { useCallback, useEffect, useRef } from 'react';

/**
 * Gives the focus back to a line once its panel, and what was pressed in it, is gone: when what stands beside the
 * recipe, or its words, have changed. Says which line is to have it next; null for none.
 */
export function useReturnFocus(beside: unknown, words: unknown): (line: number | null) => void {
  const next = useRef<number | null>(null);
  useEffect(() => {
    if (next.current === null) return;
    const place = document.querySelector<HTMLElement>(`[data-line="${next.current}"] button`);
    next.current = null;
    (place ?? document.getElementById('main'))?.focus();
  }, [beside, words]);
  return useCallback((line) => {
    next.current = line;
  }, []);
}
