'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import Link from 'next/link';
import { useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import { daysLeft, KEEPS_SOURCE, keepsUntil } from '@/core/portion/keeps';
import { database } from '@/data/db';
import { seedDemo } from '@/data/demo';
import { listBoxes, listCookings, setEaten } from '@/data/log';
import { keep } from '@/data/saving';
import { Button } from '@/ui/button';
import { AnotherDish } from './another-dish';
import { CookingPage } from './cooking';
import { Hand } from './hand';
import { day } from './when';

/** The Log: each cooking with its words and weights, boxes that wait, and the cook's own hand. */
export function Log({ demo }: { demo: boolean }) {
  useEffect(() => {
    if (demo) void seedDemo(database(), Date.now());
  }, [demo]);
  const wanted = useSearchParams().get('cooking');
  const cookings = useLiveQuery(() => listCookings(database()), [], null);
  const boxes = useLiveQuery(() => listBoxes(database()), [], []);
  const [chosen, setChosen] = useState<string | null>(null);
  const [words, setWords] = useState('');
  const [now] = useState(() => Date.now());
  if (!cookings) return <p className="p-6 text-mute">Opening the Log …</p>;
  const shown = cookings.filter((c) =>
    `${c.title} ${c.note} ${c.added.join(' ')} ${c.words.flatMap((w) => w.says).join(' ')}`
      .toLowerCase()
      .includes(words.trim().toLowerCase()),
  );
  const open = cookings.find((c) => c.id === (chosen ?? wanted)) ?? shown[0];
  return (
    <>
      <h1 className="text-[25px] font-semibold leading-tight">Log</h1>
      <p className="mb-3 text-mute">
        {cookings.length === 0
          ? 'What is cooked on the Stove is kept here, with what was added and what the eaters said.'
          : cookings.length === 1
            ? 'One cooking'
            : `${cookings.length} cookings, the last first`}
      </p>
      {cookings.length === 0 ? (
        <div className="sheet p-5">
          <p className="mb-3">Nothing cooked yet.</p>
          <Link href="/stove" className="font-semibold underline underline-offset-4">
            To the Stove
          </Link>
        </div>
      ) : (
        <div className="grid items-start gap-2.5 lg:grid-cols-[300px_minmax(0,1fr)]">
          <div className="grid min-w-0 gap-2.5">
            <section className="sheet px-3 py-3" aria-label="Cookings">
              <input
                className="field mb-1.5 w-full"
                aria-label="Search the Log"
                placeholder="Search: lemon, too thick"
                value={words}
                onChange={(e) => setWords(e.target.value)}
              />
              <ul className="divide-y divide-hair/60">
                {shown.map((c) => (
                  <li key={c.id}>
                    <button
                      type="button"
                      aria-current={open?.id === c.id ? 'true' : undefined}
                      onClick={() => setChosen(c.id)}
                      className={`w-full rounded-[7px] px-2 py-1.5 text-left hover:bg-pick ${open?.id === c.id ? 'bg-pick' : ''}`}
                    >
                      <span className="block font-semibold [overflow-wrap:anywhere]">{c.title}</span>
                      <span className="text-[13px] text-mute">
                        {day(c.cookedAt)}
                        {c.words.length > 0 &&
                          `, ${c.words.filter((w) => w.liked > 0).length} of ${c.words.length} liked it`}
                      </span>
                    </button>
                  </li>
                ))}
                {shown.length === 0 && <li className="py-2 text-mute">Nothing in the Log says that.</li>}
              </ul>
            </section>
            {boxes.length > 0 && (
              <section className="sheet px-3 py-3" aria-label="Boxes">
                <h2 className="text-[17px] font-semibold leading-tight">Boxes</h2>
                <ul className="mt-1 divide-y divide-hair/60">
                  {boxes.map((b) => {
                    const left = daysLeft(b.place, b.madeAt, now);
                    return (
                      <li key={b.id} className="flex flex-wrap items-center gap-x-2 gap-y-1 py-1.5">
                        <span className="min-w-0 basis-full">
                          <span className="block font-semibold [overflow-wrap:anywhere]">
                            {b.name}, <span className="num">{b.grams} g</span>
                          </span>
                          <span
                            className={`text-[13px] ${left < 0 ? 'font-semibold text-over' : left < 1 ? 'text-near' : 'text-mute'}`}
                          >
                            {b.place},{' '}
                            {left < 0
                              ? 'its days are over: do not eat it'
                              : `until ${day(keepsUntil(b.place, b.madeAt))}`}
                          </span>
                        </span>
                        {left >= 0 && <AnotherDish name={b.name} grams={b.grams} />}
                        <Button
                          look="plain"
                          onClick={() =>
                            void keep('the box', () => setEaten(database(), b.id, true, Date.now()))
                          }
                          aria-label={`${b.name} is eaten`}
                        >
                          Eaten
                        </Button>
                      </li>
                    );
                  })}
                </ul>
                <p className="mt-1.5 text-[12.5px] text-mute">{KEEPS_SOURCE}</p>
              </section>
            )}
            <Hand />
          </div>
          {open && <CookingPage key={open.id} cooking={open} all={cookings} />}
        </div>
      )}
    </>
  );
}
