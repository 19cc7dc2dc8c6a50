'use client';
import { useRouter, useSearchParams } from 'next/navigation';
import { Suspense, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import { judgeFood } from '@/core/audit/food';
import { foodSearch } from '@/core/food/search';
import { FOODS, type Food } from '@/core/food/table';
import { readPacket } from '@/core/label/packet';
import type { Packet } from '@/core/label/schema';
import { database } from '@/data/db';
import { seedDemo } from '@/data/demo';
import { newPacket, removePacket, savePacket } from '@/data/larder';
import { keep } from '@/data/saving';
import { setSetting } from '@/data/settings';
import { Button } from '@/ui/button';
import { useKeys } from '@/ui/use-keys';
import { Compare } from './compare';
import { FoodList } from './food-list';
import { FoodPage } from './food-page';
import { PacketEditor } from './packet-editor';
import { useDiner } from '@/kitchen/use-diner';
import { useKitchen } from '@/kitchen/use-kitchen';
import { useLarder } from '@/kitchen/use-larder';
import { YourWords } from './your-words';

const MOST_BESIDE = 4;
const MOST_SHOWN = 60;

/** The Larder: foods, packets and their labels. */
export function Larder({ demo }: { demo: boolean }) {
  return (
    <Suspense>
      <LarderInner demo={demo} />
    </Suspense>
  );
}

function LarderInner({ demo }: { demo: boolean }) {
  const asked = useSearchParams().get('food');
  const router = useRouter();
  useEffect(() => {
    if (demo) void seedDemo(database(), Date.now());
  }, [demo]);
  const { packets, meanings, larder } = useLarder();
  const { diners, current } = useDiner();
  const kitchen = useKitchen();
  const [query, setQuery] = useState('');
  const [beside, setBeside] = useState<readonly string[]>([]);
  const [editing, setEditing] = useState<Packet | null>(null);
  const [comparing, setComparing] = useState(false);
  const field = useRef<HTMLInputElement>(null);

  const own = useMemo(() => packets.map((packet) => ({ packet, reading: readPacket(packet) })), [packets]);
  const search = useMemo(
    () => foodSearch([...own.flatMap(({ reading }) => (reading.ok ? [reading.food] : [])), ...FOODS]),
    [own],
  );
  const sought = useDeferredValue(query);
  const found = useMemo(() => search.find(sought, MOST_SHOWN), [search, sought]);
  const unfinished = own.filter(({ reading }) => !reading.ok);
  const chosen = (asked && larder.foodById(asked)) || found[0] || null;
  const limitsOf = (food: Food) => judgeFood(food, current.protocol, 'main');
  const compared = beside.flatMap((id) => larder.foodById(id) ?? []);

  const choose = (food: Food) => {
    setComparing(false);
    setEditing(null);
    router.replace(`/larder?food=${encodeURIComponent(food.id)}`, { scroll: false });
  };
  const move = (by: number) => {
    const at = found.findIndex((f) => f.id === chosen?.id);
    const next = found[Math.min(found.length - 1, Math.max(0, at + by))];
    if (!next) return;
    choose(next);
    document.querySelector(`[data-food="${CSS.escape(next.id)}"]`)?.scrollIntoView({ block: 'nearest' });
  };
  const putBeside = (food: Food) => {
    if (beside.includes(food.id)) setBeside(beside.filter((id) => id !== food.id));
    else if (beside.length >= MOST_BESIDE) toast('Four stand side by side already: take one away first.');
    else setBeside([...beside, food.id]);
  };
  const edit = (id: string) => {
    const packet = packets.find((p) => p.id === id);
    if (packet)
      setEditing({
        id: packet.id,
        name: packet.name,
        names: packet.names,
        label: packet.label,
        like: packet.like,
      });
  };
  const remove = (id: string) => {
    const packet = packets.find((p) => p.id === id);
    if (!packet) return;
    void keep('the packet', () => removePacket(database(), id));
    toast(`“${packet.name}” is out of the larder.`, {
      action: {
        label: 'Undo',
        onClick: () => void keep('the packet', () => savePacket(database(), packet, Date.now())),
      },
    });
  };
  const done = () => {
    const made = editing && packets.some((p) => p.id === editing.id) ? editing.id : null;
    setEditing(null);
    if (made) router.replace(`/larder?food=${made}`, { scroll: false });
  };
  const fresh = () => setEditing(newPacket());

  useKeys({
    '/': () => field.current?.focus(),
    ArrowDown: () => move(1),
    ArrowUp: () => move(-1),
    p: fresh,
    c: () => chosen && putBeside(chosen),
    e: () => chosen?.own && edit(chosen.id),
    Escape: done,
  });

  return (
    <>
      <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-[25px] font-semibold leading-tight">Larder</h1>
          <p className="text-mute">
            {FOODS.length} foods, {packets.length === 1 ? 'one packet' : `${packets.length} packets`} of your
            own
          </p>
        </div>
        <div className="flex flex-wrap items-center gap-2">
          <label className="flex items-center gap-1.5">
            <span className="text-mute">for</span>
            <select
              aria-label="Whose limits"
              value={current.id}
              onChange={(e) =>
                void keep('the setting', () => setSetting(database(), 'diner', e.target.value))
              }
              className="field"
            >
              {diners.map((d) => (
                <option key={d.id} value={d.id}>
                  {d.name === d.protocol.name ? d.name : `${d.name}, ${d.protocol.name}`}
                </option>
              ))}
            </select>
          </label>
          {compared.length > 0 && (
            <Button aria-pressed={comparing} onClick={() => setComparing(!comparing)}>
              Side by side, {compared.length}
            </Button>
          )}
          <Button look="solid" keys="P" onClick={fresh}>
            New packet
          </Button>
        </div>
      </div>
      {editing ? (
        <div className="sheet p-4">
          <PacketEditor key={editing.id} packet={editing} diners={diners} onDone={done} />
        </div>
      ) : (
        <div className="grid items-start gap-3.5 lg:grid-cols-[340px_minmax(0,1fr)] lg:grid-rows-[auto_1fr]">
          <div className="sheet overflow-hidden">
            <div className="border-b-[1.5px] border-hair p-2">
              <input
                ref={field}
                type="search"
                aria-label="Search foods and packets"
                placeholder="a food, a packet, a kind  /"
                value={query}
                onChange={(e) => setQuery(e.target.value)}
                onKeyDown={(e) => {
                  if (e.key === 'Enter' && found[0]) choose(found[0]);
                  if (e.key === 'ArrowDown' || e.key === 'ArrowUp') {
                    e.preventDefault();
                    move(e.key === 'ArrowDown' ? 1 : -1);
                  }
                  if (e.key === 'Escape') e.currentTarget.blur();
                }}
                className="field w-full"
              />
            </div>
            <div
              className="max-h-[34dvh] overflow-y-auto lg:max-h-[calc(100dvh-300px)]"
              tabIndex={0}
              role="group"
              aria-label="Foods"
            >
              {found.length > 0 ? (
                <FoodList foods={found} chosen={chosen?.id ?? null} onChoose={choose} />
              ) : (
                <p className="p-3 text-mute">
                  Nothing of that name. Type its label in as a packet of your own.
                </p>
              )}
              {found.length === MOST_SHOWN && (
                <p className="px-3 py-2 text-[13px] text-mute">
                  The first {MOST_SHOWN}. Type to narrow them.
                </p>
              )}
            </div>
          </div>
          <div className="max-lg:order-3 lg:col-start-1 lg:row-start-2">
            {unfinished.length > 0 && (
              <section className="mb-3">
                <h2 className="font-semibold">Packets not yet readable</h2>
                <ul>
                  {unfinished.map(({ packet, reading }) => (
                    <li key={packet.id} className="flex items-center justify-between gap-2">
                      <span>
                        {packet.name}{' '}
                        <span className="block text-[13px] text-mute">{reading.ok ? '' : reading.why}</span>
                      </span>
                      <span className="flex flex-none">
                        <Button look="plain" onClick={() => edit(packet.id)}>
                          Edit
                        </Button>
                        <Button look="plain" onClick={() => remove(packet.id)}>
                          Remove
                        </Button>
                      </span>
                    </li>
                  ))}
                </ul>
              </section>
            )}
            <YourWords meanings={meanings} larder={larder} />
          </div>
          <div className="sheet min-w-0 p-4 lg:col-start-2 lg:row-span-2 lg:row-start-1">
            {comparing && compared.length > 0 ? (
              <Compare
                foods={compared}
                protocol={current.protocol}
                limitsOf={limitsOf}
                onOpen={choose}
                onRemove={(f) => setBeside(beside.filter((id) => id !== f.id))}
              />
            ) : chosen ? (
              <FoodPage
                food={chosen}
                protocol={current.protocol}
                limits={limitsOf(chosen)}
                said={kitchen.ready ? (kitchen.byFood.get(chosen.id) ?? null) : undefined}
                beside={beside.includes(chosen.id)}
                onBeside={() => putBeside(chosen)}
                onEdit={chosen.own ? () => edit(chosen.id) : null}
                onRemove={chosen.own ? () => remove(chosen.id) : null}
              />
            ) : (
              <p className="text-mute">Choose a food.</p>
            )}
          </div>
        </div>
      )}
    </>
  );
}
