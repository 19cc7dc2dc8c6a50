'use client';
import Link from 'next/link';
import type { AuditLimit } from '@/core/audit/schema';
import { showRange } from '@/core/format/figures';
import type { Protocol } from '@/core/protocol';
import { Button } from '@/ui/button';
import { Glyph } from '@/ui/glyph';
import { verdictWords } from '@/kitchen/words';
import { useLibraryEffect, useOpenEffect } from './use-effects';

const MOST_SHOWN = 12;
const valueWords = (l: AuditLimit | undefined) =>
  l ? `${l.value ? showRange(l.value) : '?'} ${verdictWords(l)}` : 'no limit';

/** What a change of rules does to the open recipe and to the shelf, as it is made. */
export function Effects({ before, after }: { before: Protocol; after: Protocol | null }) {
  const open = useOpenEffect(before, after);
  const { effect, why, stop } = useLibraryEffect(before, after);
  const rows = open
    ? [...new Set([...open.before.limits, ...open.after.limits].map((l) => l.id))].flatMap((id) => {
        const b = open.before.limits.find((l) => l.id === id);
        const a = open.after.limits.find((l) => l.id === id);
        const same = b && a && b.verdict === a.verdict && b.limit === a.limit;
        return same ? [] : [{ id, b, a }];
      })
    : [];
  return (
    <section aria-label="What it changes" className="space-y-4">
      <div>
        <h3 className="font-semibold">The open recipe</h3>
        {open ? (
          <>
            <p>
              {open.title}: <Glyph mark={open.before.verdict} size={12} /> as {before.name} has it,{' '}
              <Glyph mark={open.after.verdict} size={12} /> by these rules.
            </p>
            {rows.length > 0 && (
              <ul className="num mt-1 text-[13.5px]">
                {rows.map(({ id, b, a }) => (
                  <li key={id}>
                    {(a ?? b)?.label}: {valueWords(b)} → <b className="font-semibold">{valueWords(a)}</b>
                  </li>
                ))}
              </ul>
            )}
          </>
        ) : (
          <p className="text-mute">No recipe is open on the Bench.</p>
        )}
      </div>
      <div aria-live="polite">
        <h3 className="font-semibold">The shelf</h3>
        {why ? (
          <p role="alert">Not judged: {why}.</p>
        ) : !effect ? (
          <p className="text-mute">Judging …</p>
        ) : (
          <>
            {effect.running && (
              <div className="flex items-center gap-3">
                <progress
                  value={effect.done}
                  max={effect.all}
                  className="h-2 flex-1 accent-[var(--rim)]"
                  aria-label="Recipes judged"
                />
                <span className="num text-[13px] text-mute">
                  {effect.done} of {effect.all}
                </span>
                <Button look="plain" onClick={stop}>
                  Stop
                </Button>
              </div>
            )}
            {!effect.running && effect.done < effect.all && (
              <p className="num text-mute">
                Stopped after {effect.done} of {effect.all} dishes: what changes is not known.
              </p>
            )}
            {!effect.running && effect.done >= effect.all && (
              <p className="num">
                {effect.fits[1]} of {effect.all} dishes fit
                {effect.fits[0] !== effect.fits[1] && (
                  <>
                    , {effect.fits[0]} as {before.name} has it
                  </>
                )}
                .{' '}
                {effect.changed.length === 0
                  ? 'No dish changes its verdict.'
                  : effect.changed.length === 1
                    ? 'One changes its verdict:'
                    : `${effect.changed.length} change their verdict:`}
              </p>
            )}
            <ul className="mt-1 space-y-0.5">
              {effect.changed.slice(0, MOST_SHOWN).map((c) => (
                <li key={c.id} className="flex items-baseline gap-2">
                  <span className="flex flex-none items-center gap-1 translate-y-[2px]">
                    <Glyph mark={c.from} size={12} />→<Glyph mark={c.to} size={12} />
                  </span>
                  <Link
                    href={`/?recipe=${c.id}`}
                    className="underline decoration-hair decoration-2 underline-offset-4 hover:decoration-rim"
                  >
                    {c.title}
                  </Link>
                </li>
              ))}
              {effect.changed.length > MOST_SHOWN && (
                <li className="text-mute">and {effect.changed.length - MOST_SHOWN} more</li>
              )}
            </ul>
          </>
        )}
      </div>
    </section>
  );
}
