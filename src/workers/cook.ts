import type { CookDoor } from './cook.worker';
import { doorTo } from './door';

/** Asks the worker that plans suppers, started when first asked. */
export const askCook = doorTo<CookDoor>(
  () => new Worker(new URL('./cook.worker.ts', import.meta.url), { type: 'module' }),
).ask;
