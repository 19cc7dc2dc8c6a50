'use client';
import { clockAt, minutesOfDay } from '@/core/cook/clock';
import type { Cook, CookTask } from '@/core/cook/schema';

/** A lane of the plan: somebody's hands, a burner, the oven, what stands. */
interface Lane {
  readonly name: string;
  readonly tasks: readonly CookTask[];
}

const DAY = 24 * 60;
const ROW = 38;

export const startOf = (t: CookTask): number => (minutesOfDay(t.start) ?? 0) + DAY * t.day;
export const endOf = (t: CookTask): number => (minutesOfDay(t.end) ?? 0) + DAY * t.endDay;

/** Tasks that run at once, one row each. */
function rowsOf(tasks: readonly CookTask[]): CookTask[][] {
  const rows: CookTask[][] = [];
  for (const t of [...tasks].sort((a, b) => startOf(a) - startOf(b))) {
    const row = rows.find((r) => r.every((o) => endOf(o) <= startOf(t)));
    if (row) row.push(t);
    else rows.push([t]);
  }
  return rows;
}

function lanesOf(tasks: readonly CookTask[], cooks: readonly string[]): Lane[] {
  const today = tasks.filter((t) => t.day === 0);
  const by = (name: string, of: (t: CookTask) => boolean): Lane[] =>
    rowsOf(today.filter(of)).map((row, i) => ({ name: i === 0 ? name : '', tasks: row }));
  const alone = (t: CookTask) => t.attention !== 'hands';
  const tools = [...new Set(today.filter(alone).flatMap((t) => t.uses))].filter(
    (u) => !['burner', 'oven'].includes(u),
  );
  return [
    ...cooks.map((name, i) => ({ name, tasks: today.filter((t) => t.cook === i) })),
    ...by('burners', (t) => alone(t) && t.uses.includes('burner')),
    ...by('oven', (t) => alone(t) && t.uses.includes('oven')),
    ...tools.flatMap((tool) => by(tool, (t) => alone(t) && t.uses.includes(tool))),
    ...by('standing', (t) => alone(t) && t.uses.length === 0),
  ];
}

/** The first words of a task, for its bar. */
const short = (t: CookTask): string => t.text.split(/[,.;:(]| until | for \d/)[0] ?? t.text;

/** What wants hands is solid, what wants an eye half filled, what stands alone an outline. */
const DRESS: Record<CookTask['attention'], string> = {
  hands: 'bg-rim text-sheet border-rim',
  eye: 'border-rim text-ink bg-[linear-gradient(to_top,color-mix(in_oklab,var(--rim)_26%,var(--sheet))_45%,var(--sheet)_45%)]',
  none: 'bg-sheet border-rim text-ink',
};

/** The supper between now and the table, a lane for each pair of hands, burner and oven. */
export function Lanes({
  cook,
  cooks,
  now,
  chosen,
  onChoose,
}: {
  cook: Cook;
  cooks: readonly string[];
  /** Minutes of the table's day; null before cooking is begun. */
  now: number | null;
  chosen: string | null;
  onChoose: (id: string) => void;
}) {
  const lanes = lanesOf(cook.tasks, cooks);
  const table = minutesOfDay(cook.table) ?? 0;
  const first = Math.min(
    table - cook.minutes,
    now ?? Infinity,
    ...cook.tasks.filter((t) => t.day === 0).map(startOf),
  );
  const span = Math.max(table - first, 10);
  const x = (minute: number) => ((minute - first) / span) * 100;
  const several = cook.dishes.length > 1;
  return (
    <section className="sheet overflow-x-auto px-3.5 pb-3 pt-8" aria-label="The plan">
      <div className="relative min-w-[660px]">
        <div className="absolute inset-y-0 left-[104px] right-[46px]">
          {now !== null && now >= first && now <= table && (
            <Rule at={x(now)} name="now" time={clockAt(now).clock} />
          )}
          <Rule at={100} name="table" time={cook.table} />
          {now === null && <Rule at={0} name="begin" time={cook.startAt} />}
        </div>
        {lanes.map((lane, i) => (
          <div key={i} className="flex items-stretch border-t border-hair" style={{ minHeight: ROW }}>
            <div className="flex w-[104px] flex-none items-center pr-2 text-[13px] font-semibold text-mute">
              {lane.name}
            </div>
            <div className="relative mr-[46px] flex-1" style={{ minHeight: ROW }}>
              {lane.tasks.map((t) => (
                <Bar
                  key={t.id}
                  task={t}
                  left={x(startOf(t))}
                  width={x(endOf(t)) - x(startOf(t))}
                  of={several ? (cook.dishes[t.dish]?.title ?? '') : ''}
                  chosen={chosen === t.id}
                  onChoose={onChoose}
                />
              ))}
            </div>
          </div>
        ))}
      </div>
    </section>
  );
}

/** Share of the lane, in hundredths, from which a bar is wide enough for a finger and for its words. */
const WIDE_ENOUGH = 5;
/** From which there is room for the oven's heat behind them. */
const WIDE = 12;

/** One task in its lane; a narrow one is shown only, and reached by the steps' own keys. */
function Bar({
  task,
  left,
  width,
  of,
  chosen,
  onChoose,
}: {
  task: CookTask;
  left: number;
  width: number;
  of: string;
  chosen: boolean;
  onChoose: (id: string) => void;
}) {
  const says = `${task.start}–${task.end} ${task.text}`;
  const dress = `absolute top-1 h-[30px] overflow-hidden whitespace-nowrap rounded-[7px] border-[1.5px] px-1.5 text-left text-[12.5px] font-semibold leading-none ${DRESS[task.attention]} ${chosen ? 'outline outline-[3px] outline-offset-1 outline-near-fill' : ''}`;
  const style = { left: `${left}%`, width: `max(${width}%, 9px)` };
  if (width < WIDE_ENOUGH) return <div title={says} className={dress} style={style} />;
  return (
    <button
      type="button"
      onClick={() => onChoose(task.id)}
      aria-pressed={chosen}
      title={says}
      aria-label={`${task.start} to ${task.end}, ${task.text}${of ? `, ${of}` : ''}`}
      className={dress}
      style={style}
    >
      {short(task)}
      {width > WIDE && task.uses.includes('oven') && task.celsius !== null && !/°/.test(short(task))
        ? ` ${task.celsius} °C`
        : ''}
    </button>
  );
}

/** A vertical rule in the navy of the limit line, with its time on a tag. */
function Rule({ at, name, time }: { at: number; name: string; time: string }) {
  return (
    <div className="pointer-events-none absolute inset-y-0 z-10" style={{ left: `${at}%` }}>
      <div className="absolute inset-y-0 -ml-px w-[2.5px] bg-rim-deep dark:bg-rim" />
      <div className="absolute -top-7 -translate-x-1/2 whitespace-nowrap rounded-[6px] bg-rim-deep px-2 py-0.5 text-[12px] font-bold text-on-rim">
        {name} {time}
      </div>
    </div>
  );
}
