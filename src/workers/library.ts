import { wrap, type Remote } from 'comlink';
import type { Packet } from '@/core/label/schema';
import type { LibraryDoor, LibraryRecipe } from './library.worker';

let door: Remote<LibraryDoor> | null = null;

/** The library's worker, started when first asked for. */
export function library(): Remote<LibraryDoor> {
  door ??= wrap<LibraryDoor>(new Worker(new URL('./library.worker.ts', import.meta.url), { type: 'module' }));
  return door;
}

/** What the worker needs of kept recipes, and no more: less to copy over. */
export const plainRecipes = (recipes: readonly LibraryRecipe[]): LibraryRecipe[] =>
  recipes.map(({ id, text, role, servings, potG, plateG, corrections }) => ({
    id,
    text,
    role,
    servings,
    potG,
    plateG,
    corrections,
  }));

/** The same of packets. */
export const plainPackets = (packets: readonly Packet[]): Packet[] =>
  packets.map(({ id, name, names, label, like }) => ({ id, name, names, label, like }));
