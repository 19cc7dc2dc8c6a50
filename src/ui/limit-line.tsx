import type { AuditLimit } from '@/core/audit/schema';
import { showNumber, showRange } from '@/core/format/figures';

/** Where the limit's rule stands on the line: the same place as on the Bench, so that a plate looks alike. */
const RULE_AT = 0.62;

/** One limit as a line that fills towards its rule, the unsure part hatched. */
export function LimitLine({ name, limit }: { name: string; limit: AuditLimit }) {
  const { value } = limit;
  const unit = limit.unit.split(' ')[0] ?? '';
  const place = (v: number) => `${Math.min(100, (v / Math.max(limit.limit, 1e-9)) * RULE_AT * 100)}%`;
  const over = limit.verdict === 'over';
  const colour = over ? 'var(--over-soft)' : 'var(--within-soft)';
  const words = value
    ? `${showRange(value)} of ${showNumber(limit.limit)} ${unit}`
    : limit.limit === 0
      ? 'none may be in it'
      : 'not known';
  return (
    <div className="flex items-center gap-2.5 py-1">
      <span className="w-[64px] flex-none truncate sm:w-[86px] font-semibold">{name}</span>
      <span
        className="relative h-[14px] min-w-[56px] flex-1 rounded-[3px] bg-wash forced-color-adjust-none"
        aria-hidden
      >
        {value && limit.limit > 0 && (
          <>
            <span
              className="absolute inset-y-0 left-0 rounded-[3px]"
              style={{ width: place(value.low), background: colour }}
            />
            <span
              className="hatch absolute inset-y-0"
              style={{
                left: place(value.low),
                width: `calc(${place(value.high)} - ${place(value.low)})`,
                color: colour,
              }}
            />
          </>
        )}
        <span className="absolute -inset-y-1 w-[2.5px] bg-rim" style={{ left: `${RULE_AT * 100}%` }} />
      </span>
      <span className="num w-[118px] flex-none sm:w-[132px] text-[13px]">{words}</span>
    </div>
  );
}
