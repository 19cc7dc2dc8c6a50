import { Glyph } from '@/ui/glyph';
import { Legend } from '@/ui/legend';
import { verdictWords } from '@/kitchen/words';
import { shortLabel } from '@/kitchen/words';
import { openPart, SCALE_END, RULE_AT, type Ban, type Gauge } from './model';

type Colours = readonly [string, string, string];
const FILLS: Record<string, Colours> = {
  over: ['var(--over)', 'var(--over-soft)', 'var(--over)'],
  near: ['var(--near-fill)', 'var(--near-fill)', 'var(--near)'],
  calm: ['var(--within)', 'var(--within-soft)', 'var(--within)'],
};
const coloursOf = (g: Gauge): Colours =>
  FILLS[g.limit.verdict === 'over' ? 'over' : g.limit.verdict === 'near' ? 'near' : 'calm'] as Colours;
const pc = (share: number) => `${Math.min(100, share * RULE_AT * 100)}%`;

interface RailProps {
  gauges: readonly Gauge[];
  bans: readonly Ban[];
  lit: number | null;
  names: readonly string[];
  onHover: (line: number | null) => void;
  onSelect: (line: number) => void;
  onWhy: (limit: string) => void;
}

function Bar({
  gauge,
  lit,
  names,
  onHover,
  onSelect,
}: { gauge: Gauge } & Omit<RailProps, 'gauges' | 'bans' | 'onWhy'>) {
  const [fill, soft, hatch] = coloursOf(gauge);
  const torn = gauge.times !== null;
  const last = gauge.segments.at(-1);
  const filled = last ? last.from + last.share : 0;
  const { open, best } = openPart(gauge);
  return (
    <div className="relative h-[16px] overflow-hidden rounded-[3px] bg-wash forced-color-adjust-none">
      {gauge.segments.map(({ line, from: left, share }, i) => {
        if (left >= SCALE_END) return null;
        const on = lit === line;
        return (
          <button
            key={line}
            type="button"
            tabIndex={-1}
            aria-hidden
            title={names[line]}
            onMouseEnter={() => onHover(line)}
            onMouseLeave={() => onHover(null)}
            onClick={() => onSelect(line)}
            className="absolute inset-y-0 border-r-[1.5px] border-sheet"
            style={{
              left: pc(left),
              width: pc(Math.min(share, SCALE_END - left)),
              background: on ? 'var(--rim)' : i % 2 ? soft : fill,
              opacity: lit !== null && !on ? 0.4 : 1,
            }}
          />
        );
      })}
      {/* what the words leave open is not solid: veiled where lines may bring it, hatched to the highest reading */}
      {open.map(({ from, to, bad }) => (
        <span
          key={from}
          aria-hidden
          className="hatch pointer-events-none absolute inset-y-0"
          style={{
            left: pc(from),
            width: pc(to - from),
            color: bad ? 'var(--over)' : hatch,
            backgroundColor: 'color-mix(in srgb, var(--wash) 72%, transparent)',
          }}
        />
      ))}
      {best !== null && (
        <span
          aria-hidden
          title="the likeliest reading"
          className="pointer-events-none absolute inset-y-[3px] w-[2px] -translate-x-1/2 bg-ink"
          style={{ left: pc(best) }}
        />
      )}
      {gauge.best === null && (
        <span
          aria-hidden
          className="hatch pointer-events-none absolute inset-y-0 right-0"
          style={{ left: pc(Math.min(filled, SCALE_END)), color: 'var(--mute)' }}
        />
      )}
      <span
        aria-hidden
        className="pointer-events-none absolute inset-y-0 w-[2px] -translate-x-1/2 bg-rim outline-1 outline-sheet sm:hidden"
        style={{ left: `${RULE_AT * 100}%` }}
      />
      {torn && (
        <span
          aria-hidden
          className="absolute inset-y-0 right-0 flex w-[50px] items-center justify-end pr-1.5 text-[12px] font-bold text-sheet"
          style={{ background: fill, clipPath: 'polygon(8px 0,100% 0,100% 100%,4px 100%,10px 66%,2px 33%)' }}
        >
          {gauge.times}
        </span>
      )}
    </div>
  );
}

/** Every limit on one scale: one rule crosses all gauges; what is banned outright stands below them. */
export function Rail({ gauges, bans, onWhy, ...rest }: RailProps) {
  return (
    <section aria-label="Limits" className="sheet relative px-3 pb-2 pt-3 sm:px-3.5">
      <div
        className="pointer-events-none absolute inset-y-2 hidden sm:block"
        style={{ left: 14, right: 14 }}
        aria-hidden
      >
        <div className="grid h-full grid-cols-[118px_1fr_190px] gap-3">
          <span />
          <span className="relative">
            <span
              className="absolute -top-[19px] z-10 -translate-x-1/2 rounded-[4px] bg-rim px-1.5 text-[11px] font-semibold text-sheet"
              style={{ left: `${RULE_AT * 100}%` }}
            >
              limit
            </span>
            <span
              className="absolute top-0 z-10 w-[2px] -translate-x-1/2 bg-rim outline-1 outline-sheet"
              style={{ left: `${RULE_AT * 100}%`, height: gauges.length * 28 }}
            />
          </span>
        </div>
      </div>
      <ul>
        {gauges.map((gauge) => (
          <li
            key={gauge.limit.id}
            className="grid grid-cols-[1fr_auto] items-center gap-x-3 py-1 sm:h-7 sm:grid-cols-[118px_1fr_190px] sm:py-0"
          >
            <button
              type="button"
              onClick={() => onWhy(gauge.limit.id)}
              title={`${gauge.limit.label}: why this number`}
              className="truncate rounded text-left font-semibold hover:underline"
            >
              {shortLabel(gauge.limit.label)}
            </button>
            <div className="order-3 col-span-2 sm:order-none sm:col-span-1">
              <Bar gauge={gauge} {...rest} />
            </div>
            <span className="num flex items-center justify-end gap-1.5 whitespace-nowrap">
              <b className="font-semibold">{gauge.value}</b>
              <span className="text-[13px] text-mute">{gauge.bound}</span>
              <Glyph mark={gauge.limit.verdict} />
              <span className="sr-only">: {verdictWords(gauge.limit)}</span>
            </span>
          </li>
        ))}
      </ul>
      <Legend
        marks={[...gauges, ...bans].map((g) => g.limit.verdict)}
        hatch={gauges.some((g) => openPart(g).open.length > 0)}
      />
      {bans.length > 0 && (
        <div className="mt-1.5 flex flex-wrap items-center gap-x-4 gap-y-1 border-t border-hair pt-2">
          <span className="font-semibold text-mute">None of</span>
          {bans.map(({ limit, lines }) => (
            <button
              key={limit.id}
              type="button"
              onClick={() => (lines.length === 1 ? rest.onSelect(lines[0] ?? 0) : onWhy(limit.id))}
              title={`${limit.label}: ${limit.source}`}
              className="flex min-h-6 items-center gap-1.5 rounded disabled:cursor-default"
            >
              <Glyph mark={limit.verdict} size={13} />
              <span
                className={
                  lines.length > 0
                    ? 'font-semibold underline decoration-hair decoration-2 underline-offset-4'
                    : 'text-mute'
                }
              >
                {shortLabel(limit.label).toLowerCase()}
              </span>
              {lines.length > 0 && (
                <span className="text-[13px] text-mute">
                  {lines.length === 1 ? 'one line' : `${lines.length} lines`}
                </span>
              )}
            </button>
          ))}
        </div>
      )}
    </section>
  );
}
