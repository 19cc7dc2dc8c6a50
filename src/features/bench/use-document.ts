'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useCallback, useEffect, useRef, useState } from 'react';
import { database, type RecipePatch, type StoredRecipe } from '@/data/db';
import { changeRecipe, redoNext, takeBack, undoLast, undoState, type EditResult } from '@/data/edits';
import { newId } from '@/data/ids';
import { getRecipe } from '@/data/recipes';
import { whyNotKept } from '@/data/saving';

/** Edits of this page are one step with each other, never with those of another tab. */
const TAB = newId();
const NO_UNDO = { canUndo: false, canRedo: false };

/** Words and fields on the screen that are not kept yet, and why. */
export interface Unsaved {
  readonly patch: RecipePatch;
  /** The text as it was kept when the first of them was made. */
  readonly from: string;
  readonly why: string;
  readonly gone: boolean;
}

interface Shown {
  readonly doc: StoredRecipe;
  /** The write that it is, or is ahead of. */
  readonly rev: number;
  /** Writes under way: until they are through, what was typed stands. */
  readonly inflight: number;
  readonly unsaved: Unsaved | null;
}

export type DocumentStatus = 'loading' | 'ready' | 'missing' | 'binned';

/** A change made known: gives the number of its edit, for taking it back; null where it was not kept. */
export type Change = (
  patch: RecipePatch,
  key?: string | null,
  swaps?: readonly string[],
) => Promise<number | null>;

const patched = (doc: StoredRecipe, { corrections, ...patch }: RecipePatch): StoredRecipe => ({
  ...doc,
  ...patch,
  corrections: corrections
    ? (Object.fromEntries(
        Object.entries({ ...doc.corrections, ...corrections }).filter(([, said]) => said !== null),
      ) as StoredRecipe['corrections'])
    : doc.corrections,
});

const sameContent = (a: StoredRecipe, b: StoredRecipe): boolean =>
  a.text === b.text &&
  a.role === b.role &&
  a.servings === b.servings &&
  a.potG === b.potG &&
  a.plateG === b.plateG &&
  a.deletedAt === b.deletedAt &&
  JSON.stringify(a.corrections) === JSON.stringify(b.corrections);

/** A change that waits for the write before it. */
interface Waiting {
  readonly key: string | null;
  readonly attempt: { patch: RecipePatch; readonly from: string };
  readonly done: Promise<EditResult>;
}

const nextTask = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

const merged = (a: RecipePatch, b: RecipePatch): RecipePatch => ({
  ...a,
  ...b,
  ...(a.corrections || b.corrections ? { corrections: { ...a.corrections, ...b.corrections } } : {}),
});

/**
 * The open recipe. Every change is written as it is made, its fields alone, in one transaction with its undo; what
 * another tab or a restored file writes is shown as it comes. Edits with the same key (one line being typed) are one
 * step. What cannot be kept stays on the screen and says why.
 */
export function useDocument(id: string | null) {
  const row = useLiveQuery(
    async () => (id === null ? null : ((await getRecipe(database(), id)) ?? null)),
    [id],
    undefined,
  );
  const undoable = useLiveQuery(() => (id === null ? NO_UNDO : undoState(database(), id)), [id], NO_UNDO);
  const [shown, setShown] = useState<Shown | null>(null);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const waiting = useRef<Waiting | null>(null);
  const step = useRef(0);

  const ahead =
    shown !== null &&
    shown.doc.id === id &&
    (shown.inflight > 0 || shown.unsaved !== null || shown.rev >= (row?.rev ?? -1));
  const doc = ahead ? shown.doc : (row ?? null);
  const unsaved = ahead ? shown.unsaved : null;
  const current = useRef<{ doc: StoredRecipe | null; unsaved: Unsaved | null }>({ doc, unsaved });
  useEffect(() => {
    current.current = { doc, unsaved };
  }, [doc, unsaved]);

  /** Runs a write after those before it, and shows what it gave. */
  const run = useCallback(
    (work: () => Promise<EditResult>, attempt: { patch: RecipePatch; from: string } | null) => {
      const done = queue.current.then(async (): Promise<EditResult> => {
        let result: EditResult;
        let why: string | null = null;
        try {
          result = await work();
          if (!result.ok && result.code !== 'nothing' && result.code !== 'changed-since')
            why = result.message;
        } catch (error) {
          why = whyNotKept(error);
          result = { ok: false, code: 'refused', message: why };
        }
        const gone = !result.ok && result.code === 'gone';
        setShown((s) => {
          if (!s) return s;
          const inflight = s.inflight - 1;
          if (result.ok)
            return {
              // the same words are the same document: nothing is read again
              doc: inflight > 0 || sameContent(s.doc, result.recipe) ? s.doc : result.recipe,
              rev: result.recipe.rev,
              inflight,
              unsaved: attempt ? null : s.unsaved,
            };
          return {
            ...s,
            inflight,
            unsaved: attempt && why !== null ? { ...attempt, why, gone } : s.unsaved,
          };
        });
        return result;
      });
      queue.current = done;
      return done;
    },
    [],
  );

  const change = useCallback<Change>(
    async (patch, key = null, swaps = []) => {
      const { doc: now, unsaved: before } = current.current;
      if (!now || id === null) return null;
      const next = patched(now, patch);
      const named = key === null ? null : `${id} ${TAB} ${step.current} ${key}`;
      // letters that come faster than they are written go with those that wait
      const ahead = named !== null && waiting.current?.key === named ? waiting.current : null;
      current.current = { doc: next, unsaved: before };
      setShown((s) => ({
        doc: next,
        rev: now.rev,
        inflight: (s?.doc.id === id ? s.inflight : 0) + (ahead ? 0 : 1),
        unsaved: before,
      }));
      if (ahead) {
        ahead.attempt.patch = merged(ahead.attempt.patch, patch);
        const result = await ahead.done;
        return result.ok ? result.seq : null;
      }
      const attempt = { patch: merged(before?.patch ?? {}, patch), from: before?.from ?? now.text };
      const done = run(async () => {
        // what is typed is shown before it is written
        if (named !== null) await nextTask();
        if (waiting.current?.attempt === attempt) waiting.current = null;
        const note = { now: Date.now(), key: named, swaps, from: attempt.from };
        return changeRecipe(database(), id, attempt.patch, note);
      }, attempt);
      waiting.current = { key: named, attempt, done };
      const result = await done;
      return result.ok ? result.seq : null;
    },
    [id, run],
  );

  const turn = useCallback(
    (work: (now: number) => Promise<EditResult>) => {
      const { doc: now } = current.current;
      if (!now) return Promise.resolve<EditResult>({ ok: false, code: 'nothing', message: '' });
      step.current += 1;
      setShown((s) => ({
        doc: now,
        rev: now.rev,
        inflight: (s?.doc.id === now.id ? s.inflight : 0) + 1,
        unsaved: s?.doc.id === now.id ? s.unsaved : null,
      }));
      return run(() => work(Date.now()), null);
    },
    [run],
  );
  const undo = useCallback(() => void turn((now) => undoLast(database(), id ?? '', now)), [turn, id]);
  const redo = useCallback(() => void turn((now) => redoNext(database(), id ?? '', now)), [turn, id]);
  const back = useCallback((seq: number) => turn((now) => takeBack(database(), seq, now)), [turn]);
  const settle = useCallback(() => {
    step.current += 1;
  }, []);
  /** Tries again to keep what is on the screen. */
  const retry = useCallback(() => void change({}), [change]);

  const status: DocumentStatus =
    row === undefined ? 'loading' : doc === null ? 'missing' : doc.deletedAt !== null ? 'binned' : 'ready';
  return {
    doc: status === 'ready' || status === 'binned' ? doc : null,
    status,
    unsaved,
    ...undoable,
    change,
    undo,
    redo,
    back,
    settle,
    retry,
  };
}
