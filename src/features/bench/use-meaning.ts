'use client';
import { toast } from 'sonner';
import { wordsKey } from '@/core/food/larder';
import type { ReadFood } from '@/core/read/types';
import { database, type StoredMeaning } from '@/data/db';
import { keep } from '@/data/saving';
import { forget, remember, restoreMeaning } from '@/data/larder';

/**
 * What the cook means by the chosen line's words: remembering the food she picked there, and forgetting it,
 * each with a way back.
 */
export function useMeaning(
  food: ReadFood | undefined,
  meanings: readonly StoredMeaning[],
  /** Gives the number of the edit that goes with it, if there is one. */
  onRemembered: () => Promise<number | null>,
  onTakenBack: (seq: number) => void,
) {
  const meaning = food && meanings.find((m) => m.words === wordsKey(food.phrase));
  const onForget = () => {
    if (!meaning) return;
    void keep('what the words mean', () => forget(database(), meaning.words));
    toast(`“${meaning.said}” is read by Dulvet again.`, {
      action: {
        label: 'Undo',
        onClick: () => void keep('what the words mean', () => restoreMeaning(database(), meaning)),
      },
    });
  };
  const onRemember = () => {
    if (!food?.food) return;
    const { phrase } = food;
    const { id, name } = food.food;
    void keep('what the words mean', () =>
      remember(database(), phrase, id, Date.now()).then((b) => ({ b })),
    ).then((kept) => {
      if (!kept) return;
      const before = kept.b;
      const edit = onRemembered();
      const takeBack = () => {
        void keep<unknown>('what the words mean', () =>
          before ? restoreMeaning(database(), before) : forget(database(), wordsKey(phrase)),
        );
        void edit.then((seq) => seq !== null && onTakenBack(seq));
      };
      toast(`“${phrase}” means ${name.toLowerCase()} from now on.`, {
        action: { label: 'Undo', onClick: takeBack },
      });
    });
  };
  return { meaning, onRemember, onForget };
}
