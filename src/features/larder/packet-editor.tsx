'use client';
import { useId, useMemo, useState } from 'react';
import { findFood } from '@/core/food/find';
import { foodById } from '@/core/food/table';
import { likelyKin, readPacket } from '@/core/label/packet';
import { PacketSchema, type Packet } from '@/core/label/schema';
import { database } from '@/data/db';
import { changePacket } from '@/data/larder';
import { keep } from '@/data/saving';
import { Button } from '@/ui/button';
import type { TableDiner } from '@/kitchen/use-diner';
import { PacketReading } from './packet-reading';

const EXAMPLE = `Name of the product
Serving size 1 cup (240 mL)
Energy 193 kJ / 46 kcal
Fat 1.5 g …
Salt 0.10 g

Ingredients: Water, oats, …`;

/** The kept shape of a draft, or what is missing. */
function complete(draft: Packet): { ok: true; packet: Packet } | { ok: false; why: string } {
  const parsed = PacketSchema.safeParse(draft);
  if (parsed.success) return { ok: true, packet: parsed.data };
  const [issue] = parsed.error.issues;
  return {
    ok: false,
    why: issue?.path[0] === 'name' ? 'Give it a name of two letters or more.' : (issue?.message ?? ''),
  };
}

/** A packet being typed, its reading beside it; kept with every key once it has a name. */
export function PacketEditor({
  packet,
  diners,
  onDone,
}: {
  packet: Packet;
  diners: readonly TableDiner[];
  onDone: () => void;
}) {
  const id = useId();
  const [draft, setDraft] = useState(packet);
  const [names, setNames] = useState(packet.names.join(', '));
  const [like, setLike] = useState(packet.like ? (foodById(packet.like)?.name ?? '') : '');
  const reading = useMemo(() => readPacket(draft), [draft]);
  const kept = complete(draft);
  const put = (patch: Partial<Packet>) => {
    const next = { ...draft, ...patch };
    setDraft(next);
    const whole = complete(next);
    if (whole.ok) void keep('the packet', () => changePacket(database(), whole.packet, patch, Date.now()));
  };
  const kin = likelyKin(draft.name);
  const likes = like.trim() ? findFood(like, '', 4) : [];
  return (
    <section aria-label="Packet" className="grid gap-x-7 gap-y-4 lg:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
      <div>
        <div className="mb-2 flex items-center justify-between gap-2">
          <h2 className="text-[19px] font-semibold">{packet.name ? 'Packet' : 'New packet'}</h2>
          <Button look="solid" keys="Esc" onClick={onDone}>
            Done
          </Button>
        </div>
        <label htmlFor={`${id}n`} className="mb-1 block text-[13px] font-semibold">
          Name, as you will write it in recipes
        </label>
        <input
          id={`${id}n`}
          autoFocus={!packet.name}
          value={draft.name}
          onChange={(e) => put({ name: e.target.value })}
          placeholder="oat drink, blue carton"
          className="field w-full"
        />
        {!kept.ok && <p className="mt-1 text-[13px] text-mute">{kept.why} Until then it is not kept.</p>}
        <label htmlFor={`${id}a`} className="mb-1 mt-3 block text-[13px] font-semibold">
          Also called, between commas
        </label>
        <input
          id={`${id}a`}
          value={names}
          onChange={(e) => {
            setNames(e.target.value);
            put({
              names: e.target.value
                .split(',')
                .map((n) => n.trim())
                .filter((n) => n.length > 1),
            });
          }}
          className="field w-full"
        />
        <label htmlFor={`${id}l`} className="mb-1 mt-3 block text-[13px] font-semibold">
          Cups and spoons like those of
        </label>
        <input
          id={`${id}l`}
          value={like}
          placeholder={kin ? `${kin.name}, by its name` : 'a food of the larder'}
          onChange={(e) => {
            setLike(e.target.value);
            if (!e.target.value.trim()) put({ like: null });
          }}
          className="field w-full"
        />
        {like.trim() !== '' && foodById(draft.like ?? '')?.name !== like && (
          <ul className="mt-1">
            {likes.map(({ food }) => (
              <li key={food.id}>
                <button
                  type="button"
                  className="w-full rounded px-2 py-1 text-left hover:bg-pick"
                  onClick={() => {
                    setLike(food.name);
                    put({ like: food.id });
                  }}
                >
                  {food.name}
                </button>
              </li>
            ))}
          </ul>
        )}
        <label htmlFor={`${id}t`} className="mb-1 mt-3 block text-[13px] font-semibold">
          What the packet says: figures row by row, then “Ingredients: …”
        </label>
        <textarea
          id={`${id}t`}
          value={draft.label}
          onChange={(e) => put({ label: e.target.value })}
          placeholder={EXAMPLE}
          rows={18}
          spellCheck={false}
          className="field w-full resize-y leading-relaxed"
        />
      </div>
      <PacketReading reading={reading} diners={diners} />
    </section>
  );
}
