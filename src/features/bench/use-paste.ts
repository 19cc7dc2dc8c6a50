'use client';
import { useEffect, useRef } from 'react';
import { toast } from 'sonner';
import { recipeText } from '@/core/format/text';
import { isTyping } from '@/ui/use-keys';

/** A recipe pasted anywhere on the page, outside a field, starts an audit; what cannot be read is said. */
export function usePaste(onRecipes: (texts: readonly string[]) => void): void {
  const take = useRef(onRecipes);
  useEffect(() => {
    take.current = onRecipes;
  });
  useEffect(() => {
    const onPaste = (event: ClipboardEvent) => {
      if (isTyping(event.target)) return;
      const reading = recipeText(event.clipboardData?.getData('text/plain') ?? '');
      if (reading.ok) take.current(reading.recipes);
      else toast.error(reading.message);
    };
    window.addEventListener('paste', onPaste);
    return () => window.removeEventListener('paste', onPaste);
  }, []);
}
