'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useState } from 'react';
import { MOST_BYTES, recipeText } from '@/core/format/text';
import { severalRecipes } from '@/core/recipe/several';
import { database } from '@/data/db';
import { keep } from '@/data/saving';
import { readSettings, setSetting } from '@/data/settings';
import { Button } from '@/ui/button';
import { WhichRecipe } from './which-recipe';

/** Longer than what is taken in: what is too long is told so, not cut. */
const MOST_DRAFT = 2 * MOST_BYTES;

/** Takes a pasted or typed recipe in; a word in place where it cannot be read. */
export function NewRecipe({
  onTake,
  onSample,
  pasted = null,
}: {
  /** Gives true once they are kept. */
  onTake: (texts: readonly string[]) => Promise<boolean>;
  onSample?: () => void;
  /** A text that was pasted beside any field and holds several recipes. */
  pasted?: string | null;
}) {
  // what was begun waits here, whatever closed the sheet
  const kept = useLiveQuery(() => readSettings(database()).then((s) => s.draft), [], null);
  const [typed, setTyped] = useState<string | null>(pasted);
  const text = typed ?? kept ?? '';
  const setText = (words: string) => {
    setTyped(words);
    void keep('the recipe being written', () => setSetting(database(), 'draft', words.slice(0, MOST_DRAFT)));
  };
  const [refusal, setRefusal] = useState<string | null>(null);
  const [several, setSeveral] = useState<readonly string[] | null>(
    pasted === null ? null : severalRecipes(pasted),
  );
  const hand = (texts: readonly string[]) =>
    void onTake(texts).then((taken) => {
      if (taken) void keep('the draft', () => setSetting(database(), 'draft', ''));
    });
  const take = () => {
    const reading = recipeText(text);
    if (!reading.ok) {
      setRefusal(reading.message);
      return;
    }
    const [only] = reading.recipes;
    const found = only !== undefined && reading.recipes.length === 1 ? severalRecipes(only) : [];
    if (found.length > 1) setSeveral(found);
    else hand(reading.recipes);
  };
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        take();
      }}
    >
      <label htmlFor="new-recipe" className="font-semibold">
        Paste or write the recipe, as loosely as it comes
      </label>
      <textarea
        id="new-recipe"
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          setRefusal(null);
          setSeveral(null);
        }}
        onKeyDown={(e) => {
          if (e.key === 'Enter' && (e.ctrlKey || e.metaKey)) take();
        }}
        rows={14}
        autoFocus
        spellCheck={false}
        aria-invalid={refusal !== null}
        aria-describedby={refusal ? 'new-recipe-refusal' : undefined}
        placeholder={'Name of the dish\nserves 4–6\n\n2 tbsp …\n1 tin …\n\nSoften the onion …'}
        className="field mt-1 w-full resize-y font-[inherit] leading-relaxed"
      />
      {refusal && (
        <p id="new-recipe-refusal" role="alert" className="mt-1 font-medium text-over">
          {refusal}
        </p>
      )}
      {several && <WhichRecipe texts={several} onTake={hand} />}
      <div className="mt-2 flex flex-wrap gap-2">
        <Button type="submit" look="solid" keys="Ctrl Enter">
          Audit it
        </Button>
        {onSample && (
          <Button look="line" onClick={onSample}>
            Try a sample
          </Button>
        )}
      </div>
    </form>
  );
}
