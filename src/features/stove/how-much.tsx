'use client';
import { useState } from 'react';
import { potMl, timesFor, type Size } from '@/core/cook/size';
import { showNumber } from '@/core/format/figures';
import type { ReadRecipe } from '@/core/read/types';

const TIMES = [0.5, 1, 1.5, 2, 3, 4] as const;
type By = 'times' | 'plates' | 'pot' | 'food';

/** How much of a dish is made: times the recipe, for so many plates, to fill the pot there is, by what there is of a food. */
export function HowMuch({
  read,
  title,
  times,
  onTimes,
}: {
  read: ReadRecipe;
  title: string;
  times: number;
  onTimes: (times: number) => void;
}) {
  const [by, setBy] = useState<By>('times');
  const [number, setNumber] = useState('');
  const [line, setLine] = useState(0);
  const foods = read.lines.flatMap((l, i) =>
    l.origin === 'ingredients' && l.foods[0]?.food && l.foods[0].grams ? [{ i, text: l.line.text }] : [],
  );
  const put = (words: string, of: By, at: number) => {
    setNumber(words);
    const n = Number(words.replace(',', '.'));
    const size: Size =
      of === 'plates'
        ? { by: 'plates', plates: n }
        : of === 'pot'
          ? { by: 'pot', litres: n }
          : { by: 'food', line: at, grams: n };
    const made = n > 0 ? timesFor(read, size) : null;
    if (made !== null && made <= 100) onTimes(made);
  };
  const ml = by === 'pot' ? potMl(read) : null;
  return (
    <div className="flex flex-wrap items-center gap-1.5 text-[13px] text-mute">
      <select
        className="field py-0.5 text-ink"
        aria-label={`How much of ${title}`}
        value={by}
        onChange={(e) => {
          setBy(e.target.value as By);
          setNumber('');
        }}
      >
        <option value="times">made</option>
        <option value="plates">for plates</option>
        <option value="pot">for my pot</option>
        <option value="food">by what I have</option>
      </select>
      {by === 'times' ? (
        <select
          className="field py-0.5 text-ink"
          aria-label={`How often ${title} is made`}
          value={TIMES.find((t) => t === times) ?? 1}
          onChange={(e) => onTimes(Number(e.target.value))}
        >
          {TIMES.map((n) => (
            <option key={n} value={n}>
              {n === 1 ? 'as written' : n === 0.5 ? 'half' : `${n} times`}
            </option>
          ))}
        </select>
      ) : (
        <>
          {by === 'food' && (
            <select
              className="field max-w-[180px] py-0.5 text-ink"
              aria-label="Which food"
              value={line}
              onChange={(e) => {
                setLine(Number(e.target.value));
                put(number, by, Number(e.target.value));
              }}
            >
              {foods.map((f) => (
                <option key={f.i} value={f.i}>
                  {f.text}
                </option>
              ))}
            </select>
          )}
          <input
            className="field w-[84px] py-0.5 text-ink"
            inputMode="decimal"
            aria-label={by === 'plates' ? 'Plates' : by === 'pot' ? 'Litres of the pot' : 'Grams'}
            placeholder={by === 'plates' ? '6' : by === 'pot' ? '5' : '900'}
            value={number}
            onChange={(e) => put(e.target.value, by, line)}
          />
          {by === 'plates' ? 'plates' : by === 'pot' ? 'litres, filled two thirds' : 'g, as bought'}
        </>
      )}
      {by === 'pot' && ml === null ? (
        <span>its size is not known while a line is not understood</span>
      ) : (
        by !== 'times' &&
        number !== '' && <span className="num text-ink">{showNumber(times)} times the recipe</span>
      )}
    </div>
  );
}
