import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { database } from '@/data/db';
import { getRecipe } from '@/data/recipes';
import { Button } from '@/ui/button';
import { useOwnWords } from '@/ui/use-own-words';

/** The recipe's whole text, to be typed in freely; the words as they were first brought in are one tap away. */
export function WholeText({
  id,
  text,
  onText,
  onDone,
}: {
  id: string;
  text: string;
  onText: (text: string) => void;
  onDone: () => void;
}) {
  const original = useLiveQuery(async () => (await getRecipe(database(), id))?.original ?? null, [id], null);
  const [first, setFirst] = useState(false);
  const shown = first && original !== null;
  const [words, type] = useOwnWords(text, onText);
  return (
    <section aria-label="Whole text" className="sheet mt-3 p-2">
      {original !== null && original !== text && (
        <div className="mb-1 flex flex-wrap items-center gap-2">
          <Button look="plain" aria-pressed={shown} onClick={() => setFirst(!first)}>
            {shown ? 'As it is now' : 'As first brought in'}
          </Button>
          {shown && (
            <Button
              onClick={() => {
                onText(original);
                onDone();
                setFirst(false);
              }}
            >
              Put these words back
            </Button>
          )}
        </div>
      )}
      <textarea
        aria-label={shown ? 'The words as first brought in' : "The recipe's whole text"}
        value={shown ? original : words}
        readOnly={shown}
        onChange={(e) => type(e.target.value)}
        onBlur={shown ? undefined : onDone}
        rows={24}
        spellCheck={false}
        className="field w-full resize-y border-0 font-[inherit] leading-relaxed"
      />
    </section>
  );
}
