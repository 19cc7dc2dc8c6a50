'use client';
import { useId, useState } from 'react';
import type { RecipeAudit } from '@/core/audit/schema';
import { showRange } from '@/core/format/figures';
import { isGrams } from '@/core/recipe/limits';
import { YIELD_SOURCE } from '@/core/prepare/yields';
import type { ReadRecipe } from '@/core/read/types';
import { Button } from '@/ui/button';

export interface Weighed {
  readonly potG: number | null;
  readonly plateG: number | null;
}

/** Grams typed in a field; null where it is empty, NaN where it is no weight. */
function gramsIn(words: string): number | null {
  if (!words.trim()) return null;
  const value = Number(words.trim().replace(',', '.'));
  return isGrams(value) ? value : NaN;
}

/** What the dish weighs as eaten, why, and the scale's word against the estimate. */
export function Weighing({
  audit,
  read,
  weighed,
  onWeighed,
}: {
  audit: RecipeAudit;
  read: ReadRecipe;
  weighed: Weighed;
  onWeighed: (weighed: Weighed) => void;
}) {
  const id = useId();
  const [why, setWhy] = useState(false);
  const [refusal, setRefusal] = useState<string | null>(null);
  const { weightG, weightInG, energyDensityKcalPer100G: density } = audit.total;
  const take = (which: keyof Weighed, words: string) => {
    const grams = gramsIn(words);
    if (Number.isNaN(grams)) {
      setRefusal('Grams above 0, and no more than 100 000.');
      return;
    }
    setRefusal(null);
    if (grams !== weighed[which]) onWeighed({ ...weighed, [which]: grams });
  };
  const field = (which: keyof Weighed, label: string) => (
    <div className="flex-1">
      <label htmlFor={`${id}${which}`} className="mb-1 block text-[13px] font-semibold">
        {label}
      </label>
      <input
        key={weighed[which] ?? 'none'}
        id={`${id}${which}`}
        inputMode="decimal"
        placeholder="g"
        defaultValue={weighed[which] ?? ''}
        onBlur={(e) => take(which, e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && take(which, e.currentTarget.value)}
        className="field num w-full"
      />
    </div>
  );
  const changed = read.lines.flatMap((line, i) => {
    const y = read.yields[i];
    return y?.says ? [{ text: line.line.text, ...y }] : [];
  });
  return (
    <section className="mt-3 border-t border-hair pt-3">
      <h3 className="font-semibold">As eaten</h3>
      {weightG && weightInG ? (
        <p className="num">
          {showRange(weightG)} g of {showRange(weightInG)} g that goes in
          {density && `, ${showRange(density)} kcal in 100 g`}
          {density && <span className="text-mute"> ({showRange(perPound(density))} a pound)</span>}
        </p>
      ) : (
        <p className="text-mute">Not known while a line is not understood. Weighing the pot says it.</p>
      )}
      <div className="mt-2 flex gap-2">
        {field('potG', 'The whole pot weighed')}
        {field('plateG', 'One plate weighed')}
      </div>
      {refusal && (
        <p role="alert" className="mt-1 text-[13px] font-medium text-over">
          {refusal}
        </p>
      )}
      {weighed.potG === null && changed.length > 0 && (
        <>
          <Button look="plain" className="-ml-2 mt-1 px-2" aria-expanded={why} onClick={() => setWhy(!why)}>
            Why this weight?
          </Button>
          {why && (
            <div className="rounded-[10px] bg-wash p-3 text-[13px]">
              <ul className="num space-y-1">
                {changed.map((c) => (
                  <li key={c.text}>
                    <b className="font-semibold">{c.text}</b>: × {showRange(c.factor)}, {c.says}
                  </li>
                ))}
              </ul>
              <p className="mt-1.5 text-mute">Yields {YIELD_SOURCE}. The scale knows better.</p>
            </div>
          )}
        </>
      )}
    </section>
  );
}

const GRAMS_PER_POUND = 453.592;
const perPound = (r: { low: number; best: number; high: number }) => ({
  low: (r.low * GRAMS_PER_POUND) / 100,
  best: (r.best * GRAMS_PER_POUND) / 100,
  high: (r.high * GRAMS_PER_POUND) / 100,
});
