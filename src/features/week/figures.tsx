import { showNumber, showRange } from '@/core/format/figures';
import { figuresOf, FIGURES_SOURCE } from '@/core/week/figures';
import type { Week } from '@/core/week/schema';

/** Figures of somebody's planned days, a day on the average: a yardstick beside the limits, no verdict. */
export function WeekFigures({
  name,
  days,
  needKcal,
}: {
  name: string;
  days: readonly Week['judged'][number][];
  needKcal: number | null;
}) {
  if (days.length === 0) return null;
  const known = days.filter((d) => d.totals.energyKcal !== null).length;
  const figures = figuresOf(days, needKcal);
  return (
    <section className="sheet px-4 py-3" aria-label="Figures of the week">
      <h2 className="text-[17px] font-semibold leading-tight">{name}’s days in figures</h2>
      <p className="text-[13px] text-mute">
        A day, on the average of {known === 1 ? 'the one day' : `the ${known} days`} planned
        {known < days.length && '; days with something not understood are left out'}.
      </p>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3 text-[14px]">
        {figures.map((f) => (
          <div key={f.id} className="contents">
            <dt>{f.label}</dt>
            <dd className="num text-right">
              {f.perDay ? `${showRange(f.perDay)} ${f.unit}` : 'not known'}
              {f.beside !== null && (
                <span className="text-mute">
                  {f.id === 'energyKcal' ? ' of your ' : ' beside '}
                  {showNumber(f.beside)}
                </span>
              )}
            </dd>
          </div>
        ))}
      </dl>
      <p className="mt-1.5 text-[13px] text-mute">
        Beside stand the {FIGURES_SOURCE}. Energy is never a goal to stay under. Vitamin B12 and iodine are
        not in these figures: ask a clinician what you need.
      </p>
    </section>
  );
}
