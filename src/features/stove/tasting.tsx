'use client';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { LEDGER, LEDGER_FOODS, ledgerKeys } from '@/core/cook/ledger';
import { roomAfter, tasted, type RoomFor } from '@/core/cook/taste';
import { roleOf } from '@/core/audit/role';
import { US_MEASURES } from '@/core/measure/units';
import { readLine } from '@/core/read/line';
import { whatLifts } from '@/core/swap/flavour';
import { database, type StoredSupper } from '@/data/db';
import { newRecipe, saveRecipe } from '@/data/recipes';
import { keep } from '@/data/saving';
import { useDiners, judgeTable, markFor } from '@/kitchen/use-table';
import { useProtocols } from '@/kitchen/use-protocols';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { LimitLine } from '@/ui/limit-line';
import { clockOf } from './use-clock';
import { change, type DishOnStove } from './use-supper';

/** So many taps are more than anybody makes: the number says no more than "plenty". */
const PLENTY = 16;
/** Grams that one tap adds, by food. */
const TAP_GRAMS = new Map(
  LEDGER.map((key) => [
    key.food,
    readLine(
      { text: key.adds, start: 0, end: key.adds.length, section: null },
      { measures: US_MEASURES, corrections: {} },
      1,
    ).foods[0]?.grams?.best ?? Infinity,
  ]),
);

/** Adds something to a dish of the supper, in the cook's words. */
export const addAtStove = (dish: number, text: string) =>
  change((s) => ({ added: [...s.added, { dish, text, at: Date.now() }] }));

/** The least room that anybody has. */
function tightest(all: readonly (readonly RoomFor[])[], food: string): RoomFor | null {
  const rooms = all.flatMap((r) => r.filter((x) => x.food.id === food));
  if (rooms.length < all.length || rooms.length === 0) return null;
  return rooms.reduce((a, b) => ((b.grams ?? Infinity) < (a.grams ?? Infinity) ? b : a));
}

/** The tasting ledger: what is added moves everyone's limit line, and each key says how much room is left. */
export function Tasting({
  supper,
  dishes,
  dish,
  onDish,
}: {
  supper: StoredSupper;
  dishes: readonly DishOnStove[];
  dish: number;
  onDish: (dish: number) => void;
}) {
  const diners = useDiners();
  const { byId } = useProtocols();
  const [words, setWords] = useState('');
  const on = dishes[dish];
  const added = useMemo(
    () => supper.added.map((a, i) => ({ ...a, i })).filter((a) => a.dish === dish),
    [supper.added, dish],
  );
  const said = added.map((a) => a.text).join('\n');
  const now = useMemo(() => {
    if (!on) return null;
    const settings = on.library.settingsOf(on.supper.recipe);
    // a pot that was weighed is another pot once something is added
    const after = tasted(on.read, settings, said === '' ? [] : said.split('\n'));
    const role = on.supper.recipe.role ?? roleOf(on.read).role;
    const table = judgeTable(diners, after.read, role, byId);
    const rooms = table.map((d) => roomAfter(after, d.protocol, role, d.appetite, LEDGER_FOODS));
    const strict = table[0];
    return { after, role, table, rooms, lifts: strict ? whatLifts(after.read, strict.protocol, role) : [] };
  }, [on, said, diners, byId]);
  if (!on || !now) return null;
  const { after, role, table, rooms, lifts } = now;
  const unsure = table.find((d) => !['within', 'near'].includes(d.audit.verdict));
  const add = (text: string) => {
    if (text.trim() === '') return;
    void addAtStove(dish, text.trim());
    setWords('');
  };
  const take = (i: number) => void change((s) => ({ added: s.added.filter((_, k) => k !== i) }));
  const keepIt = async () => {
    const { recipe } = on.supper;
    const version = newRecipe(after.text, Date.now(), { versionOf: recipe.id, role: recipe.role });
    const kept = await keep('the version', () => saveRecipe(database(), version));
    if (kept) toast('Kept on the Shelf as a version, with what you added.');
  };
  return (
    <section className="sheet px-4 py-3.5" aria-label="Tasting">
      <h2 className="text-[17px] font-semibold leading-tight">
        Tasting {dishes.length === 1 ? on.read.recipe.title : ''}
      </h2>
      {dishes.length > 1 && (
        <select
          className="field mt-1 w-full"
          aria-label="Which dish"
          value={dish}
          onChange={(e) => onDish(Number(e.target.value))}
        >
          {dishes.map((d, i) => (
            <option key={i} value={i}>
              {d.read.recipe.title}
            </option>
          ))}
        </select>
      )}
      <div className="mt-2">
        {table.map((d) => {
          const limit =
            d.audit.limits.find((l) => l.id === 'sodium') ?? d.audit.limits.find((l) => l.limit > 0);
          return (
            <div key={d.id} className="flex items-center gap-1.5">
              <Glyph mark={markFor(d)} />
              <div className="min-w-0 flex-1">{limit && <LimitLine name={d.name} limit={limit} />}</div>
            </div>
          );
        })}
      </div>
      {unsure && (
        <p className="mt-2 rounded-lg bg-wash px-3 py-2 text-[13.5px]">
          {unsure.audit.verdict === 'over'
            ? `It is over already for ${unsure.name} (${unsure.audit.limits.find((l) => l.verdict === 'over')?.label.toLowerCase() ?? 'a limit'})`
            : `It may be over already for ${unsure.name}`}
          {unsure.audit.deciding.length > 0
            ? `: what would settle it is “${unsure.audit.deciding[0] ?? ''}”.`
            : '.'}
        </p>
      )}
      <p className="mt-2 text-[13.5px] text-mute">
        Tap what goes in. The lines are sodium on a plate; the room is for the strictest of all limits,
        whoever’s it is.
      </p>
      <div className="mt-2 grid grid-cols-3 gap-2">
        {ledgerKeys(role).map((key) => {
          const room = tightest(rooms, key.food);
          const none = room !== null && room.words === null;
          const plenty = room?.grams != null && room.grams > PLENTY * (TAP_GRAMS.get(key.food) ?? Infinity);
          const free = key.food === 'water' || (room !== null && room.grams === null);
          return (
            <button
              key={key.food}
              type="button"
              onClick={() => add(key.adds)}
              title={`adds ${key.adds}`}
              className={`flex min-h-[62px] flex-col items-center justify-center rounded-[10px] border-2 px-1 py-1 text-center leading-tight hover:bg-pick ${none ? 'border-dashed border-mute text-mute' : 'border-rim'}`}
            >
              <span className="font-semibold">{key.name}</span>
              <span className="text-[12px] text-mute">
                {free
                  ? 'as you like'
                  : plenty
                    ? 'plenty of room'
                    : room === null
                      ? 'room not known'
                      : none
                        ? 'room for none'
                        : `room for ${room.words ?? ''}`}
              </span>
            </button>
          );
        })}
      </div>
      <form
        className="mt-2 flex gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          add(words);
        }}
      >
        <input
          className="field min-w-0 flex-1"
          aria-label="What was added"
          placeholder="2 more tsp tamari"
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
        <Button type="submit" disabled={words.trim() === ''}>
          Add
        </Button>
      </form>
      {added.length > 0 && (
        <>
          <h3 className="mt-3 text-[15px] font-semibold">Added so far</h3>
          <ul>
            {added.map((a, k) => {
              const food = after.additions[k]?.line.foods[0]?.food;
              return (
                <li key={a.i} className="flex items-center gap-2 border-t border-hair py-1">
                  <span className="min-w-0 flex-1 [overflow-wrap:anywhere]">
                    <span className="num text-mute">{clockOf(a.at)}</span> {a.text}
                    {!food && <strong className="block">Dulvet does not know what that is.</strong>}
                  </span>
                  <Button look="plain" onClick={() => take(a.i)} aria-label={`Take back ${a.text}`}>
                    –
                  </Button>
                </li>
              );
            })}
          </ul>
        </>
      )}
      {lifts.length > 0 && (
        <>
          <h3 className="mt-3 text-[15px] font-semibold">Tastes flat?</h3>
          <p className="text-[13.5px]">
            {lifts.map((l) => `${l.measure} ${l.food.name.toLowerCase()}`).join(', or ')} would lift it,
            within {table[0]?.name ?? 'the'}’s limits.
          </p>
        </>
      )}
      <div className="mt-3 flex flex-wrap gap-2">
        <Button onClick={() => void keepIt()} disabled={added.length === 0}>
          Keep as a version
        </Button>
      </div>
    </section>
  );
}
