import { doorTo } from './door';
import type { MenuDoor } from './menu.worker';

const door = doorTo<MenuDoor>(
  () => new Worker(new URL('./menu.worker.ts', import.meta.url), { type: 'module' }),
);

/** Asks the worker that plans weeks, started when first asked. */
export const askMenu = door.ask;

/** Stops what is being planned. */
export const stopMenu = door.stop;
