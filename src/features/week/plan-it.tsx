'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useRef, useState } from 'react';
import type { Verdict } from '@/core/audit/schema';
import { potId } from '@/core/menu/week';
import type { Collision, MenuPlan } from '@/core/menu/plan';
import type { Wishes } from '@/core/menu/program';
import { PLATE_G } from '@/core/portion/another';
import { keepsUntil } from '@/core/portion/keeps';
import type { Week } from '@/core/week/schema';
import { database, type StoredDiner, type StoredMeal, type StoredRecipe, type StoredWeek } from '@/data/db';
import { listBoxes } from '@/data/log';
import { newMeal, newPot } from '@/data/week';
import { useBoxes } from '@/kitchen/use-boxes';
import { useKitchen } from '@/kitchen/use-kitchen';
import { useLibraryContext } from '@/kitchen/use-library-context';
import { useProtocols } from '@/kitchen/use-protocols';
import { change, DAYS, planOf, potsOf, protocolOf } from '@/kitchen/use-week';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { Stopped } from '@/workers/door';
import { plainRecipes } from '@/workers/library';
import { askMenu, stopMenu } from '@/workers/menu';
import type { JudgedMenu, LeftOver } from '@/workers/menu.worker';

const MEALS = ['breakfast', 'lunch', 'supper'] as const;
const DAY = 24 * 60 * 60_000;
/** Seconds for a first plan, and for a better one. */
const FIRST = 2;
const BETTER = 14;

type State =
  | { readonly is: 'idle' }
  | { readonly is: 'planning'; readonly found: JudgedMenu | null }
  | { readonly is: 'done'; readonly found: JudgedMenu }
  | { readonly is: 'failed'; readonly why: string };

const MARKS: readonly Verdict[] = ['over', 'unknown', 'depends', 'near', 'within'];
const worstOf = (week: Week, diner: string): Verdict =>
  MARKS.find((v) => week.judged.some((j) => j.diner === diner && j.verdict === v)) ?? 'unknown';

/** What has to give, in a cook's words. */
function says(c: Collision, dayName: (day: number) => string, titles: JudgedMenu['titles']): string {
  switch (c.kind) {
    case 'open':
      return `nothing fits ${c.eater}’s ${c.meal} on ${dayName(c.day)}`;
    case 'limit':
      return `${c.eater}’s ${c.label.toLowerCase()} on ${dayName(c.day)} is missed${c.already ? ': what stands there already is over' : ''}`;
    case 'often':
      return `${c.eater} would eat ${titles[c.offer] ?? 'one dish'} ${c.times} times`;
    case 'long':
      return `${dayName(c.day)} takes ${c.minutes} minutes more at the stove`;
  }
}

/** How good a plan is known to be. */
function claim({ status, gap }: MenuPlan): string {
  if (status === 'optimal') return 'Every limit holds, and no plan takes less.';
  if (status === 'found')
    return gap === null
      ? 'Every limit holds. Whether a plan with less to do exists is not known.'
      : `Every limit holds. A plan may exist that takes up to ${Math.round(gap * 100)} % less.`;
  return status === 'partly' ? 'Not everything fits:' : 'Nothing on the Shelf fits.';
}

/** Plans the open meals of the week, in the background; nothing is taken over before the cook says so. */
export function PlanIt({
  week,
  judged,
  recipes,
  diners,
  dayName,
}: {
  week: StoredWeek;
  judged: Week | null;
  recipes: readonly StoredRecipe[];
  diners: readonly StoredDiner[];
  dayName: (day: number) => string;
}) {
  const [on, setOn] = useState<readonly number[]>(Array.from({ length: DAYS }, (_, d) => d));
  const [meals, setMeals] = useState<readonly string[]>(['lunch', 'supper']);
  const [minutes, setMinutes] = useState('90');
  const [most, setMost] = useState('3');
  const [least, setLeast] = useState<Wishes['least']>('effort');
  const [state, setState] = useState<State>({ is: 'idle' });
  const [not, setNot] = useState<readonly (readonly string[])[]>([]);
  const asked = useRef(0);
  const boxes = useLiveQuery(() => listBoxes(database()), [], []);
  const boxed = useBoxes();
  const context = useLibraryContext();
  const { byId } = useProtocols();
  const { prices } = useKitchen();

  const left: LeftOver[] = [
    ...(judged?.cookings ?? []).flatMap((c): LeftOver[] => {
      const plates = Math.floor(c.leftPlates?.low ?? 0);
      return plates >= 1
        ? [{ id: `pot:${c.id}`, pot: c.id, text: '', plates, from: c.day, until: c.keepsUntilDay }]
        : [];
    }),
    ...boxes.flatMap((b): LeftOver[] => {
      const plates = Math.floor(b.grams / PLATE_G);
      const until = Math.floor((keepsUntil(b.place, b.madeAt) - week.from) / DAY);
      return plates >= 1 && until >= 0
        ? [{ id: `box:${b.id}`, pot: null, text: `${PLATE_G} g leftover ${b.name}`, plates, from: 0, until }]
        : [];
    }),
  ];
  const leftById = new Map(left.map((l) => [l.id, l]));

  const wishes = (never: readonly (readonly string[])[]): Wishes => ({
    days: DAYS,
    on,
    meals,
    cookDays: on,
    minutes: Math.max(1, Number(minutes) || 90),
    most: Math.max(1, Math.round(Number(most) || 3)),
    least,
    not: never,
  });

  const plan = async (never: readonly (readonly string[])[]) => {
    asked.current += 1;
    const own = asked.current;
    setNot(never);
    setState({ is: 'planning', found: null });
    const plain = plainRecipes(recipes);
    const ground = {
      week: planOf(week, diners),
      pots: potsOf(week, plain),
      eaters: diners.map((d) => ({
        id: d.id,
        name: d.name,
        protocol: protocolOf(d.protocol, byId),
        allergens: [...d.allergens],
        dislikes: [...d.dislikes],
        plate: d.appetite,
      })),
      shelf: plain,
      left,
      known: [...plain, ...boxed],
      prices,
    };
    try {
      const first = await askMenu((door) => door.plan(ground, wishes(never), context, FIRST));
      if (asked.current !== own) return;
      if (first.plan.status === 'optimal' || first.plan.status === 'none')
        return setState({ is: 'done', found: first });
      setState({ is: 'planning', found: first });
      const better = await askMenu((door) => door.plan(ground, wishes(never), context, BETTER));
      if (asked.current === own) setState({ is: 'done', found: better });
    } catch (error) {
      if (asked.current !== own) return;
      if (error instanceof Stopped) return;
      setState({ is: 'failed', why: (error as Error).message });
    }
  };
  const stop = () => {
    asked.current += 1;
    stopMenu();
    setState((s) => (s.is === 'planning' && s.found ? { is: 'done', found: s.found } : { is: 'idle' }));
  };
  const take = ({ plan: found }: JudgedMenu) => {
    const pots = found.pots.map((p) => ({
      key: potId(p.offer, p.day),
      pot: newPot(p.offer, p.day, p.times),
    }));
    const idOf = new Map(pots.map((p) => [p.key, p.pot.id]));
    const meal = (m: MenuPlan['meals'][number]): StoredMeal[] => {
      const diner = diners[m.eater]?.id;
      if (diner === undefined) return [];
      const from = leftById.get(m.offer);
      const of = from ? from.pot : m.pot === null ? null : (idOf.get(potId(m.offer, m.pot)) ?? null);
      return [
        newMeal({
          day: m.day,
          meal: m.meal,
          diner,
          of,
          plates: 1,
          text: of === null ? (from?.text ?? '') : '',
        }),
      ];
    };
    void change(
      (w) => ({
        pots: [...w.pots, ...pots.map((p) => p.pot)],
        meals: [...w.meals, ...found.meals.flatMap(meal)],
      }),
      'The plan stands in the week.',
    );
    setState({ is: 'idle' });
    setNot([]);
  };
  const found = state.is === 'done' || state.is === 'planning' ? state.found : null;
  const toggled = <T,>(list: readonly T[], item: T): readonly T[] =>
    list.includes(item) ? list.filter((x) => x !== item) : [...list, item];
  return (
    <section className="sheet no-print px-4 py-3" aria-label="Plan it for me">
      <h2 className="text-[17px] font-semibold leading-tight">Plan it for me</h2>
      <p className="text-[13px] text-mute">
        From the Shelf, what is left of the pots, and the boxes. What stands in the week stays.
      </p>
      <div className="mt-2 grid gap-2">
        <div className="flex flex-wrap gap-1" role="group" aria-label="Days to plan">
          {Array.from({ length: DAYS }, (_, d) => (
            <Button
              key={d}
              look={on.includes(d) ? 'solid' : 'line'}
              className="px-1.5 text-[13px]"
              title={dayName(d)}
              aria-pressed={on.includes(d)}
              onClick={() => setOn([...toggled(on, d)].sort())}
            >
              {dayName(d).slice(0, 3)}
            </Button>
          ))}
        </div>
        <div className="flex flex-wrap gap-1" role="group" aria-label="Meals to plan">
          {MEALS.map((m) => (
            <Button
              key={m}
              look={meals.includes(m) ? 'solid' : 'line'}
              className="px-2 text-[13px]"
              aria-pressed={meals.includes(m)}
              onClick={() => setMeals(MEALS.filter((x) => toggled(meals, m).includes(x)))}
            >
              {m}
            </Button>
          ))}
        </div>
        <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5 text-[13px]">
          <label className="flex items-center gap-1">
            <input
              className="field w-[56px] py-0.5"
              inputMode="numeric"
              value={minutes}
              onChange={(e) => setMinutes(e.target.value)}
            />
            minutes a day at the stove
          </label>
          <label className="flex items-center gap-1">
            the same dish at most
            <input
              className="field w-[44px] py-0.5"
              inputMode="numeric"
              value={most}
              onChange={(e) => setMost(e.target.value)}
            />
            times
          </label>
          <label className="flex items-center gap-1">
            least
            <select
              className="field py-0.5"
              value={least}
              onChange={(e) => setLeast(e.target.value as Wishes['least'])}
            >
              <option value="effort">work</option>
              <option value="cost">money</option>
            </select>
          </label>
        </div>
        <div className="flex flex-wrap gap-1.5">
          {state.is === 'planning' ? (
            <Button onClick={stop}>{found ? 'Good enough' : 'Stop'}</Button>
          ) : (
            <Button
              look="solid"
              disabled={on.length === 0 || meals.length === 0 || recipes.length === 0}
              onClick={() => void plan([])}
            >
              Plan
            </Button>
          )}
          {state.is === 'done' && found && found.plan.pots.length > 0 && (
            <Button onClick={() => void plan([...not, [...new Set(found.plan.pots.map((p) => p.offer))]])}>
              Another
            </Button>
          )}
          {found && found.plan.meals.length > 0 && (
            <Button look="solid" onClick={() => take(found)}>
              Take this plan
            </Button>
          )}
        </div>
      </div>
      <div aria-live="polite" className="mt-1.5 text-[14px]">
        {state.is === 'planning' && (
          <p className="text-mute">
            {found ? 'Looking for a better one …' : 'Reading the Shelf and planning …'}
          </p>
        )}
        {state.is === 'failed' && <p role="alert">It could not be planned: {state.why}.</p>}
        {found && (
          <>
            <p>{claim(found.plan)}</p>
            <Gaps menu={found} dayName={dayName} diners={diners} />
            <Outline menu={found} dayName={dayName} diners={diners} />
          </>
        )}
      </div>
    </section>
  );
}

/** What does not fit, and what would free it. */
function Gaps({
  menu: { plan, titles },
  dayName,
  diners,
}: {
  menu: JudgedMenu;
  dayName: (day: number) => string;
  diners: readonly StoredDiner[];
}) {
  const lacking = new Map<string, (typeof plan.lacks)[number]>();
  for (const l of plan.lacks) lacking.set(`${l.slot.eater} ${l.slot.meal}`, l);
  return (
    <ul className="list-disc pl-5 text-[13px]">
      {plan.collisions.slice(0, 8).map((c, i) => (
        <li key={i}>{says(c, dayName, titles)}</li>
      ))}
      {[...lacking.values()].map((l) => {
        const count = (why: string) => l.refused.filter((r) => r.why === why).length;
        const reasons = [
          [count('banned'), 'hold what they do not eat, or too much of it'],
          [count('allergen'), 'may hold an allergen'],
          [count('not understood'), 'have a line that is not understood'],
          [count('disliked'), 'hold what they dislike'],
        ] as const;
        const told = reasons.flatMap(([n, why]) => (n > 0 ? [`${n} ${why}`] : []));
        return (
          <li key={`${l.slot.eater} ${l.slot.meal}`}>
            no {l.slot.meal} for {diners[l.slot.eater]?.name}
            {told.length > 0 && `: of the dishes, ${told.join(', ')}`}. A dish adapted to their limits would
            free it.
          </li>
        );
      })}
      {plan.unknown.map((u) => (
        <li key={`${u.eater} ${u.day}`}>
          {u.eater} eats something on {dayName(u.day)} that is not understood: nothing can be promised for
          that day
        </li>
      ))}
    </ul>
  );
}

/** A plan in brief: each diner's days as they are judged, then what is cooked when. */
function Outline({
  menu: { plan, judged, titles },
  dayName,
  diners,
}: {
  menu: JudgedMenu;
  dayName: (day: number) => string;
  diners: readonly StoredDiner[];
}) {
  if (plan.meals.length === 0) return null;
  return (
    <>
      <ul
        className="mt-1 flex flex-wrap gap-x-3 gap-y-1 text-[13px]"
        aria-label="Each one’s days with this plan"
      >
        {diners.map((d) => (
          <li key={d.id} className="flex items-center gap-1">
            <Glyph mark={worstOf(judged, d.name)} size={13} />
            {d.name}
          </li>
        ))}
      </ul>
      <ul className="mt-1 text-[13px]" aria-label="What is cooked">
        {[...plan.pots]
          .sort((a, b) => a.day - b.day)
          .map((p) => (
            <li key={potId(p.offer, p.day)}>
              <span className="text-mute">{dayName(p.day)}:</span> {titles[p.offer]}
              {p.times > 1 && `, ${p.times} times`}
            </li>
          ))}
      </ul>
    </>
  );
}
