import type { AdaptDoor } from './adapt.worker';
import { doorTo } from './door';

const door = doorTo<AdaptDoor>(
  () => new Worker(new URL('./adapt.worker.ts', import.meta.url), { type: 'module' }),
);

/** Asks the worker that plans changes, started when first asked. */
export const askPlanner = door.ask;

/** Stops what is being planned: the worker goes, the next question starts another. */
export const stopPlanning = door.stop;
