'use client';
import { toast } from 'sonner';
import { wordsKey } from '@/core/food/larder';
import type { ReadFood } from '@/core/read/types';
import { database, type StoredMeaning } from '@/data/db';
import { forget, remember, restoreMeaning } from '@/data/larder';

/**
 * What the cook means by the chosen line's words: remembering the food she picked there, and forgetting it,
 * each with a way back.
 */
export function useMeaning(
  food: ReadFood | undefined,
  meanings: readonly StoredMeaning[],
  onRemembered: () => void,
  onTakenBack: () => void,
) {
  const meaning = food && meanings.find((m) => m.words === wordsKey(food.phrase));
  const onForget = () => {
    if (!meaning) return;
    void forget(database(), meaning.words);
    toast(`“${meaning.said}” is read by Dulvet again.`, {
      action: { label: 'Undo', onClick: () => void restoreMeaning(database(), meaning) },
    });
  };
  const onRemember = () => {
    if (!food?.food) return;
    const { phrase } = food;
    const { id, name } = food.food;
    void remember(database(), phrase, id, Date.now()).then((before) => {
      onRemembered();
      const takeBack = () => {
        void (before ? restoreMeaning(database(), before) : forget(database(), wordsKey(phrase)));
        onTakenBack();
      };
      toast(`“${phrase}” means ${name.toLowerCase()} from now on.`, {
        action: { label: 'Undo', onClick: takeBack },
      });
    });
  };
  return { meaning, onRemember, onForget };
}
