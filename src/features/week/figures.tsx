import { showNumber, showRange } from '@/core/format/figures';
import type { Range } from '@/core/range/range';
import { figuresOf, FIGURES_SOURCE } from '@/core/week/figures';
import type { Week } from '@/core/week/schema';

const WIDE = 40;

/** A range beside its yardstick: the same line that limits have, without a verdict. */
function Beside({ range, line }: { range: Range; line: number }) {
  const most = Math.max(line * 1.5, range.high);
  const at = (n: number) => (WIDE * Math.min(n, most)) / most;
  return (
    <svg viewBox={`0 0 ${WIDE} 12`} width={WIDE} height="12">
      <rect x="0" y="3" width={WIDE} height="6" fill="var(--wash)" />
      <rect x="0" y="3" width={at(range.low)} height="6" fill="var(--mute)" />
      <rect
        x={at(range.low)}
        y="3"
        width={at(range.high) - at(range.low)}
        height="6"
        fill="var(--mute)"
        opacity="0.4"
      />
      <line x1={at(line)} y1="0" x2={at(line)} y2="12" stroke="var(--rim)" strokeWidth="2" />
    </svg>
  );
}

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
      <dl className="mt-1 grid grid-cols-[auto_40px_1fr] items-center gap-x-2 text-[13px]">
        {figures.map((f) => (
          <div key={f.id} className="contents">
            <dt>{f.label}</dt>
            <dd aria-hidden>{f.perDay && f.beside ? <Beside range={f.perDay} line={f.beside} /> : null}</dd>
            <dd className="num whitespace-nowrap text-right">
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
