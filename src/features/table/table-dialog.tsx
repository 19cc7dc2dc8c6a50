'use client';
import { useState } from 'react';
import { toast } from 'sonner';
import { FOODS } from '@/core/food/table';
import { PROTOCOLS } from '@/core/protocol';
import { database, type StoredDiner } from '@/data/db';
import { removeDiner, saveDiner } from '@/data/diners';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';

const ALLERGENS = [...new Set(FOODS.flatMap((f) => f.allergens))].sort();

function Diner({ diner: kept }: { diner: StoredDiner }) {
  // shown at once, saved as it is shown
  const [diner, setDiner] = useState(kept);
  const save = (patch: Partial<StoredDiner>) => {
    const next = { ...diner, ...patch };
    setDiner(next);
    void saveDiner(database(), next);
  };
  const remove = () => {
    void removeDiner(database(), diner.id);
    toast(`${diner.name} has left the table.`, {
      action: { label: 'Undo', onClick: () => void saveDiner(database(), diner) },
    });
  };
  return (
    <li className="rounded-[10px] border-[1.5px] border-hair p-3">
      <div className="flex flex-wrap items-end gap-2">
        <label className="flex-1">
          <span className="block text-[13px] font-semibold">Name</span>
          <input
            className="field w-full"
            defaultValue={diner.name}
            maxLength={80}
            onBlur={(e) => save({ name: e.target.value.trim() || diner.name })}
          />
        </label>
        <label className="flex-1">
          <span className="block text-[13px] font-semibold">Eats by</span>
          <select
            className="field w-full"
            value={diner.protocol}
            onChange={(e) => save({ protocol: e.target.value })}
          >
            {PROTOCOLS.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </select>
        </label>
        <Button look="plain" onClick={remove} aria-label={`Remove ${diner.name}`}>
          Remove
        </Button>
      </div>
      <fieldset className="mt-2">
        <legend className="text-[13px] font-semibold">Must not eat</legend>
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {ALLERGENS.map((a) => (
            <label key={a} className="flex min-h-7 items-center gap-1.5">
              <input
                type="checkbox"
                className="size-4 accent-[var(--rim)]"
                checked={diner.allergens.includes(a)}
                onChange={(e) =>
                  save({
                    allergens: e.target.checked
                      ? [...diner.allergens, a]
                      : diner.allergens.filter((x) => x !== a),
                  })
                }
              />
              {a}
            </label>
          ))}
        </div>
      </fieldset>
    </li>
  );
}

/** Who is at the table: names, protocols, allergies. Kept as it is changed. */
export function TableDialog({
  open,
  onOpenChange,
  diners,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  diners: readonly StoredDiner[];
}) {
  const kept = diners.filter((d) => !PROTOCOLS.some((p) => p.id === d.id));
  const add = () =>
    void saveDiner(database(), {
      id: crypto.randomUUID(),
      name: `Diner ${kept.length + 1}`,
      protocol: PROTOCOLS[0]?.id ?? 'heart-strict',
      allergens: [],
      order: kept.length,
    });
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="The table"
      says="Each dish is judged for everyone here. Allergens are those of the usual product: for a real allergy, read every label."
      wide
    >
      <ul className="space-y-2">
        {kept.map((diner) => (
          <Diner key={diner.id} diner={diner} />
        ))}
      </ul>
      {kept.length === 0 && <p className="mb-2 text-mute">Nobody yet: dishes are judged by each protocol.</p>}
      <Button look="line" className="mt-3" onClick={add}>
        Add a diner
      </Button>
    </Dialog>
  );
}
