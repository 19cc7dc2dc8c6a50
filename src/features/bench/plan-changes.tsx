import type { Plan } from '@/core/adapt/schema';
import type { FlavourReport } from '@/core/swap/flavour';
import { Keeps } from './keeps';

/** Changes of how many it feeds and of its name: there is no line to keep. */
const OF_NO_LINE = new Set(['portions', 'name']);

/** One plan's changes, each with its technique, and a way to keep the line instead. */
export function Changes({ plan, onLock }: { plan: Plan; onLock: (words: string) => void }) {
  return (
    <ol className="mt-1 space-y-2">
      {plan.changes.map((c, i) => (
        <li key={i} className="rounded-[10px] bg-wash px-3 py-2">
          <p className="[overflow-wrap:anywhere]">
            {c.from ? (
              <s className="text-mute decoration-1">{c.from}</s>
            ) : (
              <span className="text-mute">new</span>
            )}
            {' → '}
            <b className="font-semibold">{c.to || 'left out'}</b>
          </p>
          <p className="text-[13px]">
            {c.name}
            {c.from && <span className="text-mute">, {c.role}</span>}: {c.technique}
          </p>
          {c.keeps && (
            <div className="mt-1">
              <Keeps keeps={c.keeps} because={c.because} />
            </div>
          )}
          {c.cautions.map((w) => (
            <p key={w} className="text-[13px] text-near">
              Mind: {w}
            </p>
          ))}
          {c.from && !OF_NO_LINE.has(c.swap) && (
            <button
              type="button"
              onClick={() => onLock(c.from)}
              className="min-h-6 text-[13px] font-semibold text-rim underline underline-offset-4"
            >
              Keep this line as it is
            </button>
          )}
        </li>
      ))}
    </ol>
  );
}

/** What the plan took from the taste, and what may give it back. */
export function Taste({ report }: { report: FlavourReport }) {
  if (report.lost.length === 0) return null;
  return (
    <div className="mt-3">
      <h3 className="font-semibold">{report.bland ? 'Likely bland' : 'Its taste'}</h3>
      <p>{report.costs}</p>
      <p className="mt-1 text-[13.5px] text-mute">
        Gone: {report.lost.join('; ')}. {report.bland ? 'There is ' : 'But '}
        {report.because}.
      </p>
      {report.back.length > 0 && (
        <ul className="mt-0.5 text-[13.5px]">
          {report.back.map((b) => (
            <li key={b.food.id}>
              <b className="font-semibold">
                {b.measure} {b.food.name.toLowerCase()}
              </b>{' '}
              for {b.sense}, {b.says}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
