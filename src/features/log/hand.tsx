'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { ownMeasure } from '@/core/cook/hand';
import { showRange } from '@/core/format/figures';
import { database, type StoredHand } from '@/data/db';
import { listHand, unlearnHand } from '@/data/log';
import { keep } from '@/data/saving';
import { Button } from '@/ui/button';

const NONE: StoredHand[] = [];

/** The cook's own hand: what her drizzle, her pinch hold, from what she weighed. */
export function Hand() {
  const hand = useLiveQuery(() => listHand(database()), [], NONE);
  if (hand.length === 0) return null;
  return (
    <section className="sheet px-3 py-3" aria-label="Your hand">
      <h2 className="text-[17px] font-semibold leading-tight">Your hand</h2>
      <ul className="mt-1 divide-y divide-hair/60">
        {hand.map(({ unit, ml }) => {
          const own = ownMeasure(ml);
          return (
            <li key={unit} className="flex items-center gap-2 py-1.5">
              <span className="min-w-0 flex-1">
                your <strong>{unit}</strong>: <span className="num">{own ? showRange(own) : '?'} ml</span>
                <span className="block text-[13px] text-mute">
                  weighed {ml.length === 1 ? 'once' : `${ml.length} times`}; every recipe is read with it
                </span>
              </span>
              <Button
                look="plain"
                aria-label={`Forget the last weighing of your ${unit}`}
                onClick={() => void keep('your hand', () => unlearnHand(database(), unit, Date.now()))}
              >
                –
              </Button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
