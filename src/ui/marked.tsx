import { useMemo } from 'react';
import { marksOf } from '@/core/adapt/marks';

/** A recipe's new text with what came and what went marked, beside each other in its rows. */
export function Marked({ before, after }: { before: string; after: string }) {
  const rows = useMemo(() => marksOf(before, after), [before, after]);
  return (
    <div className="text-[13.5px] leading-relaxed [overflow-wrap:anywhere]">
      {rows.map((row, i) => (
        <p
          key={i}
          className={`min-h-[0.7em] whitespace-pre-wrap border-l-[3px] pl-2 ${row.mark === 'same' ? 'border-transparent' : 'border-rim'}`}
        >
          {row.stretches.map((s, k) =>
            s.mark === 'went' ? (
              <del key={k} className="mr-1 text-mute decoration-1">
                {s.text}
              </del>
            ) : s.mark === 'came' ? (
              <ins key={k} className="font-semibold decoration-2 underline-offset-2">
                {s.text}
              </ins>
            ) : (
              <span key={k}>{s.text}</span>
            ),
          )}
        </p>
      ))}
    </div>
  );
}
