'use client';
import { toast } from 'sonner';
import type { Larder } from '@/core/food/larder';
import { database, type StoredMeaning } from '@/data/db';
import { forget, restoreMeaning } from '@/data/larder';
import { keep } from '@/data/saving';
import { Button } from '@/ui/button';

/** What the cook means by her words: seen, and undone. */
export function YourWords({ meanings, larder }: { meanings: readonly StoredMeaning[]; larder: Larder }) {
  const drop = (meaning: StoredMeaning) => {
    void keep('what the words mean', () => forget(database(), meaning.words));
    toast(`“${meaning.said}” is read by Dulvet again.`, {
      action: {
        label: 'Undo',
        onClick: () => void keep('what the words mean', () => restoreMeaning(database(), meaning)),
      },
    });
  };
  return (
    <section>
      <h2 className="font-semibold">Your words</h2>
      {meanings.length === 0 ? (
        <p className="text-mute">
          Correct a line’s food on the Bench, and say that you mean it whenever you write those words: it is
          remembered here.
        </p>
      ) : (
        <ul className="mt-1">
          {meanings.map((m) => (
            <li key={m.words} className="flex items-center justify-between gap-2">
              <span className="min-w-0 [overflow-wrap:anywhere]">
                “{m.said}” is{' '}
                <b className="font-semibold">
                  {larder.foodById(m.foodId)?.name.toLowerCase() ?? 'a packet that is gone'}
                </b>
              </span>
              <Button look="plain" onClick={() => drop(m)} aria-label={`Forget what ${m.said} means`}>
                Forget
              </Button>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
