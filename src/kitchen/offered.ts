/** A kitchen's file that was dropped or opened somewhere: the settings ask what to do with it. */
let offered: File | null = null;
const listeners = new Set<() => void>();

export const offeredKitchen = (): File | null => offered;
export const subscribeOffered = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
export function offerKitchen(file: File | null): void {
  offered = file;
  for (const listener of listeners) listener();
}

/** Files that could not be brought in, until the cook has seen them. */
export interface NotBroughtIn {
  readonly name: string;
  readonly why: string;
}
let missed: readonly NotBroughtIn[] = [];
export const notBroughtIn = (): readonly NotBroughtIn[] => missed;
export function sayNotBroughtIn(files: readonly NotBroughtIn[]): void {
  missed = files;
  for (const listener of listeners) listener();
}
