'use client';
import { parseRecipe } from '@/core/recipe/parse';
import { Button } from '@/ui/button';

/** Asks which of several recipes in one text is meant. */
export function WhichRecipe({
  texts,
  onTake,
}: {
  texts: readonly string[];
  /** The texts to take in: one of them, each for itself, or all as one recipe. */
  onTake: (texts: readonly string[]) => void;
}) {
  return (
    <div role="group" aria-label="Which recipe" className="mt-2 rounded-lg bg-wash px-3 py-2">
      <p className="font-semibold">This text seems to hold {texts.length} recipes. Which is meant?</p>
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        {texts.map((text, i) => (
          <Button key={i} look="line" onClick={() => onTake([text])}>
            {parseRecipe(text).title}
          </Button>
        ))}
        <Button look="solid" onClick={() => onTake(texts)}>
          {texts.length === 2 ? 'Both, each by itself' : 'All, each by itself'}
        </Button>
        <Button look="plain" onClick={() => onTake([texts.join('\n')])}>
          It is one recipe
        </Button>
      </div>
    </div>
  );
}
