import { database } from './db';

/** A write that did not go through: what was to be kept, why it was not, and a way to try again. */
export interface SaveTrouble {
  readonly what: string;
  readonly why: string;
  readonly retry: () => Promise<boolean>;
}

let trouble: SaveTrouble | null = null;
const listeners = new Set<() => void>();

const say = (next: SaveTrouble | null) => {
  trouble = next;
  for (const listener of listeners) listener();
};

export const subscribeTrouble = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
export const currentTrouble = (): SaveTrouble | null => trouble;
export const letGoOfTrouble = (): void => say(null);

/** Why the browser did not store something, in a cook's words. */
export function whyNotKept(error: unknown): string {
  const names: string[] = [];
  for (
    let e = error as { name?: string; inner?: unknown } | null | undefined;
    e && names.length < 5;
    e = e.inner as typeof e
  )
    names.push(String(e.name ?? ''));
  const is = (...wanted: string[]) => names.some((n) => wanted.includes(n));
  if (is('QuotaExceededError')) return 'the browser’s storage is full';
  if (
    is(
      'MissingAPIError',
      'SecurityError',
      'OpenFailedError',
      'UnknownError',
      'InvalidStateError',
      'NotAllowedError',
    )
  )
    return 'the browser does not let this page keep anything (a private window, or storage turned off)';
  if (is('DatabaseClosedError', 'VersionError', 'AbortError', 'VersionChangeError'))
    return 'the kitchen was opened in another window with a newer version of this page: reload it';
  return error instanceof Error && error.message ? error.message : 'the browser did not say why';
}

/**
 * Writes something, and says so on the page where it does not go through; what was shown stays on the screen. Gives
 * what the write gave, undefined where it failed.
 *
 * @param what what is kept, in a cook's words: "the diner"
 */
export async function keep<T>(what: string, write: () => PromiseLike<T>): Promise<T | undefined> {
  const attempt = async (): Promise<{ ok: true; value: T } | { ok: false; why: string }> => {
    try {
      return { ok: true, value: await write() };
    } catch (error) {
      return { ok: false, why: whyNotKept(error) };
    }
  };
  const retry = async (): Promise<boolean> => {
    const again = await attempt();
    say(again.ok ? null : { what, why: again.why, retry });
    return again.ok;
  };
  const first = await attempt();
  if (first.ok) return first.value;
  say({ what, why: first.why, retry });
  return undefined;
}

/** How the browser keeps what is stored here. */
export interface StorageState {
  /** False where nothing can be kept at all. */
  readonly open: boolean;
  readonly why: string;
  /** True where the browser promised not to clear it; null where it cannot be asked (no secure context). */
  readonly persistent: boolean | null;
  /** Bytes used and allowed, where the browser says. */
  readonly used: number | null;
  readonly most: number | null;
}

/** Opens the database, asks the browser to keep it, and says how much room there is. */
export async function openStorage(): Promise<StorageState> {
  let why = '';
  try {
    await database().open();
  } catch (error) {
    why = whyNotKept(error);
  }
  const storage =
    typeof navigator === 'undefined' ? undefined : (navigator.storage as StorageManager | undefined);
  const asked = async <T>(of: (() => Promise<T>) | undefined): Promise<T | null> => {
    try {
      return of ? await of() : null;
    } catch {
      return null;
    }
  };
  const persistent =
    why === '' && storage?.persist
      ? (await asked(() => storage.persisted())) || (await asked(() => storage.persist()))
      : null;
  const estimate = await asked(storage?.estimate ? () => storage.estimate() : undefined);
  return {
    open: why === '',
    why,
    persistent,
    used: estimate?.usage ?? null,
    most: estimate?.quota ?? null,
  };
}
