'use client';
import { useState } from 'react';
import { showNumber, showRange } from '@/core/format/figures';
import { add, scale, type Range } from '@/core/range/range';
import type { Week } from '@/core/week/schema';
import { database } from '@/data/db';
import { keep } from '@/data/saving';
import { setSetting } from '@/data/settings';
import { useSettings } from '@/kitchen/use-settings';
import { Button } from '@/ui/button';

type Group = Week['judged'][number]['groups'][number];
/** Where the goal stands on the line. */
const GOAL_AT = 0.62;

/** What somebody eats of each group on a day of the days that are planned, on the average. */
function perDay(days: readonly Week['judged'][number][]): Group[] {
  const [first] = days;
  if (!first) return [];
  return first.groups.map((g) => {
    const sum = days
      .flatMap((d) => d.groups.filter((x) => x.id === g.id))
      .reduce<Range | null>((s, x) => (s ? add(s, x.amount) : x.amount), null);
    return { ...g, amount: scale(sum ?? g.amount, 1 / days.length) };
  });
}

/** One group as a line that fills towards its goal; what the words leave open is hatched. */
function GroupLine({ group, goal }: { group: Group; goal: number | null }) {
  const most = goal ?? Math.max(group.amount.high, 1);
  const place = (v: number) => `${Math.min(100, (v / most) * GOAL_AT * 100)}%`;
  return (
    <li className="flex items-center gap-2.5 py-0.5">
      <span className="w-[42%] flex-none text-[14px] leading-tight">{group.name}</span>
      <span
        className="relative h-[12px] min-w-[48px] flex-1 rounded-[3px] bg-wash forced-color-adjust-none"
        aria-hidden
      >
        <span
          className="absolute inset-y-0 left-0 rounded-[3px] bg-within-soft"
          style={{ width: place(group.amount.low) }}
        />
        <span
          className="hatch absolute inset-y-0 text-within-soft"
          style={{
            left: place(group.amount.low),
            width: `calc(${place(group.amount.high)} - ${place(group.amount.low)})`,
          }}
        />
        {goal !== null && (
          <span className="absolute -inset-y-0.5 w-[2.5px] bg-rim" style={{ left: `${GOAL_AT * 100}%` }} />
        )}
      </span>
      <span className="num w-[104px] flex-none text-[13px]">
        {showRange(group.amount)}
        {goal === null ? '' : ` of ${showNumber(goal)}`} {group.unit}
      </span>
    </li>
  );
}

/** Food groups over the week, a day on the average, against goals that are the cook's to set: a reminder, no verdict. */
export function FoodGroups({ name, days }: { name: string; days: readonly Week['judged'][number][] }) {
  const { goals } = useSettings();
  const [editing, setEditing] = useState(false);
  const groups = perDay(days);
  if (groups.length === 0) return null;
  const goalOf = (g: Group): number | null => goals[g.id] ?? g.goal;
  const unread = days.some((d) => d.unresolved.length > 0);
  return (
    <section className="sheet px-4 py-3" aria-label="Food groups">
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-[17px] font-semibold leading-tight">{name}’s food groups</h2>
        <Button look="plain" className="no-print text-[13px]" onClick={() => setEditing(!editing)}>
          {editing ? 'Done' : 'Set the goals'}
        </Button>
      </div>
      <p className="text-[13px] text-mute">
        A day, on the average of {days.length === 1 ? 'the one day' : `the ${days.length} days`} planned
        {unread ? '; at least, for something is not understood' : ''}.
      </p>
      {editing ? (
        <ul className="mt-1 grid gap-1">
          {groups.map((g) => (
            <li key={g.id}>
              <label className="flex items-center justify-between gap-2 text-[14px]">
                {g.name}
                <span className="flex items-center gap-1.5 text-mute">
                  <input
                    className="field w-[68px] py-0.5 text-ink"
                    inputMode="decimal"
                    defaultValue={goalOf(g) === null ? '' : String(goalOf(g))}
                    onBlur={(e) => {
                      const value = Number(e.target.value.replace(',', '.'));
                      const said = e.target.value.trim() !== '' && value > 0 && value <= 20;
                      if (said)
                        void keep('the goal', () =>
                          setSetting(database(), 'goals', { ...goals, [g.id]: value }),
                        );
                    }}
                  />
                  {g.unit} a day
                </span>
              </label>
            </li>
          ))}
        </ul>
      ) : (
        <ul className="mt-1">
          {groups.map((g) => (
            <GroupLine key={g.id} group={g} goal={goalOf(g)} />
          ))}
        </ul>
      )}
      <p className="mt-1.5 text-[13px] text-mute">
        Goals as set out: Dietary Guidelines for Americans 2020–2025, vegetarian pattern at 2000 kcal,
        recalled. Plants hold no reliable vitamin B12, and iodine only where salt or seaweed brings it: ask a
        clinician what you need.
      </p>
    </section>
  );
}
