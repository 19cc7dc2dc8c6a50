'use client';
import { useState } from 'react';
import { toast } from 'sonner';
import { ALLERGENS } from '@/core/allergen/allergen';
import type { Protocol } from '@/core/protocol';
import { database, type StoredDiner } from '@/data/db';
import { changeDiner, removeDiner, saveDiner, sayAllergen } from '@/data/diners';
import { keep } from '@/data/saving';
import { Button } from '@/ui/button';

const PLATES = [
  [0.5, 'half a plate'],
  [0.75, 'a smaller plate'],
  [1, 'a plate'],
  [1.25, 'a larger plate'],
  [1.5, 'a plate and a half'],
  [2, 'two plates'],
] as const;

/** One diner: name, protocol, plate, allergies, dislikes, the medical switch. Kept as it is changed. */
export function DinerCard({
  diner: kept,
  protocols,
}: {
  diner: StoredDiner;
  protocols: readonly Protocol[];
}) {
  // shown at once; what another tab or a file says of the diner since then is shown as it comes
  const [ahead, setAhead] = useState<{ of: StoredDiner; patch: Partial<StoredDiner> } | null>(null);
  const diner = ahead && ahead.of === kept ? { ...kept, ...ahead.patch } : kept;
  const show = (patch: Partial<StoredDiner>) =>
    setAhead({ of: kept, patch: { ...(ahead?.of === kept ? ahead.patch : {}), ...patch } });
  const save = (patch: Partial<StoredDiner>) => {
    show(patch);
    void keep('the diner', () => changeDiner(database(), diner.id, patch, Date.now()));
  };
  const allergic = (allergen: string, mustNot: boolean) => {
    const others = diner.allergens.filter((a) => a !== allergen);
    show({ allergens: mustNot ? [...others, allergen] : others });
    void keep('the diner', () => sayAllergen(database(), diner.id, allergen, mustNot, Date.now()));
  };
  const remove = () => {
    void keep('the diner', () => removeDiner(database(), diner.id));
    toast(`${diner.name} has left the table.`, {
      action: { label: 'Undo', onClick: () => void keep('the diner', () => saveDiner(database(), diner)) },
    });
  };
  const gone = !protocols.some((p) => p.id === diner.protocol);
  return (
    <li className="rounded-[10px] border-[1.5px] border-hair p-3">
      <div className="flex flex-wrap items-end gap-2">
        <label className="min-w-[120px] flex-1">
          <span className="block text-[13px] font-semibold">Name</span>
          <input
            className="field w-full"
            key={kept.name}
            defaultValue={diner.name}
            maxLength={80}
            onBlur={(e) => {
              const name = e.target.value.trim() || diner.name;
              if (name !== diner.name) save({ name });
            }}
          />
        </label>
        <label className="min-w-[150px] flex-1">
          <span className="block text-[13px] font-semibold">Eats by</span>
          <select
            className="field w-full"
            value={diner.protocol}
            onChange={(e) => save({ protocol: e.target.value })}
          >
            {gone && <option value={diner.protocol}>a protocol that is gone</option>}
            {protocols.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
        </label>
        <label className="min-w-[130px]">
          <span className="block text-[13px] font-semibold">Appetite</span>
          <select
            className="field w-full"
            value={diner.appetite}
            onChange={(e) => save({ appetite: Number(e.target.value) })}
          >
            {PLATES.map(([size, name]) => (
              <option key={size} value={size}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label className="min-w-[110px]">
          <span className="block text-[13px] font-semibold">Needs, kcal a day</span>
          <input
            className="field w-[110px]"
            inputMode="numeric"
            key={kept.needKcal ?? 'none'}
            defaultValue={diner.needKcal ?? ''}
            placeholder="not said"
            onBlur={(e) => {
              const said = Number(e.target.value.replace(/\s/g, ''));
              const needKcal = said >= 300 && said <= 10_000 ? said : null;
              if (needKcal !== (diner.needKcal ?? null)) save({ needKcal });
            }}
          />
        </label>
        <Button look="plain" onClick={remove} aria-label={`Remove ${diner.name}`}>
          Remove
        </Button>
      </div>
      <label className="mt-2 block">
        <span className="block text-[13px] font-semibold">Would rather not eat, between commas</span>
        <input
          className="field w-full"
          key={kept.dislikes.join()}
          defaultValue={diner.dislikes.join(', ')}
          placeholder="mushrooms, coriander"
          onBlur={(e) => {
            const dislikes = e.target.value
              .split(',')
              .map((d) => d.trim())
              .filter(Boolean);
            if (dislikes.join() !== diner.dislikes.join()) save({ dislikes });
          }}
        />
      </label>
      <fieldset className="mt-2">
        <legend className="text-[13px] font-semibold">Must not eat</legend>
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {ALLERGENS.map(({ id: a, label }) => (
            <label key={a} className="flex min-h-7 items-center gap-1.5">
              <input
                type="checkbox"
                className="size-4 accent-[var(--rim)]"
                checked={diner.allergens.includes(a)}
                onChange={(e) => allergic(a, e.target.checked)}
              />
              {label}
            </label>
          ))}
        </div>
      </fieldset>
      <label className="mt-2 flex min-h-7 items-start gap-1.5">
        <input
          type="checkbox"
          className="mt-0.5 size-4 flex-none accent-[var(--rim)]"
          checked={diner.medical}
          onChange={(e) => save({ medical: e.target.checked })}
        />
        <span>
          Medical care is in play (blood pressure, kidney, diabetes, warfarin, pregnancy, a child): say the
          cautions that concern it first
        </span>
      </label>
    </li>
  );
}
