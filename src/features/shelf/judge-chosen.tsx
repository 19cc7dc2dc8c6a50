'use client';
import { useState } from 'react';
import type { Protocol } from '@/core/protocol';
import { useProtocols } from '@/kitchen/use-protocols';
import { Choose } from '@/ui/choose';
import { Glyph } from '@/ui/glyph';
import { plainRecipes, rowsUnder } from '@/workers/library';
import type { LibraryRow } from '@/workers/library.worker';
import type { LibraryContext } from '@/workers/larder';
import type { StoredRecipe } from '@/data/db';

interface Judged {
  readonly protocol: Protocol;
  readonly rows: readonly LibraryRow[];
}

/** The chosen recipes under a school that nobody at the table need follow. */
export function JudgeChosen({
  recipes,
  ids,
  context,
}: {
  recipes: readonly StoredRecipe[];
  ids: readonly string[];
  context: LibraryContext;
}) {
  const { all } = useProtocols();
  const [judged, setJudged] = useState<Judged | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const judge = async (id: string) => {
    const protocol = all.find((p) => p.id === id);
    setJudged(null);
    setWhy(null);
    if (!protocol) return;
    try {
      setJudged({ protocol, rows: await rowsUnder(plainRecipes(recipes), new Set(ids), protocol, context) });
    } catch (error) {
      setWhy(error instanceof Error ? error.message : String(error));
    }
  };
  const shown = judged?.rows.filter((r) => ids.includes(r.id)) ?? [];
  return (
    <div className="grid basis-full justify-items-start gap-1.5">
      <Choose label="Judge them by" value={judged?.protocol.id ?? ''} onChange={(id) => void judge(id)}>
        <option value="">no other school</option>
        {all.map((p) => (
          <option key={p.id} value={p.id}>
            {p.name}
          </option>
        ))}
      </Choose>
      {why && <p role="alert">They could not be judged: {why}.</p>}
      {judged && (
        <ul
          aria-label={`Under ${judged.protocol.name}`}
          aria-live="polite"
          className="max-h-[30vh] overflow-y-auto text-[14px]"
        >
          {shown.map((row) => (
            <li key={row.id} className="flex items-center gap-2 py-0.5">
              <Glyph mark={row.verdicts[judged.protocol.id] ?? 'unknown'} />
              <span className="[overflow-wrap:anywhere]">
                {row.title}
                {(row.missedBy[judged.protocol.id]?.length ?? 0) > 0 && (
                  <span className="text-mute">
                    {' '}
                    over: {row.missedBy[judged.protocol.id]?.join(', ').toLowerCase()}
                  </span>
                )}
              </span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
