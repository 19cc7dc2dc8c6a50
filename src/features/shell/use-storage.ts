'use client';
import { useEffect, useState } from 'react';
import { keepInMemory } from '@/data/db';
import { openStorage, type StorageState } from '@/data/saving';

/** Whether the browser keeps anything; a way to try again, and one to go on in memory alone. */
export function useStorage(): {
  readonly state: (StorageState & { readonly inMemory: boolean }) | null;
  readonly tryAgain: () => void;
  readonly goOn: () => void;
} {
  const [state, setState] = useState<(StorageState & { readonly inMemory: boolean }) | null>(null);
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    let current = true;
    void openStorage().then((s) => {
      if (current) setState({ ...s, inMemory: false });
    });
    return () => {
      current = false;
    };
  }, [asked]);
  const goOn = async () => {
    await keepInMemory();
    const opened = await openStorage();
    setState({ ...opened, persistent: null, inMemory: true });
  };
  return { state, tryAgain: () => setAsked((n) => n + 1), goOn: () => void goOn() };
}
