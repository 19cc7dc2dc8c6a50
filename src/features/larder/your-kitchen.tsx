'use client';
import { useState } from 'react';
import { isPrice } from '@/core/cost/cost';
import type { Food } from '@/core/food/table';
import { database, type StoredKitchenFood } from '@/data/db';
import { sayOfFood } from '@/data/kitchen';
import { keep } from '@/data/saving';
import { useSettings } from '@/kitchen/use-settings';

type Liking = StoredKitchenFood['liking'];
const LIKINGS: readonly (readonly [Liking, string])[] = [
  [1, 'glad of it'],
  [0, 'no matter'],
  [-1, 'rather not'],
];

/** What the cook says of a food: whether it is in the kitchen, how it is liked, what it costs. */
export function YourKitchen({ food, said }: { food: Food; said: StoredKitchenFood | null }) {
  const { currency, measures } = useSettings();
  // shown at once, whatever the database takes
  const [has, setHas] = useState<boolean | null>(null);
  const [liking, setLiking] = useState<Liking | null>(null);
  // what is typed stands until it can be kept
  const [draft, setDraft] = useState<{ pays: string; amount: string } | null>(null);
  const kept = { pays: said?.price ? String(said.price.pays) : '', amount: said?.price?.amount ?? '' };
  const { pays, amount } = draft ?? kept;
  const say = (what: Parameters<typeof sayOfFood>[2]) =>
    keep('what you said of it', () => sayOfFood(database(), food.id, what, Date.now()).then(() => true));
  const price = { pays: Number(pays.replace(',', '.')), amount: amount.trim() };
  const empty = pays.trim() === '' && price.amount === '';
  const usable = pays.trim() !== '' && Number.isFinite(price.pays) && isPrice(price, food, measures);
  const keepPrice = () => {
    if (draft === null || (!empty && !usable)) return;
    void say({ price: empty ? null : price }).then((kept) => kept && setDraft(null));
  };
  return (
    <section>
      <h3 className="font-semibold">In your kitchen</h3>
      <div className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1.5">
        <label className="flex min-h-8 items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-[var(--rim)]"
            checked={has ?? said?.has ?? false}
            onChange={(e) => {
              setHas(e.target.checked);
              void say({ has: e.target.checked });
            }}
          />
          it is there
        </label>
        <label className="flex min-h-8 items-center gap-2">
          <span className="text-mute">liked</span>
          <select
            className="field"
            value={liking ?? said?.liking ?? 0}
            onChange={(e) => {
              const next = Number(e.target.value) as Liking;
              setLiking(next);
              void say({ liking: next });
            }}
          >
            {LIKINGS.map(([id, label]) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </select>
        </label>
      </div>
      <div className="mt-1.5 flex flex-wrap items-center gap-2">
        <span className="text-mute">costs {currency}</span>
        <input
          aria-label={`What ${food.name} costs`}
          inputMode="decimal"
          className="field num w-[76px]"
          value={pays}
          onChange={(e) => setDraft({ pays: e.target.value, amount })}
          onBlur={keepPrice}
        />
        <span className="text-mute">for</span>
        <input
          aria-label="For how much of it"
          placeholder="500 g, 1 can"
          className="field w-[124px]"
          value={amount}
          onChange={(e) => setDraft({ pays, amount: e.target.value })}
          onBlur={keepPrice}
        />
      </div>
      {!empty && !usable && (
        <p role="status" className="mt-1 text-[13px] text-near">
          Say what you pay, and for how much: 500 g, 1 l, or a piece or packet this food is sold by.
        </p>
      )}
    </section>
  );
}
