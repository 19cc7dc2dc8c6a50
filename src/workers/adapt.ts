import { wrap, type Remote } from 'comlink';
import type { AdaptDoor } from './adapt.worker';

let current: { worker: Worker; door: Remote<AdaptDoor> } | null = null;

/** The worker that plans changes, started when first asked for. */
export function planner(): Remote<AdaptDoor> {
  if (!current) {
    const worker = new Worker(new URL('./adapt.worker.ts', import.meta.url), { type: 'module' });
    current = { worker, door: wrap<AdaptDoor>(worker) };
  }
  return current.door;
}

/** Stops what is being planned: the worker goes, the next question starts another. */
export function stopPlanning(): void {
  current?.worker.terminate();
  current = null;
}
