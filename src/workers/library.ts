import { wrap, type Remote } from 'comlink';
import type { LibraryDoor } from './library.worker';

let door: Remote<LibraryDoor> | null = null;

/** The library's worker, started when first asked for. */
export function library(): Remote<LibraryDoor> {
  door ??= wrap<LibraryDoor>(new Worker(new URL('./library.worker.ts', import.meta.url), { type: 'module' }));
  return door;
}
