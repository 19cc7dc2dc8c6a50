'use client';
import { useEffect, useState } from 'react';
import { openStorage, type StorageState } from '@/data/saving';

const megabytes = (bytes: number) =>
  `${bytes < 10_485_760 ? (bytes / 1_048_576).toFixed(1) : Math.round(bytes / 1_048_576)} MB`;

/** How the browser keeps what is here, and what it cannot do at this address. */
export function StorageWords() {
  const [state, setState] = useState<StorageState | null>(null);
  useEffect(() => {
    let current = true;
    void openStorage().then((s) => {
      if (current) setState(s);
    });
    return () => {
      current = false;
    };
  }, []);
  if (!state) return null;
  const room =
    state.used !== null && state.most !== null
      ? ` ${megabytes(state.used)} used of ${megabytes(state.most)}.`
      : '';
  return (
    <section className="mb-4">
      <h3 className="mb-1 font-semibold">Where it is kept</h3>
      <p className="text-mute">
        {state.persistent === true
          ? 'In this browser, which promised not to clear it.'
          : state.persistent === false
            ? 'In this browser, which may clear it when room is short: save a file now and then.'
            : 'In this browser. At a plain http address it cannot be asked to keep it for good: save a file now and then.'}
        {room}
      </p>
    </section>
  );
}
