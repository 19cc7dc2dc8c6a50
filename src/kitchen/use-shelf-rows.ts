'use client';
import { useEffect, useRef, useState } from 'react';
import type { Protocol } from '@/core/protocol';
import { database, type StoredRecipe } from '@/data/db';
import { forgetJudged, keepJudged, listJudged } from '@/data/judged';
import { plainRecipes, shelfRows, type KeyedRow } from '@/workers/library';
import type { LibraryRow } from '@/workers/library.worker';
import type { LibraryContext } from '@/workers/larder';

/** How far the shelf is judged. */
export interface Judging {
  readonly done: number;
  readonly of: number;
  readonly stop: () => void;
}

const NO_ROWS: ReadonlyMap<string, LibraryRow> = new Map();
/** Rows are shown in batches: a page that is drawn anew at every row would be slower than the judging. */
const SHOW_EVERY_MS = 150;

/**
 * The shelf's rows, judged in the background: kept ones at once, each recipe never twice for the same words, and told
 * how far it is where it takes a while.
 */
export function useShelfRows(
  recipes: readonly StoredRecipe[] | null,
  protocols: readonly Protocol[],
  context: LibraryContext,
): {
  readonly rows: ReadonlyMap<string, LibraryRow>;
  readonly judging: Judging | null;
  readonly why: string | null;
} {
  const [rows, setRows] = useState(NO_ROWS);
  const [judging, setJudging] = useState<Judging | null>(null);
  const [why, setWhy] = useState<string | null>(null);
  const known = useRef<Map<string, KeyedRow> | null>(null);
  useEffect(() => {
    if (!recipes || recipes.length === 0 || protocols.length === 0) return;
    const stop = new AbortController();
    let timer: ReturnType<typeof setTimeout> | null = null;
    const now = new Map<string, LibraryRow>();
    let of = recipes.length;
    const halt = () => {
      stop.abort();
      setJudging(null);
    };
    const show = () => {
      timer = null;
      if (stop.signal.aborted) return;
      setRows(new Map(now));
      setJudging(now.size < of ? { done: now.size, of, stop: halt } : null);
    };
    const judge = async () => {
      known.current ??= new Map(
        // a browser that keeps nothing judges all of it
        (await listJudged(database()).catch(() => [])).map((j) => [
          j.id,
          { key: j.key, row: j.row as LibraryRow },
        ]),
      );
      const kept = known.current;
      await shelfRows(
        plainRecipes(recipes),
        protocols,
        context,
        kept,
        (found, fresh, all) => {
          of = all;
          for (const { key, row } of found) {
            now.set(row.id, row);
            kept.set(row.id, { key, row });
          }
          if (fresh)
            void keepJudged(
              database(),
              found.map(({ key, row }) => ({ id: row.id, key, row })),
            ).catch(() => undefined);
          if (!fresh || timer === null) {
            if (timer !== null) clearTimeout(timer);
            if (fresh) timer = setTimeout(show, SHOW_EVERY_MS);
            else show();
          }
        },
        stop.signal,
      );
      if (stop.signal.aborted) return;
      show();
      setWhy(null);
      void forgetJudged(database(), new Set(recipes.map((r) => r.id))).catch(() => undefined);
    };
    void judge().catch((error: Error) => {
      if (!stop.signal.aborted) setWhy(error.message);
    });
    return () => {
      if (timer !== null) clearTimeout(timer);
      stop.abort();
      setJudging(null);
    };
  }, [recipes, protocols, context]);
  return { rows, judging, why };
}
