import { Glyph, MARK_WORDS, type Mark } from './glyph';

const ORDER: readonly Mark[] = ['within', 'near', 'over', 'depends', 'unknown', 'clear'];
const MEANS: Record<Mark, string> = {
  within: 'within, whatever the words mean',
  near: 'within, close to the limit',
  over: 'over, or not allowed',
  depends: 'depends on what was meant',
  unknown: 'not known',
  clear: 'nothing to mind',
};

/** What the shapes mean, where they stand; only those that are shown. */
export function Legend({
  marks,
  hatch = false,
  className = '',
}: {
  marks: readonly Mark[];
  /** True where hatched parts of a gauge are shown. */
  hatch?: boolean;
  className?: string;
}) {
  const shown = ORDER.filter((m) => marks.includes(m));
  if (shown.length === 0) return null;
  return (
    <ul
      aria-label="What the shapes mean"
      className={`mt-1 flex flex-wrap gap-x-3 gap-y-0.5 text-[12.5px] text-mute ${className}`}
    >
      {shown.map((mark) => (
        <li key={mark} className="flex items-center gap-1" title={MARK_WORDS[mark]}>
          <Glyph mark={mark} size={11} label={false} />
          {MEANS[mark]}
        </li>
      ))}
      {hatch && (
        <li className="flex items-center gap-1">
          <span
            aria-hidden
            className="hatch inline-block h-[10px] w-4 rounded-[2px] text-ink forced-color-adjust-none"
          />
          what the words leave open
        </li>
      )}
    </ul>
  );
}
