'use client';
import { useState } from 'react';
import { idsSwapped, withStep, withStepsSwapped } from '@/core/recipe/edit-steps';
import type { Stretch } from '@/core/recipe/source';
import { Button } from '@/ui/button';
import { change } from './use-supper';

type Supper = Parameters<Parameters<typeof change>[0]>[0];

const withText = (supper: Supper, dish: number, text: string): Supper['dishes'] =>
  supper.dishes.map((d, i) => (i === dish ? { ...d, recipe: { ...d.recipe, text } } : d));

/** A step of this pot in the cook's own words or order; the recipe on the Shelf stays as it is. */
export function ChangeStep({ dish, steps, at }: { dish: number; steps: readonly Stretch[]; at: number }) {
  const step = steps[at];
  const [words, setWords] = useState<string | null>(null);
  if (!step) return null;
  if (words === null)
    return (
      <Button look="plain" className="no-print min-h-11 px-2" onClick={() => setWords(step.text)}>
        Change this step
      </Button>
    );
  const swap = (other: number) => {
    const [a, b] = [step, steps[other]];
    if (!b) return;
    void change((s) => ({
      dishes: withText(s, dish, withStepsSwapped(s.dishes[dish]?.recipe.text ?? '', a, b)),
      done: idsSwapped(s.done, dish, at, other),
      begun: idsSwapped(s.begun, dish, at, other),
      longer: idsSwapped(s.longer, dish, at, other),
      at: null,
    }));
    setWords(null);
  };
  const keepWords = () => {
    if (words.trim())
      void change((s) => ({
        dishes: withText(s, dish, withStep(s.dishes[dish]?.recipe.text ?? '', step, words)),
      }));
    setWords(null);
  };
  return (
    <form
      className="no-print mt-3 grid w-full gap-2 border-t border-hair pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        keepWords();
      }}
    >
      <label className="grid gap-1 text-mute">
        This step, for this pot; the recipe on the Shelf stays as it is
        <textarea
          className="field text-[16px] text-ink"
          rows={3}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </label>
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look="solid" className="min-h-11 px-4" disabled={!words.trim()}>
          Keep these words
        </Button>
        <Button className="min-h-11" disabled={at === 0} onClick={() => swap(at - 1)}>
          Do it a step earlier
        </Button>
        <Button className="min-h-11" disabled={at >= steps.length - 1} onClick={() => swap(at + 1)}>
          A step later
        </Button>
        <Button look="plain" className="min-h-11" onClick={() => setWords(null)}>
          Leave it
        </Button>
      </div>
    </form>
  );
}
