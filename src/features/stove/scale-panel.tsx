'use client';
import { useState, useSyncExternalStore } from 'react';
import { toast } from 'sonner';
import { additionWords } from '@/core/cook/taste';
import { densityOf } from '@/core/food/weigh';
import { readLine } from '@/core/read/line';
import { database, type StoredSupper } from '@/data/db';
import { learnHand, unlearnHand } from '@/data/log';
import { keep } from '@/data/saving';
import { MOST_ON_SCALE, simulatedScale } from '@/kitchen/scale';
import { Button } from '@/ui/button';
import { GramsField } from '@/ui/grams-field';
import { addAtStove } from './tasting';
import { change, type DishOnStove } from './use-supper';

const scale = simulatedScale();
const useScale = () => useSyncExternalStore(scale.subscribe, scale.grams, () => 0);

/** The kitchen scale: what was really poured, what the pot holds; and the cook's own hand, learnt from it. */
export function ScalePanel({
  supper,
  dishes,
  dish,
}: {
  supper: StoredSupper;
  dishes: readonly DishOnStove[];
  dish: number;
}) {
  const shown = useScale();
  const [load, setLoad] = useState('');
  const [before, setBefore] = useState<number | null>(null);
  const [what, setWhat] = useState('');
  const [empty, setEmpty] = useState('');
  const on = dishes[dish];
  if (!on) return null;
  const poured = before === null ? null : before - shown;
  const settings = on.library.settingsOf(on.supper.recipe);
  const wordsOf = additionWords(what);
  const line = readLine(
    { text: wordsOf, start: 0, end: wordsOf.length, section: null },
    { ...settings, corrections: {} },
    on.read.servings.range.best,
  );
  const food = line.foods[0]?.food ?? null;
  const vague = line.words?.foods[0]?.measures.find((m) => m.unit?.kind === 'vague')?.unit ?? null;
  const count = line.words?.foods[0]?.measures[0]?.quantity[1] ?? 1;
  const takeIt = async () => {
    if (poured === null || poured <= 0 || !food) return;
    await addAtStove(dish, `${poured} g ${line.foods[0]?.text ?? food.name}`);
    const density = densityOf(food, 'tsp');
    if (vague && density) {
      await keep('your hand', () => learnHand(database(), vague.id, poured / count / density[1], Date.now()));
      toast(`Your own ${vague.id} is learnt: ${Math.round(poured / count)} g of it this time.`, {
        action: { label: 'Undo', onClick: () => void unlearnHand(database(), vague.id, Date.now()) },
      });
    }
    setBefore(null);
    setWhat('');
  };
  const potG = shown - (Number(empty) || 0);
  const weighPot = () =>
    void change((s) => ({
      dishes: s.dishes.map((d, i) => (i === dish ? { ...d, recipe: { ...d.recipe, potG } } : d)),
    }));
  return (
    <details className="sheet px-4 py-3">
      <summary className="text-[17px] font-semibold [font-family:var(--font-head)]">
        Scale: <span className="num">{shown} g</span>
      </summary>
      <p className="mt-1 text-[13.5px] text-mute">
        A stand-in for a kitchen scale: say what lies on it. What is weighed overrules every estimate.
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <GramsField
          label="On the scale, g"
          value={load}
          onValue={(said) => {
            setLoad(said);
            const grams = Number(said);
            if (grams >= 0 && grams <= MOST_ON_SCALE) scale.put(grams);
          }}
        />
        <Button onClick={() => scale.tare()}>Tare</Button>
      </div>
      <h3 className="mt-3 font-semibold">What was poured</h3>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <label className="flex min-w-0 flex-1 flex-col text-[13px] text-mute">
          In your words
          <input
            className="field min-w-0 text-ink"
            placeholder="a drizzle of tahini"
            value={what}
            onChange={(e) => setWhat(e.target.value)}
          />
        </label>
        <Button onClick={() => setBefore(shown)}>
          {before === null ? 'Bottle before' : `Before: ${before} g`}
        </Button>
        <Button look="solid" disabled={poured === null || poured <= 0 || !food} onClick={() => void takeIt()}>
          {poured !== null && poured > 0 ? `Poured ${poured} g: add it` : 'Weigh it after'}
        </Button>
      </div>
      {food && vague && (
        <p className="mt-1 text-[13px] text-mute">
          “{vague.id}”: from this weighing on, yours is your own, with what it has been so far.
        </p>
      )}
      <h3 className="mt-3 font-semibold">The whole pot</h3>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        <GramsField label="The empty pot, g" value={empty} onValue={setEmpty} />
        <Button disabled={potG <= 0} onClick={weighPot}>
          {potG > 0 ? `The dish weighs ${potG} g` : 'Weigh the pot'}
        </Button>
        {supper.dishes[dish]?.recipe.potG != null && (
          <span className="text-[13px] text-mute">
            as weighed: {supper.dishes[dish]?.recipe.potG} g, which overrules the yield that was reckoned
          </span>
        )}
      </div>
    </details>
  );
}
