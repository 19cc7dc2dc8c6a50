import type { Verdict } from '@/core/audit/schema';

export type Mark = Verdict | 'clear';

/** Each shape in words. */
export const MARK_WORDS: Record<Mark, string> = {
  within: 'within',
  near: 'near the limit',
  over: 'over',
  depends: 'depends',
  unknown: 'not known',
  clear: 'nothing to mind',
};

const DOTTED = (
  <circle
    cx="8"
    cy="8"
    r="5.6"
    fill="none"
    stroke="var(--ink)"
    strokeWidth="2.4"
    strokeDasharray="0.1 4.3"
    strokeLinecap="round"
  />
);

/** A verdict as a shape first: ring, half disc, diamond, dotted ring. Reads in grey and aloud. */
export function Glyph({ mark, size = 14, label = true }: { mark: Mark; size?: number; label?: boolean }) {
  const shape = {
    within: <circle cx="8" cy="8" r="5.6" fill="none" stroke="var(--within)" strokeWidth="2.6" />,
    clear: <circle cx="8" cy="8" r="5.4" fill="none" stroke="var(--hair)" strokeWidth="2" />,
    near: (
      <>
        <circle cx="8" cy="8" r="5.6" fill="none" stroke="var(--near-fill)" strokeWidth="2.4" />
        <path d="M8 2.4a5.6 5.6 0 0 0 0 11.2z" fill="var(--near-fill)" />
      </>
    ),
    over: <path d="M8 0.8 15.2 8 8 15.2 0.8 8z" fill="var(--over)" />,
    depends: DOTTED,
    unknown: (
      <>
        {DOTTED}
        <circle cx="8" cy="8" r="1.7" fill="var(--ink)" />
      </>
    ),
  }[mark];
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      className="inline-block flex-none"
      role={label ? 'img' : undefined}
      aria-label={label ? MARK_WORDS[mark] : undefined}
      aria-hidden={label ? undefined : true}
    >
      {shape}
    </svg>
  );
}
