'use client';
import { useSyncExternalStore } from 'react';
import { currentTrouble, letGoOfTrouble, subscribeTrouble } from '@/data/saving';
import { Button } from '@/ui/button';

/** A browser that keeps nothing: why, and what can be done all the same. */
export function NoStorage({
  why,
  onTryAgain,
  onGoOn,
}: {
  why: string;
  onTryAgain: () => void;
  onGoOn: () => void;
}) {
  return (
    <main className="mx-auto max-w-2xl p-6">
      <h1 className="text-[25px] font-semibold">Nothing can be kept here</h1>
      <p className="mb-4 mt-2">
        Dulvet keeps recipes in this browser, and {why}. Allow storage for this page, or open it in an
        ordinary window. You can go on without: then all is gone when this page is closed, unless you save it
        to a file.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button look="solid" onClick={onTryAgain}>
          Try again
        </Button>
        <Button onClick={onGoOn}>Go on without keeping</Button>
      </div>
    </main>
  );
}

/** Said all the while: nothing outlasts the page. */
export function InMemory() {
  return (
    <p className="no-print bg-wash px-5 py-1.5 text-[13.5px]">
      Nothing is kept: this browser does not let Dulvet store. Save to a file under Settings before you close
      the page.
    </p>
  );
}

/** A write that did not go through: what, why, and a way to try again. */
export function Trouble() {
  const trouble = useSyncExternalStore(subscribeTrouble, currentTrouble, () => null);
  if (!trouble) return null;
  return (
    <div
      role="alert"
      className="no-print mx-2.5 mt-3 flex flex-wrap items-center justify-between gap-2 rounded-[10px] border-2 border-over bg-sheet px-3.5 py-2 sm:mx-4"
    >
      <p>
        <b className="font-semibold text-over">Not kept:</b> {trouble.what}. {trouble.why[0]?.toUpperCase()}
        {trouble.why.slice(1)}. What you see is on this page alone; free some room, or save to a file under
        Settings.
      </p>
      <div className="flex gap-1.5">
        <Button onClick={() => void trouble.retry()}>Try again</Button>
        <Button look="plain" onClick={letGoOfTrouble}>
          Let it go
        </Button>
      </div>
    </div>
  );
}
