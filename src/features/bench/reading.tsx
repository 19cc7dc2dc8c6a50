'use client';
import { useId, useState } from 'react';
import type { Larder } from '@/core/food/larder';
import { showNumber } from '@/core/format/figures';
import { isGrams } from '@/core/recipe/limits';
import type { Correction, ReadLine } from '@/core/read/types';
import { Button } from '@/ui/button';

interface ReadingProps {
  line: ReadLine;
  correction: Correction | undefined;
  larder: Larder;
  /** True where these words are read by what the cook said she means. */
  meant: boolean;
  onRemember: () => void;
  onForget: () => void;
  onCorrect: (correction: Correction | null) => void;
  open: boolean;
  onOpen: (open: boolean) => void;
}

/** Corrects in place what was read into a line: which food, how many grams. */
export function Reading({
  line,
  correction,
  larder,
  meant,
  onRemember,
  onForget,
  onCorrect,
  open,
  onOpen,
}: ReadingProps) {
  const first = line.foods[0];
  const [query, setQuery] = useState('');
  const [grams, setGrams] = useState(
    correction?.grams !== undefined
      ? String(correction.grams)
      : first?.grams
        ? showNumber(first.grams.best)
        : '',
  );
  const [refusal, setRefusal] = useState<string | null>(null);
  const id = useId();
  const candidates = query.trim() ? larder.finder.find(query, '', 6) : (first?.candidates ?? []);
  const mayBe = first?.food && !line.corrected ? [first.food, ...first.might] : [];
  if (!open)
    return (
      <div className="mt-2 flex flex-wrap items-center gap-2">
        {mayBe.length > 1 && line.origin === 'ingredients' && first && (
          <div role="group" aria-label={`Which “${first.text}”`} className="w-full">
            <p className="text-[13px] text-mute">
              “{first.text}” may be any of these, and is judged by all of them. Which is it?
            </p>
            <div className="mt-1 flex flex-wrap gap-1.5">
              {mayBe.map((food) => (
                <Button
                  key={food.id}
                  look="line"
                  className="px-2 text-left"
                  onClick={() => onCorrect({ ...correction, foodId: food.id })}
                >
                  {food.name}
                </Button>
              ))}
            </div>
          </div>
        )}
        <Button look="plain" keys="F" onClick={() => onOpen(true)} className="-ml-2 px-2">
          Correct the reading
        </Button>
        {line.corrected && (
          <Button look="plain" onClick={() => onCorrect(null)} className="px-2">
            Back to Dulvet’s reading
          </Button>
        )}
        {correction?.foodId !== undefined && first?.food && (
          <Button look="plain" onClick={onRemember} className="px-2 text-left">
            Mean this whenever I write “{first.text}”
          </Button>
        )}
        {meant && first?.food && (
          <p className="w-full text-[13px]">
            By “{first.text}” you mean {first.food.name.toLowerCase()}, everywhere.{' '}
            <button type="button" onClick={onForget} className="font-semibold text-rim underline">
              Forget that
            </button>
          </p>
        )}
      </div>
    );
  const weigh = () => {
    const value = Number(grams.replace(',', '.'));
    if (!isGrams(value)) {
      setRefusal('Grams above 0, and no more than 100 000.');
      return;
    }
    setRefusal(null);
    onCorrect({ ...correction, grams: value });
  };
  return (
    <div className="mt-2 rounded-[10px] border-[1.5px] border-hair p-3">
      <div className="flex items-end gap-2">
        <div className="flex-1">
          <label htmlFor={`${id}g`} className="mb-1 block text-[13px] font-semibold">
            Grams that go in
          </label>
          <input
            id={`${id}g`}
            inputMode="decimal"
            autoFocus
            value={grams}
            onChange={(e) => setGrams(e.target.value)}
            onKeyDown={(e) => e.key === 'Enter' && weigh()}
            aria-invalid={refusal !== null}
            className="field num w-full"
          />
        </div>
        <Button onClick={weigh}>Weighed</Button>
      </div>
      {refusal && (
        <p role="alert" className="mt-1 text-[13px] font-medium text-over">
          {refusal}
        </p>
      )}
      {line.origin === 'ingredients' && (
        <div className="mt-3">
          <label htmlFor={`${id}f`} className="mb-1 block text-[13px] font-semibold">
            Which food
          </label>
          <input
            id={`${id}f`}
            value={query}
            placeholder={first?.food?.name ?? 'a food’s name'}
            onChange={(e) => setQuery(e.target.value)}
            className="field w-full"
          />
          <ul className="mt-1 max-h-44 overflow-y-auto">
            {candidates.map(({ food, confidence }) => (
              <li key={food.id}>
                <button
                  type="button"
                  onClick={() => onCorrect({ ...correction, foodId: food.id })}
                  className={`block w-full rounded px-2 py-1 text-left hover:bg-pick ${first?.food?.id === food.id ? 'font-semibold' : ''}`}
                >
                  <span className="block">{food.name}</span>
                  <span className="num block text-[12px] font-normal text-mute">
                    {showNumber(food.energyKcal)} kcal, {food.fatG === null ? '?' : showNumber(food.fatG)} g
                    fat in 100 g · {Math.round(confidence * 100)} %
                  </span>
                </button>
              </li>
            ))}
            {candidates.length === 0 && (
              <li className="px-2 py-1 text-mute">Nothing of that name here. Try a plainer one.</li>
            )}
          </ul>
        </div>
      )}
      <div className="mt-2 flex justify-end">
        <Button look="plain" onClick={() => onOpen(false)}>
          Done
        </Button>
      </div>
    </div>
  );
}
