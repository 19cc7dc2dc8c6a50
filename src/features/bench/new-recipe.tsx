'use client';
import { useState } from 'react';
import { recipeText } from '@/core/format/text';
import { Button } from '@/ui/button';

/** Takes a pasted or typed recipe in; a word in place where it cannot be read. */
export function NewRecipe({
  onTake,
  onSample,
  start = '',
}: {
  onTake: (texts: readonly string[]) => void;
  onSample?: () => void;
  start?: string;
}) {
  const [text, setText] = useState(start);
  const [refusal, setRefusal] = useState<string | null>(null);
  const take = () => {
    const reading = recipeText(text);
    if (!reading.ok) {
      setRefusal(reading.message);
      return;
    }
    onTake(reading.recipes);
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
